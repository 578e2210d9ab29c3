"""Bolts of a plate: the fewest that the rules take, then the most even; and a checker that knows nothing of how they were placed.

Rules (figures for sill plates, IRC R403.1.6): A1 the widest gap; A2 each end of each piece within its band; A3 two a piece; A4 none
in an opening or on a butt joint; A5 clear of studs;
A6 clear of what lies across in the concrete. Stations in mm from the run's start. Sources: 'bolt-spacing', 'bolt-ends',
'bolt-two', 'bolt-clear'.
"""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.embeds.plates import Run

SLACK_MM = 0.01  # figures in inches come back as mm
_FAR = np.iinfo(np.int64).max // 4


@dataclass(frozen=True)
class BoltRules:
    """What a bolt keeps to. end_min_mm, end_max_mm: from the end of its piece; clear_mm: from a stud's middle; between_mm: of two
    bolts of a piece; grid_mm: how fine a station is; end_like_mm: where the end bolts are liked best, within their band."""

    most_mm: float
    end_min_mm: float
    end_max_mm: float
    clear_mm: float
    grid_mm: float
    least: int = 2
    between_mm: float = 76.2
    end_like_mm: float | None = None


@dataclass(frozen=True)
class Broken:
    """A rule that is broken. rule: A1 to A6; at_mm: where; size_mm: what it is there, most_mm: what it may be (A1, A2 far), or
    must be (A2 near, A5)."""

    rule: str
    at_mm: float
    size_mm: float
    limit_mm: float


def bolts_of(run: Run, rules: BoltRules) -> list[list[float] | None]:
    """Stations by piece; None for a piece that takes none by the rules (too short, or studs leave no room)."""
    return [_piece(run, start, end, rules) for start, end in run.pieces]


def _piece(run: Run, start: float, end: float, rules: BoltRules) -> list[float] | None:
    grid = rules.grid_mm
    first, last = math.ceil((start - SLACK_MM) / grid), math.floor((end + SLACK_MM) / grid)
    free = np.ones(last - first + 1, dtype=bool)
    for stud in run.studs:
        near = rules.clear_mm - SLACK_MM
        a, b = math.floor((stud - near) / grid) + 1 - first, math.ceil((stud + near) / grid) - first
        free[max(0, a) : max(0, b)] = False
    for low, high in run.blocked:
        free[max(0, math.floor(low / grid) + 1 - first) : max(0, math.ceil(high / grid) - first)] = False
    found = _even(free.tobytes(), round(first * grid - start, 6), round(end - start, 6), rules)
    return None if found is None else [round((first + k) * grid, 6) for k in found]


@lru_cache(maxsize=512)
def _even(free: bytes, offset_mm: float, long_mm: float, rules: BoltRules) -> tuple[int, ...] | None:
    """Which grid steps of a piece take a bolt: the fewest, then gaps as equal and ends as near to where they are liked as they
    can be (least squares). free: steps clear of studs; offset_mm: of the first step from the piece's start."""
    grid = rules.grid_mm
    station = offset_mm + np.arange(len(free)) * grid
    ok = np.frombuffer(free, dtype=bool).copy()
    low, high = rules.end_min_mm - SLACK_MM, rules.end_max_mm + SLACK_MM
    head = ok & (station >= low) & (station <= high)
    tail = ok & (long_mm - station >= low) & (long_mm - station <= high)
    ok &= (station >= low) & (long_mm - station >= low)
    least, most = math.ceil((rules.between_mm - SLACK_MM) / grid), math.floor((rules.most_mm + SLACK_MM) / grid)
    count = _fewest(head, tail, ok, least, most, rules.least)
    if count is None:
        return None
    like = rules.end_max_mm if rules.end_like_mm is None else rules.end_like_mm
    like = min(max(like, rules.end_min_mm), rules.end_max_mm)
    ideal = (long_mm - 2 * like) / max(1, count - 1) / grid
    start, stop = np.rint((station - like) / grid), np.rint((long_mm - station - like) / grid)
    window = 24
    while True:
        found, cost = _laid(head, tail, ok, count, (least, most), ideal, window, (start, stop))
        reach = math.inf if found is None else math.sqrt(cost)
        if window >= most or (found is not None and reach <= window):
            return found  # a gap outside of the window would cost more by itself
        window = most if found is None else min(most, max(2 * window, math.ceil(reach)))


