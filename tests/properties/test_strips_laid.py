"""Strips by rule over random floors pass the checker, are the slab, and come in the best order that there is."""

from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon
from tests.plans import plan
from tests.properties.test_joints_laid import floors

from humble_trowel.core.job import Job
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.check import checked, orders
from humble_trowel.core.screed.order import best_order, in_order
from humble_trowel.core.screed.propose import proposed
from humble_trowel.core.screed.site import Guide, ScreedRules, Site, Strip
from humble_trowel.core.screed.strips import strips_laid

RULES = ScreedRules()


@settings(max_examples=30, deadline=None)
@given(floors(), st.sampled_from([[2500.0], [4000.0, 7000.0], [3000.0, 5000.0]]))
def test_a_plan_by_rule_passes_every_rule_that_lines_can_keep(floor, boards):
    ring, holes, thick = floor
    of = plan(outline=ring, openings=holes, slab_types=[{"mark": "S1", "thickness_mm": thick}])
    ways = ScreedWays(boards_mm=boards, vibrating_mm=[], rate_m2_h=1000)
    job = Job(of)
    found = proposed(of, job.solid, ways)
    laid = strips_laid(found.on(of), job.solid, ways)
    assert laid.checked.codes == [] and found.in_order
    assert sum(row.face.area.area for row in laid.strips) == pytest.approx(
        Polygon(ring).area
    )  # small holes are bridged
    for strip in laid.strips:  # no board is longer than it must be
        shorter = [mm for mm in boards if mm < strip.board_mm]
        assert all(mm < strip.needed_mm for mm in shorter)
    most = max(boards) - ways.pad_less_mm
    for run in laid.runs:
        stations = sorted((pad.spot[0] - run.start[0], pad.spot[1] - run.start[1]) for pad in run.pads)
        gaps = [abs(b[0] - a[0]) + abs(b[1] - a[1]) for a, b in pairwise(stations)]
        assert max(gaps) <= most + 1


@st.composite
def lanes(draw):
    """Lanes side by side, walls all round but for an exit somewhere, each as wide as it happens to be."""
    widths = draw(st.lists(st.integers(3, 9).map(float), min_size=2, max_size=5))
    far = draw(st.integers(8, 20)) * 304.8
    strips, guides, at = [], {}, 0.0
    for i, wide in enumerate(widths):
        low, high = at, at + wide * 304.8
        guides |= {f"{i}l": Guide("form", ((0, high), (far, high))), f"{i}r": Guide("form", ((0, low), (far, low)))}
        ring = ((0, low), (far, low), (far, high), (0, high))
        strips.append(Strip(f"S{i}", ring, (1.0, 0.0), (f"{i}l", f"{i}r"), 4000.0, 0, 0))
        at = high
    slab = Polygon([(0, 0), (far, 0), (far, at), (0, at)])
    exits = tuple(
        (far * draw(st.sampled_from([0, 1])), draw(st.integers(0, 100)) / 100 * at)
        for _ in range(draw(st.integers(1, 3)))
    )
    closed = tuple(zip(slab.exterior.coords, slab.exterior.coords[1:], strict=False))
    return Site(slab, guides, (4000.0,), closed, exits, draw(st.booleans()), limit_min=1e6), strips


@settings(max_examples=60, deadline=None)
@given(lanes())
def test_the_order_is_as_good_as_the_best_of_all_orders(case):
    site, strips = case
    rate = 743224.3  # 8 square feet a minute
    minutes = [one.area.area / rate for one in strips]
    every = orders(site, strips, rate)
    found = best_order(site, strips, minutes, [True] * len(strips), RULES)
    assert (found is None) == (not every)
    if found is not None:
        row = in_order(site, [strips[i] for i in found], [minutes[i] for i in found], [True] * len(found), RULES)
        judge = checked(site, row)
        assert judge.codes == [] and abs(judge.worst_age_min - every[0][0]) < 1e-6
