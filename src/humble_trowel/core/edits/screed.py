"""Edits of strips: a plan taken, pad lines and strips called, moved and put in order, places of the truck.

After each, every part of the slab between the lines has its strip: those that still lie in a part keep their id and place.
"""

from __future__ import annotations

import math
from typing import Annotated, Literal

from pydantic import Field
from shapely.geometry import LineString, Point

from humble_trowel.core.edits.across import EDGE_MM, chord
from humble_trowel.core.edits.base import (
    Coordinate,
    EditBase,
    Edited,
    PadLineId,
    Spot,
    StandId,
    StripId,
    ring_needed,
)
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.top_faces import Face, face_at, faces_of, parting_lines, tops_of
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import made_id, place_of, with_ids
from humble_trowel.core.plan.screed_parts import Brings, PadLine, Rides, ScreedStrip, TruckStand
from humble_trowel.core.plan.values import Length
from humble_trowel.core.units import say_length

INSIDE_MM = 50.0  # a spot so near a border finds its strip no more once that moves


def with_screed(plan: Plan, **changes: object) -> Plan:
    """The plan with other strips, pad lines or places, its strips matched to its parts anew."""
    plan = plan.model_copy(update={"screed": plan.screed.model_copy(update=changes)})
    return plan.model_copy(update={"screed": plan.screed.model_copy(update={"strips": _matched(plan)})})


def _matched(plan: Plan) -> list[ScreedStrip]:
    """One strip for every part, in the order there was; new parts where the strip they were cut from stood."""
    ring_needed(plan)
    faces = faces_of(tops_of(lay_zones(plan)), parting_lines(plan))
    left = sorted(faces, key=lambda one: one.spot)
    rows: list[ScreedStrip] = []
    own: dict[str, Face] = {}
    named = with_ids(plan).screed.strips
    taken = {row.id for row in named}
    for row in named:
        found = face_at(left, row.at)
        if found is not None:
            left.remove(found)
            own[row.id] = found
            edgy = found.area.exterior.distance(Point(row.at)) < INSIDE_MM
            rows.append(row.model_copy(update={"at": found.spot}) if edgy else row)
    for face in left:
        near = [i for i, row in enumerate(rows) if _cut_apart(face, own[row.id])]
        new = ScreedStrip(id=made_id("gs", [round(v) for v in face.spot], taken), at=face.spot)
        own[new.id] = face
        rows.insert(near[0] + 1 if near else len(rows), new)
    return rows


def _cut_apart(one: Face, other: Face) -> bool:
    """Whether two faces of one top touch along a line."""
    shared = one.area.buffer(1.0, join_style="mitre").intersection(other.area)
    return one.top is other.top and shared.length > 100.0


class LayStrips(EditBase):
    """Take a whole plan in place of the strips and pad lines there are; places of the truck only where there are none yet."""

    op: Literal["lay_strips"]
    pads: Annotated[list[tuple[Spot, Spot]], Field(max_length=80)]
    strips: Annotated[list[Spot], Field(max_length=80)]
    stands: Annotated[list[Spot], Field(max_length=20)] = []

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        had = {(row.start, row.end): row for row in plan.screed.pads}
        pads = [had.get((a, b)) or PadLine(start=a, end=b) for a, b in self.pads]
        strips = [ScreedStrip(at=at) for at in self.strips]
        stands = plan.screed.standing or [TruckStand(at=at) for at in self.stands]
        made = with_screed(plan, pads=pads, strips=strips, standing=stands)
        return made, f"{len(made.screed.strips)} strips, {len(pads)} pad line{'' if len(pads) == 1 else 's'}"


class LayPadLine(EditBase):
    """A pad line from edge to edge."""

    op: Literal["lay_pad_line"]
    ends: tuple[Spot, Spot]

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        made = LineString(self.ends)
        if made.length < EDGE_MM:
            raise EditError("That pad line is too short.", "ends")
        if any(LineString([row.start, row.end]).hausdorff_distance(made) < EDGE_MM for row in plan.screed.pads):
            raise EditError("A pad line runs there already.", "ends")
        row = PadLine(start=self.ends[0], end=self.ends[1])
        after = with_screed(plan, pads=[*plan.screed.pads, row])
        return after, f"A pad line, {len(after.screed.strips)} strips"


