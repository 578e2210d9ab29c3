"""Lines: set-out, squaring, straight and level, forms, cut plan."""

from __future__ import annotations

from typing import Literal

from fastapi import APIRouter, Request

from humble_trowel.api.line_schemas import CheckedAnswer, FormsState, Round, SquareAnswer
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.schemas import CutPlanState
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.forms.form_plan import doubts_left
from humble_trowel.core.lines.record_kinds import checked_side
from humble_trowel.core.lines.records import FormBack
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.lines.square_job import read_taped, square_plan, tolerance_of
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.units import say_depth

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["lines"])


@router.get("/set-out")
def set_out_sheet(request: Request, job_id: JobId) -> SetOutSheet:
    """Everything to set the slab out by."""
    job = service_of(request).laid_out(job_id)
    return job.answered("set_out", job.set_out)


@router.get("/forms")
def forms(request: Request, job_id: JobId) -> FormsState:
    """Every side's form, the totals, and what is doubtful."""
    job = service_of(request).laid_out(job_id)
    found = job.answered("forms", job.forms)
    back = [str(row.side) for row in job.records.of(FormBack)]
    places = [side for side, name in enumerate(job.plan.corner_ids) if name in back]
    return FormsState(forms=found, findings=doubts_left(found, places), back=places)


@router.get("/cut-plan")
def cut_plan(request: Request, job_id: JobId) -> CutPlanState:
    """Which boards to buy and how to cut them."""
    service = service_of(request)
    job = service.laid_out(job_id)
    counting = service.counting(job, job_id, ("boards",))
    return CutPlanState(counting=counting, cuts=job.answered("boards", job.boards) if counting is None else None)


@router.delete("/cut-plan", status_code=204)
def drop_cut_plan(request: Request, job_id: JobId) -> None:
    """Let go of a cut plan that is being worked out."""
    background = service_of(request).background
    if background is not None:
        background.drop(job_id, "boards")


@router.post("/square")
def square(request: Request, job_id: JobId, body: Round) -> SquareAnswer:
    """Which corner to move, from one round of measures. Nothing is kept."""
    job = service_of(request).laid_out(job_id)
    answer = square_plan(job.plan, read_taped(body.values, job.plan.units), job.ways)
    return SquareAnswer(squared=answer, tolerance_text=say_depth(tolerance_of(job.plan, job.ways), job.plan.units))


@router.post("/straight/{kind}")
def check_side(
    request: Request, job_id: JobId, kind: Literal["string-gaps", "form-levels"], body: Round
) -> CheckedAnswer:
    """In or out, up or down at each stake of a side. Nothing is kept."""
    job = service_of(request).laid_out(job_id)
    values = KIND_OF[kind].read(body.values, job.plan.units)
    return CheckedAnswer(checked=checked_side(job.plan, job.ways, values))
