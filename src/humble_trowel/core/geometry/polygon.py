"""Plane polygons as lists of (x, y) in mm: area, perimeter, direction, simplicity, diagonals."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import TypeVar

import shapely
from shapely.geometry import Polygon

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import side_name

XY = tuple[float, float]
T = TypeVar("T")
SNAP_MM = 1.0


def signed_area_m2(ring: Sequence[XY]) -> float:
    """Shoelace area of a ring of (x, y) in mm, in m2; positive when anticlockwise."""
    x0, y0 = ring[0]
    total = 0.0
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        total += (ax - x0) * (by - y0) - (bx - x0) * (ay - y0)
    return total / 2e6


def sides_mm(ring: Sequence[XY]) -> list[float]:
    """Length of side i, from corner i to corner i+1, in mm."""
    return [math.dist(a, b) for a, b in zip(ring, [*ring[1:], ring[0]], strict=True)]


def perimeter_m(ring: Sequence[XY]) -> float:
    """Length all round, in m."""
    return math.fsum(sides_mm(ring)) / 1000


def corner_angle_rad(before: XY, at: XY, after: XY) -> float:
    """Interior angle at `at` of an anticlockwise ring, 0 to 2 pi."""
    out = math.atan2(after[1] - at[1], after[0] - at[0])
    back = math.atan2(before[1] - at[1], before[0] - at[0])
    return (back - out) % (2 * math.pi)


def check_ring(ring: Sequence[XY], path: str, what: str) -> None:
    """Raise PlanError (naming `path`) unless the ring is a simple polygon with 3 or more distinct corners."""
    n = len(ring)
    if n < 3:
        raise PlanError(f"{what} has {n} corners. It needs 3 or more.", path)
    for i in range(n):
        for j in range(i + 1, n):
            if abs(ring[i][0] - ring[j][0]) < SNAP_MM and abs(ring[i][1] - ring[j][1]) < SNAP_MM:
                a, b = side_name(i, n).split(" ")[0], side_name(j, n).split(" ")[0]
                raise PlanError(f"{what} comes to the same corner twice: {a} and {b} are one spot.", path)
    if not Polygon(ring).is_valid:
        raise PlanError(f"{what} crosses itself{_where_crossed(ring)}.", path)


def _where_crossed(ring: Sequence[XY]) -> str:
    n = len(ring)
    lines = [shapely.LineString([ring[i], ring[(i + 1) % n]]) for i in range(n)]
    for i in range(n):
        for j in range(i + 1, n):
            neighbours = j == i + 1 or (i == 0 and j == n - 1)
            meet = lines[i].intersection(lines[j])
            if (neighbours and meet.length > 0) or (not neighbours and not meet.is_empty):
                return f": side {side_name(i, n)} meets side {side_name(j, n)}"
    return ""


def turned(ring: Sequence[T]) -> list[T]:
    """The ring (or what stands beside its corners) run the other way round, corner 0 kept: corner i becomes (n - i) mod n."""
    return [ring[0], *reversed(ring[1:])]


def diagonal_pairs(corners: int) -> list[tuple[int, int]]:
    """All pairs of corners that are not neighbours, from the lower to the higher."""
    return [(i, j) for i in range(corners) for j in range(i + 2, corners) if not (i == 0 and j == corners - 1)]


def outward(ring: Sequence[XY], corner: int) -> XY:
    """Unit vector out of an anticlockwise ring at a corner, along the line that halves it."""
    a, b, c = ring[corner - 1], ring[corner], ring[(corner + 1) % len(ring)]
    one, two = math.dist(a, b) or 1.0, math.dist(b, c) or 1.0
    nx = (b[1] - a[1]) / one + (c[1] - b[1]) / two
    ny = -(b[0] - a[0]) / one - (c[0] - b[0]) / two
    size = math.hypot(nx, ny) or 1.0
    return (nx / size, ny / size)
