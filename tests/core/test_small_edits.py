"""Edits that stand in no long chain: what each changes, what it leaves alone, and what it refuses in words."""

import pytest
from tests.plans import EDITS, edited, job, l_shape, new, plan

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import CallError, EditError, PlanError

STACK = [{"kind": "slab"}, {"kind": "graded", "thickness_mm": "4"}, {"kind": "native"}]
NAIL = {"op": "set_benchmark", "name": "nail", "level": "8 1/2 in below", "at": [0, 0]}


def test_a_zone_changes_one_thing_at_a_time_and_says_which():
    start = edited(l_shape(), {"op": "set_slab_type", "mark": "S2", "thickness": "6"})
    said = {}
    for changes in ({"name": "Shop"}, {"slab": "S2"}, {"drop_mm": "3/4"}, {"use": "trucks"}, {"underside": "level"}):
        (edit,) = EDITS.validate_python([{"op": "set_zone", "zone": start.zones[0].id, "changes": changes}])
        after, words = apply(start, [edit])
        said[next(iter(changes))] = words
        assert after.zones[0].id == start.zones[0].id and after.outline is start.outline
    assert said == {
        "name": "Shop: was Slab", "slab": "Slab: slab S2", "drop_mm": "Slab: drop 3/4″", "use": "Slab: for trucks",
        "underside": "Slab: fall changed",
    }  # fmt: skip
    with pytest.raises(PlanError, match="The mark S9 is not known"):
        edited(start, {"op": "set_zone", "zone": 0, "changes": {"slab": "S9"}})
    with pytest.raises(EditError, match="That zone is not on this slab any more"):
        edited(start, {"op": "set_zone", "zone": 7, "changes": {"name": "x"}})


def test_a_slab_type_goes_with_its_build_up_but_not_while_a_zone_has_it():
    start = edited(l_shape(), {"op": "set_slab_type", "mark": "S2", "thickness": "6"})
    start = edited(start, {"op": "set_build_up", "slab": "S2", "layers": STACK})
    gone = edited(start, {"op": "remove_slab_type", "mark": "S2"})
    assert [row.mark for row in gone.slab_types] == ["S1"] and gone.build_ups == []
    with pytest.raises(EditError, match="S1 is the slab of Slab"):
        edited(start, {"op": "remove_slab_type", "mark": "S1"})


def test_an_edge_type_goes_with_its_sides_and_lines():
    start = edited(l_shape(), {"op": "add_along", "text": "from A 9' n, 28' e", "grow": "left", "type": "E1"})
    line = next(edge for edge in start.edges if edge.along)
    assert line.grow == "left" and line.id and len(line.along) == 2
    without = edited(start, {"op": "remove_along", "line": line.id})
    assert [edge.id for edge in without.edges] == [edge.id for edge in start.edges if edge is not line]
    bare = edited(start, {"op": "remove_edge_type", "mark": "E1"})
    assert bare.edges == [] and bare.edge_types == []
    sides = next(edge.id for edge in start.edges if edge.sides)
    with pytest.raises(EditError, match="an edge of sides, no line inside"):
        edited(start, {"op": "remove_along", "line": sides})
    for text, words in (("28' e", "Where does the line start"), ("from A", "How far, and which way")):
        with pytest.raises(CallError, match=words):
            edited(start, {"op": "add_along", "text": text, "grow": "left", "type": "E1"})


def test_build_ups_and_benchmarks_come_change_and_go():
    start = edited(l_shape(), {"op": "set_build_up", "slab": "S1", "layers": STACK}, NAIL)
    layers = start.build_ups[0].layers
    assert [row.kind for row in layers] == ["slab", "graded", "native"] and len({row.id for row in layers}) == 3
    assert layers[1].thickness_mm == pytest.approx(101.6)
    again = [{**row.model_dump(), "thickness_mm": "6" if row.kind == "graded" else None} for row in layers]
    thicker = edited(start, {"op": "set_build_up", "slab": "S1", "layers": again})
    assert [row.id for row in thicker.build_ups[0].layers] == [row.id for row in layers]
    mark = start.ground.benchmarks[0]
    renamed = edited(start, {**NAIL, "benchmark": mark.id, "name": "nail in the gatepost"})
    assert renamed.ground.benchmarks[0].id == mark.id and renamed.ground.benchmarks[0].name == "nail in the gatepost"
    assert edited(renamed, {"op": "remove_benchmark", "benchmark": 0}).ground.benchmarks == []
    assert edited(start, {"op": "remove_build_up", "slab": "S1"}).build_ups == []
    for edit, words in (
        ({**NAIL, "name": "NAIL"}, "called NAIL already"),
        ({**NAIL, "name": " "}, "Give the mark a name"),
        ({"op": "set_build_up", "slab": "S9", "layers": STACK}, "no slab type S9"),
        ({"op": "set_build_up", "slab": "S1", "layers": STACK[:2]}, "ends in air"),
        ({"op": "remove_benchmark", "benchmark": 4}, "not on this slab any more"),
    ):
        with pytest.raises(EditError, match=words):
            edited(start, edit)


