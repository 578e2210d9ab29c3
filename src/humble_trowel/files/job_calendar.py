"""Which days of a job go into its calendar, and which into a person's."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date

from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.schedule.sheet import TaskTold, schedule_told
from humble_trowel.core.weather.hours import zone_of
from humble_trowel.files.calendar_ics import CalendarRow, at_zone


def job_days(job_id: str, job: Job, today: date, person: str = "") -> list[CalendarRow]:
    """Tasks of a job that lie ahead or are booked. person: only theirs. Empty where there is no plan. Raises InputError for a time zone that is none."""
    try:
        told = schedule_told(job.plan, job.ways, job.scheduled(today))
    except InputError:
        return []
    rows = [row for row in told.tasks if row.state != "done" and row.key != "cure"]
    if person:
        rows = [row for row in rows if person in row.people]
    return [_row(job_id, job, row) for row in rows]


def _row(job_id: str, job: Job, task: TaskTold) -> CalendarRow:
    plan = job.plan
    words = ", ".join(part for part in (task.why, ", ".join(task.people), task.clash) if part)
    first = date.fromisoformat(task.booked_on or task.start)
    last = first if task.booked_on else date.fromisoformat(task.finish)
    at = at_zone(plan.order.pour_at, zone_of(plan.site)[0]) if task.key == "pour" and plan.order.pour_at else None
    return CalendarRow(
        f"{job_id}-{task.key}",
        f"{plan.name}: {task.name}",
        first,
        last,
        task.state == "stake",
        words,
        plan.site.address,
        at,
    )


def person_days(jobs: Sequence[tuple[str, Job]], person: str, today: date) -> list[CalendarRow]:
    """Everything that a person is booked for, job by job."""
    return [row for name, job in jobs for row in job_days(name, job, today, person)]
