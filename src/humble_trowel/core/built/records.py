"""What is written down of the slab as it stands: where a thing is not as drawn, what was added, foam that was finished, an invoice that went out."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from humble_trowel.core.plan.model import Id, Model
from humble_trowel.core.plan.values import Day, Note, Point, Position, Size, When

Who = Annotated[str, Field(max_length=80)]
Thing = Literal["joint", "side", "bolt", "added"]
Off = Annotated[Position, Field(ge=-3000, le=3000)]


class AsBuilt(Model):
    """A thing as it stands. of: id of a joint, first corner of a side, key of what is set; '' where it was added. dx_mm, dy_mm: it stands so far over along x and y of
    the plan; level_mm: over what is drawn; out_mm: of a side, bowed out in its middle. spot, wide_mm, long_mm, deep_mm: of what was added."""

    thing: Thing
    of: Annotated[str, Field(max_length=60)] = ""
    dx_mm: Off = 0.0
    dy_mm: Off = 0.0
    level_mm: Off = 0.0
    out_mm: Off = 0.0
    spot: Point | None = None
    wide_mm: Size | None = None
    long_mm: Size | None = None
    deep_mm: Size | None = None
    words: Note = ""
    at: When
    by: Who = ""

    @model_validator(mode="after")
    def _of_something(self) -> Self:
        if self.thing == "added":
            if self.spot is None:
                raise ValueError("spot: tap on the plan where it was added.")
            if None in (self.wide_mm, self.long_mm, self.deep_mm):
                raise ValueError("wide_mm: say how wide, how long and how deep it is.")
        elif not self.of:
            raise ValueError("of: press what is not as drawn.")
        return self


class EdgeFinished(Model):
    """The foam of a side's edge is finished: covered, flashed or coated."""

    side: Id
    at: When
    by: Who = ""


class Invoiced(Model):
    """An invoice that went out. cents: as it was then."""

    number: Annotated[str, Field(min_length=1, max_length=40)]
    on: Day
    due_on: Day
    cents: Annotated[int, Field(ge=-(10**10), le=10**10)]
    at: When
    by: Who = ""

    @model_validator(mode="after")
    def _due_later(self) -> Self:
        if self.due_on < self.on:
            raise ValueError("due_on: it is due before it is written.")
        return self


class RackRow(Model):
    """Boards of one kind and length."""

    board: Annotated[str, Field(min_length=1, max_length=40)]
    length_mm: Size
    count: Annotated[int, Field(ge=1, le=500)]


class Racked(Model):
    """The boards of the forms are back on the rack. out: what was taken from it before; back: what came back."""

    out: Annotated[list[RackRow], Field(max_length=60)]
    back: Annotated[list[RackRow], Field(max_length=60)]
    at: When
    by: Who = ""


BUILT_RECORDS_OF: frozenset[type[Model]] = frozenset((AsBuilt, EdgeFinished, Invoiced, Racked))
