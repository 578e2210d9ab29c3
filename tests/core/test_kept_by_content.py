"""What is kept by content while a slab changes: the very objects where nothing changed, and the same answer as from nothing."""

import pytest
from tests.plans import edited, l_shape, plan

from humble_trowel.core.drawing.plan_view import plan_view
from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.solid import all_facets, build_solid
from humble_trowel.core.geometry.strips import edge_runs
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.job import Job
from humble_trowel.core.memo import ByContent, forget

BEAM = {"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 1}
PAD = {"mark": "P1", "shape": "rectangle", "width_mm": 900, "length_mm": 900, "depth_mm": 600}


def busy():
    """Edges all round, beams that cross, a pad on a crossing, two recesses: one over the beam, one far from all."""
    return plan(
        edge_types=[{"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300, "haunch_run_per_rise": 1}],
        edges=[{"sides": [0, 1, 2, 3], "type": "E1"}],
        beam_types=[BEAM],
        beams=[{"type": "B1", "path": [[3000, 0], [3000, 4000]]}, {"type": "B1", "path": [[0, 2000], [6000, 2000]]}],
        pad_types=[PAD], pads=[{"type": "P1", "at": [3000, 2000]}],
        recesses=[
            {"name": "pit", "polygon": [[2500, 900], [3500, 900], [3500, 1300], [2500, 1300]], "depth_mm": 60, "keeps_thickness": False},
            {"name": "drain", "polygon": [[4400, 2900], [4700, 2900], [4700, 3200], [4400, 3200]], "depth_mm": 50, "keeps_thickness": True},
        ],
    )  # fmt: skip


def moved(start, corner, x, y):
    return edited(start, {"op": "move_corner", "corner": corner, "x_mm": x, "y_mm": y, "square": False})


CHAIN = [(2, 6200, 4100), (2, 6000, 4000), (1, 6100, 50), (3, -80, 4000), (2, 6200, 4100)]


def test_over_a_chain_of_moves_solid_and_drawing_are_those_made_from_nothing():
    now = busy()
    for corner, x, y in CHAIN:
        now = moved(now, corner, x, y)
        warm = build_solid(now)
        drawn = plan_view(now, warm, [])
        forget()
        cold = build_solid(now)
        assert warm.pieces == cold.pieces and warm.added_m3 == cold.added_m3 and warm.clipped_m2 == cold.clipped_m2
        assert drawn == plan_view(now, cold, [])


def test_a_facet_that_nothing_touched_is_the_very_one_and_knows_itself():
    start = busy()
    before = {id(facet) for facet in all_facets(start, lay_zones(start))}
    shifted = edited(start, {"op": "move_beam", "beam": 0, "path": [[3100, 0], [3100, 4000]]})
    after = all_facets(shifted, lay_zones(shifted))
    new = {facet.part for facet in after if id(facet) not in before}
    first_beam = len(start.edges)
    assert new == {first_beam}
    one = next(facet for facet in after if facet.face == "haunch")
    assert one.whole == [one.lying.ring] and one.lying.depth == one.depth
    assert one.deepest == max(one.depth.at(x, y) for x, y in one.lying.ring)
    assert one.area_mm2 == pytest.approx(one.shape.area) and one.content == (tuple(one.lying.ring), one.depth)
    twin = Facet(99, "full", one.spots[::-1], one.depth, ())
    assert twin.content == one.content  # what it is does not hang on whose it is


def test_parts_that_change_places_do_not_take_each_others_pieces():
    """Two beams alike but for the order in which they lie: every piece says its own part."""
    start = busy()
    turned = plan(**{**start.model_dump(exclude_unset=True), "beams": list(reversed(start.model_dump()["beams"]))})
    build_solid(start)
    warm = build_solid(turned)
    forget()
    assert warm.pieces == build_solid(turned).pieces
    assert {piece.part for piece in warm.pieces} <= set(warm.by_part)


def test_runs_are_worked_out_once_for_the_same_edges():
    start = l_shape()
    assert edge_runs(start) is edge_runs(start)
    longer = moved(start, 1, 11200, 0)
    assert edge_runs(longer) is not edge_runs(start) and len(edge_runs(longer)) == 6


def test_a_recess_takes_the_same_whatever_lies_far_from_it():
    near = busy()
    bare = plan(**{**near.model_dump(exclude_unset=True), "recesses": [near.model_dump()["recesses"][0]]})
    both, alone = build_solid(near), build_solid(bare)
    pit = len(near.edges) + len(near.beams) + len(near.pads)
    assert both.added_m3[pit] == alone.added_m3[pit] < 0
    assert Job(near).concrete.agree == "They agree."


def test_a_memo_finds_what_it_has_and_forgets_what_is_old():
    memo: ByContent[list[int]] = ByContent(2)
    made = [memo.get(key, lambda key=key: [key]) for key in (1, 2)]
    assert memo.find(1) is made[0] and memo.find(3) is None
    memo.get(3, lambda: [3])  # the first two are the older half now
    assert memo.find(1) is made[0]
    for key in (4, 5):
        memo.get(key, lambda key=key: [key])
    assert memo.find(1) is None and memo.find(2) is None and memo.get(3, lambda: [33]) == [3]
