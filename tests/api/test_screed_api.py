"""Strips over HTTP: a plan by rule, what is tried, what is refused, pads as records."""

import pytest
from tests.api.test_api import opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def test_a_plan_by_rule_mends_the_short_strip_and_what_is_tried_is_not_kept(client):
    job = opened(client, "Tansy")
    url = f"/api/jobs/{job['id']}/screed"
    kept = client.post(url, json={}).json()
    assert [row["code"] for row in kept["findings"] if "strips" in row["tabs"]] == ["strip-board", "strip-arm"]
    found = client.get(f"{url}/proposal").json()
    assert found["wrong"] == [] and len(found["pads"]) == 1 and found["pad_count"] == 9 and len(found["strips"]) == 8
    edit = {"op": "lay_strips", "pads": found["pads"], "strips": found["strips"], "stands": found["stands"]}
    tried = client.post(url, json={"edits": [edit]}).json()
    assert [row["wrong"] for row in tried["screed"]["strips"]] == [[]] * 8
    assert len(tried["screed"]["stands"]) == 4  # the places that were said stay
    assert client.post(url, json={}).json() == kept
    refused = client.post(url, json={"edits": [{"op": "call_screed", "text": "strip 99 first"}]})
    assert refused.status_code == 422 and refused.json()["detail"] == "There is no strip 99."
    gone = client.post(url, json={"edits": [{"op": "set_strip", "strip": "gsnobody", "board_mm": 3000}]})
    assert gone.status_code == 422 and "strip is not on this slab any more" in gone.json()["detail"]


def test_a_pad_is_written_down_once_by_its_rod_or_by_string(client):
    job = opened(client, "Tansy")
    url, records = f"/api/jobs/{job['id']}/screed", f"/api/jobs/{job['id']}/records"
    screed = client.post(url, json={}).json()["screed"]
    pad, other = screed["pads"][:2]
    step = pad["steps"][5]
    values = {"of": pad["of"], "at_mm": pad["at_mm"], "reading_mm": step["reading_mm"], "setup": screed["setup"]}
    said = {"id": "record-pad-1", "kind": "pad-set", "revision": job["revision"], "who": "Pim", "values": values}
    assert client.post(records, json=said).json()["verdict"] == f"Pad {pad['name']} struck, rod {step['text']}."
    client.post(records, json=said)
    low = {**values, "of": other["of"], "at_mm": other["at_mm"], "reading_mm": "4' 5"}
    answer = client.post(records, json={**said, "id": "record-pad-2", "values": low})
    assert answer.status_code in (200, 201)
    after = client.post(url, json={}).json()
    assert [row["state"] for row in after["screed"]["pads"]][:3] == ["set", "off", "open"]
    assert after["screed"]["pads"][0]["off_text"] == "a hair high"
    assert any(row["code"] == "pad-off" and "low, add" in row["words"] for row in after["findings"])
    wrong = client.post(records, json={**said, "id": "record-pad-3", "values": {**values, "at_mm": 77}})
    assert wrong.status_code == 422 and wrong.json()["detail"].startswith("There is no pad there any more")
