"""Edits of slab types and zones: a walk from side to side adds, splits or carves a zone."""

from __future__ import annotations

from typing import Any, Literal

from shapely.geometry import LineString, Polygon

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    Spot,
    Title,
    Typed,
    TypeMark,
    ZoneId,
    ring_needed,
    with_row,
)
from humble_trowel.core.edits.outline import start_of
from humble_trowel.core.edits.zone_walks import carve, side_to_side, split_zone
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.ring import ring_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.shape_parts import SlabType, Zone
from humble_trowel.core.units import parse_length, say_depth

USE_WORDS = {"foot": "people", "cars": "cars", "trucks": "trucks", "racks": "racks"}


class SetSlabType(EditBase):
    """Change a slab type's thickness, or add a type with a new mark."""

    op: Literal["set_slab_type"]
    mark: TypeMark
    thickness: Typed

    def apply(self, plan: Plan) -> Edited:
        size = parse_length(self.thickness, plan.units, bare="in")
        if size <= 0:
            raise EditError("A slab needs a thickness of more than nothing.", "thickness")
        row = SlabType(mark=self.mark, thickness_mm=size)
        rows = [row if old.mark == self.mark else old for old in plan.slab_types]
        if row not in rows:
            rows.append(row)
        return plan.model_copy(update={"slab_types": rows}), f"{self.mark} {say_depth(size, plan.units)} thick"


class RemoveSlabType(EditBase):
    """Take out a slab type that no zone uses."""

    op: Literal["remove_slab_type"]
    mark: TypeMark

    def apply(self, plan: Plan) -> Edited:
        used = [zone.name for zone in plan.zones if zone.slab == self.mark]
        if used:
            raise EditError(f"{self.mark} is the slab of {', '.join(used)}. Give that another slab first.")
        changes = {
            "slab_types": [row for row in plan.slab_types if row.mark != self.mark],
            "build_ups": [row for row in plan.build_ups if row.slab != self.mark],
        }
        return plan.model_copy(update=changes), f"{self.mark} taken out"


class SetZone(EditBase):
    """Change a zone's name, slab, drop, fall, underside or use; drop_mm may be text."""

    op: Literal["set_zone"]
    zone: ZoneId
    changes: dict[Literal["name", "slab", "drop_mm", "fall", "underside", "use"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "zones", self.zone, "zone")
        old = plan.zones[at]
        update: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        if "drop_mm" in update:
            update["drop_mm"] = parse_length(update["drop_mm"], plan.units, bare="in")
        zone = Zone.model_validate({**old.model_dump(), **update}, context={"units": plan.units})
        said = ", ".join(_change_words(old, zone, plan)) or "unchanged"
        return with_row(plan, "zones", at, zone), f"{zone.name}: {said}"


def _change_words(old: Zone, new: Zone, plan: Plan) -> list[str]:
    words = []
    if old.name != new.name:
        words.append(f"was {old.name}")
    if old.slab != new.slab:
        words.append(f"slab {new.slab}")
    if old.drop_mm != new.drop_mm:
        words.append(f"drop {say_depth(new.drop_mm, plan.units)}")
    if old.use != new.use:
        words.append(f"for {USE_WORDS[new.use]}" if new.use else "nobody says what for")
    if old.fall != new.fall or old.underside != new.underside:
        words.append("fall changed")
    return words


class RemoveZone(EditBase):
    """Give a zone's ground to the rest, or to the zone with which it shares the longest border."""

    op: Literal["remove_zone"]
    zone: ZoneId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "zones", self.zone, "zone")
        if len(plan.zones) < 2:
            raise EditError("The last zone stays: every part of the outline needs a slab.")
        zone = plan.zones[at]
        others = [row for i, row in enumerate(plan.zones) if i != at]
        if zone.polygon is None:
            largest = max(range(len(others)), key=lambda i: Polygon(others[i].polygon).area)
            others[largest] = others[largest].model_copy(update={"polygon": None})
        elif all(row.polygon is not None for row in others):
            gone = Polygon(zone.polygon)
            best = max(range(len(others)), key=lambda i: gone.intersection(Polygon(others[i].polygon)).length)
            merged = gone.union(Polygon(others[best].polygon))
            polygon = ring_of(merged) if isinstance(merged, Polygon) and not merged.interiors else None
            others[best] = others[best].model_copy(update={"polygon": polygon})
        return plan.model_copy(update={"zones": others}), f"{zone.name} taken out"


class WalkZone(EditBase):
    """A zone by a walk: outside from side to side it adds ground; inside from side to side it splits a zone; a closed
    walk inside carves one."""

    op: Literal["walk_zone"]
    text: Calls
    name: Title = ""
    slab: TypeMark | None = None
    drop: Typed = 0.0

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        start = start_of(plan, self.text)
        if start is None:
            raise CallError("Where does it start? Begin with from B 3' n, then the sides.", path="text")
        walked = walk(self.text, plan.units, start)
        if walked.heard.problem:
            raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
        zone = self._zone(plan)
        if walked.closed:
            return carve(plan, walked.points[:-1], zone)
        return side_to_side(plan, ring, walked, zone)

    def _zone(self, plan: Plan) -> Zone:
        drop_mm = parse_length(self.drop, plan.units, bare="in")
        return Zone(name=_free_name(plan, self.name), slab=self.slab or plan.zones[0].slab, drop_mm=drop_mm)


def _free_name(plan: Plan, name: str) -> str:
    taken = {zone.name for zone in plan.zones}
    return name.strip() or next(f"Zone {i}" for i in range(2, 999) if f"Zone {i}" not in taken)


class PartZone(EditBase):
    """Part a zone by a straight line through a point, north-south or east-west; what lies west or north of the line
    becomes the new zone, of the same slab and drop."""

    op: Literal["part_zone"]
    zone: ZoneId
    at: Spot
    along: Literal["n", "e"]
    name: Title = ""

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        index = place_of(plan, "zones", self.zone, "zone")
        own = plan.zones[index]
        (x, y), far = self.at, 2 * Polygon(ring).length
        ends = [(x, y - far), (x, y + far)] if self.along == "n" else [(x - far, y), (x + far, y)]
        zone = Zone(name=_free_name(plan, self.name), slab=own.slab, drop_mm=own.drop_mm)
        return split_zone(plan, LineString(ends), zone, index)


ZONE_EDITS = (SetSlabType, RemoveSlabType, SetZone, RemoveZone, WalkZone, PartZone)
