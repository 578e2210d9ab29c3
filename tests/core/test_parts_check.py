"""What is impossible about parts in a job file: one plain error with its key path; and what stays when the outline moves."""

import pytest
from tests.plans import edited, job, plan

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.strips import edge_runs
from humble_trowel.core.reading.job_file import read_plan

B1 = {"mark": "B1", "width_mm": 300, "depth_mm": 500}
P1 = {"mark": "P1", "shape": "rectangle", "width_mm": 600, "length_mm": 600, "depth_mm": 500}
BOX = [[1000, 1000], [2000, 1000], [2000, 2000], [1000, 2000]]
LINE = [[0, 2000], [6000, 2000]]
KERB = {"path": LINE, "width_mm": 150, "height_mm": 200}


@pytest.mark.parametrize(
    ("changes", "path", "words"),
    [
        ({"beam_types": [B1], "beams": [{"type": "B1", "path": [[9000, 0], [9000, 4000]]}]}, "beams[0].path", "wholly outside"),
        ({"beam_types": [B1], "beams": [{"type": "B1", "path": [[0, 0], [0, 0.5], [4, 4]]}]}, "beams[0].path", "one spot"),
        ({"beam_types": [B1], "beams": [{"type": "B1", "path": [[0, 0]]}]}, "beams[0].path", "needs 2 or more"),
        ({"beam_types": [B1, B1]}, "beam_types[1].mark", "stands twice"),
        ({"beam_types": [{**B1, "depth_mm": 0}]}, "beam_types[0].depth_mm", "more than nothing"),
        ({"beam_types": [{**B1, "haunch_run_per_rise": 99}]}, "beam_types[0].haunch_run_per_rise", "20"),
        ({"beams": [{"type": "B7", "path": LINE}]}, "beams[0].type", "not known"),
        ({"pad_types": [{**P1, "width_mm": None}]}, "pad_types[0]", "width_mm: a rectangle pad needs it"),
        ({"pad_types": [{**P1, "shape": "round"}]}, "pad_types[0]", "diameter_mm: a round pad needs it"),
        ({"pad_types": [{**P1, "shape": "oval"}]}, "pad_types[0].shape", "'rectangle' or 'round'"),
        ({"pad_types": [P1], "pads": [{"type": "P1", "at": [7000, 0]}]}, "pads[0].at", "A pad beside it is a side pad"),
        ({"pad_types": [P1], "pads": [{"type": "P1", "at": [1, 1], "colour": 3}]}, "pads[0].colour", "Unknown key"),
        ({"recesses": [{"name": "r", "polygon": [[0, 0], [1000, 1000], [1000, 0], [0, 1000]], "depth_mm": 9}]}, "recesses[0].polygon", "crosses itself"),
        ({"recesses": [{"name": "r", "polygon": [[x + 9000, y] for x, y in BOX], "depth_mm": 9}]}, "recesses[0].polygon", "wholly outside"),
        ({"recesses": [{"name": n, "polygon": BOX, "depth_mm": 9} for n in "ab"]}, "recesses[1].polygon", "a and b overlap by 1.00"),
        ({"recesses": [{"name": "r", "polygon": BOX, "depth_mm": 0}]}, "recesses[0].depth_mm", "more than nothing"),
        ({"side_pads": [{"name": "fan", "polygon": [[0, 0], [1, 0], [2, 0]], "thickness_mm": 99}]}, "side_pads[0].polygon", "fan"),
        ({"kerbs": [{**KERB, "path": [[9000, 0], [9000, 900]]}]}, "kerbs[0].path", "wholly outside"),
        ({"kerbs": [{**KERB, "leave_outs": [{"from_mm": 900, "to_mm": 900}]}]}, "kerbs[0].leave_outs[0].to_mm", "farther along"),
        ({"kerbs": [{**KERB, "leave_outs": [{"from_mm": 900, "to_mm": 6900}]}]}, "kerbs[0].leave_outs[0].to_mm", "6000 mm long"),
        ({"piles": [{"diameter_mm": 300, "head_down_mm": 90, "at": [[1, 1], [9000, 0]]}]}, "piles[0].at[1]", "wholly outside"),
        ({"piles": [{"diameter_mm": 300, "head_down_mm": 90, "at": []}]}, "piles[0].at", "needs 1 or more"),
        ({"zones": [{"name": "all", "slab": "S1", "use": "tanks"}]}, "zones[0].use", "must be"),
    ],
)  # fmt: skip
def test_an_impossible_part_is_one_error_at_its_key(changes, path, words):
    with pytest.raises(PlanError) as told:
        read_plan(job(**changes))
    assert told.value.path == path and words in told.value.words


def test_a_part_partly_outside_is_cut_off_exactly():
    job_ = plan(
        beam_types=[B1],
        beams=[{"type": "B1", "path": [[-700, 2000], [6900, 2000]]}],
        pad_types=[P1],
        pads=[{"type": "P1", "at": [6000, 4000]}],
    )
    solid = build_solid(job_)
    assert [solid.added_m3[n] for n in (0, 1)] == pytest.approx([6 * 0.3 * 0.4, 0.09 * 0.4])
    assert solid.clipped_m2 == {0: pytest.approx(1.6 * 0.3), 1: pytest.approx(0.27)}


def test_turning_a_clockwise_file_round_keeps_every_part_where_it_was():
    ring = [[0, 0], [0, 4000], [6000, 4000], [6000, 0]]
    more = {
        "beam_types": [B1], "beams": [{"type": "B1", "path": LINE}], "pad_types": [P1], "pads": [{"type": "P1", "at": [500, 500]}],
        "edge_types": [{"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300}], "edges": [{"sides": [0], "type": "E1"}],
    }  # fmt: skip
    turned = plan(outline=ring, **more)
    assert turned.outline == [(0, 0), (6000, 0), (6000, 4000), (0, 4000)] and turned.edges[0].sides == [3]
    assert build_solid(turned).depth_at(100, 3000) == 400 and build_solid(turned).depth_at(3000, 2000) == 500
    assert {run.part for run in edge_runs(turned)} == {0}


def test_ends_on_a_side_keep_their_share_when_it_moves_and_inner_points_stay():
    start = plan(
        beam_types=[B1], beams=[{"type": "B1", "path": [[1500, 0], [1500, 4000]]}, {"type": "B1", "path": [[2000, 1000], [4000, 1000]]}],
        recesses=[{"name": "door", "polygon": [[6000, 1000], [6000, 2000], [5800, 2000], [5800, 1000]], "depth_mm": 20}],
    )  # fmt: skip
    wide = edited(start, {"op": "set_side", "side": 0, "length": "8000", "moves": "end"})
    assert wide.beams[0].path == [(2000, 0), (2000, 4000)]
    assert wide.beams[1].path == [(2000, 1000), (4000, 1000)]
    assert [x for x, _ in wide.recesses[0].polygon] == [8000, 8000, 5800, 5800]
