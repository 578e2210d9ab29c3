"""Slow answers by a process of their own: the same as worked out here, the newest first, stale ones dropped."""

import sys
import time
from contextlib import closing

import pytest
from tests.plans import l_shape, plan

from humble_trowel.api.background import Background
from humble_trowel.api.service import Service
from humble_trowel.core.job import Job
from humble_trowel.core.progress import Dropped, tick, watched
from humble_trowel.core.stages import findings, report
from humble_trowel.files.job_file import plan_data
from humble_trowel.settings import Settings
from humble_trowel.store import jobs
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate

# A child that says what it was asked, is half done, and goes on only when it is let go: or never, when told to hang.
SLOW_CHILD = """
import json, sys
for line in sys.stdin:
    said = json.loads(line)
    if "drop" in said:
        if not hangs: print(json.dumps({"id": said["drop"], "dropped": True}), flush=True)
        continue
    hangs = said["plan"] == "hangs"
    if said["plan"] == "dies": sys.exit(3)
    if said["plan"] == "quick": print(json.dumps({"id": said["id"], "answer": None}), flush=True)
    else: print(json.dumps({"id": said["id"], "share": 0.5}), flush=True)
"""


@pytest.fixture
def background():
    made = Background((sys.executable, "-c", SLOW_CHILD))
    yield made
    made.close()


def until(look):
    """Whether it comes to be so within ten seconds."""
    return any(look() or time.sleep(0.01) for _ in range(1000))


def given(what):
    return lambda: {"plan": what, "crew": {}}


def test_the_answers_of_a_job_are_the_same_from_the_background(tmp_path):
    service = Service(Settings(tmp_path, background=True))
    try:
        with closing(connect(service.settings.database)) as db:
            migrate(db)
            db.execute("begin")
            row = jobs.create(db, plan_data(l_shape()), "Wren", "2027", "Started")
            db.execute("commit")
            while (told := service.doubts(db, row)).counting is not None:
                assert told.findings == [] and 0 <= told.counting < 1
            alone = Job(l_shape())
            assert told.concrete == alone.concrete and told.findings == findings(alone)
            job = service.job(db, row)
            assert job.answers["boards"][0] == alone.boards and report(job) == report(alone)
            assert job.answers["second_way"][0] is not alone.second_way
    finally:
        service.background.close()


def test_the_newest_goes_first_and_an_older_one_of_a_job_is_dropped(background):
    one = background.ask("a", "boards", (1,), given("slow"))
    assert background.ask("a", "boards", (1,), given("slow")) is one
    assert until(lambda: one.share == 0.5) and one.state == "running" and not background.wait(one, 0.01)
    waits = background.ask("b", "boards", (1,), given("slow"))
    newer = background.ask("a", "boards", (2,), given("quick"))
    assert background.wait(newer, 20) and newer.state == "done"
    assert one.state == "dropped" and waits.number < newer.number
    background.drop("b", "boards")
    assert background.wait(waits, 20) and waits.state == "dropped"


def test_a_process_that_dies_or_hangs_is_started_again(background, monkeypatch):
    monkeypatch.setattr("humble_trowel.api.background.LETS_GO_S", 0.2)
    dies = background.ask("a", "boards", (1,), given("dies"))
    assert background.wait(dies, 20) and dies.state == "failed"
    hangs = background.ask("a", "boards", (2,), given("hangs"))
    assert until(lambda: hangs.share == 0.5)
    quick = background.ask("a", "boards", (3,), given("quick"))
    assert background.wait(quick, 20) and (quick.state, hangs.state) == ("done", "dropped")


def test_a_job_works_out_by_itself_what_the_process_could_not(tmp_path):
    service = Service(Settings(tmp_path))
    service.background = Background((sys.executable, "-c", "raise SystemExit(3)"))
    job = Job(l_shape())
    assert service.counting(job, "a", ("second_way", "boards")) is None
    assert "second_way" not in job.answers and job.concrete.second_way_m3 == pytest.approx(
        job.concrete.net_m3, rel=1e-3
    )
    service.background.close()


def test_a_long_count_says_how_far_it_is_and_stops_when_nobody_waits():
    shares = []
    with watched(shares.append):
        Job(plan()).second_way  # noqa: B018
    assert shares and shares == sorted(shares) and shares[-1] < 1

    def enough(share):
        raise Dropped

    with watched(enough), pytest.raises(Dropped):
        Job(l_shape()).second_way  # noqa: B018
    tick(0.5)  # nobody watches
