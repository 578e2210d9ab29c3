"""Rounded corners: arcs as chords that leave the true arc by 1/8 in at most, and finding such arcs again."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import around, side_of

CHORD_MM = 25.4 / 8


@dataclass(frozen=True)
class Arc:
    """A run of chords on one arc. sides: of the outline, in order. hollow: bulging into the slab."""

    sides: tuple[int, ...]
    radius_mm: float
    length_mm: float
    hollow: bool


def arc_steps(radius_mm: float, sweep_rad: float, within_mm: float = CHORD_MM) -> int:
    """Chords needed so that the middle of each is within `within_mm` of the arc."""
    if radius_mm <= within_mm:
        return max(1, math.ceil(abs(sweep_rad) / (math.pi / 2)))
    half = math.acos(1 - within_mm / radius_mm)
    return max(1, math.ceil(abs(sweep_rad) / (2 * half) - 1e-9))


def round_off(before: XY, at: XY, after: XY, radius_mm: float) -> list[XY] | None:
    """Points of the arc that replaces a corner, None where the radius does not fit between its neighbours."""
    a, b = math.dist(at, before), math.dist(at, after)
    u = ((before[0] - at[0]) / a, (before[1] - at[1]) / a)
    v = ((after[0] - at[0]) / b, (after[1] - at[1]) / b)
    between = math.acos(max(-1.0, min(1.0, u[0] * v[0] + u[1] * v[1])))
    if radius_mm <= 0 or between < 1e-3 or between > math.pi - 1e-3:
        return None
    back = radius_mm / math.tan(between / 2)
    if back > min(a, b) - 1:
        return None
    reach = radius_mm / math.sin(between / 2)
    half = ((u[0] + v[0]) / 2, (u[1] + v[1]) / 2)
    size = math.hypot(*half)
    centre = (at[0] + half[0] / size * reach, at[1] + half[1] / size * reach)
    start = (at[0] + u[0] * back, at[1] + u[1] * back)
    end = (at[0] + v[0] * back, at[1] + v[1] * back)
    first = math.atan2(start[1] - centre[1], start[0] - centre[0])
    sweep = math.remainder(math.atan2(end[1] - centre[1], end[0] - centre[0]) - first, math.tau)
    steps = max(2, arc_steps(radius_mm, sweep))
    inner = [
        (
            centre[0] + radius_mm * math.cos(first + sweep * k / steps),
            centre[1] + radius_mm * math.sin(first + sweep * k / steps),
        )
        for k in range(1, steps)
    ]
    return [start, *inner, end]


def chords(arc: Sequence[XY]) -> int:
    """How many chords an arc's points make."""
    return len(arc) - 1


def find_arcs(ring: Sequence[XY]) -> list[Arc]:
    """Runs of two or more sides of one length that turn by one small angle: chords of an arc."""
    n = len(ring)
    sizes = [math.dist(*side_of(ring, i)) for i in range(n)]
    turns = [_turn(ring, i) for i in range(n)]

    def joined(i: int) -> bool:
        """Side i and the next are chords of one arc."""
        j = (i + 1) % n
        return 1e-3 < abs(turns[j]) < math.radians(50) and abs(sizes[i] - sizes[j]) <= max(1.0, 0.01 * sizes[i])

    arcs: list[Arc] = []
    start = next((i for i in range(n) if not joined((i - 1) % n)), 0)
    at = 0
    while at < n:
        run = [(start + at) % n]
        while at + len(run) < n and joined(run[-1]) and _same_turn(turns, run, n):
            run.append((run[-1] + 1) % n)
        if len(run) >= 3 or (len(run) == 2 and sizes[run[0]] < 300):
            turn = turns[run[1]]
            arcs.append(
                Arc(tuple(run), sizes[run[0]] / (2 * math.sin(abs(turn) / 2)), sum(sizes[i] for i in run), turn < 0)
            )
        at += len(run)
    return arcs


def _same_turn(turns: Sequence[float], run: Sequence[int], n: int) -> bool:
    here = turns[(run[-1] + 1) % n]
    return len(run) < 2 or abs(here - turns[run[1]]) < math.radians(1.5)


def _turn(ring: Sequence[XY], corner: int) -> float:
    """How much the outline turns at a corner, radians; positive to the left."""
    (ax, ay), (bx, by), (cx, cy) = around(ring, corner)
    return math.remainder(math.atan2(cy - by, cx - bx) - math.atan2(by - ay, bx - ax), math.tau)