def test_a_pad_beside_the_slab_is_walked_named_and_changed():
    start = edited(l_shape(), {"op": "add_side_pad", "text": "from B 3' e, 4' e 4' n 4' w 4' s", "thickness": "5"})
    pad = start.side_pads[0]
    assert (pad.name, pad.thickness_mm, pad.top_mm) == ("Pad 1", pytest.approx(127), 0)
    after = edited(start, {"op": "set_side_pad", "side_pad": pad.id, "changes": {"name": "Unit", "thickness_mm": "6", "top_mm": "1 in below"}})  # fmt: skip
    assert (after.side_pads[0].name, after.side_pads[0].top_mm) == ("Unit", pytest.approx(-25.4))
    assert after.side_pads[0].id == pad.id
    assert edited(after, {"op": "take_out", "what": "side_pads", "ids": [pad.id]}).side_pads == []
    with pytest.raises(EditError, match="How thick"):
        edited(l_shape(), {"op": "add_side_pad", "text": "from B 3' e, 4' e 4' n 4' w 4' s", "thickness": ""})
    with pytest.raises(EditError, match="That pad beside the slab is not on this slab any more"):
        edited(start, {"op": "set_side_pad", "side_pad": "gone", "changes": {"name": "x"}})


def test_a_whole_document_replaces_the_plan_and_a_bad_one_is_refused_with_its_path():
    start = l_shape()
    other = job(name="other", outline=[[0, 0], [0, 4000], [6000, 4000], [6000, 0]])
    after = edited(start, {"op": "replace_plan", "document": other, "summary": "Back"})
    assert after.name == "other" and after.outline == plan().outline and after.corner_ids == plan().corner_ids
    with pytest.raises(PlanError) as refused:
        edited(start, {"op": "replace_plan", "document": {**other, "zones": [{"name": "z", "slab": "S9"}]}})
    assert refused.value.path == "zones[0].slab"


def test_fields_are_set_by_path_and_nothing_else_can_be():
    start = new()
    after = edited(
        start, {"op": "set_fields", "values": {"site.frost_depth_mm": "30 in", "order.ring": {"name": "Juno"}}}
    )
    assert after.site.frost_depth_mm == 762 and after.order.ring.name == "Juno" and after.mix is start.mix
    metric = edited(after, {"op": "set_fields", "values": {"units": "mm"}})
    assert metric.units == "mm" and metric.site == after.site
    for path, words in (("outline", "not a field that can be set"), ("site.frost_depth_mm.x", "not a field"), ("site.depth", "Unknown key depth")):  # fmt: skip
        with pytest.raises((EditError, PlanError), match=words):
            edited(after, {"op": "set_fields", "values": {path: 1}})


def test_taking_out_rows_that_somebody_took_out_in_part_takes_the_rest():
    beams = [{"type": "B1", "path": [[x, 0], [x, 4000]]} for x in (1500, 3000, 4500)]
    start = plan(beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 450}], beams=beams)
    ids = [row.id for row in start.beams]
    fewer = edited(start, {"op": "take_out", "what": "beams", "ids": ids[:1]})
    (edit,) = EDITS.validate_python([{"op": "take_out", "what": "beams", "ids": ids[:2]}])
    after, words = apply(fewer, [edit])
    assert [row.id for row in after.beams] == ids[2:] and words == "A beam taken out"
    with pytest.raises(EditError, match="Which beam"):
        edited(start, {"op": "take_out", "what": "beams", "ids": []})
    typeless = edited(start, {"op": "take_out", "what": "beam_types", "mark": "B1"})
    assert typeless.beams == [] and typeless.beam_types == []


@pytest.mark.parametrize(("sizes", "path"), [(["0'", "9'"], "sizes[0]"), (["9'", "4000'"], "sizes[1]")])  # fmt: skip
def test_templates_name_the_size_that_cannot_be(sizes, path):
    with pytest.raises((EditError, CallError, PlanError, ValueError)) as refused:
        edited(new(), {"op": "template", "shape": "rectangle", "sizes": sizes})
    assert getattr(refused.value, "path", "") == path


def test_a_rectangle_laid_out_again_is_the_same_slab_resized():
    start = edited(new(), {"op": "template", "shape": "rectangle", "sizes": ["20'", "10'"]}, {"op": "set_edge_type", "mark": "E1", "text": "12 wide 18 deep"})  # fmt: skip
    start = edited(start, {"op": "set_side_type", "sides": [1], "type": "E1"}, {"op": "form_sides", "sides": [3], "changes": {"backfilled": True}})  # fmt: skip
    after = edited(start, {"op": "template", "shape": "rectangle", "sizes": ["24'", "12'"]})
    assert after.corner_ids == start.corner_ids
    assert [edge.sides for edge in after.edges] == [[1]] and [row.sides for row in after.forms] == [[3]]
