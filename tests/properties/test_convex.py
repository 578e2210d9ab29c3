"""Cutting convex pieces against a general overlay."""

import math

import pytest
import shapely
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from humble_trowel.core.geometry.convex import apart, area_mm2, box_of, cut, is_convex, moments, parted

numbers = st.floats(-5000, 5000, allow_nan=False, width=32)


def overlap(one, other):
    """Shared area by a general overlay, on a grid: without one it may return a whole shape for a shared border."""
    return shapely.intersection(Polygon(one), Polygon(other), grid_size=1e-4).area


@st.composite
def convex_rings(draw):
    """Points on an ellipse, anticlockwise, at least 5 degrees apart."""
    n = draw(st.integers(3, 8))
    turns = sorted(draw(st.lists(st.integers(0, 71), min_size=n, max_size=n, unique=True)))
    cx, cy, a, b = draw(numbers), draw(numbers), draw(st.floats(50, 4000)), draw(st.floats(50, 4000))
    return [(cx + a * math.cos(math.radians(5 * t)), cy + b * math.sin(math.radians(5 * t))) for t in turns]


@settings(max_examples=200, deadline=None)
@given(convex_rings(), convex_rings())
def test_parting_loses_nothing_and_agrees_with_the_overlay(one, other):
    inside, outside = parted(one, other)
    shared = overlap(one, other)
    found = area_mm2(inside) if inside else 0.0
    grid_mm2 = 1e-4 * (Polygon(one).length + Polygon(other).length)
    assert found == pytest.approx(shared, abs=0.1 + grid_mm2)
    assert found + sum(area_mm2(ring) for ring in outside) == pytest.approx(area_mm2(one), rel=1e-6)
    for ring in [inside, *outside]:
        assert not ring or is_convex(ring)
    for at, ring in enumerate(outside):
        assert all(overlap(ring, rest) < 0.1 + grid_mm2 for rest in outside[:at])
    if apart(box_of(one), box_of(other)):
        assert not inside


@settings(max_examples=100, deadline=None)
@given(convex_rings(), numbers, numbers, numbers)
def test_a_cut_is_where_the_function_is_nought(ring, a, b, c):
    assume(abs(a) + abs(b) > 1)
    above, below = cut(ring, [a * x + b * y + 1000 * c for x, y in ring])
    assert sum(area_mm2(part) for part in (above, below) if part) == pytest.approx(area_mm2(ring), rel=1e-6, abs=0.01)
    for part, sign in ((above, 1), (below, -1)):
        for x, y in part:
            assert sign * (a * x + b * y + 1000 * c) >= -1e-4 * (abs(a) + abs(b)) * 5000


@given(convex_rings())
def test_moments_are_those_of_the_polygon(ring):
    area, x, y = moments(ring)
    shape = Polygon(ring)
    assert area == pytest.approx(shape.area, rel=1e-9)
    assert (x, y) == pytest.approx((shape.centroid.x, shape.centroid.y), abs=0.01)


def test_a_side_of_no_length_does_not_mislead():
    square = [(0.0, 0.0), (10.0, 0.0), (10.0, 1e-13), (10.0, 10.0), (0.0, 10.0)]
    inside, outside = parted([(2.0, 2.0), (20.0, 2.0), (20.0, 8.0), (2.0, 8.0)], square)
    assert area_mm2(inside) == pytest.approx(48)
    assert sum(map(area_mm2, outside)) == pytest.approx(60)


def test_a_dent_is_seen():
    assert not is_convex([(0, 0), (10, 0), (5, 1), (5, 10)])
    assert is_convex([(0, 0), (5, 0), (10, 0), (10, 10)])
