"""Joints laid by rule over one region: lines along two ways, through every corner that must have one, panels near square and no
longer than the limit, with the least to saw that is found. Lengths mm.

Lines that must be there are tried both ways at each corner (all ways where they are few, else by turning one at a time); the rest
is shared out evenly between them; then every stretch that the checker does not miss is left out.
"""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import pairwise, product

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.affinity import rotate
from shapely.geometry import Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.chords import chords
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import longest_way_deg
from humble_trowel.core.joints.check import JointRules, JointsChecked, Line, checked, corners_of

SAME_MM = 5.0  # corners as near as this share a line
ALL_WAYS = 9  # so many corners are tried in every way
ROUNDS = 3
MOST_LINES = 250


@dataclass(frozen=True)
class _Grid:
    """A region in its own frame. xs, ys: of its middle lines that are tried, with the corners that need one of them."""

    region: BaseGeometry
    corners: NDArray[np.float64]
    low: XY
    high: XY
    limit: float
    rules: JointRules


def lay_joints(
    outline: Sequence[XY],
    openings: Sequence[Sequence[XY]],
    thick_mm: float,
    rules: JointRules,
    isolated: Sequence[XY] = (),
    tick: Callable[[], None] = lambda: None,
    grain_mm: float = 25.4,
) -> list[Line]:
    """A layout; empty where the region needs none. It passes the checker wherever full lines both ways can; where they cannot, it
    is the one that breaks the fewest rules found. isolated: corners with a joint of their own. grain_mm: lines that
    may stand anywhere stand at whole ones of it."""  # fmt: skip
    turn = longest_way_deg(list(outline))
    ring = [_turned(spot, -turn) for spot in outline]
    holes = [[_turned(spot, -turn) for spot in hole] for hole in openings]
    free = [_turned(spot, -turn) for spot in isolated]
    corners = [
        spot for spot in corners_of(ring, holes) if not any(math.dist(spot, one) <= rules.tol_mm for one in free)
    ]
    region = Polygon(ring, holes)
    x1, y1, x2, y2 = region.bounds
    grid = _Grid(
        region, np.array(corners, dtype=float).reshape(-1, 2), (x1, y1), (x2, y2), rules.limit_mm(thick_mm), rules
    )
    xs, ys = _rounded(grid, *_best(grid, tick), grain_mm)
    lines = _chords(region, xs, ys)
    if len(lines) <= MOST_LINES:
        lines = _fewer(ring, holes, lines, thick_mm, rules, free, tick)
    return [(_turned(a, turn), _turned(b, turn)) for a, b in lines]


def _turned(spot: XY, deg: float) -> XY:
    if abs(deg) < 1e-12:
        return spot
    made = rotate(Point(spot), deg, origin=(0, 0))
    return made.x, made.y


def _best(grid: _Grid, tick: Callable[[], None]) -> tuple[list[float], list[float]]:
    """Coordinates of the lines across and along, for the best way found of giving each corner a line."""
    count = len(grid.corners)
    held: tuple[tuple[int, float], tuple[list[float], list[float]]] | None = None

    def tried(ways: Sequence[int]) -> tuple[int, float]:
        nonlocal held
        tick()
        xs = _merged([grid.corners[i][0] for i in range(count) if ways[i] == 0])
        ys = _merged([grid.corners[i][1] for i in range(count) if ways[i] == 1])
        lines = _filled(grid, xs, ys)
        cost = _cost(grid, *lines)
        if held is None or cost < held[0]:
            held = (cost, lines)
        return cost

    if count <= ALL_WAYS:
        for ways in product((0, 1), repeat=count):
            tried(ways)
    else:
        now = list(_shared(grid))
        best = tried(now)
        for _ in range(ROUNDS):
            before = best
            for i in range(count):
                now[i] ^= 1
                cost = tried(now)
                if cost < best:
                    best = cost
                else:
                    now[i] ^= 1
            if best == before:
                break
    assert held is not None
    return held[1]


def _rounded(grid: _Grid, xs: list[float], ys: list[float], grain_mm: float) -> tuple[list[float], list[float]]:
    """Lines at whole grains from the region's corner, but those through corners, where nothing is worse for it."""

    def snapped(rows: Sequence[float], axis: int) -> list[float]:
        low, fixed = grid.low[axis], grid.corners[:, axis]
        return [
            value if np.any(np.abs(fixed - value) <= SAME_MM) else low + round((value - low) / grain_mm) * grain_mm
            for value in rows
        ]

    made = snapped(xs, 0), snapped(ys, 1)
    return made if _cost(grid, *made)[0] <= _cost(grid, xs, ys)[0] else (xs, ys)


def _shared(grid: _Grid) -> list[int]:
    """For each corner the way whose line serves more corners."""
    spots = grid.corners
    across = [int(np.sum(np.abs(spots[:, 0] - x) <= SAME_MM)) for x, _ in spots]
    along = [int(np.sum(np.abs(spots[:, 1] - y) <= SAME_MM)) for _, y in spots]
    return [0 if one >= other else 1 for one, other in zip(across, along, strict=True)]


def _merged(values: Sequence[float]) -> list[float]:
    rows: list[float] = []
    for value in sorted(values):
        if not rows or value - rows[-1] > SAME_MM:
            rows.append(float(value))
    return rows


