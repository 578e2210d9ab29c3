"""Records of the lines stage: rounds of taped checks, gaps from a string, levels of a form's top, a form that stands again."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.lines.records import FormBack, FormLevels, Offset, StringGaps, Taped
from humble_trowel.core.lines.square_job import square_plan, tolerance_of
from humble_trowel.core.lines.straight import SideChecked, level, straight
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.refs import by_place
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.record_kind import RecordKind
from humble_trowel.core.units import Units, say_length


class TapedKind(RecordKind[Taped]):
    """A round of measures over the frame; one that no shape could have is refused."""

    name = "taped"
    values = Taped

    def check(self, plan: Plan, crew: Ways, notes: Any, values: Taped) -> None:
        square_plan(plan, values, crew)

    def sentence(self, plan: Plan, crew: Ways, notes: Any, values: Taped) -> str:
        return square_plan(plan, values, crew).verdict

    def shown(self, values: Taped, units: Units) -> list[str]:
        return [say_length(row.off_mm if isinstance(row, Offset) else row.mm, units) for row in values.measures]


def checked_side(plan: Plan, crew: Ways, values: StringGaps | FormLevels) -> SideChecked:
    """In or out, up or down at each stake of a side. Raises InputError."""
    tolerance_mm = tolerance_of(plan, crew)
    if isinstance(values, StringGaps):
        return straight(plan, values, tolerance_mm)
    return level(plan, values, tolerance_mm)


class StringGapsKind(RecordKind[StringGaps]):
    """Gaps from a string to the board; readings past the side's end are refused."""

    name = "string-gaps"
    values = StringGaps

    def check(self, plan: Plan, crew: Ways, notes: Any, values: StringGaps) -> None:
        checked_side(plan, crew, values)

    def sentence(self, plan: Plan, crew: Ways, notes: Any, values: StringGaps) -> str:
        return checked_side(plan, crew, values).verdict

    def shown(self, values: StringGaps, units: Units) -> list[str]:
        return [say_length(reading.mm, units) for reading in values.readings]


class FormLevelsKind(RecordKind[FormLevels]):
    """Rod readings on a form's top; readings past the side's end are refused."""

    name = "form-levels"
    values = FormLevels

    def check(self, plan: Plan, crew: Ways, notes: Any, values: FormLevels) -> None:
        checked_side(plan, crew, values)

    def sentence(self, plan: Plan, crew: Ways, notes: Any, values: FormLevels) -> str:
        return checked_side(plan, crew, values).verdict

    def shown(self, values: FormLevels, units: Units) -> list[str]:
        return [say_length(reading.mm, units) for reading in values.readings]


class FormBackKind(RecordKind[FormBack]):
    """The form that was left out for the truck stands again."""

    name = "form-back"
    values = FormBack

    def check(self, plan: Plan, crew: Ways, notes: Any, values: FormBack) -> None:
        by_place(values, plan)

    def sentence(self, plan: Plan, crew: Ways, notes: Any, values: FormBack) -> str:
        return "The form stands again."


LINES_RECORDS = (TapedKind(), StringGapsKind(), FormLevelsKind(), FormBackKind())
