"""Edits of beams, pads, recesses, what comes on top and what stands under, as data. What each does: shape_edits.py.

Sizes are as a person types them ('16 in', '11' 6"', 400); `text` calls several at once ('12 wide 18 deep 45').
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

Said = Annotated[str, Field(max_length=200)] | float
Calls = Annotated[str, Field(max_length=4000)]
Index = Annotated[int, Field(ge=0, le=400)]
Coordinate = Annotated[float, Field(gt=-1e6, lt=1e6, allow_inf_nan=False)]
Mark = Annotated[str, Field(min_length=1, max_length=12)]
Spot = tuple[Coordinate, Coordinate]
Spots = Annotated[list[Spot], Field(min_length=2, max_length=200)]
Title = Annotated[str, Field(max_length=120)]
Short = Annotated[str, Field(max_length=200)]


class ShapeEditBase(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class SetBeamType(ShapeEditBase):
    op: Literal["set_beam_type"]
    mark: Mark
    width: Said | None = None
    depth: Said | None = None
    degrees: float | None = None
    text: Short = ""


class AddBeam(ShapeEditBase):
    """A centreline by a walk from a corner, or by its points in mm."""

    op: Literal["add_beam"]
    type: Mark
    text: Calls = ""
    path: Spots | None = None


class LayBeams(ShapeEditBase):
    """Beams parallel to a side, from wall to wall: every `spacing`, or after each of `bays` ('9 ft, 14 ft, 14 ft')."""

    op: Literal["lay_beams"]
    type: Mark
    side: Index
    spacing: Said | None = None
    bays: Short = ""


class BeamsOnZones(ShapeEditBase):
    """Beams under the borders between zones."""

    op: Literal["beams_on_zones"]
    type: Mark


class MoveBeam(ShapeEditBase):
    op: Literal["move_beam"]
    index: Index
    path: Spots


class SetPadType(ShapeEditBase):
    """text: '30 sq 16 deep', '30 by 36 16 deep', '24 round 48 deep'."""

    op: Literal["set_pad_type"]
    mark: Mark
    shape: Literal["rectangle", "round"] | None = None
    width: Said | None = None
    length: Said | None = None
    diameter: Said | None = None
    depth: Said | None = None
    text: Short = ""


class AddPads(ShapeEditBase):
    """At points in mm, at the end of a walk from a corner, at every beam crossing, or on a grid from a corner whose
    bays run along its sides ('9 ft, 14 ft')."""

    op: Literal["add_pads"]
    type: Mark
    at: Annotated[list[Spot], Field(max_length=400)] = []
    text: Calls = ""
    crossings: bool = False
    corner: Index | None = None
    bays_x: Short = ""
    bays_y: Short = ""
    turn_deg: float = 0.0


class MovePad(ShapeEditBase):
    op: Literal["move_pad"]
    index: Index
    at: Spot | None = None
    turn_deg: float | None = None


class AddRecess(ShapeEditBase):
    """By a closed walk or its corners; or along a side, from, width and inward."""

    op: Literal["add_recess"]
    name: Title = ""
    depth: Said
    keeps_thickness: bool = False
    text: Calls = ""
    polygon: Annotated[list[Spot], Field(min_length=3, max_length=200)] | None = None
    side: Index | None = None
    start: Said | None = None
    width: Said | None = None
    inward: Said | None = None


class SetRecess(ShapeEditBase):
    op: Literal["set_recess"]
    index: Index
    changes: dict[Literal["name", "depth_mm", "keeps_thickness", "polygon"], Any]


class AddSidePad(ShapeEditBase):
    op: Literal["add_side_pad"]
    name: Title = ""
    text: Calls
    thickness: Said
    top: Said = 0.0


class SetSidePad(ShapeEditBase):
    op: Literal["set_side_pad"]
    index: Index
    changes: dict[Literal["name", "thickness_mm", "top_mm"], Any]


class AddKerb(ShapeEditBase):
    """On top along sides (its outer face on the edge), or along a walk. text of sizes: '6 wide 8 high'."""

    op: Literal["add_kerb"]
    name: Title = ""
    sides: Annotated[list[Index], Field(max_length=200)] = []
    text: Calls = ""
    width: Said
    height: Said


class SetKerb(ShapeEditBase):
    """leave_outs: 'from 4 ft to 7 ft, from 12 ft to 15 ft' along its middle; '' for none."""

    op: Literal["set_kerb"]
    index: Index
    changes: dict[Literal["name", "width_mm", "height_mm", "leave_outs"], Any]


class SetPiles(ShapeEditBase):
    """index: null for new ones. at: points in mm; pads: one under every pad."""

    op: Literal["set_piles"]
    index: Index | None = None
    name: Title = ""
    diameter: Said | None = None
    head_down: Said | None = None
    least_above: Said | None = None
    least_below: Said | None = None
    at: Annotated[list[Spot], Field(max_length=400)] = []
    text: Calls = ""
    pads: bool = False


class TakeOut(ShapeEditBase):
    """Rows of one list, by index; of a type, by its mark."""

    op: Literal["take_out"]
    what: Literal["beams", "pads", "recesses", "side_pads", "kerbs", "piles", "beam_types", "pad_types"]
    index: Annotated[list[Index], Field(max_length=400)] = []
    mark: Mark | None = None


class MeasureLevel(ShapeEditBase):
    """A level measured on what stands against a side, `along` from its first corner. level: '3/8 in below', mm."""

    op: Literal["measure_level"]
    side: Index
    along: Said
    level: Said


class ClearLevels(ShapeEditBase):
    op: Literal["clear_levels"]
    existing: Index


class FollowSide(ShapeEditBase):
    """The zone beside a side takes the fall and level of the floor measured along it."""

    op: Literal["follow_side"]
    side: Index


ShapeEdit = (
    SetBeamType | AddBeam | LayBeams | BeamsOnZones | MoveBeam | SetPadType | AddPads | MovePad | AddRecess | SetRecess
    | AddSidePad | SetSidePad | AddKerb | SetKerb | SetPiles | TakeOut | MeasureLevel | ClearLevels | FollowSide
)  # fmt: skip
