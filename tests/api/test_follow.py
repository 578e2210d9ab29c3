"""What follows after the numbers, clashes with rows that are gone, records over a changed outline, a yard of many jobs."""

import json
from contextlib import closing

import pytest
from tests.api.test_api import client, keep, opened, start  # noqa: F401  the fixture
from tests.plans import job

from humble_trowel.api.service import Service
from humble_trowel.core.job import Job
from humble_trowel.files.job_file import parse_job, plan_data
from humble_trowel.settings import Settings
from humble_trowel.store import jobs
from humble_trowel.store.db import connect

TRENCH = {"stations": [{"at_mm": 0, "width_mm": 400, "depth_mm": 450}]}
E1 = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}
BEAMS = {
    "beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 450}],
    "beams": [{"type": "B1", "path": [[x, 0], [x, 4000]]} for x in (1500, 3000, 4500)],
}


def brought(client, **changes):  # noqa: F811
    return client.post("/api/jobs/import", json=job(**changes)).json()


def doubts(client, state):  # noqa: F811
    return client.get(f"/api/jobs/{state['id']}/doubts").json()


def record(client, state, kind, values, name, revision=None):  # noqa: F811
    body = {"id": name, "kind": kind, "revision": revision or state["revision"], "values": values, "who": "Juno"}
    return client.post(f"/api/jobs/{state['id']}/records", json=body)


def test_numbers_come_at_once_and_the_second_way_findings_and_stages_follow(client):  # noqa: F811
    state = opened(client)
    assert state["figure"]["concrete"]["second_way_m3"] is None and state["figure"]["concrete"]["net_m3"] > 0
    told = doubts(client, state)
    assert told["revision"] == state["revision"] and told["records"] == state["records"]
    assert told["concrete"]["agree"] == "They agree." and told["concrete"]["slices"]
    assert [stage["id"] for stage in told["stages"]] == [
        "lines",
        "ground",
        "edges",
        "underslab",
        "steel",
        "embeds",
        "screed",
        "order",
        "gate",
        "pour",
        "cure",
    ]
    assert {"stage", "tabs", "changes_order"} <= set(told["findings"][0])
    longer = keep(client, state, {"op": "set_side", "side": 0, "length": "30'"}).json()
    later = doubts(client, longer)
    assert later["revision"] == longer["revision"] and later["concrete"]["net_m3"] > told["concrete"]["net_m3"]


def test_a_drag_gets_bare_numbers_that_are_those_of_the_whole_draft(client):  # noqa: F811
    """The demo's shots and trenches count as they did; sizes of the answer as a drag feels them."""
    state = opened(client, "Tansy")
    (x, y), name = state["document"]["outline"][1], state["document"]["corner_ids"][1]
    corner = {"op": "move_corner", "corner": name, "x_mm": x + 30, "y_mm": y, "square": True}
    asked = {"revision": state["revision"], "edits": [corner], "quick": True}
    at = f"/api/jobs/{state['id']}/figure"
    numbers, whole = (client.post(at, json={**asked, "numbers": only}).json()["figure"] for only in (True, False))
    assert numbers["drawing"] is None and whole["drawing"]["strips"] and numbers["outline"]["diagonals"] == []
    assert numbers["concrete"]["ordered"]["text"] == whole["concrete"]["ordered"]["text"]
    for key in ("net_m3", "order_m3", "net_text", "need_text"):
        assert numbers["concrete"][key] == whole["concrete"][key]
    for bare, full in zip(numbers["concrete"]["parts"], whole["concrete"]["parts"], strict=True):
        assert (bare["m3"], bare["how"], bare["working"]["text"]) == (full["m3"], full["how"], full["working"]["text"])
        assert bare["working"]["inputs"] == [] and full["working"]["inputs"]
    assert numbers["outline"]["area"]["text"] == whole["outline"]["area"]["text"]
    assert len(json.dumps(numbers)) < 0.3 * len(json.dumps(whole))
    kept = keep(client, state, corner).json()["figure"]["concrete"]
    assert kept["net_m3"] == whole["concrete"]["net_m3"]  # what was measured is worked out anew once it is let go


