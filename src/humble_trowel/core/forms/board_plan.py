"""The cut plan of form boards: least purchase cost, then fewest splices.

A run may be spliced anywhere but near its ends, so boards and runs can be laid end to end. Such a chain of r runs
and b boards needs b + r - 1 pieces: fewest splices means parting the runs into as many chains as the cost allows.
Up to ELEVEN runs of one board this is done exactly, by dynamic programming over sets of runs; with boards on hand, one
set of boards is bought at the least cost and parted into chains by first fit. More runs take whole boards first, and the
rests are cut as a list of fixed pieces (whole_boards.py). The cost's bound is that of all runs as one chain without kerf,
which no plan can be under.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations, islice

from humble_trowel.core.forms.cover import Buy, Chain, Cover, UsedBoard
from humble_trowel.core.forms.lay_chain import Laid, lay_chain
from humble_trowel.core.forms.whole_boards import whole_boards_first

ELEVEN = 11
MOST_BUMPS = 40


@dataclass(frozen=True)
class BoardPlan:
    """bound_cents, bound_mm: no plan buys for less, or less length. proven: the cost meets its bound."""

    boards: list[UsedBoard]
    cost_cents: int
    bound_cents: int
    bought_mm: float
    bound_mm: float
    splices: int

    @property
    def proven(self) -> bool:
        return self.cost_cents <= self.bound_cents


def plan_boards(
    runs_mm: Sequence[float], stock: Sequence[Buy], on_hand_mm: Sequence[float], kerf_mm: float, least_mm: float,
    splice_cents: int = 0,
) -> BoardPlan | None:  # fmt: skip
    """Boards and their cuts for all runs. splice_cents: what a splice costs, weighed against board. None where the
    stock cannot make them (nothing to buy)."""
    have = sorted((mm for mm in on_hand_mm if mm >= min(least_mm, *runs_mm)), reverse=True)
    total = sum(runs_mm)
    if not stock and sum(have) < total:
        return None
    room = total + kerf_mm * len(runs_mm) + MOST_BUMPS * least_mm
    real = {row.mm: row.price_cents for row in stock}
    cover = Cover([Buy(row.mm, row.price_cents + splice_cents) for row in stock] or [Buy(max(have), 0)], room)
    bare = Cover(stock, room) if stock else cover
    by_length = Cover([Buy(row.mm, round(row.mm * 10)) for row in stock] or [Buy(1.0, 0)], room)
    chains = None
    if len(runs_mm) <= ELEVEN:
        chains = _exact(runs_mm, cover, kerf_mm, least_mm, splice_cents) if not have else None
        chains = chains or _first_fit(runs_mm, cover, have, kerf_mm, least_mm)
    chains = chains or whole_boards_first(runs_mm, stock, have, kerf_mm, least_mm)
    if chains is None:
        return None
    boards = [
        board if board.on_hand else replace(board, price_cents=real[board.mm]) for chain in chains for board in chain
    ]
    missing = max(0.0, total - sum(have))
    bought = [board for board in boards if not board.on_hand]
    pieces = sum(len(board.pieces) for board in boards)
    return BoardPlan(
        boards=sorted(boards, key=lambda b: (not b.on_hand, -b.mm, b.pieces)),
        cost_cents=sum(real[board.mm] for board in bought),
        bound_cents=bare.cost(missing)[0],
        bought_mm=sum(board.mm for board in bought),
        bound_mm=by_length.cost(missing)[0] / 10,
        splices=pieces - len(runs_mm),
    )


def _exact(runs: Sequence[float], cover: Cover, kerf: float, least: float, splice_cents: int) -> list[Chain] | None:
    """Part the runs into chains: least cost, then fewest pieces, by dynamic programming over sets of runs."""
    n = len(runs)
    length = [0.0] * (1 << n)
    price: list[tuple[int, int]] = [(0, 0)] * (1 << n)
    for mask in range(1, 1 << n):
        low = mask & -mask
        length[mask] = length[mask ^ low] + runs[low.bit_length() - 1] + (kerf if mask != low else 0.0)
        cents, boards = cover.cost(length[mask])
        price[mask] = (cents - splice_cents, boards + mask.bit_count() - 1)
    laid: dict[int, Chain] = {}
    for _ in range(MOST_BUMPS * 4):
        parts = _partition(n, price)
        bad = [mask for mask in parts if mask not in laid and not _try(mask, runs, length, cover, kerf, least, laid)]
        if not bad:
            return [laid[mask] for mask in parts]
        for mask in bad:
            length[mask] += least / 2
            if length[mask] > sum(runs) + kerf * n + (MOST_BUMPS - 2) * least:
                return None
            cents, boards = cover.cost(length[mask])
            price[mask] = (cents - splice_cents, boards + mask.bit_count() - 1)
    return None


def _partition(n: int, price: Sequence[tuple[int, int]]) -> list[int]:
    whole = (1 << n) - 1
    best: list[tuple[int, int, int]] = [(0, 0, 0)] * (whole + 1)
    for mask in range(1, whole + 1):
        low = mask & -mask
        rest = mask ^ low
        sub, found = rest, (10**18, 0, 0)
        while True:
            part = sub | low
            cents, pieces = price[part]
            before = best[mask ^ part]
            total = (before[0] + cents, before[1] + pieces, part)
            if total < found:
                found = total
            if not sub:
                break
            sub = (sub - 1) & rest
        best[mask] = found
    parts, mask = [], whole
    while mask:
        parts.append(best[mask][2])
        mask ^= best[mask][2]
    return parts


def _try(
    mask: int,
    runs: Sequence[float],
    length: Sequence[float],
    cover: Cover,
    kerf: float,
    least: float,
    laid: dict[int, Chain],
) -> bool:
    members = [i for i in range(len(runs)) if mask >> i & 1]
    rows = cover.boards(length[mask])
    found = lay_chain([runs[i] for i in members], [cover.stock[row].mm for row in rows], kerf, least)
    if found is None:
        return False
    laid[mask] = _chain(found, members, [(cover.stock[row].mm, False, cover.stock[row].price_cents) for row in rows])
    return True


def _chain(found: Sequence[Laid], members: Sequence[int], boards: Sequence[tuple[float, bool, int]]) -> Chain:
    rows = []
    for index, (mm, on_hand, price) in enumerate(boards):
        pieces = tuple((members[p.run], p.at_mm, p.mm) for p in found if p.board == index)
        if pieces:
            rows.append(UsedBoard(mm, on_hand, price, pieces))
    return rows


def _first_fit(
    runs: Sequence[float], cover: Cover, have: Sequence[float], kerf: float, least: float
) -> list[Chain] | None:
    """One set of boards at the least cost, parted into chains that waste little; the rest is one last chain."""
    need = sum(runs) + kerf * (len(runs) - 1)
    for bump in range(MOST_BUMPS):
        want = need + bump * least / 2 - sum(have)
        bought = cover.boards(max(0.0, want)) if cover.stock else []
        boards = [
            (mm, True, 0) for mm in _needed(have, need + bump * least / 2 - sum(cover.stock[b].mm for b in bought))
        ]
        boards += [(cover.stock[row].mm, False, cover.stock[row].price_cents) for row in bought]
        chains = _parted(runs, boards, kerf, least)
        if chains is not None:
            return chains
    return None


def _needed(have: Sequence[float], mm: float) -> list[float]:
    """As few boards on hand as reach the length, the longest first."""
    kept: list[float] = []
    for size in have:
        if sum(kept) >= mm:
            break
        kept.append(size)
    return kept


def _parted(
    runs: Sequence[float], boards: Sequence[tuple[float, bool, int]], kerf: float, least: float
) -> list[Chain] | None:
    slack = sum(mm for mm, _, _ in boards) - sum(runs) - kerf * (len(runs) - 1)
    if slack < 0:
        return None
    left_runs, left_boards = list(range(len(runs))), list(range(len(boards)))
    chains: list[Chain] = []
    for some_runs, some_boards in ((1, 1), (2, 1), (1, 2), (3, 1), (2, 2)):
        while (
            found := _small(runs, boards, (left_runs, some_runs), (left_boards, some_boards), kerf, slack)
        ) is not None:
            waste, members, group = found
            laid = lay_chain([runs[i] for i in members], [boards[b][0] for b in group], kerf, least)
            if laid is None:
                break
            slack -= waste
            chains.append(_chain(laid, members, [boards[b] for b in group]))
            left_runs = [i for i in left_runs if i not in members]
            left_boards = [b for b in left_boards if b not in group]
    if left_runs:
        laid = lay_chain([runs[i] for i in left_runs], [boards[b][0] for b in left_boards], kerf, least)
        if laid is None:
            whole = lay_chain(runs, [mm for mm, _, _ in boards], kerf, least)
            return None if whole is None else [_chain(whole, range(len(runs)), boards)]
        chains.append(_chain(laid, left_runs, [boards[b] for b in left_boards]))
    return chains


def _small(
    runs: Sequence[float],
    boards: Sequence[tuple[float, bool, int]],
    some_runs: tuple[Sequence[int], int],
    some_boards: tuple[Sequence[int], int],
    kerf: float,
    slack: float,
) -> tuple[float, tuple[int, ...], tuple[int, ...]] | None:
    """The group of so many of these runs and boards that wastes least, within the slack there is."""
    best: tuple[float, tuple[int, ...], tuple[int, ...]] | None = None
    for members in islice(combinations(*some_runs), 2000):
        need = sum(runs[i] for i in members) + kerf * (some_runs[1] - 1)
        for group in islice(combinations(*some_boards), 400):
            waste = sum(boards[b][0] for b in group) - need
            if 0 <= waste <= slack and (best is None or waste < best[0] - 1e-9):
                best = (waste, members, group)
    return best


def plan_faults(plan: BoardPlan, runs_mm: Sequence[float], kerf_mm: float, least_mm: float) -> list[str]:
    """Everything wrong with a plan, in words; an empty list for one that can be sawn and nailed as it stands."""
    wrong = []
    by_run: dict[int, list[tuple[float, float]]] = {}
    for index, board in enumerate(plan.boards):
        used = sum(mm for _, _, mm in board.pieces) + kerf_mm * (len(board.pieces) - 1)
        if used > board.mm + 1e-6:
            wrong.append(f"board {index} of {board.mm:g} mm holds {used:g}")
        for run, at_mm, mm in board.pieces:
            by_run.setdefault(run, []).append((at_mm, mm))
    for run, need in enumerate(runs_mm):
        at = 0.0
        for start, mm in sorted(by_run.get(run, [])):
            if abs(start - at) > 1e-6:
                wrong.append(f"run {run} has a gap or a lap at {at:g}")
            if mm < min(least_mm, need) - 1e-6:
                wrong.append(f"run {run} has a piece of {mm:g}")
            at = start + mm
        if abs(at - need) > 1e-6:
            wrong.append(f"run {run} is {at:g} of {need:g} mm")
    return wrong
