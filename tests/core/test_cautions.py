"""Cautions of the slab's shape: each said where it is so, and not where it is not."""

import pytest
from tests.answers import figure
from tests.plans import edited, plan

from humble_trowel.core.edges.corner_levels import corner_levels
from humble_trowel.core.edges.edge_checks import edge_checks
from humble_trowel.core.edges.frost_options import edge_options
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways

MAIN = {"name": "main", "slab": "S1", "polygon": None}
PORCH = {"name": "porch", "slab": "S1", "polygon": [[4000, 0], [6000, 0], [6000, 4000], [4000, 4000]]}
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}
BEAM = {"mark": "B1", "width_mm": 300, "depth_mm": 500}
ROUND = {"edge_types": [EDGE], "edges": [{"sides": [0, 1, 2, 3], "type": "E1"}]}
BOX = [[1000, 1000], [2000, 1000], [2000, 2000], [1000, 2000]]


def fall(toward, rate=0.02):
    return {"kind": "plane", "toward_deg": toward, "rate": rate}


def drain(depth):
    return {"kind": "drain", "at": [5000, 2000], "depth_mm": depth}


def recess(depth, **more):
    return {"name": "r", "polygon": BOX, "depth_mm": depth, **more}


def codes(**changes):
    return [row.code for row in figure(plan(**changes), Ways(), quick=True).findings]


@pytest.mark.parametrize(
    ("code", "so", "not_so"),
    [
        ("falls-inward", {"zones": [MAIN, {**PORCH, "fall": fall(270)}]}, {"zones": [MAIN, {**PORCH, "fall": fall(90)}]}),
        ("fall-level", {"zones": [{**MAIN, "fall": fall(90, 0)}]}, {"zones": [{**MAIN, "fall": fall(90, 0.01)}]}),
        ("drain-not-lowest", {"zones": [MAIN, {**PORCH, "fall": drain(0)}]}, {"zones": [MAIN, {**PORCH, "fall": drain(20)}]}),
        ("drain-not-lowest", {"zones": [{**MAIN, "drop_mm": 60}, {**PORCH, "fall": drain(20)}]}, {"zones": [MAIN, {**PORCH, "fall": drain(20)}]}),
        ("step-no-form", {"zones": [MAIN, {**PORCH, "drop_mm": 2}]}, {"zones": [MAIN, {**PORCH, "drop_mm": 20}]}),
        ("step-hangs", {"zones": [MAIN, {**PORCH, "drop_mm": 100}]}, {"zones": [MAIN, {**PORCH, "drop_mm": 50}]}),
        ("zone-sliver", {"zones": [MAIN, {**PORCH, "polygon": [[40, 0], [6000, 0], [6000, 4000], [40, 4000]]}]}, {"zones": [MAIN, PORCH]}),
        ("neck-narrow", {"outline": [[0, 0], [3000, 0], [3000, 1500], [5000, 1500], [5000, 0], [8000, 0], [8000, 4000], [5000, 4000], [5000, 2300], [3000, 2300], [3000, 4000], [0, 4000]]}, {}),
        ("slab-thin-for-use", {"zones": [{**MAIN, "use": "trucks"}]}, {"zones": [{**MAIN, "use": "cars"}]}),
        ("slab-needs-engineer", {"zones": [{**MAIN, "use": "racks"}]}, {"zones": [{**MAIN, "use": "foot"}]}),
        ("recess-through", {"recesses": [recess(100)]}, {"recesses": [recess(100, keeps_thickness=True)]}),
        ("recess-thin", {"recesses": [recess(30)]}, {"recesses": [recess(5)]}),
        ("beam-adds-nothing", {"beam_types": [{**BEAM, "depth_mm": 90}], "beams": [{"type": "B1", "path": [[0, 2000], [6000, 2000]]}]}, {}),
        ("beam-type-unused", {"beam_types": [BEAM]}, {}),
        ("part-clipped", {"beam_types": [BEAM], "beams": [{"type": "B1", "path": [[-500, 2000], [6000, 2000]]}]}, {"beam_types": [BEAM], "beams": [{"type": "B1", "path": [[0, 2000], [6000, 2000]]}]}),
        ("side-pad-on-slab", {"side_pads": [{"name": "fan", "polygon": BOX, "thickness_mm": 100}]}, {"side_pads": [{"name": "fan", "polygon": [[7000, 0], [8000, 0], [8000, 900]], "thickness_mm": 100}]}),
        ("pile-cover", {"piles": [{"diameter_mm": 300, "head_down_mm": 80, "at": [[3000, 2000]]}]}, {"piles": [{"diameter_mm": 300, "head_down_mm": 80, "at": [[100, 2000]]}], **ROUND}),
        ("overhang-fouls", {"existing": [{"name": "walk", "what": "walk", "polygon": [[5500, 0], [7000, 0], [7000, 4000], [5500, 4000]], "level_mm": -60}]}, {"existing": [{"name": "walk", "what": "walk", "polygon": [[5500, 0], [7000, 0], [7000, 4000], [5500, 4000]], "level_mm": -110}]}),
        ("edge-bury", {**ROUND, "ground": {"found_mm": -200}}, {**ROUND, "ground": {"found_mm": -140}}),
        ("top-low", {**ROUND, "ground": {"found_mm": -100}}, {**ROUND, "ground": {"found_mm": -160}}),
        ("edge-above-frost", {**ROUND, "ground": {"found_mm": -150}, "site": {"frost_depth_mm": 600}}, {**ROUND, "ground": {"found_mm": -150}, "site": {"frost_depth_mm": 290}}),
    ],
)  # fmt: skip
def test_a_caution_is_said_where_it_is_so_and_only_there(code, so, not_so):
    assert code in codes(**so)
    assert code not in codes(**not_so)


