"""Trades and their days as a job file says them: what differs from what the job implies, what is booked, papers that are asked. mm, days."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field, StrictBool

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Day, Name, Note, Number

TaskKey = Annotated[str, Field(pattern=r"^[a-z][a-z-]{0,19}$")]
Hands = Annotated[int, Field(ge=0, le=60)]
Weekdays = Annotated[list[Annotated[int, Field(ge=0, le=6)]], Field(min_length=1, max_length=7)]


class TaskRow(Row):
    """What is said of a task. key: one that the job implies, '' for one of its own. on: booked for that day, by whom. done_on: it was done.
    after: keys or ids of what it waits for beside the usual. None: as the crew does. left_out: this job has none of it."""

    key: TaskKey | None = None
    name: Note = ""
    days: Annotated[int, Field(ge=0, le=200)] | None = None
    hands: Hands | None = None
    on: Day | None = None
    booked_by: Note = ""
    done_on: Day | None = None
    not_before: Day | None = None
    after: Annotated[list[Name], Field(max_length=20)] = []
    people: Annotated[list[Name], Field(max_length=30)] = []
    left_out: StrictBool = False


class SaidDay(Model):
    """The weather of a day as somebody says it, over any forecast."""

    on: Day
    rain_mm: Annotated[Number, Field(ge=0, le=500)] | None = None
    wind_ms: Annotated[Number, Field(ge=0, le=60)] | None = None
    least_c: Annotated[Number, Field(ge=-60, le=60)] | None = None
    most_c: Annotated[Number, Field(ge=-60, le=60)] | None = None


class PaperRow(Row):
    """A paper that the site asks for. key: a usual one, None for one of its own. needed: False where nobody asks for it here."""

    key: TaskKey | None = None
    name: Note = ""
    needed: StrictBool = True


class Schedule(Model):
    """start_on: nobody begins sooner. county_weekdays: on which the inspector comes, Monday 0. hands: on a day; None: as many as the crew."""

    start_on: Day | None = None
    horizon_days: Annotated[int, Field(ge=7, le=200)] = 60
    tasks: Annotated[list[TaskRow], Field(max_length=60)] = []
    holidays: Annotated[list[Day], Field(max_length=60)] = []
    county_weekdays: Weekdays | None = None
    hands: Hands | None = None
    said: Annotated[list[SaidDay], Field(max_length=120)] = []
    papers: Annotated[list[PaperRow], Field(max_length=40)] = []
