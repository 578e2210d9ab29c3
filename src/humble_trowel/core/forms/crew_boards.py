"""Boards as a crew fetches them: one length a side, the fewest splices, then the least money.

A run that no board reaches is made of equal boards; the last one is cut. What is cut off serves a shorter run only
whole, without a splice. A longer run is taken before a shorter one, boards on hand before bought ones.
"""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, field

from humble_trowel.core.forms.board_plan import BoardPlan
from humble_trowel.core.forms.cover import Buy, Cover, UsedBoard

HAIR_MM = 1e-6


@dataclass
class _Open:
    """A board being used. left_mm: what is still whole at its end."""

    mm: float
    on_hand: bool
    price_cents: int
    pieces: list[tuple[int, float, float]] = field(default_factory=list)
    left_mm: float = 0.0


def plan_by_crew(
    runs_mm: Sequence[float], stock: Sequence[Buy], on_hand_mm: Sequence[float], kerf_mm: float, least_mm: float
) -> BoardPlan | None:
    """Boards and their cuts for all runs, as plan_boards gives them. None where no single length makes some run."""
    have = Counter(on_hand_mm)
    used: list[_Open] = []
    for run in sorted(range(len(runs_mm)), key=lambda at: (-runs_mm[at], at)):
        need = runs_mm[run]
        offcut = min(
            (row for row in used if row.left_mm - kerf_mm >= need - HAIR_MM), key=lambda row: row.left_mm, default=None
        )
        if offcut is not None:
            offcut.pieces.append((run, 0.0, need))
            offcut.left_mm -= need + kerf_mm
            continue
        boards = _one_size(need, stock, have, least_mm)
        if boards is None:
            return None
        _lay(run, need, boards, least_mm)
        used += boards
    rows = [UsedBoard(row.mm, row.on_hand, row.price_cents, tuple(row.pieces)) for row in used]
    bought = [row for row in rows if not row.on_hand]
    total = max(0.0, sum(runs_mm) - sum(on_hand_mm))
    cheapest = Cover(stock, total + 1).cost(total)[0] if stock else 0
    shortest = (
        Cover([Buy(row.mm, round(row.mm * 10)) for row in stock], total + 1).cost(total)[0] / 10 if stock else 0.0
    )
    return BoardPlan(
        boards=sorted(rows, key=lambda b: (not b.on_hand, -b.mm, b.pieces)),
        cost_cents=sum(row.price_cents for row in bought), bound_cents=cheapest,
        bought_mm=sum(row.mm for row in bought), bound_mm=shortest,
        splices=sum(len(row.pieces) for row in rows) - len(runs_mm),
    )  # fmt: skip


def _one_size(need: float, stock: Sequence[Buy], have: Counter[float], least: float) -> list[_Open] | None:
    """Equal boards for a run: fewest, then for the least money, then the shortest. Those on hand come off `have`."""
    price = {row.mm: row.price_cents for row in stock}
    best: tuple[tuple[int, int, float], float, int] | None = None
    for mm in {*price, *(size for size, count in have.items() if count)}:
        count = max(1, math.ceil(need / mm - HAIR_MM))
        own = min(have[mm], count)
        if (own < count and mm not in price) or not _can_be_cut(need, mm, count, least):
            continue
        rank = (count, (count - own) * price.get(mm, 0), mm)
        if best is None or rank < best[0]:
            best = (rank, mm, own)
    if best is None:
        return None
    (count, _, _), mm, own = best
    have[mm] -= own
    return [_Open(mm, at < own, 0 if at < own else price[mm], left_mm=mm) for at in range(count)]


def _can_be_cut(need: float, mm: float, count: int, least: float) -> bool:
    """Whether every piece can be as long as the least one."""
    return count == 1 or need / count >= min(least, need)


def _lay(run: int, need: float, boards: Sequence[_Open], least: float) -> None:
    """Whole boards from the run's start; the last two share the rest so that neither is too short."""
    at = 0.0
    for number, board in enumerate(boards):
        after = len(boards) - number - 1
        piece = min(board.mm, need - at - (least if after == 1 else after * least if after else 0.0))
        board.pieces.append((run, at, piece))
        board.left_mm = max(0.0, board.mm - piece)
        at += piece


def reason_of(found: BoardPlan, run: int, need_mm: float, size_text: str, by_crew: bool) -> str:
    """Why a run is made as it is, in a sentence."""
    pieces = [(board, piece) for board in found.boards for piece in board.pieces if piece[0] == run]
    if len(pieces) == 1:
        board = pieces[0][0]
        if board.pieces[0][0] != run:
            return "Out of an offcut, no splice."
        return "From a board on hand, no splice." if board.on_hand else f"One {size_text}, no splice."
    spliced = f"{len(pieces) - 1} splice{'' if len(pieces) == 2 else 's'}"
    if by_crew:
        return f"{len(pieces)} of {size_text}, one size: no length makes it with fewer than {spliced}."
    return f"{len(pieces)} pieces, {spliced}: least money with a splice counted."
