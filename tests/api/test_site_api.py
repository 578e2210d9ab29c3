"""Several devices: who comes in, what each role may, what is told, two on one job, copies and everything in one archive."""

import sqlite3
import time
from contextlib import closing

import pytest
from tests.api.test_api import SIDE, client, keep, opened, start  # noqa: F401
from tests.phones import HOST, cookie, joined, number, opened_site, phone, site_of, token, told

from humble_trowel.site.devices import hash_of
from humble_trowel.site.roles import ASKS, CREW_SENDS, OPEN, STOPS

TAPED = {"measures": [{"from": 0, "to": 1, "mm": "14' 6\""}]}


def shot(job, name="record-0001", **more):
    body = {"id": name, "kind": "taped", "revision": job["revision"], "values": TAPED, "who": "Tamsin"}
    return {**body, **more}


def wait_for(true, seconds=3):
    for _ in range(int(seconds / 0.02)):
        if true():
            return True
        time.sleep(0.02)
    return False


def test_nobody_comes_in_without_the_number_and_one_phone_with_it_once(client):  # noqa: F811
    out = phone(client)
    for path in ("/api/jobs", "/api/ways", "/api/site/state", "/api/site/stream", f"/api/jobs/{opened(client)['id']}"):
        answer = out.get(path)
        assert (answer.status_code, answer.json()["code"]) == (401, "not-in")
    assert out.get("/").status_code == 200 and out.get("/api/site/me").json()["names"] == []
    digits = opened_site(client)
    seen = out.get("/api/site/me").json()
    assert seen["open"] and "Tamsin" in seen["names"] and seen["role"] is None
    answer = out.post("/api/site/join", json={"name": " Tamsin ", "number": f"{digits[:3]} {digits[3:]}"})
    assert answer.json() == {"name": "Tamsin", "role": "crew", "job": None}
    assert "HttpOnly" in cookie(answer) and "SameSite=strict" in cookie(answer) and "Secure" not in cookie(answer)
    assert out.get("/api/jobs").status_code == 200 and out.get("/api/site/me").json()["name"] == "Tamsin"
    again = phone(client, address="192.0.2.8").post("/api/site/join", json={"name": "Juno", "number": digits})
    assert again.status_code == 429  # once
    assert "Secure" in cookie(
        phone(client, "locked", "192.0.2.9").post("/api/site/join", json={"name": "Juno", "number": number(client)})
    )
    kept = site_of(client).devices.path.read_bytes() + b"".join(
        p.read_bytes() for p in site_of(client).folder.glob("*-wal")
    )
    assert hash_of(token(answer)).encode() in kept and token(answer).encode() not in kept


def test_wrong_numbers_wait_are_counted_and_end_the_number(client):  # noqa: F811
    opened_site(client)
    tries = [
        phone(client, address=f"192.0.2.{at}").post("/api/site/join", json={"name": "Odo", "number": "1"})
        for at in range(10, 15)
    ]
    assert [one.status_code for one in tries] == [429] * 5 and "Wait 30 s" in tries[0].json()["detail"]
    assert tries[0].headers["retry-after"] == "30"
    state = client.get("/api/site/state").json()
    assert (state["number"], state["wrong"], state["ended_by_tries"]) == ("", 5, True)
    digits = number(client)
    blocked = phone(client, address="192.0.2.10").post("/api/site/join", json={"name": "Odo", "number": digits})
    assert blocked.status_code == 429  # even the right one, until the wait is over
    assert (
        phone(client, address="192.0.2.99").post("/api/site/join", json={"name": "Odo", "number": digits}).status_code
        == 200
    )
    client.post("/api/site/shut")
    assert (
        phone(client, address="192.0.2.98").post("/api/site/join", json={"name": "Odo", "number": digits}).status_code
        == 429
    )


@pytest.mark.parametrize("name", ["", "  ", "x" * 41, "Tam\u202esin", "a\u2028b", "\u200bNell"])
def test_names_that_hide_something_are_refused_and_markup_is_only_text(client, name):  # noqa: F811
    digits = opened_site(client)
    answer = phone(client).post("/api/site/join", json={"name": name, "number": digits})
    assert answer.status_code == 422 and answer.json()["path"] == "name"
    own = phone(client)
    assert own.post("/api/site/join", json={"name": "<b>Odo</b>", "number": digits}).json()["name"] == "<b>Odo</b>"


