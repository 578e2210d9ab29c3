"""Numbers by a seed: the same seed gives the same numbers on every machine and in every version.

SplitMix64 (Steele, Lea and Flood 2014), seeded by a text.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import TypeVar

T = TypeVar("T")
_MASK = (1 << 64) - 1
_STEP = 0x9E3779B97F4A7C15


class Dice:
    """A stream of numbers. seed: any text."""

    def __init__(self, seed: str) -> None:
        state = 0xCBF29CE484222325
        for byte in seed.encode():
            state = ((state ^ byte) * 0x100000001B3) & _MASK  # FNV-1a
        self._state = state

    def _next(self) -> int:
        self._state = (self._state + _STEP) & _MASK
        z = self._state
        z = ((z ^ (z >> 30)) * 0xBF58476D1CE4E5B9) & _MASK
        z = ((z ^ (z >> 27)) * 0x94D049BB133111EB) & _MASK
        return z ^ (z >> 31)

    def share(self) -> float:
        """0 up to but not 1, evenly."""
        return self._next() / 2**64

    def whole(self, low: int, high: int) -> int:
        """A whole number from low to high, both of them possible."""
        return low + self._next() % (high - low + 1)

    def pick(self, rows: Sequence[T]) -> T:
        """One of the rows."""
        return rows[self._next() % len(rows)]

    def sign(self) -> int:
        """1 or -1."""
        return 1 if self._next() & 1 else -1

    def mixed(self, rows: Sequence[T]) -> list[T]:
        """All rows in another order."""
        left = list(rows)
        for at in range(len(left) - 1, 0, -1):
            other = self.whole(0, at)
            left[at], left[other] = left[other], left[at]
        return left

    def normal(self, mean: float, sd: float) -> float:
        """About a middle, two in three within one spread of it (Box and Muller)."""
        return mean + sd * math.sqrt(-2 * math.log(1 - self.share())) * math.cos(math.tau * self.share())