def _filled(grid: _Grid, xs: Sequence[float], ys: Sequence[float]) -> tuple[list[float], list[float]]:
    """Lines that must be there and evenly between them as many as the limit asks, then more where panels are not square."""
    fixed = [[grid.low[0], *xs, grid.high[0]], [grid.low[1], *ys, grid.high[1]]]
    fixed = [_merged(rows) for rows in fixed]
    parts = [[max(1, math.ceil((b - a - grid.rules.tol_mm) / grid.limit)) for a, b in pairwise(rows)] for rows in fixed]
    for _ in range(12):
        sizes = [_sizes(rows, own) for rows, own in zip(fixed, parts, strict=True)]
        there = _cells(grid, *(_lines(rows, own) for rows, own in zip(fixed, parts, strict=True)))
        wide, high = sizes[0][:, None], sizes[1][None, :]
        ratio = np.where(there, np.maximum(wide / high, high / wide), 1.0)
        worst = np.unravel_index(int(np.argmax(ratio)), ratio.shape)
        if ratio[worst] <= grid.rules.aspect_ratio + 1e-9:
            break
        axis = 0 if sizes[0][worst[0]] > sizes[1][worst[1]] else 1
        gap = _gap_of(parts[axis], int(worst[axis]))
        size = sizes[axis][worst[axis]] * parts[axis][gap] / (parts[axis][gap] + 1)
        if size < grid.rules.sliver_mm:
            break
        parts[axis][gap] += 1
    return _lines(fixed[0], parts[0])[1:-1], _lines(fixed[1], parts[1])[1:-1]


def _gap_of(parts: Sequence[int], cell: int) -> int:
    for gap, count in enumerate(parts):
        if cell < count:
            return gap
        cell -= count
    raise AssertionError("a cell lies in a gap")


def _lines(fixed: Sequence[float], parts: Sequence[int]) -> list[float]:
    rows = [fixed[0]]
    for (a, b), count in zip(pairwise(fixed), parts, strict=True):
        rows += [a + (b - a) * (k + 1) / count for k in range(count)]
    return rows


def _sizes(fixed: Sequence[float], parts: Sequence[int]) -> NDArray[np.float64]:
    return np.diff(np.array(_lines(fixed, parts)))


def _cells(grid: _Grid, xs: Sequence[float], ys: Sequence[float]) -> NDArray[np.bool_]:
    """Which cells of the grid lie in the slab, by their middles."""
    mx = (np.array(xs[1:]) + np.array(xs[:-1])) / 2
    my = (np.array(ys[1:]) + np.array(ys[:-1])) / 2
    gx, gy = np.meshgrid(mx, my, indexing="ij")
    found: NDArray[np.bool_] = shapely.contains_xy(grid.region, gx.ravel(), gy.ravel()).reshape(gx.shape)
    return found


def _cost(grid: _Grid, xs: Sequence[float], ys: Sequence[float]) -> tuple[int, float]:
    """(cells that break a rule, what is sawn), lines in full."""
    fx, fy = [grid.low[0], *xs, grid.high[0]], [grid.low[1], *ys, grid.high[1]]
    there = _cells(grid, fx, fy)
    wide, high = np.diff(fx)[:, None], np.diff(fy)[None, :]
    long, short = np.maximum(wide, high), np.minimum(wide, high)
    rules = grid.rules
    broken = (
        (long > grid.limit + rules.tol_mm)
        | (long / short > rules.aspect_ratio + 1e-3)
        | (short < rules.sliver_mm - rules.tol_mm)
    )
    inside = there[1:, :] & there[:-1, :]
    sawn = float((inside * np.diff(fy)[None, :]).sum()) + float(
        ((there[:, 1:] & there[:, :-1]) * np.diff(fx)[:, None]).sum()
    )
    return int((broken & there).sum()), round(sawn, 3)


def _chords(region: BaseGeometry, xs: Sequence[float], ys: Sequence[float]) -> list[Line]:
    """Every line as its stretches in the slab, from edge to edge."""
    rows = [line for x in xs for line in chords(region, (x, 0.0), (0.0, 1.0))]
    return rows + [line for y in ys for line in chords(region, (0.0, y), (1.0, 0.0))]


def _fewer(
    ring: Sequence[XY],
    holes: Sequence[Sequence[XY]],
    lines: list[Line],
    thick_mm: float,
    rules: JointRules,
    free: Sequence[XY],
    tick: Callable[[], None],
) -> list[Line]:
    """Without every stretch that nothing is worse without, the longest tried first."""  # fmt: skip
    worst = _counted(checked(ring, holes, lines, thick_mm, rules, None, free))
    while True:
        before = len(lines)
        for line in sorted(lines, key=lambda one: -math.dist(*one)):
            tick()
            rest = [one for one in lines if one is not line]
            left = _counted(checked(ring, holes, rest, thick_mm, rules, None, free))
            if all(count <= worst[rule] for rule, count in left.items()):
                lines, worst = rest, left
        if len(lines) == before:
            return lines


def _counted(found: JointsChecked) -> Counter[str]:
    return Counter(crack.rule for crack in found.cracks)
