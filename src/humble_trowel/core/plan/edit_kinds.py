"""The kinds of edits, as data. What each does stands in edits.py and the *_edits.py beside it."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.plan.document import Existing, LotLine
from humble_trowel.core.plan.shape_edit_kinds import ShapeEdit
from humble_trowel.core.plan.shape_parts import EdgeKind

Said = Annotated[str, Field(max_length=200)] | float
Calls = Annotated[str, Field(max_length=4000)]
Index = Annotated[int, Field(ge=0, le=400)]
Coordinate = Annotated[float, Field(gt=-1e6, lt=1e6, allow_inf_nan=False)]
Mark = Annotated[str, Field(min_length=1, max_length=12)]


class _Edit(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class SetWalk(_Edit):
    op: Literal["set_walk"]
    kind: Literal["outline", "zone", "opening"] = "outline"
    text: Calls


class KeepOutline(_Edit):
    op: Literal["keep_outline"]
    text: Calls


class Template(_Edit):
    op: Literal["template"]
    shape: Literal["rectangle", "L", "T"]
    sizes: Annotated[list[Said], Field(min_length=2, max_length=4)]


class MoveCorner(_Edit):
    op: Literal["move_corner"]
    corner: Index
    x_mm: Coordinate
    y_mm: Coordinate
    square: bool = True


class SetSide(_Edit):
    op: Literal["set_side"]
    side: Index
    length: Said
    moves: Literal["start", "end"] = "end"


class AddCorner(_Edit):
    op: Literal["add_corner"]
    side: Index
    at_mm: float | None = None


class RemoveCorner(_Edit):
    op: Literal["remove_corner"]
    corner: Index


class AddOpening(_Edit):
    op: Literal["add_opening"]
    text: Calls


class RemoveOpening(_Edit):
    op: Literal["remove_opening"]
    index: Index


class SetSlabType(_Edit):
    op: Literal["set_slab_type"]
    mark: Mark
    thickness: Said


class RemoveSlabType(_Edit):
    op: Literal["remove_slab_type"]
    mark: Mark


class WalkZone(_Edit):
    op: Literal["walk_zone"]
    text: Calls
    name: Annotated[str, Field(max_length=120)] = ""
    slab: Mark | None = None
    drop: Said = 0.0


class SetZone(_Edit):
    """changes: any of name, slab, drop_mm (may be text), fall, underside, use."""

    op: Literal["set_zone"]
    index: Index
    changes: dict[Literal["name", "slab", "drop_mm", "fall", "underside", "use"], Any]


class RemoveZone(_Edit):
    op: Literal["remove_zone"]
    index: Index


class SetEdgeType(_Edit):
    op: Literal["set_edge_type"]
    mark: Mark
    kind: EdgeKind | None = None
    depth: Said | None = None
    bottom_width: Said | None = None
    degrees: float | None = None
    text: Annotated[str, Field(max_length=200)] = ""
    foam: Said | None = None
    isolation: Said | None = None
    plate: Said | None = None
    plate_over: Said | None = None
    veneer: bool | None = None

    def faces(self) -> dict[str, str | float]:
        """What is said of foam, isolation and sill plate, under the job file's names."""
        said = {
            "foam_mm": self.foam,
            "isolation_mm": self.isolation,
            "plate_mm": self.plate,
            "plate_over_mm": self.plate_over,
        }
        return {key: value for key, value in said.items() if value is not None}


class RemoveEdgeType(_Edit):
    op: Literal["remove_edge_type"]
    mark: Mark


class SetSideType(_Edit):
    op: Literal["set_side_type"]
    sides: Annotated[list[Index], Field(min_length=1, max_length=200)]
    type: Mark | None


class AddAlong(_Edit):
    op: Literal["add_along"]
    text: Calls
    grow: Literal["left", "right"]
    type: Mark


class RemoveAlong(_Edit):
    op: Literal["remove_along"]
    row: Index


Kind = Literal["slab", "wall", "walk", "kerb", "other"]
Spot = tuple[Coordinate, Coordinate]
Corners = Annotated[list[Spot], Field(min_length=3, max_length=200)]


class AddExisting(_Edit):
    """Something beside the work: by a walk in `text`, or by its corners in mm."""

    op: Literal["add_existing"]
    name: Annotated[str, Field(max_length=120)] = ""
    what: Kind = "slab"
    text: Calls = ""
    ring: Corners | None = None
    level: Said = 0.0


