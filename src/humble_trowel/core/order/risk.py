"""How much to order when nobody knows what it will take: the least expected cost over the loads that a plant sends.

What is placed is normal about a middle. Short costs a rescue load with its fee, the wait, and the chance of a cold joint; long costs
its price and what is done with the rest. The expectation is exact: cost is linear in what is placed between its steps. Volumes m3,
money in cents. Source: an order under a normal demand with a fixed penalty; fees are the supplier's.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

WIDE = 5.0  # standard deviations either way that count
EVEN_M3 = 1e-9


@dataclass(frozen=True)
class Term:
    """Something that adds to what is placed, or takes from it: its middle and its spread."""

    name: str
    mean_m3: float
    sd_m3: float


@dataclass(frozen=True)
class Volume:
    """What will be placed."""

    mean_m3: float
    sd_m3: float


@dataclass(frozen=True)
class Costs:
    """What a plant charges, and what short costs. step_m3: it sells in steps; least_m3, most_m3: of a load. use_m3: more than that left
    over has to go somewhere. margin_m3: a rescue load is so much more than is missing. short_under_m3: a smaller load pays a fee."""

    price_cents_m3: float
    disposal_cents_m3: float
    use_m3: float
    most_m3: float
    least_m3: float
    step_m3: float
    margin_m3: float
    wait_cents: float
    cold_joint_share: float
    cold_joint_cents: float
    short_under_m3: float
    short_cents_m3: float

    def fee_cents(self, load_m3: float) -> float:
        """What a small load pays besides."""
        return self.short_cents_m3 * max(0.0, self.short_under_m3 - load_m3)

    def rescue_m3(self, missing_m3: float) -> float:
        """The load that is sent for when so much is missing."""
        steps = math.ceil((missing_m3 + self.margin_m3) / self.step_m3 - EVEN_M3)
        return max(self.least_m3, steps * self.step_m3)


@dataclass(frozen=True)
class Ordered:
    """An order. short_share: how likely it runs short; left_m3: expected over; long_cents: price and disposal of that, with fees of its loads."""

    order_m3: float
    loads_m3: list[float]
    cost_cents: float
    short_share: float
    left_m3: float
    long_cents: float = 0.0


def total(terms: Sequence[Term], yield_share: float = 1.0, yield_sd_share: float = 0.0) -> Volume:
    """All terms together over what the plant's loads really hold; terms are independent of each other."""
    mean = math.fsum(one.mean_m3 for one in terms) / yield_share
    sd = math.sqrt(math.fsum(one.sd_m3**2 for one in terms)) / yield_share
    return Volume(mean, math.hypot(sd, mean * yield_sd_share / yield_share))


def loads_of(order_m3: float, most_m3: float, least_m3: float) -> list[float]:
    """Full trucks and a balance; a balance under the least load takes from the truck before it."""
    full = int(order_m3 / most_m3 + EVEN_M3)
    rest = order_m3 - full * most_m3
    loads = [most_m3] * full
    if rest > EVEN_M3:
        if rest < least_m3 and loads:
            loads[-1] -= least_m3 - rest
            rest = least_m3
        loads.append(rest)
    return loads


def _below(z: float) -> float:
    """Share of a normal below z."""
    return 0.5 * math.erfc(-z / math.sqrt(2.0))


def _mean_between(volume: Volume, low: float, high: float) -> tuple[float, float]:
    """(share that lies between, its part of the mean): of a normal, or of a certain volume."""
    if volume.sd_m3 <= EVEN_M3:
        there = 1.0 if low < volume.mean_m3 <= high else 0.0
        return there, there * volume.mean_m3
    a, b = (low - volume.mean_m3) / volume.sd_m3, (high - volume.mean_m3) / volume.sd_m3
    share = _below(b) - _below(a)
    bell = (math.exp(-a * a / 2) - math.exp(-b * b / 2)) / math.sqrt(2 * math.pi)
    return share, volume.mean_m3 * share + volume.sd_m3 * bell


