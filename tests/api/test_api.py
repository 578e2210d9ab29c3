"""The interface: keeping, clashes, drafts, files, and what is refused."""

import itertools
import json
import shutil
import sqlite3
import tempfile
from contextlib import closing
from functools import lru_cache
from pathlib import Path

import pytest
from starlette.testclient import TestClient, WebSocketDenialResponse, WebSocketDisconnect
from tests.by_id import by_id
from tests.plans import job

from humble_trowel.api.app import make_app
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.demo.load import load_demo
from humble_trowel.settings import Settings
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate

HOST = "http://127.0.0.1:8710"


@lru_cache
def demo_database():
    """The demo as a database, made once for all tests of a process."""
    path = Path(tempfile.mkdtemp(prefix="trowel-test-")) / "demo.sqlite3"
    with closing(connect(path)) as db:
        migrate(db)
        load_demo(db, "2027-01-01T08:00:00+00:00")
    return path


def start(folder, **more):
    settings = Settings(folder, busy_ms=50, **more)
    if not settings.database.exists():
        settings.database.parent.mkdir(exist_ok=True, parents=True)
        shutil.copy(demo_database(), settings.database)
    web = folder / "web"
    web.mkdir(exist_ok=True)
    (web / "index.html").write_text("<script>start()</script>")
    app = make_app(settings, web)
    app.state.service.yard.work_s = 600  # the yard is whole at its first answer, however slow the machine
    return TestClient(app, base_url=HOST)


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def opened(client, name="Cole"):
    row = next(row for row in client.get("/api/jobs").json() if row["name"].startswith(name))
    return client.get(f"/api/jobs/{row['id']}").json()


COUNT = itertools.count()


def keep(client, state, *edits, revision=None, edit_id=None):
    named = [by_id(read_plan(state["document"]), edit) for edit in edits]
    body = {"revision": revision or state["revision"], "edits": named, "author": "Wren",
            "edit_id": edit_id or f"test-edit-{next(COUNT)}"}  # fmt: skip
    return client.post(f"/api/jobs/{state['id']}/edits", json=body)


SIDE = {"op": "set_side", "side": 0, "length": "16'"}


def test_the_yard_and_a_job(client):
    rows = client.get("/api/jobs").json()
    assert {row["name"].split()[0] for row in rows} == {"Cole", "Ferrier's", "Larkfield", "Tansy"}
    state = opened(client)
    assert state["figure"]["concrete"]["ordered"]["text"] == "2"
    assert state["undo"] is None


def test_keep_undo_redo_and_the_change_on_the_board(client):
    state = keep(client, opened(client), SIDE).json()
    assert state["summary"] == "A to B now 16′, was 14′-6″"
    assert state["before"]["area"] == "102 sq ft" and state["figure"]["outline"]["area_text"] == "112 sq ft"
    back = client.post(f"/api/jobs/{state['id']}/undo", json={"revision": 2}).json()
    assert back["figure"]["outline"]["area_text"] == "102 sq ft" and back["redo"] == state["summary"]
    again = client.post(f"/api/jobs/{state['id']}/redo", json={"revision": 3}).json()
    assert again["document"] == state["document"]
    first = client.post(f"/api/jobs/{state['id']}/go-back", json={"revision": 4, "n": 1}).json()
    assert first["revision"] == 5 and first["document"] == back["document"]
    assert [row["n"] for row in client.get(f"/api/jobs/{state['id']}/revisions").json()] == [5, 4, 3, 2, 1]


def test_two_tabs_the_second_gets_409_with_the_newest_state_and_can_go_on_top(client):
    state = opened(client)
    assert keep(client, state, SIDE).status_code == 200
    clash = keep(client, state, {"op": "set_side", "side": 1, "length": "8'"})
    assert clash.status_code == 409 and clash.headers["content-type"] == "application/problem+json"
    head = clash.json()["head"]
    assert head["revision"] == 2
    assert keep(client, head, {"op": "set_side", "side": 1, "length": "8'"}, edit_id="again-again").status_code == 200


