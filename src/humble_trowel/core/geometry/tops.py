"""The top of a zone as planes: level, falling toward a bearing, or a dish of straight facets down to a drain."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import NamedTuple

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.overlay import common
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall, Zone

TIP_MM, HAIR_MM2 = 1.0, 1e-2
STEEPEST = 0.25
SIGHT_MM = 0.5
XY = tuple[float, float]


class Plane(NamedTuple):
    """A value in mm that is linear over the plan: at_0 + per_x * x + per_y * y."""

    at_0: float
    per_x: float = 0.0
    per_y: float = 0.0

    def at(self, x: float, y: float) -> float:
        return self.at_0 + self.per_x * x + self.per_y * y

    def minus(self, other: Plane) -> Plane:
        return Plane(self.at_0 - other.at_0, self.per_x - other.per_x, self.per_y - other.per_y)

    def plus_mm(self, mm: float) -> Plane:
        return Plane(self.at_0 + mm, self.per_x, self.per_y)


class Facet(NamedTuple):
    """A share of the plan over which something is one plane."""

    region: BaseGeometry
    plane: Plane


def top_facets(zone: Zone, whole: BaseGeometry, used: BaseGeometry, path: str) -> tuple[Facet, ...]:
    """The zone's top over `used`, level in mm with 0 = finished top of the main slab.

    whole: the zone before openings, whose highest point (or rim) is at the zone's drop. path: key path for errors.
    Raises PlanError for a fall over 1 in 4, a drain out of sight of a side, or one in a zone of several pieces.
    """
    if isinstance(zone.fall, PlaneFall):
        if zone.fall.rate > STEEPEST:
            raise PlanError(f"{zone.name} falls 1 in {1 / zone.fall.rate:.1f}. Steeper than 1 in 4 will not stand while it is screeded.", f"{path}.fall.rate")  # fmt: skip
        way = math.radians(zone.fall.toward_deg)
        ux, uy = math.sin(way), math.cos(way)
        start = min(x * ux + y * uy for x, y in spots_of(whole))
        rate = zone.fall.rate
        return (Facet(used, Plane(-zone.drop_mm + rate * start, -rate * ux, -rate * uy)),)
    if isinstance(zone.fall, DrainFall) and zone.fall.depth_mm > 0:
        return tuple(_dish(zone, zone.fall, whole, used, path))
    return (Facet(used, Plane(-zone.drop_mm)),)


def _dish(zone: Zone, fall: DrainFall, whole: BaseGeometry, used: BaseGeometry, path: str) -> list[Facet]:
    ring = drained_ring(zone, whole, path)
    facets = []
    dx, dy = fall.at
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        across = (bx - ax) * (dy - ay) - (by - ay) * (dx - ax)
        size = math.hypot(bx - ax, by - ay)
        if across / size <= SIGHT_MM:
            raise PlanError(f"The drain of {zone.name} is not in sight of all its sides. Move the drain, or split the zone.", f"{path}.fall.at")  # fmt: skip
        if fall.depth_mm / (across / size) > STEEPEST:
            raise PlanError(f"{zone.name} falls to its drain steeper than 1 in 4. Move the drain or make it shallower.", f"{path}.fall.depth_mm")  # fmt: skip
        # the distance from the side's line, scaled so that it is the depth at the drain
        slope = fall.depth_mm / across
        per_x, per_y = slope * (by - ay), -slope * (bx - ax)
        top = Plane(-zone.drop_mm - per_x * ax - per_y * ay, per_x, per_y)
        share = Polygon([(ax, ay), (bx, by), fall.at])
        region = share if used is whole else common(share, used)
        if region.area > 0:
            facets.append(Facet(region, top))
    return facets


def drained_ring(zone: Zone, whole: BaseGeometry, path: str) -> list[XY]:
    """Corners of a drained zone, anticlockwise. Raises PlanError unless it is one simple polygon round its drain."""
    fall = zone.fall
    assert isinstance(fall, DrainFall)
    if not isinstance(whole, Polygon) or whole.interiors:
        raise PlanError(
            f"{zone.name} falls to a drain, so it must be one piece without a hole. Split it.", f"{path}.fall"
        )
    if not whole.contains(Point(fall.at)):
        raise PlanError(f"The drain of {zone.name} lies outside it.", f"{path}.fall.at")
    spots = shapely.get_coordinates(shapely.simplify(whole, 0.01))[:-1].tolist()
    ring = [(float(x), float(y)) for x, y in spots]
    return ring if Polygon(ring).exterior.is_ccw else ring[::-1]


def spots_of(region: BaseGeometry) -> list[XY]:
    """All corners of a region."""
    return [(float(x), float(y)) for x, y in shapely.get_coordinates(region).tolist()]


def least_of(facets: Sequence[Facet]) -> float:
    """The lowest value over all facets, mm. The tip of a hairline, left where two borders are one line but for rounding,
    does not count: nothing is poured there."""
    spots = sorted(
        (facet.plane.at(x, y), x, y, at) for at, facet in enumerate(facets) for x, y in spots_of(facet.region)
    )
    for value, x, y, at in spots:
        if facets[at].region.intersection(Point(x, y).buffer(TIP_MM, quad_segs=2)).area > HAIR_MM2:
            return value
    return spots[0][0] if spots else 0.0


def at_spot(facets: Sequence[Facet], spot: XY) -> float:
    """The value at a plan point, mm; of the nearest facet where none holds it."""
    if len(facets) == 1:
        return facets[0].plane.at(*spot)
    point = Point(spot)
    near = min(facets, key=lambda facet: facet.region.distance(point))
    return near.plane.at(*spot)


def depth_facets(zone: Zone, thickness_mm: float, tops: Sequence[Facet], used: BaseGeometry) -> tuple[Facet, ...]:
    """Depth of the slab over the zone: constant under a parallel underside, and under a level one the slab's
    thickness where the top is lowest and more elsewhere."""
    if zone.underside == "parallel" or zone.fall is None:
        return (Facet(used, Plane(thickness_mm)),)
    low = least_of(tops)
    return tuple(Facet(facet.region, facet.plane.plus_mm(thickness_mm - low)) for facet in tops)


def fall_lines(zone: Zone, facets: Sequence[Facet], whole: BaseGeometry) -> list[tuple[XY, XY]]:
    """Lines down the fall, from high to low, for drawing and for its two ends."""
    if isinstance(zone.fall, DrainFall) and isinstance(whole, Polygon):
        return [(spot, zone.fall.at) for spot in spots_of(whole.simplify(0.01))[:-1]]
    if not isinstance(zone.fall, PlaneFall) or not zone.fall.rate or whole.is_empty:
        return []
    way = math.radians(zone.fall.toward_deg)
    ux, uy = math.sin(way), math.cos(way)
    middle = whole.representative_point()
    far = 2 * (whole.length + 1)
    line = LineString([(middle.x - far * ux, middle.y - far * uy), (middle.x + far * ux, middle.y + far * uy)])
    shared = line.intersection(whole)
    parts = [part for part in shapely.get_parts(shared) if part.geom_type == "LineString"]
    longest = max(parts, key=lambda part: float(part.length), default=None)
    if longest is None:
        return []
    a, b = spots_of(longest)[0], spots_of(longest)[-1]
    down = (b[0] - a[0]) * ux + (b[1] - a[1]) * uy > 0
    return [(a, b) if down else (b, a)]
