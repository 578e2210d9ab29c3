"""Ground by hand: the stack, what is under it, stone, spoil, pegs, enough shots, words."""

from itertools import pairwise

import pytest
from tests.answers import ground, measured
from tests.plans import edited, plan

from humble_trowel.core.edits.ground import read_rate
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.as_dug import dug_runs
from humble_trowel.core.ground.earthwork import stones
from humble_trowel.core.ground.flat import contours, enough, rakes
from humble_trowel.core.ground.layer_shots import layer_grounds, take_shots
from humble_trowel.core.ground.pegs import grade_pegs
from humble_trowel.core.ground.records import AsDug, SetUp, Shot, Shots
from humble_trowel.core.ground.rod import rod_card, say_off, say_reading
from humble_trowel.core.job import Job
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import report
from humble_trowel.core.working import Working

E1 = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}
STACK = [
    {"kind": "slab"},
    {"kind": "foam", "thickness_mm": 50},
    {"kind": "graded", "thickness_mm": 150},
    {"kind": "native"},
]


def pad(**more):
    """10 x 8 m, 100 thick, on 50 of foam and 150 of graded stone, no margin."""
    ring = [[0, 0], [10000, 0], [10000, 8000], [0, 8000]]
    return plan(outline=ring, build_ups=[{"slab": "S1", "layers": STACK}], set_out={"base_margin_mm": 0}, **more)


def codes(job):
    return [row.code for row in ground(job, Ways()).findings]


def shots(*rows):
    return Shots(layer="base", shots=[Shot(at=(x, y), level_mm=-150 + h) for x, y, h in rows])


def test_stone_by_hand_with_margin_and_what_stands_beside():
    (row,) = stones(pad(), build_solid(pad()), Ways())
    assert (row.compacted_m3, row.loose_m3) == pytest.approx((12.0, 14.4))
    assert row.tonnes == pytest.approx(14.4 * 1.55) and row.trucks == 2
    wide = pad().model_copy(update={"set_out": pad().set_out.model_copy(update={"base_margin_mm": 500.0})})
    assert stones(wide, build_solid(wide), Ways())[0].compacted_m3 == pytest.approx(11 * 9 * 0.15)
    walled = wide.model_copy(
        update={
            "existing": [
                plan(
                    existing=[{"name": "w", "polygon": [[10000, -900], [12000, -900], [12000, 9000], [10000, 9000]]}]
                ).existing[0]
            ]
        }
    )
    assert stones(walled, build_solid(walled), Ways())[0].compacted_m3 == pytest.approx((11 * 9 - 0.5 * 9) * 0.15)
    hand = edited(pad(), {"op": "set_ground", "changes": {"on_hand_m3": "4.4"}})
    assert stones(hand, build_solid(hand), Ways())[0].to_buy_m3 == pytest.approx(10.0)


def test_the_trench_takes_the_layers_out_and_the_foam_less_than_the_stone():
    job = pad(edge_types=[{**E1, "haunch_run_per_rise": 1}], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}])
    solid = build_solid(job)

    def area(layer):
        return sum(facet.region.area for one in layer_grounds(job, solid, layer) for facet in one.facets) / 1e6

    assert area("foam") == pytest.approx((10 - 2 * 0.65) * (8 - 2 * 0.65))
    assert area("base") == pytest.approx((10 - 2 * 0.6) * (8 - 2 * 0.6))  # 50 lower: the haunch has 50 less to go
    assert area("dig") == pytest.approx((10 - 2 * 0.45) * (8 - 2 * 0.45))


def test_spoil_by_hand_and_a_stack_that_stands_on_air():
    job = pad(ground={"found_mm": -100, "strip_mm": 150}, edge_types=[E1], edges=[{"sides": [0], "type": "E1"}])
    out = ground(job, Ways()).spoil
    assert (out.strip_m3, out.dig_m3) == pytest.approx((80 * 0.15, 80 * 0.05))
    assert out.trench_m3 == pytest.approx(10 * 0.3 * 0.15) and out.loose_m3 == pytest.approx((12 + 4 + 0.45) * 1.25)
    assert "stack-in-air" in codes(pad(ground={"found_mm": -300, "strip_mm": 150}))
    assert "stack-in-air" not in codes(plan(ground={"found_mm": -300, "strip_mm": 150}))  # no build-up, nothing claimed
    assert "found-not-set" in codes(pad())


