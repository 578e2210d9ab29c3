"""Edits of what stands about and throws a shadow: walked like any area, its height pencilled, taken out."""

from __future__ import annotations

from typing import Any, Literal

from humble_trowel.core.edits.base import Calls, Corners, EditBase, Edited, SurroundingId, Title, Typed
from humble_trowel.core.edits.outline import closed_ring, start_of
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import check_ring
from humble_trowel.core.plan.day_parts import Stands, Surrounding
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of, with_ids
from humble_trowel.core.units import parse_length, say_length

TITLES: dict[Stands, str] = {"building": "Building", "wall": "Wall", "tree": "Tree", "own wall": "Our wall"}


def _height(plan: Plan, typed: Typed, path: str) -> float:
    """mm over the finished slab; a bare number that was typed is feet, or mm in a metric job."""
    return float(typed) if isinstance(typed, int | float) else parse_length(typed, plan.units, bare="ft")


def _with(plan: Plan, rows: list[Surrounding]) -> Plan:
    return with_ids(plan.model_copy(update={"day": plan.day.model_copy(update={"around": rows})}))


class AddSurrounding(EditBase):
    """Something that shades: by a closed walk in `text` ('from B, 20' e ...'), or by its corners in mm. top, base: over the slab."""

    op: Literal["add_surrounding"]
    name: Title = ""
    what: Stands = "building"
    text: Calls = ""
    ring: Corners | None = None
    top: Typed
    base: Typed = 0.0

    def apply(self, plan: Plan) -> Edited:
        ring = list(self.ring) if self.ring is not None else None
        if ring is None:
            start = start_of(plan, self.text)
            ring = closed_ring(plan, self.text, start if start is not None else (0.0, 0.0))
        title = self.name.strip() or TITLES[self.what]
        check_ring(ring, "text", title)
        if self.top == "":
            raise EditError("How high is it over the slab? Without a height it throws no shadow.", "top")
        row = _checked({
            "name": title, "what": self.what, "polygon": ring, "top_mm": _height(plan, self.top, "top"),
            "base_mm": _height(plan, self.base, "base") if self.base != "" else 0.0,
        }, plan)  # fmt: skip
        return _with(plan, [*plan.day.around, row]), f"{title}, {say_length(row.top_mm, plan.units)} high"


class SetSurrounding(EditBase):
    """Change its name, kind or heights, or where it stands."""

    op: Literal["set_surrounding"]
    around: SurroundingId
    changes: dict[Literal["name", "what", "top", "base", "ring"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "around", self.around, "around")
        old = plan.day.around[at]
        said: dict[str, Any] = dict(old.model_dump())
        for key, value in self.changes.items():
            if key in ("top", "base"):
                said[f"{key}_mm"] = _height(plan, value, key)
            elif key == "ring":
                said["polygon"] = value
            else:
                said[str(key)] = value
        row = _checked(said, plan)
        check_ring(list(row.polygon), "ring", row.name)
        rows = [row if i == at else one for i, one in enumerate(plan.day.around)]
        return _with(plan, rows), f"{row.name}, {say_length(row.top_mm, plan.units)} high"


class TakeOutSurrounding(EditBase):
    """It throws no shadow any more."""

    op: Literal["take_out_surrounding"]
    around: SurroundingId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "around", self.around, "around")
        rows = [one for i, one in enumerate(plan.day.around) if i != at]
        return _with(plan, rows), f"{plan.day.around[at].name} taken out"


def _checked(said: dict[str, Any], plan: Plan) -> Surrounding:
    return Surrounding.model_validate(said, context={"units": plan.units})


DAY_EDITS = (AddSurrounding, SetSurrounding, TakeOutSurrounding)
