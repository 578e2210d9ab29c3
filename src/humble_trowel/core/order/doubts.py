"""How sure we are of each part of the need: a middle from the ledger, a spread with its reason. m3; a spread is one standard deviation."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.order.allowances import Allowance, trenches
from humble_trowel.core.order.leaves import area_leaf, thin_leaf, volume_unit
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3, MM_PER_IN, format_ordered, say_depth
from humble_trowel.core.working import Working, leaf, number_text, work


@dataclass(frozen=True)
class Doubt:
    """key: trench, base, foam, bow, yield, left or prime. way: the key of the ways that says its spread, '' where it was measured.
    at: where it sits on the plan, None for the truck. spread: the working."""

    key: str
    name: str
    mean_m3: float
    sd_m3: float
    why: str
    measured: bool
    way: str
    at: XY | None
    spread: Working


def doubts_of(
    plan: Plan, solid: Solid, ways: JobWays, found: Measured, extras: Sequence[Allowance], need_m3: float, face_m2: float
) -> list[Doubt]:  # fmt: skip
    """Every doubt, in the order of the work. extras: the allowances of the ledger; face_m2: of all forms."""
    means: dict[str, float] = {}
    for row in extras:
        means[row.key] = means.get(row.key, 0.0) + row.m3
    rows = [
        _trench(plan, solid, ways, found, means.get("trench_wide_mm", 0.0)),
        _base(plan, solid, ways, found, means.get("base_low_mm", 0.0)),
        _foam(plan, solid, ways, means.get("within_mm")),
        _bow(plan, ways, face_m2, means.get("bow_out_mm", 0.0)),
        _yield(plan, ways, need_m3, means.get("yield_low_share", 0.0)),
        _left(plan, ways, means.get("left_behind_m3", 0.0)),
        _prime(plan, ways, means.get("prime_m3")),
    ]
    return [row for row in rows if row is not None]


def _per(plan: Plan) -> str:
    """What area times thickness is divided by."""
    return "1000" if plan.units == "mm" else "324"


def _m3(plan: Plan, working: Working) -> float:
    return working.value * volume_unit(plan)[1]


def _inches(plan: Plan, mm: float) -> str:
    return say_depth(mm, plan.units)


def _volume_leaf(plan: Plan, name: str, m3: float, source: str, set_at: str = "") -> Working:
    unit, per = volume_unit(plan)
    return leaf(name, m3 / per, unit, f"{number_text(m3 / per, 3)} {unit}", source, set_at)


def _trench(plan: Plan, solid: Solid, ways: JobWays, found: Measured, mean_m3: float) -> Doubt | None:
    runs = trenches(plan, solid, found)
    if not runs:
        return None
    own = ways.doubt
    side = sum(one.length_mm * one.below_mm for one in runs if not one.dug) / 1e6
    floor = sum(one.length_mm * one.width_mm for one in runs if not one.dug) / 1e6
    both = sum(one.length_mm * (one.below_mm + one.width_mm) for one in runs if one.dug) / 1e6
    inputs = {
        "side": area_leaf("Sides of trenches not measured", side, plan, "edges"),
        "wide": thin_leaf("wider or narrower by", own.trench_wide_sd_mm, plan, "ways/trench_wide_sd_mm", "ways"),
        "floor": area_leaf("their floors", floor, plan, "edges"),
        "deep": thin_leaf("deeper or shallower by", own.trench_deep_sd_mm, plan, "ways/trench_deep_sd_mm", "ways"),
        "dug": area_leaf("sides and floors measured", both, plan, "ground"),
        "by": thin_leaf("out by", own.dug_sd_mm, plan, "ways/dug_sd_mm", "ways"),
    }
    per = _per(plan)
    terms = [("side", "wide"), ("floor", "deep")] if side else []
    terms += [("dug", "by")] if both else []
    formula = "sqrt(" + " + ".join(f"({a} * {b} / {per}) ** 2" for a, b in terms) + ")"
    used = {key: inputs[key] for pair in terms for key in pair}
    spread = work("Spread of trenches", volume_unit(plan)[0], formula, used, source="doubt", digits=3)
    left = [one for one in runs if not one.dug]
    longest = max(left or runs, key=lambda one: one.length_mm)
    why = "measured as dug" if not left else f"{_inches(plan, own.trench_wide_sd_mm)} either way, a guess"
    if left and both:
        why = f"part measured, the rest {why}"
    return Doubt("trench", "Trenches as dug", mean_m3, _m3(plan, spread), why, not left, "trench_wide_sd_mm" if left else "", longest.at, spread)  # fmt: skip


def _base(plan: Plan, solid: Solid, ways: JobWays, found: Measured, mean_m3: float) -> Doubt:
    own = ways.doubt
    area = sum(cell.area_m2 for cell in solid.cells)
    widest = max(solid.cells, key=lambda cell: cell.area_m2)
    spot = widest.region.representative_point()
    at = (spot.x, spot.y)
    inputs = {"area": area_leaf("Area of the slab", area, plan, "lines")}
    if found.base is not None:
        inputs["shots"] = _volume_leaf(plan, "What the shots leave open", found.base_doubt_m3 or 0.0, "shot")
        inputs["rod"] = thin_leaf("rod and laser", own.shot_sd_mm, plan, "ways/shot_sd_mm", "ways")
        formula = f"sqrt(shots ** 2 + (area * rod / {_per(plan)}) ** 2)"
        spread = work("Spread of the base", volume_unit(plan)[0], formula, inputs, source="doubt", digits=3)
        return Doubt("base", "Base as shot", mean_m3, _m3(plan, spread), "shot, and enough", True, "", at, spread)
    inputs["low"] = thin_leaf("all of it high or low by", own.base_sd_mm, plan, "ways/base_sd_mm", "ways")
    inputs["rough"] = thin_leaf("bumps", own.rough_mm, plan, "ways/rough_mm", "ways")
    inputs["patch"] = area_leaf("a bump covers", own.rough_m2, plan, "ways")
    formula = f"sqrt((area * low / {_per(plan)}) ** 2 + (area * rough / {_per(plan)}) ** 2 * min(1, patch / area))"
    spread = work("Spread of the base", volume_unit(plan)[0], formula, inputs, source="doubt", digits=3)
    why = f"{_inches(plan, own.base_sd_mm)} either way, a guess"
    return Doubt("base", "Base as set", mean_m3, _m3(plan, spread), why, False, "base_sd_mm", at, spread)


def _foam(plan: Plan, solid: Solid, ways: JobWays, mean_m3: float | None) -> Doubt | None:
    if mean_m3 is None:
        return None
    on_foam = {row.slab for row in plan.build_ups if any(layer.kind == "foam" for layer in row.layers)}
    cells = [cell for cell in solid.cells if cell.mark in on_foam]
    inputs = {"mean": _volume_leaf(plan, "Sprayed foam lies low", mean_m3, "ways", "underslab/foam")}
    spread = work("Spread of sprayed foam", volume_unit(plan)[0], "mean / 2", inputs, source="doubt", digits=3)
    spot = cells[0].region.representative_point() if cells else None
    at = (spot.x, spot.y) if spot else None
    return Doubt("foam", "Foam sprayed uneven", mean_m3, _m3(plan, spread), "half of what it may be low", False, "", at, spread)  # fmt: skip


def _bow(plan: Plan, ways: JobWays, face_m2: float, mean_m3: float) -> Doubt | None:
    if face_m2 <= 0:
        return None
    inputs = {
        "face": area_leaf("Face of all forms", face_m2, plan, "lines"),
        "bow": thin_leaf("bowed in the middle by", ways.doubt.bow_sd_mm, plan, "ways/bow_sd_mm", "ways"),
    }
    formula = f"face * 2 / 3 * bow / {_per(plan)}"
    spread = work("Spread of the forms", volume_unit(plan)[0], formula, inputs, source="doubt", digits=3)
    ring = plan.outline or []
    ends = max(zip(ring, ring[1:] + ring[:1], strict=True), key=lambda pair: math.dist(*pair), default=None)
    at = None if ends is None else ((ends[0][0] + ends[1][0]) / 2, (ends[0][1] + ends[1][1]) / 2)
    why = f"{_inches(plan, ways.doubt.bow_sd_mm)} in the middle of a bay"
    return Doubt("bow", "Forms that bow", mean_m3, _m3(plan, spread), why, False, "bow_sd_mm", at, spread)


def _yield(plan: Plan, ways: JobWays, need_m3: float, mean_m3: float) -> Doubt:
    share = ways.doubt.yield_sd_share
    inputs = {
        "need": _volume_leaf(plan, "Likely need", need_m3, "ways"),
        "off": leaf("a ticket is out by", share, "", f"{number_text(share, 4)}", "ways", "ways/yield_sd_share"),
    }
    spread = work("Spread of the tickets", volume_unit(plan)[0], "need * off", inputs, source="doubt", digits=3)
    why = f"{number_text(share * 100, 2)} in 100, C94 tickets"
    return Doubt(
        "yield", "What the tickets hold", mean_m3, _m3(plan, spread), why, False, "yield_sd_share", None, spread
    )


def _left(plan: Plan, ways: JobWays, mean_m3: float) -> Doubt:
    inputs = {"left": _volume_leaf(plan, "More or less by", ways.doubt.left_sd_m3, "ways", "ways/left_sd_m3")}
    spread = work("Spread of what stays behind", volume_unit(plan)[0], "left", inputs, source="doubt", digits=3)
    return Doubt("left", "Left in drum and chute", mean_m3, _m3(plan, spread), "your habit", False, "left_sd_m3", None, spread)  # fmt: skip


def _prime(plan: Plan, ways: JobWays, mean_m3: float | None) -> Doubt | None:
    if mean_m3 is None:
        return None
    inputs = {"held": _volume_leaf(plan, "More or less by", ways.doubt.prime_sd_m3, "ways", "ways/prime_sd_m3")}
    spread = work("Spread of pump and hose", volume_unit(plan)[0], "held", inputs, source="doubt", digits=3)
    why = f"{format_ordered(mean_m3, plan.units)} in the hose"
    return Doubt("prime", "Pump and hose", mean_m3, _m3(plan, spread), why, False, "", None, spread)


def together(plan: Plan, rows: Sequence[Doubt]) -> Working:
    """All spreads: squares added, for they do not know of each other."""
    inputs = {f"d{at}": row.spread for at, row in enumerate(rows)}
    inputs = {key: replace(item, text=f"{item.value:.3f}") for key, item in inputs.items()}
    formula = "sqrt(" + (" + ".join(f"{key} ** 2" for key in inputs) or "0") + ")"
    return work("Spread of it all", volume_unit(plan)[0], formula, inputs, source="doubt", digits=2)


def as_surveyed(ways: JobWays) -> JobWays:
    """The ways as if the base had been shot: what a good survey leaves."""
    own = ways.doubt.model_copy(update={"base_sd_mm": 0.1 * MM_PER_IN, "rough_mm": 0.2 * MM_PER_IN})
    return ways.model_copy(update={"doubt": own})


def step_m3(plan: Plan, ways: JobWays) -> float:
    """What the plant sells in."""
    return ways.plant.increment_m3 if plan.units == "mm" else ways.plant.increment_yd3 * M3_PER_YD3


def truck_m3(plan: Plan, ways: JobWays) -> float:
    """What a truck brings."""
    return ways.plant.truck_m3 if plan.units == "mm" else ways.plant.truck_yd3 * M3_PER_YD3
