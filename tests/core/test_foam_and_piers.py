"""Foam on faces with its top cut back or inside the outline; piers under pads beside, at corners, in rows; pile rows."""

import pytest
from tests.plans import edited, new, plan

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.units import M3_PER_YD3

FT, IN = 304.8, 25.4
SLAB = ({"op": "keep_outline", "text": "24' e 16' n 24' w 16' s"}, {"op": "set_edge_type", "mark": "E1", "text": "12 wide 18 deep", "foam": "2", "plate": "5 1/2"})  # fmt: skip
ROUND = {"op": "set_side_type", "sides": [0, 1, 2, 3], "type": "E1"}
P1 = {"op": "set_pad_type", "mark": "P1", "text": "24 sq 30 deep"}


def job(*edits):
    return edited(new(), *SLAB, *edits)


def foam(**changes):
    return {"op": "set_foam_face", "mark": "E1", "changes": changes}


def yards(found):
    return [row.m3 / M3_PER_YD3 for row in Job(found).figure.second_pours if row.kind == "foam edge"]


def test_a_top_cut_back_bears_the_plate_and_its_concrete_counts():
    plain = job(ROUND)
    assert yards(plain) == [] and "plate-overhangs" in {row.code for row in Job(plain).figure.findings}
    cut = job(ROUND, foam(cut_back_mm="1", cut_back_high_mm="4", foam_past_mm="3"))
    ring = (24 + 2 / 12) * (16 + 2 / 12) - 24 * 16  # an inch all round, mitred
    assert yards(cut) == [pytest.approx(ring * (4 / 12) / 27, rel=1e-9)]
    assert "plate-overhangs" not in {row.code for row in Job(cut).figure.findings}
    one = job({**ROUND, "sides": [0]}, foam(cut_back_mm="1", cut_back_high_mm="4"))
    assert yards(one) == [pytest.approx(24 / 12 * (4 / 12) / 27, rel=1e-9)]
    end = Job(cut).section((-2 * FT, 8 * FT), (5 * FT, 8 * FT)).ends[0]
    assert (end.foam_past_mm, end.cut_back_mm, end.foam_inside) == (pytest.approx(3 * IN), pytest.approx(IN), False)
    foams = [row for row in Job(cut).drawing.outlined if row.kind == "foam"]
    assert len(foams) == 1 and len(foams[0].rings) == 2  # both outlines


def test_foam_inside_the_outline_takes_its_room():
    inside = job(ROUND, foam(foam_side="inside", cut_back_mm="1", cut_back_high_mm="4"))
    ring = 24 * 16 - (24 - 4 / 12) * (16 - 4 / 12)
    back = (24 - 2 / 12) * (16 - 2 / 12) - (24 - 4 / 12) * (16 - 4 / 12)
    assert yards(inside) == [pytest.approx(-ring * 1.5 / 27, rel=1e-9), pytest.approx(back * (4 / 12) / 27, rel=1e-9)]
    figure = Job(inside).figure
    assert figure.concrete.order_m3 < Job(job(ROUND)).figure.concrete.order_m3


def test_foam_that_shows_is_said_where_the_ground_falls_along_its_side():
    ground = [{"at_mm": 0, "level_mm": -6 * IN}, {"at_mm": 24 * FT, "level_mm": -14 * IN}]
    slope = job(ROUND, {"op": "form_sides", "sides": [0], "changes": {"ground": ground}})
    words = [row.words for row in Job(slope).figure.findings if row.code == "foam-shows"]
    assert words == ["Foam of E1 shows 6″ to 14″, most along A to B."]


def test_piers_stand_under_a_pad_beside_and_what_sticks_out_of_it_is_cut_off():
    beside = {"op": "add_side_pad", "name": "Unit", "text": "from B, 4' e 4' n 4' w 4' s", "thickness": "6"}
    found = job(P1, beside, {"op": "set_side_pad", "side_pad": 0, "changes": {"piers": "P1 middle"}})
    pour = Job(found).figure.second_pours[0]
    assert pour.m3 / M3_PER_YD3 == pytest.approx((16 * 0.5 + 4 * 2) / 27, rel=1e-9)
    corners = edited(found, {"op": "set_side_pad", "side_pad": 0, "changes": {"piers": "P1 corners in 9"}})
    assert len(corners.side_pads[0].piers) == 4  # each reaches 3 in past the pad on two sides
    assert Job(corners).figure.second_pours[0].m3 / M3_PER_YD3 == pytest.approx(
        (16 * 0.5 + 4 * (21 / 12) ** 2 * 2) / 27, rel=1e-9
    )
    assert edited(corners, {"op": "take_out", "what": "pad_types", "mark": "P1"}).side_pads[0].piers == []
    for text, says in (
        ("P9 middle", "no pad type"),
        ("P1 there", "Cannot read"),
        ("P1 corners in 30", "not that wide"),
    ):
        with pytest.raises(TrowelError, match=says):
            edited(found, {"op": "set_side_pad", "side_pad": 0, "changes": {"piers": text}})