def test_every_caution_names_a_remedy_and_a_source():
    job = plan(**ROUND, ground={"found_mm": -200}, site={"frost_depth_mm": 900}, recesses=[recess(100)])
    for row in figure(job, Ways()).findings:
        assert row.words.endswith((".", "too.")) and row.remedy and row.source


def test_checks_say_what_is_there_what_is_asked_and_how_much_is_short():
    rows = {
        row.code: row
        for row in edge_checks(
            plan(**ROUND, ground={"found_mm": -200}, site={"frost_depth_mm": 900}), build_solid(plan(**ROUND)).cells
        )
        if row.side == 0
    }
    assert (rows["edge-bury"].verdict, rows["edge-bury"].has, rows["edge-bury"].gap_mm) == (
        "short",
        "250 mm",
        pytest.approx(54.8),
    )
    assert (rows["edge-above-frost"].verdict, rows["edge-above-frost"].gap_mm) == ("short", pytest.approx(650))
    assert rows["top-low"].verdict == "meets" and not rows["top-low"].words
    unknown = edge_checks(plan(**ROUND), build_solid(plan(**ROUND)).cells)
    assert {row.verdict for row in unknown} == {"not set"}


def test_a_side_against_a_wall_is_no_frost_side():
    wall = {"name": "wall", "what": "wall", "polygon": [[-300, -300], [0, -300], [0, 4300], [-300, 4300]]}
    job = plan(**ROUND, existing=[wall], ground={"found_mm": -200}, site={"frost_depth_mm": 900})
    assert {row.side for row in edge_checks(job, build_solid(job).cells)} == {0, 1, 2}


def test_levels_stand_at_every_corner_of_every_zone():
    job = plan(zones=[MAIN, {**PORCH, "drop_mm": 30, "fall": fall(90)}])
    rows = {(row.zone, row.corner): row.level_mm for row in corner_levels(job, build_solid(job).cells)}
    assert rows["porch", "B"] == pytest.approx(-70) and rows["porch", "C"] == pytest.approx(-70)
    assert sorted(level for (zone, _), level in rows.items() if zone == "porch") == pytest.approx([-70, -70, -30, -30])
    assert rows["main", "A"] == 0 and len(rows) == 8
    dish = plan(zones=[MAIN, {**PORCH, "fall": drain(25)}])
    assert {row.corner: row.level_mm for row in corner_levels(dish, build_solid(dish).cells)}["drain"] == pytest.approx(
        -25
    )


