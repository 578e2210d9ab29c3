"""What is called with something pressed: heard as the edits that it means, asked where it can be read two ways."""

import json
from importlib.resources import files

import pytest

from humble_trowel.core.edges.kinds import deeper
from humble_trowel.core.edges.top_view import top_view
from humble_trowel.core.edits.beside import AddExisting
from humble_trowel.core.edits.called import CallHere
from humble_trowel.core.edits.called_kind import CallKind
from humble_trowel.core.edits.registry import EDITS, apply
from humble_trowel.core.errors import CallError, EditError, InputError
from humble_trowel.core.geometry.bays import feet
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.units import parse_length

HOUSE = read_plan(json.loads((files("humble_trowel.demo") / "jobs" / "honey-house.json").read_text()))
A, J = {"corner": HOUSE.corner_ids[0]}, {"side": HOUSE.corner_ids[9]}
A_TO_B = {"side": HOUSE.corner_ids[0], "along": 4000}
ROOM = {"zone": next(row.id for row in HOUSE.zones if row.name == "Extraction"), "at": (2743.2, 2743.2)}
SPOT = {"at": (9000, 3000)}


def called(text, pressed=None, plan=HOUSE):
    return apply(plan, [CallHere(op="call", text=text, **(pressed or {}))])


@pytest.mark.parametrize(
    ("text", "pressed", "said", "more"),
    [
        ("every 11' 6 B1", J, "2 B1 beams off J to A, 36′ and 44′ long", (2, 0, 0, 0)),
        ("B1 every 11' 6 from A", J, "2 B1 beams off J to A, 44′ and 12′ long", (2, 0, 0, 0)),
        ("bays 9', 2 x 7' B1", J, "3 B1 beams off J to A, 12′ and 44′ and 44′ long", (3, 0, 0, 0)),
        ("at 20', 24' B1", J, "2 B1 beams off J to A, 44′ and 44′ long", (2, 0, 0, 0)),
        ("at 30' b1", A_TO_B, "1 B1 beam off A to B, 18′ long", (1, 0, 0, 0)),
        ("parallel every 11' 6 B1", J, "3 B1 beams from J to A, 28′ and 18′ and 18′ long", (3, 0, 0, 0)),
        ("under", None, "2 B1 under zone borders", (2, 0, 0, 0)),
        ("B1 from A 20' e, 18' n", None, "Beam B1 laid", (1, 0, 0, 0)),
        ("20' e B1", A, "Beam B1 laid", (1, 0, 0, 0)),
        ("P1", SPOT, "Pad P1 set", (0, 1, 0, 0)),
        ("P2 every 7' in 12 along A to B", None, "6 P2 pads set", (0, 6, 0, 0)),
        ("P1 bays 9', 14' by 9'", A, "6 P1 pads set", (0, 6, 0, 0)),
        ("part 10' e of H called Cold", {"zone": HOUSE.zones[0].id}, "Cold parted from Bottling", (0, 0, 1, 0)),
        ("S1 falls 1 to drain", ROOM, "Extraction: slab S1; Extraction: 1″ down at its drain, 9′ e, 9′ n of A, underside parallel", (0, 0, 0, 0)),
        ("drop 1 1/2, falls 1/8 e people", ROOM, "Extraction: drop 1 1/2″, for people; Extraction: falls 1/8″ per ft to the east, underside parallel", (0, 0, 0, 0)),
        ("level", ROOM, "Extraction: level, underside parallel", (0, 0, 0, 0)),
        ("door 3' 4 down 3/4 in 5 1/2 called Cart door", A_TO_B, "Cart door, 3/4″ deep", (0, 0, 0, 1)),
        ("4 deep thinner called Sump", {"recess": HOUSE.recesses[0].id}, "Sump: 4″ deep", (0, 0, 0, 0)),
        ("out", {"recess": HOUSE.recesses[0].id}, "A recess taken out", (0, 0, 0, -1)),
        ("out", {"zone": HOUSE.zones[2].id}, "Super store taken out", (0, 0, -1, 0)),
        ("pit 3' by 2' by 3 dips", SPOT, "Recess 2, 3″ deep", (0, 0, 0, 1)),
    ],
)  # fmt: skip
def test_a_call_is_heard_as_what_it_means(text, pressed, said, more):
    after, words = called(text, pressed)
    lists = ("beams", "pads", "zones", "recesses")
    assert words == said and tuple(len(getattr(after, key)) - len(getattr(HOUSE, key)) for key in lists) == more