def test_a_pad_called_inside_is_flush_with_its_sides_and_a_row_drops_none_silently():
    def call(text, **pressed):
        return edited(job(P1), {"op": "call", "text": text, **pressed})

    corner = call("P1 inside", corner=0)
    assert corner.pads[0].at == (pytest.approx(FT), pytest.approx(FT))
    assert "part-clipped" not in {row.code for row in Job(corner).figure.findings}
    assert call("P1", corner=0, inside=True).pads == corner.pads  # the crew's way
    assert call("P1 centred", corner=0, inside=True).pads[0].at == (0.0, 0.0)
    plain = call("P1", corner=0)
    assert "call it inside" in next(row.remedy for row in Job(plain).figure.findings if row.code == "part-clipped")
    turned = call("P1 inside turn 45", corner=0).pads[0]
    assert turned.at[0] == pytest.approx(FT * 2**0.5, abs=0.6) and turned.turn_deg == 45
    posts = call("P1 every 8' along A to B in 1 1/2")
    assert [round(pad.at[0] / FT) for pad in posts.pads] == [0, 8, 16, 24] and posts.pads[0].at[1] == pytest.approx(
        1.5 * IN
    )
    with pytest.raises(TrowelError, match="past the end of A to B"):
        call("P1 bays 9', 9', 9' along A to B")


def test_piles_stand_in_a_row_along_a_side_and_one_finding_speaks_for_it():
    row = {"op": "set_piles", "diameter": "12", "head_down": "6", "text": "every 8' along A to B in 6"}
    found = job(ROUND, row)
    assert [round(x / FT) for x, _ in found.piles[0].at] == [0, 8, 16, 24]
    deep = [one for one in Job(job(row)).figure.findings if one.code == "pile-cover"]
    assert len(deep) == 1 and "Piles 1 has" in deep[0].words and "more too" in deep[0].words
    with pytest.raises(TrowelError, match="Along which side"):
        job({**row, "text": "every 8'"})


def test_a_knee_wall_says_its_panels_and_what_is_left_between_its_doors():
    kerb = {"op": "add_kerb", "name": "Knee", "sides": [0], "text": "", "width": "6", "height": "24"}
    wall = job(kerb, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": "from 8' to 11'", "panel_mm": "24"}})
    pour = next(row for row in Job(wall).figure.second_pours if row.kind == "kerb")
    assert pour.panels == "20 panels of 24″, both faces; fillers: 2 of 12″."  # 8 ft and 13 ft of wall
    assert pour.m3 / M3_PER_YD3 == pytest.approx(21 * 0.5 * 2 / 27, rel=1e-9)
    even = edited(wall, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": ""}})
    assert Job(even).figure.second_pours[0].panels == "24 panels of 24″, both faces, no filler."


def test_starters_follow_a_knee_wall_and_its_doors():
    kerb = {"op": "add_kerb", "name": "Knee", "sides": [0], "text": "", "width": "6", "height": "24"}
    wall = job(kerb, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": "from 8' to 11'", "starter_mm": "24"}})
    found = sorted(round(x / IN, 1) for x, _ in Job(wall).figure.second_pours[0].starters)
    first = [3 + k * 90 / 4 for k in range(5)]  # 8 ft: 90 in between the end ones, four gaps of 22 1/2
    second = [132 + 3 + k * 150 / 7 for k in range(8)]
    assert found == pytest.approx([round(x, 1) for x in first + second])
    short = edited(wall, {"op": "set_kerb", "kerb": 0, "changes": {"leave_outs": "from 5 in to 24'"}})
    assert [round(x / IN, 1) for x, _ in Job(short).figure.second_pours[0].starters] == [2.5]


def test_a_pour_has_a_mix_of_its_own_and_a_footing_above_frost_is_said():
    strip = {"op": "add_footing", "sides": [0, 1, 2, 3], "text": "", "width": "16", "thickness": "8", "top": "12 below"}
    plain = job(strip, {"op": "set_fields", "values": {"mix": {"strength_mpa": "4000 psi"}}})
    assert Job(plain).figure.footings.strength_text == "4,000 psi"
    own = edited(plain, {"op": "set_pour", "holds": "footings", "changes": {"strength_mpa": "2500 psi"}})
    assert Job(own).figure.footings.strength_text == "2,500 psi" and own.mix.strength_mpa == plain.mix.strength_mpa
    ground = {"op": "form_sides", "sides": [0], "changes": {"ground": [{"at_mm": 0, "level_mm": -6 * IN}]}}
    cold = edited(own, ground, {"op": "set_fields", "values": {"site": {"frost_depth_mm": 36 * IN}}})
    assert "footing-above-frost" in {row.code for row in Job(cold).figure.findings}


@pytest.mark.parametrize(
    ("changes", "says"),
    [({"cut_back_mm": "3"}, "not as thick"), ({"foam_side": "under"}, "outside"), ({"cut_back_mm": "-1"}, "less than")],
)
def test_foam_that_cannot_be_is_said(changes, says):
    with pytest.raises(TrowelError, match=says):
        job(ROUND, foam(**changes))
    assert plan().edge_types == []
