"""Footings: their concrete two ways, steps, the trench as dug, grade pegs, and what cannot be."""

import math
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.plans import EDITS, edited, l_shape, new

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import PlanError, TrowelError
from humble_trowel.core.footings.footings import footings
from humble_trowel.core.footings.pegs import footing_pegs, over_dug_m3, stations
from humble_trowel.core.footings.records import PegShot
from humble_trowel.core.footings.slices import sliced_m3
from humble_trowel.core.footings.volume import footing_rows, increments, kept_prisms, union_m3
from humble_trowel.core.geometry.footing_strips import legs, length_mm
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.job import Job
from humble_trowel.core.plan.footing_parts import Footing, FootingStep
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3

FT, IN = 304.8, 25.4
BARE = {"op": "add_footing", "text": "24' e, 16' n, 24' w, 16' s", "width": "16", "thickness": "8", "top": "24 below"}
LINE = Stand("s", "one", "nail", 0, 0, 1500.0, 0, 1, False, False, "", None)


def test_a_footing_by_itself_is_its_centreline_times_its_section_and_a_pour_of_its_own():
    plan = edited(new(), BARE, {"op": "set_pour", "holds": "footings", "changes": {"pour_at": "2027-05-03T07:00"}})
    figure = Job(plan).figure
    found = figure.footings
    assert figure.concrete is None and found is not None
    yards = 80 * (16 / 12) * (8 / 12) / 27
    assert found.net_m3 / M3_PER_YD3 == pytest.approx(yards, rel=1e-9)
    assert found.second_way_m3 == pytest.approx(found.net_m3, rel=1e-9)
    assert found.rows[0].text == "2.63"
    assert (found.ordered.text, found.pour_at) == ("3", "2027-05-03T07:00")
    assert [extra.key for extra in found.extras] == ["trench_wide_mm", "left_behind_m3"]
    assert plan.footings[0].path[0] == plan.footings[0].path[-1]


def test_the_yards_follow_the_bucket_and_the_rod_at_the_pegs():
    plan = edited(new(), BARE, {"op": "set_footing", "footing": 0, "changes": {"dug_width_mm": "18"}})
    foot = plan.footings[0]
    assert stations(foot)[1][0] == pytest.approx(5 * FT) and len(stations(foot)) == 16
    shots = [
        PegShot(footing=foot.id, along_mm=at, setup="s", reading_mm=1500 + 24 * IN + 8 * IN + deep)
        for at, deep in ((0.0, 25.4), (40 * FT, 0.0))
    ]
    found = footings(plan, JobWays(), shots, [LINE])
    wide, deep = found.extras[:2]
    assert wide.m3 / M3_PER_YD3 == pytest.approx(80 * (2 / 12) * (8 / 12) / 27)
    assert deep.m3 / M3_PER_YD3 == pytest.approx(80 * 1.5 * (0.5 / 12) / 27)  # an inch at one end, none half way round
    assert found.pegs[0].words == "Bottom 1″ too deep." and found.pegs[0].cut_text == "21″"
    assert found.pegs[1].reading_text and found.pegs[1].over_mm is None
    assert over_dug_m3(foot, found.pegs[1:8], 400) == 0.0
    shots[1] = shots[1].model_copy(update={"reading_mm": shots[1].reading_mm - 50})
    thin = footings(plan, JobWays(), shots, [LINE])
    assert "footing-thin" in [row.code for row in thin.findings]


def test_a_step_comes_down_on_the_lower_strip_and_pegs_know_their_level():
    plan = edited(
        new(),
        {"op": "add_footing", "text": "30' e", "width": "16", "thickness": "8", "top": "3' below"},
        {"op": "set_footing", "footing": 0, "changes": {"steps": "at 12' up 16, at 20' down 4"}},
    )
    foot = plan.footings[0]
    assert [(leg.path[0][0] / FT, leg.high_mm - leg.low_mm) for leg in legs(foot)] == [
        (pytest.approx(12 - 8 / 12), pytest.approx(16 * IN)), (pytest.approx(20), pytest.approx(4 * IN)),
    ]  # fmt: skip
    want = 16 * IN * 8 * IN * (30 * FT + 16 * IN + 4 * IN) / 1e9
    assert footing_rows(plan)[0].m3 == pytest.approx(want, rel=1e-9)
    assert sliced_m3(kept_prisms(foot)) == pytest.approx(want, rel=1e-9)
    tops = {round(peg.top_mm) for peg in footing_pegs(plan, [], [LINE], "mm")}
    assert tops == {round(-36 * IN), round(-20 * IN), round(-24 * IN)}


