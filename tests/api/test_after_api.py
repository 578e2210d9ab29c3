"""The routes of what comes after: lessons taken by the owner, the slab as it stands, second pours, boards, hand-over, bill, box and archive."""

import io
import json
import time
import zipfile

import ezdxf
import pytest
from pypdf import PdfReader
from tests.api.test_api import start
from tests.api.test_day_api import made, recorded, with_weather
from tests.phones import joined

from humble_trowel.site.devices import Device
from humble_trowel.site.roles import may

AT = "2027-06-18T09:00:00-04:00"


@pytest.fixture(scope="module")
def client(tmp_path_factory):
    with start(tmp_path_factory.mktemp("after")) as client:
        yield client


@pytest.fixture(scope="module")
def poured(client):
    """The demo job after a practice day."""
    job = made(client)
    with_weather(client, job)
    for at, row in enumerate(client.get(f"/api/jobs/{job}/pour/days/honey-house-good").json()["rows"]):
        recorded(client, job, row["kind"], row["values"], at)
    return job


def got(client, path, status=200):
    answer = client.get(path)
    assert answer.status_code == status, answer.text[:300]
    return answer


def sent(client, path, body, status=200):
    answer = client.post(path, json=body)
    assert answer.status_code == status, answer.text[:300]
    return answer.json()


def test_a_lesson_is_taken_with_the_ways_in_one_moment_and_undone(client, poured):
    of = f"/api/jobs/{poured}/lessons"
    first = got(client, of).json()
    was = client.get("/api/ways").json()
    rows = {row["key"]: row for row in first["told"]["lessons"]}
    assert rows["base"]["state"] == "open" and first["may_take"] and first["told"]["kept_text"]
    body = {"key": "base", "take": True, "reason": "wet week", "at": AT, "author": "Wren"}
    after = sent(client, f"{of}/take", body)
    one = next(row for row in after["told"]["lessons"] if row["key"] == "base")
    now = client.get("/api/ways").json()
    assert (one["state"], one["reason"], one["by"]) == ("taken", "wet week", "Wren")
    assert now["version"] == was["version"] + 1 and now["ways"]["learnt"]["base"]["jobs"] > 1
    assert sent(client, f"{of}/take", body, 422)["path"] == "key"
    forged = {
        "key": "trench",
        "taken": True,
        "old": {"mean": 1, "sd": 1, "jobs": 1},
        "new": {"mean": 9, "sd": 1, "jobs": 2},
        "at": AT,
    }
    said = {"id": "forged-lesson", "kind": "lesson", "revision": 1, "values": forged, "who": "Odo"}
    assert "do not hold" in sent(client, f"/api/jobs/{poured}/records", said, 422)["detail"]
    back = sent(client, f"{of}/undo", {"key": "base", "at": AT})
    assert next(row for row in back["told"]["lessons"] if row["key"] == "base")["state"] == "open"
    assert client.get("/api/ways").json()["ways"] == was["ways"]
    no = sent(client, f"{of}/take", {"key": "base", "take": False, "at": AT})
    assert next(row for row in no["told"]["lessons"] if row["key"] == "base")["state"] == "left"
    assert sent(client, f"{of}/undo", {"key": "gone", "at": AT}, 422)["detail"]
    sent(client, f"{of}/undo", {"key": "base", "at": AT})
    for body in ({}, {"key": "base", "take": True, "at": "soon"}, {"key": "base", "at": AT, "take": True, "more": 1}):
        sent(client, f"{of}/take", body, 422)


def test_prices_ways_and_archives_are_the_owners():
    crew, owner = (_device(role) for role in ("crew", "owner"))
    for method, path in (
        ("POST", "lessons/take"),
        ("POST", "lessons/undo"),
        ("POST", "rack"),
        ("GET", "invoice.pdf"),
        ("GET", "archive.zip"),
    ):
        assert may(owner, method, f"/api/jobs/j/{path}") and not may(crew, method, f"/api/jobs/j/{path}"), path
    for method, path in (
        ("GET", "lessons"),
        ("GET", "built"),
        ("GET", "hand-over.pdf"),
        ("GET", "as-built.dxf"),
        ("POST", "second-job"),
    ):
        assert may(crew, method, f"/api/jobs/j/{path}"), path


