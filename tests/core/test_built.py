"""The slab as it stands: what is not as drawn, as a plan; second pours as jobs; boards on the rack; hand-over and bill."""

import math
from datetime import date

import pytest
from tests.days import day_job, pour
from tests.plans import plan
from tests.pours import at, here, job_with

from humble_trowel.core.built.rack import back_to_rack, with_boards
from humble_trowel.core.built.record_kinds import BUILT_RECORDS
from humble_trowel.core.built.records import AsBuilt, EdgeFinished, Invoiced, Racked
from humble_trowel.core.built.second_job import second_plans
from humble_trowel.core.cure.records import CylinderBroken, FloorShot, ProbeRead, ProbeRow
from humble_trowel.core.errors import InputError
from humble_trowel.core.gate.records import SiteChange
from humble_trowel.core.job import Job
from humble_trowel.core.plan.form_ways import FormWays, OnHand
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.pour.records import Sawn
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.files.job_file import parse_job, write_job

KIND = {kind.values: kind for kind in BUILT_RECORDS}
JOINTS = [row.id for row in pour().joints.lines]
SIDE = pour().corner_ids[0]


def stands():
    items = Job(pour()).embeds_told.items
    bolt = next(one for one in items if one.kind == "bolt" and one.n == 2)
    job = job_with(
        Sawn(joint=JOINTS[0], at=at(500)), Sawn(joint=JOINTS[1], at=at(505), cracked=True), Sawn(joint=JOINTS[2], at=at(510)),
        AsBuilt(thing="joint", of=JOINTS[2], dx_mm=50.8, words="the saw wandered", at=at(600), by="Birk"),
        AsBuilt(thing="side", of=SIDE, out_mm=9.525, at=at(601)),
        AsBuilt(thing="bolt", of=bolt.key, dy_mm=25.4, level_mm=-6.35, at=at(602)),
        AsBuilt(thing="added", spot=(3000, 3000), wide_mm=600, long_mm=500, deep_mm=400, words="for the stove", at=at(603)),
        *[FloorShot(at=at(1500 + n), spot=(1500, 1500 + 900 * n), off_mm=off) for n, off in enumerate((3.2, 0.0, -1.6))],
    )  # fmt: skip
    return job, bolt


def test_what_is_not_as_drawn_is_said_thing_by_thing_and_the_newest_word_counts():
    job, bolt = stands()
    rows = {row.thing: row for row in job.built.rows}
    words = {row.words for row in job.built.rows}
    assert {"2″ right: the saw wandered", "a crack was faster than the saw", "3/8″ out in its middle"} <= words
    assert rows["bolt"].words == "1″ up the sheet, 1/4″ low" and rows["bolt"].stands == [
        (bolt.spot[0], bolt.spot[1] + 25.4)
    ]
    assert rows["side"].stands[1][1] == pytest.approx(-9.525)  # out of the slab
    assert rows["added"].stands[2] == (3300, 3250) and "for the stove" in rows["added"].words
    same = job.built.same
    assert "1 joint cut as drawn" in same and "3 joints are not cut yet" in same
    assert any(one.startswith("3 levels on the floor: 1/16″ low to 1/8″ high") for one in same)
    again = Job(
        job.plan, job.crew, job.records.plus("late", AsBuilt(thing="side", of=SIDE, out_mm=0, at=at(900))), before=job
    )
    assert next(row for row in again.built.rows if row.thing == "side").words == "as drawn"


def test_as_built_is_a_job_again_and_its_file_reads_back_the_same():
    job, bolt = stands()
    made = job.plan_as_built
    assert made.name == "Tansy Hollow honey house, as built" and "the saw wandered" in made.site.notes
    lines = {row.id: row for row in made.joints.lines}
    assert set(lines) == set(JOINTS[:3])  # nobody cut the others
    drawn = next(row for row in job.plan.joints.lines if row.id == JOINTS[2])
    assert lines[JOINTS[2]].start[0] == pytest.approx(drawn.start[0] + 50.8)
    assert made.pads[-1].at == (3000, 3000) and made.pad_types[-1].depth_mm == 400
    assert any(abs(row.at_mm - bolt.at_mm) == pytest.approx(25.4) for row in made.embeds.bolts)
    assert parse_job(write_job(made)) == made and Job(made).numbers.net_m3 > Job(job.plan).numbers.net_m3


