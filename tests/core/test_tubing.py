"""Tubing of a job: rooms by zone or walked, loops, coils, what a saw would reach, and what cannot be."""

import itertools
import math

import pytest
from tests.core.test_underslab import BARE, FT, IN, riser
from tests.plans import edited, plan

from humble_trowel.core.errors import InputError, PlanError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, findings, report, standing
from humble_trowel.core.underslab.record_kinds import LineTestKind
from humble_trowel.core.underslab.records import LineTest

MANIFOLD = riser("hub manifold 4 from A to B 8', from J to A 21'")
ZONES = {zone.name: zone.id for zone in BARE.zones}
WARM = edited(MANIFOLD, {"op": "heat_zone", "zone": ZONES["Bottling"]})


def codes(of):
    return [row.code for row in findings(Job(of)) if row.code.startswith("tube")]


def test_a_zone_is_warmed_in_loops_of_one_coil_and_left_cold_again():
    found = Job(WARM).tubing
    assert found.rooms == ["Bottling"] and found.manifold == "hub" and codes(WARM) == []
    assert sum(loop.length_mm for loop in found.loops) == pytest.approx(found.total_mm)
    assert all(loop.length_mm <= found.longest_mm == 91_440 for loop in found.loops)  # 1/2 in: 300 ft
    for coil in found.coils:
        assert math.fsum(coil.cuts_mm) <= coil.long_mm
    assert sorted(n for coil in found.coils for n in coil.loops) == [loop.n for loop in found.loops]
    told = report(Job(WARM))["tubing"]
    assert told["total_m"] == pytest.approx(found.total_mm / 1000) and len(told["coils"]) == len(found.coils)
    assert found.ties == math.ceil(found.total_mm / 609.6)
    cold = edited(WARM, {"op": "heat_zone", "zone": ZONES["Bottling"], "on": False})
    assert Job(cold).tubing is None and cold.underslab.heated == []


def test_legs_are_called_from_the_manifold_and_add_up():
    loop = Job(WARM).tubing.loops[0]
    assert all(call.split()[-1] in ("n", "e", "s", "w", "ne", "nw", "se", "sw") for call in loop.calls)
    assert len(loop.calls) > 10 and loop.id.endswith(".1")


def test_a_room_is_walked_like_a_tape_and_takes_its_floor_from_those_after_it():
    walked = edited(WARM, {"op": "call_room", "text": "Kitchen room from A to B 2', from J to A 2'; 9' e, 8' n, 9' w"})
    found = Job(walked).tubing
    assert found.rooms == ["Bottling", "Kitchen"] and {loop.room for loop in found.loops} == {"Bottling", "Kitchen"}
    kitchen = next(loop for loop in found.loops if loop.room == "Kitchen")
    assert kitchen.leader_mm > 2 * 8 * FT  # it goes there through another zone
    gone = edited(walked, {"op": "take_out_heated", "ids": [walked.underslab.heated[1].id]})
    assert Job(gone).tubing.rooms == ["Bottling"]
    over = edited(WARM, {"op": "call_room", "text": "Inside room from A to B 6', from J to A 24'; 4' e, 4' n, 4' w"})
    assert "tube-room" in codes(over)  # its floor is Bottling's already


def test_no_manifold_a_long_loop_and_a_wide_bend_are_said():
    bare = edited(BARE, {"op": "heat_zone", "zone": ZONES["Bottling"]})
    assert codes(bare) == ["tube-manifold"] and Job(bare).tubing.loops == []
    short = edited(WARM, {"op": "set_tubing", "changes": {"longest_mm": "60"}})
    assert len(Job(short).tubing.loops) > len(Job(WARM).tubing.loops)
    stiff = edited(WARM, {"op": "set_tubing", "changes": {"bend_mm": "24", "spacing_mm": "6"}})
    assert "tube-bend" in codes(stiff)
    tiny = edited(WARM, {"op": "set_tubing", "changes": {"longest_mm": "9"}})
    assert "tube-long" in codes(tiny)


