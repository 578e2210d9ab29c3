"""Trades and their days: the best plan against every plan there is, reasons, bookings that clash, what a job implies."""

from datetime import date
from itertools import product

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.days import day_job, pour

from humble_trowel.core.edits.called_day import CallDay
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.edits.schedule import AddTask, SayDay, SetSchedule, SetTask, TakeOutTask
from humble_trowel.core.errors import EditError, InputError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.schedule_ways import ScheduleWays
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.schedule.best import best
from humble_trowel.core.schedule.critical import critical
from humble_trowel.core.schedule.project import Limits, Link, Project, Sky, Task, checked
from humble_trowel.core.schedule.rules import breaks
from humble_trowel.core.schedule.sheet import schedule_told
from humble_trowel.core.schedule.why import held, why_of

MONDAY = date(2027, 6, 7)


def project(*tasks, horizon=16, crew=4, **said):
    return checked(Project(MONDAY, horizon, crew, list(tasks), **said))


@st.composite
def small(draw):
    """Few tasks on few days, so that every plan can be tried."""
    count = draw(st.integers(2, 4))
    wet = {day: Sky(rain_mm=draw(st.sampled_from([0.0, 0.0, 4.0, 20.0]))) for day in range(9)}
    tasks = []
    for at in range(count):
        links = tuple(Link(f"t{one}", draw(st.integers(0, 1))) for one in range(at) if draw(st.booleans()))
        limits = Limits(
            most_rain_mm=draw(st.sampled_from([None, 2.0])),
            dry_until=(f"t{count - 1}", 10.0) if at == 0 and draw(st.booleans()) else None,
            dry_after=(1, 10.0) if draw(st.booleans()) else None,
        )
        days = draw(st.sampled_from([None, None, frozenset({1, 3})]))
        tasks.append(Task(f"t{at}", draw(st.integers(0, 2)), links, draw(st.integers(0, 3)), limits, days))
    return project(*tasks, horizon=9, crew=3, weather=wet)


@given(small())
@settings(max_examples=60, deadline=None, derandomize=True)
def test_no_plan_is_better_than_the_best_and_it_breaks_nothing(one):
    def worth(starts):
        return max(one.finish(task, starts[task.id]) for task in one.tasks), sum(starts.values())

    found = best(one)
    every = (
        dict(zip([task.id for task in one.tasks], days, strict=True))
        for days in product(range(one.horizon_days), repeat=len(one.tasks))
    )
    plans = [starts for starts in every if not breaks(one, starts)]
    assert (found is None) == (not plans)
    if found:
        assert not breaks(one, found.starts)
        assert worth(found.starts) == min(worth(starts) for starts in plans)


def test_a_longer_wait_a_wetter_day_and_fewer_hands_never_bring_anything_forward():
    tasks = (Task("a", 2, crew=2), Task("b", 1, (Link("a"),), 2, Limits(most_rain_mm=1.0)), Task("c", 1, crew=3))
    plain = best(project(*tasks), "b")
    wet = best(project(*tasks, weather={2: Sky(rain_mm=9)}), "b")
    few = best(project(*tasks, crew=3), "b")
    assert plain.starts["b"] == 2 and wet.starts["b"] == 3 and few.starts["b"] >= 2
    assert best(project(*tasks, crew=2), "b") is None
    assert (
        why_of(project(*tasks, crew=9, weather={2: Sky(rain_mm=9)}), {"a": 0, "b": 3, "c": 0}, tasks[1]).kind == "rain"
    )


def test_what_must_stay_dry_waits_for_the_storm_though_its_own_day_is_fine():
    lay = Task("lay", 1, limits=Limits(dry_until=("pour", 10.0)))
    one = project(lay, Task("pour", 1, (Link("lay", lag_days=2),)), weather={3: Sky(rain_mm=20)})
    found = best(one, "pour")
    assert found.starts["lay"] == 4 and why_of(one, found.starts, lay).kind == "wet"
    assert held(one, found.starts)["lay"].float_days == 0


def test_a_booking_that_cannot_be_kept_stays_and_the_fewest_others_move():
    dig, steel = Task("dig", 3), Task("steel", 1, (Link("dig"),), booked=1)
    found = best(project(dig, steel, Task("pour", 1, (Link("steel"),), booked=9)), "pour")
    assert found.moved == ("steel",) and found.starts["steel"] == 3 and found.starts["pour"] == 9


def test_weekends_and_holidays_are_not_worked_and_curing_goes_on():
    tasks = (Task("base", 4), Task("cure", 3, (Link("base"),), calendar=True), Task("strip", 1, (Link("base", 1),)))
    paths, finish = critical(project(*tasks, holidays=frozenset({date(2027, 6, 11)})))
    assert [paths[key].earliest for key in ("base", "cure", "strip")] == [0, 4, 8] and finish == 8
    over = project(Task("long", 6))
    assert over.days_of(over.tasks[0], 0) == [0, 1, 2, 3, 4, 7]


