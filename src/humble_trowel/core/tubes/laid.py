"""Loops over rooms from one manifold: as many as the longest loop asks, near equal in a room, none across another."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from shapely.geometry.base import BaseGeometry

from humble_trowel.core.memo import ByContent
from humble_trowel.core.tubes.bends import bend
from humble_trowel.core.tubes.grid import PASSAGE, Cell, Grid, lay_grid
from humble_trowel.core.tubes.shares import longer_way, near_wall, parts_of, shared_out
from humble_trowel.core.tubes.tour import Pattern, tour

XY = tuple[float, float]
TRIES, MANY = 5, 8  # rounds; two fewer where there are more loops than so many
FULL = 0.92  # of the longest loop, as a room's loops are counted first: ways are not known yet
LEAST_CELLS = 4
SCRAP = 0.04  # of a room's tube: no loop of its own
PIN_MM = 50.0
INSIDE = 3.0  # spacings from the middle of the nearest cell at a wall
SPREAD, ALONG = (
    1,
    0.3,
)  # loops begin along so many times more of the wall, each way; what a cell farther off costs there


@dataclass(frozen=True)
class Rooms:
    """What is laid over, mm: rooms; keep_out: no tube; tight: laid at `tight_spacing_mm`; floor: where tube may pass; manifold."""

    rooms: Sequence[BaseGeometry]
    keep_out: BaseGeometry
    tight: BaseGeometry
    floor: BaseGeometry
    manifold: XY
    spacing_mm: float
    tight_spacing_mm: float


@dataclass(frozen=True)
class LaidLoop:
    """A loop. room: which. points: as it is bent, ends at the manifold; corners: before it is bent."""

    room: int
    points: list[XY]
    corners: list[XY]
    length_mm: float
    leader_mm: float
    bends: int
    forced: int


@dataclass(frozen=True)
class LaidLoops:
    """All loops in the order of their ports. missed: rooms that none reaches. forced: bends that are too tight."""

    loops: list[LaidLoop]
    missed: list[int]
    forced: int
    pins: list[XY]
    grid: Grid


_LAID: ByContent[LaidLoops] = ByContent(8)


def lay_loops(of: Rooms, longest: float, radius: float, rise: float, pattern: Pattern) -> LaidLoops:
    """Loops no longer than `longest` with both ends' rise where that can be. radius: of a bend. Kept by content: what an edit
    leaves as it is, is not laid again."""
    shapes = tuple(shape.wkb for shape in (*of.rooms, of.keep_out, of.tight, of.floor))
    key = (shapes, of.manifold, of.spacing_mm, of.tight_spacing_mm, longest, radius, rise, pattern)
    return _LAID.get(key, lambda: _lay(of, longest, radius, rise, pattern))


def _lay(of: Rooms, longest: float, radius: float, rise: float, pattern: Pattern) -> LaidLoops:
    grid = lay_grid(of.rooms, of.keep_out, of.tight, of.spacing_mm, of.tight_spacing_mm, of.floor)
    cells = {room: [cell for cell, own in grid.rooms.items() if own == room] for room in range(len(of.rooms))}
    room_mm = {room: math.fsum(grid.tube_mm(cell) for cell in own) for room, own in cells.items()}
    most = max(longest - 2 * rise, of.spacing_mm * 8)
    weights = {
        room: [1.0] * max(1, math.ceil(mm / (most * FULL)))
        for room, mm in room_mm.items()
        if len(cells[room]) >= LEAST_CELLS
    }
    if not weights:
        return LaidLoops([], list(cells), 0, [], grid)
    inside = _begun_inside(grid, of, sum(len(rows) for rows in weights.values()))
    tries = [_best(of, one, cells, weights, most, radius, pattern) for one in ([inside] if inside is not grid else [])]
    if not tries or tries[0][1].missed:
        tries.append(_best(of, grid, cells, weights, most, radius, pattern))
    return min(tries, key=lambda one: one[0])[1]


def _best(
    of: Rooms, grid: Grid, cells: dict[int, list[Cell]], counts: dict[int, list[float]], most: float, radius: float, pattern: Pattern
) -> tuple[tuple[float, float], LaidLoops]:  # fmt: skip
    """The best of a few rounds, with its score: rooms that are missed, loops too long, loops of one room apart."""
    weights = {room: list(rows) for room, rows in counts.items()}
    room_mm = {room: math.fsum(grid.tube_mm(cell) for cell in own) for room, own in cells.items()}
    best: tuple[tuple[float, float], LaidLoops] | None = None
    for _ in range(TRIES if sum(len(rows) for rows in weights.values()) <= MANY else TRIES - 2):
        found = _once(of, grid, cells, weights, radius, pattern)
        over = math.fsum(max(0.0, loop.length_mm - most) for loop in found.loops)
        apart = math.fsum(abs(loop.length_mm - _mean(found.loops, loop.room)) for loop in found.loops)
        scraps = sum(1 for loop in found.loops if loop.length_mm < SCRAP * room_mm[loop.room])
        score = (len(found.missed) * 1e9 + scraps * most + over, apart)
        if best is None or score < best[0]:
            best = (score, found)
        if not _changed(weights, found, most, room_mm):
            break
    assert best is not None
    return best


def _begun_inside(grid: Grid, of: Rooms, loops: int) -> Grid:
    """A manifold that stands away from every wall gets one of its own: a stretch of the nearest line that no tube crosses."""
    rim, _ = near_wall(grid, grid.rooms, of.manifold, 1)
    x, y = of.manifold
    if not rim or math.dist(grid.middle(rim[0]), of.manifold) < INSIDE * of.spacing_mm:
        return grid
    i = min(range(1, len(grid.xs)), key=lambda k: abs(grid.xs[k] - x))
    j = min(range(1, len(grid.ys)), key=lambda k: abs(grid.ys[k] - y))
    upright = abs(grid.xs[i] - x) <= abs(grid.ys[j] - y)
    pairs = (
        [((i - 1, row), (i, row)) for row in range(len(grid.ys) - 1)]
        if upright
        else [((col, j - 1), (col, j)) for col in range(len(grid.xs) - 1)]
    )
    axis = 1 if upright else 0
    near = sorted(pairs, key=lambda pair: abs(grid.middle(pair[0])[axis] - of.manifold[axis]))
    walls = [frozenset(pair) for pair in near if pair[0] in grid.rooms and pair[1] in grid.rooms]
    return replace(grid, walls=frozenset(walls[: min(loops + 2, max(1, len(walls) // 2))]))


def _mean(loops: Sequence[LaidLoop], room: int) -> float:
    own = [loop.length_mm for loop in loops if loop.room == room]
    return math.fsum(own) / len(own)


def _changed(weights: dict[int, list[float]], found: LaidLoops, most: float, room_mm: dict[int, float]) -> bool:
    """Make long loops' floor smaller; take one loop more for a room whose loops are all too long, one less where ways to other
    rooms leave a scrap: those ways warm it."""
    changed = False
    for room, rows in list(weights.items()):
        own = [loop.length_mm for loop in found.loops if loop.room == room]
        if not own:
            continue
        mean = math.fsum(own) / len(own)
        if min(own) < SCRAP * room_mm[room] and sum(len(row) for row in weights.values()) > 1:
            weights[room] = rows[1:]
            changed = True
        elif max(own) > most and mean > most * 0.9:
            weights[room] = [1.0] * (len(rows) + 1)
            changed = True
        elif len(own) == len(rows) and max(own) - min(own) > 0.06 * mean:
            weights[room] = [
                max(0.15, weight * (1 - 0.8 * (mm - mean) / mean)) for weight, mm in zip(rows, own, strict=True)
            ]
            changed = True
    return changed


def _once(
    of: Rooms,
    grid: Grid,
    cells: dict[int, list[Cell]],
    weights: dict[int, list[float]],
    radius: float,
    pattern: Pattern,
) -> LaidLoops:
    parts, room_of = [], []
    begun, side = near_wall(grid, grid.rooms, of.manifold, sum(len(rows) for rows in weights.values()))
    home = grid.rooms[begun[0]] if begun else PASSAGE
    for room, rows in weights.items():
        by = (1 if side in (0, 2) else 0) if room == home else longer_way(cells[room]) if rows else 0
        for part in parts_of(grid, cells[room], rows, by) if rows else ():
            parts.append(part)
            room_of.append(room)
    ports, wall = near_wall(grid, grid.rooms, of.manifold, len(parts), SPREAD * len(parts))
    along = 1 if wall in (0, 2) else 0
    middle = min((abs(grid.middle(cell)[along] - of.manifold[along]), cell[along]) for cell in ports)[1]
    loops, ways, _left = shared_out(grid, {cell: ALONG * abs(cell[along] - middle) for cell in ports}, parts)
    order = sorted((k for k in range(len(parts)) if ways[k]), key=lambda k: ports.index(ways[k][0]))
    used = [ways[k][0] for k in order]
    pins, made = _pins(grid, used, wall, of.manifold, len(order)), []
    for place, k in enumerate(order):
        corners = tour(grid, loops[k], ways[k][0], wall, pattern)
        bent = bend(corners, radius)
        ends = pins[2 * place : 2 * place + 2]
        tails = math.dist(ends[0], bent.points[0]) + math.dist(ends[1], bent.points[-1])
        out = [cell for cell in ways[k] if grid.rooms[cell] != room_of[k]]
        made.append(
            LaidLoop(
                room_of[k], [ends[0], *bent.points, ends[1]], [ends[0], *corners, ends[1]], bent.length_mm + tails,
                tails + math.fsum(grid.tube_mm(cell) for cell in out), bent.bends, len(bent.forced),
            )
        )  # fmt: skip
    reached = {loop.room for loop in made}
    warmed = {grid.rooms[cell] for k in order for cell in loops[k]} | {PASSAGE}
    missed = [room for room in range(len(of.rooms)) if room not in reached and room not in warmed]
    return LaidLoops(made, missed, sum(loop.forced for loop in made), pins, grid)


def _pins(grid: Grid, ports: Sequence[Cell], wall: int, at: XY, loops: int) -> list[XY]:
    """Where tube comes up at the manifold: two a loop, in the order of the ports, on the line of the wall beside it."""
    if not ports:
        return []
    i, j = ports[0]
    border = (grid.xs[i + 1], grid.ys[j + 1], grid.xs[i], grid.ys[j])[wall]
    along = 1 if wall in (0, 2) else 0
    way = 1.0 if grid.middle(ports[-1])[along] >= grid.middle(ports[0])[along] else -1.0
    lines = grid.xs if along == 0 else grid.ys
    ends = sorted((ports[0][along], ports[-1][along]))
    half = PIN_MM * (loops - 0.5)
    low, high = lines[ends[0]] + half, lines[ends[1] + 1] - half
    centre = max(low, min(high, at[along])) if low <= high else (low + high) / 2
    out = []
    for k in range(2 * loops):
        by = centre + way * (PIN_MM * k - half)
        out.append((by, border) if along == 0 else (border, by))
    return out