def test_the_limit_of_a_body_goes_by_its_address_and_the_answer_keeps_its_headers(client):
    state = opened(client)
    drawing = client.post(f"/api/jobs/{state['id']}/read-points?name=a.csv", content=b"x,y\n" + b" " * 3_000_000)
    assert drawing.status_code == 422  # read, and refused for what is in it
    for path, words in (("/api/jobs/import", "over 2 MB"), (f"/api/jobs/{state['id']}/read-points", "over 24 MB")):
        large = client.post(path, content=iter([b"x" * 2_000_000] * 13))
        assert large.status_code == 413 and words in large.json()["detail"] and large.json()["code"] == "too-large"
        assert large.headers["x-content-type-options"] == "nosniff"


@pytest.mark.parametrize("headers", [{"host": "evil.example"}, {"origin": "http://evil.example"}])
def test_a_foreign_page_gets_no_laser(client, headers):
    where = f"ws://127.0.0.1:8710/api/jobs/{opened(client)['id']}/laser"
    with (
        pytest.raises((WebSocketDisconnect, WebSocketDenialResponse)),
        client.websocket_connect(where, headers=headers),
    ):
        pass


def test_the_same_edit_sent_twice_counts_once(client):
    state = opened(client)
    assert keep(client, state, SIDE, edit_id="one-and-same").json()["revision"] == 2
    assert keep(client, state, SIDE, edit_id="one-and-same").json()["revision"] == 2


def test_a_draft_is_worked_out_and_not_kept(client):
    state = opened(client)
    body = {"revision": 1, "edits": [by_id(read_plan(state["document"]), SIDE)]}
    drafted = client.post(f"/api/jobs/{state['id']}/figure", json=body).json()
    assert drafted["figure"]["outline"]["area_text"] == "112 sq ft"
    assert opened(client)["revision"] == 1
    quick = client.post(f"/api/jobs/{state['id']}/figure", json={**body, "quick": True}).json()["figure"]
    alone = client.post(f"/api/jobs/{state['id']}/figure", json={**body, "quick": True, "numbers": True}).json()[
        "figure"
    ]
    assert quick["drawing"] and alone["drawing"] is None
    assert alone["concrete"]["order_m3"] == quick["concrete"]["order_m3"] and alone["trucks"] == quick["trucks"]
    assert alone["outline"]["sides"] == quick["outline"]["sides"] and alone["call_in"]


def test_walks_are_heard(client):
    state = opened(client)
    heard = client.post(f"/api/jobs/{state['id']}/walk", json={"text": "from B 2' n, 3' e 2' n 3' w"}).json()
    assert heard["lands"] == "Lands on B to C, 4′ from B."
    assert heard["walked"]["heard"]["legs"][0]["said"] == "3′ east"


@pytest.mark.parametrize(
    ("edit", "path", "words"),
    [
        ({"op": "set_side", "side": 0, "length": "24"}, "", "24 what?"),
        ({"op": "template", "shape": "rectangle", "sizes": ["0'", "9'"]}, "sizes[0]", "nothing"),
        ({"op": "keep_outline", "text": "9' e 9' n"}, "text", "Not closed"),
        ({"op": "dance"}, "edits[0]", ""),
        ({"op": "set_side", "side": 0}, "edits[0].set_side.length", ""),
    ],
)
def test_what_cannot_be_used_names_the_field_in_plain_words(client, edit, path, words):
    answer = keep(client, opened(client), edit)
    assert answer.status_code == 422
    assert answer.json()["path"] == path and words in answer.json()["detail"]
    assert opened(client)["revision"] == 1


def test_a_bare_number_comes_back_with_both_readings(client):
    problem = keep(client, opened(client), {"op": "set_side", "side": 0, "length": "24"}).json()
    assert [choice["text"] for choice in problem["choices"]] == ["24'", '24"']


