"""Thickened strips for the slices: rule 2 of the plan read afresh, as half-planes.

Shares nothing with strips.py, so that a mistake in one reading of the rule shows as a disagreement.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType

FAR = 1e12
Row = tuple[float, float, float]


@dataclass(frozen=True)
class Strip:
    """A convex plan region (rows a, b, c: a*x + b*y <= c) whose depth is a function of the distance from a line.

    x_low, x_high: no line outside these meets it (a generous bound). circle: its middle and radius instead of rows.
    """

    rows: tuple[Row, ...]
    line: Row
    kind: EdgeType
    x_low: float = -FAR
    x_high: float = FAR
    circle: tuple[float, float, float] | None = None


def plan_strips(plan: Plan, slab_mm: float) -> list[Strip]:
    """All strips of the plan, read from rule 2 afresh as half-planes."""
    kinds = {row.mark: row for row in plan.edge_types}
    ring = plan.outline or []
    n = len(ring)
    of_side: list[EdgeType | None] = [None] * n
    strips: list[Strip] = []
    for edge in plan.edges:
        kind = kinds[edge.type]
        if kind.kind != "thickened":
            continue
        for side in edge.sides or ():
            of_side[side] = kind
        if edge.along:
            path = list(edge.along) if edge.grow == "left" else list(edge.along)[::-1]
            strips += _along_strips(path, [kind] * (len(path) - 1), slab_mm)
    if any(of_side):
        for i in range(n):
            three = [ring[i - 1], ring[i], ring[(i + 1) % n], ring[(i + 2) % n]]
            strips += _strip_of(three, of_side[i - 1], of_side[i], of_side[(i + 1) % n], slab_mm)
    return strips


def _along_strips(path: list[XY], kinds: list[EdgeType | None], slab_mm: float) -> list[Strip]:
    strips: list[Strip] = []
    last = len(path) - 2
    for i in range(last + 1):
        spots = [
            path[i - 1] if i else path[i],
            path[i],
            path[i + 1],
            path[i + 2] if i < last else path[i + 1],
        ]
        before = kinds[i - 1] if i else None
        strips += _strip_of(spots, before, kinds[i], kinds[i + 1] if i < last else None, slab_mm)
    return strips


def _unit(a: XY, b: XY) -> XY:
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size)


def _strip_of(
    spots: list[XY], before: EdgeType | None, own: EdgeType | None, after: EdgeType | None, slab_mm: float
) -> list[Strip]:
    """The strip on spots[1]..spots[2]: its rectangle, and what it adds past its ends (spots[0], spots[3])."""
    if own is None:
        return []
    deep = (own.depth_mm or 0.0) > slab_mm  # if not, it still is a thickened neighbour to others
    p, q = spots[1], spots[2]
    ux, uy = _unit(p, q)
    line = (-uy, ux, uy * p[0] - ux * p[1])
    near, far = (uy, -ux, uy * p[0] - ux * p[1]), _far_row(line, own, slab_mm)
    past_p, past_q = (-ux, -uy, -(ux * p[0] + uy * p[1])), (ux, uy, ux * q[0] + uy * q[1])
    reach = far[2] + line[2]
    bound = (min(p[0], q[0]) - reach, max(p[0], q[0]) + reach)
    strips = [Strip((near, far, past_p, past_q), line, own, *bound)] if deep else []
    for other, corner, beyond, away, sign in (
        (before, p, past_p, spots[0], -1.0),
        (after, q, past_q, spots[3], 1.0),
    ):
        if other is None:
            continue
        v = _unit(away, corner) if sign < 0 else _unit(corner, away)
        turn = (v[0] * uy - v[1] * ux) if sign < 0 else (ux * v[1] - uy * v[0])
        outside: Row = (-beyond[0], -beyond[1], -beyond[2])
        if turn > 1e-9:  # a straight bend, whichever way its rounding leans, adds nothing
            inside_other = (v[1], -v[0], v[1] * corner[0] - v[0] * corner[1])
            strips += [Strip((near, far, outside, inside_other), line, own)] if deep else []
        elif turn < -1e-9:
            strips += _half_kite((near, outside), line, corner, v, (own, other), slab_mm)
    return strips


def _half_kite(
    rows: tuple[Row, Row], line: Row, corner: XY, v: XY, kinds: tuple[EdgeType, EdgeType], slab_mm: float
) -> list[Strip]:
    """The half of the kite where the own line is the farther one; either type may be the deeper."""
    a, b, c = line
    other = (-v[1], v[0], v[1] * corner[0] - v[0] * corner[1])
    farther = (other[0] - a, other[1] - b, c - other[2])
    strips = []
    for kind in dict.fromkeys(kinds):
        if (kind.depth_mm or 0.0) <= slab_mm:
            continue
        far = _far_row(line, kind, slab_mm)
        reach = (far[2] + line[2]) / max(1e-6, _cos2(line, v))
        strips.append(Strip((*rows, farther, far), line, kind, corner[0] - reach, corner[0] + reach))
    return strips


def _cos2(line: Row, v: XY) -> float:
    """Squared cosine of half the turn between a line and the direction v of its neighbour."""
    return max(0.0, (1 + line[1] * v[0] - line[0] * v[1]) / 2)


def _far_row(line: Row, kind: EdgeType, slab_mm: float) -> Row:
    reach = (kind.bottom_width_mm or 0.0) + (kind.haunch_run_per_rise or 0.0) * ((kind.depth_mm or 0.0) - slab_mm)
    return (line[0], line[1], reach - line[2])
