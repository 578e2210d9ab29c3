"""Steel: what goes in, of the newest revision with edits that are not kept, and how it is cut."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.steel_schemas import SteelAsked, SteelCuts, SteelState
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.stages.steel import findings_of
from humble_trowel.core.steel.cuts_told import cuts_told
from humble_trowel.core.steel.keys import keys_told
from humble_trowel.core.steel.looks import bar_names
from humble_trowel.core.steel.told import say_mass

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["steel"])


@router.post("/steel")
def steel(request: Request, job_id: JobId, body: SteelAsked) -> SteelState:
    """Marks, mats, cages, mesh, dowels and chairs."""
    job = service_of(request).laid_out(job_id)
    if body.edits:
        job = Job(apply(job.plan, body.edits)[0], job.crew, job.records, before=job)
    if job.steel is None and job.stumbles("steel"):
        job.answered("steel", None)
    return SteelState(
        steel=job.steel_told,
        keys=keys_told(job.plan),
        findings=findings_of(job),
        unsaid=job.steel_unsaid,
        bare=job.steel_bare,
        places=job.steel_places,
        bar_names=bar_names(job.steel_places),
    )


@router.get("/steel/cuts")
def cuts(request: Request, job_id: JobId) -> SteelCuts:
    """How every size is cut from stock, with the least that can be bought; while it is worked out, how far it is."""
    service = service_of(request)
    job = service.laid_out(job_id)
    counting = service.counting(job, job_id, ("steel_cuts",))
    if counting is not None:
        return SteelCuts(counting=counting, cuts=None, bars=0, bought_text="")
    units, found = job.plan.units, job.answered("steel_cuts", job.steel_cuts)
    bought = say_mass(sum(one.bought_kg for one in found), units)
    return SteelCuts(
        counting=None, cuts=cuts_told(units, found), bars=sum(one.bars for one in found), bought_text=bought
    )


@router.delete("/steel/cuts", status_code=204)
def drop_cuts(request: Request, job_id: JobId) -> None:
    """Let go of cuts that are being worked out."""
    background = service_of(request).background
    if background is not None:
        background.drop(job_id, "steel_cuts")
