"""Records: what crews write down on site. Appended, never changed; each is answered with what it comes to."""

from __future__ import annotations

import sqlite3

from fastapi import APIRouter, Request

from humble_trowel.api.line_schemas import NewRecord, RecordRow
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.service import Service
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.model import Model
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.units import Units
from humble_trowel.store import jobs, photos, records

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["records"])


@router.post("/records", status_code=201)
def add_record(request: Request, job_id: JobId, body: NewRecord) -> RecordRow:
    """Append a record. The same id sent twice counts once."""
    units = service_of(request).begun(job_id).plan.units
    values = KIND_OF[body.kind].read(body.values, units)
    if body.kind == "struck" and body.supersedes is None:
        raise InputError("Which record does not count any more?", "supersedes")
    return keep_record(request, job_id, body, values)


def keep_record(request: Request, job_id: str, said: NewRecord, values: Model) -> RecordRow:
    """Check a record against the plan and what was written so far, append it, and say what it comes to."""
    service, own = service_of(request), KIND_OF[said.kind]
    job = service.begun(job_id)
    with service.open() as db:
        made_on = job.plan
        if said.revision != jobs.head(db, job_id).n:
            try:
                made_on = service.job(db, jobs.revision(db, job_id, said.revision), passing=True).plan
            except jobs.NoSuchJob:
                raise records.NoSuchRevision(f"This job has no revision {said.revision}.") from None
        values = own.resolved(values, made_on)
        document = values.model_dump(mode="json", by_alias=True)
        if not records.there(db, said.id):  # one that was kept already was in order when it was
            own.check(job, values)
            if any(not photos.there(db, job_id, one) for one in own.pictures(values)):
                raise InputError("The picture itself has not come yet.", "photo")
        verdict = _verdict(job, said.kind, values)
        row = records.add(
            db,
            records.Record(
                id=said.id, job_id=job_id, kind=said.kind, revision=said.revision, who=said.who, at_device=said.at_device,
                at=service.now(), supersedes=said.supersedes, document=document,
            ),
        )  # fmt: skip
    return _row(row, set(), verdict, values, job.plan.units)


@router.get("/records")
def all_records(request: Request, job_id: JobId, kind: str | None = None) -> list[RecordRow]:
    """All records, the newest first, each with what it came to against the plan of its own revision."""
    service = service_of(request)
    with service.open() as db:
        jobs.find(db, job_id)
        every = records.of_job(db, job_id)
        rows = [row for row in every if kind is None or row.kind == kind]
        made_on = {number: _job_at(service, db, job_id, number) for number in {row.revision for row in rows}}
    replaced = {row.supersedes for row in every if row.supersedes}
    return [_told(row, made_on[row.revision], replaced) for row in reversed(rows)]


def _job_at(service: Service, db: sqlite3.Connection, job_id: str, number: int) -> Job | str:
    """The job as it was when a record was made, or why that cannot be said."""
    try:
        return service.job(db, jobs.revision(db, job_id, number), passing=True)
    except jobs.NoSuchJob:
        return "it was made on a revision that this job does not have"
    except (jobs.Unreadable, TrowelError):
        return "the revision that it was made on cannot be read"


def _told(row: records.Record, job: Job | str, replaced: set[str]) -> RecordRow:
    """A record as it stands; one that cannot be read with its reason, and what is stored of it."""
    own = KIND_OF.get(row.kind)
    why = "this program does not know its kind" if own is None else job if isinstance(job, str) else ""
    if records.DAMAGED in row.document:
        why = "what is stored of it is damaged"
    elif own is not None and isinstance(job, Job):
        try:
            values = own.read(row.document, job.plan.units)
            return _row(row, replaced, _verdict(job, row.kind, values), values, job.plan.units)
        except InputError as error:
            why = error.words.rstrip(".")
    return RecordRow(
        id=row.id, kind=row.kind, revision=row.revision, who=row.who, at_device=row.at_device, at=row.at,
        supersedes=row.supersedes, superseded=row.id in replaced, values=row.document, verdict="", shown=[],
        unread=f"This record counts for nothing: {why}.",
    )  # fmt: skip


def _verdict(job: Job, kind: str, values: Model) -> str:
    try:
        return KIND_OF[kind].sentence(job, values)
    except TrowelError as error:
        return error.words


def _row(row: records.Record, replaced: set[str], verdict: str, values: Model, units: Units) -> RecordRow:
    return RecordRow(
        id=row.id, kind=row.kind, revision=row.revision, who=row.who, at_device=row.at_device, at=row.at,
        supersedes=row.supersedes, superseded=row.id in replaced, values=row.document, verdict=verdict,
        shown=KIND_OF[row.kind].shown(values, units),
    )  # fmt: skip
