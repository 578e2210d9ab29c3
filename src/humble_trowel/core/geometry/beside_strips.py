"""Regions on plan of what is poured along the outline beside the slab.

Rule: a lap, a saw cut and a sidewalk reach to the right of their path, mitred at bends; one that grows from one width to
another is a trapezoid on a straight path. A ramp is the rectangle of its upper edge and its run, its flares right triangles
with the run as one leg. What lies in an outline, in an opening of it or under a ramp is no sidewalk.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import less, together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.beside_parts import Lap, Ramp, Sidewalk


def along_mm(path: Sequence[XY]) -> float:
    """Length of a path."""
    return math.fsum(math.dist(a, b) for a, b in pairwise(path))


def strip(path: Sequence[XY], width_mm: float) -> BaseGeometry:
    """Right of a path, as wide as said; round a closed one all round."""
    if len(path) > 3 and math.dist(path[0], path[-1]) < 1e-6:
        whole, ccw = Polygon(path), shapely.LinearRing(path).is_ccw
        moved = whole.buffer(width_mm if ccw else -width_mm, join_style="mitre", mitre_limit=4)
        return less(moved, whole) if ccw else less(whole, moved)
    return LineString(path).buffer(-width_mm, single_sided=True, join_style="mitre", mitre_limit=4)


def right_of(a: XY, b: XY, reach_mm: float) -> XY:
    """The way to the right of a straight path, as long as said."""
    size = math.dist(a, b)
    return (b[1] - a[1]) / size * reach_mm, -(b[0] - a[0]) / size * reach_mm


def _moved(spot: XY, way: XY) -> XY:
    return spot[0] + way[0], spot[1] + way[1]


def lap_region(lap: Lap) -> BaseGeometry:
    """A lap or a filled saw cut on plan."""
    end = lap.width_mm if lap.end_width_mm is None else lap.end_width_mm
    if abs(end - lap.width_mm) < 1e-9:
        return strip(lap.path, lap.width_mm)
    a, b = lap.path[0], lap.path[-1]
    return Polygon([a, _moved(a, right_of(a, b, lap.width_mm)), _moved(b, right_of(a, b, end)), b]).buffer(0)


def ramp_rings(ramp: Ramp) -> tuple[list[XY], list[list[XY]]]:
    """(its rectangle, its flares) on plan."""
    a, b = ramp.path[0], ramp.path[-1]
    out = right_of(a, b, ramp.run_mm)
    c, d = _moved(b, out), _moved(a, out)
    if ramp.flare_mm <= 0:
        return [a, b, c, d], []
    ux, uy = (b[0] - a[0]) / math.dist(a, b), (b[1] - a[1]) / math.dist(a, b)
    before, after = (
        (a[0] - ux * ramp.flare_mm, a[1] - uy * ramp.flare_mm),
        (b[0] + ux * ramp.flare_mm, b[1] + uy * ramp.flare_mm),
    )
    return [a, b, c, d], [[before, a, d], [b, after, c]]


def ramp_region(ramp: Ramp) -> BaseGeometry:
    """A ramp with its flares on plan."""
    ring, flares = ramp_rings(ramp)
    return together([Polygon(ring), *(Polygon(row) for row in flares)])


def sidewalk_region(walk: Sidewalk, taken: BaseGeometry | None) -> BaseGeometry:
    """A sidewalk on plan, less what is taken already."""
    whole = strip(walk.path, walk.width_mm)
    return whole if taken is None else less(whole, taken)
