"""Edits of the outline: each takes a plan and gives a plan and one line that says what changed."""

from __future__ import annotations

import math

from shapely.geometry import Polygon

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import XY, check_ring
from humble_trowel.core.lines.walk import origin_point, walk
from humble_trowel.core.plan.carry import new_corners, rows_of_sides, same_corners, types_of_sides
from humble_trowel.core.plan.document import Plan, Walk, WalkKind, corner_name, side_name
from humble_trowel.core.units import parse_length, say_length

Edited = tuple[Plan, str]


def ring_needed(plan: Plan) -> list[XY]:
    """The outline, or EditError where there is none."""
    if plan.outline is None:
        raise EditError("There is no outline yet. Call the first side.")
    return list(plan.outline)


def _corner(plan: Plan, index: int) -> list[XY]:
    ring = ring_needed(plan)
    if index >= len(ring):
        raise EditError(f"There is no corner {corner_name(index)}; the last is {corner_name(len(ring) - 1)}.")
    return ring


def set_walk(plan: Plan, kind: WalkKind, text: str) -> Edited:
    """Keep a walk as typed, finished or not; empty text forgets it."""
    walk_kept = Walk(text=text, kind=kind) if text.strip() else None
    return plan.model_copy(update={"walk": walk_kept}), "Walk kept as typed" if walk_kept else "Walk dropped"


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


def keep_outline(plan: Plan, text: str) -> Edited:
    """A closed walk becomes the outline."""
    start = start_of(plan, text)
    ring = closed_ring(plan, text, start if start is not None else (0.0, 0.0))
    check_ring(ring, "text", "The walk")
    edited = new_corners(plan, ring).model_copy(update={"walk": None})
    return edited, f"Outline walked, {len(ring)} sides"


def move_corner(plan: Plan, corner: int, x_mm: float, y_mm: float, square: bool) -> Edited:
    """Move a corner. square: sides along x or y at this corner stay so, and their far ends follow."""
    ring = _corner(plan, corner)
    n = len(ring)
    old = ring[corner]
    ring[corner] = (x_mm, y_mm)
    if square and n > 3:
        for other in ((corner - 1) % n, (corner + 1) % n):
            ox, oy = ring[other]
            if abs(ox - old[0]) < 0.01:
                ring[other] = (x_mm, oy)
            elif abs(oy - old[1]) < 0.01:
                ring[other] = (ox, y_mm)
    moved = say_length(math.dist(old, (x_mm, y_mm)), plan.units)
    return same_corners(plan, ring), f"Corner {corner_name(corner)} moved {moved}"


def set_side(plan: Plan, side: int, length: str | float, moves: str) -> Edited:
    """Give a side another length. moves: which end goes, 'start' or 'end'; what hangs on that end goes along."""
    ring = _corner(plan, side)
    n = len(ring)
    size = parse_length(length, plan.units)
    a, b = ring[side], ring[(side + 1) % n]
    was = math.dist(a, b)
    if size < 1:
        raise EditError(f"{side_name(side, n)} would be nothing. A side needs a length.", "length")
    grow = (size - was) / was
    dx, dy = (b[0] - a[0]) * grow, (b[1] - a[1]) * grow
    sign = 1 if moves == "end" else -1
    for corner in _going_along(ring, side, moves):
        ring[corner] = (ring[corner][0] + sign * dx, ring[corner][1] + sign * dy)
    edited = same_corners(plan, ring)
    return (
        edited,
        f"{side_name(side, n)} now {say_length(size, plan.units)}, was {say_length(was, plan.units)}",
    )


def _going_along(ring: list[XY], side: int, moves: str) -> list[int]:
    """Corners that move with one end of a side: all up to the longest side that runs back, which takes up the change."""
    n = len(ring)
    (ax, ay), (bx, by) = ring[side], ring[(side + 1) % n]
    size = math.hypot(bx - ax, by - ay)
    back: dict[int, float] = {}
    for other in range(n):
        (cx, cy), (dx, dy) = ring[other], ring[(other + 1) % n]
        along = ((dx - cx) * (bx - ax) + (dy - cy) * (by - ay)) / size
        if along < 0 and abs(along + math.hypot(dx - cx, dy - cy)) < 0.5:
            back[other] = along
    if not back:
        return [(side + 1) % n] if moves == "end" else [side]
    absorbs = min(back, key=lambda other: back[other])
    if moves == "end":
        return [(side + 1 + k) % n for k in range((absorbs - side) % n)]
    return [(absorbs + 1 + k) % n for k in range((side - absorbs) % n)]


