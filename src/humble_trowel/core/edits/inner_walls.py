"""Walls inside the slab, walked like a tape: 'from 12' e of A; 10' n, 6' e; studs at 16, door 3' at 4''."""

from __future__ import annotations

import re
from itertools import pairwise
from typing import Literal

from shapely.geometry import LineString, Polygon

from humble_trowel.core.calls.call_outs import hear
from humble_trowel.core.calls.embed_calls import read_wall
from humble_trowel.core.calls.walk import walk_points
from humble_trowel.core.edits.across import called_spot, corner_called
from humble_trowel.core.edits.base import Calls, EditBase, Edited, StudWallId, Title, ring_needed
from humble_trowel.core.edits.embeds import fits, made, replaced, with_embeds
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_parts import StudWall
from humble_trowel.core.plan.ids import place_of

EXAMPLE = "from 12' e of A; 10' n, 6' e; studs at 16"
_FROM = re.compile(
    r"from\s+(?P<start>[^;]+?)\s*;\s*(?P<legs>[^;]+?)\s*(?:;\s*(?P<rest>.*))?", re.IGNORECASE | re.DOTALL
)
_CORNER = re.compile(r"[A-Za-z]{1,2}")


class WalkWall(EditBase):
    """A wall inside, or several, leg by leg. wall: one that is walked or said anew; then there is one leg."""

    op: Literal["walk_wall"]
    text: Calls
    name: Title = ""
    wall: StudWallId | None = None

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        at = place_of(plan, "stud_walls", self.wall, "wall") if self.wall else None
        old = plan.embeds.walls[at] if at is not None else None
        lines, rest = self._lines(plan, old)
        said = read_wall(rest, plan.units)
        doors = said.pop("doors")
        taken = sum(1 for row in plan.embeds.walls if row.line is not None)
        rows = list(plan.embeds.walls)
        for n, line in enumerate(lines):
            name = self.name.strip() or (old.name if old else f"Inner wall {taken + n + 1}")
            row = made(
                StudWall,
                {
                    **said,
                    "line": line,
                    "drawn": rest,
                    "id": old.id if old else "",
                    "name": name if len(lines) == 1 or not self.name.strip() else f"{name} {n + 1}",
                    "doors": [{**door, "id": ""} for door in doors] if n == 0 else [],
                },
            )
            fits(plan, row)
            rows = replaced(rows, at, row)
        words = f"Wall {rows[at].name}" if at is not None else "A wall" if len(lines) == 1 else f"{len(lines)} walls"
        return with_embeds(plan, walls=rows), f"{words} inside, {self.text.strip()}"

    def _lines(self, plan: Plan, old: StudWall | None) -> tuple[list[tuple[XY, XY]], str]:
        """(where the legs run, what is said of them)."""
        match = _FROM.fullmatch(self.text.strip())
        if match is None:
            if old is None or old.line is None or self.text.strip().lower().startswith("from"):
                raise CallError(f"Where does it run? Call it like {EXAMPLE}.", path="text")
            return [old.line], self.text.strip()
        start = match["start"]
        spot = corner_called(plan, start) if _CORNER.fullmatch(start) else called_spot(plan, start, "12' e 3' n of A")
        heard = hear(match["legs"], plan.units)
        if heard.problem:
            raise CallError(heard.problem, path="text")
        if old is not None and len(heard.legs) > 1:
            raise CallError("A wall that is said anew has one leg. Walk the others by themselves.", path="text")
        spots = walk_points(heard.legs, spot)
        slab = Polygon(plan.outline or []).buffer(1.0, join_style="mitre")
        lines = list(pairwise(spots))
        if not lines:
            raise CallError(f"How far does it run? Call it like {EXAMPLE}.", path="text")
        if any(not slab.covers(LineString(line)) for line in lines):
            raise CallError("That wall would stand beside the slab.", path="text")
        return lines, (match["rest"] or "").strip()
