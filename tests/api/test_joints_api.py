"""Joints over HTTP: layouts by rule, taken and tried."""

import pytest
from tests.api.test_api import opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def test_a_layout_by_rule_is_taken_and_what_is_tried_is_not_kept(client):
    job = opened(client, "Tansy")
    base = f"/api/jobs/{job['id']}"
    before = client.post(f"{base}/joints", json={}).json()
    found = [row["code"] for row in before["findings"] if "joints" in row["tabs"]]
    assert found == ["joint-shape", "joint-bar"] and before["joints"]["broken"] == 2
    rows = client.get(f"{base}/joints/proposals").json()["rows"]
    assert [row["ratio_n"] for row in rows] == [24, 30, 36] and rows[0]["panels"] > rows[2]["panels"]
    edit = {"op": "lay_joints", "lines": rows[1]["lines"], "ratio_n": 30}
    tried = client.post(f"{base}/joints", json={"edits": [edit]}).json()
    assert tried["joints"]["broken"] == 0 and client.post(f"{base}/joints", json={}).json() == before
    held = before["joints"]["lines"][0]
    refused = client.post(f"{base}/joints", json={"edits": [{"op": "call_joint", "text": "0 e of A"}]})
    assert refused.status_code == 422 and "edge of the slab" in refused.json()["detail"]
    gone = {"op": "take_out_joint", "joint": held["id"]}
    assert (
        len(client.post(f"{base}/joints", json={"edits": [gone]}).json()["joints"]["lines"])
        == len(before["joints"]["lines"]) - 1
    )
