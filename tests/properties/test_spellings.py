"""Lengths as people write them: read exactly, or asked about, never guessed."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.plans import edited, job, l_shape, plan

from humble_trowel.core.calls.call_outs import hear
from humble_trowel.core.edits.marks import split_mark
from humble_trowel.core.errors import BareNumber, CallError, LengthError, PlanError
from humble_trowel.core.units import parse_length
from humble_trowel.files.job_file import parse_job


def feet_spellings(feet, inches, part):
    """Ways to write feet, whole inches and a fraction of an inch, each with what it means in mm or 'ask'."""
    both = f"{inches} {part.numerator}/{part.denominator}" if part else f"{inches}"
    dash = both.replace(" ", "-")
    exact = (feet * 12 + inches + part) * Fraction(254, 10)
    texts = [
        f"{feet}' {both}\"", f"{feet}'{both}\"", f"{feet}'-{both}\"", f"{feet}' - {both}\"", f"{feet}' {dash}\"", f"{feet}'-{dash}\"",
        f"{feet}′ {both}″", f"{feet}’ {both}”", f"{feet} ft {both} in", f"{feet}ft {dash}\"", f"{feet} ft. {both} in.",
        f"{feet} feet {both} inches", f"{feet} FT {both} IN", f"{feet}' {both}", f"{feet}-{both}", f"{feet}-{both}\"", f"{feet} {both}",
        f"{feet}' and {both}\"", f"{float(exact / Fraction(254, 10)):.6f} in", f"{float(exact / 1000):.9f} m", f"{float(exact):.6f} mm",
    ]  # fmt: skip
    return texts, exact


@given(st.integers(1, 200), st.integers(1, 11), st.integers(0, 15), st.sampled_from(["ft-in", "mm"]))
def test_twenty_spellings_of_feet_and_inches(feet, inches, sixteenths, units):
    texts, exact = feet_spellings(feet, inches, Fraction(sixteenths, 16))
    for text in texts:
        try:
            assert parse_length(text, units) == pytest.approx(float(exact), abs=1e-5), text
        except BareNumber as asked:  # only what says no unit at all, and only in a metric job
            assert units == "mm" and not any(mark in text for mark in "'\"′″’mf")
            assert any(parse_length(choice, units) == pytest.approx(float(exact), abs=1e-5) for choice in asked.choices)
        except LengthError:
            assert units == "mm" and not any(mark in text for mark in "'\"′″’mf")


@given(st.integers(1, 11), st.integers(1, 15))
def test_a_dashed_fraction_is_asked_about_unless_its_unit_is_said(inches, sixteenths):
    part = Fraction(sixteenths, 16)
    text = f"{inches}-{part.numerator}/{part.denominator}"
    exact = float((inches + part) * Fraction(254, 10))
    for spelled in (f'{text}"', f"{text} in", f"{text} inches", f"{text}″"):
        assert parse_length(spelled, "ft-in") == pytest.approx(exact)
    with pytest.raises(BareNumber) as asked:
        parse_length(text, "ft-in")
    assert [parse_length(choice, "ft-in") for choice in asked.value.choices] == pytest.approx(
        [exact, float((inches * 12 + part) * Fraction(254, 10))]
    )


@given(st.integers(1, 60), st.integers(1, 99))
def test_metres_and_something_are_asked_about_unless_it_is_said(metres, rest):
    for text in (
        f"{metres}m {rest}",
        f"{metres}m{rest}",
        f"{metres} m {rest}",
        f"{metres}.5 m {rest} cm",
        f"{metres}.2m {rest}",
    ):
        with pytest.raises(BareNumber) as asked:
            parse_length(text, "mm")
        assert all(parse_length(choice, "mm") > 0 for choice in asked.value.choices) and len(asked.value.choices) >= 1
    assert parse_length(f"{metres} m {rest} cm", "mm") == metres * 1000 + rest * 10
    assert parse_length(f"{metres} m {rest} mm", "ft-in") == metres * 1000 + rest
    assert parse_length(f"{metres} m {rest + 100}", "mm") == metres * 1000 + rest + 100


@pytest.mark.parametrize("text", ["12' 6 17/16", "12' 13", "1m -20", '6 3/2"', "12' 6' 3", "- 3'", "3' -", "1..5 m"])
@pytest.mark.parametrize("units", ["ft-in", "mm"])
def test_what_makes_no_length_is_refused(text, units):
    with pytest.raises(LengthError):
        parse_length(text, units)


@pytest.mark.parametrize("text", ["12-6", "12-6 1/2", "12 - 6"])
def test_a_dash_between_numbers_is_asked_about_in_a_metric_job(text):
    with pytest.raises(BareNumber) as asked:
        parse_length(text, "mm")
    assert parse_length(asked.value.choices[0], "mm") == parse_length(text, "ft-in")


def test_thousands_are_asked_about_in_feet_and_read_in_mm():
    with pytest.raises(BareNumber):
        parse_length("1 000", "ft-in")
    assert parse_length("1 000", "mm") == 1000 and parse_length("0", "ft-in") == 0


@pytest.mark.parametrize(
    ("text", "calls"),
    [
        ("36' e, n 18'", ["36′ e", "18′ n"]), ("36' n left 18'", ["36′ n", "18′ w"]), ("n 36' right 18'", ["36′ n", "18′ e"]),
        ("16' by 12'", ["16′ e", "12′ n", "16′ w", "12′ s"]), ("from B 3' n, 4 m x 3 m", ["13′-1 1/2″ e", "9′-10 1/8″ n", "13′-1 1/2″ w", "9′-10 1/8″ s"]),
    ],
)  # fmt: skip
def test_calls_in_either_order_and_rectangles(text, calls):
    heard = hear(text, "ft-in")
    assert [leg.call for leg in heard.legs] == calls and not heard.problem


@given(st.text("nesw'\"0123456789 ,°&xbyleft?-/", min_size=1, max_size=14))
def test_a_call_that_is_not_heard_says_why(text):
    heard = hear(text, "ft-in")
    assert heard.legs or heard.problem or not text.strip(" ,")


def test_sixteen_by_twelve_is_asked_about():
    heard = hear("16 by 12", "ft-in")
    assert heard.problem == "16 by 12 what?" and [choice.text for choice in heard.choices] == [
        "16' by 12'",
        '16" by 12"',
    ]
    assert all(len(hear(choice.text, "ft-in").legs) == 4 for choice in heard.choices)


@pytest.mark.parametrize(
    ("text", "mark", "call"),
    [
        ("T1 20 wide", "T1", "20 wide"),
        ("tb-2: 20 wide", "TB-2", "20 wide"),
        ("BM 12 wide", "BM", "12 wide"),
        ("12 wide 18 deep", "", "12 wide 18 deep"),
    ],
)
def test_marks_in_front_of_a_call(text, mark, call):
    assert split_mark(text) == (mark, call)


def test_a_mark_that_is_typed_is_the_one_that_is_set():
    made = edited(
        l_shape(),
        {"op": "set_edge_type", "mark": "E2", "text": "T1 20 wide 22 deep"},
        {"op": "set_beam_type", "mark": "B1", "text": "TB-2 16 wide 24 deep 45"},
        {"op": "set_pad_type", "mark": "P1", "text": "BM 30 sq 16 deep"},
    )
    assert [row.mark for row in (*made.edge_types, *made.beam_types, *made.pad_types)] == ["E1", "T1", "TB-2", "BM"]
    assert made.edge_types[1].bottom_width_mm == pytest.approx(508) and made.beam_types[
        0
    ].haunch_run_per_rise == pytest.approx(1)
    for text in ("T1 20 wide", "E9 20 wide"):
        with pytest.raises(CallError):
            edited(made, {"op": "set_edge_type", "mark": "E1" if "E9" in text else "E3", "text": text})


def test_a_number_that_is_none_names_its_place():
    raw = (
        str(job(outline=[[0, 0], [6000, 0], ["NaN", 4000], [0, 4000]]))
        .replace("'NaN'", "NaN")
        .replace("'", '"')
        .replace("None", "null")
    )
    with pytest.raises(PlanError, match=r"^outline\[2\]\[0\]: NaN is not a number"):
        parse_job(raw.encode())


def test_a_zone_line_that_partly_runs_along_another_zone_parts_the_slab():
    zones = [
        {"name": "all", "slab": "S1", "polygon": None},
        {"name": "bath", "slab": "S1", "polygon": [[0, 0], [2000, 0], [2000, 3000], [0, 3000]]},
    ]
    made = edited(plan(zones=zones), {"op": "walk_zone", "name": "hall", "text": "from A 2000 e, 4000 n", "slab": "S1"})
    hall = next(row for row in made.zones if row.name == "hall")
    assert sorted({x for x, _ in hall.polygon}) in ([0.0, 2000.0], [2000.0, 6000.0])
