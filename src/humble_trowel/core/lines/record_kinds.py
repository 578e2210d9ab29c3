"""Records of the lines stage: rounds of taped checks, gaps from a string, levels of a form's top, a form that stands again."""

from __future__ import annotations

from humble_trowel.core.lines.records import FormBack, FormLevels, Offset, StringGaps, Taped
from humble_trowel.core.lines.square_job import square_plan, tolerance_of
from humble_trowel.core.lines.straight import SideChecked, level, straight
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.refs import by_place
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units, say_length


class TapedKind(RecordKind[Taped]):
    """A round of measures over the frame; one that no shape could have is refused."""

    name = "taped"
    values = Taped

    def check(self, job: JobSoFar, values: Taped) -> None:
        square_plan(job.plan, values, job.ways)

    def sentence(self, job: JobSoFar, values: Taped) -> str:
        return square_plan(job.plan, values, job.ways).verdict

    def shown(self, values: Taped, units: Units) -> list[str]:
        return [say_length(row.off_mm if isinstance(row, Offset) else row.mm, units) for row in values.measures]


def checked_side(plan: Plan, ways: JobWays, values: StringGaps | FormLevels) -> SideChecked:
    """In or out, up or down at each stake of a side. Raises InputError."""
    tolerance_mm = tolerance_of(plan, ways)
    if isinstance(values, StringGaps):
        return straight(plan, values, tolerance_mm)
    return level(plan, values, tolerance_mm)


class StringGapsKind(RecordKind[StringGaps]):
    """Gaps from a string to the board; readings past the side's end are refused."""

    name = "string-gaps"
    values = StringGaps

    def check(self, job: JobSoFar, values: StringGaps) -> None:
        checked_side(job.plan, job.ways, values)

    def sentence(self, job: JobSoFar, values: StringGaps) -> str:
        return checked_side(job.plan, job.ways, values).verdict

    def shown(self, values: StringGaps, units: Units) -> list[str]:
        return [say_length(reading.mm, units) for reading in values.readings]


class FormLevelsKind(RecordKind[FormLevels]):
    """Rod readings on a form's top; readings past the side's end are refused."""

    name = "form-levels"
    values = FormLevels

    def check(self, job: JobSoFar, values: FormLevels) -> None:
        checked_side(job.plan, job.ways, values)

    def sentence(self, job: JobSoFar, values: FormLevels) -> str:
        return checked_side(job.plan, job.ways, values).verdict

    def shown(self, values: FormLevels, units: Units) -> list[str]:
        return [say_length(reading.mm, units) for reading in values.readings]


class FormBackKind(RecordKind[FormBack]):
    """The form that was left out for the truck stands again."""

    name = "form-back"
    values = FormBack

    def check(self, job: JobSoFar, values: FormBack) -> None:
        by_place(values, job.plan)

    def sentence(self, job: JobSoFar, values: FormBack) -> str:
        return "The form stands again."


LINES_RECORDS = (TapedKind(), StringGapsKind(), FormLevelsKind(), FormBackKind())
