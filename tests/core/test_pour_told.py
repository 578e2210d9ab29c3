"""The day of the pour in words: trucks, fronts, how much left, zones, trouble, the page of the day; doubts as findings; in feet and in metres."""

import json
from importlib import resources

import pytest
from tests.days import pour
from tests.pours import YD, at, empty, here, job_with, planned, struck, tap, ticket

from humble_trowel.core.pour.record_kinds import POUR_RECORDS
from humble_trowel.core.pour.records import ActDone, Front, GaugeRead, Incident, LoadCalled
from humble_trowel.core.stages import STAGES, report
from humble_trowel.core.stages.pour import standing_of
from humble_trowel.demo.days import DAYS, days_for, lines_of
from humble_trowel.files.job_file import parse_job

HALF = (
    here("a", 0, number="40117", slump_mm=130.0, temp_c=20.5, cylinders=4),
    empty("a", 38),
    tap(39, 2, 0.5, "a", "Odo"),
)
KIND = {kind.values: kind for kind in POUR_RECORDS}


def codes(job):
    return [row.code for row in job.pour_findings]


def test_a_truck_says_its_age_its_free_minutes_its_tests_and_what_was_struck():
    told = job_with(*HALF, ticket("a", 45, m3=8 * YD), here("b", 40)).pour_told(50)
    one, two, last = told.trucks
    assert (one.text, one.empty, one.age_min, one.number) == ("8 yd", True, pytest.approx(72), "40117")
    assert one.tests == ["slump 5 1/8″", "69°", "4 cylinders"] and one.struck == [f"yards {9 * YD}"]
    assert two.here and not two.empty and two.free_min == pytest.approx(54 - 10) and last.held and not last.load
    nobody_said = job_with(here("a", 0), here("b", 42), empty("b", 80)).pour_told(300)
    assert [one.empty for one in nobody_said.trucks[:2]] == [True, True] and not nobody_said.trucks[0].doubts
    late = job_with(here("a", 0)).pour_told(100).trucks[0]
    assert late.free_min < 0 and late.charge_text.startswith("$") and late.doubts[0].decides


def test_the_front_is_drawn_where_it_stood_and_where_it_should_have():
    told = job_with(*HALF).pour_told()
    front = told.fronts[-1]
    assert (front.truck, front.by, front.counts) == (1, "Odo", True) and front.lines and front.should
    strip = told.strips[2]
    assert strip.full_share == pytest.approx(0.5, abs=0.01) and strip.wet and not told.strips[5].wet
    assert [one.full for one in told.strips] == [True, True] + [False] * 5
    assert job_with(struck(20, 0)).pour_told().fronts[0].words == "struck"
    assert job_with(Front(at=at(9), edges=True)).pour_told().fronts[0].words == "all edges full"


def test_each_call_says_what_it_risks_and_how_deep_the_rest_may_run():
    left = job_with(*HALF).pour_told().left
    best = next(one for one in left.choices if one.best)
    assert best.over_text == "least" and best.m3 == pytest.approx(left.best_m3) and left.say_by_text
    assert [one.m3 for one in left.choices] == sorted(one.m3 for one in left.choices)
    assert [one.short_of for one in left.choices] == sorted((one.short_of for one in left.choices), reverse=True)
    assert [one.rest_mm for one in left.choices] == sorted(one.rest_mm for one in left.choices)
    assert left.depth_text.endswith("″") and len(left.needs_m3) == 20 and left.needs_m3 == sorted(left.needs_m3)
    assert {one.key for one in left.causes if one.learnt} == {"base", "trench", "yield"}
    said = job_with(*HALF, LoadCalled(at=at(41), m3=6 * YD, by="Wren", heard_by="Corin")).pour_told().left
    assert (said.said_text, said.said_by, said.heard_by, said.answer) == ("6 yd", "Wren", "Corin", "held")


def test_zones_are_worked_by_their_clock_moved_with_the_trucks_and_sawn_where_a_joint_is():
    with_day = job_with()
    assert with_day.day is not None
    first, moved = with_day.pour_told(), job_with(here("a", 25))
    assert moved.day is not None
    by_name = {one.name: one for one in first.zones}
    later = {one.name: one for one in moved.pour_told().zones}
    assert later["Super store"].float_min - by_name["Super store"].float_min == pytest.approx(24, abs=2)
    assert by_name["Bottling"].saw_text and by_name["Bottling"].saw_until_text and by_name["Bottling"].second_text
    bare = job_with(plan=pour(day={}))  # no weather: the mix alone
    zones = bare.pour_told().zones
    assert all(one.float_text and not one.saw_text and not one.dries_text for one in zones)


