"""Edits of openings: holes through the slab."""

from __future__ import annotations

from typing import Literal

from shapely.geometry import Polygon

from humble_trowel.core.edits.base import Calls, EditBase, Edited, OpeningId, ring_needed
from humble_trowel.core.edits.outline import closed_ring, start_of
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import check_ring
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of


class AddOpening(EditBase):
    """A hole through the slab, by a closed walk that begins with 'from <corner> ...'."""

    op: Literal["add_opening"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        start = start_of(plan, self.text)
        if start is None:
            raise CallError("Where does it start? Begin with from A 4' e & 5' n, then the sides.", path="text")
        ring = closed_ring(plan, self.text, start)
        check_ring(ring, "text", "The opening")
        if not Polygon(plan.outline).intersects(Polygon(ring)):
            raise CallError("That opening lies wholly outside the outline.", path="text")
        changes = {"openings": [*plan.openings, ring], "opening_ids": [*plan.opening_ids, ""], "walk": None}
        return plan.model_copy(update=changes), "Opening added"


class RemoveOpening(EditBase):
    """Fill an opening."""

    op: Literal["remove_opening"]
    opening: OpeningId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "opening", self.opening, "opening")
        changes = {
            "openings": [ring for i, ring in enumerate(plan.openings) if i != at],
            "opening_ids": [name for i, name in enumerate(plan.opening_ids) if i != at],
        }
        return plan.model_copy(update=changes), "Opening filled"


OPENING_EDITS = (AddOpening, RemoveOpening)
