"""Bodies of the routes of strips."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.screed.told_parts import ScreedTold


class ScreedAsked(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class ScreedState(BaseModel):
    """screed: None where nothing is said."""

    screed: ScreedTold | None
    findings: list[Finding]


class StripProposal(BaseModel):
    """Strips by rule. strips: a spot in each, in their order; wrong: rules that it still breaks."""

    pads: list[tuple[XY, XY]]
    strips: list[XY]
    stands: list[XY]
    wrong: list[str]
    pad_count: int
