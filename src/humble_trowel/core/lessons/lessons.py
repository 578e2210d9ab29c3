"""The lessons of a job: each middle of the crew's ways as it was, as this job says, as it would be."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from humble_trowel.core.errors import InputError
from humble_trowel.core.lessons.joint import JOINT, learnt_together
from humble_trowel.core.lessons.kinds import (
    KIND_OF_LESSON,
    LESSON_KINDS,
    LessonKind,
    kept_by,
    middle_of,
    same_middle,
    with_middle,
)
from humble_trowel.core.lessons.records import LessonMiddle, LessonSaid
from humble_trowel.core.lessons.seen import Evidence, JobFacts, evidence_of, told_together
from humble_trowel.core.lessons.update import Middle, Moved, learnt
from humble_trowel.core.plan.ways import Ways

WORTH_SD = 0.25  # a middle that moves by so much of its spread is worth taking
WORTH_NARROW = 0.85
NONE_HERE = "There is none on this job."


@dataclass(frozen=True)
class Lesson:
    """new: None where the job says nothing of it. odd: it moves no farther than its own spread. said: what somebody made of it, with the id of that record."""

    kind: LessonKind
    evidence: Evidence
    old: Middle
    new: Middle | None
    odd: bool
    said: LessonSaid | None
    record: str

    @property
    def worth(self) -> bool:
        """Whether it moves the middle, or narrows the spread, by enough to be worth a press."""
        if self.new is None:
            return False
        moved = abs(self.new.mean - self.old.mean) > WORTH_SD * self.old.sd
        return moved or self.new.sd < WORTH_NARROW * self.old.sd

    @property
    def state(self) -> str:
        """taken, left, open, or nothing where it learns nothing."""
        if self.said is not None:
            return "taken" if self.said.taken else "left"
        return "open" if self.new is not None else "nothing"


def lessons_of(facts: JobFacts, crew: Ways, said: Mapping[str, tuple[str, LessonSaid]]) -> list[Lesson]:
    """Every lesson that concerns this job. crew: the ways as they are now; said: the newest word of each lesson, by its key."""
    rows = []
    evidences = {kind.key: evidence_of(kind, facts) for kind in LESSON_KINDS}
    together = _together(facts, crew, evidences, said)
    for kind in LESSON_KINDS:
        evidence = evidences[kind.key]
        record, word = said.get(kind.key, ("", None))
        if evidence.seen is None and evidence.why == NONE_HERE and word is None:
            continue
        if word is not None and word.taken and word.old is not None and word.new is not None:
            rows.append(Lesson(kind, evidence, middle_said(word.old), middle_said(word.new), False, word, record))
            continue
        old = middle_of(kind, crew)
        moved = together.get(kind.key) or (learnt(old, evidence.seen) if evidence.seen is not None else None)
        rows.append(Lesson(kind, evidence, old, kept_by(kind, moved.new) if moved else None, bool(moved and moved.odd), word, record))  # fmt: skip
    return rows


def _together(
    facts: JobFacts, crew: Ways, evidences: Mapping[str, Evidence], said: Mapping[str, tuple[str, LessonSaid]]
) -> dict[str, Moved]:
    """Base, trench and tickets after the job, as the pour tells of them together. One that was taken from this job already counts as it was before it."""
    told = told_together(facts)
    seen = {key: one.seen for key, one in evidences.items() if key in JOINT and one.seen is not None}
    if told is None or not seen:
        return {}
    olds = {}
    for key in JOINT:
        word = said.get(key)
        taken_old = word[1].old if word is not None and word[1].taken else None
        olds[key] = middle_said(taken_old) if taken_old is not None else middle_of(KIND_OF_LESSON[key], crew)
    return learnt_together(olds, told, seen)


def middle_said(one: LessonMiddle) -> Middle:
    """A middle as a record has it."""
    return Middle(one.mean, one.sd, one.jobs, one.along)


def taken(lessons: list[Lesson], key: str, crew: Ways, reason: str, at: str, by: str) -> tuple[Ways, LessonSaid]:
    """The crew's ways with a lesson in them, and the word of it. Raises InputError where there is nothing to take, or it was taken."""
    one = _found(lessons, key)
    if one.state == "taken":
        raise InputError("That lesson is in the ways already.", "key")
    if one.new is None:
        raise InputError(one.evidence.why, "key")
    word = LessonSaid(key=key, taken=True, reason=reason, old=_said(one.old), new=_said(one.new), at=at, by=by)
    return with_middle(one.kind, crew, one.new), word


def left(lessons: list[Lesson], key: str, reason: str, at: str, by: str) -> LessonSaid:
    """The word that a lesson is left. Raises InputError where it was taken: undo that first."""
    one = _found(lessons, key)
    if one.state == "taken":
        raise InputError("That lesson is in the ways. Undo it first.", "key")
    return LessonSaid(key=key, taken=False, reason=reason, at=at, by=by)


def untaken(lessons: list[Lesson], key: str, crew: Ways) -> Ways:
    """The crew's ways as they were before a lesson was taken. Raises InputError where they have moved since."""
    one = _found(lessons, key)
    if one.said is None:
        raise InputError("Nothing was made of that lesson yet.", "key")
    if not one.said.taken or one.new is None:
        return crew
    if not same_middle(middle_of(one.kind, crew), one.new):
        raise InputError(f"{one.kind.name} has moved since, by another job or by hand in Ways. Undo that first.", "key")
    back = with_middle(one.kind, crew, one.old, figures=17)
    if one.old.jobs == 1.0:  # nobody had taught it before
        back = back.model_copy(update={"learnt": {key: row for key, row in back.learnt.items() if key != one.kind.key}})
    return back


def _found(lessons: list[Lesson], key: str) -> Lesson:
    one = next((row for row in lessons if row.kind.key == key), None)
    if one is None:
        known = key in KIND_OF_LESSON
        raise InputError(NONE_HERE if known else "There is no such lesson.", "key")
    return one


def _said(one: Middle) -> LessonMiddle:
    return LessonMiddle(mean=one.mean, sd=one.sd, jobs=one.jobs, along=dict(one.along))
