"""Steel over HTTP: tried and kept, its cuts, and the files that go along."""

import io

import openpyxl
import pytest
from tests.api.test_api import opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def job(client):
    return opened(client, "Tansy")


def test_what_is_tried_is_laid_and_what_is_kept_stays(client, job):
    url = f"/api/jobs/{job['id']}/steel"
    kept = client.post(url, json={}).json()
    assert len(kept["steel"]["ways"]) == 4 and kept["unsaid"] == [] and kept["bare"] == [["pad", "P2"]]
    tried = client.post(url, json={"edits": [{"op": "call_slab_steel", "slab": "S1", "text": "none"}]}).json()
    assert tried["steel"]["mesh"] == [] and client.post(url, json={}).json() == kept
    refused = client.post(url, json={"edits": [{"op": "call_slab_steel", "slab": "S1", "text": "#4 at some"}]})
    assert refused.status_code == 422 and "some" in refused.json()["detail"]
    cuts = client.get(f"{url}/cuts").json()
    assert cuts["bars"] == sum(one["bars"] for one in cuts["cuts"]) and [one["bar"] for one in cuts["cuts"]] == [
        "#5",
        "#4",
        "#3",
    ]
    assert all(int(one["least"]) <= one["bars"] <= int(one["least"]) + 1 for one in cuts["cuts"])


def test_steel_goes_along_on_paper_and_in_files(client, job):
    base = f"/api/jobs/{job['id']}/steel"
    assert client.get(f"{base}.pdf?paper=a4").content.startswith(b"%PDF")
    assert client.get(f"{base}.csv").text.lstrip("\ufeff").startswith("mark,what,size")
    book = client.get(f"{base}.xlsx")
    assert openpyxl.load_workbook(io.BytesIO(book.content)).sheetnames == ["bars", "cuts"]
    assert book.headers["content-disposition"].endswith('-steel.xlsx"')
    assert client.get(f"{base}.pdf?paper=poster").status_code == 422
