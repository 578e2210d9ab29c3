"""What everything is called: ids made from content, kept whatever becomes of it, and edits that mean the same later."""

import json

import pytest
from tests.plans import EDITS, edited, job, l_shape, plan

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import EditError, InputError, PlanError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.as_dug import dug_runs, gone_findings
from humble_trowel.core.ground.records import AsDug
from humble_trowel.core.lines.records import FormBack, Taped
from humble_trowel.core.plan.refs import by_id as named
from humble_trowel.core.plan.refs import by_place
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.files.job_file import parse_job, write_job

BEAMS = {
    "beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 450}],
    "beams": [{"type": "B1", "path": [[x, 0], [x, 4000]]} for x in (1500, 3000, 4500)],
}
TRENCH = {"stations": [{"at_mm": 0, "width_mm": 400, "depth_mm": 450}]}


def move(name):
    return EDITS.validate_python([{"op": "move_beam", "beam": name, "path": [[3500, 0], [3500, 4000]]}])


def test_reading_twice_gives_the_same_ids_and_a_file_keeps_its_own():
    one, two = plan(**BEAMS), plan(**BEAMS)
    assert one == two and len({row.id for row in one.beams}) == 3 and all(row.id for row in one.beams)
    assert parse_job(write_job(one)) == one
    own = plan(**{**BEAMS, "corner_ids": ["p", "q", "r", "s"], "zones": [{"id": "hall", "name": "all", "slab": "S1"}]})
    assert own.corner_ids == ["p", "q", "r", "s"] and own.zones[0].id == "hall"
    twins = plan(**{**BEAMS, "beams": [BEAMS["beams"][0]] * 2})
    assert twins.beams[0].id != twins.beams[1].id


def test_a_clockwise_file_names_its_sides_as_an_anticlockwise_one_does():
    ring = job()["outline"]
    round_it = [ring[0], *reversed(ring[1:])]
    turned = read_plan(job(outline=round_it, corner_ids=["a", "d", "c", "b"]))
    assert turned.outline == plan().outline and turned.corner_ids == ["a", "b", "c", "d"]
    assert read_plan(job(outline=round_it)).corner_ids == plan().corner_ids


@pytest.mark.parametrize(
    ("changes", "path"),
    [
        ({**BEAMS, "beams": [{**row, "id": "b"} for row in BEAMS["beams"]]}, "beams[1].id"),
        ({"corner_ids": ["a", "b", "a"]}, "corner_ids[2]"),
        ({"corner_ids": list("abcde")}, "corner_ids"),
        ({"zones": [{"id": "no spaces", "name": "all", "slab": "S1"}]}, "zones[0].id"),
    ],
)
def test_ids_that_cannot_be_are_named_with_their_path(changes, path):
    with pytest.raises(PlanError) as refused:
        plan(**changes)
    assert refused.value.path == path


def test_a_stale_move_moves_the_beam_it_meant_or_says_that_it_is_gone():
    seen = plan(**BEAMS)
    first, second, _ = seen.beams
    without = edited(seen, {"op": "take_out", "what": "beams", "ids": [first.id]})
    moved, words = apply(without, move(second.id))
    assert [row.path[0][0] for row in moved.beams] == [3500, 4500] and words == "Beam B1 moved"
    gone = edited(without, {"op": "take_out", "what": "beams", "ids": [second.id]})
    with pytest.raises(EditError, match="That beam is not on this slab any more: somebody took it out"):
        apply(gone, move(second.id))
    with pytest.raises(EditError, match="not on this slab any more"):
        apply(gone, EDITS.validate_python([{"op": "take_out", "what": "beams", "ids": [second.id]}]))


def test_what_an_edit_does_not_touch_are_the_very_objects():
    start = plan(**BEAMS)
    after, _ = apply(start, move(start.beams[1].id))
    assert after.outline is start.outline and after.zones is start.zones and after.slab_types is start.slab_types
    assert after.beams[0] is start.beams[0] and after.beams[2] is start.beams[2]
    assert after.beams[1].id == start.beams[1].id and after.beams[1] != start.beams[1]
    same, words = apply(start, [])
    assert same is start and words == "Nothing changed"