@pytest.mark.parametrize(
    ("tasks", "words"),
    [
        ([Task("a", links=(Link("b"),)), Task("b", links=(Link("a"),))], "wait for one another: a, b, a"),
        ([Task("a", 40)], "longer than the 16 looked at"),
        ([Task("a"), Task("a")], "there twice"),
        ([Task("a", links=(Link("gone"),))], "which is no task here"),
        ([Task("a", weekdays=frozenset())], "no day of the week"),
    ],
)
def test_what_cannot_be_scheduled_is_said(tasks, words):
    with pytest.raises(InputError, match=words):
        project(*tasks)


def sheet(job, today=MONDAY):
    return schedule_told(job.plan, job.ways, job.scheduled(today))


def edited(*edits, **said):
    plan = pour(schedule={"start_on": None, "county_weekdays": [2], "tasks": []}, **said)
    return apply(plan, edits)[0] if edits else plan


def key(told, name):
    return next(row for row in told.tasks if row.key == name)


def test_a_job_implies_its_tasks_and_rain_holds_the_plastic():
    dry = sheet(Job(edited(order={"pour_at": None})))
    keys = [row.key for row in dry.tasks]
    assert keys.index("pipes") < keys.index("barrier") < keys.index("steel") < keys.index("visit") < keys.index("pour")
    assert all(date.fromisoformat(key(dry, one).start).weekday() == 2 for one in ("test", "visit"))
    laid = key(dry, "barrier").start
    wet = sheet(Job(edited(SayDay(op="say_day", on=laid, rain_mm=18), order={"pour_at": None})))
    assert key(wet, "barrier").start > laid and key(wet, "barrier").refused[0].on == laid
    assert "Rain holds the plastic" in wet.beside and wet.first_pour >= dry.first_pour
    shelter = [row.key for row in sheet(Job(edited(order={"pour_at": None}, underslab=None, steel=None))).tasks]
    assert "pipes" not in shelter and "test" not in shelter and "steel" not in shelter


def test_the_inspector_drives_the_day_and_other_weekdays_let_go_of_it():
    wed = sheet(Job(edited(order={"pour_at": None})))
    any_day = sheet(
        Job(
            edited(
                SetSchedule(op="set_schedule", changes={"county_weekdays": [0, 1, 2, 3, 4]}), order={"pour_at": None}
            )
        )
    )
    assert wed.verdict == "The county's Wednesday." and any_day.first_pour < wed.first_pour


def test_a_pour_that_comes_too_soon_clashes_aloud_and_keeps_its_day():
    told = sheet(Job(edited(order={"pour_at": "2027-06-09T07:00"})))
    (clash,) = told.clashes
    assert key(told, "pour").state == "flag" and key(told, "pour").booked_on == "2027-06-09" and "Wed 9 Jun" in clash
    assert key(told, "pour").start > "2027-06-09" and "is the first it can be" in told.beside
    gone = sheet(Job(edited(order={"pour_at": "2027-05-03T07:00"})))
    assert "has gone by" in gone.beside


def test_too_few_hands_are_said_and_no_date_slides():
    told = sheet(Job(edited(order={"pour_at": None}), Ways(schedule=ScheduleWays(hands=3))))
    assert (
        told.verdict == "No day will do." and "needs 4" in told.beside and told.tasks == [] and told.first_pour is None
    )


def test_what_is_done_and_all_before_it_lies_behind():
    told = sheet(
        Job(edited(SetTask(op="set_task", task="barrier", changes={"done_on": "2027-06-04"}), order={"pour_at": None}))
    )
    done = {row.key for row in told.tasks if row.state == "done"}
    assert {"dig", "pipes", "test", "stone", "barrier"} <= done and "steel" not in done
    assert told.start <= "2027-06-04" and key(told, "tubes").start == "2027-06-07"


def test_a_task_of_ones_own_stands_between_others_and_loops_are_named():
    plan = edited(
        AddTask(op="add_task", name="Radon pipe", after=["stone"], before=["barrier"]), order={"pour_at": None}
    )
    told = sheet(Job(plan))
    own = plan.schedule.tasks[0].id
    assert key(told, "stone").finish < key(told, own).start < key(told, "barrier").start
    looped = apply(plan, [SetTask(op="set_task", task="stone", changes={"after": ["barrier"]})])[0]
    with pytest.raises(InputError, match="wait for one another: stone, plastic, foam, stone"):
        Job(looped).scheduled(MONDAY)
    out = apply(plan, [TakeOutTask(op="take_out_task", task=own)])[0]
    assert own not in [row.key for row in sheet(Job(out)).tasks]


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("steel 15", lambda plan: plan.schedule.tasks[0].on == "2027-06-15"),
        ("boards thu", lambda plan: plan.schedule.tasks[0].on == "2027-06-10"),
        ("rain 11 0.6", lambda plan: plan.schedule.said[0].rain_mm == pytest.approx(15.24)),
        ("rain 11 15mm", lambda plan: plan.schedule.said[0].rain_mm == 15),
        ("frost 11 25", lambda plan: plan.schedule.said[0].least_c == pytest.approx(-3.89, abs=0.01)),
        ("county mon wed", lambda plan: plan.schedule.county_weekdays == [0, 2]),
        ("pour 24", lambda plan: plan.order.pour_at == "2027-06-24T06:30"),
        ("pour free", lambda plan: plan.order.pour_at is None),
        ("dig done 8", lambda plan: plan.schedule.tasks[0].done_on == "2027-06-08"),
    ],
)
def test_days_are_called(text, said):
    plan, words = CallDay(op="call_day", text=text, seen_from="2027-06-07").apply(edited())
    assert said(plan) and words


