"""The steel of a job: mats, mesh, cages, dowels and chairs laid, listed and doubted; what cannot be said."""

import itertools
import math

import pytest
import shapely
from shapely.geometry import LineString, Point, Polygon
from tests.plans import edited, plan

from humble_trowel.core.errors import CallError, EditError, InputError, PlanError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.bars import BARS
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, findings, report, standing
from humble_trowel.core.steel.bends import bent_mm, stirrup_mm
from humble_trowel.core.steel.record_kinds import SteelCheckKind
from humble_trowel.core.steel.records import SteelCheck

IN, FT = 25.4, 304.8
RING = [[0, 0], [12000, 0], [12000, 9000], [0, 9000]]
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}
PAD = plan(
    units="mm", outline=RING, edge_types=[EDGE], edges=[{"type": "E1", "sides": [0, 1, 2, 3]}],
    beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 400}], beams=[{"type": "B1", "path": [[6000, 0], [6000, 9000]]}],
    pad_types=[{"mark": "P1", "shape": "rectangle", "width_mm": 900, "length_mm": 900, "depth_mm": 400}], pads=[{"type": "P1", "at": [3000, 4000]}],
    slab_types=[{"mark": "S1", "thickness_mm": 150}], zones=[{"name": "all", "slab": "S1"}],
    existing=[{"name": "old floor", "what": "slab", "polygon": [[-5000, 0], [0, 0], [0, 9000], [-5000, 9000]]}],
)  # fmt: skip


def slab(text, of=PAD):
    return edited(of, {"op": "call_slab_steel", "slab": "S1", "text": text})


def cage(text, of=PAD, part="edge", mark="E1"):
    return edited(of, {"op": "call_cage", "of": part, "mark": mark, "text": text})


def codes(of, crew=None):
    return [row.code for row in findings(Job(of, crew) if crew else Job(of)) if row.stage == "steel"]


def of(job, key):
    return [row for row in job.steel.bars if row.key.startswith(key)]


def test_a_mat_agrees_with_the_counting_rule_and_stands_at_its_height():
    job = Job(slab("12 mm at 300 each way, top, 40 clear"))
    one, other = of(job, "mat/")
    side = 50.8
    assert (
        len(one.lines) == math.ceil((9000 - 2 * side) / 300) + 1
        and len(other.lines) == math.ceil((12000 - 2 * side) / 300) + 1
    )
    assert one.steel_mm == pytest.approx(len(one.lines) * (12000 - 2 * side), abs=len(one.lines))  # 12 m bars: no lap
    assert (other.level_mm, one.level_mm) == (pytest.approx(-46), pytest.approx(-58))
    chairs = job.steel.chairs[0]
    assert chairs.height_mm == pytest.approx(150 - 40 - 24) and chairs.count == len(chairs.spots) == 11 * 9
    assert codes(slab("12 mm at 300 each way, top, 40 clear")) == []
    assert codes(slab("10 mm at 600 each way")) == ["mat-wide"]
    assert codes(slab("32 mm at 300 each way, top, 80 clear")) == ["mat-cover"]
    pulled = Ways().model_copy(update={"steel": Ways().steel.model_copy(update={"held": "pulled"})})
    assert Job(slab("12 mm at 300 each way"), pulled).steel.chairs == []


def test_bars_across_inside_corners_and_round_openings():
    hole = PAD.model_copy(
        update={
            "openings": [[(4000.0, 5000.0), (5000.0, 5000.0), (5000.0, 6000.0), (4000.0, 6000.0)]],
            "opening_ids": [],
        }
    )
    job = Job(slab("12 mm at 300 each way", edited(hole)))
    assert len(of(job, "diagonal")[0].lines) == 8 and len(of(job, "trimmer")[0].lines) == 4
    pit = Polygon(hole.openings[0])
    for row in job.steel.bars:
        assert all(pit.distance(LineString(line)) >= 50.0 for line in row.lines), row.words
    off = edited(
        slab("12 mm at 300 each way", edited(hole)), {"op": "set_steel", "diagonals": False, "trimmers": False}
    )
    assert not of(Job(off), "diagonal") and not of(Job(off), "trimmer")


@pytest.mark.parametrize(
    ("text", "sheets", "rows"),
    [
        ("mesh 2400 by 6000, lap 200", 9, 0),
        ("mesh tied", None, 1),
        ("fibre 3 kg with edges", 0, 1),
        ("fibre 3 kg", 0, 0),
        ("none", 0, 0),
    ],
)
def test_other_ways_hold_mesh_fibre_or_bars_along_the_edge(text, sheets, rows):
    job = Job(slab(text))
    assert len(of(job, "rim")) == rows
    if sheets is not None:
        assert sum(row.sheets for row in job.steel.mesh) == sheets
    if "fibre" in text:
        assert job.steel.fibre_kg["S1"] == pytest.approx(3 * 12 * 9 * 0.15, rel=1e-6)
    for mesh in job.steel.mesh:
        laid = shapely.union_all([Polygon(piece.corners) for piece in mesh.pieces])
        assert laid.buffer(1).covers(Polygon(RING).buffer(-51, join_style="mitre"))


