"""The bounded knapsack: which pieces, none more often than asked for, are worth most in each stock length."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

Counts = NDArray[np.int64]
WIDEST = 60_000
MOST_NODES = 60_000


def best_counts(
    sizes: Sequence[int], demand: Sequence[int], values: NDArray[np.float64], rooms: Sequence[int]
) -> tuple[list[Counts], bool]:
    """(counts per piece for each room, whether they are proven best). Whole grains; values >= 0."""
    if max(rooms) <= WIDEST:
        return _by_table(sizes, demand, values, rooms), True
    answers, exact = [], True
    for room in rooms:
        counts, proven = _by_branches(sizes, demand, values, room)
        answers.append(counts)
        exact = exact and proven
    return answers, exact


def _by_table(
    sizes: Sequence[int], demand: Sequence[int], values: NDArray[np.float64], rooms: Sequence[int]
) -> list[Counts]:
    """Exact, by a table over all lengths; copies of a piece are bundled in powers of two."""
    wide = max(rooms)
    bundles = [
        (kind, bundle)
        for kind, (size, asked) in enumerate(zip(sizes, demand, strict=True))
        if values[kind] > 0
        for bundle in _bundles(min(asked, wide // size))
    ]
    best = np.zeros(wide + 1)
    takes = np.zeros((len(bundles), wide + 1), dtype=bool)
    for row, (kind, bundle) in enumerate(bundles):
        size = sizes[kind] * bundle
        with_it = best[: wide + 1 - size] + values[kind] * bundle
        take = with_it > best[size:] + 1e-12
        takes[row, size:] = take
        best[size:] = np.where(take, with_it, best[size:])
    return [_read_back(sizes, bundles, takes, room) for room in rooms]


def _bundles(copies: int) -> list[int]:
    parts, power = [], 1
    while copies > 0:
        part = min(power, copies)
        parts.append(part)
        copies -= part
        power *= 2
    return parts


def _read_back(sizes: Sequence[int], bundles: list[tuple[int, int]], takes: NDArray[np.bool_], room: int) -> Counts:
    counts: Counts = np.zeros(len(sizes), dtype=np.int64)
    at = room
    for row in range(len(bundles) - 1, -1, -1):
        if takes[row, at]:
            kind, bundle = bundles[row]
            counts[kind] += bundle
            at -= sizes[kind] * bundle
    return counts


def _by_branches(
    sizes: Sequence[int], demand: Sequence[int], values: NDArray[np.float64], room: int
) -> tuple[Counts, bool]:
    """Depth first by worth per length with the greedy bound; not proven where it had to stop early."""
    order = [i for i in sorted(range(len(sizes)), key=lambda i: -values[i] / sizes[i]) if values[i] > 0]
    best_value, best = 0.0, np.zeros(len(sizes), dtype=np.int64)
    counts = np.zeros(len(sizes), dtype=np.int64)
    nodes = 0

    def dive(depth: int, left: int, worth: float) -> None:
        nonlocal best_value, best, nodes
        nodes += 1
        if worth > best_value + 1e-12:
            best_value, best = worth, counts.copy()
        if depth == len(order) or nodes > MOST_NODES:
            return
        kind = order[depth]
        if worth + left * values[kind] / sizes[kind] <= best_value + 1e-12:
            return
        for count in range(min(demand[kind], left // sizes[kind]), -1, -1):
            counts[kind] = count
            dive(depth + 1, left - count * sizes[kind], worth + count * float(values[kind]))
        counts[kind] = 0

    dive(0, room, 0.0)
    return best, nodes <= MOST_NODES