def test_tube_that_a_saw_would_reach_is_a_clash_with_the_act_that_mends_it():
    high = edited(WARM, {"op": "set_tubing", "changes": {"high_mm": "2 1/2"}})
    clash = Job(high).tubing.clashes[0]
    assert codes(high) == ["tube-saw"] and "1″ into Bottling" in clash.words and clash.act == "Tie it lower"
    assert standing(STAGES[3], Job(high)).words == "0 runs" or "clash" in standing(STAGES[3], Job(high)).words
    mended = edited(high, *clash.edits)
    assert codes(mended) == [] and mended.underslab.tubing.high_mm == pytest.approx(1.5 * IN)
    thin = plan(slab_types=[{"mark": "S1", "thickness_mm": 60}], underslab={"heated": [{"name": "all", "zone": "all"}], "risers": [{"name": "m", "kind": "manifold", "at": [0, 2000], "size_mm": 50}]})  # fmt: skip
    assert not Job(thin).tubing.clashes[0].edits and thin.underslab.heated[0].zone == thin.zones[0].id


@pytest.mark.parametrize(
    ("edit", "words"),
    [
        ({"op": "heat_zone", "zone": "gone"}, "not on this slab"),
        ({"op": "call_room", "text": "Nook room from A to B 4', from J to A 4'"}, "three sides"),
        (
            {"op": "call_room", "text": "Nook room from A to B 4', from J to A 4'; 5' e, 5' w, 3' e"},
            "crosses itself|no floor",
        ),
        (
            {"op": "call_room", "text": "Nook room from A to B 4', from J to A 90'; 5' e, 5' n, 5' w"},
            "outside of the slab",
        ),
        ({"op": "set_tubing", "changes": {"spacing_mm": "1/2"}}, "twice their size"),
        ({"op": "set_tubing", "changes": {"spacing_mm": "9 ft"}}, "no more than 4 ft"),
        ({"op": "set_tubing", "changes": {"pattern": "zigzag"}}, "no size for tube"),
        ({"op": "set_tubing", "changes": {"size_mm": "0"}}, "no size for tube"),
        ({"op": "take_out_heated", "ids": ["gone"]}, "not on this slab"),
    ],
)
def test_what_cannot_be_is_said(edit, words):
    with pytest.raises(TrowelError, match=words):
        edited(WARM, edit)


def test_a_room_of_a_zone_that_is_gone_and_a_room_that_is_nowhere():
    lost = plan(underslab={"heated": [{"name": "attic", "zone": "zgone"}], "risers": [{"name": "m", "kind": "manifold", "at": [0, 2000], "size_mm": 50}]})  # fmt: skip
    assert codes(lost)[0] == "tube-room"
    with pytest.raises(PlanError, match="one of them"):
        plan(underslab={"heated": [{"name": "attic"}]})


def test_things_in_the_way_keep_tube_off_and_a_metric_job_reads_metric():
    site = plan(
        openings=[[[2000, 1500], [2600, 1500], [2600, 2100], [2000, 2100]]],
        underslab={"heated": [{"name": "all", "zone": "all"}], "tubing": {"size_mm": 16, "spacing_mm": 200}, "risers": [{"name": "m", "kind": "manifold", "at": [0, 2000], "size_mm": 50}, {"name": "gully", "kind": "floor-drain", "at": [4500, 2000], "size_mm": 110}]},
    )  # fmt: skip
    found = Job(site).tubing
    assert found.size_text == "16 mm" and found.longest_text == "100.0 m" and len(found.kept_out) == 3
    for x, y in (spot for loop in found.loops for spot in loop.points):
        assert math.dist((x, y), (4500, 2000)) > 300 and not (1990 < x < 2610 and 1490 < y < 2110)


