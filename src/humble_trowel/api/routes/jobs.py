"""Jobs: the yard, opening, keeping edits, drafts, undo, files."""

from __future__ import annotations

import json
import re
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request, Response
from pydantic import BaseModel

from humble_trowel.api.beside import beside
from humble_trowel.api.errors import NotYours, StaleJob
from humble_trowel.api.listener import device_of, owns
from humble_trowel.api.reading import patiently
from humble_trowel.api.schemas import (
    Author,
    Call,
    Draft,
    Drafted,
    HeardWalk,
    JobDoubts,
    JobState,
    Keep,
    NewJob,
    RevisionRow,
    Step,
    Who,
    YardJob,
    file_body,
    plain,
)  # fmt: skip
from humble_trowel.api.service import Service, document_of
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.calls.walk import origin_point, walk
from humble_trowel.core.edits.outline import guessed_slab
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.edits.zone_walks import landing_words
from humble_trowel.core.errors import CallError, InputError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.files.job_file import parse_job, plan_data, write_job
from humble_trowel.site.roles import OWNERS_EDITS
from humble_trowel.store import jobs, record_steps
from humble_trowel.store.as_stored import job_as_stored

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs", tags=["jobs"])
JobId = Annotated[str, "id of a job"]
ReadingKey = Annotated[str, Query(max_length=64)]
SMALL_BYTES = 50_000  # read in some milliseconds


def service_of(request: Request) -> Service:
    service = request.app.state.service
    assert isinstance(service, Service)
    return service


def fast(model: BaseModel, status: int = 200) -> Response:
    """A model straight to JSON, without a second validation."""
    return Response(model.model_dump_json(), status, media_type="application/json")


@router.get("")
def yard(request: Request) -> list[YardJob]:
    """All jobs, the last changed first, archived ones among them."""
    service = service_of(request)
    device = device_of(request.scope)
    with service.open() as db:
        lines = service.yard.lines(db)
    return [line for line in lines if device is None or device.job_id in (None, line.id)]


@router.post("", status_code=201, response_model=JobState)
def start(request: Request, body: NewJob) -> Response:
    """A new job without an outline."""
    service = service_of(request)
    if not body.name.strip():
        raise InputError("What is it called?", "name")
    plan = Plan(name=body.name.strip(), units=body.units, slab_types=[guessed_slab(body.units)])
    with service.open() as db:
        row = jobs.create(db, document_of(plan), body.author, service.now(), "Started")
        return fast(service.state(db, row), 201)


@router.post("/import", status_code=201, response_model=JobState, openapi_extra=file_body("application/octet-stream"))
async def bring_in(request: Request, author: Author = "", reading: ReadingKey = "") -> Response:
    """A job from a job file (the body is the file). reading: a name under which it can be asked after."""
    data, service = await request.body(), service_of(request)
    known = service.reader.begin(reading)

    def keep() -> Response:
        small = len(data) <= SMALL_BYTES
        document = plan_data(parse_job(data)) if small else service.reader.read(known, "job", data)
        with service.open() as db:
            row = jobs.create(db, document, author, service.now(), "Brought in from a file")
            return fast(service.state(db, row), 201)

    answer: Response = await patiently(request, known, keep)
    return answer


@router.get("/{job_id}", response_model=JobState)
def open_job(request: Request, job_id: JobId) -> Response:
    """A job at its newest revision."""
    service = service_of(request)
    with service.open() as db:
        return fast(service.state(db, jobs.head(db, job_id)))