def test_a_stop_of_the_ground_is_in_the_list_in_the_knots_and_on_the_yard(client):  # noqa: F811
    air = {"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"}]}
    state = brought(client, name="Up high", build_ups=[air], ground={"found_mm": -600, "strip_mm": 0})
    told = doubts(client, state)
    assert [row["code"] for row in told["stops"]] == ["stack-in-air"]
    assert {stage["id"]: stage["state"] for stage in told["stages"]} == {
        "lines": "tight", "ground": "flagged", "edges": "loop", "underslab": "loop", "steel": "loop", "embeds": "loop", "screed": "loop", "order": "flagged", "gate": "loop", "pour": "loop", "cure": "loop",
    }  # fmt: skip
    row = next(row for row in client.get("/api/jobs").json() if row["name"] == "Up high")
    assert "stands on air" in row["stops"] and not row["fault"]


@pytest.mark.parametrize(
    ("edit", "words"),
    [
        ({"op": "move_beam", "beam": 1, "path": [[3500, 0], [3500, 4000]]}, "That beam is not on this slab any more"),
        ({"op": "take_out", "what": "beams", "ids": [1]}, "That beam is not on this slab any more"),
    ],
)
def test_a_stale_edit_is_taken_over_where_it_touches_nothing_and_means_the_row_that_it_meant(client, edit, words):  # noqa: F811
    stale = brought(client, **BEAMS)
    ids = [row["id"] for row in stale["document"]["beams"]]
    named = {**edit, **({"beam": ids[1]} if "beam" in edit else {"ids": [ids[1]]})}
    now = keep(client, stale, {"op": "take_out", "what": "beams", "ids": [0]}).json()
    body = {"revision": stale["revision"], "author": "Juno"}
    done = client.post(f"/api/jobs/{now['id']}/edits", json={**body, "edit_id": "beside-it", "edits": [named]}).json()
    left = {row["id"]: row["path"][0][0] for row in done["document"]["beams"]}
    assert left == ({ids[1]: 3500, ids[2]: 4500} if edit["op"] == "move_beam" else {ids[2]: 4500})
    gone = client.post(f"/api/jobs/{now['id']}/edits", json={**body, "edit_id": "same-beam", "edits": [{"op": "move_beam", "beam": ids[0], "path": [[1, 0], [1, 4000]]}]})  # fmt: skip
    assert gone.status_code == 409  # somebody took that very beam out
    without = keep(client, done, {"op": "take_out", "what": "beams", "ids": [0]}).json() if ids[1] in left else done
    again = client.post(f"/api/jobs/{now['id']}/edits", json={**body, "revision": without["revision"], "edit_id": "once-more-so", "edits": [named]})  # fmt: skip
    assert again.status_code == 422 and words in again.json()["detail"]


def test_a_trench_recorded_by_number_stays_on_its_side_when_corners_come_and_go(client):  # noqa: F811
    state = brought(client, edge_types=[E1], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}])
    row = record(client, state, "as-dug", {"side": 2, **TRENCH}, "trench-by-number").json()
    assert row["values"]["side"] == state["document"]["corner_ids"][2]
    more = keep(client, state, {"op": "add_corner", "side": 0}).json()

    def measured(here):
        runs = client.get(f"/api/jobs/{here['id']}/ground").json()["ground"]["dug"]
        return [run["side"] for run in runs if run["measured"]]

    assert measured(more) == [3]
    stale = record(client, more, "as-dug", {"side": 1, **TRENCH}, "made-on-revision-one", revision=1).json()
    assert stale["values"]["side"] == state["document"]["corner_ids"][1]
    assert sorted(measured(more)) == [2, 3]
    fewer = keep(client, more, {"op": "remove_corner", "corner": 3}).json()
    assert measured(fewer) == [2]
    assert "dug-gone" in [one["code"] for one in doubts(client, fewer)["findings"]]
    gone = record(client, fewer, "as-dug", {"side": state["document"]["corner_ids"][2], **TRENCH}, "on-a-side-gone")
    assert gone.status_code == 422 and "not on this slab any more" in gone.json()["detail"]


