"""Lessons under the fixed names of `figure --json`."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Self

from humble_trowel.core.lessons.lessons import Lesson
from humble_trowel.core.report import Report


class MiddleReport(Report):
    """A middle and its spread, in the unit of the ways; of the natural logarithm for pace, set clock and rates."""

    mean: float
    sd: float


class LessonReport(Report):
    """What a job teaches. seen, new: null where it teaches nothing. state: open, taken, left or nothing."""

    key: str
    name: str
    old: MiddleReport
    seen: MiddleReport | None
    new: MiddleReport | None
    state: str
    why: str

    @classmethod
    def of(cls, lessons: Sequence[Lesson]) -> list[Self]:
        """All of them."""

        def middle(one: object) -> MiddleReport | None:
            return None if one is None else MiddleReport.model_validate(one)

        return [
            cls(
                key=one.kind.key, name=one.kind.name, old=MiddleReport.model_validate(one.old), seen=middle(one.evidence.seen), new=middle(one.new),
                state=one.state, why=one.evidence.why,
            )
            for one in lessons
        ]  # fmt: skip
