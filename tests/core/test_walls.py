"""Walls on footings: their concrete two ways, courses, cores, doors set down, the floor that meets them, what cannot be."""

import math

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString
from tests.plans import edited, l_shape, new

from humble_trowel.core.errors import PlanError, TrowelError
from humble_trowel.core.footings.slices import sliced_m3
from humble_trowel.core.footings.volume import union_m3
from humble_trowel.core.geometry.wall_strips import stretches, turned_over
from humble_trowel.core.job import Job
from humble_trowel.core.plan.footing_parts import Footing, FootingStep
from humble_trowel.core.plan.wall_parts import SetDown, Wall
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.units import M3_PER_YD3
from humble_trowel.core.walls.rows import Standing, prisms_of
from humble_trowel.core.yard import yard_line

FT, IN = 304.8, 25.4
STRIP = {"op": "add_footing", "name": "Strip", "text": "24' e, 16' n, 24' w, 16' s", "width": "16", "thickness": "8", "top": "32 below"}  # fmt: skip


def walled(*edits, start=None, kind="block", thickness="7 5/8", top="0"):
    around = {"sides": [0, 1, 2, 3], "text": ""} if start else {}
    plan = edited(start or new(), {**STRIP, **around})
    return edited(plan, {"op": "add_wall", "footing": 0, "kind": kind, "thickness": thickness, "top": top}, *edits)


def put(**changes):
    return {"op": "set_wall", "wall": 0, "changes": changes}


def codes(figure):
    return {row.code for row in figure.findings}


def test_a_formed_wall_is_its_length_times_its_section_and_a_pour_of_its_own():
    figure = Job(walled(kind="formed", thickness="8")).figure
    found = figure.walls
    yards = 80 * (8 / 12) * (32 / 12) / 27
    assert found.net_m3 / M3_PER_YD3 == pytest.approx(yards, rel=1e-12)
    assert found.second_way_m3 == pytest.approx(found.net_m3, rel=1e-12)
    assert (found.rows[0].text, found.ordered.text, found.ordered.trucks[0].text) == ("5.27", "6", "6")
    assert figure.footings.ordered.text == "3"  # the footing stays a pour of its own
    moved = Job(walled(put(offset_mm="2 left"), kind="formed", thickness="8")).figure.walls
    assert moved.net_m3 / M3_PER_YD3 == pytest.approx((80 - 8 * 2 / 12) * (8 / 12) * (32 / 12) / 27, rel=1e-12)
    board = Job(walled(put(foam_between_mm="2", foam_outside_mm="2"), kind="formed", thickness="8")).figure.walls
    assert board.net_m3 / M3_PER_YD3 == pytest.approx(yards * 6 / 8, rel=1e-12)
    assert board.rows[0].foam_m2 * 1e6 / FT**2 == pytest.approx((80 + 80 + 8 * 4 / 12) * 32 / 12, rel=1e-12)


def test_a_formed_wall_says_its_panels_and_the_yard_its_other_pours():
    plan = walled(put(panel_mm="24", set_downs="from 4' to 7' down 3/4"), kind="formed", thickness="8")
    panels = Job(plan).figure.walls.rows[0].panels  # outer faces 24' 8 and 16' 8, inner 23' 4 and 15' 4
    assert panels == "76 panels of 24″, both faces; fillers: 4 of 16″, 4 of 8″."
    line = yard_line(Job(walled(kind="formed", thickness="8", start=l_shape())))
    assert line.order == "19" and line.also == ["Footing 3 1/2 yd", "Walls 6 1/2 yd"]


def test_one_pour_may_hold_footings_and_walls():
    plan = walled(kind="formed", thickness="8")
    both = {**plan.model_dump(mode="json"), "pours": [{"name": "Both", "holds": ["footings", "walls"]}]}
    figure = Job(read_plan(both)).figure
    assert figure.walls.ordered is None
    assert "walls" in [row.key for row in figure.footings.extras] and figure.footings.ordered.text == "8 1/2"


