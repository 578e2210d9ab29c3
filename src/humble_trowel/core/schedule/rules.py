"""What a plan of days breaks: every rule looked at by itself, sharing nothing with the search for a plan but the calendar."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.schedule.project import Project, Sky, Task

Kind = Literal[
    "after", "off", "weekday", "lead", "early", "rain", "wind", "cold", "hot", "wet", "wet after", "crew", "booked", "beyond",
]  # fmt: skip


@dataclass(frozen=True)
class Break:
    """A rule that a task breaks. other: the task it should wait for, or whose day is wet. day: on which; value: rain in mm, wind in m/s, C or hands."""

    kind: Kind
    task: str
    other: str = ""
    day: int = 0
    value: float = 0.0


def own_breaks(project: Project, task: Task, start: int) -> list[Break]:
    """What a task breaks by itself on a day, whatever the others do."""
    rows: list[Break] = []
    if not task.calendar and not project.works(start):
        rows.append(Break("off", task.id, day=start))
    if task.weekdays is not None and project.weekday(start) not in task.weekdays:
        rows.append(Break("weekday", task.id, day=start))
    if start < task.earliest:
        rows.append(Break("early", task.id, day=start))
    if task.lead_days and start < project.working_after(project.order_day, task.lead_days):
        rows.append(Break("lead", task.id, day=start, value=task.lead_days))
    if project.finish(task, start) >= project.horizon_days:
        rows.append(Break("beyond", task.id, day=start))
    rows += [row for day in project.days_of(task, start) for row in _weather(task, day, project.weather.get(day))]
    if task.limits.dry_after is not None:
        days, most = task.limits.dry_after
        end = project.finish(task, start)
        rows += _wet(project, task.id, "", range(end + 1, end + 1 + days), most, "wet after")
    return rows


def _weather(task: Task, day: int, sky: Sky | None) -> list[Break]:
    if sky is None:
        return []
    own, rows = task.limits, []
    if own.most_rain_mm is not None and sky.rain_mm > own.most_rain_mm:
        rows.append(Break("rain", task.id, day=day, value=sky.rain_mm))
    if own.most_wind_ms is not None and sky.wind_ms > own.most_wind_ms:
        rows.append(Break("wind", task.id, day=day, value=sky.wind_ms))
    if own.least_c is not None and sky.least_c < own.least_c:
        rows.append(Break("cold", task.id, day=day, value=sky.least_c))
    if own.most_c is not None and sky.most_c > own.most_c:
        rows.append(Break("hot", task.id, day=day, value=sky.most_c))
    return rows


def _wet(
    project: Project, task: str, other: str, days: range, most_mm: float, kind: Literal["wet", "wet after"]
) -> list[Break]:
    return [
        Break(kind, task, other, day, sky.rain_mm)
        for day in days
        if (sky := project.weather.get(day)) is not None and sky.rain_mm >= most_mm
    ]


def wet_between(project: Project, task: Task, end: int, other_start: int) -> list[Break]:
    """Days that wet what a task laid, from its end to the start of what covers it, both included."""
    if task.limits.dry_until is None:
        return []
    other, most = task.limits.dry_until
    return _wet(project, task.id, other, range(max(end, 0), other_start + 1), most, "wet")


def breaks(project: Project, starts: Mapping[str, int]) -> list[Break]:
    """Everything that a plan breaks. starts: the day of each task."""
    rows: list[Break] = []
    for task in project.tasks:
        start = starts[task.id]
        end = project.finish(task, start)
        if not task.done:
            rows += own_breaks(project, task, start)
            for link in task.links:
                before = project.task(link.after)
                if project.earliest_after(task, link, project.finish(before, starts[before.id])) > start:
                    rows.append(Break("after", task.id, link.after, start))
            if task.booked is not None and start != task.booked:
                rows.append(Break("booked", task.id, day=task.booked))
        if task.limits.dry_until is not None and task.limits.dry_until[0] in starts:
            rows += wet_between(project, task, end, starts[task.limits.dry_until[0]])
    return rows + _crew(project, starts)


def _crew(project: Project, starts: Mapping[str, int]) -> list[Break]:
    hands: dict[int, list[Task]] = {}
    for task in project.tasks:
        if task.crew and not task.done:
            for day in project.days_of(task, starts[task.id]):
                hands.setdefault(day, []).append(task)
    return [
        Break("crew", task.id, next((one.id for one in own if one is not task), ""), day, sum(one.crew for one in own))
        for day, own in sorted(hands.items())
        if sum(one.crew for one in own) > project.crew
        for task in own
    ]
