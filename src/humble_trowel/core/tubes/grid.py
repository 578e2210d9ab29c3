"""Cells over heated rooms: each holds four spots of tube, so that a path round any tree of cells passes every spot once.

Lines of cells stand at the rooms' walls and where floor along outside walls ends that is laid tighter; between two lines
cells are as near to twice the spacing as whole numbers make them. A cell lies wholly in its room and clear of keep-outs.
Lengths in mm, in a frame whose axes run along the floor's longest wall.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise

import shapely
from shapely.geometry import Polygon, box
from shapely.geometry.base import BaseGeometry

XY = tuple[float, float]
Cell = tuple[int, int]
SIDES = ((1, 0), (0, 1), (-1, 0), (0, -1))  # east, north, west, south
SQUARE_MM = 1.0
NOWHERE: Cell = (-9, -9)
NEAR_MM = 40.0
UP = 0.56  # rather a cell more than one less: bends are shorter than the corners that they round
THIN = 0.9  # a cell narrower than so much of the spacing only lets tube pass
PASSAGE = -1  # floor that tube only passes


@dataclass(frozen=True)
class Grid:
    """xs, ys: lines. rooms: which room each cell lies in, PASSAGE where tube only passes. shut: cells of rooms that hold no
    tube. walls: pairs of cells that no tube goes between."""

    xs: tuple[float, ...]
    ys: tuple[float, ...]
    rooms: dict[Cell, int] = field(default_factory=dict)
    shut: frozenset[Cell] = frozenset()
    walls: frozenset[frozenset[Cell]] = frozenset()

    def size(self, cell: Cell) -> XY:
        """Width and height of a cell."""
        i, j = cell
        return self.xs[i + 1] - self.xs[i], self.ys[j + 1] - self.ys[j]

    def middle(self, cell: Cell) -> XY:
        i, j = cell
        return (self.xs[i] + self.xs[i + 1]) / 2, (self.ys[j] + self.ys[j + 1]) / 2

    def spot(self, cell: Cell, east: int, north: int) -> XY:
        """Where tube lies in a quarter of a cell. east, north: 0 or 1."""
        (x, y), (wide, high) = self.middle(cell), self.size(cell)
        return x + (east - 0.5) * wide / 2, y + (north - 0.5) * high / 2

    def tube_mm(self, cell: Cell) -> float:
        """Tube in a cell: its four spots with their way to the next."""
        return sum(self.size(cell))

    def beside(self, cell: Cell, side: int) -> Cell:
        """The cell on a side: 0 east, 1 north, 2 west, 3 south. It may hold no tube; NOWHERE behind a wall."""
        other = cell[0] + SIDES[side][0], cell[1] + SIDES[side][1]
        return NOWHERE if self.walls and frozenset((cell, other)) in self.walls else other


def lay_grid(
    rooms: Sequence[BaseGeometry], keep_out: BaseGeometry, tight: BaseGeometry, spacing: float, tight_spacing: float,
    floor: BaseGeometry | None = None,
) -> Grid:  # fmt: skip
    """Cells over rooms. keep_out: no tube there. tight: floor along outside walls that is laid at `tight_spacing`. floor: where
    tube may pass on its way to a room though no room is there.

    Raises ValueError for spacings that are not more than nothing."""
    if min(spacing, tight_spacing) <= 0:
        raise ValueError("Tubes lie apart by more than nothing.")
    whole = shapely.union_all(list(rooms), grid_size=1e-3)
    xs = _lines([*rooms, tight.intersection(whole)], 0, tight, spacing, tight_spacing)
    ys = _lines([*rooms, tight.intersection(whole)], 1, tight, spacing, tight_spacing)
    grown = [room.buffer(1.0, join_style="mitre") for room in rooms]
    for shape in [*grown, keep_out]:
        shapely.prepare(shape)
    cells: dict[Cell, int] = {}
    shut = set()
    for i, (x0, x1) in enumerate(pairwise(xs)):
        for j, (y0, y1) in enumerate(pairwise(ys)):
            square = box(x0, y0, x1, y1)
            thin = min(x1 - x0, y1 - y0) < THIN * min(spacing, tight_spacing)
            room = None if thin else next((k for k, one in enumerate(grown) if one.covers(square)), None)
            if room is None:
                if floor is None or not floor.covers(square):
                    continue
                room = PASSAGE
            if shapely.intersects(keep_out, square) and shapely.intersects(keep_out, _tube_in(x0, y0, x1, y1)):
                if room != PASSAGE:
                    shut.add((i, j))
            else:
                cells[i, j] = room
    return Grid(tuple(xs), tuple(ys), cells, frozenset(shut))


def _tube_in(x0: float, y0: float, x1: float, y1: float) -> BaseGeometry:
    """All ways that tube may take in a cell: two lines each way, to the next cells."""
    wide, high = (x1 - x0) / 4, (y1 - y0) / 4
    rows = [((x0, y), (x1, y)) for y in (y0 + high, y1 - high)]
    return shapely.MultiLineString([*rows, *(((x, y0), (x, y1)) for x in (x0 + wide, x1 - wide))])


def _lines(
    regions: Sequence[BaseGeometry], axis: int, tight: BaseGeometry, spacing: float, close: float
) -> list[float]:
    """Lines across an axis: at walls that run square to it, and between them."""
    marks = sorted({round(at, 3) for region in regions for at in _walls(region, axis)})
    kept: list[float] = []
    for at in marks:
        if not kept or at - kept[-1] > NEAR_MM:
            kept.append(at)
    if len(kept) > 1 and marks[-1] - kept[-1] > SQUARE_MM:
        kept[-1] = marks[-1]
    lines = kept[:1]
    for a, b in pairwise(kept):
        pitch = close if _is_tight(tight, axis, a, b) else spacing
        n = max(1, math.floor((b - a) / (2 * pitch) + UP))
        lines += [a + (b - a) * k / n for k in range(1, n + 1)]
    return lines


def _walls(region: BaseGeometry, axis: int) -> list[float]:
    """Where straight sides of a region stand that run square to an axis."""
    found = []
    for part in shapely.get_parts(region):
        if not isinstance(part, Polygon):
            continue
        for ring in (part.exterior, *part.interiors):
            for p, q in pairwise(ring.coords):
                if abs(p[axis] - q[axis]) < SQUARE_MM and abs(p[1 - axis] - q[1 - axis]) > SQUARE_MM:
                    found.append(float(p[axis]))
    return found


def _is_tight(tight: BaseGeometry, axis: int, a: float, b: float) -> bool:
    """Whether floor between two lines is laid tight: where a band of it runs along them, not merely across."""
    if tight.is_empty:
        return False
    x0, y0, x1, y1 = tight.bounds
    strip = box(a, y0, b, y1) if axis == 0 else box(x0, a, x1, b)
    own = tight.intersection(strip).buffer(-(b - a) * 0.45, join_style="mitre")
    long = max(
        (
            (p.bounds[3] - p.bounds[1]) if axis == 0 else (p.bounds[2] - p.bounds[0])
            for p in shapely.get_parts(own)
            if not p.is_empty
        ),
        default=0.0,
    )
    return long > 2 * (b - a)
