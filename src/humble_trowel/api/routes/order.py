"""The order as a decision: how sure, the mix, the trucks, the cost, the call."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.errors import NotYours
from humble_trowel.api.listener import owns
from humble_trowel.api.order_schemas import OrderAsked, OrderState
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["order"])


@router.post("/order")
def order(request: Request, job_id: JobId, body: OrderAsked) -> OrderState:
    """What one tab of the order shows."""
    job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    state = OrderState(called=job.called, findings=job.deciding_findings)
    if body.tab in ("sure", "call"):
        state.sure = job.sure_told
    if body.tab == "mix":
        state.mix, state.heat, state.air_from = job.mix_found, job.heat, job.air_from
    if body.tab == "trucks":
        tried = body.spacing_min is not None or body.seed != 1 or bool(body.late_min)
        state.delivery = job.delivery_with(body.spacing_min, body.seed, body.late_min) if tried else job.delivery
    if body.tab == "cost":
        if not owns(request.scope):
            raise NotYours("prices")
        state.cost = job.cost(body.today)
    return state