def test_ways_to_meet_frost_have_volumes_that_can_be_added_by_hand():
    """6 x 4 m, ground 150 below the top, frost 600: a deep edge, one in foam, and a wall on a footing."""
    site = {"frost_depth_mm": 600, "air_freezing_index_f_days": 1400}
    job = plan(**ROUND, ground={"found_mm": -150}, site=site)
    options = {row.key: row for row in edge_options(job, build_solid(job), Ways())}
    ring = 6 * 4 - 5.4 * 3.4
    assert options["drawn"].net_m3 == pytest.approx(2.4 + ring * 0.35) and options["drawn"].meets is False
    assert options["deep"].net_m3 == pytest.approx(2.4 + ring * 0.65)
    depth = 150 + 12 * 25.4
    assert options["shallow"].net_m3 == pytest.approx(2.4 + ring * (depth - 100) / 1000)
    assert options["shallow"].foam_m2 == pytest.approx(20 * depth / 1000) and options["shallow"].wings is None
    wall = 6 * 4 - (6 - 0.4064) * (4 - 0.4064)
    footing = wall * 2 * 0.2032
    assert options["wall"].net_m3 == pytest.approx(2.4 + wall * (0.75 - 0.2032 - 0.1) + footing)
    assert options["deep"].edits[0] == {"op": "set_edge_type", "mark": "E1", "depth": "750.00 mm", "degrees": 90}
    assert options["deep"].cost_cents == round(options["deep"].net_m3 * 21600)
    cold = plan(**ROUND, ground={"found_mm": -150}, site={**site, "air_freezing_index_f_days": 4500})
    assert "ASCE 32" in {row.key: row.words for row in edge_options(cold, build_solid(cold), Ways())}["shallow"]
    assert [row.key for row in edge_options(plan(**ROUND), build_solid(plan(**ROUND)), Ways())] == ["drawn"]


def test_a_way_that_is_taken_is_the_one_that_was_shown_and_leaves_lines_inside_alone():
    """E1 is a line inside as well: the open sides get a type of their own, and the volumes are those of the option."""
    job = plan(
        edge_types=[EDGE], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}, {"along": [[3000, 0], [3000, 4000]], "grow": "left", "type": "E1"}],
        ground={"found_mm": -150}, site={"frost_depth_mm": 600, "air_freezing_index_f_days": 2700},
    )  # fmt: skip
    for option in edge_options(job, build_solid(job), Ways()):
        if option.edits:
            after = edited(job, *option.edits)
            assert build_solid(after).net_m3 == pytest.approx(option.net_m3, abs=1e-6)
            assert next(row for row in after.edge_types if row.mark == "E1").depth_mm == 450
            assert sorted(side for row in after.edges if row.type == "F1" for side in row.sides) == [0, 1, 2, 3]


@pytest.mark.parametrize("corner", range(4))
@pytest.mark.parametrize("off_in", [5, 6.5, 8])
def test_a_pile_on_a_corners_diagonal_has_the_edge_round_its_head(corner, off_in):
    """20 x 14 ft, edge 12 wide 8 deep at 45 degrees all round: the mitre between two strips is no gap."""
    inch, ring = 25.4, [(0, 0), (240, 0), (240, 168), (0, 168)]
    x, y = ring[corner]
    at = [(x + (off_in if x == 0 else -off_in)) * inch, (y + (off_in if y == 0 else -off_in)) * inch]
    edge = {
        "mark": "E1",
        "kind": "thickened",
        "depth_mm": 8 * inch,
        "bottom_width_mm": 12 * inch,
        "haunch_run_per_rise": 1,
    }
    job = plan(
        outline=[[a * inch, b * inch] for a, b in ring], edge_types=[edge], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}],
        piles=[{"diameter_mm": 150, "head_down_mm": 5 * inch, "least_below_mm": 2 * inch, "at": [at]}],
    )  # fmt: skip
    assert "pile-cover" not in [row.code for row in figure(job, Ways(), quick=True).findings]
