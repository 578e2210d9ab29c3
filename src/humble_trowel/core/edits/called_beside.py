"""Calls of what lies along a pressed side and stands under it: laps, saw cuts, sidewalks, ramps, footings, walls."""

from __future__ import annotations

import math
import re

from shapely.geometry import LineString

from humble_trowel.core.edits.alongside import AddLap, AddRamp, AddSidewalk
from humble_trowel.core.edits.base import EditBase
from humble_trowel.core.edits.called_here import Pressed, Said, side_called
from humble_trowel.core.edits.footings import AddFooting
from humble_trowel.core.edits.walls import AddWall
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, side_name

BESIDE = re.compile(r"(lap|saw cut|sidewalk|walk|ramp|footing|wall)\b")
_NAMED = r"(?:\s+called\s+(?P<name>.+))?"
_FROM = r"(?:\s+from\s+(?P<start>.+?)\s+for\s+(?P<long>.+?))?"
_CALLS = {
    "lap": re.compile(rf"lap\s+(?P<wide>.+?)\s+by\s+(?P<thick>.+?){_FROM}{_NAMED}"),
    "saw cut": re.compile(rf"saw cut\s+(?P<wide>.+?)(?:\s+to\s+(?P<end>.+?))?\s+by\s+(?P<thick>.+?){_FROM}{_NAMED}"),
    "walk": re.compile(rf"(?:side)?walk\s+(?P<wide>.+?)\s+by\s+(?P<thick>.+?)(?P<round>\s+all round)?{_NAMED}"),
    "ramp": re.compile(
        rf"ramp\s+(?P<wide>.+?)\s+down\s+(?P<down>.+?)\s+by\s+(?P<thick>.+?)(?:\s+to\s+(?P<foot>.+?))?"
        rf"(?:\s+run\s+(?P<run>.+?))?(?:\s+at\s+(?P<at>.+?))?{_NAMED}"
    ),
    "footing": re.compile(
        rf"footing\s+(?P<wide>.+?)\s+by\s+(?P<thick>.+?)\s+(?P<top>\S.*?)\s+(?:below|down)(?P<round>\s+all round)?{_NAMED}"
    ),
    "wall": re.compile(rf"wall\s+(?P<thick>.+?)\s+(?P<kind>block|formed|foam)(?:\s+top\s+(?P<top>.+?))?{_NAMED}"),
}
_EXAMPLES = {
    "lap": ("lap 8 by 4", "lap 200 by 100"),
    "saw cut": ("saw cut 2 to 0 by 4", "saw cut 50 to 0 by 100"),
    "walk": ("walk 4' by 4", "walk 1200 by 100"),
    "ramp": ("ramp 3' 4 down 4 by 6", "ramp 1000 down 100 by 150"),
    "footing": ("footing 16 by 8 24 below all round", "footing 400 by 200 600 below all round"),
    "wall": ("wall 7 5/8 block top 0", "wall 190 block top 0"),
}


def beside_call(plan: Plan, here: Pressed, said: Said) -> list[EditBase]:
    """The edit of a call that begins with what it is. Raises CallError with an example of such a call."""
    named = side_called(plan, said.rest)
    side = named[0] if named else here.side
    rest = named[1] if named else said.rest
    begins = BESIDE.match(rest)
    what = begins[1] if begins else "lap"
    what = "walk" if what == "sidewalk" else what
    match = _CALLS[what].fullmatch(rest)
    if match is None:
        raise CallError(f"Call it like {_EXAMPLES[what][plan.units == 'mm']}.", path="text")
    name = said.text[-len(match["name"]) :] if match["name"] else ""
    if side is None and what == "wall" and len(plan.footings) == 1:
        side = 0  # there is no choice
    if side is None:
        raise CallError("Along which side? Press it, or say along A to B.", path="text")
    return [_edit(plan, here, side, said, what, match, name)]


def _edit(plan: Plan, here: Pressed, side: int, said: Said, what: str, match: re.Match[str], name: str) -> EditBase:
    """The edit of one call."""

    def mm(key: str, bare: str = "in") -> float:
        return said.length_mm(match[key], plan, bare)

    at, thick = plan.corner_ids[side], mm("thick")
    if what in ("lap", "saw cut"):
        stretch = {"start": mm("start", "ask"), "long": mm("long", "ask")} if match["start"] else {}
        end = match["end"] if what == "saw cut" else None
        return AddLap(
            op="add_lap", kind="lap" if what == "lap" else "saw-cut", side=at, width=mm("wide"),
            end_width=said.length_mm(end, plan, "in") if end else "", thickness=thick, name=name, **stretch,
        )  # fmt: skip
    if what == "wall":
        kinds = {"block": "block", "formed": "formed", "foam": "foam-form"}
        return AddWall.model_validate(
            {"op": "add_wall", "footing": _footing_at(plan, side), "kind": kinds[match["kind"]], "thickness": thick, "top": match["top"] or "0", "name": name}
        )  # fmt: skip
    sides = plan.corner_ids if what != "ramp" and match["round"] else [at]
    if what == "walk":
        return AddSidewalk(op="add_sidewalk", sides=list(sides), width=mm("wide", "ask"), thickness=thick, name=name)
    if what == "footing":
        return AddFooting(
            op="add_footing", sides=list(sides), width=mm("wide"), thickness=thick, top=-mm("top"), name=name
        )
    return _ramp(plan, here, side, said, match, name)


def _ramp(plan: Plan, here: Pressed, side: int, said: Said, match: re.Match[str], name: str) -> AddRamp:
    """A ramp from where the call says, else with its middle where the side was pressed."""
    wide = said.length_mm(match["wide"], plan)
    size = math.dist(*side_of(list(plan.outline or []), side))
    if match["at"] is None and here.along_mm is None:
        example = "at 3000" if plan.units == "mm" else "at 10'"
        raise CallError(
            f"Where along {side_name(side, len(plan.outline or []))}? Say where it starts: {example}.", path="text"
        )
    start = (
        said.length_mm(match["at"], plan)
        if match["at"]
        else min(max((here.along_mm or 0.0) - wide / 2, 0.0), max(size - wide, 0.0))
    )
    return AddRamp(
        op="add_ramp", side=plan.corner_ids[side], start=start, long=wide, low=-said.length_mm(match["down"], plan, "in"),
        run=said.length_mm(match["run"], plan) if match["run"] else "", thickness=said.length_mm(match["thick"], plan, "in"),
        foot=said.length_mm(match["foot"], plan, "in") if match["foot"] else "", name=name,
    )  # fmt: skip


def _footing_at(plan: Plan, side: int) -> str:
    """The footing that runs nearest along a side. Raises CallError where there is none."""
    if not plan.footings:
        raise CallError("A wall stands on a footing. Call that first.", path="text")
    along = LineString(side_of(list(plan.outline or []), side))
    middle = along.interpolate(0.5, normalized=True)
    return min(plan.footings, key=lambda row: LineString(row.path).distance(middle)).id
