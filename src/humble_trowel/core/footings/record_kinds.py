"""Records of footings: the rod on the trench's bottom beside a grade peg."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.footings.pegs import SAME_PEG_MM, FootingPeg, footing_pegs
from humble_trowel.core.footings.records import PegShot
from humble_trowel.core.ground.levels import check_reading, stands
from humble_trowel.core.ground.records import SetUp
from humble_trowel.core.ground.rod import rod_reads
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind


def _peg(job: JobSoFar, values: PegShot) -> FootingPeg | None:
    """The peg that is meant, with this reading; None where no peg stands there."""
    at = next((i for i, one in enumerate(job.plan.footings) if one.id == values.footing), None)
    setups = stands(job.plan, job.ways, job.records)
    pegs = footing_pegs(job.plan, [values], setups, rod_reads(job.plan, job.ways))
    return next((peg for peg in pegs if peg.footing == at and abs(peg.along_mm - values.along_mm) < SAME_PEG_MM), None)


class PegShotKind(RecordKind[PegShot]):
    """The rod beside a grade peg; the newest of a peg counts."""

    name = "peg-shot"
    values = PegShot

    def check(self, job: JobSoFar, values: PegShot) -> None:
        if values.setup not in {own for own, _ in job.records.named(SetUp)}:
            raise InputError("That set-up has no backsight on record. Set the laser up on a mark first.", "setup")
        check_reading(job.ways, values.reading_mm, "reading_mm", job.plan.units)
        if _peg(job, values) is None:
            raise InputError("No peg stands there on this footing. Look at the list of pegs again.", "along_mm")

    def sentence(self, job: JobSoFar, values: PegShot) -> str:
        peg = _peg(job, values)
        return f"Peg {peg.number}: {peg.words} Cut it {peg.cut_text}." if peg else ""


FOOTING_RECORDS = (PegShotKind(),)
