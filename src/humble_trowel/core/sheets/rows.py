"""Sheets off a roll laid over any region: rows that lap, pieces with the roll each is cut from, seams. Lengths in mm.

Rule: the region grown by the turn-up is covered; rows run one way from its lower border, each a roll's width less the lap
over the one before; what the last hangs over is cut off. A row is as long as what it covers. A roll that ends is joined to
the next with a lap; its last length is not begun where it would be shorter than a step.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely import affinity
from shapely.geometry import LineString, box
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.memo import ByContent
from humble_trowel.core.sheets.spans import spans

XY = tuple[float, float]
STEP_MM = 1000.0
SNAP_MM = 1e-6


@dataclass(frozen=True)
class SheetPiece:
    """A length cut from a roll. corners: of the sheet as it lies, from where it begins to unroll. row, roll: from 1."""

    row: int
    roll: int
    long_mm: float
    corners: tuple[XY, XY, XY, XY]


@dataclass(frozen=True)
class Seam:
    """Where one sheet lies over another: the upper one's border. upper, lower: rows; the same where a row goes on."""

    upper: int
    lower: int
    ends: tuple[XY, XY]
    long_mm: float


@dataclass(frozen=True)
class SheetRows:
    """angle_deg: the way rows run, from east. covered_m2: with turn-ups. left_mm: on the last roll."""

    angle_deg: float
    rows: int
    pieces: list[SheetPiece]
    seams: list[Seam]
    total_mm: float
    tape_mm: float
    rolls: int
    left_mm: float
    covered_m2: float


def lay_rows(
    region: BaseGeometry, roll_wide: float, roll_long: float, lap: float, turn_up: float = 0.0, angle_deg: float = 0.0
) -> SheetRows:
    """Rows over a region (mm), running at `angle_deg`. Raises ValueError for a roll no wider or longer than its lap.

    Source: 'barrier-lap' in sources/."""
    if min(roll_wide, roll_long) <= lap:
        raise ValueError(
            "The roll is no wider than its lap." if roll_wide <= lap else "The roll is no longer than its lap."
        )
    grown = region.buffer(turn_up, join_style="mitre") if turn_up else region
    turned = affinity.rotate(grown, -angle_deg, origin=(0, 0))
    x0, y0, x1, y1 = turned.bounds
    count = max(1, math.ceil((y1 - y0 - lap) / (roll_wide - lap) - SNAP_MM))
    starts = [y0 + i * (roll_wide - lap) for i in range(count)]
    rows = [spans(shapely.intersection(turned, box(x0, y, x1, y + roll_wide))) for y in starts]
    cuts = min(
        (_cut(rows, roll_long, lap, step) for step in (STEP_MM, 2 * lap)), key=lambda one: (one.rolls, one.joins)
    )

    def back(x: float, y: float) -> XY:
        turn = math.radians(angle_deg)
        return x * math.cos(turn) - y * math.sin(turn), x * math.sin(turn) + y * math.cos(turn)

    pieces = [
        SheetPiece(row + 1, roll, b - a, (back(a, y), back(b, y), back(b, top), back(a, top)))
        for row, roll, a, b in cuts.pieces
        for y, top in ((starts[row], min(starts[row] + roll_wide, max(y1, starts[row] + lap))),)
    ]
    seams = [
        Seam(row + 2, row + 1, (back(*a), back(*b)), math.dist(a, b))
        for row, y in enumerate(starts[1:])
        for a, b in _along(turned, y, x0, x1)
    ] + [
        Seam(row + 1, row + 1, (back(x, starts[row]), back(x, starts[row] + roll_wide)), roll_wide)
        for row, x in cuts.joined
    ]
    return SheetRows(
        angle_deg, count, pieces, seams, math.fsum(one.long_mm for one in pieces), math.fsum(one.long_mm for one in seams),
        cuts.rolls, cuts.left_mm, turned.area / 1e6,
    )  # fmt: skip


_BEST: ByContent[SheetRows] = ByContent(16)


def best_rows(
    region: BaseGeometry, roll_wide: float, roll_long: float, lap: float, turn_up: float, angles: Sequence[float]
) -> SheetRows:
    """The way round that takes fewest rolls, then least tape, then least sheet. Kept by content."""
    key = (region.wkb, roll_wide, roll_long, lap, turn_up, tuple(angles))
    return _BEST.get(key, lambda: _best(region, roll_wide, roll_long, lap, turn_up, angles))


def _best(
    region: BaseGeometry, roll_wide: float, roll_long: float, lap: float, turn_up: float, angles: Sequence[float]
) -> SheetRows:
    found = [lay_rows(region, roll_wide, roll_long, lap, turn_up, angle) for angle in angles]
    return min(found, key=lambda one: (one.rolls, round(one.tape_mm), round(one.total_mm)))


def long_ways(region: BaseGeometry) -> tuple[float, ...]:
    """The two ways along which a region may be laid: along its longest straight side, and square to that."""
    rings = [part.exterior for part in shapely.get_parts(region) if not part.is_empty]
    sides = [pair for ring in rings for pair in zip(ring.coords, ring.coords[1:], strict=False)]
    if not sides:
        return (0.0, 90.0)
    (ax, ay), (bx, by) = max(sides, key=lambda pair: math.dist(*pair))
    way = round(math.degrees(math.atan2(by - ay, bx - ax)) % 180.0, 6) % 180.0
    other = (way + 90.0) % 180.0
    return (way, other) if way <= other else (other, way)


@dataclass(frozen=True)
class _Cuts:
    pieces: list[tuple[int, int, float, float]]
    joined: list[tuple[int, float]]
    rolls: int
    joins: int
    left_mm: float


def _cut(rows: Sequence[Sequence[tuple[float, float]]], roll_long: float, lap: float, step: float) -> _Cuts:
    """Pieces off rolls that are laid on until they end. (row, roll, from, to) with where rows were joined."""
    pieces, joined = [], []
    roll, left = 1, roll_long
    for row, wanted in enumerate(rows):
        for a, b in wanted:
            at = a
            while b - at > SNAP_MM:
                if left < min(b - at, max(step, 2 * lap)) - SNAP_MM:
                    roll, left = roll + 1, roll_long
                end = min(b, at + left)
                if b - end > SNAP_MM and b - end + lap < step:  # the next one begins with a step at least
                    end = max(at + lap * 2, b + lap - step)
                pieces.append((row, roll, at, end))
                left -= end - at
                if b - end <= SNAP_MM:
                    break
                joined.append((row, end - lap))
                at = end - lap
                roll, left = roll + 1, roll_long
    return _Cuts(pieces, joined, roll if pieces else 0, len(joined), left if pieces else 0.0)


def _along(region: BaseGeometry, y: float, x0: float, x1: float) -> list[tuple[XY, XY]]:
    line = shapely.intersection(region, LineString([(x0 - 1, y), (x1 + 1, y)]))
    return [(part.coords[0], part.coords[-1]) for part in shapely.get_parts(line) if part.length > 1.0]
