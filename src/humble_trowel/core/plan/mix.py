"""What is in the drum, as a job file says it."""

from __future__ import annotations

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Note, Number, Small, Strength


class Mix(Model):
    """Null where nobody said it."""

    strength_mpa: Strength | None = Field(default=None, gt=0, le=150)
    slump_mm: Small | None = None
    stone_mm: Small | None = None
    air_percent: Number | None = Field(default=None, ge=0, le=15)
    fibre: Note | bool | None = None
    notes: Note = ""
