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
            "update documents set text = json_set(text, '$.zones[0].slab', 'S9') where digest in "
            "(select document from revisions where job_id = ?)",
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


def spoil(folder, *statements):
    """Change what is stored, as a damaged or restored file may."""
    with closing(sqlite3.connect(folder / "trowel.sqlite3")) as db:
        for (name,) in db.execute("select name from sqlite_master where type = 'trigger'").fetchall():
            db.execute(f"drop trigger {name}")
        db.execute("pragma ignore_check_constraints = on")
        for statement in statements:
            db.execute(statement)
        db.commit()


def record(client, job_id, key, revision, kind="ground-test", **values):
    body = {
        "id": key,
        "kind": kind,
        "revision": revision,
        "values": values or {"test": "roll", "at": [1000, 1000], "passed": True},
    }
    return client.post(f"/api/jobs/{job_id}/records", json=body)


def test_a_record_may_not_poison_its_job(client, tmp_path):
    job_id = opened(client)["id"]
    refused = record(client, job_id, "record-far", 999)
    assert (refused.status_code, refused.json()["path"]) == (422, "revision") and "no revision 999" in refused.json()[
        "detail"
    ]
    assert all(record(client, job_id, f"record-{at}", 1).status_code == 201 for at in range(4))
    spoil(
        tmp_path,
        "update records set revision = 77 where id = 'record-0'",
        "update records set document = '{' where id = 'record-1'",
        "update records set kind = 'no-such-kind' where id = 'record-2'",
    )
    with start(tmp_path) as again:
        told = {row["id"]: row for row in again.get(f"/api/jobs/{job_id}/records").json()}
        why = [told[f"record-{at}"]["unread"] for at in range(4)]
        for words, row in zip(("does not have", "is damaged", "does not know its kind", ""), why, strict=True):
            assert words in row and bool(words) == bool(row)
        assert told["record-1"]["values"] == {"as it stands": "{"}
        assert record(again, job_id, "record-9", 1).status_code == 201
        doubts = again.get(f"/api/jobs/{job_id}/doubts").json()
        said = [row["where"] for row in doubts["findings"] if row["code"] == "record-unread"]
        assert sorted(said) == ["record-0", "record-1", "record-2"]
        ground = again.get(f"/api/jobs/{job_id}/ground").json()
        assert {"record-3", "record-9"} == {row["id"] for row in ground["tests"] if row["id"].startswith("record")}
        taken = again.get(f"/api/jobs/{job_id}/as-stored").json()
        assert len(taken["records"]) == len(told) + 1 and taken["revisions"][0]["document"]["name"]


def test_unreadable_revisions_and_ways_are_named_and_all_else_works(client, tmp_path):
    first, second, third, _ = (row["id"] for row in client.get("/api/jobs").json())
    ways = client.get("/api/ways").json()
    kept = client.put("/api/ways", json={"version": ways["version"], "ways": ways["ways"]}).json()
    for job_id in (first, second):
        edit = {"op": "set_fields", "values": {"name": "again"}}
        assert (
            client.post(
                f"/api/jobs/{job_id}/edits", json={"revision": 1, "edits": [edit], "edit_id": "edit-" + job_id}
            ).status_code
            == 200
        )
    spoil(
        tmp_path,
        f"update documents set text = '{{' where digest = (select document from revisions where job_id = '{first}' and n = 2)",
        f"update documents set text = '[]' where digest = (select document from revisions where job_id = '{second}' and n = 1)",
        f"update jobs set head = 9 where id = '{third}'",
        f"update ways set document = '{{\"forms\": 7}}' where n = {kept['version']}",
    )
    with start(tmp_path) as again:
        rows = {row["id"]: row for row in again.get("/api/jobs").json()}
        assert rows[first]["fault"] and "Revision 2" in rows[first]["stops"]
        assert not rows[second]["fault"] and rows[third]["fault"] and "not in the data" in rows[third]["stops"]
        assert again.get(f"/api/jobs/{second}").status_code == 200
        refused = again.get(f"/api/jobs/{first}")
        assert refused.status_code == 422 and "damaged" in refused.json()["detail"]
        assert again.get(f"/api/jobs/{first}/file").content == b"{"
        assert len(again.get(f"/api/jobs/{third}/as-stored").json()["revisions"]) == 1
        back = again.post(f"/api/jobs/{first}/go-back", json={"revision": 2, "n": 1})
        assert back.status_code == 200 and back.json()["revision"] == 3
        now = again.get("/api/ways").json()
        assert "cannot be read" in now["unread"] and now["ways"] == ways["ways"] and now["version"] == kept["version"]
        assert len(again.get("/api/ways/as-stored").json()) == kept["version"]
        assert again.put("/api/ways", json={"version": now["version"], "ways": now["ways"]}).json()["unread"] == ""
        assert again.get("/api/ways").json()["unread"] == ""


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