@router.post("/{job_id}/edits", response_model=JobState)
def keep(request: Request, job_id: JobId, body: Keep) -> Response:
    """Keep edits as a new revision. Where the screen's revision is stale they are kept on top of the newest if they touch
    nothing that was changed since; else 409 with the newest state."""
    service = service_of(request)
    if not owns(request.scope) and any(getattr(edit, "op", "") in OWNERS_EDITS for edit in body.edits):
        raise NotYours("prices")
    with service.open() as db:
        before = jobs.seen(db, job_id, body.edit_id)
        if before is not None:
            return fast(service.state(db, jobs.head(db, job_id)))
        now = jobs.head(db, job_id)
        if now.n != body.revision and not beside(service, db, now, body):
            raise StaleJob(plain(service.state(db, now)))
        plan, summary = apply(service.job(db, now).plan, body.edits)
        edits = [edit.model_dump(mode="json") for edit in body.edits]
        change = jobs.Change(body.author, service.now(), summary, edits, body.edit_id)
        try:
            row = jobs.save(db, job_id, now.n, document_of(plan), change)
        except jobs.Stale:
            raise StaleJob(plain(service.state(db, jobs.head(db, job_id)))) from None
        return fast(service.state(db, row, plan))


@router.post("/{job_id}/figure", response_model=Drafted)
def draft(request: Request, job_id: JobId, body: Draft) -> Response:
    """Figures of edits that are not kept, on top of the revision that the screen shows."""
    service = service_of(request)
    with service.open() as db:
        jobs.find(db, job_id)
        job, summary = service.job(db, jobs.revision(db, job_id, body.revision)), ""
    before = job
    if body.edits:
        plan, summary = apply(job.plan, body.edits)
        job = Job(plan, job.crew, job.records, before=before)
    if body.numbers and body.edits and job.plan.outline is not None:
        result = job.number_figure(before)
    elif body.quick and body.edits:
        result = job.draft_figure(before)
    else:
        result = job.figure_with(quick=body.quick, every_diagonal=body.every_diagonal)
    return fast(Drafted.model_construct(document=job.plan, figure=result, summary=summary))


@router.get("/{job_id}/doubts", response_model=JobDoubts)
def doubts(request: Request, job_id: JobId) -> Response:
    """Every finding of the newest revision, what stops the call, and how each stage stands."""
    service = service_of(request)
    with service.open() as db:
        return fast(service.doubts(db, jobs.head(db, job_id)))


@router.post("/{job_id}/walk", response_model=HeardWalk)
def hear_walk(request: Request, job_id: JobId, body: Call) -> Response:
    """A typed walk as heard: ghost line, misclosure, ways out. Nothing is kept."""
    service = service_of(request)
    with service.open() as db:
        plan = service.head(db, job_id).plan
    start_at = (0.0, 0.0)
    lands = ""
    try:
        origin = walk(body.text, plan.units).heard.origin
        if origin:
            start_at = origin_point(origin, list(plan.outline or []), plan.units)
    except CallError as error:
        lands = error.words
    walked = walk(body.text, plan.units, start_at)
    if plan.outline and walked.heard.origin and len(walked.points) > 1 and not lands:
        lands = landing_words(plan, walked.points[-1])
    return fast(HeardWalk.model_construct(walked=walked, start=start_at, lands=lands))


@router.post("/{job_id}/undo", response_model=JobState)
def undo(request: Request, job_id: JobId, body: Step) -> Response:
    """Take back the last change."""
    return _step(request, job_id, body, "undo")


@router.post("/{job_id}/redo", response_model=JobState)
def redo(request: Request, job_id: JobId, body: Step) -> Response:
    """Bring back what the last undo took."""
    return _step(request, job_id, body, "redo")


@router.post("/{job_id}/go-back", response_model=JobState)
def go_back(request: Request, job_id: JobId, body: Step) -> Response:
    """Make revision n the newest again, as a new revision."""
    return _step(request, job_id, body, "go-back")


