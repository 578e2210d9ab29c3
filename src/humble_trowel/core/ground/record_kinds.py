"""Records of the ground stage: set-ups, benchmarks shot again, shots, trenches as dug, tests, soft spots, lifts."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.ground.as_dug import check_dug, dug_runs
from humble_trowel.core.ground.layer_shots import sane_levels, take_shots
from humble_trowel.core.ground.levels import check_reading, known_marks, mark_id, mark_name, stands
from humble_trowel.core.ground.records import (
    AsDug,
    BenchShot,
    GroundTest,
    LiftSigned,
    SetUp,
    Shots,
    SoftSpot,
    TurningPoint,
)
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import LAYER_WORDS
from humble_trowel.core.plan.levels import floor_mm
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.units import Units, say_depth, say_length


def _known(plan: Plan, records: SiteRecords, on: str) -> None:
    marks = known_marks(plan, records)
    if not marks:
        raise InputError("There is no benchmark yet. Name a mark that stays, and its level.", "on")
    name = mark_name(plan, on)
    if name not in marks:
        raise InputError(f"{name} is no mark here. Known: {', '.join(marks)}.", "on")


def _set_up(records: SiteRecords, key: str) -> None:
    if key not in {own for own, _ in records.named(SetUp)}:
        raise InputError("That set-up has no backsight on record. Set the laser up on a mark first.", "setup")


class SetUpKind(RecordKind[SetUp]):
    """The laser stands somewhere new; its mark must be known."""

    name = "set-up"
    values = SetUp

    def resolved(self, values: SetUp, plan: Plan) -> SetUp:
        return values.model_copy(update={"on": mark_id(plan, values.on)})

    def check(self, job: JobSoFar, values: SetUp) -> None:
        _known(job.plan, job.records, values.on)
        check_reading(job.ways, values.backsight_mm, "backsight_mm", job.plan.units)

    def sentence(self, job: JobSoFar, values: SetUp) -> str:
        level_mm = known_marks(job.plan, job.records).get(mark_name(job.plan, values.on))
        if level_mm is None:
            return ""
        over_mm = level_mm + values.backsight_mm - floor_mm(job.plan)
        way = "over" if over_mm >= 0 else "below"
        return f"Laser line {say_depth(abs(over_mm), job.plan.units)} {way} the finished floor."


class BenchShotKind(RecordKind[BenchShot]):
    """A benchmark shot again, to see whether anything moved."""

    name = "bench-shot"
    values = BenchShot

    def resolved(self, values: BenchShot, plan: Plan) -> BenchShot:
        return values.model_copy(update={"on": mark_id(plan, values.on)})

    def check(self, job: JobSoFar, values: BenchShot) -> None:
        _set_up(job.records, values.setup)
        _known(job.plan, job.records, values.on)
        check_reading(job.ways, values.reading_mm, "reading_mm", job.plan.units)

    def sentence(self, job: JobSoFar, values: BenchShot) -> str:
        now = job.records.plus("new", values)
        rows = stands(job.plan, job.ways, now)
        return next((row.words for row in rows if row.id == values.setup), "")


class TurningPointKind(RecordKind[TurningPoint]):
    """A firm spot shot before the laser moves; its name must be its own."""

    name = "turning-point"
    values = TurningPoint

    def check(self, job: JobSoFar, values: TurningPoint) -> None:
        _set_up(job.records, values.setup)
        check_reading(job.ways, values.foresight_mm, "foresight_mm", job.plan.units)
        if values.name in known_marks(job.plan, job.records):
            raise InputError(f"{values.name} is a mark already. Call the turning point something else.", "name")


class ShotsKind(RecordKind[Shots]):
    """Rod shots on a layer: with their set-up, on this slab, at levels that can be."""

    name = "shots"
    values = Shots

    def check(self, job: JobSoFar, values: Shots) -> None:
        ways = job.ways
        if values.setup is not None:
            _set_up(job.records, values.setup)
        for i, shot in enumerate(values.shots):
            if shot.reading_mm is not None:
                check_reading(ways, shot.reading_mm, f"shots[{i}].reading_mm", job.plan.units)
        setups = stands(job.plan, ways, job.records)
        taken = take_shots(job.plan, job.shape, ways, values.layer, [("new", values)], setups)
        if values.source == "file":
            sane_levels(taken)

    def shown(self, values: Shots, units: Units) -> list[str]:
        said = (shot.level_mm if shot.reading_mm is None else shot.reading_mm for shot in values.shots)
        return [say_length(mm, units) for mm in said if mm is not None]

    def sentence(self, job: JobSoFar, values: Shots) -> str:
        return f"{len(values.shots)} shot{'' if len(values.shots) == 1 else 's'} on the {values.layer}."


class AsDugKind(RecordKind[AsDug]):
    """A trench as it was dug, along what is there."""

    name = "as-dug"
    values = AsDug

    def check(self, job: JobSoFar, values: AsDug) -> None:
        check_dug(job.plan, values)

    def sentence(self, job: JobSoFar, values: AsDug) -> str:
        runs = dug_runs(job.plan, job.shape, [values])
        return next((run.words for run in runs if run.measured), "")


class GroundTestKind(RecordKind[GroundTest]):
    """A test of the ground: probe, density or roll."""

    name = "ground-test"
    values = GroundTest

    def sentence(self, job: JobSoFar, values: GroundTest) -> str:
        return test_words(values, job.plan.units)


class SoftSpotKind(RecordKind[SoftSpot]):
    """A soft spot and what was done about it."""

    name = "soft-spot"
    values = SoftSpot

    def sentence(self, job: JobSoFar, values: SoftSpot) -> str:
        return soft_words(values, job.plan.units)


class LiftSignedKind(RecordKind[LiftSigned]):
    """A lift is packed and somebody says so."""

    name = "lift-signed"
    values = LiftSigned

    def sentence(self, job: JobSoFar, values: LiftSigned) -> str:
        return f"Lift {values.lift} of {values.layer} packed, {values.passes} passes."


def soft_words(spot: SoftSpot, units: Units) -> str:
    """A soft spot in a sentence."""
    deep = f", {say_depth(spot.deep_mm, units)} deep" if spot.deep_mm else ""
    return f"Soft over {say_depth(spot.across_mm, units)}{deep}: {spot.done}."


def test_words(test: GroundTest, units: Units) -> str:
    """A test's result in a sentence."""
    end = "passed" if test.passed else "not passed"
    lift = f", lift {test.lift}" if test.lift else ""
    layer = LAYER_WORDS.get(test.layer, test.layer)
    if test.test == "probe":
        return f"Probe sank {say_depth(test.sank_mm or 0, units)} in {layer}{lift}: {end}."
    if test.test == "density":
        return f"{test.density_percent:g} % of greatest density in {layer}{lift}: {end}."
    return f"Rolled {layer}{lift}: {end}."


GROUND_RECORDS = (
    SetUpKind(), BenchShotKind(), TurningPointKind(), ShotsKind(), AsDugKind(), GroundTestKind(), SoftSpotKind(),
    LiftSignedKind(),
)  # fmt: skip
