"""The stage of screed and joints."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.joints.report import JointsReport
from humble_trowel.core.screed.report import ScreedReport
from humble_trowel.core.stages.stage import StageReport, Standing


def findings_of(job: Job) -> list[Finding]:
    """Doubts about strips and pads, then about joints."""
    return [*job.screed_findings, *(job.joints.findings if job.joints else [])]


def standing_of(job: Job) -> Standing:
    """Its knot: what keeps a strip from being pulled first, then what may crack."""
    if job.plan.outline is None:
        return Standing("loop", "to do")
    wrong = [row for row in job.screed_findings if row.severity != "note"]
    if wrong:
        short = sum(1 for row in wrong if row.code == "strip-board")
        word = f"strip{'s' if short > 1 else ''} short" if short == len(wrong) else "to mend"
        return Standing("loop", f"{len(wrong)} {word}")
    cracks = sum(1 for row in (job.joints.findings if job.joints else []) if row.severity != "note")
    if cracks:
        return Standing("loop", f"{cracks} may crack")
    if job.screed is None:
        return Standing("loop", "no strips")
    done = sum(1 for row in job.pads_struck[0] if row.state == "set")
    if done:
        left = len(job.pads_struck[0]) - done
        return Standing("loop", f"{left} pads left") if left else Standing("tight", "pads struck")
    if job.joints is None:
        return Standing("loop", "no joints")
    return Standing("tight", f"{len(job.screed.strips)} strips")


class ScreedStage(StageReport):
    """What the stage of screed and joints answers."""

    screed: ScreedReport | None
    joints: JointsReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(
            screed=None if job.screed is None else ScreedReport.of(job.screed),
            joints=None if job.joints is None else JointsReport.of(job.joints),
        )
