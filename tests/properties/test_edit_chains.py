"""Any chain of edits leaves a plan that can be read again, whose volume both ways of counting agree on."""

import json

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.by_id import by_id
from tests.plans import EDITS, edited, l_shape

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.files.job_file import parse_job, plan_data, write_job

feet = st.integers(1, 30)
sides = st.integers(0, 9)
walks = st.builds(
    lambda corner, a, b, c: f"from {corner} {a}' n, {b}' e {c}' n {b}' w", st.sampled_from("ABCDEF"), feet, feet, feet
)
edits = st.one_of(
    st.builds(lambda s, f, m: {"op": "set_side", "side": s, "length": f"{f}'", "moves": m}, sides, feet, st.sampled_from(["start", "end"])),
    st.builds(
        lambda c, x, y, q: {"op": "move_corner", "corner": c, "x_mm": 304.8 * x, "y_mm": 304.8 * y, "square": q},
        sides, feet, feet, st.booleans(),
    ),
    st.builds(lambda s, f: {"op": "add_corner", "side": s, "at_mm": f * 304.8}, sides, feet),
    st.builds(lambda c: {"op": "remove_corner", "corner": c}, sides),
    st.builds(lambda t, n: {"op": "walk_zone", "text": t, "name": n, "drop": "1"}, walks, st.sampled_from(["p", "q", "r"])),
    st.builds(lambda a, b: {"op": "walk_zone", "text": f"from A {a}' e, {b}' n", "name": "split"}, feet, feet),
    st.builds(lambda i: {"op": "remove_zone", "zone": i}, st.integers(0, 3)),
    st.builds(lambda s, t: {"op": "set_side_type", "sides": [s], "type": t}, sides, st.sampled_from(["E1", "E2", None])),
    st.builds(lambda a, b: {"op": "add_opening", "text": f"from A {a}' e {b}' n, 2' e 2' n 2' w 2' s"}, feet, feet),
    st.builds(lambda t: {"op": "set_slab_type", "mark": "S1", "thickness": t}, st.sampled_from(["3", "4 1/2", "150 mm"])),
    st.builds(lambda i: {"op": "remove_opening", "opening": i}, st.integers(0, 1)),
)  # fmt: skip


@settings(max_examples=60, deadline=None)
@given(st.lists(edits, min_size=1, max_size=8))
def test_chains_of_edits(chain):
    plan = edited(l_shape(), {"op": "set_edge_type", "mark": "E2", "text": "8 wide 24 deep 90"})
    for step in chain:
        before = write_job(plan)
        try:
            plan, summary = apply(plan, EDITS.validate_python([by_id(plan, step)]))
        except TrowelError as error:
            assert error.words and write_job(plan) == before
            continue
        assert summary
    again = parse_job(write_job(plan))
    assert plan_data(again) == json.loads(json.dumps(plan_data(plan)))
    solid = build_solid(again)
    assert count_by_slices(again).total_m3 == pytest.approx(solid.net_m3, rel=1e-3)
    ground = sum(cell.area_m2 for cell in lay_zones(again))
    assert ground == pytest.approx(sum(cell.area_m2 for cell in solid.cells))
    assert all(piece.m3 >= -1e-9 for piece in solid.pieces)
    assert sum(solid.added_m3.values()) == pytest.approx(sum(piece.m3 for piece in solid.pieces), abs=1e-6)