def test_each_role_may_what_it_may_and_an_address_nobody_thought_of_is_the_owners(client):  # noqa: F811
    job = opened(client)
    crew = joined(client)
    at = f"/api/jobs/{job['id']}"
    assert crew.post(f"{at}/records", json=shot(job)).status_code == 201
    assert keep(crew, job, SIDE).status_code == 200
    for method, path in (("put", "/api/ways"), ("delete", at), ("post", f"{at}/archive"), ("get", f"{at}/quote.pdf"), ("get", f"{at}/cost.xlsx"),
                         ("get", f"{at}/as-stored"), ("get", "/api/site/state"), ("post", "/api/site/number"), ("post", "/api/site/copies"),
                         ("put", "/api/rules/limits/x"), ("post", "/api/anything/new")):  # fmt: skip
        answer = getattr(crew, method)(path)
        assert (answer.status_code, answer.json()["code"]) == (403, "not-yours"), path
    assert crew.post(f"{at}/order", json={"tab": "cost", "edits": [], "today": "2027-06-01"}).status_code == 403
    line = {"op": "add_quote_line", "name": "Away", "cents": 100}
    assert keep(crew, opened(crew), line).status_code in (403, 422)
    prices = client.get("/api/ways").json()["ways"]["prices"], crew.get("/api/ways").json()["ways"]["prices"]
    assert prices[0]["asked_on"] and prices[1]["asked_on"] != prices[0]["asked_on"]
    for route in client.app.state.addresses:
        for method in route[2] - {"GET", "HEAD"}:
            path = route[0].replace("{", "").replace("}", "")
            known = OPEN.fullmatch(path) or ASKS.fullmatch(path) or STOPS.fullmatch(path) or CREW_SENDS.fullmatch(path)
            owners = path in OWNERS
            assert bool(known) != owners, f"{method} {path}: say in site/roles.py who may"


OWNERS = {
    "/api/ways", "/api/rules/limits/key", "/api/jobs/job_id", "/api/jobs/job_id/archive", "/api/jobs/job_id/restore",
    "/api/jobs/job_id/undelete", "/api/jobs/job_id/copy", "/api/site/open", "/api/site/close", "/api/site/number", "/api/site/shut",
    "/api/site/devices/device_id/role", "/api/site/devices/device_id/throw-out", "/api/site/links", "/api/site/copies",
    "/api/site/second", "/api/site/copies/put-back", "/api/site/everything", "/api/jobs/job_id/lessons/take", "/api/jobs/job_id/lessons/undo",
    "/api/jobs/job_id/rack",
}  # fmt: skip


def test_an_owner_only_over_a_locked_line_and_never_over_who_comes_in(client):  # noqa: F811
    crew, locked = joined(client), joined(client, "Juno", "locked", "192.0.2.8")
    assert (
        "locked line" in client.post(f"/api/site/devices/{crew.device}/role", json={"role": "owner"}).json()["detail"]
    )
    assert client.post(f"/api/site/devices/{locked.device}/role", json={"role": "owner"}).status_code == 200
    state = locked.get("/api/ways").json()
    assert locked.put("/api/ways", json={"version": state["version"], "ways": state["ways"]}).status_code == 200
    assert locked.get("/api/site/state").status_code == 403
    assert client.post(f"/api/site/devices/{crew.device}/role", json={"role": "looker"}).status_code == 422


