"""Edits of surroundings and forms, and that what is said of a side stays with it when the outline changes."""

import pytest
from tests.plans import edited, l_shape, new, plan

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.lines.records import FormLevels, StringGaps
from humble_trowel.core.lines.straight import level, straight
from humble_trowel.core.reading.job_file import read_plan

FORM = {"op": "form_sides", "sides": [2], "changes": {"backfilled": True}}


def sides_of(job):
    return {side: row.backfilled for row in job.forms for side in row.sides}


def test_form_rows_follow_their_side():
    job = edited(l_shape(), FORM, {"op": "hold", "side": 2})
    longer = edited(job, {"op": "set_side", "side": 0, "length": "40'"})
    assert sides_of(longer) == {2: True} and longer.set_out.hold_side == 2
    split = edited(job, {"op": "add_corner", "side": 0})
    assert sides_of(split) == {3: True} and split.set_out.hold_side == 3
    halves = edited(job, {"op": "add_corner", "side": 2})
    assert sides_of(halves) == {2: True, 3: True}
    assert sides_of(edited(split, {"op": "remove_corner", "corner": 1})) == {2: True}


def test_a_clockwise_file_turns_its_form_rows_and_ground_round():
    ground = [{"at_mm": 1000, "level_mm": -100}, {"at_mm": 4000, "level_mm": -300}]
    ring = [[0, 0], [0, 4000], [6000, 4000], [6000, 0]]
    data = plan().model_dump(mode="json") | {"outline": ring, "forms": [{"sides": [1], "ground": ground}]}
    job = read_plan(data)
    assert job.forms[0].sides == [2]
    assert [(spot.at_mm, spot.level_mm) for spot in job.forms[0].ground] == [(2000, -300), (5000, -100)]


def test_ground_is_called_at_as_many_places_as_it_takes():
    said = "17\" at 36', 9 at 0, 12 1/2\" at 18'"
    job = edited(l_shape(), {"op": "form_sides", "sides": [0], "changes": {"ground": said}})
    assert [(round(s.at_mm, 1), round(s.level_mm, 2)) for s in job.forms[0].ground] == [
        (0, -228.6),
        (5486.4, -317.5),
        (10972.8, -431.8),
    ]
    assert edited(job, {"op": "form_sides", "sides": [0], "changes": {"ground": ""}}).forms == []
    with pytest.raises(TrowelError, match="Say the ground like"):
        edited(job, {"op": "form_sides", "sides": [0], "changes": {"ground": "deep"}})


def test_something_beside_the_work_by_a_walk_and_its_level():
    job = edited(
        l_shape(), {"op": "add_existing", "what": "wall", "text": "from B, 1' e 18' n 1' w 18' s", "level": "-2 in"}
    )
    assert job.existing[0].name == "Wall" and job.existing[0].level_mm == pytest.approx(-50.8)
    job = edited(job, {"op": "set_existing", "existing": 0, "changes": {"level_mm": "3 in over", "name": "Byre wall"}})
    assert (job.existing[0].name, job.existing[0].level_mm) == ("Byre wall", pytest.approx(76.2))
    assert edited(job, {"op": "remove_existing", "existing": 0}).existing == []


@pytest.mark.parametrize(
    ("edit", "words"),
    [
        ({"op": "round_corner", "corner": 0, "radius": "30'"}, "does not fit"),
        ({"op": "round_corner", "corner": 9, "radius": "1'"}, "That corner is not on this slab any more"),
        ({"op": "hold", "side": 17}, "That side is not on this slab any more"),
        ({"op": "form_sides", "sides": [8], "changes": {}}, "That side is not on this slab"),
        (
            {
                "op": "form_sides",
                "sides": [0],
                "changes": {"ground": [{"at_mm": 5, "level_mm": 0}, {"at_mm": 5, "level_mm": 1}]},
            },
            "farther than the last",
        ),
        ({"op": "add_existing", "what": "slab", "text": "from B, 1' e"}, "Not closed"),
        ({"op": "remove_existing", "existing": 0}, "That thing beside the work is not"),
        ({"op": "take_outline", "ring": [[0, 0], [1000, 1000], [1000, 0], [0, 1000]]}, "crosses itself"),
        ({"op": "accept_laid", "ring": [[0, 0], [1, 0], [1, 1]]}, "not the corners"),
        ({"op": "hold", "lot_line": {"start": [0, 0], "end": [0, 0]}}, "one spot"),
    ],
)
def test_impossible_edits_say_why_and_leave_the_plan(edit, words):
    with pytest.raises(TrowelError, match=words):
        edited(l_shape(), edit)


def test_an_outline_from_points_brings_openings_and_neighbours():
    ring = [[0, 0], [9000, 0], [9000, 6000], [0, 6000]]
    hole = [[1000, 1000], [2000, 1000], [2000, 2000], [1000, 2000]]
    beside = {"name": "old", "what": "other", "polygon": [[9000, 0], [12000, 0], [12000, 6000], [9000, 6000]]}
    job = edited(
        new("mm"), {"op": "take_outline", "ring": ring, "openings": [hole], "existing": [beside], "source": "lot.dxf"}
    )
    assert len(job.outline) == 4 and len(job.openings) == 1 and job.existing[0].name == "old"


def readings(kind, side, rows, **more):
    model = StringGaps if kind == "gaps" else FormLevels
    data = {"side": side, "readings": [{"at_mm": at, "mm": mm} for at, mm in rows], **more}
    return model.model_validate(data, context={"units": "ft-in"})


def test_string_gaps_say_in_or_out_and_form_tops_up_or_down():
    job = l_shape()
    gaps = readings("gaps", 0, [("0'", '3/4"'), ("12'", '1 1/4"'), ("24'", '1/2"'), ("36'", '3/4"')], block_mm='3/4"')
    found = straight(job, gaps, 3.175)
    assert (
        found.worst == ["At 12′: out 1/2″.", "At 24′: in 1/4″."] and found.verdict == "A to B: 2 of 4 stakes to move."
    )
    inside = gaps.model_copy(update={"string": "inside"})
    assert straight(job, inside, 3.175).worst[0] == "At 12′: in 1/2″."
    tops = readings("levels", 1, [("0'", "4' 2\""), ("9'", "4' 2 1/4\""), ("18'", "4' 1 3/4\"")], want_mm="4' 2\"")
    assert level(job, tops, 3.175).worst == ["At 9′: up 1/4″.", "At 18′: down 1/4″."]
    with pytest.raises(TrowelError, match="past it"):
        straight(job, readings("gaps", 0, [("40'", '1"')], block_mm='3/4"'), 3)