def add_corner(plan: Plan, side: int, at_mm: float | None) -> Edited:
    """Put a corner on a side, `at_mm` from its start (half way where None). Both halves keep the edge type."""
    ring = _corner(plan, side)
    a, b = ring[side], ring[(side + 1) % len(ring)]
    size = math.dist(a, b)
    t = 0.5 if at_mm is None else at_mm / size
    if not 1 < t * size < size - 1:
        raise EditError(f"A corner {say_length(t * size, plan.units)} along a side of {say_length(size, plan.units)}?")
    if len(ring) >= 200:
        raise EditError("An outline holds 200 corners.")
    ring.insert(side + 1, (a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])))
    types = types_of_sides(plan)
    shifted = {(old if old <= side else old + 1): mark for old, mark in types.items()}
    if side in types:
        shifted[side + 1] = types[side]
    lines = [edge for edge in plan.edges if edge.along is not None]
    edited = plan.model_copy(update={"outline": ring, "edges": [*rows_of_sides(shifted), *lines]})
    return edited, f"Corner added between {side_name(side, len(ring) - 1)}"


def remove_corner(plan: Plan, corner: int) -> Edited:
    """Take a corner out; the side before it runs on to the next corner and keeps its edge type."""
    ring = _corner(plan, corner)
    n = len(ring)
    if n <= 3:
        raise EditError("Three corners are the least an outline can have.")
    del ring[corner]
    types = types_of_sides(plan)
    shifted = {(old if old < corner else old - 1) % (n - 1): mark for old, mark in types.items() if old != corner}
    lines = [edge for edge in plan.edges if edge.along is not None]
    zones = new_corners(plan, ring).zones
    edited = plan.model_copy(update={"outline": ring, "zones": zones, "edges": [*rows_of_sides(shifted), *lines]})
    return edited, f"Corner {corner_name(corner)} taken out"


def template(plan: Plan, shape: str, sizes: list[str | float]) -> Edited:
    """A rectangle (across, up), an L (across, up, leg across, leg up) or a T (bar across, bar up, stem across, stem up)."""
    mm = [parse_length(size, plan.units) for size in sizes]
    ring = _template_ring(shape, mm, plan)
    check_ring(ring, "sizes", f"The {shape}")
    return new_corners(plan, ring).model_copy(update={"walk": None}), f"{shape} laid out"


def _template_ring(shape: str, mm: list[float], plan: Plan) -> list[XY]:
    needed = {"rectangle": 2, "L": 4, "T": 4}[shape]
    if len(mm) != needed:
        raise EditError(f"A {shape} takes {needed} sizes; {len(mm)} came.", "sizes")
    for index, size in enumerate(mm):
        if size <= 0:
            raise EditError("A size of nothing makes no slab.", f"sizes[{index}]")
        if size >= 1e6:
            raise EditError(
                f"{say_length(size, plan.units)} is absurd for a slab. Sizes stay under 1 km.",
                f"sizes[{index}]",
            )
    if shape == "rectangle":
        w, d = mm
        return [(0, 0), (w, 0), (w, d), (0, d)]
    w, d, w2, d2 = mm
    if shape == "L":
        if w2 >= w:
            raise EditError("The leg is as wide as the whole. Then it is a rectangle.", "sizes[2]")
        return [(0, 0), (w, 0), (w, d), (w2, d), (w2, d + d2), (0, d + d2)]
    if w2 >= w:
        raise EditError("The stem is as wide as the bar. Then it is a rectangle.", "sizes[2]")
    x = (w - w2) / 2
    return [(x, 0), (x + w2, 0), (x + w2, d2), (w, d2), (w, d2 + d), (0, d2 + d), (0, d2), (x, d2)]


def add_opening(plan: Plan, text: str) -> Edited:
    """A hole through the slab, by a closed walk that begins with 'from <corner> ...'."""
    ring_needed(plan)
    start = start_of(plan, text)
    if start is None:
        raise CallError("Where does it start? Begin with from A 4' e & 5' n, then the sides.", path="text")
    ring = closed_ring(plan, text, start)
    check_ring(ring, "text", "The opening")
    if not Polygon(plan.outline).intersects(Polygon(ring)):
        raise CallError("That opening lies wholly outside the outline.", path="text")
    return plan.model_copy(update={"openings": [*plan.openings, ring], "walk": None}), "Opening added"


def remove_opening(plan: Plan, index: int) -> Edited:
    """Fill an opening."""
    if index >= len(plan.openings):
        raise EditError(f"There is no opening {index + 1}.")
    return plan.model_copy(
        update={"openings": [r for i, r in enumerate(plan.openings) if i != index]}
    ), "Opening filled"
