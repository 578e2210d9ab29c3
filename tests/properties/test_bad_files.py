"""Whatever stands in a job file, reading it gives a checked plan or one plain error; figuring it never fails."""

import copy
import json
from importlib import resources

from hypothesis import given, settings
from hypothesis import strategies as st

from humble_trowel.core.errors import PlanError
from humble_trowel.core.job import Job
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.stages import report
from humble_trowel.files.job_file import parse_job, write_job

FOLDER = resources.files("humble_trowel.demo") / "jobs"
JOBS = [json.loads((FOLDER / f"{name}.json").read_text("utf-8")) for name in ("honey-house", "boat-bay", "bus-shelter")]
odd = st.one_of(
    st.none(), st.booleans(), st.integers(-(10**7), 10**7), st.floats(allow_nan=False), st.text(max_size=12),
    st.sampled_from(["12' 14\"", "-3'", "1e9", "4 in", "0", "S9", "E1", "mm", "ft-in", "thickened", "level"]),
    st.just([]), st.just({}), st.just([[0, 0], [1, 1], [2, 2]]), st.just([[0, 0], [9e9, 0], [0, 9e9]]),
)  # fmt: skip


def spots(value, path=()):
    """The path of every value in a document."""
    yield path
    items = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else ()
    for key, item in items:
        yield from spots(item, (*path, key))


def changed(job, path, value, how):
    job = copy.deepcopy(job)
    if not path:
        return value
    at = job
    for key in path[:-1]:
        at = at[key]
    if how == "drop" and isinstance(at, dict):
        del at[path[-1]]
    elif how == "twice" and isinstance(at, list):
        at.append(copy.deepcopy(at[path[-1]]))
    else:
        at[path[-1]] = value
    return job


def told(plan):
    return report(Job(plan))


@settings(max_examples=250, deadline=None)
@given(st.sampled_from(JOBS), st.data(), odd, st.sampled_from(["set", "set", "drop", "twice"]))
def test_one_odd_value_anywhere(job, data, value, how):
    path = data.draw(st.sampled_from(list(spots(job))))
    try:
        plan = read_plan(changed(job, path, value, how))
    except PlanError as error:
        assert error.words and "\n" not in str(error) and len(str(error)) < 600
        return
    assert "cannot-compute" not in [row["code"] for row in told(plan)["findings"]]
    text = json.dumps(told(plan), allow_nan=False)
    assert write_job(parse_job(write_job(plan))) == write_job(plan)
    assert json.dumps(told(parse_job(write_job(plan))), allow_nan=False) == text


@settings(max_examples=150, deadline=None)
@given(st.binary(max_size=80))
def test_any_bytes(raw):
    try:
        parse_job(raw)
    except PlanError as error:
        assert error.words
