"""Joints of a slab as they stand in a job file. Lengths mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Number, Point

How = Literal["sawn", "tooled", "inserted", "construction"]
Shape = Literal["round", "diamond"]


class Joint(Row):
    """A straight joint from edge to edge. how: null as the crew does; construction where a day ends, against a bulkhead."""

    start: Point
    end: Point
    how: How | None = None


class Isolation(Model):
    """A joint of its own round a column. of: id of the column (a riser) or of a bolt group. out_mm: how far its points, or its edge,
    lie from the column's middle; null for as far as the crew goes."""

    of: Annotated[str, Field(min_length=1, max_length=24)]
    shape: Shape = "diamond"
    out_mm: Length | None = None


class Joints(Model):
    """All of them. ratio_n: a panel's side is so many thicknesses at most, null as the crew does. isolated: ids of openings that have
    a joint of their own all round; isolation: columns that have one."""

    ratio_n: Annotated[Number, Field(ge=12, le=60)] | None = None
    lines: Annotated[list[Joint], Field(max_length=500)] = []
    isolated: Annotated[list[Annotated[str, Field(max_length=24)]], Field(max_length=100)] = []
    isolation: Annotated[list[Isolation], Field(max_length=200)] = []
