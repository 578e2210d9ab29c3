"""The days as a screen draws them: columns, a line a trade, each task on its days with its reason."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import timedelta

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.schedule.implied import LANES
from humble_trowel.core.schedule.project import Sky
from humble_trowel.core.schedule.scheduled import Placed, Scheduled
from humble_trowel.core.schedule.told import (
    clash_text,
    day_text,
    driver_text,
    rain_text,
    temp_text,
    why_text,
    wind_text,
)

LEAST_DAYS, MOST_DAYS, AFTER_DAYS, MOST_BEHIND_DAYS = 16, 75, 2, 21
LANE_NAMES = {
    "locators": "Locators", "crew": "Crew", "plumber": "Plumber", "county": "County", "heating": "Heating", "steel": "Steel",
    "plant": "Plant", "after": "After", "own": "Others",
}  # fmt: skip
WET_MM = 1.0
SHORT_DAYS = ("Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun")


@dataclass(frozen=True)
class DayColumn:
    """A day. on: ISO; weekday: Monday 0. rain_text: '' where it stays dry. usual: no forecast reaches it; known: any weather is."""

    on: str
    weekday: int
    works: bool
    rain_mm: float
    rain_text: str
    wind_text: str
    cold_text: str
    usual: bool
    known: bool
    said: bool


@dataclass(frozen=True)
class LaneTold:
    """A trade. who: people, or on which days it comes."""

    key: str
    name: str
    who: str


@dataclass(frozen=True)
class RefusedDay:
    """A day that weather took from a task, and why."""

    on: str
    words: str


@dataclass(frozen=True)
class TaskTold:
    """A task on its days. day, last_day: columns; state: done, stake (booked), loop, flag (it clashes). tight: no day to spare.
    why: why it is not sooner; booked_on: where it clashes, the day for which it is booked. waits: keys of what it waits for."""

    key: str
    name: str
    lane: str
    start: str
    finish: str
    day: int
    last_day: int
    text: str
    float_days: int
    latest: str
    why: str
    state: str
    tight: bool
    hands: int
    people: list[str]
    waits: list[str]
    booked_on: str | None
    booked_by: str
    clash: str
    refused: list[RefusedDay]
    row: str
    visit: bool


@dataclass(frozen=True)
class ScheduleTold:
    """All of it. verdict: what drives the pour day; beside: the sentence beside it. first_pour: the first it can be; pour_at: as booked.
    usual_from: from when on no forecast reaches. none: there is no plan."""

    start: str
    days: list[DayColumn]
    lanes: list[LaneTold]
    tasks: list[TaskTold]
    verdict: str
    beside: str
    first_pour: str | None
    pour_at: str | None
    clashes: list[str]
    usual_from: str | None
    none: bool
    hands: int
    county_weekdays: list[int]


def schedule_told(plan: Plan, ways: JobWays, told: Scheduled) -> ScheduleTold:
    """The sheet of a schedule."""
    project = told.project
    last = max((one.finish for one in told.tasks), default=LEAST_DAYS)
    behind = [one.start for one in told.tasks if one.task.done and one.start >= -MOST_BEHIND_DAYS]
    first = min([0, *behind])
    count = min(MOST_DAYS, max(LEAST_DAYS, last - first + AFTER_DAYS + 1))
    said = {row.on for row in plan.schedule.said}
    days = [_column(plan, told, day, said) for day in range(first, first + count)]
    verdict, beside = driver_text(told, plan.units)
    tasks = [_task(plan, told, one, first) for one in told.tasks]
    pour = told.date_of(told.first_pour)
    return ScheduleTold(
        start=project.date_of(first).isoformat(), days=days, lanes=_lanes(plan, ways, told), tasks=tasks, verdict=verdict, beside=beside,
        first_pour=None if pour is None else pour.isoformat(), pour_at=plan.order.pour_at,
        clashes=[clash_text(one, told, plan.units) for one in told.tasks if one.clash is not None],
        usual_from=next((row.on for row in days if row.usual or not row.known), None), none=told.none is not None,
        hands=project.crew, county_weekdays=list(plan.schedule.county_weekdays or ways.schedule.visit_weekdays),
    )  # fmt: skip


def _column(plan: Plan, told: Scheduled, day: int, said: set[str]) -> DayColumn:
    sky = told.project.weather.get(day)
    here = sky or Sky()
    on = told.project.date_of(day).isoformat()
    units = plan.units
    return DayColumn(
        on, told.project.weekday(day), told.project.works(day), here.rain_mm, rain_text(here.rain_mm, units) if here.rain_mm >= WET_MM else "",
        wind_text(here.wind_ms, units) if sky else "", temp_text(here.least_c, units) if here.least_c < 0 else "", here.usual, sky is not None, on in said,
    )  # fmt: skip


def _lanes(plan: Plan, ways: JobWays, told: Scheduled) -> list[LaneTold]:
    here = {one.lane for one in told.job.tasks}
    days = sorted(plan.schedule.county_weekdays or ways.schedule.visit_weekdays)
    county = "any working day" if days == [0, 1, 2, 3, 4] else ", ".join(SHORT_DAYS[day] for day in days)
    people: dict[str, list[str]] = {}
    for one in told.job.tasks:
        people.setdefault(one.lane, []).extend(name for name in one.people if name not in people.get(one.lane, []))
    who = {"county": county, "plant": ways.plant.name, "crew": f"{told.project.crew} hands", "after": "saw, strip"}
    return [
        LaneTold(lane, LANE_NAMES[lane], ", ".join(people.get(lane, [])) or who.get(lane, ""))
        for lane in LANES
        if lane in here
    ]


def _task(plan: Plan, told: Scheduled, one: Placed, first: int) -> TaskTold:
    project, task = told.project, one.task
    own = project.task(task.key)
    booked = one.task.on
    state = "done" if task.done else "flag" if one.clash is not None else "stake" if booked is not None else "loop"
    start, finish = project.date_of(one.start), project.date_of(one.finish)
    why = why_text(one.held.why, told, plan.units) if one.held.why is not None else ""
    return TaskTold(
        key=task.key, name=task.name, lane=task.lane, start=start.isoformat(), finish=finish.isoformat(), day=one.start - first, last_day=one.finish - first,
        text=day_text(start) if start == finish else f"{day_text(start)} to {day_text(finish)}", float_days=one.held.float_days,
        latest=(start + timedelta(days=one.held.latest - one.start)).isoformat(), why=why, state=state,
        tight=not task.done and one.held.float_days == 0, hands=task.hands, people=list(task.people), waits=[link.after for link in own.links],
        booked_on=booked.isoformat() if booked is not None else None, booked_by=task.booked_by,
        clash=clash_text(one, told, plan.units) if one.clash is not None else "",
        refused=[RefusedDay(project.date_of(row.day).isoformat(), why_text(row, told, plan.units)) for row in one.refused],
        row=task.row, visit=task.visit,
    )  # fmt: skip
