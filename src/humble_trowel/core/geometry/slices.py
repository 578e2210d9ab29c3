"""The second way: the same slab counted in thin slices along x, by a computation of its own.

Shares nothing with solid.py but the plan. Each slice is one line of plan points: every rule is an interval on that
line (half-planes give the interval of a strip, crossings the interval of a polygon), breakpoints are sorted, and
between breakpoints two Gauss points integrate the greatest depth. Arrays are (slices, ...), mm.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.slice_bands import Bands, band_marks, packed, slab_marks, tilted_marks
from humble_trowel.core.geometry.slice_borders import borders, integrate
from humble_trowel.core.geometry.slice_parts import Void, part_strips, plan_voids, void_levels
from humble_trowel.core.geometry.slice_slabs import Slab, plan_slabs
from humble_trowel.core.geometry.slice_strips import FAR, Strip, plan_strips
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.progress import tick

Array = NDArray[np.float64]
Index = NDArray[np.intp]
HALF_INCH_MM = 12.7
CENTIMETRE_MM = 10.0
AT_ONCE, LEAST_LINES, MOST_LINES = 250_000, 250, 4000  # lines of plan points worked on at once, by strips
GAUSS = 0.5 / math.sqrt(3.0)


@dataclass(frozen=True)
class Slices:
    """x_mm: middle of each slice. width_mm: its width. m3: concrete in each slice."""

    x_mm: Array
    width_mm: float
    m3: Array

    @property
    def total_m3(self) -> float:
        return float(self.m3.sum())


def count_by_slices(plan: Plan) -> Slices:
    """Concrete of a plan with an outline, slice by slice: 1/2 in slices in a ft-in plan, 10 mm in a mm plan."""
    assert plan.outline is not None
    xs = [x for x, _ in plan.outline]
    wish_mm = HALF_INCH_MM if plan.units == "ft-in" else CENTIMETRE_MM
    count = max(1, round((max(xs) - min(xs)) / wish_mm))
    width = (max(xs) - min(xs)) / count
    nominal: Array = np.asarray(min(xs) + np.arange(count + 1) * width, dtype=np.float64)
    slab = min((row.thickness_mm for row in plan.slab_types), default=0.0)
    strips = [*plan_strips(plan, slab), *part_strips(plan, slab)]
    rings = [*plan.openings, *[void.ring for void in plan_voids(plan)], *[slab.ring for slab in plan_slabs(plan)[1]]]
    cuts = borders(nominal, [plan.outline, *rings], strips)
    owner = np.clip(np.searchsorted(nominal, cuts[:-1] + np.diff(cuts) / 2, side="right") - 1, 0, count - 1)

    lines = min(MOST_LINES, max(LEAST_LINES, AT_ONCE // max(1, len(strips))))
    done = 0

    def area(x: Array) -> Array:
        nonlocal done
        found = []
        for part in np.array_split(x, max(1, len(x) // lines)):
            found.append(_slice_areas(plan, strips, part))
            done += len(part)
            tick(min(0.95, done / (3 * count)))  # slices that bend are halved until they do not
        return np.concatenate(found)

    m3 = integrate(cuts, area, owner, count) / 1e9
    return Slices(nominal[:-1] + width / 2, width, np.asarray(m3, dtype=np.float64))


def _slice_areas(plan: Plan, strips: Sequence[Strip], x: Array) -> Array:
    """Cross-section area in mm2 on each line x."""
    outline = _crossings(plan.outline or [], x)
    holes = [_crossings(ring, x) for ring in plan.openings]
    rest, slabs = plan_slabs(plan)
    zones = [(_crossings(slab.ring, x), slab) for slab in slabs]
    bands = packed(strips, x)
    depths = sorted({rest, *slabs}, key=lambda slab: slab.at_0)
    level = [slab.at_0 for slab in depths if not slab.tilted and slab.at_0]
    tilted = [slab for slab in depths if slab.tilted]
    least = min((row.thickness_mm for row in plan.slab_types), default=0.0)  # where every haunch ends
    voids = [(_crossings(void.ring, x), void) for void in plan_voids(plan)]
    bends = void_levels([void for _, void in voids], level)
    marks = [
        outline,
        *holes,
        *[zone for zone, _ in (*zones, *voids)],
        *band_marks(bands, sorted({*(mm for mm in level if tilted or mm > least), *bends})),
    ]
    dipped = [
        replace(slab, at_0=slab.at_0 + void.depth_mm) for slab in tilted for _, void in voids if void.keeps
    ]  # where a recess that keeps thickness makes a sloping slab dip
    marks += tilted_marks(bands, [*tilted, *dipped], x)
    marks += [slab_marks(slab, void.depth_mm, x) for slab in tilted for _, void in voids if not void.keeps]
    breaks = np.sort(np.concatenate(marks, axis=1), axis=1)
    gap = np.diff(breaks, axis=1)
    line, column = np.nonzero((gap > 1e-9) & (breaks[:, 1:] < FAR))
    low, gap = breaks[line, column], gap[line, column]
    depth = _mean_depth(OnLines(x, outline, holes, rest, zones, bands, voids), line, low, gap)
    return np.asarray(np.bincount(line, weights=depth * gap, minlength=len(x)), dtype=np.float64)


def _crossings(ring: Sequence[XY], x: Array) -> Array:
    """y of every crossing of line x with the ring, ascending, padded with FAR: (slices, most crossings)."""
    counts = np.zeros(len(x), dtype=np.intp)
    met: list[tuple[slice, Index, Array]] = []
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        if ax == bx:
            continue
        first, last = np.searchsorted(x, (min(ax, bx), max(ax, bx)))
        lines = slice(int(first), int(last))
        met.append((lines, counts[lines].copy(), ay + (x[lines] - ax) * ((by - ay) / (bx - ax))))
        counts[lines] += 1
    most = max(2, int(counts.max(initial=0)))
    table = np.full((len(x), most), FAR)
    every = np.arange(len(x))
    for lines, column, y in met:
        table[every[lines], column] = y
    table.sort(axis=1)
    return table


def _inside(line: Index, y: Array, crossings: Array) -> NDArray[np.bool_]:
    odd = np.zeros(y.shape, dtype=bool)
    for column in range(crossings.shape[1]):
        odd ^= crossings[line, column] < y
    return odd


@dataclass(frozen=True)
class OnLines:
    """What lies on the lines x: where each meets outline and openings, the slabs (the rest of the plan, then zones), strips, voids."""

    x: Array
    outline: Array
    holes: Sequence[Array]
    rest: Slab
    zones: Sequence[tuple[Array, Slab]]
    bands: Bands
    voids: Sequence[tuple[Array, Void]]


def _mean_depth(on: OnLines, line: Index, low: Array, gap: Array) -> Array:
    """Mean depth on each interval low..low + gap of its line, by two Gauss points. No rule starts or ends inside."""
    middle = low + gap / 2
    concrete, bands = _inside(line, middle, on.outline), on.bands
    for hole in on.holes:
        concrete &= ~_inside(line, middle, hole)
    spots = [low + share * gap for share in (0.5 - GAUSS, 0.5 + GAUSS)]
    depths = [on.rest.at(on.x[line], y) for y in spots]
    for zone, slab in on.zones:
        there = _inside(line, middle, zone)
        for depth, y in zip(depths, spots, strict=True):
            depth[there] = slab.at(on.x[line[there]], y[there])
    bare = [depth.copy() for depth in depths] if on.voids else depths
    for column in range(bands.low.shape[1]):
        met = np.flatnonzero((middle > bands.low[line, column]) & (middle < bands.high[line, column]))
        row = line[met]
        for depth, share in zip(depths, (0.5 - GAUSS, 0.5 + GAUSS), strict=True):
            s = bands.at_0[row, column] + bands.per_y[row, column] * (low[met] + share * gap[met])
            own = np.minimum(bands.full[row, column], bands.knee[row, column] - bands.slope[row, column] * s)
            depth[met] = np.maximum(depth[met], own)
    for ring, void in on.voids:
        there = _inside(line, middle, ring)
        for depth, slab_only in zip(depths, bare, strict=True):
            least = slab_only[there] if void.keeps else 0.0
            depth[there] = np.maximum(least, depth[there] - void.depth_mm)
    return np.where(concrete, (depths[0] + depths[1]) / 2, 0.0)
