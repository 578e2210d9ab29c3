"""Edits of recesses and box-outs: by a walk inside, or as a set-down along a side (a door, a threshold)."""

from __future__ import annotations

import math

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.outline_edits import Edited, closed_ring, ring_needed, start_of
from humble_trowel.core.plan.shape_edit_kinds import AddRecess, SetRecess
from humble_trowel.core.plan.shape_parts import Recess
from humble_trowel.core.units import parse_length, say_depth, say_length


def add_recess(plan: Plan, edit: AddRecess) -> Edited:
    """A recess, with or without the slab dipping under it."""
    ring = ring_needed(plan)
    depth = parse_length(edit.depth, plan.units, bare="in")
    if depth <= 0:
        raise EditError("How deep? A recess needs more than nothing.", "depth")
    if edit.side is not None:
        polygon = _set_down(plan, edit, ring)
    elif edit.polygon is not None:
        polygon = list(edit.polygon)
    else:
        start = start_of(plan, edit.text)
        polygon = closed_ring(plan, edit.text, start if start is not None else ring[0])
    taken = {row.name for row in plan.recesses}
    first = "Set-down" if edit.side is not None else "Recess"
    names = (f"{first} {k}" for k in range(len(taken) + 1, 999))
    name = edit.name.strip() or next(name for name in names if name not in taken)
    row = Recess(name=name, polygon=polygon, depth_mm=depth, keeps_thickness=edit.keeps_thickness)
    words = f"{name}, {say_depth(depth, plan.units)} deep"
    return plan.model_copy(update={"recesses": [*plan.recesses, row], "walk": None}), words


def _set_down(plan: Plan, edit: AddRecess, ring: list[XY]) -> list[XY]:
    side = edit.side or 0
    if side >= len(ring):
        raise EditError(f"There is no side {side}.", "side")
    for key in ("start", "width", "inward"):
        if getattr(edit, key) is None:
            said = {"start": "Where along the side does it start?", "width": "How wide is it?", "inward": "How far in?"}
            raise EditError(said[key], key)
    a, b = ring[side], ring[(side + 1) % len(ring)]
    size = math.dist(a, b)
    start = parse_length(edit.start or 0.0, plan.units)
    width = parse_length(edit.width or 0.0, plan.units)
    inward = parse_length(edit.inward or 0.0, plan.units, bare="in")
    if start + width > size + 1 or width <= 0 or inward <= 0:
        words = f"{side_name(side, len(ring))} is {say_length(size, plan.units)} long; this runs to {say_length(start + width, plan.units)}."
        raise EditError(words if width > 0 and inward > 0 else "It needs a width and a way in.", "width")
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    p, q = (a[0] + start * ux, a[1] + start * uy), (a[0] + (start + width) * ux, a[1] + (start + width) * uy)
    return [p, q, (q[0] - inward * uy, q[1] + inward * ux), (p[0] - inward * uy, p[1] + inward * ux)]


def set_recess(plan: Plan, edit: SetRecess) -> Edited:
    """Change a recess's name, depth, corners, or whether the slab dips under it."""
    if edit.index >= len(plan.recesses):
        raise EditError("There is no such recess.")
    changes = {str(key): value for key, value in edit.changes.items()}
    if "depth_mm" in changes:
        changes["depth_mm"] = parse_length(changes["depth_mm"], plan.units, bare="in")
        if changes["depth_mm"] <= 0:
            raise EditError("A recess needs more than nothing.", "depth_mm")
    row = Recess.model_validate({**plan.recesses[edit.index].model_dump(), **changes}, context={"units": plan.units})
    rows = [row if at == edit.index else old for at, old in enumerate(plan.recesses)]
    said = f"{row.name}: {say_depth(row.depth_mm, plan.units)} deep"
    return plan.model_copy(update={"recesses": rows}), f"{said}, slab dips" if row.keeps_thickness else said
