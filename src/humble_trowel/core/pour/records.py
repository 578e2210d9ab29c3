"""What is written down on the day of the pour: tickets, where the front stands, acts, gauge readings, trouble, calls."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.photos.records import PhotoId
from humble_trowel.core.plan.model import Id, Model
from humble_trowel.core.plan.values import Note, Number, Point, Pressure, Small, Strength, When
from humble_trowel.core.plan.way_values import Volume

LoadId = Annotated[str, Field(pattern=r"^[A-Za-z0-9_.-]{1,40}$")]
ActKey = Annotated[str, Field(pattern=r"^[a-z]+(/[A-Za-z0-9_.-]{1,40}){0,3}$", max_length=140)]
Who = Annotated[str, Field(max_length=80)]
How = Literal["done", "put-off", "cannot"]
Trouble = Literal["blowout", "rain", "late", "pump", "plant", "gauge", "cold-joint", "alone", "other"]
Answer = Literal["held", "refused"]
PlantWord = Literal["coming", "late", "lost", "down"]


class Ticket(Model):
    """Something said of a load. load: its id, made where it was first seen; what is said later of the same load counts over what was said before,
    value by value. at: when it was said. batched_at: the stamp. empty_at: its last was out. strength_mpa, stone_mm: as the ticket says.
    water_l: added here. sent_back: why it went back."""

    load: LoadId
    at: When
    arrived_at: When | None = None
    batched_at: When | None = None
    empty_at: When | None = None
    m3: Annotated[Volume, Field(gt=0)] | None = None
    number: Annotated[str, Field(max_length=40)] | None = None
    strength_mpa: Strength | None = None
    stone_mm: Small | None = None
    slump_mm: Annotated[Small, Field(ge=0, le=300)] | None = None
    temp_c: Annotated[Number, Field(ge=-10, le=60)] | None = None
    air_percent: Annotated[Number, Field(ge=0, le=20)] | None = None
    water_l: Annotated[Number, Field(ge=0, le=2000)] | None = None
    cylinders: Annotated[int, Field(ge=0, le=40)] | None = None
    sent_back: Annotated[str, Field(max_length=400)] | None = None
    photo: PhotoId | None = None
    by: Who = ""

    @model_validator(mode="after")
    def _says_something(self) -> Self:
        if all(getattr(self, key) is None for key in SAID):
            raise ValueError("load: nothing is said of it. Say when it came, its stamp or its yards.")
        return self


SAID = tuple(key for key in Ticket.model_fields if key not in ("load", "at", "by"))


class Front(Model):
    """How far it is filled. spot: where the front stands, or strip: that strip is struck, or edges: all trenches are full.
    load: it stood there as that load ran out."""

    at: When
    spot: Point | None = None
    strip: Id | None = None
    edges: StrictBool = False
    load: LoadId | None = None
    by: Who = ""

    @model_validator(mode="after")
    def _says_where(self) -> Self:
        if sum((self.spot is not None, bool(self.strip), self.edges)) != 1:
            raise ValueError("spot: tap where the front stands, or say which strip is struck.")
        return self


class GaugeRead(Model):
    """A look at the gauge of what is under pressure in the slab."""

    at: When
    pressure_kpa: Pressure
    line: Id = ""
    by: Who = ""


class ActDone(Model):
    """What became of an act. put_off_min: asked again so much later. reason: the key of why not, words: in their own."""

    act: ActKey
    how: How
    at: When
    put_off_min: Annotated[Number, Field(gt=0, le=600)] | None = None
    reason: Annotated[str, Field(max_length=40)] = ""
    words: Note = ""
    photo: PhotoId | None = None
    by: Who = ""


class Incident(Model):
    """Trouble, and when it was over. of: the incident that is over."""

    what: Trouble
    at: When
    spot: Point | None = None
    minutes: Annotated[Number, Field(ge=0, le=600)] | None = None
    over: StrictBool = False
    words: Note = ""
    photo: PhotoId | None = None
    by: Who = ""


class LoadCalled(Model):
    """The last load as it was said to the plant. m3: none where no more is wanted. answer: whether the plant took it; heard_by read it back.
    number: the plant's name for it, '' where it was said by telephone; due_at: when it is to stand here; back_m3, back_mpa: as it was read back."""

    at: When
    m3: Annotated[Volume, Field(ge=0)]
    answer: Answer = "held"
    heard_by: Who = ""
    by: Who = ""
    words: Note = ""
    number: Annotated[str, Field(max_length=40)] = ""
    due_at: When | None = None
    back_m3: Annotated[Volume, Field(ge=0)] | None = None
    back_mpa: Strength | None = None


class PlantSaid(Model):
    """What the plant says of an order that it was given, by its number. due_at: when it now stands here."""

    number: Annotated[str, Field(min_length=1, max_length=40)]
    at: When
    says: PlantWord
    due_at: When | None = None
    words: Note = ""
    by: Who = ""


class Sawn(Model):
    """A joint is sawn, or a crack was faster."""

    joint: Id
    at: When
    cracked: StrictBool = False
    photo: PhotoId | None = None
    by: Who = ""


class ActGiven(Model):
    """An act is given to somebody; '' takes it back."""

    act: ActKey
    to: Who
    at: When
    by: Who = ""


DAY_KINDS: frozenset[type[Model]] = frozenset(
    (Ticket, Front, GaugeRead, ActDone, Incident, LoadCalled, PlantSaid, Sawn, ActGiven)
)
