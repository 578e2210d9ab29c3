"""Edits of pad types and pads: at a point, at beam crossings, on a grid of bays."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from typing import Annotated, Any, Literal

import shapely
from pydantic import Field, StrictBool
from shapely.geometry import Polygon

from humble_trowel.core.edits.base import (
    Calls,
    CornerId,
    EditBase,
    Edited,
    PadId,
    Short,
    Spot,
    Typed,
    TypeMark,
    corner_at,
    ring_needed,
    with_row,
)
from humble_trowel.core.edits.beams import read_bays, walked_path
from humble_trowel.core.edits.marks import mark_and_call
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.bays import beam_crossings
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import distance_to_side, side_of, sides_of, unit
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.shape_parts import Pad, PadType
from humble_trowel.core.units import parse_length, say_depth

MOST = 400
SAME_MM = 10.0
FLUSH_MM = 0.5
ROUNDS = 400


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


class SetPadType(EditBase):
    """Change a pad type, or add one with a new mark. text: '30 sq 16 deep', '30 by 36 16 deep', '24 round 48 deep'."""

    op: Literal["set_pad_type"]
    mark: TypeMark
    shape: Literal["rectangle", "round"] | None = None
    width: Typed | None = None
    length: Typed | None = None
    diameter: Typed | None = None
    depth: Typed | None = None
    text: Short = ""

    def apply(self, plan: Plan) -> Edited:
        mark, text = mark_and_call(self.text, self.mark, plan.pad_types)
        old = next((row for row in plan.pad_types if row.mark == mark), None)
        values: dict[str, Any] = old.model_dump() if old else {"mark": mark, "shape": "rectangle"}
        if self.shape is not None:
            values["shape"] = self.shape
        if text.strip():
            values |= read_pad(text, plan)
        for key, said in (("width_mm", self.width), ("length_mm", self.length), ("diameter_mm", self.diameter), ("depth_mm", self.depth)):  # fmt: skip
            if said is not None:
                values[key] = parse_length(said, plan.units, bare="in")
                if values[key] <= 0:
                    raise EditError("A pad needs more than nothing here.", key.removesuffix("_mm"))
        if not values.get("depth_mm"):
            raise EditError("How deep? A pad needs it.", "text")
        row = PadType.model_validate(values)
        rows = [row if known.mark == mark else known for known in plan.pad_types]
        return plan.model_copy(
            update={"pad_types": rows if old else [*rows, row]}
        ), f"{row.mark} {pad_words(row, plan)}"


def pad_words(kind: PadType, plan: Plan) -> str:
    """'30 in sq, 16 in deep'."""
    deep = f"{say_depth(kind.depth_mm, plan.units)} deep"
    if kind.shape == "round":
        return f"{say_depth(kind.diameter_mm or 0, plan.units)} round, {deep}"
    wide, long = say_depth(kind.width_mm or 0, plan.units), say_depth(kind.length_mm or 0, plan.units)
    return f"{wide} sq, {deep}" if wide == long else f"{wide} × {long}, {deep}"


class AddPads(EditBase):
    """Pads where asked; a spot within 10 mm of a pad that stands already is left out. At points in mm, at the end of a walk from a corner, at every beam crossing, or on a grid from a corner whose
    bays run along its sides ('9 ft, 14 ft'). inside: one that would stick out of the outline is moved in, flush with its sides."""

    op: Literal["add_pads"]
    type: TypeMark
    at: Annotated[list[Spot], Field(max_length=400)] = []
    text: Calls = ""
    crossings: StrictBool = False
    corner: CornerId | None = None
    bays_x: Short = ""
    bays_y: Short = ""
    turn_deg: float = 0.0
    inside: StrictBool = False

    def apply(self, plan: Plan) -> Edited:
        if self.type not in {row.mark for row in plan.pad_types}:
            raise EditError(
                f"The mark {self.type} is no pad type here. Call its size first, like 30 sq 16 deep.", "type"
            )
        spots: list[XY] = list(self.at)
        outside = 0
        if self.text.strip():
            spots.append(walked_path(plan, self.text, "way to the pad")[-1])
        if self.crossings:
            spots += beam_crossings(plan)
        if self.corner is not None:
            inside, outside = _grid(plan, corner_at(plan, self.corner), self.bays_x, self.bays_y)
            spots += inside
        if self.inside:
            kind = next(row for row in plan.pad_types if row.mark == self.type)
            spots = [moved_in(plan, kind, spot, self.turn_deg) for spot in spots]
        new: list[XY] = []
        for spot in spots:
            if all(math.dist(spot, pad.at) > SAME_MM for pad in plan.pads) and all(
                math.dist(spot, s) > SAME_MM for s in new
            ):
                new.append(spot)
        if not new:
            why = (
                "No beams cross."
                if self.crossings and not spots
                else "A pad stands there already."
                if spots
                else "Where?"
            )
            raise EditError(why, "text")
        if len(plan.pads) + len(new) > MOST:
            raise EditError(f"That makes {len(plan.pads) + len(new)} pads; a job holds {MOST}.")
        pads = [Pad(type=self.type, at=spot, turn_deg=self.turn_deg) for spot in new]
        words = f"Pad {self.type} set" if len(new) == 1 else f"{len(new)} {self.type} pads set"
        if len(new) < len(spots):
            words += f"; {len(spots) - len(new)} stood there already"
        if outside:
            words += f"; {outside} would lie outside the outline"
        return plan.model_copy(update={"pads": [*plan.pads, *pads]}), words


def _grid(plan: Plan, at: int, bays_x: str, bays_y: str) -> tuple[list[XY], int]:
    """Posts on a grid whose first stands on the corner: bays along the side that leaves it, and along the one before; and how
    many of them would lie outside of the outline."""
    ring = ring_needed(plan)
    p, q, r = ring[at], ring[(at + 1) % len(ring)], ring[at - 1]
    along, across = read_bays(bays_x, plan), read_bays(bays_y, plan)
    outline = Polygon(ring).buffer(1.0)
    ux, vx = unit(p, q), unit(p, r)
    spots, outside = [], 0
    for j in _sums(across):
        for i in _sums(along):
            spot = (p[0] + i * ux[0] + j * vx[0], p[1] + i * ux[1] + j * vx[1])
            if outline.intersects(shapely.Point(spot)):
                spots.append((round(spot[0], 3), round(spot[1], 3)))
            else:
                outside += 1
    return spots, outside


def _sums(bays: Sequence[float]) -> list[float]:
    total, rows = 0.0, [0.0]
    for bay in bays:
        total += bay
        rows.append(total)
    return rows


def moved_in(plan: Plan, kind: PadType, spot: XY, turn_deg: float) -> XY:
    """Where a pad stands that is moved in from the sides it sticks out of, flush with them; the spot itself where it sticks out
    of none. Raises EditError where it does not fit."""
    ring = ring_needed(plan)
    shape = Polygon(pad_ring(kind, Pad(type=kind.mark, at=spot, turn_deg=turn_deg)))
    outline = Polygon(ring)
    if shape.difference(outline.buffer(FLUSH_MM)).is_empty:
        return spot
    x, y = spot
    for _ in range(ROUNDS):
        worst, way = 0.0, (0.0, 0.0)
        for side, (a, b) in enumerate(sides_of(ring)):
            ux, uy = unit(a, b)
            reach = max(-(px - x) * -uy - (py - y) * ux for px, py in shape_at(kind, (x, y), turn_deg))
            lies = (x - a[0]) * -uy + (y - a[1]) * ux
            if (
                lies < reach - 1e-9
                and distance_to_side((x, y), *side_of(ring, side)) <= reach + FLUSH_MM
                and reach - lies > worst
            ):
                worst, way = reach - lies, (-uy * (reach - lies), ux * (reach - lies))
        if worst < 1e-7:
            break
        x, y = x + way[0], y + way[1]
    if not Polygon(shape_at(kind, (x, y), turn_deg)).difference(outline.buffer(FLUSH_MM)).is_empty:
        raise EditError(f"{kind.mark} does not fit inside there.", "text")
    return (round(x, 6), round(y, 6))


def shape_at(kind: PadType, spot: XY, turn_deg: float) -> list[XY]:
    """Corners of a pad of this kind at a spot."""
    return pad_ring(kind, Pad(type=kind.mark, at=spot, turn_deg=turn_deg))


class MovePad(EditBase):
    """Move or turn a pad."""

    op: Literal["move_pad"]
    pad: PadId
    at: Spot | None = None
    turn_deg: float | None = None

    def apply(self, plan: Plan) -> Edited:
        place = place_of(plan, "pads", self.pad, "pad")
        old = plan.pads[place]
        row = old.model_copy(
            update={"at": self.at or old.at, "turn_deg": old.turn_deg if self.turn_deg is None else self.turn_deg}
        )
        return with_row(plan, "pads", place, row), f"Pad {row.type} {'moved' if self.at else 'turned'}"


class SetPadKind(EditBase):
    """Make a pad that lies there one of another kind."""

    op: Literal["set_pad_kind"]
    pad: PadId
    type: TypeMark

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "pads", self.pad, "pad")
        if self.type not in {row.mark for row in plan.pad_types}:
            raise EditError(f"The mark {self.type} is no pad type here. Call its cut first, in the rack.", "type")
        old = plan.pads[at]
        row = old.model_copy(update={"type": self.type})
        return with_row(plan, "pads", at, row), f"Pad {old.type} is {self.type} now"


PAD_EDITS = (SetPadKind, SetPadType, AddPads, MovePad)
