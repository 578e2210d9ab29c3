"""Edits of recesses and box-outs: by a walk inside, or as a set-down along a side (a door, a threshold)."""

from __future__ import annotations

import math
from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    RecessId,
    SideId,
    Spot,
    Title,
    Typed,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.edits.outline import closed_ring, start_of
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of, unit
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.shape_parts import Recess
from humble_trowel.core.units import parse_length, say_depth, say_length


class AddRecess(EditBase):
    """A recess, with or without the slab dipping under it. By a closed walk or its corners; or along a side, from, width and inward."""

    op: Literal["add_recess"]
    name: Title = ""
    depth: Typed
    keeps_thickness: StrictBool = False
    text: Calls = ""
    polygon: Annotated[list[Spot], Field(min_length=3, max_length=200)] | None = None
    side: SideId | None = None
    start: Typed | None = None
    width: Typed | None = None
    inward: Typed | None = None

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        depth = parse_length(self.depth, plan.units, bare="in")
        if depth <= 0:
            raise EditError("How deep? A recess needs more than nothing.", "depth")
        if self.side is not None:
            polygon = self._set_down(plan, ring)
        elif self.polygon is not None:
            polygon = list(self.polygon)
        else:
            start = start_of(plan, self.text)
            polygon = closed_ring(plan, self.text, start if start is not None else ring[0])
        taken = {row.name for row in plan.recesses}
        first = "Set-down" if self.side is not None else "Recess"
        names = (f"{first} {k}" for k in range(len(taken) + 1, 999))
        name = self.name.strip() or next(name for name in names if name not in taken)
        row = Recess(name=name, polygon=polygon, depth_mm=depth, keeps_thickness=self.keeps_thickness)
        words = f"{name}, {say_depth(depth, plan.units)} deep"
        return plan.model_copy(update={"recesses": [*plan.recesses, row], "walk": None}), words

    def _set_down(self, plan: Plan, ring: list[XY]) -> list[XY]:
        side = side_at(plan, self.side or "")
        for key in ("start", "width", "inward"):
            if getattr(self, key) is None:
                said = {
                    "start": "Where along the side does it start?",
                    "width": "How wide is it?",
                    "inward": "How far in?",
                }
                raise EditError(said[key], key)
        a, b = side_of(ring, side)
        size = math.dist(a, b)
        start = parse_length(self.start or 0.0, plan.units)
        width = parse_length(self.width or 0.0, plan.units)
        inward = parse_length(self.inward or 0.0, plan.units, bare="in")
        if start + width > size + 1 or width <= 0 or inward <= 0:
            words = f"{side_name(side, len(ring))} is {say_length(size, plan.units)} long; this runs to {say_length(start + width, plan.units)}."
            raise EditError(words if width > 0 and inward > 0 else "It needs a width and a way in.", "width")
        ux, uy = unit(a, b)
        p, q = (a[0] + start * ux, a[1] + start * uy), (a[0] + (start + width) * ux, a[1] + (start + width) * uy)
        return [p, q, (q[0] - inward * uy, q[1] + inward * ux), (p[0] - inward * uy, p[1] + inward * ux)]


class SetRecess(EditBase):
    """Change a recess's name, depth, corners, or whether the slab dips under it."""

    op: Literal["set_recess"]
    recess: RecessId
    changes: dict[Literal["name", "depth_mm", "keeps_thickness", "polygon"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "recesses", self.recess, "recess")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        if "depth_mm" in changes:
            changes["depth_mm"] = parse_length(changes["depth_mm"], plan.units, bare="in")
            if changes["depth_mm"] <= 0:
                raise EditError("A recess needs more than nothing.", "depth_mm")
        row = Recess.model_validate({**plan.recesses[at].model_dump(), **changes}, context={"units": plan.units})
        said = f"{row.name}: {say_depth(row.depth_mm, plan.units)} deep"
        return with_row(plan, "recesses", at, row), f"{said}, slab dips" if row.keeps_thickness else said


RECESS_EDITS = (AddRecess, SetRecess)
