"""Cuts along any line: they are the solid, with its sizes, layers and what stands at the ends."""

import math
from itertools import pairwise

import pytest
from shapely.geometry import Polygon
from tests.answers import figure
from tests.plans import edited, l_shape, plan

from humble_trowel.core.edges.section import section
from humble_trowel.core.edges.section_line import section_area_m2, section_line, section_rings
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.order.edge_row import section_m2
from humble_trowel.core.plan.ways import Ways

APRON = {"op": "walk_zone", "text": "from B 3' n, 8' e 12' n 8' w", "name": "Apron", "drop": "1 1/2"}
FALL = {"kind": "plane", "toward_deg": 90, "rate": 0.02}


def made(job, a, b):
    return section(job, build_solid(job), Ways(), a, b)


def at_place(job, kind, row=0):
    place = next(p for p in figure(job, Ways()).section_places if (p.kind, p.row) == (kind, row))
    return made(job, place.start, place.end)


def test_the_cut_under_a_side_is_its_type_with_sizes_that_may_be_typed():
    job = l_shape()
    got = at_place(job, "side")
    (ring,) = got.rings
    s0 = got.ends[0].s_mm
    assert {(round(s - s0, 1), round(z, 1)) for s, z in ring} >= {(0, 0), (0, -457.2), (304.8, -457.2), (660.4, -101.6)}
    assert {(size.kind, size.key): (size.text, size.typed) for size in got.sizes} == {
        ("slab", "thickness"): ("4\u2033", True), ("edge", "depth"): ("18\u2033", True),
        ("edge", "bottom_width"): ("12\u2033", True), ("edge", "degrees"): ("45°", True),
    }  # fmt: skip
    below = got.area_m2 - 0.1016 * (got.length_mm - s0) / 1000
    area, _ = section_m2(job.edge_types[0], 101.6)
    assert below == pytest.approx(area)
    assert got.ends[0].name == "A to B" and got.ends[0].square and got.ends[0].outward == -1
    skew = made(job, (1000, -500), (2500, 2500))
    assert not any(size.typed for size in skew.sizes if size.kind == "edge" and size.key == "bottom_width")


def test_every_side_line_beam_pad_recess_and_step_has_a_place_to_cut():
    job = edited(
        l_shape(), APRON,
        {"op": "set_beam_type", "mark": "B1", "text": "12 wide 16 deep 45"},
        {"op": "add_beam", "type": "B1", "text": "from A 10' e, 18' n"},
        {"op": "set_pad_type", "mark": "P1", "text": "30 sq 16 deep"},
        {"op": "add_pads", "type": "P1", "text": "from A 20' e 9' n"},
        {"op": "add_recess", "text": "from A 24' e 4' n, 3' e 3' n 3' w 3' s", "depth": "1 1/2", "name": "Shower"},
    )  # fmt: skip
    kinds = [place.kind for place in figure(job, Ways()).section_places]
    assert [kinds.count(k) for k in ("side", "along", "beam", "pad", "recess", "step")] == [10, 1, 1, 1, 1, 1]
    for kind, key, text in (
        ("beam", "width", "12\u2033"),
        ("pad", "width", "30\u2033"),
        ("recess", "depth", "1 1/2\u2033"),
        ("step", "drop", "1 1/2\u2033"),
    ):
        size = next(s for s in at_place(job, kind).sizes if s.kind == kind and s.key == key)
        assert size.text == text and size.typed


def test_cuts_across_add_up_to_the_volume():
    """Areas of parallel cuts at Gauss points between all breakpoints: exact where depths are linear."""
    job = plan(
        zones=[
            {"name": "main", "slab": "S1", "polygon": None},
            {"name": "porch", "slab": "S1", "polygon": [[4000, 0], [6000, 0], [6000, 4000], [4000, 4000]], "drop_mm": 40,
             "fall": FALL, "underside": "level"},
        ],
        beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 0.5}],
        beams=[{"type": "B1", "path": [[0, 2000], [6000, 2000]]}],
        recesses=[{"name": "r", "polygon": [[1000, 1500], [2000, 1500], [2000, 2500], [1000, 2500]], "depth_mm": 60}],
    )  # fmt: skip
    solid = build_solid(job)
    marks = [0, 1000, 2000, 4000, 6000]
    total = 0.0
    for low, high in pairwise(marks):
        for share in (-0.5 / math.sqrt(3), 0.5 / math.sqrt(3)):
            x = (low + high) / 2 + share * (high - low)
            total += section_area_m2(section_line(solid, (x, -100), (x, 4100))) * (high - low) / 2000
    assert total == pytest.approx(solid.net_m3, rel=2e-5)


