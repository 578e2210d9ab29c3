"""The project of a job: what it implies, with what is said of each task, the crew, and the weather day by day."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date, timedelta

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.schedule_parts import Schedule, TaskRow
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.schedule.implied import POUR, Implied, Sizes, implied
from humble_trowel.core.schedule.project import Link, Project, Sky, Task, checked
from humble_trowel.core.weather.hours import HourRow

DONE_DAY = -1  # done, and nobody said when
LATEST_TAIL_DAYS, FAR_DAYS = 45, 200  # how far it looks past a booked pour, and in all


@dataclass(frozen=True)
class JobTask:
    """A task with what is said of it. row: '' where nothing is said."""

    key: str
    name: str
    lane: str
    hands: int
    people: tuple[str, ...]
    visit: bool
    on: date | None
    booked_by: str
    done: bool
    row: str


@dataclass(frozen=True)
class JobProject:
    """The project, and each task as a person knows it."""

    project: Project
    tasks: list[JobTask]

    def named(self, key: str) -> str:
        """What a task is called."""
        return next((one.name for one in self.tasks if one.key == key), key)


def first_day(plan: Plan, today: date) -> date:
    """Nobody begins before today, nor before it is said."""
    start = plan.schedule.start_on
    return max(today, date.fromisoformat(start)) if start else today


def sky_days(hours: Sequence[HourRow], midnight: date) -> dict[date, Sky]:
    """Each day's weather out of its hours. midnight: of the day from which hours count."""
    days: dict[date, list[HourRow]] = {}
    for row in hours:
        days.setdefault(midnight + timedelta(days=int(row.hour_h // 24)), []).append(row)
    return {
        day: Sky(
            sum(row.rain_mm for row in own), max(row.wind_ms for row in own), min(row.air_c for row in own), max(row.air_c for row in own),
            any(row.usual for row in own),
        )
        for day, own in days.items()
    }  # fmt: skip


def said_over(skies: Mapping[date, Sky], schedule: Schedule) -> dict[date, Sky]:
    """The same with what a person says of a day over it."""
    found = dict(skies)
    for row in schedule.said:
        day = date.fromisoformat(row.on)
        values = {key: value for key, value in row.model_dump(exclude={"on"}).items() if value is not None}
        found[day] = replace(found.get(day, Sky()), **values, usual=False)
    return found


def pour_day(plan: Plan) -> date | None:
    """The day that is booked for the pour."""
    return date.fromisoformat(plan.order.pour_at[:10]) if plan.order.pour_at else None


def hands_of(plan: Plan, ways: JobWays) -> int:
    """Hands on a day: as this job says, else the crew that is named, else as usual."""
    said = plan.schedule.hands
    return said if said is not None else len(ways.crew) or ways.schedule.hands


def project_of(
    plan: Plan, ways: JobWays, sizes: Sizes, skies: Mapping[date, Sky], today: date, *, pour_booked: bool = True
) -> JobProject:
    """What is to be scheduled. skies: by day. pour_booked: whether the pour stays where it is booked.
    Raises InputError, naming the field, for loops and tasks that cannot be."""
    start = first_day(plan, today)
    pour = pour_day(plan)
    if pour is not None and pour_booked:  # a pour far ahead is looked at from as far before it as can be looked at
        start = max(start, pour - timedelta(days=FAR_DAYS - LATEST_TAIL_DAYS))
    said = {row.key: row for row in plan.schedule.tasks if row.key}
    base = [row for row in implied(sizes, ways.schedule) if not (row.key in said and said[row.key].left_out)]
    own = [row for row in plan.schedule.tasks if not row.key]
    here = {row.key for row in base} | {row.id for row in own}
    left = {row.key: row for row in implied(sizes, ways.schedule) if row.key not in here}
    done = _done(plan, base, own, sizes)
    tasks = [
        _task(plan, ways, row, said.get(row.key), here, left, start, done, pour if pour_booked else None)
        for row in base
    ]
    tasks += [_own(row, here, start, done) for row in own]
    horizon = plan.schedule.horizon_days
    if pour is not None and pour_booked:
        horizon = min(FAR_DAYS, max(horizon, (pour - start).days + LATEST_TAIL_DAYS))
    project = Project(
        start, horizon, hands_of(plan, ways), tasks, frozenset(date.fromisoformat(day) for day in plan.schedule.holidays),
        {(day - start).days: sky for day, sky in said_over(skies, plan.schedule).items() if day >= start},
        frozenset(ways.schedule.workdays), order_day=min(0, (today - start).days),
    )  # fmt: skip
    known = [_known(row, said.get(row.key), pour, row.key in done) for row in base]
    known += [
        JobTask(row.id, row.name or "own task", "own", row.hands or 0, tuple(row.people), False, _day(row.on), row.booked_by, row.id in done, row.id)
        for row in own
    ]  # fmt: skip
    return JobProject(_named_loops(project, known), known)


def _named_loops(project: Project, known: Sequence[JobTask]) -> Project:
    """Checked, and what is wrong in the names that a person knows."""
    try:
        return checked(project)
    except InputError as error:
        words = str(error)
        for one in sorted(known, key=lambda row: -len(row.key)):
            words = words.replace(one.key, one.name)
        raise InputError(words[0].upper() + words[1:], error.path) from None


def _day(text: str | None) -> date | None:
    return date.fromisoformat(text) if text else None


def _known(row: Implied, said: TaskRow | None, pour: date | None, done: bool) -> JobTask:
    on = pour if row.key == POUR else _day(said.on) if said else None
    hands = said.hands if said and said.hands is not None else row.hands
    return JobTask(
        row.key, (said.name if said else "") or row.name, row.lane, hands, tuple(said.people) if said else (), row.visit, on,
        said.booked_by if said else "", done, said.id if said else "",
    )  # fmt: skip


def _done(plan: Plan, base: Sequence[Implied], own: Sequence[TaskRow], sizes: Sizes) -> frozenset[str]:
    """What is done by the records or as it is said, and so all that came before it."""
    links = {row.key: [link.after for link in row.links] for row in base} | {row.id: list(row.after) for row in own}
    found = set(sizes.done) | {row.key or row.id for row in plan.schedule.tasks if row.done_on}
    left = [key for key in found if key in links]
    seen: set[str] = set()
    while left:
        key = left.pop()
        if key not in seen:
            seen.add(key)
            left += [one for one in links.get(key, []) if one in links]
    return frozenset(seen)


def _bridged(row: Implied, here: set[str], left: Mapping[str, Implied]) -> list[Link]:
    """What it waits for; in place of a task that is left out, what that one waits for."""
    found: dict[str, Link] = {}
    open_links = list(row.links)
    while open_links:
        link = open_links.pop(0)
        if link.after in here:
            found.setdefault(link.after, link)
        elif link.after in left:
            open_links += [replace(link, after=one.after) for one in left[link.after].links]
    return list(found.values())


def _task(
    plan: Plan, ways: JobWays, row: Implied, said: TaskRow | None, here: set[str], left: Mapping[str, Implied], start: date,
    done: frozenset[str], pour: date | None,
) -> Task:  # fmt: skip
    own = said or TaskRow()
    links = [*_bridged(row, here, left), *(Link(one) for one in own.after if one in here)]
    booked = pour if row.key == POUR else _day(own.on)
    weekdays = frozenset(plan.schedule.county_weekdays or ways.schedule.visit_weekdays) if row.visit else None
    limits = row.limits
    if limits.dry_until is not None and limits.dry_until[0] not in here:
        limits = replace(limits, dry_until=None)
    is_done = row.key in done
    day = _day(own.done_on) if is_done else booked
    return Task(
        row.key, row.days if own.days is None else own.days, tuple({link.after: link for link in links}.values()),
        row.hands if own.hands is None else own.hands, limits, weekdays, row.lead_days, row.calendar,
        (DONE_DAY if is_done else None) if day is None else (day - start).days,
        0 if own.not_before is None else max(0, (date.fromisoformat(own.not_before) - start).days), is_done,
    )  # fmt: skip


def _own(row: TaskRow, here: set[str], start: date, done: frozenset[str]) -> Task:
    is_done = row.id in done
    day = _day(row.done_on) if is_done else _day(row.on)
    return Task(
        row.id, 1 if row.days is None else row.days, tuple(Link(one) for one in dict.fromkeys(row.after) if one in here),
        row.hands or 0, booked=(DONE_DAY if is_done else None) if day is None else (day - start).days,
        earliest=0 if row.not_before is None else max(0, (date.fromisoformat(row.not_before) - start).days), done=is_done,
    )  # fmt: skip