class MovePadLine(EditBase):
    """Move a pad line aside, so that it goes through a spot; it still runs the same way, from edge to edge."""

    op: Literal["move_pad_line"]
    pad: PadLineId
    to: tuple[Coordinate, Coordinate]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "pad_lines", self.pad, "pad")
        row = plan.screed.pads[at]
        size = math.dist(row.start, row.end)
        way = ((row.end[0] - row.start[0]) / size, (row.end[1] - row.start[1]) / size)
        start, end = _within(plan, row, self.to, way)
        rows = list(plan.screed.pads)
        rows[at] = row.model_copy(update={"start": start, "end": end})
        return with_screed(plan, pads=rows), "Pad line moved"


def _within(plan: Plan, row: PadLine, to: XY, way: XY) -> tuple[XY, XY]:
    """The line through a spot: inside the part of one plane that it lay in, where it lay in one."""
    lay = LineString([row.start, row.end])
    for top in tops_of(lay_zones(plan)):
        if top.area.buffer(2.0).covers(lay) and top.area.buffer(2.0).covers(Point(to)):
            return chord(plan, to, way, "to", top.area)
    return chord(plan, to, way, "to")


class SetPadLine(EditBase):
    """How a pad line is ridden on; null as the crew does."""

    op: Literal["set_pad_line"]
    pad: PadLineId
    rides: Rides | None = None

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "pad_lines", self.pad, "pad")
        rows = list(plan.screed.pads)
        rows[at] = rows[at].model_copy(update={"rides": self.rides})
        return with_screed(plan, pads=rows), "Pad line set"


class TakeOutPadLine(EditBase):
    """Take a pad line out."""

    op: Literal["take_out_pad_line"]
    pad: PadLineId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "pad_lines", self.pad, "pad")
        return with_screed(plan, pads=[row for i, row in enumerate(plan.screed.pads) if i != at]), "Pad line taken out"


class SetStrip(EditBase):
    """A strip's board and the way it is pulled, where given; null as it is best."""

    op: Literal["set_strip"]
    strip: StripId
    board_mm: Length | None = None
    toward_deg: Annotated[float, Field(ge=-360, le=720)] | None = None

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "strips", self.strip, "strip")
        rows = list(plan.screed.strips)
        changes: dict[str, object] = {
            key: getattr(self, key) for key in ("board_mm", "toward_deg") if key in self.model_fields_set
        }
        if self.board_mm is not None and not 300 <= self.board_mm <= 30_000:
            raise EditError("A board is between 1 and 100 feet long.", "board_mm")
        rows[at] = rows[at].model_copy(update=changes)
        said = f" with {say_length(self.board_mm, plan.units)}" if self.board_mm else ""
        said += f" toward {self.toward_deg:.0f}°" if self.toward_deg is not None else ""
        return with_screed(plan, strips=rows), f"Strip {at + 1}{said}"


class OrderStrips(EditBase):
    """Put strips in an order; those not named come after, as they stood."""

    op: Literal["order_strips"]
    strips: Annotated[list[StripId], Field(min_length=1, max_length=80)]

    def apply(self, plan: Plan) -> Edited:
        for name in self.strips:
            place_of(plan, "strips", name, "strips")
        place = {name: i for i, name in enumerate(dict.fromkeys(self.strips))}
        rows = sorted(plan.screed.strips, key=lambda row: place.get(row.id, len(place)))
        return with_screed(plan, strips=rows), "Order of the strips"


class SetTruckStand(EditBase):
    """Move a place of the truck, or say what brings the concrete from there and how far."""

    op: Literal["set_truck_stand"]
    stand: StandId
    at: Spot | None = None
    brings: Brings | None = None
    reach_mm: Length | None = None

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "stands", self.stand, "stand")
        rows = list(plan.screed.standing)
        changes: dict[str, object] = {
            key: getattr(self, key) for key in ("at", "brings", "reach_mm") if key in self.model_fields_set
        }
        rows[at] = rows[at].model_copy(update=changes)
        return with_screed(plan, standing=rows), "Place of the truck"


class TakeOutTruckStand(EditBase):
    """Take a place of the truck out."""

    op: Literal["take_out_truck_stand"]
    stand: StandId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "stands", self.stand, "stand")
        rows = [row for i, row in enumerate(plan.screed.standing) if i != at]
        return with_screed(plan, standing=rows), "Place of the truck taken out"


STRIP_EDITS = (
    LayStrips,
    LayPadLine,
    MovePadLine,
    SetPadLine,
    TakeOutPadLine,
    SetStrip,
    OrderStrips,
    SetTruckStand,
    TakeOutTruckStand,
)
