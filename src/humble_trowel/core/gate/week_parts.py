"""The parts of a week: jobs with what is booked, stops, people, clashes, ways out."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Literal

from humble_trowel.core.geometry.polygon import XY


@dataclass(frozen=True)
class WeekTask:
    """Something booked. first, last: its days; hands: it takes; at: of a pour, its hour on the clock, h."""

    key: str
    name: str
    first: date
    last: date
    people: tuple[str, ...]
    hands: int
    at_h: float | None = None


@dataclass(frozen=True)
class WeekJob:
    """A job. order_text: what its pour brings."""

    id: str
    name: str
    outline: list[XY] | None
    openings: list[list[XY]]
    order_text: str
    order_m3: float
    tasks: Sequence[WeekTask]


@dataclass(frozen=True)
class Stop:
    """People at a job on a day. short: hands that are missing."""

    job: str
    day: int
    words: str
    people: list[str]
    pour: bool
    short: int
    needed: int
    clock: str


@dataclass(frozen=True)
class PersonTold:
    """A person. stops: (day, job) in order; twice: days on which they are in two places."""

    name: str
    letter: str
    stops: list[tuple[int, str]]
    twice: list[int]


@dataclass(frozen=True)
class LaneJob:
    """A job with a line of its own on the week."""

    id: str
    name: str
    outline: list[XY] | None
    openings: list[list[XY]]
    order_text: str


@dataclass(frozen=True)
class WeekClash:
    """Something that cannot be. kind: twice, short, plant."""

    kind: Literal["twice", "short", "plant"]
    day: int
    words: str
    jobs: list[str]
    person: str


@dataclass(frozen=True)
class WayOut:
    """A day on which a pour would clash with nothing."""

    job: str
    name: str
    on: str
    words: str


@dataclass(frozen=True)
class WeekTold:
    """The week. days: ISO. idle: people with nothing on a day, day by day."""

    days: list[str]
    lanes: list[LaneJob]
    stops: list[Stop]
    people: list[PersonTold]
    clashes: list[WeekClash]
    ways_out: list[WayOut]
    idle: list[list[str]]
    verdict: str
    beside: str
    order_m3: float


def tasks_of(
    rows: Sequence[tuple[str, str, str | None, int | None, int | None, Sequence[str]]], pour_at: str | None, hands: int
) -> list[WeekTask]:
    """What is booked of a job. rows: (key, name, day, days, hands, people) of its tasks. pour_at: as booked; hands: that a pour takes."""
    found = []
    for key, name, on, days, own, people in rows:
        if on is not None and key != "pour":
            first = date.fromisoformat(on)
            found.append(
                WeekTask(key, name, first, first + timedelta(days=max(1, days or 1) - 1), tuple(people), own or 0)
            )
    if pour_at is not None:
        moment = datetime.fromisoformat(pour_at)
        said = next((row for row in rows if row[0] == "pour"), None)
        found.append(
            WeekTask(
                "pour",
                "pour",
                moment.date(),
                moment.date(),
                tuple(said[5]) if said else (),
                said[4] if said and said[4] is not None else hands,
                moment.hour + moment.minute / 60,
            )
        )
    return found
