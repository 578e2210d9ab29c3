"""Joints laid over random floors: every line runs from edge to edge in the slab, and what is laid passes or says why not."""

from collections import Counter

import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from humble_trowel.core.joints.check import JointRules, checked, corners_of
from humble_trowel.core.joints.lay import lay_joints

RULES = JointRules()
steps = st.integers(2, 9).map(lambda n: n * 1000.0)


@st.composite
def floors(draw):
    """An L, a T or a plain rectangle, with an opening or none."""
    wide, high = draw(st.integers(5, 16)) * 1000.0, draw(st.integers(5, 16)) * 1000.0
    kind = draw(st.sampled_from(["plain", "L", "T"]))
    cut_x, cut_y = (
        draw(st.integers(2, int(wide // 1000) - 2)) * 1000.0,
        draw(st.integers(2, int(high // 1000) - 2)) * 1000.0,
    )
    ring = [(0.0, 0.0), (wide, 0.0), (wide, high), (0.0, high)]
    if kind == "L":
        ring = [(0.0, 0.0), (wide, 0.0), (wide, cut_y), (cut_x, cut_y), (cut_x, high), (0.0, high)]
    if kind == "T":
        ring = [
            (0.0, 0.0),
            (wide, 0.0),
            (wide, cut_y),
            (cut_x + 1000, cut_y),
            (cut_x + 1000, high),
            (cut_x - 1000, high),
            (cut_x - 1000, cut_y),
            (0.0, cut_y),
        ]
    hole = [(600.0, 600.0), (1500.0, 600.0), (1500.0, 1500.0), (600.0, 1500.0)]
    return ring, ([hole] if draw(st.booleans()) else []), draw(st.sampled_from([100.0, 125.0, 150.0]))


@settings(max_examples=40, deadline=None)
@given(floors())
def test_every_line_lies_in_the_slab_and_the_layout_passes_or_says_why(floor):
    ring, holes, thick = floor
    lines = lay_joints(ring, holes, thick, RULES)
    slab = Polygon(ring, holes)
    for line in lines:
        assert (
            slab.buffer(1.0).covers(LineString(line)) and slab.boundary.distance(shapely.Point(line[0])) <= RULES.tol_mm
        )
    found = checked(ring, holes, lines, thick, RULES)
    assert {one.rule for one in found.cracks} <= {"J2", "J6", "J7"} | (
        {"J3"} if len(corners_of(ring, holes)) > 4 else set()
    )
    if not holes:
        assert not {"J1", "J5"} & set(found.rules)
    total = sum(Polygon(panel.ring).area for panel in found.panels)
    assert abs(total - slab.area) <= 1e-3 * slab.area or holes


@settings(max_examples=25, deadline=None)
@given(floors())
def test_leaving_out_any_line_breaks_more(floor):
    ring, holes, thick = floor
    lines = lay_joints(ring, holes, thick, RULES)
    broken = Counter(one.rule for one in checked(ring, holes, lines, thick, RULES).cracks)
    for line in lines:
        rest = [one for one in lines if one is not line]
        left = Counter(one.rule for one in checked(ring, holes, rest, thick, RULES).cracks)
        assert any(count > broken[rule] for rule, count in left.items())
