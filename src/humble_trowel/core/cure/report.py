"""The cure under the fixed names of `figure --json`."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.cure.cured import CureDay
from humble_trowel.core.report import Report


class TimesReport(Report):
    """Earliest and latest of four days in five, ISO; null where it does not come about in four weeks."""

    low: str | None
    high: str | None


class ZoneReport(Report):
    """When a zone may be stripped, walked on, built on and loaded."""

    zone: str
    strip_at: TimesReport
    walk_at: TimesReport
    build_at: TimesReport
    load_at: TimesReport


class RoundReport(Report):
    """A round with water. state: done, due, missed or open."""

    at: str
    state: str


class AlarmReport(Report):
    """Cold, frost or drying, from when until when, ISO."""

    kind: str
    start: str
    end: str


class CureReport(Report):
    """The weeks after the pour. at: the hour that it is of, ISO."""

    at: str
    zones: list[ZoneReport]
    rounds: list[RoundReport]
    alarms: list[AlarmReport]

    @classmethod
    def of(cls, day: CureDay) -> Self:
        """From the day."""

        def iso(hour: float) -> str:
            return day.clock.at(hour).isoformat(timespec="minutes")

        def times(zone: str, key: str) -> TimesReport:
            one = next(row for row in day.events[zone] if row.rule.key == key)
            return TimesReport(
                low=None if one.low_h is None else iso(one.low_h), high=None if one.high_h is None else iso(one.high_h)
            )

        return cls(
            at=iso(day.now_h),
            zones=[
                ZoneReport(zone=row.heat.zone, strip_at=times(row.heat.zone, "strip"), walk_at=times(row.heat.zone, "walk"), build_at=times(row.heat.zone, "build"), load_at=times(row.heat.zone, "load"))
                for row in day.strong
            ],
            rounds=[RoundReport(at=iso(one.at_h), state=one.state) for one in day.rounds],
            alarms=[AlarmReport(kind=one.kind, start=iso(one.from_h), end=iso(one.until_h)) for one in day.alarms],
        )  # fmt: skip
