"""The gate: holds, the walk, trades and their days, papers, changes; the week of all jobs."""

from __future__ import annotations

from datetime import date
from typing import Annotated

from fastapi import APIRouter, Query, Request

from humble_trowel.api.gate_schemas import GateAsk, GateState, Signed, WeekState
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.service import Service
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding
from humble_trowel.core.gate.changes import changes_told, effect_of
from humble_trowel.core.gate.papers import USUAL
from humble_trowel.core.gate.week import week_of
from humble_trowel.core.gate.week_parts import WeekJob, tasks_of
from humble_trowel.core.job import Job
from humble_trowel.core.plan.values import Day
from humble_trowel.core.schedule.sheet import schedule_told
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.store import jobs

router = APIRouter(route_class=StrictRoute, prefix="/api", tags=["gate"])
SOON_S = 0.05


@router.post("/jobs/{job_id}/gate")
def gate(request: Request, job_id: JobId, body: GateAsk) -> GateState:
    """What one tab of the gate shows."""
    service = service_of(request)
    kept = service.laid_out(job_id)
    job = service.tried(kept, body.edits)
    today = date.fromisoformat(body.today)
    state = GateState(crew=[person.name for person in job.ways.crew])
    if body.tab == "trades" or (body.tab == "holds" and body.days):
        _schedule(service, job, today, state)
    if body.tab == "holds":
        later = job.day_asked and service.counting(job, f"{job_id}#tried" if body.edits else job_id, ("day",), SOON_S)
        state.weather = later is None or later is False
        state.told = gate_told(job, today, state.schedule, weather=state.weather)
        state.walk = job.walked
        state.signatures = [
            Signed(record=name, of=one.of, name=one.name, at=one.at, strokes=one.strokes)
            for name, one in job.signatures
        ]
    if body.tab == "papers":
        state.papers, state.usual = job.papers, list(USUAL)
    if body.tab == "changes":
        state.changes = changes_told(job.site_changes, job.plan.units)
        state.effect = effect_of(kept.amounts, job.amounts, job.plan.units) if body.edits else None
    state.findings = _findings(job)
    return state


def _findings(job: Job) -> list[Finding]:
    return job.place_findings


def _schedule(service: Service, job: Job, today: date, state: GateState) -> None:
    try:
        state.schedule = schedule_told(job.plan, job.ways, service.scheduled(job, today))
    except InputError as error:
        state.wrong, state.wrong_at = str(error), error.path


@router.get("/week")
def week(request: Request, from_day: Annotated[Day, Query()]) -> WeekState:
    """All jobs that are not put away and everybody, from a day on. What cannot be read is left out."""
    service = service_of(request)
    rows = []
    with service.open() as db:
        _, crew = service.ways(db)
        for line in jobs.every(db):
            if line.archived_at is None:
                try:
                    job = service.job(db, jobs.head(db, line.id), passing=True)
                except Exception:
                    continue  # the yard says what is wrong with it
                rows.append(_job(line.id, job))
    names = [person.name for person in crew.crew]
    return WeekState(week=week_of(rows, names, date.fromisoformat(from_day)), crew=names)


def _job(name: str, job: Job) -> WeekJob:
    plan = job.plan
    ordered = job.numbers.ordered if plan.order.pour_at and job.numbers else None
    unit = "m³" if plan.units == "mm" else "yd"
    said = [
        (row.key or row.id, row.name or row.key or "", row.on, row.days, row.hands, row.people)
        for row in plan.schedule.tasks
    ]
    return WeekJob(
        name, plan.name, plan.outline, plan.openings, f"{ordered.text} {unit}" if ordered else "", ordered.order_m3 if ordered else 0.0,
        tasks_of(said, plan.order.pour_at, job.ways.schedule.pour_hands),
    )  # fmt: skip
