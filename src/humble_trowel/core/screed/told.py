"""Strips as screens show them: where each lies, its board on what it rides on, pads with the rod, trucks, times. Lengths mm."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta

from shapely.geometry import Point

from humble_trowel.core.calls.places import place_words
from humble_trowel.core.geometry.chords import chords
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.ground.rod import say_level, say_reading
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.borders import Stretch
from humble_trowel.core.screed.check import chords_of, on_mm
from humble_trowel.core.screed.doubts import PULLED, forms_back, not_reached
from humble_trowel.core.screed.pads import PadRun
from humble_trowel.core.screed.pulls import boards_of, rides_of, rules_of
from humble_trowel.core.screed.strips import StripLaid, StripsLaid
from humble_trowel.core.screed.struck import PadDone, rod_steps, say_verdict
from humble_trowel.core.screed.told_parts import (
    BoardTold,
    FormTold,
    PadTold,
    Remedy,
    RunTold,
    ScreedTold,
    SideTold,
    StandTold,
    StripTold,
)
from humble_trowel.core.units import Units, say_depth, say_length

MOST_MINUTES = 1440
BEARINGS = ("north", "northeast", "east", "southeast", "south", "southwest", "west", "northwest")
RIDES_WORDS = {
    "form": "form", "step": "step board", "slab": "floor that stands there", "wall": "line on the wall", "hip": "pad line",
    "wet": "wet pad", "rail": "rail", "stakes": "pads round stakes", "pegs": "pegs", "edge": "fresh edge",
}  # fmt: skip


@dataclass(frozen=True)
class _Frame:
    """What every strip's words need. clock: of the first load; letters: of pad lines; zones: of strips; unreached: ids."""

    clock: datetime | None
    letters: dict[str, str]
    zones: dict[str, str]
    unreached: set[str]


def screed_told(
    plan: Plan, ways: ScreedWays, laid: StripsLaid, pads: Sequence[PadDone], reads: RodReads, laser: tuple[str, str]
) -> ScreedTold:
    """Everything in words and drawings. laser: (id, name) of the last set-up, empty where none stands."""
    clock = clock_of(plan)
    letters = {run.key: run.letter for run in laid.runs}
    frame = _Frame(clock, letters, zones_at(plan, laid), {row.id for row in not_reached(laid)})
    strips = [_strip(plan, ways, laid, row, frame) for row in laid.strips]
    end = max((row.end_min for row in strips), default=0.0)
    vibrating = {round(mm) for mm in ways.vibrating_mm}
    return ScreedTold(
        strips, [_run(plan, ways, run, laid, clock) for run in (*laid.runs, *_lost(plan, laid))], [_pad(plan, ways, row, reads) for row in pads],
        [
            StandTold(row.row.id, row.row.at, row.brings, row.reach_mm, say_length(row.reach_mm, plan.units), place_words(plan, row.row.at).removeprefix("at "))
            for row in laid.stands
        ],
        [BoardTold(mm, board_words(mm, plan.units), round(mm) in vibrating) for mm in boards_of(ways)],
        [FormTold(side_name(side, len(plan.outline or [])), row.n, time_at(clock, row.strip.start_min)) for side, row in forms_back(plan, laid)],
        clock is not None, [time_at(clock, minute) for minute in range(min(MOST_MINUTES, math.ceil(end)) + 1)], time_at(clock, 0.0), time_at(clock, end), end, laid.edges_min, laid.checked.worst_age_min, ways.limit_min,
        any(fault.code == "TRAP" for fault in laid.checked.faults), len(frame.unreached), laser[1], laser[0],
    )  # fmt: skip


def clock_of(plan: Plan) -> datetime | None:
    """When the first load comes, where the order says it."""
    return datetime.fromisoformat(plan.order.pour_at) if plan.order.pour_at else None


def time_at(clock: datetime | None, minutes: float) -> str:
    """A time of the day, or minutes from the first load."""
    whole = round(minutes)
    if clock is None:
        return f"{whole // 60}:{whole % 60:02d}"
    there = clock + timedelta(minutes=whole)
    return f"{there.hour}:{there.minute:02d}"


def board_words(mm: float, units: Units) -> str:
    """A board by its length, as crews call it: 16, or 4.5 m."""
    if units == "mm":
        return f"{round(mm / 1000, 2):g} m"
    feet = mm / 304.8
    return f"{feet:.0f}" if abs(feet - round(feet)) < 0.01 else say_length(mm, units)


def _strip(plan: Plan, ways: ScreedWays, laid: StripsLaid, row: StripLaid, frame: _Frame) -> StripTold:
    units, rules = plan.units, rules_of(ways)
    short = max(0.0, row.needed_mm - row.board_mm) if row.needed_mm - row.board_mm > 1.0 else 0.0
    lying = chords_of(row.strip, rules)
    wrong = sorted(
        {fault.code for fault in laid.checked.faults if fault.strip == row.id}
        | ({"CHUTE"} if row.id in frame.unreached else set())
    )
    sides = [
        _side(plan, ways, laid, name, stretches, frame.letters)
        for name, stretches in zip(
            row.strip.guides, (row.pull.left, row.pull.right) if row.pull else ((), ()), strict=True
        )
    ]
    x, y = row.strip.way
    return StripTold(
        row.id, row.n, row.named, _name(frame.zones, laid, row), list(row.face.ring), row.face.spot, row.strip.way,
        BEARINGS[round(math.degrees(math.atan2(x, y)) / 45) % 8], row.pull is not None,
        row.pull.wide_mm if row.pull else 0.0, say_length(row.pull.wide_mm, units) if row.pull else "",
        row.needed_mm, say_length(row.needed_mm, units) if row.pull else "", row.board_mm, board_words(row.board_mm, units),
        any(abs(row.board_mm - mm) < 1.0 for mm in ways.vibrating_mm), _board_at(lying, row.board_mm),
        short, say_depth(short, units) if short else "", sides[0], sides[1],
        row.strip.start_min, row.strip.end_min, time_at(frame.clock, row.strip.start_min), row.hand, row.m3, wrong,
        _remedy(plan, row) if short or row.pull is None else None,
        _row_says(plan, row.id, "board_mm"), _row_says(plan, row.id, "toward_deg"),
    )  # fmt: skip


