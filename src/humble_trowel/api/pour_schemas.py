"""Bodies of the routes of the pour."""

from __future__ import annotations

from typing import Any

from pydantic import BaseModel, ConfigDict

from humble_trowel.core.findings import Finding
from humble_trowel.core.plan.values import When
from humble_trowel.core.pour.told_parts import PourTold


class PourAsk(BaseModel):
    """at: of whoever looks; null for the newest word of the day."""

    model_config = ConfigDict(extra="forbid")
    at: When | None = None


class PlayedDay(BaseModel):
    """A recorded day that can be played on this job."""

    key: str
    title: str


class PourState(BaseModel):
    """The day at a minute; told is null where something is missing: outline, day or loads. newest_at: of the last word, '' for none."""

    told: PourTold | None = None
    missing: str = ""
    newest_at: str = ""
    findings: list[Finding] = []
    days: list[PlayedDay] = []


class DayRow(BaseModel):
    """A line of a recorded day, as a phone would send it. minute: after the first truck should stand there."""

    minute: float
    kind: str
    who: str
    values: dict[str, Any]


class DayRows(BaseModel):
    """All of its lines, in the order of their minutes."""

    rows: list[DayRow]
