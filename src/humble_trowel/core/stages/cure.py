"""The stage of the cure: when can we build on it?"""

from __future__ import annotations

from typing import Self

from humble_trowel.core.cure.report import CureReport
from humble_trowel.core.cure.told import knot_text
from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.lessons.report import LessonReport
from humble_trowel.core.stages.stage import StageReport, Standing


def findings_of(job: Job) -> list[Finding]:
    """Doubts of the weeks after."""
    return [*job.cure_findings, *job.lesson_findings]


def standing_of(job: Job) -> Standing:
    """Its knot: tied once it may be loaded everywhere."""
    if not job.cure_said.any:
        return Standing("loop", "to do")
    day = job.cure_day()
    if day is None:
        return Standing("loop", "to do")
    load, build = day.latest_h("load"), day.latest_h("build")
    if load is not None and load <= day.now_h:
        return Standing("tight", "strong")
    if build is not None and build <= day.now_h:
        return Standing("loop", "build on it")
    return Standing(
        "loop",
        f"build {knot_text(day, build)}"
        if build is not None
        else "frozen"
        if any(one.freezes_h for one in day.strong)
        else "curing",
    )


class CureStage(StageReport):
    """What the weeks after answer; null without an outline, a day or weather."""

    cure: CureReport | None
    lessons: list[LessonReport]

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        day = job.cure_day() if job.plan.outline is not None else None
        lessons = LessonReport.of(job.lessons_found) if job.plan.outline is not None else []
        return cls(cure=None if day is None or not day.strong else CureReport.of(day), lessons=lessons)
