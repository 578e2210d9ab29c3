"""Which slab lies where: the zones laid on the outline, each with a top and a depth that are planes by facet.

A cell is one zone's share of the outline less openings. A drain's dish is one facet a side; a level underside
under a fall makes the depth a plane too.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.overlay import areas_only, common, less
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, check_ring, signed_area_m2
from humble_trowel.core.geometry.tops import Facet, at_spot, depth_facets, top_facets
from humble_trowel.core.memo import Recent
from humble_trowel.core.plan.document import Plan, corner_name

AREA_SLACK_M2 = 1e-4


@dataclass(frozen=True)
class Cell:
    """A zone on the plan. `index` into plan.zones; `region` may have holes and several pieces.

    whole: the region before openings. tops: level of the top by facet. depths: depth of the slab by facet.
    """

    index: int
    name: str
    mark: str
    thickness_mm: float
    region: BaseGeometry
    whole: BaseGeometry
    tops: tuple[Facet, ...]
    depths: tuple[Facet, ...]

    def top_at(self, spot: XY) -> float:
        """Level of the top at a plan point, mm over the finished top of the main slab."""
        return at_spot(self.tops, spot)

    def depth_at(self, spot: XY) -> float:
        """Depth of the slab at a plan point, mm, without edges."""
        return at_spot(self.depths, spot)

    @property
    def area_m2(self) -> float:
        return float(self.region.area) / 1e6


LAID: Recent[list[Cell]] = Recent(16)  # reading a plan lays its zones, and everything after asks for them


def usable_region(plan: Plan) -> BaseGeometry:
    """Outline less openings. The plan must have an outline."""
    assert plan.outline is not None
    whole: BaseGeometry = Polygon(plan.outline)
    for ring in plan.openings:
        whole = less(whole, Polygon(ring))
    return whole


def snapped(ring: list[XY], anchors: list[list[XY]]) -> list[XY]:
    """Corners of `ring` within 1 mm of a corner or side of an anchor ring are moved on to it."""
    return [_snap_point(point, anchors) for point in ring]


def _snap_point(point: XY, anchors: list[list[XY]]) -> XY:
    for ring in anchors:
        for x, y in ring:
            if abs(x - point[0]) <= SNAP_MM and abs(y - point[1]) <= SNAP_MM:
                return (x, y)
    for ring in anchors:
        for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
            dx, dy = bx - ax, by - ay
            t = ((point[0] - ax) * dx + (point[1] - ay) * dy) / (dx * dx + dy * dy)
            foot = (ax + t * dx, ay + t * dy)
            if 0 <= t <= 1 and (foot[0] - point[0]) ** 2 + (foot[1] - point[1]) ** 2 <= SNAP_MM**2:
                return foot
    return point


def lay_zones(plan: Plan) -> list[Cell]:
    """The cells of a plan with an outline, in the order of plan.zones.

    Raises PlanError naming the key path for a zone that leaves the outline, overlaps another, names an unknown
    slab type, and for area in no zone. A plan does not change, so cells laid of the same objects are the same.
    """
    return LAID.get((plan.outline, plan.openings, plan.zones, plan.slab_types), lambda: _lay(plan))


def _lay(plan: Plan) -> list[Cell]:
    assert plan.outline is not None
    types = {row.mark: row for row in plan.slab_types}
    outline = Polygon(plan.outline)
    usable = usable_region(plan)
    rings = _zone_rings(plan, outline)
    rest: BaseGeometry = outline
    for ring in rings.values():
        rest = less(rest, Polygon(ring))
    cells = []
    for index, zone in enumerate(plan.zones):
        kind = types.get(zone.slab)
        if kind is None:
            raise PlanError(
                f"Zone {zone.name} is of slab {zone.slab}, which is no slab type here.",
                f"zones[{index}].slab",
            )
        whole = Polygon(rings[index]) if index in rings else areas_only(rest)
        region = common(whole, usable) if plan.openings else whole
        tops = top_facets(zone, whole, region, f"zones[{index}]")
        depths = depth_facets(zone, kind.thickness_mm, tops, region)
        cells.append(Cell(index, zone.name, zone.slab, kind.thickness_mm, region, whole, tops, depths))
    left = float(rest.area) / 1e6
    if len(rings) == len(plan.zones) and left > max(AREA_SLACK_M2, outline.length * SNAP_MM / 1e6):
        raise PlanError(_left_out_words(rest, left), "zones")
    return cells


def _left_out_words(rest: BaseGeometry, left_m2: float) -> str:
    spot = rest.representative_point()
    return f"{left_m2:.2f} m² of the outline lie in no zone, about {spot.x:.0f}, {spot.y:.0f} mm. Give them a slab."


def _no_spike(ring: list[XY], path: str, name: str) -> None:
    """Raise PlanError where a ring runs out and straight back, after its corners have been snapped to what is near."""
    n = len(ring)
    for i, (x, y) in enumerate(ring):
        (ax, ay), (bx, by) = ring[i - 1], ring[(i + 1) % n]
        ux, uy, vx, vy = ax - x, ay - y, bx - x, by - y
        one, two = math.hypot(ux, uy), math.hypot(vx, vy)
        short = min(one, two)
        if short > 0 and ux * vx + uy * vy > 0 and abs(ux * vy - uy * vx) / (one * two) * short <= SNAP_MM:
            raise PlanError(f"Zone {name} runs out to {corner_name(i)} and straight back: a spike without width. Leave that corner out.", path)  # fmt: skip
    if not Polygon(ring).is_valid:
        raise PlanError(f"Zone {name} touches itself where its border is drawn to what lies within 1 mm. Move it clear.", path)  # fmt: skip


def _zone_rings(plan: Plan, outline: Polygon) -> dict[int, list[XY]]:
    assert plan.outline is not None
    rings: dict[int, list[XY]] = {}
    roomy = outline.buffer(SNAP_MM, join_style="mitre") if any(zone.polygon for zone in plan.zones) else outline
    rest_of = [index for index, zone in enumerate(plan.zones) if zone.polygon is None]
    if len(rest_of) > 1:
        raise PlanError("Two zones take the rest of the outline. Only one may.", f"zones[{rest_of[1]}].polygon")
    for index, zone in enumerate(plan.zones):
        if zone.polygon is None:
            continue
        path = f"zones[{index}].polygon"
        check_ring(zone.polygon, path, f"Zone {zone.name}")
        ring = snapped(zone.polygon, [list(plan.outline), *rings.values()])
        if signed_area_m2(ring) < 0:
            ring.reverse()
        _no_spike(ring, path, zone.name)
        shape = Polygon(ring)
        if not roomy.covers(shape):
            outside = shape.difference(outline).area / 1e6
            raise PlanError(f"Zone {zone.name} sticks out of the outline by {outside:.2f} m².", path)
        for other, other_ring in rings.items():
            shared = shape.intersection(Polygon(other_ring)).area
            if shared > shape.length * SNAP_MM / 2:
                names = f"{plan.zones[other].name} and {zone.name}"
                raise PlanError(f"Zones {names} overlap by {shared / 1e6:.2f} m².", path)
        rings[index] = ring
    return rings
