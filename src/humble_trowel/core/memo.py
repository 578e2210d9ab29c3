"""Keeping what was worked out while what it was made of is the same."""

from __future__ import annotations

from collections import deque
from collections.abc import Callable
from typing import Generic, TypeVar

T = TypeVar("T")


class Recent(Generic[T]):
    """The last few results, each with the very objects it was made from. For what never changes once made."""

    def __init__(self, size: int) -> None:
        self._rows: deque[tuple[tuple[object, ...], T]] = deque(maxlen=size)

    def clear(self) -> None:
        """Forget everything, for whoever measures."""
        self._rows.clear()

    def get(self, made_from: tuple[object, ...], make: Callable[[], T]) -> T:
        """The result for these very objects, made where it is not at hand."""
        for old, result in tuple(self._rows):
            if all(one is other for one, other in zip(old, made_from, strict=True)):
                return result
        made = make()
        self._rows.appendleft((made_from, made))
        return made
