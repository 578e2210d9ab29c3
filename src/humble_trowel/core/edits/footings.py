"""Edits of footings and their pour: laid along a walk or sides, sized, stepped, dug, and given a day."""

from __future__ import annotations

import re
from typing import Annotated, Any, Literal

from pydantic import Field

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    FootingId,
    SideId,
    Title,
    Typed,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.edits.on_top import inset_path, sized
from humble_trowel.core.edits.outline import start_of
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing, FootingStep, Holds, Pour
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.units import parse_length, say_depth

_STEP = re.compile(r"(?:at\s+)?(?P<at>.+?)\s+(?P<way>up|down)\s+(?P<rise>.+)", re.IGNORECASE)


class AddFooting(EditBase):
    """A strip footing along sides, its centreline `inset` inside of them, or along a walk; a walk may begin anywhere where
    there is no slab yet. top: level of its top, like '24 in below'."""

    op: Literal["add_footing"]
    name: Title = ""
    sides: Annotated[list[SideId], Field(max_length=200)] = []
    inset: Typed = 0.0
    text: Calls = ""
    width: Typed
    thickness: Typed
    top: Typed = 0.0

    def apply(self, plan: Plan) -> Edited:
        width = sized(plan, self.width, "width", "How wide?")
        thick = sized(plan, self.thickness, "thickness", "How thick?")
        top = read_level(self.top, plan, "top")
        path = self._path(plan)
        name = self.name.strip() or f"Footing {len(plan.footings) + 1}"
        row = Footing(name=name, path=path, width_mm=width, thickness_mm=thick, top_mm=top)
        words = f"{name}, {say_depth(width, plan.units)} by {say_depth(thick, plan.units)}"
        return plan.model_copy(update={"footings": [*plan.footings, row], "walk": None}), words

    def _path(self, plan: Plan) -> list[XY]:
        if self.sides:
            sides = sorted({side_at(plan, side, "sides") for side in self.sides})
            return inset_path(ring_needed(plan), sides, parse_length(self.inset, plan.units, bare="in"), "footing")
        start = start_of(plan, self.text) if plan.outline else (0.0, 0.0)
        if start is None:
            raise CallError("Where does the footing start? Begin with from B 3' n, then where it runs.", path="text")
        walked = walk(self.text, plan.units, start)
        if walked.heard.problem:
            raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
        path = list(walked.points)
        if len(path) < 2:
            raise EditError("How far, and which way?", "text")
        return [*path[:-1], path[0]] if walked.closed and len(path) > 3 else path


class SetFooting(EditBase):
    """Change a footing. steps: as text, 'at 12 ft up 8 in, at 30 ft down 8 in', '' for none; dug_width_mm: '' where nobody
    said what was dug."""

    op: Literal["set_footing"]
    footing: FootingId
    changes: dict[Literal["name", "width_mm", "thickness_mm", "top_mm", "dug_width_mm", "peg_spacing_mm", "steps"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "footings", self.footing, "footing")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        for key, ask in (
            ("width_mm", "How wide?"),
            ("thickness_mm", "How thick?"),
            ("peg_spacing_mm", "How far apart?"),
        ):
            if key in changes:
                bare = plan.units if key == "peg_spacing_mm" else "in"
                changes[key] = sized(plan, changes[key], key, ask) if bare == "in" else _apart(plan, changes[key])
        if "dug_width_mm" in changes:
            said = changes["dug_width_mm"]
            changes["dug_width_mm"] = sized(plan, said, "dug_width_mm", "How wide?") if said not in (None, "") else None
        if "top_mm" in changes:
            changes["top_mm"] = read_level(changes["top_mm"], plan, "top_mm")
        if isinstance(changes.get("steps"), str):
            changes["steps"] = read_steps(changes["steps"], plan)
        old = plan.footings[at].model_dump()
        changes["guessed"] = [key for key in old["guessed"] if key not in changes]
        row = Footing.model_validate({**old, **changes})
        return with_row(plan, "footings", at, row), f"{row.name} set"


def _apart(plan: Plan, said: Any) -> float:
    size = parse_length(said, plan.units)
    if size < 300:
        raise EditError("Pegs stand a foot apart at least.", "peg_spacing_mm")
    return size


def read_steps(text: str, plan: Plan) -> list[FootingStep]:
    """'at 12 ft up 8 in, at 30 ft down 8 in' as steps."""
    rows = []
    for bit in re.split(r"\s*[,;]\s*", text.strip()):
        if not bit:
            continue
        match = _STEP.fullmatch(bit)
        if match is None:
            raise EditError(f"Cannot read '{bit}'. Say at 12 ft up 8 in.", "steps")
        rise = parse_length(match["rise"], plan.units, bare="in")
        up = match["way"].lower() == "up"
        rows.append(FootingStep(at_mm=parse_length(match["at"], plan.units), rise_mm=rise if up else -rise))
    return sorted(rows, key=lambda row: row.at_mm)


class SetPour(EditBase):
    """The name, day and notes of the pour that holds the footings or the walls; made where there is none yet."""

    op: Literal["set_pour"]
    holds: Holds
    changes: dict[Literal["name", "pour_at", "notes", "strength_mpa", "slump_mm"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = next((i for i, row in enumerate(plan.pours) if self.holds in row.holds), None)
        old: dict[str, Any] = (
            plan.pours[at].model_dump()
            if at is not None
            else {"name": {"footings": "Footing", "walls": "Walls"}[self.holds], "holds": [self.holds]}
        )
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        mix = {key: changes.pop(key) or None for key in ("strength_mpa", "slump_mm") if key in changes}
        if mix:
            changes["mix"] = {**(old.get("mix") or plan.mix.model_dump()), **mix}
        row = Pour.model_validate({**old, **changes}, context={"units": plan.units})
        rows = [*plan.pours, row] if at is None else [row if i == at else one for i, one in enumerate(plan.pours)]
        return plan.model_copy(update={"pours": rows}), f"{row.name} pour set"


FOOTING_EDITS = (AddFooting, SetFooting, SetPour)
