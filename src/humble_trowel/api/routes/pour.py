"""The day of the pour: what is next, how much is left; recorded days of the demo."""

from __future__ import annotations

from fastapi import APIRouter, Request

from humble_trowel.api.pour_schemas import (
    AheadCellTold,
    AheadRow,
    DayRow,
    DayRows,
    PlayedDay,
    PourAhead,
    PourAsk,
    PourState,
)
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.service import Service
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.pour.call import STONES
from humble_trowel.core.pour.clock import pour_clock
from humble_trowel.core.pour.sizes import about, amount
from humble_trowel.demo.days import days_for, lines_of

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["pour"])
SOON_S = 0.0


@router.post("/pour")
def pour(request: Request, job_id: JobId, body: PourAsk) -> PourState:
    """The day at a minute."""
    service = service_of(request)
    job = service.laid_out(job_id)
    clock = pour_clock(job.plan)
    if clock is None:
        return PourState(missing="day", findings=job.place_findings)
    _begin_clock(service, job, job_id)
    told = job.pour_told(None if body.at is None else clock.minute(body.at))
    newest = job.pour_said.newest(clock)
    return PourState(
        told=told, missing="" if told else "loads", newest_at="" if newest is None else clock.stamp(newest),
        findings=job.pour_findings, days=[PlayedDay(key=key, title=title) for key, title in days_for(job.plan)],
    )  # fmt: skip


def _begin_clock(service: Service, job: Job, job_id: str) -> None:
    """The set clock is worked out beside; until it is there the mix alone says when to float."""
    if job.day_asked:
        service.counting(job, job_id, ("day", "day_run") if job.came_late else ("day",), SOON_S)


@router.get("/pour/ahead")
def pour_ahead(request: Request, job_id: JobId) -> PourAhead:
    """What to call for fronts and yards that may come, as of the newest word: for a phone that will have no answer."""
    job = service_of(request).laid_out(job_id)
    found = job.pour_ahead()
    if found is None:
        return PourAhead()
    day, rows = found
    units, parts = job.plan.units, day.planned.floor.parts
    return PourAhead(
        at_text=day.planned.clock.text(day.now_min),
        rows=[
            AheadRow(
                id=parts[row.at].part.id, n=row.at + 1, name=parts[row.at].name,
                cells=[
                    AheadCellTold(
                        in_text=amount(cell.in_m3, units), call_text=amount(cell.call_m3, units) if cell.call_m3 else "none",
                        left_text=f"{about(cell.left_m3, units)} ± {about(cell.left_sd_m3, units)}",
                        short_of=round(cell.short_share * STONES), likely=cell.likely,
                    )
                    for cell in row.cells
                ],
            )
            for row in rows
        ],
    )  # fmt: skip


@router.get("/pour/days/{key}")
def recorded_day(request: Request, job_id: JobId, key: str) -> DayRows:
    """A recorded day, line by line. Raises InputError for one that is not there."""
    job = service_of(request).laid_out(job_id)
    try:
        rows = lines_of(job.plan, key)
    except KeyError:
        raise InputError("There is no such day.", "key") from None
    return DayRows(
        rows=[DayRow(minute=minute, kind=line.kind, who=line.who, values=values) for minute, line, values in rows]
    )
