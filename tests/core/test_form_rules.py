"""Forms by hand: ground that rises over the top, the crew's way of stacking, boards as a crew fetches them, kickers."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.answers import form_plan
from tests.plans import plan

from humble_trowel.core.forms.board_plan import plan_boards, plan_faults
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.crew_boards import plan_by_crew
from humble_trowel.core.forms.kickers import between_kickers
from humble_trowel.core.forms.span import flat_limits, top_push_n_per_m
from humble_trowel.core.plan.form_ways import KIT, FormWays
from humble_trowel.core.plan.ways import Ways

IN, FT = 25.4, 304.8
STOCK = [Buy(feet * FT, feet * 100) for feet in (8, 10, 12, 14, 16, 18, 20)]


def forms(*ground, stack="fewest", wide=40 * FT, **more):
    spots = [{"at_mm": at, "level_mm": level} for at, level in ground]
    job = plan(outline=[[0, 0], [wide, 0], [wide, 9000], [0, 9000]], forms=[{"sides": [0], "ground": spots}], **more)
    return form_plan(job, Ways().model_copy(update={"forms": FormWays(stack=stack)}))


def test_ground_that_rises_over_the_top_is_followed_straight_through_it():
    """40 ft, ground from 10 in over the top to 10 in under it: it crosses the top at 20 ft, and 3 1/2 in at 27 ft."""
    side = forms((0, 10 * IN), (40 * FT, -10 * IN), stack="least-over").sides[0]
    top, second, third = side.courses
    assert (top.board, second.board) == ("2x4", "2x4") and third.from_mm > second.from_mm
    assert top.from_mm / FT == pytest.approx(20.0) and second.from_mm / FT == pytest.approx(27.0, abs=0.1)
    assert side.length_mm / FT == pytest.approx(20) and min(side.stake_at_mm) / FT == pytest.approx(20)
    assert side.height_mm == pytest.approx(10 * IN)


def test_ground_over_the_top_all_along_needs_no_form_and_says_so():
    found = forms((0, 20.0), (40 * FT, 5.0))
    assert not found.sides[0].formed and "ground-high" in [row.code for row in found.findings]


@pytest.mark.parametrize(
    ("stack", "boards"),
    [("fewest", ["2x10", "2x10"]), ("let-in", ["2x6", "2x12"]), ("two-widths", ["2x8", "2x12"]), ("least-over", ["2x4", "2x8", "2x8"])],
)  # fmt: skip
def test_eighteen_inches_is_stacked_as_the_crew_says(stack, boards):
    assert forms((0, -18 * IN), stack=stack).sides[0].boards == boards


@pytest.mark.parametrize(
    ("feet", "sizes", "splices"),
    [(40.125, [14, 14, 14], 2), (30.125, [16, 16], 1), (20, [20], 0), (20.125, [12, 12], 1), (3, [8], 0)],
)
def test_one_length_a_side_and_the_fewest_splices(feet, sizes, splices):
    found = plan_by_crew([feet * FT], STOCK, [], 3.0, 610.0)
    assert [round(board.mm / FT) for board in found.boards] == sizes and found.splices == splices
    assert plan_faults(found, [feet * FT], 3.0, 610.0) == []


def test_a_short_run_comes_out_of_an_offcut_and_boards_on_hand_go_first():
    runs = [30 * FT, 1.5 * FT, 12 * FT]
    found = plan_by_crew(runs, STOCK, [12 * FT], 3.0, 610.0)
    assert found.splices == 1 and found.cost_cents == 3200  # two 16 ft boards; 2 ft of them make the short one
    assert [board.mm / FT for board in found.boards if board.on_hand] == [pytest.approx(12)]


@settings(max_examples=60, deadline=None)
@given(
    st.lists(st.floats(700, 19000), min_size=1, max_size=9),
    st.lists(st.sampled_from([2438.4, 3000.0, 4876.8]), max_size=4),
    st.sampled_from([0, 350, 5000]),
)
def test_the_crew_splices_least_and_money_never_pays_more(runs, hand, splice_cents):
    crew = plan_by_crew(runs, STOCK, hand, 3.0, 610.0)
    money = plan_boards(runs, STOCK, hand, 3.0, 610.0, splice_cents)
    assert plan_faults(crew, runs, 3.0, 610.0) == [] == plan_faults(money, runs, 3.0, 610.0)
    assert crew.splices >= sum(-(-run // (20 * FT)) - 1 for run in runs)
    assert money.cost_cents >= money.bound_cents == crew.bound_cents <= crew.cost_cents
    if not hand:
        assert crew.splices == sum(-(-run // (20 * FT)) - 1 for run in runs)
        assert money.cost_cents + splice_cents * money.splices <= crew.cost_cents + splice_cents * crew.splices


def test_a_dear_splice_is_worth_board():
    runs = [481.5 * IN, 361.5 * IN, 481.5 * IN, 361.5 * IN]
    cheap, dear = (plan_boards(runs, STOCK, [], 3.175, 610.0, cents) for cents in (0, 5000))
    assert cheap.bought_mm / FT == pytest.approx(142) and dear.splices == 6 < cheap.splices
    assert dear.cost_cents == round(dear.bought_mm / FT * 100)


def test_a_board_carries_from_kicker_to_kicker_what_stakes_leave_over():
    ways, board = FormWays(kicker_holds_n=5000), KIT[0]
    push = top_push_n_per_m(20 * IN)
    spacing, every, load = between_kickers(12 * IN, push, board, ways, False)
    over = push / 1000 - ways.stake_holds_n / spacing
    reach = min(
        flat_limits(board.thick_mm, board.deep_mm, over, wood="SPF", several=True, bulge_limit_mm=ways.bulge_mm)
    )
    assert every >= 1 and every * spacing <= reach < (every + 1) * spacing
    assert load == pytest.approx(push * spacing * every / 1000) and load < ways.kicker_holds_n
    stiff = board.model_copy(update={"thick_mm": 300.0})
    assert (
        between_kickers(12 * IN, push, stiff, ways, False)[1]
        == int(ways.kicker_holds_n // (push * spacing / 1000))
        > every
    )


def test_a_kicker_at_its_limit_says_so():
    push = top_push_n_per_m(18 * IN) * 24 * IN / 1000  # on each stake
    ways = Ways().model_copy(
        update={"forms": FormWays(stack="fewest", kicker_holds_n=push * 1.0005, stake_holds_n=100)}
    )
    job = plan(forms=[{"sides": [0], "ground": [{"at_mm": 0, "level_mm": -18 * IN}]}])
    found = form_plan(job, ways)
    words = next(row.words for row in found.findings if row.code == "kicker-full")
    assert "100.0% of what one holds" in words.replace("99.9%", "100.0%")
    assert "That is all it carries." in found.sides[0].push_words
