"""What screens show of the cure. Hours on the clock of the pour's day; *_text: as crews say it."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.finish_parts import CutNow


@dataclass(frozen=True)
class EventNow:
    """What may be done from when on: earliest, likely, latest. text: both ends; late_text: the late one with its day; passed: the late end is over. rule: from which strength, and who says so."""

    key: str
    name: str
    low_h: float | None
    at_h: float | None
    high_h: float | None
    text: str
    late_text: str
    passed: bool
    mpa_text: str
    rule: str


@dataclass(frozen=True)
class ZoneCure:
    """A zone. temp_text: now; by: who read it, or the model. ribbon: (hour, low, likely, high), shares of what it is specified to have. model_h: hours that
    nobody read, between others that were. other_text: when it may be built on by degree hours alone."""

    zone: str
    name: str
    at: XY
    thick_text: str
    what: str
    cover_text: str
    temp_text: str
    by: str
    read: bool
    strength_text: str
    events: list[EventNow]
    ribbon: list[tuple[float, float, float, float]]
    read_h: list[tuple[float, float]]
    froze_text: str
    build_text: str
    other_text: str
    why: list[str]


@dataclass(frozen=True)
class RoundNow:
    """A round with water."""

    key: str
    at_h: float
    at_text: str
    day_text: str
    to: str
    state: str
    done_text: str
    by: str
    record: str
    rate_text: str
    note: str


@dataclass(frozen=True)
class AlarmNow:
    """Cold or heat. gain: what a blanket brings, '' where nobody worked it out. by_h: it must lie by then."""

    kind: str
    from_h: float
    until_h: float
    title: str
    rule: str
    remedy: str
    gain: str
    by_text: str
    zones: list[str]


@dataclass(frozen=True)
class SideNow:
    """The boards of a side. state: soon, open, off."""

    side: str
    name: str
    boards: str
    from_text: str
    state: str
    done_text: str
    by: str
    record: str
    line: tuple[XY, XY]


@dataclass(frozen=True)
class CylinderNow:
    """A cylinder that was broken, against what the curve said."""

    record: str
    number: str
    when_text: str
    text: str
    curve_text: str
    kept: str


@dataclass(frozen=True)
class SpotNow:
    """A shot on the finished slab."""

    record: str
    spot: XY
    text: str
    over: bool
    mend: str


@dataclass(frozen=True)
class LevelsNow:
    """The level round. gap: (from, to, third) of the worst gap."""

    spots: list[SpotNow]
    worst_text: str
    nine_text: str
    flat: str
    flat_rule: str
    mend_text: str
    cost_text: str
    gap: tuple[XY, XY, XY] | None


@dataclass(frozen=True)
class SchoolNow:
    """A way to cure it. says: what stain, floor finish and frost say of it now."""

    key: str
    words: list[str]


@dataclass(frozen=True)
class CureTold:
    """All of it at an hour. was_text: as it was planned, where it moved; why_text: what moved it. from_h, until_h: of the tape, rest_h: where it breaks to."""

    now_h: float
    now_text: str
    now_at: str
    age_text: str
    verdict: str
    was_text: str
    why_text: str
    zones: list[ZoneCure]
    placed_h: float
    set_h: float
    rounds: list[RoundNow]
    rounds_left: int
    drying: list[tuple[float, float]]
    drying_text: str
    alarms: list[AlarmNow]
    cover: str
    schools: list[SchoolNow]
    litres_text: str
    cylinders: list[CylinderNow]
    reached_text: str
    cuts: list[CutNow]
    sides: list[SideNow]
    levels: LevelsNow
    crew: list[str]
    days: list[tuple[float, str]]
    nights: list[tuple[float, float, str]]
