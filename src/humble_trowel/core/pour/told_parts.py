"""What screens show of the day of the pour, part by part. Minutes after the first truck should stand there; *_text: on the clock, or as crews say it."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.finish_parts import CutNow, SunTold, ZoneNow
from humble_trowel.core.pour.left_parts import LeftTold


@dataclass(frozen=True)
class ReasonTold:
    """Why an act cannot be done, and what follows."""

    key: str
    words: str
    follows: str


@dataclass(frozen=True)
class ActTold:
    """An act. done: the press that says so. late_min: since it was due, less than nothing before. says: the record that says it done: ticket, front,
    gauge, load_called, or '' for its own. was_text: as it was before it was put off. to: who does it, '' where nobody said."""

    key: str
    kind: str
    title: str
    at_min: float
    at_text: str
    late_min: float
    why: str
    done: str
    waits: bool
    cost: str
    caution: str
    says: str
    of: str
    spots: list[XY]
    parts: list[str]
    state: str
    was_text: str
    said_text: str
    by: str
    reason: str
    record: str
    to: str
    reasons: list[ReasonTold]


@dataclass(frozen=True)
class StripNow:
    """A part of the floor. full_share: of it; wet: that of it which is full, even-odd. left_text: what it still takes."""

    id: str
    n: int
    name: str
    rings: list[list[XY]]
    at: XY
    way: XY
    full_share: float
    wet: list[list[XY]]
    full: bool
    start_text: str
    full_text: str
    full_min: float | None
    left_text: str


@dataclass(frozen=True)
class FrontTold:
    """A word of the front. lines: where it stood; should: where it should have stood with what was placed. counts: it still does."""

    record: str
    at_min: float
    at_text: str
    by: str
    truck: int
    words: str
    lines: list[list[XY]]
    should: list[list[XY]]
    counts: bool
    back: bool


@dataclass(frozen=True)
class LoadDoubtTold:
    """A doubt about a load: the rule, and whose decision it is."""

    code: str
    words: str
    decides: str
    remedy: str
    rule: str
    send_back: bool
    other: str


@dataclass(frozen=True)
class TruckNow:
    """A load on its string. load: '' while none is known of it. age_min: now, or when its last was out. free_min: left, less than nothing is charged."""

    n: int
    load: str
    m3: float
    text: str
    said: bool
    held: bool
    here: bool
    empty: bool
    batch_min: float
    arrive_min: float
    unload_min: float
    end_min: float
    arrive_text: str
    batch_text: str
    end_text: str
    batch_guessed: bool
    age_min: float
    limit_min: float
    free_min: float
    charge_text: str
    number: str
    by: str
    tests: list[str]
    struck: list[str]
    photo: str
    doubts: list[LoadDoubtTold]


@dataclass(frozen=True)
class SentBack:
    """A load that went back, and why."""

    load: str
    arrive_text: str
    text: str
    why: str
    number: str


@dataclass(frozen=True)
class StopTold:
    """Where the pour may stop. to_it_text: still to be placed up to it; rest_text: for another day."""

    line: tuple[XY, XY]
    name: str
    drawn: bool
    length_text: str
    dowels: int
    to_it_text: str
    rest_text: str
    rest_m3: float


@dataclass(frozen=True)
class TroubleTold:
    """A kind of trouble with its plan. since_text: '' where there is none of it."""

    key: str
    name: str
    acts: list[str]
    caution: str
    decides: str
    since_text: str
    record: str
    words: str
    by: str
    stops: bool


@dataclass(frozen=True)
class AfterRow:
    """A line of the day."""

    at_min: float
    at_text: str
    words: str
    by: str
    kind: str
    record: str


@dataclass(frozen=True)
class AfterTold:
    """The day on one page. short: placed over ordered, where it ran out. records: of every word, also of those that share a row."""

    done: bool
    ordered_text: str
    placed_text: str
    left_over_text: str
    trucks: int
    first_text: str
    last_text: str
    charge_text: str
    weather: str
    people: list[str]
    rows: list[AfterRow]
    records: list[str]


@dataclass(frozen=True)
class PourTold:
    """All of it at a minute. crew: who said something so far, or was given something."""

    now_min: float
    now_text: str
    now_at: str
    start_at: str
    day: str
    late_text: str
    acts: list[ActTold]
    past: list[ActTold]
    strips: list[StripNow]
    fronts: list[FrontTold]
    trucks: list[TruckNow]
    sent_back: list[SentBack]
    left: LeftTold
    zones: list[ZoneNow]
    cuts: list[CutNow]
    sun: SunTold | None
    crew: list[str]
    trouble: list[TroubleTold]
    stops: list[StopTold]
    after: AfterTold
    gauge: list[tuple[float, str, str]]
    gauged: bool
    mix_text: str
    ring: str
    phone: str
