"""Runs and risers: called, levelled, sleeved, bedded; what is in whose way; what cannot be."""

import json
import math
from importlib.resources import files

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st
from shapely.geometry import Point, Polygon
from tests.plans import edited

from humble_trowel.core.errors import PlanError, TrowelError
from humble_trowel.core.geometry.faces import inward_mm
from humble_trowel.core.geometry.pipes import bottom_at, least_fall, outside_mm, round_mm, sleeve_mm, spot_at
from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.stages import STAGES, report, standing
from humble_trowel.core.underslab.profile import too_high
from humble_trowel.core.working import evaluate

FT, IN = 304.8, 25.4
DEMO = json.loads((files("humble_trowel.demo") / "jobs" / "honey-house.json").read_text())
BARE = read_plan({key: value for key, value in DEMO.items() if key != "underslab"})
D1 = "D1 4 drain from A to B 9', from J to A 9'; 12' s, 1/4, 16 down, to the settling tank, called floor drain"
D2 = "D2 2 drain from G to H 2' 6, from B to C 2' 6; 20' w, 2' s, 1/4, 7 1/2 down, called wash sink"


def run(text, plan=BARE):
    return edited(plan, {"op": "call_service", "text": text})


def riser(text, plan=BARE):
    return edited(plan, {"op": "add_riser", "text": text})


def codes(plan):
    found = Job(plan).underslab
    return [row.code for row in found.clashes] if found else []


def test_sizes_and_falls_at_and_about_their_steps():
    assert outside_mm(3 * IN) == pytest.approx(3.5 * IN) and outside_mm(110) == 110
    assert sleeve_mm(4 * IN) == 6 * IN and sleeve_mm(110) == 160  # two sizes larger: IRC P2603.4
    assert [round(1 / least_fall(size * IN)) for size in (2, 2.5, 3, 6, 8)] == [48, 48, 96, 96, 192]  # IPC 704.1
    with pytest.raises(ValueError, match="no sleeve"):
        sleeve_mm(12 * IN)


def test_a_run_is_walked_from_two_faces_and_levelled_from_its_fall():
    plan = run(D2)
    row, wash = plan.underslab.services[0], plan.underslab.risers[0]
    assert row.path[0] == wash.at == pytest.approx((33.5 * FT, 15.5 * FT))
    assert row.path[-1] == pytest.approx((13.5 * FT, 13.5 * FT)) and not row.guessed
    found = Job(plan).underslab.runs[0]
    assert (found.start_mm, found.end_mm) == (pytest.approx(-7.5 * IN), pytest.approx(-(7.5 + 22 / 4) * IN))
    assert [one.name for one in found.stations] == ["wash sink", "B1", "bend", "end"]
    assert [(one.name, one.size_text) for one in found.sleeves] == [("B1", "3″")]
    values = {symbol: item.value for symbol, item in found.bedding.inputs}
    assert evaluate(found.bedding.formula, values) == pytest.approx(found.bedding.value)
    m3 = 22 * FT / 1e9 * (12 * IN * (4 + 2.375 + 2) * IN - math.pi * (2.375 * IN / 2) ** 2)
    assert found.bedding_t == pytest.approx(m3 * 1.6, rel=1e-4)
    again = run("D2 from G to H 2' 6, from B to C 2' 6; 8' w".replace("D2", "D2 2 drain"), plan)
    assert len(again.underslab.services) == 1 and again.underslab.services[0].start_mm == row.start_mm


def test_a_riser_reads_its_faces_moves_with_its_run_and_follows_the_finished_face():
    plan = edited(run(D2), {"op": "set_faces", "face": "6"})
    shown = Job(plan).underslab.risers[0]
    assert [(one.name, one.face_text, one.board_text) for one in shown.faces] == [
        ("G to H", "2′", "2′-6″"), ("B to C", "2′", "2′-6″")
    ]  # fmt: skip
    moved = edited(plan, {"op": "move_riser", "riser": shown.id, "text": "from G to H 3', from B to C 4'"})
    assert moved.underslab.risers[0].at == pytest.approx((31.5 * FT, 14.5 * FT))
    assert moved.underslab.services[0].path[0] == moved.underslab.risers[0].at  # its run comes along
    gone = edited(moved, {"op": "take_out_buried", "what": "services", "ids": [moved.underslab.services[0].id]})
    assert gone.underslab.services == [] and len(gone.underslab.risers) == 1
    with pytest.raises(TrowelError, match="outside of the slab"):
        edited(plan, {"op": "move_riser", "riser": shown.id, "at": [-500, 0]})


def test_clashes_say_what_mends_them_and_the_act_mends_it():
    plan = run("W1 1 supply from G to H 0', from B to C 14'; 10' s, 10 1/2 down", run(D2))
    foam = Job(plan).underslab.clashes[0]
    assert foam.words == "D2 is 7/8″ up in the foam, for 3′-6″."
    assert codes(plan) == ["pipe-in-foam", "runs-cross"]
    for _ in range(4):
        if not codes(plan):
            break
        plan = edited(plan, *Job(plan).underslab.clashes[0].edits)
    assert codes(plan) == []
    assert standing(STAGES[3], Job(plan)).words == "2 runs"
    flat = run("D3 2 drain from A to B 9', from J to A 9'; 12' s, 1/8, 16 down")
    assert codes(flat) == ["drain-flat"] and codes(edited(flat, *Job(flat).underslab.clashes[0].edits)) == []
    high = run("C1 1 conduit from A to B 9', from J to A 9'; 6' n, 3 down")
    assert codes(high) == ["pipe-in-slab"] and codes(edited(high, *Job(high).underslab.clashes[0].edits)) == []
    along = run("C1 1 conduit from J to A 3 in, from A to B 4'; 12' n, 12 down")
    assert codes(along) == ["run-lengthwise"] and Job(along).underslab.runs[0].sleeves == []
    door = edited(riser("Post box 6 from A to B 2 in, from J to A 10'"), {"op": "call", "text": "door 3' 4 down 3/4 in 5 1/2 at 9'", "side": 0})  # fmt: skip
    assert codes(door) == ["riser-in-door"]
    small = edited(run(D1), {"op": "set_service", "service": 0, "changes": {"sleeve_mm": "5"}})
    assert codes(small) == ["sleeve-small"] and codes(edited(small, *Job(small).underslab.clashes[0].edits)) == []


