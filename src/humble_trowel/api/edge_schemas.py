"""Bodies of the edges routes."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edges.frost_options import EdgeOption
from humble_trowel.core.edges.section import Section
from humble_trowel.core.edits.base import Spot
from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.geometry.match import Match


class SectionLine(BaseModel):
    """A line on the plan, mm; edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    start: Spot
    end: Spot
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class SectionAnswer(BaseModel):
    section: Section


class EdgesState(BaseModel):
    options: list[EdgeOption]
    matches: list[Match]


class PartAlone(BaseModel):
    m3: float
    text: str
