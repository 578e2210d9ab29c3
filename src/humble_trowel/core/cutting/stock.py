"""The cutting task: stock, pieces, kerf; made whole numbers once; and the checker that any plan must pass.

Kerf is lost between pieces: k pieces need their lengths and k - 1 kerfs. Lengthening every piece and every stock by
one kerf says the same, and makes it a plain sum.
"""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.errors import InputError

GRAIN_MM = 1e-4
MOST_PIECES = 5000


@dataclass(frozen=True)
class Stock:
    """A length that can be had. count: how many there are, None for as many as wanted."""

    length_mm: float
    count: int | None
    price_cents: int


@dataclass(frozen=True)
class Piece:
    length_mm: float
    count: int


@dataclass(frozen=True)
class Bar:
    """One bar and what is cut from it, the longest first. stock: row of the task's stock."""

    stock: int
    stock_mm: float
    pieces_mm: tuple[float, ...]


@dataclass(frozen=True)
class CutTask:
    """A checked task in whole grains. sizes, demand: per different piece. room, supply, price: per stock row.

    sizes and room are lengthened by one kerf. A price per bar of 1 stands for "fewest bars".
    """

    stock: tuple[Stock, ...]
    pieces: tuple[Piece, ...]
    kerf_mm: float
    sizes: tuple[int, ...]
    demand: tuple[int, ...]
    room: tuple[int, ...]
    supply: tuple[int | None, ...]
    price: tuple[int, ...]


def make_task(stock: Sequence[Stock], pieces: Sequence[Piece], kerf_mm: float) -> CutTask:
    """Check and make whole. Raises InputError with the path of the field."""
    _check(stock, pieces, kerf_mm)
    merged: Counter[int] = Counter()
    for piece in pieces:
        merged[_grains(piece.length_mm)] += piece.count
    kerf = _grains(kerf_mm)
    sizes = sorted(merged, reverse=True)
    grain = math.gcd(*(size + kerf for size in sizes))
    room = tuple((_grains(row.length_mm) + kerf) // grain for row in stock)
    prices = [row.price_cents for row in stock]
    alike = len(set(prices)) == 1
    task = CutTask(
        tuple(stock), tuple(Piece(size * GRAIN_MM, merged[size]) for size in sizes), kerf_mm,
        tuple((size + kerf) // grain for size in sizes), tuple(merged[size] for size in sizes),
        room, tuple(row.count for row in stock), tuple(1 if alike else price for price in prices),
    )  # fmt: skip
    if max(task.sizes) > max(room):
        longest = max(row.length_mm for row in stock)
        at = max(range(len(pieces)), key=lambda i: pieces[i].length_mm)
        raise InputError(
            f"A piece of {pieces[at].length_mm:g} mm is longer than the longest stock, {longest:g} mm.",
            f"pieces[{at}].length_mm",
        )
    return task


def _grains(length_mm: float) -> int:
    return round(length_mm / GRAIN_MM)


def _check(stock: Sequence[Stock], pieces: Sequence[Piece], kerf_mm: float) -> None:
    if not stock:
        raise InputError("There is no stock to cut from.", "stock")
    if not pieces:
        raise InputError("There is nothing to cut.", "pieces")
    if not 0 <= kerf_mm <= 100:
        raise InputError(f"A kerf of {kerf_mm:g} mm? A saw takes 0 to 100 mm.", "kerf_mm")
    for row, item in enumerate(stock):
        path = f"stock[{row}]"
        if not 0 < item.length_mm < 1e6:
            raise InputError(f"Stock of {item.length_mm:g} mm is no length to cut from.", f"{path}.length_mm")
        if item.count is not None and item.count < 0:
            raise InputError("Fewer than none cannot be on hand.", f"{path}.count")
        if not 0 <= item.price_cents < 10**9:
            raise InputError("That is no price.", f"{path}.price_cents")
    for row, piece in enumerate(pieces):
        if not 0 < piece.length_mm < 1e6:
            raise InputError(f"A piece of {piece.length_mm:g} mm is no piece.", f"pieces[{row}].length_mm")
        if piece.count < 1:
            raise InputError("A piece is cut once or more often.", f"pieces[{row}].count")
    if sum(piece.count for piece in pieces) > MOST_PIECES:
        raise InputError(f"Over {MOST_PIECES} pieces. Cut the list into parts.", "pieces")


def faults(task: CutTask, bars: Sequence[Bar]) -> list[str]:
    """Everything wrong with a plan, in words; an empty list for a plan that can be sawn as it stands."""
    wrong = []
    made: Counter[int] = Counter()
    used: Counter[int] = Counter()
    for row, bar in enumerate(bars):
        used[bar.stock] += 1
        made.update(_grains(piece) for piece in bar.pieces_mm)
        need = sum(_grains(piece) for piece in bar.pieces_mm) + _grains(task.kerf_mm) * (len(bar.pieces_mm) - 1)
        if need > _grains(task.stock[bar.stock].length_mm):
            wrong.append(f"bar {row} holds {need * GRAIN_MM:g} mm of {bar.stock_mm:g} mm")
    wanted = Counter({_grains(piece.length_mm): piece.count for piece in task.pieces})
    if made != wanted:
        wrong.append("the pieces are not those asked for")
    for index, stock in enumerate(task.stock):
        if stock.count is not None and used[index] > stock.count:
            wrong.append(f"{used[index]} bars of {stock.length_mm:g} mm, and there are {stock.count}")
    return wrong
