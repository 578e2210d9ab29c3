"""Bodies of the routes of the pour."""

from __future__ import annotations

from typing import Any

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.api.line_schemas import RecordId
from humble_trowel.api.schemas import RevisionNumber
from humble_trowel.core.findings import Finding
from humble_trowel.core.plan.values import When
from humble_trowel.core.ports import PlantFault
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


class PlantAsk(BaseModel):
    """A question to the plant. id: of the record that is kept of the answer. at: on the clock of the day. fault: what the stand-in does."""

    model_config = ConfigDict(extra="forbid")
    id: RecordId
    who: str = Field(default="", max_length=80)
    at_device: str = Field(max_length=40)
    revision: RevisionNumber
    at: When
    fault: PlantFault | None = None


class PlantCall(PlantAsk):
    """The last load, asked of the plant. m3: a number, or as a person writes it."""

    m3: float | str


class PlantAnswer(BaseModel):
    """What came of it, in words. kept: it was written down; where nobody answered it was not."""

    kind: str
    words: str
    kept: bool
    simulated: bool = True


class AheadCellTold(BaseModel):
    """If so much is in when a strip is struck: what to call."""

    in_text: str
    call_text: str
    left_text: str
    short_of: int
    likely: bool


class AheadRow(BaseModel):
    """A strip that is still to come."""

    id: str
    n: int
    name: str
    cells: list[AheadCellTold]


class PourAhead(BaseModel):
    """What to call for fronts and yards that may come; at_text: as it was worked out."""

    at_text: str = ""
    rows: list[AheadRow] = []


class DayRow(BaseModel):
    """A line of a recorded day, as a phone would send it. minute: after the first truck should stand there."""

    minute: float
    kind: str
    who: str
    values: dict[str, Any]


class DayRows(BaseModel):
    """All of its lines, in the order of their minutes."""

    rows: list[DayRow]
