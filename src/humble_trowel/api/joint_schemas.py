"""Bodies of the routes of joints."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.joints.told import JointsTold


class JointsAsked(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class JointsState(BaseModel):
    """joints: None where none is said. day: hours of the saw by the set clock, '' until the day is worked out."""

    joints: JointsTold | None
    findings: list[Finding]
    day: str = ""


class Proposal(BaseModel):
    """A layout by a ratio. broken: rules that it still breaks; rules: which."""

    ratio_n: float
    lines: list[tuple[XY, XY]]
    panels: int
    saw_text: str
    broken: int
    rules: list[str]


class Proposals(BaseModel):
    """Layouts by 24, 30 and 36 thicknesses, and by the job's own."""

    rows: list[Proposal]
