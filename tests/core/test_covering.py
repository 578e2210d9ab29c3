"""What covers the ground: barrier, foam, treatments; where they lie, what is bought, what is short, what cannot be."""

import pytest
import shapely
from shapely.geometry import Polygon
from tests.core.test_underslab import BARE, FT, IN, riser
from tests.plans import edited, plan

from humble_trowel.core.errors import PlanError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Existing
from humble_trowel.core.plan.underslab_ways import EDGE_SCHOOLS, PLACE_SCHOOLS, TEST_SCHOOLS, UnderslabWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.stages import findings, report
from humble_trowel.core.working import evaluate

LAYERS = [{"kind": "slab"}, {"kind": "barrier"}, {"kind": "foam", "thickness_mm": 50, "strength_kpa": 200}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]  # fmt: skip
PAD = plan(
    outline=[[0, 0], [12192, 0], [12192, 9144], [0, 9144]], build_ups=[{"slab": "S1", "layers": LAYERS}]
)  # 40 x 30 ft


def codes(of, **more):
    return [row.code for row in findings(Job(of, **more)) if row.stage == "underslab"]


def kinds(of):
    return [layer.kind for layer in of.build_ups[0].layers]


def test_rolls_tape_and_boots_of_a_plain_floor_agree_with_the_rule():
    laid = Job(edited(PAD, {"op": "set_barrier", "changes": {"roll_wide_mm": "15 ft", "edge": "flat"}})).covered.barrier
    assert (laid.rows, laid.rolls.value, laid.dip_mm) == (3, 1, 0)
    assert sum(piece.long_mm for piece in laid.pieces) == pytest.approx(90 * FT)
    assert evaluate(laid.tape.formula, {key: one.value for key, one in laid.tape.inputs}) == pytest.approx(
        laid.tape.value
    )
    assert laid.tape_m == pytest.approx(2 * 30 * FT / 1000)
    taped = Job(
        edited(PAD, {"op": "set_barrier", "changes": {"edge": "taped", "roll_wide_mm": "15 ft"}})
    ).covered.barrier
    assert taped.tape_m == pytest.approx(laid.tape_m + 140 * FT / 1000)
    ways = report(Job(riser("heater supply 1 from A to B 9', from J to A 12'")))["barrier"]
    assert ways["boots"] == 1 and ways["rolls"] >= 1 and ways["rows"] == 3


