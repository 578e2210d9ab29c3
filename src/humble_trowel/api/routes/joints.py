"""Joints: where the slab may crack, and layouts by rule."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.joint_schemas import JointsAsked, JointsState, Proposal, Proposals
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.joints.joints import OTHER_RATIOS, joints_checked, proposal
from humble_trowel.core.joints.told import say_run
from humble_trowel.core.stages.screed import findings_of

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["joints"])


@router.post("/joints")
def joints(request: Request, job_id: JobId, body: JointsAsked) -> JointsState:
    """Lines, panels, corners that will crack, and the saw list."""
    kept = job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    if job.joints is None and job.stumbles("joints"):
        job.answered("joints", None)
    return JointsState(joints=job.joints_told, findings=findings_of(job), day=kept.saw_words)


@router.get("/joints/proposals")
def proposals(request: Request, job_id: JobId) -> Proposals:
    """Layouts by rule, with what each still breaks."""
    job = service_of(request).laid_out(job_id)
    solid, ways = job.answered("solid", job.solid), job.ways.joints
    own = job.plan.joints.ratio_n or ways.ratio_n
    rows = []
    for ratio in dict.fromkeys((*OTHER_RATIOS, own)):
        lines = proposal(job.plan, solid, ways, ratio)
        found = joints_checked(job.plan, solid, ways, lines, ratio)
        cracks = [crack for one in found for crack in one.found.cracks]
        rows.append(
            Proposal(
                ratio_n=ratio, lines=lines, panels=sum(len(one.found.panels) for one in found),
                saw_text=say_run(sum(one.found.saw_mm for one in found), job.plan.units), broken=len(cracks), rules=sorted({one.rule for one in cracks}),
            )
        )  # fmt: skip
    return Proposals(rows=sorted(rows, key=lambda one: one.ratio_n))
