"""Edits of how the slab is set out and formed: what is held, how far the base runs past, how sides are formed."""

from __future__ import annotations

import math
from typing import Annotated, Any, Literal

from pydantic import Field
from shapely.geometry import LineString, Polygon

from humble_trowel.core.edits.base import EditBase, Edited, ExistingId, SideId, Typed, ring_needed, side_at
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.ring import sides_of
from humble_trowel.core.plan.document import FormRow, LotLine, Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.units import parse_length, say_length


class Hold(EditBase):
    """What everything is set out from: a side, the face of something that stands, or a line of its own; all null:
    the first side. margin: of the base past the forms, null = as it was."""

    op: Literal["hold"]
    side: SideId | None = None
    existing: ExistingId | None = None
    lot_line: LotLine | None = None
    margin: Typed | None = None

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        side = None if self.side is None else side_at(plan, self.side)
        line = self.lot_line if self.existing is None else _face(plan, self.existing)
        changes: dict[str, Any] = {"hold_side": side, "lot_line": line}
        words = f"{line.name if line else side_name(side or 0, len(ring))} held"
        if self.margin is not None:
            changes["base_margin_mm"] = parse_length(self.margin, plan.units, bare="in")
            words = f"Base {say_length(changes['base_margin_mm'], plan.units)} past the forms"
        return plan.model_copy(update={"set_out": plan.set_out.model_copy(update=changes)}), words


def _face(plan: Plan, existing: str) -> LotLine:
    """The face of something that stands which lies nearest to the slab, with the slab on its left."""
    thing = plan.existing[place_of(plan, "existing", existing, "existing")]
    ring = Polygon(plan.outline)
    faces = list(sides_of(thing.polygon))
    a, b = min(faces, key=lambda face: (round(LineString(face).distance(ring), 1), -math.dist(*face)))
    middle = ring.representative_point()
    if (b[0] - a[0]) * (middle.y - a[1]) - (b[1] - a[1]) * (middle.x - a[0]) < 0:
        a, b = b, a
    return LotLine(name=thing.name, start=a, end=b)


class FormSides(EditBase):
    """Say how sides are formed; they leave the rows they stood in. Unset keys stay as they were for the first side."""

    op: Literal["form_sides"]
    sides: Annotated[list[SideId], Field(min_length=1, max_length=200)]
    changes: dict[Literal["ground", "build", "boards", "backfilled", "left_out"], Any]

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        sides = [side_at(plan, side, "sides") for side in self.sides]
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        was = next((row for row in plan.forms if sides[0] in row.sides), None)
        data = was.model_dump() if was else {}
        if was and not set(was.sides) <= set(sides):
            data["id"] = ""  # the rest of that row keeps its name
        if isinstance(changes.get("ground"), str):
            changes["ground"] = read_ground(changes["ground"], plan)
        new = FormRow.model_validate({**data, **changes, "sides": sorted(set(sides))}, context={"units": plan.units})
        rows = []
        for row in plan.forms:
            left = [side for side in row.sides if side not in new.sides]
            if left:
                rows.append(row if left == row.sides else row.model_copy(update={"sides": left}))
        if new.model_copy(update={"id": "", "sides": [0]}) != FormRow(sides=[0]):
            rows.append(new)
        names = side_name(sides[0], len(ring)) if len(sides) == 1 else f"{len(sides)} sides"
        ordered = sorted(rows, key=lambda row: row.sides[0])
        return plan.model_copy(update={"forms": ordered}), f"Form of {names} set"


def read_ground(text: str, plan: Plan) -> list[dict[str, float]]:
    """'9" at 0, 12" at 18\', 17" at 36\'' as levels along a side; depths are below the finished top. '' forgets them."""
    rows = []
    for part in filter(None, (bit.strip() for bit in text.replace(";", ",").split(","))):
        depth, _, station = part.partition(" at ")
        if not station.strip():
            example = '9" at 0, 12" at 18\', 17" at 36\'' if plan.units == "ft-in" else "230 at 0, 300 at 5500"
            raise CallError(f"Cannot read '{part}'. Say the ground like {example}.", path="ground")
        sign = -1.0 if depth.strip().startswith("-") else 1.0
        below = sign * parse_length(depth.strip().lstrip("-"), plan.units, bare="in")
        at_mm = 0.0 if station.strip() in ("0", "start") else parse_length(station, plan.units, bare="ft")
        rows.append({"at_mm": at_mm, "level_mm": -below})
    return sorted(rows, key=lambda row: row["at_mm"])


FORM_EDITS = (Hold, FormSides)
