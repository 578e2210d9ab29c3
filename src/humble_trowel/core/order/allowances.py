"""Allowances: what is ordered over what is drawn, each with the crew's reason, or as it was measured."""

from __future__ import annotations

import math
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import Run, edge_runs
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import area_leaf, area_times_depth, short_sum, thin_leaf, volume_unit
from humble_trowel.core.order.measured import UNMEASURED, Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_ordered, format_volume
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


HOUSE = JobWays()


def _source(plan: Plan, key: str, ways: JobWays) -> str:
    if getattr(plan.ways, key, None) is not None:
        return "job-way"
    return "house" if ways == HOUSE else "ways"


def allowances(
    plan: Plan, solid: Solid, ways: JobWays, found: Measured = UNMEASURED, drawn_m3: float = 0.0
) -> list[Allowance]:
    """Every allowance that is not switched off, in the order of the ways; what was measured stands for its guess. drawn_m3: all as drawn, for
    what the plant's loads lack."""
    guessed = [
        _base_low(plan, solid, ways) if found.base is None else None,
        _trench_wide(plan, solid, ways, found),
        _foam_low(plan, solid, ways),
        _bow_out(plan, solid, ways),
        left_behind(plan, ways),
        _pump_prime(plan, ways),
    ]
    rows = [row for row in guessed if row is not None and row.m3 > 0]
    if found.trenches is not None:
        rows.insert(0, _as_found(plan, "trench_wide_mm", found.trenches, found.trench_words, "dug"))
    if found.base is not None:
        rows.insert(0, _as_found(plan, "base_low_mm", found.base, found.base_words, "shot"))
    lacks = _yield_low(plan, ways, drawn_m3 + math.fsum(row.m3 for row in rows))
    return [*rows, lacks] if lacks.m3 > 0 else rows


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


@dataclass(frozen=True)
class Trench:
    """A length of trench below the slab. dug: it was measured. at: its middle."""

    mark: str
    length_mm: float
    below_mm: float
    width_mm: float
    dug: bool
    at: tuple[float, float]


def trenches(plan: Plan, solid: Solid, found: Measured) -> list[Trench]:
    """Every thickened run and beam, as far as it goes below the slab."""
    rows = []
    for run in edge_runs(plan):
        below = (run.kind.depth_mm or 0.0) - slab_beside(solid, run.start, run.end)
        if below > 0:
            (ax, ay), (bx, by) = run.start, run.end
            width, length = run.kind.bottom_width_mm or 0.0, math.dist(run.start, run.end)
            at = ((ax + bx) / 2, (ay + by) / 2)
            rows.append(Trench(run.kind.mark, length, below, width, _was_dug(plan, run, found), at))
    beams = {kind.mark: kind for kind in plan.beam_types}
    for row, beam in enumerate(plan.beams):
        for cell in solid.cells:
            below = beams[beam.type].depth_mm - cell.thickness_mm
            line = LineString(beam.path).intersection(cell.region) if below > 0 else LineString()
            if line.length > 0:
                middle = line.representative_point()
                width = beams[beam.type].width_mm
                rows.append(
                    Trench(beam.type, float(line.length), below, width, row in found.dug_beams, (middle.x, middle.y))
                )
    return rows


def _trench_wide(plan: Plan, solid: Solid, ways: JobWays, found: Measured) -> Allowance | None:
    """Length at the face times extra width times depth below the slab, for every thickened run not measured."""
    unit, _ = volume_unit(plan)
    per = "1000000" if plan.units == "mm" else "3888"
    lengths: dict[tuple[str, float], float] = {}
    for one in trenches(plan, solid, found):
        if not one.dug:
            key = (one.mark, round(one.below_mm, 6))
            lengths[key] = lengths.get(key, 0.0) + one.length_mm
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


def _bow_out(plan: Plan, solid: Solid, ways: JobWays) -> Allowance:
    """Forms that bow, as past jobs taught: two thirds of the middle's bow over their face."""
    unit, _ = volume_unit(plan)
    inputs = {
        "face": area_leaf(
            "Face of all forms", forms_face_m2(plan, solid) if ways.doubt.bow_out_mm else 0.0, plan, "lines"
        ),
        "bow": thin_leaf("bowed out in the middle by", ways.doubt.bow_out_mm, plan, "ways/bow_out_mm", "ways"),
    }
    formula = f"face * 2 / 3 * bow / {'1000' if plan.units == 'mm' else '324'}"
    working = work("Forms that bow", unit, formula, inputs, source="ways")
    return _row(plan, "bow_out_mm", "Forms that bow", "As past jobs of this crew taught.", working, ways)


def _yield_low(plan: Plan, ways: JobWays, need_m3: float) -> Allowance:
    """What loads lack of their tickets, as past jobs taught."""
    unit, per_unit = volume_unit(plan)
    share = ways.doubt.yield_low_share
    inputs = {
        "need": leaf("Everything before it", need_m3 / per_unit, unit, f"{need_m3 / per_unit:.3f} {unit}", "geometry"),
        "lacks": leaf("a load lacks", share, "", number_text(share, 4), "ways", "ways/yield_low_share"),
    }
    working = work("Loads lack of their tickets", unit, "need * lacks / (1 - lacks)", inputs, source="ways")
    return _row(
        plan, "yield_low_share", "Loads lack of their tickets", "As past jobs with this plant taught.", working, ways
    )


def forms_face_m2(plan: Plan, solid: Solid) -> float:
    """Face of all forms: each side as deep as its edge, or as the slab beside it."""
    ring = plan.outline or []
    deep = {(run.start, run.end): run.kind.depth_mm or 0.0 for run in edge_runs(plan) if not run.inside}
    total = 0.0
    for start, end in zip(ring, ring[1:] + ring[:1], strict=True):
        size = math.dist(start, end)
        if size > 0:
            total += size * max(deep.get((start, end), 0.0), slab_beside(solid, start, end))
    return total / 1e6


def _pump_prime(plan: Plan, ways: JobWays) -> Allowance | None:
    """What pump and hose hold back, where it is pumped."""
    if plan.order.method != "pump":
        return None
    unit, per_unit = volume_unit(plan)
    m3 = ways.doubt.prime_m3
    inputs = {
        "held": leaf(
            "Held in pump and hose",
            m3 / per_unit,
            unit,
            f"{format_ordered(m3, plan.units)} {unit}",
            "ways",
            "ways/prime_m3",
        )
    }
    working = work("Pump and hose", unit, "held", inputs, source="ways")
    return _row(plan, "prime_m3", "Pump and hose", "The hose is full when the last yard is down.", working, ways)


def left_behind(plan: Plan, ways: JobWays) -> Allowance:
    """What stays in drum and chute, as the ways say."""
    unit, per_unit = volume_unit(plan)
    value = ways.allowances.left_behind_m3 / per_unit
    text = f"{format_ordered(ways.allowances.left_behind_m3, plan.units)} {unit}"
    inputs = {"left": leaf("Left in drum and chute", value, unit, text, "ways", "ways/left_behind_m3")}
    working = work("Left in drum and chute", unit, "left", inputs, source="ways")
    return _row(plan, "left_behind_m3", "Left in drum and chute", ways.allowances.left_behind_reason, working, ways)