@pytest.mark.parametrize(
    "text", ["", "stones 4", "steel", "steel 2027-02-31", "rain 11", "rain 11 lots", "wind 11 900"]
)
def test_calls_that_cannot_be_heard_say_how(text):
    with pytest.raises(EditError):
        CallDay(op="call_day", text=text, seen_from="2027-06-07").apply(edited())


def test_a_clock_change_moves_no_day():
    job = day_job(pour(order={"pour_at": "2027-03-13T07:00"}), rain_mm=lambda hour: 9.0 if 46 <= hour < 47 else 0.0)
    assert [str(day) for day, sky in job.sky_days.items() if sky.rain_mm] == ["2027-03-14"]
    assert job.sky_days[date(2027, 3, 14)].rain_mm == 9.0


def test_the_crews_way_says_whether_boards_stand_before_the_stone():
    plan = edited(order={"pour_at": None})
    stone_first = sheet(Job(plan, Ways(schedule=ScheduleWays(forms_when="stone-first"))))
    boards_first = sheet(Job(plan))
    assert key(boards_first, "forms").finish < key(boards_first, "stone").start
    assert key(stone_first, "stone").finish < key(stone_first, "forms").start


def test_an_inspector_who_comes_when_nobody_works_is_named():
    told = sheet(Job(edited(SetSchedule(op="set_schedule", changes={"county_weekdays": [6]}), order={"pour_at": None})))
    assert told.verdict == "No day will do." and "Nobody comes for the water test" in told.beside


def test_what_is_said_of_a_task_is_checked_and_taken_back():
    plan = edited()
    with pytest.raises(EditError, match="not there any more"):
        SetTask(op="set_task", task="ht9999", changes={"days": 2}).apply(plan)
    with pytest.raises(EditError, match="before the first it may be"):
        SetTask(op="set_task", task="steel", changes={"on": "2027-06-10", "not_before": "2027-06-14"}).apply(plan)
    said, _ = SetTask(op="set_task", task="steel", changes={"hands": 3, "on": "2027-06-15"}).apply(plan)
    back, words = SetTask(op="set_task", task="steel", changes={"on": None}).apply(said)
    assert back.schedule.tasks[0].on is None and back.schedule.tasks[0].hands == 3 and "taken back" in words
    dry, _ = SayDay(op="say_day", on="2027-06-11", rain_mm=9).apply(plan)
    assert SayDay(op="say_day", on="2027-06-11").apply(dry)[0].schedule.said == []


def test_a_pour_half_a_year_ahead_keeps_its_day_and_is_planned_in_a_moment():
    told = Job(pour(schedule={"hands": 6})).scheduled(date(2026, 12, 1))
    placed = told.placed("pour")
    assert told.date_of(placed.start) == date(2027, 6, 17) and placed.clash is None
    assert all(
        told.project.finish(told.project.task(one.task.key), one.start) < told.project.horizon_days
        for one in told.tasks
    )


@settings(max_examples=30, deadline=None)
@given(st.lists(st.tuples(st.integers(1, 3), st.integers(0, 9)), min_size=2, max_size=4))
def test_bookings_tried_one_by_one_move_as_few_as_one_programme_over_all_of_them(rows):
    tasks, before = [], ()
    for at, (days, booked) in enumerate(rows):
        tasks.append(Task(f"t{at}", days, before, booked=booked))
        before = (Link(f"t{at}"),)
    one = project(*tasks, horizon=30)
    found = best(one)
    with pytest.MonkeyPatch.context() as patch:
        patch.setattr("humble_trowel.core.schedule.best.MOST_TRIED", 0)
        whole = best(one)
    assert (found is None) == (whole is None)
    if found is not None:
        assert len(found.moved) == len(whole.moved)


@settings(max_examples=25, deadline=None)
@given(st.integers(2, 12), st.integers(0, 80), st.integers(1, 4))
def test_days_looked_at_from_near_are_those_of_all_days(near, rain_until, crew):
    tasks = [
        Task("dig", 2, crew=1, limits=Limits(most_rain_mm=5)),
        Task("forms", 3, (Link("dig"),), crew=1),
        Task("steel", 2, (Link("dig"),), crew=1),
    ]
    tasks.append(Task("pour", 1, (Link("forms"), Link("steel", 1)), crew=1))
    one = project(*tasks, crew=crew, horizon=120, weather={day: Sky(rain_mm=9) for day in range(rain_until)})
    whole = best(one, "pour")
    with pytest.MonkeyPatch.context() as patch:
        patch.setattr("humble_trowel.core.schedule.best.NEAR_DAYS", near)
        soon = best(one, "pour")
    assert soon.starts["pour"] == whole.starts["pour"] and sum(soon.starts.values()) == sum(whole.starts.values())