def test_a_link_lets_somebody_look_at_one_job_until_its_last_day(client):  # noqa: F811
    job, other = opened(client), opened(client, "Tansy")
    opened_site(client)
    body = {"name": "Wick", "job": job["id"], "until": "2999-01-01"}
    assert "A year" in client.post("/api/site/links", json=body).json()["detail"]
    assert "over" in client.post("/api/site/links", json={**body, "until": "2020-01-01"}).json()["detail"]
    until = time.strftime("%Y-%m-%d")
    made = client.post("/api/site/links", json={**body, "until": until}).json()
    assert made["url"].startswith(f"http://{HOST}:8743/in#look=")
    looker = phone(client)
    assert looker.post("/api/site/look", json={"token": made["url"].partition("=")[2]}).json() == {
        "name": "Wick",
        "role": "looker",
        "job": job["id"],
    }
    assert [row["id"] for row in looker.get("/api/jobs").json()] == [job["id"]]
    assert looker.get(f"/api/jobs/{job['id']}").status_code == 200
    assert looker.get(f"/api/jobs/{other['id']}").status_code == 403
    assert (
        looker.post(f"/api/jobs/{job['id']}/figure", json={"revision": job["revision"], "edits": []}).status_code == 200
    )
    assert (
        keep(looker, job, SIDE).status_code == 403
        and looker.post(f"/api/jobs/{job['id']}/records", json=shot(job)).status_code == 403
    )
    assert phone(client).post("/api/site/look", json={"token": "x" * 43}).status_code == 403
    site = site_of(client)
    with closing(sqlite3.connect(site.devices.path)) as db, db:
        db.execute("update devices set until = '2020-01-01T00:00:00+00:00' where role = 'looker'")
    site._known.clear()
    assert looker.get(f"/api/jobs/{job['id']}").status_code == 401


def test_who_is_thrown_out_is_out_at_once_on_the_stream_and_with_the_old_token(client):  # noqa: F811
    crew, site = joined(client), site_of(client)
    job = opened(crew)
    with told(site, crew.device) as heard:
        crew.post("/api/site/here", json={"job": job["id"], "lens": "ground", "waits": 2})
        row = client.get("/api/site/state").json()["devices"][0]
        assert (row["name"], row["here"]["waits"], row["here"]["reach"], row["line"]) == ("Tamsin", 2, True, "plain")
        client.post(f"/api/site/devices/{crew.device}/throw-out")
        assert wait_for(lambda: any(kind == "out" for _, kind, _ in heard))
        assert wait_for(lambda: not site.hub.listening(crew.device))
    assert (
        crew.get("/api/jobs").status_code == 401
        and crew.post(f"/api/jobs/{job['id']}/records", json=shot(job)).status_code == 401
    )
    assert client.get("/api/site/state").json()["devices"][0]["thrown_at"] and client.get("/api/site/who").json() == []
    back = joined(client)  # with a new number, as somebody new
    assert back.post(f"/api/jobs/{job['id']}/records", json=shot(job)).status_code == 201
    assert back.post("/api/site/leave").status_code == 204 and back.get("/api/jobs").status_code == 401


def test_a_request_that_is_under_way_while_its_phone_is_thrown_out_lets_it_in_no_second_time(client, monkeypatch):  # noqa: F811
    crew, site = joined(client), site_of(client)
    site._forget()
    known = site.devices.known

    def meanwhile(token, now):
        found = known(token, now)
        monkeypatch.setattr(site.devices, "known", known)
        site.throw_out(crew.device)
        return found

    monkeypatch.setattr(site.devices, "known", meanwhile)
    assert crew.get("/api/jobs").status_code == 200  # it was in when it asked
    assert crew.get("/api/jobs").status_code == 401


@pytest.mark.parametrize("bad", [{"lens": "<b>"}, {"tab": "../x"}, {"part": "A\u202eB"}, {"part": "x" * 61}, {"waits": -1}, {"spot_mm": [1]}, {"more": 1}])  # fmt: skip
def test_where_somebody_is_is_told_in_words_that_can_be_shown(client, bad):  # noqa: F811
    crew = joined(client)
    answer = crew.post("/api/site/here", json={"job": "j", "lens": "ground", **bad})
    assert answer.status_code == 422 and answer.json()["path"]
    assert client.get("/api/site/who").json() == []


def test_two_of_one_name_get_a_mark(client):  # noqa: F811
    one, two = joined(client), joined(client, address="192.0.2.8")
    for own in (one, two):
        own.post("/api/site/here", json={"job": "", "lens": ""})
    assert [row["mark"] for row in client.get("/api/site/state").json()["devices"]] == ["1", "2"]
    assert sorted(row["mark"] for row in one.get("/api/site/who").json() if row["name"] == "Tamsin") == ["1", "2"]


