"""Boards as a crew fetches them: every run is covered once, by one size, with as few splices as any count of it could have."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.crew_boards import plan_by_crew, reason_of

FT = 304.8
KERF, LEAST = 3.0, 600.0
STOCK = [Buy(8 * FT, 500), Buy(10 * FT, 700), Buy(12 * FT, 790), Buy(16 * FT, 1100)]
runs_of = st.lists(st.floats(300, 30_000).map(lambda mm: round(mm, 1)), min_size=1, max_size=6)
hands = st.lists(st.sampled_from([6 * FT, 10 * FT, 16 * FT, 20 * FT]), max_size=4)


@given(runs_of, hands)
def test_every_run_is_covered_end_to_end_and_no_board_is_cut_longer_than_it_is(runs, on_hand):
    told = plan_by_crew(runs, STOCK, on_hand, KERF, LEAST)
    for run, need in enumerate(runs):
        pieces = sorted((at, mm) for board in told.boards for which, at, mm in board.pieces if which == run)
        reached = 0.0
        for at, mm in pieces:
            assert at == pytest.approx(reached, abs=1e-6) and mm > 0
            reached = at + mm
        assert reached == pytest.approx(need, abs=1e-6)
        assert len(pieces) == 1 or min(mm for _, mm in pieces) >= LEAST - 1e-6
    for board in told.boards:
        sawn = sum(mm for _, _, mm in board.pieces) + KERF * (len(board.pieces) - 1)
        assert board.pieces and sawn <= board.mm + 1e-6


@given(runs_of, hands)
def test_it_takes_one_size_a_run_no_more_boards_than_are_on_hand_and_pays_for_the_rest(runs, on_hand):
    told = plan_by_crew(runs, STOCK, on_hand, KERF, LEAST)
    price = {row.mm: row.price_cents for row in STOCK}
    taken = [board.mm for board in told.boards if board.on_hand]
    assert all(taken.count(mm) <= on_hand.count(mm) for mm in taken)
    bought = [board for board in told.boards if not board.on_hand]
    assert told.cost_cents == sum(price[board.mm] for board in bought) >= 0
    assert told.bought_mm == pytest.approx(sum(board.mm for board in bought))
    longest = max([row.mm for row in STOCK] + on_hand)
    for run, need in enumerate(runs):
        own = [board for board in told.boards if any(which == run for which, _, _ in board.pieces)]
        assert len({board.mm for board in own}) == 1
        assert len(own) >= math.ceil(need / longest - 1e-6)
        if all(mm in price for mm in on_hand):  # then nothing keeps a crew from the longest that can be cut
            assert len(own) <= math.ceil(need / max(price) - 1e-6) + (need / math.ceil(need / max(price)) < LEAST)
    assert told.splices == sum(len(board.pieces) for board in told.boards) - len(runs)


def test_an_offcut_serves_a_shorter_run_whole_and_each_run_says_why():
    told = plan_by_crew([11 * FT, 4 * FT, 24 * FT], STOCK, [], KERF, LEAST)
    cut = sorted((b.pieces[0][0], round(b.mm / FT)) for b in told.boards)
    assert cut == [(0, 12), (1, 8), (2, 12), (2, 12)] and told.splices == 1
    short = plan_by_crew([11 * FT, 4 * FT], [Buy(16 * FT, 1100)], [], KERF, LEAST)
    assert [[p[0] for p in b.pieces] for b in short.boards] == [[0, 1]] and short.splices == 0
    assert reason_of(short, 1, 4 * FT, "16 ft", True) == "Out of an offcut, no splice."
    assert reason_of(told, 0, 11 * FT, "12 ft", True) == "One 12 ft, no splice."
    assert reason_of(told, 2, 24 * FT, "12 ft", True).endswith("no length makes it with fewer than 1 splice.")
    own = plan_by_crew([9 * FT], STOCK, [10 * FT], KERF, LEAST)
    assert own.cost_cents == 0 and reason_of(own, 0, 9 * FT, "10 ft", True) == "From a board on hand, no splice."


def test_a_run_that_no_single_size_makes_is_said_to_be_beyond_this_way():
    assert plan_by_crew([30 * FT], [], [16 * FT], KERF, LEAST) is None
