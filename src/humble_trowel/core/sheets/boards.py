"""Stiff boards butted over any region in courses, joints staggered, offcuts used again. Lengths in mm.

Rule: courses run one way from the region's lower border. Each course is filled from its start: with an offcut that fits and
keeps its joints off those of the course before, else with a board, cut where that is what keeps them off. What is cut off goes
back on the pile; a piece is taken from the smallest offcut that holds it. Pieces, offcuts and boards bought agree by area.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise

import shapely
from shapely import affinity
from shapely.geometry import box
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.memo import ByContent
from humble_trowel.core.sheets.spans import spans

XY = tuple[float, float]
LEAST_MM = 300.0
SNAP_MM = 1e-6


@dataclass(frozen=True)
class BoardPiece:
    """A board or part of one as it lies. whole: not cut. board: which of those bought it comes from, from 1. offcut: it is
    what another piece left."""

    course: int
    board: int
    whole: bool
    offcut: bool
    long_mm: float
    wide_mm: float
    corners: tuple[XY, XY, XY, XY]


@dataclass(frozen=True)
class BoardLayout:
    """bought: boards. left: offcuts on the pile at the end, (long, wide). least: no fewer cover it, by bare area."""

    angle_deg: float
    courses: int
    pieces: list[BoardPiece]
    bought: int
    least: int
    left: list[tuple[float, float]]
    left_m2: float
    area_m2: float


@dataclass
class _Pile:
    long: float
    wide: float
    bought: int = 0
    offcuts: list[tuple[float, float, int]] = field(default_factory=list)

    def take(self, long: float, wide: float) -> tuple[int, bool]:
        """(the board that a piece is cut from, whether of an offcut)."""
        fits = [one for one in self.offcuts if one[0] >= long - SNAP_MM and one[1] >= wide - SNAP_MM]
        if fits:
            found = min(fits, key=lambda one: (one[0] * one[1], one[2]))
            self.offcuts.remove(found)
        else:
            self.bought += 1
            found = (self.long, self.wide, self.bought)
        self._back(found[0] - long, found[1], found[2])
        self._back(long, found[1] - wide, found[2])
        return found[2], bool(fits)

    def _back(self, long: float, wide: float, board: int) -> None:
        if long > SNAP_MM and wide > SNAP_MM:
            self.offcuts.append((long, wide, board))

    def starts(self, wide: float, most: float) -> list[float]:
        """Lengths of offcuts that a course could begin with, the longest first."""
        fits = {one[0] for one in self.offcuts if one[1] >= wide - SNAP_MM and LEAST_MM <= one[0] <= most}
        return sorted(fits, reverse=True)


def lay_boards(
    region: BaseGeometry, board_long: float, board_wide: float, stagger: float, angle_deg: float = 0.0
) -> BoardLayout:
    """Boards over a region (mm), courses at `angle_deg`. stagger: how far joints of neighbours stand apart at least.

    Raises ValueError for boards without a size, or a stagger over half a board. Source: 'foam-boards' in sources/."""
    if min(board_long, board_wide) <= 0 or stagger > board_long / 2:
        raise ValueError("Joints cannot stand farther apart than half a board.")
    turned = affinity.rotate(region, -angle_deg, origin=(0, 0))
    x0, y0, x1, y1 = turned.bounds
    pile = _Pile(board_long, board_wide)
    turn = math.radians(angle_deg)

    def back(x: float, y: float) -> XY:
        return x * math.cos(turn) - y * math.sin(turn), x * math.sin(turn) + y * math.cos(turn)

    pieces: list[BoardPiece] = []
    joints: list[float] = []
    courses = max(1, math.ceil((y1 - y0) / board_wide - SNAP_MM))
    for course in range(courses):
        low = y0 + course * board_wide
        band = shapely.intersection(turned, box(x0, low, x1, low + board_wide))
        before, joints = joints, []
        for a, b in spans(band):
            wide = min(board_wide, y1 - low)
            for left, right in _course(a, b, wide, before, pile, stagger):
                part = shapely.intersection(band, box(left, low, right, low + board_wide))
                if part.area < 1.0:
                    continue
                pa, pb, qa, qb = part.bounds[0], part.bounds[2], part.bounds[1], part.bounds[3]
                board, offcut = pile.take(pb - pa, qb - qa)
                whole = pb - pa > board_long - SNAP_MM and qb - qa > board_wide - SNAP_MM
                ring = (back(pa, qa), back(pb, qa), back(pb, qb), back(pa, qb))
                pieces.append(BoardPiece(course + 1, board, whole, offcut, pb - pa, qb - qa, ring))
                if right < b - SNAP_MM:
                    joints.append(right)
    left_over = sorted(((long, wide) for long, wide, _ in pile.offcuts), key=lambda one: -one[0] * one[1])
    area = board_long * board_wide
    return BoardLayout(
        angle_deg, courses, pieces, pile.bought, math.ceil(turned.area / area - 1e-9), left_over,
        math.fsum(long * wide for long, wide in left_over) / 1e6, turned.area / 1e6,
    )  # fmt: skip


_BEST: ByContent[BoardLayout] = ByContent(16)


def best_boards(
    region: BaseGeometry, board_long: float, board_wide: float, stagger: float, angles: Sequence[float]
) -> BoardLayout:
    """The way round that takes fewest boards, then fewest pieces. Kept by content."""
    key = (region.wkb, board_long, board_wide, stagger, tuple(angles))
    return _BEST.get(key, lambda: _best(region, board_long, board_wide, stagger, angles))


def _best(
    region: BaseGeometry, board_long: float, board_wide: float, stagger: float, angles: Sequence[float]
) -> BoardLayout:
    found = [lay_boards(region, board_long, board_wide, stagger, angle) for angle in angles]
    return min(found, key=lambda one: (one.bought, len(one.pieces)))


def _course(
    a: float, b: float, wide: float, before: Sequence[float], pile: _Pile, stagger: float
) -> list[tuple[float, float]]:
    """Where the pieces of a course begin and end: begun so that its joints keep off those of the one before."""

    def joints_from(first: float) -> list[float]:
        return [x for k in range(math.ceil((b - a) / pile.long) + 1) if (x := a + first + k * pile.long) < b - SNAP_MM]

    def keeps(first: float) -> bool:
        rows = joints_from(first)
        short = rows and b - rows[-1] < LEAST_MM
        return not short and all(abs(x - y) >= stagger - SNAP_MM for x in rows for y in before)

    whole = b - a <= pile.long + SNAP_MM
    firsts = [b - a] if whole else [*pile.starts(wide, pile.long), *(pile.long * k / 8 for k in (8, 4, 6, 2, 5, 3, 7))]
    first = next((one for one in firsts if keeps(one)), None)
    if first is None:  # nothing keeps off all of them: the one that keeps farthest
        first = max(firsts, key=lambda one: min((abs(x - y) for x in joints_from(one) for y in before), default=0.0))
    marks = [a, *joints_from(first), b]
    return list(pairwise(marks))
