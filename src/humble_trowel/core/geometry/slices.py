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
    bands = _packed(strips, x)
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
        *_band_marks(bands, sorted({*(mm for mm in level if tilted or mm > least), *bends})),
    ]
    dipped = [
        replace(slab, at_0=slab.at_0 + void.depth_mm) for slab in tilted for _, void in voids if void.keeps
    ]  # where a recess that keeps thickness makes a sloping slab dip
    marks += _tilted_marks(bands, [*tilted, *dipped], x)
    marks += [_slab_marks(slab, void.depth_mm, x) for slab in tilted for _, void in voids if not void.keeps]
    breaks = np.sort(np.concatenate(marks, axis=1), axis=1)
    gap = np.diff(breaks, axis=1)
    line, column = np.nonzero((gap > 1e-9) & (breaks[:, 1:] < FAR))
    low, gap = breaks[line, column], gap[line, column]
    depth = _mean_depth(x, line, low, gap, outline, holes, (rest, zones), bands, voids)
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


def _mean_depth(
    x: Array,
    line: Index,
    low: Array,
    gap: Array,
    outline: Array,
    holes: Sequence[Array],
    slabs: tuple[Slab, Sequence[tuple[Array, Slab]]],
    bands: Bands,
    voids: Sequence[tuple[Array, Void]],
) -> Array:
    """Mean depth on each interval low..low + gap of its line, by two Gauss points. No rule starts or ends inside."""
    middle = low + gap / 2
    concrete = _inside(line, middle, outline)
    for hole in holes:
        concrete &= ~_inside(line, middle, hole)
    rest, zones = slabs
    spots = [low + share * gap for share in (0.5 - GAUSS, 0.5 + GAUSS)]
    depths = [rest.at(x[line], y) for y in spots]
    for zone, slab in zones:
        there = _inside(line, middle, zone)
        for depth, y in zip(depths, spots, strict=True):
            depth[there] = slab.at(x[line[there]], y[there])
    bare = [depth.copy() for depth in depths] if voids else depths
    for column in range(bands.low.shape[1]):
        met = np.flatnonzero((middle > bands.low[line, column]) & (middle < bands.high[line, column]))
        row = line[met]
        for depth, share in zip(depths, (0.5 - GAUSS, 0.5 + GAUSS), strict=True):
            s = bands.at_0[row, column] + bands.per_y[row, column] * (low[met] + share * gap[met])
            own = np.minimum(bands.full[row, column], bands.knee[row, column] - bands.slope[row, column] * s)
            depth[met] = np.maximum(depth[met], own)
    for ring, void in voids:
        there = _inside(line, middle, ring)
        for depth, slab_only in zip(depths, bare, strict=True):
            least = slab_only[there] if void.keeps else 0.0
            depth[there] = np.maximum(least, depth[there] - void.depth_mm)
    return np.where(concrete, (depths[0] + depths[1]) / 2, 0.0)


@dataclass(frozen=True)
class Bands:
    """Strips met by each line, packed to the left: interval low..high, distance s = at_0 + per_y * y,
    depth = min(full, knee - slope * s), s at the bottom width, all (slices, most)."""

    low: Array
    high: Array
    at_0: Array
    per_y: Array
    full: Array
    knee: Array
    slope: Array
    width: Array


def _packed(strips: Sequence[Strip], x: Array) -> Bands:
    counts = np.zeros(len(x), dtype=int)
    met: list[tuple[Index, Index, int, Array, Array]] = []
    for at, strip in enumerate(strips):
        first, low, high = _interval(strip, x)
        there = np.flatnonzero(high - low > 1e-9)
        line = there + first
        met.append((line, counts[line], at, low[there], high[there]))
        counts[line] += 1
    shape = (len(x), int(counts.max(initial=0)))
    low_all, high_all = np.full(shape, FAR), np.full(shape, FAR)
    strip_of = np.zeros(shape, dtype=int)
    for line, column, at, low, high in met:
        low_all[line, column], high_all[line, column], strip_of[line, column] = low, high, at
    lines = np.array([strip.line for strip in strips]).reshape(-1, 3)
    full = np.array([strip.kind.depth_mm or 0.0 for strip in strips])
    width = np.array([strip.kind.bottom_width_mm or 0.0 for strip in strips])
    run = np.array([strip.kind.haunch_run_per_rise or 0.0 for strip in strips])
    slope = np.where(run > 0, 1.0 / np.where(run > 0, run, 1.0), 0.0)
    knee = full + slope * width
    if not strips:
        empty = np.zeros(shape)
        return Bands(low_all, high_all, empty, empty, empty, empty, empty, empty)
    at_0 = lines[:, 0][strip_of] * x[:, None] + lines[:, 2][strip_of]
    return Bands(
        low_all,
        high_all,
        at_0,
        lines[:, 1][strip_of],
        full[strip_of],
        knee[strip_of],
        slope[strip_of],
        width[strip_of],
    )


