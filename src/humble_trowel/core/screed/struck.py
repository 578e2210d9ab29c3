"""Pads against what was written down of them: what the rod should read, what it read, what to do. Lengths mm."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import say_reading
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.screed.pads import Pad, PadRun, pads_once
from humble_trowel.core.screed.records import PadSet
from humble_trowel.core.units import say_depth

NEAR_MM = 30.0
ON_MM = 0.8  # half a sixteenth
STEPS = 6
PadState = Literal["open", "set", "off"]


@dataclass(frozen=True)
class PadDone:
    """A pad. should_mm: what the rod reads on it when it is right, None without a laser. off_mm: over the floor, None where it was
    struck by string."""

    pad: Pad
    state: PadState
    should_mm: float | None
    reading_mm: float | None
    off_mm: float | None


def verdict(off_mm: float, high_mm: float) -> tuple[str, bool]:
    """(what a pad is, in words to act on; whether it may stay). Wet pads are left a hair high; low is never right."""
    if abs(off_mm) <= ON_MM:
        return "on", True
    if off_mm < 0:
        return f"{_size(off_mm)} low, add", False
    if off_mm <= high_mm + ON_MM:
        return "a hair high", True
    return f"{_size(off_mm)} high, knock it down", False


def _size(mm: float) -> str:
    return say_depth(abs(mm), "ft-in")


def say_verdict(off_mm: float, high_mm: float, reads: RodReads) -> tuple[str, bool]:
    """The same in the units that the rod is read in."""
    words, right = verdict(off_mm, high_mm)
    if reads == "mm":
        words = words.replace(_size(off_mm), say_depth(abs(off_mm), "mm"))
    return words, right


def struck(
    runs: Sequence[PadRun], stands: Sequence[Stand], records: Sequence[PadSet], high_mm: float
) -> tuple[list[PadDone], list[PadSet]]:
    """(every pad with the newest record of it, records of pads that are not there any more). Read with the last set-up."""
    last = stands[-1] if stands else None
    heights = {row.id: row.instrument_mm for row in stands}
    left: dict[tuple[str, float], PadSet] = {}
    for said in records:
        old = next((key for key in left if key[0] == said.of and abs(key[1] - said.at_mm) <= NEAR_MM), None)
        if old is not None:
            del left[old]
        left[(said.of, said.at_mm)] = said
    done = []
    for pad in pads_once(runs):
        key = next((key for key in left if key[0] == pad.of and abs(key[1] - pad.at_mm) <= NEAR_MM), None)
        row = left.pop(key) if key else None
        should = last.instrument_mm - pad.level_mm if last else None
        done.append(_done(pad, row, should, heights, high_mm))
    return done, list(left.values())


def _done(pad: Pad, row: PadSet | None, should: float | None, heights: dict[str, float], high_mm: float) -> PadDone:
    if row is None:
        return PadDone(pad, "open", should, None, None)
    height = heights.get(row.setup or "")
    if row.reading_mm is None or height is None:
        return PadDone(pad, "set", should, row.reading_mm, None)
    off = height - row.reading_mm - pad.level_mm
    return PadDone(pad, "set" if verdict(off, high_mm)[1] else "off", should, row.reading_mm, off)


@dataclass(frozen=True)
class RodStep:
    """A mark of the rod near the right one: what it reads, and what a pad is that reads so."""

    reading_mm: float
    text: str
    words: str
    right: bool


def rod_steps(should_mm: float, high_mm: float, reads: RodReads) -> list[RodStep]:
    """Marks from the highest pad to the lowest, a sixteenth of an inch or 2 mm apart, from a whole one."""
    step = 2.0 if reads == "mm" else 3.048 if reads == "tenths" else 25.4 / 16
    nearest = round(should_mm / step) * step
    rows = []
    for i in range(-STEPS, STEPS + 1):
        reading = nearest + i * step
        words, right = say_verdict(should_mm - reading, high_mm, reads)
        rows.append(RodStep(reading, say_reading(reading, reads), words, right))
    return rows
