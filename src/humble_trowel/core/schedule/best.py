"""The best days under waits, crew and weather: an integer programme over days (HiGHS), the first goal first.

A variable a task and day: it starts then. Days that a task cannot have by itself have none. Waits stand as sums up to a day, which bounds well.
Goals in turn: the fewest bookings that cannot be kept, the first day for what matters most, then every task as early as it can be.
"""

from __future__ import annotations

from bisect import bisect_left
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import combinations
from typing import Any

import highspy
import numpy as np

from humble_trowel.core.progress import tick
from humble_trowel.core.schedule.project import Project, Task
from humble_trowel.core.schedule.rules import own_breaks, wet_between

SOLVER: Any = highspy.Highs.__base__  # the class over it prints a banner while it is being made
LIMIT_S = 20.0
MOST_TRIED = 128
NEAR_DAYS = 30
Terms = dict[int, float]


@dataclass(frozen=True)
class Days:
    """The day of each task. moved: booked tasks that cannot be on their day, here on the day they could have."""

    starts: dict[str, int]
    moved: tuple[str, ...]


def windows(project: Project) -> dict[str, list[int]]:
    """The days on which each task may start, by itself and by what it waits for; empty where there are none."""
    found: dict[str, list[int]] = {}
    for task in project.in_order():
        if task.done:
            found[task.id] = [-1 if task.booked is None else task.booked]
            continue
        low = project.first_day(task)
        for link in task.links:
            own = found[link.after]
            if not own:
                return found | {task.id: []}
            low = max(low, project.earliest_after(task, link, project.finish(project.task(link.after), own[0])))
        days = [day for day in range(low, project.horizon_days) if not own_breaks(project, task, day)]
        if task.booked is not None and task.booked not in days:
            days = sorted({*days, max(0, task.booked)})  # what is booked stays, and clashes aloud
        found[task.id] = days
    return found


def pruned(project: Project, days: Mapping[str, Sequence[int]]) -> dict[str, list[int]] | None:
    """Days that also leave room for what comes after, and wait for what comes before; None where a task has none left."""
    found = {name: list(own) for name, own in days.items()}
    for task in project.in_order():
        if task.done:
            continue
        for link in task.links:
            low = project.earliest_after(task, link, project.finish(project.task(link.after), found[link.after][0]))
            found[task.id] = [day for day in found[task.id] if day >= low]
        if not found[task.id]:
            return None
    after: dict[str, list[Task]] = {}
    for task in project.tasks:
        for link in task.links:
            after.setdefault(link.after, []).append(task)
    for task in reversed(project.in_order()):
        for other in after.get(task.id, []):
            if other.done:
                continue
            last = found[other.id][-1]
            links = [link for link in other.links if link.after == task.id]
            found[task.id] = [
                day
                for day in found[task.id]
                if all(project.earliest_after(other, link, project.finish(task, day)) <= last for link in links)
            ]
        if not found[task.id]:
            return None
    return found


