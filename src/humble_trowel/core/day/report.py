"""What `figure --json` says under `day`, `clock` and `starts`. Hours are local, ISO."""

from __future__ import annotations

from typing import Self

import numpy as np

from humble_trowel.core.day.clock import ClockRow, HourSpan
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.report import Report
from humble_trowel.core.weather.hours import Clock


class DayHourReport(Report):
    """An hour of the weather at the slab. evaporation_kg_m2_h: by the name of the zone, of fresh concrete."""

    at: str
    air_c: float
    humid_share: float
    wind_ms: float
    cloud_okta: float
    usual: bool
    evaporation_kg_m2_h: dict[str, float]


class DayReport(Report):
    """The day. limit_kg_m2_h: of its mix."""

    limit_kg_m2_h: float
    hours: list[DayHourReport]


class SpanReport(Report):
    """Earliest, likely and latest."""

    low: str
    at: str
    high: str


class ClockReport(Report):
    """A load in a zone; null where nothing of the kind comes about."""

    zone: str
    truck: int
    float_at: SpanReport | None
    initial_at: SpanReport | None
    final_at: SpanReport | None
    early_saw_from: SpanReport | None
    saw_from: SpanReport | None
    saw_until: SpanReport | None
    frost_safe_at: SpanReport | None
    freezes_at: SpanReport | None
    walk_at: SpanReport | None
    strip_at: SpanReport | None
    build_at: SpanReport | None
    load_at: SpanReport | None

    @classmethod
    def of(cls, row: ClockRow, clock: Clock) -> Self:
        """One row."""

        def span(one: HourSpan | None) -> SpanReport | None:
            return (
                None
                if one is None
                else SpanReport(low=local(clock, one.low_h), at=local(clock, one.at_h), high=local(clock, one.high_h))
            )

        return cls(
            zone=row.name, truck=row.truck, float_at=span(row.float_at), initial_at=span(row.initial), final_at=span(row.final),
            early_saw_from=span(row.early_saw), saw_from=span(row.saw_from), saw_until=span(row.saw_until), frost_safe_at=span(row.safe),
            freezes_at=span(row.freezes), walk_at=span(row.walk), strip_at=span(row.strip), build_at=span(row.build), load_at=span(row.load),
        )  # fmt: skip


class StartReport(Report):
    """A start that was tried."""

    at: str
    passes: bool
    why_not: list[str]


def local(clock: Clock, hour: float) -> str:
    """An hour on the clock as ISO, to the minute."""
    return clock.at(hour).replace(tzinfo=None).isoformat(timespec="minutes")


def day_report(found: DayFound, clock: Clock) -> DayReport:
    """The hours, with drying by zone."""
    rows = [
        DayHourReport(
            at=local(clock, row.hour_h), air_c=row.air_c, humid_share=row.humid_share, wind_ms=row.wind_ms, cloud_okta=row.cloud_okta, usual=row.usual,
            evaporation_kg_m2_h={
                one.name: float(np.interp(row.hour_h, one.hours_h, one.rates_kg_m2_h))
                for one in found.drying
                if one.hours_h[0] <= row.hour_h <= one.hours_h[-1]
            },
        )
        for row in found.hours
    ]  # fmt: skip
    return DayReport(limit_kg_m2_h=found.limit.kg_m2_h, hours=rows)
