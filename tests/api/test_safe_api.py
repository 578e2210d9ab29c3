"""What is kept safe: copies, the second place, everything in one archive."""

import io
import sqlite3
import time
import zipfile
from contextlib import closing

from tests.api.test_api import SIDE, client, keep, opened, start  # noqa: F401
from tests.phones import site_of, told

TAPED = {"measures": [{"from": 0, "to": 1, "mm": "14' 6\""}]}


def shot(job, name="record-0001", **more):
    body = {"id": name, "kind": "taped", "revision": job["revision"], "values": TAPED, "who": "Tamsin"}
    return {**body, **more}


def wait_for(true, seconds=3):
    for _ in range(int(seconds / 0.02)):
        if true():
            return True
        time.sleep(0.02)
    return False


def test_a_nights_copy_goes_to_the_second_place_once_and_a_pulled_stick_is_told_on_the_yard(client, tmp_path_factory):  # noqa: F811
    site, stick = site_of(client), tmp_path_factory.mktemp("night")
    site.copy_second()  # nobody named one
    client.put("/api/site/second", json={"folder": str(stick)})
    first = next(stick.glob("*.sqlite3")).stat().st_mtime_ns
    site.copy_second()
    assert [path.stat().st_mtime_ns for path in stick.glob("*.sqlite3")] == [first]
    stick.rename(stick.with_name("gone"))
    site.copy_second()
    assert "Is the stick in" in client.get("/api/site/copies").json()["trouble"]
    stick.with_name("gone").rename(stick)
    site.copy_second()
    assert client.get("/api/site/copies").json()["trouble"] == ""


def test_copies_a_second_place_and_one_put_back_by_a_press(client, tmp_path_factory):  # noqa: F811
    stick, job = tmp_path_factory.mktemp("stick"), opened(client)
    for folder, words in (
        ("stick", "whole path"),
        (str(stick / "none"), "not there"),
        (str(site_of(client).settings.data / "site"), "not there"),
    ):
        assert words in client.put("/api/site/second", json={"folder": folder}).json()["detail"]
    (site_of(client).settings.data / "copies").mkdir(exist_ok=True)
    assert (
        "beside the data"
        in client.put("/api/site/second", json={"folder": str(site_of(client).settings.data / "copies")}).json()[
            "detail"
        ]
    )
    state = client.put("/api/site/second", json={"folder": str(stick)}).json()
    assert state["second_at"] and [row["second"] for row in state["copies"]] == [True] and not state["trouble"]
    keep(client, job, SIDE)
    record = client.post(f"/api/jobs/{job['id']}/records", json=shot(job)).json()
    copied = client.post("/api/site/copies").json()["copies"]
    keep(client, opened(client), {"op": "set_side", "side": 0, "length": "18'"})
    for bad in ("../trowel.sqlite3", "none.sqlite3", "/etc/passwd"):
        assert client.post("/api/site/copies/put-back", json={"name": bad}).status_code == 422
    with told(site_of(client)) as heard:
        here = next(row for row in copied if not row["second"])
        assert (
            "Put back: 4 jobs" in client.post("/api/site/copies/put-back", json={"name": here["name"]}).json()["words"]
        )
        assert wait_for(lambda: ("hello", {"all": True}) in [row[1:] for row in heard])
    now = opened(client)
    assert now["revision"] == 2 and record["id"] in [
        row["id"] for row in client.get(f"/api/jobs/{job['id']}/records").json()
    ]
    stick.rename(stick.with_name("pulled"))
    assert "Is the stick in" in client.post("/api/site/copies").json()["trouble"]
    assert client.put("/api/site/second", json={"folder": ""}).json()["trouble"] == ""


def test_everything_goes_out_and_comes_in_equal_elsewhere_and_bombs_do_not(client, tmp_path):  # noqa: F811
    job = opened(client)
    keep(client, job, SIDE)
    client.post(f"/api/jobs/{job['id']}/records", json=shot(job))
    data = client.get("/api/site/everything.zip").content
    empty = tmp_path / "elsewhere"
    with start(empty) as other:
        with closing(sqlite3.connect(other.app.state.service.settings.database)) as db:
            db.executescript("drop trigger revisions_no_delete; drop trigger records_no_delete; drop trigger documents_no_delete; drop trigger ways_no_delete;"
                             "delete from records; delete from yard_lines; delete from revisions; delete from documents; delete from ways; delete from jobs;")  # fmt: skip
        send = {"content": data, "headers": {"content-type": "application/zip"}}
        assert other.post("/api/site/everything", **send).json()["words"] == "4 jobs came in. The ways came too."
        assert other.post("/api/site/everything", **send).json()["words"] == "0 jobs came in, 4 were here already."
        for table in ("jobs", "documents", "revisions", "records", "photos", "ways"):
            rows = []
            for one in (client, other):
                with closing(sqlite3.connect(one.app.state.service.settings.database)) as db:
                    rows.append(sorted(map(str, db.execute(f"select * from {table}").fetchall())))
            assert rows[0] == rows[1], table
        keep(other, opened(other), {"op": "set_side", "side": 0, "length": "18'"})
        keep(client, opened(client), {"op": "set_side", "side": 0, "length": "19'"})
        later = client.get("/api/site/everything.zip").content
        words = other.post("/api/site/everything", content=later, headers=send["headers"]).json()["words"]
        assert "Cole Street bus shelter is here and says something else: left as it is." in words
        bomb = io.BytesIO()
        with zipfile.ZipFile(bomb, "w", zipfile.ZIP_DEFLATED) as archive:
            archive.writestr("about.json", "0" * 600_000_000)
        other_kind = io.BytesIO()
        with zipfile.ZipFile(other_kind, "w") as archive:
            archive.writestr("about.json", '{"kind": "something else", "version": 1}')
        for bad in (bomb.getvalue(), data[: len(data) // 2], b"", b"PK", other_kind.getvalue()):
            answer = other.post("/api/site/everything", content=bad, headers=send["headers"])
            assert answer.status_code == 422 and "Nothing came in" in answer.json()["detail"]