def test_a_benchmark_with_another_name_is_the_same_benchmark(client):  # noqa: F811
    state = brought(client, ground={"benchmarks": [{"name": "nail", "level_mm": 0}]})
    setup = record(client, state, "set-up", {"name": "one", "on": "nail", "backsight_mm": 1500}, "setup-on-nail").json()
    mark = state["document"]["ground"]["benchmarks"][0]
    assert setup["values"]["on"] == mark["id"]
    edit = {"op": "set_benchmark", "benchmark": mark["id"], "name": "gatepost nail", "level": 0, "what": "nail"}
    renamed = keep(client, state, edit).json()
    (stand,) = client.get(f"/api/jobs/{renamed['id']}/ground").json()["ground"]["stands"]
    assert stand["on"] == "gatepost nail" and stand["instrument_mm"] == 1500


def test_a_reading_is_checked_against_the_row_that_was_pressed(client):  # noqa: F811
    state = brought(client, ground={"benchmarks": [{"name": "nail", "level_mm": 0}]})
    record(client, state, "set-up", {"name": "one", "on": "nail", "backsight_mm": 1500}, "setup-on-nail")
    at = f"/api/jobs/{state['id']}"
    rod = client.get(f"{at}/ground").json()["ground"]["rod"]
    top = next(row for row in rod if row["key"] == "form")
    kept = keep(client, state, {"op": "set_benchmark", "name": "a second one", "level": 0}).json()
    again = client.get(f"{at}/ground").json()["ground"]["rod"]
    assert {row["id"] for row in rod} < {row["id"] for row in again}
    answer = client.post(f"{at}/rod-check", json={"surface": top["id"], "reading": "1500"}).json()
    assert answer["should_mm"] == 1500 and answer["said"]["verdict"] == "inside" and kept["revision"] == 2
    gone = client.post(f"{at}/rod-check", json={"surface": "rodnone", "reading": "1500"})
    assert gone.status_code == 422 and gone.json()["path"] == "surface"


def test_a_yard_of_many_jobs_works_each_out_once(tmp_path, monkeypatch):
    with start(tmp_path):
        pass
    service = Service(Settings(tmp_path))
    with closing(connect(service.settings.database)) as db:
        for at in range(60):
            document = job(name=f"pad {at}", outline=[[0, 0], [6000 + at, 0], [6000 + at, 4000], [0, 4000]])
            jobs.create(db, plan_data(parse_job_of(document)), "Wren", "2027", "Started")
        made = []
        real = Job.__init__
        monkeypatch.setattr(Job, "__init__", lambda self, *a, **k: (made.append(1), real(self, *a, **k))[1])
        service.yard.work_s = 600
        first = service.yard.lines(db)
        assert len(first) == 64 and len(made) == 64 and not any(row.fault for row in first)
        assert service.yard.lines(db) == first and len(made) == 64
        head = jobs.head(db, first[5].id)
        jobs.save(
            db,
            head.job_id,
            head.n,
            {**head.document, "name": "another name"},
            jobs.Change("Wren", "2027-02", "Renamed"),
        )
        again = service.yard.lines(db)
        assert len(made) == 65 and [row.name for row in again].count("another name") == 1
        after_start = Service(Settings(tmp_path))
        assert after_start.yard.lines(db) == again and len(made) == 65  # each line is kept
        db.execute("update yard_lines set line = 'spoilt' where job_id = ?", [again[3].id])
        assert Service(Settings(tmp_path)).yard.lines(db) == again and len(made) == 66
        db.execute("delete from yard_lines")
        hurried = Service(Settings(tmp_path))
        hurried.yard.work_s = 0
        part = hurried.yard.lines(db)
        assert sum(row.counting for row in part) == 63 and [row.name for row in part] == [row.name for row in again]
        while any(row.counting for row in hurried.yard.lines(db)):
            pass
        assert hurried.yard.lines(db) == again


def parse_job_of(document):
    import json

    return parse_job(json.dumps(document).encode())
