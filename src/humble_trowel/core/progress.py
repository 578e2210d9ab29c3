"""How far a long computation is, told to whoever waits for it, and how it is dropped half-way."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar

Hook = Callable[[float], None]
_HOOK: ContextVar[Hook | None] = ContextVar("progress", default=None)


class Dropped(Exception):
    """Nobody waits for the answer any more. Raised out of `tick` by whoever watches."""


def tick(share: float) -> None:
    """Say how far a computation is. share: from 0 to 1. Whoever watches may raise Dropped here."""
    hook = _HOOK.get()
    if hook is not None:
        hook(share)


@contextmanager
def watched(hook: Hook) -> Iterator[None]:
    """Have every tick inside told to `hook`."""
    token = _HOOK.set(hook)
    try:
        yield
    finally:
        _HOOK.reset(token)
