"""How much to order under doubt: against a plain count over many pours, its edges, and what a pour tells of itself."""

import math
from dataclasses import replace

import numpy as np
import pytest

from humble_trowel.core.order.risk import (
    Costs,
    Term,
    Volume,
    best_order,
    curve,
    expected,
    last_load,
    loads_of,
    plain_order,
    total,
)
from humble_trowel.core.order.update import Piece, Site, after, prior, remaining

COSTS = Costs(22_000, 12_000, 0.2, 7.5, 1.0, 0.5, 0.2, 45_000, 0.25, 150_000, 3.0, 8_000)
SITE = Site(50.0, 5.0, 30.0, 2.0, 0.05, 0.01, 10.0, 6.0)
BELIEF = prior(Volume(0.0, 8.0), Volume(6.0, 4.0), Volume(0.0, 0.01))


def counted(volume, order, costs):
    """The same cost by weighing many volumes, one by one."""
    z = np.linspace(-5, 5, 400_001)
    weight = np.exp(-z * z / 2)
    weight /= weight.sum()
    placed = np.maximum(0.0, volume.mean_m3 + volume.sd_m3 * z)
    short = placed > order
    missing = np.where(short, placed - order + costs.margin_m3, 0.0)
    rescue = np.where(short, np.maximum(costs.least_m3, np.ceil(missing / costs.step_m3 - 1e-9) * costs.step_m3), 0.0)
    each = costs.price_cents_m3 * rescue + np.maximum(0, costs.short_under_m3 - rescue) * costs.short_cents_m3
    cost = np.where(short, each + costs.wait_cents + costs.cold_joint_share * costs.cold_joint_cents, 0.0)
    left = np.maximum(0.0, order + rescue - placed - costs.use_m3)
    base = costs.price_cents_m3 * order + sum(
        costs.fee_cents(load) for load in loads_of(order, costs.most_m3, costs.least_m3)
    )
    return base + float((weight * (cost + costs.disposal_cents_m3 * left)).sum()), float((weight * short).sum())


@pytest.mark.parametrize(
    ("mean", "sd", "order"), [(7.4, 0.5, 8.0), (7.4, 0.5, 6.5), (7.4, 1.5, 7.0), (1.2, 0.4, 1.0), (30.0, 2.0, 32.5)]
)
def test_the_cost_is_what_many_pours_cost(mean, sd, order):
    found = expected(Volume(mean, sd), order, COSTS)
    cost, short = counted(Volume(mean, sd), order, COSTS)
    assert found.cost_cents == pytest.approx(cost, rel=2e-5) and found.short_share == pytest.approx(short, abs=1e-4)


def test_without_doubt_the_order_is_the_plain_sum_in_whole_steps():
    sure = best_order(total([Term("slab", 6.0, 0.0), Term("edge", 1.2, 0.0)]), COSTS)
    assert sure.order_m3 == 7.5 and sure.short_share == 0 and sure.left_m3 == pytest.approx(0.3)
    assert total([Term("slab", 8.0, 0.3), Term("spill", 0.1, 0.4)], 0.95).sd_m3 == pytest.approx(0.5 / 0.95)


def test_more_doubt_never_lowers_what_is_kept_over_and_the_best_is_the_least():
    dear = replace(COSTS, wait_cents=120_000, step_m3=0.05, short_cents_m3=0.0)
    kept = [best_order(Volume(6.0, sd), dear).order_m3 for sd in (0.0, 0.1, 0.2, 0.4, 0.6)]
    assert kept == sorted(kept) and kept[0] == pytest.approx(6.0) and kept[-1] > 6.5
    rows = curve(Volume(7.4, 0.6), COSTS)
    assert min(row.cost_cents for row in rows) == best_order(Volume(7.4, 0.6), COSTS).cost_cents
    assert all(row.order_m3 == sum(row.loads_m3) for row in rows)
    assert plain_order(20.0, 1.0, 600, 120) == pytest.approx(20.9674, abs=1e-4) and plain_order(5.0, 0.0, 1, 1) == 5.0


def test_no_load_is_under_the_least_and_the_last_call_knows_what_is_bought():
    assert loads_of(15.2, 7.5, 1.0) == pytest.approx([7.5, 6.7, 1.0]) and loads_of(15.0, 7.5, 1.0) == [7.5, 7.5]
    assert loads_of(0.6, 7.5, 1.0) == pytest.approx([0.6])
    rest = Volume(1.0, 0.1)
    assert last_load(rest, COSTS).order_m3 >= 1.0 and last_load(rest, COSTS, firm_m3=3.0).order_m3 == 0.0
    assert last_load(rest, COSTS, firm_m3=3.0).short_share == pytest.approx(0.0, abs=1e-6)


def test_a_heavy_half_moves_what_is_believed_of_the_other_and_doubt_shrinks():
    before = remaining(SITE, BELIEF, [])
    halves = {}
    for name, more in (("as drawn", 0.0), ("heavy", 0.4), ("light", -0.4)):
        piece = Piece(0.5, 0.5, before.mean_m3 / 2 + more)
        halves[name] = remaining(SITE, after(SITE, BELIEF, piece), [piece])
    assert halves["as drawn"].mean_m3 == pytest.approx(before.mean_m3 / 2, rel=1e-3)
    assert halves["heavy"].mean_m3 > halves["as drawn"].mean_m3 > halves["light"].mean_m3
    assert halves["heavy"].sd_m3 < before.sd_m3 / math.sqrt(2)
    trench = Piece(0.0, 1.0, SITE.share_m3(0, 1) + 0.18 + 0.3)  # 0.3 more than believed: the trench's own
    told = after(SITE, BELIEF, trench)
    assert told.middle[0] == 0 and told.middle[1] > 6.0 and told.spread[0, 0] == BELIEF.spread[0, 0]
