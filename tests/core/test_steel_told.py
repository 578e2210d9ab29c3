"""The steel as it is shown and cut: thinned marks, cages cut across, laps by the crew's rule, stock, what cannot be planned, bites."""

import math

import pytest
from tests.core.test_steel import PAD, cage, codes, of, slab
from tests.plans import edited, plan

from humble_trowel.api.background_task import SLOW
from humble_trowel.core.job import Job
from humble_trowel.core.plan.bars import BARS
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.steel.cuts_told import cuts_told
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.steel.laps import class_b_mm, forty_d_mm
from humble_trowel.core.steel.schedule import letter, size_cut
from humble_trowel.core.underslab.displaces import may_displace


def crew(**steel):
    ways = Ways()
    return ways.model_copy(update={"steel": ways.steel.model_copy(update=steel)})


def test_marks_are_thinned_with_their_count_and_say_their_sizes_in_the_jobs_units():
    told = Job(slab("10 mm at 100 each way")).steel_told
    one = told.marks[0]
    assert one.all_lines > 60 >= len(one.lines) and one.every == math.ceil(one.all_lines / 60)
    assert len(one.lines) == math.ceil(one.all_lines / one.every)
    assert sum(count for _, count in one.cuts) == one.count and one.mass_text.endswith(" kg")
    assert told.ways[0].steel == "10 mm at 100 mm each way" and told.ways[0].shrinkage_text.startswith("10 mm at ")
    assert told.mass_text == told.mat_text == f"{Job(slab('10 mm at 100 each way')).steel.mass_kg:,.0f} kg"
    crossed = Job(slab("10 mm at 200, 12 mm at 300")).steel_told.ways[0]
    assert crossed.steel == "10 mm at 200 mm, 12 mm at 300 mm across"


def test_a_cage_is_drawn_where_its_bars_are():
    job = Job(cage("3 16 mm bottom, 2 12 mm top, 8 mm stirrups at 300"))
    told = job.steel_told.cages[0]
    assert (told.of, told.wide_mm, told.deep_mm, told.one_sided, told.fits) == ("edge", 300, 450, True, True)
    assert told.stirrup == pytest.approx((50.8, -38.1, 300 - 50.8 - 76.2, 450 - 38.1 - 76.2))
    low = [bar for bar in told.bars if bar.d_mm == 16]
    assert len(low) == 3 and {bar.mark for bar in low} == {of(job, "edge/E1/bottom")[0].mark}
    assert [bar.off_mm for bar in low] == pytest.approx([50.8 + 16, (66.8 + 207.8) / 2, 300 - 76.2 - 16])
    assert told.stirrup_mark == of(job, "edge/E1/stirrup")[0].mark
    tight = Job(cage("9 16 mm bottom")).steel_told.cages[0]
    assert not tight.fits
    pad = Job(cage("16 mm at 200 each way", part="pad", mark="P1")).steel_told.cages[0]
    assert not pad.one_sided and len(pad.bars) == 4 and pad.stirrup is None


def test_laps_follow_the_crew_the_strength_and_what_the_drawing_says():
    long = plan(
        **{
            **PAD.model_dump(mode="json", exclude_defaults=True),
            "outline": [[0, 0], [30000, 0], [30000, 9000], [0, 9000]],
            "existing": [],
        }
    )
    text = "12 mm at 300 each way"
    bar = BARS["12 mm"]
    assert of(Job(slab(text, long)), "mat/")[0].lap_mm == pytest.approx(forty_d_mm(bar)) == 480
    by_code = Job(slab(text, long), crew(lap="class-b"))
    assert of(by_code, "mat/")[0].lap_mm == pytest.approx(class_b_mm(bar, 3000))
    strong = edited(slab(text, long), {"op": "set_fields", "values": {"mix": {"strength_mpa": 40}}})
    assert of(Job(strong, crew(lap="class-b")), "mat/")[0].lap_mm == pytest.approx(class_b_mm(bar, 40 * 145.0377))
    said = of(Job(slab(text + ", lap 700", long)), "mat/")[0]
    assert said.lap_mm == 700 and said.mass_kg > of(Job(slab(text, long)), "mat/")[0].mass_kg
    deep = Job(cage("2 12 mm top, 2 12 mm bottom", long), crew(lap="class-b"))
    high, low = of(deep, "edge/E1/top")[0], of(deep, "edge/E1/bottom")[0]
    assert high.lap_mm == pytest.approx(1.3 * low.lap_mm, rel=1e-3)  # over 12 in of fresh concrete


