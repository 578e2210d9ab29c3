"""Footings as they stand in a job file: strips under walls, poured before the slab. Lengths are mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Note, Path, Position, Size, When

Guessable = Literal["width_mm", "thickness_mm", "top_mm"]
Holds = Literal["footings", "walls"]


class FootingStep(Model):
    """at_mm: along the centreline from its start. rise_mm: how far the top goes up there; less than nothing is down."""

    at_mm: Length
    rise_mm: Position


class Footing(Row):
    """A strip along a centreline; first point = last means closed. top_mm: level of its top where it starts, 0 is the
    finished top of the main slab. dug_width_mm: the trench as the bucket dug it, where it is not the width planned.
    peg_spacing_mm: greatest distance between grade pegs. guessed: sizes that nobody said yet."""

    name: Name
    path: Path
    width_mm: Size
    thickness_mm: Size
    top_mm: Position = 0.0
    steps: Annotated[list[FootingStep], Field(max_length=60)] = []
    dug_width_mm: Length | None = None
    peg_spacing_mm: Size = 1524.0
    guessed: Annotated[list[Guessable], Field(max_length=8)] = []


class Pour(Row):
    """A pour of its own. pour_at: its day and hour, as `order.pour_at`. mix: null for that of the slab."""

    name: Name
    holds: Annotated[list[Holds], Field(min_length=1, max_length=8)]
    pour_at: When | None = None
    mix: Mix | None = None
    notes: Note = ""
