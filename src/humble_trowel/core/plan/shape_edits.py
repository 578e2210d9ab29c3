"""Which edit of the slab's shape does what: one row for every kind in shape_edit_kinds.py."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from humble_trowel.core.errors import EditError
from humble_trowel.core.plan import beam_edits, existing_levels, pad_edits, recess_edits, top_edits
from humble_trowel.core.plan import shape_edit_kinds as kinds
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.outline_edits import Edited

_NAMES = {
    "beams": "beam", "pads": "pad", "recesses": "recess", "side_pads": "pad beside the slab", "kerbs": "kerb",
    "piles": "row of piles",
}  # fmt: skip


def apply_shape(plan: Plan, edit: kinds.ShapeEdit) -> Edited:
    """Apply one edit. Raises EditError, CallError, LengthError or a validation error."""
    return _DOES[type(edit)](plan, edit)


def take_out(plan: Plan, edit: kinds.TakeOut) -> Edited:
    """Take rows out of a list, or a type with everything that has it."""
    if edit.what in ("beam_types", "pad_types"):
        users = edit.what.removesuffix("_types") + "s"
        types = [row for row in getattr(plan, edit.what) if row.mark != edit.mark]
        left = [row for row in getattr(plan, users) if row.type != edit.mark]
        return plan.model_copy(update={edit.what: types, users: left}), f"{edit.mark} taken out"
    rows = list(getattr(plan, edit.what))
    gone = set(edit.index)
    name = _NAMES[edit.what]
    if not gone or max(gone) >= len(rows):
        raise EditError(f"There is no such {name}.")
    left = [row for at, row in enumerate(rows) if at not in gone]
    words = f"A {name} taken out" if len(gone) == 1 else f"{len(gone)} {name}s taken out"
    return plan.model_copy(update={edit.what: left}), words


_DOES: dict[type, Callable[[Plan, Any], Edited]] = {
    kinds.SetBeamType: beam_edits.set_beam_type,
    kinds.AddBeam: beam_edits.add_beam,
    kinds.LayBeams: beam_edits.lay_beams,
    kinds.BeamsOnZones: beam_edits.beams_on_zones,
    kinds.MoveBeam: beam_edits.move_beam,
    kinds.SetPadType: pad_edits.set_pad_type,
    kinds.AddPads: pad_edits.add_pads,
    kinds.MovePad: pad_edits.move_pad,
    kinds.AddRecess: recess_edits.add_recess,
    kinds.SetRecess: recess_edits.set_recess,
    kinds.AddSidePad: top_edits.add_side_pad,
    kinds.SetSidePad: top_edits.set_side_pad,
    kinds.AddKerb: top_edits.add_kerb,
    kinds.SetKerb: top_edits.set_kerb,
    kinds.SetPiles: top_edits.set_piles,
    kinds.TakeOut: take_out,
    kinds.MeasureLevel: existing_levels.measure_level,
    kinds.ClearLevels: existing_levels.clear_levels,
    kinds.FollowSide: existing_levels.follow_side,
}
