"""Text that somebody typed for a quantity: what is too long to be one is refused before it is read."""

from __future__ import annotations

from humble_trowel.core.errors import LengthError

MOST_SIGNS = 80


def short_enough(said: str, what: str) -> str:
    """The text itself. what: length, volume, strength. Raises LengthError for one that is too long to be that."""
    if len(said) > MOST_SIGNS:
        raise LengthError(f"{said[:20]}… has {len(said)} signs, too many for a {what}.")
    return said
