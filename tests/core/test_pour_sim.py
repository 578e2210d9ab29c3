"""A pour as events: equal to the recursion of it in many random pours, and what a job makes of one."""

import random
from dataclasses import replace

import pytest
from tests.plans import plan

from humble_trowel.core.job import Job
from humble_trowel.core.pour_sim.pour import Crew, Loads, Pour, Rates, SetsIn, in_rows, load_at, minute_at, order_min
from humble_trowel.core.pour_sim.search import best, every_spacing, lucky
from humble_trowel.core.pour_sim.simulate import simulate

STRIPS = {"strips": [{"at": [1500, 2000]}, {"at": [4500, 2000]}], "pads": [{"start": [3000, 0], "end": [3000, 4000]}]}


def recursion(loads, m3_min):
    """The same pour by the recursion over loads: batching, road, place, crew, one after another."""
    rows, ends, crews, back, plant = [], [0.0] * loads.places, [0.0] * loads.crews, [], -1e9
    ends, crews = [-1e9] * loads.places, [-1e9] * loads.crews
    for at, (asked, m3) in enumerate(zip(order_min(loads), loads.load_m3, strict=True)):
        batch = max(asked, plant, back[at - loads.fleet] if at >= loads.fleet else -1e9)
        plant = batch + loads.batch_min
        arrive = plant + loads.travel_min
        place = min(range(loads.places), key=lambda one: ends[one])
        spot = max(arrive, ends[place])
        crew = min(range(loads.crews), key=lambda one: crews[one])
        unload = max(spot + loads.position_min, crews[crew])
        end = unload + m3 / m3_min
        ends[place] = crews[crew] = end
        back.append(end + loads.clear_min + loads.back_min)
        rows.append((batch, arrive, spot, unload, end, end + loads.clear_min))
    return rows


def random_pour(seed):
    say = random.Random(seed)
    count = say.randint(1, 14)
    loads = Loads(
        tuple(round(say.uniform(0.8, 8), 2) for _ in range(count)), say.choice([0.5, 4, 9, 18, 33, 60]), say.uniform(-60, 60),
        say.uniform(2, 12), say.uniform(5, 50), say.uniform(5, 50), say.randint(1, 6), say.randint(1, 3), 1, say.uniform(0, 6), say.uniform(0, 8),
    )  # fmt: skip
    return Pour(loads, Crew(say.uniform(0.05, 0.7), 9.0, 2.8, say.randint(1, 3), 1.7), SetsIn(170, 400, 190), Rates(300, 8, 32000))  # fmt: skip


@pytest.mark.parametrize("seed", range(120))
def test_the_events_are_the_recursion(seed):
    pour = random_pour(seed)
    got = sorted(simulate(pour).visits, key=lambda one: one.load)
    want = recursion(pour.loads, pour.crew.m3_min)
    for one, row in zip(got, want, strict=True):
        told = (one.batch_min, one.arrive_min, one.place_min, one.unload_min, one.end_min, one.leave_min)
        assert told == pytest.approx(row, abs=1e-9)


def test_a_day_of_a_seed_is_the_same_twice_and_a_late_truck_shifts_only_what_follows():
    pour = random_pour(7)
    assert lucky(pour, 3, 6, 0.15) == lucky(pour, 3, 6, 0.15) != lucky(pour, 4, 6, 0.15)
    three = replace(pour, loads=Loads((5, 5, 5), 30, fleet=3))
    late = replace(three, loads=replace(three.loads, late_min=(0, 20, 0)))
    plain, shifted = simulate(three).visits, simulate(late).visits
    assert shifted[0] == plain[0] and shifted[1].arrive_min == plain[1].arrive_min + 20


def test_the_best_spacing_is_the_cheapest_of_all_that_were_tried():
    pour = replace(random_pour(11), loads=Loads((7.6,) * 6, 20, fleet=4))
    rows = every_spacing(pour)
    found = best(rows)
    assert len(rows) == 57 and found.objective_cents == min(row.objective_cents for row in rows)
    assert found.poured.cost_cents <= found.objective_cents


def test_floor_beside_floor_meets_at_the_loads_that_hold_it():
    assert in_rows((1, 1, 1, 1), 2, True) == ((1, 3), (0, 4))
    assert in_rows((1, 1, 1, 1), 2, False) == ((0, 3), (1, 4))
    assert [load_at((2, 3), m3, ends=True) for m3 in (0, 2, 2.5, 5, 6)] == [0, 0, 1, 1, None]
    assert load_at((2, 3), 2, ends=False) == 1
    visits = sorted(simulate(replace(random_pour(1), loads=Loads((2, 3), 60))).visits, key=lambda one: one.load)
    assert minute_at(visits, (2, 3), 3.5) == pytest.approx((visits[1].unload_min + visits[1].end_min) / 2)


def test_a_job_pours_its_strips_in_their_order_and_bands_where_none_are_laid():
    said = {"pour_at": "2027-06-17T06:30", "spacing_min": 30, "method": "chute"}
    banded = Job(plan(order=said)).delivery
    assert not banded.by_strips and banded.parts[0].at[0] < banded.parts[-1].at[0]
    assert banded.trucks[0].arrive_text == "6:30" and banded.parts[-1].full_text == banded.done_text
    laid = Job(plan(order=said, screed=STRIPS))
    told = laid.delivery
    assert told.by_strips and [part.name for part in told.parts] == ["Strip 1", "Strip 2"]
    assert [step[1] for step in told.parts[0].steps][-1] == pytest.approx(1.0)
    assert told.parts[1].start_min == pytest.approx(told.parts[0].end_min)
    assert laid.planned_pour.trucks == told.trucks and laid.planned_pour.spacings == []


def test_a_truck_that_is_tried_late_is_late_and_the_crew_stands():
    said = {"pour_at": "2027-06-17T06:30", "spacing_min": 30}
    from humble_trowel.core.plan.ways import Ways

    job = Job(plan(order=said), Ways.model_validate({"plant": {"truck_m3": 1.0}}))
    late = job.delivery_with(None, 1, {1: 25.0})
    assert [row.arrive_text for row in late.trucks][:2] == ["6:30", "7:25"]
    assert late.idle_min > job.delivery.idle_min


def test_an_order_under_the_drawing_ends_before_the_last_part():
    short = Job(plan(order={"spacing_min": 30, "ordered_m3": 1.5, "ordered_why": "half of it"}, screed=STRIPS))
    assert [part.full_text == "" for part in short.delivery.parts] == [False, True]
    codes = {row.code for row in short.deciding_findings}
    assert "order-under-drawn" in codes


@pytest.mark.parametrize(
    ("order", "pour", "code"),
    [
        ({"spacing_min": 200}, {}, "joint-cold"), ({"spacing_min": 1, "travel_min": 60}, {"crew_m3_h": 2}, "load-old"),
        ({"spacing_min": 30}, {"finish_m2_h": 4}, "finish-late"), ({"spacing_min": 30}, {"day_h": 2}, "pour-long"),
    ],
)  # fmt: skip
def test_a_pour_that_cannot_go_well_says_why(order, pour, code):
    from humble_trowel.core.plan.ways import Ways

    ways = Ways.model_validate({"pour": pour, "plant": {"truck_m3": 1.0}})
    job = Job(plan(order=order), ways)
    row = next(row for row in job.deciding_findings if row.code == code)
    assert row.tabs == ("trucks",) and row.remedy
