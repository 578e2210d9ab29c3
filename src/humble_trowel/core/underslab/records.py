"""What a crew writes down of what is buried: where a riser really stands, how a line held its test."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import RiserRef, RoomRef, ServiceRef, SideRef
from humble_trowel.core.plan.values import Note, Position, Pressure, When

TestHow = Literal["water", "air", "pressure"]


class RiserCheck(Model):
    """A riser as taped the day before. faces: the two sides whose finished faces it was measured from; from_mm: how far from
    each."""

    riser: RiserRef
    faces: Annotated[list[SideRef], Field(min_length=2, max_length=2)]
    from_mm: Annotated[list[Position], Field(min_length=2, max_length=2)]


class LineTest(Model):
    """A line under test: drains under water or air, others under pressure. runs: all that hang together; rooms: those whose
    loops are tested, where it is the tubing. ended: null while it stands. *_mm: water over the floor in the stand-pipe; *_kpa: on the gauge. watched: it stays under pressure during the
    pour, with an alarm below alarm_kpa. read: typed, or off the simulated gauge."""

    runs: Annotated[list[ServiceRef], Field(default_factory=list, max_length=120)]
    rooms: Annotated[list[RoomRef], Field(default_factory=list, max_length=40)]
    how: TestHow
    started: When
    ended: When | None = None
    start_mm: Position | None = None
    end_mm: Position | None = None
    start_kpa: Pressure | None = None
    end_kpa: Pressure | None = None
    watched: StrictBool = False
    alarm_kpa: Pressure | None = None
    read: Literal["typed", "stand-in"] = "typed"
    note: Note = ""
