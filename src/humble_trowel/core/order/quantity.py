"""From net volume to what is ordered: allowances with reasons, the plant's increment, trucks."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import Run, edge_runs
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.measured import UNMEASURED, Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import SLACK_M3, JobWays
from humble_trowel.core.units import M3_PER_YD3, format_ordered, format_volume
from humble_trowel.core.working import Working, leaf, number_text, work


@dataclass(frozen=True)
class Allowance:
    """name, m3 and the crew's reason. key: in the ways."""

    name: str
    m3: float
    reason: str
    key: str
    source: str
    text: str
    how: str
    working: Working


@dataclass(frozen=True)
class Truck:
    load_m3: float
    load_yd3: float
    text: str


@dataclass(frozen=True)
class Ordered:
    """What to order, in the plant's increment, and how it comes."""

    order_m3: float
    order_yd3: float
    text: str
    unit: str
    need: Working
    order: Working
    trucks: list[Truck]
    last_load: str


HOUSE = JobWays()


def _source(plan: Plan, key: str, ways: JobWays) -> str:
    if getattr(plan.ways, key, None) is not None:
        return "job-way"
    return "house" if ways == HOUSE else "ways"


def allowances(plan: Plan, solid: Solid, ways: JobWays, found: Measured = UNMEASURED) -> list[Allowance]:
    """Every allowance that is not switched off, in the order of the ways; what was measured stands for its guess."""
    guessed = [
        _base_low(plan, solid, ways) if found.base is None else None,
        _trench_wide(plan, solid, ways, found),
        _foam_low(plan, solid, ways),
        left_behind(plan, ways),
    ]
    rows = [row for row in guessed if row is not None and row.m3 > 0]
    if found.trenches is not None:
        rows.insert(0, _as_found(plan, "trench_wide_mm", found.trenches, found.trench_words, "dug"))
    if found.base is not None:
        rows.insert(0, _as_found(plan, "base_low_mm", found.base, found.base_words, "shot"))
    return rows


def _as_found(plan: Plan, key: str, working: Working, words: str, source: str) -> Allowance:
    _, per_unit = volume_unit(plan)
    m3 = working.value * per_unit
    how = short_sum(working) if len(working.inputs) < 4 else f"{len(working.inputs)} measured, added"
    return Allowance(working.name, m3, words, key, source, format_volume(m3, plan.units), how, working)


def _row(plan: Plan, key: str, name: str, reason: str, working: Working, ways: JobWays) -> Allowance:
    _, per_unit = volume_unit(plan)
    m3 = working.value * per_unit
    how = short_sum(working)
    return Allowance(
        name, m3, plan.ways.reason or reason if _source(plan, key, ways) == "job-way" else reason, key,
        _source(plan, key, ways), format_volume(m3, plan.units), how, working,
    )  # fmt: skip


def _base_low(plan: Plan, solid: Solid, ways: JobWays) -> Allowance:
    unit, _ = volume_unit(plan)
    area = sum(cell.area_m2 for cell in solid.cells)
    inputs = {
        "area": area_leaf("Area of the slab", area, plan, "lines"),
        "low": thin_leaf("Base lies low by", ways.allowances.base_low_mm, plan, "ways/base_low_mm", "ways"),
    }
    working = work("Base lies low", unit, area_times_depth(plan, "area", "low"), inputs, source="ways")
    return _row(plan, "base_low_mm", "Base lies low", ways.allowances.base_low_reason, working, ways)


def _foam_low(plan: Plan, solid: Solid, ways: JobWays) -> Allowance | None:
    """Foam sprayed on the spot strays from its thickness; what it lies low is concrete."""
    said = next((row for row in plan.underslab.foam if row.what == "under"), None)
    if ((said and said.kind) or ways.underslab.foam) != "SPRAY":
        return None
    on_foam = {row.slab for row in plan.build_ups if any(layer.kind == "foam" for layer in row.layers)}
    area = sum(cell.area_m2 for cell in solid.cells if cell.mark in on_foam)
    within = ways.underslab.within_mm if said is None or said.within_mm is None else said.within_mm
    unit, _ = volume_unit(plan)
    inputs = {
        "area": area_leaf("Area of slab on sprayed foam", area, plan, "lines"),
        "low": thin_leaf("Foam lies low by", within, plan, "underslab/foam", "ways"),
    }
    working = work("Sprayed foam lies low", unit, area_times_depth(plan, "area", "low"), inputs, source="ways")
    reason = "Foam sprayed on the spot is never level, and concrete fills where it lies low."
    return _row(plan, "within_mm", "Sprayed foam lies low", reason, working, ways)


