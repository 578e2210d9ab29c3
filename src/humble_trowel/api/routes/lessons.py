"""What a job changes in the crew's ways: lessons taken, left, undone; boards back on the rack."""

from __future__ import annotations

import sqlite3
import uuid

from fastapi import APIRouter, Request

from humble_trowel.api.after_schemas import LessonsState, RackAct, RackState, TakeLesson, UndoLesson
from humble_trowel.api.listener import owns
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.service import Service
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.built.rack import Rack, row_text, with_boards
from humble_trowel.core.built.records import Racked
from humble_trowel.core.errors import InputError
from humble_trowel.core.gate.holds import when_text
from humble_trowel.core.job import Job
from humble_trowel.core.lessons.lessons import left, taken, untaken
from humble_trowel.core.lessons.records import LessonSaid
from humble_trowel.store import jobs, records, ways
from humble_trowel.store.db import atomic

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["lessons"])


@router.get("/lessons")
def lessons(request: Request, job_id: JobId) -> LessonsState:
    """Every lesson of the job, where its concrete went, what is kept. Money is the owner's alone."""
    service = service_of(request)
    return _state(service.laid_out(job_id), mine=owns(request.scope))


def _state(job: Job, *, mine: bool) -> LessonsState:
    told = job.lessons_told()
    if told is not None and not mine:
        told = told.__class__(**{**told.__dict__, "money": [], "kept_text": ""})
    return LessonsState(told=told, may_take=mine, findings=job.lesson_findings)


@router.post("/lessons/take")
def take(request: Request, job_id: JobId, body: TakeLesson) -> LessonsState:
    """Take a lesson into the crew's ways, or leave it, with the reason. Both can be undone."""
    service = service_of(request)
    service.laid_out(job_id)
    with service.open() as db, atomic(db):
        job = service.head(db, job_id)
        if body.take:
            version, crew = service.ways(db)
            now, word = taken(job.lessons_found, body.key, crew, body.reason, body.at, body.author)
            ways.save(db, version, now.model_dump(mode="json"), body.author, service.now())
        else:
            word = left(job.lessons_found, body.key, body.reason, body.at, body.author)
        old = job.lessons_said.get(body.key)
        _keep(
            service, db, job_id, "lesson", word.model_dump(mode="json"), body.author, body.at, old[0] if old else None
        )
    return _state(service.laid_out(job_id), mine=owns(request.scope))


@router.post("/lessons/undo")
def undo(request: Request, job_id: JobId, body: UndoLesson) -> LessonsState:
    """Take back what was made of a lesson; the ways are as they were. 422 where they moved since."""
    service = service_of(request)
    service.laid_out(job_id)
    with service.open() as db, atomic(db):
        job = service.head(db, job_id)
        said: tuple[str, LessonSaid] | None = job.lessons_said.get(body.key)
        if said is None:
            raise InputError("Nothing was made of that lesson yet.", "key")
        version, crew = service.ways(db)
        back = untaken(job.lessons_found, body.key, crew)
        if back is not crew:
            ways.save(db, version, back.model_dump(mode="json"), body.author, service.now())
        _keep(service, db, job_id, "struck", {"why": "undone"}, body.author, body.at, said[0])
    return _state(service.laid_out(job_id), mine=owns(request.scope))


@router.get("/rack")
def rack(request: Request, job_id: JobId) -> RackState:
    """Boards that go back to the rack once the forms are off."""
    service = service_of(request)
    job = service.laid_out(job_id)
    done = job.racked
    if done is not None:
        return _rack(job, Rack(done[1].out, done[1].back, 0), mine=owns(request.scope))
    counting = service.counting(job, job_id, ("boards",))
    if counting is not None:
        return RackState(counting=counting, may=owns(request.scope))
    return _rack(job, job.rack() or Rack([], [], 0), mine=owns(request.scope))


def _rack(job: Job, found: Rack, *, mine: bool) -> RackState:
    units, (record, word) = job.plan.units, job.racked or ("", None)
    return RackState(
        back=[row_text(row, units) for row in found.back], out=[row_text(row, units) for row in found.out], short=found.short, record=record,
        done_text=when_text(word.at[:10]) if word else "", by=word.by if word else "", may=mine,
    )  # fmt: skip


@router.post("/rack")
def put_on_rack(request: Request, job_id: JobId, body: RackAct) -> RackState:
    """Boards go back to the rack in the crew's ways, or are taken from it again. Raises InputError where there are none, or some have left since."""
    service = service_of(request)
    service.laid_out(job_id)
    with service.open() as db, atomic(db):
        job = service.head(db, job_id)
        version, crew = service.ways(db)
        done = job.racked
        if body.back:
            found = job.rack()
            if done is not None or found is None or not found.back:
                raise InputError(
                    "They are on the rack already." if done else "There are no boards to put back.", "rack"
                )
            now = with_boards(crew, found.back, found.out)
            word = Racked(out=found.out, back=found.back, at=body.at, by=body.author)
            kind, document, old = "racked", word.model_dump(mode="json"), None
        else:
            if done is None:
                raise InputError("They are not on the rack.", "rack")
            now = with_boards(crew, done[1].out, done[1].back, strict=True)
            kind, document, old = "struck", {"why": "undone"}, done[0]
        ways.save(db, version, now.model_dump(mode="json"), body.author, service.now())
        _keep(service, db, job_id, kind, document, body.author, body.at, old)
    return rack(request, job_id)


def _keep(
    service: Service, db: sqlite3.Connection, job_id: str, kind: str, document: dict[str, object], who: str, at: str, supersedes: str | None
) -> None:  # fmt: skip
    """A record with an id of its own."""
    row = jobs.head(db, job_id)
    records.add(
        db,
        records.Record(
            id=f"lesson-{uuid.uuid4().hex}", job_id=job_id, kind=kind, revision=row.n, who=who, at_device=at, at=service.now(), supersedes=supersedes,
            document=document,
        ),
    )  # fmt: skip
