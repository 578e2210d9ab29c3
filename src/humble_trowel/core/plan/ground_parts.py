"""Keys of the ground stage in a job file: the build-up of each slab type, benchmarks, what was there before.

Levels are mm with 0 = finished top of the main slab, up positive.
"""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, StrictBool, model_validator

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Mark, Name, Note, Number, Point, Position

LayerKind = Literal["finish", "screed", "foam", "slab", "barrier", "blinding", "stone", "graded", "fill", "native"]
Space = Literal["living", "garage", "unheated", "outside"]
THICK = ("finish", "screed", "foam", "blinding", "stone", "graded", "fill")
LAYER_WORDS: dict[str, str] = {
    "finish": "floor finish",
    "screed": "screed",
    "foam": "foam",
    "slab": "slab",
    "barrier": "barrier",
    "blinding": "sand blinding",
    "stone": "clean stone",
    "graded": "graded stone",
    "fill": "fill",
    "native": "native soil",
}


class Layer(Row):
    """One layer. thickness_mm: of all but slab (its type's), barrier and native soil. stone: mark of the kit's stone.

    strength_kpa: of foam, at 10 % deformation as its maker states it."""

    kind: LayerKind
    thickness_mm: Length | None = None
    name: Note = ""
    strength_kpa: Annotated[Number, Field(gt=0, le=5000)] | None = None
    stone: Mark | None = None

    @model_validator(mode="after")
    def _thick_where_it_must_be(self) -> Self:
        if self.kind in THICK and not self.thickness_mm:
            raise ValueError(f"thickness_mm: {LAYER_WORDS[self.kind]} needs a thickness of more than nothing.")
        if self.kind not in THICK and self.thickness_mm:
            where = "is set with its slab type" if self.kind == "slab" else "has none"
            raise ValueError(f"thickness_mm: the thickness of {LAYER_WORDS[self.kind]} {where}.")
        return self


class BuildUp(Model):
    """Layers of a slab type, top to bottom. heated: warm from below or within. space: what stands on it; living space
    and heated slabs get a barrier."""

    slab: Mark
    heated: StrictBool = False
    space: Space | None = None
    layers: Annotated[list[Layer], Field(min_length=1, max_length=20)]

    @model_validator(mode="after")
    def _makes_sense(self) -> Self:
        kinds = [layer.kind for layer in self.layers]
        if kinds.count("slab") != 1:
            raise ValueError(f"layers: a stack holds the slab once; this one holds it {kinds.count('slab')} times.")
        if kinds[-1] != "native":
            last = LAYER_WORDS[kinds[-1]]
            raise ValueError(f"layers: the stack ends in air, under the {last}. End it on native soil.")
        if kinds.count("native") > 1:
            raise ValueError("layers: native soil is the end of a stack; it stands there once.")
        at = kinds.index("slab")
        for kind in kinds[:at]:
            if kind in ("blinding", "stone", "graded", "fill"):
                raise ValueError(f"layers: {LAYER_WORDS[kind]} lies over the slab. It goes under it.")
        for kind in kinds[at:]:
            if kind in ("finish", "screed"):
                raise ValueError(f"layers: {LAYER_WORDS[kind]} lies under the slab. It goes over it.")
        return self


class Benchmark(Row):
    """A mark that stays. level_mm over the surface that `of` names: the top of the main slab, or the finished floor over
    it (the top of its stack), so that a floor's mark moves with what lies over the slab."""

    name: Name
    level_mm: Position
    what: Literal["floor", "nail", "kerb", "cover", "other"] = "nail"
    of: Literal["slab", "floor"] = "slab"
    at: Point | None = None


class GroundNotes(Model):
    """found_mm: level of the ground before the work (null: from the ground along the forms). outside_is: what the levels
    typed along the forms are, undisturbed ground or fill that was or will be placed. on_hand_m3: loose stone."""

    benchmarks: Annotated[list[Benchmark], Field(max_length=60)] = []
    found_mm: Position | None = None
    outside_is: Literal["undisturbed", "fill"] | None = None
    strip_mm: Length | None = None
    bucket_mm: Length | None = None
    on_hand_m3: Annotated[Number, Field(ge=0, le=10_000)] = 0.0
    peg_spacing_mm: Length | None = None

    @model_validator(mode="after")
    def _names_of_their_own(self) -> Self:
        seen: set[str] = set()
        for row in self.benchmarks:
            if row.name.lower() in seen:
                raise ValueError(f"benchmarks: two are called {row.name}. Give each a name of its own.")
            seen.add(row.name.lower())
        return self
