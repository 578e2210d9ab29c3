"""Strips: parts between guides, boards, order and reach; pads with the rod; calls; a plan by rule."""

import math
from dataclasses import replace

import pytest
from tests.plans import edited, plan

from humble_trowel.bench.rows import demo_plan
from humble_trowel.core.errors import CallError, EditError, InputError, PlanError
from humble_trowel.core.geometry.top_faces import faces_of, tops_of
from humble_trowel.core.ground.records import SetUp
from humble_trowel.core.job import Job
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.core.screed.check import Fault
from humble_trowel.core.screed.doubts import doubts
from humble_trowel.core.screed.propose import proposed
from humble_trowel.core.screed.records import PadSet
from humble_trowel.core.screed.struck import rod_steps, say_verdict
from humble_trowel.core.stages import STAGES, report, standing

FT = 304.8
RING = [[0, 0], [12000, 0], [12000, 9000], [0, 9000]]
ONE = {
    "units": "mm",
    "outline": RING,
    "slab_types": [{"mark": "S1", "thickness_mm": 100}],
    "zones": [{"name": "all", "slab": "S1"}],
}
WIDE = plan(**ONE)
ELL = plan(**{**ONE, "outline": [[0, 0], [12000, 0], [12000, 4000], [6000, 4000], [6000, 8000], [0, 8000]]})


def by_rule(of, ways=None):
    job = Job(of, ways or Ways())
    return proposed(of, job.solid, job.ways.screed).on(of)


def codes(of, ways=None):
    return [row.code for row in Job(of, ways or Ways()).screed_findings]


def call(text, of=WIDE):
    return edited(of, {"op": "call_screed", "text": text})


def owning(**more):
    return Ways(screed=ScreedWays(**more))


def test_a_dish_is_cut_into_its_facets_and_a_line_parts_what_it_crosses():
    tops = tops_of(Job(demo_plan("honey-house")).solid.cells)
    assert len(tops) == 7 and sum(top.area.area for top in tops) / FT**2 == pytest.approx(864)
    level = tops_of(Job(WIDE).solid.cells)
    short = faces_of(level, [((6000.0, 2.0), (6000.0, 8997.0))])  # brought over the edge at both ends
    assert sorted(face.area.area / 1e6 for face in short) == pytest.approx([54, 54])
    assert len(faces_of(level, [((6000.0, 2.0), (6000.0, 5000.0))])) == 1  # one that ends inside parts nothing


def test_the_demo_has_one_strip_that_is_short_and_the_press_that_is_offered_mends_it():
    job = Job(demo_plan("honey-house"))
    (short,) = [row for row in job.screed_findings if row.severity == "check"]
    assert short.words == "Strip 6: the 16′ board is 9″ short. It wants 16′-9″." and "18′" in short.remedy
    assert standing(STAGES[6], job).words == "1 strip short"
    strip = job.screed_told.strips[5]
    assert (strip.left.words, strip.right.words, strip.short_text) == ("pad line u", "step board", "9″")
    assert strip.wide_mm == pytest.approx(16 * FT) and strip.needed_mm == pytest.approx(16.75 * FT)
    mended = edited(job.plan, {"op": "lay_pad_line", "ends": strip.remedy.ends})
    assert "strip-board" not in codes(mended) and len(mended.screed.strips) == 8
    assert [row.id for row in mended.screed.strips[:6]] == [row.id for row in job.plan.screed.strips[:6]]
    told = report(Job(mended))["screed"]
    assert told["violations"] == [] and told["strips"][5]["guides"][0] == "wet" and told["pads"] == 10


def test_by_rule_the_fewest_lines_that_the_boards_can_do():
    for of, boards, lines in (
        (WIDE, {}, 1),
        (WIDE, {"boards_mm": [9500.0]}, 0),
        (ELL, {}, 1),
        (plan(**{**ONE, "outline": [[0, 0], [40000, 0], [40000, 3000], [0, 3000]]}), {}, 0),
    ):
        laid = by_rule(of, owning(rate_m2_h=200, **boards))
        assert len(laid.screed.pads) == lines and codes(laid, owning(rate_m2_h=200, **boards)) == []
    few = owning(boards_mm=[2000.0], vibrating_mm=[])
    assert len(by_rule(WIDE, few).screed.pads) >= 5
    none = owning(boards_mm=[], vibrating_mm=[])
    assert "strip-board" in codes(by_rule(WIDE, none), none)


