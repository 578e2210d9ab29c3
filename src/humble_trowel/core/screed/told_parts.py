"""What screens show of strips, part by part. Lengths mm, times minutes from the first load."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.screed.struck import RodStep


@dataclass(frozen=True)
class SideTold:
    """What a board rides on at one side. kind: for its drawing; words; on_mm: how much of the board lies there."""

    kind: str
    words: str
    letter: str
    on_mm: float


@dataclass(frozen=True)
class Remedy:
    """What one press does: a line across the strip."""

    words: str
    ends: tuple[XY, XY]


@dataclass(frozen=True)
class StripTold:
    """A strip. at: for its number; board: its two ends in the middle of the pull; short_text: '' where the board reaches."""

    id: str
    n: int
    named: bool
    name: str
    ring: list[XY]
    at: XY
    way: XY
    toward: str
    pulls: bool
    wide_mm: float
    wide_text: str
    needed_mm: float
    needed_text: str
    board_mm: float
    board_text: str
    vibrates: bool
    board: list[XY]
    short_mm: float
    short_text: str
    left: SideTold
    right: SideTold
    start_min: float
    end_min: float
    start_text: str
    hand: list[str]
    m3: float
    wrong: list[str]
    remedy: Remedy | None
    own_board: bool
    own_way: bool


@dataclass(frozen=True)
class PadTold:
    """A pad. should_text: what the rod reads when it is right, '' without a laser; steps: of the rod round it."""

    key: str
    of: str
    at_mm: float
    name: str
    spot: XY
    level_text: str
    place: str
    state: str
    should_mm: float | None
    should_text: str
    read_text: str
    off_text: str
    steps: list[RodStep]


@dataclass(frozen=True)
class RunTold:
    """A line of pads. drawn: somebody laid it; else two falls meet there. out_by: when a rail, stakes or pegs are out, '' for none."""

    key: str
    letter: str
    start: XY
    end: XY
    drawn: bool
    rides: str
    own_rides: bool
    length_text: str
    chalk: str
    out_by: str


@dataclass(frozen=True)
class StandTold:
    """Where a truck stands, and how far concrete goes from there."""

    id: str
    at: XY
    brings: str
    reach_mm: float
    reach_text: str
    place: str


@dataclass(frozen=True)
class BoardTold:
    """A board on the truck."""

    mm: float
    text: str
    vibrates: bool


@dataclass(frozen=True)
class FormTold:
    """A form that is left out. strip: it goes back before that one, at start_text."""

    side: str
    strip: int
    start_text: str


@dataclass(frozen=True)
class ScreedTold:
    """All of it. clock: whether times are of the day; times: of every minute from the first load. oldest_min: the oldest edge that a neighbour meets; limit_min: may be so old."""

    strips: list[StripTold]
    runs: list[RunTold]
    pads: list[PadTold]
    stands: list[StandTold]
    boards: list[BoardTold]
    forms: list[FormTold]
    clock: bool
    times: list[str]
    start_text: str
    end_text: str
    end_min: float
    edges_min: float
    oldest_min: float
    limit_min: float
    trapped: bool
    unreached: int
    laser: str
    setup: str
