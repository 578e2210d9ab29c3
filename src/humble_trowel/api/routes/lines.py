"""Lines: set-out, squaring, straight and level, forms, cut plan."""

from __future__ import annotations

from typing import Any, Literal

from fastapi import APIRouter, Request

from humble_trowel.api.line_schemas import CheckedAnswer, FormsState, Round, SquareAnswer
from humble_trowel.api.routes.jobs import JobId, desk_of
from humble_trowel.api.routes.records import laid_out
from humble_trowel.core.forms.cut_boards import CutPlanOfJob, cut_boards
from humble_trowel.core.forms.form_plan import FormPlan, form_plan
from humble_trowel.core.lines.record_kinds import checked_side
from humble_trowel.core.lines.setting_out import SetOutSheet, set_out
from humble_trowel.core.lines.square_job import read_taped, square_plan, tolerance_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.units import say_depth
from humble_trowel.store import records

router = APIRouter(prefix="/api/jobs/{job_id}", tags=["lines"])


@router.get("/set-out")
def set_out_sheet(request: Request, job_id: JobId) -> SetOutSheet:
    """Everything to set the slab out by."""
    plan, crew, key = laid_out(request, job_id)
    return desk_of(request).figures.get(("set-out", *key), lambda: set_out(plan, crew))


def forms_of(request: Request, job_id: str) -> tuple[Plan, Ways, FormPlan, tuple[Any, ...]]:
    """The forms, from the shelf where they stand."""
    plan, crew, key = laid_out(request, job_id)
    return plan, crew, desk_of(request).figures.get(("forms", *key), lambda: form_plan(plan, crew)), key


@router.get("/forms")
def forms(request: Request, job_id: JobId) -> FormsState:
    """Every side's form, the totals, and what is doubtful."""
    plan, _, found, _ = forms_of(request, job_id)
    with desk_of(request).open() as db:
        rows = records.of_job(db, job_id, "form-back")
    replaced = {row.supersedes for row in rows}
    stands = {row.document["side"] for row in rows if row.id not in replaced}
    back = [side for side, name in enumerate(plan.corner_ids) if name in stands]
    left = [
        row for row in found.findings if row.code != "form-left-out" or int(row.where.rsplit("/", 1)[1]) not in back
    ]
    return FormsState(forms=found, findings=left, back=back)


@router.get("/cut-plan")
def cut_plan(request: Request, job_id: JobId) -> CutPlanOfJob:
    """Which boards to buy and how to cut them."""
    plan, crew, found, key = forms_of(request, job_id)
    return desk_of(request).figures.get(("cuts", *key), lambda: cut_boards(plan, found, crew))


@router.post("/square")
def square(request: Request, job_id: JobId, body: Round) -> SquareAnswer:
    """Which corner to move, from one round of measures. Nothing is kept."""
    plan, crew, _ = laid_out(request, job_id)
    answer = square_plan(plan, read_taped(body.values, plan.units), crew)
    return SquareAnswer(squared=answer, tolerance_text=say_depth(tolerance_of(plan, crew), plan.units))


@router.post("/straight/{kind}")
def check_side(
    request: Request, job_id: JobId, kind: Literal["string-gaps", "form-levels"], body: Round
) -> CheckedAnswer:
    """In or out, up or down at each stake of a side. Nothing is kept."""
    plan, crew, _ = laid_out(request, job_id)
    return CheckedAnswer(checked=checked_side(plan, crew, KIND_OF[kind].read(body.values, plan.units)))