def test_a_board_that_is_not_there_does_not_pass_or_is_kept_by_name():
    said = call("strip 1 with 9.4 m", by_rule(WIDE, owning(boards_mm=[9500.0])))
    assert "strip-board" in codes(said) and Job(said).screed_told.strips[0].own_board
    walls = [
        {
            "name": name,
            "what": "wall",
            "polygon": [[0, y], [12000, y], [12000, y + 200], [0, y + 200]],
            "level_mm": 2000,
        }
        for name, y in (("north", 4000), ("south", -200))
    ]
    between = plan(**{**ONE, "outline": [[0, 0], [12000, 0], [12000, 4000], [0, 4000]], "existing": walls})
    bare = edited(between, {"op": "lay_strips", "pads": [], "strips": []})
    for board, said in ((3960.0, []), (3990.0, ["strip-clear"]), (3890.0, ["strip-board"])):
        assert codes(bare, owning(boards_mm=[board], vibrating_mm=[])) == said


def test_an_l_without_a_line_cannot_be_pulled_in_one():
    whole = edited(ELL, {"op": "lay_strips", "pads": [], "strips": []})
    (guide,) = [row for row in Job(whole).screed_findings if row.code == "strip-guide"]
    assert "inside corner" in guide.remedy and Job(whole).screed_told.strips[0].remedy is not None


