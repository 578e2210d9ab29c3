"""The steel stage."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.stages.stage import StageReport, Standing
from humble_trowel.core.steel.keys import key_doubts
from humble_trowel.core.steel.looks import look_doubts
from humble_trowel.core.steel.report import SteelReport


def findings_of(job: Job) -> list[Finding]:
    """Doubts about mats, cages and dowels."""
    keys = key_doubts(job.plan, job.solid)
    return [*job.steel.findings, *keys, *look_doubts(job.steel_places)] if job.steel else keys


def standing_of(job: Job) -> Standing:
    """Its knot: what does not fit first, then which slabs nobody said anything of."""
    found = job.steel
    if job.plan.outline is None:
        return Standing("loop", "to do")
    if found is None:
        return Standing("loop", "none yet")
    mends = sum(place.short for place in job.steel_places)
    if mends:
        return Standing("loop", f"{mends} to mend")
    wrong = sum(1 for row in found.findings if row.severity != "note")
    if wrong:
        return Standing("loop", "1 does not fit" if wrong == 1 else f"{wrong} do not fit")
    unsaid = {cell.mark for cell in job.solid.cells} - {row.slab for row in job.plan.steel.ways} if job.solid else set()
    if unsaid:
        return Standing("loop", f"{len(unsaid)} to say")
    return Standing("tight", f"{len(found.bars)} marks" if found.bars else "as chosen")


class SteelStage(StageReport):
    """What the steel stage answers."""

    steel: SteelReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(steel=None if job.steel is None else SteelReport.of(job.steel, job.steel_cuts))