@pytest.mark.parametrize(
    ("layers", "heated", "code"),
    [
        ([{"kind": "slab"}, {"kind": "foam", "thickness_mm": 50}, {"kind": "native"}], False, "foam-soft"),
        ([{"kind": "slab"}, {"kind": "foam", "thickness_mm": 50, "strength_kpa": 70}, {"kind": "native"}], False, "foam-soft"),
        ([{"kind": "slab"}, {"kind": "foam", "thickness_mm": 50, "strength_kpa": 100}, {"kind": "native"}], False, None),
        ([{"kind": "slab"}, {"kind": "native"}], True, "no-barrier"),
        ([{"kind": "slab"}, {"kind": "barrier"}, {"kind": "native"}], True, None),
        ([{"kind": "slab"}, {"kind": "stone", "thickness_mm": 38}, {"kind": "native"}], False, "stone-thin"),
        ([{"kind": "slab"}, {"kind": "stone", "thickness_mm": 38.1}, {"kind": "native"}], False, None),
    ],
)  # fmt: skip
def test_cautions_about_a_stack(layers, heated, code):
    job = plan(build_ups=[{"slab": "S1", "heated": heated, "layers": layers}], ground={"found_mm": 0, "strip_mm": 0})
    assert [row for row in codes(job) if row in ("foam-soft", "no-barrier", "stone-thin")] == ([code] if code else [])


@pytest.mark.parametrize(
    ("layers", "words"),
    [
        ([{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}], "ends in air"),
        ([{"kind": "native"}], "holds it 0 times"),
        ([{"kind": "graded", "thickness_mm": 100}, {"kind": "slab"}, {"kind": "native"}], "goes under it"),
        ([{"kind": "slab"}, {"kind": "screed", "thickness_mm": 50}, {"kind": "native"}], "goes over it"),
        ([{"kind": "slab"}, {"kind": "foam"}, {"kind": "native"}], "needs a thickness"),
        ([{"kind": "slab", "thickness_mm": 90}, {"kind": "native"}], "slab type"),
    ],
)
def test_stacks_that_cannot_be_are_refused(layers, words):
    with pytest.raises(TrowelError, match=words):
        plan(build_ups=[{"slab": "S1", "layers": layers}])


def test_pegs_stand_no_farther_apart_than_said_and_inside():
    pegs = grade_pegs(layer_grounds(pad(), build_solid(pad()), "base"), 2000, 1000.0, "mm")
    xs = sorted({peg.at[0] for peg in pegs})
    assert len(pegs) == 6 * 5 and max(b - a for a, b in pairwise(xs)) <= 2000
    assert {peg.reading_text for peg in pegs} == {"1150 mm"}


def test_enough_shots_is_the_spread_of_the_mean_times_the_area():
    job = pad()
    rows = [(1000 + 2000 * i, 1000 + 2000 * j, 6.0 if (i + j) % 2 else -6.0) for i in range(5) for j in range(4)]
    taken = take_shots(job, build_solid(job), Ways(), "base", [("a", shots(*rows))])
    found = enough(taken, job, Ways())
    spread = (20 * 36 / 19) ** 0.5
    assert found.doubt_m3 == pytest.approx(spread / 20**0.5 * 80 / 1000) and found.allowed_m3 == 0.125
    assert found.enough
    few = enough(take_shots(job, build_solid(job), Ways(), "base", [("a", shots(*rows[:6]))]), job, Ways())
    assert not few.enough and few.more > 0 and few.next_at[0] > 4000  # the gap is where nothing was shot


def test_where_to_rake_is_said_as_a_crew_says_it():
    rows = [(x, y, 0.0) for x in range(500, 10000, 1500) for y in range(500, 8000, 1500)]
    rows = [(x, y, 19.0 if (x, y) == (2000, 6500) else -16.0 if (x, y) == (8000, 500) else h) for x, y, h in rows]
    job = pad()
    taken = take_shots(job, build_solid(job), Ways(), "base", [("a", shots(*rows))])
    places = rakes(taken, contours(taken, Ways()), job)
    assert [row.words.split(" over")[0] for row in places] == [
        "North-west corner of all: 19 mm high",
        "South-east corner of all: 16 mm low",
    ]
    # a cone over 6 triangles round the shot: outside it 6.35 of 19 is left
    assert places[0].area_m2 == pytest.approx(1.5 * 1.5 * 3 * (1 - 6.35 / 19) ** 2, rel=0.35)