def _trench_wide(plan: Plan, solid: Solid, ways: JobWays, found: Measured) -> Allowance | None:
    """Length at the face times extra width times depth below the slab, for every thickened run not measured."""
    unit, _ = volume_unit(plan)
    per = "1000000" if plan.units == "mm" else "3888"
    lengths: dict[tuple[str, float], float] = {}
    for run in edge_runs(plan):
        if _was_dug(plan, run, found):
            continue
        below = (run.kind.depth_mm or 0.0) - slab_beside(solid, run.start, run.end)
        if below > 0:
            key = (run.kind.mark, round(below, 6))
            lengths[key] = lengths.get(key, 0.0) + math.dist(run.start, run.end)
    beams = {kind.mark: kind for kind in plan.beam_types}
    for row, beam in enumerate(plan.beams):
        for cell in solid.cells if row not in found.dug_beams else ():
            below = beams[beam.type].depth_mm - cell.thickness_mm
            length = float(LineString(beam.path).intersection(cell.region).length) if below > 0 else 0.0
            if length > 0:
                key = (beam.type, round(below, 6))
                lengths[key] = lengths.get(key, 0.0) + length
    if not lengths:
        return None
    wide = thin_leaf("Trench wider by", ways.allowances.trench_wide_mm, plan, "ways/trench_wide_mm", "ways")
    inputs: dict[str, Working] = {"wide": wide}
    terms = []
    for index, ((mark, below), length) in enumerate(lengths.items()):
        inputs[f"run{index}"] = (
            leaf(f"{mark} length", length / 1000, "m", f"{length / 1000:.3f} m", "geometry", "lines")
            if plan.units == "mm"
            else length_leaf(f"{mark} length", length, plan.units, "lines", "geometry")
        )
        inputs[f"below{index}"] = thin_leaf(
            f"{mark} depth below the slab", below, plan, f"edges/type/{mark}", "geometry"
        )
        terms.append(f"run{index} * wide * below{index} / {per if plan.units == 'ft-in' else '1000000'}")
    working = work("Trench wider than drawn", unit, " + ".join(terms), inputs, source="ways")
    return _row(plan, "trench_wide_mm", "Trench wider than drawn", ways.allowances.trench_wide_reason, working, ways)


def _was_dug(plan: Plan, run: Run, found: Measured) -> bool:
    if run.part in found.dug_rows:
        return True
    ring = plan.outline or []
    return any(ring[side] == run.start for side in plan.edges[run.part].sides or () if side in found.dug_sides)


def slab_beside(solid: Solid, start: tuple[float, float], end: tuple[float, float]) -> float:
    """Thickness of the slab just inside the middle of a run, mm."""
    size = math.dist(start, end)
    x = (start[0] + end[0]) / 2 - 5 * (end[1] - start[1]) / size
    y = (start[1] + end[1]) / 2 + 5 * (end[0] - start[0]) / size
    spot = shapely.Point(x, y)
    near = min(solid.cells, key=lambda cell: cell.region.distance(spot))
    return near.thickness_mm


def left_behind(plan: Plan, ways: JobWays) -> Allowance:
    """What stays in drum and chute, as the ways say."""
    unit, per_unit = volume_unit(plan)
    value = ways.allowances.left_behind_m3 / per_unit
    text = f"{format_ordered(ways.allowances.left_behind_m3, plan.units)} {unit}"
    inputs = {"left": leaf("Left in drum and chute", value, unit, text, "ways", "ways/left_behind_m3")}
    working = work("Left in drum and chute", unit, "left", inputs, source="ways")
    return _row(plan, "left_behind_m3", "Left in drum and chute", ways.allowances.left_behind_reason, working, ways)


def order(plan: Plan, parts: Sequence[LedgerPart], extras: Sequence[Allowance], ways: JobWays) -> Ordered:
    """The need (drawn and allowances, m3 inside, the job's unit in texts) less the slack, rounded up to the plant's
    increment and split into trucks. parts: the ledger. extras: what is ordered over it.
    """
    return order_of(plan, math.fsum(part.m3 for part in parts), extras, ways)