def test_a_cage_runs_round_with_corner_bars_and_stirrups_at_their_spacing():
    job = Job(cage("3 16 mm bottom, 2 16 mm top, 8 mm stirrups at 300"))
    low, high, corner, ties = (
        of(job, "edge/E1/bottom")[0],
        of(job, "edge/E1/top")[0],
        of(job, "edge/E1/corner")[0],
        of(job, "edge/E1/stirrup")[0],
    )
    assert (len(low.lines), len(high.lines), corner.count) == (12, 8, 4 * 5)
    wide, deep = 300 - 50.8 - 76.2, 450 - 38.1 - 76.2
    assert ties.legs_mm == pytest.approx((wide, deep)) and ties.pieces[0][0] == pytest.approx(
        stirrup_mm(BARS["8 mm"], wide, deep), abs=1.01
    )
    assert ties.count == 2 * (math.ceil((12000 - 101.6) / 300) + 1) + 2 * (math.ceil((9000 - 101.6) / 300) + 1)
    assert corner.pieces[0][0] == pytest.approx(bent_mm(BARS["16 mm"], [762, 762], [90]), abs=1.01)
    assert low.level_mm == pytest.approx(-(450 - 76.2 - 8 - 8)) and high.level_mm == pytest.approx(-(38.1 + 8 + 8))
    crossed = Job(cage("3 16 mm bottom, crossed"))
    assert not of(crossed, "edge/E1/corner") and len(of(crossed, "edge/E1/bottom")[0].lines) == 12
    room = Polygon(RING).buffer(-49.7, join_style="mitre")
    for line in low.lines:
        assert room.covers(LineString(line))


def test_beams_and_pads_hold_their_own_and_what_does_not_fit_is_said():
    beam = Job(cage("2 16 mm bottom, 2 12 mm top, 8 mm stirrups at 250", part="beam", mark="B1"))
    assert (
        len(of(beam, "beam/B1/bottom")[0].lines) == 2
        and of(beam, "beam/B1/stirrup")[0].count == math.ceil((9000 - 152.4) / 250) + 1
    )
    pad = Job(cage("16 mm at 200 each way", part="pad", mark="P1"))
    assert [len(row.lines) for row in of(pad, "pad/P1")] == [math.ceil((900 - 152.4) / 200) + 1] * 2
    assert codes(cage("9 16 mm bottom")) == ["bars-close"]
    assert codes(cage("2 12 mm bottom, 200 clear sides")) == ["cage-no-room"]
    assert codes(cage("1 12 mm bottom, 16 mm stirrups at 300, 120 clear sides")) == ["stirrup-small"]
    assert codes(cage("2 12 mm bottom, lap 12 m")) == []
    long = cage(
        "2 12 mm bottom, lap 13 m",
        plan(
            **{
                **PAD.model_dump(mode="json", exclude_defaults=True),
                "outline": [[0, 0], [30000, 0], [30000, 9000], [0, 9000]],
            }
        ),
    )
    assert codes(long) == ["steel-cannot"]
    gone = PAD.model_copy(update={"edge_types": [], "edges": []})
    assert codes(cage("2 12 mm bottom").model_copy(update={"edge_types": gone.edge_types, "edges": gone.edges})) == [
        "cage-unused"
    ]


def test_bars_of_two_cages_that_cross_at_one_height_are_said_once_for_each_pair():
    both = cage("2 16 mm bottom, 2 12 mm top", cage("3 16 mm bottom, 2 12 mm top"), part="beam", mark="B1")
    told = [row for row in findings(Job(both)) if row.code == "bars-meet"]
    assert [row.words for row in told] == ["The 12 mm top in B1 and the 12 mm top in E1 cross at one height."]
    assert told[0].remedy == "Hang those of B1 12 mm lower." and told[0].severity == "note"
    lower = cage("2 16 mm bottom, 2 12 mm top, 60 clear top", both, part="beam", mark="B1")
    assert codes(lower) == []


