"""May we pour: what holds it and what lifts it, the walk of what is really there, papers, changes, the week."""

from datetime import date

import pytest
from tests.days import day_job, pour

from humble_trowel.core.errors import InputError
from humble_trowel.core.gate.changes import effect_told
from humble_trowel.core.gate.record_kinds import CheckKind, OverruledKind, SignatureKind
from humble_trowel.core.gate.records import Overruled, PaperKept, SiteChange, WalkCheck
from humble_trowel.core.gate.week import letters_of, week_of
from humble_trowel.core.gate.week_parts import WeekJob, tasks_of
from humble_trowel.core.job import Job
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.schedule.sheet import schedule_told
from humble_trowel.core.stages.gate import gate_told

AT = "2027-06-15T15:20"
SLAB = {"outline": [["0'", "0'"], ["14'", "0'"], ["14'", "7'"], ["0'", "7'"]], "schedule": {"tasks": []}}
BARE = dict.fromkeys(("underslab", "steel", "embeds", "screed", "joints", "day"))
BARE |= {
    name: [] for name in ("edges", "beams", "pads", "recesses", "kerbs", "openings", "build_ups", "existing", "forms")
}


def job(*records, **changes):
    rows = [(f"r{at}", one) for at, one in enumerate(records)]
    return Job(pour(**changes), records=SiteRecords(rows))


def check(row, verdict="pass", by="Wren", **said):
    return WalkCheck(row=row, verdict=verdict, by=by, at=AT, **said)


def ids(one):
    return [row.id for place in one.walked.places for row in place.rows]


def codes(told):
    return [row.code for row in told.holds]


def first(one, end):
    return next(name for name in ids(one) if name.endswith(end) and not name.startswith("steel/"))


def test_the_walk_asks_what_the_job_has_and_nothing_else():
    whole, plain = job(), job(underslab=None, steel=None, embeds=None, joints=None)
    assert any(name.startswith("tubes/") for name in ids(whole)) and any(
        name.startswith("buried/") for name in ids(whole)
    )
    for gone in ("tubes/", "buried/", "steel/", "wall/", "strings/joints", "strings/electrode"):
        assert not any(name.startswith(gone) for name in ids(plain)), gone
    assert len(set(ids(whole))) == len(ids(whole))
    spots = [place.n for place in whole.walked.places]
    assert spots == list(range(1, len(spots) + 1))


@pytest.mark.parametrize(
    ("readings", "state"),
    [([101.6, 101.6], "pass"), ([82.6, 110, 110, 110], "pass"), ([80, 110, 110, 110], "mend"), ([88, 88, 88], "mend")],
)
def test_a_string_is_judged_by_its_least_and_its_mean(readings, state):
    """4 in: none under 3 1/4 in, the mean no less than 3 5/8 in."""
    name = next(
        row.id
        for place in job().walked.places
        for row in place.rows
        if row.id.endswith("/string") and row.drawn_text == "4″"
    )
    row = job(check(name, readings_mm=readings)).walked.row(name)
    assert row.state == state and bool(row.short_words) == (state == "mend")


def test_a_pass_beyond_its_limit_wants_a_reason_and_a_name_and_both_readings_stay():
    name = first(job(), "/deep")
    kind, values = CheckKind(), check(name, readings_mm=[300.0], over_why="Rock; the engineer saw it", by="")
    with pytest.raises(InputError, match="wants a name"):
        kind.check(job(), values)
    named = values.model_copy(update={"by": "Wren"})
    row = job(check(name, "mend", readings_mm=[290.0]), named).walked.row(name)
    assert row.state == "pass" and [old.verdict for old in row.before] == ["mend"] and row.before[0].text


def test_two_people_look_at_a_trench_and_the_same_one_twice_is_one():
    name = first(job(), "/clean")
    states = [
        job(*[check(name, by=who) for who in people]).walked.row(name).state
        for people in (["Wren"], ["Wren", "wren"], ["Wren", "Juno"])
    ]
    assert states == ["second", "second", "pass"]


