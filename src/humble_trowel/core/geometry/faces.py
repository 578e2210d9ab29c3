"""Where a riser stands, the way a plumber reads it: from two finished faces, and from the form boards."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.underslab_parts import Riser
from humble_trowel.core.units import say_length

SQUARE_ENOUGH = math.sin(math.radians(25))


@dataclass(frozen=True)
class FromFace:
    """A distance square to a side. face_mm: from the finished face, board_mm: from the slab's edge. side: its place in the
    outline, id: its first corner's."""

    side: int
    id: str
    name: str
    face_mm: float
    board_mm: float
    face_text: str
    board_text: str


def inward_mm(ring: list[XY], side: int, spot: XY) -> float:
    """Distance of a spot inside of a side's line, mm; outside is less than nothing. The outline runs anticlockwise."""
    (ax, ay), (bx, by) = side_of(ring, side)
    size = math.hypot(bx - ax, by - ay)
    return ((bx - ax) * (spot[1] - ay) - (by - ay) * (spot[0] - ax)) / size


def _beside(ring: list[XY], side: int, spot: XY) -> bool:
    """Whether the foot of a spot lies on the side itself."""
    (ax, ay), (bx, by) = side_of(ring, side)
    size = math.hypot(bx - ax, by - ay)
    along = ((bx - ax) * (spot[0] - ax) + (by - ay) * (spot[1] - ay)) / size
    return -1.0 <= along <= size + 1.0


def crosses(ring: list[XY], one: int, other: int) -> bool:
    """Whether two sides run across each other, so that two distances from them make a place."""
    (ax, ay), (bx, by) = side_of(ring, one)
    (cx, cy), (dx, dy) = side_of(ring, other)
    turn = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx)
    return abs(turn) > SQUARE_ENOUGH * math.hypot(bx - ax, by - ay) * math.hypot(dx - cx, dy - cy)


def sides_for(plan: Plan, riser: Riser) -> list[int]:
    """The two sides that a riser is measured from: those named, else the nearest one that it stands beside and the
    nearest that runs across it. Fewer where the outline has no such."""
    ring = list(plan.outline or [])
    named = [plan.corner_ids.index(one) for one in riser.faces if one in plan.corner_ids]
    if len(named) == 2 and crosses(ring, *named):
        return named
    order = sorted(
        range(len(ring)),
        key=lambda side: (not _beside(ring, side, riser.at), abs(inward_mm(ring, side, riser.at))),
    )
    first = next((side for side in order if inward_mm(ring, side, riser.at) > -1.0), None)
    if first is None:
        return []
    other = (side for side in order if crosses(ring, first, side) and inward_mm(ring, side, riser.at) > -1.0)
    second = next(other, None)
    return [first] if second is None else [first, second]


def from_faces(plan: Plan, riser: Riser) -> list[FromFace]:
    """The riser's distances from its two faces."""
    ring = list(plan.outline or [])
    rows = []
    for side in sides_for(plan, riser):
        board = inward_mm(ring, side, riser.at)
        face = board - plan.underslab.face_mm
        rows.append(
            FromFace(
                side, plan.corner_ids[side], side_name(side, len(ring)), face, board,
                say_length(face, plan.units), say_length(board, plan.units),
            )
        )  # fmt: skip
    return rows


def spot_between(plan: Plan, one: int, one_mm: float, other: int, other_mm: float) -> XY | None:
    """The place that stands so far inside of two finished faces; None where they do not run across each other."""
    ring = list(plan.outline or [])
    if not crosses(ring, one, other):
        return None
    lines = []
    for side, inward in ((one, one_mm), (other, other_mm)):
        (ax, ay), (bx, by) = side_of(ring, side)
        size = math.hypot(bx - ax, by - ay)
        off = inward + plan.underslab.face_mm
        nx, ny = -(by - ay) / size, (bx - ax) / size
        lines.append((nx, ny, nx * ax + ny * ay + off))
    (a, b, c), (d, e, f) = lines
    turn = a * e - b * d
    return (c * e - b * f) / turn, (a * f - c * d) / turn
