"""What is scheduled: tasks, what each waits for, what weather it bears, the days on which anybody works. Days count from the first one."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from datetime import date, timedelta

from humble_trowel.core.errors import InputError

WEEK = frozenset(range(5))
MOST_TASKS, MOST_DAYS = 120, 400


@dataclass(frozen=True)
class Link:
    """Waits until `after` is finished, then lag_days working and lag_calendar_days other days. same_day: it need not wait for the next day."""

    after: str
    lag_days: int = 0
    lag_calendar_days: int = 0
    same_day: bool = False


@dataclass(frozen=True)
class Limits:
    """What weather it bears on each of its days. dry_until: (task, mm): no day so wet from its end to the start of that task.
    dry_after: (days, mm): so long after it no day so wet."""

    most_rain_mm: float | None = None
    most_wind_ms: float | None = None
    least_c: float | None = None
    most_c: float | None = None
    dry_until: tuple[str, float] | None = None
    dry_after: tuple[int, float] | None = None


NO_LIMITS = Limits()


@dataclass(frozen=True)
class Task:
    """days: 0 is a milestone of one day. crew: hands it takes. weekdays: on which it can be, Monday 0. lead_days: working days from the first day
    on before it can be. calendar: goes on through weekends. booked: the day it is booked for. done: it lies behind, at `booked`."""

    id: str
    days: int = 1
    links: tuple[Link, ...] = ()
    crew: int = 0
    limits: Limits = NO_LIMITS
    weekdays: frozenset[int] | None = None
    lead_days: int = 0
    calendar: bool = False
    booked: int | None = None
    earliest: int = 0
    done: bool = False


@dataclass(frozen=True)
class Sky:
    """The weather of a day. usual: no forecast reaches it."""

    rain_mm: float = 0.0
    wind_ms: float = 0.0
    least_c: float = 15.0
    most_c: float = 15.0
    usual: bool = False


@dataclass(frozen=True)
class Project:
    """All of it. crew: hands on a day. order_day: leads count from it."""

    start: date
    horizon_days: int
    crew: int
    tasks: Sequence[Task]
    holidays: frozenset[date] = frozenset()
    weather: Mapping[int, Sky] = field(default_factory=dict)
    workdays: frozenset[int] = WEEK
    order_day: int = 0

    def task(self, name: str) -> Task:
        """By its id."""
        return next(one for one in self.tasks if one.id == name)

    def date_of(self, day: int) -> date:
        """On the calendar."""
        return self.start + timedelta(days=day)

    def weekday(self, day: int) -> int:
        """Monday is 0."""
        return self.date_of(day).weekday()

    def works(self, day: int) -> bool:
        """Whether anybody works then."""
        return self.weekday(day) in self.workdays and self.date_of(day) not in self.holidays

    def working_from(self, day: int) -> int:
        """The first working day from a day on."""
        while not self.works(day):
            day += 1
        return day

    def working_after(self, day: int, count: int) -> int:
        """So many working days after a day."""
        for _ in range(count):
            day = self.working_from(day + 1)
        return day

    def working_before(self, day: int) -> int:
        """The last working day before a day."""
        day -= 1
        while not self.works(day):
            day -= 1
        return day

    def days_of(self, task: Task, start: int) -> list[int]:
        """The days it is worked on."""
        count = max(1, task.days)
        if task.calendar:
            return list(range(start, start + count))
        found = [start]
        while len(found) < count:
            found.append(self.working_from(found[-1] + 1))
        return found

    def finish(self, task: Task, start: int) -> int:
        """Its last day."""
        return self.days_of(task, start)[-1]

    def earliest_after(self, task: Task, link: Link, finish: int) -> int:
        """The first day that a link leaves to a task."""
        if link.same_day:
            day = finish
        else:
            day = max(finish + 1 + link.lag_calendar_days, self.working_after(finish, link.lag_days) + 1)
        return day if task.calendar else self.working_from(day)

    def first_day(self, task: Task) -> int:
        """The first day that its lead and itself leave to it."""
        lead = self.working_after(self.order_day, task.lead_days) if task.lead_days else 0
        day = max(task.earliest, lead, 0)
        return day if task.calendar else self.working_from(day)

    def in_order(self) -> list[Task]:
        """Each after what it waits for. Raises InputError for a loop, naming it in turn, and for a task that is not there."""
        known = {one.id: one for one in self.tasks}
        placed: dict[str, Task] = {}
        path: list[str] = []

        def place(task: Task) -> None:
            if task.id in placed:
                return
            if task.id in path:
                turn = [*path[path.index(task.id) :], task.id]
                raise InputError(f"They wait for one another: {', '.join(turn)}. Take one of these waits out.", "tasks")
            path.append(task.id)
            for link in task.links:
                if link.after not in known:
                    raise InputError(f"{task.id} waits for {link.after}, which is no task here.", "tasks")
                place(known[link.after])
            path.pop()
            placed[task.id] = task

        for one in self.tasks:
            place(one)
        return list(placed.values())


def checked(project: Project) -> Project:
    """The project, where it can be scheduled at all. Raises InputError: a loop, too many tasks, a task longer than the horizon."""
    if len(project.tasks) > MOST_TASKS:
        raise InputError(f"More than {MOST_TASKS} tasks. Put some of them together.", "tasks")
    if not 1 <= project.horizon_days <= MOST_DAYS:
        raise InputError(f"It looks from 1 to {MOST_DAYS} days ahead.", "horizon")
    names = [one.id for one in project.tasks]
    twice = next((name for name in names if names.count(name) > 1), None)
    if twice is not None:
        raise InputError(f"{twice} is there twice.", "tasks")
    if not project.workdays:
        raise InputError("On which days of the week do you work?", "workdays")
    for one in project.tasks:
        if one.days > project.horizon_days:
            raise InputError(
                f"{one.id} takes {one.days} days, longer than the {project.horizon_days} looked at.", "tasks"
            )
        if one.weekdays is not None and not one.weekdays:
            raise InputError(f"{one.id} has no day of the week on which it can be.", "tasks")
    project.in_order()
    return project
