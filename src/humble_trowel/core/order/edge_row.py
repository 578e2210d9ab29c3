"""The ledger's row of an edge: length along the middle times section where that is exact, else its table."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import Run
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.part_table import part_table
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.units import MM_PER_FT, format_volume
from humble_trowel.core.working import Working, leaf, number_text, work

CLOSED_FORM_SLACK = 1e-6


def edge_row(plan: Plan, solid: Solid, row: int, mark: str, runs: Sequence[Run]) -> LedgerPart:
    """The row of one row of `edges`; runs: its thickened runs."""
    m3 = solid.added_m3[row]
    kind = next(item for item in plan.edge_types if item.mark == mark)
    along = plan.edges[row].along is not None
    name = f"{mark} along a line" if along else f"{mark} edge below the slab"
    working = _closed_form(plan, solid, kind, runs, m3, name) or part_table(plan, solid, (row,), name, m3)
    longest = max(runs, key=lambda run: math.dist(run.start, run.end))
    how = short_sum(working)
    if len(how) > 40:
        how = f"{len(working.inputs) // 2} areas × their depths"
    return LedgerPart(
        part=name, kind="edge", mark=mark, zone=None, m3=m3, letter="",
        at=_beside(longest, (kind.bottom_width_mm or 0) / 2), text=format_volume(m3, plan.units), how=how,
        working=working, numbers=(row,),
    )  # fmt: skip


def _beside(run: Run, s: float) -> XY:
    (ax, ay), (bx, by) = run.start, run.end
    size = math.dist(run.start, run.end)
    return ((ax + bx) / 2 - s * (by - ay) / size, (ay + by) / 2 + s * (bx - ax) / size)


def section_m2(kind: EdgeType, slab_mm: float) -> tuple[float, float]:
    """(area of the section below the slab in m2, distance of its centroid from the face in mm)."""
    below = max(0.0, (kind.depth_mm or 0.0) - slab_mm)
    width, run = kind.bottom_width_mm or 0.0, (kind.haunch_run_per_rise or 0.0) * below
    area = (width + run / 2) * below
    if not area:
        return 0.0, 0.0
    moment = width * below * width / 2 + run * below / 2 * (width + run / 3)
    return area / 1e6, moment / area


def middle_mm(runs: Sequence[Run], offset_mm: float) -> tuple[float, float]:
    """(length of all runs at the face, sum over corners between like runs of 2 cot(a/2)); the line `offset_mm`
    inside is the first less offset_mm times the second."""
    length = math.fsum(math.dist(run.start, run.end) for run in runs)
    turns = 0.0
    for run in runs:
        for other in (run.before, run.after):
            if other is not None and other.kind == run.kind and abs(other.angle_rad - math.pi) > 1e-9:
                turns += 1 / math.tan(other.angle_rad / 2)
    return length, turns


def _closed_form(plan: Plan, solid: Solid, kind: EdgeType, runs: Sequence[Run], m3: float, name: str) -> Working | None:
    """Length along the middle times section, where that is what the solid comes to; None where it is not."""
    slab = solid.cells[0]
    area, offset = section_m2(kind, slab.thickness_mm)
    length, turns = middle_mm(runs, offset)
    if m3 <= 0 or abs((length - turns * offset) * area / 1000 - m3) > CLOSED_FORM_SLACK * m3:
        return None
    unit, _ = volume_unit(plan)
    inputs = {
        "middle": _middle_working(plan, kind.mark, length, turns, offset),
        "section": _section_working(plan, kind, slab),
    }
    formula = "middle * section / 1000" if plan.units == "mm" else "middle * section / 27"
    return work(name, unit, formula, inputs, source="strip", text=f"{format_volume(m3, plan.units)} {unit}")


def _section_working(plan: Plan, kind: EdgeType, slab: Cell) -> Working:
    at = f"edges/type/{kind.mark}"
    inputs = {
        "wide": thin_leaf(f"{kind.mark} bottom width", kind.bottom_width_mm or 0, plan, at),
        "deep": thin_leaf(f"{kind.mark} depth", kind.depth_mm or 0, plan, at),
        "slab": thin_leaf("Slab thickness", slab.thickness_mm, plan, f"edges/slab/{slab.mark}"),
    }
    run, wide = kind.haunch_run_per_rise or 0.0, "wide"
    if run:
        inputs["run"] = leaf("Haunch run per rise", run, "", number_text(run, 3), "typed", at)
        wide = "(wide + run * (deep - slab) / 2)"
    per, unit = ("1000000", "m²") if plan.units == "mm" else ("144", "sq ft")
    name = f"{kind.mark} section below the slab"
    return work(name, unit, f"{wide} * (deep - slab) / {per}", inputs, digits=4)


def _middle_working(plan: Plan, mark: str, length_mm: float, turns: float, offset_mm: float) -> Working:
    sides = length_leaf(f"{mark} sides, at the face", length_mm, plan.units, "lines", "geometry")
    if not turns:
        return sides
    unit, scale = ("mm", 1.0) if plan.units == "mm" else ("ft", 1 / MM_PER_FT)
    corners, middle = "Corners, 2 cot of half the angle each, added", "Middle of the section, from the face"
    inputs = {
        "sides": sides,
        "turns": leaf(corners, turns, "", number_text(turns, 4), "geometry"),
        "inside": leaf(middle, offset_mm * scale, unit, f"{offset_mm * scale:.4f} {unit}", "geometry"),
    }
    return work(f"{mark} length along the middle", unit, "sides - turns * inside", inputs, digits=3)
