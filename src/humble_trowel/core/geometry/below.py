"""Footings and walls as they stand in the ground: their concrete once each, and the trenches dug for footings.

Rule: a trench is as wide as the bucket dug it, else as the footing, and goes from the ground down to the footing's bottom.
Footings fill their trench to its sides; walls are as thick as they are. What two of them share counts once.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from itertools import pairwise

from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry
from shapely.ops import substring

from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.footing_strips import Prism, prisms, swept
from humble_trowel.core.geometry.overlay import common, less, together
from humble_trowel.core.geometry.shares import convex_rings, ring_volume_m3, split
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.geometry.wall_strips import goes_round, stretches, to_mm
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing


@dataclass(frozen=True)
class Stood:
    """Concrete between two levels, mm, over a region that nothing else between them shares."""

    region: BaseGeometry
    bottom_mm: float
    top_mm: float


@dataclass(frozen=True)
class Trench:
    """A stretch of trench: no two of them share a spot. bottom_mm: where the digging ends."""

    region: BaseGeometry
    bottom_mm: float


def dug_wide_mm(footing: Footing) -> float:
    """How wide a footing's trench is."""
    return max(footing.width_mm, footing.dug_width_mm or 0.0)


def stood_below(plan: Plan) -> list[Stood]:
    """Concrete of footings, as wide as dug, and of walls, level by level."""
    rows = [row for one in plan.footings for row in prisms(one, dug_wide_mm(one))]
    feet = {row.id: row for row in plan.footings}
    for wall in plan.walls:
        for at in stretches(wall, feet[wall.footing]):
            rows.append(Prism(Polygon(at.ring), at.bottom_mm, at.top_mm))
    levels = sorted({level for row in rows for level in (row.bottom_mm, row.top_mm)})
    found = []
    for low, high in pairwise(levels):
        there = [row.region for row in rows if row.bottom_mm <= low and row.top_mm >= high]
        if there:
            found.append(Stood(there[0] if len(there) == 1 else together(there), low, high))
    return found


def trenches(plan: Plan) -> list[Trench]:
    """Trenches of the footings, the deepest first; where two cross, the deeper one is there."""
    rows = sorted(
        (row for one in plan.footings for row in prisms(one, dug_wide_mm(one))), key=lambda row: row.bottom_mm
    )
    found: list[Trench] = []
    before: BaseGeometry = Polygon()
    for row in rows:
        own = less(row.region, before)
        if own.area > 1.0:
            found.append(Trench(own, row.bottom_mm))
            before = together([before, row.region]) if not before.is_empty else row.region
    return found


def over_m3(region: BaseGeometry, plane: Plane) -> float:
    """What lies between nothing and a plane over a region, m3, where the plane is above nothing."""
    if not plane.per_x and not plane.per_y:
        return float(region.area) * max(0.0, plane.at_0) / 1e9
    above = (split(ring, plane)[0] for ring in convex_rings(region))
    return math.fsum(ring_volume_m3(ring, plane) for ring in above if ring)


def stood_under_m3(rows: Iterable[Stood], region: BaseGeometry, plane: Plane) -> float:
    """Concrete of footings and walls that lies under a plane, over a region, m3."""
    total = []
    for row in rows:
        if not row.region.intersects(region):
            continue
        own = common(row.region, region)
        if own.area > 0:
            total.append(over_m3(own, plane.plus_mm(-row.bottom_mm)) - over_m3(own, plane.plus_mm(-row.top_mm)))
    return math.fsum(total)


def beyond_walls(plan: Plan, wide_mm: float) -> BaseGeometry:
    """Walls with what lies beyond them on both sides, as far as `wide_mm`: no base of the slab runs through a wall."""
    feet = {row.id: row for row in plan.footings}
    shapes: list[BaseGeometry] = []
    for wall in plan.walls:
        footing = feet[wall.footing]
        half = abs(wall.offset_mm) + wall.thickness_mm / 2 + wide_mm
        if goes_round(wall, footing):
            shapes.append(swept(footing.path, 2 * half, closed=True))
            continue
        path = _part(footing.path, wall.from_mm, to_mm(wall, footing))
        shapes.append(swept(path, 2 * half, closed=is_closed(path)))
    return together(shapes) if shapes else Polygon()


def _part(path: Sequence[tuple[float, float]], start_mm: float, end_mm: float) -> list[tuple[float, float]]:
    return [(float(x), float(y)) for x, y in substring(LineString(path), start_mm, end_mm).coords]
