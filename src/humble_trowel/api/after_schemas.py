"""Bodies of the routes of the slab as it stands, of lessons and of what is handed over."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.api.schemas import Author
from humble_trowel.core.built.built import BuiltRow, Drawn
from humble_trowel.core.built.hand_over import HandOver
from humble_trowel.core.built.invoice import Invoice
from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lessons.told_parts import LessonsTold
from humble_trowel.core.plan.values import Note, When


class LessonsState(BaseModel):
    """What the next quote learns. told: null without an outline. may_take: whoever asks may change the crew's ways."""

    told: LessonsTold | None = None
    may_take: bool = True
    findings: list[Finding] = []


class TakeLesson(BaseModel):
    """A lesson taken into the ways, or left. at: when, as the device has it."""

    model_config = ConfigDict(extra="forbid")
    key: Annotated[str, Field(max_length=24)]
    take: bool
    reason: Note = ""
    at: When
    author: Author = ""


class UndoLesson(BaseModel):
    """What was made of a lesson is taken back."""

    model_config = ConfigDict(extra="forbid")
    key: Annotated[str, Field(max_length=24)]
    at: When
    author: Author = ""


class SecondPart(BaseModel):
    """A second pour of the job. rings: on the plan."""

    id: str
    name: str
    kind: str
    text: str
    forms: str
    starters: int
    pieces: int
    with_slab: bool
    rings: list[list[XY]]


class FoamSide(BaseModel):
    """A side with foam at its edge. done_text: '' until it is finished."""

    side: str
    name: str
    text: str
    done_text: str
    by: str
    record: str


class BuiltState(BaseModel):
    """The slab as it stands. things: what can be pressed; rows: what is not as drawn; same: what is, in words."""

    things: list[Drawn]
    rows: list[BuiltRow]
    same: list[str]
    second: list[SecondPart]
    foam: list[FoamSide]


class SecondJob(BaseModel):
    """Make a second pour a job of its own. pour_at: null where nobody knows yet."""

    model_config = ConfigDict(extra="forbid")
    part: Annotated[str, Field(max_length=24)]
    pour_at: When | None = None
    author: Author = ""


class MadeJob(BaseModel):
    """A job that was made."""

    id: str
    name: str


class RackState(BaseModel):
    """Boards that go back to the rack. counting: how far their cut plan is, null once it is there. record: of the word that they did, '' before. may: whoever asks may say so."""

    counting: float | None = None
    back: list[str] = []
    out: list[str] = []
    short: int = 0
    record: str = ""
    done_text: str = ""
    by: str = ""
    may: bool = True


class RackAct(BaseModel):
    """Boards go back to the rack, or that is taken back."""

    model_config = ConfigDict(extra="forbid")
    back: bool
    at: When
    author: Author = ""


class HandOverState(BaseModel):
    """What is handed over. invoice: null where whoever asks may not see prices, or there is none."""

    told: HandOver
    invoice: Invoice | None
    photos: int
