"""Forms of whole jobs: boards reach the ground everywhere, stakes and kickers hold, what stands needs no form."""

import math
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.answers import form_plan
from tests.core.test_setting_out import demo
from tests.plans import edited, l_shape, plan

from humble_trowel.core.forms.cut_boards import cut_boards
from humble_trowel.core.geometry.rounds import CHORD_MM, find_arcs
from humble_trowel.core.plan.form_ways import FormBoard, FormWays, OnHand
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.working import evaluate
from humble_trowel.demo.load import ORDER

WAYS = Ways()


def covered(side, at, deep):
    """Depth of board at a station along a side, by adding up its courses."""
    return sum(deep[c.board] for c in side.courses if c.from_mm - 1 <= at <= c.to_mm + 1)


levels = st.lists(st.floats(-560, -60), min_size=1, max_size=5)


@settings(max_examples=60, deadline=None)
@given(levels, st.sampled_from(["least-over", "fewest"]))
def test_courses_reach_the_ground_all_along_a_slope(ground, stack):
    spots = [{"at_mm": 6000 * i / max(1, len(ground) - 1), "level_mm": level} for i, level in enumerate(ground)]
    job = plan(forms=[{"sides": [0], "ground": spots}])
    ways = WAYS.model_copy(update={"forms": FormWays(stack=stack)})
    side = form_plan(job, ways).sides[0]
    deep = {board.mark: board.deep_mm for board in ways.forms.boards}
    assert side.height_mm == pytest.approx(-min(ground))
    for step in range(61):
        at = 100.0 * step
        level = ground[0] if len(ground) == 1 else _between(spots, at)
        assert covered(side, at, deep) >= -level - 1.0 or side.build == "panel"
    assert all(course.to_mm - course.from_mm >= 609 for course in side.courses)


def _between(spots, at):
    for one, two in pairwise(spots):
        if at <= two["at_mm"] + 1e-6:
            share = (at - one["at_mm"]) / (two["at_mm"] - one["at_mm"])
            return one["level_mm"] + share * (two["level_mm"] - one["level_mm"])
    return spots[-1]["level_mm"]


@pytest.mark.parametrize("name", ORDER)
def test_stakes_stand_within_the_span_and_kickers_hold_their_load(name):
    job = demo(name)
    forms = WAYS.forms
    for side in form_plan(job, WAYS).sides:
        if not side.formed:
            assert side.stakes == side.kickers == 0 and side.boards == []
            continue
        gaps = [b - a for a, b in zip(side.stake_at_mm, side.stake_at_mm[1:], strict=False)]
        assert max(gaps) <= side.stake_spacing_mm + 1e-6
        for course in side.courses:
            assert side.stake_spacing_mm <= course.span.spacing_mm + 1e-6
        load = side.push_n_per_m * side.stake_spacing_mm / 1000
        if side.kickers:
            assert load * side.kicker_every <= forms.kicker_holds_n + 1
        elif not side.backfilled:
            assert load <= forms.stake_holds_n + 1


def test_sides_against_something_need_no_form_and_say_so():
    bay = form_plan(demo("boat-bay"), WAYS)
    assert [side.formed for side in bay.sides] == [True, True, True, False]
    assert bay.sides[3].why == "Against Club floor."
    half = plan(existing=[{"name": "Old slab", "polygon": [[2000, -3000], [9000, -3000], [9000, 0], [2000, 0]]}])
    side = form_plan(half, WAYS).sides[0]
    assert side.formed and side.why == "Partly against Old slab." and side.length_mm == pytest.approx(2000, abs=15)
    assert all(course.to_mm <= 2015 for course in side.courses)
    comb = [[0, -2000], [6000, -2000], [6000, 0], [4500, 0], [4500, -900], [1500, -900], [1500, 0], [0, 0]]
    side = form_plan(plan(existing=[{"name": "Two piers", "polygon": comb}]), WAYS).sides[0]
    assert side.length_mm == pytest.approx(3000, abs=30) and [c.from_mm for c in side.courses] == [
        pytest.approx(1500, abs=15)
    ]
    none = form_plan(plan(forms=[{"sides": [1], "build": "none"}]), WAYS).sides[1]
    assert not none.formed and none.why == "No form, by your word."


