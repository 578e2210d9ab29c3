"""Where the slices must begin and end so that no slice has a step in it: at every corner of every rule.

Between two such places the area of a cross-section runs without a jump. Where it bends inside a slice (two borders
cross there) the slice is halved again and again until that is counted too.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.slice_strips import FAR, Strip

Array = NDArray[np.float64]
LEAST_MM = 1e-6
CLOSE_MM = 1e-3
BEND = 1e-6  # of the whole: a slice whose bend may cost more is halved
HALVINGS = 9


def borders(nominal: Array, rings: Sequence[Sequence[XY]], strips: Sequence[Strip]) -> Array:
    """The nominal borders with every corner's x between them, ascending, mm."""
    xs = [x for ring in rings for x, _ in ring]
    xs += [x for strip in strips if strip.circle for x in (strip.x_low, strip.x_high)]
    marks = np.concatenate([nominal, np.asarray(xs, dtype=np.float64), _strip_corners(strips)])
    marks = np.sort(marks[(marks >= nominal[0]) & (marks <= nominal[-1])])
    keep = np.concatenate([[True], np.diff(marks) > LEAST_MM])
    return np.asarray(marks[keep], dtype=np.float64)


def _strip_corners(strips: Sequence[Strip]) -> Array:
    """x of every corner of every strip: where two of its rows meet and all others hold."""
    flat = [strip.rows for strip in strips if strip.rows]
    if not flat:
        return np.zeros(0)
    most = max(len(rows) for rows in flat)
    rows = np.array([[*own, *[(0.0, 0.0, 1.0)] * (most - len(own))] for own in flat])
    found = []
    for i, j in combinations(range(most), 2):
        (a, b, c), (d, e, f) = rows[:, i].T, rows[:, j].T
        across = a * e - b * d
        there = np.abs(across) > 1e-12
        across = np.where(there, across, 1.0)
        x, y = (c * e - b * f) / across, (a * f - c * d) / across
        slack = rows[..., 0] * x[:, None] + rows[..., 1] * y[:, None] - rows[..., 2]
        found.append(x[there & (slack <= CLOSE_MM).all(axis=1) & (np.abs(x) < FAR)])
    return np.asarray(np.concatenate(found), dtype=np.float64)


def integrate(cuts: Array, area: Callable[[Array], Array], owner: NDArray[np.intp], count: int) -> Array:
    """Volume of each nominal slice, mm3. cuts: ascending borders. area: cross-section in mm2 at ascending x. owner:
    the nominal slice of each share. count: how many of those there are."""
    wide = np.diff(cuts)
    x = cuts[:-1] + wide / 2
    here = area(x)
    total = np.bincount(owner, weights=here * wide, minlength=count)
    limit = BEND * float(total.sum())
    todo = _bent(x, wide, here, limit)
    low, wide, here, owner = cuts[:-1][todo], wide[todo], here[todo], owner[todo]
    for _ in range(HALVINGS):
        if not len(low):
            break
        half = np.repeat(wide / 2, 2)
        starts = np.repeat(low, 2)
        starts[1::2] += half[1::2]
        own = np.repeat(owner, 2)
        halves = area(starts + half / 2)
        change = halves.reshape(-1, 2).sum(axis=1) * (wide / 2) - here * wide
        total += np.bincount(owner, weights=change, minlength=count)
        again = np.repeat(np.abs(change) > limit, 2)
        low, wide, here, owner = starts[again], half[again], halves[again], own[again]
    return np.asarray(total, dtype=np.float64)


def _bent(x: Array, wide: Array, here: Array, limit: float) -> NDArray[np.bool_]:
    """Slices whose own or next area may bend by so much that the middle does not stand for the whole."""
    if len(x) < 3:
        return np.ones(len(x), dtype=bool)
    rise = np.diff(here) / np.diff(x)
    bend = np.zeros(len(x))
    bend[1:-1] = np.abs(np.diff(rise))
    bend[[0, -1]] = np.inf
    near = np.maximum(bend, np.maximum(np.append(bend[1:], 0.0), np.append(0.0, bend[:-1])))
    return np.asarray(near * wide**2 / 8 > limit, dtype=bool)
