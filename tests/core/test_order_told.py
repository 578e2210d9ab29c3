"""What the order says of itself: its knot, its names in the report, the mix as it was decided on the card, the pump, workings that add up."""

import pytest
from tests.plans import edited, plan

from humble_trowel.core.errors import PlanError
from humble_trowel.core.job import Job
from humble_trowel.core.order.call_in import mix_words
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.plan.ids import check_ids
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.pour_sim.of_job import placed_c
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, report, standing

SAID = {
    "order": {"pour_at": "2027-06-17T06:30", "spacing_min": 45, "method": "chute", "ring": {"name": "Wren", "phone": "1"}},
    "site": {"address": "Ford", "directions": "East gate"},
    "mix": {"strength_mpa": 28, "stone_mm": 19, "slump_mm": 120, "air_percent": 0},
    "outline": [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
}  # fmt: skip
CREW = Ways.model_validate({"firm": "Larkfield", "plant": {"account": "7", "truck_m3": 7, "confirmed": True}})
ORDER = next(stage for stage in STAGES if stage.id == "order")


def knot(job):
    found = standing(ORDER, job)
    return found.state, found.words


def called(job):
    values = {"at": "2027-06-16T14:05:00", "ordered_m3": job.numbers.order_m3, "loads_m3": job.loads_m3}
    return SiteRecords([("r1", OrderCalled.model_validate(values))])


def test_the_knot_goes_from_unsaid_to_settled_said_called_and_call_again():
    job = Job(plan(**SAID), CREW)
    assert knot(Job(plan(), CREW))[1].endswith("to say") and knot(job) == ("tight", "say it")
    clash = {**SAID, "mix": {**SAID["mix"], "finish": "trowelled", "freeze": "F1", "stained": True}}
    assert knot(Job(plan(**clash), CREW)) == ("loop", "2 to settle")
    records = called(job)
    assert knot(Job(job.plan, CREW, records)) == ("tight", "called")
    more = edited(job.plan, {"op": "say_order", "ordered": 30.0, "why": "a pad more"})
    assert knot(Job(more, CREW, records)) == ("flagged", "call again")


def test_the_report_says_the_decision_the_pour_the_mix_and_the_cost():
    job = Job(plan(**SAID), CREW)
    told = report(job)
    order = told["order"]
    assert order["ordered_m3"] == pytest.approx(sum(order["loads_m3"])) and order["best_m3"] > order["mean_m3"] - 1
    assert 0 <= order["p_short"] <= 1 and order["hold"]["last_m3_min"] <= order["hold"]["last_m3_max"]
    assert order["hold"]["say_by"] == job.sure_told.hold.say_text
    assert told["delivery"]["spacing_min"] == 45 and len(told["delivery"]["waits_min"]) == len(order["loads_m3"])
    assert [line["what"] for line in told["mix"]["lines"]][:4] == ["strength", "water", "air", "stone"]
    cost = told["cost"]
    assert sum(row["total_cents"] for row in cost["rows"]) + cost["margin_cents"] == cost["total_cents"]
    assert report(Job(plan(outline=None)))["order"] is None


def test_the_workings_of_short_and_long_give_the_money_of_their_row():
    told = Job(plan(**SAID), CREW).sure_told
    for row in (told.best, told.called, *told.rows):
        assert row.short.value * 100 == pytest.approx(row.short_cents, abs=0.5)
        assert row.long.value * 100 == pytest.approx(row.long_cents, abs=0.5)
    assert told.spread.value == pytest.approx(told.sd_m3, rel=1e-6)
    assert told.need.value == pytest.approx(told.mean_m3, rel=1e-6)


def test_what_was_decided_of_the_mix_stands_on_the_card():
    mix = Mix.model_validate(
        {"strength_mpa": 28, "water_share": 0.45, "reducer": "mid", "ash_share": 0.15, "setting": "retarded", "settled": {"air": {"answer": "none"}}}
    )  # fmt: skip
    said, missing = mix_words(mix, "mm")
    for words in ("0.45 water to cement at most", "mid-range reducer", "15 % ash", "retarded", "air: none"):
        assert words in said
    assert missing == "stone, slump, air"
    assert "reducer" not in mix_words(Mix(reducer="none", setting="as it comes"), "mm")[0]


def test_a_pump_holds_some_back_and_an_allowance_of_nothing_is_no_row():
    pumped = Job(plan(**{**SAID, "order": {**SAID["order"], "method": "pump"}}), CREW)
    row = next(row for row in pumped.numbers.allowances if row.key == "prime_m3")
    assert row.m3 == CREW.doubt.prime_m3 and row.m3 == pytest.approx(row.working.value)
    assert pumped.delivery.pump_cents > 0 == Job(plan(**SAID), CREW).delivery.pump_cents
    none = Ways.model_validate({"doubt": {"prime_m3": 0}})
    assert all(row.key != "prime_m3" for row in Job(pumped.plan, none).numbers.allowances)


def test_concrete_is_placed_as_it_is_wanted_else_as_its_heat_balances_else_as_usual():
    own = CREW.pour
    assert placed_c(plan(mix={"wanted_c": 25}), own) == 25
    cold, warm = (placed_c(plan(mix={"air_c": air}), own) for air in (5, 30))
    assert cold < placed_c(plan(), own) < warm and placed_c(plan(), own) == own.temp_c


def test_rows_of_order_and_quote_have_ids_once_each():
    made = plan(
        order={"spare": [{"name": "pad", "m3": 0.2}, {"name": "pad", "m3": 0.2}]},
        quote={"extra": [{"name": "a", "cents": 5}]},
    )
    ids = [row.id for row in made.order.spare]
    assert all(ids) and len(set(ids)) == 2 and made.quote.extra[0].id
    twice = made.model_copy(update={"order": made.order.model_copy(update={"spare": [made.order.spare[0]] * 2})})
    with pytest.raises(PlanError, match="stands twice"):
        check_ids(twice)


def test_a_part_that_is_new_since_the_call_is_named_as_new():
    job = Job(plan(**SAID), CREW)
    values = {
        "at": "2027-06-16T14:05:00",
        "ordered_m3": job.numbers.order_m3,
        "loads_m3": job.loads_m3,
        "parts_m3": {"all slab": 1.0},
    }
    parts = {part.part: part.m3 for part in job.parts}
    missing = Job(
        job.plan, CREW, SiteRecords([("r1", OrderCalled.model_validate({**values, "parts_m3": {"gone": 0.5}}))])
    ).called
    assert any(change.words.endswith("more") and "is new" in change.words for change in missing.changes)
    same = Job(job.plan, CREW, SiteRecords([("r1", OrderCalled.model_validate({**values, "parts_m3": parts}))])).called
    assert same.changes == [] and not same.stale
