"""One job, one answer: answers kept once, taken over only while what they read is the same, and the list of stages."""

import json
from importlib import resources

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.by_id import by_id
from tests.plans import EDITS, edited, job, l_shape, new, plan
from tests.properties.test_shape_chains import outline_edits, shape_edits

from humble_trowel.core import stages, yard
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.findings import finding
from humble_trowel.core.ground.records import AsDug, SetUp, Shots
from humble_trowel.core.job import Job
from humble_trowel.core.kept import Kept
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.refs import by_id as named
from humble_trowel.core.plan.ways import JobWays, Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.report import Report
from humble_trowel.core.stages import report, stops
from humble_trowel.files import report_names
from humble_trowel.files.job_file import parse_job

ANSWERS = {name: answer for kind in Job.__mro__ for name, answer in vars(kind).items() if isinstance(answer, Kept)}
FIELDS = frozenset(Plan.model_fields)
SECTIONS = frozenset(JobWays.model_fields)


def demo(name):
    return parse_job((resources.files("humble_trowel.demo") / "jobs" / f"{name}.json").read_bytes())


def measured_job():
    """A plan with everything on it, and records of every kind that an answer reads."""
    house = demo("honey-house")
    side = next(side for edge in house.edges for side in edge.sides or ())
    taped = {"measures": [{"from": 0, "to": 1, "mm": 3000}, {"from": 0, "to": 2, "mm": 9000}]}
    shots = [{"at": house.outline[0], "level_mm": -210}, {"at": house.outline[2], "level_mm": -205}]
    rows = [
        Taped.model_validate(taped),
        AsDug.model_validate({"side": side, "stations": [{"at_mm": 0, "width_mm": 400, "depth_mm": 600}]}),
        Shots.model_validate({"shots": shots}),
        SetUp(name="one", on=house.ground.benchmarks[0].id, backsight_mm=900),
    ]
    return house, SiteRecords((f"r{i}", named(row, house)) for i, row in enumerate(rows))


def test_every_answer_says_all_that_it_reads(monkeypatch):
    read, asking = {}, []

    def note(what):
        if asking:
            read.setdefault(asking[-1], set()).add(what)

    class WatchedPlan(Plan):
        def __getattribute__(self, name):
            note(f"plan.{name}") if name in FIELDS else None
            return super().__getattribute__(name)

    class WatchedWays(JobWays):
        def __getattribute__(self, name):
            note(f"ways.{name}") if name in SECTIONS else None
            return super().__getattribute__(name)

    class WatchedJob(Job):
        def __getattribute__(self, name):
            note(name) if name in ("earlier", "records", "line_mm", "crew") else None
            return super().__getattribute__(name)

    made = Kept._made

    def watched(answer, keeper):
        asking.append(answer.name)
        try:
            return made(answer, keeper)
        finally:
            asking.pop()

    asked = Kept.__get__

    def got(answer, keeper, owner=None):
        if keeper is not None:
            note(answer.name)
        return asked(answer, keeper, owner)

    monkeypatch.setattr(Kept, "_made", watched)
    monkeypatch.setattr(Kept, "__get__", got)
    house, said = measured_job()
    every = {**{key: getattr(house, key) for key in FIELDS}, "kerbs": house.kerbs}
    watched_job = WatchedJob(WatchedPlan.model_construct(**every), Ways(), said)
    watched_job.ways = WatchedWays.model_construct(**{key: getattr(watched_job.ways, key) for key in SECTIONS})
    for layer in ("base", "dig", "foam"):
        watched_job.shots(layer)
    for name in ANSWERS:
        getattr(watched_job, name)

    def covered(what, declared):
        head = what.split(".")[0]
        if what in declared or head in declared:
            return True
        answer = ANSWERS.get(what)
        return answer is not None and all(covered(own, declared) for own in answer.reads)

    silent = {
        name: sorted(what for what in whats if not covered(what, ANSWERS[name].reads)) for name, whats in read.items()
    }
    assert {name: whats for name, whats in silent.items() if whats} == {}
    assert set(read) >= set(ANSWERS) - {"_shots"}


