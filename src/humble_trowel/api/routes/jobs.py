"""Jobs: the yard, opening, keeping edits, drafts, undo, files."""

from __future__ import annotations

import json
import re
from typing import Annotated

from fastapi import APIRouter, Request, Response
from pydantic import BaseModel

from humble_trowel.api.desk import Desk, document_of
from humble_trowel.api.errors import StaleJob
from humble_trowel.api.schemas import (
    Call,
    Draft,
    Drafted,
    HeardWalk,
    JobState,
    Keep,
    NewJob,
    RevisionRow,
    Step,
    Who,
    YardJob,
    plain,
)  # fmt: skip
from humble_trowel.core.calls.walk import origin_point, walk
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.edits.zone_walks import landing
from humble_trowel.core.errors import CallError, TrowelError
from humble_trowel.core.figures import figure
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import say_length
from humble_trowel.files.job_file import parse_job, write_job
from humble_trowel.store import jobs

router = APIRouter(prefix="/api/jobs", tags=["jobs"])
JobId = Annotated[str, "id of a job"]


def desk_of(request: Request) -> Desk:
    desk = request.app.state.desk
    assert isinstance(desk, Desk)
    return desk


def fast(model: BaseModel, status: int = 200) -> Response:
    """A model straight to JSON, without a second validation."""
    return Response(model.model_dump_json(), status, media_type="application/json")


@router.get("")
def yard(request: Request) -> list[YardJob]:
    """All jobs, the last changed first, archived ones among them."""
    desk = desk_of(request)
    with desk.open() as db:
        return [desk.yard_job(db, job) for job in jobs.every(db)]


@router.post("", status_code=201, response_model=JobState)
def start(request: Request, body: NewJob) -> Response:
    """A new job without an outline."""
    desk = desk_of(request)
    plan = Plan(name=body.name.strip() or "Unnamed slab", units=body.units)
    with desk.open() as db:
        row = jobs.create(db, document_of(plan), body.author, desk.now(), "Started")
        return fast(desk.state(db, row), 201)


@router.post("/import", status_code=201, response_model=JobState)
async def bring_in(request: Request, author: str = "") -> Response:
    """A job from a job file (the body is the file)."""
    plan = parse_job(await request.body())
    desk = desk_of(request)
    with desk.open() as db:
        row = jobs.create(db, document_of(plan), author[:60], desk.now(), "Brought in from a file")
        return fast(desk.state(db, row), 201)


@router.get("/{job_id}", response_model=JobState)
def open_job(request: Request, job_id: JobId) -> Response:
    """A job at its newest revision."""
    desk = desk_of(request)
    with desk.open() as db:
        return fast(desk.state(db, jobs.head(db, job_id)))


@router.post("/{job_id}/edits", response_model=JobState)
def keep(request: Request, job_id: JobId, body: Keep) -> Response:
    """Keep edits as a new revision. 409 with the newest state when the screen's revision is stale."""
    desk = desk_of(request)
    with desk.open() as db:
        before = jobs.seen(db, job_id, body.edit_id)
        if before is not None:
            return fast(desk.state(db, jobs.head(db, job_id)))
        now = jobs.head(db, job_id)
        if now.n != body.revision:
            raise StaleJob(plain(desk.state(db, now)))
        plan, summary = apply(desk.plan(now), body.edits)
        edits = [edit.model_dump(mode="json") for edit in body.edits]
        try:
            row = jobs.save(
                db, job_id, body.revision, document_of(plan), body.author, desk.now(), summary,
                edit_id=body.edit_id, edits=edits,
            )  # fmt: skip
        except jobs.Stale:
            raise StaleJob(plain(desk.state(db, jobs.head(db, job_id)))) from None
        desk.plans.get((job_id, row.content), lambda: plan)
        return fast(desk.state(db, row))


