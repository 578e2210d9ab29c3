"""The routes of the day: worked out in the background until it is there, tried edits, forecast, ten numbers, files, prints; wrong bodies."""

import json
import time

import pytest
from tests.api.test_api import keep, start
from tests.days import DEMO


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def made(client, **changes):
    said = json.loads((DEMO / "jobs" / "honey-house.json").read_text("utf-8"))
    for key, value in changes.items():
        said[key] = said.get(key, {}) | value
    answer = client.post("/api/jobs/import", content=json.dumps(said))
    assert answer.status_code in (200, 201), answer.text
    return answer.json()["id"]


def day(client, job, *edits):
    """Its answer, once it is there."""
    for _ in range(120):
        answer = client.post(f"/api/jobs/{job}/day", json={"edits": list(edits)})
        assert answer.status_code == 200, answer.text
        state = answer.json()
        if state["counting"] is None:
            return state
        time.sleep(0.1)
    raise AssertionError("the day never came")


def recorded(client, job, kind, values, number=1):
    said = {"id": f"rec-{kind}-{number}", "kind": kind, "revision": 1, "values": values, "who": "Wren"}
    answer = client.post(f"/api/jobs/{job}/records", json=said)
    assert answer.status_code == 201, answer.text
    return answer.json()


def with_weather(client, job, turn=None):
    read = client.post(f"/api/jobs/{job}/forecast", json={"turn": turn}).json()
    recorded(client, job, "weather", read["weather"])
    return read


def test_first_the_day_then_the_weather_then_its_sheet(client):
    job = made(client, order={"pour_at": None})
    assert day(client, job)["missing"] == "day"
    assert client.post(f"/api/jobs/{job}/forecast", json={}).status_code == 422
    kept = keep(
        client,
        client.get(f"/api/jobs/{job}").json(),
        {"op": "set_fields", "values": {"order.pour_at": "2027-06-17T06:30"}},
    )
    assert kept.status_code in (200, 201), kept.text
    assert day(client, job)["missing"] == "weather"
    read = with_weather(client, job)
    assert len(read["weather"]["hours"]) == 240 and read["weather"]["hours"][0]["at"].endswith("+00:00")
    state = day(client, job)
    assert state["sheet"]["verdict"] and len(state["sheet"]["ribbons"]) >= 4 and state["sheet"]["place"]
    assert [one["name"] for one in state["blocking"]] == ["Cold loft", "Well-house", "Old pear", "Orchard wall"]
    assert state["sheet"]["moments"][78]["shade"] and state["mix"].startswith("28 MPa")


def test_what_is_tried_is_worked_out_and_not_kept_and_a_print_moves_the_clock(client):
    job = made(client)
    with_weather(client, job, "wind")
    plain = day(client, job)["sheet"]
    helped = day(client, job, {"op": "set_fields", "values": {"day.helps": ["film"]}})
    assert helped["helps"] == ["film"] and day(client, job)["helps"] == []
    worst = [max(row["rates_kg_m2_h"]) for row in (plain["drying"][0], helped["sheet"]["drying"][0])]
    assert worst[1] < worst[0]
    row = plain["ribbons"][0]
    float_h = next(one for one in row["events"] if one["key"] == "float_at")["span"]["low_h"]
    at = f"2027-06-17T{int(float_h):02d}:{int(float_h % 1 * 60):02d}"
    print_ = recorded(client, job, "footprint", {"seen": "print", "at": at, "zone": row["zone"], "truck": row["truck"]})
    after = day(client, job)["sheet"]
    assert (
        after["prints"][0]["record"] == print_["id"]
        and after["ribbons"][0]["was_float_text"]
        and "by 1 print" in after["pace"]["words"]
    )
    recorded(client, job, "set-lesson", {"ratio": 1.1, "sd_share": 0.1, "prints": 1, "mix": "28 MPa"})
    assert day(client, job)["sheet"]["pace"]["kept"]
    client.post(
        f"/api/jobs/{job}/records",
        json={
            "id": "struck-print-1",
            "kind": "struck",
            "revision": 1,
            "values": {"why": ""},
            "who": "W",
            "supersedes": print_["id"],
        },
    )
    assert day(client, job)["sheet"]["prints"] == []