@settings(max_examples=25, deadline=None)
@given(st.lists(st.one_of(shape_edits, outline_edits), min_size=1, max_size=5))
def test_what_is_taken_over_from_the_job_before_is_what_would_be_worked_out(chain):
    start = edited(l_shape(), {"op": "set_beam_type", "mark": "B1", "text": "12 wide 18 deep 45"}, {"op": "set_pad_type", "mark": "P1", "text": "30 sq 20 deep"})  # fmt: skip
    crew = Ways()
    last = Job(start, crew)
    report(last)
    for step in chain:
        try:
            now, _ = apply(last.plan, EDITS.validate_python([by_id(last.plan, step)]))
        except TrowelError:
            continue
        last = Job(now, crew, last.records, before=last)
        again = Job(with_ids(Plan.model_validate(now.model_dump(), context={"units": now.units})), Ways())
        assert json.dumps(report(last), sort_keys=True) == json.dumps(report(again), sort_keys=True)


def test_a_job_takes_over_what_an_edit_or_a_record_does_not_touch():
    house, said = measured_job()
    crew = Ways()
    first = Job(house, crew, said)
    report(first)
    renamed, _ = apply(house, EDITS.validate_python([{"op": "set_fields", "values": {"client": "Somebody else"}}]))
    second = Job(renamed, crew, said, before=first)
    assert second.solid is first.solid and second.second_way is first.second_way and second.ways is first.ways
    report(second)
    third = Job(renamed, crew, said.plus("late", said.newest(Taped)), before=second)
    assert third.solid is first.solid and third.forms is second.forms and third.squared is not second.squared
    raised = Job(renamed, Ways(firm="Other"), said, before=third)
    assert raised.solid is first.solid and raised.ways is not third.ways
    assert raised.before is third and third.before is second and second.before is None  # no chain is kept alive


def test_no_answer_is_worked_out_twice_or_before_it_is_asked(monkeypatch):
    from humble_trowel.core.job import shape

    calls = []
    monkeypatch.setattr(shape, "count_by_slices", lambda plan: calls.append(plan))
    one = Job(plan())
    assert one.figure_with(quick=True).concrete.second_way_m3 is None and calls == []
    assert one.figure and one.concrete and len(calls) == 1


def in_air():
    """A stack that ends over the ground that was found: a stop of the ground."""
    build = {"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]}
    return plan(build_ups=[build], ground={"found_mm": -600, "strip_mm": 0})


def tall_form():
    deep = {"mark": "E1", "kind": "thickened", "depth_mm": 900, "bottom_width_mm": 300}
    return plan(edge_types=[deep], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}])


@pytest.mark.parametrize(("made", "code", "stage", "tab"), [(in_air, "stack-in-air", "ground", "stack"), (tall_form, "form-tall", "lines", "forms")])  # fmt: skip
def test_a_stop_of_any_stage_stops_the_call_and_stands_on_the_yard(made, code, stage, tab):
    stopped = Job(made())
    doubt = next(row for row in stops(stopped) if row.code == code)
    assert (doubt.stage, doubt.tabs[0]) == (stage, tab)
    assert yard.yard_line(stopped).stops == stops(stopped)[0].words
    order = next(one for one in stages.STAGES if one.id == "order").standing(stopped)
    assert order.state == "flagged" and "stop" in order.words
    own = stages.standing(next(one for one in stages.STAGES if one.id == stage), stopped)
    assert own.state == "flagged" and "stop" in own.words


class ToyCount(Report):
    count: int


class ToyReport(stages.StageReport):
    """What the toy answers."""

    toy: ToyCount

    @classmethod
    def of(cls, job):
        return cls(toy=ToyCount(count=len(job.plan.zones)))


def test_a_toy_stage_of_one_row_is_seen_in_report_yard_string_and_order(monkeypatch):
    toy = stages.Stage(
        "toy", (),
        lambda one: [finding("form-tall", "toy", "The toy stops it.", "Put the toy away.")],
        lambda one: stages.Standing("flagged", "toy out"), ToyReport,
    )  # fmt: skip
    for place in (stages, report_names):
        monkeypatch.setattr(place, "STAGES", (*stages.STAGES, toy))
    one = Job(plan())
    assert report(one)["toy"] == {"count": 1}
    assert "The toy stops it." in [row.words for row in stops(one)] and yard.yard_line(one).stops == "The toy stops it."
    assert [stage.standing(one).words for stage in stages.STAGES][-1] == "toy out"
    assert "| `toy.count` | whole number |" in report_names.report_names()


def test_a_new_job_has_answers_too():
    empty = Job(new())
    assert empty.solid is None and empty.forms is None and empty.ground is None and stops(empty) == []
    told = report(empty)
    assert told["outline"] is None and [row["code"] for row in told["findings"]] == ["nothing-drawn"]
    assert [stage.standing(empty).words for stage in stages.STAGES] == [
        "to walk",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
        "to do",
    ]
    assert job()["format"] == "humble-trowel-job"