def test_footings_that_meet_count_once_with_the_first():
    plan = edited(
        l_shape(),
        {
            "op": "add_footing",
            "sides": [0, 1, 2, 3, 4, 5],
            "inset": "4",
            "width": "16",
            "thickness": "8",
            "top": "2' below",
        },
        {"op": "add_footing", "text": "from A 12' n, 36' e", "width": "12", "thickness": "8", "top": "2' below"},
    )
    rows = footing_rows(plan)
    plain = sum(length_mm(one) * one.width_mm * one.thickness_mm for one in plan.footings) / 1e9
    both = [prism for one in plan.footings for prism in kept_prisms(one)]
    assert sum(row.m3 for row in rows) < plain and "shared" in rows[1].working.formula
    assert sum(row.m3 for row in rows) == pytest.approx(sliced_m3(both), rel=1e-6)
    deep = edited(plan, {"op": "set_footing", "footing": 1, "changes": {"top_mm": "4' below"}})
    assert sum(row.m3 for row in footing_rows(deep)) == pytest.approx(plain, rel=1e-9)


spots = st.tuples(st.integers(0, 8), st.integers(0, 8)).map(lambda p: (p[0] * 900.0, p[1] * 900.0))


@settings(max_examples=120, deadline=None, derandomize=True)
@given(
    st.lists(st.lists(spots, min_size=2, max_size=5), min_size=1, max_size=4),
    st.sampled_from([(400.0, 200.0), (610.0, 305.0)]),
    st.lists(st.integers(-2, 2), min_size=4, max_size=4),
)
def test_joined_prisms_and_slices_agree_on_any_footings(paths, size, tops):
    rows = []
    for path, top in zip(paths, tops, strict=False):
        legs_ = [b for a, b in pairwise(path) if a != b]
        steps = (
            [FootingStep(at_mm=450.0, rise_mm=150.0)] if len(legs_) == 1 and math.dist(path[0], path[1]) > 1800 else []
        )
        if len(legs_) == len(path) - 1:
            rows.append(
                Footing(name="f", path=path, width_mm=size[0], thickness_mm=size[1], top_mm=top * 100.0, steps=steps)
            )
    groups = [kept_prisms(row) for row in rows]
    flat = [prism for group in groups for prism in group]
    total = union_m3(flat)
    assert math.fsum(increments(groups)) == pytest.approx(total, rel=1e-9, abs=1e-12)
    assert sliced_m3(flat) == pytest.approx(total, rel=1e-4, abs=1e-9)


@pytest.mark.parametrize(
    ("edits", "says"),
    [
        (({**BARE, "width": ""},), "How wide?"),
        (({**BARE, "text": "24"},), "24"),
        (({**BARE, "top": "24"},), "over or below"),
        (({**BARE, "text": "20' e, 10' n, 10' w, 20' s"},), "crosses itself"),
        ((BARE, {"op": "set_footing", "footing": 0, "changes": {"steps": "at 12' up 8"}}), "end 8″ over where they began"),
        ((BARE, {"op": "set_footing", "footing": 0, "changes": {"steps": "at 24' up 8, at 40' down 8"}}), "needs 8″ to each side"),
        ((BARE, {"op": "set_footing", "footing": 0, "changes": {"steps": "somewhere"}}), "Cannot read"),
        ((BARE, {"op": "set_footing", "footing": 0, "changes": {"dug_width_mm": "-2"}}), "less than nothing"),
        ((BARE, {"op": "set_pour", "holds": "footings", "changes": {"pour_at": "next Tuesday"}}), "not a date and time"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_said(edits, says):
    with pytest.raises(TrowelError, match=says):
        edited(new(), *edits)


def test_two_pours_never_hold_one_thing_and_a_footing_taken_out_is_gone():
    plan = edited(new(), BARE)
    twice = {**plan.model_dump(), "pours": [{"name": "a", "holds": ["footings"]}, {"name": "b", "holds": ["footings"]}]}
    with pytest.raises(PlanError, match="a and b both hold the footings"):
        apply(plan, EDITS.validate_python([{"op": "replace_plan", "document": twice}]))
    assert edited(plan, {"op": "take_out", "what": "footings", "ids": [plan.footings[0].id]}).footings == []