def test_what_shades_is_walked_named_raised_and_taken_out(client):
    job = made(client, day={"around": []})
    add = {"op": "add_surrounding", "name": "Barn", "text": "from A 20' s, 30' e, 10' s, 30' w, 10' n", "top": "18'"}
    assert [one["name"] for one in day(client, job, add)["blocking"]] == ["Barn", "Orchard wall"]
    for wrong, path in (
        ({"top": ""}, "top"),
        ({"top": "tall"}, ""),
        ({"base": "20'"}, "base"),
        ({"text": "30' e"}, "text"),
    ):
        answer = client.post(f"/api/jobs/{job}/day", json={"edits": [add | wrong]})
        assert answer.status_code == 422 and (not path or path in json.dumps(answer.json())), answer.text
    kept = keep(client, client.get(f"/api/jobs/{job}").json(), add).json()
    own = kept["document"]["day"]["around"][0]
    higher = {"op": "set_surrounding", "around": own["id"], "changes": {"top": "30'", "name": "Big barn", "base": "2'"}}
    (barn, _) = day(client, job, higher)["blocking"]
    assert (barn["name"], round(barn["top_mm"]), round(barn["base_mm"])) == ("Big barn", 9144, 610)
    out = {"op": "take_out_surrounding", "around": own["id"]}
    assert [one["name"] for one in day(client, job, out)["blocking"]] == ["Orchard wall"]
    assert client.post(f"/api/jobs/{job}/day", json={"edits": [out, out]}).status_code == 422


def test_ten_numbers_are_in_the_units_of_the_job_and_refused_with_their_field(client):
    job = made(client)
    good = {"air": [60, 85, 65], "humidity": [80, 40, 60], "wind": [3, 12, 5], "cloud_okta": 2}
    read = client.post(f"/api/jobs/{job}/ten-numbers", json=good).json()
    assert max(row["air_c"] for row in read["weather"]["hours"]) == pytest.approx(29.44, abs=0.01)
    for wrong, field in (
        ({"humidity": [80, 130, 60]}, "humidity.1"),
        ({"wind": [3, -1, 5]}, "wind.1"),
        ({"air": [60, 400, 65]}, "air.1"),
    ):
        answer = client.post(f"/api/jobs/{job}/ten-numbers", json=good | wrong)
        assert answer.status_code == 422 and answer.json()["path"] == field
    assert client.post(f"/api/jobs/{job}/ten-numbers", json=good | {"air": [60]}).status_code == 422


def test_a_file_is_read_asks_and_is_answered(client):
    job = made(client)
    rows = "\n".join(f"2027-06-17T{hour:02d}:00,70,50,6" for hour in range(24))
    data = f"time,temp,humidity_percent,wind_mph\n{rows}"

    def sent(answers="", body=data):
        return client.post(
            f"/api/jobs/{job}/weather-file?name=hut.csv&answers={answers}",
            content=body,
            headers={"content-type": "text/csv"},
        )

    assert [one["key"] for one in sent().json()["asks"]] == ["air", "height"]
    read = sent("air:f,height:2").json()
    assert read["weather"]["height_m"] == 2 and read["weather"]["hours"][5]["air_c"] == pytest.approx(21.11, abs=0.01)
    wrong = sent("air:c,height:2").json()
    assert "°F" in wrong["detail"] and wrong["path"] == "line 2"
    assert sent(body="").status_code == 422
    recorded(client, job, "weather", read["weather"])
    state = day(client, job)
    assert state["sheet"]["sources"][0]["name"] == "hut.csv" and state["findings"] == []
    assert {row["air_text"] for row in state["sheet"]["hours"]} == {"70 °F"}


def test_a_site_without_place_asks_for_it_and_a_zone_that_is_none_is_said(client):
    nowhere = made(client, site={"latitude": None})
    assert "latitude" in client.post(f"/api/jobs/{nowhere}/forecast", json={}).json()["detail"]
    job = made(client, site={"time_zone": "Mars/Olympus"})
    assert day(client, job)["missing"] == "zone"
    refused = client.post(
        f"/api/jobs/{job}/records",
        json={
            "id": "print-nowhere-1",
            "kind": "footprint",
            "revision": 1,
            "values": {"seen": "print", "at": "2027-06-17T09:00", "zone": "nowhere"},
            "who": "W",
        },
    )
    assert refused.status_code == 422 and "not on this slab" in refused.json()["detail"]


def test_other_stages_hear_the_latest_hours_once_the_day_is_there(client):
    job = made(client)
    assert client.post(f"/api/jobs/{job}/embeds", json={"edits": []}).json()["day"] == ""
    with_weather(client, job)
    first = client.get(f"/api/jobs/{job}/doubts").json()
    assert first["counting"] is not None or first["later"] or "gate" in [row["id"] for row in first["stages"]]
    day(client, job)
    assert "Super store by" in client.post(f"/api/jobs/{job}/embeds", json={"edits": []}).json()["day"]
    assert "Apron" in client.post(f"/api/jobs/{job}/joints", json={"edits": []}).json()["day"]
    told = client.get(f"/api/jobs/{job}/doubts").json()
    while told["counting"] is not None:
        told = client.get(f"/api/jobs/{job}/doubts").json()
    knot = next(row for row in told["stages"] if row["id"] == "gate")
    assert not told["later"] and knot["words"] != "…"
