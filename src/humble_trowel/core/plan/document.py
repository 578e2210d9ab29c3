"""The plan document: one slab, described once. Pydantic models of the job file, version 1.

Lengths are mm; a file may give them as numbers (mm) or as text with units. Unknown keys are errors. Keys of
later stages are kept unharmed. Geometry is checked elsewhere (reading.py): here only shape and size.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import (
    Field,
    StrictBool,
    field_validator,
)

from humble_trowel.core.plan.beside_parts import Lap, Ramp, Sidewalk
from humble_trowel.core.plan.day_parts import PourDay
from humble_trowel.core.plan.embed_parts import Embeds
from humble_trowel.core.plan.footing_parts import Footing, Pour
from humble_trowel.core.plan.ground_parts import BuildUp, GroundNotes
from humble_trowel.core.plan.joint_parts import Joints
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.model import Id, Model, Row
from humble_trowel.core.plan.order_parts import Contact, OrderNotes, Quote
from humble_trowel.core.plan.schedule_parts import Schedule
from humble_trowel.core.plan.screed_parts import Screed
from humble_trowel.core.plan.shape_parts import (
    Beam,
    BeamType,
    Edge,
    EdgeType,
    Kerb,
    Pad,
    PadType,
    Piles,
    Recess,
    SidePad,
    SlabType,
    Zone,
)
from humble_trowel.core.plan.steel_parts import Steel
from humble_trowel.core.plan.underslab_parts import Underslab
from humble_trowel.core.plan.values import (
    MAX_CORNERS,
    Length,
    Mark,
    Name,
    Note,
    Number,
    Point,
    Position,
    Ring,
)
from humble_trowel.core.plan.wall_parts import Wall
from humble_trowel.core.plan.ways import WaysOverride
from humble_trowel.core.units import Units


class Site(Model):
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
    building: Literal["house", "accessory", "garage"] | None = None
    notes: Note = ""


WalkKind = Literal["outline", "zone", "opening"]


class Walk(Model):
    """Typed call-outs as they stand. `start`: the corner or point they leave from, null for corner A at 0, 0."""

    text: Note = ""
    kind: WalkKind = "outline"
    start: Point | None = None


class MeasuredLevel(Model):
    """A level measured on something that stands, at a plan point; 0 is the finished top of the main slab."""

    at: Point
    level_mm: Position


class Existing(Row):
    """What stands beside the work. level_mm: its floor or top; 0 is the finished top of the main slab. levels: where
    it is out of level, point by point."""

    name: Name
    what: Literal["slab", "wall", "walk", "kerb", "other"] = "slab"
    polygon: Ring
    level_mm: Position = 0.0
    levels: Annotated[list[MeasuredLevel], Field(max_length=200)] = []


class LotLine(Model):
    """A line to set out from that is no side: a lot line, a kerb, a string between two pins."""

    name: Name = "Lot line"
    start: Point
    end: Point


class SetOut(Model):
    """hold_side: the side that everything is set out from (side 0 where null), unless a lot line is given."""

    hold_side: Annotated[int, Field(ge=0, lt=MAX_CORNERS)] | None = None
    lot_line: LotLine | None = None
    base_margin_mm: Length | None = None


class GroundLevel(Model):
    """Ground outside a side, `at_mm` from its first corner. level_mm: 0 is the finished top of the main slab."""

    at_mm: Length
    level_mm: Position


class FormRow(Row):
    """How some sides are formed. boards: marks from the top down, null for the kit's choice. left_out: for the truck."""

    sides: Annotated[list[Annotated[int, Field(ge=0)]], Field(min_length=1, max_length=MAX_CORNERS)]
    ground: Annotated[list[GroundLevel], Field(max_length=20)] = []
    build: Literal["boards", "panel", "foam-faced", "none"] = "boards"
    boards: Annotated[list[Mark], Field(min_length=1, max_length=3)] | None = None
    backfilled: StrictBool = False
    left_out: StrictBool = False


class Plan(Model):
    """One job file. Names are fixed: extend them, never rename. corner_ids and opening_ids stand beside their lists."""

    format: Literal["humble-trowel-job"] = "humble-trowel-job"
    version: Literal[1] = 1
    name: Name
    client: Note = ""
    contact: Contact = Contact()
    site: Site = Site()
    units: Units
    outline: Ring | None = None
    corner_ids: Annotated[list[Id], Field(max_length=MAX_CORNERS)] = []
    walk: Walk | None = None
    openings: Annotated[list[Ring], Field(max_length=100)] = []
    opening_ids: Annotated[list[Id], Field(max_length=100)] = []
    slab_types: Annotated[list[SlabType], Field(max_length=100)] = []
    zones: Annotated[list[Zone], Field(max_length=100)] = []
    edge_types: Annotated[list[EdgeType], Field(max_length=100)] = []
    edges: Annotated[list[Edge], Field(max_length=400)] = []
    beam_types: Annotated[list[BeamType], Field(max_length=100)] = []
    beams: Annotated[list[Beam], Field(max_length=400)] = []
    pad_types: Annotated[list[PadType], Field(max_length=100)] = []
    pads: Annotated[list[Pad], Field(max_length=400)] = []
    recesses: Annotated[list[Recess], Field(max_length=200)] = []
    side_pads: Annotated[list[SidePad], Field(max_length=100)] = []
    kerbs: Annotated[list[Kerb], Field(max_length=100)] = []
    laps: Annotated[list[Lap], Field(max_length=100)] = []
    sidewalks: Annotated[list[Sidewalk], Field(max_length=60)] = []
    ramps: Annotated[list[Ramp], Field(max_length=60)] = []
    piles: Annotated[list[Piles], Field(max_length=20)] = []
    footings: Annotated[list[Footing], Field(max_length=200)] = []
    walls: Annotated[list[Wall], Field(max_length=200)] = []
    pours: Annotated[list[Pour], Field(max_length=12)] = []
    mix: Mix = Mix()
    order: OrderNotes = OrderNotes()
    quote: Quote = Quote()
    day: PourDay = PourDay()
    ways: WaysOverride = WaysOverride()
    existing: Annotated[list[Existing], Field(max_length=60)] = []
    set_out: SetOut = SetOut()
    forms: Annotated[list[FormRow], Field(max_length=200)] = []
    build_ups: Annotated[list[BuildUp], Field(max_length=100)] = []
    ground: GroundNotes = GroundNotes()
    underslab: Underslab = Underslab()
    steel: Steel = Steel()
    embeds: Embeds = Embeds()
    screed: Screed = Screed()
    joints: Joints = Joints()
    schedule: Schedule = Schedule()

    @field_validator("quote", "day", "underslab", "steel", "embeds", "screed", "joints", "schedule", mode="before")
    @classmethod
    def _nothing_said(cls, value: Any) -> Any:
        return {} if value is None else value

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