def test_strips_are_called_put_in_order_and_turned():
    laid = call("pad 3000 n of A", call("pad 6000 n of A"))
    names = [row.id for row in laid.screed.strips]
    assert len(names) == 3 and len(laid.screed.pads) == 2
    first = call("strip 3 first", laid)
    assert [row.id for row in first.screed.strips] == [names[2], *names[:2]]
    assert [row.id for row in call("strip 1 after 2", laid).screed.strips] == [names[1], names[0], names[2]]
    turned = Job(call("strip 2 toward w", laid)).screed_told.strips[1]
    assert turned.toward == "west" and turned.own_way
    there = call("stand 2000 w 500 n of A by barrows", laid).screed.standing[0]
    assert there.at == (-2000, 500) and there.brings == "barrow"
    moved = edited(laid, {"op": "move_pad_line", "pad": laid.screed.pads[0].id, "to": [1000, 5000]})
    assert moved.screed.pads[0].start[1] == pytest.approx(5000) and [row.id for row in moved.screed.strips] == names
    gone = edited(moved, {"op": "take_out_pad_line", "pad": laid.screed.pads[0].id})
    assert len(gone.screed.strips) == 2 and {row.id for row in gone.screed.strips} < set(names)
    zoned = call("pad 9' n of A in Bottling", demo_plan("honey-house"))
    assert math.dist(zoned.screed.pads[0].start, zoned.screed.pads[0].end) == pytest.approx(16 * FT)


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("pad 9000 n of A", "along an edge"), ("pad 20000 n of A", "does not cross"), ("strip 9 first", "no strip 9"),
        ("strip 1 before 1", "before or after itself"), ("strip 1 with much", "much"), ("pad 3000 n of A in Attic", "no Attic"),
        ("stand somewhere", "stand 15' e"), ("board it up", "Say it like pad"), ("pad 3000 n of Q", "no corner Q"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_refused_in_plain_words(text, said):
    with pytest.raises((CallError, EditError), match=said):
        call(text, call("pad 4000 n of A"))


def test_a_file_with_a_pad_line_that_goes_nowhere_is_refused():
    for rows in ([{"start": [0, 0], "end": [5, 0]}], [{"start": [0, 0], "end": [0, 9]}] * 2):
        with pytest.raises(PlanError, match=r"screed\.pads|pad line"):
            plan(**ONE, screed={"pads": rows})
    with pytest.raises(EditError, match="runs there already"):
        call("pad 4000 n of A", call("pad 4000 n of A"))


def walled(exit_side):
    """Four lanes, walls all round but one side."""
    sides = {"w": [[-200, 0], [0, 0], [0, 8000], [-200, 8000]], "e": [[6000, 0], [6200, 0], [6200, 8000], [6000, 8000]],
             "s": [[0, -200], [6000, -200], [6000, 0], [0, 0]], "n": [[0, 8000], [6000, 8000], [6000, 8200], [0, 8200]]}  # fmt: skip
    walls = [
        {"name": key, "what": "wall", "polygon": ring, "level_mm": 2400}
        for key, ring in sides.items()
        if key != exit_side
    ]
    return plan(**{**ONE, "outline": [[0, 0], [6000, 0], [6000, 8000], [0, 8000]], "existing": walls})


def test_nobody_is_walled_in_by_rule_and_whoever_would_be_is_said():
    ways = owning(boards_mm=[2500.0], vibrating_mm=[])
    laid = by_rule(walled("e"), ways)
    assert "strip-trap" not in codes(laid, ways)
    backwards = edited(
        laid,
        {"op": "order_strips", "strips": [row.id for row in sorted(laid.screed.strips, key=lambda row: -row.at[0])]},
    )
    assert "strip-trap" in codes(backwards, ways)


def test_what_waits_too_long_what_is_not_reached_and_what_goes_back():
    slow = owning(rate_m2_h=20)
    laid = by_rule(plan(**ONE, forms=[{"sides": [1], "left_out": True}]), slow)
    assert {"strip-late", "form-back"} <= set(codes(laid, slow)) and "strip-late" not in codes(
        laid, owning(rate_m2_h=200)
    )
    near = plan(**ONE, screed={"strips": [], "pads": [{"start": [6000, 0], "end": [6000, 9000]}], "standing": [{"at": [-1000, 4500], "reach_mm": 30000}]})  # fmt: skip
    assert "strip-reach" not in codes(near)
    inside = edited(near, {"op": "set_truck_stand", "stand": near.screed.standing[0].id, "at": [3000, 4500]})
    strips = Job(inside, owning(rate_m2_h=200, boards_mm=[6500.0])).screed_told.strips
    assert strips[0].at[0] < 6000 and [row.wrong for row in strips] == [
        [],
        ["CHUTE"],
    ]  # it stands on what is struck first
    gone = edited(inside, {"op": "take_out_truck_stand", "stand": inside.screed.standing[0].id})
    assert "strip-reach" in codes(inside) and "strip-reach" not in codes(gone)


def test_a_fresh_edge_asks_for_a_foot_of_board_and_rails_come_out():
    laid = call("pad 4500 n of A")
    pad = laid.screed.pads[0].id
    edge = Job(edited(laid, {"op": "set_pad_line", "pad": pad, "rides": "edge"})).screed_told.strips
    assert edge[1].needed_mm - edge[0].needed_mm == pytest.approx(6 * 25.4) and "fresh edge" in (
        edge[1].left.words + edge[1].right.words
    )
    railed = edited(laid, {"op": "set_pad_line", "pad": pad, "rides": "rail"})
    (pull,) = [row for row in Job(railed).screed_findings if row.code == "guides-pull"]
    assert Job(railed).screed_told.runs[0].out_by == Job(railed).screed_told.end_text and edge
    assert pull.words.startswith("Rails come out") and Job(railed).screed_told.strips[0].left.kind in ("rail", "form")


def test_edges_first_take_their_time_before_the_strips():
    thick = plan(**ONE, edge_types=[{"mark": "E1", "kind": "thickened", "depth_mm": 500, "bottom_width_mm": 400}], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}])  # fmt: skip
    laid = by_rule(thick)
    with_them, first = Job(laid).screed, Job(laid, owning(edges_first=True)).screed
    assert with_them.edges_min == 0 and first.edges_min > 10
    ends = [found.strips[-1].strip.end_min for found in (with_them, first)]
    assert ends[0] == pytest.approx(ends[1]) and first.strips[0].strip.start_min == first.edges_min
    assert sum(row.m3 for row in with_them.strips) == pytest.approx(Job(laid).solid.net_m3, rel=1e-6)


def test_parts_that_came_since_lines_that_are_lost_and_hand_work_are_said():
    laid = call("pad 4500 n of A")
    wider = laid.model_copy(update={"zones": [*laid.zones, laid.zones[0].model_copy(update={"id": "z2", "name": "low", "drop_mm": 50, "polygon": [(8000, 0), (12000, 0), (12000, 3000), (8000, 3000)]})]})  # fmt: skip
    assert "strip-new" in codes(wider) and [row.named for row in Job(wider).screed_told.strips] == [True, True, False]
    away = laid.model_copy(update={"outline": [(0, 0), (12000, 0), (12000, 4000), (0, 4000)]})
    assert "pad-lost" in codes(away) and Job(away).screed_told.runs[0].letter == "?"
    piped = plan(**ONE, underslab={"risers": [{"name": "drain", "kind": "drain", "at": [6000, 4500], "size_mm": 100}]})
    strip = Job(by_rule(piped)).screed_told
    assert "strip-arm" in codes(by_rule(piped)) and any(row.hand == ["drain"] for row in strip.strips)


