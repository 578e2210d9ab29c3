"""Records: what crews write down on site. Appended, never changed; each is answered with what it comes to."""

from __future__ import annotations

from typing import Any

from fastapi import APIRouter, Request

from humble_trowel.api.line_schemas import NewRecord, RecordRow
from humble_trowel.api.routes.jobs import JobId, desk_of
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.ground.notes import SiteNotes
from humble_trowel.core.lines.records import Struck
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.units import Units
from humble_trowel.store import jobs, records

router = APIRouter(prefix="/api/jobs/{job_id}", tags=["records"])


def laid_out(request: Request, job_id: str) -> tuple[Plan, Ways, tuple[Any, ...]]:
    """(plan of the newest revision, the crew's ways, key for the shelf). Raises InputError without an outline."""
    desk = desk_of(request)
    with desk.open() as db:
        row = jobs.head(db, job_id)
        plan = desk.plan(row)
        version, crew = desk.ways(db)
    if plan.outline is None:
        raise InputError("There is no outline yet. Call the first side.", "outline")
    return plan, crew, (job_id, row.content, version)


@router.post("/records", status_code=201)
def add_record(request: Request, job_id: JobId, body: NewRecord) -> RecordRow:
    """Append a record. The same id sent twice counts once."""
    plan, _, _ = laid_out(request, job_id)
    values = KIND_OF[body.kind].read(body.values, plan.units)
    if isinstance(values, Struck) and body.supersedes is None:
        raise InputError("Which record does not count any more?", "supersedes")
    return keep_record(
        request, job_id, body.id, body.kind, body.revision, values, body.who, body.at_device, body.supersedes
    )


def keep_record(
    request: Request, job_id: str, record_id: str, kind: str, revision: int | None, values: Model, who: str,
    at_device: str = "", supersedes: str | None = None,
) -> RecordRow:  # fmt: skip
    """Check a record against the plan and what was written so far, append it, and say what it comes to."""
    plan, crew, _ = laid_out(request, job_id)
    desk = desk_of(request)
    with desk.open() as db:
        made_on = plan if revision is None else desk.plan(jobs.revision(db, job_id, revision))
    own_kind = KIND_OF[kind]
    values = own_kind.resolved(values, made_on)
    document = values.model_dump(mode="json", by_alias=True)
    with desk.open() as db:
        notes, _ = desk.notes(db, job_id)
        own_kind.check(plan, crew, notes, values)
        verdict = _verdict(plan, crew, kind, values, notes)
        own = revision or jobs.head(db, job_id).n
        row = records.add(
            db, records.Record(record_id, job_id, kind, own, who, at_device, desk.now(), supersedes, document)
        )
    return _row(row, set(), verdict, values, plan.units)


@router.get("/records")
def all_records(request: Request, job_id: JobId, kind: str | None = None) -> list[RecordRow]:
    """All records, the newest first, each with what it came to against the plan of its own revision."""
    desk = desk_of(request)
    with desk.open() as db:
        jobs.find(db, job_id)
        every = records.of_job(db, job_id)
        rows = [row for row in every if kind is None or row.kind == kind]
        _, crew = desk.ways(db)
        notes, _ = desk.notes(db, job_id)
        plans = {row.revision: desk.plan(jobs.revision(db, job_id, row.revision)) for row in rows}
    replaced = {row.supersedes for row in every if row.supersedes}
    told = []
    for row in reversed(rows):
        plan = plans[row.revision]
        values = KIND_OF[row.kind].read(row.document, plan.units)
        told.append(_row(row, replaced, _verdict(plan, crew, row.kind, values, notes), values, plan.units))
    return told


def _verdict(plan: Plan, crew: Ways, kind: str, values: Model, notes: SiteNotes) -> str:
    try:
        return KIND_OF[kind].sentence(plan, crew, notes, values)
    except TrowelError as error:
        return error.words


def _row(row: records.Record, replaced: set[str], verdict: str, values: Model, units: Units) -> RecordRow:
    return RecordRow(
        id=row.id, kind=row.kind, revision=row.revision, who=row.who, at_device=row.at_device, at=row.at,
        supersedes=row.supersedes, superseded=row.id in replaced, values=row.document, verdict=verdict,
        shown=KIND_OF[row.kind].shown(values, units),
    )  # fmt: skip
