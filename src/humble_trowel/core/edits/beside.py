"""Edits of what stands beside the work: drawn, changed, measured out of level, and a zone that follows its levels."""

from __future__ import annotations

import math
from typing import Any, Literal

from shapely.geometry import LineString, Polygon

from humble_trowel.core.edits.base import (
    Calls,
    Corners,
    EditBase,
    Edited,
    ExistingId,
    SideId,
    Title,
    Typed,
    ring_needed,
    side_at,
    with_row,
    without_row,
)
from humble_trowel.core.edits.outline import closed_ring, start_of
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.match import EVEN_MM, matches
from humble_trowel.core.geometry.polygon import check_ring
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.geometry.tops import spots_of
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Existing, MeasuredLevel, Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.plan.shape_parts import PlaneFall
from humble_trowel.core.units import parse_length, say_depth, say_length

TOUCH_MM = 30.0
LEVEL_RATE = 1e-5
What = Literal["slab", "wall", "walk", "kerb", "other"]
TITLES = {"slab": "Old slab", "wall": "Wall", "walk": "Sidewalk", "kerb": "Kerb"}


class AddExisting(EditBase):
    """Something beside the work: by a closed walk in `text` ('from B, 20' e ...'), or by its corners in mm."""

    op: Literal["add_existing"]
    name: Title = ""
    what: What = "slab"
    text: Calls = ""
    ring: Corners | None = None
    level: Typed = 0.0

    def apply(self, plan: Plan) -> Edited:
        ring = list(self.ring) if self.ring is not None else None
        if ring is None:
            start = start_of(plan, self.text)
            ring = closed_ring(plan, self.text, start if start is not None else (0.0, 0.0))
        check_ring(ring, "text", self.name or "What stands there")
        title = self.name.strip() or TITLES.get(self.what, "Something")
        level_mm = read_level(self.level if self.level != "" else 0.0, plan)
        row = Existing.model_validate(
            {"name": title, "what": self.what, "polygon": ring, "level_mm": level_mm}, context={"units": plan.units}
        )
        changes = {"existing": [*plan.existing, row], "walk": None}
        return plan.model_copy(update=changes), f"{title} drawn beside the work"


class SetExisting(EditBase):
    """Change the name, kind or level of something beside the work."""

    op: Literal["set_existing"]
    existing: ExistingId
    changes: dict[Literal["name", "what", "level_mm"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "existing", self.existing, "existing")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        if isinstance(changes.get("level_mm"), str):
            changes["level_mm"] = read_level(changes["level_mm"] or 0.0, plan, "level_mm")
        row = Existing.model_validate({**plan.existing[at].model_dump(), **changes}, context={"units": plan.units})
        return with_row(plan, "existing", at, row), f"{row.name} set"


class RemoveExisting(EditBase):
    """Take something beside the work off the plan."""

    op: Literal["remove_existing"]
    existing: ExistingId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "existing", self.existing, "existing")
        return without_row(plan, "existing", at), f"{plan.existing[at].name} taken off"


def against(plan: Plan, side: int) -> int:
    """Row of what stands against a side. Raises EditError where nothing does."""
    ring = ring_needed(plan)
    line = LineString(side_of(ring, side))
    near = [(line.distance(Polygon(thing.polygon)), at) for at, thing in enumerate(plan.existing)]
    if not near or min(near)[0] > TOUCH_MM:
        words = f"Nothing stands against {side_name(side, len(ring))}. Draw it under Around, in Lines."
        raise EditError(words, "side")
    return min(near)[1]


class MeasureLevel(EditBase):
    """A level on what stands against a side, `along` from its first corner; one at the same spot replaces the old. level:
    '3/8 in below', mm."""

    op: Literal["measure_level"]
    side: SideId
    along: Typed
    level: Typed

    def apply(self, plan: Plan) -> Edited:
        side, ring = side_at(plan, self.side), ring_needed(plan)
        at = against(plan, side)
        a, b = side_of(ring, side)
        size = math.dist(a, b)
        along_mm = parse_length(self.along, plan.units)
        if along_mm > size + 1:
            name, far = side_name(side, len(ring)), say_length(along_mm, plan.units)
            raise EditError(f"{name} is {say_length(size, plan.units)} long; {far} is past its end.", "along")
        spot = point_along(a, b, along_mm)
        level_mm = read_level(self.level, plan)
        thing = plan.existing[at]
        rows = [row for row in thing.levels if math.dist(row.at, spot) > 10]
        rows.append(MeasuredLevel(at=spot, level_mm=level_mm))
        way = "below" if level_mm < 0 else "above"
        words = f"{thing.name} {say_depth(abs(level_mm), plan.units)} {way} zero there"
        return with_row(plan, "existing", at, thing.model_copy(update={"levels": rows})), words


class ClearLevels(EditBase):
    """Forget all levels measured on something."""

    op: Literal["clear_levels"]
    existing: ExistingId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "existing", self.existing, "existing")
        thing = plan.existing[at]
        return with_row(
            plan, "existing", at, thing.model_copy(update={"levels": []})
        ), f"{thing.name}: levels forgotten"


class FollowSide(EditBase):
    """The zone beside a side takes the best straight line through the levels measured along it."""

    op: Literal["follow_side"]
    side: SideId

    def apply(self, plan: Plan) -> Edited:
        side, ring = side_at(plan, self.side), ring_needed(plan)
        cells = lay_zones(plan)
        match = next((row for row in matches(plan, cells) if row.side == side), None)
        if match is None or len(match.points) < 2:
            raise EditError("Measure the floor at two spots along this side first.", "side")
        a, b = side_of(ring, side)
        size = math.dist(a, b)
        sign = -1.0 if match.best_per_mm > 0 else 1.0
        ux, uy = sign * (b[0] - a[0]) / size, sign * (b[1] - a[1]) / size
        rate = abs(match.best_per_mm)
        cell = next(one for one in cells if one.index == match.zone)
        fall = None
        high_mm = match.best_start_mm
        if rate > LEVEL_RATE:
            fall = PlaneFall(kind="plane", toward_deg=round(math.degrees(math.atan2(ux, uy)) % 360, 6), rate=rate)
            start = min((x - a[0]) * ux + (y - a[1]) * uy for x, y in spots_of(cell.whole))
            high_mm = match.best_start_mm - rate * start
        if high_mm > EVEN_MM:
            over = say_depth(high_mm, plan.units)
            raise EditError(
                f"The floor lies {over} over the main slab's top. Call that floor zero, and drop the rest.", "side"
            )
        row = plan.zones[match.zone].model_copy(update={"fall": fall, "drop_mm": max(0.0, -high_mm)})
        return with_row(plan, "zones", match.zone, row), f"{row.name} follows {match.against}"


BESIDE_EDITS = (AddExisting, SetExisting, RemoveExisting, MeasureLevel, ClearLevels, FollowSide)
