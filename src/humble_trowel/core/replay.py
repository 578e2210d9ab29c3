"""A recorded day played through the same core, word by word in the order of its minutes: what is next after each, and what the last truck should be."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from humble_trowel.core.job import Job
from humble_trowel.core.plan.model import Model
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.sizes import about, amount
from humble_trowel.core.record_kinds import KIND_OF


@dataclass(frozen=True)
class DayLine:
    """A line of a recorded day, read. at: of its word."""

    kind: str
    who: str
    at: str
    values: Model


@dataclass(frozen=True)
class Step:
    """A word and what the day is after it."""

    at_min: float
    at_text: str
    who: str
    words: str
    next_text: str
    forecast_text: str
    call_text: str
    doubts: list[str]
    day: PourDay


def replay(job: Job, lines: Sequence[DayLine]) -> Iterator[Step]:
    """Each word of a day in turn. Raises InputError, naming the field, for one that cannot be; the job must have an outline, a day and loads."""
    planned = job.pour_planned
    if planned is None:
        return
    clock = planned.clock
    told: set[str] = set()
    for number, line in enumerate(sorted(lines, key=lambda one: clock.minute(one.at))):
        kind = KIND_OF[line.kind]
        kind.check(job, line.values)
        words = kind.sentence(job, line.values)
        job = Job(job.plan, job.crew, job.records.plus(f"day-{number}", line.values), before=job)
        minute = clock.minute(line.at)
        day = job.pour_day(minute)
        assert day is not None
        new = [row for row in (f"Truck {_n(day, one.load)}: {one.words}" for one in day.load_doubts) if row not in told]
        told.update(new)
        yield Step(minute, clock.text(minute), line.who, words, _next(day), _forecast(day), _call(day), new, day)


def _n(day: PourDay, load: str) -> int:
    return next((one.n for one in day.loads if one.id == load), 0)


def _next(day: PourDay) -> str:
    first = next(iter(day.turn), None)
    return f"{day.planned.clock.text(first.at_min)} {first.title}" if first else "nothing more"


def _forecast(day: PourDay) -> str:
    units, total = day.planned.plan.units, day.forecast.total
    return f"{about(total.mean_m3, units)} ± {about(total.sd_m3, units, 2)}"


def _call(day: PourDay) -> str:
    units, call = day.planned.plan.units, day.call
    if call.said_m3 is not None:
        return f"last said {amount(call.said_m3, units)}"
    best = amount(call.best.m3, units) if call.best.m3 else "none"
    return f"last {best} by {day.planned.clock.text(call.say_by_min)}, {call.best.short_share:.0%} short"
