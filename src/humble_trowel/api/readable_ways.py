"""The crew's ways as far as they can be read: the newest that can, and why they are not the newest of all."""

from __future__ import annotations

import sqlite3

from pydantic import ValidationError

from humble_trowel.core.plan.ways import Ways
from humble_trowel.store import ways


def readable_ways(db: sqlite3.Connection) -> tuple[Ways, str]:
    """(the newest ways that can be read, why they are not the newest of all)."""
    newest = 0
    for version, text in ways.every(db):
        newest = newest or version
        try:
            crew = Ways.model_validate_json(text)
        except ValidationError:
            continue
        return (
            crew,
            "" if version == newest else f"{_SPOILT} Those before them are used. Keep the ways once to mend that.",
        )
    return Ways(), f"{_SPOILT} The house's own are used. Keep the ways once to mend that." if newest else ""


_SPOILT = "The crew's ways as last kept cannot be read."
