"""The stages, written out once: the string, the yard, the report and the finder read this list.

To add a stage: a folder of its own, an answer in core/job/, and a row here.
"""

from __future__ import annotations

from typing import Any

from humble_trowel.core.findings import Finding
from humble_trowel.core.job import Job
from humble_trowel.core.report import FindingReport
from humble_trowel.core.stages import cure, gate, pour
from humble_trowel.core.stages.before_gate import BEFORE_GATE, findings_before, standing_before
from humble_trowel.core.stages.stage import Stage, StageReport, Standing

__all__ = ["STAGES", "Stage", "StageReport", "Standing", "findings", "report", "standing", "stops"]

STAGES: tuple[Stage, ...] = (
    *BEFORE_GATE,
    Stage("gate", ("day", "schedule"), gate.findings_of, gate.standing_of, gate.GateStage, slow=True),
    Stage("pour", (), pour.findings_of, pour.standing_of, pour.PourStage, slow=True),
    Stage("cure", (), cure.findings_of, cure.standing_of, cure.CureStage, slow=True),
)


def findings(job: Job, *, slow: bool = True) -> list[Finding]:
    """Every doubt about a job, in one list: the figure's, stumbles, then the other stages'. slow: also those that take long."""
    rows = findings_before(job)
    for stage in STAGES[len(BEFORE_GATE) :]:
        rows += [] if stage.slow and not slow else stage.findings(job)
    return rows


def standing(stage: Stage, job: Job) -> Standing:
    """How a stage stands; a stop of its own flags it, whatever else may be said of it."""
    return standing_before(stage, job, stops(job))


def stops(job: Job) -> list[Finding]:
    """What must be mended before anybody calls the plant."""
    return [row for row in findings(job, slow=False) if row.severity == "stop"]


def report(job: Job) -> dict[str, Any]:
    """What `figure --json` gives, under its fixed names (docs/report.md)."""
    answer: dict[str, Any] = {}
    for stage in sorted(STAGES, key=lambda one: one.id != "order"):
        answer |= stage.report.of(job).told()
    return answer | {"findings": [row.told() for row in FindingReport.of(findings(job))]}
