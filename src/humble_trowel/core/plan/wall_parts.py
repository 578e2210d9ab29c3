"""Walls that stand on footings, as they stand in a job file: block by courses, formed, between foam. Lengths are mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Number, Position, Size

WallKind = Literal["block", "formed", "foam-form"]
Cores = Literal["none", "all", "nth", "bars"]
Meets = Literal["against", "over", "header"]
Guessable = Literal["thickness_mm", "top_mm", "isolation_mm", "foam_inside_mm"]
CoresWith = Literal["slab", "walls"]


class SetDown(Model):
    """A stretch along the footing's centreline where the wall's top is lower; a door."""

    from_mm: Length
    to_mm: Length
    down_mm: Size


class Block(Model):
    """A block without its joint. void_share: of its volume, both cores together; the maker says it. Its width is the
    wall's thickness."""

    length_mm: Size = 396.875
    height_mm: Size = 193.675
    joint_mm: Length = 9.525
    void_share: Number = Field(default=0.48, ge=0, le=0.8)


class Wall(Row):
    """A wall on a footing. footing: its id, or its name. offset_mm: of its centreline from the footing's, to the left as
    the footing runs. from_mm, to_mm: along the footing's centreline, its end where null. thickness_mm: of block or of
    concrete. top_mm: level of its top, 0 is the finished top of the main slab. cores: which are filled; every: each n-th;
    bars_mm: one at each bar so far apart. cores_with: the pour that fills them. meets: how the floor meets it: against its
    side, over its top, or into a header course of ledge_mm. foam_*: boards on and in it. panel_mm: width of the
    panels that form it. guessed: sizes that nobody said yet."""

    name: Name
    footing: Name
    kind: WallKind
    thickness_mm: Size
    top_mm: Position = 0.0
    offset_mm: Position = 0.0
    from_mm: Length = 0.0
    to_mm: Length | None = None
    set_downs: Annotated[list[SetDown], Field(max_length=40)] = []
    block: Block = Block()
    cores: Cores = "none"
    every: Annotated[int, Field(ge=2, le=50)] = 2
    bars_mm: Size = 1219.2
    cores_with: CoresWith = "walls"
    meets: Meets = "against"
    ledge_mm: Size = 101.6
    isolation_mm: Length | None = None
    foam_inside_mm: Length | None = None
    foam_outside_mm: Length | None = None
    foam_between_mm: Length | None = None
    panel_mm: Length | None = None
    guessed: Annotated[list[Guessable], Field(max_length=8)] = []