def test_dowels_go_into_what_stands_there_and_never_hang_in_air():
    side = PAD.corner_ids[3]
    tied = edited(PAD, {"op": "call_dowels", "side": side, "text": "12 mm at 400, 150 deep, 450 out"})
    row = Job(tied).steel.dowels[0]
    assert (row.count, row.against, row.hole_mm) == (
        math.ceil((9000 - 300) / 400) + 1,
        "old floor",
        pytest.approx(12 + 25.4 / 8),
    )
    ring = math.pi / 4 * (row.hole_mm**2 - 12**2) * 150 / 1000
    assert row.epoxy_ml == pytest.approx(row.count * ring * 1.25)
    old = Polygon(PAD.existing[0].polygon)
    for line in row.laid.lines:
        assert old.buffer(1e-6).covers(Point(line[0])) and not old.covers(Point(line[1]))
    smooth = edited(
        tied, {"op": "call_dowels", "side": side, "text": "20 mm at 300, smooth", "dowels": tied.steel.dowels[0].id}
    )
    assert len(smooth.steel.dowels) == 1 and Job(smooth).steel.dowels[0].epoxy_ml == 0
    air = edited(PAD, {"op": "call_dowels", "side": PAD.corner_ids[0], "text": "12 mm at 400"})
    assert codes(air) == ["dowels-in-air"]
    assert codes(edited(tied, {"op": "take_out_dowels", "dowels": tied.steel.dowels[0].id})) == []
    cut = tied.model_copy(update={"corner_ids": [*tied.corner_ids[:3], "other"]})
    assert "dowels-lost" in codes(cut)
    with pytest.raises(EditError, match="past the side"):
        edited(PAD, {"op": "call_dowels", "side": side, "text": "12 mm at 400, to 20 m"})


def test_starters_tie_kerbs_and_leave_doors_out():
    kerb = {
        "name": "k",
        "path": [[0, 100], [12000, 100]],
        "width_mm": 200,
        "height_mm": 600,
        "starter_mm": 600,
        "leave_outs": [{"from_mm": 5000, "to_mm": 6000}],
    }
    job = Job(plan(units="mm", outline=RING, kerbs=[kerb]))
    row = of(job, "starter")[0]
    assert row.count == (math.ceil(4700 / 600) + 1) + (math.ceil(5700 / 600) + 1)
    assert all(not 5000 < line[0][0] < 6000 for line in row.lines)


def test_the_schedule_adds_up_and_every_piece_is_cut_once():
    job = Job(cage("3 16 mm bottom, 2 12 mm top, 8 mm stirrups at 300", slab("12 mm at 300 each way")))
    told = report(job)["steel"]
    assert told["totals"]["mass_kg"] == pytest.approx(sum(row["mass_kg"] for row in told["bars"]))
    for row in job.steel.bars:
        if row.shape == "straight":
            drawn = math.fsum(math.dist(line[0], line[-1]) for line in row.lines)
            laps = (row.count - len(row.lines)) * row.lap_mm
            assert row.steel_mm == pytest.approx(drawn + laps, abs=1.01 * row.count)
    for size in job.steel_cuts:
        pieces = sorted(itertools.chain.from_iterable([mm] * row.count for row in size.rows for _, mm in row.pieces))
        asked = sorted(
            itertools.chain.from_iterable(
                [mm] * n for row in job.steel.bars if row.bar.name == size.bar.name for mm, n in row.pieces
            )
        )
        assert pieces == pytest.approx(asked) and size.bought_mm >= size.least_mm - 1e-6
        for row in size.rows:
            assert math.fsum(mm for _, mm in row.pieces) + row.left_mm == pytest.approx(row.stock_mm)
    marks = [row.mark for row in job.steel.bars]
    assert len(set(marks)) == len(marks) and not set("".join(marks)) & set("ilo")
    assert told["cut_plan"]["stock"].keys() == told["totals"]["by_size"].keys() and told["findings"] == {}
    assert standing(STAGES[4], job).words == f"{len(marks)} marks"


