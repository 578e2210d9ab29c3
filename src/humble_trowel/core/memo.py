"""Keeping what was worked out while what it was made of is the same."""

from __future__ import annotations

from collections import deque
from collections.abc import Callable, Hashable
from typing import Any, Generic, TypeVar

T = TypeVar("T")


class Recent(Generic[T]):
    """The last few results, each with the very objects it was made from. For what never changes once made."""

    def __init__(self, size: int) -> None:
        self._rows: deque[tuple[tuple[object, ...], T]] = deque(maxlen=size)
        EVERY.append(self)

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


class ByContent(Generic[T]):
    """Results by the content that they depend on, so that what an edit does not touch is not worked out again. The last
    `most` are kept, and those of them that were asked for again; results never change once made."""

    def __init__(self, most: int) -> None:
        self._most = most
        self._new: dict[Hashable, T] = {}
        self._old: dict[Hashable, T] = {}
        EVERY.append(self)

    def clear(self) -> None:
        """Forget everything, for whoever measures."""
        self._new, self._old = {}, {}

    def find(self, key: Hashable) -> T | None:
        """The result for this content where it is at hand."""
        new = self._new
        return new[key] if key in new else self._old.get(key)

    def get(self, key: Hashable, make: Callable[[], T]) -> T:
        """The result for this content, made where it is not at hand."""
        new, old = self._new, self._old
        if key in new:
            return new[key]
        found = old[key] if key in old else make()
        if len(new) >= self._most:
            self._old, self._new = new, {}
        self._new[key] = found
        return found


EVERY: list[ByContent[Any] | Recent[Any]] = []


def forget() -> None:
    """Empty every memo, for whoever measures cold."""
    for memo in EVERY:
        memo.clear()