def test_a_mend_holds_the_pour_until_it_is_mended():
    name = first(job(), "/boards")
    held = gate_told(job(check(name, "mend", note="loose stake")))
    assert f"walk/{name}" in codes(held) and not held.may_pour
    assert f"walk/{name}" not in codes(gate_told(job(check(name, "mend"), check(name))))


def test_lifting_a_hold_adds_none():
    records, one = [], job(schedule={"tasks": []})
    before = set(codes(gate_told(one)))
    for code in list(before):
        head, _, rest = code.partition("/")
        if head == "visit":
            records.append(check(code))
        elif head in ("paper", "permit"):
            records.append(PaperKept(paper=rest, state="here", at=AT))
        elif head in ("stage", "hands"):
            records.append(Overruled(hold=code, by="Wren", reason="seen to", at=AT))
        else:
            continue
        after = set(codes(gate_told(job(*records, schedule={"tasks": []}))))
        assert after < before and code not in after
        before = after


def test_a_plain_slab_that_was_walked_and_passed_may_be_poured():
    said = {**BARE, **SLAB, "zones": [{"name": "Pad", "slab": "S1", "polygon": None}], "order": {"spare": []}}
    one = job(**said)
    zones = {name: [101.6] * 4 for name in ids(one) if name.endswith("/string")}
    records = [check(name, readings_mm=zones.get(name, [])) for name in ids(one)]
    records += [check("visit/visit")]
    records += [PaperKept(paper=row.key, state="here", at=AT) for row in one.papers]
    told = gate_told(job(*records, **said), date(2027, 6, 1))
    left = [row for row in told.holds if not row.code.startswith(("stage/order", "stage/ground", "stop/"))]
    assert left == [] and {row.code for row in told.lifted} >= {"visit/visit", "walk"}


def test_hard_holds_are_not_taken_on_and_soft_ones_want_name_and_reason():
    kind = OverruledKind()
    for hold in ("visit/visit", "permit/permit", "freezes/day", "stop/anything"):
        with pytest.raises(InputError, match="not the crew's"):
            kind.check(job(), Overruled(hold=hold, by="Wren", reason="we are late", at=AT))
    with pytest.raises(InputError, match="Who takes it on"):
        kind.check(job(), Overruled(hold="paper/compaction", by=" ", reason="rolled twice", at=AT))
    taken = gate_told(job(Overruled(hold="paper/compaction", by="Juno", reason="I watched", at=AT)))
    assert "paper/compaction" not in codes(taken) and [row.overruled_by for row in taken.overruled] == ["Juno"]
    with pytest.raises(InputError, match="Whose"):
        SignatureKind().check(
            job(), SignatureKind().read({"of": "walk", "name": " ", "strokes": [[[0, 0]]], "at": AT}, "ft-in")
        )


def test_frost_on_the_base_is_hard_and_ice_in_the_slab_too():
    name = first(job(), "/base")
    told = gate_told(job(check(name, "mend", note="frozen in the corner")))
    assert [row.hard for row in told.holds if row.code == f"frozen/{name}"] == [True]
    cold = gate_told(day_job(air_c=-6.0))
    assert any(row.code == "freezes/day" and row.hard for row in cold.holds)


def test_a_day_that_has_gone_by_asks_for_another_and_a_visit_after_the_pour_is_late():
    told = gate_told(job(), date(2027, 7, 1))
    assert told.passed and told.verdict == "The day has gone by."
    one = job(schedule={"start_on": None, "tasks": [], "county_weekdays": [4]})
    sheet = schedule_told(one.plan, one.ways, one.scheduled(date(2027, 6, 7)))
    late = gate_told(one, date(2027, 6, 7), sheet)
    assert any(row.code == "visit/visit" and row.late for row in late.holds) and "after the pour" in late.beside


def test_a_failed_visit_says_what_was_found_and_a_paper_that_was_lost_is_missing_again():
    told = gate_told(job(check("visit/visit", "mend", note="two chairs missing")))
    assert "two chairs missing" in next(row.words for row in told.holds if row.code == "visit/visit")
    papers = [PaperKept(paper="permit", state=state, at=AT) for state in ("here", "missing")]
    assert "permit/permit" in codes(gate_told(job(*papers)))
    asked = job(schedule={"tasks": [], "papers": [{"key": "permit", "needed": False}, {"name": "Soil letter"}]})
    names = [row.name for row in asked.papers]
    assert "Soil letter" in names and "Building permit" not in names