def test_stock_of_several_lengths_is_bought_by_length_and_a_keeper_is_kept():
    job = Job(cage("2 12 mm bottom", slab("12 mm at 450 each way")))
    one = job.steel_cuts[0]
    assert (
        one.least == 0
        and one.bought_mm >= one.least_mm > 0
        and {row.stock_mm for row in one.rows} <= {6000.0, 12_000.0}
    )
    told = cuts_told("mm", [one])[0]
    assert told.least.endswith(" mm") or told.least.endswith(" m")
    for row, shown in zip(one.rows, told.rows, strict=True):
        assert row.keep == (row.left_mm >= job.ways.steel.keep_mm) == shown.keep
        assert sum(share for _, _, share in shown.pieces) + shown.left_share == pytest.approx(1)
    single = Job(job.plan, crew(stock_metric_mm=[12_000.0])).steel_cuts[0]
    assert single.least > 0 and single.bars >= single.least


def test_what_cannot_be_planned_says_why_and_marks_go_on_after_z():
    frame = Frame(PAD, Job(PAD).solid, crew().steel)
    bar = BARS["12 mm"]
    many = Laid("mat/S1/0", "many", bar, "straight", ((1000.0, 5001),), ())
    assert "too many to plan" in size_cut(frame, [many], bar).problem
    long = Laid("mat/S1/0", "long", bar, "straight", ((13_000.0, 1),), ())
    assert "longer than any bar" in size_cut(frame, [long], bar).problem
    assert [letter(i) for i in (0, 8, 22, 23, 24)] == ["a", "j", "z", "aa", "ab"]
    assert len({letter(i) for i in range(600)}) == 600


def test_cuts_come_back_from_the_other_process_as_they_went():
    cuts = Job(cage("2 12 mm bottom, 8 mm stirrups at 300", slab("10 mm at 300 each way"))).steel_cuts
    assert SLOW["steel_cuts"].unpack(SLOW["steel_cuts"].pack(cuts)) == cuts


def test_bars_stand_in_the_cut_of_an_edge_where_the_line_crosses_them():
    job = Job(cage("3 16 mm bottom, 2 16 mm top", slab("12 mm at 300 each way, top, 40 clear")))
    cut = job.section((3000.0, -500.0), (3000.0, 2000.0))
    low = of(job, "edge/E1/bottom")[0]
    bars = [row for row in cut.blocks if row.kind == "bar" and row.name == low.mark]
    assert len(bars) == 3 and all((row.top_mm + row.bottom_mm) / 2 == pytest.approx(low.level_mm) for row in bars)
    assert all(row.s1_mm - row.s0_mm == pytest.approx(16) for row in bars)
    mats = {row.mark for row in of(job, "mat/")}
    assert {row.name for row in cut.blocks if row.kind == "bar"} & mats  # those that run across the cut
    assert not [row for row in job.section((3000.0, -500.0), (3000.0, 2000.0), moving=True).blocks if row.kind == "bar"]


@pytest.mark.parametrize(("below", "bites"), [(350, True), (150, False)])
def test_a_sleeve_bites_a_bar_only_at_its_height(below, bites):
    run = {
        "name": "D1",
        "kind": "supply",
        "size_mm": 50,
        "path": [[3000, 3000], [3000, -600]],
        "start_mm": -below - 25,
        "fall": 0,
    }
    caged = cage("3 16 mm bottom", PAD.model_copy(update={"underslab": plan(underslab={"services": [run]}).underslab}))
    assert ("sleeve-bites-bar" in codes(caged)) == bites


def test_what_might_come_off_the_order_is_never_missed_by_the_quick_look():
    for count in (1, 3, 6, 12):
        posts = [{"name": f"p{i}", "kind": "column", "at": [400 + 450 * i, 2000], "size_mm": 210} for i in range(count)]
        job = Job(plan(underslab={"risers": posts}))
        assert may_displace(job.plan, job.solid, 16.0) or not job.displaced.over