def test_what_is_not_said_is_asked_and_what_cannot_be_is_refused():
    job = Job(PAD)
    assert (job.steel, job.steel_unsaid, job.steel_bare) == (
        None,
        ["S1"],
        [("edge", "E1"), ("beam", "B1"), ("pad", "P1")],
    )
    assert standing(STAGES[4], job).words == "none yet" and report(job)["steel"] is None
    some = cage("2 12 mm bottom")
    assert standing(STAGES[4], Job(some)).words == "1 to say"
    assert Job(edited(some, {"op": "take_out_cage", "of": "edge", "mark": "E1"})).steel is None
    chosen = edited(
        PAD, {"op": "set_slab_steel", "slab": "S1", "way": "bars", "changes": {"spacing_mm": "200", "bar": "16"}}
    )
    assert [row.bar.name for row in Job(chosen).steel.bars] == ["16 mm", "16 mm"]
    assert codes(slab("10 mm at 25 each way, lap 100")) == []
    for wrong, error, words in (
        ({"op": "call_slab_steel", "slab": "S9", "text": "none"}, EditError, "no slab type S9"),
        ({"op": "call_cage", "of": "beam", "mark": "B9", "text": "2 #4 top"}, EditError, "no beam type B9"),
        ({"op": "call_slab_steel", "slab": "S1", "text": "10 mm at 1"}, TrowelError, "25"),
        ({"op": "call_cage", "of": "edge", "mark": "E1", "text": "2 10 mm sideways"}, CallError, "sideways"),
        ({"op": "set_slab_steel", "slab": "S1", "changes": {"spacing_mm": "no"}}, TrowelError, "length|number|no"),
        ({"op": "call_cage", "of": "pad", "mark": "P1", "text": "2 10 mm top"}, EditError, "each way"),
        ({"op": "call_cage", "of": "edge", "mark": "E1", "text": "10 mm at 200 each way"}, EditError, "long bars"),
        ({"op": "set_steel"}, EditError, "diagonals or trimmers"),
    ):
        with pytest.raises(error, match=words):
            edited(PAD, wrong)
    with pytest.raises(PlanError, match="said twice"):
        plan(steel={"ways": [{"slab": "S1", "way": "none"}, {"slab": "S1", "way": "bars"}]})


def test_very_many_bars_are_a_message_and_not_a_hang():
    wide = plan(units="mm", outline=[[0, 0], [290_000, 0], [290_000, 60_000], [0, 60_000]])
    many = edited(wide, {"op": "call_slab_steel", "slab": "S1", "text": "10 mm at 25 each way"})
    told = [row for row in findings(Job(many)) if row.stage == "steel"]
    assert [row.code for row in told] == ["steel-too-many"] and "bars" in told[0].words and Job(many).steel.bars == []


def test_before_the_pour_each_place_is_looked_at_and_what_is_short_is_mended_and_kept():
    of = cage("3 16 mm bottom, 2 12 mm top, 8 mm stirrups at 300", slab("12 mm at 300 each way, top, 40 clear"))
    job = Job(of)
    places = {place.id: {look.look: look for look in place.looks} for place in job.steel_places}
    assert list(places) == ["slab/S1", "edge/E1"]
    assert list(places["edge/E1"]) == ["size", "count", "cover", "spacing", "clean"]
    assert places["edge/E1"]["count"].need_count == 5 and places["edge/E1"]["cover"].need_mm == pytest.approx(
        76.2 - 9.525
    )
    assert (
        places["slab/S1"]["cover"].need_mm == pytest.approx(40 - 9.525) and places["slab/S1"]["chairs"].bound == "least"
    )

    def looked(*rows):
        kept = [("edge/E1", SteelCheck.model_validate({"place": "edge/E1", **row})) for row in rows]
        for _, row in kept:
            SteelCheckKind().check(job, row)
        seen = Job(of, records=SiteRecords([(f"r{i}", row) for i, (_, row) in enumerate(kept)]))
        return seen, {look.look: look for look in seen.steel_places[1].looks}

    seen, found = looked(
        {"look": "cover", "measured_mm": 40},
        {"look": "count", "count": 4},
        {"look": "size", "size": "16"},
        {"look": "clean", "holds": False},
    )
    assert (found["cover"].state, found["cover"].words) == ("short", "27 mm short.")
    assert (found["count"].words, found["size"].state, found["clean"].words) == ("1 missing.", "held", "Not yet.")
    assert [row.code for row in findings(seen) if row.stage == "steel"] == ["steel-short"] * 3
    assert standing(STAGES[4], seen).words == "3 to mend" and "27 mm short" in SteelCheckKind().sentence(
        job, SteelCheck(place="edge/E1", look="cover", measured_mm=40)
    )
    seen, found = looked(
        {"look": "cover", "measured_mm": 40},
        {"look": "cover", "measured_mm": 70, "mended": True},
        {"look": "spacing", "measured_mm": 320},
    )
    assert (found["cover"].state, found["cover"].words, found["spacing"].state) == ("mended", "Mended.", "held")
    for wrong, words, path in (
        ({"place": "edge/E9", "look": "lap", "measured_mm": 5}, "No steel stands", "place"),
        ({"place": "edge/E1", "look": "depth", "measured_mm": 5}, "nothing of that", "look"),
        ({"place": "edge/E1", "look": "cover"}, "what was taped", "measured_mm"),
        ({"place": "edge/E1", "look": "count"}, "how many", "count"),
        ({"place": "edge/E1", "look": "size"}, "which bar", "size"),
        ({"place": "edge/E1", "look": "clean"}, "whether", "holds"),
    ):
        with pytest.raises(InputError, match=words) as told_off:
            SteelCheckKind().check(job, SteelCheck.model_validate(wrong))
        assert told_off.value.path == path
