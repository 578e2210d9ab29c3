"""The order, the day and the quote as a job file says them. m3, minutes, cents; null: as the crew does."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Name, Note, Number, When
from humble_trowel.core.plan.way_values import Volume

Some = Annotated[int, Field(ge=1, le=40)]


class Contact(Model):
    """Somebody to ring."""

    name: Note = ""
    phone: Note = ""


class Spare(Row):
    """What is poured with what is left: a pad, blocks, a kerb."""

    name: Name
    m3: Volume


class OrderNotes(Model):
    """ordered_m3: as a person says it, over what is worked out, with ordered_why and ordered_by. place_m3_h: what the crew places here."""

    pour_at: When | None = None
    spacing_min: Number | None = Field(default=None, gt=0, le=600)
    method: Literal["chute", "pump", "barrows", "conveyor"] | None = None
    ring: Contact | None = None
    notes: Note = ""
    ordered_m3: Annotated[Volume, Field(gt=0)] | None = None
    ordered_why: Note = ""
    ordered_by: Note = ""
    travel_min: Number | None = Field(default=None, ge=0, le=600)
    places: Some | None = None
    fleet: Some | None = None
    place_m3_h: Number | None = Field(default=None, gt=0, le=1000)
    spare: Annotated[list[Spare], Field(max_length=20)] = []


class QuoteLine(Row):
    """Something that is charged and stands in no other stage."""

    name: Name
    cents: Annotated[int, Field(ge=-(10**9), le=10**9)]


class Quote(Model):
    """What the owner is told. not_in: what is not in the price."""

    margin_share: Number | None = Field(default=None, ge=0, lt=0.9)
    extra: Annotated[list[QuoteLine], Field(max_length=60)] = []
    not_in: Note = ""
    notes: Note = ""
