"""The last truck of a pour that runs faster than time: when to call it, and how much to say.

The slab's causes are drawn by the seed. What each emptied truck tells is taken in as in a real pour; an answer costs what it is expected to
cost by what was known then, and what the crew stands for where the truck comes late.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.order.risk import Costs, Volume, expected
from humble_trowel.core.order.update import Belief, Piece, Site, after, prior, remaining
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import (
    Ask,
    Exercise,
    Moment,
    Option,
    Outcome,
    Part,
    Shape,
    Wish,
    rule_told,
    say_load,
    say_m3,
)
from humble_trowel.core.units import M3_PER_YD3, Units, say_depth, say_length

STOPS = (0.5, 1.0)  # of each truck: when something is seen


@dataclass(frozen=True)
class _Pour:
    """site: as drawn, with what is believed of it before the first load. total_m3: what it truly takes, in tickets. trucks: firm loads."""

    site: Site
    belief: Belief
    costs: Costs
    total_m3: float
    truck_m3: float
    firm_n: int
    m3_min: float
    ahead_min: float
    crew_cents_min: float
    sizes_mm: tuple[float, float, float]

    @property
    def end_min(self) -> float:
        """When the firm loads are empty."""
        return self.firm_n * self.truck_m3 / self.m3_min


@dataclass(frozen=True)
class _Seen:
    """A moment: so much is placed, so much of the slab is full, and what is believed to be left."""

    at_min: float
    placed_m3: float
    share: float
    left: Volume


def last_truck(wish: Wish) -> Exercise:
    """Call the last truck."""
    dice = wish.dice()
    pour = _pour(wish, dice)
    seen = _play(pour, dice, (0.008, 0.015, 0.03)[wish.level - 1])
    step = pour.costs.step_m3
    loads = [0.0, *(n * step for n in range(math.ceil(pour.costs.least_m3 / step), int(pour.truck_m3 / step + 1e-6) + 1))]  # fmt: skip
    cost = {(k, n): _cost(pour, one, m3) for k, one in enumerate(seen) for n, m3 in enumerate(loads)}
    least = min(cost, key=lambda key: (round(cost[key], 4), key))
    table = {
        f"{k}|{n}": _outcome(pour, seen[k], loads[n], cost[k, n] - cost[least], n - least[1], wish.units)
        for k, n in cost
    }
    moments = tuple(_moment(pour, one, wish.units) for one in seen)
    crew = pour.crew_cents_min / 100
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "When do you call the last truck, and how much?",
        (f"{pour.firm_n} trucks of {say_load(pour.truck_m3, wish.units)} are on their way; drawn with its likely allowances it takes {say_m3(_likely(pour), wish.units)}.",
         f"A truck that is called stands here {pour.ahead_min:.0f} minutes later. A crew that stands idle costs ${crew:.2f} a minute; short costs another truck and a joint that may set."),
        _drawn(pour, wish.units),
        (Ask("when", "Call it", "clock", tuple(Option(str(k), f"{one.at_min:.0f} min") for k, one in enumerate(seen)), "0"),
         Ask("load", "Say", "steps", tuple(Option(str(n), say_load(m3, wish.units) if m3 else "none") for n, m3 in enumerate(loads)), "0")),
        (Part(("when", "load"), table),), ("No call costs less",), "${n} over the best call", 40,
        {"when": str(least[0]), "load": str(least[1])},
        (f"At {seen[least[0]].at_min:.0f} min {say_m3(seen[least[0]].left.mean_m3, wish.units)} is left to place, give or take {say_m3(seen[least[0]].left.sd_m3, wish.units)}.",
         f"The firm trucks are empty at {pour.end_min:.0f} min: a call after {max(0.0, pour.end_min - pour.ahead_min):.0f} min keeps the crew standing."),
        rule_told("order/last", "last-load"), (), moments, "too little", "too much",
    )  # fmt: skip


def _pour(wish: Wish, dice: Dice) -> _Pour:
    ways = wish.ways
    long_mm, wide_mm, thick = (
        wish.long(dice.whole(34, 60)),
        wish.long(dice.whole(22, 34)),
        wish.thin(dice.pick((4, 5, 6))),
    )
    trench_m = 2 * (long_mm + wide_mm) / 1000 if wish.level > 1 else 0.0
    doubt = ways.doubt
    more = (0.8, 1.0, 1.3)[wish.level - 1]
    site = Site(
        long_mm * wide_mm / 1e6, long_mm * wide_mm * thick / 1e9, trench_m, trench_m * 0.11, 0.0, 0.0, doubt.rough_mm * more, doubt.rough_m2,
        extra_m3=ways.doubt.left_sd_m3,
    )  # fmt: skip
    belief = prior(
        Volume(ways.allowances.base_low_mm, doubt.base_sd_mm * more),
        Volume(ways.allowances.trench_wide_mm * 0.3, 8.0 * more) if trench_m else Volume(0.0, 0.0),
        Volume(doubt.yield_low_share, max(0.002, doubt.yield_sd_share)),
    )
    base, run_l, lacks = (
        dice.normal(float(belief.middle[at]), math.sqrt(float(belief.spread[at][at]))) for at in range(3)
    )
    rough = dice.normal(0.0, site.rough_m3(1.0))
    total = (site.drawn_m3 + site.area_m2 * base / 1000 + trench_m * run_l / 1000 + rough) / (1 - lacks)
    truck = ways.plant.truck_m3 if wish.metric else ways.plant.truck_yd3 * M3_PER_YD3
    step = ways.plant.increment_m3 if wish.metric else ways.plant.increment_yd3 * M3_PER_YD3
    likely = remaining(site, belief, []).mean_m3
    firm = max(1, math.floor((likely - 1.2 * M3_PER_YD3) / truck))
    own, short = ways.risk, ways.plant.short_load_m3 if wish.metric else ways.plant.short_load_yd3 * M3_PER_YD3
    costs = Costs(
        ways.ground.concrete_cents_per_m3, own.disposal_cents_m3, 0.0, truck, min(own.least_m3, truck), step, own.margin_m3, own.wait_cents,
        own.cold_joint_share, own.cold_joint_cents, short, own.short_cents_m3,
    )  # fmt: skip
    pace = ways.pour.crew_m3_h / 60 * (0.85 + 0.3 * dice.share())
    ahead = ways.pour.batch_min + ways.pour.travel_min + (ways.pour.line_min if wish.level > 1 else 0.0)
    return _Pour(site, belief, costs, max(total, 0.5), truck, firm, pace, ahead, ways.pour.crew_cents_h / 60, (long_mm, wide_mm, thick))  # fmt: skip


def _likely(pour: _Pour) -> float:
    return remaining(pour.site, pour.belief, []).mean_m3


def _play(pour: _Pour, dice: Dice, eye: float) -> list[_Seen]:
    """What is seen as the firm trucks empty: each half of a truck tells what the part that it filled took."""
    belief, pieces, last = pour.belief, [], 0.0
    rows = [_Seen(0.0, 0.0, 0.0, remaining(pour.site, belief, []))]
    for truck in range(pour.firm_n):
        for part in STOPS:
            placed = (truck + part) * pour.truck_m3
            share = min(0.985, placed / pour.total_m3 + dice.normal(0.0, eye))
            share = min(0.985, max(share, last + 0.01))
            piece = Piece(share - last, share - last, placed - (truck + part - 0.5) * pour.truck_m3)
            belief = after(pour.site, belief, piece)
            pieces.append(piece)
            last = share
            rows.append(_Seen(placed / pour.m3_min, placed, share, remaining(pour.site, belief, pieces)))
    return rows


def _cost(pour: _Pour, seen: _Seen, m3: float) -> float:
    """Short, long and standing idle, cents: expected by what is known at that moment."""
    firm = pour.firm_n * pour.truck_m3 - seen.placed_m3
    loads = [m3] if m3 else []
    told = expected(seen.left, m3, pour.costs, loads, firm)
    idle = max(0.0, seen.at_min + pour.ahead_min - pour.end_min)
    return told.cost_cents - pour.costs.price_cents_m3 * (seen.left.mean_m3 - firm) + idle * pour.crew_cents_min


def _outcome(pour: _Pour, seen: _Seen, m3: float, over: float, off: int, units: Units) -> Outcome:
    left = pour.total_m3 - pour.firm_n * pour.truck_m3 - m3
    words = f"It took {say_m3(pour.total_m3, units)}: {say_m3(abs(left), units)} {'short' if left > 0 else 'over'}."
    idle = seen.at_min + pour.ahead_min - pour.end_min
    if idle > 0.5:
        words += f" The truck comes {idle:.0f} minutes after the others are empty."
    return Outcome(max(0, round(over / 100)), words, _front(pour, seen.share), off)


def _moment(pour: _Pour, seen: _Seen, units: Units) -> Moment:
    truck = math.floor(seen.placed_m3 / pour.truck_m3 + 1e-6)
    half = seen.placed_m3 - truck * pour.truck_m3 > 1e-6
    state = (
        "The first truck stands here."
        if not seen.placed_m3
        else f"Truck {truck + 1} is half empty."
        if half
        else f"Truck {truck} is empty."
    )
    return Moment(seen.at_min, f"{state} {say_m3(seen.placed_m3, units)} placed, about {seen.share:.0%} of the slab is full.", _front(pour, seen.share))  # fmt: skip


def _box(pour: _Pour) -> tuple[float, float, float, float]:
    long_mm, wide_mm, _ = pour.sizes_mm
    s = min(520 / long_mm, 250 / wide_mm)
    return 320 - long_mm * s / 2, 180 - wide_mm * s / 2, 320 + long_mm * s / 2, 180 + wide_mm * s / 2


def _front(pour: _Pour, share: float) -> tuple[Shape, ...]:
    x0, y0, x1, y1 = _box(pour)
    x = x0 + (x1 - x0) * share
    if share <= 0:
        return ()
    wave = tuple((round(x + 5 * math.sin(at * 1.7), 1), round(y0 + (y1 - y0) * at / 8, 1)) for at in range(9))
    return (Shape("area", ((x0, y1), (x0, y0), *wave), "water"), Shape("line", wave, "done"))


def _drawn(pour: _Pour, units: Units) -> tuple[Shape, ...]:
    x0, y0, x1, y1 = _box(pour)
    long_mm, wide_mm, thick = pour.sizes_mm
    return (
        Shape("area", ((x0, y0), (x1, y0), (x1, y1), (x0, y1)), "slab"),
        Shape("size", ((x0, y1 + 28), (x1, y1 + 28)), "thin", say_length(long_mm, units)),
        Shape("size", ((x0 - 24, y1), (x0 - 24, y0)), "thin", say_length(wide_mm, units)),
        Shape("word", ((x1 - 10, y0 + 24),), "note", f"{say_depth(thick, units)} thick", "", "end"),
    )
