"""What the next quote learns: one more job for a middle, middles learnt together, what a job says, taken and undone, its money."""

import math
import random
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.days import pour
from tests.pours import YD, at, job_with, planned

from humble_trowel.bench.lessons import errors_of
from humble_trowel.bench.rows import demo_plan
from humble_trowel.core.built.records import AsBuilt
from humble_trowel.core.cost.cost import Costed
from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.lessons.joint import JOINT, learnt_together, told_by
from humble_trowel.core.lessons.kinds import KIND_OF_LESSON, LESSON_KINDS, middle_of, with_middle
from humble_trowel.core.lessons.lessons import left, taken, untaken
from humble_trowel.core.lessons.money import Spent, money_of
from humble_trowel.core.lessons.record_kinds import LESSON_RECORDS
from humble_trowel.core.lessons.records import HoursWorked, LeftOver
from humble_trowel.core.lessons.update import Middle, Seen, learnt, told_apart
from humble_trowel.core.order.allowances import forms_face_m2
from humble_trowel.core.plan.doubt_ways import DoubtWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.stages import report
from humble_trowel.standins.pour_day import Site, run_day, truth_of

SIZE = st.floats(0.01, 50)
AT = "2027-06-18T09:00:00-04:00"
KIND = {kind.name: kind for kind in LESSON_RECORDS}


@given(SIZE, SIZE, st.floats(1, 60), st.floats(-1e4, 1e4))
@settings(derandomize=True, max_examples=200)
def test_one_job_however_odd_moves_no_middle_by_more_than_its_spread(sd, own, jobs, off):
    old = Middle(3.0, sd, jobs)
    moved = learnt(old, Seen(3.0 + off, own))
    assert abs(moved.new.mean - old.mean) <= sd * (1 + 1e-9) and moved.new.sd > 0
    assert old.jobs < moved.new.jobs <= old.jobs + 1
    assert (moved.new.mean - old.mean) * off >= 0
    if abs(off) < sd:
        assert not moved.odd
    if abs(off) > 3.1 * math.hypot(sd, own):
        assert moved.odd
    blind = learnt(old, Seen(3.0 + off, 1e6 * sd))
    assert abs(blind.new.mean - 3.0) < 1e-2 * sd and blind.new.sd == pytest.approx(sd, rel=1e-3)


def test_many_jobs_find_the_middle_and_the_spread_that_they_were_made_with():
    for seed in range(4):
        draw, now = random.Random(seed), Middle(0.0, 10.0)
        for _ in range(150):
            now = learnt(now, Seen(draw.gauss(draw.gauss(7.0, 3.0), 2.0), 2.0)).new
        assert now.mean == pytest.approx(7.0, abs=1.0) and now.sd == pytest.approx(3.0, abs=1.0)


def test_what_lies_between_two_beliefs_is_what_was_seen():
    both = Seen((2 / 9 + 10 / 4) / (1 / 9 + 1 / 4), (1 / 9 + 1 / 4) ** -0.5)
    apart = told_apart(Seen(2.0, 3.0), both)
    assert apart is not None and (apart.mean, apart.sd) == pytest.approx((10.0, 2.0))
    assert told_apart(Seen(2.0, 3.0), Seen(2.0, 3.0)) is None and told_apart(Seen(1.0, 0.0), both) is None


