"""Earliest and latest days by waits, leads and working days alone: the critical path, without crew or weather (Kelley and Walker, 1959)."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.schedule.project import Project, Task


@dataclass(frozen=True)
class Path:
    """A task's days: earliest start and finish, latest start and finish, and days to spare."""

    earliest: int
    earliest_finish: int
    latest: int
    latest_finish: int
    float_days: int


def days_between(project: Project, task: Task, day: int, later: int) -> int:
    """Days to spare from one start to a later one: working days, or all days of what goes on through weekends."""
    return sum(1 for one in range(day, later) if task.calendar or project.works(one))


def critical(project: Project) -> tuple[dict[str, Path], int]:
    """(each task's days, the day on which all is finished)."""
    order = project.in_order()
    earliest: dict[str, int] = {}
    for task in order:
        days = [project.first_day(task)]
        days += [
            project.earliest_after(task, link, project.finish(project.task(link.after), earliest[link.after]))
            for link in task.links
        ]
        earliest[task.id] = max(days)
    finish = max((project.finish(one, earliest[one.id]) for one in order), default=0)
    latest: dict[str, int] = {}
    for task in reversed(order):
        latest[task.id] = _latest(project, task, earliest[task.id], finish, latest)
    rows = {
        one.id: Path(
            earliest[one.id], project.finish(one, earliest[one.id]), latest[one.id], project.finish(one, latest[one.id]),
            days_between(project, one, earliest[one.id], latest[one.id]),
        )
        for one in project.tasks
    }  # fmt: skip
    return rows, finish


def _latest(project: Project, task: Task, earliest: int, finish: int, latest: dict[str, int]) -> int:
    """The last day on which it may start so that nothing after it is late."""
    waits = [(one, link) for one in project.tasks for link in one.links if link.after == task.id]
    for day in range(finish, earliest, -1):
        if not task.calendar and not project.works(day):
            continue
        end = project.finish(task, day)
        if end <= finish and all(project.earliest_after(one, link, end) <= latest[one.id] for one, link in waits):
            return day
    return earliest
