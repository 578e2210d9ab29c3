"""The figure of a plan: outline, ledger counted two ways, the order; and doubts about it as a whole."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from humble_trowel.core.beside.beside import Beside
from humble_trowel.core.calls.walk import walk
from humble_trowel.core.drawing.plan_view import PlanView
from humble_trowel.core.edges.corner_levels import CornerLevel
from humble_trowel.core.edges.edge_checks import EdgeCheck
from humble_trowel.core.edges.kinds import Deeper
from humble_trowel.core.edges.section_places import SectionPlace
from humble_trowel.core.edges.top_view import TopView
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.footings.footings import Footings
from humble_trowel.core.geometry.slices import Slices
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.lines.outline import Outline
from humble_trowel.core.order.allowances import Allowance, allowances
from humble_trowel.core.order.call_in import CallLine
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.order.quantity import Decided, Ordered, Truck, order
from humble_trowel.core.order.second_pours import SecondPour
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_FT, format_volume, say_depth, say_length
from humble_trowel.core.walls.walls import Walls
from humble_trowel.core.working import Working, leaf, work

DISAGREE = 0.001
AGREE = 0.0002


@dataclass(frozen=True)
class Bar:
    """Concrete per foot (ft-in) or half metre (mm) along x, from the slices. x_mm: its left end."""

    x_mm: float
    m3: float


@dataclass(frozen=True)
class Concrete:
    """The ledger, counted two ways, and the order. The second way is None in a quick figure."""

    net_m3: float
    parts: list[LedgerPart]
    second_way_m3: float | None
    allowances: list[Allowance]
    order_m3: float
    order_yd3: float
    net: Working
    second_way: Working | None
    net_text: str
    second_way_text: str
    need_text: str
    agree: str
    ordered: Ordered
    slices: list[Bar]
    slice_mm: float


@dataclass(frozen=True)
class Figure:
    """Everything the screens show of a plan. outline and concrete are None while there is no outline."""

    outline: Outline | None
    concrete: Concrete | None
    trucks: list[Truck]
    findings: list[Finding]
    call_in: list[CallLine]
    drawing: PlanView | None
    section_places: list[SectionPlace]
    levels: list[CornerLevel]
    checks: list[EdgeCheck]
    second_pours: list[SecondPour]
    deeper: Deeper | None = None
    top: TopView | None = None
    beside: Sequence[Beside] = ()
    footings: Footings | None = None
    walls: Walls | None = None


NO_OUTLINE = finding(
    "nothing-drawn",
    "outline",
    "Nothing on this sheet.",
    "Start at a corner you can find again and call the first side.",
)


def extras_of(
    plan: Plan, solid: Solid, ways: JobWays, found: Measured, drawn_m3: float, pours: Sequence[SecondPour] = (), buried: Allowance | None = None
) -> list[Allowance]:  # fmt: skip
    """What is ordered over what is drawn. found: what the site measured; drawn_m3: all as drawn; buried: what comes off for what sits in the concrete."""
    with_it = [
        Allowance(f"{row.name}, with the slab", row.m3, "From the same trucks.", "with_slab", "typed", row.text, row.how, row.working)
        for row in pours
        if row.with_slab
    ]  # fmt: skip
    drawn_m3 += math.fsum(row.m3 for row in with_it)
    return with_it + allowances(plan, solid, ways, found, drawn_m3) + ([buried] if buried else [])


def concrete_of(
    plan: Plan,
    parts: list[LedgerPart],
    extras: list[Allowance],
    ways: JobWays,
    decided: Decided | None = None,
) -> Concrete:
    """The ledger with its allowances and the order, counted one way. decided: an order in place of the need rounded up."""
    ordered = order(plan, parts, extras, ways, decided)
    unit, per_unit = volume_unit(plan)
    net_m3 = math.fsum(part.m3 for part in parts)
    texts = {f"part_{part.letter}": part.working for part in parts}
    net_text = format_volume(net_m3, plan.units)
    return Concrete(
        net_m3=net_m3,
        parts=parts,
        second_way_m3=None,
        allowances=extras,
        order_m3=ordered.order_m3,
        order_yd3=ordered.order_yd3,
        net=work("As drawn", unit, " + ".join(texts), texts, source="greatest-depth", text=f"{net_text} {unit}"),
        second_way=None,
        net_text=net_text,
        second_way_text="",
        need_text=format_volume(ordered.need.value * per_unit, plan.units),
        agree="Counted when kept.",
        ordered=ordered,
        slices=[],
        slice_mm=0.0,
    )


def with_second_way(plan: Plan, concrete: Concrete, slices: Slices) -> Concrete:
    """The concrete with the second way beside it."""
    return replace(
        concrete,
        second_way_m3=slices.total_m3,
        second_way=_second_way(plan, slices),
        second_way_text=format_volume(slices.total_m3, plan.units),
        agree=_agreement(slices.total_m3, concrete.net_m3),
        slices=_bars(plan, slices),
        slice_mm=slices.width_mm,
    )


def _second_way(plan: Plan, slices: Slices) -> Working:
    unit, per_unit = volume_unit(plan)
    total = slices.total_m3
    name = f"{len(slices.m3)} slices of {say_length(slices.width_mm, plan.units)}, added"
    return leaf(name, total / per_unit, unit, f"{format_volume(total, plan.units)} {unit}", "slices")


def _agreement(second_m3: float, net_m3: float) -> str:
    apart = abs(second_m3 - net_m3) / net_m3 if net_m3 else 0.0
    return "They agree." if apart <= AGREE else f"They differ by {apart:.2%}."


def _bars(plan: Plan, slices: Slices) -> list[Bar]:
    wide = MM_PER_FT if plan.units == "ft-in" else 500.0
    start = min(x for x, _ in plan.outline or [(0.0, 0.0)])
    bars = np.bincount(((slices.x_mm - start) // wide).astype(int), weights=slices.m3)
    return [Bar(start + at * wide, m3) for at, m3 in enumerate(bars.tolist())]


def passing(concrete: Concrete) -> Concrete:
    """The same numbers without their workings, while something is dragged; the workings come when it rests."""
    ordered = concrete.ordered
    return replace(
        concrete,
        parts=[replace(part, working=part.working.bare) for part in concrete.parts],
        allowances=[replace(row, working=row.working.bare) for row in concrete.allowances],
        net=concrete.net.bare,
        ordered=replace(ordered, need=ordered.need.bare, order=ordered.order.bare),
    )


def walk_findings(plan: Plan) -> list[Finding]:
    """A walk that is kept as typed and does not close."""
    if plan.walk is None or not plan.walk.text.strip():
        return []
    walked = walk(plan.walk.text, plan.units)
    words = walked.heard.problem or walked.verdict
    return [finding("walk-open", "walk", f"A walk is kept as typed. {words}", "Finish it, mend it or drop it.")]


def step_findings(plan: Plan, solid: Solid) -> list[Finding]:
    """Zones that drop by their slab's thickness or more."""
    rows: list[Finding] = []
    for cell in solid.cells:
        drop = plan.zones[cell.index].drop_mm
        if drop >= cell.thickness_mm:
            words = f"{cell.name} drops {say_depth(drop, plan.units)}, and its slab is {say_depth(cell.thickness_mm, plan.units)} thick: the step hangs free."
            remedy = "Drop it less, or thicken along the step with a line inside."
            rows.append(finding("step-hangs", f"zones[{cell.index}]", words, remedy))
    return rows


def second_way_findings(concrete: Concrete) -> list[Finding]:
    """Both ways of counting too far apart."""
    if concrete.second_way_m3 is None or not concrete.net_m3:
        return []
    apart = abs(concrete.second_way_m3 - concrete.net_m3) / concrete.net_m3
    if apart <= DISAGREE:
        return []
    words = f"By parts {concrete.net_text}, by slices {concrete.second_way_text}: {apart:.2%} apart, over the allowed 0.1 %."
    return [
        finding(
            "ways-disagree",
            "concrete",
            words,
            "Trust neither. Check the outline and edges for something odd.",
            "slices",
        )
    ]