def test_what_sits_in_the_concrete_is_left_in_under_one_in_a_hundred_and_comes_off_over_it():
    found = Job(WARM).displaced
    assert found.tube_m3 == pytest.approx(math.pi * 0.0159**2 / 4 * Job(WARM).tubing.total_mm / 1000)
    assert not found.over and "left in the order" in found.words and codes(WARM) == []
    posts = [{"name": f"p{i}", "kind": "column", "at": [600 + 900 * i, 2000], "size_mm": 210} for i in range(6)]
    crowded = plan(underslab={"risers": posts})  # 6 x 4 m, 100 thick: 6 posts of 0.21 m are 1.1 %
    told = Job(crowded).displaced
    assert told.over and told.columns_m3 == pytest.approx(6 * 0.21**2 * 0.1)
    numbers, whole = Job(crowded).numbers, Job(plan()).numbers
    row = next(row for row in numbers.allowances if row.key == "displaced")
    assert row.m3 == pytest.approx(-told.all_m3) and "comes off" in row.reason
    assert numbers.ordered.need.value == pytest.approx(whole.ordered.need.value - told.all_m3)
    fewer = plan(underslab={"risers": posts[:5]})
    assert not Job(fewer).displaced.over and Job(BARE).displaced is None
    assert Job(fewer).off_the_order is None


def test_a_drag_leaves_what_comes_off_as_it_was_only_far_from_the_limit():
    posts = [{"name": f"p{i}", "kind": "column", "at": [600 + 900 * i, 2000], "size_mm": 210} for i in range(6)]
    for site, stays in (
        (WARM, True),
        (plan(underslab={"risers": posts[:5]}), False),
        (plan(underslab={"risers": posts}), False),
    ):
        before = Job(site)
        assert before.far_from_off(before.plan) == stays
        wider = site.model_copy(update={"outline": [(x * 1.2, y) for x, y in site.outline]})
        drafted = Job(wider, before=before).draft_figure(before)
        assert drafted.concrete.ordered.need.value == Job(wider).numbers.ordered.need.value
    dug = WARM.model_copy(update={"underslab": WARM.underslab.model_copy()})
    assert not Job(WARM).far_from_off(dug)  # something buried is being changed


def test_tube_shows_in_a_cut_at_its_height_and_is_a_line_under_test_of_its_own():
    job = Job(WARM)
    across = [(0.0, 2000.0), (40 * FT, 2000.0)]
    cut = job.section(*across)
    tubes = [row for row in cut.blocks if row.kind == "tube"]
    crossed = [
        leg
        for loop in job.tubing.loops
        for leg in itertools.pairwise(loop.points)
        if (leg[0][1] - 2000) * (leg[1][1] - 2000) < 0
    ]
    assert len(tubes) == len(crossed) > 4
    thick = next(cell.thickness_mm for cell in job.solid.cells if cell.name == "Bottling")
    for row in tubes:
        assert (row.top_mm + row.bottom_mm) / 2 == pytest.approx(38.1 - thick) and row.s1_mm - row.s0_mm >= 15.9 - 1e-6
    assert not [row for row in job.section(*across, moving=True).blocks if row.kind == "tube"]
    line = next(line for line in job.tested.lines if line.kind == "tubing")
    assert (line.runs, line.run_names, line.need_text, line.hold_min) == ([], ["Bottling"], "100 psi", 30)
    said = {"rooms": line.rooms, "how": "pressure", "started": "2026-06-14T09:40:00", "start_kpa": 700, "watched": True}
    ended = LineTest.model_validate({**said, "ended": "2026-06-14T10:05:00", "end_kpa": 700})
    LineTestKind().check(job, ended)
    told = Job(WARM, records=SiteRecords([("t", ended)])).tested.lines[-1].told
    assert (told.state, told.words) == ("short", "Stood 25 of 30 min.")
    with pytest.raises(InputError, match="not on this slab"):
        LineTestKind().check(job, LineTest.model_validate({**said, "rooms": ["gone"]}))