def test_files_go_out_and_in_again(client):
    raw = client.get(f"/api/jobs/{opened(client, 'Tansy')['id']}/file").content
    new = client.post("/api/jobs/import", content=raw).json()
    assert client.get(f"/api/jobs/{new['id']}/file").content == raw
    bad = client.post("/api/jobs/import", content=json.dumps(job(outline=[[0, 0]])).encode())
    assert bad.status_code == 422 and bad.json()["path"] == "outline"
    for content in (b"x" * 10_000_000, iter([b"x" * 1_500_000] * 2)):  # told its length, and not
        large = client.post("/api/jobs/import", content=content)
        assert large.status_code == 413 and large.json()["detail"] == "That is over 2 MB. A job file has 2 MB at most."


def test_copy_archive_restore_delete_and_back(client):
    job_id = opened(client)["id"]
    assert (
        client.post(f"/api/jobs/{job_id}/copy", json={}).json()["document"]["name"] == "Cole Street bus shelter, copy"
    )
    client.post(f"/api/jobs/{job_id}/archive")
    assert next(row for row in client.get("/api/jobs").json() if row["id"] == job_id)["archived"]
    client.post(f"/api/jobs/{job_id}/restore")
    client.delete(f"/api/jobs/{job_id}")
    assert client.get(f"/api/jobs/{job_id}").status_code == 404
    client.post(f"/api/jobs/{job_id}/undelete")
    assert client.get(f"/api/jobs/{job_id}").status_code == 200


def test_ways_change_figures_and_are_refused_when_stale_or_absurd(client):
    state = client.get("/api/ways").json()
    ways = state["ways"]
    ways["allowances"]["base_low_mm"] = "1 in"
    assert client.put("/api/ways", json={"version": state["version"], "ways": ways}).status_code == 200
    assert opened(client, "Ferrier")["figure"]["concrete"]["allowances"][0]["text"] == "2.62"
    assert client.put("/api/ways", json={"version": state["version"], "ways": ways}).status_code == 409
    ways["allowances"]["base_low_mm"] = "12' 14\""
    refused = client.put("/api/ways", json={"version": state["version"] + 1, "ways": ways})
    assert refused.status_code == 422 and refused.json()["path"] == "ways.allowances.base_low_mm"


def test_foreign_hosts_and_origins_are_refused_and_the_headers_are_strict(client):
    assert client.get("/api/jobs", headers={"host": "evil.example"}).status_code == 400
    assert client.get("/api/jobs", headers={"origin": "http://evil.example"}).status_code == 403
    assert client.get("/api/jobs", headers={"origin": HOST}).status_code == 200
    page = client.get("/job/some/lines")
    policy = page.headers["content-security-policy"]
    assert page.status_code == 200 and "script-src 'self' 'sha256-" in policy
    assert "unsafe-inline" not in policy.split("script-src")[1].split(";")[0]
    assert client.get("/missing.js").status_code == 404 and client.get("/api/nothing").status_code == 404
    assert client.get("/../settings.py").status_code == 404


def test_a_full_disk_and_a_locked_database_say_so_and_lose_nothing(tmp_path):
    with start(tmp_path):
        pass
    with start(tmp_path, max_pages=1) as client:
        state = opened(client)
        full = next(
            answer for answer in (keep(client, opened(client), {"op": "set_fields", "values": {"site.notes": "n" * 3990}},
                                       edit_id=f"fill-{i:08d}") for i in range(40)) if answer.status_code != 200
        )  # fmt: skip
        assert full.status_code == 507 and "still on your screen" in full.json()["detail"]
    with (
        start(tmp_path) as client,
        closing(sqlite3.connect(tmp_path / "trowel.sqlite3", isolation_level=None)) as other,
    ):
        state = opened(client)
        other.execute("begin immediate")
        assert keep(client, state, SIDE).status_code == 503
        other.execute("rollback")
        assert keep(client, state, SIDE).status_code == 200
