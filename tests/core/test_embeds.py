"""What sticks up: walls along sides, bolts by rule and by hand, straps, groups, what is doubtful, what was set."""

import itertools
import math

import pytest
from tests.plans import edited, plan

from humble_trowel.core.calls.embed_calls import read_group, read_strap, read_wall
from humble_trowel.core.embeds.record_kinds import EmbedSetKind
from humble_trowel.core.embeds.records import EmbedSet
from humble_trowel.core.errors import CallError, EditError, InputError, PlanError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, findings, report, standing

IN, FT = 25.4, 304.8
RING = [[0, 0], [36 * FT, 0], [36 * FT, 18 * FT], [0, 18 * FT]]
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 18 * IN, "bottom_width_mm": 12 * IN}
SLAB = plan(
    units="ft-in", outline=RING, slab_types=[{"mark": "S1", "thickness_mm": 5 * IN}], zones=[{"name": "all", "slab": "S1"}],
    edge_types=[EDGE], edges=[{"type": "E1", "sides": [0, 1, 2, 3]}],
    pad_types=[{"mark": "P1", "shape": "rectangle", "width_mm": 900, "length_mm": 900, "depth_mm": 16 * IN}], pads=[{"type": "P1", "at": [3000, 3000]}],
)  # fmt: skip


def side(n, of=SLAB):
    return of.corner_ids[n]


def wall(text="", n=0, of=SLAB, **more):
    return edited(of, {"op": "call_wall", "side": side(n), "text": text, **more})


def laid(of, n=0):
    return Job(of).embeds.walls[n]


def inches(bolts):
    return [round(bolt.at_mm / IN, 3) for bolt in bolts]


def codes(of, crew=None):
    return [row.code for row in findings(Job(of, crew) if crew else Job(of)) if row.stage == "embeds"]


def test_a_wall_is_taken_from_a_side_and_its_bolts_stand_where_a_count_says():
    one = laid(wall("plates of 20', bolts at 6'"))
    assert (one.start_mm, one.end_mm, one.corner) == (0, pytest.approx(36 * FT), "A")
    assert one.edge_mm == pytest.approx(2.75 * IN) and one.run.joints == (pytest.approx(20 * FT),)  # 20 ft is on a stud
    counts = [piece.bolts for piece in one.pieces]
    assert counts == [1 + math.ceil((240 - 24) / 72), 1 + math.ceil((192 - 24) / 72)]
    assert all(min(abs(at - 16 * k) for k in range(28)) >= 2.25 - 1e-6 for at in inches(one.bolts))
    assert codes(wall()) == []
    tighter = laid(wall("bolts at 4'"))
    assert len(tighter.bolts) > len(laid(wall()).bolts)
    assert all(
        b - a <= 48.001 for a, b in zip(inches(tighter.bolts), inches(tighter.bolts)[1:], strict=False) if b - a > 12
    )


def test_walls_all_round_run_through_at_their_start_and_butt_at_their_end():
    job = Job(edited(SLAB, {"op": "walls_all_round"}))
    plate = 5.5 * IN
    assert [round(one.end_mm - one.start_mm) for one in job.embeds.walls] == [
        round(size - plate) for size in (36 * FT, 18 * FT, 36 * FT, 18 * FT)
    ]
    assert job.embeds.counts["strap"] == 8 and standing(STAGES[5], job).state == "tight"
    assert job.embeds.spare == math.ceil(job.embeds.counts["bolt"] * 0.05)
    with pytest.raises(EditError, match="Every side has a wall"):
        edited(job.plan, {"op": "walls_all_round"})
    told = report(job)["embeds"]
    assert [len(one["bolts"]) for one in told["walls"]] == [len(one.bolts) for one in job.embeds.walls]
    assert told["walls"][0]["bolts"][0]["edge_mm"] == pytest.approx(2.75 * IN) and told["counts"] == job.embeds.counts


def test_at_an_inside_corner_walls_meet_without_a_strap():
    ell = plan(units="mm", outline=[[0, 0], [9000, 0], [9000, 4000], [5000, 4000], [5000, 8000], [0, 8000]])
    job = Job(edited(ell, {"op": "walls_all_round"}))
    assert job.embeds.counts["strap"] == 10  # five outside corners
    plate = 5.5 * IN
    sizes = [round(one.end_mm - one.start_mm) for one in job.embeds.walls]
    assert sizes == [
        round(size - cut)
        for size, cut in ((9000, plate), (4000, plate), (4000, 0), (4000, plate), (5000, plate), (8000, plate))
    ]


def test_a_door_ends_the_plate_and_its_studs_keep_bolts_away():
    one = laid(wall("door 3' 2 at 10'"))
    assert [(round(p.start_mm / IN), round(p.end_mm / IN)) for p in one.pieces][:2] == [(0, 120), (158, 352)] or next(
        p.end_mm for p in one.pieces
    ) == pytest.approx(120 * IN)
    assert not any(120 < at < 158 for at in inches(one.bolts))
    assert min(abs(at - stud) for at in inches(one.bolts) for stud in (117.75, 119.25, 158.75, 160.25)) >= 2.25 - 1e-6


