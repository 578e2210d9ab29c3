"""What is written down after the pour: covers, rounds with water, temperatures, cylinders, levels, boards that came off."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.cure_ways import CoverWay
from humble_trowel.core.plan.model import Id, Model
from humble_trowel.core.plan.values import Note, Number, Point, Position, Strength, When

Who = Annotated[str, Field(max_length=80)]
RoundKey = Annotated[str, Field(pattern=r"^\d{4}-\d{2}-\d{2}/\d{1,2}$")]
ProbeName = Annotated[str, Field(min_length=1, max_length=40)]
MOST_READINGS = 5000


class CoverLaid(Model):
    """Something is laid on zones, or taken off. zones: none is all of them. r_m2_k_w: how well it insulates, where it is a blanket."""

    what: CoverWay
    at: When
    zones: Annotated[list[Id], Field(max_length=60, default_factory=list)]
    off: StrictBool = False
    r_m2_k_w: Annotated[Number, Field(gt=0, le=10)] | None = None
    by: Who = ""


class WetRound(Model):
    """A round with water: who has it (to), and when it was done (at). round: its day and its number on it."""

    round: RoundKey
    at: When | None = None
    to: Who = ""
    by: Who = ""

    @model_validator(mode="after")
    def _says_something(self) -> Self:
        if self.at is None and not self.to:
            raise ValueError("to: say who has this round, or that it is done.")
        return self


class ProbeRow(Model):
    """One reading in the concrete."""

    at: When
    temp_c: Annotated[Number, Field(ge=-40, le=100)]


class ProbeRead(Model):
    """Temperatures in a zone, by a probe or by hand. probe: what it is called."""

    probe: ProbeName
    zone: Id
    rows: Annotated[list[ProbeRow], Field(min_length=1, max_length=MOST_READINGS)]
    source: Literal["probe", "hand"] = "probe"
    by: Who = ""


class CylinderBroken(Model):
    """A cylinder that was broken. kept: beside the slab, or in the laboratory's bath. zone: whose concrete, where anybody knows."""

    number: Annotated[str, Field(min_length=1, max_length=40)]
    at: When
    mpa: Strength
    kept: Literal["site", "lab"] = "lab"
    zone: Id | None = None
    by: Who = ""


class FloorShot(Model):
    """A level on the finished slab. off_mm: over what is drawn there, less than nothing under it."""

    at: When
    spot: Point
    off_mm: Annotated[Position, Field(ge=-500, le=500)]
    by: Who = ""


class Stripped(Model):
    """The boards of a side came off."""

    side: Id
    at: When
    words: Note = ""
    by: Who = ""


CURE_KINDS: frozenset[type[Model]] = frozenset((CoverLaid, WetRound, ProbeRead, CylinderBroken, FloorShot, Stripped))
