"""The stage of screed and joints. So far: joints."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.joints.report import JointsReport
from humble_trowel.core.stages.stage import StageReport, Standing


def findings_of(job: Job) -> list[Finding]:
    """Doubts about joints."""
    return list(job.joints.findings) if job.joints else []


def standing_of(job: Job) -> Standing:
    """Its knot: what may crack first."""
    if job.plan.outline is None:
        return Standing("loop", "to do")
    found = job.joints
    if found is None:
        return Standing("loop", "no joints")
    wrong = sum(1 for row in found.findings if row.severity != "note")
    if wrong:
        return Standing("loop", f"{wrong} may crack")
    return Standing("tight", f"{sum(len(one.found.panels) for one in found.regions)} panels")


class ScreedStage(StageReport):
    """What the stage of screed and joints answers."""

    joints: JointsReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(joints=None if job.joints is None else JointsReport.of(job.joints))
