"""The practice yard over the wire: exercises, answers kept by those who want it, one set for a morning; nothing of it in the jobs."""

import pytest
from tests.api.test_api import start
from tests.phones import joined

from humble_trowel.site.devices import Device
from humble_trowel.site.roles import may
from humble_trowel.store.db import connect


@pytest.fixture(scope="module")
def client(tmp_path_factory):
    with start(tmp_path_factory.mktemp("practice")) as client:
        yield client


def said(client, **more):
    one = client.get("/api/practice/rack/1/7").json()
    body = {"id": "try-00000001", "who": "Tamsin", "kind": "rack", "level": 1, "seed": 7, "units": "ft-in", "answer": one["own"],
            "at": "2027-05-03T07:00:00"}  # fmt: skip
    return client.post("/api/practice/tries", json=body | more)


def in_the_jobs(client):
    """Every table of the jobs' data with how much it holds."""
    with connect(client.app.state.service.settings.database, readonly=True) as db:
        names = [row[0] for row in db.execute("select name from sqlite_master where type = 'table'")]
        return {name: db.execute(f"select count(*) from {name}").fetchone()[0] for name in names}


def test_all_exercises_come_with_what_every_answer_comes_to(client):
    yard = client.get("/api/practice").json()
    assert [row["key"] for row in yard["kinds"]] == [
        "walk",
        "rack",
        "rod",
        "boards",
        "bolts",
        "joints",
        "order",
        "day",
        "faults",
        "last",
    ]
    one = client.get("/api/practice/walk/2/5", params={"units": "mm"}).json()
    assert one["units"] == "mm" and one["asks"][0]["options"] and one["rule"]["words"]
    for path, status in (("dig/1/7", 422), ("rack/9/7", 422), ("rack/1/x", 422), ("rack/1/-3", 422)):
        answer = client.get(f"/api/practice/{path}")
        assert answer.status_code == status and answer.json()["detail"]


def test_answers_are_kept_once_by_name_forgotten_on_a_word_and_never_in_the_jobs(client):
    before = in_the_jobs(client)
    first = said(client)
    assert first.status_code == 200 and first.json()["grade"] == "right"
    assert said(client).json() == first.json()  # sent again after an answer that never came
    done = client.get("/api/practice").json()["done"]
    assert [(row["who"], row["kind"], row["right"], row["tried"]) for row in done] == [("Tamsin", "rack", 1, 1)]
    for more, path in (({"who": " "}, "name"), ({"answer": {"way": "west"}}, "answer.far"), ({"kind": "dig"}, "kind")):
        bad = said(client, id="try-00000002", **more)
        assert bad.status_code == 422 and bad.json()["path"] == path
    assert client.post("/api/practice/forget", json={"who": "Tamsin"}).json() == {"forgot": 1}
    assert client.get("/api/practice").json()["done"] == []
    assert in_the_jobs(client) == before


def test_one_is_set_for_tomorrow_and_taken_back(client):
    body = {
        "id": "given-000001",
        "who": "Ana",
        "kind": "rod",
        "level": 2,
        "seed": 3,
        "units": "mm",
        "day": "2027-05-04",
    }
    assert client.post("/api/practice/given", json=body).json()["who"] == "Ana"
    client.post("/api/practice/given", json=body)
    assert [row["day"] for row in client.get("/api/practice?day=2027-05-04").json()["given"]] == ["2027-05-04"]
    assert client.get("/api/practice?day=2027-05-05").json()["given"] == []
    for more, path in (({"day": "soon"}, "day"), ({"kind": "dig"}, "kind")):
        bad = client.post("/api/practice/given", json=body | more | {"id": "given-000002"})
        assert bad.status_code == 422 and bad.json()["path"] == path
    client.post("/api/practice/given/given-000001/take-back")
    assert client.get("/api/practice").json()["given"] == []


def test_the_crew_practises_and_one_who_looks_does_not(client):
    crew = joined(client)
    assert said(crew, id="try-00000003").status_code == 200
    looker = Device("d", "Guest", "looker", "job", None, "", None)
    assert not may(looker, "POST", "/api/practice/tries") and not may(looker, "POST", "/api/practice/given")
