"""Joints: laid, called, moved, isolated and checked by region; what a cut would reach; what is sawn."""

import math
from dataclasses import replace

import pytest
from tests.plans import edited, plan

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.job import Job
from humble_trowel.core.joints.check import JointRules
from humble_trowel.core.joints.joints import isolated_corners, joints_checked, joints_laid, proposal, regions_of
from humble_trowel.core.joints.lay import lay_joints
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.stages import STAGES, findings, report, standing

RING = [[0, 0], [12000, 0], [12000, 9000], [0, 9000]]
ONE = {
    "units": "mm",
    "outline": RING,
    "slab_types": [{"mark": "S1", "thickness_mm": 100}],
    "zones": [{"name": "all", "slab": "S1"}],
}
SLAB = plan(**ONE)
HOLED = plan(**ONE, openings=[[[4000, 4000], [5000, 4000], [5000, 5000], [4000, 5000]]])
ELL = plan(**{**ONE, "outline": [[0, 0], [12000, 0], [12000, 6000], [6000, 6000], [6000, 12000], [0, 12000]]})


def lay(of, ratio=30.0):
    return edited(
        of, {"op": "lay_joints", "lines": proposal(of, Job(of).solid, Ways().joints, ratio), "ratio_n": ratio}
    )


def call(text, of=SLAB):
    return edited(of, {"op": "call_joint", "text": text})


def codes(of):
    return [row.code for row in findings(Job(of)) if row.stage == "screed"]


def test_a_layout_by_rule_passes_with_no_more_to_saw_than_the_plain_grid():
    for of, metres, panels in ((SLAB, 51.0, 12), (ELL, 48.0, 12)):
        laid = Job(lay(of))
        assert codes(laid.plan) == [] and laid.joints.saw_mm / 1000 <= metres + 1e-6
        told = report(laid)["joints"]
        assert len(told["panels"]) <= panels and told["violations"] == [] and told["depth_mm"] == pytest.approx(25.4)
        assert standing(STAGES[6], laid).words == "no strips"
    assert Job(SLAB).joints is None and standing(STAGES[6], Job(SLAB)).words == "no strips"


def test_what_the_other_rules_would_say_is_counted():
    laid = Job(lay(SLAB, 36.0)).joints
    assert laid.fails[36.0] == 0 and laid.fails[24.0] == len(laid.regions[0].found.panels)


def test_lines_are_called_from_corners_and_run_from_edge_to_edge():
    rows = [call("3000 e of A"), call("through D s", ELL), call("A to C")]
    ends = [tuple(sorted((row.start, row.end))) for one in rows for row in one.joints.lines]
    assert (
        ends[0] == ((3000, 0), (3000, 9000))
        and ends[1] == ((6000, 0), (6000, 6000))
        and ends[2] == ((0, 0), (12000, 9000))
    )
    taken = call("3000 e of A", call("6000 e of A"))
    assert (len(taken.joints.lines) == 2 and codes(taken) == ["joint-shape", "joint-long"]) or "joint-long" in codes(
        taken
    )


@pytest.mark.parametrize(
    "text, words",
    [
        ("3000 n of Z", "no corner Z"),
        ("somewhere", "not understood"),
        ("20000 e of A", "does not cross"),
        ("0 e of A", "edge of the slab"),
        ("A to B", "edge of the slab"),
        ("A to A", "two corners"),
        ("many n of A", "many"),
    ],
)
def test_bad_calls_are_refused_in_plain_words(text, words):
    with pytest.raises((EditError, CallError)) as caught:
        call(text)
    assert words in str(caught.value)


def test_a_joint_is_moved_made_otherwise_and_taken_out_by_its_id():
    here = call("3000 e of A")
    (row,) = here.joints.lines
    moved = edited(here, {"op": "move_joint", "joint": row.id, "to": [3500, 4500]})
    assert moved.joints.lines[0].start == (3500, 0) and moved.joints.lines[0].id == row.id
    assert edited(moved, {"op": "set_joint", "joint": row.id, "how": "tooled"}).joints.lines[0].how == "tooled"
    with pytest.raises(EditError, match="edge of the slab"):
        edited(here, {"op": "move_joint", "joint": row.id, "to": [0, 4500]})
    with pytest.raises(EditError, match="there already"):
        call("3000 e of A", here)
    gone = edited(here, {"op": "take_out_joint", "joint": row.id})
    with pytest.raises(EditError, match="somebody took it out"):
        edited(gone, {"op": "move_joint", "joint": row.id, "to": [3500, 4500]})
    again = edited(here, {"op": "lay_joints", "lines": [[[3000, 0], [3000, 9000]], [[6000, 0], [6000, 9000]]]})
    assert again.joints.lines[0].id == row.id  # the same line is the same joint


def test_corners_that_are_missed_or_nearly_met_are_said_by_name():
    laid = lay(ELL)
    through = [row for row in laid.joints.lines if (6000, 6000) in (row.start, row.end)]
    near = next(row for row in through if row.start[0] == row.end[0])
    missed = edited(laid, *({"op": "take_out_joint", "joint": row.id} for row in through if row is not near))
    mid = [near.start[0] - 50, (near.start[1] + near.end[1]) / 2]
    moved = edited(missed, {"op": "move_joint", "joint": near.id, "to": mid})
    rows = [row for row in findings(Job(moved)) if row.code == "joint-missing"]
    assert [row.words for row in rows] == ["A joint passes 50 mm beside corner D: the crack will find the corner."]
    gone = edited(missed, {"op": "take_out_joint", "joint": near.id})
    assert "joint-missing" in codes(gone) and "joint-bent" in codes(gone)


