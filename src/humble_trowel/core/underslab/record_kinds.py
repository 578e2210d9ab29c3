"""Records of what is buried."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.underslab.check import Checked, checked
from humble_trowel.core.underslab.line_tests import tested
from humble_trowel.core.underslab.line_told import TestedLine, minutes_between, test_told
from humble_trowel.core.underslab.records import LineTest, RiserCheck
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


class LineTestKind(RecordKind[LineTest]):
    """A test of a line; the newest that names one of its runs or rooms counts."""

    name = "line-test"
    values = LineTest

    def check(self, job: JobSoFar, values: LineTest) -> None:
        values = by_id(values, job.plan)
        line = _line(job, values)
        if line.kind == "drain" and values.how == "pressure":
            raise InputError("Drains are tested with water or air.", "how")
        if line.kind != "drain" and values.how == "water":
            raise InputError("A line under pressure has no stand-pipe. Read its gauge.", "how")
        unit = "mm" if values.how == "water" else "kpa"
        device = "level in the stand-pipe" if unit == "mm" else "gauge"
        if getattr(values, f"start_{unit}") is None:
            raise InputError(f"The {device} was not read at the start.", f"start_{unit}")
        if values.ended is None:
            if getattr(values, f"end_{unit}") is not None:
                raise InputError("When was that read?", "ended")
            return
        if getattr(values, f"end_{unit}") is None:
            raise InputError(f"The {device} was never read at the end.", f"end_{unit}")
        if (minutes := minutes_between(values.started, values.ended)) is None or minutes < 0:
            raise InputError("It ends before it starts. When was it read?", "ended")

    def sentence(self, job: JobSoFar, values: LineTest) -> str:
        values = by_id(values, job.plan)
        told = test_told(job.plan.units, _line(job, values), "", values)
        return f"{_line(job, values).name}: {told.words}"


def _line(job: JobSoFar, values: LineTest) -> TestedLine:
    found = tested(job.plan, job.shape, job.ways.underslab, ())
    line = next((one for one in (found.lines if found else []) if one.names(values)), None)
    if line is None:
        raise InputError("Those runs are not on this slab any more, or are not tested.", "runs")
    return line


UNDERSLAB_RECORDS = (RiserCheckKind(), LineTestKind())