@pytest.mark.parametrize(
    ("text", "pressed", "says", "choices"),
    [
        ("every 11 B1", J, "11 what", ("every 11' B1", 'every 11" B1')),
        ("every 11' 6", J, "Of which kind: B1 or P1 or P2", ("every 11' 6 B1", "every 11' 6 P1", "every 11' 6 P2")),
        ("every 11' B9", J, "There is no B9 here. B1 is here", ()),
        ("every 11' B1", None, "Off which wall", ()),
        ("P2 every 7' along A to C", None, "There is no side A to C", ()),
        ("pit 3 by 3 by 3", SPOT, "3 what", ("pit 3' by 3 by 3", 'pit 3" by 3 by 3')),
        ("door 3' 4 down 3/4", A_TO_B, "How far in", ("door 3' 4 down 3/4 in 3 1/2", "door 3' 4 down 3/4 in 5 1/2")),
        ("falls 1/8", ROOM, "Which way", tuple(f"falls 1/8 {way}" for way in ("n", "e", "s", "w", "to drain"))),
        ("S1 bananas", ROOM, "Cannot read 'bananas'", ()),
        ("", J, "Call every 11' 6 B1", ()),
        ("S2", None, "Of which zone", ()),
        ("blue", {"recess": HOUSE.recesses[0].id}, "Cannot read blue as a length", ()),
    ],
)
def test_what_can_be_read_two_ways_is_asked_and_what_cannot_be_read_is_said(text, pressed, says, choices):
    with pytest.raises(InputError, match=says) as refused:
        called(text, pressed)
    assert getattr(refused.value, "choices", ()) == choices


@pytest.mark.parametrize(
    ("text", "mark", "said"),
    [
        ("24 round 30 deep", None, "P3 24″ round, 30″ deep"),
        ("12 wide 20 deep 45", None, "B2 12″ wide, 20″ deep"),
        ("b1 18 deep", None, "B1 12″ wide, 18″ deep"),
        ("20 deep", "P1", "P1 30″ sq, 20″ deep"),
        ("E2 16 wide 24 deep", None, "E2 thickened"),
    ],
)
def test_a_kind_is_called_by_its_cut(text, mark, said):
    _, words = apply(HOUSE, [CallKind(op="call_kind", text=text, mark=mark)])
    assert words == said


def test_a_bay_typed_on_the_wall_moves_its_beam_to_the_far_edge_again():
    laid, _ = called("every 11' 6 B1", J)
    first, second = feet(laid)[9]
    set_bay = {"op": "set_bay", "side": J["side"], "beam": laid.beams[second.row].id, "bay": "12'"}
    after, words = apply(laid, [_read(set_bay)])
    assert words == "Bay set to 12′" and feet(after)[9][1].along_mm == pytest.approx(parse_length("23' 6", "ft-in"))
    assert after.beams[first.row] is laid.beams[first.row]
    behind, _ = apply(laid, [_read({**set_bay, "bay": "8'", "behind": True})])
    assert feet(behind)[9][1].along_mm == pytest.approx(parse_length("20'", "ft-in"))
    assert behind.beams[second.row].path[1][0] == pytest.approx(parse_length("44'", "ft-in"))
    with pytest.raises(EditError, match="does not fit"):
        apply(laid, [_read({**set_bay, "bay": "30'"})])


def _read(edit):
    return next(kind for kind in EDITS if kind.__name__ == "SetBay").model_validate(edit)


