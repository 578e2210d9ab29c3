"""What is written down for the next quote: hours of a task, what was left over, what was made of a lesson."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Note, Number, When
from humble_trowel.core.plan.way_values import Volume

Who = Annotated[str, Field(max_length=80)]
TaskKey = Literal["dig", "place-stone", "form", "cover", "tie", "set", "pour"]
LessonKey = Annotated[str, Field(pattern=r"^[a-z-]{2,24}$")]


class HoursWorked(Model):
    """Hours that a task took: of hands, added; of the pour, of the whole crew."""

    task: TaskKey
    worked_h: Annotated[Number, Field(gt=0, le=5000)]
    at: When
    by: Who = ""


class LeftOver(Model):
    """Concrete that was left, or none. where: in drum and chute, or on site after the forms were full."""

    m3: Volume
    where: Literal["drum", "site"] = "drum"
    at: When
    by: Who = ""


class LessonMiddle(Model):
    """A middle with its spread, and how many jobs stand behind it. along: what goes along with it, by lesson."""

    mean: Number
    sd: Annotated[Number, Field(gt=0)]
    jobs: Annotated[Number, Field(gt=0)]
    along: Annotated[dict[str, Number], Field(max_length=8, default_factory=dict)]


class LessonSaid(Model):
    """A lesson that was taken into the crew's ways, or left. old, new: of the ways, where it was taken."""

    key: LessonKey
    taken: StrictBool
    reason: Note = ""
    old: LessonMiddle | None = None
    new: LessonMiddle | None = None
    at: When
    by: Who = ""

    @model_validator(mode="after")
    def _with_its_middles(self) -> Self:
        if self.taken and (self.old is None or self.new is None):
            raise ValueError("new: what is taken needs its old and its new middle.")
        return self


LESSON_RECORDS_OF: frozenset[type[Model]] = frozenset((HoursWorked, LeftOver, LessonSaid))