def _row_says(plan: Plan, name: str, key: str) -> bool:
    return any(one.id == name and getattr(one, key) is not None for one in plan.screed.strips)


def _side(
    plan: Plan, ways: ScreedWays, laid: StripsLaid, name: str, stretches: Sequence[Stretch], letters: dict[str, str]
) -> SideTold:
    guide = laid.site.guides.get(name)
    if guide is None or not stretches:
        return SideTold("none", "nothing", "", 0.0)
    longest = max(stretches, key=lambda one: (one.on in ("pad", "hip"), one.length_mm))
    what = longest.on if longest.on != "pad" else "edge" if guide.kind == "edge" else rides_of(plan, ways, longest.key)
    letter = letters.get(longest.key, "")
    return SideTold(
        guide.kind, f"{RIDES_WORDS[what]}{' ' + letter if letter else ''}", letter, on_mm(guide, rules_of(ways))
    )


def _name(zones: dict[str, str], laid: StripsLaid, row: StripLaid) -> str:
    """The zone that it lies in, and which part of it where there are several."""
    spot, zone = row.face.spot, zones[row.id]
    others = [one for one in laid.strips if zones[one.id] == zone]
    if len(others) < 2:
        return zone
    x = sum(one.face.spot[0] for one in others) / len(others)
    y = sum(one.face.spot[1] for one in others) / len(others)
    turn = math.degrees(math.atan2(spot[0] - x, spot[1] - y))
    return f"{zone}, {BEARINGS[round(turn / 90) * 2 % 8]}"


def zones_at(plan: Plan, laid: StripsLaid) -> dict[str, str]:
    """The name of the zone that holds each strip, by its id."""
    cells = lay_zones(plan)
    spots = {row.id: Point(row.face.spot) for row in laid.strips}
    return {
        name: min(cells, key=lambda cell: cell.whole.distance(spot)).name if cells else ""
        for name, spot in spots.items()
    }


def _board_at(lying: Sequence[tuple[XY, XY]], board_mm: float) -> list[XY]:
    """The board at its true length over the widest place near the middle of the pull."""
    if not lying:
        return []
    middle = len(lying) // 2
    a, b = max(lying[max(0, middle - 3) : middle + 4], key=lambda one: math.dist(*one))
    size = math.dist(a, b) or 1.0
    over = (board_mm - size) / 2
    ux, uy = (b[0] - a[0]) / size * over, (b[1] - a[1]) / size * over
    return [(a[0] - ux, a[1] - uy), (b[0] + ux, b[1] + uy)]


def _remedy(plan: Plan, row: StripLaid) -> Remedy | None:
    """A pad line through the middle of a strip, along its pull, at a whole foot or 100 mm."""
    x, y = row.strip.way
    middle = row.face.area.centroid
    grain = 304.8 if plan.units == "ft-in" else 100.0
    off = middle.y * x - middle.x * y
    low = min(b * x - a * y for a, b in row.face.ring)
    off = low + max(grain, round((off - low) / grain) * grain)
    along = middle.x * x + middle.y * y
    rows = chords(row.face.area, (x * along - y * off, y * along + x * off), row.strip.way, 50.0)
    if not rows:
        return None
    ends = max(rows, key=lambda one: math.dist(*one))
    return Remedy(
        f"from {place_words(plan, ends[0]).removeprefix('at ')} to {place_words(plan, ends[1]).removeprefix('at ')}",
        ends,
    )


def _run(plan: Plan, ways: ScreedWays, run: PadRun, laid: StripsLaid, clock: datetime | None) -> RunTold:
    own = next((row for row in plan.screed.pads if row.id == run.key), None)
    rides = rides_of(plan, ways, run.key) if own else "wet"
    ends = [row.strip.end_min for row in laid.strips if any(one.key == run.key for one in row.border)]
    return RunTold(
        run.key, run.letter, run.start, run.end, own is not None, rides,
        bool(own and own.rides), say_length(run.length_mm, plan.units),
        f"{place_words(plan, run.start).removeprefix('at ')} to {place_words(plan, run.end).removeprefix('at ')}", time_at(clock, max(ends)) if rides in PULLED and ends else "",
    )  # fmt: skip


def _lost(plan: Plan, laid: StripsLaid) -> list[PadRun]:
    """Pad lines that lie outside the slab, to be taken out."""
    there = {run.key for run in laid.runs}
    return [PadRun(row.id, "?", row.start, row.end, []) for row in plan.screed.pads if row.id not in there]


def _pad(plan: Plan, ways: ScreedWays, row: PadDone, reads: RodReads) -> PadTold:
    off = "" if row.off_mm is None else say_verdict(row.off_mm, ways.pad_high_mm, reads)[0]
    return PadTold(
        row.pad.key, row.pad.of, row.pad.at_mm, row.pad.name, row.pad.spot, say_level(row.pad.level_mm, plan.units),
        place_words(plan, row.pad.spot).removeprefix("at "), row.state, row.should_mm,
        "" if row.should_mm is None else say_reading(row.should_mm, reads),
        "" if row.reading_mm is None else say_reading(row.reading_mm, reads), off,
        [] if row.should_mm is None else rod_steps(row.should_mm, ways.pad_high_mm, reads),
    )  # fmt: skip
