"""The routes of the pour: the day at a minute, recorded days, what is missing, wrong bodies; a day played word by word."""

import pytest
from tests.api.test_api import start
from tests.api.test_day_api import made, recorded

AT = "2027-06-17T07:00-04:00"


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def house(client):
    return made(client)


def pour(client, job, at=None):
    answer = client.post(f"/api/jobs/{job}/pour", json={"at": at})
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_the_day_at_a_minute_and_at_its_newest_word(client, house):
    first = pour(client, house)
    assert first["newest_at"] == "" and first["told"]["now_text"] == "6:30" and not first["missing"]
    assert first["told"]["acts"][0]["title"] == "Truck 1 in" and first["told"]["acts"][0]["reasons"]
    recorded(client, house, "ticket", {"load": "one", "at": AT, "arrived_at": AT, "m3": "9 yd"})
    after = pour(client, house)
    assert after["newest_at"] == "2027-06-17T07:00:00-04:00" and after["told"]["now_text"] == "7:00"
    assert after["told"]["trucks"][0]["text"] == "9 yd" and after["told"]["late_text"] == "30 min late"
    assert pour(client, house, "2027-06-17T08:40-04:00")["told"]["trucks"][0]["doubts"][0]["code"] == "ticket-old"


def test_what_is_missing_is_said_and_wrong_bodies_are_refused(client, house):
    assert pour(client, made(client, order={"pour_at": None}))["missing"] == "day"
    for body in ({"at": "soon"}, {"now": None}, []):
        assert client.post(f"/api/jobs/{house}/pour", json=body).status_code == 422
    assert client.get(f"/api/jobs/{house}/pour/days/none").status_code == 422


@pytest.mark.parametrize("day", ["honey-house-good", "honey-house-late"])
def test_a_recorded_day_written_into_the_job_ends_full(client, house, day):
    assert [row["key"] for row in pour(client, house)["days"]] == ["honey-house-good", "honey-house-late"]
    rows = client.get(f"/api/jobs/{house}/pour/days/{day}").json()["rows"]
    assert [row["minute"] for row in rows] == sorted(row["minute"] for row in rows)
    for at, row in enumerate(rows):
        recorded(client, house, row["kind"], row["values"], at)
    told = pour(client, house)["told"]
    assert told["after"]["done"] and all(one["full"] for one in told["strips"]) and told["left"]["best_m3"] == 0
    assert [bool(told["sent_back"]), len(told["trucks"])] == [day.endswith("late"), 3]
    assert told["after"]["people"] == ["Odo", "Tamsin", "Wren"]
    stage = [one for one in client.get(f"/api/jobs/{house}/doubts").json()["stages"] if one["id"] == "pour"]
    assert not stage or stage[0]["words"] in ("poured", "…")