def test_sides_keep_their_name_when_corners_come_and_go():
    start = edited(
        l_shape(), {"op": "form_sides", "sides": [2], "changes": {"backfilled": True}}, {"op": "hold", "side": 2}
    )
    side = start.corner_ids[2]

    def told(now):
        place = now.corner_ids.index(side)
        assert now.set_out.hold_side == place and next(row for row in now.forms if place in row.sides).backfilled
        return place

    assert told(edited(start, {"op": "add_corner", "side": 0})) == 3
    assert told(edited(start, {"op": "remove_corner", "corner": 1})) == 1
    assert told(edited(start, {"op": "round_corner", "corner": 1, "radius": "3'"})) > 3
    rounded = edited(start, {"op": "round_corner", "corner": 2, "radius": "3'"})
    assert told(rounded) == rounded.corner_ids.index(side)  # the chords are new corners before it
    halves = edited(start, {"op": "add_corner", "side": 2})
    assert [row.sides for row in halves.forms] == [[2, 3]]
    bigger = edited(start, {"op": "keep_outline", "text": "40' e 18' n 28' w 10' n 12' w 28' s"})
    assert bigger.corner_ids == start.corner_ids and told(bigger) == 2
    apron = edited(start, {"op": "walk_zone", "text": "from A 4' e, 4' s 10' e 4' n", "name": "Apron"})
    assert told(apron) > 2 and {edge.type for edge in apron.edges if edge.sides} == {"E1"}


def test_a_trench_stays_on_its_side_and_one_whose_beam_is_gone_is_kept_and_said():
    start = edited(l_shape(), {"op": "set_beam_type", "mark": "B1", "text": "12 wide 18 deep"})
    start = edited(start, {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9'"})
    trench = named(AsDug.model_validate({"side": 2, **TRENCH}), start)
    beam = named(AsDug.model_validate({"beam": 0, **TRENCH}), start)
    assert trench.side == start.corner_ids[2] and beam.beam == start.beams[0].id

    def measured(now):
        return [
            run.side for run in dug_runs(now, build_solid(now), [trench, beam]) if run.measured and run.side is not None
        ]

    assert measured(start) == [2]
    assert measured(edited(start, {"op": "add_corner", "side": 0})) == [3]
    assert measured(edited(start, {"op": "remove_corner", "corner": 1})) == [1]
    bare = edited(start, {"op": "take_out", "what": "beams", "ids": [row.id for row in start.beams]})
    assert gone_findings(start, [trench, beam]) == []
    (doubt,) = gone_findings(bare, [trench, beam])
    assert doubt.code == "dug-gone" and "counts for nothing" in doubt.words


def test_records_by_number_are_named_against_their_plan_and_placed_against_the_present_one():
    start = l_shape()
    said = {
        "hold": [0, 1],
        "measures": [{"from": 0, "to": 2, "mm": 1}, {"from": {"side": 5, "at_mm": 9}, "to": 3, "mm": 2}],
    }
    taped = named(Taped.model_validate(said), start)
    assert taped.model_dump(by_alias=True)["measures"][1]["from"]["side"] == start.corner_ids[5]
    json.loads(taped.model_dump_json())
    more = edited(start, {"op": "add_corner", "side": 0})
    placed = by_place(taped, more)
    assert placed.hold == (0, 2) and placed.measures[0].to == 3 and placed.measures[1].start.side == 6
    assert by_place(placed, more) is placed
    fewer = edited(start, {"op": "remove_corner", "corner": 2})
    with pytest.raises(InputError, match="That corner is not on this slab any more") as gone:
        by_place(taped, fewer)
    assert gone.value.path == "measures[0].to"
    with pytest.raises(InputError, match="no side 9: this outline has 0 to 5"):
        named(FormBack.model_validate({"side": 9}), start)


def test_an_edit_that_points_by_number_is_refused():
    for edit in ({"op": "move_beam", "beam": 1, "path": [[0, 0], [1, 1]]}, {"op": "remove_corner", "corner": 0}):
        with pytest.raises(ValueError, match="valid string"):
            EDITS.validate_python([edit])
