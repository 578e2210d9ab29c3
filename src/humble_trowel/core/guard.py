"""The guard at the edge of the core: what goes wrong inside an answer names its part and leaves the rest usable.

An answer's function is marked with `answers("The forms")`. Whatever unexpected ends it leaves as a ComputeError in
plain words, which the command line prints and the API sends; where several answers stand together, `or_finding`
turns it into a finding and goes on without that part.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from typing import ParamSpec, TypeVar

from humble_trowel.core.errors import ComputeError, TrowelError
from humble_trowel.core.findings import Finding, finding

P = ParamSpec("P")
T = TypeVar("T")


def answers(part: str) -> Callable[[Callable[P, T]], Callable[P, T]]:
    """Mark a function as one answer of the core. part: its name at the start of a sentence ('The forms')."""

    def wrap(work: Callable[P, T]) -> Callable[P, T]:
        @wraps(work)
        def guarded(*args: P.args, **kwargs: P.kwargs) -> T:
            try:
                return work(*args, **kwargs)
            except TrowelError:
                raise
            except Exception as error:
                raise ComputeError(part, f"{type(error).__name__}: {error}") from error

        return guarded

    return wrap


def or_finding(work: Callable[[], T], instead: T, doubts: list[Finding]) -> T:
    """The answer, or `instead` with a finding `cannot-compute` added to `doubts`."""
    try:
        return work()
    except ComputeError as error:
        remedy = "Everything else stands. Take back the last change there, or draw that part another way."
        doubts.append(finding("cannot-compute", error.part, error.words, remedy))
        return instead