def _step(request: Request, job_id: str, body: Step, kind: Literal["undo", "redo", "go-back"]) -> Response:
    service = service_of(request)
    with service.open() as db:
        try:
            if body.record is not None and kind != "go-back":
                record_steps.step(db, job_id, body.record, kind, body.author, service.now())
                row = jobs.head(db, job_id)
            elif kind == "go-back":
                old = jobs.revision(db, job_id, body.n or body.revision)
                words = f"Back to {old.n}: {old.summary}"
                change = jobs.Change(body.author, service.now(), words, kind="go-back")
                row = jobs.save(db, job_id, body.revision, old.document, change)
            else:
                act = jobs.undo if kind == "undo" else jobs.redo
                row = act(db, job_id, body.revision, body.author, service.now())
        except jobs.Stale:
            raise StaleJob(plain(service.state(db, jobs.head(db, job_id)))) from None
        return fast(service.state(db, row))


@router.get("/{job_id}/revisions")
def history(
    request: Request,
    job_id: JobId,
    before: Annotated[int, Query(ge=1, le=jobs.FIRST_PAGE)] = jobs.FIRST_PAGE,
    most: Annotated[int, Query(ge=1, le=500)] = 200,
) -> list[RevisionRow]:
    """Revisions before one, newest first: a page of the history."""
    with service_of(request).open() as db:
        return [RevisionRow.model_validate(row) for row in jobs.history(db, job_id, before, most)]


@router.get("/{job_id}/as-stored")
def stored(request: Request, job_id: JobId) -> Response:
    """Everything that is stored of a job, readable or not: its revisions and records."""
    with service_of(request).open() as db:
        found = job_as_stored(db, job_id)
    if found is None:
        raise jobs.NoSuchJob(job_id)
    headers = {"content-disposition": f'attachment; filename="{job_id}-as-stored.json"'}
    return Response(json.dumps(found, indent=1), media_type="application/json", headers=headers)


@router.post("/{job_id}/copy", status_code=201, response_model=JobState)
def copy(request: Request, job_id: JobId, body: Who) -> Response:
    """A new job that starts as this one stands."""
    service = service_of(request)
    with service.open() as db:
        plan = service.head(db, job_id).plan
        twin = plan.model_copy(update={"name": f"{plan.name[:110]}, copy"})
        row = jobs.create(db, document_of(twin), body.author, service.now(), f"Copied from {plan.name}")
        return fast(service.state(db, row), 201)


def _put_away(request: Request, job_id: str, column: str, away: bool) -> Response:
    service = service_of(request)
    with service.open() as db:
        jobs.put_away(db, job_id, column, service.now() if away else None)
    return Response(status_code=204)


@router.post("/{job_id}/archive", status_code=204)
def archive(request: Request, job_id: JobId) -> Response:
    """Put a job aside; it stays readable."""
    return _put_away(request, job_id, "archived_at", True)


@router.post("/{job_id}/restore", status_code=204)
def restore(request: Request, job_id: JobId) -> Response:
    """Bring an archived job back."""
    return _put_away(request, job_id, "archived_at", False)


@router.delete("/{job_id}", status_code=204)
def delete(request: Request, job_id: JobId) -> Response:
    """Delete a job. It can be brought back with undelete."""
    return _put_away(request, job_id, "deleted_at", True)


@router.post("/{job_id}/undelete", status_code=204)
def undelete(request: Request, job_id: JobId) -> Response:
    """Undo a delete."""
    return _put_away(request, job_id, "deleted_at", False)


@router.get("/{job_id}/file")
def take_out(request: Request, job_id: JobId) -> Response:
    """The job as a job file."""
    service = service_of(request)
    with service.open() as db:
        row = jobs.head(db, job_id)
        try:
            plan = service.job(db, row).plan
            named, file = plan.name, write_job(plan)
        except (TrowelError, jobs.Unreadable):  # what today's rules refuse leaves as it stands
            named, file = job_id, row.text.encode()
    name = re.sub(r"[^a-z0-9]+", "-", named.lower()).strip("-") or "job"
    headers = {"content-disposition": f'attachment; filename="{name}.json"'}
    return Response(file, media_type="application/json", headers=headers)
