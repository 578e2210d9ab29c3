"""What lies under the slab over HTTP: kept and tried, tests of lines in two halves, schools, refusals beside their field, the sheet."""

import pytest
from tests.api.test_api import keep, opened, start
from tests.api.test_ground_api import note


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def job(client):
    return opened(client, "Tansy")


def state(client, job, *edits):
    answer = client.post(f"/api/jobs/{job['id']}/underslab", json={"edits": list(edits)})
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_what_is_tried_is_laid_and_what_is_kept_stays(client, job):
    kept = state(client, job)
    assert (kept["covered"]["barrier"]["rows"], len(kept["tubing"]["loops"]), len(kept["tested"]["lines"])) == (3, 2, 3)
    wide = state(client, job, {"op": "set_barrier", "changes": {"roll_wide_mm": "20"}})
    assert wide["covered"]["barrier"]["rows"] == 2
    cold = state(client, job, {"op": "heat_zone", "zone": job["document"]["zones"][0]["id"], "on": False})
    assert cold["tubing"] is None and cold["covered"]["barrier"]["rows"] == 3
    assert state(client, job) == kept and "left in the order" in kept["displaced"]
    assert [row["words"] for row in kept["bites"]] == ["D1's sleeve bites the #5 bottom in E1."]


def test_a_line_test_begins_and_ends_in_two_records_and_a_leak_is_said(client, job):
    line = state(client, job)["tested"]["lines"][0]
    begun = {"runs": line["runs"], "how": "water", "started": "2026-06-14T09:40:00", "start_mm": "5' 2"}
    assert note(client, job, "line-test", begun).status_code == 201
    told = state(client, job)["tested"]["lines"][0]["told"]
    assert told["state"] == "standing" and told["start_text"] == "5′-2″"
    ended = {**begun, "ended": "2026-06-14T09:58:00", "end_mm": "5' 1"}
    done = note(client, job, "line-test", ended)
    assert done.status_code == 201 and "Fell 1″ in 18 min. It leaks." in done.json()["verdict"]
    assert state(client, job)["tested"]["lines"][0]["told"]["state"] == "failed"


@pytest.mark.parametrize(
    ("values", "path"),
    [
        ({"how": "water", "started": "2026-06-14T09:40"}, "start_mm"),
        ({"how": "water", "started": "yesterday", "start_mm": 1600}, "started"),
        ({"how": "air", "started": "2026-06-14T09:40", "start_kpa": "a lot"}, "start_kpa"),
        ({"how": "pressure", "started": "2026-06-14T09:40", "start_kpa": "60 psi"}, "how"),
    ],
)
def test_a_test_that_cannot_be_is_refused_beside_its_field(client, job, values, path):
    runs = state(client, job)["tested"]["lines"][0]["runs"]
    refused = note(client, job, "line-test", {"runs": runs, **values})
    assert refused.status_code == 422 and refused.json()["path"].endswith(path)
    assert state(client, job)["tested"]["lines"][0]["told"] is None


def test_edits_of_cover_and_tube_are_kept_refused_and_undone(client, job):
    kept = keep(
        client,
        job,
        {"op": "add_treatment", "kind": "radon"},
        {"op": "set_site_asks", "changes": {"load_kpa": "250 psf"}},
    ).json()
    assert kept["document"]["underslab"]["treatments"][0]["kind"] == "radon"
    assert kept["document"]["underslab"]["load_kpa"] == pytest.approx(11.97, abs=0.01)
    for edit in (
        {"op": "set_tubing", "changes": {"spacing_mm": "1/4"}},
        {"op": "set_barrier", "changes": {"roll_wide_mm": "2 in"}},
        {"op": "place_barrier", "slab": "S9", "place": "none"},
        {"op": "heat_zone", "zone": "gone"},
    ):
        refused = keep(client, kept, edit)
        assert refused.status_code == 422 and refused.json()["detail"] and "Traceback" not in refused.text
    assert client.get(f"/api/jobs/{job['id']}").json()["revision"] == kept["revision"]


def test_the_sheet_is_a_pdf_on_both_papers_and_the_schools_are_told(client, job):
    for paper in ("a4", "letter"):
        pdf = client.get(f"/api/jobs/{job['id']}/underslab.pdf", params={"paper": paper})
        assert pdf.content.startswith(b"%PDF") and "-underslab.pdf" in pdf.headers["content-disposition"]
    schools = client.get("/api/ways").json()["schools"]
    for name, count in (("barrier-place", 4), ("barrier-edge", 3), ("drain-test", 2)):
        assert len(schools[name]) == count and all(row["pro"] and row["con"] for row in schools[name])


def test_the_crews_ways_of_cover_are_kept_and_read_again(client, job):
    told = client.get("/api/ways").json()
    ways = told["ways"]
    ways["underslab"]["roll_long_mm"] = "200 ft"
    body = {"version": told["version"], "author": "Wren", "ways": ways}
    kept = client.put("/api/ways", json=body).json()
    assert kept["unread"] == "" and client.get("/api/ways").json()["ways"]["underslab"][
        "roll_long_mm"
    ] == pytest.approx(60_960)
    assert state(client, job)["covered"]["barrier"]["rolls"]["value"] == 1
    ways["underslab"]["lap_mm"] = "20 ft"
    assert client.put("/api/ways", json={**body, "version": kept["version"]}).status_code == 422