def test_as_dug_and_as_shot_stand_beside_the_plan_and_in_the_order():
    job = pad(edge_types=[E1], edges=[{"sides": [0, 2], "type": "E1"}])
    dug = AsDug.model_validate({"side": 0, "stations": [{"at_mm": 0, "width_mm": 400, "depth_mm": 450}]})
    low = shots(*[(x, y, -10.0) for x in (500, 3500, 6500, 9500) for y in (500, 4000, 7500)])
    notes = SiteRecords([("a", low), ("d", dug)])
    found = measured(job, Ways(), notes)
    assert found.trenches.value == pytest.approx(10 * 0.1 * 0.35) and found.dug_sides == {0}
    assert found.base.value == pytest.approx(10 * (8 - 0.6) * 0.01)
    slab, edge = ground(job, Ways(), notes).parts
    assert slab.as_shot_m3 - slab.planned_m3 == pytest.approx(0.74) and slab.as_dug_m3 is None
    assert edge.as_dug_m3 - edge.planned_m3 == pytest.approx(0.35) and edge.extra_cents == round(0.35 * 21600)
    wide = edited(job, {"op": "set_ground", "changes": {"bucket_mm": "450"}})
    assert "bucket-wide" in codes(wide) and ground(wide, Ways()).parts[1].as_dug_m3 == pytest.approx(
        edge.planned_m3 + 20 * 0.15 * 0.35
    )


def test_fixed_names_of_the_ground():
    job = pad(
        edge_types=[E1],
        edges=[{"sides": [0], "type": "E1"}],
        ground={"benchmarks": [{"name": "nail", "level_mm": -200}]},
    )
    told = report(Job(job))
    assert [row["layer"] for row in told["ground"]["stack"]] == ["slab", "foam", "graded", "native"]
    assert {row["where"]: row["level_mm"] for row in told["ground"]["dig"]} == {
        "all": -300,
        "E1 trench bottom, A to B": -450,
    }
    assert told["ground"]["base"]["compacted_m3"] == pytest.approx((80 - 10 * 0.3) * 0.15)
    assert all(row["reading_mm"] is None for row in told["ground"]["rod"])
    assert [row["as_dug_m3"] for row in told["concrete"]["parts_as_dug"]] == [None, None]
    notes = SiteRecords([("one", SetUp(name="m", on="nail", backsight_mm=1400))])
    rod = report(Job(job, Ways(), notes))["ground"]["rod"]
    assert {row["surface"]: row["reading_mm"] for row in rod}["top of foam"] == pytest.approx(1200 + 100)


def test_every_working_of_the_ground_adds_up():
    job = pad(edge_types=[E1], edges=[{"sides": [0], "type": "E1"}], ground={"found_mm": -100, "strip_mm": 150})
    found = ground(job, Ways())

    def walk(item: Working):
        if item.formula:
            assert item.value == pytest.approx(
                eval(item.formula, {"max": max, "min": min}, {k: v.value for k, v in item.inputs})
            )
        for _, one in item.inputs:
            walk(one)

    for item in (found.stones[0].mass, found.spoil.total):
        walk(item)


@pytest.mark.parametrize(
    ("mm", "reads", "text"),
    [(1479.55, "sixteenths", "4′-10 1/4″"), (1479.55, "tenths", "4.85 ft"), (1479.55, "mm", "1480 mm"), (304.8 - 0.7, "sixteenths", "1′"), (0.2, "mm", "0 mm")],
)  # fmt: skip
def test_readings_as_the_rod_shows_them(mm, reads, text):
    assert say_reading(mm, reads) == text


@pytest.mark.parametrize(
    ("off", "reads", "words"),
    [(34.925, "sixteenths", "down 1 3/8″"), (-6.35, "sixteenths", "up 1/4″"), (0.7, "sixteenths", "on grade"), (30.48, "tenths", "down 0.10 ft"), (1.0, "tenths", "on grade"), (-12.4, "mm", "up 12 mm")],
)  # fmt: skip
def test_what_to_do_with_a_reading(off, reads, words):
    assert say_off(off, "ft-in", reads) == words


@pytest.mark.parametrize(
    ("text", "mm"),
    [
        ("8 1/2 below", -215.9),
        ("-8.5", -215.9),
        ("2 in over", 50.8),
        ("floor", 0.0),
        ("215 mm below the floor", -215.0),
    ],
)
def test_levels_as_a_crew_says_them(text, mm):
    assert read_level(text, plan(units="ft-in")) == pytest.approx(mm)


