"""Grading a job by a file of shots: what `./trowel grade` does."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from humble_trowel.core.errors import InputError
from humble_trowel.core.ground.as_dug import check_dug
from humble_trowel.core.ground.flat import Enough, Rake, contours, enough, rakes
from humble_trowel.core.ground.layer_shots import LayerShots, sane_levels, take_shots
from humble_trowel.core.ground.records import AsDug, DugStation, Shots
from humble_trowel.core.ground.report import GradedConcrete, GradedGround, GradeReport, PartAsDugReport, ShotsReport
from humble_trowel.core.guard import answers
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.report import FindingReport


@dataclass(frozen=True)
class GradedFile:
    """Shots against the design, where to rake and fill, and whether they are enough."""

    job: Job
    taken: LayerShots
    places: list[Rake]
    settled: Enough

    def told(self) -> dict[str, Any]:
        """`ground.shots` and `concrete.parts_as_dug` under their fixed names, with the raking list and findings."""
        ground = self.job.answered("ground", self.job.ground)
        return GradeReport(
            ground=GradedGround(shots=ShotsReport.of(self.taken, self.places, self.settled)),
            concrete=GradedConcrete(
                parts_as_dug=PartAsDugReport.rows(ground.parts), base_counts=self.job.measured.base is not None
            ),
            findings=FindingReport.of(self.taken.findings),
        ).told()


@answers("The shots")
def grade_job(plan: Plan, shots: Shots, dug: Sequence[AsDug] = (), crew: Ways | None = None) -> GradedFile:
    """A plan graded by one round of shots. dug: trenches as dug. Raises InputError for shots that make no surface or
    cannot be this job's."""
    if plan.outline is None:
        raise InputError("There is no outline yet. Call the first side.", "outline")
    job = Job(plan, crew, SiteRecords([("file", shots), *((f"dug-{i}", row) for i, row in enumerate(dug))]))
    taken = job.shots(shots.layer) or take_shots(plan, job.shape, job.ways, shots.layer, [("file", shots)])
    sane_levels(taken)
    if taken.surface is None:
        raise InputError(taken.problem, "shots")
    for row in dug:
        check_dug(plan, row)
    return GradedFile(job, taken, rakes(taken, contours(taken, job.ways), plan), enough(taken, plan, job.ways))


def dug_from(rows: Sequence[tuple[int, float, float, float]]) -> list[AsDug]:
    """Records from rows of (side, at, width, depth), one for each side."""
    sides: dict[int, list[DugStation]] = {}
    for side, at, wide, deep in rows:
        sides.setdefault(side, []).append(DugStation(at_mm=at, width_mm=wide, depth_mm=deep))
    return [AsDug.model_validate({"side": side, "stations": stations}) for side, stations in sides.items()]
