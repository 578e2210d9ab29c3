"""Bolts set by hand in a wall, and given back to the rules. Stations run from where the wall's do."""

from __future__ import annotations

import re
from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, Short, StudWallId, Typed
from humble_trowel.core.edits.embeds import SAME_MM, with_embeds
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.wall_bases import INSIDE, WallBase, base_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_parts import HandBolt
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.units import parse_length, say_length

_FROM = re.compile(r"from\s+(?P<corner>[A-Za-z]{1,2})(?:\s+end)?\s+(?P<far>.+)")
Stations = Annotated[list[Annotated[float, Field(ge=0, le=1e6)]], Field(max_length=200)]


class SetBolt(EditBase):
    """Move, add or take out a bolt by hand. was: where it stood, null for a new one; at: where it stands now ('22' 7 1/2', 'from A
    13''), '' to take it out; others: the other bolts of its piece, which are by hand from then on too."""

    op: Literal["set_bolt"]
    wall: StudWallId
    was: Annotated[float, Field(ge=0, le=1e6)] | None = None
    at: Typed = ""
    others: Stations = []
    reason: Short = ""

    def apply(self, plan: Plan) -> Edited:
        wall = plan.embeds.walls[place_of(plan, "stud_walls", self.wall, "wall")]
        base = base_of(plan, wall)
        if base is None:
            raise EditError("That side is not on this slab any more.", "wall")
        to = self._station(plan, base)
        if to is None and self.was is None:
            raise EditError("Where does the bolt stand?", "at")
        mine = [row for row in plan.embeds.bolts if row.wall == wall.id]
        rest = [row for row in plan.embeds.bolts if row.wall != wall.id]
        old = next((row for row in mine if self.was is not None and abs(row.at_mm - self.was) <= SAME_MM), None)
        kept = [row for row in mine if row is not old]
        if to is not None and any(abs(row - to) <= SAME_MM for row in [*self.others, *(one.at_mm for one in kept)]):
            raise EditError("A bolt stands there already.", "at")
        kept += [
            HandBolt(wall=wall.id, at_mm=at)
            for at in self.others
            if not any(abs(at - row.at_mm) <= SAME_MM for row in kept)
        ]
        if to is not None:
            kept.append(HandBolt(id=old.id if old else "", wall=wall.id, at_mm=to, reason=self.reason.strip()))
        kept.sort(key=lambda row: row.at_mm)
        where = "taken out" if to is None else f"at {say_length(to, plan.units)}"
        return with_embeds(plan, bolts=[*rest, *kept]), f"Bolt of {wall.name} {where}"

    def _station(self, plan: Plan, base: WallBase) -> float | None:
        """Where it stands from where stations start. Raises EditError past the ends."""
        if not isinstance(self.at, str):
            found = self.at
        elif not self.at.strip():
            return None
        else:
            found = self._called(plan, base, self.at.strip())
        if not 0 <= found <= base.size_mm + 1e-6:
            raise EditError(
                "That is past the end of the wall." if base.side == INSIDE else "That is past the end of the side.",
                "at",
            )
        return found

    def _called(self, plan: Plan, base: WallBase, text: str) -> float:
        match = _FROM.fullmatch(text)
        far = parse_length(match["far"] if match else text, plan.units)
        if match is None:
            return far
        letter = match["corner"].upper()
        if letter == base.corner.partition(" ")[0].upper():
            return far
        if letter == base.far_corner.partition(" ")[0].upper():
            return base.size_mm - far
        raise EditError(f"{letter} is no end of {base.name}.", "at")


class BoltsByRule(EditBase):
    """Let the rules place all bolts of a wall again."""

    op: Literal["bolts_by_rule"]
    wall: StudWallId

    def apply(self, plan: Plan) -> Edited:
        wall = plan.embeds.walls[place_of(plan, "stud_walls", self.wall, "wall")]
        rest = [row for row in plan.embeds.bolts if row.wall != wall.id]
        if len(rest) == len(plan.embeds.bolts):
            raise EditError(f"No bolt of {wall.name} is by hand.", "wall")
        return with_embeds(plan, bolts=rest), f"Bolts of {wall.name} by the rules"


BOLT_EDITS = (SetBolt, BoltsByRule)
