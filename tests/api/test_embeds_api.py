"""What sticks up over HTTP: tried and kept, set on the board, on paper and as a template."""

import pytest
from tests.api.test_api import opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def job(client):
    return opened(client, "Tansy")


def test_what_is_tried_is_placed_and_what_is_kept_stays(client, job):
    url = f"/api/jobs/{job['id']}/embeds"
    kept = client.post(url, json={}).json()
    south = kept["embeds"]["walls"][0]
    assert south["name"] == "South wall" and kept["embeds"]["counts"]["group bolt"] == 4
    assert [row["code"] for row in kept["findings"] if row["severity"] == "check"] == ["bolt-rule"]
    bad = next(bolt for bolt in south["bolts"] if not bolt["ok"])
    ends, spacing = bad["ends"], bad["spacing"]
    assert ends[0] < bad["at_mm"] < ends[1] and spacing[0] < bad["at_mm"] < spacing[1]
    edit = {"op": "set_bolt", "wall": south["id"], "was": bad["at_mm"], "at": "22' 5 3/4\"", "others": bad["others"]}
    tried = client.post(url, json={"edits": [edit]}).json()
    assert all(bolt["ok"] for bolt in tried["embeds"]["walls"][0]["bolts"]) and client.post(url, json={}).json() == kept
    refused = client.post(url, json={"edits": [{**edit, "at": "22 something"}]})
    assert refused.status_code == 422 and refused.json()["detail"]


def test_a_bolt_is_set_once_and_the_list_knows(client, job):
    url, records = f"/api/jobs/{job['id']}/embeds", f"/api/jobs/{job['id']}/records"
    item = client.post(url, json={}).json()["embeds"]["items"][0]
    said = {
        "id": "record-set-1",
        "kind": "embed-set",
        "revision": job["revision"],
        "who": "Fern",
        "values": {"of": item["of"], "at_mm": item["at_mm"]},
    }
    assert client.post(records, json=said).json()["verdict"].endswith(": set.")
    client.post(records, json=said)
    after = client.post(url, json={}).json()["embeds"]["items"]
    assert [row["state"] for row in after].count("set") == 1 and after[0]["state"] == "set"


def test_it_goes_along_on_paper_with_its_templates(client, job):
    base = f"/api/jobs/{job['id']}"
    sheet = client.get(f"{base}/embeds.pdf?paper=a4")
    assert sheet.content.startswith(b"%PDF") and sheet.headers["content-disposition"].endswith('-setting.pdf"')
    group = client.post(f"{base}/embeds", json={}).json()["embeds"]["groups"][0]
    assert client.get(f"{base}/embeds/groups/{group['id']}/template.pdf").content.startswith(b"%PDF")
    gone = client.get(f"{base}/embeds/groups/jgnobody/template.pdf")
    assert gone.status_code == 422 and "not on this slab" in gone.json()["detail"]
