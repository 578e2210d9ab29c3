"""What sticks up out of the slab, as it stands in a job file: walls on plates, bolts set by hand, straps, bolt groups.

Lengths are mm; stations run along a side from its first corner. Null sizes are as the crew does.
"""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Note, Point, Position, Size

Comes = Literal["framed", "whole", "posts"]
StrapKind = Literal["strap", "hold-down", "bracket", "threshold", "leave-out"]
Side = Annotated[str, Field(max_length=24)]


class Door(Row):
    """An opening to the floor: its rough opening from at_mm on, width_mm wide."""

    name: Note = ""
    at_mm: Length
    width_mm: Size


class StudWall(Row):
    """A wall that will stand on the slab along a side, or inside along a line through its plate's middle. comes: framed on a plate, delivered whole, or on posts. plate_mm: width of
    the plate; in_mm: its outer face from the concrete's edge, below zero where it stands out over it. stud_start_mm: the first
    stud's middle from the wall's start. bolt_mm: the widest gap between bolts. post_mm: between posts."""

    name: Name
    side: Side = ""
    line: tuple[Point, Point] | None = None
    comes: Comes = "framed"
    from_mm: Length | None = None
    to_mm: Length | None = None
    plate_mm: Size | None = None
    in_mm: Annotated[Position, Field(ge=-300.0, le=600.0)] = 0.0
    stock_mm: Annotated[Size, Field(ge=600.0)] | None = None
    stud_mm: Annotated[Size, Field(ge=100.0, le=3000.0)] | None = None
    stud_start_mm: Length = 0.0
    bolt_mm: Annotated[Size, Field(ge=150.0, le=3000.0)] | None = None
    post_mm: Annotated[Size, Field(ge=300.0, le=6000.0)] | None = None
    doors: Annotated[list[Door], Field(max_length=40)] = []
    drawn: Note = ""

    @model_validator(mode="after")
    def _runs_on(self) -> Self:
        if bool(self.side) == (self.line is not None):
            raise ValueError("side: a wall stands along a side, or along a line inside.")
        if self.line is not None and self.line[0] == self.line[1]:
            raise ValueError("line: the wall starts where it ends.")
        if self.from_mm is not None and self.to_mm is not None and self.from_mm >= self.to_mm:
            raise ValueError("to_mm: the wall ends before it starts.")
        return self


class HandBolt(Row):
    """A bolt where a person wants it. All bolts of a piece of plate are by hand, or all by the rules. reason: why it stays
    although a rule is against it."""

    wall: Annotated[str, Field(max_length=24)]
    at_mm: Length
    reason: Note = ""


class Strap(Row):
    """A strap, hold-down, bracket, threshold angle or leave-out at a station of a side. width_mm: of those that have one."""

    what: StrapKind
    side: Side
    at_mm: Length
    width_mm: Size | None = None
    name: Note = ""


class BoltGroup(Row):
    """Bolts set with a template, under a column or a machine. across, along: how many; *_mm: how far apart, middle to middle."""

    name: Name
    at: Point
    across: Annotated[int, Field(ge=1, le=8)] = 2
    along: Annotated[int, Field(ge=1, le=8)] = 2
    across_mm: Annotated[Size, Field(ge=40.0, le=3000.0)]
    along_mm: Annotated[Size, Field(ge=40.0, le=3000.0)]
    bolt_mm: Annotated[Size, Field(ge=6.0, le=80.0)]
    embed_mm: Annotated[Size, Field(le=2000.0)]
    stick_up_mm: Annotated[Size, Field(le=600.0)]
    turn_deg: Annotated[float, Field(ge=-360, le=360)] = 0.0


class Embeds(Model):
    """All of it."""

    walls: Annotated[list[StudWall], Field(max_length=200)] = []
    bolts: Annotated[list[HandBolt], Field(max_length=2000)] = []
    straps: Annotated[list[Strap], Field(max_length=400)] = []
    groups: Annotated[list[BoltGroup], Field(max_length=100)] = []
