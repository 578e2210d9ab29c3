"""What a crew writes down of what sticks up: one thing set, or why it was not."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field, StrictBool

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Length, Note


class EmbedSet(Model):
    """of: the wall of a bolt, a strap's key, a group. at_mm: the station that was marked (bolts and straps). is_set: it stands;
    else why says what is in the way."""

    of: Annotated[str, Field(min_length=1, max_length=60)]
    at_mm: Length | None = None
    is_set: StrictBool = True
    why: Note = ""
