"""Random cutting lists and board runs: the checker is content, bounds hold, and small cases meet a brute force."""

from collections import Counter
from itertools import combinations_with_replacement

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.stock import Piece, Stock, faults, make_task
from humble_trowel.core.errors import InputError
from humble_trowel.core.forms.board_plan import plan_boards, plan_faults
from humble_trowel.core.forms.cover import Buy

decimals = st.integers(2000, 39000).map(lambda tenths: tenths / 10)


@settings(max_examples=25, deadline=None)
@given(
    st.lists(st.tuples(decimals, st.integers(1, 3)), min_size=1, max_size=6),
    st.lists(
        st.tuples(st.sampled_from([4000.0, 5000.5, 6000.0]), st.integers(1, 900)),
        min_size=1,
        max_size=3,
        unique_by=lambda r: r[0],
    ),
    st.sampled_from([0.0, 3.2]),
)
def test_cut_lists_are_sawable_and_their_bound_is_none_too_high(pieces, stocks, kerf):
    stock = [Stock(mm, None, cents) for mm, cents in stocks]
    rows = [Piece(mm, count) for mm, count in pieces]
    plan = cut(stock, rows, kerf)
    assert faults(make_task(stock, rows, kerf), plan.bars) == []
    assert plan.bound_cents <= plan.cost_cents == sum(stock[bar.stock].price_cents for bar in plan.bars)
    if sum(count for _, count in pieces) <= 6:
        singles = [mm for mm, count in pieces for _ in range(count)]
        assert plan.cost_cents == cheapest(singles, stocks, kerf) or len({c for _, c in stocks}) == 1


def cheapest(singles, stocks, kerf):
    """Least price over all partitions of a few pieces: an independent search."""
    best = [10**9]

    def price(load):
        need = sum(load) + kerf * (len(load) - 1)
        return min((cents for mm, cents in stocks if mm >= need - 1e-9), default=None)

    def place(at, bars):
        if at == len(singles):
            costs = [price(bar) for bar in bars]
            if None not in costs:
                best[0] = min(best[0], sum(costs))
            return
        for i in range(len(bars)):
            place(at + 1, [*bars[:i], [*bars[i], singles[at]], *bars[i + 1 :]])
        place(at + 1, [*bars, [singles[at]]])

    place(0, [])
    return best[0]


def test_limited_stock_is_respected_and_too_little_is_said():
    stock = [Stock(6000, 2, 0), Stock(6000, None, 900)]
    plan = cut(stock, [Piece(2900, 6)], 3)
    assert plan.cost_cents == 900 and sum(bar.stock == 0 for bar in plan.bars) == 2
    with pytest.raises(InputError, match="does not make these pieces"):
        cut([Stock(6000, 1, 10)], [Piece(4000, 2)], 0)
    for bad, words in (
        (([Stock(-1, None, 1)], [Piece(10, 1)], 0), "no length to cut from"),
        (([Stock(100, None, 1)], [Piece(200, 1)], 0), "longer than the longest stock"),
        (([Stock(100, None, 1)], [Piece(0, 1)], 0), "is no piece"),
        (([], [Piece(1, 1)], 0), "no stock"),
        (([Stock(100, None, 1)], [], 0), "nothing to cut"),
    ):
        with pytest.raises(InputError, match=words):
            cut(*bad)


FEET = 304.8


@settings(max_examples=80, deadline=None)
@given(st.lists(st.floats(150, 14000), min_size=1, max_size=14), st.lists(st.floats(700, 6000), max_size=5))
def test_board_plans_can_be_nailed_and_cost_no_less_than_their_bound(runs, on_hand):
    stock = [Buy(feet * FEET, feet * 100) for feet in range(8, 21, 2)]
    plan = plan_boards(runs, stock, on_hand, 3.175, 609.6)
    assert plan_faults(plan, runs, 3.175, 609.6) == []
    assert plan.bound_cents <= plan.cost_cents
    assert Counter(b.mm for b in plan.boards if b.on_hand) <= Counter(on_hand)
    assert plan.splices == sum(len(b.pieces) for b in plan.boards) - len(runs) >= 0


@settings(max_examples=40, deadline=None)
@given(st.lists(st.floats(700, 5000), min_size=1, max_size=3))
def test_few_runs_are_bought_as_cheaply_as_any_choice_of_boards(runs):
    lengths = [8 * FEET, 12 * FEET, 16 * FEET]
    plan = plan_boards(runs, [Buy(mm, round(mm)) for mm in lengths], [], 0.0, 1.0)
    best = min(
        sum(round(mm) for mm in row)
        for count in range(1, 8)
        for row in combinations_with_replacement(lengths, count)
        if sum(row) >= sum(runs) - 1e-6
    )
    assert plan.cost_cents == best
