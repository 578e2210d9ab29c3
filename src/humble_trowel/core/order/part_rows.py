"""The ledger's rows of beams and pads by mark, and of recesses by name."""

from __future__ import annotations

import math
from dataclasses import replace
from itertools import pairwise

from humble_trowel.core.geometry.parts import PartKind
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.recesses import recess_area_mm2
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.part_table import part_table
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import BeamType, PadType, Recess
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import Working, leaf, number_text, work

EXACT = 1e-6


def part_rows(plan: Plan, solid: Solid) -> list[LedgerPart]:
    """One row a mark of beams and of pads in the order of their types, then one a recess."""
    rows = []
    for beam_type in plan.beam_types:
        if numbers := _numbers(solid, "beam", beam_type.mark):
            m3 = sum(solid.added_m3.get(number, 0.0) for number in numbers)
            name = (
                f"{beam_type.mark} beam below the slab"
                if len(numbers) == 1
                else f"{beam_type.mark} beams below the slab"
            )
            working = _beam_sum(plan, solid, beam_type, numbers, m3, name) or part_table(plan, solid, numbers, name, m3)
            path = plan.beams[solid.parts[numbers[0]].row].path
            rows.append(_row(plan, (name, "beam", beam_type.mark), m3, _along(path, 0.42), working, numbers))
    for pad_type in plan.pad_types:
        if numbers := _numbers(solid, "pad", pad_type.mark):
            m3 = sum(solid.added_m3.get(number, 0.0) for number in numbers)
            name = (
                f"{pad_type.mark} pad below the slab" if len(numbers) == 1 else f"{pad_type.mark} pads below the slab"
            )
            working = _pad_sum(plan, solid, pad_type, numbers, m3, name) or part_table(plan, solid, numbers, name, m3)
            at = plan.pads[solid.parts[numbers[0]].row].at
            rows.append(_row(plan, (name, "pad", pad_type.mark), m3, at, working, numbers))
    for number, part in enumerate(solid.parts):
        if part.kind == "recess":
            recess = plan.recesses[part.row]
            m3 = solid.added_m3.get(number, 0.0)
            x, y = zip(*recess.polygon, strict=True)
            at = (sum(x) / len(x), sum(y) / len(y))
            working = _recess_sum(plan, solid, recess, m3)
            dips = recess.keeps_thickness and abs(m3) < 1e-9
            name = f"{recess.name}, the slab dips" if dips else f"{recess.name}, taken out"
            row = _row(plan, (name, "recess", recess.name), m3, at, working, (number,))
            rows.append(replace(row, text="0", how="nothing changes") if dips else row)
    return rows


def _numbers(solid: Solid, kind: PartKind, mark: str) -> tuple[int, ...]:
    return tuple(at for at, part in enumerate(solid.parts) if part.kind == kind and part.mark == mark)


def _row(
    plan: Plan, what: tuple[str, str, str], m3: float, at: XY, working: Working, numbers: tuple[int, ...]
) -> LedgerPart:
    """what: name, kind and mark."""
    name, kind, mark = what
    how = short_sum(working)
    if len(how) > 40:
        how = f"{len(working.inputs) // 2} areas × their depths"
    return LedgerPart(
        part=name, kind=kind, mark=mark, zone=None, m3=m3, letter="", at=at, text=format_volume(m3, plan.units),
        how=how, working=working, numbers=numbers,
    )  # fmt: skip


def _along(path: list[XY], share: float) -> XY:
    """A point on a path, by its share of the whole length."""
    left = share * sum(math.dist(a, b) for a, b in pairwise(path))
    for a, b in pairwise(path):
        size = math.dist(a, b)
        if left <= size:
            return (a[0] + (b[0] - a[0]) * left / size, a[1] + (b[1] - a[1]) * left / size)
        left -= size
    return path[-1]


