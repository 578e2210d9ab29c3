"""Gate, walk and schedule under the fixed names of `figure --json`."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.gate.holds import GateTold
from humble_trowel.core.gate.walk import GateWalk
from humble_trowel.core.report import Report
from humble_trowel.core.schedule.sheet import ScheduleTold


class HoldReport(Report):
    """What holds the pour. lifts_at: ISO, null where nobody knows."""

    code: str
    words: str
    hard: bool
    who: str
    by: str
    lifts_at: str | None


class GateReport(Report):
    """may_pour, and what holds it."""

    may_pour: bool
    holds: list[HoldReport]

    @classmethod
    def of(cls, told: GateTold) -> Self:
        """From what the gate says."""
        rows = [
            HoldReport(code=row.code, words=row.title, hard=row.hard, who=row.who, by=row.stops, lifts_at=row.lifts_at)
            for row in told.holds
        ]
        return cls(may_pour=told.may_pour, holds=rows)


class WalkReport(Report):
    """A question of the walk, and how it stands: open, second, pass, mend, absent."""

    id: str
    place: str
    ask: str
    state: str
    read: str

    @classmethod
    def of_walk(cls, walk: GateWalk) -> list[Self]:
        """Every question, place by place."""
        return [
            cls(id=row.id, place=place.name, ask=row.ask, state=row.state, read=row.read_text)
            for place in walk.places
            for row in place.rows
        ]


class TaskReport(Report):
    """A task on its days, ISO."""

    key: str
    name: str
    start: str
    finish: str
    float_days: int
    why: str


class ScheduleReport(Report):
    """Trades on their days. pour_at: the first day it can be poured, or as it is booked."""

    tasks: list[TaskReport]
    pour_at: str | None

    @classmethod
    def of(cls, told: ScheduleTold) -> Self:
        """From the sheet of the days."""
        rows = [
            TaskReport(
                key=row.key, name=row.name, start=row.start, finish=row.finish, float_days=row.float_days, why=row.why
            )
            for row in told.tasks
        ]
        return cls(tasks=rows, pour_at=told.pour_at or told.first_pour)
