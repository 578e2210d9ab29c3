"""The way of one tube round a tree of cells: out and back side by side, past every spot once, never across itself.

Serpentine: the tree is a comb, its teeth along the longer way, joined near the manifold. Spiral: the tree is a walk with
the wall on the right hand, so that out and return lie side by side from the walls inward.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from humble_trowel.core.tubes.grid import Cell, Grid

XY = tuple[float, float]
Spot = tuple[Cell, int, int]  # cell, east, north
Pattern = Literal["serpentine", "spiral"]
Tree = set[frozenset[Cell]]


def tour(grid: Grid, cells: Sequence[Cell], port: Cell, wall: int, pattern: Pattern) -> list[XY]:
    """Corners of the tube from its end at the wall of the port's cell back to there. wall: side of the port's cell.

    cells: hang together and hold the port."""
    own = set(cells)
    tree = _spiral(grid, own, port, wall) if pattern == "spiral" else _comb(grid, own, port)
    start, end = _at_wall(port, wall)
    spots, before, at = [start], None, start
    while at != end or before is None:
        ahead = [spot for spot in _joined(grid, tree, at) if spot != before and {at, spot} != {start, end}]
        before, at = at, ahead[0]
        spots.append(at)
    return _corners([grid.spot(*spot) for spot in spots])


def _at_wall(cell: Cell, wall: int) -> tuple[Spot, Spot]:
    """The two spots of a cell along a side."""
    along = {0: ((1, 0), (1, 1)), 1: ((0, 1), (1, 1)), 2: ((0, 0), (0, 1)), 3: ((0, 0), (1, 0))}[wall]
    return (cell, *along[0]), (cell, *along[1])


def _joined(grid: Grid, tree: Tree, spot: Spot) -> list[Spot]:
    """The two spots that tube goes on to: across to the next cell where the tree does, else along that side."""
    cell, east, north = spot
    found: list[Spot] = []
    for side, across, along in (
        (0 if east else 2, (1 - east, north), (east, 1 - north)),
        (1 if north else 3, (east, 1 - north), (1 - east, north)),
    ):
        other = grid.beside(cell, side)
        found.append((other, *across) if frozenset((cell, other)) in tree else (cell, *along))
    return found


def _comb(grid: Grid, cells: set[Cell], port: Cell) -> Tree:
    """Teeth along the way that has fewer of them; joined as near to the port's end as they touch."""
    wide = len({cell[0] for cell in cells})
    high = len({cell[1] for cell in cells})
    along = 0 if wide > high else 1
    group = {cell: cell for cell in cells}

    def root(cell: Cell) -> Cell:
        while group[cell] != cell:
            group[cell] = group[group[cell]]
            cell = group[cell]
        return cell

    tree: Tree = set()

    def join(cell: Cell, other: Cell) -> None:
        if root(cell) != root(other):
            group[root(cell)] = root(other)
            tree.add(frozenset((cell, other)))

    for cell in sorted(cells):
        ahead = grid.beside(cell, along)
        if ahead in cells:
            join(cell, ahead)
    for cell in sorted(cells, key=lambda one: (abs(one[along] - port[along]), one)):
        ahead = grid.beside(cell, 1 - along)
        if ahead in cells:
            join(cell, ahead)
    return tree


def _spiral(grid: Grid, cells: set[Cell], port: Cell, wall: int) -> Tree:
    """A walk that keeps to the right hand, back only where it is stuck."""
    tree: Tree = set()
    seen, trail = {port}, [(port, (wall + 2) % 4)]
    while trail:
        cell, heading = trail[-1]
        for turn in (3, 0, 1, 2):  # right, on, left, back
            side = (heading + turn) % 4
            other = grid.beside(cell, side)
            if other in cells and other not in seen:
                tree.add(frozenset((cell, other)))
                seen.add(other)
                trail.append((other, side))
                break
        else:
            trail.pop()
    return tree


def _corners(points: Sequence[XY]) -> list[XY]:
    """The points at which a way turns, with its ends."""
    kept = [points[0]]
    for a, b, c in zip(points, points[1:], points[2:], strict=False):
        if abs((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])) > 1e-3:
            kept.append(b)
    return [*kept, points[-1]]
