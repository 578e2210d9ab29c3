"""Slices begin and end at every corner, and halve where a cross-section bends, until the whole is exact."""

import numpy as np
import pytest
from tests.plans import plan

from humble_trowel.core.geometry.slice_borders import borders, integrate
from humble_trowel.core.geometry.slice_strips import Strip, plan_strips
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid

EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300, "haunch_run_per_rise": 0}
NOMINAL = np.linspace(0.0, 100.0, 5)


def rectangle(low, high):
    return Strip(((1.0, 0.0, high), (-1.0, 0.0, -low), (0.0, 1.0, 9.0), (0.0, -1.0, 0.0)), (0.0, 1.0, 0.0), None)


def volume(cuts, area):
    owner = np.searchsorted(NOMINAL, (cuts[:-1] + cuts[1:]) / 2) - 1
    return integrate(cuts, area, owner, len(NOMINAL) - 1)


def test_corners_of_rings_and_strips_stand_among_the_borders_once():
    found = borders(NOMINAL, [[(10.0, 0.0), (25.0, 4.0), (180.0, 2.0)]], [rectangle(33.0, 66.0)])
    assert found == pytest.approx([0, 10, 25, 33, 50, 66, 75, 100])


def test_a_circle_ends_at_its_bounds_and_corners_outside_the_strip_do_not_count():
    round_one = Strip((), (0.0, 1.0, 0.0), None, 40.0, 60.0, (50.0, 5.0, 10.0))
    cut_off = Strip((*rectangle(33.0, 66.0).rows, (1.0, 1.0, 50.0)), (0.0, 1.0, 0.0), None)
    assert borders(NOMINAL, [], [round_one]) == pytest.approx([0, 25, 40, 50, 60, 75, 100])
    assert borders(NOMINAL, [], [cut_off]) == pytest.approx([0, 25, 33, 41, 50, 75, 100])


@pytest.mark.parametrize(
    ("area", "whole"),
    [
        (lambda x: 3.0 + 2.0 * x, 300 + 100**2),  # straight: the middle of a slice stands for it
        (lambda x: np.abs(x - 37.3), (37.3**2 + 62.7**2) / 2),  # a bend inside a slice
        (lambda x: x**2, 100**3 / 3),  # a curve
        (lambda x: np.sqrt(np.maximum(0.0, 50.0**2 - (x - 50.0) ** 2)), np.pi * 50**2 / 2),  # round
    ],
)
def test_what_bends_inside_a_slice_is_halved_until_it_is_counted(area, whole):
    each = volume(NOMINAL, area)
    assert len(each) == 4 and each.sum() == pytest.approx(whole, rel=2e-4)
    fine = np.linspace(0.0, 100.0, 401)
    assert volume(fine, area) == pytest.approx(each, rel=2e-3)


def test_a_straight_bend_of_a_line_inside_adds_no_strip_whichever_way_its_rounding_leans():
    """Points on one line, their rounding either way: the strip is that of the line without them."""
    ends = [(700.3, 600.1), (4900.7, 2900.9)]
    whole = plan(edge_types=[EDGE], edges=[{"along": ends, "grow": "left", "type": "E1"}])
    wanted = count_by_slices(whole).total_m3
    assert wanted == pytest.approx(build_solid(whole).net_m3, rel=1e-5)
    for part in (1 / 3, 0.2, 0.7, 1 / 7):
        (a, b), (c, d) = ends
        bend = (a + part * (c - a), b + part * (d - b))
        bent = plan(edge_types=[EDGE], edges=[{"along": [ends[0], bend, ends[1]], "grow": "left", "type": "E1"}])
        assert len(plan_strips(bent, 100.0)) == 2
        assert count_by_slices(bent).total_m3 == pytest.approx(wanted, rel=1e-5)
        assert build_solid(bent).net_m3 == pytest.approx(wanted, rel=1e-5)
