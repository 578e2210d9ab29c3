"""Taking out rows of a list, or a type with everything that has it."""

from __future__ import annotations

from typing import Annotated, Literal, cast

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, TypeMark
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import NAMES, Kind, place_of


class TakeOut(EditBase):
    """Rows of one list, by id; of a type, by its mark. A row that somebody took out before is gone already: only where
    none is left it is said."""

    op: Literal["take_out"]
    what: Literal[
        "beams",
        "pads",
        "recesses",
        "side_pads",
        "kerbs",
        "piles",
        "footings",
        "walls",
        "laps",
        "sidewalks",
        "ramps",
        "beam_types",
        "pad_types",
    ]
    ids: Annotated[list[Annotated[str, Field(min_length=1, max_length=24)]], Field(max_length=400)] = []
    mark: TypeMark | None = None

    def apply(self, plan: Plan) -> Edited:
        if self.what in ("beam_types", "pad_types"):
            users = self.what.removesuffix("_types") + "s"
            types = [row for row in getattr(plan, self.what) if row.mark != self.mark]
            left = [row for row in getattr(plan, users) if row.type != self.mark]
            changes = {self.what: types, users: left}
            if self.what == "pad_types":
                changes["side_pads"] = [
                    row.model_copy(update={"piers": [pier for pier in row.piers if pier.type != self.mark]})
                    for row in plan.side_pads
                ]
            return plan.model_copy(update=changes), f"{self.mark} taken out"
        kind = cast(Kind, self.what)
        rows = list(getattr(plan, kind))
        there = {row.id for row in rows} & set(self.ids)
        if not self.ids:
            raise EditError(f"Which {NAMES[kind]}?", "ids")
        if not there:
            place_of(plan, kind, self.ids[0], "ids")
        left = [row for row in rows if row.id not in there]
        if stands := next((wall.name for wall in plan.walls if kind == "footings" and wall.footing in there), None):
            raise EditError(f"{stands} stands on it. Take the wall out first.", "ids")
        name = NAMES[kind]
        words = f"A {name} taken out" if len(there) == 1 else f"{len(there)} {name}s taken out"
        return plan.model_copy(update={kind: left}), words
