"""The cut through a wall, its footing and the floor beside it, to scale, and the levels from the floor down to the dig."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import shapely

from humble_trowel.core.geometry.wall_strips import Stretch
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import say_reading
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.units import say_depth, say_length
from humble_trowel.core.walls.courses import course_mm
from humble_trowel.core.walls.rows import Standing

FLOOR_SEEN_MM = 900.0


@dataclass(frozen=True)
class CutBox:
    """A rectangle of the cut, mm. across: from the footing's middle, inside is more. kind: what it is."""

    kind: str
    from_mm: float
    to_mm: float
    bottom_mm: float
    top_mm: float


@dataclass(frozen=True)
class CutLevel:
    """A level of the chain. reading_text: of the rod on it, '' without a laser. key: what it is."""

    key: str
    name: str
    level_mm: float
    level_text: str
    reading_text: str


@dataclass(frozen=True)
class WallCut:
    """The cut where the wall has one bottom and one top. words: where that is. joints: levels of its courses, mm."""

    words: str
    boxes: list[CutBox]
    joints: list[float]
    levels: list[CutLevel]
    height_text: str


def wall_cuts(
    plan: Plan, one: Standing, cells: Sequence[Cell], stands: Sequence[Stand], reads: RodReads
) -> list[WallCut]:
    """A cut for each pair of bottom and top, as they come along the footing."""
    seen: dict[tuple[float, float], list[Stretch]] = {}
    for row in one.rows:
        seen.setdefault((row.bottom_mm, row.top_mm), []).append(row)
    return [_cut(plan, one, rows, cells, stands, reads, alone=len(seen) == 1) for rows in seen.values()]


def _cut(
    plan: Plan, one: Standing, rows: Sequence[Stretch], cells: Sequence[Cell], stands: Sequence[Stand], reads: RodReads,
    *, alone: bool,
) -> WallCut:  # fmt: skip
    first = rows[0]
    words = "all along" if alone else ", ".join(_where(plan, row) for row in _runs(rows))
    joints: list[float] = []
    if one.wall.kind == "block":
        step = course_mm(one.wall)
        joints = [first.bottom_mm + step * k for k in range(1, int((first.top_mm - first.bottom_mm) / step + 1e-6) + 1)]
    return WallCut(
        words, _boxes(plan, one, first, cells), joints, _levels(plan, one, first, stands, reads),
        say_depth(first.top_mm - first.bottom_mm, plan.units),
    )  # fmt: skip


def _runs(rows: Sequence[Stretch]) -> list[tuple[float, float]]:
    found: list[tuple[float, float]] = []
    for row in rows:
        if found and abs(found[-1][1] - row.start_mm) < 1e-6:
            found[-1] = (found[-1][0], row.end_mm)
        else:
            found.append((row.start_mm, row.end_mm))
    return found


def _where(plan: Plan, run: tuple[float, float]) -> str:
    return f"{say_length(run[0], plan.units)} to {say_length(run[1], plan.units)}"


def _boxes(plan: Plan, one: Standing, row: Stretch, cells: Sequence[Cell]) -> list[CutBox]:
    wall, footing = one.wall, one.footing
    half = footing.width_mm / 2
    middle = wall.offset_mm if one.left else -wall.offset_mm
    outer, inner = middle - wall.thickness_mm / 2, middle + wall.thickness_mm / 2
    low, high = row.bottom_mm, row.top_mm
    boxes = [CutBox("footing", -half, half, low - footing.thickness_mm, low)]
    boxes.append(CutBox("block" if wall.kind == "block" else "wall", outer, inner, low, high))
    thick = _slab_beside(one, row, cells)
    if wall.foam_between_mm:
        boxes.append(CutBox("foam", middle - wall.foam_between_mm / 2, middle + wall.foam_between_mm / 2, low, high))
    if wall.foam_outside_mm:
        boxes.append(CutBox("foam", outer - wall.foam_outside_mm, outer, low, high))
    floor_from = inner
    if wall.foam_inside_mm:
        boxes.append(CutBox("foam", inner, inner + wall.foam_inside_mm, low, high))
        floor_from += wall.foam_inside_mm
    if wall.isolation_mm and wall.meets == "against" and thick:
        boxes.append(CutBox("isolation", floor_from, floor_from + wall.isolation_mm, -thick, 0.0))
        floor_from += wall.isolation_mm
    if thick:
        start = {"against": floor_from, "over": outer, "header": inner - wall.ledge_mm}[wall.meets]
        boxes.append(CutBox("slab", start, inner + FLOOR_SEEN_MM, -thick, 0.0))
    return boxes


def _slab_beside(one: Standing, row: Stretch, cells: Sequence[Cell]) -> float:
    """Thickness of the slab nearest to a stretch, 0 without one."""
    if not cells:
        return 0.0
    a, b = one.inner(row)
    spot = shapely.Point((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
    return min(cells, key=lambda cell: cell.region.distance(spot)).thickness_mm


def _levels(plan: Plan, one: Standing, row: Stretch, stands: Sequence[Stand], reads: RodReads) -> list[CutLevel]:
    line = stands[-1].instrument_mm if stands else None
    down = f", set down {say_depth(one.wall.top_mm - row.top_mm, plan.units)}" if row.set_down is not None else ""
    rows = [("floor", "Floor", 0.0), ("top", f"Top of wall{down}", row.top_mm)]
    rows += [("footing", "Top of footing", row.bottom_mm), ("dig", "Bottom of footing", row.bottom_mm - one.footing.thickness_mm)]  # fmt: skip
    return [
        CutLevel(key, name, mm, _say(plan, mm), say_reading(line - mm, reads) if line is not None else "")
        for key, name, mm in rows
    ]


def _say(plan: Plan, mm: float) -> str:
    if abs(mm) < 0.05:
        return "0"
    return f"{say_depth(abs(mm), plan.units)} {'below' if mm < 0 else 'above'}"
