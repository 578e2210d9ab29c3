"""The third way: the slab as a plain grid of points, straight from the words of the rules (docs/words.md).

Shares nothing with the solid or the slices. A cell whose nine depths lie in one plane counts as it is; any other is
cut in four, until what could still be wrong is less than a cube of `CUBE_MM`. The grid is turned out of square, so
that no border runs along its lines. numpy alone, and shapely for the corners of what lies under a level underside.
"""

import math
from itertools import pairwise

import numpy as np
from shapely import get_coordinates
from shapely.geometry import Polygon

START_MM, CUBE_MM, TURN_RAD, LEAST_MM = 90.0, 14.0, 0.5432, 0.4


def inside(ring, x, y):
    odd = np.zeros(x.shape, dtype=bool)
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        if ay != by:
            odd ^= ((ay > y) != (by > y)) & (x < ax + (y - ay) * (bx - ax) / (by - ay))
    return odd


def by_width(depth, wide, run, s):
    past = depth - (s - wide) / run if run else np.zeros(s.shape)
    return np.where(s < 0, 0.0, np.where(s <= wide, depth, past))


def frame(a, b, x, y):
    """(distance left of a to b, distance along it, its length)."""
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    return (y - a[1]) * ux - (x - a[0]) * uy, (x - a[0]) * ux + (y - a[1]) * uy, size


def strips(path, kinds, closed, x, y, best):
    """Rule 2: each leg's own strip, on to the neighbour's line at a convex corner, the kite at a re-entrant one."""
    n = len(path)
    count = n if closed else n - 1
    legs = [frame(path[i], path[(i + 1) % n], x, y) for i in range(count)]
    sizes = [kind and (kind.depth_mm, kind.bottom_width_mm, kind.haunch_run_per_rise or 0.0) for kind in kinds]
    for i in range(count):
        if sizes[i] is None:
            continue
        s, t, size = legs[i]
        best = np.maximum(best, np.where((t >= 0) & (t <= size), by_width(*sizes[i], s), 0.0))
        for j, beyond, first in (((i - 1) % count, t < 0, True), ((i + 1) % count, t > size, False)):
            if (not closed and (j != i - 1 if first else j != i + 1)) or sizes[j] is None:
                continue
            corner = i if first else (i + 1) % n
            a, p, b = path[corner - 1], path[corner], path[(corner + 1) % n]
            convex = (p[0] - a[0]) * (b[1] - p[1]) - (p[1] - a[1]) * (b[0] - p[0]) > 0
            s2, t2, size2 = legs[j]
            if convex:
                best = np.maximum(best, np.where(beyond & (s2 >= 0), by_width(*sizes[i], s), 0.0))
            else:
                kite = beyond & ((t2 > size2) if first else (t2 < 0))
                both = np.maximum(s, s2)
                for one in (sizes[i], sizes[j]):
                    best = np.maximum(best, np.where(kite, by_width(*one, both), 0.0))
    return best


def beam(kind, path, x, y, best):
    """Full depth over half a width to each side, haunch beyond, mitred up to four half widths, flat ends."""
    sizes = (kind.depth_mm, kind.width_mm / 2, kind.haunch_run_per_rise or 0.0)
    legs = list(pairwise(path))
    for a, b in legs:
        s, t, size = frame(a, b, x, y)
        best = np.maximum(best, np.where((t >= 0) & (t <= size), by_width(*sizes, np.abs(s)), 0.0))
    turns = list(pairwise(legs))
    if len(path) > 3 and path[0] == path[-1]:
        turns.append((legs[-1], legs[0]))
    for (a, b), (_, c) in turns:
        s1, t1, size1 = frame(a, b, x, y)
        s2, t2, _ = frame(b, c, x, y)
        size2 = math.dist(b, c)
        u = ((b[0] - a[0]) / size1, (b[1] - a[1]) / size1)
        v = ((c[0] - b[0]) / size2, (c[1] - b[1]) / size2)
        out = -1.0 if u[0] * v[1] - u[1] * v[0] > 0 else 1.0
        m = (u[0] - v[0], u[1] - v[1])
        if math.hypot(*m) < 1e-9:
            continue
        s3 = ((x - b[0]) * m[0] + (y - b[1]) * m[1]) / math.hypot(*m) / 4
        far = np.maximum(np.maximum(out * s1, out * s2), s3)
        best = np.maximum(best, np.where((t1 > size1) & (t2 < 0), by_width(*sizes, far), 0.0))
    return best


