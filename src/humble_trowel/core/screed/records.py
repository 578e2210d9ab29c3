"""What a crew writes down while it strikes pads."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Length, Note


class PadSet(Model):
    """A pad that was struck. of, at_mm: its line, and how far along it. reading_mm: what the rod reads on it, null where it was struck
    by string. setup: of the laser, by the id of its record."""

    of: Annotated[str, Field(min_length=1, max_length=60)]
    at_mm: Length
    reading_mm: Length | None = None
    setup: Annotated[str, Field(max_length=80)] | None = None
    note: Note = ""
