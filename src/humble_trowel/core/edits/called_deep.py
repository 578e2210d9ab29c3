"""Calls of beams and pads: off a wall, from a corner, on a spot, at every crossing, under the borders of zones."""

from __future__ import annotations

import re
from dataclasses import replace
from itertools import pairwise
from typing import Any

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.edits.along_side import bays_mm, spots_along
from humble_trowel.core.edits.base import EditBase
from humble_trowel.core.edits.beams import AddBeam, BeamsOnZones, LayBeams, SetBeamKind
from humble_trowel.core.edits.called_here import Pressed, Said, side_called
from humble_trowel.core.edits.pads import AddPads, SetPadKind
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name, side_name

DEEP = re.compile(r"parallel\b|every\b|bays\b|at\b|under\b|crossings?\b|from\b")
_OFF_WALL = re.compile(
    r"(?P<run>parallel\s+)?(?P<how>every|bays|at)\s+(?P<sizes>.+?)(?:\s+from\s+(?P<end>[a-z]{1,2}))?"
)


def deep_call(plan: Plan, here: Pressed, said: Said) -> list[EditBase]:
    """The edits of a call that lays beams or sets pads. Raises CallError."""
    named = side_called(plan, said.rest)
    if named:
        here, said = Pressed(side=named[0], inside=here.inside), replace(said, rest=named[1])
    pressed = {"beam": here.beam, "pad": here.pad}.get(said.kind)
    if pressed is not None and not said.rest and here.side is None:
        if said.kind == "beam":
            return [SetBeamKind(op="set_beam_kind", beam=plan.beams[pressed].id, type=said.mark)]
        return [SetPadKind(op="set_pad_kind", pad=plan.pads[pressed].id, type=said.mark)]
    said = said if said.mark else _marked(plan, said)
    return _beams(plan, here, said) if said.kind == "beam" else _pads(plan, here, said)


def _marked(plan: Plan, said: Said) -> Said:
    """The call with the only mark that it can mean. Raises CallError where there is none, or a choice."""
    crossing = "crossing" in said.rest
    kinds = [] if crossing else [(row.mark, "beam") for row in plan.beam_types]
    kinds += [] if said.rest.startswith("under") else [(row.mark, "pad") for row in plan.pad_types]
    if not kinds:
        name, cut = ("pad", "30 sq 16 deep") if crossing else ("beam", "12 wide 16 deep 45")
        raise CallError(f"Which {name}? There is none yet: call its cut first, in the rack, like {cut}.", path="text")
    if len(kinds) > 1:
        marks = [mark for mark, _ in kinds]
        raise CallError(f"Of which kind: {' or '.join(marks)}?", tuple(f"{said.text} {mark}" for mark in marks), "text")
    return replace(said, mark=kinds[0][0], kind=kinds[0][1])


def _text(bays_mm: list[float]) -> str:
    return ", ".join(f"{bay:.6g} mm" for bay in bays_mm)


def _beams(plan: Plan, here: Pressed, said: Said) -> list[EditBase]:
    if said.rest.startswith("under"):
        return [BeamsOnZones(op="beams_on_zones", type=said.mark)]
    off = _OFF_WALL.fullmatch(said.rest)
    if off:
        if here.side is None:
            raise CallError("Off which wall? Press it, or say along A to B behind it.", path="text")
        return _off_wall(plan, here.side, said, off)
    if said.rest.startswith("from"):
        return [AddBeam(op="add_beam", type=said.mark, text=said.rest)]
    if here.corner is not None and said.rest:
        return [
            AddBeam(op="add_beam", type=said.mark, path=_walked(plan, said.rest, (plan.outline or [])[here.corner]))
        ]
    if here.at is not None and said.rest:
        return [AddBeam(op="add_beam", type=said.mark, path=_walked(plan, said.rest, here.at))]
    if here.side is not None and not said.rest:
        raise CallError(
            f"How far from {side_name(here.side, len(plan.outline or []))}? {here.offers(plan)}", path="text"
        )
    raise CallError(f"Where does {said.mark} run? {here.offers(plan)}", path="text")


def _off_wall(plan: Plan, side: int, said: Said, off: re.Match[str]) -> list[EditBase]:
    count = len(plan.outline or [])
    ends = (corner_name(side), corner_name((side + 1) % count))
    if off["end"] and off["end"].upper() not in ends:
        raise CallError(f"{side_name(side, count)} ends at {ends[0]} and {ends[1]}. From which of them?", path="text")
    how: dict[str, Any] = {
        "op": "lay_beams", "type": said.mark, "side": plan.corner_ids[side], "run": "parallel" if off["run"] else "off",
        "from_end": bool(off["end"]) and off["end"].upper() == ends[1],
    }  # fmt: skip
    if off["how"] == "every":
        return [LayBeams(**how, spacing=said.length_mm(off["sizes"], plan))]
    rows = bays_mm(plan, said, off["sizes"])
    if off["how"] == "at":  # from the corner to each of them
        spots = sorted(set(rows))
        rows = [spots[0], *(b - a for a, b in pairwise(spots))]
    return [LayBeams(**how, bays=_text(rows))]


def _walked(plan: Plan, text: str, start: XY) -> list[XY]:
    walked = walk(text, plan.units, start)
    if walked.heard.problem:
        raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
    return list(walked.points)


def _pads(plan: Plan, here: Pressed, said: Said) -> list[EditBase]:
    how: dict[str, object] = {"inside": here.inside}
    inside = re.search(r"\s*\b(?:inside|cent(?:re|er)d)\b", said.rest)
    if inside:
        how["inside"], said = (
            inside[0].strip() == "inside",
            replace(said, rest=(said.rest[: inside.start()] + said.rest[inside.end() :]).strip()),
        )
    turn = re.search(r"\s*\bturn(?:ed)?\s+(-?\d+(?:\.\d+)?)\s*(?:°|deg(?:rees)?)?", said.rest)
    if turn:
        how["turn_deg"], said = (
            float(turn[1]),
            replace(said, rest=(said.rest[: turn.start()] + said.rest[turn.end() :]).strip()),
        )

    def at(**where: object) -> list[EditBase]:
        return [AddPads.model_validate({"op": "add_pads", "type": said.mark, **how, **where})]

    if "crossing" in said.rest:
        return at(crossings=True)
    if said.rest.startswith("from"):
        return at(text=said.rest)
    if here.corner is not None:
        spot = (plan.outline or [])[here.corner]
        grid = re.fullmatch(r"bays\s+(?P<x>.+?)\s+by\s+(?P<y>.+)", said.rest)
        if grid:
            x, y = (_text(bays_mm(plan, said, grid[key])) for key in ("x", "y"))
            return at(corner=plan.corner_ids[here.corner], bays_x=x, bays_y=y)
        return at(at=[_walked(plan, said.rest, spot)[-1] if said.rest else spot])
    if here.side is not None:
        return at(at=spots_along(plan, here, said))
    if here.at is not None:
        return at(at=[_walked(plan, said.rest, here.at)[-1] if said.rest else here.at])
    raise CallError(f"Where does {said.mark} stand? {here.offers(plan)}", path="text")