def test_what_comes_whole_or_on_posts_has_no_bolts():
    whole = Job(wall("comes whole"))
    assert whole.embeds.counts == {} and whole.embeds.walls[0].comes == "whole"
    posts = Job(wall("posts at 8', from 1', to 35'"))
    at = [round(one.at_mm / IN) for one in posts.embeds.straps]
    assert posts.embeds.counts == {"bracket": 6} and max(b - a for a, b in itertools.pairwise(at)) <= 96
    thin = edited(SLAB, {"op": "call_strap", "side": side(0), "text": "bracket at 10'"})
    assert codes(thin.model_copy(update={"edges": []})) == ["bracket-thin"] and codes(thin) == []


@pytest.mark.parametrize(
    "text, code",
    [
        ("from 0', to 9", "bolt-none"),
        ("studs at 4", "bolt-none"),
        ("2 out", "plate-past"),
        ("20 in", "bolt-deep"),
    ],
)
def test_what_does_not_go_is_said_with_the_way_out(text, code):
    rows = [row for row in findings(Job(wall(text))) if row.code == code]
    assert rows and all(row.remedy for row in rows)
    if text.endswith("9"):
        assert "cannot take two bolts" in rows[0].words and "Strap it" in rows[0].remedy


@pytest.mark.parametrize(
    "text, words",
    [
        ("to 40'", "past its side"),
        ("door 40' at 1'", "wider than its wall"),
        ("door 3' at 35'", "past the wall's end"),
        ("door 3' at 4', door 3' at 5'", "past another"),
        ("stoods at 16", "stoods"),
        ("studs at 1", "100"),
        ("door wide", "as a whole"),
    ],
)
def test_bad_walls_are_refused_in_plain_words(text, words):
    with pytest.raises((EditError, CallError)) as caught:
        wall(text)
    assert words in str(caught.value)


def test_a_bolt_is_moved_by_hand_kept_with_a_reason_and_given_back_to_the_rules():
    here = wall()
    one = laid(here)
    bolt, piece = one.bolts[1], one.pieces[0]
    others = [b.at_mm for b in one.bolts if piece.start_mm <= b.at_mm <= piece.end_mm and b is not bolt]
    move = {"op": "set_bolt", "wall": one.id, "was": bolt.at_mm, "others": others}
    moved = edited(here, {**move, "at": "5' 4"})
    assert 64.0 in inches(laid(moved).bolts) and codes(moved) == ["bolt-rule"]
    assert len(moved.embeds.bolts) == len(others) + 1  # all of its piece are by hand from then on
    back = edited(moved, {**move, "was": 64 * IN, "at": "from B 30' 7"})
    assert 65.0 in inches(laid(back).bolts)
    kept = edited(moved, {**move, "was": 64 * IN, "at": 64 * IN, "reason": "the framer notches the stud"})
    assert codes(kept) == ["bolt-kept"]
    assert len(laid(edited(moved, {**move, "was": 64 * IN, "at": ""})).bolts) == len(one.bolts) - 1
    ruled = edited(moved, {"op": "bolts_by_rule", "wall": one.id})
    assert inches(laid(ruled).bolts) == inches(one.bolts)
    for said, words in (("40'", "past the end"), ("from C 3'", "no end of"), ("", None)):
        if words:
            with pytest.raises(EditError, match=words):
                edited(here, {**move, "at": said})
    with pytest.raises(EditError, match="stands there already"):
        edited(here, {**move, "at": others[0]})


def test_a_hand_bolt_in_a_new_door_is_said_and_never_dropped():
    one = laid(wall())
    hand = edited(wall(), {"op": "set_bolt", "wall": one.id, "at": "11'", "others": []})
    doored = edited(hand, {"op": "call_wall", "side": side(0), "text": "door 4' at 10'", "wall": one.id})
    assert 132.0 in inches(laid(doored).bolts) and "bolt-rule" in codes(doored)


def test_bolts_keep_clear_of_bars_that_lie_across_and_bars_along_are_said():
    caged = edited(wall(), {"op": "call_cage", "of": "edge", "mark": "E1", "text": "2 #5 bottom, 2 #5 top"})
    matted = edited(caged, {"op": "call_slab_steel", "slab": "S1", "text": "#4 at 16 each way, top, 1 1/2 clear"})
    job = Job(matted)
    one = job.embeds.walls[0]
    assert one.run.blocked and all(not low < bolt.at_mm < high for bolt in one.bolts for low, high in one.run.blocked)
    rows = [row for row in findings(job) if row.code == "bolt-bar"]
    assert len(rows) <= len(job.steel.bars) and all("Tie it aside" in row.remedy for row in rows)


