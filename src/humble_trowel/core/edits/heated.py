"""Edits of what is warmed: which rooms, and the tube."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool, ValidationError
from shapely.geometry import Polygon

from humble_trowel.core.edits.base import Calls, EditBase, Edited, ZoneId, ring_needed
from humble_trowel.core.edits.called_run import read_call
from humble_trowel.core.edits.underslab import buried
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.underslab_parts import HeatedRoom, Tubing
from humble_trowel.core.units import parse_length

THIN = ("size_mm", "spacing_mm", "walls_mm", "high_mm", "keep_mm", "bend_mm")


class HeatZone(EditBase):
    """Warm a zone, or leave it cold."""

    op: Literal["heat_zone"]
    zone: ZoneId
    on: StrictBool = True

    def apply(self, plan: Plan) -> Edited:
        zone = plan.zones[place_of(plan, "zones", self.zone, "zone")]
        rows = [row for row in plan.underslab.heated if row.zone != self.zone]
        if not self.on:
            return buried(plan, heated=rows), f"{zone.name} stays cold"
        name = _free(zone.name, {row.name for row in rows})
        return buried(plan, heated=[*rows, HeatedRoom(name=name, zone=zone.id)]), f"{zone.name} is warmed"


class CallRoom(EditBase):
    """A room walked like a tape: 'Kitchen room from A to B 4', from B to C 6'; 8' w, 5' s, 8' e'. The last side closes it."""

    op: Literal["call_room"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        called = read_call(plan, self.text, {"room": "room"})
        ring = list(called.path)
        if len(ring) > 3 and max(abs(ring[0][0] - ring[-1][0]), abs(ring[0][1] - ring[-1][1])) < 1.0:
            ring.pop()
        if len(ring) < 3:
            raise CallError("How far does it go, and which ways? A room takes three sides at least.", path="text")
        shape = Polygon(ring)
        if not shape.is_valid or shape.area < 1e4:
            raise CallError("That walk crosses itself, or holds no floor.", path="text")
        if shape.intersection(Polygon(plan.outline)).area < 1e4:
            raise CallError("That room lies outside of the slab.", path="text")
        if shape.exterior.is_ccw is False:
            ring.reverse()
        name = called.name if called.name.lower() != "room" else ""
        rows = [row for row in plan.underslab.heated if not name or row.name.lower() != name.lower()]
        name = name or _free("Room", {row.name for row in rows})
        return buried(plan, heated=[*rows, HeatedRoom(name=name, ring=ring)]), f"{name} is warmed"


def _free(name: str, taken: set[str]) -> str:
    return name if name not in taken else next(own for k in range(2, 99) if (own := f"{name} {k}") not in taken)


class SetTubing(EditBase):
    """The tube: size, spacing, along walls, pattern, height, how far from the edge. Nothing: by its size."""

    op: Literal["set_tubing"]
    changes: dict[
        Literal[
            "size_mm", "spacing_mm", "walls_mm", "wall_width_mm", "pattern", "high_mm", "keep_mm", "manifold", "longest_mm",
            "bend_mm", "rise_mm",
        ],
        Any,
    ]  # fmt: skip

    def apply(self, plan: Plan) -> Edited:
        said: dict[str, Any] = {}
        for key, value in self.changes.items():
            if value in (None, ""):
                said[key] = Tubing.model_fields[key].default
            elif key.endswith("_mm"):
                bare = "mm" if plan.units == "mm" else "in" if key in THIN else "ft"
                said[key] = parse_length(value, plan.units, bare=bare)  # type: ignore[arg-type]
            else:
                said[key] = value
        try:
            row = Tubing.model_validate({**plan.underslab.tubing.model_dump(), **said})
        except ValidationError:
            raise EditError("That is no size for tube.", next(iter(self.changes))) from None
        least = min(row.spacing_mm, row.walls_mm or row.spacing_mm)
        if least < 2 * row.size_mm or row.spacing_mm > 1200:
            raise EditError(
                "Tubes lie apart by twice their size at least, and no more than 4 ft.", next(iter(self.changes))
            )
        return buried(plan, tubing=row), "Tubing set"


class TakeOutHeated(EditBase):
    """Rooms that stay cold after all, by id."""

    op: Literal["take_out_heated"]
    ids: Annotated[list[Annotated[str, Field(min_length=1, max_length=24)]], Field(min_length=1, max_length=40)]

    def apply(self, plan: Plan) -> Edited:
        rows = plan.underslab.heated
        if not {row.id for row in rows} & set(self.ids):
            place_of(plan, "heated", self.ids[0], "ids")
        return buried(plan, heated=[row for row in rows if row.id not in self.ids]), "A room stays cold"


HEATED_EDITS = (HeatZone, CallRoom, SetTubing, TakeOutHeated)
