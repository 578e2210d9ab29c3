"""Strips: what boards are pulled to, and a plan by rule."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.screed_schemas import ScreedAsked, ScreedState, StripProposal
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.screed.pads import pads_once
from humble_trowel.core.screed.propose import proposed
from humble_trowel.core.screed.strips import strips_laid
from humble_trowel.core.stages.screed import findings_of

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["screed"])


@router.post("/screed")
def screed(request: Request, job_id: JobId, body: ScreedAsked) -> ScreedState:
    """Strips, boards, pads, order and places of the truck."""
    job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    if job.screed is None and job.stumbles("screed"):
        job.answered("screed", None)
    return ScreedState(screed=job.screed_told, findings=findings_of(job))


@router.get("/screed/proposal")
def proposal(request: Request, job_id: JobId) -> StripProposal:
    """Strips by rule, with what they still break."""
    job = service_of(request).laid_out(job_id)
    solid, ways = job.answered("solid", job.solid), job.ways.screed
    found = proposed(job.plan, solid, ways)
    laid = strips_laid(found.on(job.plan), solid, ways)
    return StripProposal(
        pads=found.pads, strips=[row.at for row in found.strips], stands=found.stands, wrong=laid.checked.codes,
        pad_count=len(pads_once(laid.runs)),
    )  # fmt: skip
