"""The last load: how much to call, by when, and what each choice risks. m3, cents, minutes after the first truck should stand there."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

from humble_trowel.core.order.risk import EVEN_M3, Costs, Ordered, Volume, expected, last_load
from humble_trowel.core.pour.forecast import Forecast

STONES = 20
EITHER_WAY = 3  # steps that are shown each way of the best


@dataclass(frozen=True)
class Choice:
    """A load that may be called; none is 0. short_of: of twenty pours. cost_cents: expected, over that of the best one."""

    m3: float
    short_share: float
    short_of: int
    left_m3: float
    cost_cents: float
    best: bool


@dataclass(frozen=True)
class LastCall:
    """needs_m3: what the last load must bring, by twenty pours, the least first. firm_m3: sure to come, or placed. say_by_min: after that the crew
    stands. said_m3: as it was called, None while it was not. stands_min: so long the crew waits if it is said now."""

    best: Choice
    choices: list[Choice]
    needs_m3: list[float]
    firm_m3: float
    say_by_min: float
    needed_min: float
    said_m3: float | None
    said_short_share: float
    stands_min: float


def stones(volume: Volume, firm_left_m3: float) -> list[float]:
    """What twenty pours ask beyond what is sure to come; never less than nothing."""
    if volume.sd_m3 <= EVEN_M3:
        return [max(0.0, volume.mean_m3 - firm_left_m3)] * STONES
    bell = NormalDist(volume.mean_m3, volume.sd_m3)
    return [max(0.0, bell.inv_cdf((at + 0.5) / STONES) - firm_left_m3) for at in range(STONES)]


def last_call(
    forecast: Forecast, costs: Costs, firm_m3: float, needed_min: float, ahead_min: float, now_min: float, said_m3: float | None
) -> LastCall:  # fmt: skip
    """firm_m3: every load that is here, under way or sure, without the last one; said_m3: the last one as it was called. needed_min: when the firm
    concrete is in the forms; ahead_min: from a call until its truck stands there."""
    left = max(0.0, firm_m3 - forecast.placed_m3)
    volume = forecast.left
    best = last_load(volume, costs, left)
    needs = stones(volume, left)
    most = costs.most_m3 + EVEN_M3
    sizes = {0.0, best.order_m3, costs.least_m3} | ({said_m3} if said_m3 else set())
    around = best.order_m3 or costs.least_m3
    sizes |= {
        around + k * costs.step_m3
        for k in range(-EITHER_WAY, EITHER_WAY + 1)
        if costs.least_m3 - EVEN_M3 <= around + k * costs.step_m3 <= most
    }
    rows = [_choice(volume, size, costs, left, needs, best) for size in _apart(sorted(sizes))]
    say_by = needed_min - ahead_min
    said_short = (
        expected(volume, said_m3, costs, [said_m3] if said_m3 else [], left).short_share if said_m3 is not None else 0.0
    )
    return LastCall(
        next(row for row in rows if row.best), rows, needs, firm_m3, say_by, needed_min, said_m3, said_short, max(0.0, now_min - say_by)
    )  # fmt: skip


def _apart(sizes: Sequence[float]) -> list[float]:
    rows: list[float] = []
    for size in sizes:
        if not rows or size - rows[-1] > 1e-6:
            rows.append(size)
    return rows


def _choice(
    volume: Volume, m3: float, costs: Costs, left: float, needs: Sequence[float], best: Ordered
) -> Choice:  # fmt: skip
    own = expected(volume, m3, costs, [m3] if m3 > 0 else [], left)
    return Choice(
        m3, own.short_share, sum(1 for need in needs if need > m3 + 1e-9), own.left_m3, own.cost_cents - best.cost_cents,
        math.isclose(m3, best.order_m3, abs_tol=1e-6),
    )  # fmt: skip