def order_of(plan: Plan, drawn_m3: float, extras: Sequence[Allowance], ways: JobWays) -> Ordered:
    """The same of any pour, from what is drawn of it."""
    unit, per_unit = volume_unit(plan)
    metric = plan.units == "mm"
    need_m3 = drawn_m3 + math.fsum([extra.m3 for extra in extras])
    inputs = {"drawn": leaf("As drawn", drawn_m3 / per_unit, unit, "", "greatest-depth")}
    inputs["drawn"] = _texted(inputs["drawn"], 3)
    inputs |= {f"plus{i}": _texted(extra.working, 3) for i, extra in enumerate(extras)}
    need = work("Likely need", unit, " + ".join(inputs), inputs, source="ways")
    increment = ways.plant.increment_m3 if metric else ways.plant.increment_yd3
    size = ways.plant.truck_m3 if metric else ways.plant.truck_yd3
    slack = SLACK_M3 / per_unit
    steps = max(0, math.ceil((need_m3 / per_unit - slack) / increment - 1e-9))
    ordered = steps * increment
    words = {0.5: "half", 0.25: "quarter"}[increment]
    working = work(
        "Order",
        unit,
        "ceil((need - slack) / step) * step",
        {
            "need": _texted(need, 3),
            "slack": leaf("Slack before the next step", slack, unit, f"{number_text(slack, 4)} {unit}", "house"),
            "step": leaf("Plant's step", increment, unit, number_text(increment, 2), "plant", "ways/increment"),
        },
        source="plant",
        text=f"{format_ordered(ordered * per_unit, plan.units)} {unit}",
        note=f"{need.value:.2f}, up to the next {words}",
    )
    trucks = split_loads(ordered, size, per_unit, plan)
    order_m3 = ordered * per_unit
    return Ordered(
        order_m3, order_m3 / M3_PER_YD3, format_ordered(order_m3, plan.units), unit, need, working, trucks,
        _last_load(trucks, plan, ways),
    )  # fmt: skip


def _texted(item: Working, digits: int) -> Working:
    return Working(**{**item.__dict__, "text": f"{item.value:.{digits}f} {item.unit}"})


def split_loads(ordered: float, size: float, per_unit: float, plan: Plan) -> list[Truck]:
    """Full trucks and a last one. ordered, size: in the unit whose m3 is per_unit. Loads in m3 and yd3."""
    loads: list[float] = []
    left = ordered
    while left > 1e-9:
        loads.append(min(size, left))
        left -= loads[-1]
    return [
        Truck(load * per_unit, load * per_unit / M3_PER_YD3, format_ordered(load * per_unit, plan.units))
        for load in loads
    ]


def _last_load(trucks: Sequence[Truck], plan: Plan, ways: JobWays) -> str:
    if not trucks:
        return ""
    unit = "m³" if plan.units == "mm" else "yd"
    last = trucks[-1]
    value, least = (
        (last.load_m3, ways.plant.short_load_m3) if plan.units == "mm" else (last.load_yd3, ways.plant.short_load_yd3)
    )
    if value < least:
        remark = f"The last load is {last.text} {unit}, under the plant's {number_text(least, 2)} {unit}. Ask what a short load costs."
        if len(trucks) > 1:
            remark += " Or even the loads out."
        return remark
    if len(trucks) > 1:
        return f"Hold the last {last.text} {unit} until most of the slab is down and you have measured what is left."
    return f"One truck, {last.text} {unit}."


def order_findings(plan: Plan, ordered: Ordered, ways: JobWays) -> list[Finding]:
    """Doubts about trucks and loads."""
    rows: list[Finding] = []
    if ordered.trucks and "short load" in ordered.last_load:
        rows.append(
            finding(
                "last-load-short",
                "trucks",
                ordered.last_load,
                "Ask the plant, or even the loads out.",
                "plant",
            )
        )
    if ordered.trucks and not ways.plant.confirmed:
        size = number_text(ways.plant.truck_m3 if plan.units == "mm" else ways.plant.truck_yd3, 2)
        unit = "m³" if plan.units == "mm" else "yd"
        rows.append(
            finding(
                "truck-unknown", "ways.plant", f"Truck size {size} {unit} and the plant's steps are house defaults. Nobody has asked the plant.",
                "Ask the plant, then tick it in Ways.", "plant",
            )
        )  # fmt: skip
    return rows
