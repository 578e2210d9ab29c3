"""What a crew writes down of steel before the pour: one look at one place."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.steel_parts import BarName
from humble_trowel.core.plan.values import Note, Small

LookKind = Literal["size", "count", "spacing", "cover", "lap", "chairs", "depth", "diagonals", "clean"]


class SteelCheck(Model):
    """A look at a place ('slab/S1', 'edge/E1', 'dowels/' and an id). What it is of says which value stands: a length, a count, a
    size, or whether it is so. mended: it was put right after it had been short; the short one stays beside it."""

    place: Annotated[str, Field(min_length=1, max_length=60)]
    look: LookKind
    measured_mm: Annotated[Small, Field(ge=0)] | None = None
    count: Annotated[int, Field(ge=0, le=10_000)] | None = None
    size: BarName | None = None
    holds: StrictBool | None = None
    mended: StrictBool = False
    note: Note = ""
