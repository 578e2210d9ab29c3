"""Offset stakes: past each outer corner, in line with its sides, out of the diggers' way."""

from __future__ import annotations

import math
from dataclasses import dataclass

from shapely.geometry import Point, Polygon

from humble_trowel.core.geometry.polygon import corner_angle_rad
from humble_trowel.core.lines.baseline import Baseline
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import say_length

SHORTEST_MM = 300.0


@dataclass(frozen=True)
class OffsetStake:
    """A stake past a corner. x_mm, y_mm: plan. along_mm, left_mm: from the held line."""

    corner: int
    name: str
    in_line_with: str
    x_mm: float
    y_mm: float
    along_mm: float
    left_mm: float
    along_text: str
    left_text: str


def offset_stakes(plan: Plan, base: Baseline, out_mm: float) -> list[OffsetStake]:
    """Two for each outer corner, `out_mm` past it; none in the slab or in what stands there, none for chords of a round."""
    ring, units = list(plan.outline or []), plan.units
    n = len(ring)
    taken = [Polygon(ring), *(Polygon(thing.polygon) for thing in plan.existing)]
    rows = []
    for i, spot in enumerate(ring):
        if corner_angle_rad(ring[i - 1], spot, ring[(i + 1) % n]) > math.pi - 0.02:
            continue
        for far, side in ((ring[i - 1], (i - 1) % n), (ring[(i + 1) % n], i)):
            size = math.dist(far, spot)
            x, y = (spot[k] + (spot[k] - far[k]) / (size or 1.0) * out_mm for k in (0, 1))
            if size < SHORTEST_MM or any(shape.covers(Point(x, y)) for shape in taken):
                continue
            along, left = base.local((x, y))
            rows.append(
                OffsetStake(
                    i,
                    corner_name(i),
                    side_name(side, n),
                    x,
                    y,
                    along,
                    left,
                    say_length(along, units),
                    say_length(left, units),
                )
            )
    return rows
