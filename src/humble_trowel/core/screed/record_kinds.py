"""Records of pads."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.ground.levels import check_reading
from humble_trowel.core.ground.records import SetUp
from humble_trowel.core.ground.rod import rod_reads, say_reading
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.screed.pads import PadRun
from humble_trowel.core.screed.records import PadSet
from humble_trowel.core.screed.strips import runs_of
from humble_trowel.core.screed.struck import NEAR_MM
from humble_trowel.core.units import Units, say_length


def _runs(job: JobSoFar) -> list[PadRun]:
    return runs_of(job.plan, job.shape, job.ways.screed)


class PadSetKind(RecordKind[PadSet]):
    """A pad that was struck; the newest of a pad counts."""

    name = "pad-set"
    values = PadSet

    def resolved(self, values: PadSet, plan: Plan) -> PadSet:
        return values

    def check(self, job: JobSoFar, values: PadSet) -> None:
        pads = [pad for run in _runs(job) for pad in run.pads if pad.of == values.of]
        if not any(abs(pad.at_mm - values.at_mm) <= NEAR_MM for pad in pads):
            raise InputError("There is no pad there any more. Look at the pads again.", "of")
        if values.reading_mm is None:
            return
        check_reading(job.ways, values.reading_mm, "reading_mm", job.plan.units)
        if values.setup not in {key for key, _ in job.records.named(SetUp)}:
            raise InputError("That set-up has no backsight on record. Set the laser up on a mark first.", "setup")

    def sentence(self, job: JobSoFar, values: PadSet) -> str:
        name = next(
            (pad.name for run in _runs(job) for pad in run.pads if pad.of == values.of and abs(pad.at_mm - values.at_mm) <= NEAR_MM),
            "",
        )  # fmt: skip
        if values.reading_mm is None:
            return f"Pad {name} struck by string."
        return f"Pad {name} struck, rod {say_reading(values.reading_mm, rod_reads(job.plan, job.ways))}."

    def shown(self, values: PadSet, units: Units) -> list[str]:
        return [say_length(values.at_mm if values.reading_mm is None else values.reading_mm, units)]


SCREED_RECORDS = (PadSetKind(),)
