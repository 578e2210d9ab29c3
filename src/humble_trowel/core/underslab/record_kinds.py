"""Records of what is buried."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.underslab.check import Checked, checked
from humble_trowel.core.underslab.records import RiserCheck
from humble_trowel.core.underslab.services import riser_row

FAR_MM = 3000.0


def _told(job: JobSoFar, values: RiserCheck) -> tuple[str, Checked | None]:
    """The riser's name, and what the check says of it."""
    values = by_id(values, job.plan)
    at = next((i for i, one in enumerate(job.plan.underslab.risers) if one.id == values.riser), None)
    if at is None:
        raise InputError("That riser is not on this slab any more.", "riser")
    row = riser_row(job.plan, at)
    return row.name, checked(job.plan, job.plan.underslab.risers[at], row.faces, values)


class RiserCheckKind(RecordKind[RiserCheck]):
    """Where a riser was found; the newest of a riser counts."""

    name = "riser-check"
    values = RiserCheck

    def check(self, job: JobSoFar, values: RiserCheck) -> None:
        name, told = _told(job, values)
        if told is None:
            raise InputError("Those two faces make no place. Tape it from faces that run across each other.", "faces")
        if max(abs(mm) for mm in told.off_mm) > FAR_MM:
            raise InputError(f"That is another place than {name}'s. Which one was taped?", "from_mm")

    def sentence(self, job: JobSoFar, values: RiserCheck) -> str:
        name, told = _told(job, values)
        return f"{name}: {told.words}" if told else ""


UNDERSLAB_RECORDS = (RiserCheckKind(),)
