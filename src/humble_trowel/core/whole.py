"""Every figure of a job: the order, the lines, the forms and their cut plan, the ground, the ways to meet frost."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from humble_trowel.core.edges.frost_options import EdgeOption, edge_options
from humble_trowel.core.figures import Figure, figure, figure_json
from humble_trowel.core.findings import Finding
from humble_trowel.core.forms.cut_boards import CutPlanOfJob, cut_boards, cut_boards_json
from humble_trowel.core.forms.form_plan import FormPlan, form_plan, forms_json
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.ground_job import Ground, ground, ground_json, parts_json
from humble_trowel.core.guard import or_finding
from humble_trowel.core.lines.setting_out import SetOutSheet, set_out, set_out_json
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways


@dataclass(frozen=True)
class Whole:
    """All answers; None for what needs an outline where there is none. findings: those of every answer."""

    figure: Figure
    lines: SetOutSheet | None
    forms: FormPlan | None
    cuts: CutPlanOfJob | None
    options: list[EdgeOption] | None
    ground: Ground | None
    findings: list[Finding]


def whole(plan: Plan, ways: Ways, line_mm: float | None = None) -> Whole:
    """Every answer of a checked plan. line_mm: level of a laser's line, to fill in the rod readings."""
    base = figure(plan, ways)
    doubts = list(base.findings)
    if plan.outline is None or any(row.code == "cannot-compute" and "shape" in row.where for row in doubts):
        return Whole(base, None, None, None, None, None, doubts)
    lines = or_finding(lambda: set_out(plan, ways), None, doubts)
    options = or_finding(lambda: edge_options(plan, build_solid(plan), ways), None, doubts)
    under = or_finding(lambda: ground(plan, ways, line_mm=line_mm), None, doubts)
    forms = or_finding(lambda: form_plan(plan, ways), None, doubts)
    cuts = or_finding(lambda: cut_boards(plan, forms, ways), None, doubts) if forms else None
    for answer in (under, forms, cuts):
        doubts += answer.findings if answer else []
    return Whole(base, lines, forms, cuts, options, under, doubts)


def whole_json(found: Whole, plan: Plan, ways: Ways) -> dict[str, Any]:
    """What `figure --json` gives, under its fixed names."""
    answer: dict[str, Any] = {**figure_json(found.figure), "lines": None, "forms": None, "ground": None, "edges": None}
    if found.lines:
        answer["lines"] = set_out_json(found.lines)
    if found.forms:
        answer["forms"] = {
            **forms_json(found.forms), "cut_plan": cut_boards_json(found.cuts) if found.cuts else None,
        }  # fmt: skip
    if found.options is not None:
        answer["edges"] = {"options": [
            {"name": o.name, "net_m3": o.net_m3, "foam_m2": o.foam_m2, "cost_cents": o.cost_cents, "words": o.words}
            for o in found.options
        ]}  # fmt: skip
    if found.ground:
        answer["ground"] = ground_json(found.ground, plan, ways)
        if answer["concrete"]:
            answer["concrete"]["parts_as_dug"] = parts_json(found.ground)
    answer["findings"] = [row.__dict__ for row in found.findings]
    return answer
