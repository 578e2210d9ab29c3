"""Why each task is on its day, how long it can wait, and what drives a day: by moving one task and looking at what breaks."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from humble_trowel.core.schedule.critical import days_between
from humble_trowel.core.schedule.project import Project, Task
from humble_trowel.core.schedule.rules import Break, breaks, own_breaks, wet_between


@dataclass(frozen=True)
class Held:
    """why: what breaks a working day sooner, None where nothing does. latest: its last day by waits and weather; float_days: until then."""

    why: Break | None
    latest: int
    float_days: int


ORDER = ("wet", "rain", "wind", "cold", "hot", "wet after", "weekday", "lead", "after", "crew", "early", "booked", "off", "beyond")  # fmt: skip


def why_of(project: Project, starts: Mapping[str, int], task: Task) -> Break | None:
    """What breaks first where a task is a working day sooner; weather before waits, since it names a day."""
    start = starts[task.id]
    if task.done or start <= 0:
        return None
    sooner = start - 1 if task.calendar else project.working_before(start)
    if sooner < 0:
        return None
    moved = dict(starts) | {task.id: sooner}
    rows = [row for row in breaks(project, moved) if row.task == task.id and row.kind != "booked"]
    if task.id not in {one.task for one in rows}:
        return None
    waits = [row for row in rows if row.kind == "after"]
    return min(waits or rows, key=lambda row: ORDER.index(row.kind))


def held(project: Project, starts: Mapping[str, int]) -> dict[str, Held]:
    """Of every task, its day and how long it can wait while the pour and all after it stay."""
    last = dict(starts)
    rows: dict[str, Held] = {}
    end = max((project.finish(one, starts[one.id]) for one in project.tasks), default=0)
    for task in reversed(project.in_order()):
        day = starts[task.id]
        if not task.done and task.booked is None:
            day = _latest(project, task, starts, last, end)
        last[task.id] = day
        spare = 0 if task.done else days_between(project, task, starts[task.id], day)
        rows[task.id] = Held(why_of(project, starts, task), day, spare)
    return rows


def _latest(project: Project, task: Task, starts: Mapping[str, int], last: Mapping[str, int], end: int) -> int:
    waits = [(one, link) for one in project.tasks if not one.done for link in one.links if link.after == task.id]
    found = starts[task.id]
    for day in range(starts[task.id] + 1, end + 1):
        finish = project.finish(task, day)
        if finish > end or any(project.earliest_after(one, link, finish) > last[one.id] for one, link in waits):
            break
        wet = task.limits.dry_until and wet_between(project, task, finish, starts.get(task.limits.dry_until[0], day))
        if not own_breaks(project, task, day) and not wet:
            found = day
    return found


def drives(project: Project, starts: Mapping[str, int], of: str) -> list[Break]:
    """What drives a task's day, from it back to the first of all: each wait, then what holds that one."""
    rows: list[Break] = []
    at = of
    while True:
        row = why_of(project, starts, project.task(at))
        if row is None:
            return rows
        rows.append(row)
        if row.kind == "after":
            at = row.other
        else:
            waits = [link.after for link in project.task(at).links if not project.task(link.after).done]
            if not waits:
                return rows
            at = max(waits, key=lambda name: project.finish(project.task(name), starts[name]))
