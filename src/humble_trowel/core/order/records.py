"""What was said to the plant, as it was written down."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Name, Note, Number, When
from humble_trowel.core.plan.way_values import Volume

Key = Annotated[str, Field(min_length=1, max_length=40)]


class OrderCalled(Model):
    """A call to the plant. lines: what was said of each line of the card and read back, by its key. parts_m3: the ledger at that moment,
    by the name of its rows. heard_by: who at the plant wrote it down; number: the order's. last: only the held load was said."""

    at: When
    by: Note = ""
    heard_by: Note = ""
    number: Note = ""
    ordered_m3: Annotated[Volume, Field(gt=0)]
    loads_m3: Annotated[list[Volume], Field(min_length=1, max_length=200)]
    spacing_min: Number | None = Field(default=None, gt=0, le=600)
    lines: Annotated[dict[Key, Note], Field(default_factory=dict, max_length=20)]
    parts_m3: Annotated[dict[Name, Volume], Field(default_factory=dict, max_length=2000)]
    last: bool = False
    note: Note = ""