def test_levels_layers_and_slopes_are_where_they_are():
    job = plan(
        zones=[
            {"name": "main", "slab": "S1", "polygon": None},
            {"name": "porch", "slab": "S1", "polygon": [[4000, 0], [6000, 0], [6000, 4000], [4000, 4000]], "drop_mm": 40, "fall": FALL},
        ],
        edge_types=[{"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300}],
        edges=[{"sides": [3], "type": "E1"}],
        build_ups=[{"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "foam", "thickness_mm": 50}, {"kind": "stone", "thickness_mm": 100}, {"kind": "native"}]}],
    )  # fmt: skip
    got = made(job, (-300, 2000), (6300, 2000))
    assert [layer.kind for layer in got.layers] == ["foam", "stone", "foam", "stone"]
    foam = Polygon(got.layers[0].rings[0])
    assert foam.area == pytest.approx(50 * 3700) and foam.bounds[0] == pytest.approx(600)
    (slope,) = got.slopes
    assert (slope.z0_mm, slope.z1_mm, slope.text) == (pytest.approx(-40), pytest.approx(-80), "2 %")
    assert [end.name for end in got.ends] == ["D to A", "B to C"]
    assert "looking north" in got.words
    assert next(size for size in got.sizes if size.kind == "step").value == pytest.approx(40)


def test_recesses_cut_the_top_and_keep_or_lose_thickness():
    base = {"polygon": [[1000, 1000], [2000, 1000], [2000, 2000], [1000, 2000]]}
    for depth, keeps, bottom, pieces in ((40, False, -100, 1), (40, True, -140, 1), (150, False, None, 2)):
        job = plan(recesses=[{"name": "r", "depth_mm": depth, "keeps_thickness": keeps, **base}])
        spans = section_line(build_solid(job), (-100, 1500), (6100, 1500))
        own = [span for span in spans if span.recess == 0]
        assert ([span.top0_mm for span in own], [span.bottom0_mm for span in own]) == (
            ([-depth], [bottom]) if bottom else ([], [])
        )  # fmt: skip
        assert len(section_rings(spans)) == pieces


def test_a_line_off_the_slab_or_of_no_length_is_refused():
    job = l_shape()
    with pytest.raises(InputError, match="does not cross"):
        made(job, (-9000, -9000), (-8000, -9000))
    with pytest.raises(InputError, match="one spot"):
        made(job, (0, 0), (0, 1))


WALL = {"name": "Old floor", "what": "slab", "polygon": [[-2000, 0], [0, 0], [0, 4000], [-2000, 4000]], "level_mm": 0}


def test_a_face_says_what_stands_against_it_and_at_what_level_there():
    job = plan(
        edge_types=[{"mark": "D1", "kind": "dowelled", "isolation_mm": 13}], edges=[{"sides": [3], "type": "D1"}],
        existing=[{**WALL, "levels": [{"at": [0, 500], "level_mm": -9}, {"at": [0, 3500], "level_mm": 4}]}],
    )  # fmt: skip
    low, high = (made(job, (-400, y), (900, y)).ends[0] for y in (700, 3300))
    assert (low.against, low.against_level_mm, high.against_level_mm) == ("Old floor", -9, 4)
    assert (low.kind, low.isolation_mm, low.boards, low.top_mm, low.bottom_mm) == ("dowelled", 13, [], 0, -100)


def test_an_open_face_has_its_boards_foam_plate_ground_and_frost():
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300, "foam_mm": 50, "plate_mm": 140}
    ground = {"sides": [0], "ground": [{"at_mm": 0, "level_mm": -100}, {"at_mm": 6000, "level_mm": -220}]}
    job = plan(edge_types=[edge], edges=[{"sides": [0], "type": "E1"}], forms=[ground], site={"frost_depth_mm": 700})
    end = made(job, (3000, -300), (3000, 900)).ends[0]
    assert (end.ground_mm, end.frost_mm) == (pytest.approx(-160), pytest.approx(-860))
    assert (end.foam_mm, end.plate_mm, end.plate_over_mm, end.short_text) == (50, 140, 50, "410 mm")
    assert end.boards and end.boards[0].top_mm == pytest.approx(0)
    inside = made(job, (3000, 1500), (3000, 2500))
    assert inside.ends == [] and inside.words.startswith("Cut in all")


def test_kerbs_stand_on_top_and_piles_below():
    job = plan(
        kerbs=[{"path": [[75, 0], [75, 4000]], "width_mm": 150, "height_mm": 200, "leave_outs": [{"from_mm": 1000, "to_mm": 2000}]}],
        piles=[{"name": "Pile", "diameter_mm": 300, "head_down_mm": 60, "at": [[1000, 3000]]}],
    )  # fmt: skip
    rows = {block.kind: block for block in made(job, (-200, 3000), (2000, 3000)).blocks}
    assert (rows["kerb"].s0_mm, rows["kerb"].s1_mm, rows["kerb"].top_mm) == (
        pytest.approx(200),
        pytest.approx(350),
        200,
    )
    assert (rows["pile"].s0_mm, rows["pile"].s1_mm, rows["pile"].top_mm) == (
        pytest.approx(1050, abs=1),
        pytest.approx(1350, abs=1),
        -60,
    )
    assert made(job, (-200, 1500), (2000, 1500)).blocks == []


def test_a_pipe_is_cut_where_the_line_crosses_it_as_wide_as_the_slant_makes_it():
    run = {
        "name": "D1",
        "kind": "drain",
        "size_mm": 110,
        "path": [[1000, 500], [1000, 3500]],
        "start_mm": -400,
        "fall": 0.02,
    }
    job = plan(underslab={"services": [run]})
    square = made(job, (0, 1500), (2000, 1500)).blocks[0]
    assert (square.kind, square.bottom_mm, square.top_mm) == ("pipe", -420, -310)
    assert (square.s0_mm, square.s1_mm) == (945, 1055)
    slanted = made(job, (0, 500), (2000, 2500)).blocks[0]
    assert slanted.s1_mm - slanted.s0_mm == pytest.approx(110 * math.sqrt(2))
    assert made(job, (1000, 1000), (1000, 3000)).blocks == []  # along it there is nothing to cut across


def test_a_step_between_zones_whose_border_differs_in_the_last_bit_is_found():
    job = edited(l_shape(), {"op": "walk_zone", "text": "from A 20' e, 18' n", "name": "East", "drop": "2"})
    (place,) = [place for place in figure(job, Ways()).section_places if place.kind == "step"]
    size = next(size for size in made(job, place.start, place.end).sizes if size.kind == "step")
    assert size.text == "2\u2033" and size.typed
