"""Tests of lines: filled from the low end, risers capped in order, held or not, and what cannot be written down."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.core.test_underslab import BARE, D1, FT, IN, riser, run

from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.underslab_parts import Riser, Service, Underslab
from humble_trowel.core.plan.values import KPA_PER_PSI
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages import STAGES, findings, report, standing
from humble_trowel.core.underslab.network import drain_networks
from humble_trowel.core.underslab.record_kinds import LineTestKind
from humble_trowel.core.underslab.records import LineTest

D2 = "D2 3 drain from A to B 9', from J to A 25'; 16' w, 1/4, 10 down, called far sink"
PLAN = run(D2, run(D1))
DRAINS = [row.id for row in PLAN.underslab.services]


def told(plan=PLAN, **said):
    values = LineTest.model_validate({"runs": DRAINS, "how": "water", "started": "2026-06-14T09:40:00", **said})
    return Job(plan, records=SiteRecords([("t", values)])), values


def at(minutes):
    return f"2026-06-14T{9 + (40 + minutes) // 60:02d}:{(40 + minutes) % 60:02d}:00"


def test_joined_drains_are_one_line_filled_from_the_low_end_and_capped_from_the_lowest_top():
    line = Job(PLAN).tested.lines[0]
    assert line.run_names == ["D1", "D2"] and "the settling tank" in line.fill
    assert [step.name for step in line.steps] == ["floor drain", "far sink"] and line.stand_pipe == "far sink"
    assert line.steps[0].top_mm < 0 < line.steps[1].top_mm == pytest.approx(6 * IN)  # a drain is flush, a sink a stub
    joint = (-10 + 3.5) * IN  # the highest bottom and its pipe
    assert line.head_mm == pytest.approx(joint + 5 * FT)
    assert report(Job(PLAN))["line_tests"][0]["caps"] == ["floor drain", "far sink"]


def test_a_high_end_with_nothing_over_it_keeps_air():
    blind = run("D3 2 drain from A to B 15', from J to A 25'; 6' s, 1/4, 9 down", PLAN)
    found = [row for row in findings(Job(blind)) if row.code == "test-air"]
    assert len(found) == 1 and found[0].words.startswith("D3 begins where nothing comes up")
    assert "test-air" not in [row.code for row in findings(Job(PLAN))]


levels = st.lists(st.tuples(st.floats(0, 20_000), st.floats(0, 20_000)), min_size=2, max_size=9, unique=True)


@given(levels, st.lists(st.floats(-900, -100), min_size=9, max_size=9), st.integers(0, 99))
@settings(max_examples=80, deadline=None, derandomize=True)
def test_water_reaches_every_riser_before_it_is_capped(spots, deep, seed):
    """Against a plain flood: levels raised bit by bit over the same pipes."""
    runs = [
        Service(name=f"D{i}", id=f"v{i}", kind="drain", size_mm=76.2, path=[spots[i], spots[(seed + i) % i] if i else (30e3, 30e3)], start_mm=deep[i], fall=0.02)
        for i in range(len(spots))
    ]  # fmt: skip
    for net in drain_networks(runs, [Riser(name="x", kind="drain", at=spot, size_mm=50) for spot in spots]):
        reached = net.reached_mm()
        assert set(reached) == set(net.levels)
        for node, high in reached.items():
            wet, left = {net.lowest}, [net.lowest]
            while left:
                for other in net.ways[left.pop()]:
                    if other not in wet and net.levels[other] <= high + 1e-9:
                        wet.add(other)
                        left.append(other)
            assert node in wet and high >= net.levels[node] - 1e-9


@pytest.mark.parametrize(
    ("minutes", "fell_mm", "state", "words"),
    [
        (15, 0.0, "passed", "Held 15 min, fell nothing."),
        (15, 1.6, "passed", "Held 15 min, fell 1/16″."),
        (15, 1.7, "failed", "Fell 1/16″ in 15 min. It leaks."),
        (14, 0.0, "short", "Stood 14 of 15 min."),
        (20, -6.4, "failed", "Rose 1/4″ in 20 min. Something filled it."),
    ],
)
def test_a_line_passes_only_if_it_stood_long_enough_and_fell_nothing(minutes, fell_mm, state, words):
    job, values = told(start_mm=5 * FT, ended=at(minutes), end_mm=5 * FT - fell_mm)
    line = job.tested.lines[0]
    assert (line.told.state, line.told.words) == (state, words)
    assert LineTestKind().sentence(job, values).endswith(words)
    assert standing(STAGES[3], job).words == ("1 test failed" if state == "failed" else "2 runs")
    assert [row.code for row in findings(job) if row.code.startswith("test-")] == (
        [] if state == "passed" else [f"test-{state}"]
    )


def test_a_test_stands_is_old_when_a_run_joins_and_too_low_is_no_test():
    assert told(start_mm=5 * FT)[0].tested.lines[0].told.state == "standing"
    joined = run("D3 2 drain from A to B 15', from J to A 25'; 6' s, 1/4, 9 down, called bar", PLAN)
    job, _ = told(joined, start_mm=5 * FT, ended=at(15), end_mm=5 * FT)
    assert job.tested.lines[0].told.words == "Tested before D3 was there."
    job, _ = told(start_mm=2 * FT, ended=at(30), end_mm=2 * FT)
    assert job.tested.lines[0].told.state == "short" and "is asked" in job.tested.lines[0].told.words


def test_supply_is_a_line_of_its_own_under_pressure_as_it_is_read():
    plan = run("W1 1 supply from G to H 10', from B to C 6'; 12' s, 8 down", PLAN)
    supply = plan.underslab.services[-1].id
    said = {"runs": [supply], "how": "pressure", "start_kpa": "60 psi", "ended": at(15), "end_kpa": "413.7 kPa", "watched": True, "alarm_kpa": "50"}  # fmt: skip
    job, values = told(plan, **said)
    line = job.tested.lines[1]
    assert values.start_kpa == pytest.approx(60 * KPA_PER_PSI) and values.alarm_kpa == pytest.approx(50 * KPA_PER_PSI)
    assert (line.kind, line.need_text, line.told.state, line.told.alarm_text) == (
        "supply",
        "50 psi",
        "passed",
        "50 psi",
    )
    assert (
        told(plan, **{**said, "end_kpa": "55 psi"})[0].tested.lines[1].told.words == "Fell 5 psi in 15 min. It leaks."
    )


@pytest.mark.parametrize(
    ("said", "words", "path"),
    [
        ({}, "not read at the start", "start_mm"),
        ({"start_mm": 1600, "ended": at(15)}, "never read at the end", "end_mm"),
        ({"start_mm": 1600, "end_mm": 1600, "ended": at(-10)}, "ends before it starts", "ended"),
        ({"start_mm": 1600, "end_mm": 1600, "ended": at(10) + "+02:00"}, "ends before it starts", "ended"),
        ({"start_mm": 1600, "end_mm": 1600}, "When was that read", "ended"),
        ({"how": "pressure", "start_kpa": 400}, "water or air", "how"),
        ({"runs": ["gone"], "start_mm": 1600}, "not on this slab", "runs"),
    ],
)
def test_what_cannot_be_a_test_is_said_beside_its_field(said, words, path):
    _, values = told(**said)
    with pytest.raises(InputError, match=words) as told_off:
        LineTestKind().check(Job(PLAN), values)
    assert told_off.value.path.startswith(path)


def test_nothing_to_test_and_many_risers():
    assert Job(BARE).tested is None
    many = [Riser(name=f"r{i}", id=f"i{i}", kind="drain", at=(300 + 20 * i, 3000), size_mm=50) for i in range(300)]
    long = Service(
        name="D1", id="v1", kind="drain", size_mm=101.6, path=[(300, 3000), (6300, 3000)], start_mm=-300, fall=0.01
    )
    line = Job(with_ids(BARE.model_copy(update={"underslab": Underslab(services=[long], risers=many)}))).tested.lines[0]
    assert len(line.steps) == 300 and line.steps == sorted(line.steps, key=lambda step: step.water_mm)
    assert riser("post column 6 from A to B 9', from J to A 12'").underslab.risers
