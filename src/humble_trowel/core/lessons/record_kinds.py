"""Records for the next quote: what each must be to make sense, and what it comes to."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.lessons.kinds import KIND_OF_LESSON, middle_of, same_middle
from humble_trowel.core.lessons.records import HoursWorked, LeftOver, LessonSaid
from humble_trowel.core.lessons.update import Middle
from humble_trowel.core.pour.sizes import about
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units


class HoursKind(RecordKind[HoursWorked]):
    """Hours of a task."""

    name = "hours"
    values = HoursWorked

    def sentence(self, job: JobSoFar, values: HoursWorked) -> str:
        return f"{values.worked_h:g} h."

    def shown(self, values: HoursWorked, units: Units) -> list[str]:
        return [f"{values.worked_h:g} h"]


class LeftOverKind(RecordKind[LeftOver]):
    """Concrete that was left."""

    name = "left_over"
    values = LeftOver

    def sentence(self, job: JobSoFar, values: LeftOver) -> str:
        where = "in drum and chute" if values.where == "drum" else "on site"
        return f"{about(values.m3, job.plan.units, 2)} left {where}."

    def shown(self, values: LeftOver, units: Units) -> list[str]:
        return [about(values.m3, units, 2)]


class LessonKindOf(RecordKind[LessonSaid]):
    """A lesson taken or left."""

    name = "lesson"
    values = LessonSaid

    def check(self, job: JobSoFar, values: LessonSaid) -> None:
        kind = KIND_OF_LESSON.get(values.key)
        if kind is None:
            raise InputError("There is no such lesson.", "key")
        new = values.new
        if (
            values.taken
            and new is not None
            and not same_middle(middle_of(kind, job.crew), Middle(new.mean, new.sd, new.jobs))
        ):
            raise InputError("The crew's ways do not hold that. Take it on the lesson itself.", "new")

    def sentence(self, job: JobSoFar, values: LessonSaid) -> str:
        name = KIND_OF_LESSON[values.key].name if values.key in KIND_OF_LESSON else values.key
        return f"{name}: {'taken into the ways' if values.taken else 'left as it was'}."


LESSON_RECORDS = (HoursKind(), LeftOverKind(), LessonKindOf())