class _Programme:
    """Rows and columns, as HiGHS takes them."""

    def __init__(self, project: Project, days: Mapping[str, Sequence[int]]) -> None:
        self.project = project
        self.columns: dict[tuple[str, int], int] = {}
        self.days = {name: list(own) for name, own in days.items()}
        for name, own in self.days.items():
            for day in own:
                self.columns[name, day] = len(self.columns)
        self.rows: list[tuple[float, float, Terms]] = []
        for task in project.tasks:
            self.row(1, 1, {self.columns[task.id, day]: 1.0 for day in self.days[task.id]})
            if not task.done:
                for link in task.links:
                    self._wait(task, link.after)
            self._dry(task)
        self._crew()

    def row(self, low: float, high: float, terms: Terms) -> None:
        self.rows.append((low, high, terms))

    def _wait(self, task: Task, before: str) -> None:
        link = next(one for one in task.links if one.after == before)
        own = self.project.task(before)
        ready = [
            (self.project.earliest_after(task, link, self.project.finish(own, day)), day) for day in self.days[before]
        ]
        last = max(one for one, _ in ready)
        for day in self.days[task.id]:
            if day >= last:
                break
            terms: Terms = {self.columns[task.id, one]: 1.0 for one in self.days[task.id] if one <= day}
            for first, one in ready:
                if first <= day:
                    terms[self.columns[before, one]] = terms.get(self.columns[before, one], 0.0) - 1.0
            self.row(-np.inf, 0, terms)

    def _dry(self, task: Task) -> None:
        """Pairs of days between which it would get wet: none of them together."""
        if task.limits.dry_until is None or task.limits.dry_until[0] not in self.days:
            return
        other = task.limits.dry_until[0]
        for day in self.days[task.id]:
            end = self.project.finish(task, day)
            bad = [one for one in self.days[other] if wet_between(self.project, task, end, one)]
            if bad:
                self.row(-np.inf, 1, {self.columns[task.id, day]: 1.0} | {self.columns[other, one]: 1.0 for one in bad})

    def _crew(self) -> None:
        hands: dict[int, Terms] = {}
        for task in self.project.tasks:
            if not task.crew or task.done:
                continue
            for start in self.days[task.id]:
                for day in self.project.days_of(task, start):
                    hands.setdefault(day, {})[self.columns[task.id, start]] = float(task.crew)
        for terms in hands.values():
            if sum(terms.values()) > self.project.crew:
                self.row(-np.inf, self.project.crew, terms)

    def solved(self, costs: Mapping[int, float]) -> dict[str, int] | None:
        """The plan of the least cost; None where there is none."""
        count = len(self.columns)
        solver = SOLVER()
        solver.setOptionValue("output_flag", False)
        solver.setOptionValue("threads", 1)
        solver.setOptionValue("time_limit", LIMIT_S)
        solver.setOptionValue("mip_rel_gap", 0.0)
        model = highspy.HighsLp()
        model.num_col_, model.num_row_ = count, len(self.rows)
        model.col_cost_ = np.array([costs.get(at, 0.0) for at in range(count)])
        model.col_lower_, model.col_upper_ = np.zeros(count), np.ones(count)
        model.row_lower_ = np.array([low for low, _, _ in self.rows], dtype=float)
        model.row_upper_ = np.array([high for _, high, _ in self.rows], dtype=float)
        model.a_matrix_.format_ = highspy.MatrixFormat.kRowwise
        model.a_matrix_.start_ = np.cumsum([0, *(len(terms) for _, _, terms in self.rows)])
        model.a_matrix_.index_ = np.array([at for _, _, terms in self.rows for at in terms], dtype=np.int32)
        model.a_matrix_.value_ = np.array([value for _, _, terms in self.rows for value in terms.values()])
        model.integrality_ = [highspy.HighsVarType.kInteger] * count
        solver.passModel(model)
        solver.run()
        if solver.getInfo().primal_solution_status != 2:
            return None
        values = solver.getSolution().col_value
        return {name: day for (name, day), at in self.columns.items() if values[at] > 0.5}


def best(project: Project, first: str | None = None) -> Days | None:
    """The best plan; None where there is none. first: the task that matters most, else that all is finished. Raises InputError for a loop."""
    if any(one.crew > project.crew for one in project.tasks if not one.done):
        return None
    days = windows(project)
    if len(days) < len(project.tasks) or not all(days.values()):
        return None
    booked = {one.id: max(0, one.booked) for one in project.tasks if one.booked is not None and not one.done}
    moved: tuple[str, ...] = ()
    if booked and not _possible(project, days | {name: [day] for name, day in booked.items()}):
        fewest = _fewest_moved(project, days, booked)
        if fewest is None:
            return None
        moved = fewest
    days = days | {name: [day] for name, day in booked.items() if name not in moved}
    tick(0.3)
    found = _earliest(project, days, [first] if first else [one.id for one in project.tasks])
    return None if found is None else Days(found, moved)


