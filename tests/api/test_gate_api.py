"""The routes of the gate: holds with what is tried, days, papers as PDF, the box, calendars, the week; wrong bodies."""

import io
from datetime import date

import pytest
from icalendar import Calendar
from pypdf import PdfReader, PdfWriter
from tests.api.test_api import keep, opened, start
from tests.api.test_day_api import made, recorded

TODAY = "2027-06-08"
AT = "2027-06-15T15:20"


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def house(client):
    return made(client)


def gate(client, job, tab="holds", *edits, **said):
    answer = client.post(f"/api/jobs/{job}/gate", json={"edits": list(edits), "today": TODAY, "tab": tab, **said})
    assert answer.status_code == 200, answer.text
    return answer.json()


def codes(state):
    return [row["code"] for row in state["told"]["holds"]]


def test_a_record_lifts_its_hold_and_undo_brings_it_back(client, house):
    assert "permit/permit" in codes(gate(client, house))
    kept = recorded(client, house, "paper", {"paper": "permit", "state": "here", "at": AT})
    state = gate(client, house)
    assert "permit/permit" not in codes(state) and "paper/permit" in [row["code"] for row in state["told"]["lifted"]]
    struck = {
        "id": "rec-struck-1",
        "kind": "struck",
        "revision": 1,
        "values": {"why": ""},
        "who": "Wren",
        "supersedes": kept["id"],
    }
    assert client.post(f"/api/jobs/{house}/records", json=struck).status_code == 201
    assert "permit/permit" in codes(gate(client, house))


def test_a_failed_look_holds_and_is_read_in_the_units_of_the_job(client, house):
    row = next(
        row for place in gate(client, house)["walk"]["places"] for row in place["rows"] if row["id"].endswith("/deep")
    )
    recorded(
        client,
        house,
        "check",
        {"row": row["id"], "verdict": "pass", "readings_mm": ["12 1/2 in"], "by": "Wren", "at": AT},
    )
    state = gate(client, house)
    now = next(one for place in state["walk"]["places"] for one in place["rows"] if one["id"] == row["id"])
    assert (now["state"] == "mend" and now["read_text"].startswith("12 1⁄2")) or "12" in now["read_text"]
    assert f"walk/{row['id']}" in codes(state)


def test_a_hard_hold_is_refused_beside_its_field_and_a_soft_one_kept(client, house):
    said = {
        "id": "rec-hard-0001",
        "kind": "overruled",
        "revision": 1,
        "who": "Wren",
        "values": {"hold": "visit/visit", "by": "Wren", "reason": "late", "at": AT},
    }
    refused = client.post(f"/api/jobs/{house}/records", json=said)
    assert refused.status_code == 422 and refused.json()["path"] == "hold" and "inspector" in refused.json()["detail"]
    nameless = said | {"id": "rec-soft-0001", "values": {"hold": "paper/tests", "by": "", "reason": "seen", "at": AT}}
    assert client.post(f"/api/jobs/{house}/records", json=nameless).json()["path"] == "by"
    kept = nameless | {"values": {**nameless["values"], "by": "Juno"}}
    assert client.post(f"/api/jobs/{house}/records", json=kept).status_code == 201
    assert [row["overruled_by"] for row in gate(client, house)["told"]["overruled"]] == ["Juno"]


def test_rain_that_is_tried_moves_the_plastic_and_nothing_is_kept(client):
    job = made(client, order={"pour_at": None}, schedule={"start_on": None, "tasks": []})
    plain = gate(client, job, "trades")["schedule"]
    laid = next(row for row in plain["tasks"] if row["key"] == "barrier")
    wet = gate(client, job, "trades", {"op": "say_day", "on": laid["start"], "rain_mm": 18})["schedule"]
    moved = next(row for row in wet["tasks"] if row["key"] == "barrier")
    assert moved["start"] > laid["start"] and moved["refused"][0]["on"] == laid["start"]
    assert gate(client, job, "trades")["schedule"]["tasks"] == plain["tasks"]


def test_a_loop_among_tasks_is_said_and_holds_go_on(client):
    job = made(
        client, order={"pour_at": None}, schedule={"start_on": None, "tasks": [{"key": "stone", "after": ["barrier"]}]}
    )
    state = gate(client, job, "trades")
    assert state["schedule"] is None and "wait for one another" in state["wrong"]
    assert gate(client, job)["told"]["may_pour"] is False


def test_a_change_is_weighed_before_it_is_kept(client, house):
    edit = {"op": "call", "text": "P1", "at": [5000.0, 3000.0]}
    effect = gate(client, house, "changes", edit)["effect"]
    assert effect["concrete_m3"] > 0 and effect["concrete_text"].startswith("+") and effect["price_cents"] > 0


def pdf(pages=2):
    writer = PdfWriter()
    for _ in range(pages):
        writer.add_blank_page(200, 200)
    out = io.BytesIO()
    writer.write(out)
    return out.getvalue()


