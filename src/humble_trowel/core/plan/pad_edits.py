"""Edits of pad types and pads: at a point, at beam crossings, on a grid of bays."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from typing import Any

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.beam_edits import read_bays, walked_path
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.plan.marks import mark_and_call
from humble_trowel.core.plan.outline_edits import Edited, ring_needed
from humble_trowel.core.plan.shape_edit_kinds import AddPads, MovePad, SetPadType
from humble_trowel.core.plan.shape_parts import Pad, PadType
from humble_trowel.core.units import parse_length, say_depth

MOST = 400
SAME_MM = 10.0


def read_pad(text: str, plan: Plan) -> dict[str, float | str]:
    """'30 sq 16 deep', '30 by 36 16 deep' or '24 round 48 deep' as mm with the shape."""
    said = text.strip().lower()
    found: dict[str, float | str] = {}
    deep = re.search(r"(\d+(?:\.\d+)?(?:\s+\d+/\d+|/\d+)?(?:\s*(?:mm|cm|m|in|ft|[\"'″′]))?)\s*deep", said)
    if deep and deep[1].strip():
        size = deep[1].strip(" ,")
        rest = said[: deep.start()] + said[deep.end() :]
        shape = re.search(r"(sq(?:uare)?|round|by|x|×)", said)
        if not rest.strip() and shape is None:
            return {"depth_mm": parse_length(size, plan.units, bare="in")}
        said, found["depth_mm"] = rest.strip(" ,"), parse_length(size, plan.units, bare="in")
    for pattern, shape_name in ((r"(.+?)\s*sq(?:uare)?$", "square"), (r"(.+?)\s*round$", "round"), (r"(.+?)\s*(?:by|x|×)\s*(.+)", "rectangle")):  # fmt: skip
        match = re.fullmatch(pattern, said)
        if not match:
            continue
        one = parse_length(match[1], plan.units, bare="in")
        if shape_name == "round":
            return {**found, "shape": "round", "diameter_mm": one}
        two = parse_length(match[2], plan.units, bare="in") if shape_name == "rectangle" else one
        return {**found, "shape": "rectangle", "width_mm": one, "length_mm": two}
    if said:
        raise CallError(f"Cannot read '{said}'. Call a pad like 30 sq 16 deep, 30 by 36 16 deep or 24 round 48 deep.", path="text")  # fmt: skip
    return found


def set_pad_type(plan: Plan, edit: SetPadType) -> Edited:
    """Change a pad type, or add one with a new mark."""
    mark, text = mark_and_call(edit.text, edit.mark, plan.pad_types)
    edit = edit.model_copy(update={"mark": mark, "text": text})
    old = next((row for row in plan.pad_types if row.mark == edit.mark), None)
    values: dict[str, Any] = old.model_dump() if old else {"mark": edit.mark, "shape": "rectangle"}
    if edit.shape is not None:
        values["shape"] = edit.shape
    if edit.text.strip():
        values |= read_pad(edit.text, plan)
    for key, said in (("width_mm", edit.width), ("length_mm", edit.length), ("diameter_mm", edit.diameter), ("depth_mm", edit.depth)):  # fmt: skip
        if said is not None:
            values[key] = parse_length(said, plan.units, bare="in")
            if values[key] <= 0:
                raise EditError("A pad needs more than nothing here.", key.removesuffix("_mm"))
    if not values.get("depth_mm"):
        raise EditError("How deep? A pad needs it.", "text")
    row = PadType.model_validate(values)
    rows = [row if known.mark == edit.mark else known for known in plan.pad_types]
    return plan.model_copy(update={"pad_types": rows if old else [*rows, row]}), f"{row.mark} {pad_words(row, plan)}"


def pad_words(kind: PadType, plan: Plan) -> str:
    """'30 in sq, 16 in deep'."""
    deep = f"{say_depth(kind.depth_mm, plan.units)} deep"
    if kind.shape == "round":
        return f"{say_depth(kind.diameter_mm or 0, plan.units)} round, {deep}"
    wide, long = say_depth(kind.width_mm or 0, plan.units), say_depth(kind.length_mm or 0, plan.units)
    return f"{wide} sq, {deep}" if wide == long else f"{wide} × {long}, {deep}"


def add_pads(plan: Plan, edit: AddPads) -> Edited:
    """Pads where asked; a spot within 10 mm of a pad that stands already is left out."""
    if edit.type not in {row.mark for row in plan.pad_types}:
        raise EditError(f"The mark {edit.type} is no pad type here. Call its size first, like 30 sq 16 deep.", "type")
    spots: list[XY] = list(edit.at)
    if edit.text.strip():
        spots.append(walked_path(plan, edit.text, "way to the pad")[-1])
    if edit.crossings:
        spots += beam_crossings(plan)
    if edit.corner is not None:
        spots += _grid(plan, edit)
    new: list[XY] = []
    for spot in spots:
        if all(math.dist(spot, pad.at) > SAME_MM for pad in plan.pads) and all(
            math.dist(spot, s) > SAME_MM for s in new
        ):
            new.append(spot)
    if not new:
        why = (
            "No beams cross." if edit.crossings and not spots else "A pad stands there already." if spots else "Where?"
        )
        raise EditError(why, "text")
    if len(plan.pads) + len(new) > MOST:
        raise EditError(f"That makes {len(plan.pads) + len(new)} pads; a job holds {MOST}.")
    pads = [Pad(type=edit.type, at=spot, turn_deg=edit.turn_deg) for spot in new]
    words = f"Pad {edit.type} set" if len(new) == 1 else f"{len(new)} {edit.type} pads set"
    return plan.model_copy(update={"pads": [*plan.pads, *pads]}), words


def beam_crossings(plan: Plan) -> list[XY]:
    """Points inside the outline where centrelines of beams cross or meet."""
    lines = [LineString(beam.path) for beam in plan.beams]
    if len(lines) < 2:
        return []
    outline = Polygon(plan.outline)
    found: list[XY] = []
    for i, j in sorted({(int(a), int(b)) for a, b in shapely.STRtree(lines).query(lines).T.tolist() if a < b}):
        for part in shapely.get_parts(lines[i].intersection(lines[j])):
            if part.geom_type == "Point" and outline.intersects(part):
                found.append((round(part.x, 3), round(part.y, 3)))
    return found


def _grid(plan: Plan, edit: AddPads) -> list[XY]:
    """Posts on a grid whose first stands on the corner: bays along the side that leaves it, and along the one before."""
    ring = ring_needed(plan)
    at = edit.corner or 0
    if at >= len(ring):
        raise EditError(f"There is no corner {corner_name(at)}.", "corner")
    p, q, r = ring[at], ring[(at + 1) % len(ring)], ring[at - 1]
    along, across = read_bays(edit.bays_x, plan), read_bays(edit.bays_y, plan)
    outline = Polygon(ring).buffer(1.0)
    ux, vx = _unit(p, q), _unit(p, r)
    spots = []
    for j in _sums(across):
        for i in _sums(along):
            spot = (p[0] + i * ux[0] + j * vx[0], p[1] + i * ux[1] + j * vx[1])
            if outline.intersects(shapely.Point(spot)):
                spots.append((round(spot[0], 3), round(spot[1], 3)))
    return spots


def _sums(bays: Sequence[float]) -> list[float]:
    total, rows = 0.0, [0.0]
    for bay in bays:
        total += bay
        rows.append(total)
    return rows


def _unit(a: XY, b: XY) -> XY:
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size)


def move_pad(plan: Plan, edit: MovePad) -> Edited:
    """Move or turn a pad."""
    if edit.index >= len(plan.pads):
        raise EditError("There is no such pad.")
    old = plan.pads[edit.index]
    row = old.model_copy(
        update={"at": edit.at or old.at, "turn_deg": old.turn_deg if edit.turn_deg is None else edit.turn_deg}
    )
    rows = [row if at == edit.index else pad for at, pad in enumerate(plan.pads)]
    return plan.model_copy(update={"pads": rows}), f"Pad {row.type} {'moved' if edit.at else 'turned'}"
