"""Closed loops out of loose lines: end to end, as drawn by others, with gaps of a hair allowed."""

from __future__ import annotations

import math
from collections import defaultdict
from collections.abc import Sequence
from dataclasses import dataclass

XY = tuple[float, float]


@dataclass(frozen=True)
class Loop:
    """A closed loop: its layer and corners, without repeats and without corners on a straight line."""

    layer: str
    ring: tuple[XY, ...]


def close_lines(chains: Sequence[tuple[str, list[XY]]], gap: float) -> tuple[list[Loop], int]:
    """(loops of one layer's open chains that meet end to end within `gap`, number of chains left over)."""
    loops: list[Loop] = []
    loose = 0
    by_layer: dict[str, list[list[XY]]] = defaultdict(list)
    for layer, points in chains:
        by_layer[layer].append(points)
    for layer, rows in by_layer.items():
        found, left = _close(rows, gap)
        loops += [Loop(layer, ring) for points in found if (ring := tidy(points, gap))]
        loose += left
    return loops, loose


def _close(rows: list[list[XY]], gap: float) -> tuple[list[list[XY]], int]:
    ends: dict[tuple[int, int], list[tuple[int, int]]] = defaultdict(list)
    for index, points in enumerate(rows):
        for end in (0, -1):
            ends[_cell(points[end], gap)].append((index, end))
    used = [False] * len(rows)
    found: list[list[XY]] = []
    loose = 0
    for first in range(len(rows)):
        if used[first]:
            continue
        used[first] = True
        path = list(rows[first])
        count = 1
        while math.dist(path[0], path[-1]) > gap:
            step = _next(path[-1], rows, ends, used, gap)
            if step is None:
                break
            index, end = step
            used[index] = True
            count += 1
            more = rows[index] if end == 0 else rows[index][::-1]
            path += more[1:]
        if len(path) > 3 and math.dist(path[0], path[-1]) <= gap:
            found.append(path[:-1])
        else:
            loose += count
    return found, loose


def _cell(spot: XY, gap: float) -> tuple[int, int]:
    return (math.floor(spot[0] / gap), math.floor(spot[1] / gap))


def _next(
    spot: XY,
    rows: list[list[XY]],
    ends: dict[tuple[int, int], list[tuple[int, int]]],
    used: list[bool],
    gap: float,
) -> tuple[int, int] | None:
    cx, cy = _cell(spot, gap)
    for dx in (0, -1, 1):
        for dy in (0, -1, 1):
            for index, end in ends.get((cx + dx, cy + dy), ()):
                if not used[index] and math.dist(rows[index][end], spot) <= gap:
                    return index, end
    return None


def tidy(points: Sequence[XY], gap: float) -> tuple[XY, ...]:
    """Corners without repeats and without points on a straight line; () where nothing with an area is left."""
    ring: list[XY] = []
    for spot in points:
        if not ring or math.dist(ring[-1], spot) > gap:
            ring.append(spot)
    while len(ring) > 1 and math.dist(ring[0], ring[-1]) <= gap:
        ring.pop()
    kept = [spot for i, spot in enumerate(ring) if _off_line(ring[i - 1], spot, ring[(i + 1) % len(ring)]) > gap / 2]
    return tuple(kept) if len(kept) >= 3 and abs(area(kept)) > gap * gap else ()


def _off_line(a: XY, spot: XY, b: XY) -> float:
    size = math.dist(a, b)
    if size == 0:
        return math.dist(a, spot)
    return abs((b[0] - a[0]) * (spot[1] - a[1]) - (b[1] - a[1]) * (spot[0] - a[0])) / size


def area(ring: Sequence[XY]) -> float:
    """Signed area in the ring's own units squared."""
    return math.fsum(a[0] * b[1] - b[0] * a[1] for a, b in zip(ring, [*ring[1:], ring[0]], strict=True)) / 2
