"""Walks that should close: a wrong side is found again, and every offered text closes."""

import math

from hypothesis import given, settings
from hypothesis import strategies as st

from humble_trowel.core.calls.call_outs import call_of, hear
from humble_trowel.core.calls.walk import walk

sixteenths = st.integers(16 * 24, 16 * 12 * 40)


@st.composite
def loops(draw):
    """Legs of a staircase: east and north by turns, then west along the top and south, in mm."""
    steps = draw(st.lists(st.tuples(sixteenths, sixteenths), min_size=1, max_size=5))
    legs = [leg for e, n in steps for leg in ((e * 25.4 / 16, 0.0), (0.0, n * 25.4 / 16))]
    return [*legs, (-sum(x for x, _ in legs), 0.0), (0.0, -sum(y for _, y in legs))]


@settings(max_examples=150, deadline=None)
@given(loops(), st.sampled_from(["ft-in", "mm"]))
def test_a_called_loop_closes(legs, units):
    if units == "mm":
        legs = [(round(x), round(y)) for x, y in legs[:-2]]
        legs += [(-sum(x for x, _ in legs), 0), (0, -sum(y for _, y in legs))]
    walked = walk(" ".join(call_of(x, y, units) for x, y in legs), units)
    assert walked.closed and walked.verdict == "Back on A. It closes."
    assert math.hypot(*walked.miss_mm) < 1e-6


@settings(max_examples=150, deadline=None)
@given(loops(), st.data(), st.integers(16, 16 * 12))
def test_a_side_called_wrong_is_among_the_suspects_or_can_be_closed(legs, data, wrong):
    at = data.draw(st.integers(0, len(legs) - 1))
    x, y = legs[at]
    size = math.hypot(x, y)
    grown = [*legs]
    grown[at] = (x * (1 + wrong * 25.4 / 16 / size), y * (1 + wrong * 25.4 / 16 / size))
    walked = walk(", ".join(call_of(*leg, "ft-in") for leg in grown), "ft-in")
    assert not walked.closed and walked.fixes
    for fix in walked.fixes:
        assert walk(fix.text, "ft-in").closed, fix
    right = call_of(x, y, "ft-in")
    if len(legs) <= 6 and walked.verdict.startswith("Misses"):
        assert any(fix.label.endswith(f" {right}") for fix in walked.fixes)


@given(st.floats(0, 6.28), st.integers(500, 20000))
def test_a_slanting_side_is_called_by_its_two_parts(turn, size):
    dx, dy = size * math.cos(turn), size * math.sin(turn)
    leg = hear(call_of(dx, dy, "mm"), "mm").legs[0]
    assert math.hypot(leg.dx_mm - dx, leg.dy_mm - dy) < 1
