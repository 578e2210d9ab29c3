"""One job that cannot be worked out, and one part of a job that cannot: the rest stays usable."""

import sqlite3
from contextlib import closing

import pytest
from tests.api.test_api import keep, opened, start
from tests.plans import plan

from humble_trowel.core.errors import PlanError
from humble_trowel.core.ground import ground_job
from humble_trowel.core.job import Job
from humble_trowel.core.job import edges as job_edges
from humble_trowel.core.stages import findings


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def test_a_job_that_cannot_be_worked_out_leaves_the_yard_alive(client, tmp_path):
    state = opened(client)
    with closing(sqlite3.connect(tmp_path / "trowel.sqlite3")) as db:
        for (name,) in db.execute("select name from sqlite_master where type = 'trigger'").fetchall():
            db.execute(f"drop trigger {name}")
        db.execute(
            "update revisions set document = json_set(document, '$.zones[0].slab', 'S9') where job_id = ?",
            [state["id"]],
        )
        db.commit()
    with start(tmp_path) as again:
        rows = {row["id"]: row for row in again.get("/api/jobs").json()}
        bad = rows.pop(state["id"])
        assert bad["fault"] and "S9" in bad["stops"] and bad["name"] == state["document"]["name"]
        assert not any(row["fault"] for row in rows.values())
        assert again.get(f"/api/jobs/{state['id']}/file").json()["zones"][0]["slab"] == "S9"
        assert again.delete(f"/api/jobs/{state['id']}").status_code == 204
        assert len(again.get("/api/jobs").json()) == len(rows)


def stumble(*_):
    raise ZeroDivisionError("float division by zero")


def test_a_part_that_stumbles_is_named_and_the_rest_stands(client, monkeypatch):
    state = opened(client)
    monkeypatch.setattr(job_edges, "edge_checks", stumble)
    monkeypatch.setattr(ground_job, "spoil", stumble)
    figure = keep(client, state, {"op": "set_side", "side": 0, "length": "16'"}).json()["figure"]
    row = next(row for row in figure["findings"] if row["code"] == "cannot-compute")
    assert row["where"] == "The rules at the edge" and figure["concrete"]["order_m3"] > 0 and figure["drawing"]
    told = client.get(f"/api/jobs/{state['id']}/ground")
    assert told.status_code == 500 and told.json()["detail"].startswith("The ground cannot be worked out for this job")
    found = Job(plan())
    assert (
        found.ground is None and found.forms and [row.where for row in findings(found) if row.code == "cannot-compute"]
    )


@pytest.mark.parametrize("spike", [[5000, 0.8], [5999.5, 0]])
def test_a_zone_that_runs_out_and_back_is_refused_in_words(spike):
    ring = [[0, 0], spike, [3000, 0.2], [3000, 3000], [0, 3000]]
    with pytest.raises(PlanError, match=r"zones\[1\].polygon: Zone z .*(straight back|crosses itself|touches itself)"):
        plan(zones=[{"name": "a", "slab": "S1", "polygon": None}, {"name": "z", "slab": "S1", "polygon": ring}])


@pytest.mark.parametrize("size", [0.01, "0.001 in"])
def test_a_size_too_small_to_build_is_refused_and_a_speck_of_a_length_is_nothing(size):
    with pytest.raises(PlanError, match="too small to build"):
        plan(slab_types=[{"mark": "S1", "thickness_mm": size}])
    assert plan(outline=[[1e-300, 0], [6000, -4e-307], [6000, 4000], [0, 4000]]).outline[0] == (0, 0)
