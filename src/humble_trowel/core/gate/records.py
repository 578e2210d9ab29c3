"""What a crew writes down at the gate: a look on the walk, a visit, a hold overruled, a paper, a signature, a change."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.photos.records import PhotoId
from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.values import Note, Number, Point, Small, When

RowId = Annotated[str, Field(pattern=r"^[a-z]+(/[A-Za-z0-9_-][A-Za-z0-9_.-]*){0,4}$", max_length=120)]
Who = Annotated[str, Field(max_length=80)]
Verdict = Literal["pass", "mend", "absent"]
PaperState = Literal["asked", "here", "missing"]
Stroke = Annotated[
    list[tuple[Annotated[float, Field(ge=0, le=1)], Annotated[float, Field(ge=0, le=1)]]],
    Field(min_length=1, max_length=600),
]


class WalkCheck(Model):
    """A look at one row of the walk, or a visit ('visit/test', 'visit/visit'). readings_mm: as measured there. over_why: why it passes beyond its
    limit; then by must be said. absent: there is no such thing here."""

    row: RowId
    verdict: Verdict
    readings_mm: Annotated[list[Annotated[Small, Field(ge=0)]], Field(max_length=20)] = []
    by: Who = ""
    at: When
    over_why: Note = ""
    note: Note = ""


class Overruled(Model):
    """A soft hold that somebody takes on."""

    hold: RowId
    by: Annotated[str, Field(min_length=1, max_length=80)]
    reason: Annotated[str, Field(min_length=1, max_length=400)]
    at: When


class PaperKept(Model):
    """How a paper stands. photo: id of its picture or PDF, kept apart; file_name: as it was called. from_whom: who was asked, or who gave it."""

    paper: Annotated[str, Field(pattern=r"^[a-z0-9-]{1,24}$")]
    state: PaperState
    from_whom: Who = ""
    photo: PhotoId | None = None
    file_name: Who = ""
    by: Who = ""
    at: When
    note: Note = ""


class Signature(Model):
    """A signature drawn by finger. of: 'walk', 'list', 'visit/visit', 'change/<id>'. strokes: shares of its box, from the upper left."""

    of: RowId
    name: Annotated[str, Field(min_length=1, max_length=80)]
    strokes: Annotated[list[Stroke], Field(min_length=1, max_length=60)]
    at: When


class SiteChange(Model):
    """Something that was changed on site. spot: where. *_m3, *_kg, *_cents: what it does to concrete, steel and price, as worked out when it
    was kept. visit: the inspector has to see it. revision: of the plan that has it. agreed_by: '' until somebody agreed."""

    words: Annotated[str, Field(min_length=1, max_length=400)]
    spot: Point | None = None
    concrete_m3: Number = 0.0
    steel_kg: Number = 0.0
    price_cents: Annotated[int, Field(ge=-(10**10), le=10**10)] = 0
    visit: StrictBool = False
    revision: Annotated[int, Field(ge=0)] | None = None
    agreed_by: Who = ""
    by: Who = ""
    at: When