def test_courses_say_how_they_miss_the_height_and_cores_are_counted():
    row = Job(walled()).figure.walls.rows[0]
    assert [one.words for one in row.courses] == ["Four courses come out even."] and row.working is None
    assert row.blocks == 4 * (18 + 12 + 18 + 12)
    figure = Job(walled(put(top_mm="3/8 below", meets="header"))).figure
    assert figure.walls.rows[0].courses[0].words == "Three courses and a header stand 3/8″ high."
    assert "courses-uneven" in codes(figure)
    hollow = (15 + 5 / 8) * (7 + 5 / 8) * 0.48 / 2 / 144  # one core on plan, sq ft
    for changes, count in (
        ({"cores": "all"}, 120),
        ({"cores": "nth", "every": 3}, 40),
        ({"cores": "bars", "bars_mm": "48"}, 20),
    ):
        found = Job(walled(put(**changes))).figure.walls
        assert found.net_m3 / M3_PER_YD3 == pytest.approx(count * hollow * 32 / 12 / 27, rel=1e-12)
    odd = Job(walled(put(to_mm="24'", cores="bars", bars_mm="48"))).figure.walls
    assert odd.rows[0].how.startswith("7 ×")  # one at each end of 24 feet, open


def test_cores_and_a_header_that_the_slab_fills_stand_in_its_order():
    slab = edited(new(), {"op": "keep_outline", "text": "24' e 16' n 24' w 16' s"})
    plan = walled(put(cores="all", cores_with="slab", meets="header", ledge_mm="4"), start=slab)
    figure = Job(plan).figure
    rows = {row.kind: row for row in figure.second_pours}
    assert rows["core fill"].with_slab and rows["header"].with_slab and figure.walls.net_m3 == 0
    thick = plan.slab_types[0].thickness_mm  # the ledge reaches 3/16 in past the outline, all round
    over = ((24 * 12 + 0.375) * (16 * 12 + 0.375) - 24 * 12 * 16 * 12) * IN**2
    assert rows["header"].m3 == pytest.approx(over * thick / 1e9, rel=1e-9)
    assert [row.key for row in figure.concrete.allowances].count("with_slab") == 2


def test_a_door_is_set_down_and_levels_chain_from_floor_to_dig():
    plan = walled(put(set_downs="from 4' to 7' down 3/4"), kind="formed", thickness="8")
    found = Job(plan).figure.walls
    assert found.net_m3 / M3_PER_YD3 == pytest.approx((80 * 32 - 3 * 0.75) / 12 * (8 / 12) / 27, rel=1e-12)
    assert [cut.words for cut in found.cuts[0]] == ["0″ to 4′, 7′ to 80′", "4′ to 7′"]
    door = found.cuts[0][1]
    assert [(row.key, row.level_text) for row in door.levels] == [
        ("floor", "0"), ("top", "3/4″ below"), ("footing", "32″ below"), ("dig", "40″ below"),
    ]  # fmt: skip
    assert found.rows[0].forms_m2 * 1e6 / FT**2 == pytest.approx(2 * (80 * 32 - 3 * 0.75) / 12, rel=1e-12)
    assert found.drawn[0].set_downs_text == "from 4′ to 7′ down 3/4″"
    corner = Job(edited(plan, put(set_downs="from 24' to 40' down 8"))).figure.walls
    assert corner.net_m3 / M3_PER_YD3 == pytest.approx((80 * 32 - 16 * 8) / 12 * (8 / 12) / 27, rel=1e-12)


