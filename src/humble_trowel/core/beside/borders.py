"""What of the borders of laps, sidewalks and ramps is formed.

Rule: every straight part of a border gets a board as high as the concrete there, but where the slab, a wall or something old
lies against it, and a sidewalk's along a lap or a ramp; a lap's board stands on the old concrete and is as high as the lap,
and the gap below it where that is filled. A saw cut is formed by what was cut.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.beside.rows import gap_mm, sidewalk_regions
from humble_trowel.core.geometry.beside_strips import lap_region, ramp_region
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.wall_strips import stretches
from humble_trowel.core.plan.document import Plan

STRAIGHT_MM, LEAST_MM, NEAR_MM, HAIR_MM2 = 0.5, 25.0, 0.05, 100.0


@dataclass(frozen=True)
class Border:
    """What is formed of a lap, a sidewalk or a ramp: straight legs, and how high."""

    id: str
    name: str
    high_mm: float
    legs: list[tuple[XY, XY]]

    @property
    def length_mm(self) -> float:
        """All legs."""
        return math.fsum(math.dist(a, b) for a, b in self.legs)


def formed_borders(plan: Plan) -> list[Border]:
    """Laps, then sidewalks, then ramps."""
    feet = {row.id: row for row in plan.footings}
    held: list[BaseGeometry] = [Polygon(plan.outline)] if plan.outline else []
    held += [Polygon(row.ring) for wall in plan.walls for row in stretches(wall, feet[wall.footing])]
    old = [Polygon(row.polygon) for row in plan.existing]
    laps, ramps = [lap_region(row) for row in plan.laps], [ramp_region(row) for row in plan.ramps]
    found = []
    for lap, region in zip(plan.laps, laps, strict=True):
        high = lap.thickness_mm + (gap_mm(plan, lap) if lap.gap == "filled" else 0.0)
        beside = [shape for shape in old if shape.intersection(region).area < HAIR_MM2]  # not what it lies on
        legs = _legs(region, [*held, *beside]) if lap.kind == "lap" else []
        found.append(Border(lap.id, lap.name, high, legs))
    for walk, region in zip(plan.sidewalks, sidewalk_regions(plan), strict=True):
        found.append(Border(walk.id, walk.name, walk.thickness_mm, _legs(region, [*held, *old, *laps, *ramps])))
    for ramp, region in zip(plan.ramps, ramps, strict=True):
        found.append(Border(ramp.id, ramp.name, ramp.thickness_mm, _legs(region, [*held, *old])))
    return found


def _legs(region: BaseGeometry, held: Sequence[BaseGeometry]) -> list[tuple[XY, XY]]:
    border = region.boundary
    if held:
        border = border.difference(shapely.union_all([shape.buffer(NEAR_MM) for shape in held]))
    lines = shapely.line_merge(border) if border.geom_type == "MultiLineString" else border
    found: list[tuple[XY, XY]] = []
    for line in shapely.get_parts(shapely.simplify(lines, STRAIGHT_MM)):
        spots = [(float(x), float(y)) for x, y in line.coords]
        found += [(a, b) for a, b in pairwise(spots) if math.dist(a, b) > LEAST_MM]
    return found
