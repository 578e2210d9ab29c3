"""Time and money of cutting: a deadline and its shares, a search that runs out of time, the sums of form boards."""

import pytest
from tests.plans import plan

from humble_trowel.core.cutting.cut import Deadline, cut
from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.forms.cut_boards import cut_boards
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways


def test_a_deadline_counts_shares_of_its_own_time_and_never_ends_without_a_clock():
    now = [100.0]
    time = Deadline(lambda: now[0], 10.0)
    half = time.past(0.5)
    now[0] = 104.9
    assert not half() and time.spent_s == pytest.approx(4.9)
    now[0] = 105.1
    assert half() and not time.past(0.97)()
    assert Deadline(None, 0.0).spent_s == 0.0 and not Deadline(None, 1.0).past(0.0)()


def test_a_search_whose_time_is_gone_still_gives_a_plan_that_can_be_cut():
    ticks = iter(range(10_000))
    found = cut(
        [Stock(6000, None, 100)], [Piece(1700, 7), Piece(2300, 5)], 3, clock=lambda: float(next(ticks)), limit_s=2.0
    )
    made = sorted(size for bar in found.bars for size in bar.pieces_mm)
    assert made == [1700] * 7 + [2300] * 5 and found.bound_cents <= found.cost_cents
    for bar in found.bars:
        assert sum(bar.pieces_mm) + 3 * (len(bar.pieces_mm) - 1) <= 6000


@pytest.mark.parametrize(
    ("buy", "words"), [("crew", "one size a side, fewest splices, then money."), ("money", "no plan costs less")]
)
def test_the_boards_sums_are_those_of_the_boards(buy, words):
    job = Job(plan(), Ways.model_validate({"forms": {"buy": buy}}))
    found = cut_boards(job.plan, job.forms, job.ways)
    bought = [board for board in found.boards if not board.on_hand]
    assert found.cost_cents == sum(board.price_cents for board in bought) and words in found.why
    assert [row.way for row in found.ways if row.on] == [buy] and found.verdict.startswith(f"Buy {len(bought)} board")
    assert found.bought_mm == pytest.approx(sum(board.mm for board in bought))
    for board in found.boards:
        kerfs = job.ways.forms.kerf_mm * (len(board.pieces) - 1)
        assert board.mm == pytest.approx(sum(piece.mm for piece in board.pieces) + kerfs + board.left_mm)
    keys = [piece.key for board in found.boards for piece in board.pieces]
    assert len(keys) == len(set(keys)) and found.splices == found.cleats
