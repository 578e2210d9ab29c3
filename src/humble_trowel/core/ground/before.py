"""The ground before the work: its level, how deep it is stripped, and how far the base runs past the forms."""

from __future__ import annotations

from collections.abc import Sequence

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.below import beyond_walls
from humble_trowel.core.geometry.overlay import common, less
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays


def found_mm(plan: Plan) -> float | None:
    """Level of the ground before the work: as typed, else the mean of the ground along the forms, else None."""
    if plan.ground.found_mm is not None:
        return plan.ground.found_mm
    levels = [sum(spot.level_mm for spot in row.ground) / len(row.ground) for row in plan.forms if row.ground]
    return sum(levels) / len(levels) if levels else None


def strip_mm(plan: Plan, ways: JobWays) -> float:
    """How deep the sod and topsoil come off, mm: the job's own, else the crew's."""
    return ways.ground.strip_mm if plan.ground.strip_mm is None else plan.ground.strip_mm


def stripped_mm(plan: Plan, ways: JobWays) -> float | None:
    """Level with the sod off, mm over the finished top (below it is negative); None where the ground before is not known."""
    found = found_mm(plan)
    return None if found is None else found - strip_mm(plan, ways)


def margin_mm(plan: Plan, ways: JobWays) -> float:
    """How far the base runs past the forms, mm: the job's own, else the crew's."""
    own = plan.set_out.base_margin_mm
    return ways.set_out.base_margin_mm if own is None else own


def margins(plan: Plan, cells: Sequence[Cell], wide_mm: float) -> dict[int, BaseGeometry]:
    """The ground outside the outline that gets base, by the nearest zone; none where something stands, and
    none along a wall: there the base ends."""
    outline = Polygon(plan.outline)
    ring: BaseGeometry = less(outline.buffer(wide_mm, join_style="mitre"), outline) if wide_mm else Polygon()
    for thing in plan.existing:
        if thing.what != "walk":
            ring = less(ring, Polygon(thing.polygon))
    if plan.walls and wide_mm:
        ring = less(ring, beyond_walls(plan, wide_mm))
    shares: dict[int, BaseGeometry] = {}
    for cell in cells:
        share = common(ring, cell.whole.buffer(wide_mm * 1.0001, join_style="mitre")) if wide_mm else Polygon()
        ring = less(ring, share)
        shares[cell.index] = share
    return shares
