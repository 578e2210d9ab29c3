"""Bodies of the routes of the cure."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.cure.told_parts import CureTold
from humble_trowel.core.findings import Finding
from humble_trowel.core.plan.model import Id
from humble_trowel.core.plan.values import When
from humble_trowel.core.ports import ProbeFault


class CureAsk(BaseModel):
    """at: of whoever looks; null for the newest word. blankets: zones to try under blankets from then on."""

    model_config = ConfigDict(extra="forbid")
    at: When | None = None
    blankets: Annotated[list[Id], Field(max_length=60)] = []


class CureState(BaseModel):
    """The cure at an hour; told is null where something is missing: outline, day or weather. trying: blankets are tried."""

    told: CureTold | None = None
    missing: str = ""
    trying: bool = False
    findings: list[Finding] = []


class ProbeAsk(BaseModel):
    """Everything that a probe kept between two times. fault: what the stand-in does."""

    model_config = ConfigDict(extra="forbid")
    zone: Id
    since: When
    until: When
    fault: ProbeFault | None = None


class ProbeReading(BaseModel):
    """One reading."""

    at: str
    temp_c: float


class ProbeRows(BaseModel):
    """What it kept."""

    probe: str
    rows: list[ProbeReading]
    simulated: bool = True
