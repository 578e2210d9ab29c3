"""Edits of a plan: what moves, what stays, what is refused."""

import pytest
from tests.answers import figure
from tests.plans import edited, l_shape, new, plan

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.plan.ways import Ways

FT = 304.8


def feet(ring):
    return [(round(x / FT, 4), round(y / FT, 4)) for x, y in ring]


def test_a_side_is_lengthened_at_either_end_and_the_longest_way_back_takes_it_up():
    start = l_shape()
    far = edited(start, {"op": "set_side", "side": 0, "length": "40'", "moves": "end"})
    assert feet(far.outline) == [(0, 0), (40, 0), (40, 18), (12, 18), (12, 28), (0, 28)]
    near = edited(start, {"op": "set_side", "side": 0, "length": "40'", "moves": "start"})
    assert feet(near.outline) == [(-4, 0), (36, 0), (36, 18), (8, 18), (8, 28), (-4, 28)]


def test_a_corner_moves_square_or_free():
    start = plan()
    move = {"op": "move_corner", "corner": 2, "x_mm": 7000, "y_mm": 4500}
    assert edited(start, {**move, "square": True}).outline == [(0, 0), (7000, 0), (7000, 4500), (0, 4500)]
    assert edited(start, {**move, "square": False}).outline == [(0, 0), (6000, 0), (7000, 4500), (0, 4000)]


def test_adding_and_taking_out_a_corner_keeps_every_edge_where_it_was():
    start = edited(l_shape(), {"op": "set_side_type", "sides": [1, 4], "type": None})
    more = edited(start, {"op": "add_corner", "side": 1, "at_mm": 1000})
    assert [side.edge for side in figure(more, Ways()).outline.sides] == [
        "E1",
        None,
        None,
        "E1",
        "E1",
        None,
        "E1",
    ]
    back = edited(more, {"op": "remove_corner", "corner": 2})
    assert back.outline == start.outline
    assert back.edges == start.edges


def test_a_second_walk_adds_a_dropped_zone_and_the_covered_edge_stays_as_a_line():
    start = l_shape()
    both = edited(start, {"op": "walk_zone", "text": "from B 3' n, 8' e 12' n 8' w", "name": "Apron", "drop": "1 1/2"})
    assert [zone.name for zone in both.zones] == ["Slab", "Apron"]
    assert both.zones[1].drop_mm == pytest.approx(38.1)
    assert figure(both, Ways()).outline.area_m2 * 10.7639104 == pytest.approx(864, rel=1e-6)
    line = next(edge for edge in both.edges if edge.along)
    assert feet(line.along) == [(36, 3), (36, 15)]
    assert [side.edge for side in figure(both, Ways()).outline.sides][1:7] == [
        "E1",
        None,
        None,
        None,
        "E1",
        "E1",
    ]


def test_zones_are_parted_carved_and_given_back():
    start = plan()
    parted = edited(start, {"op": "walk_zone", "text": "from A 2000 e, 4000 n", "name": "west"})
    assert [round(cell, 3) for cell in areas(parted)] == [16, 8]
    carved = edited(
        parted,
        {"op": "walk_zone", "text": "from C 500 w & 500 s, 1000 w 1000 s 1000 e 1000 n", "name": "box"},
    )
    assert [round(cell, 3) for cell in areas(carved)] == [15, 8, 1]
    back = edited(carved, {"op": "remove_zone", "zone": 1}, {"op": "remove_zone", "zone": 1})
    assert areas(back) == [24]


def areas(job):
    from humble_trowel.core.geometry.zones import lay_zones

    return [cell.area_m2 for cell in lay_zones(job)]


def test_zones_follow_a_dragged_side():
    parted = edited(plan(), {"op": "walk_zone", "text": "from A 2000 e, 4000 n", "name": "west"})
    wider = edited(parted, {"op": "move_corner", "corner": 2, "x_mm": 6000, "y_mm": 5000})
    assert [round(cell, 3) for cell in areas(wider)] == [20, 10]


def test_templates_openings_and_the_cut_call():
    job = edited(new(), {"op": "template", "shape": "T", "sizes": ["30'", "10'", "12'", "8'"]})
    assert figure(job, Ways()).outline.area_m2 * 10.7639104 == pytest.approx(396, rel=1e-6)
    holed = edited(job, {"op": "add_opening", "text": "from A 1' e & 1' n, 2' e 2' n 2' w 2' s"})
    assert figure(holed, Ways()).outline.area_m2 * 10.7639104 == pytest.approx(392, rel=1e-6)
    cut = edited(job, {"op": "set_edge_type", "mark": "E1", "text": "300 mm wide 18 deep 60"}).edge_types[0]
    assert (cut.bottom_width_mm, cut.depth_mm) == (300, pytest.approx(457.2))
    assert cut.haunch_run_per_rise == pytest.approx(0.57735, abs=1e-5)


def test_fields_take_either_unit_system():
    job = edited(new("mm"), {"op": "set_fields", "values": {"mix.slump_mm": '5"', "mix.strength_mpa": "4000 psi"}})
    assert job.mix.slump_mm == pytest.approx(127)
    assert job.mix.strength_mpa == pytest.approx(27.579, abs=1e-3)


@pytest.mark.parametrize(
    "edit",
    [
        {"op": "keep_outline", "text": "10' e 10' n 10' w"},
        {"op": "keep_outline", "text": "10' e 10' n 5' w 20' s 5' w 10' n"},
        {"op": "template", "shape": "rectangle", "sizes": ["2 km", "3'"]},
        {"op": "template", "shape": "L", "sizes": ["10'", "5'", "10'", "5'"]},
        {"op": "set_side", "side": 0, "length": "0"},
        {"op": "set_side", "side": 9, "length": "4'"},
        {"op": "move_corner", "corner": 0, "x_mm": 9000, "y_mm": 9000, "square": False},
        {"op": "set_slab_type", "mark": "S1", "thickness": "-4"},
        {"op": "set_edge_type", "mark": "E9", "kind": "thickened", "text": "12 wide"},
        {"op": "set_side_type", "sides": [0], "type": "nope"},
        {"op": "walk_zone", "text": "8' e", "name": "x"},
        {"op": "walk_zone", "text": "from A, 1' e", "name": "x"},
        {"op": "add_opening", "text": "from A 90' e, 2' e 2' n 2' w 2' s"},
        {"op": "set_fields", "values": {"outline": None}},
        {"op": "set_fields", "values": {"order.pour_at": "Thursday"}},
        {"op": "remove_zone", "zone": 0},
    ],
)
def test_impossible_edits_are_refused_in_plain_words(edit):
    with pytest.raises(TrowelError) as caught:
        edited(plan(), edit)
    assert len(caught.value.words) > 8
