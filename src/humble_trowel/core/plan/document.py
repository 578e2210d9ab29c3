"""The plan document: one slab, described once. Pydantic models of the job file, version 1.

Lengths are mm; a file may give them as numbers (mm) or as text with units. Unknown keys are errors. Keys of
later stages are kept unharmed. Geometry is checked elsewhere (reading.py): here only shape and size.
"""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal, Self

from pydantic import (
    Field,
    PrivateAttr,
    field_validator,
    model_validator,
)

from humble_trowel.core.plan.ground_parts import BuildUp, GroundNotes
from humble_trowel.core.plan.part import Part
from humble_trowel.core.plan.values import (
    MAX_CORNERS,
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
    Small,
    Strength,
)
from humble_trowel.core.plan.ways import WaysOverride
from humble_trowel.core.units import Units


class Contact(Part):
    name: Note = ""
    phone: Note = ""


class Site(Part):
    address: Note = ""
    directions: Note = ""
    latitude: Number | None = Field(default=None, ge=-90, le=90)
    longitude: Number | None = Field(default=None, ge=-180, le=180)
    time_zone: Note | None = None
    north_deg: Number = Field(default=0.0, ge=-360, le=360)
    frost_depth_mm: Length | None = None
    air_freezing_index_f_days: Number | None = None
    climate_zone: Note | None = None
    soil: Note | None = None
    notes: Note = ""


WalkKind = Literal["outline", "zone", "opening"]


class Walk(Part):
    """Typed call-outs as they stand. `start`: the corner or point they leave from, null for corner A at 0, 0."""

    text: Note = ""
    kind: WalkKind = "outline"
    start: Point | None = None


class Marked(Part):
    """A type that plans name by its mark."""

    mark: Mark


class SlabType(Marked):
    thickness_mm: Size


class PlaneFall(Part):
    kind: Literal["plane"]
    toward_deg: Number
    rate: Number = Field(ge=0, le=1000)


class DrainFall(Part):
    kind: Literal["drain"]
    at: Point
    depth_mm: Length


class Zone(Part):
    name: Name
    slab: Mark
    polygon: Ring | None = None
    drop_mm: Length = 0.0
    fall: Annotated[PlaneFall | DrainFall, Field(discriminator="kind")] | None = None
    underside: Literal["parallel", "level"] = "parallel"


EdgeKind = Literal["thickened", "plain", "against-wall", "dowelled"]


class EdgeType(Marked):
    kind: EdgeKind
    depth_mm: Length | None = None
    bottom_width_mm: Length | None = None
    haunch_run_per_rise: Number | None = Field(default=None, ge=0, le=20)

    @model_validator(mode="after")
    def _sizes_that_the_kind_uses(self) -> Self:
        if self.kind == "thickened":
            for key in ("depth_mm", "bottom_width_mm"):
                if not getattr(self, key):
                    raise ValueError(f"{key}: a thickened edge needs it, and more than nothing.")
        return self


class Edge(Part):
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


class Beam(Part):
    type: Mark
    path: Path


class PadType(Marked):
    shape: Literal["rectangle", "round"]
    width_mm: Length | None = None
    length_mm: Length | None = None
    diameter_mm: Length | None = None
    depth_mm: Size


class Pad(Part):
    type: Mark
    at: Point
    turn_deg: Number = 0.0


class Recess(Part):
    name: Name
    polygon: Ring
    depth_mm: Size
    keeps_thickness: bool = False


class SidePad(Part):
    name: Name
    polygon: Ring
    thickness_mm: Size
    top_mm: Position = 0.0


class LeaveOut(Part):
    from_mm: Length
    to_mm: Length


class Kerb(Part):
    path: Path
    width_mm: Size
    height_mm: Size
    leave_outs: list[LeaveOut] = []


class Mix(Part):
    strength_mpa: Strength | None = Field(default=None, gt=0, le=150)
    slump_mm: Small | None = None
    stone_mm: Small | None = None
    air_percent: Number | None = Field(default=None, ge=0, le=15)
    fibre: Note | bool | None = None
    notes: Note = ""


class OrderNotes(Part):
    pour_at: str | None = None
    spacing_min: Number | None = Field(default=None, gt=0, le=600)
    method: Literal["chute", "pump", "barrows", "conveyor"] | None = None
    ring: Contact | None = None
    notes: Note = ""

    @field_validator("pour_at")
    @classmethod
    def _a_time(cls, value: str | None) -> str | None:
        if value is not None:
            try:
                datetime.fromisoformat(value)
            except ValueError as error:
                raise ValueError(f"{value} is not a date and time. Say it like 2027-06-17T06:30.") from error
        return value


