"""Foam lying flat outside a shallow edge: along the walls and wider at outer corners, as areas on the plan.

Overlaps count once; at an outer corner the square between the two strips is filled (assumed; the table's drawing
shows it so).
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM, less
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import around, side_of

SMALL_RAD = 1e-6


@dataclass(frozen=True)
class Wings:
    """Areas along walls and at corners; rings on the plan, mm."""

    walls_m2: float
    corners_m2: float
    wall_rings: list[list[XY]]
    corner_rings: list[list[XY]]


def wings(ring: list[XY], sides: Sequence[int], wing_mm: float, corner_mm: float, length_mm: float) -> Wings:
    """Foam lying flat: strips `wing_mm` wide outside the sides; at outer corners `corner_mm` wide for `length_mm` each way.

    ring: the outline, mm. sides: those open to the weather. Rings in mm, areas in m2, walls and corners apart.
    """
    n = len(ring)
    picked = set(sides)
    outline = Polygon(ring)
    along, corners = [], []
    for side in sides:
        a, b = side_of(ring, side)
        along.append(_strip(a, b, 0.0, math.dist(a, b), wing_mm))
        size = math.dist(a, b)
        for at_end, corner, other in ((False, side, (side - 1) % n), (True, (side + 1) % n, (side + 1) % n)):
            if other not in picked or not _convex(ring, corner):
                continue
            reach = min(length_mm, size)
            low, high = (size - reach, size) if at_end else (0.0, reach)
            corners.append(_strip(a, b, low, high, corner_mm))
            if at_end:
                corners.append(_kite(ring, corner, corner_mm))
    at_corners = less(_whole(corners), outline)
    walls = less(less(_whole(along), outline), at_corners)
    return Wings(walls.area / 1e6, at_corners.area / 1e6, _rings(walls), _rings(at_corners))


def _strip(a: XY, b: XY, low: float, high: float, wide: float) -> Polygon:
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    p, q = (a[0] + low * ux, a[1] + low * uy), (a[0] + high * ux, a[1] + high * uy)
    return Polygon([p, q, (q[0] + wide * uy, q[1] - wide * ux), (p[0] + wide * uy, p[1] - wide * ux)])


def _convex(ring: list[XY], corner: int) -> bool:
    a, p, b = around(ring, corner)
    return (p[0] - a[0]) * (b[1] - p[1]) - (p[1] - a[1]) * (b[0] - p[0]) > SMALL_RAD * math.dist(a, p) * math.dist(p, b)


def _kite(ring: list[XY], corner: int, wide: float) -> Polygon:
    """The outer square (kite) between the strips of both sides."""
    a, p, b = around(ring, corner)
    one, two = math.dist(a, p), math.dist(p, b)
    n1 = ((p[1] - a[1]) / one, -(p[0] - a[0]) / one)
    n2 = ((b[1] - p[1]) / two, -(b[0] - p[0]) / two)
    fold = max(0.25, 1 + n1[0] * n2[0] + n1[1] * n2[1])
    tip = (p[0] + wide * (n1[0] + n2[0]) / fold, p[1] + wide * (n1[1] + n2[1]) / fold)
    return Polygon([p, (p[0] + wide * n1[0], p[1] + wide * n1[1]), tip, (p[0] + wide * n2[0], p[1] + wide * n2[1])])


def _whole(shapes: Sequence[Polygon]) -> BaseGeometry:
    return shapely.union_all(list(shapes), grid_size=GRID_MM) if shapes else Polygon()


def _rings(region: BaseGeometry) -> list[list[XY]]:
    return [
        [(round(x, 1), round(y, 1)) for x, y in shapely.get_coordinates(ring)[:-1].tolist()]
        for part in shapely.get_parts(region)
        if part.geom_type == "Polygon" and part.area > 100
        for ring in (part.exterior, *part.interiors)
    ]