def test_together_is_as_alone_where_nothing_goes_along_and_keeps_what_does():
    olds = {key: Middle(1.0, 2.0) for key in JOINT}
    before = np.full(3, 1.0), np.full(3, 4.0)
    own = np.diag([0.5, 1.0, 2.0])
    said = np.array([3.0, 2.0, 0.0])
    after = np.linalg.inv(np.diag(1 / before[1]) + np.linalg.inv(own))
    mean = after @ (before[0] / before[1] + np.linalg.inv(own) @ said)
    told = told_by(*before, (False, False, False), mean, after)
    seen = {key: Seen(float(said[n]), math.sqrt(own[n, n])) for n, key in enumerate(JOINT)}
    found = learnt_together(olds, told, seen)
    for key in JOINT:
        alone = learnt(olds[key], seen[key]).new
        assert found[key].new.mean == pytest.approx(alone.mean) and found[key].new.sd == pytest.approx(
            alone.sd, rel=0.02
        )
        assert all(abs(one) < 1e-6 for one in found[key].new.along.values())
    # a sum alone was seen: what is too much of one is too little of the other
    row = np.array([[1.0, 1.0, 0.0]])
    summed = np.linalg.inv(np.diag(1 / before[1]) + row.T @ row / 0.01)
    pulled = summed @ (before[0] / before[1] + row[0] * 4.0 / 0.01)
    found = learnt_together(
        olds, told_by(*before, (False,) * 3, pulled, summed), {"base": Seen(3.0, 2.0), "trench": Seen(3.0, 2.0)}
    )
    assert found["base"].new.along["trench"] < -0.2 and found["base"].new.mean == pytest.approx(
        found["trench"].new.mean
    )
    odd = {
        **olds,
        "base": replace(olds["base"], along={"trench": 0.99, "yield": 0.99}),
        "trench": replace(olds["trench"], along={"yield": -0.99}),
    }
    assert all(math.isfinite(one.new.mean) for one in learnt_together(odd, told, seen).values())


def test_a_crew_finds_its_own_ground_and_its_plants_tickets():
    """As the bench row has it, over fewer jobs."""
    found = errors_of(1, [demo_plan("honey-house"), demo_plan("boat-bay")], (8,))
    assert found[8]["base"] < 0.4 * found[0]["base"] and found[8]["trench"] < 0.6 * found[0]["trench"]
    assert found[8]["yield"] <= found[0]["yield"]


def played(seed=3, *more):
    site = Site(planned(), truth_of(planned(), seed))
    end, _ = run_day(site, planned().loads_m3)
    return job_with(*(values for _, _, values in site.rows), *more), end


def test_a_job_says_what_was_written_down_and_why_it_says_nothing_else():
    bare, _ = played()
    rows = {one.kind.key: one for one in bare.lessons_found}
    assert rows["base"].state == "open" and rows["pace"].evidence.why.startswith("3 trucks")
    for key, why in (
        ("left", "drum"),
        ("bow", "taped a side"),
        ("set", "heel"),
        ("road", "road of its own"),
        ("tie", "No hours"),
    ):
        assert rows[key].state == "nothing" and why in rows[key].evidence.why and rows[key].new is None
    more = [
        LeftOver(m3=0.3, at=AT),
        HoursWorked(task="tie", worked_h=9, at=AT),
        AsBuilt(thing="side", of=pour().corner_ids[0], out_mm=9, at=AT),
    ]
    rows = {one.kind.key: one for one in played(3, *more)[0].lessons_found}
    assert rows["left"].evidence.seen.mean == 0.3 and rows["bow"].evidence.seen.mean == 9.0
    faster = math.exp(rows["tie"].evidence.seen.mean) / bare.ways.prices.steel_kg_h
    assert faster == pytest.approx(bare.work_h["tie"] / 9)
    nothing = Job(pour()).lessons_found
    assert all(one.new is None and one.evidence.why for one in nothing)
    assert Job(pour()).lessons_told().verdict == "Nothing was written down to learn from"


