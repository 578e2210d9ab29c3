"""What differs between two states of a plan, and whether two people's changes touch."""

from tests.plans import EDITS, job

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.plan.differs import differs, touch
from humble_trowel.core.reading.job_file import read_plan

BASE = read_plan(
    job(
        beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 450}],
        beams=[{"type": "B1", "path": [[x, 0], [x, 4000]]} for x in (1500, 3000)],
        underslab={"risers": [{"name": "drain", "kind": "drain", "at": [1000, 1000], "size_mm": 110}]},
    )
)
A, B, C, D = BASE.corner_ids
FIRST, SECOND = (beam.id for beam in BASE.beams)
RISER = BASE.underslab.risers[0].id


def changed(*edits):
    return differs(BASE, apply(BASE, EDITS.validate_python(list(edits)))[0])


def test_a_change_is_named_by_its_place_and_nothing_else_is():
    assert differs(BASE, BASE.model_copy()) == set()
    assert changed({"op": "set_fields", "values": {"name": "Other"}}) == {("name",)}
    moved = changed({"op": "move_corner", "corner": C, "x_mm": 6100, "y_mm": 4100, "square": False})
    assert ("outline", C) in moved and ("outline", A) not in moved
    assert {place[0] for place in moved} <= {"outline", "beams"}  # beams that end on a side go along with it
    assert changed({"op": "take_out", "what": "beams", "ids": [FIRST]}) == {("beams", FIRST)}
    added = changed({"op": "add_corner", "side": A})
    assert len(added) >= 1 and all(place[0] == "outline" for place in added)
    gone = BASE.model_copy(update={"underslab": BASE.underslab.model_copy(update={"risers": []})})
    assert differs(BASE, gone) == {("underslab", "risers", RISER)}


def test_two_changes_touch_where_one_place_is_within_the_other():
    corner, beam = {("outline", C)}, {("beams", FIRST)}
    assert not touch(corner, beam) and not touch(beam, {("beams", SECOND)}) and not touch(set(), beam)
    assert touch(beam, beam) and touch({("beams",)}, beam) and touch(beam, {("beams",)})
    assert not touch({("site", "north_deg")}, {("site", "place")}) and touch({("site",)}, {("site", "place")})
