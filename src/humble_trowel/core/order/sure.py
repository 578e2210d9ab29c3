"""The order as a decision: how sure the need is, what short and long cost, the order that costs least. m3, cents."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

from humble_trowel.core.order.doubts import Doubt, step_m3, truck_m3
from humble_trowel.core.order.risk import Costs, Volume, best_order, expected
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3

POURS = 20
ROWS_PAST = 2
MOST_ROWS = 80


@dataclass(frozen=True)
class Weighed:
    """An order and what it comes to over a perfect one, which nobody can know. short, long: expected; pours_short: of twenty."""

    order_m3: float
    loads_m3: list[float]
    short_cents: float
    long_cents: float
    short_share: float
    left_m3: float
    cost_cents: float
    pours_short: int

    @property
    def over_cents(self) -> float:
        """Short and long together."""
        return self.short_cents + self.long_cents


@dataclass(frozen=True)
class Sure:
    """volume: the need and its spread. pours_m3: twenty pours, least first. rows: every order that may be weighed. saves_cents: what shooting
    the base is worth, None where it was shot."""

    doubts: list[Doubt]
    volume: Volume
    pours_m3: list[float]
    best: Weighed
    called: Weighed
    rows: list[Weighed]
    saves_cents: float | None
    costs: Costs


def costs_of(plan: Plan, ways: JobWays) -> Costs:
    """What the plant charges and what short costs, as the ways say; what is poured with the rest costs nothing to be rid of."""
    short = ways.plant.short_load_m3 if plan.units == "mm" else ways.plant.short_load_yd3 * M3_PER_YD3
    own = ways.risk
    return Costs(
        price_cents_m3=ways.ground.concrete_cents_per_m3, disposal_cents_m3=own.disposal_cents_m3,
        use_m3=math.fsum(row.m3 for row in plan.order.spare), most_m3=truck_m3(plan, ways),
        least_m3=min(own.least_m3, truck_m3(plan, ways)), step_m3=step_m3(plan, ways), margin_m3=own.margin_m3, wait_cents=own.wait_cents,
        cold_joint_share=own.cold_joint_share, cold_joint_cents=own.cold_joint_cents, short_under_m3=short,
        short_cents_m3=own.short_cents_m3,
    )  # fmt: skip


def pours_of(volume: Volume, count: int = POURS) -> list[float]:
    """So many pours that stand for all, least first."""
    if volume.sd_m3 <= 0:
        return [volume.mean_m3]
    bell = NormalDist(volume.mean_m3, volume.sd_m3)
    return [max(0.0, bell.inv_cdf((at + 0.5) / count)) for at in range(count)]


def weighed(volume: Volume, order_m3: float, costs: Costs, pours: Sequence[float]) -> Weighed:
    """What an order comes to, parted into short and long; together they are its cost less the price of what is placed."""
    found = expected(volume, order_m3, costs)
    short = found.cost_cents - costs.price_cents_m3 * volume.mean_m3 - found.long_cents
    over = sum(1 for one in pours if one > order_m3 + 1e-9)
    return Weighed(
        order_m3, found.loads_m3, max(0.0, short), found.long_cents, found.short_share, found.left_m3, found.cost_cents, over
    )  # fmt: skip


def decided(volume: Volume, costs: Costs) -> float:
    """The order that costs least. A spread of nothing: the plain sum, up to the next step."""
    if volume.sd_m3 <= 1e-9:
        return max(0.0, math.ceil(volume.mean_m3 / costs.step_m3 - 1e-9)) * costs.step_m3
    return best_order(volume, costs).order_m3


def _steps(pours: Sequence[float], step_m3: float, also: Sequence[float]) -> list[int]:
    """Whole steps about every pour and these orders; thinned out where there are very many."""
    first = max(1, math.floor(min(*pours, *also) / step_m3) - ROWS_PAST)
    last = math.ceil(max(*pours, *also) / step_m3) + ROWS_PAST
    every = max(1, math.ceil((last - first) / MOST_ROWS))
    return sorted({*range(first, last + 1, every), *(round(m3 / step_m3) for m3 in also if m3 > 0)})


def sure(plan: Plan, ways: JobWays, doubts: list[Doubt], need_m3: float, called_m3: float, surveyed_sd_m3: float | None) -> Sure:  # fmt: skip
    """All of it. called_m3: the order as it stands; surveyed_sd_m3: the spread if the base were shot, None where it was."""
    costs = costs_of(plan, ways)
    volume = Volume(need_m3, math.sqrt(math.fsum(row.sd_m3**2 for row in doubts)))
    pours = pours_of(volume)
    best = weighed(volume, decided(volume, costs), costs, pours)
    steps = _steps(pours, costs.step_m3, (best.order_m3, called_m3))
    rows = [weighed(volume, n * costs.step_m3, costs, pours) for n in steps]
    saves = None
    if surveyed_sd_m3 is not None and volume.sd_m3 > 0:
        shot = Volume(need_m3, surveyed_sd_m3)
        saves = max(0.0, best.cost_cents - expected(shot, decided(shot, costs), costs).cost_cents)
    return Sure(doubts, volume, pours, best, weighed(volume, called_m3, costs, pours), rows, saves, costs)
