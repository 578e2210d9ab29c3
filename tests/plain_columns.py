"""A third way for what lies below and beside the slab, straight from the words of the rules: upright columns of numpy.

Shares nothing with joined prisms or slices: every strip is quads between mitre lines worked out here, no library of shapes. A
column stands in the middle between two x; in it each quad is one stretch of y between two levels, and rectangles of y by z are
joined by sorting.
"""

import math
from itertools import pairwise

import numpy as np

WIDE_MM = 4.0


def quads(path, right, left):
    """A strip between two distances right and left of a path, mitred at bends, flat where it is open."""
    closed, legs = len(path) > 3 and math.dist(path[0], path[-1]) < 1e-6, list(pairwise(path))
    ways = [((b[0] - a[0]) / math.dist(a, b), (b[1] - a[1]) / math.dist(a, b)) for a, b in legs]

    def half(i, j):
        (ux, uy), (vx, vy) = ways[i], ways[j]
        return math.tan(math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) / 2)

    for k, (a, b) in enumerate(legs):
        ta = half(k - 1, k) if k or closed else 0.0
        tb = half(k, (k + 1) % len(legs)) if k + 1 < len(legs) or closed else 0.0
        (ux, uy), rows = ways[k], []
        for spot, turn, aside in ((a, ta, -right), (b, -tb, -right), (b, -tb, left), (a, ta, left)):
            rows.append((spot[0] + ux * turn * aside - uy * aside, spot[1] + uy * turn * aside + ux * aside))
        yield rows


def cut_path(path, start, end):
    """The stretch of a path between two distances along it."""
    run, found = 0.0, []
    for a, b in pairwise(path):
        size = math.dist(a, b)
        lo, hi = max(start - run, 0.0), min(end - run, size)
        if hi > lo:
            spots = [(a[0] + (b[0] - a[0]) * t / size, a[1] + (b[1] - a[1]) * t / size) for t in (lo, hi)]
            found += spots if not found else spots[1:]
        run += size
    return found


def columns_m3(solids):
    """Volume of (quad, low, high) joined, m3."""
    solids = [row for row in solids if row[2] > row[1]]
    if not solids:
        return 0.0
    marks = sorted({x for quad, _, _ in solids for x, _ in quad})
    edges = np.concatenate([np.linspace(a, b, max(2, int((b - a) / WIDE_MM) + 2)) for a, b in pairwise(marks) if b > a])
    xs, wide = (edges[1:] + edges[:-1]) / 2, np.diff(edges)
    spans = []
    for quad, low, high in solids:
        lo, hi = np.full(xs.shape, np.inf), np.full(xs.shape, -np.inf)
        for (x0, y0), (x1, y1) in zip(quad, [*quad[1:], quad[0]], strict=True):
            if abs(x1 - x0) < 1e-12:
                continue
            there = (xs >= min(x0, x1)) & (xs <= max(x0, x1))
            y = y0 + (y1 - y0) * (xs - x0) / (x1 - x0)
            lo, hi = np.where(there, np.minimum(lo, y), lo), np.where(there, np.maximum(hi, y), hi)
        spans.append((lo, hi, low, high))
    levels, total = sorted({z for _, _, *zs in spans for z in zs}), 0.0
    for z0, z1 in pairwise(levels):
        here = [(lo, hi) for lo, hi, low, high in spans if low <= z0 and high >= z1]
        if not here:
            continue
        lo, hi = np.array([row[0] for row in here]), np.array([row[1] for row in here])
        order = np.argsort(lo, axis=0)
        lo, hi = np.take_along_axis(lo, order, 0), np.take_along_axis(hi, order, 0)
        reach, length = np.full(xs.shape, -np.inf), np.zeros(xs.shape)
        for k in range(len(here)):
            more = np.where(np.isfinite(lo[k]), np.maximum(0.0, hi[k] - np.maximum(lo[k], reach)), 0.0)
            length, reach = length + more, np.maximum(reach, hi[k])
        total += float((length * wide).sum()) * (z1 - z0)
    return total / 1e9


def footing_solids(footing):
    """A footing as quads with levels: each stretch of one level, and the leg below each step."""
    size = sum(math.dist(a, b) for a, b in pairwise(footing.path))
    half, thick, top = footing.width_mm / 2, footing.thickness_mm, footing.top_mm
    steps = sorted(footing.steps, key=lambda step: step.at_mm)
    if not steps:
        return [(quad, top - thick, top) for quad in quads(footing.path, half, half)]
    rows, start = [], 0.0
    for end, rise in [*((step.at_mm, step.rise_mm) for step in steps), (size, 0.0)]:
        rows += [(quad, top - thick, top) for quad in quads(cut_path(footing.path, start, end), half, half)]
        leg = (end - thick, end) if rise > 0 else (end, end + thick)
        if rise:
            rows += [
                (quad, min(top, top + rise), max(top, top + rise))
                for quad in quads(cut_path(footing.path, *leg), half, half)
            ]
        top, start = top + rise, end
    return rows


def wall_solids(wall, footing):
    """A wall as quads with levels, for walls on a footing that does not turn where it is cut."""
    size = sum(math.dist(a, b) for a, b in pairwise(footing.path))
    end = size if wall.to_mm is None else wall.to_mm
    right, left = wall.thickness_mm / 2 - wall.offset_mm, wall.thickness_mm / 2 + wall.offset_mm
    whole = wall.from_mm == 0 and end >= size - 1e-6
    top = footing.top_mm
    cuts = sorted(
        {
            wall.from_mm,
            end,
            *(at for d in wall.set_downs for at in (d.from_mm, d.to_mm)),
            *(s.at_mm for s in footing.steps),
        }
    )
    path, shift = footing.path, 0.0
    closed = len(path) > 3 and math.dist(path[0], path[-1]) < 1e-6
    if whole and len(cuts) == 2:
        return [(quad, top, wall.top_mm) for quad in quads(path, right, left)]
    if whole and closed:  # goes on through its start: begin where it is cut first
        shift = cuts[1]
        path = [*cut_path(path, shift, size), *cut_path(path, 0.0, shift)[1:]]
        cuts = sorted({(at - shift) % size for at in cuts[1:-1]} | {0.0, size})
    rows = []
    for a, b in pairwise(at for at in cuts if shift or wall.from_mm <= at <= end):
        at = (a + shift) % size + 1e-6
        low = top + sum(step.rise_mm for step in footing.steps if step.at_mm <= at)
        down = sum(d.down_mm for d in wall.set_downs if d.from_mm <= at <= d.to_mm)
        rows += [(quad, low, wall.top_mm - down) for quad in quads(cut_path(path, a, b), right, left)]
    return rows
