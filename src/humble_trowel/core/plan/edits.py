"""Every edit of a plan, as data: what the screens send, what a revision records, what is re-applied after a clash.

An edit is Plan -> Plan. `apply` checks the result, so that no edit can leave a plan that could not be read again.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from pydantic import ValidationError

from humble_trowel.core.errors import EditError
from humble_trowel.core.plan import edge_edits, ground_edits, lines_edits, outline_edits, zone_edits
from humble_trowel.core.plan.carry_forms import follow_outline
from humble_trowel.core.plan.carry_parts import parts_on_outline
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.edit_kinds import (
    AcceptLaid,
    AddAlong,
    AddCorner,
    AddExisting,
    AddOpening,
    Edit,
    FormSides,
    Hold,
    KeepOutline,
    MoveCorner,
    RemoveAlong,
    RemoveBenchmark,
    RemoveBuildUp,
    RemoveCorner,
    RemoveEdgeType,
    RemoveExisting,
    RemoveOpening,
    RemoveSlabType,
    RemoveZone,
    ReplacePlan,
    RoundCorner,
    SetBenchmark,
    SetBuildUp,
    SetEdgeType,
    SetExisting,
    SetFall,
    SetFields,
    SetGround,
    SetSide,
    SetSideType,
    SetSlabType,
    SetWalk,
    SetZone,
    TakeOutline,
    Template,
    WalkZone,
)
from humble_trowel.core.plan.reading import anticlockwise, check_plan, plan_error, validate
from humble_trowel.core.plan.shape_edits import apply_shape

_FIELD_ROOTS = ("name", "client", "units", "contact", "site", "mix", "order", "ways")


def apply(plan: Plan, edits: Sequence[Edit]) -> tuple[Plan, str]:
    """Apply edits in order. Returns the checked plan and the summary of the last; raises PlanError, EditError, ..."""
    summary = "Nothing changed"
    for edit in edits:
        try:
            before = plan
            plan, summary = _apply(plan, edit)
            if not isinstance(edit, ReplacePlan):
                plan = parts_on_outline(before, follow_outline(before, plan))
        except ValidationError as error:
            raise plan_error(error) from None
    plan = anticlockwise(validate(plan.model_dump()))
    check_plan(plan)
    return plan, summary


def _apply(plan: Plan, edit: Edit) -> outline_edits.Edited:
    o, z, e, f, g = outline_edits, zone_edits, edge_edits, lines_edits, ground_edits
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
            return e.set_edge_type(
                plan,
                edit.mark,
                edit.kind,
                edit.depth,
                edit.bottom_width,
                edit.degrees,
                edit.text,
                edit.faces(),
                edit.veneer,
            )
        case RemoveEdgeType():
            return e.remove_edge_type(plan, edit.mark)
        case SetSideType():
            return e.set_side_type(plan, list(edit.sides), edit.type)
        case AddAlong():
            return e.add_along(plan, edit.text, edit.grow, edit.type)
        case RemoveAlong():
            return e.remove_along(plan, edit.row)
        case AddExisting():
            return f.add_existing(plan, edit.name, edit.what, edit.text, edit.ring, edit.level)
        case SetExisting():
            return f.set_existing(plan, edit.index, {str(key): value for key, value in edit.changes.items()})
        case RemoveExisting():
            return f.remove_existing(plan, edit.index)
        case Hold():
            return f.hold(plan, edit.side, edit.existing, edit.lot_line, edit.margin)
        case FormSides():
            return f.form_sides(plan, list(edit.sides), {str(key): value for key, value in edit.changes.items()})
        case RoundCorner():
            return f.round_corner(plan, edit.corner, edit.radius)
        case TakeOutline():
            return f.take_outline(_with_a_slab(plan), edit.ring, edit.openings, edit.existing, edit.source)
        case AcceptLaid():
            return f.accept_laid(plan, edit.ring)
        case SetBuildUp():
            return g.set_build_up(plan, edit.slab, edit.heated, list(edit.layers), edit.space)
        case RemoveBuildUp():
            return g.remove_build_up(plan, edit.slab)
        case SetBenchmark():
            return g.set_benchmark(plan, edit.index, edit.name, edit.level, edit.what, edit.at)
        case RemoveBenchmark():
            return g.remove_benchmark(plan, edit.index)
        case SetGround():
            return g.set_ground(plan, {str(key): value for key, value in edit.changes.items()})
        case SetFall():
            return g.set_fall(plan, edit.index, edit.kind, edit.model_dump())
        case SetFields():
            return _set_fields(plan, edit.values)
        case ReplacePlan():
            return validate(dict(edit.document)), edit.summary
        case _:
            return apply_shape(plan, edit)


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
