"""Concrete of footings a second way: slices across x, each counted by its own rectangles. Shares nothing with the first.

A slice lies between two neighbouring x where a corner of any strip stands, and is cut thinner where it is wider than
`SLICE_MM`. In it every strip is a few stretches of y between two levels; their rectangles are joined by sweeping over z.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence
from itertools import pairwise

from humble_trowel.core.geometry.footing_strips import Prism
from humble_trowel.core.geometry.polygon import XY

SLICE_MM = 10.0
CLOSE = 5e-5
Stretch = tuple[float, float]


def sliced_near_m3(prisms: Sequence[Prism], m3: float) -> float:
    """The same, in finer slices before it is said to be more than `CLOSE` off another count."""
    found = 0.0
    for finer in (1, 4, 16):
        found = sliced_m3(prisms, SLICE_MM / finer)
        if abs(found - m3) <= CLOSE * m3:
            break
    return found


def sliced_m3(prisms: Sequence[Prism], slice_mm: float = SLICE_MM) -> float:
    """Volume of prisms joined, m3, by slices."""
    rows = [(_rings(row), row.bottom_mm, row.top_mm) for row in prisms]
    marks = sorted({x for rings, _, _ in rows for ring in rings for x, _ in ring})
    total = []
    for a, b in pairwise(marks):
        count = max(1, math.ceil((b - a) / slice_mm))
        wide = (b - a) / count
        for k in range(count):
            x = a + (k + 0.5) * wide
            found = [(stretch, low, high) for rings, low, high in rows for stretch in _stretches(rings, x)]
            total.append(_area(found) * wide)
    return math.fsum(total) / 1e9


def _rings(row: Prism) -> list[list[XY]]:
    return [[(float(x), float(y)) for x, y in ring.coords] for ring in (row.region.exterior, *row.region.interiors)]


def _stretches(rings: Sequence[Sequence[XY]], x: float) -> list[Stretch]:
    """Where a line x = const lies inside, from one crossing to the next."""
    crossings = []
    for ring in rings:
        for (x0, y0), (x1, y1) in pairwise(ring):
            if (x0 < x) != (x1 < x):
                crossings.append(y0 + (y1 - y0) * (x - x0) / (x1 - x0))
    crossings.sort()
    return list(zip(crossings[::2], crossings[1::2], strict=True))


def _area(rows: Iterable[tuple[Stretch, float, float]]) -> float:
    """Area of rectangles joined, y by z."""
    rows = list(rows)
    levels = sorted({level for _, low, high in rows for level in (low, high)})
    area = 0.0
    for low, high in pairwise(levels):
        reach, length = -math.inf, 0.0
        for (start, end), bottom, top in sorted(rows):
            if bottom <= low and top >= high and end > reach:
                length += end - max(start, reach)
                reach = end
        area += length * (high - low)
    return area
