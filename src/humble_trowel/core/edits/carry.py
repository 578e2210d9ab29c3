"""Carrying what hangs on the outline over when the outline changes, so that nothing typed is lost.

Corners that stay keep their id, and a side is named by its first corner: which side a form, an edge type or the held
side belongs to is looked up. Only a side whose first corner is new has to ask which old side it lies on.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from typing import Any

from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, signed_area_m2
from humble_trowel.core.geometry.ring import distance_to_side, foot_on, middle_of, ring_of, side_of
from humble_trowel.core.plan.document import FormRow, Plan
from humble_trowel.core.plan.shape_parts import Edge, Zone


def same_corners(plan: Plan, ring: Sequence[XY]) -> Plan:
    """The plan on an outline whose corners moved but stay the same corners."""
    old, new = list(plan.outline or []), list(ring)
    if signed_area_m2(new) < 0:
        raise EditError("That turns the outline inside out.")

    def moved(spot: XY) -> XY:
        return _carried(spot, old, new)

    zones = [
        zone if zone.polygon is None else zone.model_copy(update={"polygon": [moved(spot) for spot in zone.polygon]})
        for zone in plan.zones
    ]
    edges = [
        edge if edge.along is None else edge.model_copy(update={"along": [moved(spot) for spot in edge.along]})
        for edge in plan.edges
    ]
    same = {side: side for side in range(len(new))}
    changes = {"outline": new, "zones": zones_on(zones, new), "edges": edges, "forms": _forms_on(plan, same, new)}
    return plan.model_copy(update={key: rows for key, rows in changes.items() if rows != getattr(plan, key)})


def on_outline(
    plan: Plan, ring: Sequence[XY], corner_ids: Sequence[str], also: Mapping[int, int] | None = None
) -> Plan:
    """The plan on another outline, anticlockwise. corner_ids: of the corners that stay, '' for new ones. also: new sides
    that come from an old one though they lie on none."""
    new = list(ring)
    came = came_from(plan, new, corner_ids) | dict(also or {})
    types = types_of_sides(plan)
    found = {i: types[j] for i, j in sorted(came.items()) if j in types}
    if types and len(set(types.values())) == 1 and len(types) == len(plan.outline or []) and not found:
        found = dict.fromkeys(range(len(new)), next(iter(types.values())))
    shape = Polygon(new)
    kept = [at for at, hole in enumerate(plan.openings) if shape.intersects(Polygon(hole))]
    held = next((i for i, j in sorted(came.items()) if j == plan.set_out.hold_side), None)
    changes: dict[str, Any] = {
        "outline": new,
        "corner_ids": list(corner_ids),
        "openings": [plan.openings[at] for at in kept],
        "opening_ids": [plan.opening_ids[at] for at in kept],
        "zones": zones_on(plan.zones, new),
        "edges": [*rows_of_sides(found, plan.edges), *_lines_in(plan.edges, shape)],
        "forms": _forms_on(plan, came, new),
        "set_out": plan.set_out.model_copy(update={"hold_side": held}),
    }
    return plan.model_copy(update={key: rows for key, rows in changes.items() if rows != getattr(plan, key)})


def kept_ids(plan: Plan, ring: Sequence[XY]) -> list[str]:
    """Ids for a ring drawn anew: a corner on the spot of an old one is that one; with as many corners as before, the
    others are the old ones in their order."""
    left = dict(zip(plan.corner_ids, plan.outline or [], strict=True))
    ids = []
    for spot in ring:
        name = next((name for name, was in left.items() if math.dist(was, spot) <= SNAP_MM), "")
        left.pop(name, None)
        ids.append(name)
    if len(ring) == len(plan.corner_ids):
        rest = iter(left)
        ids = [name or next(rest) for name in ids]
    return ids


def came_from(plan: Plan, ring: Sequence[XY], corner_ids: Sequence[str]) -> dict[int, int]:
    """The old side that each new side is, or is a part of: by the id of its first corner, else by lying on it."""
    old = list(plan.outline or [])
    place = {name: at for at, name in enumerate(plan.corner_ids)}
    found = {}
    for i, name in enumerate(corner_ids):
        if name in place:
            found[i] = place[name]
            continue
        a, b = side_of(ring, i)
        spots = (a, b, middle_of(a, b))
        for j in range(len(old)):
            if all(distance_to_side(spot, *side_of(old, j)) <= SNAP_MM for spot in spots):
                found[i] = j
                break
    return found


def _carried(spot: XY, old: list[XY], new: list[XY]) -> XY:
    for before, after in zip(old, new, strict=True):
        if math.dist(before, spot) <= SNAP_MM:
            return after
    for i in range(len(old)):
        if distance_to_side(spot, *side_of(old, i)) <= SNAP_MM:
            return foot_on(spot, *side_of(new, i))
    return spot


def zones_on(zones: Sequence[Zone], ring: list[XY]) -> list[Zone]:
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


def _lines_in(edges: Sequence[Edge], shape: BaseGeometry) -> list[Edge]:
    return [edge for edge in edges if edge.along is not None and shape.intersects(LineString(edge.along))]


def rows_of_sides(type_of: Mapping[int, str], old: Sequence[Edge]) -> list[Edge]:
    """Rows of `edges` for a type per side, one row a type, in the order of the first side; a type's row keeps its id."""
    rows: dict[str, list[int]] = {}
    for side in sorted(type_of):
        rows.setdefault(type_of[side], []).append(side)
    known = {edge.type: edge.id for edge in reversed(old) if edge.sides is not None}
    return [Edge(id=known.get(mark, ""), type=mark, sides=sides) for mark, sides in rows.items()]


def types_of_sides(plan: Plan) -> dict[int, str]:
    """The edge type's mark of every side that has one."""
    return {side: edge.type for edge in plan.edges for side in edge.sides or ()}


def _forms_on(plan: Plan, came: Mapping[int, int], new: Sequence[XY]) -> list[FormRow]:
    """Form rows on their new sides. Ground stations past a shortened side's end are kept within it."""
    rows = []
    for row in plan.forms:
        sides = [i for i, j in sorted(came.items()) if j in row.sides]
        if not sides:
            continue
        size = max(math.dist(*side_of(new, i)) for i in sides)
        ground, last = [], -1.0
        for spot in row.ground:
            at_mm = min(spot.at_mm, size)
            if at_mm > last:
                ground.append(spot.model_copy(update={"at_mm": at_mm}))
                last = at_mm
        rows.append(row.model_copy(update={"sides": sides, "ground": ground}))
    return rows
