"""Edges over HTTP: cuts along any line, ways to meet frost, what one part brings, edits that are refused beside their field."""

import pytest
from tests.api.test_api import keep, opened, start


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def job(client):
    return opened(client, "Tansy")


def section(client, job, start_at, end_at, edits=()):
    return client.post(f"/api/jobs/{job['id']}/section", json={"start": start_at, "end": end_at, "edits": list(edits)})


def test_a_cut_of_what_is_kept_and_of_what_is_only_tried(client, job):
    line = ([3500, -450], [3500, 700])
    kept = section(client, job, *line).json()["section"]
    assert [size["text"] for size in kept["sizes"] if size["key"] == "depth"] == ["18″"]
    tried = section(client, job, *line, [{"op": "set_edge_type", "mark": "E1", "depth": "22"}]).json()["section"]
    assert [size["text"] for size in tried["sizes"] if size["key"] == "depth"] == ["22″"]
    assert section(client, job, *line).json()["section"] == kept
    assert kept["ends"][0]["short_text"] and {layer["kind"] for layer in kept["layers"]} == {"barrier", "graded"}


@pytest.mark.parametrize(
    ("start_at", "end_at", "words"),
    [([0, 0], [0, 1], "one spot"), ([-9000, -9000], [-8000, -9000], "does not cross")],
)
def test_a_cut_that_is_none_says_why(client, job, start_at, end_at, words):
    answer = section(client, job, start_at, end_at)
    assert answer.status_code == 422 and words in answer.json()["detail"]
    assert section(client, job, [0, "x"], [1, 1]).status_code == 422


def test_ways_to_meet_frost_and_a_part_alone(client, job):
    state = client.get(f"/api/jobs/{job['id']}/edges").json()
    assert [row["key"] for row in state["options"]] == ["drawn", "deep", "shallow", "wall"]
    taken = keep(client, job, *next(row["edits"] for row in state["options"] if row["key"] == "shallow"))
    foam = {row["mark"]: row["foam_mm"] for row in taken.json()["document"]["edge_types"]}
    assert foam == {"E1": None, "F1": pytest.approx(50.8)}  # the line inside keeps E1 as it is
    beam = next(part for part in job["figure"]["concrete"]["parts"] if part["kind"] == "beam")["numbers"][0]
    alone = client.get(f"/api/jobs/{job['id']}/parts/{beam}/alone").json()
    assert 0 < alone["m3"] < 1 and alone["text"].endswith("yd³")
    assert client.get(f"/api/jobs/{job['id']}/parts/999/alone").status_code == 422


def test_a_grid_is_laid_kept_undone_and_a_bad_one_loses_nothing(client, job):
    bad = keep(client, job, {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9"})
    assert bad.status_code == 422 and bad.json()["choices"]
    done = keep(client, job, {"op": "lay_beams", "type": "B1", "side": 0, "spacing": "9'"}).json()
    assert len(done["document"]["beams"]) == 1 + 3 and "3 B1 beams from A to B" in done["summary"]
    back = client.post(f"/api/jobs/{job['id']}/undo", json={"revision": done["revision"], "author": "Birk"}).json()
    assert back["document"] == job["document"]
