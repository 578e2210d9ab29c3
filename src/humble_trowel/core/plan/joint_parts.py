"""Joints of a slab as they stand in a job file. Lengths mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Number, Point

How = Literal["sawn", "tooled", "inserted"]


class Joint(Row):
    """A straight joint from edge to edge. how: null as the crew does."""

    start: Point
    end: Point
    how: How | None = None


class Joints(Model):
    """All of them. ratio_n: a panel's side is so many thicknesses at most, null as the crew does. isolated: ids of openings that have
    a joint of their own all round."""

    ratio_n: Annotated[Number, Field(ge=12, le=60)] | None = None
    lines: Annotated[list[Joint], Field(max_length=500)] = []
    isolated: Annotated[list[Annotated[str, Field(max_length=24)]], Field(max_length=100)] = []
