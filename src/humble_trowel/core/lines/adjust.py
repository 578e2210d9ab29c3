"""Least squares of taped distances and offsets: the shape that fits them best, and how sure that is.

Gauge: the first held corner at 0, 0 and the second on the +x axis. Unknowns: x of the second, x and y of all
others. Gauss-Newton with damping, from the shape as drawn (Ghilani, Adjustment Computations, trilateration).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.errors import InputError
from humble_trowel.core.lines.records import End, Measure, Offset, SideMark

Array = NDArray[np.float64]
RANK = 1e-7
ROUNDS = 60


@dataclass(frozen=True)
class Fit:
    """laid_mm: corners in the gauge, (n, 2). v_mm: computed less read. leverage: of each measure, 0 to 1.

    free: (2n, k) directions in which the shape is not held; k = 0 when it is determined. cov: of all 2n
    coordinates for a sigma of 1. residual_cov: of the residuals for a sigma of 1. rank: unknowns that are settled.
    """

    laid_mm: Array
    v_mm: Array
    leverage: Array
    free: Array
    cov: Array
    residual_cov: Array
    redundancy: int

    @property
    def missing(self) -> int:
        return int(self.free.shape[1])


def fit(start_mm: Array, hold: tuple[int, int], measures: Sequence[Measure]) -> Fit:
    """The adjusted shape. start_mm: (n, 2) as drawn, in the gauge. Raises InputError when the readings cannot meet."""
    n = len(start_mm)
    keep = [i for i in range(2 * n) if i not in (2 * hold[0], 2 * hold[0] + 1, 2 * hold[1] + 1)]
    x = start_mm.astype(float).ravel().copy()
    damp = 0.0
    v, jac = _residuals(x, n, measures)
    for _ in range(ROUNDS):
        step = _step(jac[:, keep], v, damp)
        trial = x.copy()
        trial[keep] += step
        v_trial, jac_trial = _residuals(trial, n, measures)
        if v_trial @ v_trial <= (v @ v) * (1 + 1e-12) + 1e-18:
            x, v, jac, damp = trial, v_trial, jac_trial, damp / 4 if damp > 1e-6 else 0.0
            if np.abs(step).max(initial=0.0) < 1e-7:
                break
        else:
            damp = max(damp * 8, 1e-4)
            if damp > 1e12:
                break
    else:
        raise InputError("These readings cannot meet in any shape near the plan. Check the longest of them.")
    return _judged(x.reshape(n, 2), jac, v, keep)


def _judged(laid: Array, jac: Array, v: Array, keep: list[int]) -> Fit:
    inner = jac[:, keep]
    u, s, vt = np.linalg.svd(inner, full_matrices=True)
    rank = int((s > RANK * max(1.0, s.max(initial=0.0))).sum())
    free = np.zeros((jac.shape[1], len(keep) - rank))
    free[keep, :] = vt[rank:].T
    used = u[:, :rank]
    hat = used @ used.T
    cov = np.zeros((jac.shape[1], jac.shape[1]))
    cov[np.ix_(keep, keep)] = (vt[:rank].T / s[:rank] ** 2) @ vt[:rank]
    return Fit(laid, v, np.diag(hat).copy(), free, cov, np.eye(len(v)) - hat, len(v) - rank)


def _step(jac: Array, v: Array, damp: float) -> Array:
    if damp:
        normal = jac.T @ jac
        return np.asarray(np.linalg.solve(normal + damp * np.eye(len(normal)), -jac.T @ v))
    return np.asarray(np.linalg.lstsq(jac, -v, rcond=RANK)[0])


def _residuals(x: Array, n: int, measures: Sequence[Measure]) -> tuple[Array, Array]:
    v = np.empty(len(measures))
    jac = np.zeros((len(measures), 2 * n))
    for row, measure in enumerate(measures):
        if isinstance(measure, Offset):
            value, slope = offset_of(x, n, measure)
            v[row], jac[row] = value - measure.off_mm, slope
        else:
            value, slope = distance_of(x, n, measure.start, measure.to)
            v[row], jac[row] = value - measure.mm, slope
    return v, jac


def place(x: Array, n: int, end: End) -> tuple[Array, Array]:
    """(where an end stands, (2,), and its slope over all coordinates, (2, 2n))."""
    slope = np.zeros((2, 2 * n))
    if not isinstance(end, SideMark):
        slope[0, 2 * end] = slope[1, 2 * end + 1] = 1.0
        return x[2 * end : 2 * end + 2], slope
    a, b = end.side, (end.side + 1) % n
    pa, pb = x[2 * a : 2 * a + 2], x[2 * b : 2 * b + 2]
    run = pb - pa
    size = float(np.hypot(*run)) or 1e-9
    u = run / size
    turn = end.at_mm / size * (np.eye(2) - np.outer(u, u))
    slope[:, 2 * b : 2 * b + 2] = turn
    slope[:, 2 * a : 2 * a + 2] = np.eye(2) - turn
    return pa + end.at_mm * u, slope


def distance_of(x: Array, n: int, start: End, to: End) -> tuple[float, Array]:
    """(distance between two ends in mm, its slope over all coordinates)."""
    pa, sa = place(x, n, start)
    pb, sb = place(x, n, to)
    run = pb - pa
    size = float(np.hypot(*run)) or 1e-9
    return size, (run / size) @ (sb - sa)


def offset_of(x: Array, n: int, reading: Offset) -> tuple[float, Array]:
    """(distance left of the line in mm, its slope over all coordinates)."""
    a, b = reading.line
    pa, pb = x[2 * a : 2 * a + 2], x[2 * b : 2 * b + 2]
    spot, slope_spot = place(x, n, reading.to)
    run = pb - pa
    size = float(np.hypot(*run)) or 1e-9
    u = run / size
    normal = np.array([-u[1], u[0]])
    along = float(u @ (spot - pa))
    slope = normal @ slope_spot
    slope[2 * a : 2 * a + 2] += (along / size - 1) * normal
    slope[2 * b : 2 * b + 2] -= along / size * normal
    return float(normal @ (spot - pa)), slope
