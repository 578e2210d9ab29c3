"""Edits of beams, pads, recesses, what comes on top and what is met."""

import pytest
from tests.answers import figure
from tests.plans import edited, l_shape, plan

from humble_trowel.core.errors import CallError, EditError, LengthError, PlanError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways

FT = 304.8
B1 = {"op": "set_beam_type", "mark": "B1", "text": "12 wide 16 deep 45"}
P1 = {"op": "set_pad_type", "mark": "P1", "text": "30 sq 16 deep"}


def feet(path):
    return [(round(x / FT, 3), round(y / FT, 3)) for x, y in path]


def test_a_grid_of_beams_is_laid_from_a_wall_to_what_stands_across():
    job = edited(l_shape(), B1, {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9'"})
    assert [sorted(feet(beam.path)) for beam in job.beams] == [
        [(0, 9), (36, 9)],
        [(0, 18), (12, 18)],
        [(0, 27), (12, 27)],
    ]
    bays = edited(l_shape(), B1, {"op": "lay_beams", "type": "B1", "side": 5, "bays": "9', 14', 13'"})
    assert sorted({x for beam in bays.beams for x, _ in feet(beam.path)}) == [9, 23]
    both = edited(
        bays,
        {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9'"},
        P1,
        {"op": "add_pads", "type": "P1", "crossings": True},
    )
    assert (9.0, 9.0) in [feet([pad.at])[0] for pad in both.pads] and len(both.pads) == len(
        {pad.at for pad in both.pads}
    )


def test_beams_follow_zone_borders_and_walks():
    split = edited(
        l_shape(),
        B1,
        {"op": "walk_zone", "text": "from A 20' e, 18' n", "name": "East"},
        {"op": "beams_on_zones", "type": "B1"},
    )
    assert [sorted(feet(beam.path)) for beam in split.beams] == [[(20, 0), (20, 18)]]
    with pytest.raises(EditError, match="no border between zones without a beam"):
        edited(split, {"op": "beams_on_zones", "type": "B1"})
    walked = edited(l_shape(), B1, {"op": "add_beam", "type": "B1", "text": "from A 6' e, 9' n 12' e"})
    assert feet(walked.beams[0].path) == [(6, 0), (6, 9), (18, 9)]


def test_pads_by_their_call_on_bays_and_outside_as_an_error():
    for text, shape, sizes in (
        ("30 by 36 16 deep", "rectangle", (762, 914.4)),
        ("24 round 48 deep", "round", (609.6,)),
    ):
        kind = edited(l_shape(), {**P1, "text": text}).pad_types[0]
        assert kind.shape == shape and kind.depth_mm in (406.4, 1219.2)
        assert (kind.width_mm, kind.length_mm)[: len(sizes)] == sizes or kind.diameter_mm == pytest.approx(sizes[0])
    grid = edited(
        l_shape(), P1, {"op": "add_pads", "type": "P1", "corner": 0, "bays_x": "9', 14'", "bays_y": "3 x 9 ft"}
    )
    assert len(grid.pads) == 3 * 3 + 2  # the third row stands in the wing only
    with pytest.raises(PlanError, match="wholly outside the slab"):
        edited(l_shape(), P1, {"op": "add_pads", "type": "P1", "at": [[-5000, -5000]]})
    with pytest.raises(EditError, match="stands there already"):
        edited(grid, {"op": "add_pads", "type": "P1", "at": [[0, 0]]})


@pytest.mark.parametrize(
    ("edit", "error", "words"),
    [
        ({"op": "add_beam", "type": "B9", "text": "from A 9' n, 3' e"}, EditError, "no beam type here"),
        ({"op": "add_beam", "type": "B1", "text": "9' n"}, CallError, "Where does the beam start"),
        ({"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9"}, LengthError, "9"),
        ({"op": "lay_beams", "type": "B1", "side": 0, "spacing": "3 in"}, EditError, "leave no slab"),
        ({"op": "lay_beams", "type": "B1", "side": 0, "bays": "20', 20'"}, EditError, "The bays add up to 40′; the slab is 28′"),
        ({"op": "lay_beams", "type": "B1", "side": 0, "spacing": "90'"}, EditError, "No beam fits"),
        ({"op": "set_beam_type", "mark": "B2", "text": "12 wide"}, EditError, "How deep"),
        ({"op": "set_pad_type", "mark": "P2", "text": "blue"}, CallError, "Cannot read"),
        ({"op": "add_recess", "text": "from A 3' e 3' n, 3' e 3' n 3' w 3' s", "depth": "0"}, EditError, "How deep"),
        ({"op": "add_recess", "side": 0, "start": "34'", "width": "3'", "inward": "6", "depth": "1"}, EditError, "this runs to 37′"),
        ({"op": "add_kerb", "sides": [0, 2], "width": "6", "height": "8"}, EditError, "follow each other"),
        ({"op": "measure_level", "side": 0, "along": "3'", "level": "1 below"}, EditError, "Nothing stands against A to B"),
        ({"op": "set_piles", "diameter": "12", "head_down": "6"}, EditError, "Where do they stand"),
        ({"op": "take_out", "what": "beams", "ids": [7]}, EditError, "That beam is not on this slab any more"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_refused_in_plain_words(edit, error, words):
    with pytest.raises(error, match=words):
        edited(l_shape(), B1, P1, edit)


def test_recesses_set_downs_and_their_volumes():
    job = edited(
        l_shape(), {"op": "add_recess", "name": "Shower", "text": "from A 20' e 6' n, 3' e 3' n 3' w 3' s", "depth": "2"},
        {"op": "add_recess", "side": 0, "start": "4'", "width": "3'", "inward": "6", "depth": "3/4"},
    )  # fmt: skip
    assert [recess.name for recess in job.recesses] == ["Shower", "Set-down 2"]
    assert feet(job.recesses[1].polygon) == [(4, 0), (7, 0), (7, 0.5), (4, 0.5)]
    gone = build_solid(l_shape()).net_m3 - build_solid(job).net_m3
    assert gone == pytest.approx((9 * 2 / 12 + 1.5 * 0.75 / 12) * FT**3 / 1e9)
    dipped = edited(job, {"op": "set_recess", "recess": 0, "changes": {"keeps_thickness": True, "depth_mm": "3"}})
    assert build_solid(l_shape()).net_m3 - build_solid(dipped).net_m3 == pytest.approx(1.5 * 0.75 / 12 * FT**3 / 1e9)
    with pytest.raises(PlanError, match="overlap"):
        edited(job, {"op": "add_recess", "text": "from A 21' e 7' n, 1' e 1' n 1' w 1' s", "depth": "1"})


def test_a_kerb_poured_with_the_slab_is_in_its_order_and_not_in_its_net():
    job = edited(plan(), {"op": "add_kerb", "sides": [0, 1, 2, 3], "width": "150", "height": "200", "name": "Rim"})
    apart, together = (
        figure(one, Ways()) for one in (job, edited(job, {"op": "set_kerb", "kerb": 0, "changes": {"pour": "with"}}))
    )
    assert together.concrete.net_m3 == apart.concrete.net_m3 and together.second_pours[0].with_slab
    row = together.concrete.allowances[0]
    assert (row.name, row.m3) == ("Rim, with the slab", together.second_pours[0].m3)
    assert together.concrete.ordered.need.value == pytest.approx(apart.concrete.ordered.need.value + row.m3)
    assert not any(extra.key == "with_slab" for extra in apart.concrete.allowances)


def test_kerbs_leave_doors_out_and_stay_out_of_the_net():
    job = edited(plan(), {"op": "add_kerb", "sides": [0, 1, 2, 3], "width": "150", "height": "200", "name": "Rim"})
    (pour,) = figure(job, Ways()).second_pours
    assert pour.m3 == pytest.approx((2 * 5.85 + 2 * 3.85) * 0.15 * 0.2)
    assert figure(job, Ways()).concrete.net_m3 == pytest.approx(2.4)
    left = edited(job, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": "from 1000 to 1900, 3000 to 3900"}})
    assert figure(left, Ways()).second_pours[0].m3 == pytest.approx((19.4 - 1.8) * 0.15 * 0.2)
    one = edited(plan(), {"op": "add_kerb", "sides": [0, 1], "width": "150", "height": "200"})
    assert figure(one, Ways()).second_pours[0].length_mm == pytest.approx(5925 + 3925)
    with pytest.raises(PlanError, match="ends past it"):
        edited(one, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": "from 9000 to 12000"}})


def test_a_zone_follows_the_old_floor_it_meets():
    floor = {"name": "Old floor", "what": "slab", "polygon": [[-3000, 0], [0, 0], [0, 4000], [-3000, 4000]]}
    job = plan(existing=[floor])
    for along, level in (("0", "20 below"), ("2000", "8 below"), ("4000", "0")):
        job = edited(job, {"op": "measure_level", "side": 3, "along": along, "level": level})
    assert "match-off" in [row.code for row in figure(job, Ways()).findings]
    after = edited(job, {"op": "follow_side", "side": 3})
    cell = build_solid(after).cells[0]
    assert [cell.top_at((1, y)) for y in (4000, 2000, 0)] == pytest.approx([-20, -10, 0], abs=0.1)
    assert "match-off" not in [row.code for row in figure(after, Ways()).findings]
    assert build_solid(after).net_m3 == pytest.approx(2.4)
    with pytest.raises(EditError, match="Measure the floor"):
        edited(edited(job, {"op": "clear_levels", "existing": 0}), {"op": "follow_side", "side": 3})


def test_parts_go_along_with_their_corners_and_those_left_outside_go():
    job = edited(
        l_shape(),
        B1,
        {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9'"},
        P1,
        {"op": "add_pads", "type": "P1", "at": [[6 * FT, 24 * FT]]},
    )
    wider = edited(job, {"op": "move_corner", "corner": 1, "x_mm": 40 * FT, "y_mm": 0.0, "square": True})
    assert max(x for beam in wider.beams for x, _ in feet(beam.path)) == 40
    small = edited(job, {"op": "keep_outline", "text": "20' e 12' n 20' w 12' s"})
    assert len(small.beams) == 1 and not small.pads


def test_edge_kinds_take_foam_strips_and_plates():
    job = edited(l_shape(), {"op": "set_edge_type", "mark": "E1", "foam": "2", "plate": "5 1/2", "isolation": "1/2"})
    assert (job.edge_types[0].foam_mm, job.edge_types[0].plate_mm, job.edge_types[0].isolation_mm) == (
        50.8,
        139.7,
        12.7,
    )
    assert "plate-overhangs" in [row.code for row in figure(job, Ways()).findings]  # 2 in past a 5 1/2 in plate
    less = edited(job, {"op": "set_edge_type", "mark": "E1", "plate_over": "1 3/4"})
    assert "plate-overhangs" not in [row.code for row in figure(less, Ways()).findings]
    assert edited(less, {"op": "set_edge_type", "mark": "E1", "foam": ""}).edge_types[0].foam_mm is None
    for kind in ("block-wall", "overhang", "against-wall", "dowelled"):
        plain = edited(
            l_shape(),
            {"op": "set_edge_type", "mark": "X1", "kind": kind},
            {"op": "set_side_type", "sides": [0, 1, 2, 3, 4, 5], "type": "X1"},
        )
        assert figure(plain, Ways()).concrete.net_m3 == pytest.approx(71.34953472 * 0.1016)
