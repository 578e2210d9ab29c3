"""Plans by hand rules: first fit, and bars filled as full as subset sums allow. A plan is a list of patterns.

A pattern is (stock row, counts per different piece). Sizes and room are the task's whole grains.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np

from humble_trowel.core.cutting.stock import CutTask

Pattern = tuple[int, tuple[int, ...]]
WIDEST_BITS = 200_000


def cost(task: CutTask, patterns: Sequence[Pattern]) -> tuple[int, int]:
    """(price of all bars, number of bars)."""
    return sum(task.price[stock] for stock, _ in patterns), len(patterns)


def first_fit(task: CutTask) -> list[Pattern] | None:
    """Longest piece first into the first bar with room; a new bar is the one whose price for its room is least."""
    left = list(task.supply)
    bars: list[tuple[int, int, list[int]]] = []
    for kind, size in enumerate(task.sizes):
        for _ in range(task.demand[kind]):
            at = next((i for i, (_, room, _) in enumerate(bars) if room >= size), None)
            if at is None:
                able = [j for j, room in enumerate(task.room) if room >= size and left[j] != 0]
                if not able:
                    return None
                stock = min(able, key=lambda j: (task.price[j] / task.room[j], -task.room[j]))
                _take(left, stock)
                bars.append((stock, task.room[stock], [0] * len(task.sizes)))
                at = len(bars) - 1
            stock, room, counts = bars[at]
            counts[kind] += 1
            bars[at] = (stock, room - size, counts)
    return [_cheapest(task, stock, tuple(counts), left) for stock, _, counts in bars]


def _take(left: list[int | None], stock: int) -> None:
    have = left[stock]
    if have is not None:
        left[stock] = have - 1


def _cheapest(task: CutTask, stock: int, counts: tuple[int, ...], left: list[int | None]) -> Pattern:
    """The same pieces from the cheapest stock that holds them."""
    need = sum(size * count for size, count in zip(task.sizes, counts, strict=True))
    able = [j for j, room in enumerate(task.room) if room >= need and (left[j] != 0 or j == stock)]
    best = min(able, key=lambda j: (task.price[j], task.room[j]))
    if best != stock:
        _take(left, best)
        have = left[stock]
        if have is not None:
            left[stock] = have + 1
    return best, counts


def subset_fill(task: CutTask, rng: np.random.Generator, shake: float) -> list[Pattern] | None:
    """Fill bar after bar as full as can be, always with the longest piece left (now and then another).

    shake: 0 for the plain rule, up to 1 for a much disturbed one.
    """
    demand = list(task.demand)
    left = list(task.supply)
    bars: list[Pattern] = []
    while any(demand):
        kinds = [kind for kind, count in enumerate(demand) if count]
        seed = kinds[0] if rng.random() >= shake else int(rng.choice(kinds[: max(1, len(kinds) // 3)]))
        stock, counts = _best_bar(task, demand, left, seed, rng, shake)
        if stock is None:
            return None
        for kind, count in enumerate(counts):
            demand[kind] -= count
        _take(left, stock)
        bars.append((stock, counts))
    return bars


def _best_bar(
    task: CutTask, demand: list[int], left: list[int | None], seed: int, rng: np.random.Generator, shake: float
) -> tuple[int | None, tuple[int, ...]]:
    able = [j for j, room in enumerate(task.room) if room >= task.sizes[seed] and left[j] != 0]
    best: tuple[float, int | None, tuple[int, ...]] = (float("inf"), None, ())
    order = _order(task, demand, seed, rng, shake)
    layers = _layers(order, max((task.room[j] for j in able), default=0) - task.sizes[seed])
    for stock in able:
        counts = [0] * len(task.sizes)
        counts[seed] = 1
        filled = task.sizes[seed] + _fill(order, layers, task.room[stock] - task.sizes[seed], counts)
        score = task.price[stock] / filled if len(task.room) > 1 else 1.0
        if score < best[0] - 1e-12:
            best = (score, stock, tuple(counts))
    return best[1], best[2]


def _order(
    task: CutTask, demand: list[int], seed: int, rng: np.random.Generator, shake: float
) -> list[tuple[int, int]]:
    """(kind, size) of every single piece left, short ones first, the seed taken out."""
    singles = []
    for kind, count in enumerate(demand):
        copies = min(count - (kind == seed), max(task.room) // task.sizes[kind])
        singles += [(kind, task.sizes[kind])] * copies
    if shake:
        noise = rng.random(len(singles)) * shake
        singles = [
            singles[i] for i in np.argsort([-size * (1 - part) for (_, size), part in zip(singles, noise, strict=True)])
        ]
    singles.reverse()
    return singles


def _layers(order: Sequence[tuple[int, int]], room: int) -> list[int]:
    """Which sums can be reached with the first k pieces, as bits."""
    mask = (1 << (max(room, 0) + 1)) - 1
    layers = [1]
    for _, size in order:
        layers.append((layers[-1] | layers[-1] << size) & mask)
    return layers


def _fill(order: Sequence[tuple[int, int]], layers: Sequence[int], room: int, counts: list[int]) -> int:
    """Add the fullest set to counts, the pieces late in `order` first; returns how full."""
    if room < 0:
        return 0
    reach = (layers[-1] & ((1 << (room + 1)) - 1)).bit_length() - 1
    at = reach
    for step in range(len(order), 0, -1):
        kind, size = order[step - 1]
        if at >= size and layers[step - 1] >> (at - size) & 1:
            counts[kind] += 1
            at -= size
            if not at:
                break
    return reach


def by_hand_rules(task: CutTask, bound: int, seed: int, tries: int, enough: Callable[[], bool]) -> list[Pattern] | None:
    """The best plan of first fit and of subset filling with more and more shaking."""
    rng = np.random.default_rng(seed)
    best = first_fit(task)
    if max(task.room) > WIDEST_BITS:
        return best
    for turn in range(tries):
        if enough() or (best is not None and cost(task, best)[0] <= bound):
            break
        shake = 0.0 if turn == 0 else 0.05 + 0.6 * (turn % 7) / 7
        plan = subset_fill(task, rng, shake)
        if plan is not None and (best is None or cost(task, plan) < cost(task, best)):
            best = plan
    return best
