"""What lies buried under the slab, as it stands in a job file: pipes, cables and what comes up. Lengths are mm."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Name, Note, Number, Path, Point, Position, Ring, Size

ServiceKind = Literal["drain", "land-drain", "supply", "conduit", "gas", "ground", "air"]
RiserKind = Literal[
    "drain", "floor-drain", "floor-sink", "supply", "conduit", "box", "gas", "ground", "air", "manifold", "column",
    "other",
]  # fmt: skip
BarrierEdge = Literal["up", "taped", "flat"]
FoamPlace = Literal["under", "edge", "wing", "ring"]
FoamKind = Literal["XPS", "EPS_II", "EPS_IX", "SPRAY"]
TreatmentKind = Literal["termite", "radon", "gas"]
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


class Barrier(Model):
    """How the barrier lies on this job; null: as the crew does. runs: which way its sheets unroll. open_row: a sheet that
    stays rolled back so that the truck can come in, until open_load is emptied. No barrier at all is no layer of the
    build-up."""

    roll_wide_mm: Size | None = None
    roll_long_mm: Size | None = None
    lap_mm: Size | None = None
    edge: BarrierEdge | None = None
    turn_up_mm: Length | None = None
    runs: Literal["least", "along", "across"] = "least"
    open_row: Annotated[int, Field(ge=1, le=99)] | None = None
    open_load: Annotated[int, Field(ge=1, le=99)] | None = None


class FoamBoards(Model):
    """The foam of one kind of place; null: as the crew does. what: under the slab, at its edge, lying flat outside of it, or
    round columns. board_*: as bought. ply_mm: of one board where several lie on each other. within_mm: how far sprayed foam
    may stray from its thickness. wing_mm: how far foam that lies flat reaches out from the edge; none lies there without it."""

    what: FoamPlace
    kind: FoamKind | None = None
    board_long_mm: Size | None = None
    board_wide_mm: Size | None = None
    ply_mm: Size | None = None
    within_mm: Length | None = None
    wing_mm: Size | None = None


class Treatment(Row):
    """What the site asks for under the slab beside plastic and foam. paper: what is kept of it. done_on: the day it was done."""

    kind: TreatmentKind
    paper: Note = ""
    note: Note = ""
    done_on: date | None = None


class HeatedRoom(Row):
    """A room that is warmed. zone: id of the zone that it is, or a ring of its own that was walked."""

    name: Name
    zone: Annotated[str, Field(max_length=24)] = ""
    ring: Ring | None = None

    @model_validator(mode="after")
    def _somewhere(self) -> Self:
        if bool(self.zone) == (self.ring is not None):
            raise ValueError("zone: a heated room is a zone or has a ring of its own, one of them.")
        return self


class Tubing(Model):
    """The tube. size_mm: as sold. spacing_mm: in the field; walls_mm: along outside walls, over wall_width_mm. high_mm: its
    middle over the slab's underside. keep_mm: from the slab's edge. manifold: id of its riser, the first where none is named.
    longest_mm: of a loop with its leaders; bend_mm: radius. null: by its size. rise_mm: of each end up to the manifold."""

    size_mm: Size = 12.7
    spacing_mm: Size = 304.8
    walls_mm: Size | None = None
    wall_width_mm: Length = 609.6
    pattern: Literal["serpentine", "spiral"] = "serpentine"
    high_mm: Length = 38.1
    keep_mm: Length = 152.4
    manifold: Annotated[str, Field(max_length=24)] = ""
    longest_mm: Size | None = None
    bend_mm: Size | None = None
    rise_mm: Length = 1219.2


class Underslab(Model):
    """Everything buried. face_mm: how far in from the slab's edge the finished face of the outside walls stands.
    climate_zone, energy_code: zone and edition of the energy code that is in force. load_kpa: on the floor."""

    barrier: Barrier = Barrier()
    foam: Annotated[list[FoamBoards], Field(max_length=4)] = []
    treatments: Annotated[list[Treatment], Field(max_length=20)] = []
    heated: Annotated[list[HeatedRoom], Field(max_length=40)] = []
    tubing: Tubing = Tubing()
    climate_zone: Literal["1", "2", "3", "4", "4M", "5", "6", "7", "8"] | None = None
    energy_code: Literal["2009", "2012", "2015", "2018", "2021", "2024"] | None = None
    load_kpa: Annotated[Number, Field(ge=0, le=1000)] | None = None
    services: Annotated[list[Service], Field(max_length=120)] = []
    risers: Annotated[list[Riser], Field(max_length=300)] = []
    face_mm: Length = 0.0
