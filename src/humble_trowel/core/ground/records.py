"""What crews write down while they grade: set-ups, benchmarks shot again, rod shots, trenches as dug, tests.

Readings and levels are mm or text with units, as in the job file. A level is over the finished top of the main slab.
"""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import BeamRef, LineRef, SideName
from humble_trowel.core.plan.values import Length, Name, Note, Number, Point, Position, Size

MOST_SHOTS = 20_000
Key = Annotated[str, Field(min_length=1, max_length=64)]
LayerKey = Annotated[str, Field(min_length=1, max_length=24)]


class SetUp(Model):
    """The laser stands somewhere new. on: the benchmark or turning point of its backsight."""

    name: Name
    on: Key
    backsight_mm: Size
    at: Point | None = None
    simulated: StrictBool = False


class BenchShot(Model):
    """A benchmark shot again from a set-up, to see whether anything moved."""

    setup: Key
    on: Key
    reading_mm: Size


class TurningPoint(Model):
    """A firm spot shot before the laser moves, to take the level along."""

    setup: Key
    name: Name
    foresight_mm: Size


class Shot(Model):
    """A reading on a set-up, or a level."""

    name: Annotated[str, Field(max_length=40)] = ""
    at: Point
    reading_mm: Size | None = None
    level_mm: Position | None = None

    @model_validator(mode="after")
    def _one_of_both(self) -> Self:
        if (self.reading_mm is None) == (self.level_mm is None):
            raise ValueError("needs either reading_mm or level_mm, one of them.")
        return self


class Shots(Model):
    """Rod shots on one layer. setup: id of the set-up's record, null where levels are given."""

    layer: LayerKey = "base"
    setup: Key | None = None
    source: Literal["typed", "file", "laser", "stand-in"] = "typed"
    shots: Annotated[list[Shot], Field(min_length=1, max_length=MOST_SHOTS)]

    @model_validator(mode="after")
    def _readings_need_a_set_up(self) -> Self:
        if self.setup is None and any(shot.reading_mm is not None for shot in self.shots):
            raise ValueError("setup: a reading says nothing without its set-up. Set the laser up first.")
        return self


class DugStation(Model):
    """Width at the bottom and depth below the slab's top, `at_mm` from the start of the edge."""

    at_mm: Length
    width_mm: Size
    depth_mm: Size


class AsDug(Model):
    """A trench as it was dug: of a side, of a line inside (row of `edges`), or of a beam."""

    side: SideName | None = None
    row: LineRef | None = None
    beam: BeamRef | None = None
    stations: Annotated[list[DugStation], Field(min_length=1, max_length=100)]

    @model_validator(mode="after")
    def _one_of_both(self) -> Self:
        if [self.side, self.row, self.beam].count(None) != 2:
            raise ValueError("needs either side, row or beam, one of them.")
        return self


class GroundTest(Model):
    """probe: how far a rod sank, mm. density: percent of the greatest (95 of a standard test is a usual demand)."""

    test: Literal["probe", "density", "roll"]
    at: Point
    layer: LayerKey = "native"
    lift: Annotated[int, Field(ge=1, le=50)] | None = None
    sank_mm: Length | None = None
    density_percent: Annotated[Number, Field(gt=0, le=130)] | None = None
    passed: StrictBool
    note: Note = ""

    @model_validator(mode="after")
    def _what_was_measured(self) -> Self:
        if self.test == "probe" and self.sank_mm is None:
            raise ValueError("sank_mm: how far did the probe sink?")
        if self.test == "density" and self.density_percent is None:
            raise ValueError("density_percent: what did the test say?")
        return self


class SoftSpot(Model):
    """A soft spot and what was done about it."""

    at: Point
    across_mm: Size
    deep_mm: Length | None = None
    done: Literal["nothing yet", "dug out, stone in", "dug out, fill in", "dried and packed", "engineer asked"]
    note: Note = ""


class LiftSigned(Model):
    """A lift is packed and somebody says so. lift: 1 is the lowest."""

    layer: LayerKey
    lift: Annotated[int, Field(ge=1, le=50)]
    passes: Annotated[int, Field(ge=1, le=100)]
    note: Note = ""