def test_trouble_says_since_when_and_where_to_stop_and_is_over_once_somebody_says_so():
    rain = Incident(what="rain", at=at(30), words="from the west", by="Odo")
    told = job_with(*HALF, rain).pour_told()
    assert (told.trouble[0].key, told.trouble[0].since_text, told.trouble[0].words) == ("rain", "7:00", "from the west")
    assert told.stops and told.stops[0].dowels >= 1 and all(len(one.acts) >= 3 for one in told.trouble)
    over = job_with(*HALF, rain, Incident(what="rain", at=at(50), over=True)).pour_told()
    assert all(not one.since_text for one in over.trouble)


def test_doubts_of_the_day_are_findings_with_a_remedy():
    falls = [GaugeRead(at=at(minute), pressure_kpa=kpa) for minute, kpa in ((4, 400), (34, 300))]
    assert "gauge-falls" in codes(job_with(*falls)) and "gauge-falls" not in codes(job_with(falls[0]))
    assert "say-last" in codes(job_with(*HALF, ticket("a", 60, slump_mm=130.0)))
    assert "edge-old" in codes(job_with(*HALF, Incident(what="late", at=at(40), minutes=300)))
    for row in job_with(*HALF, *falls, here("b", 41, strength_mpa=20.7)).pour_findings:
        assert row.remedy and row.stage == "pour" and row.tabs
    assert codes(job_with()) == []


@pytest.mark.parametrize("name", sorted(DAYS))
def test_the_page_of_a_whole_day_and_the_report(name):
    plan = pour()
    assert (name, DAYS[name]) in days_for(plan)
    job = job_with(*(line.values for _, line, _ in lines_of(plan, name)))
    after = job.pour_told().after
    assert len(after.records) == len(set(after.records)) > len(after.rows)
    assert after.done and after.trucks == 3 and after.left_over_text and after.people == ["Odo", "Tamsin", "Wren"]
    assert [row.at_min for row in after.rows] == sorted(row.at_min for row in after.rows)
    assert any("Bottling struck" in row.words for row in after.rows)
    assert any("Last truck said" in row.words for row in after.rows)
    told = report(job)["pour"]
    assert set(told) == {"at", "now", "placed_m3", "area_done_m2", "remaining_m3", "last_call", "loads"}
    assert told["remaining_m3"] == {"mean": 0.0, "sd": 0.0} and set(told["loads"][0]) == {
        "id",
        "m3",
        "age_min",
        "findings",
    }
    assert standing_of(job).words == "poured" and STAGES[-2].id == "pour"
    assert (
        days_for(plan.model_copy(update={"order": plan.order.model_copy(update={"pour_at": "2027-07-01T06:30"})})) == []
    )


def test_every_word_comes_to_a_sentence():
    job = job_with()
    part = planned().floor.parts[0].part.id
    for row, words in (
        (HALF[0], "9 yd, tests"), (ticket("a", 5, sent_back="wet"), "sent back: wet"), (ticket("a", 5, sent_back=""), "taken after all"),
        (struck(9, 0), "struck"), (Front(at=at(3), edges=True), "edges full"), (GaugeRead(at=at(4), pressure_kpa=413.7), "60 psi"),
        (ActDone(act=f"set/{part}", how="cannot", reason="stiff", at=at(9)), "already too stiff"), (ActDone(act="edges/fill", how="done", at=at(9)), "Full"),
        (ActDone(act="edges/fill", how="put-off", at=at(9)), "put off"), (Incident(what="pump", at=at(9), over=True), "plugged, over"),
        (LoadCalled(at=at(9), m3=0, heard_by="Corin"), "said to Corin: none"), (LoadCalled(at=at(9), m3=6 * YD, answer="refused"), "refused"),
    ):  # fmt: skip
        assert words in KIND[type(row)].sentence(job, row)


def test_a_metric_slab_without_strips_is_filled_from_the_west_in_bands():
    raw = json.loads((resources.files("humble_trowel.demo") / "jobs" / "boat-bay.json").read_text("utf-8"))
    job = job_with(plan=parse_job(json.dumps(raw).encode()))
    told = job.pour_told()
    assert told is not None and len(told.strips) == 10 and told.strips[0].name == "Band 1"
    assert "m³" in told.left.total_text and told.left.best_text.endswith("m³") and told.trucks[0].text.endswith("m³")
    raw["order"].pop("pour_at")
    assert job_with(plan=parse_job(json.dumps(raw).encode())).pour_told() is None