@given(st.floats(0, 12), st.floats(0.5, 10), st.floats(0, 0.06), st.sampled_from([1, 2, 4]))
@example(2.0, 6.0, 0.0, 1)  # along the very border of the pit
@example(3.0, 6.0, 0.0, 1)  # through the pit
@settings(max_examples=25, deadline=None, derandomize=True)
def test_where_a_pipe_is_too_high_against_points(away, deep, fall, size):
    """Along a run over beams and falls: the stretches worked out hold exactly the points at which it is too high."""
    text = f"C1 {size} conduit from A to B {1 + away:.2f}', from B to C 2'; 31' w, {deep:.2f} down"
    plan = edited(run(text), {"op": "set_service", "service": 0, "changes": {"fall": fall}})
    job = Job(plan)
    service, found = plan.underslab.services[0], job.underslab.runs[0]
    solid, parts = job.solid, too_high(service, found.stretches, foam=False)
    for k in range(1, 200):
        s = found.length_mm * k / 200
        spot = spot_at(service, s)
        row = next((one for one in found.stretches if one.s0_mm < s < one.s1_mm), None)
        if row is None or row.part is not None or any(min(abs(s - a), abs(s - b)) < 3 for a, b, _ in parts):
            continue
        pits = [one for one in solid.recesses if Polygon(one.polygon).distance(Point(spot)) < 3]
        if any(Polygon(one.polygon).boundary.distance(Point(spot)) < 3 for one in pits):
            continue
        top = solid.top_at(spot) - sum(one.depth_mm for one in pits if one.keeps_thickness)
        under = top - solid.depth_at(*spot)
        over = bottom_at(service, s) + round_mm(service) > under + 1e-6
        assert over == any(a <= s <= b for a, b, _ in parts)


@pytest.mark.parametrize(
    ("edit", "error", "says"),
    [
        ({"op": "call_service", "text": "D1 3 drain from A to B 4', from C to D 6'; 8' w"}, TrowelError, "run the same way"),
        ({"op": "call_service", "text": "D1 3 drain from A to B 4'; 8' w"}, TrowelError, "From which other face"),
        ({"op": "call_service", "text": "D1 3 drain from A to B 4', from B to C 6'"}, TrowelError, "How far does it run"),
        ({"op": "call_service", "text": "D1 3 drain from A to B 4', from B to C 6'; 8' w, bananas"}, TrowelError, "Cannot read 'bananas'"),
        ({"op": "call_service", "text": "D1 3 drain from A to B 4, from B to C 6'; 8' w"}, TrowelError, "4 what"),
        ({"op": "call_service", "text": "D1 7 drain from A to B 4', from B to C 6'; 8' w"}, TrowelError, "No pipe of 7″ is sold"),
        ({"op": "call_service", "text": "D1 3 hose from A to B 4', from B to C 6'; 8' w"}, TrowelError, "What runs there"),
        ({"op": "add_riser", "text": "sink drain from A to B 60', from B to C 6'"}, TrowelError, "outside of the slab"),
        ({"op": "set_service", "service": 0, "changes": {"fall": "0"}}, TrowelError, "A drain falls"),
        ({"op": "set_service", "service": 0, "changes": {"fall": "-1/4"}}, TrowelError, "A drain falls"),
        ({"op": "set_service", "service": 0, "changes": {"sleeve_mm": "3"}}, TrowelError, "larger than its pipe"),
        ({"op": "call_service", "text": "D2 4 drain from A to B 2', from J to A 9'; 7' n, 20 down"}, PlanError, "circle of drains"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_said(edit, error, says):
    plan = run("D1 4 drain from A to B 9', from J to A 9'; 7' s, 1/4, 16 down")
    with pytest.raises(error, match=says):
        edited(plan, edit)


def test_a_bare_number_is_asked_with_the_whole_call_for_each_answer():
    with pytest.raises(TrowelError, match="4 what") as asked:
        run("D4 3 drain from A to B 4, from B to C 6'; 8' w")
    assert asked.value.choices[0] == "D4 3 drain from A to B 4', from B to C 6'; 8' w"


def test_the_report_and_an_outline_that_leaves_a_riser_behind():
    plan = run(D2)
    told = report(Job(plan))["underslab"]
    assert (
        told["services"][0]["length_m"] == pytest.approx(22 * 0.3048) and told["clashes"][0]["code"] == "pipe-in-foam"
    )
    assert told["risers"][0]["from_faces"][0]["side"] == "G to H"
    small = edited(plan, {"op": "keep_outline", "text": "20' e 16' n 20' w 16' s"})
    assert "riser-outside" in codes(small) and len(small.underslab.risers) == 1  # it is kept, and said
    ring = list(plan.outline)
    assert inward_mm(ring, 0, plan.underslab.risers[0].at) == pytest.approx(15.5 * FT)
    assert report(Job(BARE))["underslab"] is None
