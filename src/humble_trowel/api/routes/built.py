"""The slab as it stands, second pours as jobs of their own, what is handed over."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Literal

from fastapi import APIRouter, Request, Response

from humble_trowel.api.after_schemas import (
    BuiltState,
    FoamSide,
    HandOverState,
    MadeJob,
    SecondJob,
    SecondPart,
)
from humble_trowel.api.listener import owns
from humble_trowel.api.routes.jobs import JobId, ReadingKey, service_of
from humble_trowel.api.routes.papers import file_response, on_paper
from humble_trowel.api.schemas import file_answer
from humble_trowel.api.service import Service, document_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.built.second_job import second_plans
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.gate.holds import when_text
from humble_trowel.core.job import Job
from humble_trowel.core.photos.records import Photo
from humble_trowel.core.plan.values import Day
from humble_trowel.core.progress import watched
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.store import jobs, photos

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["hand-over"])
PaperSize = Literal["a4", "letter"]
PDF, DXF = "application/pdf", "image/vnd.dxf"


@router.get("/built")
def built(request: Request, job_id: JobId) -> BuiltState:
    """What stands, what of it is not as drawn, second pours, foam of the edge."""
    job = service_of(request).laid_out(job_id)
    found, done = job.built, job.edges_finished
    foam = []
    for side, name, text in job.foam_sides:
        record, word = done.get(side, ("", None))
        foam.append(FoamSide(side=side, name=name, text=text, done_text=when_text(word.at[:16]) if word else "", by=word.by if word else "", record=record))  # fmt: skip
    return BuiltState(things=found.things, rows=found.rows, same=found.same, second=_second(job), foam=foam)


def _second(job: Job) -> list[SecondPart]:
    rows = []
    for one in job.second_pours:
        ids = {"kerb": [row.id for row in job.plan.kerbs], "side pad": [row.id for row in job.plan.side_pads]}
        part = next(iter(ids.get(one.kind, [])[one.row : one.row + 1]), "")
        if not part:
            continue
        try:
            pieces = 0 if one.with_slab else len(second_plans(job.plan, part, None))
        except TrowelError:
            pieces = 0
        rows.append(SecondPart(id=part, name=one.name, kind=one.kind, text=one.text, forms=one.panels, starters=len(one.starters), pieces=pieces, with_slab=one.with_slab, rings=one.rings))  # fmt: skip
    return rows


@router.post("/second-job", status_code=201)
def second_job(request: Request, job_id: JobId, body: SecondJob) -> list[MadeJob]:
    """Make a second pour a small job of its own: one for each piece between its doors."""
    service = service_of(request)
    job = service.laid_out(job_id)
    plans = second_plans(job.plan, body.part, body.pour_at)
    made = []
    with service.open() as db:
        for plan in plans:
            row = jobs.create(db, document_of(plan), body.author, service.now(), f"Second pour of {job.plan.name}")
            made.append(MadeJob(id=row.job_id, name=plan.name))
    return made


@router.get("/hand-over")
def hand_over(request: Request, job_id: JobId, today: Day | None = None) -> HandOverState:
    """What the owner of the slab is told, and the bill."""
    service = service_of(request)
    job = service.laid_out(job_id)
    day = date.fromisoformat(today or service.now()[:10])
    told = job.hand_over(gate_told(job, day, weather=False).holds)
    bill = job.invoice(day) if owns(request.scope) else None
    return HandOverState(told=told, invoice=bill, photos=len(job.records.of(Photo)))


@router.get("/as-built.pdf", response_class=Response, responses=file_answer(PDF))
def as_built_pdf(request: Request, job_id: JobId, paper: PaperSize = "letter", today: Day | None = None) -> Response:
    """The slab as it stands, on paper."""
    from humble_trowel.papers.job_pack import built_sheet

    service = service_of(request)
    job = on_paper(request, job_id)
    return file_response(built_sheet(job, paper, _today(service, today)), job.plan.name, "-as-built.pdf", PDF)


@router.get("/as-built.dxf", response_class=Response, responses=file_answer(DXF))
def as_built_dxf(request: Request, job_id: JobId) -> Response:
    """The slab as it stands, over the drawing, on layers of its own."""
    from humble_trowel.files.dxf_built import write_as_built_dxf

    job = service_of(request).laid_out(job_id)
    sheet, forms = job.answered("set_out", job.set_out), job.answered("forms", job.forms)
    shots = [(one.spot, one.off_mm) for one in job.cure_said.shots_values]
    data = write_as_built_dxf(job.plan, sheet, forms, job.bolt_spots, job.built, shots)
    return file_response(data, job.plan.name, "-as-built.dxf", DXF)


@router.get("/as-built.json", response_class=Response, responses=file_answer("application/json"))
def as_built_json(request: Request, job_id: JobId) -> Response:
    """The slab as it stands, as a job file."""
    from humble_trowel.files.job_file import write_job

    job = service_of(request).laid_out(job_id)
    return file_response(write_job(job.plan_as_built), job.plan.name, "-as-built.json", "application/json")


@router.get("/hand-over.pdf", response_class=Response, responses=file_answer(PDF))
def hand_over_pdf(request: Request, job_id: JobId, paper: PaperSize = "letter", today: Day | None = None) -> Response:
    """The hand-over for the owner of the slab, on paper."""
    from humble_trowel.papers.job_pack import hand_over_sheet, photos_of

    service = service_of(request)
    job = on_paper(request, job_id)
    shown = photos_of(job, lambda name: _picture(service, job_id, name))
    return file_response(hand_over_sheet(job, shown, paper, _today(service, today)), job.plan.name, "-hand-over.pdf", PDF)  # fmt: skip


@router.get("/invoice.pdf", response_class=Response, responses=file_answer(PDF))
def invoice_pdf(request: Request, job_id: JobId, paper: PaperSize = "letter", today: Day | None = None) -> Response:
    """The bill, on paper. Raises InputError without a price."""
    from humble_trowel.papers.invoice_sheet import invoice_pdf as make

    service = service_of(request)
    job = on_paper(request, job_id)
    bill = job.invoice(_today(service, today))
    if bill is None:
        raise InputError("There is no price yet: Order, Cost says what is missing.", "invoice")
    return file_response(make(job.plan, job.ways.firm, bill, paper), job.plan.name, "-invoice.pdf", PDF)


@router.get("/archive.zip", response_class=Response, responses=file_answer("application/zip"))
def archive(
    request: Request, job_id: JobId, paper: PaperSize = "letter", reading: ReadingKey = ""
) -> Response:  # fmt: skip
    """The whole job in open formats. reading: a name under which it can be asked how far it is."""
    from humble_trowel.papers.job_archive import job_archive

    service = service_of(request)
    job = on_paper(request, job_id)
    with service.open() as db:
        revision = jobs.head(db, job_id).n
    now = datetime.now(UTC).replace(microsecond=0)
    with watched(lambda share: service.note_share(reading, share)):
        try:
            data = job_archive(job_id, job, revision, lambda name: _picture(service, job_id, name), now, paper)
        finally:
            service.note_share(reading, None)
    return file_response(data, job.plan.name, ".zip", "application/zip")


def _picture(service: Service, job_id: str, name: str) -> bytes | None:
    with service.open() as db:
        found = photos.find(db, job_id, name)
    return found.picture if found else None


def _today(service: Service, today: str | None) -> date:
    return date.fromisoformat(today or service.now()[:10])
