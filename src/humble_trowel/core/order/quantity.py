"""From net volume to what is ordered: allowances with reasons, the plant's increment, trucks."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.order.allowances import Allowance
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import SLACK_M3, JobWays
from humble_trowel.core.units import M3_PER_YD3, format_ordered
from humble_trowel.core.working import Working, leaf, number_text, work


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


@dataclass(frozen=True)
class Decided:
    """An order that is more than the need rounded up. source: typed where a person said it, least-cost where it costs least."""

    m3: float
    note: str
    source: str


def order(
    plan: Plan, parts: Sequence[LedgerPart], extras: Sequence[Allowance], ways: JobWays, decided: Decided | None = None
) -> Ordered:
    """The need (drawn and allowances, m3 inside, the job's unit in texts) less the slack, rounded up to the plant's
    increment and split into trucks. parts: the ledger. extras: what is ordered over it. decided: stands in its place.
    """
    return order_of(plan, math.fsum(part.m3 for part in parts), extras, ways, decided)


def order_of(
    plan: Plan, drawn_m3: float, extras: Sequence[Allowance], ways: JobWays, decided: Decided | None = None
) -> Ordered:
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
    if decided is not None:
        ordered = decided.m3 / per_unit
        name = "Order, as said" if decided.source == "typed" else "Order that costs least"
        text = f"{format_ordered(decided.m3, plan.units)} {unit}"
        working = replace(leaf(name, ordered, unit, text, decided.source, "order/sure"), note=decided.note)
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
