"""Edges: the cut along any line, alternatives against frost, what matches an existing floor."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Path, Request

from humble_trowel.api.edge_schemas import EdgesState, PartAlone, SectionAnswer, SectionLine
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.geometry.match import matches
from humble_trowel.core.job import Job
from humble_trowel.core.units import format_volume, volume_unit

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["edges"])


@router.post("/section")
def section_there(request: Request, job_id: JobId, body: SectionLine) -> SectionAnswer:
    """The section of the solid along a line, of the newest revision with edits that are not kept."""
    job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    return SectionAnswer(section=job.section(body.start, body.end, moving=bool(body.edits)))


@router.get("/edges")
def edges(request: Request, job_id: JobId) -> EdgesState:
    """Alternatives for the edge against frost, and sides that meet a measured floor."""
    job = service_of(request).laid_out(job_id)
    return EdgesState(
        options=job.answered("frost_options", job.frost_options), matches=matches(job.plan, job.shape.cells)
    )


@router.get("/parts/{number}/alone")
def part_alone(request: Request, job_id: JobId, number: Annotated[int, Path(ge=0, le=100_000)]) -> PartAlone:
    """What would go if one part were taken out."""
    job = service_of(request).laid_out(job_id)
    m3 = job.part_alone_m3(number)
    return PartAlone(m3=m3, text=f"{format_volume(m3, job.plan.units)} {volume_unit(job.plan.units)}")