def _fewest(
    head: NDArray[np.bool_], tail: NDArray[np.bool_], ok: NDArray[np.bool_], least: int, most: int, at_least: int
) -> int | None:
    """How many bolts the piece takes; None where no number does."""
    reach, count = head.copy(), 1
    while count <= len(ok):
        if count >= at_least and bool((reach & tail).any()):
            return count
        sums = np.concatenate(([0], np.cumsum(reach)))
        at = np.arange(len(ok))
        hi, lo = np.maximum(at - least + 1, 0), np.maximum(at - most, 0)
        after = ok & (sums[hi] > sums[np.minimum(lo, hi)])
        if not after.any():
            return None
        reach, count = after, count + 1
    return None


def _laid(
    head: NDArray[np.bool_],
    tail: NDArray[np.bool_],
    ok: NDArray[np.bool_],
    count: int,
    gaps: tuple[int, int],
    ideal: float,
    window: int,
    ends: tuple[NDArray[np.float64], NDArray[np.float64]],
) -> tuple[tuple[int, ...] | None, float]:
    """The cheapest way to set `count` bolts with every gap within a window of its ideal: (steps, cost), None where none is."""  # fmt: skip
    start, stop = ends
    lo, hi = max(gaps[0], math.ceil(ideal - window)), min(gaps[1], math.floor(ideal + window))
    costs = [np.where(head, start**2, np.inf)]
    back: list[NDArray[np.int64]] = []
    for _ in range(count - 1):
        before, best = costs[-1], np.full(len(ok), np.inf)
        gap = np.zeros(len(ok), dtype=np.int64)
        for step in range(lo, hi + 1):
            if step >= len(ok):
                break
            cost = before[:-step] + (step - ideal) ** 2
            better = cost < best[step:]
            best[step:][better] = cost[better]
            gap[step:][better] = step
        costs.append(np.where(ok, best, np.inf))
        back.append(gap)
    total = np.where(tail, costs[-1] + stop**2, np.inf)
    at = int(np.argmin(total))
    if not np.isfinite(total[at]):
        return None, math.inf
    steps = [at]
    for gap in reversed(back):
        steps.append(steps[-1] - int(gap[steps[-1]]))
    return tuple(reversed(steps)), float(total[at])


def checked(run: Run, rules: BoltRules, bolts: Sequence[float]) -> list[Broken]:
    """Every rule that bolts at these stations break, in the order of the run."""
    found = [
        Broken("A4", mm, 0.0, 0.0)
        for mm in bolts
        if any(start < mm < end for start, end in run.openings) or any(abs(mm - at) <= SLACK_MM for at in run.joints)
    ]
    for start, end in run.pieces:
        own = sorted(mm for mm in bolts if start <= mm <= end)
        if len(own) < rules.least:
            found.append(Broken("A3", start, float(len(own)), float(rules.least)))
        if not own:
            continue
        for mm, far in ((own[0], own[0] - start), (own[-1], end - own[-1])):
            if far > rules.end_max_mm + SLACK_MM:
                found.append(Broken("A2", mm, far, rules.end_max_mm))
            elif far < rules.end_min_mm - SLACK_MM:
                found.append(Broken("A2", mm, far, rules.end_min_mm))
        for one, other in itertools.pairwise(own):
            if other - one > rules.most_mm + SLACK_MM:
                found.append(Broken("A1", one, other - one, rules.most_mm))
        for mm in own:
            near = min((abs(mm - stud) for stud in run.studs), default=math.inf)
            if near < rules.clear_mm - SLACK_MM:
                found.append(Broken("A5", mm, near, rules.clear_mm))
            if any(low + SLACK_MM < mm < high - SLACK_MM for low, high in run.blocked):
                found.append(Broken("A6", mm, 0.0, 0.0))
    return sorted(found, key=lambda row: (row.at_mm, row.rule))
