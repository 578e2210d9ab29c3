"""What can be bought, a board with its pieces, and the cheapest boards whose lengths together reach a length."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

MOST_CELLS = 40_000


@dataclass(frozen=True)
class Buy:
    """A length that can be bought."""

    mm: float
    price_cents: int


@dataclass(frozen=True)
class UsedBoard:
    """One board. pieces: (run, at_mm along the run, mm), in the order they come off it."""

    mm: float
    on_hand: bool
    price_cents: int
    pieces: tuple[tuple[int, float, float], ...]


Chain = list[UsedBoard]


class Cover:
    """A table over lengths of (price, number of boards), for stock of any count and lengths up to `most_mm`."""

    def __init__(self, stock: Sequence[Buy], most_mm: float) -> None:
        tenths = [round(row.mm * 10) for row in stock]
        self.grain = math.gcd(*tenths)
        longest = max(tenths)
        if (most_mm * 10 + longest) / self.grain > MOST_CELLS:
            self.grain = math.ceil((most_mm * 10 + longest) / MOST_CELLS)
        self.stock = stock
        self.units = [size // self.grain for size in tenths]
        cells = math.ceil(most_mm * 10 / self.grain) + 2
        self.best: list[tuple[int, int]] = [(0, 0)]
        self.pick: list[int] = [-1]
        for at in range(1, cells):
            price, boards, pick = min(
                (self.best[max(0, at - unit)][0] + row.price_cents, self.best[max(0, at - unit)][1] + 1, i)
                for i, (row, unit) in enumerate(zip(stock, self.units, strict=True))
            )
            self.best.append((price, boards))
            self.pick.append(pick)

    def cost(self, mm: float) -> tuple[int, int]:
        """(price in cents, number of boards)."""
        return self.best[self.cell(mm)]

    def boards(self, mm: float) -> list[int]:
        """Rows of the stock."""
        at, rows = self.cell(mm), []
        while at > 0:
            rows.append(self.pick[at])
            at = max(0, at - self.units[self.pick[at]])
        return rows

    def cell(self, mm: float) -> int:
        """Row of the table that reaches a length."""
        return max(0, math.ceil(mm * 10 / self.grain - 1e-6))