def test_a_second_pour_is_a_job_with_the_same_yards_its_starters_and_the_slab_that_stands():
    house = pour()
    for part, own in [(house.kerbs[0].id, "kerb"), (house.side_pads[0].id, "side pad")]:
        told = next(row for row in Job(house).second_pours if row.kind == own)
        made = second_plans(house, part, "2027-06-24T08:00")
        total = math.fsum(Job(one).numbers.net_m3 for one in made)
        assert total == pytest.approx(told.m3, rel=1e-6)
        for one in made:
            assert one.order.pour_at == "2027-06-24T08:00" and one.existing[0].polygon == house.outline
            assert parse_job(write_job(one)).name.endswith(house.name) and Job(one).forms.sides
    starred = house.model_copy(update={"kerbs": [house.kerbs[0].model_copy(update={"starter_mm": 600.0})]})
    notes = [one.site.notes for one in second_plans(starred, house.kerbs[0].id, None)]
    assert all("starters" in one for one in notes)
    with_slab = house.model_copy(update={"kerbs": [house.kerbs[0].model_copy(update={"pour": "with"})]})
    for wrong, part in ((with_slab, house.kerbs[0].id), (house, "gone")):
        with pytest.raises(InputError):
            second_plans(wrong, part, None)


def test_boards_go_back_as_long_as_they_were_cut_and_come_off_again():
    job = Job(
        pour(),
        Ways(
            forms=FormWays(
                on_hand=[
                    OnHand(board="2x10", length_mm=4876.8, count=4),
                    OnHand(board="2x6", length_mm=3048.0, count=2),
                ]
            )
        ),
    )
    rack = job.rack()
    least = job.ways.forms.min_piece_mm
    came = math.fsum(row.length_mm * row.count for row in rack.back)
    cut = math.fsum(piece.mm for board in job.boards.boards for piece in board.pieces)
    assert all(row.length_mm >= least for row in rack.back) and came >= cut - rack.short * least
    assert {row.board for row in rack.out} <= {"2x10", "2x6"}
    now = with_boards(job.crew, rack.back, rack.out)
    held = {(row.board, row.length_mm): row.count for row in now.forms.on_hand}
    assert all(held[(row.board, row.length_mm)] >= row.count for row in rack.back)
    back = with_boards(now, rack.out, rack.back, strict=True)
    assert {(row.board, round(row.length_mm, 1), row.count) for row in back.forms.on_hand} == {
        ("2x10", 4876.8, 4),
        ("2x6", 3048.0, 2),
    }
    with pytest.raises(InputError, match="left the rack"):
        with_boards(Ways(), [], rack.back, strict=True)
    with pytest.raises(InputError, match="left the rack"):
        KIND[Racked].check(Job(pour()), Racked(out=[], back=rack.back, at=at(900)))
    assert back_to_rack([], least).back == []
    later = Job(pour(), now)
    assert sum(board.on_hand for board in later.boards.boards) > sum(board.on_hand for board in job.boards.boards)


def test_the_hand_over_lists_what_is_open_and_what_was_tested():
    job = job_with(
        here("one", 10, slump_mm=127.0, temp_c=24.0, cylinders=3), CylinderBroken(number="7-1", at=at(7 * 1440), mpa=20.7),
        SiteChange(words="Step wider", price_cents=42000, at=at(20)), SiteChange(words="Drain moved", price_cents=9000, agreed_by="Ansel", at=at(21)),
    )  # fmt: skip
    told = job.hand_over(gate_told(job, date(2027, 6, 25), weather=False).holds)
    text = "\n".join(told.open)
    assert (
        "6 joints are not sawn." in text
        and "sides stand in their forms" in text
        and "Change 1, Step wider: nobody agreed" in text
    )
    assert "the crew" not in text  # holds of the crew's own mean nothing to the owner of the slab
    assert any("slump 5″" in one and "3 cylinders" in one for one in told.tested) and any(
        "7-1" in one for one in told.tested
    )
    assert len(told.use) == 4 and len(told.heads) == len(told.use[0].texts) and told.heads[0] == "Walk on it"
    assert any("28 days" in one for one in told.treat) and any("engineer" in one for one in told.warnings)
    bare = Job(pour(order={"pour_at": None})).hand_over([])
    assert bare.use == [] and "When it may be loaded is not known" in bare.open[-1]


