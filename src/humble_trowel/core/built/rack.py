"""Boards that go back to the rack once the forms are off: as long as they were cut, and what was left of each; what was taken from it is gone."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from humble_trowel.core.built.records import RackRow
from humble_trowel.core.errors import InputError
from humble_trowel.core.forms.cut_boards import CutBoard
from humble_trowel.core.plan.form_ways import OnHand
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.units import Units, say_length

EVEN_MM = 1.0
MOST_ROWS = 60


@dataclass(frozen=True)
class Rack:
    """out: boards that were taken from the rack for this job; back: what comes back. short: ends too short to keep."""

    out: list[RackRow]
    back: list[RackRow]
    short: int


def back_to_rack(boards: Sequence[CutBoard], least_mm: float) -> Rack:
    """least_mm: shorter pieces are not kept."""
    out: Counter[tuple[str, float]] = Counter()
    back: Counter[tuple[str, float]] = Counter()
    short = 0
    for board in boards:
        if board.on_hand:
            out[(board.mark, round(board.mm, 1))] += 1
        for mm in [*(piece.mm for piece in board.pieces), board.left_mm]:
            if mm >= least_mm:
                back[(board.mark, round(mm, 1))] += 1
            elif mm > EVEN_MM:
                short += 1
    return Rack(_rows(out), _rows(back), short)


def _rows(found: Counter[tuple[str, float]]) -> list[RackRow]:
    ordered = sorted(found.items(), key=lambda row: (row[0][0], -row[0][1]))
    return [RackRow(board=board, length_mm=mm, count=count) for (board, mm), count in ordered]


def with_boards(crew: Ways, add: Sequence[RackRow], take: Sequence[RackRow], *, strict: bool = False) -> Ways:
    """The crew's ways with boards put on the rack and taken from it. strict: raise InputError where one to take is not there any more."""
    here = Counter({(row.board, round(row.length_mm, 1)): row.count for row in _together(crew.forms.on_hand)})
    for row in take:
        key = (row.board, round(row.length_mm, 1))
        if strict and here[key] < row.count:
            raise InputError(
                f"{row.board}s of that length left the rack meanwhile. Set the rack right in Ways.", "rack"
            )
        here[key] = max(0, here[key] - row.count)
    for row in add:
        here[(row.board, round(row.length_mm, 1))] += row.count
    rows = [OnHand(board=board, length_mm=mm, count=min(500, count)) for (board, mm), count in here.items() if count]
    if len(rows) > MOST_ROWS:
        raise InputError(f"The rack holds {MOST_ROWS} different lengths at most. Clear some in Ways first.", "rack")
    return crew.model_copy(update={"forms": crew.forms.model_copy(update={"on_hand": rows})})


def _together(rows: Iterable[OnHand]) -> list[OnHand]:
    """Rows of one board and length as one."""
    found: Counter[tuple[str, float]] = Counter()
    for row in rows:
        found[(row.board, round(row.length_mm, 1))] += row.count
    return [OnHand(board=board, length_mm=mm, count=count) for (board, mm), count in found.items()]


def row_text(row: RackRow, units: Units) -> str:
    """'3 of 2x10, 11′ 4″'."""
    return f"{row.count} of {row.board}, {say_length(row.length_mm, units)}"