def test_the_drawings_of_both_tabs_say_what_is_there():
    cells = lay_zones(HOUSE)
    deep, top = deeper(HOUSE, cells, []), top_view(HOUSE, cells)
    assert deep.verdict == "1 beam and 2 pads"
    assert [(one.mark, one.says) for one in deep.kinds] == [
        ("E1", "128′ of edge"), ("B1", "one, 18′"), ("P1", "one, square"), ("P2", "one, round"),
    ]  # fmt: skip
    assert [bay.text for bay in deep.bays if bay.side == 0] == ["20′", "16′"]
    assert top.verdict == "2 1/2″ from high to low" and top.step_text == "1/4″"
    dish = [line for line in top.lines if line.zone == 1]
    assert [line.text for line in dish] == ["−3/4″", "−1/2″", "−1/4″"] and all(
        line.path[0] == line.path[-1] for line in dish
    )
    for line in top.lines:  # against the solid's own top
        assert all(cells[line.zone].top_at(spot) == pytest.approx(line.level_mm, abs=0.05) for spot in line.path)
    level, _ = called("level", ROOM)
    assert [row.says for row in top_view(level, lay_zones(level)).zones][1] == "is level"


def test_a_beam_or_pad_that_is_pressed_becomes_the_kind_that_is_called():
    two, _ = apply(HOUSE, [CallKind(op="call_kind", text="B9 14 wide 20 deep")])
    beam, words = called("B9", {"beam": two.beams[0].id}, two)
    assert beam.beams[0].type == "B9" and beam.beams[0].path == two.beams[0].path and words == "Beam B1 is B9 now"
    pad, words = called("P2", {"pad": two.pads[0].id}, two)
    assert pad.pads[0].type == "P2" and words == "Pad P1 is P2 now"
    with pytest.raises(CallError, match="There is no B7 here"):
        called("B7", {"beam": two.beams[0].id}, two)


@pytest.mark.parametrize(
    ("text", "pressed", "said"),
    [
        ("lap 8 by 4", J, "Lap 1, 8″ wide"),
        ("lap 8 by 4 from 4' for 6' called Step", J, "Step, 8″ wide"),
        ("saw cut 2 to 0 by 4", J, "Saw cut 1, 2″ wide"),
        ("walk 4' by 4 all round", J, "Sidewalk 1, 4′ wide"),
        ("sidewalk 4' by 4 along A to B", None, "Sidewalk 1, 4′ wide"),
        ("ramp 3' 4 down 4 by 6 to 2", A_TO_B, "Ramp 1, 3′-4″ wide"),
        ("ramp 3' 4 down 4 by 6 run 5' at 10' called Cart ramp", J, "Cart ramp, 3′-4″ wide"),
        ("footing 16 by 8 24 below all round", J, "Footing 1, 16″ by 8″"),
    ],
)
def test_what_lies_along_a_pressed_side_is_called(text, pressed, said):
    patio = AddExisting(
        op="add_existing", name="Patio", what="slab", text="from A, 6' w 24' n 6' e 24' s", level="5 below"
    )
    assert called(text, pressed, apply(HOUSE, [patio])[0])[1] == said


def test_a_ramp_stands_where_its_side_was_pressed_and_a_wall_on_the_footing_along_it():
    ramp = called("ramp 3' down 4 by 6", A_TO_B)[0].ramps[0]
    assert (ramp.path[0][0] + ramp.path[1][0]) / 2 == pytest.approx(4000) and ramp.run_mm == pytest.approx(48 * 25.4)
    footed, _ = called("footing 16 by 8 24 below", {"side": HOUSE.corner_ids[9]})
    footed, _ = called("footing 20 by 10 30 below called Deep", A_TO_B, footed)
    wall = called("wall 7 5/8 block top 8 above called Curb", A_TO_B, footed)[0].walls[0]
    assert (wall.footing, wall.name, wall.top_mm) == (footed.footings[1].id, "Curb", pytest.approx(8 * 25.4))


@pytest.mark.parametrize(
    ("text", "pressed", "says", "choices"),
    [
        ("lap 8", J, "Call it like lap 8 by 4", ()),
        ("walk 4 by 4", J, "4 what", ("walk 4' by 4", 'walk 4" by 4')),
        ("ramp 3' down 4 by 6", J, "Where along J to A", ()),
        ("lap 8 by 4", None, "Along which side", ()),
        ("wall 8 block", J, "stands on a footing", ()),
    ],
)
def test_a_call_along_a_side_asks_what_it_cannot_know(text, pressed, says, choices):
    with pytest.raises(InputError, match=says) as refused:
        called(text, pressed)
    assert tuple(choice.text if hasattr(choice, "text") else choice for choice in refused.value.choices) == choices
