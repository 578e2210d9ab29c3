"""The routes of the cure: the weeks after at an hour, blankets tried, the probe with its faults, what is missing, wrong bodies."""

import pytest
from tests.api.test_api import start
from tests.api.test_day_api import made, recorded

AT = "2027-06-18T07:00-04:00"


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def house(client):
    return made(client)


def cure(client, job, **said):
    answer = client.post(f"/api/jobs/{job}/cure", json=said)
    assert answer.status_code == 200, answer.text
    return answer.json()


def with_weather(client, job):
    answer = client.post(f"/api/jobs/{job}/forecast", json={"seed": 3, "issued_at": "2027-06-16T20:00-04:00"})
    assert answer.status_code < 300, answer.text
    return job


def test_what_is_missing_is_said(client, house):
    assert cure(client, made(client, order={"pour_at": None}))["missing"] == "day"
    assert cure(client, house)["missing"] in ("weather", "")
    for body in ({"at": "soon"}, {"blankets": ["gone zone!"]}, {"now": 1}, []):
        assert client.post(f"/api/jobs/{house}/cure", json=body).status_code == 422


def test_a_probe_is_read_kept_and_fails_as_it_is_told_to(client):
    house = demo(client)
    told = cure(client, house, at=AT)["told"]
    zone = told["zones"][0]["zone"]
    assert told["zones"][0]["by"] == "by the model"
    ask = {"zone": zone, "since": "2027-06-17T07:00-04:00", "until": "2027-06-20T07:00-04:00"}

    def read(**more):
        answer = client.post(f"/api/jobs/{house}/cure/read-probe", json={**ask, **more})
        assert answer.status_code == 200, answer.text
        return answer.json()

    sound, again, drops, pulled, drifts = (
        read(),
        read(),
        read(fault="drops"),
        read(fault="pulled"),
        read(fault="drifts"),
    )
    assert sound == again and sound["simulated"] and len(sound["rows"]) > 100
    assert len(drops["rows"]) < len(sound["rows"]) - 30
    assert drifts["rows"][-1]["temp_c"] > sound["rows"][-1]["temp_c"] + 5
    apart = [abs(a["temp_c"] - b["temp_c"]) for a, b in zip(pulled["rows"], sound["rows"], strict=True)]
    assert max(apart[:5]) == 0 and max(apart) > 2
    recorded(client, house, "probe", {"probe": sound["probe"], "zone": zone, "rows": sound["rows"]})
    after = cure(client, house, at=AT)["told"]["zones"][0]
    assert after["read"] and after["by"] == sound["probe"]
    for wrong in ({"zone": "gone"}, {"until": "2027-09-18T07:00-04:00"}, {"fault": "sings"}):
        assert client.post(f"/api/jobs/{house}/cure/read-probe", json={**ask, **wrong}).status_code == 422


def test_blankets_are_tried_without_anything_being_laid(client):
    house = demo(client)
    told = cure(client, house)["told"]
    zones = [row["zone"] for row in told["zones"]]
    tried = cure(client, house, blankets=zones)
    assert tried["trying"] and not any(row["what"] for row in tried["told"]["zones"])
    ends = [next(one["high_h"] for one in row["events"] if one["key"] == "build") for row in told["zones"]]
    under = [next(one["high_h"] for one in row["events"] if one["key"] == "build") for row in tried["told"]["zones"]]
    assert all(b <= a + 0.1 for a, b in zip(ends, under, strict=True))
    recorded(client, house, "cover", {"what": "blankets", "at": told["now_at"], "zones": zones[:1]})
    after = cure(client, house)["told"]["zones"]
    assert [row["what"] for row in after] == ["blankets", *[""] * (len(after) - 1)]


def demo(client):
    """The demo's house with its weather."""
    return next(row["id"] for row in client.get("/api/jobs").json() if row["name"].startswith("Tansy"))