def test_an_isolated_opening_needs_no_joints_at_its_corners():
    plain = lay(HOLED)
    alone = edited(HOLED, {"op": "isolate_opening", "opening": HOLED.opening_ids[0]})
    assert len(isolated_corners(alone)) == 4
    apart = lay(alone)
    assert codes(plain) == [] and Job(apart).joints.saw_mm < Job(plain).joints.saw_mm
    assert "joint-missing" not in codes(apart) and Job(apart).joints.isolation_mm == pytest.approx(4000)
    assert edited(alone, {"op": "isolate_opening", "opening": HOLED.opening_ids[0], "on": False}).joints.isolated == []


def test_steps_between_thicknesses_are_joints_themselves_and_each_part_keeps_its_own_limit():
    types = [{"mark": "S1", "thickness_mm": 100}, {"mark": "S2", "thickness_mm": 150}]
    zones = [
        {"name": "thin", "slab": "S1"},
        {"name": "thick", "slab": "S2", "polygon": [[6000, 0], [12000, 0], [12000, 9000], [6000, 9000]]},
    ]
    two = plan(**{**ONE, "slab_types": types, "zones": zones})
    assert sorted(one.thick_mm for one in regions_of(Job(two).solid)) == [100, 150]
    laid = Job(lay(two)).joints
    assert sorted(one.found.limit_mm for one in laid.regions) == [3000, 4500]
    assert sum(math.dist(a, b) for a, b in laid.steps) == pytest.approx(9000, abs=10) and not laid.findings


def test_a_cut_over_tube_is_stopped_and_over_high_bars_is_said():
    steel = edited(lay(SLAB), {"op": "call_slab_steel", "slab": "S1", "text": "10 mm at 300 each way, top, 20 clear"})
    assert codes(steel) == ["joint-bar"]
    low = edited(lay(SLAB), {"op": "call_slab_steel", "slab": "S1", "text": "10 mm at 300 each way, middle"})
    assert codes(low) == []
    laid = lay(SLAB)
    tube = Within("tube", "tube", [[(0, 100), (12000, 100)]], 16.0, high_mm=70.0)
    high = joints_laid(laid, Job(laid).solid, Ways().joints, [tube])
    assert [row.code for row in high.findings] == ["joint-tube"] and "22 mm down" in high.findings[0].words
    deep = joints_laid(laid, Job(laid).solid, Ways().joints, [replace(tube, high_mm=30.0)])
    assert deep.findings == []


def test_a_stale_layout_is_checked_against_the_slab_as_it_is():
    laid = lay(SLAB)
    wider = edited(laid, {"op": "move_corner", "corner": laid.corner_ids[1], "x_mm": 14000, "y_mm": 0})
    rows = joints_checked(wider, Job(wider).solid, Ways().joints, [(row.start, row.end) for row in wider.joints.lines])
    assert rows[0].found.rules


def test_lines_that_may_stand_anywhere_stand_at_whole_inches_or_centimetres():
    ring = [(0.0, 0.0), (11_111.0, 0.0), (11_111.0, 8_765.0), (0.0, 8_765.0)]
    for grain in (25.4, 10.0):
        lines = lay_joints(ring, [], 100.0, JointRules(), grain_mm=grain)
        at = [a[0] if abs(a[0] - b[0]) < 1e-6 else a[1] for a, b in lines]
        assert lines and all(abs(mm / grain - round(mm / grain)) < 1e-6 for mm in at)


def test_a_column_gets_a_joint_of_its_own_round_or_on_its_point():
    post = {"name": "post", "kind": "column", "at": [6000, 4500], "size_mm": 200}
    of = plan(**ONE, underslab={"risers": [post]})
    name = of.underslab.risers[0].id
    diamond = edited(lay(of), {"op": "isolate_column", "column": name, "shape": "diamond"})
    found = Job(diamond).joints
    out = 100 + 304.8
    assert found.isolation_mm == pytest.approx(4 * out * math.sqrt(2))
    assert found.regions[0].region.area.area == pytest.approx(12000 * 9000 - 2 * out**2, rel=1e-3)
    assert "joint-missing" not in codes(diamond)
    told = {row.id: (row.shape, len(row.ring)) for row in Job(diamond).joints_told.columns}
    assert told == {name: ("diamond", 4)}
    round_one = edited(diamond, {"op": "isolate_column", "column": name, "shape": "round"})
    assert Job(round_one).joints.isolation_mm == pytest.approx(2 * math.pi * out, rel=0.01)
    assert edited(round_one, {"op": "isolate_column", "column": name}).joints.isolation == []
    with pytest.raises(EditError, match="not on this slab any more"):
        edited(of, {"op": "isolate_column", "column": "nobody", "shape": "round"})


def test_a_day_ends_at_a_bulkhead_that_nobody_saws_and_strips_need_not_meet_over_it():
    laid = edited(SLAB, {"op": "call_joint", "text": "6000 e of A"}, {"op": "call_joint", "text": "3000 e of A"})
    ends = edited(laid, {"op": "set_joint", "joint": laid.joints.lines[0].id, "how": "construction"})
    assert Job(laid).joints.saw_mm - Job(ends).joints.saw_mm == pytest.approx(9000)
    strips = edited(ends, {"op": "lay_strips", "pads": [], "strips": []})
    slow = Ways(screed=ScreedWays(rate_m2_h=20, boards_mm=[6500.0]))
    told = Job(strips, slow).screed_told
    assert [row.right.words for row in told.strips] == ["step board", "form"] or "step board" in told.strips[
        0
    ].left.words
    assert "strip-late" not in [row.code for row in Job(strips, slow).screed_findings]
    without = edited(strips, {"op": "set_joint", "joint": laid.joints.lines[0].id, "how": "sawn"})
    assert len(without.screed.strips) == 2 and len(Job(without, slow).screed.strips) == 1
