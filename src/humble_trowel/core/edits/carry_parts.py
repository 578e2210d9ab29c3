"""Carrying beams, pads, recesses and what comes on top over a changed outline."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import SNAP_MM, XY
from humble_trowel.core.geometry.ring import distance_to_side, side_of, sides_of
from humble_trowel.core.plan.document import Plan

Box = tuple[float, float, float, float]


def parts_on_outline(before: Plan, after: Plan) -> Plan:
    """`after`, its parts moved along with the corners and sides on which their points lie; what is left wholly
    outside goes."""
    old, new = before.outline, after.outline
    if old is None or new is None or old == new:
        return after
    same = before.corner_ids == after.corner_ids
    sides = [
        (
            side,
            (
                min(a[0], b[0]) - SNAP_MM,
                min(a[1], b[1]) - SNAP_MM,
                max(a[0], b[0]) + SNAP_MM,
                max(a[1], b[1]) + SNAP_MM,
            ),
        )
        for side, (a, b) in enumerate(sides_of(old))
    ]

    def moved(path: Sequence[XY]) -> list[XY]:
        return [_carried_near(spot, old, new, sides) for spot in path] if same else list(path)

    outline = Polygon(new)
    if not outline.is_valid:
        return after
    shapely.prepare(outline)
    width = {row.mark: row.width_mm for row in after.beam_types}
    kinds = {row.mark: row for row in after.pad_types}
    beams = [row.model_copy(update={"path": moved(row.path)}) for row in after.beams]
    kerbs = [row.model_copy(update={"path": moved(row.path)}) for row in after.kerbs]
    recesses = [row.model_copy(update={"polygon": moved(row.polygon)}) for row in after.recesses]
    changes: dict[str, Any] = {
        "beams": [row for row in beams if _touches(outline, LineString(row.path).buffer(width[row.type] / 2, cap_style="flat"))],
        "pads": [row for row in after.pads if _touches(outline, Polygon(pad_ring(kinds[row.type], row)))],
        "laps": [row.model_copy(update={"path": moved(row.path)}) for row in after.laps],
        "sidewalks": [row.model_copy(update={"path": moved(row.path)}) for row in after.sidewalks],
        "ramps": [row.model_copy(update={"path": moved(row.path)}) for row in after.ramps],
        "footings": [row.model_copy(update={"path": moved(row.path)}) for row in after.footings],
        "recesses": [row for row in recesses if _touches(outline, Polygon(row.polygon))],
        "kerbs": [row for row in kerbs if outline.intersects(LineString(row.path))],
        "piles": [
            row.model_copy(update={"at": kept})
            for row in after.piles
            if (kept := [spot for spot in row.at if outline.intersects(Point(spot))])
        ],
    }  # fmt: skip
    return after.model_copy(update={key: rows for key, rows in changes.items() if rows != getattr(after, key)})


def _touches(outline: BaseGeometry, shape: BaseGeometry) -> bool:
    if not shape.is_valid:
        return False
    return float((shape if outline.covers(shape) else shape.intersection(outline)).area) > 1.0


def _carried_near(spot: XY, old: Sequence[XY], new: Sequence[XY], sides: Sequence[tuple[int, Box]]) -> XY:
    """A corner goes where its corner went; a point on a side keeps its share of the side."""
    for was, now in zip(old, new, strict=True):
        if abs(was[0] - spot[0]) <= SNAP_MM and math.dist(was, spot) <= SNAP_MM:
            return now
    x, y = spot
    for i, (x0, y0, x1, y1) in sides:
        if not (x0 <= x <= x1 and y0 <= y <= y1):
            continue
        a, b = side_of(old, i)
        if distance_to_side(spot, a, b) <= SNAP_MM:
            t = math.dist(a, spot) / math.dist(a, b)
            p, q = side_of(new, i)
            if math.dist(a, p) < 1e-9 and math.dist(b, q) < 1e-9:
                return spot
            return (p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]))
    return spot
