"""Lengths go both ways exactly."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from humble_trowel.core.errors import BareNumber, LengthError
from humble_trowel.core.units import (
    format_length,
    format_ordered,
    parse_length,
    parse_strength,
    parse_volume,
    say_depth,
)


def test_every_sixteenth_from_0_to_200_feet_goes_both_ways():
    for sixteenths in range(200 * 12 * 16 + 1):
        text = format_length(sixteenths * 25.4 / 16, "ft-in")
        assert parse_length(text, "ft-in") * 16 / 25.4 == pytest.approx(sixteenths, abs=1e-9), text


@given(st.integers(0, 61000))
def test_every_millimetre_goes_both_ways(mm):
    assert parse_length(format_length(mm, "mm"), "mm") == mm


@given(st.floats(0, 60000), st.sampled_from([4, 8, 16]))
def test_showing_rounds_once_to_the_nearest(mm, nearest):
    shown = parse_length(format_length(mm, "ft-in", nearest), "ft-in")
    assert abs(shown - mm) <= 25.4 / nearest / 2 + 1e-6


def test_halves_go_away_from_zero_and_carry_into_feet():
    assert format_length(11.99 * 25.4, "ft-in") == "1′"
    assert format_length(25.4 / 32, "ft-in") == "1/16″"
    assert format_length(-0.5, "mm") == "-1"
    assert say_depth(457.2, "ft-in") == "18″"


@pytest.mark.parametrize(
    ("text", "mm"),
    [
        ("12' 6 1/2\"", 3822.7), ("12-6 1/2", 3822.7), ("24 6 1/2", 7480.3), ('6.5"', 165.1), ("12.54'", 3822.192),
        ("7480 mm", 7480), ("7.48 m", 7480), ("748 cm", 7480), ("12 ft 6 in", 3810), ("7,48 m", 7480), ("1/2 in", 12.7),
    ],
)  # fmt: skip
def test_both_systems_are_read_in_a_ft_in_job(text, mm):
    assert parse_length(text, "ft-in") == pytest.approx(mm, abs=1e-9)


@pytest.mark.parametrize("text", ["", "12' 14\"", "-3'", "nan", "inf", "1e9", "7,480 mm", '1/0"', "x", "3 m 2 ft"])
def test_what_cannot_be_read_is_said_plainly(text):
    with pytest.raises(LengthError) as caught:
        parse_length(text, "ft-in")
    assert caught.value.words.endswith((".", "?"))


def test_a_bare_number_is_asked_about_in_feet_and_is_mm_in_a_metric_job():
    with pytest.raises(BareNumber) as caught:
        parse_length("24", "ft-in")
    assert caught.value.choices == ("24'", '24"')
    assert parse_length("24", "mm") == 24
    assert parse_length("24", "ft-in", bare="in") == pytest.approx(609.6)


def test_volumes_and_strengths():
    assert parse_volume("1/4 yd", "ft-in") == pytest.approx(0.19113871)
    assert parse_volume("6 m3", "ft-in") == 6
    assert format_ordered(23.5 * 0.764554857984, "ft-in") == "23 1/2"
    assert parse_strength("4000 psi", "mm") == pytest.approx(27.579, abs=1e-3)