@router.post("/{job_id}/figure", response_model=Drafted)
def draft(request: Request, job_id: JobId, body: Draft) -> Response:
    """Figures of edits that are not kept, on top of the revision that the screen shows."""
    desk = desk_of(request)
    with desk.open() as db:
        jobs.find(db, job_id)
        row = jobs.revision(db, job_id, body.revision)
        plan, summary = desk.plan(row), ""
        _, crew = desk.ways(db)
        if body.edits:
            plan, summary = apply(plan, body.edits)
        found, _ = desk.found(db, row, None if body.quick or not body.edits else plan)
    result = figure(plan, crew, every_diagonal=body.every_diagonal, quick=body.quick, found=found)
    return fast(Drafted.model_construct(document=plan, figure=result, summary=summary))


@router.post("/{job_id}/walk", response_model=HeardWalk)
def hear_walk(request: Request, job_id: JobId, body: Call) -> Response:
    """A typed walk as heard: ghost line, misclosure, ways out. Nothing is kept."""
    desk = desk_of(request)
    with desk.open() as db:
        plan = desk.plan(jobs.head(db, job_id))
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
        lands = _landing_words(plan, walked.points[-1])
    return fast(HeardWalk.model_construct(walked=walked, start=start_at, lands=lands))


def _landing_words(plan: Plan, spot: tuple[float, float]) -> str:
    side = landing(plan, spot)
    ring = plan.outline or []
    if side is None:
        return ""
    a = ring[side]
    away = ((spot[0] - a[0]) ** 2 + (spot[1] - a[1]) ** 2) ** 0.5
    return f"Lands on {side_name(side, len(ring))}, {say_length(away, plan.units)} from {corner_name(side)}."


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


def _step(request: Request, job_id: str, body: Step, kind: str) -> Response:
    desk = desk_of(request)
    with desk.open() as db:
        try:
            if kind == "go-back":
                old = jobs.revision(db, job_id, body.n or body.revision)
                words = f"Back to {old.n}: {old.summary}"
                row = jobs.save(db, job_id, body.revision, old.document, body.author, desk.now(), words, kind="go-back")
            else:
                act = jobs.undo if kind == "undo" else jobs.redo
                row = act(db, job_id, body.revision, body.author, desk.now())
        except jobs.Stale:
            raise StaleJob(plain(desk.state(db, jobs.head(db, job_id)))) from None
        return fast(desk.state(db, row))


@router.get("/{job_id}/revisions")
def history(request: Request, job_id: JobId) -> list[RevisionRow]:
    """All revisions, newest first."""
    with desk_of(request).open() as db:
        return [
            RevisionRow.model_validate({k: v for k, v in row.items() if k != "content"})
            for row in jobs.history(db, job_id)
        ]


@router.post("/{job_id}/copy", status_code=201, response_model=JobState)
def copy(request: Request, job_id: JobId, body: Who) -> Response:
    """A new job that starts as this one stands."""
    desk = desk_of(request)
    with desk.open() as db:
        plan = desk.plan(jobs.head(db, job_id))
        twin = plan.model_copy(update={"name": f"{plan.name[:110]}, copy"})
        row = jobs.create(db, document_of(twin), body.author, desk.now(), f"Copied from {plan.name}")
        return fast(desk.state(db, row), 201)


def _put_away(request: Request, job_id: str, column: str, away: bool) -> Response:
    desk = desk_of(request)
    with desk.open() as db:
        jobs.put_away(db, job_id, column, desk.now() if away else None)
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
    desk = desk_of(request)
    with desk.open() as db:
        row = jobs.head(db, job_id)
    try:
        plan = desk.plan(row)
        named, file = plan.name, write_job(plan)
    except TrowelError:  # what today's rules refuse leaves as it stands
        named, file = str(row.document.get("name") or ""), json.dumps(row.document, ensure_ascii=False).encode()
    name = re.sub(r"[^a-z0-9]+", "-", named.lower()).strip("-") or "job"
    headers = {"content-disposition": f'attachment; filename="{name}.json"'}
    return Response(file, media_type="application/json", headers=headers)
