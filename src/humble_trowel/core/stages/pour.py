"""The stage of the pour: what is next, and by when?"""

from __future__ import annotations

from typing import Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.report import PourReport
from humble_trowel.core.stages.stage import StageReport, Standing


def findings_of(job: Job) -> list[Finding]:
    """Doubts of the day."""
    return job.pour_findings


def standing_of(job: Job) -> Standing:
    """Its knot: tied once all of it is struck."""
    if not job.pour_said.any:
        return Standing("loop", "to do")
    day = job.pour_day()
    if day is None:
        return Standing("loop", "to do")
    if day.fillings and all(one.full for one in day.fillings):
        return Standing("tight", "poured")
    return Standing("loop", f"{_share(day):.0%} full")


def _share(day: PourDay) -> float:
    """Of the floor that is full."""
    return day.counts[-1].area_m2 / day.planned.floor.area_m2 if day.counts else 0.0


class PourStage(StageReport):
    """What the day answers; null without an outline, a day or loads."""

    pour: PourReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        day = job.pour_day() if job.plan.outline is not None else None
        return cls(pour=None if day is None else PourReport.of(day))
