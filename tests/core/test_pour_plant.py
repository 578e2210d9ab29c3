"""The day of the pour beyond its trucks: what the plant makes of a call, what to call where nobody answers, joints one by one, sun and shade, where
to stop square across the front."""

import math

import pytest
from tests.pours import YD, at, empty, here, job_with, planned, said, struck, tap

from humble_trowel.core.errors import InputError
from humble_trowel.core.order.risk import Volume, expected, last_load
from humble_trowel.core.pour.ahead import ahead_of
from humble_trowel.core.pour.day import pour_day
from humble_trowel.core.pour.record_kinds import POUR_RECORDS
from humble_trowel.core.pour.records import ActGiven, Front, LoadCalled, PlantSaid, Sawn
from humble_trowel.core.pour.sun_now import sun_now
from humble_trowel.core.pour.trouble import stops

HALF = (here("a", 0), empty("a", 38), tap(39, 2, 0.5, "a", "Odo"))
KIND = {kind.values: kind for kind in POUR_RECORDS}


def called(minute=41, yards=6.0, **more):
    return LoadCalled(
        at=at(minute), m3=yards * YD, by="Wren", heard_by="Merle", number="114-20", due_at=at(minute + 41), **more
    )


def word(says, minute=50, **more):
    return PlantSaid(number="114-20", at=at(minute), says=says, by="Merle", **more)


def codes(*rows):
    return [one.code for one in job_with(*HALF, *rows).pour_findings]


def test_what_the_plant_read_back_is_held_against_what_was_said():
    right = called(back_m3=6 * YD, back_mpa=planned().plan.mix.strength_mpa)
    assert not {"call-read-back", "call-lost", "plant-late"} & set(codes(right))
    for wrong, words in ((called(back_mpa=20.7), "3,000 psi for 4,000 psi"), (called(back_m3=5 * YD), "5 yd for 6 yd")):
        left = job_with(*HALF, wrong).pour_told().left
        assert left.wrong == words and left.answer == "held" and "call-read-back" in codes(wrong)


def test_a_late_truck_is_late_everywhere_and_one_that_is_lost_is_asked_for_again():
    day = pour_day(planned(), said(*HALF, called(), word("late", due_at=at(107))), 51)
    assert day.run.loads[-1].arrive_min == pytest.approx(107) and day.called.late_min == pytest.approx(25)
    assert "plant-late" in codes(called(), word("late", due_at=at(107)))
    sure = pour_day(planned(), said(*HALF, called()), 51)
    assert sure.call.said_m3 == pytest.approx(6 * YD) and sure.turn[0].kind != "say"
    for says, code in (("lost", "call-lost"), ("down", "plant-down")):
        gone = pour_day(planned(), said(*HALF, called(), word(says)), 51)
        assert gone.call.said_m3 is None and gone.turn[0].kind == "say" and code in codes(called(), word(says))
    again = pour_day(planned(), said(*HALF, called(), word("lost"), LoadCalled(at=at(52), m3=5 * YD)), 53)
    assert again.call.said_m3 == pytest.approx(5 * YD) and again.called.state == "held"
    other = pour_day(planned(), said(*HALF, called(), PlantSaid(number="9-9", at=at(50), says="lost")), 51)
    assert other.called.state == "held"  # a word on another order changes nothing


def test_what_is_said_ahead_is_what_is_said_then():
    before = pour_day(planned(), said(here("a", 0)), 20)
    rows = ahead_of(before)
    assert [row.at for row in rows] == list(range(6)) and all(
        sum(cell.likely for cell in row.cells) == 1 for row in rows
    )
    for row in rows[1:4]:
        calls = [cell.call_m3 for cell in row.cells]
        assert calls == sorted(calls)  # the more it took so far, the more is missing
        for cell in row.cells[::3]:
            words = [here("a", 0, cell.in_m3 / YD), empty("a", 60)]
            words.append(Front(at=at(61), strip=planned().floor.parts[row.at].part.id, load="a"))
            words[2:2] = [struck(10 + n, n) for n in range(row.at)]
            exact = [one for one in words if not (isinstance(one, Front) and one.load is None)]
            floor = planned().floor
            spot = floor.spot_at(row.at, 1.0)
            exact[-1:] = [Front(at=at(61), spot=spot, load="a"), *exact[-1:]]
            then = pour_day(planned(), said(*exact), 62)
            assert then.forecast.left.mean_m3 == pytest.approx(cell.left_m3, abs=0.12)


def test_joints_are_sawn_one_by_one_and_the_act_follows():
    job = job_with()
    assert job.day is not None
    first = job.pour_told()
    zone = next(one for one in first.zones if one.name == "Bottling")
    own = [one for one in first.cuts if "Bottling" in one.where]
    assert own and all(one.state == "soon" and one.from_text and one.until_text for one in own)
    done = job_with(*(Sawn(joint=one.joint, at=at(700), by="Odo") for one in own))
    assert done.day is not None
    acts = {one.key: one for one in done.pour_day(701).acts}
    assert acts[f"saw/{zone.zone}"].state == "done"
    assert {one.state for one in done.pour_told(701).cuts if one.joint in {row.joint for row in own}} == {"sawn"}
    one = own[0].joint
    cracked = job_with(Sawn(joint=one, at=at(700)), Sawn(joint=one, at=at(702), cracked=True))
    assert next(row for row in cracked.pour_told(703).cuts if row.joint == one).state == "cracked"
    trucks = (here("a", 0), empty("a", 38), here("b", 41), empty("b", 80), here("c", 84, 6))
    unsaid = job_with(*trucks, Sawn(joint=first.cuts[0].joint, at=at(3000)))
    assert unsaid.day is not None and "saw-late" in [row.code for row in unsaid.pour_findings]
    with pytest.raises(InputError, match="not on the plan"):
        KIND[Sawn].check(job, Sawn(joint="gone", at=at(1)))