def test_a_lesson_is_taken_moves_the_next_order_and_is_undone_to_the_very_numbers():
    job, _ = played()
    ways, word = taken(job.lessons_found, "base", job.crew, "pumped after the rain", AT, "Wren")
    one = next(row for row in job.lessons_found if row.kind.key == "base")
    assert ways.allowances.base_low_mm == pytest.approx(one.new.mean) and ways.doubt.base_sd_mm == pytest.approx(
        one.new.sd
    )
    assert ways.learnt["base"].jobs > 1 and word.reason == "pumped after the rain"
    after = Job(job.plan, ways, job.records.plus("said", word), before=job)
    found = after.lessons_found
    assert next(row for row in found if row.kind.key == "base").state == "taken"
    others = {row.kind.key: row.new for row in job.lessons_found}
    trench = next(row for row in found if row.kind.key == "trench").new
    assert trench.mean == pytest.approx(others["trench"].mean)  # the same words are not counted twice
    assert after.numbers.order_m3 >= job.numbers.order_m3 and after.lessons_told().taken == 1
    with pytest.raises(InputError, match="already"):
        taken(found, "base", ways, "", AT, "")
    with pytest.raises(InputError, match="Undo it first"):
        left(found, "base", "", AT, "")
    back = untaken(found, "base", ways)
    assert back.model_dump() == job.crew.model_dump()
    moved = ways.model_copy(update={"allowances": ways.allowances.model_copy(update={"base_low_mm": 1.0})})
    with pytest.raises(InputError, match="moved since"):
        untaken(found, "base", moved)
    no = left(job.lessons_found, "base", "one wet week", AT, "Wren")
    kept = Job(job.plan, job.crew, job.records.plus("said", no), before=job)
    assert next(row for row in kept.lessons_found if row.kind.key == "base").state == "left"
    assert untaken(kept.lessons_found, "base", kept.crew) is kept.crew
    for key in ("set", "gone"):
        with pytest.raises(InputError):
            taken(job.lessons_found, key, job.crew, "", AT, "")
    with pytest.raises(InputError, match="do not hold"):  # a word alone changes nothing
        KIND["lesson"].check(job, word)
    assert report(job)["lessons"][1]["name"] == "Base by rod"


def test_every_kind_is_read_and_kept_where_the_ways_have_it():
    for kind in LESSON_KINDS:
        old = middle_of(kind, Ways())
        new = replace(old, mean=old.mean + 0.3 * old.sd, sd=old.sd * 0.8, jobs=3.0)
        again = middle_of(kind, Ways.model_validate(with_middle(kind, Ways(), new).model_dump()))
        assert (again.mean, again.sd, again.jobs) == pytest.approx((new.mean, new.sd, 3.0), rel=1e-4), kind.key
        low = middle_of(kind, with_middle(kind, Ways(), replace(old, mean=-50.0)))
        assert Ways.model_validate(with_middle(kind, Ways(), replace(old, mean=-50.0)).model_dump()) and low.mean >= (
            -50 if kind.log else 0
        )


def test_learnt_bow_and_lacking_loads_stand_in_the_order():
    ways = Ways(doubt=DoubtWays(bow_out_mm=6.0, yield_low_share=0.02))
    was, now = Job(pour()), Job(pour(), ways)
    rows = {row.key: row for row in now.extras}
    assert rows["bow_out_mm"].m3 == pytest.approx(forms_face_m2(now.plan, now.solid) * 2 / 3 * 6 / 1000)
    before = was.need_m3 + rows["bow_out_mm"].m3
    assert rows["yield_low_share"].m3 == pytest.approx(before * 0.02 / 0.98) and now.need_m3 == pytest.approx(
        before / 0.98
    )
    assert [row.mean_m3 for row in now.doubts if row.key == "yield"] == [rows["yield_low_share"].m3]
    assert now.pour_planned.belief.middle[2] == 0.02


