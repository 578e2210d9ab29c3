"""The underslab stage."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.stages.stage import StageReport, Standing
from humble_trowel.core.underslab.report import BarrierReport, FoamReport, LineTestReport, TubingReport, UnderslabReport


def findings_of(job: Job) -> list[Finding]:
    """Doubts about runs and risers, what covers the ground, and tests."""
    parts = (job.underslab, job.covered, job.tested, job.tubing)
    return [row for part in parts for row in (part.findings if part else [])]


def standing_of(job: Job) -> Standing:
    """Its knot: what is off first, then what leaks, then clashes."""
    found = job.underslab
    if job.plan.outline is None or found is None:
        return Standing("loop", "to do" if job.plan.outline is None else "none yet")
    off = sum(1 for row in found.risers if row.check is not None and not row.check.on)
    if off:
        return Standing("loop", "1 riser off" if off == 1 else f"{off} risers off")
    leaks = sum(1 for line in (job.tested.lines if job.tested else []) if line.told and line.told.state == "failed")
    if leaks:
        return Standing("loop", "1 test failed" if leaks == 1 else f"{leaks} tests failed")
    clashes = len(found.clashes) + (len(job.tubing.clashes) if job.tubing else 0)
    if clashes:
        return Standing("loop", "1 clash" if clashes == 1 else f"{clashes} clashes")
    return Standing("tight", f"{len(found.runs)} {'run' if len(found.runs) == 1 else 'runs'}")


class UnderslabStage(StageReport):
    """What the underslab stage answers."""

    underslab: UnderslabReport | None
    barrier: BarrierReport | None
    foam: list[FoamReport]
    line_tests: list[LineTestReport]
    tubing: TubingReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(
            underslab=None if job.underslab is None else UnderslabReport.of(job.underslab),
            barrier=None if job.covered is None else BarrierReport.of(job.covered),
            foam=[] if job.covered is None else FoamReport.rows(job.covered.foam),
            tubing=None if job.tubing is None else TubingReport.of(job.tubing),
            line_tests=[] if job.tested is None else LineTestReport.listed(job.tested),
        )