def test_who_does_an_act_is_the_newest_word():
    rows = (ActGiven(act="edges/fill", to="Odo", at=at(1)), ActGiven(act="edges/fill", to="Tamsin", at=at(2)))
    told = job_with(*rows).pour_told()
    assert next(one for one in told.acts if one.key == "edges/fill").to == "Tamsin" and told.crew == ["Tamsin"]
    assert KIND[ActGiven].sentence(job_with(), rows[0]) == "Odo does it."
    with pytest.raises(InputError):
        KIND[ActGiven].check(job_with(), ActGiven(act="dance/now", to="Odo", at=at(1)))


def test_sun_and_shade_now_are_those_of_the_day():
    job = job_with()
    found = job.day
    noon = min(found.sun.moments, key=lambda one: abs(one.hour_h - 12.0))
    here_now = sun_now(found.sun, found.start_h, (noon.hour_h - found.start_h) * 60)
    assert here_now.up and [one.sun_share for one in here_now.zones] == noon.shares
    assert not sun_now(found.sun, found.start_h, -6 * 60).up and not sun_now(found.sun, found.start_h, -6 * 60).shade
    told = job_with().pour_told()
    assert told.sun is None or math.hypot(*told.sun.toward) == pytest.approx(1)
    for one in here_now.zones:
        assert one.turns_min is None or one.turns_min >= (noon.hour_h - found.start_h) * 60


def test_it_may_stop_square_across_the_front_and_on_a_joint_farther_on():
    floor = planned().floor
    shares = [1.0, 1.0, 0.5, 0.0, 0.0, 0.0, 0.0]
    rows = stops(floor, shares, [], 1.0)
    front = next(one for one in rows if "where the front stands" in one.name)
    assert front.to_it_m3 == pytest.approx(0, abs=1e-9) and rows[0] is front
    (ax, ay), (bx, by) = front.line
    x, y = floor.parts[2].part.way
    assert abs((bx - ax) * x + (by - ay) * y) < 1e-6 * math.dist(*front.line)  # square to the pull
    (cx, cy), wide = floor.spot_at(2, 0.8), 10_000.0
    joint = ((cx - y * wide, cy + x * wide), (cx + y * wide, cy - x * wide))
    on = next(one for one in stops(floor, shares, [joint], 1.0) if "on its joint" in one.name)
    need = floor.parts[2].slab_m3 + floor.parts[2].trench_m3
    assert on.drawn and on.to_it_m3 == pytest.approx(0.3 * need, rel=0.02)


def test_the_set_clock_is_worked_out_anew_where_trucks_came_late():
    plain, late = job_with(here("a", 0)), job_with(here("a", 42))
    assert plain.day is not None and late.day is not None
    assert plain.came_late == () and plain.day_run is None
    assert late.came_late[0] == 40.0 and late.day_run is not None and late.pour_as_late is not None
    moved = {one.zone: one for one in late.pour_told().zones}
    still = {one.zone: one for one in plain.pour_told().zones}
    assert all(moved[zone].float_min > still[zone].float_min + 15 for zone in still)
    after = type(late)(late.plan, late.crew, late.records.plus("x", tap(60, 0, 0.5)), before=late)
    assert after.came_late is late.came_late and after.at_hand("day_run")


def test_more_missing_than_a_truck_holds_is_a_full_one_and_each_truck_that_is_sent_for_waits():
    costs = planned().costs
    much = Volume(costs.most_m3 * 1.6, 0.2)
    assert last_load(much, costs).order_m3 == pytest.approx(costs.most_m3)
    assert last_load(Volume(costs.most_m3 * 0.5, 0.1), costs).order_m3 < costs.most_m3
    sure = Volume(costs.most_m3 * 1.6, 0.0)
    none, one = (expected(sure, order, costs, [order] if order else []) for order in (0.0, costs.most_m3))
    assert none.cost_cents - one.cost_cents >= costs.wait_cents - 1  # two waits against one


def test_words_of_the_plant_and_of_joints_come_to_sentences():
    job = job_with()
    joint = job.plan.joints.lines[0].id
    for row, words in (
        (word("late", due_at=at(107)), "late, here 08:17"), (word("lost"), "knows nothing of it"), (Sawn(joint=joint, at=at(700)), "sawn"),
        (Sawn(joint=joint, at=at(700), cracked=True), "a crack was faster"), (ActGiven(act="edges/fill", to="", at=at(1)), "Nobody has it"),
    ):  # fmt: skip
        assert words in KIND[type(row)].sentence(job, row)