@pytest.mark.parametrize(
    ("text", "rate"),
    [
        ("1/8 in per ft", 1 / 96),
        ("1 %", 0.01),
        ("1 in 80", 1 / 80),
        ("1:80", 1 / 80),
        ("10 mm per m", 0.01),
        ("1/4", 1 / 48),
    ],
)
def test_falls_as_a_crew_says_them(text, rate):
    assert read_rate(text, plan(units="ft-in")) == pytest.approx(rate)


def test_a_reading_shows_its_working_down_to_the_rod_on_the_mark():
    from humble_trowel.core.ground.levels import stands
    from humble_trowel.core.ground.rod_working import reading_working
    from humble_trowel.core.ground.stack import resolve

    job = pad(units="ft-in", ground={"benchmarks": [{"name": "nail", "level_mm": "-8 1/2 in"}]})
    notes = SiteRecords(
        [
            (
                "one",
                SetUp.model_validate(
                    {"name": "Morning", "on": "nail", "backsight_mm": "5' 0 3/4\""}, context={"units": "ft-in"}
                ),
            )
        ]
    )
    (stand,) = stands(job, Ways(), notes)
    cell = build_solid(job).cells[0]
    base = resolve(job, cell, "base")
    shown = reading_working(job, Ways(), stand, base.top_mm, "base", cell, base)
    assert [item.text for _, item in shown.inputs] == ["60 3/4″", "−8 1/2″", "3.937″", "1.969″"]
    assert shown.value * 25.4 == pytest.approx(stand.instrument_mm - base.top_mm) and shown.text == "4′-10 1/8″"
    trench = reading_working(job, Ways(), stand, -450.0, "E1 trench bottom")
    assert trench.value * 25.4 == pytest.approx(stand.instrument_mm + 450)


def test_foam_shots_count_for_their_zones_once_they_are_enough_and_never_alone():
    job = pad()
    spots = [(x, y) for x in (500, 3500, 6500, 9500) for y in (500, 4000, 7500)]
    base = shots(*[(x, y, -10.0) for x, y in spots])
    foam = Shots(layer="foam", shots=[Shot(at=spot, level_mm=-100 - 4.0) for spot in spots])
    few = Shots(
        layer="foam",
        shots=[Shot(at=(x, y), level_mm=-100 - h) for (x, y), h in zip(spots[:4], (0, 40, 0, 30), strict=True)],
    )
    assert measured(job, Ways(), SiteRecords([("a", foam)])).base is None
    assert measured(job, Ways(), SiteRecords([("a", base), ("b", foam)])).base.value == pytest.approx(80 * 0.004)
    assert measured(job, Ways(), SiteRecords([("a", base), ("b", few)])).base.value == pytest.approx(80 * 0.010)


def test_the_rod_card_reads_beams_pads_and_recess_floors():
    job = pad(
        beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 500}], beams=[{"type": "B1", "path": [[0, 4000], [9000, 4000]]}],
        pad_types=[{"mark": "P1", "shape": "round", "diameter_mm": 600, "depth_mm": 700}],
        pads=[{"type": "P1", "at": [2000, 2000]}, {"type": "P1", "at": [4000, 2000]}],
        recesses=[{"name": "pit", "polygon": [[6000, 1000], [7000, 1000], [7000, 2000]], "depth_mm": 50}],
    )  # fmt: skip
    rows = {(row.surface, row.at): row.reading_mm for row in rod_card(job, build_solid(job), Ways(), 1200.0, None)}
    assert rows["B1 beam bottom", "beam 1"] == pytest.approx(1700)
    assert rows["P1 pad bottom", "pad 1 and 1 more"] == pytest.approx(1900)
    assert rows["recess floor", "pit"] == pytest.approx(1250)


def test_a_beam_as_dug_is_two_haunches_wider_and_replaces_the_guess():
    beam = {
        "beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 0.5}],
        "beams": [{"type": "B1", "path": [[0, 4000], [9000, 4000]]}],
    }
    job = pad(**beam)
    slab = build_solid(job).cells[0].thickness_mm
    stations = [{"at_mm": 0, "width_mm": 400, "depth_mm": 500}, {"at_mm": 9000, "width_mm": 400, "depth_mm": 500}]
    (run,) = dug_runs(job, build_solid(job), [AsDug.model_validate({"beam": 0, "stations": stations})])
    below = 500 - slab
    assert (run.beam, run.extra_m3) == (0, pytest.approx(9 * 0.1 * below / 1000))
    assert run.planned_m3 == pytest.approx((300 + 0.5 * below) * below * 9000 / 1e9)
