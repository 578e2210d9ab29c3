"""Every stage before the gate, in the order of the work, and what stops the order."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Self

from humble_trowel.core.edges.report import EdgesReport, FrostOptionReport
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.footings.report import FootingsReport
from humble_trowel.core.forms.report import FormsReport
from humble_trowel.core.ground.report import GroundReport
from humble_trowel.core.job import Job
from humble_trowel.core.lines.report import LinesReport
from humble_trowel.core.stages import embeds, screed, steel, underslab
from humble_trowel.core.stages.order import OrderStage
from humble_trowel.core.stages.stage import Stage, StageReport, Standing
from humble_trowel.core.walls.report import WallsReport


def _lines_findings(job: Job) -> list[Finding]:
    rows = list(job.forms.findings) if job.forms else []
    return rows + (list(job.boards.findings) if job.boards else [])


def _lines_standing(job: Job) -> Standing:
    plan, squared = job.plan, job.squared
    if plan.walk:
        return Standing("loop", "walk open")
    if plan.outline is None:
        return Standing("loop", "to walk")
    if squared is None:
        return Standing("tight", "closes")
    if squared.inside:
        return Standing("tight", "square")
    out = squared.verdict.removeprefix("Out ").split(" at ")[0]
    short = f"out {out}" if squared.verdict.startswith("Out ") else ""
    return Standing("loop", short or ("not settled" if squared.verdict.startswith("Not") else "do not fit"))


class LinesStage(StageReport):
    """What the lines stage answers."""

    lines: LinesReport | None
    forms: FormsReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(
            lines=LinesReport.of(job.set_out) if job.set_out else None,
            forms=FormsReport.of(job.forms, job.boards) if job.forms else None,
        )


def _ground_findings(job: Job) -> list[Finding]:
    return list(job.ground.findings) if job.ground else []


def _ground_standing(job: Job) -> Standing:
    graded = job.graded
    return Standing("flagged" if graded.stuck else "tight" if graded.flat else "loop", graded.words)


class GroundStage(StageReport):
    """What the ground stage answers."""

    ground: GroundReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        return cls(ground=GroundReport.of(job.ground, job.plan, job.ways) if job.ground else None)


def _edges_findings(job: Job) -> list[Finding]:
    return []  # they stand in the figure, with the order's


def _edges_standing(job: Job) -> Standing:
    outline = job.outline
    if any(row.code == "step-hangs" for row in job.figure.findings):
        return Standing("flagged", "step hangs")
    if outline is None and job.plan.footings:
        return Standing("loop", "footings")
    if outline is None:
        return Standing("loop", "to do")
    short = {row.code for row in job.edge_checks if row.verdict == "short"}
    named = sum(1 for side in outline.sides if side.edge)
    if short:
        return Standing("loop", f"{len(short)} short")
    return Standing("tight" if named else "loop", f"{named} of {len(outline.sides)} sides" if named else "all plain")


class EdgesStage(StageReport):
    """What the edges stage answers."""

    edges: EdgesReport | None
    footings: FootingsReport | None
    walls: WallsReport | None

    @classmethod
    def of(cls, job: Job) -> Self:
        """Its part of a job's answer."""
        found = job.frost_options
        under, stood = job.figure.footings, job.figure.walls
        return cls(
            edges=None if found is None else EdgesReport(options=FrostOptionReport.rows(found)),
            footings=None if under is None else FootingsReport.of(under),
            walls=None if stood is None else WallsReport.of(stood),
        )


def _order_findings(job: Job) -> list[Finding]:
    return [*job.figure.findings, *job.deciding_findings]


def _order_standing(job: Job) -> Standing:
    figure = job.figure
    if any(row.code == "ways-disagree" for row in figure.findings):
        return Standing("flagged", "ways disagree")
    stopped = stops_before(job)
    if stopped:
        return Standing("flagged", "1 stop" if len(stopped) == 1 else f"{len(stopped)} stops")
    if job.plan.outline is None:
        return Standing("loop", "to do")
    unsaid = sum(1 for line in figure.call_in if line.missing)
    if unsaid:
        return Standing("loop", f"{unsaid} to say")
    called = job.called
    if called is not None:
        return Standing("flagged", "call again") if called.stale else Standing("tight", "called")
    settle = sum(1 for row in job.deciding_findings if row.code == "mix-clash")
    return Standing("loop", f"{settle} to settle") if settle else Standing("tight", "say it")


BEFORE_GATE: tuple[Stage, ...] = (
    Stage("lines", ("outline", "walk", "set_out", "existing", "forms"), _lines_findings, _lines_standing, LinesStage),
    Stage("ground", ("ground", "build_ups"), _ground_findings, _ground_standing, GroundStage),
    Stage("edges", ("zones", "edges", "beams", "pads", "recesses", "kerbs", "piles", "footings", "walls", "pours"), _edges_findings, _edges_standing, EdgesStage),
    Stage("underslab", ("underslab",), underslab.findings_of, underslab.standing_of, underslab.UnderslabStage),
    Stage("steel", ("steel",), steel.findings_of, steel.standing_of, steel.SteelStage),
    Stage("embeds", ("embeds",), embeds.findings_of, embeds.standing_of, embeds.EmbedsStage),
    Stage("screed", ("screed", "joints"), screed.findings_of, screed.standing_of, screed.ScreedStage),
    Stage("order", ("mix", "order", "quote"), _order_findings, _order_standing, OrderStage),
)  # fmt: skip


def _unread(job: Job) -> list[Finding]:
    """Records that cannot be read: said, and read past."""
    remedy = "Take the job out as it is stored, then write the record down again."
    return [
        finding(
            "record-unread", row.id, f"A record ({row.kind}, {row.id}) counts for nothing: {row.why}.", remedy, "house"
        )
        for row in job.records.unread_rows
    ]


def findings_before(job: Job) -> list[Finding]:
    """Every doubt of these stages in one list: the figure's, stumbles, then the stages'."""
    rows = [*_order_findings(job), *_unread(job)]
    rows += job.stumbles("set_out", "frost_options", "ground", "forms", "boards", "underslab")
    for stage in sorted(BEFORE_GATE, key=lambda one: one.id != "ground"):
        rows += [] if stage.id == "order" else stage.findings(job)
    return rows


def stops_before(job: Job) -> list[Finding]:
    """What must be mended before anybody calls the plant."""
    return [row for row in findings_before(job) if row.severity == "stop"]


def standing_before(stage: Stage, job: Job, stopped: Sequence[Finding]) -> Standing:
    """How a stage stands; a stop of its own flags it, whatever else may be said of it. stopped: all stops of the job."""
    own = stage.standing(job)
    count = sum(1 for row in stopped if row.stage == stage.id)
    if not count or own.state == "flagged":
        return own
    return Standing("flagged", "1 stop" if count == 1 else f"{count} stops")