def test_money_counts_what_came_and_leaves_the_rest_as_quoted():
    job, end = played(
        3, HoursWorked(task="pour", worked_h=7.5, at=at(300)), LeftOver(m3=0.4 * YD, where="site", at=at(300))
    )
    cost = job.cost(None)
    assert isinstance(cost, Costed)
    quoted = {row.key: row.total_cents for row in cost.rows}
    money = money_of(cost, job.ways, Spent([5.0, 5.0], 100.0, 50.0, 0.4, {"pour": 7.5}, 0.0, 1000))
    assert (
        sum(row.quoted_cents for row in money.rows) == cost.rows_cents and money.price_cents == cost.total_cents + 1000
    )
    assert money.rows[0].cents == round(
        10 * job.ways.ground.concrete_cents_per_m3 + 150 + 0.4 * job.ways.risk.disposal_cents_m3
    )
    assert money.rows[1].over_cents == round(7.5 * job.ways.pour.crew_cents_h) - quoted["pour"]
    assert money.kept_cents == money.price_cents - sum(row.cents for row in money.rows)
    nothing = money_of(cost, job.ways, Spent([], 0.0, 0.0, None, {}, 0.0, 0))
    assert nothing.kept_cents == nothing.quoted_kept_cents == cost.margin_cents
    told = job.lessons_told()
    assert told.went.words.startswith("Ordered 23.5, placed 23.1, left 0.4") and told.kept_text.startswith(
        ("Kept", "Lost")
    )
    assert end > 0 and "7.5 h" in [row.took_text for row in told.hours]
    assert KIND_OF_LESSON["base"].name == told.lessons[1].name and told.lessons[1].unit == "yd"


def test_a_taken_lesson_moves_neither_the_quote_nor_what_was_kept_of_it():
    job, _ = played(3, HoursWorked(task="tie", worked_h=9, at=AT))
    before = job.lessons_told()
    ways, words = job.crew, []
    for key in ("base", "tie"):
        now, word = taken(job.lessons_found, key, ways, "", AT, "Wren")
        ways, words = now, [*words, word]
    after = Job(job.plan, ways, job.records.plus("one", words[0]).plus("two", words[1]), before=job)
    told = after.lessons_told()
    assert after.cost(None).total_cents != job.cost(None).total_cents  # the next quote is another one
    assert told.kept_text == before.kept_text and told.money == before.money
    assert [row.quoted_text for row in told.hours] == [row.quoted_text for row in before.hours]
    assert told.next.was_text == before.next.now_text and told.taken == 2
    tie = next(row for row in after.lessons_found if row.kind.key == "tie")
    assert math.exp(tie.evidence.seen.mean) == pytest.approx(
        math.exp(next(row for row in job.lessons_found if row.kind.key == "tie").evidence.seen.mean)
    )


def test_an_odd_job_says_so_and_asks_to_look_for_a_slip():
    job, _ = played(3, LeftOver(m3=4.0, at=AT), HoursWorked(task="tie", worked_h=900, at=AT))
    odd = {row.where: row for row in job.lesson_findings}
    assert (
        odd["lessons.tie"].code == "lesson-odd"
        and "slip" in odd["lessons.tie"].remedy
        and odd["lessons.tie"].severity == "note"
    )
    tie = next(row for row in job.lessons_told().lessons if row.key == "tie")
    assert tie.odd and "An odd job" in job.lessons_told().under
    assert "lessons.base" not in odd and Job(pour()).lesson_findings == []


def test_sizes_are_told_in_the_jobs_unit_and_rates_as_hours():
    rows = {row.key: row for row in played(3, HoursWorked(task="tie", worked_h=9, at=AT))[0].lessons_told().lessons}
    assert (rows["base"].unit, rows["pace"].unit, rows["tie"].unit) == ("yd", "min a yd", "h for 100 lb")
    assert rows["pace"].old.text == "4.0" and float(rows["tie"].seen.text) < float(
        rows["tie"].old.text
    )  # nine hours were fewer
    for row in rows.values():
        spreads = [one for one in (row.old, row.seen, row.new) if one]
        assert row.low <= min(one.mean - one.sd for one in spreads) and row.high >= max(
            one.mean + one.sd for one in spreads
        )
    assert [row.letter for row in rows.values()] == [chr(97 + n) for n in range(len(rows))]
    metric = Job(pour(units="mm")).lessons_told().lessons
    assert {row.unit for row in metric if row.group == "volume"} == {"m³"} and metric[
        5
    ].name == "A cubic metre, minutes"
