"""Strips on the lines of the second way: the interval of each on every line, and where depths meet there."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.geometry.slice_slabs import Slab
from humble_trowel.core.geometry.slice_strips import FAR, Strip

Array = NDArray[np.float64]
Index = NDArray[np.intp]


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


def packed(strips: Sequence[Strip], x: Array) -> Bands:
    """Every strip on the lines x, mm, packed to the left."""
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


def band_marks(bands: Bands, slabs: Sequence[float]) -> list[Array]:
    """Where bands begin and end, where haunches begin, come up to each slab but the thinnest, or cross another."""
    tilted = np.abs(bands.per_y) > 1e-12
    rise = np.where(tilted, bands.per_y, 1.0)
    there = tilted & (bands.low < FAR) & (bands.slope > 0)
    marks = [bands.low, bands.high, np.where(there, (bands.width - bands.at_0) / rise, FAR)]
    slope = np.where(there, bands.slope, 1.0)
    for slab in slabs:
        marks.append(np.where(there, ((bands.knee - slab) / slope - bands.at_0) / rise, FAR))
    return [*marks, *_crossing_marks(bands)]


def tilted_marks(bands: Bands, slabs: Sequence[Slab], x: Array) -> list[Array]:
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


def slab_marks(slab: Slab, deep_mm: float, x: Array) -> Array:
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
