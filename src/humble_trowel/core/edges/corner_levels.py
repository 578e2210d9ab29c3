"""The finished level of every corner of every zone, and how far under the highest form top it lies."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import Polygon

from humble_trowel.core.geometry.polygon import SNAP_MM, XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.shape_parts import DrainFall
from humble_trowel.core.units import say_depth


@dataclass(frozen=True)
class CornerLevel:
    """corner: the outline's letter, or '1', '2' ... of the zone where it is no corner of the outline, or 'drain'.

    text: the mark on the form, down from the top of the main slab ('0' is level with it).
    """

    zone: str
    corner: str
    level_mm: float
    at: XY
    text: str


def corner_levels(plan: Plan, cells: Sequence[Cell]) -> list[CornerLevel]:
    """Zone by zone, anticlockwise from its first corner; a drain last."""
    rows = []
    for cell in cells:
        number = 0
        for part in shapely.get_parts(cell.whole):
            if not isinstance(part, Polygon):
                continue
            for ring in (part.exterior, *part.interiors):
                for x, y in shapely.get_coordinates(ring)[:-1].tolist():
                    number += 1
                    rows.append(_row(plan, cell, (float(x), float(y)), number))
        fall = plan.zones[cell.index].fall
        if isinstance(fall, DrainFall):
            level = cell.top_at(fall.at)
            rows.append(CornerLevel(cell.name, "drain", level, fall.at, _text(plan, level)))
    return rows


def _row(plan: Plan, cell: Cell, spot: XY, number: int) -> CornerLevel:
    letters = [corner_name(i) for i, p in enumerate(plan.outline or []) if math.dist(p, spot) <= SNAP_MM]
    level = cell.top_at(spot)
    return CornerLevel(cell.name, letters[0] if letters else str(number), level, spot, _text(plan, level))


def _text(plan: Plan, level: float) -> str:
    if abs(level) < 0.5:
        return "0"
    return f"{say_depth(abs(level), plan.units)} {'down' if level < 0 else 'up'}"
