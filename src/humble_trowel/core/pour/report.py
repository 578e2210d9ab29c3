"""The day of the pour under the fixed names of `figure --json`."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.ticket_doubts import age_min
from humble_trowel.core.report import Report

NEXT = 3


class ActReport(Report):
    """An act and its minute, ISO."""

    act: str
    at: str
    why: str


class SpreadReport(Report):
    """A middle and one standard deviation, m3."""

    mean: float
    sd: float


class CallReport(Report):
    """The last load that costs least, by when it must be said, and how likely it runs short with it."""

    m3: float
    say_by: str
    p_short: float


class LoadReport(Report):
    """A load: how old it is, and codes of what is doubtful about it."""

    id: str
    m3: float | None
    age_min: float
    findings: list[str]


class PourReport(Report):
    """The day at a minute. at: that minute, ISO."""

    at: str
    now: list[ActReport]
    placed_m3: float
    area_done_m2: float
    remaining_m3: SpreadReport
    last_call: CallReport
    loads: list[LoadReport]

    @classmethod
    def of(cls, day: PourDay) -> Self:
        """From the day."""
        clock = day.planned.clock
        running = {one.load: one for one in day.run.loads}
        left = day.forecast.left
        return cls(
            at=clock.iso(day.now_min), now=[ActReport(act=one.title, at=clock.iso(one.at_min), why=one.why) for one in day.turn[:NEXT]],
            placed_m3=day.placed_m3, area_done_m2=day.counts[-1].area_m2 if day.counts else 0.0,
            remaining_m3=SpreadReport(mean=left.mean_m3, sd=left.sd_m3),
            last_call=CallReport(m3=day.call.best.m3, say_by=clock.iso(day.call.say_by_min), p_short=day.call.best.short_share),
            loads=[
                LoadReport(
                    id=one.id, m3=one.said_m3, age_min=age_min(one, running.get(one.id), day.now_min),
                    findings=[row.code for row in day.load_doubts if row.load == one.id],
                )
                for one in day.loads
            ],
        )  # fmt: skip
