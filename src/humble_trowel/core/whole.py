"""Every figure of a job under its fixed names: the order, the lines, the forms and their cut plan."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.edges.frost_options import edge_options
from humble_trowel.core.figures import figure, figure_json
from humble_trowel.core.forms.cut_boards import cut_boards, cut_boards_json
from humble_trowel.core.forms.form_plan import form_plan, forms_json
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.ground_job import ground, ground_json, parts_json
from humble_trowel.core.lines.setting_out import set_out, set_out_json
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways


def whole_json(plan: Plan, ways: Ways, line_mm: float | None = None) -> dict[str, Any]:
    """What `figure --json` gives. line_mm: level of a laser's line, to fill in the rod readings. lines, forms, ground and edges are null while there is no outline."""
    answer = {**figure_json(figure(plan, ways)), "lines": None, "forms": None, "ground": None, "edges": None}
    if plan.outline is None:
        return answer
    forms = form_plan(plan, ways)
    cuts = cut_boards(plan, forms, ways)
    answer["lines"] = set_out_json(set_out(plan, ways))
    answer["forms"] = {**forms_json(forms), "cut_plan": cut_boards_json(cuts)}
    options = edge_options(plan, build_solid(plan), ways)
    answer["edges"] = {"options": [
        {"name": o.name, "net_m3": o.net_m3, "foam_m2": o.foam_m2, "cost_cents": o.cost_cents, "words": o.words} for o in options
    ]}  # fmt: skip
    under = ground(plan, ways, line_mm=line_mm)
    answer["ground"] = ground_json(under, plan, ways)
    answer["concrete"]["parts_as_dug"] = parts_json(under)
    answer["findings"] += [row.__dict__ for row in under.findings]
    answer["findings"] += [row.__dict__ for row in (*forms.findings, *cuts.findings)]
    return answer