class SetExisting(_Edit):
    op: Literal["set_existing"]
    index: Index
    changes: dict[Literal["name", "what", "level_mm"], Any]


class RemoveExisting(_Edit):
    op: Literal["remove_existing"]
    index: Index


class Hold(_Edit):
    """What is set out from: a side, the face of something that stands, or a line of its own. margin: of the base past the forms, null = as it was."""

    op: Literal["hold"]
    side: Index | None = None
    existing: Index | None = None
    lot_line: LotLine | None = None
    margin: Said | None = None


class FormSides(_Edit):
    """changes: any of ground, build, boards, backfilled, left_out."""

    op: Literal["form_sides"]
    sides: Annotated[list[Index], Field(min_length=1, max_length=200)]
    changes: dict[Literal["ground", "build", "boards", "backfilled", "left_out"], Any]


class RoundCorner(_Edit):
    op: Literal["round_corner"]
    corner: Index
    radius: Said


class TakeOutline(_Edit):
    """An outline read from a file of points; source: the file's name."""

    op: Literal["take_outline"]
    ring: Corners
    openings: Annotated[list[Corners], Field(max_length=100)] = []
    existing: Annotated[list[Existing], Field(max_length=60)] = []
    source: Annotated[str, Field(max_length=120)] = ""


class AcceptLaid(_Edit):
    op: Literal["accept_laid"]
    ring: Corners


class SetBuildUp(_Edit):
    """layers: top to bottom, as Layer in the job file; thickness_mm and strength_kpa may be text."""

    op: Literal["set_build_up"]
    slab: Mark
    heated: bool = False
    space: Literal["living", "garage", "unheated", "outside"] | None = None
    layers: Annotated[list[dict[str, Any]], Field(min_length=1, max_length=20)]


class RemoveBuildUp(_Edit):
    op: Literal["remove_build_up"]
    slab: Mark


class SetBenchmark(_Edit):
    """index: null for a new one. level: '8 1/2 in below', 'floor', or mm."""

    op: Literal["set_benchmark"]
    index: Index | None = None
    name: Annotated[str, Field(max_length=120)]
    level: Said
    what: Literal["floor", "nail", "kerb", "cover", "other"] = "nail"
    at: Spot | None = None


class RemoveBenchmark(_Edit):
    op: Literal["remove_benchmark"]
    index: Index


class SetGround(_Edit):
    """changes: as typed; null forgets."""

    op: Literal["set_ground"]
    changes: dict[
        Literal["found_mm", "outside_is", "strip_mm", "bucket_mm", "on_hand_m3", "peg_spacing_mm"], Said | None
    ]


class SetFall(_Edit):
    """side or bearing: with rate ('1/8 in per ft', '1 %', '1 in 80'). drain: with at and depth."""

    op: Literal["set_fall"]
    index: Index
    kind: Literal["none", "side", "bearing", "drain"]
    side: Index | None = None
    toward_deg: Annotated[float, Field(ge=-360, le=360)] | None = None
    rate: Said | None = None
    at: Spot | None = None
    depth: Said | None = None
    underside: Literal["parallel", "level"] | None = None


class SetFields(_Edit):
    """values: by key path, under name, client, units, contact, site, mix, order, ways ('site.directions')."""

    op: Literal["set_fields"]
    values: Annotated[dict[str, Any], Field(min_length=1, max_length=40)]


class ReplacePlan(_Edit):
    """The whole document, as when an older revision is fetched back."""

    op: Literal["replace_plan"]
    document: dict[str, Any]
    summary: Annotated[str, Field(max_length=200)] = "Plan replaced"


Edit = Annotated[
    SetWalk | KeepOutline | Template | MoveCorner | SetSide | AddCorner | RemoveCorner | AddOpening | RemoveOpening
    | SetSlabType | RemoveSlabType | WalkZone | SetZone | RemoveZone | SetEdgeType | RemoveEdgeType | SetSideType
    | AddAlong | RemoveAlong | AddExisting | SetExisting | RemoveExisting | Hold | FormSides | RoundCorner
    | TakeOutline | AcceptLaid | SetBuildUp | RemoveBuildUp | SetBenchmark | RemoveBenchmark | SetGround | SetFall | SetFields | ReplacePlan | ShapeEdit,
    Field(discriminator="op"),
]  # fmt: skip