def _band_marks(bands: Bands, slabs: Sequence[float]) -> list[Array]:
    """Where bands begin and end, where haunches begin, come up to each slab but the thinnest, or cross another."""
    tilted = np.abs(bands.per_y) > 1e-12
    rise = np.where(tilted, bands.per_y, 1.0)
    there = tilted & (bands.low < FAR) & (bands.slope > 0)
    marks = [bands.low, bands.high, np.where(there, (bands.width - bands.at_0) / rise, FAR)]
    slope = np.where(there, bands.slope, 1.0)
    for slab in slabs:
        marks.append(np.where(there, ((bands.knee - slab) / slope - bands.at_0) / rise, FAR))
    return [*marks, *_crossing_marks(bands)]


def _tilted_marks(bands: Bands, slabs: Sequence[Slab], x: Array) -> list[Array]:
    """Where a haunch or a full depth comes up to a slab whose underside slopes against its top."""
    marks: list[Array] = []
    for slab in slabs:
        at_0, rise = (slab.at_0 + slab.per_x * x)[:, None], slab.per_y
        for depth, per_y in (
            (bands.knee - bands.slope * bands.at_0, -bands.slope * bands.per_y),
            (bands.full, np.zeros(bands.full.shape)),
        ):
            closing = per_y - rise
            there = (bands.low < FAR) & (np.abs(closing) > 1e-12)
            marks.append(np.where(there, (at_0 - depth) / np.where(there, closing, 1.0), FAR))
    return marks


def _slab_marks(slab: Slab, deep_mm: float, x: Array) -> Array:
    """Where a slab whose underside slopes against its top is so deep."""
    if abs(slab.per_y) < 1e-12:
        return np.full((len(x), 1), FAR)
    return np.asarray(((deep_mm - slab.at_0 - slab.per_x * x) / slab.per_y)[:, None], dtype=np.float64)


def _crossing_marks(bands: Bands) -> list[Array]:
    """Where one haunch is as deep as another, or as the full depth of another."""
    marks: list[Array] = []
    at_0, per_y = bands.knee - bands.slope * bands.at_0, -bands.slope * bands.per_y
    for one in range(bands.low.shape[1]):
        for other in range(bands.low.shape[1]):
            if one == other:
                continue
            lines = [(at_0[:, other], per_y[:, other])] if one > other else []
            if (bands.full[:, one] > bands.full[:, other]).any():
                lines.append((bands.full[:, other], np.zeros(len(at_0))))
            low = np.maximum(bands.low[:, one], bands.low[:, other])
            high = np.minimum(bands.high[:, one], bands.high[:, other])
            if not (high > low).any():
                continue
            for depth, rise in lines:
                closing = per_y[:, one] - rise
                y = (depth - at_0[:, one]) / np.where(np.abs(closing) > 1e-12, closing, np.inf)
                there = (y > low) & (y < high) & (np.abs(closing) > 1e-12)
                if there.any():
                    marks.append(np.where(there, y, FAR)[:, None])
    return marks


def _interval(strip: Strip, x: Array) -> tuple[int, Array, Array]:
    """(first line, low, high): the interval of a convex strip on each line from the first on that may meet it."""
    x_low, x_high = strip.x_low, strip.x_high
    if strip.circle:
        cx, cy, radius = strip.circle
        first, last = np.searchsorted(x, (x_low, x_high))
        half = np.sqrt(np.maximum(0.0, radius**2 - (x[first:last] - cx) ** 2))
        return int(first), cy - half, cy + half
    tilted = []
    for a, b, c in strip.rows:
        if abs(b) > 1e-12:
            tilted.append((a, b, c))
        elif a > 0:
            x_high = min(x_high, c / a)
        else:
            x_low = max(x_low, c / a)
    first, last = np.searchsorted(x, (x_low, max(x_low, x_high)))
    lines = x[first:last]
    low, high = np.full(len(lines), -FAR), np.full(len(lines), FAR)
    for a, b, c in tilted:
        edge = (c - a * lines) / b
        if b > 0:
            np.minimum(high, edge, out=high)
        else:
            np.maximum(low, edge, out=low)
    return int(first), low, high