def test_the_bill_is_the_quote_and_agreed_changes_and_says_when_it_moved():
    job = job_with(
        SiteChange(words="Step wider", price_cents=42000, at=at(20)),
        SiteChange(words="Drain moved", price_cents=-9000, agreed_by="Ansel", at=at(21)),
    )
    bill = job.invoice(date(2027, 6, 28))
    assert bill.total_cents == job.cost(None).total_cents - 9000 and bill.due_on == "2027-07-28" and not bill.went
    assert [row.words for row in bill.rows][1:] == ["Change 2: Drain moved"] and bill.not_in == ["Change 1, Step wider"]
    word = Invoiced(number="27-14", on="2027-06-28", due_on="2027-07-05", cents=bill.total_cents - 100, at=at(999))
    after = Job(job.plan, job.crew, job.records.plus("bill", word), before=job).invoice(date(2027, 7, 9))
    assert (after.number, after.on, after.went, after.moved_cents) == ("27-14", "2027-06-28", True, 100)
    assert Job(plan(outline=None, zones=[])).invoice(date(2027, 7, 9)) is None


def test_words_that_cannot_be_are_refused_in_plain_words():
    job = Job(pour())
    for values in (
        AsBuilt(thing="joint", of="gone", at=at(1)), AsBuilt(thing="side", of="gone", at=at(1)), EdgeFinished(side="gone", at=at(1)),
        AsBuilt(thing="added", spot=(90_000, 0), wide_mm=600, long_mm=600, deep_mm=300, at=at(1)),
    ):  # fmt: skip
        with pytest.raises(InputError):
            KIND[type(values)].check(job, values)
    for data in (
        {"thing": "added", "at": at(1)},
        {"thing": "joint", "at": at(1)},
        {"thing": "side", "of": SIDE, "out_mm": "9 m", "at": at(1)},
    ):
        with pytest.raises(InputError):
            KIND[AsBuilt].read(data, "ft-in")
    with pytest.raises(InputError):
        KIND[Invoiced].read(
            {"number": "1", "on": "2027-06-28", "due_on": "2027-06-01", "cents": 1, "at": at(1)}, "ft-in"
        )


def test_hours_of_use_have_their_day_also_where_both_ends_are_of_one():
    told = day_job(hours=range(-6, 24 * 9)).cure_told()
    for zone in told.zones:
        for event in zone.events:
            assert event.high_h is None or event.late_text.split()[0] in (
                "Thu",
                "Fri",
                "Sat",
                "Sun",
                "Mon",
                "Tue",
                "Wed",
            ), event
    uses = day_job(hours=range(-6, 24 * 9)).hand_over([]).use
    assert [row.zone for row in uses] == [zone.name for zone in told.zones]
    assert all(
        text == event.late_text
        for row, zone in zip(uses, told.zones, strict=True)
        for text, event in zip(row.texts, zone.events, strict=True)
    )


def test_a_hand_that_reads_now_and_then_is_no_silent_probe_and_a_probe_is():
    zone = pour().zones[0].id
    rows = [ProbeRow(at=at(600), temp_c=24.0), ProbeRow(at=at(2000), temp_c=20.0)]
    for source, silent in (("hand", False), ("probe", True)):
        job = day_job(records=[ProbeRead(probe="one", zone=zone, rows=rows, source=source)], hours=range(-6, 24 * 9))
        assert ("probe-silent" in {row.code for row in job.cure_findings}) is silent


def test_foam_of_the_edge_is_open_until_each_side_is_finished():
    kinds = [row.model_copy(update={"foam_mm": 50.8}) if row.kind == "thickened" else row for row in pour().edge_types]
    foamed = pour().model_copy(update={"edge_types": kinds})
    job = Job(foamed)
    sides = job.foam_sides
    assert sides and all(text == "2″" for _, _, text in sides)
    assert any("Foam of the edge is not finished" in row for row in job.hand_over([]).open)
    records = job.records
    for n, (side, _, _) in enumerate(sides):
        records = records.plus(f"foam{n}", EdgeFinished(side=side, at=at(3000 + n), by="Juno"))
    done = Job(foamed, job.crew, records)
    assert set(done.edges_finished) == {side for side, _, _ in sides}
    assert not any("Foam" in row for row in done.hand_over([]).open)
