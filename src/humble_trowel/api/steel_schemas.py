"""Bodies of the steel routes."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.steel.cuts_told import SizeCutTold
from humble_trowel.core.steel.keys import KeyTold
from humble_trowel.core.steel.looks import Place
from humble_trowel.core.steel.told import SteelTold


class SteelAsked(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class SteelState(BaseModel):
    """steel: None where none is said. unsaid: slab types of which nobody said how they are held together. bare: edge, beam and pad types in use without a
    cage, as (of, mark). places: where somebody looks before the pour; bar_names: sizes looked for."""

    steel: SteelTold | None
    keys: list[KeyTold]
    findings: list[Finding]
    unsaid: list[str]
    bare: list[tuple[str, str]]
    places: list[Place]
    bar_names: list[str]


class SteelCuts(BaseModel):
    """A cut plan for each size; how many bars are bought, and what they weigh. counting: how far it is while cuts is None."""

    counting: float | None
    cuts: list[SizeCutTold] | None
    bars: int
    bought_text: str