class Existing(Part):
    """What stands beside the work. level_mm: its floor or top; 0 is the finished top of the main slab."""

    name: Name
    what: Literal["slab", "wall", "walk", "kerb", "other"] = "slab"
    polygon: Ring
    level_mm: Position = 0.0


class LotLine(Part):
    """A line to set out from that is no side: a lot line, a kerb, a string between two pins."""

    name: Name = "Lot line"
    start: Point
    end: Point


class SetOut(Part):
    """hold_side: the side that everything is set out from (side 0 where null), unless a lot line is given."""

    hold_side: Annotated[int, Field(ge=0, lt=MAX_CORNERS)] | None = None
    lot_line: LotLine | None = None
    base_margin_mm: Length | None = None


class GroundLevel(Part):
    """Ground outside a side, `at_mm` from its first corner. level_mm: 0 is the finished top of the main slab."""

    at_mm: Length
    level_mm: Position


class FormRow(Part):
    """How some sides are formed. boards: marks from the top down, null for the kit's choice. left_out: for the truck."""

    sides: Annotated[list[Annotated[int, Field(ge=0)]], Field(min_length=1, max_length=MAX_CORNERS)]
    ground: Annotated[list[GroundLevel], Field(max_length=20)] = []
    build: Literal["boards", "panel", "foam-faced", "none"] = "boards"
    boards: Annotated[list[Mark], Field(min_length=1, max_length=3)] | None = None
    backfilled: bool = False
    left_out: bool = False


LATER_STAGES = ("underslab", "steel", "embeds", "screed", "joints", "schedule")


class Plan(Part):
    """One job file. Names are fixed: extend them, never rename."""

    _laid: Any = PrivateAttr(default=None)  # the zones as laid last (geometry/zones.py), for these very fields
    _built: Any = PrivateAttr(default=None)  # the solid as built last (geometry/solid.py)

    format: Literal["humble-trowel-job"] = "humble-trowel-job"
    version: Literal[1] = 1
    name: Name
    client: Note = ""
    contact: Contact = Contact()
    site: Site = Site()
    units: Units
    outline: Ring | None = None
    walk: Walk | None = None
    openings: Annotated[list[Ring], Field(max_length=100)] = []
    slab_types: Annotated[list[SlabType], Field(max_length=100)] = []
    zones: Annotated[list[Zone], Field(max_length=100)] = []
    edge_types: Annotated[list[EdgeType], Field(max_length=100)] = []
    edges: Annotated[list[Edge], Field(max_length=400)] = []
    beam_types: list[BeamType] = []
    beams: list[Beam] = []
    pad_types: list[PadType] = []
    pads: list[Pad] = []
    recesses: list[Recess] = []
    side_pads: list[SidePad] = []
    kerbs: list[Kerb] = []
    mix: Mix = Mix()
    order: OrderNotes = OrderNotes()
    ways: WaysOverride = WaysOverride()
    existing: Annotated[list[Existing], Field(max_length=60)] = []
    set_out: SetOut = SetOut()
    forms: Annotated[list[FormRow], Field(max_length=200)] = []
    build_ups: Annotated[list[BuildUp], Field(max_length=100)] = []
    ground: GroundNotes = GroundNotes()
    underslab: Any = None
    steel: Any = None
    embeds: Any = None
    screed: Any = None
    joints: Any = None
    schedule: Any = None

    @field_validator("existing", "build_ups", mode="before")
    @classmethod
    def _nothing_there(cls, value: Any) -> Any:
        return [] if value is None else value

    @field_validator("walk", mode="before")
    @classmethod
    def _walk_as_text(cls, value: Any) -> Any:
        """A walk may be plain text or a list of call-outs."""
        if isinstance(value, list) and all(isinstance(item, str) for item in value):
            return {"text": "\n".join(value)}
        return {"text": value} if isinstance(value, str) else value


def corner_name(index: int) -> str:
    """Corner letters A..Z, AA, AB ... for index 0, 1 ..."""
    name = ""
    index += 1
    while index:
        index, rest = divmod(index - 1, 26)
        name = chr(65 + rest) + name
    return name


def side_name(index: int, corners: int) -> str:
    """'A to B' for side 0 of an outline with `corners` corners."""
    return f"{corner_name(index)} to {corner_name((index + 1) % corners)}"
