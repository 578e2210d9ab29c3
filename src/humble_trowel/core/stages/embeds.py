"""The stage of what sticks up."""

from __future__ import annotations

from typing import Self

from humble_trowel.core.embeds.report import EmbedsReport
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.job import Job
from humble_trowel.core.stages.stage import StageReport, Standing
from humble_trowel.core.units import say_length


def findings_of(job: Job) -> list[Finding]:
    """Doubts about walls, bolts and straps, and about what was set."""
    if job.embeds is None:
        return []
    units, names = job.plan.units, {wall.id: wall.name for wall in job.embeds.walls}
    rows = list(job.embeds.findings)
    for item in job.setting.items:
        if item.state == "cannot":
            where = "" if item.at_mm is None else f" at {say_length(item.at_mm, units)}"
            words = f"{item.name}, {item.kind}{where} is not set: {item.why}"
            rows.append(finding("embed-not-set", f"embeds/{item.key}", words, "Drill it after, or move it.", "house"))
    for of, at in job.setting.strays:
        words = f"{names.get(of, 'A wall')}: a bolt was set at {say_length(at, units)}, where none stands now."
        rows.append(
            finding("embed-stray", f"embeds/{of}", words, "Mark the board again, or move the bolt there.", "house")
        )
    return rows


def standing_of(job: Job) -> Standing:
    """Its knot: what breaks a rule first, then what is left to set."""
    if job.plan.outline is None:
        return Standing("loop", "to do")
    found = job.embeds
    if found is None:
        return Standing("loop", "none yet")
    wrong = sum(1 for row in findings_of(job) if row.severity != "note")
    if wrong:
        return Standing("loop", f"{wrong} to look at")
    done = sum(1 for item in job.setting.items if item.state == "set")
    bolts = found.counts.get("bolt", 0)
    if done:
        left = len(job.setting.items) - done
        return Standing("loop", f"{left} to set") if left else Standing("tight", "all set")
    if not job.setting.items:
        return Standing("tight", "comes whole")
    return Standing("tight", f"{bolts} bolts" if bolts else f"{len(job.setting.items)} to set")


class EmbedsStage(StageReport):
    """What the stage of what sticks up answers."""

    embeds: EmbedsReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(embeds=None if job.embeds is None else EmbedsReport.of(job.embeds))