def _possible(project: Project, days: Mapping[str, Sequence[int]]) -> bool:
    """Whether there is any plan on such days."""
    left = pruned(project, days)
    if left is None:
        return False
    near = pruned(project, {name: own[:NEAR_DAYS] for name, own in left.items()})  # what is possible soon is possible
    if near is not None and near != left and _Programme(project, near).solved({}) is not None:
        return True
    return _Programme(project, left).solved({}) is not None


def _fewest_moved(
    project: Project, days: Mapping[str, Sequence[int]], booked: Mapping[str, int]
) -> tuple[str, ...] | None:
    """Bookings that cannot be kept, as few as can be; None where there is no plan even without them.

    Few bookings are tried one by one, then in pairs, and so on: whether there is any plan is told in a moment, even half a year ahead, where
    one programme over all of it takes a quarter of a minute."""
    left = pruned(project, days)
    if left is None or not _possible(project, left):
        return None
    if 2 ** len(booked) <= MOST_TRIED:
        for size in range(1, len(booked) + 1):
            for names in combinations(booked, size):
                there = {
                    name: [booked[name]] if name in booked and name not in names else own for name, own in days.items()
                }
                if _possible(project, there):
                    return names
        return None
    programme = _Programme(project, left)
    costs = {programme.columns[name, day]: 1.0 for name, own in booked.items() for day in left[name] if day != own}
    kept = programme.solved(costs)
    return None if kept is None else tuple(name for name, own in booked.items() if kept[name] != own)


def _earliest(project: Project, days: Mapping[str, Sequence[int]], goals: Sequence[str]) -> dict[str, int] | None:
    """The goals finished as early as can be, then every task started so."""
    end = _least_finish(project, days, goals)
    if end is None:
        return None
    tick(0.7)
    near = {
        name: [day for day in own if name not in goals or project.finish(project.task(name), day) <= end]
        for name, own in days.items()
    }
    left = pruned(project, near)
    return None if left is None else _soonest(project, left)


def _soonest(project: Project, days: Mapping[str, Sequence[int]]) -> dict[str, int] | None:
    """The plan with the least sum of days. First of the nearest days alone; what that comes to bounds how late any task can be in a better one,
    so that half a year of days need not be looked at."""
    soon = pruned(project, {name: own[:NEAR_DAYS] for name, own in days.items()})
    found = None if soon is None else _least_sum(project, soon)
    if found is None or soon == days:
        return found or _least_sum(project, days)
    slack = sum(found.values()) - sum(own[0] for own in days.values())
    able = pruned(project, {name: [day for day in own if day <= own[0] + slack] for name, own in days.items()})
    return found if able is None or able == soon else _least_sum(project, able)


def _least_sum(project: Project, days: Mapping[str, Sequence[int]]) -> dict[str, int] | None:
    programme = _Programme(project, days)
    return programme.solved({at: float(day) for (_, day), at in programme.columns.items()})


def _least_finish(project: Project, days: Mapping[str, Sequence[int]], goals: Sequence[str]) -> int | None:
    """The first day on which the goals can all be finished."""
    low = max(min(project.finish(project.task(name), day) for day in days[name]) for name in goals)
    ends = sorted({project.finish(project.task(name), day) for name in goals for day in days[name]} | {low})
    ends = [end for end in ends if end >= low]

    def possible(end: int) -> bool:
        near = {
            name: [day for day in own if name not in goals or project.finish(project.task(name), day) <= end]
            for name, own in days.items()
        }
        return _possible(project, near)

    if possible(low):
        return low
    if not possible(ends[-1]):
        return None
    at = bisect_left(ends, True, lo=1, hi=len(ends) - 1, key=possible)  # what is possible by a day is by a later one
    return ends[at]


def without_weather(project: Project) -> Project:
    """The same under a sky that stops nobody."""
    return replace(project, weather={})
