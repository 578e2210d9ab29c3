"""Edits of the outline: walked, laid out from a template, read from a file; its corners, sides and openings."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Annotated, Literal

from pydantic import Field, StrictBool

from humble_trowel.core.calls.walk import origin_point, walk
from humble_trowel.core.edits.base import (
    Calls,
    Coordinate,
    CornerId,
    Corners,
    EditBase,
    Edited,
    SideId,
    Typed,
    corner_at,
    ring_needed,
    side_at,
)
from humble_trowel.core.edits.carry import kept_ids, on_outline, same_corners, types_of_sides
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import XY, check_ring, signed_area_m2, turned
from humble_trowel.core.geometry.ring import point_along, side_of
from humble_trowel.core.geometry.rounds import chords, round_off
from humble_trowel.core.plan.document import Existing, Plan, Walk, WalkKind, corner_name, side_name
from humble_trowel.core.plan.shape_parts import SlabType, Zone
from humble_trowel.core.plan.values import MAX_CORNERS
from humble_trowel.core.units import Units, parse_length, say_depth, say_length

MOST_MOVED_MM = 1000.0


def closed_ring(plan: Plan, text: str, start: XY = (0.0, 0.0)) -> list[XY]:
    """Corners of a closed walk. Raises CallError when it cannot be read or does not close."""
    walked = walk(text, plan.units, start)
    if walked.heard.problem:
        raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
    if not walked.closed:
        raise CallError(walked.verdict or "Nothing called yet.", tuple(fix.text for fix in walked.fixes), "text")
    return walked.points[:-1]


def start_of(plan: Plan, text: str) -> XY | None:
    """Where a walk with 'from ...' starts, None without."""
    origin = walk(text, plan.units).heard.origin
    return origin_point(origin, list(plan.outline or []), plan.units) if origin else None


def guessed_slab(units: Units) -> SlabType:
    """4 in or 100 mm, a guess until somebody says it."""
    return SlabType(mark="S1", thickness_mm=101.6 if units == "ft-in" else 100.0, guessed=True)


def with_a_slab(plan: Plan) -> Plan:
    """A first outline needs a slab type and a zone."""
    types, zones = plan.slab_types, plan.zones
    if not types:
        types = [guessed_slab(plan.units)]
    if not zones:
        zones = [Zone(name="Slab", slab=types[0].mark)]
    same = types is plan.slab_types and zones is plan.zones
    return plan if same else plan.model_copy(update={"slab_types": types, "zones": zones})


def new_corners(plan: Plan, ring: Sequence[XY]) -> Plan:
    """The plan on an outline drawn anew, in either direction."""
    new = list(ring) if signed_area_m2(ring) > 0 else turned(list(ring))
    return on_outline(plan, new, kept_ids(plan, new))


class SetWalk(EditBase):
    """Keep a walk as typed, finished or not; empty text forgets it."""

    op: Literal["set_walk"]
    kind: WalkKind = "outline"
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        kept = Walk(text=self.text, kind=self.kind) if self.text.strip() else None
        return plan.model_copy(update={"walk": kept}), "Walk kept as typed" if kept else "Walk dropped"


class KeepOutline(EditBase):
    """A closed walk becomes the outline."""

    op: Literal["keep_outline"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        start = start_of(plan, self.text)
        ring = closed_ring(plan, self.text, start if start is not None else (0.0, 0.0))
        check_ring(ring, "text", "The walk")
        edited = new_corners(with_a_slab(plan), ring).model_copy(update={"walk": None})
        return edited, f"Outline walked, {len(ring)} sides"


class MoveCorner(EditBase):
    """Move a corner. square: sides along x or y at this corner stay so, and their far ends follow."""

    op: Literal["move_corner"]
    corner: CornerId
    x_mm: Coordinate
    y_mm: Coordinate
    square: StrictBool = True

    def apply(self, plan: Plan) -> Edited:
        corner, ring = corner_at(plan, self.corner), ring_needed(plan)
        n, old, new = len(ring), ring[corner], (self.x_mm, self.y_mm)
        ring[corner] = new
        if self.square and n > 3:
            for other in ((corner - 1) % n, (corner + 1) % n):
                ox, oy = ring[other]
                if abs(ox - old[0]) < 0.01:
                    ring[other] = (self.x_mm, oy)
                elif abs(oy - old[1]) < 0.01:
                    ring[other] = (ox, self.y_mm)
        moved = say_length(math.dist(old, new), plan.units)
        return same_corners(plan, ring), f"Corner {corner_name(corner)} moved {moved}"


class SetSide(EditBase):
    """Give a side another length. moves: which end goes; what hangs on that end goes along."""

    op: Literal["set_side"]
    side: SideId
    length: Typed
    moves: Literal["start", "end"] = "end"

    def apply(self, plan: Plan) -> Edited:
        side, ring = side_at(plan, self.side), ring_needed(plan)
        name = side_name(side, len(ring))
        size = parse_length(self.length, plan.units)
        a, b = side_of(ring, side)
        was = math.dist(a, b)
        if size < 1:
            raise EditError(f"{name} would be nothing. A side needs a length.", "length")
        grow = (size - was) / was
        dx, dy = (b[0] - a[0]) * grow, (b[1] - a[1]) * grow
        sign = 1 if self.moves == "end" else -1
        for corner in _going_along(ring, side, self.moves):
            ring[corner] = (ring[corner][0] + sign * dx, ring[corner][1] + sign * dy)
        words = f"{name} now {say_length(size, plan.units)}, was {say_length(was, plan.units)}"
        return same_corners(plan, ring), words


def _going_along(ring: list[XY], side: int, moves: str) -> list[int]:
    """Corners that move with one end of a side: all up to the longest side that runs back, which takes up the change."""
    n = len(ring)
    (ax, ay), (bx, by) = side_of(ring, side)
    size = math.hypot(bx - ax, by - ay)
    back: dict[int, float] = {}
    for other in range(n):
        (cx, cy), (dx, dy) = side_of(ring, other)
        along = ((dx - cx) * (bx - ax) + (dy - cy) * (by - ay)) / size
        if along < 0 and abs(along + math.hypot(dx - cx, dy - cy)) < 0.5:
            back[other] = along
    if not back:
        return [(side + 1) % n] if moves == "end" else [side]
    absorbs = min(back, key=lambda other: back[other])
    if moves == "end":
        return [(side + 1 + k) % n for k in range((absorbs - side) % n)]
    return [(absorbs + 1 + k) % n for k in range((side - absorbs) % n)]


class AddCorner(EditBase):
    """Put a corner on a side, `at_mm` from its start (half way where null). Both halves keep what is said of the side."""

    op: Literal["add_corner"]
    side: SideId
    at_mm: float | None = None

    def apply(self, plan: Plan) -> Edited:
        side, ring = side_at(plan, self.side), ring_needed(plan)
        a, b = side_of(ring, side)
        size = math.dist(a, b)
        along = size / 2 if self.at_mm is None else self.at_mm
        if not 1 < along < size - 1:
            raise EditError(f"A corner {say_length(along, plan.units)} along a side of {say_length(size, plan.units)}?")
        if len(ring) >= MAX_CORNERS:
            raise EditError(f"An outline holds {MAX_CORNERS} corners.")
        ids = list(plan.corner_ids)
        ring.insert(side + 1, point_along(a, b, along))
        ids.insert(side + 1, "")
        words = f"Corner added between {side_name(side, len(ring) - 1)}"
        return on_outline(plan, ring, ids, {side + 1: side}), words


class RemoveCorner(EditBase):
    """Take a corner out; the side before it runs on to the next corner and keeps what is said of it."""

    op: Literal["remove_corner"]
    corner: CornerId

    def apply(self, plan: Plan) -> Edited:
        corner, ring = corner_at(plan, self.corner), ring_needed(plan)
        if len(ring) <= 3:
            raise EditError("Three corners are the least an outline can have.")
        ids = list(plan.corner_ids)
        del ring[corner], ids[corner]
        return on_outline(plan, ring, ids), f"Corner {corner_name(corner)} taken out"


class RoundCorner(EditBase):
    """Round a corner off by chords that leave the arc by 1/8 in at most. Where both sides are of one edge type or form,
    the chords are too."""

    op: Literal["round_corner"]
    corner: CornerId
    radius: Typed

    def apply(self, plan: Plan) -> Edited:
        corner, ring = corner_at(plan, self.corner), ring_needed(plan)
        n, name = len(ring), corner_name(corner)
        radius_mm = parse_length(self.radius, plan.units)
        arc = round_off(ring[corner - 1], ring[corner], ring[(corner + 1) % n], radius_mm)
        if arc is None:
            words = f"A radius of {say_length(radius_mm, plan.units)} does not fit between the corners next to {name}."
            raise EditError(words, "radius")
        if n + len(arc) - 1 > MAX_CORNERS:
            raise EditError(f"An outline holds {MAX_CORNERS} corners.", "radius")
        new = [*ring[:corner], *arc, *ring[corner + 1 :]]
        ids = [*plan.corner_ids[:corner], *[""] * (len(arc) - 1), *plan.corner_ids[corner:]]
        chord = {corner + k: corner for k in range(len(arc) - 1)} if _alike(plan, corner) else {}
        return on_outline(
            plan, new, ids, chord
        ), f"{name} rounded by {say_depth(radius_mm, plan.units)}, {chords(arc)} chords"


def _alike(plan: Plan, corner: int) -> bool:
    """Whether both sides at a corner have the same edge type and stand in the same form row."""
    before = (corner - 1) % len(plan.corner_ids)
    types = types_of_sides(plan)
    row = next((row.sides for row in plan.forms if corner in row.sides), None)
    other = next((row.sides for row in plan.forms if before in row.sides), None)
    return types.get(before) == types.get(corner) and row is other


class TakeOutline(EditBase):
    """An outline read from a file of points, and what it shows beside the work; source: the file's name."""

    op: Literal["take_outline"]
    ring: Corners
    openings: Annotated[list[Corners], Field(max_length=100)] = []
    existing: Annotated[list[Existing], Field(max_length=60)] = []
    source: Annotated[str, Field(max_length=120)] = ""

    def apply(self, plan: Plan) -> Edited:
        check_ring(self.ring, "ring", "The outline")
        edited = new_corners(with_a_slab(plan), list(self.ring))
        holes = [list(hole) for hole in self.openings]
        changes = {
            "walk": None,
            "openings": [*edited.openings, *holes],
            "opening_ids": [*edited.opening_ids, *[""] * len(holes)],
            "existing": [*plan.existing, *self.existing],
        }
        return edited.model_copy(update=changes), f"Outline of {len(self.ring)} corners from {self.source or 'a file'}"


class AcceptLaid(EditBase):
    """Take the frame as it stands as the plan: the corners as taped."""

    op: Literal["accept_laid"]
    ring: Corners

    def apply(self, plan: Plan) -> Edited:
        old = ring_needed(plan)
        if len(self.ring) != len(old):
            raise EditError("Those are not the corners of this outline.", "ring")
        if max(math.dist(a, b) for a, b in zip(old, self.ring, strict=True)) > MOST_MOVED_MM:
            raise CallError("A corner would move by more than 1 m. That is another slab; call it.", path="ring")
        return same_corners(plan, list(self.ring)), "Frame taken as it was laid"


OUTLINE_EDITS = (
    SetWalk, KeepOutline, MoveCorner, SetSide, AddCorner, RemoveCorner, RoundCorner, TakeOutline, AcceptLaid,
)  # fmt: skip
