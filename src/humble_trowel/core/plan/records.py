"""What crews write down on site, as data: rounds of taped checks, string gaps, form-top levels.

A record is appended and never changed (store/records.py). Lengths are mm or text with units, as in the job file.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import ConfigDict, Discriminator, Field, Tag

from humble_trowel.core.plan import site_records as site
from humble_trowel.core.plan.part import Part
from humble_trowel.core.plan.values import Length, Note, Position, Size

Index = Annotated[int, Field(ge=0, lt=200)]


class SideMark(Part):
    """A mark on a side, `at_mm` from the side's first corner."""

    side: Index
    at_mm: Length


End = int | SideMark


class Tape(Part):
    """A distance as taped between two corners, or to a mark on a side."""

    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)

    kind: Literal["tape"] = "tape"
    start: Annotated[End, Field(alias="from")]
    to: End
    mm: Length


class Offset(Part):
    """A laser-square reading: corner `to` stands `off_mm` left of the beam along `line`, `at_mm` out from its start."""

    kind: Literal["offset"]
    line: tuple[Index, Index]
    at_mm: Position = 0.0
    off_mm: Position
    to: End


def _kind(value: Any) -> str:
    kind = value.get("kind", "tape") if isinstance(value, dict) else getattr(value, "kind", "tape")
    return "offset" if kind == "offset" else "tape"


Measure = Annotated[Annotated[Tape, Tag("tape")] | Annotated[Offset, Tag("offset")], Discriminator(_kind)]


class Taped(Part):
    """One round of measures. hold: the corner that stays, and the corner that gives the line from it."""

    hold: tuple[Index, Index] = (0, 1)
    measures: Annotated[list[Measure], Field(min_length=1, max_length=400)]


class StakeReading(Part):
    """A reading at a stake, `at_mm` from the side's first corner."""

    at_mm: Length
    mm: Length


class StringGaps(Part):
    """Gaps from a string on equal blocks to the board, along one side."""

    side: Index
    block_mm: Size
    string: Literal["outside", "inside"] = "outside"
    readings: Annotated[list[StakeReading], Field(min_length=1, max_length=200)]


class FormLevels(Part):
    """Rod readings on the form top along one side; `want_mm` is the reading that is right."""

    side: Index
    want_mm: Length
    readings: Annotated[list[StakeReading], Field(min_length=1, max_length=200)]


class FormBack(Part):
    """The form that was left out for the truck stands again."""

    side: Index
    note: Note = ""


class Struck(Part):
    """The record that this one supersedes does not count any more, and why."""

    why: Note = ""


VALUES_OF: dict[str, type[Part]] = {
    "taped": Taped,
    "string-gaps": StringGaps,
    "form-levels": FormLevels,
    "form-back": FormBack,
    "struck": Struck,
    "set-up": site.SetUp,
    "bench-shot": site.BenchShot,
    "turning-point": site.TurningPoint,
    "shots": site.Shots,
    "as-dug": site.AsDug,
    "ground-test": site.GroundTest,
    "soft-spot": site.SoftSpot,
    "lift-signed": site.LiftSigned,
}