def _device(role):
    fields = dict.fromkeys(Device.__dataclass_fields__, "") | {"role": role, "job_id": None}
    return Device(**fields)


def test_how_it_stands_leaves_as_paper_drawing_and_job_file(client, poured):
    joint = next(one for one in got(client, f"/api/jobs/{poured}/built").json()["things"] if one["thing"] == "joint")
    said = {"thing": "joint", "of": joint["of"], "dx_mm": "2 in", "words": "the saw wandered", "at": AT}
    recorded(client, poured, "as_built", said)
    state = got(client, f"/api/jobs/{poured}/built").json()
    assert state["rows"][0]["words"] == "2″ right: the saw wandered" and state["rows"][0]["record"] == "rec-as_built-1"
    file = got(client, f"/api/jobs/{poured}/as-built.dxf").text
    drawing = ezdxf.read(io.StringIO(file))
    moved = [one for one in drawing.modelspace() if one.dxf.layer == "AS-BUILT" and one.dxftype() == "LWPOLYLINE"]
    (x, *_), line = moved[0][0], joint["line"]
    assert x * 25.4 == pytest.approx(line[0][0] + 50.8) and any(
        "saw wandered" in one.dxf.text for one in drawing.modelspace().query("TEXT")
    )
    text = PdfReader(io.BytesIO(got(client, f"/api/jobs/{poured}/as-built.pdf").content)).pages[0].extract_text()
    assert "the saw wandered" in text and "As built" in text
    job = got(client, f"/api/jobs/{poured}/as-built.json").json()
    brought = client.post("/api/jobs/import", content=json.dumps(job))
    assert brought.status_code == 201 and brought.json()["document"]["name"].endswith(", as built")


def test_second_pours_become_jobs_and_boards_go_to_the_rack(client, poured):
    second = got(client, f"/api/jobs/{poured}/built").json()["second"]
    kerb = next(one for one in second if one["kind"] == "kerb")
    made_jobs = sent(
        client,
        f"/api/jobs/{poured}/second-job",
        {"part": kerb["id"], "pour_at": "2027-06-24T08:00", "author": "Wren"},
        201,
    )
    assert len(made_jobs) == kerb["pieces"] == 2
    one = client.get(f"/api/jobs/{made_jobs[0]['id']}").json()
    assert one["document"]["order"]["pour_at"] == "2027-06-24T08:00" and one["figure"]["concrete"]["net_m3"] > 0
    assert sent(client, f"/api/jobs/{poured}/second-job", {"part": "gone"}, 422)["path"] == "part"
    for _ in range(100):
        rack = got(client, f"/api/jobs/{poured}/rack").json()
        if rack["counting"] is None:
            break
        time.sleep(0.1)
    assert rack["back"] and not rack["record"]
    was = client.get("/api/ways").json()["ways"]["forms"]["on_hand"]
    done = sent(client, f"/api/jobs/{poured}/rack", {"back": True, "at": AT, "author": "Odo"})
    assert done["record"] and done["back"] == rack["back"] and (done["done_text"], done["by"]) == ("Fri 18 Jun", "Odo")
    sent(client, f"/api/jobs/{poured}/rack", {"back": True, "at": AT}, 422)
    assert len(client.get("/api/ways").json()["ways"]["forms"]["on_hand"]) > len(was)
    undone = sent(client, f"/api/jobs/{poured}/rack", {"back": False, "at": AT})
    assert not undone["record"] and client.get("/api/ways").json()["ways"]["forms"]["on_hand"] == was


