"""Straight and level: string gaps and rod readings at stakes into "in / out by" and "up / down by"."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY, sides_mm
from humble_trowel.core.lines.records import FormLevels, StakeReading, StringGaps
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.refs import by_place
from humble_trowel.core.units import Units, round_half_away, say_depth, say_length

GAP_MOST_MM = 500.0
ROD_MOST_MM = 8000.0


@dataclass(frozen=True)
class StakeMove:
    """At a stake: off_mm is how far the board must go (out or up is positive). words: the act, or that it is right."""

    at_mm: float
    at_text: str
    off_mm: float
    words: str
    inside: bool


@dataclass(frozen=True)
class SideChecked:
    """One side's readings, along the side; worst: the acts, the largest first. exaggerate: times too far, drawn."""

    side: int
    name: str
    kind: Literal["straight", "level"]
    verdict: str
    moves: list[StakeMove]
    worst: list[str]
    spread_mm: float
    exaggerate: int
    length_mm: float


def straight(plan: Plan, gaps: StringGaps, tolerance_mm: float) -> SideChecked:
    """String on equal blocks: a gap over the block means that the board must come to the string. Raises InputError."""
    gaps = by_place(gaps, plan)
    length, name = _side(plan, gaps.side)
    _stations(gaps.readings, length, plan.units, GAP_MOST_MM)
    sign = 1.0 if gaps.string == "outside" else -1.0
    moves = [
        _move(row, sign * (row.mm - gaps.block_mm), ("out", "in"), tolerance_mm, plan.units) for row in gaps.readings
    ]
    return _checked(gaps.side, name, "straight", moves, length, plan.units, tolerance_mm)


def level(plan: Plan, levels: FormLevels, tolerance_mm: float) -> SideChecked:
    """Rod readings on the form's top: a longer reading than wanted is low and must come up. Raises InputError."""
    levels = by_place(levels, plan)
    length, name = _side(plan, levels.side)
    _stations(levels.readings, length, plan.units, ROD_MOST_MM)
    if not 0 < levels.want_mm <= ROD_MOST_MM:
        raise InputError("Which reading is right? Give it, like 4' 2 1/2\".", "want_mm")
    moves = [_move(row, row.mm - levels.want_mm, ("up", "down"), tolerance_mm, plan.units) for row in levels.readings]
    return _checked(levels.side, name, "level", moves, length, plan.units, tolerance_mm)


def _side(plan: Plan, side: int) -> tuple[float, str]:
    ring: Sequence[XY] = list(plan.outline or [])
    if side >= len(ring):
        raise InputError(f"There is no side {side}; the outline has {len(ring)}.", "side")
    return sides_mm(ring)[side], side_name(side, len(ring))


def _stations(readings: Sequence[StakeReading], length: float, units: Units, most: float) -> None:
    for row, reading in enumerate(readings):
        if reading.at_mm > length + 50:
            words = f"The side is {say_length(length, units)} long; a stake at {say_length(reading.at_mm, units)} is past it."
            raise InputError(words, f"readings[{row}].at_mm")
        if reading.mm > most:
            raise InputError(f"{say_length(reading.mm, units)} is no such reading.", f"readings[{row}].mm")


def _move(row: StakeReading, off: float, words: tuple[str, str], tolerance: float, units: Units) -> StakeMove:
    step = 1.0 if units == "mm" else 25.4 / 16
    steps = round_half_away(off / step)
    at = say_length(row.at_mm, units)
    inside = abs(off) <= tolerance + 1e-9
    if not steps:
        said = f"At {at}: right."
    elif inside:
        said = f"At {at}: {say_depth(abs(steps) * step, units)} {words[0] if off > 0 else words[1]}, inside tolerance."
    else:
        said = f"At {at}: {words[0] if off > 0 else words[1]} {say_depth(abs(steps) * step, units)}."
    return StakeMove(row.at_mm, at, off, said, inside)


def _checked(
    side: int,
    name: str,
    kind: Literal["straight", "level"],
    moves: list[StakeMove],
    length: float,
    units: Units,
    tolerance: float,
) -> SideChecked:
    worst = sorted((move for move in moves if not move.inside), key=lambda move: -abs(move.off_mm))
    most = max(abs(move.off_mm) for move in moves)
    spread = max(move.off_mm for move in moves) - min(move.off_mm for move in moves)
    near = say_depth(tolerance, units)
    verdict = (
        f"{name} is {kind}, inside {near}." if not worst else f"{name}: {len(worst)} of {len(moves)} stakes to move."
    )
    times = max(1, min(200, math.floor(length * 0.06 / most))) if most > 0.5 else 1
    return SideChecked(
        side, name, kind, verdict, sorted(moves, key=lambda m: m.at_mm), [m.words for m in worst], spread, times, length
    )
