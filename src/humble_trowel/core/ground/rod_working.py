"""How a rod reading came about: the rod on the mark, the mark's level, then down layer by layer."""

from __future__ import annotations

from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import rod_reads, say_reading
from humble_trowel.core.ground.stack import StackRow, stack_rows
from humble_trowel.core.order.leaves import thin_leaf
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.levels import floor_mm
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_IN, say_depth
from humble_trowel.core.working import Working, leaf, work

LEAST_MM = 0.05


def reading_working(
    plan: Plan,
    ways: JobWays,
    stand: Stand,
    level_mm: float,
    name: str,
    cell: Cell | None = None,
    row: StackRow | None = None,
) -> Working:
    """Reading = rod on the mark + level of the mark + everything between the finished floor and the surface.

    cell, row: the zone and layer whose top it is, where it is one; else the surface's own level is taken off. In
    inches in a ft-in job, in mm otherwise."""
    inputs = {
        "back": _signed(plan, f"Rod on {stand.on}, {stand.name}", stand.backsight_mm, "shot", "ground/laser"),
        "mark": _signed(
            plan,
            f"{stand.on}, against the {'slab top' if floor_mm(plan) else 'finished floor'}",
            stand.on_level_mm,
            "typed",
            "ground/laser",
        ),
    }
    down = _down(plan, cell, row) if cell is not None and row is not None else []
    for i, (words, mm, set_at) in enumerate(down):
        inputs[f"d{i}"] = thin_leaf(words, mm, plan, set_at)
    rest = -level_mm - sum(mm for _, mm, _ in down)
    if abs(rest) > LEAST_MM:
        what = (
            "Fall, and layers over the slab"
            if down
            else f"{name}, below the {'slab top' if floor_mm(plan) else 'finished floor'}"
        )
        inputs["rest"] = _signed(plan, what, rest, "geometry", "")
    text = say_reading(stand.instrument_mm - level_mm, rod_reads(plan, ways))
    unit = "mm" if plan.units == "mm" else "in"
    return work(f"Rod on {name}", unit, " + ".join(inputs), inputs, source="levelling", text=text)


def _down(plan: Plan, cell: Cell, row: StackRow) -> list[tuple[str, float, str]]:
    """The zone's drop, then the thicknesses from the slab's top to the layer's."""
    drop = plan.zones[cell.index].drop_mm
    steps = [(f"{cell.name} drops", drop, f"edges/zone/{cell.index}")] if drop else []
    under = False
    for one in stack_rows(plan, cell):
        if one.layer == row.layer:
            return steps
        under = under or one.kind == "slab"
        if under and one.thickness_mm:
            steps.append((one.name, one.thickness_mm, f"ground/stack/{cell.mark}"))
    return steps if under else []


def _signed(plan: Plan, name: str, mm: float, source: str, set_at: str) -> Working:
    sign = "−" if mm < 0 else ""
    if plan.units == "mm":
        return leaf(name, mm, "mm", f"{sign}{abs(mm):.1f}".rstrip("0").rstrip(".") + " mm", source, set_at)
    return leaf(name, mm / MM_PER_IN, "in", f"{sign}{say_depth(abs(mm), 'ft-in', 16)}", source, set_at)
