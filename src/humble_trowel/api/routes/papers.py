"""Files to take along and to bring in: the set-out sheet as PDF and CSV, the plan as DXF, outlines from DXF and CSV."""

from __future__ import annotations

import json
import re
from typing import Annotated, Literal

from fastapi import APIRouter, Path, Query, Request, Response

from humble_trowel.api.reading import patiently
from humble_trowel.api.routes.jobs import JobId, ReadingKey, service_of
from humble_trowel.api.schemas import file_answer, file_body
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.values import Day
from humble_trowel.core.steel.cuts_told import cuts_told
from humble_trowel.files.points_file import LengthUnit, PointsError, PointsFile
from humble_trowel.store import jobs

XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["papers"])


def file_response(data: bytes, name: str, suffix: str, kind: str) -> Response:
    plain = re.sub(r"[^a-z0-9]+", "-", name.lower()).strip("-") or "job"
    headers = {"content-disposition": f'attachment; filename="{plain}{suffix}"'}
    return Response(data, media_type=kind, headers=headers)


def on_paper(request: Request, job_id: str) -> Job:
    """The newest revision of a job with an outline; the sheets that this request makes of it carry its revision and hour."""
    from humble_trowel.papers.frame import STAMP, revision_words

    service = service_of(request)
    with service.open() as db:
        row = jobs.head(db, job_id)
    STAMP.set(revision_words(row.n, row.at))
    return service.laid_out(job_id)


@router.get("/set-out.pdf", response_class=Response, responses=file_answer("application/pdf"))
def set_out_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """The set-out sheet on paper, its drawing at a stated scale."""
    from humble_trowel.papers.set_out_sheet import set_out_pdf as make

    job = on_paper(request, job_id)
    plan, sheet, forms = job.plan, job.answered("set_out", job.set_out), job.answered("forms", job.forms)
    data, _ = make(plan, sheet, forms, paper)
    return file_response(data, plan.name, "-set-out.pdf", "application/pdf")


@router.get("/forms.pdf", response_class=Response, responses=file_answer("application/pdf"))
def forms_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """Boards, stakes, what is fetched and how it is cut, on paper."""
    from humble_trowel.papers.job_pack import forms_sheet

    job = on_paper(request, job_id)
    return file_response(forms_sheet(job, paper), job.plan.name, "-forms.pdf", "application/pdf")


@router.get("/check.pdf", response_class=Response, responses=file_answer("application/pdf"))
def check_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """Sides, diagonals and form tops to tape again, with room to write, on paper."""
    from humble_trowel.papers.job_pack import check_sheet

    job = on_paper(request, job_id)
    return file_response(check_sheet(job, paper), job.plan.name, "-check.pdf", "application/pdf")


@router.get("/call.pdf", response_class=Response, responses=file_answer("application/pdf"))
def call_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """The call to the plant, line by line, on paper."""
    from humble_trowel.papers.job_pack import call_sheet

    job = on_paper(request, job_id)
    return file_response(call_sheet(job, paper), job.plan.name, "-call.pdf", "application/pdf")


@router.get("/underslab.pdf", response_class=Response, responses=file_answer("application/pdf"))
def underslab_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """Risers to tick, tests in their order and loops leg by leg, on paper."""
    from humble_trowel.papers.underslab_sheet import underslab_pdf as make

    job = on_paper(request, job_id)
    job.answered("solid", job.solid)
    data = make(job.plan, job.underslab, job.tested, job.covered, job.tubing, paper)
    return file_response(data, job.plan.name, "-underslab.pdf", "application/pdf")


@router.get("/steel.pdf", response_class=Response, responses=file_answer("application/pdf"))
def steel_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """Steel by mark with its bends drawn, the cut plan, and tags for the bundles, on paper."""
    from humble_trowel.papers.steel_sheet import steel_pdf as make

    job = on_paper(request, job_id)
    job.answered("solid", job.solid)
    data = make(job.plan, job.steel_told, cuts_told(job.plan.units, job.steel_cuts), paper)
    return file_response(data, job.plan.name, "-steel.pdf", "application/pdf")


@router.get("/embeds.pdf", response_class=Response, responses=file_answer("application/pdf"))
def embeds_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """The setting sheet: every bolt and strap with its station."""
    from humble_trowel.papers.embed_sheet import embeds_pdf as make

    job = on_paper(request, job_id)
    return file_response(make(job.plan, job.embeds_told, paper), job.plan.name, "-setting.pdf", "application/pdf")


@router.get("/embeds/groups/{group}/template.pdf", response_class=Response, responses=file_answer("application/pdf"))
def template_pdf(request: Request, job_id: JobId, group: Annotated[str, Path(max_length=24)]) -> Response:
    """The template of a bolt group, 1:1."""
    from humble_trowel.papers.embed_sheet import template_pdf as make

    plan = on_paper(request, job_id).plan
    row = plan.embeds.groups[place_of(plan, "groups", group, "group")]
    return file_response(make(plan, row), plan.name, f"-{row.name}-template.pdf", "application/pdf")


