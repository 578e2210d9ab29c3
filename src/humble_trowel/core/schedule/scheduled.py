"""The days of a job: the best plan with what is booked, the first day it could be poured, what one more wet day moves, why there is no plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import date

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.progress import tick
from humble_trowel.core.schedule.best import best, windows, without_weather
from humble_trowel.core.schedule.implied import POUR, Sizes
from humble_trowel.core.schedule.of_job import JobProject, JobTask, project_of
from humble_trowel.core.schedule.project import Project, Sky
from humble_trowel.core.schedule.rules import Break, breaks
from humble_trowel.core.schedule.why import Held, drives, held


@dataclass(frozen=True)
class Placed:
    """A task on its days. clash: what is broken on the day for which it is booked; start is then the day it could have. refused: days that
    weather took from it, from the first that its waits left it."""

    task: JobTask
    start: int
    finish: int
    held: Held
    clash: Break | None
    refused: tuple[Break, ...]


@dataclass(frozen=True)
class Scheduled:
    """All of it; tasks is empty where no plan is possible, and `none` says why. first_pour: the first day it could be poured, whatever is
    booked. wet_pour: the same with one more wet day; wet_day: that day. drives: what holds the first pour, from it backwards."""

    job: JobProject
    tasks: list[Placed]
    first_pour: int | None
    wet_pour: int | None
    wet_day: int | None
    drives: list[Break]
    none: Break | None

    @property
    def project(self) -> Project:
        return self.job.project

    def placed(self, key: str) -> Placed | None:
        """A task by its key."""
        return next((one for one in self.tasks if one.task.key == key), None)

    def date_of(self, day: int | None) -> date | None:
        """On the calendar."""
        return None if day is None else self.project.date_of(day)


def scheduled(plan: Plan, ways: JobWays, sizes: Sizes, skies: Mapping[date, Sky], today: date) -> Scheduled:
    """The days of a job. Raises InputError, naming the field, for loops and tasks that cannot be."""
    job = project_of(plan, ways, sizes, skies, today)
    free = project_of(plan, ways, sizes, skies, today, pour_booked=False)
    open_plan = best(free.project, POUR) if any(one.key == POUR for one in job.tasks) else best(free.project)
    if open_plan is None:
        return Scheduled(job, [], None, None, None, [], _none(job.project))
    tick(0.5)
    first = open_plan.starts.get(POUR)
    kept = best(job.project, POUR) if job.project.tasks != free.project.tasks else open_plan
    tick(0.8)
    kept = kept or open_plan
    wet_day = _wet_day(free.project, open_plan.starts)
    wet = None if wet_day is None else best(_wetter(free.project, wet_day), POUR)
    return Scheduled(
        job, _placed(job, kept.starts, kept.moved), first, None if wet is None else wet.starts.get(POUR), wet_day,
        [] if first is None else drives(free.project, open_plan.starts, POUR), None,
    )  # fmt: skip


def _placed(job: JobProject, starts: Mapping[str, int], moved: tuple[str, ...]) -> list[Placed]:
    project = job.project
    clashes = _clashes(project, starts, moved)
    loose = replace(project, tasks=[replace(one, booked=None) if one.id in moved else one for one in project.tasks])
    every = held(loose, starts)
    return [
        Placed(
            one, starts[one.key], project.finish(project.task(one.key), starts[one.key]), every[one.key], clashes.get(one.key),
            _refused(loose, starts, one.key),
        )
        for one in job.tasks
    ]  # fmt: skip


def _clashes(project: Project, starts: Mapping[str, int], moved: tuple[str, ...]) -> dict[str, Break]:
    """What is broken by each booking that cannot be kept, and by those that are kept against the weather."""
    found: dict[str, Break] = {}
    for name in moved:
        booked = project.task(name).booked
        assert booked is not None
        rows = [
            row
            for row in breaks(project, dict(starts) | {name: booked})
            if name in (row.task, row.other) and row.kind != "booked"
        ]
        found[name] = rows[0] if rows else Break("early", name, day=booked)
    for row in breaks(project, starts):
        if row.task in starts and project.task(row.task).booked is not None and row.kind != "booked":
            found.setdefault(row.task, row)
    return found


def _refused(project: Project, starts: Mapping[str, int], name: str) -> tuple[Break, ...]:
    """Working days before its own that waits would have left it and weather took."""
    task = project.task(name)
    if task.done or task.booked is not None:
        return ()
    days = [project.first_day(task)]
    days += [
        project.earliest_after(task, link, project.finish(project.task(link.after), starts[link.after]))
        for link in task.links
    ]
    rows = []
    for day in range(max(days), starts[name]):
        if task.calendar or project.works(day):
            broken = [
                row
                for row in breaks(project, dict(starts) | {name: day})
                if row.task == name and row.kind in ("rain", "wind", "cold", "hot", "wet", "wet after")
            ]
            if broken:
                rows.append(replace(broken[0], day=broken[0].day))
    return tuple(rows[:4])


def _wet_day(project: Project, starts: Mapping[str, int]) -> int | None:
    """The day whose rain would move most: when what must stay dry is laid, else that of the pour."""
    for task in project.tasks:
        if task.limits.dry_until is not None and not task.done:
            return starts[task.id]
    return starts.get(POUR)


def _wetter(project: Project, day: int) -> Project:
    rain = max((one.limits.dry_until[1] for one in project.tasks if one.limits.dry_until), default=12.7)
    return replace(
        project, weather=dict(project.weather) | {day: replace(project.weather.get(day, Sky()), rain_mm=rain)}
    )


def _none(project: Project) -> Break:
    """Why there is no plan: too few hands, a task that no day suits, the weather, or all together."""
    short = next((one for one in project.tasks if one.crew > project.crew and not one.done), None)
    if short is not None:
        return Break("crew", short.id, value=short.crew)
    days = windows(project)
    bare = next((one.id for one in project.tasks if not days.get(one.id)), None)
    if bare is not None:
        task = project.task(bare)
        if task.weekdays is not None and not any(
            project.works(day) and project.weekday(day) in task.weekdays for day in range(project.horizon_days)
        ):
            return Break("weekday", bare)
        return Break("beyond", bare, value=project.horizon_days)
    dry = best(without_weather(project)) is not None
    return Break("rain" if dry else "beyond", POUR, value=project.horizon_days)
