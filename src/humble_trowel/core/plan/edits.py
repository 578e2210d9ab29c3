"""Every edit of a plan, as data: what the screens send, what a revision records, what is re-applied after a clash.

An edit is Plan -> Plan. `apply` checks the result, so that no edit can leave a plan that could not be read again.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from humble_trowel.core.errors import EditError
from humble_trowel.core.plan import edge_edits, outline_edits, zone_edits
from humble_trowel.core.plan.document import EdgeKind, Plan
from humble_trowel.core.plan.reading import anticlockwise, check_plan, plan_error, validate

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
    """changes: any of name, slab, drop_mm (may be text), fall, underside."""

    op: Literal["set_zone"]
    index: Index
    changes: dict[Literal["name", "slab", "drop_mm", "fall", "underside"], Any]


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
    | AddAlong | RemoveAlong | SetFields | ReplacePlan,
    Field(discriminator="op"),
]  # fmt: skip

_FIELD_ROOTS = ("name", "client", "units", "contact", "site", "mix", "order", "ways")


def apply(plan: Plan, edits: Sequence[Edit]) -> tuple[Plan, str]:
    """Apply edits in order. Returns the checked plan and the summary of the last; raises PlanError, EditError, ..."""
    summary = "Nothing changed"
    for edit in edits:
        try:
            plan, summary = _apply(plan, edit)
        except ValidationError as error:
            raise plan_error(error) from None
    plan = anticlockwise(validate(plan.model_dump()))
    check_plan(plan)
    return plan, summary


def _apply(plan: Plan, edit: Edit) -> outline_edits.Edited:
    o, z, e = outline_edits, zone_edits, edge_edits
    match edit:
        case SetWalk():
            return o.set_walk(plan, edit.kind, edit.text)
        case KeepOutline():
            return o.keep_outline(_with_a_slab(plan), edit.text)
        case Template():
            return o.template(_with_a_slab(plan), edit.shape, list(edit.sizes))
        case MoveCorner():
            return o.move_corner(plan, edit.corner, edit.x_mm, edit.y_mm, edit.square)
        case SetSide():
            return o.set_side(plan, edit.side, edit.length, edit.moves)
        case AddCorner():
            return o.add_corner(plan, edit.side, edit.at_mm)
        case RemoveCorner():
            return o.remove_corner(plan, edit.corner)
        case AddOpening():
            return o.add_opening(plan, edit.text)
        case RemoveOpening():
            return o.remove_opening(plan, edit.index)
        case SetSlabType():
            return z.set_slab_type(plan, edit.mark, edit.thickness)
        case RemoveSlabType():
            return z.remove_slab_type(plan, edit.mark)
        case WalkZone():
            return z.walk_zone(plan, edit.text, edit.name, edit.slab, edit.drop)
        case SetZone():
            return z.set_zone(plan, edit.index, {str(key): value for key, value in edit.changes.items()})
        case RemoveZone():
            return z.remove_zone(plan, edit.index)
        case SetEdgeType():
            return e.set_edge_type(plan, edit.mark, edit.kind, edit.depth, edit.bottom_width, edit.degrees, edit.text)
        case RemoveEdgeType():
            return e.remove_edge_type(plan, edit.mark)
        case SetSideType():
            return e.set_side_type(plan, list(edit.sides), edit.type)
        case AddAlong():
            return e.add_along(plan, edit.text, edit.grow, edit.type)
        case RemoveAlong():
            return e.remove_along(plan, edit.row)
        case SetFields():
            return _set_fields(plan, edit.values)
        case ReplacePlan():
            return validate(dict(edit.document)), edit.summary


def _with_a_slab(plan: Plan) -> Plan:
    """A first outline needs a slab type and a zone: 4 in or 100 mm until somebody says otherwise."""
    data: dict[str, Any] = {}
    if not plan.slab_types:
        data["slab_types"] = [{"mark": "S1", "thickness_mm": 101.6 if plan.units == "ft-in" else 100.0}]
    if not plan.zones:
        mark = plan.slab_types[0].mark if plan.slab_types else "S1"
        data["zones"] = [{"name": "Slab", "slab": mark, "polygon": None}]
    return validate({**plan.model_dump(), **data}) if data else plan


def _set_fields(plan: Plan, values: dict[str, Any]) -> outline_edits.Edited:
    data = plan.model_dump()
    for path, value in values.items():
        keys = path.split(".")
        if keys[0] not in _FIELD_ROOTS:
            raise EditError(f"{path} is not a field that can be set.", path)
        at: Any = data
        for key in keys[:-1]:
            if at.get(key) is None:
                at[key] = {}
            at = at[key]
            if not isinstance(at, dict):
                raise EditError(f"{path} is not a field that can be set.", path)
        at[keys[-1]] = value
    edited = validate(data)
    names = ", ".join(path.split(".")[-1].removesuffix("_mm").replace("_", " ") for path in values)
    return edited, f"{names[0].upper()}{names[1:]} set"
