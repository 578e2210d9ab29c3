"""What lies buried under the slab, as it stands in a job file: pipes, cables and what comes up. Lengths are mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Note, Number, Path, Point, Position, Size

ServiceKind = Literal["drain", "land-drain", "supply", "conduit", "gas", "ground", "air"]
RiserKind = Literal[
    "drain", "floor-drain", "floor-sink", "supply", "conduit", "box", "gas", "ground", "air", "manifold", "column",
    "other",
]  # fmt: skip
Guessable = Literal["start_mm", "fall"]


class Service(Row):
    """A run. size_mm: as it is sold. path: of a drain from its high end the way it falls. start_mm: level of the pipe's
    bottom at the path's start, 0 is the finished top of the main slab; a rod stands on it. fall: down along the path, rise
    over run. wrap_mm: insulation round it all along; through_mm: wrap where it passes through concrete. sleeve_mm: its
    sleeves as sold, null for two sizes larger. to: where it leaves to. guessed: what nobody said yet."""

    name: Name
    kind: ServiceKind
    size_mm: Size
    path: Path
    start_mm: Position
    fall: Number = Field(default=0.0, ge=-0.5, le=0.5)
    wrap_mm: Length = 0.0
    through_mm: Length = 0.0
    sleeve_mm: Length | None = None
    to: Note = ""
    guessed: Annotated[list[Guessable], Field(max_length=4)] = []


class Riser(Row):
    """What comes up through the slab. size_mm: as it is sold, of a box or column its width. faces: ids of the two sides
    whose finished faces it is measured from, the nearest ones where none are named. ring_mm: foam round a column.
    mends: who moves it when it is off."""

    name: Name
    kind: RiserKind
    at: Point
    size_mm: Size
    faces: Annotated[list[Annotated[str, Field(max_length=24)]], Field(max_length=2)] = []
    ring_mm: Length = 0.0
    mends: Note = ""


class Underslab(Model):
    """Everything buried. face_mm: how far in from the slab's edge the finished face of the outside walls stands."""

    services: Annotated[list[Service], Field(max_length=120)] = []
    risers: Annotated[list[Riser], Field(max_length=300)] = []
    face_mm: Length = 0.0