def test_what_one_changes_is_told_to_all_once_and_a_gap_is_filled(client):  # noqa: F811
    crew, site = joined(client), site_of(client)
    job = opened(client)
    with told(site) as heard:
        crew.post("/api/site/here", json={"job": job["id"], "lens": "lines"})  # where somebody looks changes no slab
        state = keep(crew, job, SIDE).json()
        crew.post(f"/api/jobs/{job['id']}/figure", json={"revision": state["revision"], "edits": []})
        crew.post(f"/api/jobs/{job['id']}/records", json=shot(state), headers={"x-tab": "own-tab"})
        assert wait_for(lambda: sum(kind == "job" for _, kind, _ in heard) == 2)
    changes = [data for _, kind, data in heard if kind == "job"]
    assert not [kind for _, kind, _ in heard if kind == "yard"]
    assert [(row["revision"], row["tab"]) for row in changes] == [(2, ""), (2, "own-tab")]
    assert changes[0]["by"] == crew.device and changes[0]["records"] != changes[1]["records"]
    first = next(key for key, kind, _ in heard if kind == "job")
    missed = site.hub.missed(first, "laptop")
    assert [one.data["tab"] for one in missed if one.kind == "job"] == ["own-tab"]
    assert site.hub.missed("another-12", "laptop") is None
    with told(site, last="another-12") as heard:
        assert wait_for(lambda: heard) and heard[0][1:] == ("hello", {"all": True})


def test_a_change_by_another_program_is_told_too(client):  # noqa: F811
    site, job = site_of(client), opened(client)
    with told(site) as heard, closing(sqlite3.connect(site.settings.database)) as db:
        db.row_factory = sqlite3.Row
        site.look_for_changes(db)
        with start(site.settings.data) as other:
            keep(other, job, SIDE)
        site.look_for_changes(db)
        assert wait_for(lambda: any(kind == "job" for _, kind, _ in heard))
    assert [data["job"] for _, kind, data in heard if kind == "job"] == [job["id"]]


def test_stale_edits_beside_each_other_are_both_kept_and_on_one_thing_both_versions_stand(client):  # noqa: F811
    crew, job = joined(client), opened(client)
    keep(client, job, SIDE)
    named = keep(crew, job, {"op": "set_fields", "values": {"name": "Bus stop"}})
    assert named.status_code == 200 and named.json()["document"]["name"] == "Bus stop" and named.json()["revision"] == 3
    assert named.json()["figure"]["outline"]["area_text"] == "112 sq ft"
    clash = keep(crew, job, {"op": "set_side", "side": 0, "length": "15'"})
    assert clash.status_code == 409 and clash.json()["head"]["revision"] == 3


@pytest.mark.parametrize(
    ("headers", "status"),
    [
        ({"origin": "https://evil.example"}, 403), ({"origin": "null"}, 403), ({"host": "evil.example:8743"}, 400),
        ({"origin": "http://127.0.0.1:8710"}, 403), ({"sec-fetch-site": "cross-site", "sec-fetch-mode": "cors"}, 403),
        ({"origin": f"http://{HOST}:8743"}, 200), ({}, 200),
    ],
)  # fmt: skip
def test_the_network_is_served_to_its_own_pages_alone(client, headers, status):  # noqa: F811
    crew = joined(client)
    answer = crew.get("/api/jobs", headers=headers)
    assert answer.status_code == status and answer.headers["x-frame-options"] == "DENY"
    assert "frame-ancestors 'none'" in answer.headers["content-security-policy"]
    assert (
        client.get("/api/jobs", headers={"host": f"{HOST}:8743"}).status_code == 400
    )  # the laptop's own door knows its own names
    hello = phone(client, "locked").get(
        "/api/site/hello", headers={"origin": f"http://{HOST}:8743", "sec-fetch-site": "cross-site"}
    )
    assert hello.status_code == 200 and hello.headers["access-control-allow-origin"] == f"http://{HOST}:8743"
    assert phone(client, "locked").get("/api/site/hello", headers={"origin": "https://evil.example"}).status_code == 403
