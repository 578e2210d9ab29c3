"""A closed loop: what it is, its corners without what is none, its area."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

XY = tuple[float, float]


@dataclass(frozen=True)
class Loop:
    """A closed loop: its layer and corners, without repeats and without corners on a straight line."""

    layer: str
    ring: tuple[XY, ...]


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