def test_it_goes_down_beside_what_is_deeper_and_that_is_bought_too():
    beam = plan(**{**{k: v for k, v in PAD.model_dump(mode="json").items() if k in ("outline", "build_ups")}, "beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 400}], "beams": [{"type": "B1", "path": [[0, 4572], [12192, 4572]]}]})  # fmt: skip
    laid = Job(beam).covered.barrier
    assert laid.dip_mm * (laid.roll_wide_mm - 6 * IN) == pytest.approx(2 * (12192 + 300) * 300, rel=0.02)


@pytest.mark.parametrize(
    ("place", "order"),
    [
        ("under-slab", ["slab", "barrier", "foam", "graded", "native"]),
        ("under-sand", ["slab", "blinding", "barrier", "foam", "graded", "native"]),
        ("under-foam", ["slab", "foam", "barrier", "graded", "native"]),
        ("none", ["slab", "foam", "graded", "native"]),
    ],
)
def test_it_is_laid_where_the_school_says_and_reads_as_that_again(place, order):
    moved = edited(PAD, {"op": "place_barrier", "slab": "S1", "place": place})
    assert kinds(moved) == order
    found = Job(moved).covered.barrier
    assert found is None if place == "none" else found.places[0].place == place
    assert {key for key, _, _ in PLACE_SCHOOLS} == {"under-slab", "under-sand", "under-foam", "none"}
    assert len(EDGE_SCHOOLS) == 3 and len(TEST_SCHOOLS) == 2


def test_a_sheet_stays_open_until_a_load_and_laps_are_kept():
    said = edited(PAD, {"op": "set_barrier", "changes": {"open_row": 2}})
    assert codes(said) == ["barrier-open"] and Job(said).covered.barrier.open_sheet.row == 2
    assert codes(edited(said, {"op": "set_barrier", "changes": {"open_load": 3}})) == []
    assert codes(edited(PAD, {"op": "set_barrier", "changes": {"open_row": 40}})) == ["barrier-open"]
    assert codes(edited(PAD, {"op": "set_barrier", "changes": {"lap_mm": "100"}})) == ["barrier-lap"]
    assert any(hold.code == "barrier-dry" and hold.open for hold in Job(PAD).covered.holds)


def test_foam_is_counted_board_by_board_and_judged_by_zone_and_load():
    row = Job(PAD).covered.foam[0]
    assert (row.boards, row.layout.least, row.plies) == (38, 38, 1)
    assert row.r_us == pytest.approx(50 / IN * 5) and row.carries_kpa == pytest.approx(200 / 3)
    thick = edited(PAD, {"op": "set_foam", "what": "under", "changes": {"ply_mm": "25", "kind": "EPS_II"}})
    assert (Job(thick).covered.foam[0].plies, Job(thick).covered.foam[0].boards) == (2, 76)
    assert codes(edited(PAD, {"op": "set_site_asks", "changes": {"load_kpa": "80 kPa"}})) == ["foam-load"]
    assert codes(edited(PAD, {"op": "set_site_asks", "changes": {"load_kpa": "1200 psf"}})) == []
    heated = PAD.model_copy(update={"build_ups": [PAD.build_ups[0].model_copy(update={"heated": True})]})
    assert codes(edited(heated, {"op": "set_site_asks", "changes": {"energy_code": "2021"}})) == []
    thin = edited(
        heated,
        {"op": "set_foam", "what": "under", "changes": {"kind": "EPS_II"}},
        {"op": "set_site_asks", "changes": {"energy_code": "2024"}},
    )
    assert Job(thin).covered.foam[0].asked.startswith("R-5") and Job(thin).covered.foam[0].enough


def test_foam_on_an_edge_is_cut_in_strips_and_held_against_the_code():
    base = {"outline": [[0, 0], [12192, 0], [12192, 9144], [0, 9144]], "edges": [{"sides": [0, 1, 2, 3], "type": "E1"}]}
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": 16 * IN, "bottom_width_mm": 300, "foam_mm": 2 * IN}
    faced = plan(**base, edge_types=[edge])
    row = Job(faced).covered.foam[0]
    assert (row.what, row.boards) == ("edge", 6)  # 140 ft of 16 in: handbook
    cold = edited(faced, {"op": "set_site_asks", "changes": {"climate_zone": "6", "energy_code": "2021"}})
    assert codes(cold) == ["foam-thin"]  # R-10 it is, and 4 ft deep it is not
    warm = edited(faced, {"op": "set_site_asks", "changes": {"climate_zone": "2", "energy_code": "2021"}})
    assert codes(warm) == []


def test_sprayed_foam_strays_and_the_order_carries_it():
    sprayed = edited(PAD, {"op": "set_foam", "what": "under", "changes": {"kind": "SPRAY", "within_mm": "10"}})
    row = Job(sprayed).covered.foam[0]
    assert row.boards == 0 and row.low_m3 == pytest.approx(12.192 * 9.144 * 0.010)
    extra = [one for one in Job(sprayed).concrete.allowances if one.name == "Sprayed foam lies low"]
    assert extra[0].m3 == pytest.approx(row.low_m3, rel=1e-6)
    assert not [one for one in Job(PAD).concrete.allowances if one.key == "within_mm"]


def test_a_column_has_a_ring_and_a_treatment_is_a_hold_until_it_is_done():
    post = edited(BARE, {"op": "add_riser", "text": "post column 6 from A to B 9', from J to A 12'"})
    ringed = edited(post, {"op": "set_riser", "riser": post.underslab.risers[0].id, "changes": {"ring_mm": "1"}})
    assert [row.what for row in Job(ringed).covered.foam] == ["under", "ring"]
    asked = edited(PAD, {"op": "add_treatment", "kind": "radon"})
    name = asked.underslab.treatments[0].id
    assert codes(asked) == ["treatment-open"] and Job(asked).covered.holds[0].open
    done = edited(asked, {"op": "set_treatment", "treatment": name, "changes": {"done_on": "2026-06-14"}})
    assert codes(done) == [] and not Job(done).covered.holds[0].open
    assert edited(done, {"op": "take_out_treatment", "ids": [name]}).underslab.treatments == []


@pytest.mark.parametrize(
    ("edit", "words"),
    [
        ({"op": "set_barrier", "changes": {"roll_wide_mm": "400 mm", "lap_mm": "450"}}, "no wider than its lap"),
        ({"op": "set_barrier", "changes": {"roll_wide_mm": "2 in"}}, "No roll is that narrow"),
        ({"op": "set_barrier", "changes": {"lap_mm": "soon"}}, "Cannot read"),
        ({"op": "set_barrier", "changes": {"open_row": "two"}}, "whole number"),
        ({"op": "place_barrier", "slab": "S9", "place": "none"}, "no slab type S9"),
        ({"op": "set_site_asks", "changes": {"climate_zone": "12"}}, "no such zone"),
        ({"op": "set_site_asks", "changes": {"load_kpa": "heavy"}}, "250 psf"),
        ({"op": "set_treatment", "treatment": "gone", "changes": {}}, "not on this slab"),
        ({"op": "take_out_treatment", "ids": ["gone"]}, "not on this slab"),
    ],
)
def test_what_cannot_be_is_said(edit, words):
    with pytest.raises((TrowelError, ValueError), match=words):
        edited(PAD, edit)


def test_foam_that_is_not_there_wrong_days_and_wrong_ways():
    bare = edited(PAD, {"op": "set_build_up", "slab": "S1", "layers": [{"kind": "slab"}, {"kind": "native"}]})
    with pytest.raises(TrowelError, match="no foam under it"):
        edited(bare, {"op": "place_barrier", "slab": "S1", "place": "under-foam"})
    asked = edited(PAD, {"op": "add_treatment", "kind": "gas"})
    with pytest.raises(TrowelError, match="Say the day"):
        edited(
            asked,
            {"op": "set_treatment", "treatment": asked.underslab.treatments[0].id, "changes": {"done_on": "soon"}},
        )
    with pytest.raises(ValueError, match="no wider than its lap"):
        UnderslabWays(roll_wide_mm=100, lap_mm=150)
    with pytest.raises(PlanError, match="said twice"):
        plan(underslab={"foam": [{"what": "under"}, {"what": "under"}]})
    assert Ways.model_validate(Ways().model_dump(mode="json")) == Ways()
    wide_lap = Ways(underslab=UnderslabWays(lap_mm=500))
    tight = edited(PAD, {"op": "set_barrier", "changes": {"roll_wide_mm": "400"}})
    assert Job(tight, wide_lap).covered.barrier is None and codes(tight, crew=wide_lap) == ["barrier-roll"]
    narrow = Ways(underslab=UnderslabWays(stagger_mm=600, board_long_mm=1300))
    assert Job(PAD, narrow).covered.foam[0].layout.courses > 0


def test_foam_lying_flat_outside_reaches_round_the_sides_that_are_open_and_goes_again():
    flat = edited(PAD, {"op": "set_foam", "what": "wing", "changes": {"wing_mm": "600", "ply_mm": "50"}})
    row = next(row for row in Job(flat).covered.foam if row.what == "wing")
    ring = Polygon(PAD.outline)
    assert row.area_m2 == pytest.approx((ring.length * 600 + 4 * 600**2) / 1e6)  # square at each corner
    laid = shapely.union_all([Polygon(piece.corners) for piece in row.layout.pieces])
    outside = ring.buffer(600, join_style="mitre").difference(ring)
    assert laid.buffer(1).covers(outside) and row.boards >= row.area_m2 * 1e6 / (2438.4 * 1219.2)
    beside = PAD.model_copy(
        update={
            "existing": [
                Existing(name="old", what="wall", polygon=[(-3000, -9000), (0, -9000), (0, 30_000), (-3000, 30_000)])
            ]
        }
    )
    less = next(
        row
        for row in Job(edited(beside, {"op": "set_foam", "what": "wing", "changes": {"wing_mm": "600"}})).covered.foam
        if row.what == "wing"
    )
    assert less.area_m2 < row.area_m2
    gone = edited(flat, {"op": "set_foam", "what": "wing", "changes": {"wing_mm": ""}})
    assert [row.what for row in Job(gone).covered.foam] == ["under"]
