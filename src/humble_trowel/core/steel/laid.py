"""Bars as they lie: one mark is bars of one size, shape and place. Lengths mm, levels over the finished top, masses kg."""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.bars import Bar

Shape = Literal["straight", "bent", "stirrup"]


@dataclass(frozen=True)
class Laid:
    """key: stable name of its place. words: what it is. legs_mm, turns: of one bent, out to out; of a stirrup its width and height
    and the turn of its hooks. pieces: (cut length, how many). lines: as it lies on the plan, a path a bar before splicing. stands:
    for stirrups a tick each. level_mm: middle of the bar, None where it has no one level. lap_mm: where pieces lap."""

    key: str
    words: str
    bar: Bar
    shape: Shape
    pieces: tuple[tuple[float, int], ...]
    lines: tuple[tuple[XY, ...], ...]
    level_mm: float | None = None
    legs_mm: tuple[float, ...] = ()
    turns: tuple[float, ...] = ()
    lap_mm: float = 0.0
    mark: str = ""

    @property
    def count(self) -> int:
        """Pieces as cut."""
        return sum(count for _, count in self.pieces)

    @property
    def steel_mm(self) -> float:
        """All of it, laps included."""
        return math.fsum(length * count for length, count in self.pieces)

    @property
    def mass_kg(self) -> float:
        """What it weighs."""
        return self.steel_mm / 1000 * self.bar.kg_m


def counted(lengths: Iterable[float]) -> tuple[tuple[float, int], ...]:
    """Equal lengths together, the longest first; in whole mm, upward: nobody cuts a bar closer."""
    return tuple(sorted(Counter(float(math.ceil(length - 1e-6)) for length in lengths).items(), reverse=True))


def spliced_lengths(long_mm: float, stock: float, lap: float, odd: bool = False) -> list[float]:
    """Pieces of a straight bar in its order: whole ones and a rest no shorter than two laps. odd: the rest comes first, so that
    laps of neighbours stand apart. Raises ValueError where a bar is no longer than its lap."""
    if long_mm <= stock + 1e-6:
        return [long_mm]
    if stock <= lap:
        raise ValueError("A bar is no longer than its lap.")
    count = math.ceil((long_mm - lap) / (stock - lap) - 1e-9)
    rest = max(long_mm + (count - 1) * lap - (count - 1) * stock, min(2 * lap, stock))
    last_but = long_mm + (count - 1) * lap - (count - 2) * stock - rest
    pieces = [*[stock] * (count - 2), last_but, rest]
    return pieces[::-1] if odd else pieces


def along(a: XY, b: XY) -> tuple[XY, float]:
    """(unit vector from a to b, distance)."""
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size), size


def shifted(a: XY, way: XY, by: float, aside: XY = (0.0, 0.0), off: float = 0.0) -> XY:
    """A point moved along one way and aside along another."""
    return a[0] + way[0] * by + aside[0] * off, a[1] + way[1] * by + aside[1] * off


def evenly(count: int, first: float, last: float) -> list[float]:
    """So many positions from first to last; one stands in the middle."""
    if count == 1:
        return [(first + last) / 2]
    return [first + (last - first) * i / (count - 1) for i in range(count)]


def lines_of(rows: Sequence[tuple[XY, XY]]) -> tuple[tuple[XY, ...], ...]:
    """Straight bars as paths."""
    return tuple((a, b) for a, b in rows)