def _beam_sum(
    plan: Plan, solid: Solid, kind: BeamType, numbers: tuple[int, ...], m3: float, name: str
) -> Working | None:
    """Length along the middle times section below the slab, where that is what the solid comes to."""
    below = kind.depth_mm - solid.cells[0].thickness_mm
    length = sum(math.dist(a, b) for n in numbers for a, b in pairwise(plan.beams[solid.parts[n].row].path))
    run = kind.haunch_run_per_rise or 0.0
    if below <= 0 or m3 <= 0 or abs((kind.width_mm + run * below) * below * length / 1e9 - m3) > EXACT * m3:
        return None
    unit, _ = volume_unit(plan)
    at = f"edges/beam/{kind.mark}"
    inputs = {
        "long": leaf(f"{kind.mark} length", length / 1000, "m", f"{length / 1000:.3f} m", "geometry", at)
        if plan.units == "mm"
        else length_leaf(f"{kind.mark} length", length, plan.units, at, "geometry"),
        "wide": thin_leaf(f"{kind.mark} bottom width", kind.width_mm, plan, at),
        "deep": thin_leaf(f"{kind.mark} depth", kind.depth_mm, plan, at),
        "slab": thin_leaf("Slab thickness", solid.cells[0].thickness_mm, plan, f"edges/slab/{solid.cells[0].mark}"),
    }
    wide, per = "wide", "1000000" if plan.units == "mm" else "3888"
    if run:
        inputs["run"] = leaf("Haunch run per rise, both sides", run, "", number_text(run, 3), "typed", at)
        wide = "(wide + run * (deep - slab))"
    formula = f"long * {wide} * (deep - slab) / {per}"
    return work(name, unit, formula, inputs, source="beam", text=f"{format_volume(m3, plan.units)} {unit}")


def _pad_sum(plan: Plan, solid: Solid, kind: PadType, numbers: tuple[int, ...], m3: float, name: str) -> Working | None:
    """Count times area times depth below the slab, where that is what the solid comes to."""
    below = kind.depth_mm - solid.cells[0].thickness_mm
    area = (
        math.pi * (kind.diameter_mm or 0) ** 2 / 4
        if kind.shape == "round"
        else (kind.width_mm or 0) * (kind.length_mm or 0)
    )
    if below <= 0 or m3 <= 0 or abs(len(numbers) * area * below / 1e9 - m3) > EXACT * m3:
        return None
    unit, _ = volume_unit(plan)
    at = f"edges/pad/{kind.mark}"
    inputs = {
        "count": leaf(f"{kind.mark} pads", float(len(numbers)), "", str(len(numbers)), "geometry", at),
        "area": area_leaf(f"{kind.mark} area", area / 1e6, plan, at),
        "deep": thin_leaf(f"{kind.mark} depth below the slab", below, plan, at, "geometry"),
    }
    formula = "count * " + area_times_depth(plan, "area", "deep")
    return work(name, unit, formula, inputs, source="greatest-depth", text=f"{format_volume(m3, plan.units)} {unit}")


def _recess_sum(plan: Plan, solid: Solid, recess: Recess, m3: float) -> Working:
    """Area times depth taken out; less where there was less to take."""
    unit, per_unit = volume_unit(plan)
    area = recess_area_mm2(recess, solid.cells) / 1e6
    name, text = f"{recess.name}, taken out", f"{format_volume(m3, plan.units)} {unit}"
    if recess.keeps_thickness and abs(m3) < 1e-9:
        name, text = f"{recess.name}, the slab dips", f"0 {unit}"
        kept = leaf("The slab dips under it, so nothing changes", 0.0, unit, "0", "geometry", "edges")
        return work(name, unit, "kept", {"kept": kept}, source="greatest-depth", text=text)
    inputs = {
        "area": area_leaf(f"{recess.name}, area", area, plan, "edges"),
        "deep": thin_leaf(f"{recess.name}, depth", recess.depth_mm, plan, "edges"),
    }
    formula = "-" + area_times_depth(plan, "area", "deep")
    left = m3 + area * recess.depth_mm / 1000
    if left > 1e-7:
        words = "Where there was less to take" if not recess.keeps_thickness else "Where only slab was, which dips"
        inputs["less"] = leaf(words, left / per_unit, unit, f"{left / per_unit:.4f} {unit}", "geometry")
        formula += " + less"
    return work(name, unit, formula, inputs, source="greatest-depth", text=text)