def dish(ring, fall, x, y):
    """Height of a drained zone's top over its rim: the greatest of the planes through rim sides and the drain."""
    dx, dy = fall.at
    top = np.full(x.shape, -np.inf)
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        across = (bx - ax) * (dy - ay) - (by - ay) * (dx - ax)
        own = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / across
        here = inside([(ax, ay), (bx, by), (dx, dy)], x, y)
        top = np.where(here, -fall.depth_mm * own, top)
    return np.where(np.isfinite(top), top, 0.0)


class Depths:
    """Depth of concrete at plan points by the rules of a checked plan."""

    def __init__(self, plan):
        self.plan = plan
        self.thick = {row.mark: row.thickness_mm for row in plan.slab_types}
        self.zones = [(zone, self._least(zone)) for zone in plan.zones]
        kinds = {row.mark: row for row in plan.edge_types}
        self.of_side = [None] * len(plan.outline)
        self.lines = []
        for edge in plan.edges:
            kind = kinds[edge.type]
            if kind.kind != "thickened":
                continue
            for side in edge.sides or ():
                self.of_side[side] = kind
            if edge.along:
                self.lines.append((list(edge.along) if edge.grow == "left" else list(edge.along)[::-1], kind))

    def _shape(self, zone):
        shape = Polygon(zone.polygon or self.plan.outline)
        for other in self.plan.zones:
            if zone.polygon is None and other.polygon:
                shape = shape.difference(Polygon(other.polygon), grid_size=1e-3)
        return shape

    def _least(self, zone):
        """Lowest height of the top under its highest point, over the zone less openings; None for a parallel one."""
        if zone.fall is None or zone.underside != "level":
            return None
        whole = self._shape(zone)
        used = whole
        for hole in self.plan.openings:
            used = used.difference(Polygon(hole), grid_size=1e-3)
        if zone.fall.kind == "plane":
            x, y = get_coordinates(used).T
            wx, wy = get_coordinates(whole).T
            return float(self._height(zone, x, y, (wx, wy)).min()), (wx, wy), None
        ring = get_coordinates(whole.simplify(0.01).exterior)[:-1].tolist()
        if not whole.exterior.is_ccw:
            ring = ring[::-1]
        low = 0.0
        for a, b in zip(ring, [*ring[1:], ring[0]], strict=True):
            share = Polygon([a, b, zone.fall.at]).intersection(used, grid_size=1e-3)
            for x, y in get_coordinates(share).tolist():
                across = (b[0] - a[0]) * (zone.fall.at[1] - a[1]) - (b[1] - a[1]) * (zone.fall.at[0] - a[0])
                own = ((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / across
                low = min(low, -zone.fall.depth_mm * own)
        return low, None, ring

    def _height(self, zone, x, y, whole):
        way = math.radians(zone.fall.toward_deg)
        ux, uy = math.sin(way), math.cos(way)
        start = (whole[0] * ux + whole[1] * uy).min()
        return -zone.fall.rate * (x * ux + y * uy - start)

    def slab(self, x, y):
        depth = np.zeros(x.shape)
        for zone, least in sorted(self.zones, key=lambda row: row[0].polygon is not None):
            here = np.ones(x.shape, dtype=bool) if zone.polygon is None else inside(zone.polygon, x, y)
            own = np.full(x.shape, self.thick[zone.slab])
            if least is not None:
                low, whole, ring = least
                own += (self._height(zone, x, y, whole) if ring is None else dish(ring, zone.fall, x, y)) - low
            depth = np.where(here, own, depth)
        return depth

    def at(self, x, y):
        plan = self.plan
        slab = self.slab(x, y)
        depth = strips(list(plan.outline), self.of_side, True, x, y, slab)
        for path, kind in self.lines:
            depth = strips(path, [kind] * (len(path) - 1), False, x, y, depth)
        beams = {row.mark: row for row in plan.beam_types}
        for row in plan.beams:
            depth = beam(beams[row.type], list(row.path), x, y, depth)
        pads = {row.mark: row for row in plan.pad_types}
        for pad in plan.pads:
            kind, turn = pads[pad.type], math.radians(-pad.turn_deg)
            dx, dy = x - pad.at[0], y - pad.at[1]
            px, py = dx * math.cos(turn) - dy * math.sin(turn), dx * math.sin(turn) + dy * math.cos(turn)
            if kind.shape == "round":
                there = np.hypot(dx, dy) <= kind.diameter_mm / 2
            else:
                there = (np.abs(px) <= kind.width_mm / 2) & (np.abs(py) <= kind.length_mm / 2)
            depth = np.maximum(depth, np.where(there, kind.depth_mm, 0.0))
        for recess in plan.recesses:
            least = slab if recess.keeps_thickness else 0.0
            depth = np.where(inside(recess.polygon, x, y), np.maximum(least, depth - recess.depth_mm), depth)
        there = inside(plan.outline, x, y)
        for hole in plan.openings:
            there &= ~inside(hole, x, y)
        return np.where(there, depth, 0.0)


def grid_m3(plan, cube_mm=CUBE_MM, start_mm=START_MM):
    """Volume of a checked plan with an outline, m3. cube_mm: side of the cube that a cell may be wrong by. start_mm:
    side of the first cells; what is narrower than half of it may slip through."""
    depths = Depths(plan)
    c, s = math.cos(TURN_RAD), math.sin(TURN_RAD)
    turned = [(c * x + s * y, c * y - s * x) for x, y in plan.outline]
    (u0, v0), (u1, v1) = np.min(turned, axis=0), np.max(turned, axis=0)
    u, v = np.meshgrid(
        np.arange(u0 - 7.1, u1 + start_mm, start_mm) + start_mm / 2,
        np.arange(v0 - 3.3, v1 + start_mm, start_mm) + start_mm / 2,
    )
    u, v, size, total = u.ravel(), v.ravel(), start_mm, 0.0
    steps = [(i, j) for i in (-1, 0, 1) for j in (-1, 0, 1)]
    while len(u):
        found = []
        for i, j in steps:
            uu, vv = u + i * size * 0.4999, v + j * size * 0.4999
            found.append(depths.at(c * uu - s * vv, s * uu + c * vv))
        d = np.array(found)
        du, dv = (d[7] - d[1]) / 2, (d[5] - d[3]) / 2
        max_off = np.zeros(len(u))
        for (i, j), own in zip(steps, d, strict=True):
            off = np.abs(own - (d[4] + i * du + j * dv))
            max_off = np.maximum(max_off, off)
        last = size / 2 < LEAST_MM
        split = (max_off * size**2 > cube_mm**3) & (not last) | (max_off > 1e-6) & (size > 0.6 * start_mm)
        flat = ~split
        total += float(d[:, flat].mean(axis=0).sum()) * size**2 if flat.any() else 0.0
        u, v = u[split], v[split]
        quarter = size / 4
        u = np.concatenate([u + i * quarter for i in (-1, 1) for _ in (0, 1)])
        v = np.concatenate([v + j * quarter for _ in (0, 1) for j in (-1, 1)])
        size /= 2
    return total / 1e9
