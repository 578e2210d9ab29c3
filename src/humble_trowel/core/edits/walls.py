"""Edits of walls: stood on a footing, sized, set down for doors, their cores and the floor beside them."""

from __future__ import annotations

import re
from typing import Any, Literal

from humble_trowel.core.edits.base import EditBase, Edited, FootingId, Title, Typed, WallId, with_row
from humble_trowel.core.edits.on_top import sized
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.plan.wall_parts import SetDown, Wall, WallKind
from humble_trowel.core.units import parse_length, say_depth

_DOWN = re.compile(r"(?:from\s+)?(?P<from>.+?)\s+to\s+(?P<to>.+?)\s+down\s+(?P<down>.+)", re.IGNORECASE)
KINDS = {"block": "Block wall", "formed": "Formed wall", "foam-form": "Wall between foam"}
Key = Literal[
    "name", "kind", "thickness_mm", "top_mm", "offset_mm", "from_mm", "to_mm", "set_downs", "cores", "every", "bars_mm",
    "cores_with", "meets", "ledge_mm", "isolation_mm", "foam_inside_mm", "foam_outside_mm", "foam_between_mm", "panel_mm",
    "block_length_mm", "block_height_mm", "joint_mm", "void_share",
]  # fmt: skip
SIZES = ("thickness_mm", "bars_mm", "ledge_mm")
MAY_BE_NONE = ("isolation_mm", "foam_inside_mm", "foam_outside_mm", "foam_between_mm", "panel_mm")
BLOCK = {
    "block_length_mm": "length_mm",
    "block_height_mm": "height_mm",
    "joint_mm": "joint_mm",
    "void_share": "void_share",
}


class AddWall(EditBase):
    """A wall along a whole footing, its middle over the footing's. top: level of its top, like '0' or '4 in below'."""

    op: Literal["add_wall"]
    footing: FootingId
    kind: WallKind
    thickness: Typed
    top: Typed = 0.0
    name: Title = ""

    def apply(self, plan: Plan) -> Edited:
        place_of(plan, "footings", self.footing, "footing")
        thick = sized(plan, self.thickness, "thickness", "How thick?")
        name = self.name.strip() or f"Wall {len(plan.walls) + 1}"
        top = read_level(self.top if self.top != "" else 0.0, plan, "top")
        foam = {"foam_inside_mm": 63.5, "foam_outside_mm": 63.5} if self.kind == "foam-form" else {}
        row = Wall.model_validate(
            {"name": name, "footing": self.footing, "kind": self.kind, "thickness_mm": thick, "top_mm": top, **foam}
        )
        words = f"{name}, {KINDS[self.kind].lower()} of {say_depth(thick, plan.units)}"
        return plan.model_copy(update={"walls": [*plan.walls, row]}), words


class SetWall(EditBase):
    """Change a wall. set_downs: as text, 'from 10 ft to 13 ft down 3/4', '' for none; from_mm, to_mm along its footing, to_mm
    '' for its end; offset_mm: '2 left' or '2 right' as the footing runs."""

    op: Literal["set_wall"]
    wall: WallId
    changes: dict[Key, Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "walls", self.wall, "wall")
        old = plan.walls[at].model_dump()
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        for key in (name for name in SIZES if name in changes):
            changes[key] = sized(plan, changes[key], key, "How much?")
        for key in (name for name in MAY_BE_NONE if name in changes):
            said = changes[key]
            changes[key] = sized(plan, said, key, "How thick?") if said not in (None, "", "0") else None
        if "top_mm" in changes:
            changes["top_mm"] = read_level(changes["top_mm"], plan, "top_mm")
        if "from_mm" in changes:
            changes["from_mm"] = parse_length(changes["from_mm"] or 0.0, plan.units)
        if "to_mm" in changes:
            changes["to_mm"] = (
                parse_length(changes["to_mm"], plan.units) if changes["to_mm"] not in (None, "") else None
            )
        if "offset_mm" in changes:
            changes["offset_mm"] = read_offset(changes["offset_mm"], plan)
        if isinstance(changes.get("set_downs"), str):
            changes["set_downs"] = [row.model_dump() for row in read_set_downs(changes["set_downs"], plan)]
        block = {**old["block"]}
        for key, own in BLOCK.items():
            if key in changes:
                said = changes.pop(key)
                block[own] = said if own == "void_share" else sized(plan, said, key, "How much?")
        guessed = [key for key in old["guessed"] if key not in self.changes]
        row = Wall.model_validate({**old, **changes, "block": block, "guessed": guessed})
        return with_row(plan, "walls", at, row), f"{row.name} set"


def read_offset(said: str | float, plan: Plan) -> float:
    """'2 left', '1 1/2 right', '0' as mm to the left. Raises EditError where no side is said."""
    if not isinstance(said, str):
        return float(said)
    match = re.fullmatch(r"(?P<size>.+?)\s+(?P<way>left|right)", said.strip(), re.IGNORECASE)
    size = parse_length(match["size"] if match else said or "0", plan.units, bare="in")
    if match is None and size:
        raise EditError("Left or right, as the footing runs?", "offset_mm")
    return size if match is None or match["way"].lower() == "left" else -size


def read_set_downs(text: str, plan: Plan) -> list[SetDown]:
    """'from 10 ft to 13 ft down 3/4' as stretches."""
    rows = []
    for bit in re.split(r"\s*[,;]\s*", text.strip()):
        if not bit:
            continue
        match = _DOWN.fullmatch(bit)
        if match is None:
            raise EditError(f"Cannot read '{bit}'. Say from 10 ft to 13 ft down 3/4.", "set_downs")
        rows.append(
            SetDown(
                from_mm=parse_length(match["from"], plan.units), to_mm=parse_length(match["to"], plan.units),
                down_mm=sized(plan, match["down"], "set_downs", "Down how far?"),
            )
        )  # fmt: skip
    return sorted(rows, key=lambda row: row.from_mm)


WALL_EDITS = (AddWall, SetWall)