def test_the_floor_lies_over_the_wall_beside_it_or_runs_through_it():
    assert "floor-through-wall" in codes(Job(walled(start=edited(new(), {"op": "keep_outline", "text": "24' e 16' n 24' w 16' s"}))).figure)  # fmt: skip
    outer = edited(new(), {"op": "keep_outline", "text": "24' e 16' n 24' w 16' s"})
    cut = Job(walled(start=outer)).section((-3 * FT, 8 * FT), (5 * FT, 8 * FT)).blocks
    assert [(row.kind, round(row.s0_mm / IN, 2), round(row.top_mm / IN)) for row in cut] == [
        ("footing", 28, -32),
        ("wall", 32.19, 0),
    ]
    over = Job(walled(put(meets="over", top_mm="4 below", offset_mm="3 13/16 left"), start=outer)).figure
    assert not codes(over) & {"floor-through-wall", "floor-off-wall", "courses-above-floor"}
    assert "floor-off-wall" in codes(Job(walled(put(meets="over", top_mm="4 below"), start=outer)).figure)
    high = Job(walled(put(meets="over", top_mm="2 below", offset_mm="3 13/16 left"), start=outer)).figure
    assert "courses-above-floor" in codes(high)
    assert "courses-above-floor" in codes(Job(walled(put(meets="header", top_mm="8 above"), start=outer)).figure)
    assert "wall-off-footing" in codes(Job(walled(put(offset_mm="6 left"))).figure)


spots = st.tuples(st.integers(0, 6), st.integers(0, 6)).map(lambda p: (p[0] * 1200.0, p[1] * 1200.0))


@settings(max_examples=100, deadline=None, derandomize=True)
@given(st.lists(spots, min_size=2, max_size=6, unique=True), st.integers(-60, 60), st.booleans(), st.booleans())
def test_joined_prisms_slices_and_length_times_section_agree_on_any_wall(path, offset, stepped, down):
    assume(LineString(path).is_simple)
    footing = Footing(name="f", path=path, width_mm=600, thickness_mm=200, top_mm=-900)
    if stepped:
        footing = footing.model_copy(update={"steps": [FootingStep(at_mm=600.0, rise_mm=200.0)]})
    wall = Wall(name="w", footing="f", kind="formed", thickness_mm=200, offset_mm=offset)
    if down:
        wall = wall.model_copy(update={"set_downs": [SetDown(from_mm=500, to_mm=700, down_mm=100)]})
    rows = stretches(wall, footing)
    assume(not any(turned_over(row) for row in rows))
    stood = Standing(wall, 0, footing, rows, False, True)
    plain = math.fsum(row.length_mm * wall.thickness_mm * (row.top_mm - row.bottom_mm) for row in rows) / 1e9
    prisms = prisms_of(stood)
    joined = union_m3(prisms)
    assert sliced_m3(prisms) == pytest.approx(joined, rel=1e-4)
    assert joined <= plain * (1 + 1e-9)
    if len(path) == 2:
        assert joined == pytest.approx(plain, rel=1e-9)


@pytest.mark.parametrize(
    ("edit", "says"),
    [
        (put(offset_mm="12 left"), "stands beside Strip, not on it"),
        (put(offset_mm="2"), "Left or right"),
        (put(to_mm="90'"), "past its end"),
        (put(set_downs="from 4' to 7' down 40"), "ends below the footing"),
        (put(set_downs="from 4' to 7' down 3/4, from 6' to 9' down 3/4"), "lie over each other"),
        (put(set_downs="from 22' to 24' 1 down 3/4"), "at a bend or"),
        (put(set_downs="a door"), "Cannot read 'a door'"),
        (put(top_mm="40 below"), "ends below the top of its footing"),
        (put(kind="formed", meets="header"), "Only block has a header"),
        (put(thickness_mm=""), "How much?"),
        ({"op": "take_out", "what": "footings", "ids": [0]}, "Wall 1 stands on it"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_said(edit, says):
    plan = walled()
    if edit["op"] == "take_out":
        edit = {**edit, "ids": [plan.footings[0].id]}
    with pytest.raises(TrowelError, match=says):
        edited(plan, edit)


def test_a_file_names_a_footing_by_its_name_and_a_wall_on_none_is_refused():
    data = walled().model_dump(mode="json")
    data["walls"][0]["footing"] = "Strip"
    plan = read_plan(data)
    assert plan.walls[0].footing == plan.footings[0].id
    data["walls"][0]["footing"] = "Nowhere"
    with pytest.raises(PlanError, match="which is no footing of this job"):
        read_plan(data)
    assert l_shape().walls == []
