"""What screens show of the lessons. Numbers in the unit that is shown; *_text: as crews say it."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY


@dataclass(frozen=True)
class SpreadNow:
    """A middle and its spread, for a line between two feet."""

    mean: float
    sd: float
    text: str
    sd_text: str


@dataclass(frozen=True)
class LessonNow:
    """A lesson. group: volume (all on one tape), own (a tape of its own, from low to high) or rate. state: open, taken, left or nothing. at: where its concrete
    went. worth: it is worth a press."""

    key: str
    letter: str
    name: str
    group: str
    unit: str
    old: SpreadNow
    seen: SpreadNow | None
    new: SpreadNow | None
    low: float
    high: float
    why: str
    odd: bool
    worth: bool
    state: str
    reason: str
    by: str
    record: str
    at: XY | None


@dataclass(frozen=True)
class WentNow:
    """Where the concrete went, in the job's unit. None where nobody knows."""

    unit: str
    drawn: float
    allowed: SpreadNow
    placed: float | None
    came: float | None
    ordered: float
    words: str
    low: float
    high: float


@dataclass(frozen=True)
class MoneyNow:
    """A row of money. over_text: over or under the quote, '' where nothing moved it."""

    key: str
    name: str
    text: str
    over_text: str
    known: bool


@dataclass(frozen=True)
class HoursNow:
    """Hours of a task. quoted_text: as quoted; took_text: as written down, '' where nobody did; records: that say so."""

    task: str
    name: str
    quoted_text: str
    took_text: str
    records: list[str]


@dataclass(frozen=True)
class NextNow:
    """The order of a next job like it. was: as the ways stood before any lesson was taken; now: as they stand; would: with all that is worth taking."""

    was_text: str
    now_text: str
    would_text: str
    over_text: str
    unit: str


@dataclass(frozen=True)
class LessonsTold:
    """All of it. left: records of what was left over, with their words."""

    verdict: str
    under: str
    lessons: list[LessonNow]
    went: WentNow | None
    money: list[MoneyNow]
    kept_text: str
    hours: list[HoursNow]
    left: list[tuple[str, str]]
    next: NextNow | None
    taken: int
    open: int