def test_a_paper_comes_as_a_pdf_into_the_box_and_out_of_it(client, house):
    assert client.put(f"/api/jobs/{house}/photos/paper-0001", content=pdf()).status_code == 200
    there = client.get(f"/api/jobs/{house}/photos/paper-0001")
    assert there.headers["content-type"] == "application/pdf" and there.content.startswith(b"%PDF")
    before = len(
        PdfReader(io.BytesIO(client.get(f"/api/jobs/{house}/pack.pdf", params={"today": TODAY}).content)).pages
    )
    recorded(
        client,
        house,
        "paper",
        {"paper": "permit", "state": "here", "photo": "paper-0001", "file_name": "permit.pdf", "at": AT},
    )
    box = PdfReader(io.BytesIO(client.get(f"/api/jobs/{house}/pack.pdf", params={"today": TODAY}).content))
    assert len(box.pages) == before + 2
    titles = [one.title for one in box.outline]
    assert titles[0] == "Tansy Hollow honey house" and "Building permit: permit.pdf" in titles
    assert "Building permit" in box.pages[0].extract_text()
    for bad in (b"%PDF-1.7 nothing", pdf()[:300]):
        assert client.put(f"/api/jobs/{house}/photos/paper-0002", content=bad).status_code == 422


def test_the_walk_on_paper_has_the_inspectors_list(client, house):
    read = PdfReader(io.BytesIO(client.get(f"/api/jobs/{house}/walk.pdf").content))
    text = "".join(page.extract_text() for page in read.pages)
    assert "The inspector" in text and "Trench clean" in text and len(read.pages) >= 3


def events(client, path, **query):
    calendar = Calendar.from_ical(client.get(path, params={"today": TODAY, **query}).content)
    return {str(one["uid"]): one for one in calendar.walk("VEVENT")}


def test_a_calendar_imported_twice_moves_an_event_and_doubles_none(client):
    job = made(
        client,
        schedule={
            "start_on": None,
            "tasks": [{"key": "steel", "on": "2027-06-21", "booked_by": "Tamsin", "people": ["Tamsin"]}],
        },
    )
    path = f"/api/jobs/{job}/calendar.ics"
    first = events(client, path)
    state = client.get(f"/api/jobs/{job}").json()
    assert keep(client, state, {"op": "set_task", "task": "steel", "changes": {"on": "2027-06-23"}}).status_code == 200
    second = events(client, path)
    assert first.keys() == second.keys()
    uid = f"{job}-steel@humble-trowel"
    assert (first[uid].decoded("dtstart"), second[uid].decoded("dtstart")) == (date(2027, 6, 21), date(2027, 6, 23))
    assert int(second[uid]["sequence"]) > int(first[uid]["sequence"])
    pour = second[f"{job}-pour@humble-trowel"].decoded("dtstart")
    assert (pour.hour, pour.minute) == (6, 30) and pour.utcoffset().total_seconds() == -4 * 3600
    own = events(client, "/api/week/calendar.ics", person="Tamsin")
    assert uid in own and all("Tamsin" in str(one.get("description", "")) or key != uid for key, one in own.items())


def test_the_week_of_the_demo_finds_birk_twice(client):
    week = client.get("/api/week", params={"from_day": "2027-06-14"}).json()["week"]
    assert week["verdict"] == "Birk is in two places." and {row["kind"] for row in week["clashes"]} == {
        "twice",
        "short",
        "plant",
    }
    assert client.get("/api/week", params={"from_day": "the 14th"}).status_code == 422


def test_the_yard_says_when_it_is_poured_and_what_comes_next(client):
    rows = {row["name"]: row for row in client.get("/api/jobs").json()}
    house, shelter = rows["Tansy Hollow honey house"], rows["Cole Street bus shelter"]
    assert house["pour_at"] == "2027-06-17T06:30" and house["holds"] > 0 and house["next_act"]
    assert shelter["holds"] == 0 and {row["key"] for row in house["days"]} >= {"steel", "visit"}
    assert opened(client, "Tansy")


@pytest.mark.parametrize(
    "body",
    [
        {},
        {"today": "soon"},
        {"today": TODAY, "tab": "other"},
        {"today": TODAY, "edits": 3},
        {"today": TODAY, "more": 1},
    ],
)
def test_wrong_bodies_are_refused(client, house, body):
    assert client.post(f"/api/jobs/{house}/gate", json=body).status_code == 422


def test_a_locked_pdf_is_refused_with_what_to_do(client, house):
    writer = PdfWriter()
    writer.add_blank_page(200, 200)
    writer.encrypt("secret", algorithm="RC4-128")
    out = io.BytesIO()
    writer.write(out)
    refused = client.put(f"/api/jobs/{house}/photos/paper-0003", content=out.getvalue())
    assert refused.status_code == 422 and "without a password" in refused.json()["detail"]
