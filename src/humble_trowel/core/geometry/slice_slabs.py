"""Slabs for the slices: which thickness lies where, falls and level undersides read afresh from the plan.

Shares nothing with zones.py and tops.py, so that a mistake in one reading of the rule shows as a disagreement.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall, Zone

Array = NDArray[np.float64]


@dataclass(frozen=True)
class Slab:
    """A ring in which the slab is at_0 + per_x * x + per_y * y deep, mm."""

    ring: tuple[XY, ...]
    at_0: float
    per_x: float = 0.0
    per_y: float = 0.0

    @property
    def tilted(self) -> bool:
        return bool(self.per_x or self.per_y)

    def at(self, x: Array, y: Array) -> Array:
        return np.asarray(self.at_0 + self.per_x * x + self.per_y * y, dtype=np.float64)


def plan_slabs(plan: Plan) -> tuple[Slab, list[Slab]]:
    """(the slab of the rest of the outline, the others with their rings; a ring stands for its inside)."""
    thick = {row.mark: row.thickness_mm for row in plan.slab_types}
    rest = next((zone for zone in plan.zones if zone.polygon is None), None)
    base = Slab((), thick[rest.slab] if rest else 0.0)
    others: list[Slab] = []
    if rest is not None and rest.fall is not None and rest.underside == "level":
        whole: BaseGeometry = Polygon(plan.outline)
        for zone in plan.zones:
            if zone.polygon:
                whole = whole.difference(Polygon(zone.polygon), grid_size=1e-3)
        rings = [tuple(part.exterior.coords[:-1]) for part in getattr(whole, "geoms", [whole])]
        rows = _level(plan, rest, rings, thick[rest.slab])
        if isinstance(rest.fall, PlaneFall):
            base = Slab((), *rows[0])
        else:
            others += [Slab(ring, *row) for ring, row in zip(_triangles(rings[0], rest.fall), rows, strict=True)]
    for zone in plan.zones:
        if not zone.polygon:
            continue
        own = tuple(zone.polygon)
        if zone.fall is None or zone.underside == "parallel":
            if thick[zone.slab] != base.at_0 or base.tilted:
                others.append(Slab(own, thick[zone.slab]))
            continue
        rows = _level(plan, zone, [own], thick[zone.slab])
        shares = _triangles(own, zone.fall) if isinstance(zone.fall, DrainFall) else [own]
        others += [Slab(ring, *row) for ring, row in zip(shares, rows, strict=True)]
    return base, others


def _triangles(ring: tuple[XY, ...], fall: DrainFall) -> list[tuple[XY, ...]]:
    return [(a, b, fall.at) for a, b in zip(ring, [*ring[1:], ring[0]], strict=True)]


def _level(plan: Plan, zone: Zone, rings: list[tuple[XY, ...]], thick: float) -> list[tuple[float, float, float]]:
    """Depth planes over a level underside: the thickness where the used ground is lowest."""
    used = shapely.union_all([Polygon(ring) for ring in rings])
    for hole in plan.openings:
        used = used.difference(Polygon(hole))
    if isinstance(zone.fall, PlaneFall):
        east, north = math.sin(math.radians(zone.fall.toward_deg)), math.cos(math.radians(zone.fall.toward_deg))
        runs = [x * east + y * north for x, y in shapely.get_coordinates(used).tolist()]
        return [(thick + zone.fall.rate * max(runs), -zone.fall.rate * east, -zone.fall.rate * north)]
    assert isinstance(zone.fall, DrainFall)
    rows = []
    low = 0.0
    for (ax, ay), (bx, by), _ in _triangles(rings[0], zone.fall):
        # height over the rim as a plane through both corners (0) and the drain (-depth)
        matrix = np.array([[1.0, ax, ay], [1.0, bx, by], [1.0, *zone.fall.at]])
        row = np.linalg.solve(matrix, np.array([0.0, 0.0, -zone.fall.depth_mm]))
        share = Polygon([(ax, ay), (bx, by), zone.fall.at]).intersection(used)
        tops = [float(row @ (1.0, x, y)) for x, y in shapely.get_coordinates(share).tolist()]
        low = min([low, *tops])
        rows.append(row)
    return [(float(row[0]) + thick - low, float(row[1]), float(row[2])) for row in rows]
