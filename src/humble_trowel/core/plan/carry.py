"""Carrying zones, edges and lines over when the outline changes, so that nothing typed is lost."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, signed_area_m2, turned
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Edge, Zone


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


def same_corners(plan: Plan, ring: Sequence[XY]) -> Plan:
    """The plan on an outline whose corners moved but stay the same corners."""
    old = list(plan.outline or [])
    changes: dict[str, Any] = {"outline": list(ring)}
    if signed_area_m2(ring) < 0:
        raise EditError("That turns the outline inside out.")

    def moved(spot: XY) -> XY:
        return _moved(spot, old, list(ring))

    changes["zones"] = _zones_on(
        [
            zone
            if zone.polygon is None
            else zone.model_copy(update={"polygon": [moved(spot) for spot in zone.polygon]})
            for zone in plan.zones
        ],
        list(ring),
    )
    changes["edges"] = [
        edge if edge.along is None else edge.model_copy(update={"along": [moved(spot) for spot in edge.along]})
        for edge in plan.edges
    ]
    return plan.model_copy(update=changes)


def new_corners(plan: Plan, ring: Sequence[XY]) -> Plan:
    """The plan on another outline: sides that lie on an old side keep its edge type, zones are clipped."""
    new = list(ring) if signed_area_m2(ring) > 0 else turned(list(ring))
    return plan.model_copy(
        update={
            "outline": new,
            "openings": [hole for hole in plan.openings if Polygon(new).intersects(Polygon(hole))],
            "zones": _zones_on(plan.zones, new),
            "edges": _edges_on(plan, new),
        }
    )


def _moved(spot: XY, old: list[XY], new: list[XY]) -> XY:
    for before, after in zip(old, new, strict=True):
        if math.dist(before, spot) <= SNAP_MM:
            return after
    for i, a in enumerate(old):
        b = old[(i + 1) % len(old)]
        if distance_to_side(spot, a, b) <= SNAP_MM:
            return _foot(spot, new[i], new[(i + 1) % len(new)])
    return spot


def _foot(spot: XY, a: XY, b: XY) -> XY:
    dx, dy = b[0] - a[0], b[1] - a[1]
    size = dx * dx + dy * dy
    t = ((spot[0] - a[0]) * dx + (spot[1] - a[1]) * dy) / size if size else 0.0
    t = min(1.0, max(0.0, t))
    return (a[0] + t * dx, a[1] + t * dy)


def distance_to_side(spot: XY, a: XY, b: XY) -> float:
    """Distance in mm from a point to the side a-b."""
    return math.dist(spot, _foot(spot, a, b))


def _zones_on(zones: Sequence[Zone], ring: list[XY]) -> list[Zone]:
    """Zones clipped to an outline; a zone with nothing left goes, and the last one becomes the rest."""
    shape = Polygon(ring)
    kept: list[Zone] = []
    if not shape.is_valid:
        return list(zones)
    for zone in zones:
        if zone.polygon is None or shape.buffer(SNAP_MM / 2).covers(Polygon(zone.polygon)):
            kept.append(zone)
            continue
        own = Polygon(zone.polygon)
        left = shape.intersection(own if own.is_valid else own.buffer(0))
        parts = [part for part in getattr(left, "geoms", [left]) if part.geom_type == "Polygon" and part.area > 1e4]
        if parts:
            kept.append(zone.model_copy(update={"polygon": ring_of(max(parts, key=lambda part: part.area))}))
    if kept and all(zone.polygon is not None for zone in kept):
        rest: BaseGeometry = shape
        for zone in kept:
            rest = rest.difference(Polygon(zone.polygon))
        if rest.area > shape.length * SNAP_MM:
            kept[0] = kept[0].model_copy(update={"polygon": None})
    if not kept and zones:
        kept = [zones[0].model_copy(update={"polygon": None})]
    return kept


def _edges_on(plan: Plan, ring: list[XY]) -> list[Edge]:
    old = list(plan.outline or [])
    type_of = {side: edge.type for edge in plan.edges for side in edge.sides or ()}
    found: dict[int, str] = {}
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        middle = ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
        for j, c in enumerate(old):
            d = old[(j + 1) % len(old)]
            if j in type_of and all(distance_to_side(spot, c, d) <= SNAP_MM for spot in (a, b, middle)):
                found[i] = type_of[j]
    if old and len(set(type_of.values())) == 1 and len(type_of) == len(old) and not found:
        found = dict.fromkeys(range(len(ring)), next(iter(type_of.values())))
    shape = Polygon(ring)
    lines = [edge for edge in plan.edges if edge.along is not None and shape.intersects(LineString(edge.along))]
    return [*rows_of_sides(found), *lines]


def rows_of_sides(type_of: dict[int, str]) -> list[Edge]:
    """Rows of `edges` for a type per side, one row a type, in the order of the first side."""
    rows: dict[str, list[int]] = {}
    for side in sorted(type_of):
        rows.setdefault(type_of[side], []).append(side)
    return [Edge(type=mark, sides=sides) for mark, sides in rows.items()]


def types_of_sides(plan: Plan) -> dict[int, str]:
    """The edge type's mark of every side that has one."""
    return {side: edge.type for edge in plan.edges for side in edge.sides or ()}
