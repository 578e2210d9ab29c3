"""What a slab is made of, as it stands in a job file: slabs and zones, edges, beams, pads, recesses, what comes on top.

Lengths are mm; sizes that a kind does not use may be 0, null or absent.
"""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import (
    LEAST_SIZE_MM,
    Length,
    Mark,
    Name,
    Note,
    Number,
    Path,
    Point,
    Position,
    Ring,
    Size,
)

With = Literal["with", "apart"]
Use = Literal["foot", "cars", "trucks", "racks"]


class Marked(Model):
    """A type that plans name by its mark."""

    mark: Mark


class SlabType(Marked):
    """guessed: nobody said this thickness yet."""

    thickness_mm: Size
    guessed: bool = False


class PlaneFall(Model):
    kind: Literal["plane"]
    toward_deg: Number
    rate: Number = Field(ge=0, le=1000)


class DrainFall(Model):
    kind: Literal["drain"]
    at: Point
    depth_mm: Length


class Zone(Row):
    """use: the heaviest that comes on it, for the thumb table of thicknesses."""

    name: Name
    slab: Mark
    polygon: Ring | None = None
    drop_mm: Length = 0.0
    fall: Annotated[PlaneFall | DrainFall, Field(discriminator="kind")] | None = None
    underside: Literal["parallel", "level"] = "parallel"
    use: Use | None = None


EdgeKind = Literal["thickened", "plain", "against-wall", "dowelled", "block-wall", "overhang"]


class EdgeType(Marked):
    """foam_mm: board against the face that stays; isolation_mm: strip between slab and wall; plate_mm: sill plate of
    the wall on it, flush with the foam's face unless plate_over_mm says how far it stands past the concrete. veneer: masonry
    veneer stands on it. foam_side: of the outline; foam_past_mm: down past the concrete's bottom; cut_back_mm,
    cut_back_high_mm: of its top, on the concrete's side, so that the plate bears on concrete."""

    kind: EdgeKind
    depth_mm: Length | None = None
    bottom_width_mm: Length | None = None
    haunch_run_per_rise: Number | None = Field(default=None, ge=0, le=20)
    foam_mm: Length | None = None
    isolation_mm: Length | None = None
    plate_mm: Length | None = None
    plate_over_mm: Length | None = None
    veneer: StrictBool = False
    foam_side: Literal["outside", "inside"] = "outside"
    foam_past_mm: Length | None = None
    cut_back_mm: Length | None = None
    cut_back_high_mm: Length | None = None

    @model_validator(mode="after")
    def _foam_that_holds(self) -> Self:
        if (self.cut_back_mm or 0.0) > (self.foam_mm or 0.0):
            raise ValueError("cut_back_mm: the foam is not as thick as it is cut back.")
        if self.foam_side == "inside" and (self.foam_mm or 0.0) >= (self.bottom_width_mm or float("inf")):
            raise ValueError("foam_mm: foam inside leaves nothing of the edge's width.")
        return self

    @model_validator(mode="after")
    def _sizes_that_the_kind_uses(self) -> Self:
        if self.kind == "thickened":
            for key in ("depth_mm", "bottom_width_mm"):
                if (getattr(self, key) or 0.0) < LEAST_SIZE_MM:
                    raise ValueError(f"{key}: a thickened edge needs it, and more than nothing.")
        return self


class Edge(Row):
    """Sides of one type, or a thickening along a line inside (`along` with `grow`)."""

    type: Mark
    sides: list[Annotated[int, Field(ge=0)]] | None = None
    along: Path | None = None
    grow: Literal["left", "right"] | None = None

    @model_validator(mode="after")
    def _one_of_both(self) -> Self:
        if (self.sides is None) == (self.along is None):
            raise ValueError("needs either sides or along, one of them.")
        if (self.along is None) != (self.grow is None):
            raise ValueError("grow (left or right) goes with along, and along needs it.")
        return self


class BeamType(Marked):
    width_mm: Size
    depth_mm: Size
    haunch_run_per_rise: Number | None = Field(default=None, ge=0, le=20)


class Beam(Row):
    type: Mark
    path: Path


class PadType(Marked):
    shape: Literal["rectangle", "round"]
    width_mm: Length | None = None
    length_mm: Length | None = None
    diameter_mm: Length | None = None
    depth_mm: Size

    @model_validator(mode="after")
    def _sizes_of_the_shape(self) -> Self:
        for key in ("diameter_mm",) if self.shape == "round" else ("width_mm", "length_mm"):
            if (getattr(self, key) or 0.0) < LEAST_SIZE_MM:
                raise ValueError(f"{key}: a {self.shape} pad needs it, and more than nothing.")
        return self


class Pad(Row):
    type: Mark
    at: Point
    turn_deg: Number = 0.0


class Recess(Row):
    name: Name
    polygon: Ring
    depth_mm: Size
    keeps_thickness: StrictBool = False


class Pier(Model):
    """A pier under a pad beside the slab, of a pad type; what of it lies outside of that pad is cut off."""

    type: Mark
    at: Point
    turn_deg: Number = 0.0


class SidePad(Row):
    """A small slab of its own beside the outline. pour: with the slab from the same trucks, or apart on another day.
    piers: under it, as deep as their type says, from its top."""

    name: Name
    polygon: Ring
    thickness_mm: Size
    top_mm: Position = 0.0
    pour: With = "apart"
    piers: Annotated[list[Pier], Field(max_length=40)] = []


class LeaveOut(Model):
    """A stretch without kerb, measured along its middle from its start; a door."""

    from_mm: Length
    to_mm: Length


class Kerb(Row):
    """On top of the slab along a centreline: a kerb or a knee wall, poured with the slab or apart, on starters. panel_mm: width
    of the panels that form it, where it is formed in panels. starter_mm: starters no farther apart, where it has any."""

    name: Note = ""
    path: Path
    width_mm: Size
    height_mm: Size
    leave_outs: Annotated[list[LeaveOut], Field(max_length=60)] = []
    panel_mm: Length | None = None
    starter_mm: Length | None = None
    pour: With = "apart"


class Piles(Row):
    """Pile heads that the slab encloses. head_down_mm: from the slab's top down to the heads; least_above_mm and
    least_below_mm: concrete over the head and below it, as the engineer says."""

    name: Name = "Piles"
    diameter_mm: Size
    head_down_mm: Size
    least_above_mm: Length = 75.0
    least_below_mm: Length = 150.0
    at: Annotated[list[Point], Field(min_length=1, max_length=400)]