def test_a_change_holds_until_it_is_agreed_and_its_effect_reads_as_money_and_yards():
    change = SiteChange(words="Pad for the lift", concrete_m3=1.0, at=AT)
    assert "change/r0" in codes(gate_told(job(change)))
    assert "change/r0" not in codes(gate_told(job(change.model_copy(update={"agreed_by": "Ansel"}))))
    told = effect_told(1.0, -9.0, 125000, "ft-in", visit=True)
    assert (told.concrete_text, told.steel_text, told.price_text) == ("+1.31 yd", "-20 lb", "+1,250.00")
    assert effect_told(0.0, 0.0, 0, "mm", visit=False).price_text == "nothing"


def week(*rows):
    jobs = [
        WeekJob(name, name.title(), None, [], "9 yd", 7.0, tasks_of(tasks, pour_at, 4)) for name, pour_at, tasks in rows
    ]
    return week_of(jobs, ["Ann", "Bo", "Cy", "Dee", "Eli"], date(2027, 6, 14))


def test_a_person_in_two_places_a_crew_too_small_and_one_plant_are_flagged():
    pour_row = ("pour", "pour", None, None, 4, ["Ann", "Bo", "Cy", "Dee"])
    one = week(
        ("larch", "2027-06-17T07:00", [pour_row]),
        ("tansy", "2027-06-17T06:30", [("pour", "pour", None, None, 5, ["Ann", "Eli"])]),
    )
    kinds = {clash.kind for clash in one.clashes}
    assert kinds == {"twice", "short", "plant"} and one.verdict == "Ann is in two places."
    assert next(person for person in one.people if person.name == "Ann").twice == [3]
    assert [stop.short for stop in one.stops if stop.job == "tansy"] == [3]
    assert one.ways_out and all(way.on > "2027-06-17" for way in one.ways_out)
    apart = week(("larch", "2027-06-17T07:00", [pour_row]), ("tansy", "2027-06-18T06:30", [pour_row]))
    assert apart.clashes == [] and apart.verdict == "It goes together." and apart.order_m3 == 14.0
    assert week(("none", None, [])).verdict == "Nothing is booked."


def test_letters_are_told_apart():
    assert letters_of(["Birk", "Bram", "Ann", "Brin"]) == {"Birk": "B", "Bram": "Br", "Ann": "A", "Brin": "Bri"}


def test_what_stops_the_order_comes_first_and_a_booking_that_clashes_holds():
    one = job(order={"pour_at": "2027-06-09T07:00"}, schedule={"start_on": None, "tasks": []})
    sheet = schedule_told(one.plan, one.ways, one.scheduled(date(2027, 6, 7)))
    told = gate_told(one, date(2027, 6, 7), sheet)
    clash = next(row for row in told.holds if row.code == "days/pour")
    assert not clash.hard and clash.goes == ("gate", "trades") and "Wed 9 Jun" in clash.title
    deep = job(check("visit/visit", "mend"), zones=[{"name": "Pad", "slab": "S1", "polygon": None, "fall": None}])
    ranks = [row.code.split("/")[0] for row in gate_told(deep).holds]
    assert "stop" not in ranks[1:] or ranks[0] in ("day", "stop")


def test_too_few_hands_hold_and_those_who_are_named_count():
    few = {"start_on": None, "tasks": [{"key": "pour", "hands": 5, "people": ["Ann", "Bo"]}]}
    title = next(row.title for row in gate_told(job(schedule=few)).holds if row.code == "hands/short")
    assert title == "2 hands, 5 wanted"
    enough = {"start_on": None, "tasks": [{"key": "pour", "hands": 2, "people": ["Ann", "Bo"]}]}
    assert "hands/short" not in codes(gate_told(job(schedule=enough)))
