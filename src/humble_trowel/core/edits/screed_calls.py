"""Strips, pad lines and places of the truck as they are called: 'pad 30' e of A', 'strip 4 with 12'', 'stand 15' e 3' n of H'."""

from __future__ import annotations

import re
from typing import Literal

from shapely.geometry import Polygon

from humble_trowel.core.edits.across import called_across, called_spot
from humble_trowel.core.edits.base import Calls, EditBase, Edited
from humble_trowel.core.edits.screed import STRIP_EDITS, LayPadLine, SetStrip, with_screed
from humble_trowel.core.errors import CallError, LengthError
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.screed_parts import ScreedStrip, TruckStand
from humble_trowel.core.units import parse_length

PAD_EXAMPLE = "pad 30' e of A, pad through H e, pad C to J in Store"
EXAMPLE = f"{PAD_EXAMPLE}; strip 4 with 12'; strip 2 first; stand 15' e 3' n of H"
_PAD = re.compile(r"(?:pads?|line)\s+(?P<rest>.+?)(?:\s+in\s+(?P<zone>[^0-9\"'].*))?", re.IGNORECASE)
_BOARD = re.compile(r"strip\s+(?P<n>\d+)\s+with\s+(?P<board>.+)", re.IGNORECASE)
_PLACE = re.compile(r"strip\s+(?P<n>\d+)\s+(?P<place>first|last|before\s+\d+|after\s+\d+)", re.IGNORECASE)
_TOWARD = re.compile(r"strip\s+(?P<n>\d+)\s+(?:toward|towards|to)\s+(?P<way>n|ne|e|se|s|sw|w|nw)", re.IGNORECASE)
_STAND = re.compile(r"stand\s+(?P<spot>.+?)(?:\s+by\s+(?P<by>chute|hose|barrows?))?", re.IGNORECASE)
BEARINGS = {"n": 0.0, "ne": 45.0, "e": 90.0, "se": 135.0, "s": 180.0, "sw": 225.0, "w": 270.0, "nw": 315.0}


class CallScreed(EditBase):
    """A pad line, a strip's board, place or way, or a place of the truck, as it is called."""

    op: Literal["call_screed"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        text = self.text.strip()
        if match := _BOARD.fullmatch(text):
            row = _strip_called(plan, match["n"])
            return SetStrip(op="set_strip", strip=row.id, board_mm=_board(plan, match["board"])).apply(plan)
        if match := _TOWARD.fullmatch(text):
            row = _strip_called(plan, match["n"])
            return SetStrip(op="set_strip", strip=row.id, toward_deg=BEARINGS[match["way"].lower()]).apply(plan)
        if match := _PLACE.fullmatch(text):
            return _placed(plan, _strip_called(plan, match["n"]), match["place"].lower().split())
        if match := _STAND.fullmatch(text):
            spot = called_spot(plan, match["spot"], "stand 15' e 3' n of H")
            by = match["by"].lower().rstrip("s") if match["by"] else None
            made = with_screed(plan, standing=[*plan.screed.standing, TruckStand(at=spot, brings=by)])
            return made, f"A truck stands {match['spot'].strip()}"
        if match := _PAD.fullmatch(text):
            within = _zone_called(plan, match["zone"]) if match["zone"] else None
            ends = called_across(plan, match["rest"], PAD_EXAMPLE, within)
            return LayPadLine(op="lay_pad_line", ends=ends).apply(plan)
        raise CallError(f"“{text}” was not understood. Say it like {EXAMPLE}.", path="text")


def _strip_called(plan: Plan, said: str) -> ScreedStrip:
    n = int(said)
    if not 1 <= n <= len(plan.screed.strips):
        raise CallError(f"There is no strip {n}.", path="text")
    return plan.screed.strips[n - 1]


def _zone_called(plan: Plan, name: str) -> Polygon:
    """Where a zone lies, by its name."""
    for cell in lay_zones(plan):
        if cell.name.lower() == name.strip().lower() and isinstance(cell.region, Polygon):
            return cell.region
    names = ", ".join(zone.name for zone in plan.zones)
    raise CallError(f"There is no {name.strip()} here. There is {names}.", path="text")


def _board(plan: Plan, said: str) -> float:
    """A board's length; a bare number is feet in a job of feet, as boards are called."""
    try:
        return parse_length(said, plan.units, bare="ft")
    except LengthError as error:
        raise CallError(error.words, path="text") from None


def _placed(plan: Plan, row: ScreedStrip, said: list[str]) -> Edited:
    rest = [one for one in plan.screed.strips if one.id != row.id]
    if said[0] in ("first", "last"):
        at = 0 if said[0] == "first" else len(rest)
    else:
        other = _strip_called(plan, said[1])
        if other.id == row.id:
            raise CallError("A strip does not come before or after itself.", path="text")
        at = rest.index(other) + (said[0] == "after")
    rest.insert(at, row)
    return with_screed(plan, strips=rest), f"Strip {plan.screed.strips.index(row) + 1} is {at + 1} now"


SCREED_EDITS = (*STRIP_EDITS, CallScreed)
