"""Many runs of one board: whole boards along the long ones, then what is left as a list of fixed pieces."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.errors import InputError
from humble_trowel.core.forms.cover import Buy, Chain, UsedBoard

ROUNDS = 2
LIMIT_S = 1.0


def whole_boards_first(
    runs: Sequence[float], stock: Sequence[Buy], have: Sequence[float], kerf_mm: float, least_mm: float
) -> list[Chain] | None:
    """Boards on hand at no price beside what can be bought; None where the stock does not make the pieces."""
    lengths = [row.mm for row in stock] + list(have)
    if not lengths or (max(lengths) < least_mm and max(runs, default=0.0) > max(lengths)):
        return None  # no board is as long as the shortest piece that is allowed
    pieces = [piece for number, run in enumerate(runs) for piece in _pieces(number, run, max(lengths), least_mm)]
    priced = any(row.price_cents for row in stock)
    rows = [Stock(row.mm, None, row.price_cents if priced else round(row.mm)) for row in stock]
    counts = {mm: list(have).count(mm) for mm in sorted(set(have))}
    rows += [Stock(mm, count, 0) for mm, count in counts.items()]
    sizes: dict[float, int] = {}
    for _, _, mm in pieces:
        sizes[round(mm, 4)] = sizes.get(round(mm, 4), 0) + 1
    try:
        plan = cut(rows, [Piece(mm, count) for mm, count in sizes.items()], kerf_mm, limit_s=LIMIT_S, rounds=ROUNDS)
    except InputError:
        return None
    waiting: dict[float, list[tuple[int, float, float]]] = {}
    for piece in pieces:
        waiting.setdefault(round(piece[2], 4), []).append(piece)
    chains: list[Chain] = []
    for bar in plan.bars:
        own = tuple(waiting[round(mm, 4)].pop(0) for mm in bar.pieces_mm)
        bought = bar.stock < len(stock)
        chains.append([UsedBoard(bar.stock_mm, not bought, stock[bar.stock].price_cents if bought else 0, own)])
    return chains


def _pieces(number: int, run: float, longest: float, least: float) -> list[tuple[int, float, float]]:
    """(run, at_mm, mm): whole boards from the start, no last piece under the least."""
    rows, at = [], 0.0
    while run - at > longest + 1e-9:
        mm = longest if run - at - longest >= least else run - at - least
        rows.append((number, at, mm))
        at += mm
    return [*rows, (number, at, run - at)]