def _over(volume: Volume, low: float, high: float, from_m3: float) -> float:
    """The mean of max(0, from - placed) over placed between low and high; less than nothing is nothing."""
    if from_m3 <= low:
        return 0.0
    none, _ = _mean_between(volume, low, 0.0) if low < 0 else (0.0, 0.0)
    share, part = _mean_between(volume, max(0.0, low), min(high, from_m3)) if from_m3 > max(0.0, low) else (0.0, 0.0)
    return max(0.0, none * max(0.0, from_m3) + from_m3 * share - part)


def expected(
    volume: Volume, order_m3: float, costs: Costs, loads: Sequence[float] | None = None, firm_m3: float = 0.0
) -> Ordered:
    """What an order is expected to cost. loads: as they come, full trucks where not said; firm_m3: bought already, on top of it."""
    rows = list(loads) if loads is not None else loads_of(order_m3, costs.most_m3, costs.least_m3)
    have = order_m3 + firm_m3
    low = volume.mean_m3 - WIDE * volume.sd_m3 - EVEN_M3
    high = volume.mean_m3 + WIDE * volume.sd_m3 + EVEN_M3
    fees = math.fsum(costs.fee_cents(load) for load in rows)
    fees += costs.disposal_cents_m3 * _over(volume, low, min(high, have), have - costs.use_m3)
    cost = costs.price_cents_m3 * order_m3 + fees
    short = 0.0
    at = max(low, have)
    while at < high - EVEN_M3:
        load = costs.rescue_m3(max(0.0, at - have) + 2 * EVEN_M3)
        to = min(high, have + max(load - costs.margin_m3, EVEN_M3 * 10))
        share, _ = _mean_between(volume, at, to)
        short += share
        trucks = loads_of(
            load, costs.most_m3, costs.least_m3
        )  # what is missing beyond one truck takes another, and another wait
        waits = len(trucks) * (costs.wait_cents + costs.cold_joint_share * costs.cold_joint_cents)
        each = costs.price_cents_m3 * load + math.fsum(costs.fee_cents(one) for one in trucks) + waits
        cost += share * each + costs.disposal_cents_m3 * _over(volume, at, to, have + load - costs.use_m3)
        at = to
    left = _over(volume, low, high, have)
    return Ordered(order_m3, rows, cost, short, left, costs.price_cents_m3 * left + fees)


def curve(volume: Volume, costs: Costs) -> list[Ordered]:
    """Every order in whole steps from what is sure to be placed to what surely suffices."""
    least = max(costs.least_m3, volume.mean_m3 - WIDE * volume.sd_m3)
    first = math.ceil(least / costs.step_m3 - EVEN_M3)
    last = max(first, math.ceil((volume.mean_m3 + WIDE * volume.sd_m3) / costs.step_m3 - EVEN_M3))
    return [expected(volume, n * costs.step_m3, costs) for n in range(first, last + 1)]


def best_order(volume: Volume, costs: Costs) -> Ordered:
    """The cheapest order of all; of equals the smaller."""
    return min(curve(volume, costs), key=lambda one: (round(one.cost_cents, 6), one.order_m3))


def last_load(volume: Volume, costs: Costs, firm_m3: float = 0.0) -> Ordered:
    """What to call at the end: nothing, or one load. volume: still to be placed; firm_m3: in trucks that are bought. Where more is missing than a
    truck holds it is a full one: another follows anyway."""
    if volume.mean_m3 - firm_m3 > costs.most_m3:
        return expected(volume, costs.most_m3, costs, [costs.most_m3], firm_m3)
    first, last = math.ceil(costs.least_m3 / costs.step_m3 - EVEN_M3), int(costs.most_m3 / costs.step_m3 + EVEN_M3)
    rows = [expected(volume, 0.0, costs, [], firm_m3)]
    rows += [expected(volume, n * costs.step_m3, costs, [n * costs.step_m3], firm_m3) for n in range(first, last + 1)]
    return min(rows, key=lambda one: (round(one.cost_cents, 6), one.order_m3))


def plain_order(mean_m3: float, sd_m3: float, short_cents_m3: float, long_cents_m3: float) -> float:
    """The textbook order where short and long cost so much for every m3: a check on the search."""
    share = short_cents_m3 / (short_cents_m3 + long_cents_m3)
    low, high = -8.0, 8.0
    for _ in range(80):
        middle = (low + high) / 2
        low, high = (middle, high) if _below(middle) < share else (low, middle)
    return mean_m3 + sd_m3 * (low + high) / 2
