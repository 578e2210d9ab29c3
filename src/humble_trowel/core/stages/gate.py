"""The stage of the gate: may we pour? So far its day: weather, drying, set and starts."""

from __future__ import annotations

import math
from typing import Self

from humble_trowel.core.day.report import ClockReport, DayReport, StartReport, day_report, local
from humble_trowel.core.day.told import clock_text
from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.stages.stage import StageReport, Standing
from humble_trowel.core.weather.hours import clock_of


def findings_of(job: Job) -> list[Finding]:
    """Doubts about the day."""
    return job.day_findings


def standing_of(job: Job) -> Standing:
    """Its knot: a day, weather, then whether the booked start passes."""
    plan = job.plan
    if plan.outline is None:
        return Standing("loop", "to do")
    if plan.order.pour_at is None:
        return Standing("loop", "no day")
    found = job.day
    if found is None:
        return Standing("loop", "no weather")
    if any(row.code == "slab-freezes" for row in job.day_findings):
        return Standing("flagged", "it freezes")
    clock = clock_of(plan.site, plan.order.pour_at)
    booked = min(found.starts, key=lambda row: abs(row.at_h - found.start_h), default=None)
    if booked is not None and booked.passes and abs(booked.at_h - found.start_h) < 0.26:
        return Standing("tight", f"{clock_text(clock, found.start_h)} passes")
    if found.best_h is None:
        return Standing("loop", "no start")
    if math.floor(found.best_h / 24) == math.floor(found.start_h / 24):
        return Standing("loop", f"till {clock_text(clock, found.best_h)}")
    return Standing("loop", "another day")


class GateStage(StageReport):
    """What the gate answers; null and empty without a day or its weather."""

    day: DayReport | None
    clock: list[ClockReport]
    starts: list[StartReport]

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        found = job.day
        if found is None or job.plan.order.pour_at is None:
            return cls(day=None, clock=[], starts=[])
        clock = clock_of(job.plan.site, job.plan.order.pour_at)
        return cls(
            day=day_report(found, clock), clock=[ClockReport.of(row, clock) for row in found.clock],
            starts=[StartReport(at=local(clock, row.at_h), passes=row.passes, why_not=[one.words for one in row.why_not]) for row in found.starts],
        )  # fmt: skip
