"""What sticks up, of the newest revision with edits that are not kept."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.embed_schemas import EmbedsAsked, EmbedsState
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.stages.embeds import findings_of

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["embeds"])


@router.post("/embeds")
def embeds(request: Request, job_id: JobId, body: EmbedsAsked) -> EmbedsState:
    """Walls, bolts, straps, groups, and what is set."""
    kept = job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    if job.embeds is None and job.stumbles("embeds"):
        job.answered("embeds", None)
    return EmbedsState(embeds=job.embeds_told, others=job.stands_up, findings=findings_of(job), day=kept.wet_words)
