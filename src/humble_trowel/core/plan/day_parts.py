"""The day of the pour as a job file says it: what stands about and shades, what is done against drying and frost. mm, hours, C."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Number, Ring

Stands = Literal["building", "wall", "tree", "own wall"]
Help = Literal["fog", "windbreak", "cooler", "film"]
HELPS: tuple[Help, ...] = ("fog", "windbreak", "cooler", "film")


class Surrounding(Row):
    """Something that throws a shadow. top_mm, base_mm: of what shades, over the finished slab; a crown or a roof begins at its base."""

    name: Name
    what: Stands = "building"
    polygon: Ring
    top_mm: Annotated[Length, Field(gt=0, le=200_000)]
    base_mm: Annotated[Length, Field(ge=0)] = 0.0

    @model_validator(mode="after")
    def _upright(self) -> Self:
        if self.base_mm >= self.top_mm:
            raise ValueError(f"base_mm: {self.name} begins higher than it ends. Say how high it reaches.")
        return self


class Blanket(Model):
    """Laid after_h hours from batching. r_m2_k_w: how well it insulates."""

    r_m2_k_w: Annotated[Number, Field(gt=0, le=10)] = 0.7
    after_h: Annotated[Number, Field(ge=0, le=72)] = 10.0


class PourDay(Model):
    """around: what shades. helps: what is done against drying. blanket: None is none. open_ground: grass or graded soil lies about, for the
    wind of a station. deep_c: of the ground 2.5 m down, None where nobody knows. lights: floats go on after dark."""

    around: Annotated[list[Surrounding], Field(max_length=60)] = []
    helps: Annotated[list[Help], Field(max_length=4)] = []
    blanket: Blanket | None = None
    open_ground: Literal["grass", "soil"] = "grass"
    deep_c: Annotated[Number, Field(ge=-20, le=40)] | None = None
    lights: StrictBool = False