@router.get("/steel.csv", response_class=Response, responses=file_answer("text/csv"))
def steel_csv(request: Request, job_id: JobId) -> Response:
    """The steel by mark and length, as rows."""
    from humble_trowel.files.steel_table import write_steel_csv

    job = service_of(request).laid_out(job_id)
    rows = job.steel.bars if job.steel else []
    return file_response(write_steel_csv(rows, job.plan.units), job.plan.name, "-steel.csv", "text/csv; charset=utf-8")


@router.get("/steel.xlsx", response_class=Response, responses=file_answer(XLSX))
def steel_xlsx(request: Request, job_id: JobId) -> Response:
    """The steel by mark and length, and its cut plan, as a book of two sheets."""
    from humble_trowel.files.steel_table import write_steel_xlsx

    job = service_of(request).laid_out(job_id)
    rows = job.steel.bars if job.steel else []
    return file_response(write_steel_xlsx(rows, job.steel_cuts, job.plan.units), job.plan.name, "-steel.xlsx", XLSX)


@router.get("/quote.pdf", response_class=Response, responses=file_answer("application/pdf"))
def quote_pdf(
    request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter", today: Day | None = None
) -> Response:
    """One page for the owner, in plain words. today: printed on it, and to tell how old prices are."""
    from humble_trowel.papers.quote_sheet import quote_pdf as make

    job = on_paper(request, job_id)
    concrete, cost = job.answered("numbers", job.numbers), job.answered("numbers", job.cost(today))
    data = make(job.plan, job.ways.firm, cost, concrete, job.mix_found, paper, today)
    return file_response(data, job.plan.name, "-quote.pdf", "application/pdf")


@router.get("/cost.xlsx", response_class=Response, responses=file_answer(XLSX))
def cost_xlsx(request: Request, job_id: JobId, today: Day | None = None) -> Response:
    """Every row of the cost, its margin and its price."""
    from humble_trowel.files.cost_table import write_cost_xlsx

    job = service_of(request).laid_out(job_id)
    return file_response(write_cost_xlsx(job.answered("numbers", job.cost(today))), job.plan.name, "-cost.xlsx", XLSX)


@router.get("/set-out.csv", response_class=Response, responses=file_answer("text/csv"))
def set_out_csv(request: Request, job_id: JobId) -> Response:
    """The set-out sheet as rows."""
    from humble_trowel.files.points_csv import write_set_out_csv

    job = service_of(request).laid_out(job_id)
    plan, sheet = job.plan, job.answered("set_out", job.set_out)
    return file_response(write_set_out_csv(sheet), plan.name, "-set-out.csv", "text/csv; charset=utf-8")


@router.get("/points.csv", response_class=Response, responses=file_answer("text/csv"))
def points_csv(request: Request, job_id: JobId) -> Response:
    """The corners as name, x, y."""
    from humble_trowel.files.points_csv import write_points_csv

    job = service_of(request).laid_out(job_id)
    plan, sheet = job.plan, job.answered("set_out", job.set_out)
    return file_response(write_points_csv(sheet), plan.name, "-points.csv", "text/csv; charset=utf-8")


@router.get("/plan.dxf", response_class=Response, responses=file_answer("image/vnd.dxf"))
def plan_dxf(request: Request, job_id: JobId) -> Response:
    """Outline, forms, strings, existing work and dimensions on layers of their own."""
    from humble_trowel.files.dxf_write import write_dxf

    job = service_of(request).laid_out(job_id)
    plan, sheet, forms = job.plan, job.answered("set_out", job.set_out), job.answered("forms", job.forms)
    return file_response(
        write_dxf(plan, sheet, forms, job.steel.bars if job.steel else (), job.bolt_spots),
        plan.name,
        ".dxf",
        "image/vnd.dxf",
    )


@router.post("/read-points", response_model=PointsFile, openapi_extra=file_body("application/octet-stream"))
async def read_points(
    request: Request,
    job_id: JobId,
    name: Annotated[str, Query(max_length=200)] = "",
    units: LengthUnit | None = None,
    reading: ReadingKey = "",
) -> Response:
    """Loops that a DXF or CSV file shows (the body is the file). Nothing is kept. reading: a name to ask after it by."""
    data, service = await request.body(), service_of(request)
    known = service.reader.begin(reading)
    if not data:
        raise PointsError("The file is empty.")

    def read() -> Response:
        with service.open() as db:
            own = service.head(db, job_id).plan.units
        found = service.reader.read(known, "points", data, name=name, job_units=own, units=units)
        return Response(json.dumps(found), media_type="application/json")

    answer: Response = await patiently(request, known, read)
    return answer
