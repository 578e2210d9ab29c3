"""What is called with something pressed on the sheet: one box, heard as the edits that it means."""

from __future__ import annotations

import re
from typing import Literal

from pydantic import StrictBool
from shapely.geometry import Point

from humble_trowel.core.edits.base import (
    BeamId,
    Calls,
    CornerId,
    EditBase,
    Edited,
    PadId,
    RecessId,
    SideId,
    Spot,
    Typed,
    ZoneId,
    corner_at,
    ring_needed,
    side_at,
)
from humble_trowel.core.edits.called_beside import BESIDE, beside_call
from humble_trowel.core.edits.called_deep import DEEP, deep_call
from humble_trowel.core.edits.called_here import Pressed, Said
from humble_trowel.core.edits.called_top import pit_call, top_call
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of, with_ids
from humble_trowel.core.units import parse_length

_UNKNOWN = re.compile(r"[bpsBPS]\d{1,3}")


class CallHere(EditBase):
    """What a person calls with a wall, a corner, a zone, a pit or a spot pressed: 'every 11 ft 6 B1', 'P1', 'S2 falls 1 to
    drain', 'door 3 ft 4 down 3/4'. along: where the wall was pressed, from its first corner. inside: the crew moves pads
    in from corners and walls, unless the call says centred. beam, pad: pressed, to be of another kind."""

    op: Literal["call"]
    text: Calls
    side: SideId | None = None
    along: Typed | None = None
    corner: CornerId | None = None
    zone: ZoneId | None = None
    recess: RecessId | None = None
    at: Spot | None = None
    inside: StrictBool = False
    beam: BeamId | None = None
    pad: PadId | None = None

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        here = Pressed(
            side=None if self.side is None else side_at(plan, self.side),
            along_mm=None if self.along is None else parse_length(self.along, plan.units),
            corner=None if self.corner is None else corner_at(plan, self.corner),
            zone=self._zone(plan),
            recess=None if self.recess is None else place_of(plan, "recesses", self.recess, "recess"),
            at=self.at,
            inside=self.inside,
            beam=None if self.beam is None else place_of(plan, "beams", self.beam, "beam"),
            pad=None if self.pad is None else place_of(plan, "pads", self.pad, "pad"),
        )
        rows: list[str] = []
        for edit in _heard(plan, here, self.text):
            edited, said = edit.apply(plan)
            plan = with_ids(edited)
            rows = [*rows, said] if said not in rows else rows
        return plan, "; ".join(rows)

    def _zone(self, plan: Plan) -> int | None:
        """The zone that is meant: by its id, or the one in which the pressed spot lies."""
        if self.zone is not None:
            return place_of(plan, "zones", self.zone, "zone")
        spot = None if self.at is None else Point(self.at)
        return next((cell.index for cell in lay_zones(plan) if spot is not None and cell.whole.covers(spot)), None)


def _heard(plan: Plan, here: Pressed, text: str) -> list[EditBase]:
    """The edits that a call means. Raises CallError with what could be called here."""
    said = Said.of(text, plan)
    if not said.text:
        raise CallError(here.offers(plan), path="text")
    strange = next((word for word in said.text.split() if _UNKNOWN.fullmatch(word)), "")
    if strange and not said.kind:
        near = [mark for mark in said.marks if mark[0] == strange[0].upper()]
        known = f" {' and '.join(near)} {'is' if len(near) == 1 else 'are'} here." if near else ""
        raise CallError(f"There is no {strange.upper()} here.{known} Call its cut first, in the rack.", path="text")
    if BESIDE.match(said.rest) and here.recess is None:
        return beside_call(plan, here, said)
    if said.kind in ("beam", "pad") or (not said.kind and DEEP.match(said.rest)):
        return deep_call(plan, here, said)
    edits = pit_call(plan, here, said) if here.recess is not None else top_call(plan, here, said)
    if edits is not None:
        return edits
    raise CallError(f"Cannot read '{said.text}'. {here.offers(plan)}", path="text")


CALL_EDITS = (CallHere,)
