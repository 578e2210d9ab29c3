"""The plant behind its addresses: a call is kept once with what was read back; a plant that is silent keeps nothing; where an order is."""

import pytest
from tests.api.test_api import start
from tests.api.test_day_api import made
from tests.api.test_pour_api import AT, pour


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def house(client):
    return made(client)


def body(n, **more):
    return {"id": f"call-{n:08d}", "who": "Wren", "at_device": AT, "revision": 1, "at": AT, **more}


def send(client, house, what, said, status=200):
    answer = client.post(f"/api/jobs/{house}/pour/{what}", json=said)
    assert answer.status_code == status, answer.text
    return answer.json()


def test_a_call_is_kept_once_with_what_was_read_back_and_the_plant_says_where_it_is(client, house):
    first = send(client, house, "call", body(1, m3="6 1/2 yd"))
    assert first["kind"] == "held" and "6 1/2 yd of 4,000 psi" in first["words"] and first["simulated"]
    assert send(client, house, "call", body(1, m3="6 1/2 yd"))["kept"]
    left = pour(client, house)["told"]["left"]
    assert left["said_text"] == "6 1/2 yd" and left["heard_by"] and left["number"] and left["due_text"] == "7:45"
    assert len(client.get(f"/api/jobs/{house}/records?kind=load_called").json()) == 1
    send(client, house, "ask-plant", body(2, fault="late"))
    left = pour(client, house)["told"]["left"]
    assert 18 <= left["late_min"] <= 35
    assert "plant-late" in [one["code"] for one in pour(client, house)["findings"]]
    send(client, house, "ask-plant", {**body(3, fault="loses"), "at": "2027-06-17T07:10:00-04:00"})
    assert pour(client, house)["told"]["left"]["answer"] == "lost"


@pytest.mark.parametrize(
    ("fault", "kept", "answer"), [("silent", 0, ""), ("down", 1, "refused"), ("wrong-mix", 1, "held")]
)
def test_a_plant_that_does_not_do_as_it_should(client, house, fault, kept, answer):
    told = send(client, house, "call", body(1, m3=5, fault=fault))
    assert told["kept"] is bool(kept) and told["words"]
    assert len(client.get(f"/api/jobs/{house}/records?kind=load_called").json()) == kept
    left = pour(client, house)["told"]["left"]
    assert left["answer"] == answer and bool(left["wrong"]) is (fault == "wrong-mix")


def test_bad_questions_are_refused_in_words(client, house):
    for said, words in (({"m3": 0}, "m3"), ({"m3": "30 yd"}, "more than any truck"), ({"m3": "soon"}, ""), ({}, "m3")):
        assert words in str(send(client, house, "call", body(1, **said), 422))
    assert "number" in str(send(client, house, "ask-plant", body(2), 422))
    assert send(client, made(client, order={"pour_at": None}), "call", body(1, m3=5), 422)["path"] == "at"


def test_what_to_call_ahead(client, house):
    rows = client.get(f"/api/jobs/{house}/pour/ahead").json()
    assert rows["at_text"] == "6:30" and len(rows["rows"]) == 6
    assert all(len(row["cells"]) == 7 and sum(cell["likely"] for cell in row["cells"]) == 1 for row in rows["rows"])
    assert client.get(f"/api/jobs/{made(client, order={'pour_at': None})}/pour/ahead").json()["rows"] == []
