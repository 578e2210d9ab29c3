"""Bodies of the routes of what sticks up."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.embeds.others import OtherTold
from humble_trowel.core.embeds.told import EmbedsTold
from humble_trowel.core.findings import Finding


class EmbedsAsked(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class EmbedsState(BaseModel):
    """embeds: None where nothing is said; others: what stands up of other stages. day: by when to wet-set, '' until the
    day is worked out."""

    embeds: EmbedsTold | None
    others: list[OtherTold]
    findings: list[Finding]
    day: str = ""
