"""Underslab: what is buried, of the newest revision with edits that are not kept."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.api.underslab_schemas import UnderslabAsked, UnderslabState
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["underslab"])


@router.post("/underslab")
def underslab(request: Request, job_id: JobId, body: UnderslabAsked) -> UnderslabState:
    """Runs, risers and clashes, what covers the ground, and tests of lines."""
    job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    for part in ("underslab", "covered", "tested", "tubing"):
        if getattr(job, part) is None and job.stumbles(part):
            job.answered(part, None)
    return UnderslabState(
        buried=job.underslab,
        covered=job.covered,
        tested=job.tested,
        tubing=job.tubing,
        bites=[row for row in (job.steel.findings if job.steel else []) if row.code == "sleeve-bites-bar"],
        displaced=job.displaced.words if job.displaced else "",
        setup=job.setups[-1].id if job.setups else None,
    )