def test_findings_tell_what_is_doubtful():
    def codes(**forms):
        return {row.code for row in form_plan(plan(forms=[{"sides": [0, 1, 2, 3], **forms}]), WAYS).findings}

    assert codes() == {"ground-not-set"}
    assert codes(ground=[{"at_mm": 0, "level_mm": -100}], left_out=True) == {"form-left-out"}
    assert codes(ground=[{"at_mm": 0, "level_mm": -800}]) == {"form-tall"}
    assert codes(ground=[{"at_mm": 0, "level_mm": -1000}]) == {"form-tall", "no-board-fits"}
    assert codes(ground=[{"at_mm": 0, "level_mm": -100}, {"at_mm": 4000, "level_mm": 50}]) == {"ground-high"}
    small = WAYS.model_copy(update={"forms": FormWays(boards=[FormBoard(mark="lath", deep_mm=20)], panel_deep_mm=50)})
    assert "no-board-fits" in {row.code for row in form_plan(plan(), small).findings}


def test_lean_backfill_and_panels():
    def side(**row):
        return form_plan(plan(forms=[{"sides": [0], "ground": [{"at_mm": 0, "level_mm": -430}], **row}]), WAYS).sides[0]

    tall = side()
    assert tall.kickers > 0 and tall.lean_mm == pytest.approx(3.175) and "A kicker holds" in tall.push_words
    packed = side(backfilled=True)
    assert packed.kickers == 0 and packed.lean_mm == 0
    assert side(build="panel").panels == math.ceil(6000 / WAYS.forms.panel_length_mm)
    assert side(build="foam-faced").foam_m2 == pytest.approx(6 * 0.43)
    assert side(boards=["2x6", "2x12"]).boards == ["2x6", "2x12"]


@pytest.mark.parametrize("name", ORDER)
def test_totals_add_up_and_show_their_working(name):
    forms = form_plan(demo(name), WAYS)
    totals = {take.key: take for take in forms.takes}
    assert totals["stakes"].value == sum(s.stakes for s in forms.sides) + sum(s.hangers for s in forms.steps)
    runs = sum(c.run_mm for s in forms.sides for c in s.courses) + sum(s.length_mm for s in forms.steps)
    assert totals["boards_m"].value == pytest.approx(runs / 1000)
    if name == "wax-store":  # its walls are its forms, but at the door
        assert sum(s.length_mm for s in forms.sides) == pytest.approx(1016)
    assert totals["stakes_cents"].value == round(totals["stakes"].value * WAYS.forms.stake_cents)
    for take in forms.takes:
        values = {symbol: item.value for symbol, item in take.working.inputs}
        assert evaluate(take.working.formula, values) == pytest.approx(take.working.value)


@pytest.mark.parametrize("name", ORDER)
def test_the_cut_plan_makes_every_course_once_and_marks_it_once(name):
    job = demo(name)
    hand = [OnHand(board="2x6", length_mm=4876.8, count=2)]
    ways = WAYS.model_copy(update={"forms": FormWays(corner="run-past", on_hand=hand, buy="money", splice_cents=0)})
    forms = form_plan(job, ways)
    cuts = cut_boards(job, forms, ways)
    made = sum(piece.mm for board in cuts.boards for piece in board.pieces)
    assert made == pytest.approx(sum(t.value for t in forms.takes if t.key == "boards_m") * 1000)
    marks = [piece.key for board in cuts.boards for piece in board.pieces]
    assert len(marks) == len(set(marks))
    assert cuts.proven and cuts.cost_cents == sum(b.price_cents for b in cuts.boards if not b.on_hand)
    assert all(board.on_hand for board in cuts.boards if board.price_cents == 0)


def test_a_rounded_corner_is_chords_within_an_eighth_and_takes_bendable_board():
    job = edited(l_shape(), {"op": "round_corner", "corner": 1, "radius": "4'"})
    arc = find_arcs(job.outline)[0]
    assert arc.radius_mm == pytest.approx(1219.2, rel=1e-6) and not arc.hollow
    chord = arc.length_mm / len(arc.sides)
    assert arc.radius_mm - math.sqrt(arc.radius_mm**2 - (chord / 2) ** 2) <= CHORD_MM
    edge = {side for row in job.edges for side in row.sides}
    assert set(arc.sides) <= edge  # both sides were E1, so the chords are
    forms = form_plan(job, WAYS)
    marks = {mark for side in arc.sides for mark in forms.sides[side].boards}
    assert marks and all(mark.startswith("bend") for mark in marks)
    cuts = cut_boards(job, forms, WAYS)
    assert any(piece.where.startswith("round") for board in cuts.boards for piece in board.pieces)


def test_step_forms_follow_the_drop_and_the_fall():
    steps = form_plan(demo("honey-house"), WAYS).steps
    assert [(step.name, step.board) for step in steps] == [("Step Bottling to Apron", "2x4")]
    assert steps[0].height_mm == pytest.approx(38.1) and steps[0].length_mm == pytest.approx(12 * 304.8)
