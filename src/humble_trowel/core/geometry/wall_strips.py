"""A wall on a footing as upright prisms, one for each straight stretch of one bottom and one top.

Rule: the wall is the footing's centreline moved sideways by its offset and swept by its thickness, from one place along the
footing to another. It is cut square across where it begins and ends, where the footing steps and where its top is set down; at
a bend along the mitre. It stands on the footing's top below it and reaches to its own top. Its volume is, for each stretch,
the length along its middle times its thickness times its height.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.footing_strips import length_mm
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.wall_parts import Wall

SAME_MM = 1e-6


@dataclass(frozen=True)
class Stretch:
    """start_mm, end_mm: along the footing's centreline. ring: its plan, mm, anticlockwise as far as it is not turned over.
    length_mm: along the wall's middle. set_down: in its row of set-downs, None where the top is as planned."""

    start_mm: float
    end_mm: float
    ring: tuple[XY, ...]
    length_mm: float
    bottom_mm: float
    top_mm: float
    set_down: int | None


@dataclass(frozen=True)
class _Leg:
    """A straight part of the footing's centreline. turn_start, turn_end: tangent of half the turn at its ends, left is more."""

    start_mm: float
    end_mm: float
    a: XY
    along: XY
    turn_start: float
    turn_end: float


def to_mm(wall: Wall, footing: Footing) -> float:
    """Where the wall ends along the footing."""
    return length_mm(footing) if wall.to_mm is None else wall.to_mm


def goes_round(wall: Wall, footing: Footing) -> bool:
    """Whether it goes all round a closed footing."""
    return is_closed(footing.path) and wall.from_mm == 0 and to_mm(wall, footing) >= length_mm(footing) - 1e-6


def inside_left(footing: Footing) -> bool:
    """Whether the inside lies to the left as the footing runs; of an open one it does."""
    if not is_closed(footing.path):
        return True
    return math.fsum(x0 * y1 - x1 * y0 for (x0, y0), (x1, y1) in pairwise(footing.path)) > 0


def legs_of(footing: Footing) -> list[_Leg]:
    """The straight parts of a footing's centreline, with what they turn at their ends."""
    path, closed = footing.path, is_closed(footing.path)
    ways = [_way(a, b) for a, b in pairwise(path)]
    count, run, found = len(ways), 0.0, []
    for at, (a, b) in enumerate(pairwise(path)):
        before = _half_turn(ways[at - 1], ways[at]) if at or closed else 0.0
        after = _half_turn(ways[at], ways[(at + 1) % count]) if at < count - 1 or closed else 0.0
        size = math.dist(a, b)
        found.append(_Leg(run, run + size, a, ways[at], before, after))
        run += size
    return found


def stretches(wall: Wall, footing: Footing) -> list[Stretch]:
    """The wall's stretches along its footing."""
    start, end = wall.from_mm, to_mm(wall, footing)
    cuts = {start, end}
    cuts |= {at for row in wall.set_downs for at in (row.from_mm, row.to_mm)}
    cuts |= {step.at_mm for step in footing.steps}
    found = []
    for leg in legs_of(footing):
        marks = sorted(
            {leg.start_mm, leg.end_mm, *(at for at in cuts if leg.start_mm + SAME_MM < at < leg.end_mm - SAME_MM)}
        )
        for a, b in pairwise(marks):
            if a >= start - SAME_MM and b <= end + SAME_MM:
                found.append(
                    _stretch(wall, footing, leg, a, b, open_at={start, end} if not goes_round(wall, footing) else set())
                )
    return found


def _stretch(wall: Wall, footing: Footing, leg: _Leg, a: float, b: float, open_at: set[float]) -> Stretch:
    tan_a = leg.turn_start if a == leg.start_mm and not _at(a, open_at) else 0.0
    tan_b = leg.turn_end if b == leg.end_mm and not _at(b, open_at) else 0.0
    half, off = wall.thickness_mm / 2, wall.offset_mm

    def spot(along: float, aside: float) -> XY:
        (x, y), (ux, uy) = leg.a, leg.along
        run = along - leg.start_mm
        return x + ux * run - uy * aside, y + uy * run + ux * aside

    right, left = off - half, off + half
    # a left turn takes from the left side: at the end of a leg the mitre stands tan * aside back
    ring = (
        spot(a + tan_a * right, right), spot(b - tan_b * right, right), spot(b - tan_b * left, left), spot(a + tan_a * left, left),
    )  # fmt: skip
    middle = (a + b) / 2
    down = next((i for i, row in enumerate(wall.set_downs) if row.from_mm <= middle <= row.to_mm), None)
    top = wall.top_mm - (wall.set_downs[down].down_mm if down is not None else 0.0)
    size = (b - a) - (tan_a + tan_b) * off
    return Stretch(a, b, ring, size, top_at(footing, middle), top, down)


def _at(spot: float, marks: set[float]) -> bool:
    return any(abs(spot - mark) < SAME_MM for mark in marks)


def top_at(footing: Footing, along_mm: float) -> float:
    """Level of the footing's top at a place along its centreline, mm."""
    return footing.top_mm + math.fsum(step.rise_mm for step in footing.steps if step.at_mm <= along_mm)


def _way(a: XY, b: XY) -> XY:
    size = math.dist(a, b)
    return (b[0] - a[0]) / size, (b[1] - a[1]) / size


def _half_turn(u: XY, v: XY) -> float:
    """Tangent of half the angle that the way turns, to the left more than nothing."""
    cross, dot = u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]
    return math.tan(math.atan2(cross, dot) / 2)


def turned_over(row: Stretch) -> bool:
    """Whether the ends of a stretch cross: it is too short for its mitres."""
    p, q, r, s = row.ring
    along = (q[0] - p[0], q[1] - p[1])
    back = (r[0] - s[0], r[1] - s[1])
    axis = (q[0] + r[0] - p[0] - s[0], q[1] + r[1] - p[1] - s[1])
    return _dot(along, axis) <= 0 or _dot(back, axis) <= 0 or row.length_mm <= 0


def _dot(a: XY, b: XY) -> float:
    return a[0] * b[0] + a[1] * b[1]


def clear_mm(wall: Wall, footing: Footing) -> float:
    """How far a cut keeps from a bend where it is not at the bend itself."""
    turns = [abs(leg.turn_end) for leg in legs_of(footing)] + [abs(leg.turn_start) for leg in legs_of(footing)]
    return (abs(wall.offset_mm) + wall.thickness_mm / 2) * max(turns, default=0.0)


def bends_of(footing: Footing) -> Sequence[float]:
    """Places along the centreline where it turns."""
    legs = legs_of(footing)
    ends = [leg.end_mm for leg in legs if leg.turn_end]
    return [0.0, *ends] if is_closed(footing.path) else ends
