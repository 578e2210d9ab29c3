"""What `figure --json` says under `ground` and `concrete.parts_as_dug`, and what `grade --json` says."""

from __future__ import annotations

from collections.abc import Sequence

from pydantic import Field

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.ground.before import margin_mm
from humble_trowel.core.ground.flat import Enough, Rake
from humble_trowel.core.ground.ground_job import Ground
from humble_trowel.core.ground.layer_shots import LayerShots
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.report import FindingReport, Report


class StackReport(Report):
    """A layer of a zone, levels where the zone's top is highest."""

    zone: str
    layer: str
    thickness_mm: float
    top_mm: float
    bottom_mm: float | None
    """None for the native soil."""


class DigReport(Report):
    """Where the digging stops."""

    where: str
    level_mm: float


class RodReport(Report):
    """A reading of the rod card."""

    surface: str
    at: str
    level_mm: float
    reading_mm: float | None
    """None while no laser stands."""


class BaseReport(Report):
    """All stone of the base."""

    compacted_m3: float
    loose_m3: float
    tonnes: float
    margin_mm: float
    """How far it goes past the slab."""


class StoneReport(Report):
    """One stone of the job: all its layers."""

    stone: str = Field(validation_alias="mark")
    compacted_m3: float
    loose_m3: float
    tonnes: float
    trucks: int


class SpoilReport(Report):
    """Ground that comes out, as it lies, and all of it loose."""

    strip_m3: float
    dig_m3: float
    trench_m3: float
    footings_m3: float
    back_m3: float
    loose_m3: float


class PegReport(Report):
    """A grade peg."""

    at: XY
    level_mm: float


class GroundReport(Report):
    """The ground under the slab."""

    stack: list[StackReport]
    dig: list[DigReport]
    rod: list[RodReport]
    base: BaseReport
    stones: list[StoneReport]
    spoil: SpoilReport | None
    pegs: list[PegReport]

    @classmethod
    def of(cls, found: Ground, plan: Plan, ways: JobWays) -> GroundReport:
        """The ground under its fixed names."""
        marks = {row.mark for row in ways.ground.stones if row.kind in ("stone", "graded")}
        base = [row for row in found.stones if row.mark in marks]
        return cls(
            stack=[
                StackReport(
                    zone=row.zone, layer=row.layer, thickness_mm=row.thickness_mm, top_mm=row.top_mm,
                    bottom_mm=row.bottom_mm if row.kind != "native" else None,
                )
                for row in found.stack
            ],
            dig=DigReport.rows(found.dig),
            rod=RodReport.rows(found.rod),
            base=BaseReport(
                compacted_m3=sum(row.compacted_m3 for row in base), loose_m3=sum(row.loose_m3 for row in base),
                tonnes=sum(row.tonnes for row in base), margin_mm=margin_mm(plan, ways),
            ),
            stones=StoneReport.rows(found.stones),
            spoil=None if found.spoil is None else SpoilReport.model_validate(found.spoil),
            pegs=PegReport.rows(found.pegs),
        )  # fmt: skip


class PartAsDugReport(Report):
    """A part of the ledger as planned, as dug and as shot; None where nobody measured."""

    part: str
    kind: str
    mark: str
    zone: str | None
    planned_m3: float
    as_dug_m3: float | None
    as_shot_m3: float | None
    extra_cents: int


class RakeReport(Report):
    """A place to rake off or to fill."""

    zone: str
    at: XY
    most_mm: float
    """At its worst: above the design is positive."""
    area_m2: float
    words: str


class ShotsReport(Report):
    """Shots on a layer against the design."""

    layer: str
    count: int
    area_m2: float
    mean_error_mm: float
    high_mm: float
    low_mm: float
    cut_m3: float
    fill_m3: float
    extra_concrete_m3: float
    """Untrimmed: the slab is thin over the highs."""
    extra_trimmed_m3: float
    enough: bool
    """The shots settle the volume."""
    words: str
    next: XY | None
    """Middle of the largest gap."""
    rake: list[RakeReport]

    @classmethod
    def of(cls, taken: LayerShots, rakes: Sequence[Rake], settled: Enough) -> ShotsReport:
        """Shots under their fixed names, with where to rake and whether they are enough."""
        whole = taken.whole
        return cls(
            layer=taken.layer, count=len(taken.shots), area_m2=whole.area_m2, mean_error_mm=whole.mean_mm,
            high_mm=whole.high_mm, low_mm=whole.low_mm, cut_m3=whole.cut_m3, fill_m3=whole.fill_m3,
            extra_concrete_m3=whole.fill_m3 - whole.cut_m3, extra_trimmed_m3=whole.fill_m3, enough=settled.enough,
            words=settled.words, next=settled.next_at, rake=RakeReport.rows(rakes),
        )  # fmt: skip


class GradedGround(Report):
    shots: ShotsReport


class GradedConcrete(Report):
    parts_as_dug: list[PartAsDugReport]
    base_counts: bool
    """The base as shot has taken the place of its allowance in the order."""


class GradeReport(Report):
    """A job graded by a file of shots."""

    ground: GradedGround
    concrete: GradedConcrete
    findings: list[FindingReport]
