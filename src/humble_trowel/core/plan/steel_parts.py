"""The steel of a slab as it stands in a job file: a way for each slab type, cages for edges, beams and pads, dowels.

Lengths are mm. Null sizes are as the crew does; what the engineer drew is written down as it was read.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from pydantic import BeforeValidator, Field, StrictBool, model_validator

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Mark, Name, Note, Number, Size

SteelWay = Literal["bars", "mesh", "rolls", "mesh-tied", "fibre", "fibre-edges", "none"]
Level = Literal["top", "middle", "bottom"]
Place = Literal["edge", "beam", "pad", "pile"]
Corners = Literal["bent", "crossed"]


def _bar(value: Any) -> Any:
    """The name of a bar as it is written on drawings."""
    if not isinstance(value, str | int) or isinstance(value, bool):
        raise ValueError("must be a size of bar, like #4 or 12 mm.")
    try:
        return bar_of(str(value)).name
    except InputError as error:
        raise ValueError(str(error)) from None


BarName = Annotated[str, BeforeValidator(_bar)]
Spacing = Annotated[Size, Field(ge=25.0, le=3000.0)]


class SlabSteel(Model):
    """What a slab type holds. bar, spacing_mm: one way and, where other_* are null, both ways. level, clear_mm: where it lies,
    and how much concrete is over the top bars, or under the bottom ones. sheet_*: of mesh; lap_mm: of either. drawn: the
    engineer's own words, '' where the crew chose. fibre_kg_m3: how much goes in."""

    slab: Mark
    way: SteelWay
    bar: BarName | None = None
    spacing_mm: Spacing | None = None
    other_bar: BarName | None = None
    other_mm: Spacing | None = None
    level: Level = "middle"
    clear_mm: Length | None = None
    sheet_long_mm: Size | None = None
    sheet_wide_mm: Size | None = None
    lap_mm: Size | None = None
    fibre_kg_m3: Annotated[Number, Field(gt=0, le=100)] | None = None
    drawn: Note = ""


class CageBars(Model):
    """Long bars of a cage at one height."""

    count: Annotated[int, Field(ge=1, le=40)]
    bar: BarName
    level: Level


class Cage(Model):
    """The steel of an edge, beam or pad type, or over the heads of a row of piles (mark: its id). bars: along it; each_way, each_mm:
    a mat of a pad, or bars over a head, long_mm long; stirrup, stirrup_mm: closed ties
    and how far apart. *_mm: cover. corners: bars bent round with legs, or run straight and crossed."""

    of: Place
    mark: Mark
    bars: Annotated[list[CageBars], Field(max_length=6)] = []
    each_way: BarName | None = None
    each_mm: Spacing | None = None
    long_mm: Size | None = None
    stirrup: BarName | None = None
    stirrup_mm: Spacing | None = None
    hook: Literal[90, 135] = 135
    side_mm: Length | None = None
    bottom_mm: Length | None = None
    top_mm: Length | None = None
    corners: Corners | None = None
    leg_mm: Size | None = None
    lap_mm: Size | None = None
    drawn: Note = ""

    @model_validator(mode="after")
    def _something_in_it(self) -> Self:
        if not self.bars and self.each_way is None:
            raise ValueError("bars: a cage has bars. Say how many, like 2 #4 bottom.")
        if (self.stirrup is None) != (self.stirrup_mm is None):
            raise ValueError("stirrup_mm: stirrups have a bar and a spacing.")
        if (self.each_way is None) != (self.each_mm is None):
            raise ValueError("each_mm: bars each way have a size and a spacing.")
        return self


class Dowels(Row):
    """Bars that tie the slab to what stands at a side. side: its corner's id or number; from_mm, to_mm: along it, null for all of
    it. smooth: free to slide, in sleeves. in_mm: into what stands there; out_mm: into the slab. hole_mm: null by its size."""

    name: Name
    side: Annotated[str, Field(max_length=24)]
    from_mm: Length | None = None
    to_mm: Length | None = None
    bar: BarName
    spacing_mm: Spacing
    in_mm: Size | None = None
    out_mm: Size | None = None
    hole_mm: Size | None = None
    smooth: StrictBool = False


class Key(Row):
    """A keyed joint along a side: a groove that the next pour runs into. side, from_mm, to_mm: as of dowels."""

    name: Name
    side: Annotated[str, Field(max_length=24)]
    from_mm: Length | None = None
    to_mm: Length | None = None
    deep_mm: Annotated[Size, Field(le=150.0)]
    wide_mm: Annotated[Size, Field(le=300.0)]


class OnHand(Model):
    """Bars that lie in the yard or are left from another job."""

    bar: BarName
    length_mm: Annotated[Size, Field(ge=300.0, le=30_000.0)]
    count: Annotated[int, Field(ge=1, le=500)]


class Steel(Model):
    """All steel. on_hand: bars that need not be bought; trimmers: a bar along each side of an opening; diagonals: two across each inside corner."""

    ways: Annotated[list[SlabSteel], Field(max_length=100)] = []
    cages: Annotated[list[Cage], Field(max_length=200)] = []
    dowels: Annotated[list[Dowels], Field(max_length=60)] = []
    keys: Annotated[list[Key], Field(max_length=60)] = []
    on_hand: Annotated[list[OnHand], Field(max_length=40)] = []
    diagonals: StrictBool = True
    trimmers: StrictBool = True
