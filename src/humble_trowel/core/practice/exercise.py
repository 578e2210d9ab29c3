"""An exercise: what is drawn and said, what is asked, and what each answer comes to.

All answers are worked out beforehand, so that a phone out of reach of the program can say what an answer comes to by looking it up. Drawings
are 640 wide and 400 high, y down.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from itertools import count
from typing import Literal

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.sources import SOURCES
from humble_trowel.core.units import Units, format_ordered, format_volume

XY = tuple[float, float]
Level = Literal[1, 2, 3]
WIDE, HIGH = 640, 400
NO, YES = "no", "yes"
MM_PER_FT, MM_PER_IN = 304.8, 25.4

Look = Literal[
    "board", "held", "string", "ghost", "slab", "ground", "steel", "joint", "flag", "thin", "done", "name", "reading", "note", "water"
]  # fmt: skip


@dataclass(frozen=True)
class Shape:
    """kind: a line through points, an area, a word at a point, a size between two points, a dot. id: of the mark that a press on it
    answers or tapes, '' for none. side: which way a word runs from its point."""

    kind: Literal["line", "area", "word", "size", "dot"]
    at: tuple[XY, ...]
    look: Look
    text: str = ""
    id: str = ""
    side: Literal["start", "middle", "end"] = "middle"


@dataclass(frozen=True)
class Option:
    """key: what is kept of it; text: as it reads."""

    key: str
    text: str


@dataclass(frozen=True)
class Ask:
    """What is asked. kind: one of a few; a step along a tape; a mark that is pressed or not; a moment of what is played.
    start: the option that stands there first, '' for none. group: words over asks that belong together."""

    id: str
    label: str
    kind: Literal["one", "steps", "press", "clock"]
    options: tuple[Option, ...]
    start: str = ""
    group: str = ""


@dataclass(frozen=True)
class Outcome:
    """What an answer comes to. lost: in whole units of the exercise, 0 where nothing is. words: what follows of it. shapes: drawn over
    the drawing. off_n: steps beside the right one, along the tape; None where there is no such thing."""

    lost: int
    words: str = ""
    shapes: tuple[Shape, ...] = ()
    off_n: int | None = None


@dataclass(frozen=True)
class Part:
    """What a few asks come to together. table: by the keys of their options, joined by '|'."""

    asks: tuple[str, ...]
    table: Mapping[str, Outcome]


@dataclass(frozen=True)
class Reading:
    """Something that can be taped, shot or looked up: its reading is seen once it is pressed. id: of its shapes too."""

    id: str
    name: str
    text: str


@dataclass(frozen=True)
class Moment:
    """A moment of what is played: what is seen by then."""

    minute_min: float
    words: str
    shapes: tuple[Shape, ...]


@dataclass(frozen=True)
class RuleTold:
    """The one rule that would have helped. name: in the rule book, '' where it stands in none. standing: code, handbook, thumb rule."""

    name: str
    words: str
    standing: str
    source: str


@dataclass(frozen=True)
class Exercise:
    """said: what is lost in all, by its number; many: for more than it has, '{n} ...'. near: up to so much is near. over, under: words for a
    tape's two ends, '' where nothing is along a tape. own: the answer that nothing is lost by. why: how one comes to it."""

    kind: str
    level: Level
    seed: int
    units: Units
    question: str
    lead: tuple[str, ...]
    drawing: tuple[Shape, ...]
    asks: tuple[Ask, ...]
    parts: tuple[Part, ...]
    said: tuple[str, ...]
    many: str
    near: int
    own: Mapping[str, str]
    why: tuple[str, ...]
    rule: RuleTold
    readings: tuple[Reading, ...] = ()
    moments: tuple[Moment, ...] = ()
    under: str = ""
    over: str = ""


@dataclass(frozen=True)
class Marked:
    """What an answer came to."""

    lost: int
    grade: Literal["right", "near", "off"]
    verdict: str
    words: tuple[str, ...]
    off_n: int | None


@dataclass(frozen=True)
class Wish:
    """Which exercise. ways: of the crew, for its prices and tolerances."""

    kind: str
    level: Level
    seed: int
    units: Units
    ways: Ways

    def dice(self, tried: int = 0) -> Dice:
        """The numbers of this exercise. tried: draws that came to nothing before."""
        return Dice(f"{self.kind}/{self.level}/{self.seed}/{self.units}/{tried}")

    @property
    def metric(self) -> bool:
        return self.units == "mm"

    def long(self, feet: float) -> float:
        """A length of about so many feet, whole feet or tenths of a metre, mm."""
        return round(feet * 3.048) * 100.0 if self.metric else feet * MM_PER_FT

    def thin(self, inches: float) -> float:
        """One of about so many inches, mm: to 5 mm in a mm job."""
        return round(inches * MM_PER_IN / 5) * 5.0 if self.metric else inches * MM_PER_IN


def drawn(wish: Wish, make: Callable[[Wish, Dice], Exercise | None]) -> Exercise:
    """The first draw of this seed that makes an exercise: some draws come to nothing that can be answered."""
    for tried in count():
        made = make(wish, wish.dice(tried))
        if made is not None:
            return made
    raise AssertionError


def rule_told(name: str, source: str, words: str = "") -> RuleTold:
    """The rule with where it is from."""
    row = SOURCES[source]
    return RuleTold(name, words or row.words, row.standing, row.edition)


def choices(rows: Sequence[tuple[str, str]]) -> tuple[Option, ...]:
    """Options of (key, text)."""
    return tuple(Option(key, text) for key, text in rows)


def say_m3(m3: float, units: Units) -> str:
    """A volume with its unit: 4.25 yd, 3.20 m³."""
    return f"{format_volume(m3, units)} {'m³' if units == 'mm' else 'yd'}"


def say_load(m3: float, units: Units) -> str:
    """A load as it is said: 4 1/2 yd, 3.5 m³."""
    return f"{format_ordered(m3, units)} {'m³' if units == 'mm' else 'yd'}"


def mark(exercise: Exercise, answer: Mapping[str, str]) -> Marked:
    """What an answer comes to. Raises InputError for an ask that is not answered, or answered by nothing that is there."""
    for ask in exercise.asks:
        given = answer.get(ask.id)
        if given is None:
            raise InputError(f"{ask.label} is not answered.", f"answer.{ask.id}")
        if all(given != option.key for option in ask.options):
            raise InputError(f"“{given}” is no answer to: {ask.label}", f"answer.{ask.id}")
    found = [part.table["|".join(answer[ask] for ask in part.asks)] for part in exercise.parts]
    lost = sum(one.lost for one in found)
    off = next((one.off_n for one in found if one.off_n is not None), None)
    return Marked(
        lost, "right" if lost == 0 else "near" if lost <= exercise.near else "off",
        exercise.said[lost] if lost < len(exercise.said) else exercise.many.format(n=lost),
        tuple(one.words for one in found if one.words), off,
    )  # fmt: skip
