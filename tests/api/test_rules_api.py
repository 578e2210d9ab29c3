"""The rule book over HTTP: rules, calculators, a county's word kept with who and when."""

import pytest
from tests.api.test_api import opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def keep(client, value, **more):
    version = client.get("/api/ways").json()["version"]
    body = {
        "version": version,
        "units": "ft-in",
        "value": value,
        "who": "Ann at the county",
        "at": "2027-03-14",
        "author": "Wren",
    }
    return client.put("/api/rules/limits/bury", json={**body, **more})


def test_the_book_a_try_and_a_countys_word(client):
    book = {row["name"]: row for row in client.get("/api/rules").json()}
    assert len(book) > 20 and book["edges/shallow"]["table"][1][0] == "1500" and "IRC" in book["edges/bury"]["edition"]
    told = client.post(
        "/api/rules/volume/slab/try", json={"units": "ft-in", "values": {"length": "24'", "width": "20'", "thick": "4"}}
    )
    assert told.json()[0]["text"] == "5.926 yd³"
    wrong = client.post("/api/rules/volume/slab/try", json={"units": "ft-in", "values": {"length": "24"}})
    assert wrong.status_code == 422 and wrong.json()["path"] == "length" and len(wrong.json()["choices"]) == 2
    house = opened(client, "Tansy")
    before = [row for row in house["figure"]["checks"] if row["code"] == "edge-bury"]
    assert keep(client, "30").status_code == 200
    after = [row for row in opened(client, "Tansy")["figure"]["checks"] if row["code"] == "edge-bury"]
    assert len(after) >= len(before) > 0 and "Your county says 30″: Ann at the county, 2027-03-14." in after[0]["words"]
    (limit,) = {row["name"]: row for row in client.get("/api/rules").json()}["edges/bury"]["limits"]
    assert (limit["standard"], limit["here"]) == ("12″", "30″")
    assert keep(client, "").json()["ways"]["local_rules"] == {}


@pytest.mark.parametrize(
    ("value", "more", "path"),
    [("18", {"who": " "}, "who"), ("18", {"at": "14 March"}, "at"), ("deep", {}, ""), ("18", {"version": 99}, None)],
)
def test_a_word_without_a_name_a_day_or_a_size_is_refused(client, value, more, path):
    told = keep(client, value, **more)
    assert told.status_code == (409 if path is None else 422)
    assert path is None or told.json()["path"] == path
    assert client.get("/api/ways").json()["ways"]["local_rules"] == {}
