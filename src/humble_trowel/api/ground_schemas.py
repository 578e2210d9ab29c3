"""Bodies of the ground stage."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, Field

from humble_trowel.api.schemas import Body
from humble_trowel.core.findings import Finding
from humble_trowel.core.ground.ground_job import Ground
from humble_trowel.core.ground.layer_choices import LayerChoice
from humble_trowel.core.ground.layer_view import LayerView
from humble_trowel.core.ground.records import GroundTest, LiftSigned, SoftSpot
from humble_trowel.core.ground.rod_check import RodSaid
from humble_trowel.core.ground.usual_stacks import UsualLayer, UsualStack
from humble_trowel.core.working import Working


class Mark(BaseModel):
    """Something a set-up can take its backsight from."""

    name: str
    level_mm: float
    level_text: str
    benchmark: int | None


class TestRow(BaseModel):
    id: str
    who: str
    at: str
    test: GroundTest
    words: str


class SoftRow(BaseModel):
    id: str
    who: str
    at: str
    soft: SoftSpot
    words: str


class SignedRow(BaseModel):
    id: str
    who: str
    at: str
    signed: LiftSigned


class FallRow(BaseModel):
    """How a zone's top runs. rate_text: as the trade says it. lines: down the fall."""

    zone: int
    name: str
    words: str
    lines: list[tuple[tuple[float, float], tuple[float, float]]]


class GroundState(BaseModel):
    """Everything the ground lens shows. layer: the one whose shots are in `shots`. usual, single: stacks to start from, layers
    to add."""

    ground: Ground
    layer: str
    layers: list[LayerChoice]
    shots: LayerView
    marks: list[Mark]
    tests: list[TestRow]
    soft: list[SoftRow]
    signed: list[SignedRow]
    falls: list[FallRow]
    reads: Literal["sixteenths", "tenths", "mm"]
    grid: list[tuple[float, float]]
    found_text: str
    strip_text: str
    usual: list[UsualStack]
    single: list[UsualLayer]
    findings: list[Finding]


class RodCheck(Body):
    """A reading to check against a level, or against a layer at a spot. reading: text or mm; null asks what it should be. surface:
    id of its row on the rod card."""

    reading: Annotated[str, Field(max_length=40)] | float | None = None
    level_mm: float | None = None
    surface: Annotated[str, Field(max_length=24)] | None = None
    at: tuple[float, float] | None = None
    layer: Annotated[str, Field(max_length=24)] = "base"


class RodAnswer(BaseModel):
    """What it should read, with its working, and where that is; and, where something was read, words: down 1 3/8, up 1/4 or on grade.

    inside_mm: the least and the greatest reading inside the crew's tolerance; less is high, more is low."""

    should_mm: float
    inside_mm: tuple[float, float]
    should_text: str
    where: str
    working: Working
    said: RodSaid | None
