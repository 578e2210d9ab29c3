"""Joints that are sawn, one by one: between when, in which zones, and which are done. Minutes after the first truck should stand there; mm."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.act_list import Sets
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.records import Sawn


@dataclass(frozen=True)
class CutLine:
    """A joint of the plan that is sawn."""

    id: str
    start: XY
    end: XY


@dataclass(frozen=True)
class Cut:
    """A joint on its day. zones: names of those that it runs through. from_min: the latest of them can be sawn; until_min: the first of them cracks.
    sawn_min: None while nobody said so. record: of the word."""

    line: CutLine
    length_mm: float
    zones: tuple[str, ...]
    from_min: float | None
    until_min: float | None
    sawn_min: float | None
    cracked: bool
    by: str
    record: str


def cuts_of(
    clock: PourClock, lines: Sequence[CutLine], sets: Sequence[Sets], said: Sequence[tuple[str, Sawn]]
) -> list[Cut]:
    """Every one, those that can be sawn first at the head, those that are done at the foot. said: in any order; the newest word counts."""
    words: dict[str, tuple[str, Sawn]] = {}
    for record, one in sorted(said, key=lambda row: (clock.minute(row[1].at), row[0])):
        words[one.joint] = (record, one)
    rows = [_cut(clock, line, [row for row in sets if line.id in row.cuts], words.get(line.id)) for line in lines]
    return sorted(
        rows,
        key=lambda one: (one.sawn_min is not None, one.from_min if one.from_min is not None else math.inf, one.line.id),
    )


def _cut(clock: PourClock, line: CutLine, own: Sequence[Sets], word: tuple[str, Sawn] | None) -> Cut:
    opens = [one.saw_min for one in own if one.saw_min is not None]
    shuts = [one.saw_until_min for one in own if one.saw_until_min is not None]
    known = bool(own) and len(opens) == len(own)
    record, said = word if word is not None else ("", None)
    return Cut(
        line, math.dist(line.start, line.end), tuple(one.name for one in own), max(opens) if known else None, min(shuts, default=None),
        clock.minute(said.at) if said else None, bool(said and said.cracked), said.by if said else "", record,
    )  # fmt: skip


def done_in(cuts: Sequence[Cut], zone: Sets) -> bool:
    """Every joint of a zone is sawn, or cracked."""
    own = [one for one in cuts if one.line.id in zone.cuts]
    return bool(own) and all(one.sawn_min is not None for one in own)