def test_hand_over_bill_and_archive_hold_what_they_say(client, poured):
    told = got(client, f"/api/jobs/{poured}/hand-over?today=2027-06-20").json()
    assert any("not sawn" in one for one in told["told"]["open"]) and told["invoice"]["number"] == "270620-1"
    pages = PdfReader(io.BytesIO(got(client, f"/api/jobs/{poured}/hand-over.pdf?today=2027-06-20").content)).pages
    text = " ".join(page.extract_text() for page in pages)
    assert "Still open" in text and "From when on" in text and "silica" in text
    bill = PdfReader(io.BytesIO(got(client, f"/api/jobs/{poured}/invoice.pdf?today=2027-06-20").content)).pages
    assert len(bill) == 1 and f"{told['invoice']['total_cents'] / 100:,.2f}" in bill[0].extract_text()
    packed = zipfile.ZipFile(io.BytesIO(got(client, f"/api/jobs/{poured}/archive.zip?reading=abc").content))
    names = set(packed.namelist())
    assert {
        "job.json",
        "as-built.json",
        "records.jsonl",
        "answers.json",
        "plan.dxf",
        "papers.pdf",
        "days.ics",
        "about.txt",
    } <= names
    kinds = [json.loads(line)["kind"] for line in packed.read("records.jsonl").decode().splitlines()]
    assert kinds.count("ticket") >= 3 and json.loads(packed.read("answers.json"))["lessons"]
    again = client.post("/api/jobs/import", content=packed.read("job.json"))
    assert again.status_code == 201 and client.get("/api/packs/abc").json() == {"share": None}
    titles = [one.title for one in PdfReader(io.BytesIO(packed.read("papers.pdf"))).outline]
    assert {"As built", "Hand-over"} <= set(titles)


def test_boards_that_left_the_rack_are_not_taken_off_it_and_bad_bodies_are_refused(client, poured):
    for _ in range(100):
        if got(client, f"/api/jobs/{poured}/rack").json()["counting"] is None:
            break
        time.sleep(0.1)
    sent(client, f"/api/jobs/{poured}/rack", {"back": True, "at": AT})
    held = client.get("/api/ways").json()
    bare = held["ways"] | {"forms": held["ways"]["forms"] | {"on_hand": []}}
    kept = client.put("/api/ways", json={"version": held["version"], "ways": bare, "author": "Wren"})
    assert kept.status_code == 200, kept.text[:200]
    answer = sent(client, f"/api/jobs/{poured}/rack", {"back": False, "at": AT}, 422)
    assert "left the rack meanwhile" in answer["detail"] and got(client, f"/api/jobs/{poured}/rack").json()["record"]
    version = client.get("/api/ways").json()["version"]
    client.put("/api/ways", json={"version": version, "ways": held["ways"], "author": "Wren"})
    assert not sent(client, f"/api/jobs/{poured}/rack", {"back": False, "at": AT})["record"]
    sent(client, f"/api/jobs/{poured}/rack", {"back": False, "at": AT}, 422)
    for body in ({}, {"back": "soon", "at": AT}, {"back": True, "at": "soon"}):
        sent(client, f"/api/jobs/{poured}/rack", body, 422)


def test_a_job_without_an_outline_is_refused_in_plain_words(client):
    job = client.post("/api/jobs", json={"name": "Bare", "units": "mm", "author": "Wren"}).json()["id"]
    for path in (
        "lessons",
        "built",
        "hand-over",
        "rack",
        "as-built.pdf",
        "as-built.dxf",
        "as-built.json",
        "hand-over.pdf",
        "invoice.pdf",
        "archive.zip",
    ):
        answer = client.get(f"/api/jobs/{job}/{path}")
        assert answer.status_code == 422 and answer.json()["detail"].startswith("There is no outline yet"), path


def test_the_crew_sees_lessons_without_money_and_takes_none(client, poured):
    crew = joined(client)
    state = crew.get(f"/api/jobs/{poured}/lessons").json()
    assert state["told"]["lessons"] and not state["may_take"]
    assert state["told"]["money"] == [] and state["told"]["kept_text"] == ""
    assert crew.get(f"/api/jobs/{poured}/hand-over").json()["invoice"] is None
    answer = crew.post(f"/api/jobs/{poured}/lessons/take", json={"key": "base", "take": True, "at": AT})
    assert (answer.status_code, answer.json()["code"]) == (403, "not-yours")
    assert not crew.get(f"/api/jobs/{poured}/rack").json()["may"]
