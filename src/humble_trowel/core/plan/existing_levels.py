"""Levels measured on what stands beside the slab, and a zone that follows them."""

from __future__ import annotations

import math

from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.match import EVEN_MM, matches
from humble_trowel.core.geometry.tops import spots_of
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Existing, MeasuredLevel, Plan, side_name
from humble_trowel.core.plan.levels_said import read_level
from humble_trowel.core.plan.outline_edits import Edited, ring_needed
from humble_trowel.core.plan.shape_edit_kinds import ClearLevels, FollowSide, MeasureLevel
from humble_trowel.core.plan.shape_parts import PlaneFall
from humble_trowel.core.units import parse_length, say_depth, say_length

TOUCH_MM = 30.0
LEVEL_RATE = 1e-5


def beside(plan: Plan, side: int) -> int:
    """Index of what stands against a side. Raises EditError where nothing does."""
    ring = ring_needed(plan)
    if side >= len(ring):
        raise EditError(f"There is no side {side}.", "side")
    line = LineString([ring[side], ring[(side + 1) % len(ring)]])
    near = [(line.distance(Polygon(thing.polygon)), at) for at, thing in enumerate(plan.existing)]
    if not near or min(near)[0] > TOUCH_MM:
        words = f"Nothing stands against {side_name(side, len(ring))}. Draw it under Around, in Lines."
        raise EditError(words, "side")
    return min(near)[1]


def measure_level(plan: Plan, edit: MeasureLevel) -> Edited:
    """Add a level on what stands against a side; one at the same spot replaces the old."""
    at = beside(plan, edit.side)
    ring = ring_needed(plan)
    a, b = ring[edit.side], ring[(edit.side + 1) % len(ring)]
    size = math.dist(a, b)
    along = parse_length(edit.along, plan.units)
    if along > size + 1:
        words = f"{side_name(edit.side, len(ring))} is {say_length(size, plan.units)} long; {say_length(along, plan.units)} is past its end."
        raise EditError(words, "along")
    spot = (a[0] + (b[0] - a[0]) * along / size, a[1] + (b[1] - a[1]) * along / size)
    level = read_level(edit.level, plan)
    thing = plan.existing[at]
    rows = [row for row in thing.levels if math.dist(row.at, spot) > 10] + [MeasuredLevel(at=spot, level_mm=level)]
    words = f"{thing.name} {say_depth(abs(level), plan.units)} {'below' if level < 0 else 'above'} zero there"
    return _with(plan, at, thing.model_copy(update={"levels": rows})), words


def _with(plan: Plan, at: int, row: Existing) -> Plan:
    return plan.model_copy(update={"existing": [row if k == at else old for k, old in enumerate(plan.existing)]})


def clear_levels(plan: Plan, edit: ClearLevels) -> Edited:
    """Forget all levels measured on something."""
    if edit.existing >= len(plan.existing):
        raise EditError("There is no such thing beside the work.")
    thing = plan.existing[edit.existing]
    return _with(plan, edit.existing, thing.model_copy(update={"levels": []})), f"{thing.name}: levels forgotten"


def follow_side(plan: Plan, edit: FollowSide) -> Edited:
    """The zone beside the side takes the best straight line through the levels measured along it."""
    cells = lay_zones(plan)
    match = next((row for row in matches(plan, cells) if row.side == edit.side), None)
    if match is None:
        raise EditError("Measure the floor at two spots along this side first.", "side")
    ring = ring_needed(plan)
    a, b = ring[edit.side], ring[(edit.side + 1) % len(ring)]
    size = math.dist(a, b)
    sign = -1.0 if match.best_per_mm > 0 else 1.0
    ux, uy = sign * (b[0] - a[0]) / size, sign * (b[1] - a[1]) / size
    rate = abs(match.best_per_mm)
    zone = plan.zones[match.zone]
    cell = next(one for one in cells if one.index == match.zone)
    fall = None
    high = match.best_start_mm
    if rate > LEVEL_RATE:
        fall = PlaneFall(kind="plane", toward_deg=round(math.degrees(math.atan2(ux, uy)) % 360, 6), rate=rate)
        start = min((x - a[0]) * ux + (y - a[1]) * uy for x, y in spots_of(cell.whole))
        high = match.best_start_mm - rate * start
    if high > EVEN_MM:
        words = f"The floor lies {say_depth(high, plan.units)} over the main slab's top. Call that floor zero, and drop the rest."
        raise EditError(words, "side")
    row = zone.model_copy(update={"fall": fall, "drop_mm": max(0.0, -high)})
    zones = [row if k == match.zone else old for k, old in enumerate(plan.zones)]
    return plan.model_copy(update={"zones": zones}), f"{zone.name} follows {match.against}"
