"""Chains of shape edits, with the outline moving under them: every plan can be read again, cut anywhere and counted both ways."""

import json

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.answers import figure
from tests.by_id import by_id
from tests.plans import EDITS, edited, l_shape
from tests.properties.test_edit_chains import edits as outline_edits

from humble_trowel.core.edges.section import section
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways
from humble_trowel.files.job_file import parse_job, plan_data, write_job

feet = st.integers(0, 34)
few = st.integers(0, 3)
spots = st.tuples(feet, feet).map(lambda spot: [spot[0] * 304.8, spot[1] * 304.8])
beams, pads = st.sampled_from(["B1", "B2"]), st.sampled_from(["P1", "P2"])
shape_edits = st.one_of(
    st.builds(lambda t, a, b: {"op": "add_beam", "type": t, "path": [a, b]}, beams, spots, spots),
    st.builds(lambda t, s, f: {"op": "lay_beams", "type": t, "side": s, "spacing": f"{f}'"}, beams, few, st.integers(4, 12)),
    st.builds(lambda t, s: {"op": "lay_beams", "type": t, "side": s, "bays": "5', 2 x 6 ft"}, beams, few),
    st.builds(lambda t: {"op": "beams_on_zones", "type": t}, beams),
    st.builds(lambda i, a, b: {"op": "move_beam", "beam": i, "path": [a, b]}, few, spots, spots),
    st.builds(lambda t, a: {"op": "add_pads", "type": t, "at": [a]}, pads, spots),
    st.builds(lambda t, c: {"op": "add_pads", "type": t, "corner": c, "bays_x": "9', 9'", "bays_y": "8'"}, pads, few),
    st.builds(lambda t: {"op": "add_pads", "type": t, "crossings": True}, pads),
    st.builds(lambda i, a, d: {"op": "move_pad", "pad": i, "at": a, "turn_deg": d}, few, spots, st.integers(0, 90)),
    st.builds(
        lambda a, b, d, k: {"op": "add_recess", "text": f"from A {a}' e {b}' n, 3' e 2' n 3' w 2' s", "depth": d, "keeps_thickness": k},
        feet, feet, st.sampled_from(["1", "3", "30"]), st.booleans(),
    ),
    st.builds(lambda s, f: {"op": "add_recess", "side": s, "start": f"{f}'", "width": "3'", "inward": "6", "depth": "3/4"}, few, feet),
    st.builds(lambda i, d: {"op": "set_recess", "recess": i, "changes": {"depth_mm": d}}, few, st.sampled_from(["2", "0", "9"])),
    st.builds(lambda s: {"op": "add_kerb", "sides": s, "width": "6", "height": "8"}, st.sampled_from([[0], [0, 1], [5, 0], [0, 2]])),
    st.builds(lambda i, t: {"op": "set_kerb", "kerb": i, "changes": {"leave_outs": t}}, few, st.sampled_from(["from 1' to 4'", "x", ""])),
    st.builds(lambda a: {"op": "set_piles", "diameter": "12", "head_down": "6", "at": [a]}, spots),
    st.builds(lambda w, i: {"op": "take_out", "what": w, "ids": [i]}, st.sampled_from(["beams", "pads", "recesses", "kerbs", "piles"]), few),
    st.builds(lambda m: {"op": "take_out", "what": "beam_types", "mark": m}, beams),
    st.builds(lambda m, t: {"op": "set_beam_type", "mark": m, "text": t}, beams, st.sampled_from(["14 wide 20 deep 60", "3 deep", "wet"])),
)  # fmt: skip


@settings(max_examples=50, deadline=None)
@given(st.lists(st.one_of(shape_edits, shape_edits, outline_edits), min_size=1, max_size=9))
def test_chains_of_shape_edits(chain):
    plan = edited(
        l_shape(), {"op": "set_edge_type", "mark": "E2", "text": "8 wide 24 deep 90"}, {"op": "set_beam_type", "mark": "B1", "text": "12 wide 18 deep 45"},
        {"op": "set_beam_type", "mark": "B2", "text": "10 wide 24 deep 90"}, {"op": "set_pad_type", "mark": "P1", "text": "30 sq 20 deep"},
        {"op": "set_pad_type", "mark": "P2", "text": "24 round 36 deep"},
    )  # fmt: skip
    for step in chain:
        before = write_job(plan)
        try:
            plan, summary = apply(plan, EDITS.validate_python([by_id(plan, step)]))
        except TrowelError as error:
            assert error.words and write_job(plan) == before  # a bad edit loses nothing
            continue
        assert summary
    again = parse_job(write_job(plan))
    assert plan_data(again) == json.loads(json.dumps(plan_data(plan)))
    made, solid = figure(again, Ways(), quick=True), build_solid(again)
    assert count_by_slices(again).total_m3 == pytest.approx(solid.net_m3, rel=2e-3)
    assert sum(part.m3 for part in made.concrete.parts) == pytest.approx(solid.net_m3, rel=1e-9)
    for number, part in enumerate(solid.parts):
        added = solid.added_m3.get(number, 0.0)
        assert added <= 1e-9 if part.kind == "recess" else added >= -1e-9
    for place in made.section_places:
        try:
            assert section(again, solid, Ways(), place.start, place.end).area_m2 > 0
        except TrowelError as error:
            assert "does not cross" in error.words  # an opening or a recess takes all of it