def test_a_rule_of_the_checker_without_words_of_its_own_is_still_said():
    laid = Job(call("pad 4500 n of A")).screed
    more = [Fault("COVER", ""), Fault("PADS", "gone:left"), Fault("OUTSIDE", laid.strips[0].id)]
    found = doubts(WIDE, ScreedWays(), replace(laid, checked=replace(laid.checked, faults=more)))
    assert [row.code for row in found if row.severity == "check"] == ["strip-cover"] * 3


@pytest.mark.parametrize(
    ("off", "words", "right"),
    [(0.0, "on", True), (0.79, "on", True), (1.6, "a hair high", True), (3.2, "a hair high", True), (6.35, "1/4″ high, knock it down", False), (-1.6, "1/16″ low, add", False)],
)  # fmt: skip
def test_a_pad_is_right_a_hair_high_and_never_low(off, words, right):
    assert say_verdict(off, 3.175, "sixteenths") == (words, right)


def test_the_rod_is_drawn_in_its_own_marks_from_high_to_low():
    marks = rod_steps(1327.15, 3.175, "sixteenths")  # 4' 4 1/4
    assert [row.text for row in marks][4:9:2] == ["4′-4 1/8″", "4′-4 1/4″", "4′-4 3/8″"]
    assert [row.right for row in marks] == [False] * 4 + [True] * 3 + [False] * 6
    assert [row.reading_mm for row in rod_steps(1327.2, 3.0, "mm")][6] == 1328 and "mm low" in rod_steps(
        1327.2, 3.0, "mm"
    )[-1].words


def struck_job(*said, of=None):
    laid = of or call("pad 4500 n of A", plan(**ONE, ground={"benchmarks": [{"name": "nail", "level_mm": 0}]}))
    rows = [("s1", SetUp.model_validate({"name": "one", "on": "nail", "backsight_mm": 1300}))]
    rows += [
        (f"p{i}", PadSet.model_validate({"of": laid.screed.pads[0].id, **values})) for i, values in enumerate(said)
    ]
    return Job(laid, owning(rate_m2_h=200), records=SiteRecords(rows))


def test_pads_are_read_with_the_set_up_they_were_read_with_and_the_newest_counts():
    job = struck_job(
        {"at_mm": 0, "reading_mm": 1290, "setup": "s1"}, {"at_mm": 0, "reading_mm": 1298, "setup": "s1"},
        {"at_mm": 4000, "reading_mm": 1303, "setup": "s1"}, {"at_mm": 8000}, {"at_mm": 6100},
    )  # fmt: skip
    pads = {row.name: row for row in job.screed_told.pads}
    assert [row.at_mm for row in pads.values()] == [0, 4000, 8000, 12000]
    assert [row.state for row in pads.values()] == ["set", "off", "set", "open"]
    assert (pads["a1"].should_text, pads["a1"].off_text, pads["a2"].off_text) == (
        "1300 mm",
        "a hair high",
        "3 mm low, add",
    )
    found = {row.code: row.words for row in job.screed_findings}
    assert "a2" in found["pad-off"] and "6100 mm along" in found["pad-stray"]
    assert standing(STAGES[6], job).words == "1 to mend"
    done = struck_job(*({"at_mm": at} for at in (0, 4000, 8000, 12000)))
    assert standing(STAGES[6], done).words == "pads struck"


def test_a_pad_that_is_not_there_or_an_unknown_laser_is_refused():
    kind, job = KIND_OF["pad-set"], struck_job()
    pad = job.plan.screed.pads[0].id
    for values, path in (
        ({"of": "gpgone", "at_mm": 0}, "of"), ({"of": pad, "at_mm": 500}, "of"),
        ({"of": pad, "at_mm": 0, "reading_mm": 1300, "setup": "s9"}, "setup"), ({"of": pad, "at_mm": 0, "reading_mm": 30000, "setup": "s1"}, "reading_mm"),
    ):  # fmt: skip
        with pytest.raises(InputError) as refused:
            kind.check(job, PadSet.model_validate(values))
        assert refused.value.path == path
    good = PadSet.model_validate({"of": pad, "at_mm": 0, "reading_mm": 1298, "setup": "s1"})
    kind.check(job, good)
    assert kind.sentence(job, good) == "Pad a1 struck, rod 1298 mm."
    assert kind.sentence(job, PadSet.model_validate({"of": pad, "at_mm": 0})) == "Pad a1 struck by string."


def test_nothing_said_is_nothing_answered():
    assert Job(WIDE).screed is None and codes(WIDE) == [] and report(Job(WIDE))["screed"] is None
    assert standing(STAGES[6], Job(WIDE)).words == "no strips"
