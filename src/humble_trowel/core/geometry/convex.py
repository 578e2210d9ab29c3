"""Convex plan polygons as lists of (x, y), anticlockwise: cut, intersect, subtract, area, centroid.

Plain Python on purpose: the pieces of a slab have four to eight corners, and at that size this is several times
faster than a general overlay and cannot fail on a near-touch.
"""

from __future__ import annotations

from collections.abc import Sequence

XY = tuple[float, float]
Ring = list[XY]
SLIVER_MM2 = 1e-3
TWIN_MM = 1e-6


Box = tuple[float, float, float, float]


def box_of(ring: Sequence[XY]) -> Box:
    """(least x, least y, greatest x, greatest y)."""
    xs = [spot[0] for spot in ring]
    ys = [spot[1] for spot in ring]
    return min(xs), min(ys), max(xs), max(ys)


def apart(one: Box, other: Box) -> bool:
    """Whether two boxes have no inside in common."""
    return one[2] <= other[0] or other[2] <= one[0] or one[3] <= other[1] or other[3] <= one[1]


def within(box: Box, spot: XY, slack: float) -> bool:
    """Whether a spot lies in a box, or within `slack` of it."""
    return box[0] - slack <= spot[0] <= box[2] + slack and box[1] - slack <= spot[1] <= box[3] + slack


def area_mm2(ring: Sequence[XY]) -> float:
    """Shoelace area, positive when anticlockwise, taken about the first corner."""
    x0, y0 = ring[0]
    total = 0.0
    for i in range(1, len(ring) - 1):
        (ax, ay), (bx, by) = ring[i], ring[i + 1]
        total += (ax - x0) * (by - y0) - (bx - x0) * (ay - y0)
    return total / 2


def is_convex(ring: Sequence[XY]) -> bool:
    """Whether an anticlockwise ring turns left or straight on at every corner (to 1e-9 of its sides' product)."""
    (ax, ay), (bx, by) = ring[-2], ring[-1]
    for cx, cy in ring:
        ux, uy, vx, vy = bx - ax, by - ay, cx - bx, cy - by
        if ux * vy - uy * vx < -1e-9 * (abs(ux) + abs(uy)) * (abs(vx) + abs(vy)):
            return False
        ax, ay, bx, by = bx, by, cx, cy
    return True


def moments(ring: Sequence[XY]) -> tuple[float, float, float]:
    """(area, x of the centroid, y of the centroid)."""
    x0, y0 = ring[0]
    area = mx = my = 0.0
    for i in range(1, len(ring) - 1):
        ax, ay = ring[i][0] - x0, ring[i][1] - y0
        bx, by = ring[i + 1][0] - x0, ring[i + 1][1] - y0
        cross = ax * by - bx * ay
        area += cross
        mx += cross * (ax + bx)
        my += cross * (ay + by)
    if area == 0.0:
        return 0.0, x0, y0
    return area / 2, x0 + mx / (3 * area), y0 + my / (3 * area)


def cut(ring: Sequence[XY], values: Sequence[float]) -> tuple[Ring, Ring]:
    """Cut along the line where a linear function is 0, given its values at the corners: (at or above 0, below).

    Neither has twin corners (a side of no length has no direction to cut along); a sliver comes as [].
    """
    above: Ring = []
    below: Ring = []
    twins = False
    crossed: XY | None = None
    last, last_value = ring[-1], values[-1]
    for spot, value in zip(ring, values, strict=True):
        if (value > 0 > last_value) or (value < 0 < last_value):
            t = last_value / (last_value - value)
            dx, dy = spot[0] - last[0], spot[1] - last[1]
            cross = (last[0] + t * dx, last[1] + t * dy)
            above.append(cross)
            below.append(cross)
            near = 2 * TWIN_MM / (abs(dx) + abs(dy))
            twins = twins or t <= near or 1 - t <= near or (crossed is not None and _twins(cross, crossed))
            crossed = cross
        if value >= 0:
            above.append(spot)
        if value <= 0:
            below.append(spot)
        last, last_value = spot, value
    if twins:
        above, below = _without_twins(above), _without_twins(below)
    return above if _has_area(above) else [], below if _has_area(below) else []


def _twins(one: XY, other: XY) -> bool:
    return abs(one[0] - other[0]) <= TWIN_MM and abs(one[1] - other[1]) <= TWIN_MM


def _without_twins(ring: Ring) -> Ring:
    """The ring without corners that stand on the one before."""
    last = ring[-1]
    clean: Ring = []
    for spot in ring:
        if not _twins(spot, last):
            clean.append(spot)
            last = spot
    return clean


def _has_area(ring: Ring) -> bool:
    """Whether a convex ring is more than a sliver; mostly its first triangle says so."""
    if len(ring) < 3:
        return False
    (ax, ay), (bx, by), (cx, cy) = ring[0], ring[1], ring[2]
    return (bx - ax) * (cy - ay) - (cx - ax) * (by - ay) > 4 * SLIVER_MM2 or area_mm2(ring) > SLIVER_MM2


def parted(ring: Ring, other: Ring) -> tuple[Ring, list[Ring]]:
    """(the part of `ring` inside `other`, convex pieces of it outside). Both convex, anticlockwise."""
    outside: list[Ring] = []
    inside = ring
    (ax, ay) = other[-1]
    for bx, by in other:
        dx, dy, x0, y0 = bx - ax, by - ay, ax, ay
        ax, ay = bx, by
        size = abs(dx) + abs(dy)
        if size <= TWIN_MM:
            continue
        slack = 1e-7 * size
        values = [dx * (y - y0) - dy * (x - x0) for x, y in inside]
        if min(values) >= -slack:
            continue
        if max(values) <= slack:
            return [], [ring]
        inside, out = cut(inside, [0.0 if -slack <= value <= slack else value for value in values])
        if out:
            outside.append(out)
        if not inside:
            return [], [ring]
    return inside, outside
