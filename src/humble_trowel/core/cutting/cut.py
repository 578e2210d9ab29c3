"""Cut a list from stock at the least price: pattern columns, subset sums and first fit side by side, the best kept."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from humble_trowel.core.cutting.columns import Columns, better, every_pattern, generate, whole_plan
from humble_trowel.core.cutting.fill import Pattern, by_hand_rules, cost
from humble_trowel.core.cutting.stock import Bar, CutTask, Piece, Stock, make_task
from humble_trowel.core.errors import InputError

Clock = Callable[[], float]
ROUNDS = 12
ALL_PATTERNS = 6000


@dataclass(frozen=True)
class CutPlan:
    """bars: the longest pieces first. cost, bound: in cents; bound is proven, no plan costs less."""

    bars: list[Bar]
    cost_cents: int
    bound_cents: int
    waste_mm: float

    @property
    def proven(self) -> bool:
        return self.cost_cents <= self.bound_cents


def cut(
    stock: Sequence[Stock],
    pieces: Sequence[Piece],
    kerf_mm: float = 0.0,
    *,
    clock: Clock | None = None,
    limit_s: float = 8.0,
    seed: int = 1,
    rounds: int = ROUNDS,
) -> CutPlan:
    """The cheapest plan found within limit_s of `clock` (without a clock: after a fixed amount of work).

    rounds: how often to try again without a clock.

    Equal prices mean fewest bars. Raises InputError with a path for what cannot be cut.
    """
    task, time = make_task(stock, pieces, kerf_mm), Deadline(clock, limit_s)
    columns = Columns()
    best = by_hand_rules(task, _plain_bound(task), seed, 12, time.past(0.1))
    for pattern in best or _singles(task):
        columns.add(pattern)
    generate(task, columns, time.past(0.5))
    bound = max(columns.bound, _plain_bound(task))
    best = _search(Search(task, columns, bound, seed, time), best, rounds if clock is None else 40 * rounds)
    if best is None:
        raise InputError("The stock that is there does not make these pieces. Add stock, or a longer length.", "stock")
    return _told(task, best, bound)


class Deadline:
    """So many seconds of a clock; without a clock there is no end."""

    def __init__(self, clock: Clock | None, limit_s: float) -> None:
        self._clock, self.limit_s = clock, limit_s
        self._began = clock() if clock else 0.0

    def past(self, share: float) -> Callable[[], bool]:
        """Whether this share of the time is gone, asked again and again."""
        return lambda: self.spent_s > share * self.limit_s

    @property
    def spent_s(self) -> float:
        return self._clock() - self._began if self._clock else 0.0


@dataclass(frozen=True)
class Search:
    """What a search for whole plans goes by. bound: no plan costs less."""

    task: CutTask
    columns: Columns
    bound: int
    seed: int
    time: Deadline

    def proven(self, best: list[Pattern] | None) -> bool:
        """Whether no plan can be cheaper."""
        return best is not None and cost(self.task, best)[0] <= self.bound


def _search(by: Search, best: list[Pattern] | None, turns: int) -> list[Pattern] | None:
    """Whole plans over the columns and shaken fillings in turn, until the bound is met or the time is up."""
    task, time = by.task, by.time
    whole = every_pattern(task, ALL_PATTERNS)
    if whole is not None and not by.proven(best):
        best = better(task, best, whole_plan(task, whole, best, time.limit_s * 0.6))
    for turn in range(turns):
        if by.proven(best):
            break
        left = time.limit_s - time.spent_s
        best = better(task, best, whole_plan(task, by.columns.patterns, best, min(left * 0.4, 1.0 + turn / 2)))
        if by.proven(best) or time.past(0.97)():
            break
        plan = by_hand_rules(task, by.bound, by.seed + 1 + turn, 60, time.past(min(0.97, 0.3 + 0.1 * turn)))
        for pattern in plan or []:
            by.columns.add(pattern)
        best = better(task, best, plan)
        if time.past(0.97)():
            break
    return best


def _plain_bound(task: CutTask) -> int:
    """All pieces end to end at the best price per length there is."""
    total = sum(size * count for size, count in zip(task.sizes, task.demand, strict=True))
    rows = sorted(range(len(task.room)), key=lambda j: task.price[j] / task.room[j])
    price = 0.0
    for j in rows:
        supply = task.supply[j]
        share = total if supply is None else min(total, supply * task.room[j])
        price += share / task.room[j] * task.price[j]
        total -= share
    return int(price - 1e-6) + 1 if price > 1e-6 else 0


def _singles(task: CutTask) -> list[Pattern]:
    """One piece on a bar, for every piece: a start for the columns where no rule found a plan."""
    rows: list[Pattern] = []
    for kind, size in enumerate(task.sizes):
        counts = tuple(int(i == kind) for i in range(len(task.sizes)))
        rows += [(j, counts) for j, room in enumerate(task.room) if room >= size]
    return rows


def _told(task: CutTask, plan: Sequence[Pattern], bound: int) -> CutPlan:
    bars = []
    for stock, counts in plan:
        made = tuple(task.pieces[kind].length_mm for kind, count in enumerate(counts) for _ in range(count))
        bars.append(Bar(stock, task.stock[stock].length_mm, tuple(round(size, 4) for size in made)))
    bars.sort(key=lambda bar: (bar.stock, tuple(-size for size in bar.pieces_mm)))
    cents = sum(task.stock[bar.stock].price_cents for bar in bars)
    alike = len({row.price_cents for row in task.stock}) == 1
    low = bound * task.stock[0].price_cents if alike else bound
    waste = sum(bar.stock_mm - sum(bar.pieces_mm) for bar in bars)
    return CutPlan(bars, cents, low, waste)
