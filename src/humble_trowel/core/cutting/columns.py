"""Cutting patterns as columns (Gilmore and Gomory): the linear programme's bound, and whole plans over its columns.

The bound is proven: every reduced cost was priced by an exact knapsack; where pricing had to stop early the bound
is Farley's, which stays valid. Whole plans come from HiGHS over the columns found.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

import highspy
import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.cutting.fill import Pattern, cost
from humble_trowel.core.cutting.knapsack import best_counts
from humble_trowel.core.cutting.stock import CutTask

EPS = 1e-9
PLAIN_SOLVER: Any = highspy.Highs.__base__  # the class over it prints a banner while it is being made


@dataclass
class Columns:
    """All patterns found, and the bound so far. bound: a price that no plan can be under."""

    patterns: list[Pattern] = field(default_factory=list)
    known: set[Pattern] = field(default_factory=set)
    bound: int = 0
    dual: NDArray[np.float64] = field(default_factory=lambda: np.zeros(0))

    def add(self, pattern: Pattern) -> bool:
        if pattern in self.known:
            return False
        self.known.add(pattern)
        self.patterns.append(pattern)
        return True


def _quiet(limit_s: float | None = None) -> Any:
    solver = PLAIN_SOLVER()
    solver.setOptionValue("output_flag", False)
    solver.setOptionValue("threads", 1)
    if limit_s is not None:
        solver.setOptionValue("time_limit", max(0.05, limit_s))
    return solver


def _rows(solver: Any, task: CutTask) -> None:
    """A row per piece (at least its demand) and per limited stock (at most what there is)."""
    for demand in task.demand:
        solver.addRow(float(demand), highspy.kHighsInf, 0, [], [])
    for supply in task.supply:
        solver.addRow(-highspy.kHighsInf, highspy.kHighsInf if supply is None else float(supply), 0, [], [])


def _column(solver: Any, task: CutTask, pattern: Pattern, per_bar: float = 0.0) -> None:
    stock, counts = pattern
    rows = [i for i, count in enumerate(counts) if count] + [len(task.sizes) + stock]
    values = [float(counts[i]) for i in rows[:-1]] + [1.0]
    solver.addCol(task.price[stock] + per_bar, 0.0, highspy.kHighsInf, len(rows), rows, values)


def generate(task: CutTask, columns: Columns, enough: Callable[[], bool], most_rounds: int = 3000) -> None:
    """Add patterns until none can lower the linear programme, and set the bound."""
    solver = _quiet()
    _rows(solver, task)
    for pattern in columns.patterns:
        _column(solver, task, pattern)
    for _ in range(most_rounds):
        solver.run()
        if solver.getModelStatus() != highspy.HighsModelStatus.kOptimal:
            return
        dual = np.array(solver.getSolution().row_dual)
        columns.dual = dual[: len(task.sizes)]
        value = solver.getInfo().objective_function_value
        fresh, ratio, exact = _price(task, dual)
        if exact:
            # Farley: scaling the duals by the worst ratio makes them feasible, so value / ratio is a lower bound
            limited = any(supply is not None for supply in task.supply)
            low = value if not fresh else (0.0 if limited else value / ratio)
            columns.bound = max(columns.bound, _whole(task, low))
        added = [pattern for pattern in fresh if columns.add(pattern)]
        if not added or enough():
            return
        for pattern in added:
            _column(solver, task, pattern)


def _whole(task: CutTask, value: float) -> int:
    """A price that plans can have, not under the bound: prices of bars add up to multiples of their divisor."""
    step = math.gcd(*task.price) or 1
    return math.ceil(value / step - 1e-6) * step


def _price(task: CutTask, dual: NDArray[np.float64]) -> tuple[list[Pattern], float, bool]:
    """(patterns with a negative reduced cost, worst ratio of value to price, whether pricing was exact)."""
    values = np.maximum(dual[: len(task.sizes)], 0.0)
    found: list[Pattern] = []
    ratio, all_exact = 1.0, True
    answers, exact = best_counts(task.sizes, task.demand, values, task.room)
    all_exact = all_exact and exact
    for stock, counts in enumerate(answers):
        rent = -min(0.0, float(dual[len(task.sizes) + stock]))
        worth = float(values @ counts)
        price = task.price[stock] + rent
        if worth > price * (1 + 1e-9) + EPS:
            found.append((stock, tuple(int(c) for c in counts)))
            ratio = max(ratio, worth / price) if price > 0 else math.inf
    return found, ratio, all_exact


def every_pattern(task: CutTask, most: int) -> list[Pattern] | None:
    """Every pattern to which no piece can be added, or None where there are more than `most`."""
    found: list[Pattern] = []
    smallest = min(task.sizes)
    counts = [0] * len(task.sizes)

    def fill_up(stock: int, kind: int, left: int) -> bool:
        if kind == len(task.sizes) or left < smallest:
            full = all(size > left or counts[i] >= task.demand[i] for i, size in enumerate(task.sizes))
            if full and any(counts):
                found.append((stock, tuple(counts)))
            return len(found) <= most
        for count in range(min(task.demand[kind], left // task.sizes[kind]), -1, -1):
            counts[kind] = count
            if not fill_up(stock, kind + 1, left - count * task.sizes[kind]):
                return False
        counts[kind] = 0
        return True

    return found if all(fill_up(stock, 0, room) for stock, room in enumerate(task.room)) else None


def whole_plan(
    task: CutTask, patterns: Sequence[Pattern], start: Sequence[Pattern] | None, limit_s: float
) -> list[Pattern] | None:
    """The cheapest plan over these patterns that HiGHS finds in the time, then with the fewest bars."""
    solver = _quiet(limit_s)
    _rows(solver, task)
    tiny = min([price for price in task.price if price] or [1]) / (1000 + 2 * sum(task.demand))
    order = list(dict.fromkeys([*patterns, *(start or [])]))
    for pattern in order:
        _column(solver, task, pattern, 0.0 if len(set(task.price)) == 1 else tiny * 0.5)
    solver.changeColsIntegrality(len(order), np.arange(len(order), dtype=np.int32),
                                 np.full(len(order), highspy.HighsVarType.kInteger))  # fmt: skip
    solver.run()
    info = solver.getInfo()
    if info.primal_solution_status != 2:
        return None
    plan = [order[i] for i, value in enumerate(solver.getSolution().col_value) for _ in range(round(value))]
    return trimmed(task, plan)


def trimmed(task: CutTask, plan: Sequence[Pattern]) -> list[Pattern] | None:
    """The plan without pieces that are cut too often, each bar from the cheapest stock that still holds it."""
    over = [-demand for demand in task.demand]
    for _, counts in plan:
        over = [have + count for have, count in zip(over, counts, strict=True)]
    if min(over) < 0:
        return None
    bars: list[Pattern] = []
    left = list(task.supply)
    for stock, counts in sorted(plan, key=lambda p: sum(p[1])):
        kept = list(counts)
        for kind, count in enumerate(kept):
            drop = min(count, over[kind])
            kept[kind] -= drop
            over[kind] -= drop
        if any(kept):
            bars.append((stock, tuple(kept)))
            have = left[stock]
            if have is not None:
                left[stock] = have - 1
    return _smaller_stock(task, bars, left)


def _smaller_stock(task: CutTask, bars: list[Pattern], left: list[int | None]) -> list[Pattern]:
    out = []
    for stock, counts in bars:
        need = sum(size * count for size, count in zip(task.sizes, counts, strict=True))
        able = [j for j, room in enumerate(task.room) if room >= need and (j == stock or left[j] != 0)]
        best = min(able, key=lambda j: (task.price[j], j != stock, task.room[j]))
        if best != stock:
            for index, step in ((best, -1), (stock, 1)):
                have = left[index]
                if have is not None:
                    left[index] = have + step
        out.append((best, counts))
    return out


def better(task: CutTask, one: list[Pattern] | None, other: list[Pattern] | None) -> list[Pattern] | None:
    """The cheaper of two plans, then the one with fewer bars; None counts as none."""
    if one is None or other is None:
        return one or other
    return one if cost(task, one) <= cost(task, other) else other
