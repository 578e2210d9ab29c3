"""The ledger: every part of the volume as a row, with its working; the rows add up to the net volume."""

from __future__ import annotations

from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import edge_runs
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.order.edge_row import edge_row
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, thin_leaf, volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart, free_of, label_spot, parts_on_plan
from humble_trowel.core.order.part_rows import part_rows
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import work


def ledger(plan: Plan, solid: Solid) -> list[LedgerPart]:
    """Rows in the order slab zones, edges, beams, pads, recesses; beams and pads by mark."""
    taken = parts_on_plan(plan)
    rows = [_slab_row(plan, solid, cell, taken) for cell in solid.cells]
    runs = edge_runs(plan)
    for row, edge in enumerate(plan.edges):
        if row in solid.added_m3:
            rows.append(edge_row(plan, solid, row, edge.type, [run for run in runs if run.part == row]))
    rows += part_rows(plan, solid)
    return [_lettered(part, index) for index, part in enumerate(rows)]


def _lettered(part: LedgerPart, index: int) -> LedgerPart:
    letter = chr(97 + index) if index < 26 else f"{chr(96 + index // 26)}{chr(97 + index % 26)}"
    return LedgerPart(**{**part.__dict__, "letter": letter})


def _slab_row(plan: Plan, solid: Solid, cell: Cell, taken: BaseGeometry) -> LedgerPart:
    unit, _ = volume_unit(plan)
    inputs = {
        "area": area_leaf(f"{cell.name}, area", cell.area_m2, plan, "lines"),
        "thick": thin_leaf(f"{cell.mark} thickness", cell.thickness_mm, plan, f"edges/slab/{cell.mark}"),
    }
    m3 = solid.slab_m3(cell)
    if len(cell.depths) > 1 or cell.depths[0].plane[1:] != (0.0, 0.0):
        mean = m3 / cell.area_m2 * 1000 if cell.area_m2 else cell.thickness_mm
        more = thin_leaf("Mean of what the level underside adds", mean - cell.thickness_mm, plan, f"ground/zone/{cell.index}", "geometry")  # fmt: skip
        parts = {"thick": inputs["thick"], "more": more}
        inputs["thick"] = work(f"{cell.name}, mean depth", more.unit, "thick + more", parts, digits=3)
    text = f"{format_volume(m3, plan.units)} {unit}"
    name = cell.name if cell.name.lower().endswith("slab") else f"{cell.name} slab"
    working = work(name, unit, area_times_depth(plan, "area", "thick"), inputs, text=text, source="greatest-depth")
    how = f"{inputs['area'].text} × {inputs['thick'].text}"
    return LedgerPart(
        part=name, kind="slab", mark=cell.mark, zone=cell.name, m3=m3, letter="",
        at=label_spot(free_of(cell.region, taken)), text=format_volume(m3, plan.units), how=how, working=working,
    )  # fmt: skip
