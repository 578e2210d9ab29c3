"""The stage of the gate: may we pour? Holds, the walk, papers, its day, trades and their days."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date
from typing import Self

from humble_trowel.core.day.report import ClockReport, DayReport, StartReport, day_report, local
from humble_trowel.core.errors import InputError
from humble_trowel.core.findings import Finding
from humble_trowel.core.gate.holds import GateFacts, GateTold, StageStands, gate_of
from humble_trowel.core.gate.report import GateReport, ScheduleReport, WalkReport
from humble_trowel.core.job import Job
from humble_trowel.core.schedule.sheet import ScheduleTold, schedule_told
from humble_trowel.core.stages.before_gate import BEFORE_GATE, standing_before, stops_before
from humble_trowel.core.stages.stage import Stage, StageReport, Standing
from humble_trowel.core.weather.hours import clock_of

HOLDING = ("slab-freezes", "drying-fast", "weather-short")


def findings_of(job: Job) -> list[Finding]:
    """Doubts about the day."""
    return job.day_findings


def gate_told(
    job: Job, today: date | None = None, schedule: ScheduleTold | None = None, *, weather: bool = True
) -> GateTold:
    """May we pour? schedule: when trades are on, where it is worked out; weather: also doubts about the day, which take long."""
    doubts = [row for row in job.day_findings if row.code in HOLDING] if weather else []
    stopped = stops_before(job)
    stages = [_stands(job, one, stopped) for one in BEFORE_GATE if _has(job, one)]
    lines = job.tested.lines if job.tested else []
    failed = [
        (line.id, f"{line.name}: {line.told.words}") for line in lines if line.told and line.told.state == "failed"
    ]
    here, needed = job.pour_hands
    days = hold_days(schedule) if schedule else {}
    clashes = [(row.key, row.clash) for row in schedule.tasks if row.clash] if schedule else []
    return gate_of(
        GateFacts(
            job.plan.order.pour_at, today, stages, stopped, doubts, job.visits, job.walked, job.papers, job.walk_checks,
            job.overruled, job.site_changes, failed, here, needed, days, clashes,
        )
    )  # fmt: skip


def _stands(job: Job, stage: Stage, stopped: Sequence[Finding]) -> StageStands:
    own = standing_before(stage, job, stopped)
    doubts = stage.findings(job) if own.state != "tight" else []
    first = next((row.words for row in doubts if row.stage == stage.id and row.severity != "note"), "")
    return StageStands(stage.id, own.state, own.words, first)


def _has(job: Job, stage: Stage) -> bool:
    """Whether the job has anything of a stage: what it has none of holds nothing."""
    bare = type(job.plan).model_fields
    return any(
        getattr(job.plan, key) != bare[key].get_default(call_default_factory=True)
        for key in stage.plan_keys
        if key != "zones"
    )


def standing_of(job: Job) -> Standing:
    """Its knot: how many things hold the pour."""
    if job.plan.outline is None:
        return Standing("loop", "to do")
    told = gate_told(job)
    if told.may_pour:
        return Standing("tight", "pour")
    count = len(told.holds)
    stuck = any(row.hard and row.code.split("/")[0] in ("stop", "failed", "frozen", "freezes") for row in told.holds)
    words = "1 hold" if count == 1 else f"{count} holds"
    return Standing("flagged" if stuck and told.pour_at is not None else "loop", words)


def as_of(job: Job) -> date | None:
    """From when on trades are scheduled where nobody says what day it is: as it is said, else from the newest weather on."""
    if job.plan.schedule.start_on:
        return date.fromisoformat(job.plan.schedule.start_on)
    days = list(job.sky_days)
    return min(days) if days and job.plan.order.pour_at else None


def hold_days(told: ScheduleTold) -> dict[str, str]:
    """When what holds is lifted, by the key of its task; the walk the working day before the pour."""
    days = {row.key: row.finish for row in told.tasks}
    pour = next((row.start for row in told.tasks if row.key == "pour"), None)
    if pour is not None:
        before = [row.on for row in told.days if row.works and row.on < pour]
        days["walk"] = before[-1] if before else pour
    return days


class GateStage(StageReport):
    """What the gate answers; day, clock, starts are null and empty without a day or its weather, schedule without a first day."""

    day: DayReport | None
    clock: list[ClockReport]
    starts: list[StartReport]
    gate: GateReport | None
    walk: list[WalkReport]
    schedule: ScheduleReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        if job.plan.outline is None:
            return cls(day=None, clock=[], starts=[], gate=None, walk=[], schedule=None)
        rest = {
            "gate": GateReport.of(gate_told(job)),
            "walk": WalkReport.of_walk(job.walked),
            "schedule": _schedule(job),
        }
        found = job.day
        if found is None or job.plan.order.pour_at is None:
            return cls(day=None, clock=[], starts=[], **rest)
        clock = clock_of(job.plan.site, job.plan.order.pour_at)
        return cls(
            day=day_report(found, clock), clock=[ClockReport.of(row, clock) for row in found.clock],
            starts=[StartReport(at=local(clock, row.at_h), passes=row.passes, why_not=[one.words for one in row.why_not]) for row in found.starts],
            **rest,
        )  # fmt: skip


def _schedule(job: Job) -> ScheduleReport | None:
    start = as_of(job)
    if start is None:
        return None
    try:
        return ScheduleReport.of(schedule_told(job.plan, job.ways, job.scheduled(start)))
    except InputError:
        return None  # a loop: the screen of trades says which
