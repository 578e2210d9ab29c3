"""What crews write down on site, as data: rounds of taped checks, string gaps, form-top levels.

A record is appended and never changed (store/records.py). Lengths are mm or text with units, as in the job file.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import ConfigDict, Discriminator, Field, Tag

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import CornerRef, SideRef
from humble_trowel.core.plan.values import Length, Note, Position, Size


class SideMark(Model):
    """A mark on a side, `at_mm` from the side's first corner."""

    side: SideRef
    at_mm: Length


End = CornerRef | SideMark


class Tape(Model):
    """A distance as taped between two corners, or to a mark on a side."""

    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)

    kind: Literal["tape"] = "tape"
    start: Annotated[End, Field(alias="from")]
    to: End
    mm: Length


class Offset(Model):
    """A laser-square reading: corner `to` stands `off_mm` left of the beam along `line`, `at_mm` out from its start."""

    kind: Literal["offset"]
    line: tuple[CornerRef, CornerRef]
    at_mm: Position = 0.0
    off_mm: Position
    to: End


def _kind(value: Any) -> str:
    kind = value.get("kind", "tape") if isinstance(value, dict) else getattr(value, "kind", "tape")
    return "offset" if kind == "offset" else "tape"


Measure = Annotated[Annotated[Tape, Tag("tape")] | Annotated[Offset, Tag("offset")], Discriminator(_kind)]


class Taped(Model):
    """One round of measures. hold: the corner that stays, and the corner that gives the line from it."""

    hold: tuple[CornerRef, CornerRef] = (0, 1)
    measures: Annotated[list[Measure], Field(min_length=1, max_length=400)]


class StakeReading(Model):
    """A reading at a stake, `at_mm` from the side's first corner."""

    at_mm: Length
    mm: Length


class StringGaps(Model):
    """Gaps from a string on equal blocks to the board, along one side."""

    side: SideRef
    block_mm: Size
    string: Literal["outside", "inside"] = "outside"
    readings: Annotated[list[StakeReading], Field(min_length=1, max_length=200)]


class FormLevels(Model):
    """Rod readings on the form top along one side; `want_mm` is the reading that is right."""

    side: SideRef
    want_mm: Length
    readings: Annotated[list[StakeReading], Field(min_length=1, max_length=200)]


class FormBack(Model):
    """The form that was left out for the truck stands again."""

    side: SideRef
    note: Note = ""


class Struck(Model):
    """The record that this one supersedes does not count any more, and why."""

    why: Note = ""