def test_straps_brackets_and_groups():
    rowed = edited(SLAB, {"op": "call_strap", "side": side(1), "text": "bracket every 6'"})
    assert [round(row.at_mm / FT) for row in rowed.embeds.straps] == [0, 6, 12, 18]
    again = edited(
        rowed, {"op": "call_strap", "side": side(1), "text": "hold-down at 7'", "strap": rowed.embeds.straps[1].id}
    )
    assert again.embeds.straps[1].what == "hold-down" and len(again.embeds.straps) == 4
    assert len(edited(again, {"op": "take_out_strap", "strap": again.embeds.straps[0].id}).embeds.straps) == 3
    group = {"op": "call_group", "text": "4 3/4 bolts at 8 by 6, 12 deep, 3 up", "name": "Hoist"}
    good = edited(SLAB, {**group, "at": [3000, 3000]})
    (spots,) = [one.spots for one in Job(good).embeds.groups]
    assert {round(math.dist(spots[0], spot) / IN, 3) for spot in spots[1:]} == {8.0, 6.0, 10.0} and codes(good) == []
    assert codes(edited(SLAB, {**group, "at": [6000, 2500]})) == ["bolt-deep"]
    assert codes(edited(SLAB, {**group, "at": [50, 2500]})) == ["bolt-outside"]
    for text in ("4 3/4 bolts at 8", "bolts", "5 3/4 bolts at 6, 12 deep, 3 up", "4 3/4 bolts at 8, 12 deep, -3 up"):
        with pytest.raises((CallError, EditError)):
            edited(SLAB, {**group, "at": [3000, 3000], "text": text})
    for text in ("strap", "hold-down at 40'", "bracket every 1/16"):
        with pytest.raises((CallError, EditError)):
            edited(SLAB, {"op": "call_strap", "side": side(0), "text": text})


def test_calls_give_the_names_of_the_plan():
    assert read_wall("5 1/2 plate, posts every 8', 1 1/2 out", "ft-in") == {
        "plate_mm": pytest.approx(139.7), "comes": "posts", "post_mm": pytest.approx(8 * FT), "in_mm": pytest.approx(-38.1), "doors": [],
    }  # fmt: skip
    assert read_strap("leave-out at 1800, 400 wide", "mm") == {
        "what": "leave-out",
        "at_mm": 1800,
        "every": False,
        "width_mm": 400,
    }
    assert read_group("3 by 2 20 bolts at 150 by 200, 300 deep, 80 up, turn 45", "mm")["along_mm"] == 200


def test_what_was_set_is_counted_and_what_moved_since_is_said():
    here = wall()
    one = laid(here)
    first, second = one.bolts[:2]
    rows = [
        ("1", EmbedSet(of=one.id, at_mm=first.at_mm)), ("2", EmbedSet(of=one.id, at_mm=second.at_mm, is_set=False, why="a bar is in the way")),
        ("3", EmbedSet(of=one.id, at_mm=3333.0)),
    ]  # fmt: skip
    job = Job(here, Ways(), SiteRecords(rows))
    states = [item.state for item in job.setting.items if item.kind == "bolt"]
    assert states[:3] == ["set", "cannot", "open"] and job.setting.strays == [(one.id, 3333.0)]
    assert job.setting.items[2 + 1].was_mm in (3333.0, None)
    found = [row for row in findings(job) if row.stage == "embeds"]
    assert [row.code for row in found] == ["embed-not-set", "embed-stray"] and "a bar is in the way" in found[0].words
    assert standing(STAGES[5], job).words == "2 to look at"
    newer = Job(here, Ways(), SiteRecords([*rows[:2], ("4", EmbedSet(of=one.id, at_mm=second.at_mm))]))
    assert [item.state for item in newer.setting.items if item.kind == "bolt"][:2] == ["set", "set"]
    kind = EmbedSetKind()
    for values, path in (
        (EmbedSet(of="gone", at_mm=1.0), "of"), (EmbedSet(of=one.id), "at_mm"), (EmbedSet(of=one.id, at_mm=1.0, is_set=False), "why"),
    ):  # fmt: skip
        with pytest.raises(InputError) as caught:
            kind.check(job, values)
        assert caught.value.path == path
    assert kind.sentence(job, rows[1][1]).endswith("not set, a bar is in the way")


def test_files_with_what_cannot_be_are_refused_and_lost_sides_are_said():
    lost = plan(
        **{
            **SLAB.model_dump(mode="json", exclude_defaults=True),
            "embeds": {"walls": [{"name": "old", "side": "c-gone"}]},
        }
    )
    assert codes(lost) == ["wall-lost"]
    for embeds, words in (
        ({"bolts": [{"wall": "w", "at_mm": 1}]}, "no wall"),
        ({"walls": [{"name": "a", "side": "0", "doors": [{"at_mm": 0, "width_mm": 900}, {"at_mm": 500, "width_mm": 900}]}]}, "over each other"),
        ({"walls": [{"name": "a", "side": "0", "from_mm": 9, "to_mm": 3}]}, "ends before it starts"),
    ):  # fmt: skip
        with pytest.raises(PlanError, match=words):
            plan(units="mm", outline=[[0, 0], [9000, 0], [9000, 6000], [0, 6000]], embeds=embeds)
