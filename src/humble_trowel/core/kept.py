"""Answers that an object keeps, and takes over from the one before it while what they read is the same."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Generic, TypeVar, overload

from humble_trowel.core.errors import ComputeError
from humble_trowel.core.findings import Finding
from humble_trowel.core.guard import answers, or_finding

T = TypeVar("T")
Found = tuple[Any, list[Finding]]  # an answer, and the stumbles on the way to it


class Keeper:
    """What keeps its answers. before: the one that it was made from."""

    def __init__(self, before: Keeper | None = None) -> None:
        self.answers: dict[str, Found] = {}
        self.stumbled: dict[str, list[Finding]] = {}
        self.before = before
        if before is not None and before.before is not None:
            before.before.before = None  # two steps back are enough, and keep no chain alive

    def guarded(self, name: str, part: str, work: Callable[[], T], instead: T) -> T:
        """The answer, or `instead` with the stumble kept as a finding. part: its name at the start of a sentence."""
        doubts: list[Finding] = []
        found = or_finding(answers(part)(work), instead, doubts)
        self.stumbled[name] = doubts
        return found

    def at_hand(self, name: str) -> bool:
        """Whether an answer is there without working it out."""
        if name not in self.answers:
            kept = getattr(type(self), name)
            found = kept._again(self)
            if found is None:
                return False
            self.answers[name] = found
        return True

    def take(self, name: str, answer: object) -> None:
        """Keep an answer that was worked out elsewhere of the same things."""
        self.answers.setdefault(name, (answer, []))

    def answered(self, name: str, answer: T | None) -> T:
        """An answer that must be there. Raises ComputeError with the stumble that kept it away."""
        if answer is not None:
            return answer
        first = next(iter(self.stumbles("solid", name)), None)
        raise ComputeError(first.where if first else name, "", first.words if first else "")

    def stumbles(self, *names: str) -> list[Finding]:
        """What went wrong inside answers, as findings, in the order of the names."""
        rows = []
        for name in names:
            getattr(self, name)
            rows += self.stumbled.get(name, [])
        return rows


class Kept(Generic[T]):
    """An answer of a keeper, worked out once. reads: 'plan', 'plan.outline', 'ways.forms', 'records' or other answers;
    while all of them are the very objects that they were in the one before, its answer is taken over."""

    def __init__(self, work: Callable[[Any], T], reads: tuple[str, ...]) -> None:
        self.work, self.reads = work, reads
        self.__doc__ = work.__doc__

    def __set_name__(self, owner: type, name: str) -> None:
        self.name = name

    @overload
    def __get__(self, keeper: None, owner: type) -> Kept[T]: ...
    @overload
    def __get__(self, keeper: Keeper, owner: type) -> T: ...
    def __get__(self, keeper: Keeper | None, owner: type) -> Kept[T] | T:
        if keeper is None:
            return self
        if self.name not in keeper.answers:
            keeper.answers[self.name] = self._again(keeper) or self._made(keeper)
        found: T = keeper.answers[self.name][0]
        return found

    def _made(self, keeper: Keeper) -> Found:
        return self.work(keeper), keeper.stumbled.get(self.name, [])

    def _again(self, keeper: Keeper) -> Found | None:
        """What the one before had, or the one before that, where it reads the same."""
        old = keeper.before
        if old is not None and self.name not in old.answers:
            old = old.before
        if old is None or self.name not in old.answers:
            return None
        if any(_read(keeper, what) is not _read(old, what) for what in self.reads):
            return None
        found = old.answers[self.name]
        keeper.stumbled[self.name] = found[1]
        return found


def kept(*reads: str) -> Callable[[Callable[[Any], T]], Kept[T]]:
    """Mark a method of a keeper as a kept answer, with what it reads."""
    return lambda work: Kept(work, reads)


def _read(keeper: Keeper, what: str) -> Any:
    """A thing that an answer reads: a field of plan or ways, or another answer."""
    found: Any = keeper
    for name in what.split("."):
        found = getattr(found, name)
    return found
