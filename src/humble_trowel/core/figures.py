"""The one place that puts a whole answer together: plan and ways in, every figure with its working out."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Any

import numpy as np

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.drawing.plan_view import PlanView, plan_view
from humble_trowel.core.edges.corner_levels import CornerLevel, corner_levels
from humble_trowel.core.edges.cut_places import CutPlace, cut_places
from humble_trowel.core.edges.edge_checks import EdgeCheck, edge_checks, edge_findings
from humble_trowel.core.edges.part_doubts import part_findings
from humble_trowel.core.edges.shape_doubts import shape_findings
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.slices import Slices, count_by_slices
from humble_trowel.core.geometry.solid import Solid, build_solid
from humble_trowel.core.guard import answers, or_finding
from humble_trowel.core.lines.outline import Outline, outline_figure
from humble_trowel.core.order.call_in import CallLine, call_in
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.order.ledger_part import LedgerPart
from humble_trowel.core.order.measured import UNMEASURED, Measured
from humble_trowel.core.order.quantity import Allowance, Ordered, Truck, allowances, order, order_findings
from humble_trowel.core.order.second_pours import SecondPour, second_pours
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways, ways_for
from humble_trowel.core.units import MM_PER_FT, format_volume, say_depth, say_length
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
    cuts: list[CutPlace]
    levels: list[CornerLevel]
    checks: list[EdgeCheck]
    second_pours: list[SecondPour]


def figure(
    plan: Plan, ways: Ways, *, every_diagonal: bool = False, quick: bool = False, found: Measured = UNMEASURED
) -> Figure:
    """All figures of a checked plan under the crew's ways (a job's own ways laid over them).

    quick: without the second way of counting, for a plan that is being dragged. found: what the site measured.
    """
    ways = ways_for(ways, plan.ways)
    doubts = _walk_findings(plan)
    if plan.outline is None:
        doubts.append(
            finding(
                "nothing-drawn",
                "outline",
                "Nothing on this sheet.",
                "Start at a corner you can find again and call the first side.",
            )
        )
        return Figure(None, None, [], doubts, call_in(plan, None, ways), None, [], [], [], [])
    solid = or_finding(lambda: _solid(plan), None, doubts)
    outline = outline_figure(plan, ways.reading.nearest, every_diagonal)
    if solid is None:
        return Figure(outline, None, [], doubts, call_in(plan, None, ways), None, [], [], [], [])
    concrete = or_finding(lambda: _concrete(plan, solid, ways, quick, found), None, doubts)
    doubts += or_finding(lambda: _shape_doubts(plan, solid, ways), [], doubts)
    no_checks: list[EdgeCheck] = []
    checks = or_finding(lambda: _checks(plan, solid, ways), no_checks, doubts)
    doubts += edge_findings(checks)
    if concrete:
        doubts += _ways_findings(plan, concrete) + order_findings(plan, concrete.ordered, ways)
    pours = second_pours(plan)
    drawing = or_finding(lambda: _drawing(plan, solid, concrete, pours), None, doubts)
    return Figure(
        outline=outline,
        concrete=concrete,
        trucks=concrete.ordered.trucks if concrete else [],
        findings=doubts,
        call_in=call_in(plan, concrete.ordered if concrete else None, ways),
        drawing=drawing,
        cuts=or_finding(lambda: _cuts(plan, solid, drawing), [], doubts),
        levels=or_finding(lambda: _levels(plan, solid), [], doubts),
        checks=checks,
        second_pours=pours,
    )


@answers("The shape of the slab")
def _solid(plan: Plan) -> Solid | None:
    return build_solid(plan)


@answers("The list of doubts about the shape")
def _shape_doubts(plan: Plan, solid: Solid, ways: Ways) -> list[Finding]:
    return (
        _plan_findings(plan, solid) + part_findings(plan, solid, ways.local_rules) + shape_findings(plan, solid, ways)
    )


@answers("The rules at the edge")
def _checks(plan: Plan, solid: Solid, ways: Ways) -> list[EdgeCheck]:
    return edge_checks(plan, solid.cells, ways.local_rules)


@answers("The drawing")
def _drawing(plan: Plan, solid: Solid, concrete: Concrete | None, pours: list[SecondPour]) -> PlanView | None:
    return plan_view(plan, solid, concrete.parts if concrete else [], pours)


@answers("The list of cuts")
def _cuts(plan: Plan, solid: Solid, drawing: PlanView | None) -> list[CutPlace]:
    return cut_places(plan, solid.cells, drawing.steps if drawing else [])


@answers("Levels of the corners")
def _levels(plan: Plan, solid: Solid) -> list[CornerLevel]:
    return corner_levels(plan, solid.cells)


@answers("The concrete")
def _concrete(plan: Plan, solid: Solid, ways: Ways, quick: bool, found: Measured) -> Concrete | None:
    parts = ledger(plan, solid)
    extras = allowances(plan, solid, ways, found)
    ordered = order(plan, parts, extras, ways)
    unit, per_unit = volume_unit(plan)
    net_m3 = math.fsum(part.m3 for part in parts)
    texts = {f"part_{part.letter}": part.working for part in parts}
    net_text = format_volume(net_m3, plan.units)
    slices = None if quick else count_by_slices(plan)
    return Concrete(
        net_m3=net_m3,
        parts=parts,
        second_way_m3=slices.total_m3 if slices else None,
        allowances=extras,
        order_m3=ordered.order_m3,
        order_yd3=ordered.order_yd3,
        net=work("As drawn", unit, " + ".join(texts), texts, source="greatest-depth", text=f"{net_text} {unit}"),
        second_way=_second_way(plan, slices) if slices else None,
        net_text=net_text,
        second_way_text=format_volume(slices.total_m3, plan.units) if slices else "",
        need_text=format_volume(ordered.need.value * per_unit, plan.units),
        agree=_agreement(slices.total_m3, net_m3) if slices else "Counted when kept.",
        ordered=ordered,
        slices=_bars(plan, slices) if slices else [],
        slice_mm=slices.width_mm if slices else 0.0,
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


def _walk_findings(plan: Plan) -> list[Finding]:
    if plan.walk is None or not plan.walk.text.strip():
        return []
    walked = walk(plan.walk.text, plan.units)
    words = walked.heard.problem or walked.verdict
    return [finding("walk-open", "walk", f"A walk is kept as typed. {words}", "Finish it, mend it or drop it.")]


def _plan_findings(plan: Plan, solid: Solid) -> list[Finding]:
    rows: list[Finding] = []
    for cell in solid.cells:
        drop = plan.zones[cell.index].drop_mm
        if drop >= cell.thickness_mm:
            words = f"{cell.name} drops {say_depth(drop, plan.units)}, and its slab is {say_depth(cell.thickness_mm, plan.units)} thick: the step hangs free."
            remedy = "Drop it less, or thicken along the step with a line inside."
            rows.append(finding("step-hangs", f"zones[{cell.index}]", words, remedy))
    return rows


def _ways_findings(plan: Plan, concrete: Concrete) -> list[Finding]:
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


def figure_json(result: Figure) -> dict[str, Any]:
    """The fixed names of `figure --json`."""
    o, c = result.outline, result.concrete
    return {
        "outline": None if o is None else {
            "area_m2": o.area_m2, "perimeter_m": o.perimeter_m, "sides_mm": o.sides_mm,
            "diagonals": [{"from": d["from"], "to": d["to"], "mm": d["mm"]} for d in o.diagonals],
        },
        "concrete": None if c is None else {
            "net_m3": c.net_m3,
            "parts": [{"part": p.part, "kind": p.kind, "mark": p.mark, "zone": p.zone, "m3": p.m3} for p in c.parts],
            "second_way_m3": c.second_way_m3,
            "second_pours": [{"name": p.name, "kind": p.kind, "m3": p.m3} for p in result.second_pours],
            "allowances": [{"name": a.name, "m3": a.m3, "reason": a.reason} for a in c.allowances],
            "order_m3": c.order_m3,
            "order_yd3": c.order_yd3,
        },
        "trucks": [{"load_m3": t.load_m3, "load_yd3": t.load_yd3} for t in result.trucks],
        "levels": {"corners": [{"zone": r.zone, "corner": r.corner, "level_mm": r.level_mm} for r in result.levels]},
        "findings": [f.__dict__ for f in result.findings],
    }  # fmt: skip
