"""Sides, lines and points of rings: what every walk round a polygon needs. A ring is a list of (x, y) in mm, not closed."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY, corner_angle_rad, signed_area_m2


def side_of(ring: Sequence[XY], side: int) -> tuple[XY, XY]:
    """Both ends of side `side`, from its first corner; the last side runs back to corner 0."""
    return ring[side], ring[(side + 1) % len(ring)]


def around(ring: Sequence[XY], corner: int) -> tuple[XY, XY, XY]:
    """The corner before, the corner itself, and the one after."""
    return ring[corner - 1], ring[corner], ring[(corner + 1) % len(ring)]


def angle_at(ring: Sequence[XY], corner: int) -> float:
    """Interior angle of an anticlockwise ring at a corner, rad."""
    return corner_angle_rad(*around(ring, corner))


def sides_of(ring: Sequence[XY]) -> Iterator[tuple[XY, XY]]:
    """(start, end) of every side in turn."""
    return zip(ring, [*ring[1:], *ring[:1]], strict=True)


def closed(ring: Sequence[XY]) -> list[XY]:
    """The ring with its first corner again at its end, as a line."""
    return [*ring, *ring[:1]]


def unit(a: XY, b: XY) -> XY:
    """Unit vector from a to b. Raises ZeroDivisionError where both are one spot."""
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size)


def point_along(a: XY, b: XY, along_mm: float) -> XY:
    """The point `along_mm` from a toward b; past the ends on the same line."""
    t = along_mm / math.dist(a, b)
    return (a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]))


def middle_of(a: XY, b: XY) -> XY:
    """The point half way."""
    return ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)


def foot_on(spot: XY, a: XY, b: XY) -> XY:
    """The point of the stretch a-b that lies nearest to `spot`."""
    dx, dy = b[0] - a[0], b[1] - a[1]
    size = dx * dx + dy * dy
    t = ((spot[0] - a[0]) * dx + (spot[1] - a[1]) * dy) / size if size else 0.0
    t = min(1.0, max(0.0, t))
    return (a[0] + t * dx, a[1] + t * dy)


def distance_to_side(spot: XY, a: XY, b: XY) -> float:
    """Distance in mm from a point to the side a-b."""
    return math.dist(spot, foot_on(spot, a, b))


def ring_of(polygon: BaseGeometry, start: XY | None = None) -> list[XY]:
    """An exterior as an anticlockwise list, begun at the corner nearest to `start` where given."""
    assert isinstance(polygon, Polygon)
    ring = [(float(x), float(y)) for x, y in polygon.exterior.coords[:-1]]
    if signed_area_m2(ring) < 0:
        ring.reverse()
    if start is not None:
        first = min(range(len(ring)), key=lambda i: math.dist(ring[i], start))
        ring = ring[first:] + ring[:first]
    return ring


def longest_way_deg(ring: Sequence[XY]) -> float:
    """The way the longest side runs, from east, 0 to 90 degrees."""
    (ax, ay), (bx, by) = max(zip(ring, [*ring[1:], ring[0]], strict=True), key=lambda pair: math.dist(*pair))
    return round(math.degrees(math.atan2(by - ay, bx - ax)) % 90.0, 6) % 90.0
