"""Walls inside the slab, walked leg by leg; things set and joints cut in the order of the strips."""

import math

import pytest
from tests.core.test_embeds import FT, IN, SLAB, codes
from tests.plans import edited

from humble_trowel.core.errors import CallError, EditError, PlanError
from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.files.job_file import plan_data


def walk(text, of=SLAB, **more):
    return edited(of, {"op": "walk_wall", "text": text, **more})


def test_legs_are_walls_with_their_plates_middle_on_the_line():
    both = walk("from 12' e of A; 10' n, 6' e; studs at 16, door 3' at 4'")
    one, other = Job(both).embeds.walls
    assert (one.side, one.name, one.corner, one.far_corner) == (-1, "Inner wall 1", "s end", "n end")
    assert [bolt.spot[0] for bolt in one.bolts] == pytest.approx([12 * FT] * len(one.bolts)) and one.edge_mm == 0
    assert not any(4 * FT < bolt.at_mm < 7 * FT for bolt in one.bolts) and len(one.pieces) == 2
    assert other.a == pytest.approx((12 * FT, 10 * FT)) and other.run.openings == ()
    told = Job(both).embeds_told.walls[0]
    assert (told.far_corner, told.size_mm) == ("n end", pytest.approx(10 * FT))
    assert min(spot[0] for spot in told.outline) == pytest.approx(12 * FT - 5.5 * IN / 2)
    assert "plate-past" not in codes(both) and read_plan(plan_data(both)) == both


def test_one_is_said_anew_moved_and_its_bolts_are_called_from_either_end():
    wall = walk("from B; 8' n")
    name = wall.embeds.walls[0].id
    again = walk("bolts at 3'", wall, wall=name)
    assert again.embeds.walls[0].line == wall.embeds.walls[0].line and Job(again).embeds.walls[
        0
    ].apart_mm == pytest.approx(3 * FT)
    moved = walk("from 20' e of A; 8' n", again, wall=name).embeds.walls[0]
    assert moved.id == name and moved.line[0][0] == pytest.approx(20 * FT)
    first = Job(wall).embeds.walls[0].bolts[0].at_mm
    by_hand = edited(wall, {"op": "set_bolt", "wall": name, "was": first, "at": "from n end 7' 2"})
    assert by_hand.embeds.bolts[0].at_mm == pytest.approx(10 * IN)
    with pytest.raises(EditError, match="no end of"):
        edited(wall, {"op": "set_bolt", "wall": name, "was": None, "at": "from e 2'"})
    with pytest.raises(EditError, match="past the end of the wall"):
        edited(wall, {"op": "set_bolt", "wall": name, "was": None, "at": "9'"})


def test_posts_inside_get_brackets_and_everything_is_listed_after_the_sides():
    both = edited(
        walk("from 18' e of A; 12' n; posts every 6'"), {"op": "call_wall", "side": SLAB.corner_ids[1], "text": ""}
    )
    items = Job(both).setting.items
    kinds = [(item.kind, item.wall) for item in items]
    inside = both.embeds.walls[0].id
    assert kinds[-3:] == [("bracket", inside)] * 3 and all(wall != inside for _, wall in kinds[:-3])
    assert Job(both).embeds.straps[0].spot[0] == pytest.approx(18 * FT)


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("studs at 16", "Where does it run"), ("from 12' e; 8' n", "was not understood"), ("from A; 8 n", "8 what"),
        ("from 30' e of A; 8' e", "beside the slab"), ("from Q; 8' n", "no corner Q"), ("from A; 3' n; door 4' at 0", "wider than its wall"),
    ],
)  # fmt: skip
def test_a_walk_that_cannot_be_is_refused_in_plain_words(text, said):
    with pytest.raises((CallError, EditError), match=said):
        walk(text)
    with pytest.raises(CallError, match="one leg"):
        of = walk("from A; 8' n")
        walk("from A; 8' n, 4' e", of, wall=of.embeds.walls[0].id)


def test_a_file_says_a_side_or_a_line_not_both_nor_neither():
    walked = walk("from A; 8' n")
    for change in ({"side": SLAB.corner_ids[0]}, {"line": None}, {"line": [[0, 0], [0, 0]]}):
        data = plan_data(walked)
        data["embeds"]["walls"][0] |= change
        with pytest.raises(PlanError, match=r"embeds\.walls"):
            read_plan(data)


def test_things_are_set_and_joints_cut_in_the_order_of_the_strips():
    of = edited(SLAB, {"op": "walls_all_round"}, {"op": "lay_joints", "lines": [[[10 * FT, 0], [10 * FT, 18 * FT]], [[27 * FT, 0], [27 * FT, 18 * FT]], [[0, 9 * FT], [36 * FT, 9 * FT]]]})  # fmt: skip
    assert [item.strip for item in Job(of).embeds_told.items][:3] == [0, 0, 0]
    laid = edited(of, {"op": "call_screed", "text": "pad 18' e of A"}, {"op": "call_screed", "text": "strip 2 first"})
    told = Job(laid)
    strips = [item.strip for item in told.embeds_told.items]
    assert strips == sorted(strips) and set(strips) == {1, 2}
    assert all((item.spot[0] > 18 * FT) == (item.strip == 1) for item in told.embeds_told.items)
    assert told.embeds_told.items[0].strip_text == "0:40"
    cuts = [(line.strip, line.start[0] / FT) for line in told.joints_told.lines]
    assert [strip for strip, _ in cuts] == [1, 2, 2] and cuts[0][1] == pytest.approx(27) and math.isfinite(cuts[1][1])


def test_a_cut_across_a_bolted_wall_shows_its_plate_and_the_nearest_bolt():
    of = edited(SLAB, {"op": "call_wall", "side": SLAB.corner_ids[0], "text": "door 6' at 12'"})
    job = Job(of)
    bolt = job.embeds.walls[0].bolts[1]
    at = bolt.at_mm + 100
    through = job.section((at, -500), (at, 3000))
    plate, seen = (row for row in through.blocks if row.kind in ("plate", "bolt"))
    assert (plate.s0_mm, plate.s1_mm) == pytest.approx((500, 500 + 5.5 * IN)) and plate.top_mm == pytest.approx(
        1.5 * IN
    )
    assert seen.name == "1/2″ bolt, 3 15/16″ off" and seen.bottom_mm == pytest.approx(-7 * IN)
    assert seen.top_mm == pytest.approx(job.embeds.stick_up_mm) and (seen.s0_mm + seen.s1_mm) / 2 == pytest.approx(
        500 + 2.75 * IN
    )
    door = job.section((15 * FT, -500), (15 * FT, 3000))
    assert [row.kind for row in door.blocks if row.kind in ("plate", "bolt")] == ["bolt"]
    assert job.section((at, -500), (at, 3000), moving=True).blocks == []


def test_what_stands_up_of_other_stages_is_named_too():
    kerb = {"name": "curb", "path": [[1000, 3000], [9000, 3000]], "width_mm": 150, "height_mm": 100, "starter_mm": 600}
    risers = [
        {"name": "panel", "kind": "conduit", "at": [1000, 1000], "size_mm": 25},
        {"name": "wc", "kind": "drain", "at": [2000, 2000], "size_mm": 100},
    ]
    of = read_plan(plan_data(SLAB) | {"kerbs": [kerb], "underslab": {"risers": risers}})
    found = [(row.name, row.what, row.count, row.lens) for row in Job(of).stands_up]
    assert found == [("Kerbs", "starters", 14, "steel"), ("panel", "conduit", 1, "underslab")]
