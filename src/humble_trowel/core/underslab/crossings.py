"""Where runs cross on plan."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

from humble_trowel.core.geometry.pipes import legs_of
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.underslab_parts import Service

JOINED_MM = 60.0


@dataclass(frozen=True)
class Crossing:
    """Where two runs cross on plan: their places in the plan, how far along each, and the spot."""

    one: int
    other: int
    one_mm: float
    other_mm: float
    at: XY


def crossings(services: Sequence[Service]) -> list[Crossing]:
    """Every place where two runs cross on plan; not where one ends on the other."""
    legs = [legs_of(row.path) for row in services]
    found = []
    for one, other in combinations(range(len(services)), 2):
        ends = [services[at].path[end] for at in (one, other) for end in (0, -1)]
        for p in legs[one]:
            for q in legs[other]:
                hit = _meet(p.a, p.b, q.a, q.b)
                if hit is None:
                    continue
                t, u = hit
                spot = (p.a[0] + (p.b[0] - p.a[0]) * t, p.a[1] + (p.b[1] - p.a[1]) * t)
                if all(math.dist(spot, end) >= JOINED_MM for end in ends):
                    s_one = p.start_mm + t * (p.end_mm - p.start_mm)
                    found.append(Crossing(one, other, s_one, q.start_mm + u * (q.end_mm - q.start_mm), spot))
    return found


def _meet(a: XY, b: XY, c: XY, d: XY) -> tuple[float, float] | None:
    rx, ry, sx, sy = b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]
    turn = rx * sy - ry * sx
    if abs(turn) < 1e-9:
        return None
    t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / turn
    u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / turn
    return (t, u) if 0 <= t <= 1 and 0 <= u <= 1 else None
