"""Edges: the cut along any line, alternatives against frost, what matches an existing floor."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.edge_schemas import CutAnswer, CutCall, EdgesState, PartAlone
from humble_trowel.api.routes.jobs import JobId, desk_of
from humble_trowel.api.routes.records import laid_out
from humble_trowel.core.edges.cut import cut
from humble_trowel.core.edges.frost_options import edge_options
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.match import matches
from humble_trowel.core.geometry.redo import alone_m3
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.units import format_volume, volume_unit

router = APIRouter(prefix="/api/jobs/{job_id}", tags=["edges"])


@router.post("/cut")
def cut_there(request: Request, job_id: JobId, body: CutCall) -> CutAnswer:
    """The section of the solid along a line, of the newest revision with edits that are not kept."""
    plan, crew, _ = laid_out(request, job_id)
    if body.edits:
        plan, _ = apply(plan, body.edits)
    return CutAnswer(cut=cut(plan, build_solid(plan), crew, body.start, body.end))


@router.get("/edges")
def edges(request: Request, job_id: JobId) -> EdgesState:
    """Alternatives for the edge against frost, and sides that meet a measured floor."""
    plan, crew, key = laid_out(request, job_id)

    def make() -> EdgesState:
        solid = build_solid(plan)
        return EdgesState(options=edge_options(plan, solid, crew), matches=matches(plan, solid.cells))

    return desk_of(request).figures.get(("edges", *key), make)


@router.get("/parts/{number}/alone")
def part_alone(request: Request, job_id: JobId, number: int) -> PartAlone:
    """What would go if one part were taken out."""
    plan, _, _ = laid_out(request, job_id)
    solid = build_solid(plan)
    if not 0 <= number < len(solid.parts) or solid.parts[number].kind == "recess":
        raise InputError("There is no such part.", "number")
    m3 = alone_m3(plan, solid, number)
    return PartAlone(m3=m3, text=f"{format_volume(m3, plan.units)} {volume_unit(plan.units)}")
