"""What leaves the gate as a file: the walk on paper, the box of papers, calendars."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request, Response
from pydantic import BaseModel

from humble_trowel.api.routes.jobs import JobId, ReadingKey, service_of
from humble_trowel.api.routes.papers import file_response, on_paper
from humble_trowel.api.schemas import file_answer
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.plan.values import Day
from humble_trowel.core.progress import watched
from humble_trowel.store import jobs, photos

router = APIRouter(route_class=StrictRoute, prefix="/api", tags=["papers"])
ICS = "text/calendar; charset=utf-8"


class PackShare(BaseModel):
    """How far a box is: from 0 to 1; None where none of that name is being bound."""

    share: float | None


@router.get("/jobs/{job_id}/walk.pdf", response_class=Response, responses=file_answer("application/pdf"))
def walk_pdf(request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter") -> Response:
    """The walk before the pour and the inspector's list, on paper."""
    from humble_trowel.papers.walk_sheet import walk_pdf as make

    job = on_paper(request, job_id)
    signed = [one for _, one in job.signatures]
    return file_response(make(job.plan, job.walked, signed, paper), job.plan.name, "-walk.pdf", "application/pdf")


@router.get("/jobs/{job_id}/pack.pdf", response_class=Response, responses=file_answer("application/pdf"))
def pack_pdf(
    request: Request, job_id: JobId, paper: Literal["a4", "letter"] = "letter", today: Day | None = None, reading: ReadingKey = ""
) -> Response:  # fmt: skip
    """The box of papers as one PDF. reading: a name under which it can be asked how far it is."""
    from humble_trowel.papers.job_pack import job_pack

    service = service_of(request)
    job = on_paper(request, job_id)

    def picture(name: str) -> bytes | None:
        with service.open() as db:
            found = photos.find(db, job_id, name)
        return found.picture if found else None

    day = date.fromisoformat(today or service.now()[:10])
    with watched(lambda share: service.note_share(reading, share)):
        try:
            data = job_pack(job, picture, day, paper)
        finally:
            service.note_share(reading, None)
    return file_response(data, job.plan.name, "-box.pdf", "application/pdf")


@router.get("/packs/{reading}")
def pack_share(request: Request, reading: str) -> PackShare:
    """How far a box is."""
    return PackShare(share=service_of(request).shares.get(reading))


@router.get("/jobs/{job_id}/calendar.ics", response_class=Response, responses=file_answer("text/calendar"))
def job_calendar(request: Request, job_id: JobId, today: Day | None = None) -> Response:
    """The days of a job. A second import moves what moved."""
    from humble_trowel.files.calendar_ics import calendar_ics
    from humble_trowel.files.job_calendar import job_days

    service = service_of(request)
    with service.open() as db:
        row = jobs.head(db, job_id)
        job = service.job(db, row)
    rows = job_days(job_id, job, date.fromisoformat(today or service.now()[:10])) if job.plan.outline else []
    data = calendar_ics(job.plan.name, rows, datetime.now(UTC).replace(microsecond=0), row.n)
    return file_response(data, job.plan.name, ".ics", ICS)


@router.get("/week/calendar.ics", response_class=Response, responses=file_answer("text/calendar"))
def person_calendar(
    request: Request, person: Annotated[str, Query(max_length=80)], today: Day | None = None
) -> Response:
    """Everything that a person is booked for, in all jobs."""
    from humble_trowel.files.calendar_ics import calendar_ics
    from humble_trowel.files.job_calendar import person_days

    service = service_of(request)
    with service.open() as db:
        rows = [
            (line.id, service.job(db, row, passing=True), row.n)
            for line in jobs.every(db)
            if line.archived_at is None
            for row in [jobs.head(db, line.id)]
        ]
    day = date.fromisoformat(today or service.now()[:10])
    days = person_days([(name, job) for name, job, _ in rows if job.plan.outline], person, day)
    data = calendar_ics(person, days, datetime.now(UTC).replace(microsecond=0), max((n for _, _, n in rows), default=0))
    return file_response(data, person, ".ics", ICS)
