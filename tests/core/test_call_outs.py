"""Tape call-outs and walks."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.plans import L_WALK

from humble_trowel.core.calls.call_outs import hear
from humble_trowel.core.calls.walk import origin_point, walk


@pytest.mark.parametrize(
    ("text", "dx", "dy"),
    [
        ("24' 6 1/2 w", -7480.3, 0), ("w 24' 6 1/2", -7480.3, 0), ("24-6.5 w", -7480.3, 0), ("24 6 1/2 w", -7480.3, 0),
        ("7480 mm n", 0, 7480), ("5' e & 3' n", 1524, 914.4), ("12' 45 n of e", 2586.3, 2586.3), ("3m s", 0, -3000),
        ("12' ne", 2586.3, 2586.3), ("24′ west", -7315.2, 0),
    ],
)  # fmt: skip
def test_calls_are_heard(text, dx, dy):
    heard = hear(text, "ft-in")
    assert not heard.problem
    assert heard.legs[0].dx_mm == pytest.approx(dx, abs=0.05)
    assert heard.legs[0].dy_mm == pytest.approx(dy, abs=0.05)


def test_left_and_right_turn_from_the_leg_before():
    walked = walk("10' e 5' left 10' left 5' left", "ft-in")
    assert walked.closed
    assert hear("10' left", "ft-in").problem


def test_a_call_that_is_written_can_be_read_again():
    for leg in hear("5' 1/16\" e & 3' n, 7' s 12' 30 s of w", "ft-in").legs:
        again = hear(leg.call, "ft-in").legs[0]
        assert math.dist((again.dx_mm, again.dy_mm), (leg.dx_mm, leg.dy_mm)) < 1e-6


def test_a_bare_number_is_asked_about_with_both_answers():
    heard = hear("36' e 24 w", "ft-in")
    assert heard.problem == "24 what?"
    assert [choice.text for choice in heard.choices] == ["36' e 24' w", "36' e 24\" w"]
    assert len(heard.legs) == 1
    assert hear("7480 w", "mm").legs[0].length_mm == 7480


@pytest.mark.parametrize(
    "text", ["e", "24'", "12' 14\" w", "0' e", "line 3", "12' 95 n of e", "5' n of s", "2000 km e", "36' e &"]
)
def test_bad_calls_say_what_is_wrong(text):
    assert hear(text, "ft-in").problem


@given(st.text("0123456789 '\"/.,&-nesw of left mm ft", max_size=30))
def test_no_typing_can_break_the_ear(text):
    walk(text, "ft-in")
    walk(text, "mm")


def test_the_l_closes_and_a_wrong_side_is_named_and_mended():
    assert walk(L_WALK, "ft-in").closed
    walked = walk("36' e 18' n 25' w 10' n 12' w 28' s", "ft-in")
    assert walked.verdict.startswith("Misses A by 1′, to the west.")
    assert "C to D" in walked.verdict
    mended = next(fix.text for fix in walked.fixes if fix.label == "Make C to D 24′ w")
    assert walk(mended, "ft-in").closed
    for fix in walked.fixes:
        assert walk(fix.text, "ft-in").closed, fix


def test_a_walk_from_a_corner():
    ring = [(0.0, 0.0), (1000.0, 0.0), (1000.0, 500.0), (0.0, 500.0)]
    assert origin_point("B 100 n", ring, "mm") == (1000, 100)
    assert origin_point("B 100 toward C", ring, "mm") == (1000, 100)
    assert origin_point("C", ring, "mm") == (1000, 500)
