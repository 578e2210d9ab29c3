"""Bodies of the routes of the gate."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.gate.changes import ChangeTold, Effect
from humble_trowel.core.gate.holds import GateTold
from humble_trowel.core.gate.papers import Paper, UsualPaper
from humble_trowel.core.gate.walk import GateWalk
from humble_trowel.core.gate.week_parts import WeekTold
from humble_trowel.core.plan.values import Day
from humble_trowel.core.schedule.sheet import ScheduleTold


class GateAsk(BaseModel):
    """edits: not kept yet. today: of whoever looks. days: also when trades are on, which takes a moment."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []
    today: Day
    tab: Literal["holds", "trades", "papers", "changes"] = "holds"
    days: bool = True


class Signed(BaseModel):
    """A signature, as strokes in shares of its box."""

    record: str
    of: str
    name: str
    at: str
    strokes: list[list[tuple[float, float]]]


class GateState(BaseModel):
    """What the tab shows; the others are empty. weather: doubts about the day count in the holds, and are worked out. wrong: why there are no
    days; wrong_at: the field. moved_to: the first day of the trial where edits are tried."""

    told: GateTold | None = None
    walk: GateWalk | None = None
    signatures: list[Signed] = []
    weather: bool = True
    schedule: ScheduleTold | None = None
    wrong: str = ""
    wrong_at: str = ""
    papers: list[Paper] = []
    usual: list[UsualPaper] = []
    changes: list[ChangeTold] = []
    effect: Effect | None = None
    crew: list[str] = []
    findings: list[Finding] = []


class WeekState(BaseModel):
    """Who is where, job by job."""

    week: WeekTold
    crew: list[str]
