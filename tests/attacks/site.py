"""The local network: numbers guessed, tokens replayed, foreign pages, two phones of one name, a long queue, a server put back."""

import json
import random
import time

from humble_trowel.site.join_code import JoinCode
from humble_trowel.store.copies import backup, restore
from tests.api.test_api import opened, start
from tests.attacks.told import Told
from tests.phones import HOST, joined, number, opened_site, phone, site_of


def guessed_numbers(folder, numbers, seed=1):
    """Every address tries as fast as it may, in turn, on one number after the other; none may come in, and each number must
    die of five. What a guesser would hit in a million tries is worked out with the code alone."""
    draw, found, tries = random.Random(seed), [], 0
    with start(folder) as client:
        opened_site(client)
        for _ in range(numbers):
            out = number(client)
            for at in range(7):
                guess = f"{draw.randrange(10**6):06d}"
                if guess == out:
                    continue
                tries += 1
                answer = phone(client, address=f"198.51.{draw.randrange(100, 102)}.{draw.randrange(1, 255)}").post(
                    "/api/site/join", json={"name": "Guess", "number": guess}
                )
                if answer.status_code != 429:
                    found.append(f"{guess}: {answer.status_code}")
                dead = client.get("/api/site/state").json()["number"] == ""
                if at >= 4 and not dead:
                    found.append(f"a number lived through {at + 1} tries")
        if client.get("/api/site/state").json()["devices"]:
            found.append("somebody came in")
    code, hits = JoinCode(), 0
    for at in range(20_000):
        code.renew(0.0)
        hits += any(code.take(f"{draw.randrange(10**6):06d}", f"a{at}-{i}", 0.0) for i in range(5))
    if hits > 2:  # 100,000 tries, one in a million each
        found.append(f"{hits} of 100,000 guesses hit")
    return Told("numbers guessed", tries + 100_000, found)


def replayed_tokens(folder):
    """A token after a throw-out, of another laptop, cut, changed, or none of ours, at every address there is."""
    found, count = [], 0
    with start(folder) as client, start(folder.with_name("other")) as other:
        crew, stranger = joined(client), joined(other)
        job, good = opened(client), crew.cookies["trowel"]
        thrown = crew.device
        client.post(f"/api/site/devices/{thrown}/throw-out")
        tokens = (
            good,
            stranger.cookies["trowel"],
            good[:-1],
            good.swapcase(),
            "",
            "x" * 5000,
            "../devices",
            "null",
            '"',
        )
        for token in tokens:
            for path, _, methods in client.app.state.addresses:
                for method in methods:
                    at = path.replace("{job_id}", job["id"]).replace("{", "").replace("}", "")
                    if (
                        at.startswith("/api/site/")
                        and at.rsplit("/", 1)[1] in ("hello", "me", "join", "look", "authority.crt")
                    ) or at == "/api/health":
                        continue
                    count += 1
                    answer = phone(client).request(method, at, headers={"cookie": f"trowel={token}"})
                    if answer.status_code not in (401, 400):
                        found.append(f"{method} {at} with {token[:12]}: {answer.status_code}")
    return Told("tokens replayed", count, found)


ORIGINS = (
    "https://evil.example",
    "null",
    "http://127.0.0.1:8710",
    f"http://{HOST}:9999",
    f"http://{HOST}.evil.example:8743",
    "file://",
)
HOSTS = ("evil.example", f"{HOST}.evil.example", "127.0.0.1:8743", "localhost", "[::1]", "127.0.0.2@evil.example")


def foreign_pages(folder):
    """Pages of elsewhere, other names for the laptop, forms, frames, sockets, over all three doors."""
    found, count = [], 0
    with start(folder) as client:
        crew = joined(client)
        job = opened(client)
        jar = {"cookie": f"trowel={crew.cookies['trowel']}"}
        doors = (client, crew, phone(client, "locked"))
        for door in doors:
            for path in ("/api/jobs", f"/api/jobs/{job['id']}", "/api/site/me", "/api/site/who", "/"):
                for headers in ([{"origin": one} for one in ORIGINS if not (door is client and one.endswith(":8710"))] + [{"host": one} for one in HOSTS if not (door is client and one in ("localhost", "[::1]", "127.0.0.1:8743"))]
                                + [{"sec-fetch-site": "cross-site", "sec-fetch-mode": mode, "sec-fetch-dest": dest} for mode, dest in (("cors", "empty"), ("no-cors", "script"), ("navigate", "iframe"), ("no-cors", "image"))]):  # fmt: skip
                    count += 1
                    answer = door.get(path, headers={**jar, **headers})
                    if answer.status_code not in (400, 403):
                        found.append(f"{path} {headers}: {answer.status_code}")
                    if answer.headers.get("x-frame-options") != "DENY":
                        found.append(f"{path} may be framed")
            for kind in ("application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "text/plain"):
                for path in ("/api/site/join", f"/api/jobs/{job['id']}/edits", f"/api/jobs/{job['id']}/records"):
                    count += 1
                    answer = door.post(path, content=b"a=b", headers={**jar, "content-type": kind})
                    if answer.status_code not in (403, 415, 422):
                        found.append(f"a form at {path}: {answer.status_code}")
    return Told("foreign pages, names and forms", count, found)


def _shot(job, name, who):
    values = {"measures": [{"from": 0, "to": 1, "mm": "14' 6\""}]}
    return {
        "id": name,
        "kind": "taped",
        "revision": job["revision"],
        "values": values,
        "who": who,
        "at_device": "2020-01-01T00:00:00+00:00",
    }


def one_name(folder, each):
    """Two phones of one name, one of them with its clock a year behind, write at once; all of it is there, and they are told apart."""
    found = []
    with start(folder) as client:
        phones, job = [joined(client), joined(client, address="192.0.2.8")], opened(client)
        for at in range(each):
            for own in phones:
                answer = own.post(f"/api/jobs/{job['id']}/records", json=_shot(job, f"{own.device}-{at:05}", "Tamsin"))
                found += [] if answer.status_code == 201 else [f"{answer.status_code}: {answer.text[:80]}"]
        kept = client.get(f"/api/jobs/{job['id']}/records", params={"kind": "taped"}).json()
        there = [row["id"] for row in kept if row["who"] == "Tamsin" and row["at_device"].startswith("2020")]
        if len(there) != 2 * each or len(set(there)) != 2 * each:
            found.append(f"{len(there)} of {2 * each} are there")
        if {row["mark"] for row in client.get("/api/site/state").json()["devices"]} != {"1", "2"}:
            found.append("they look the same")
    return Told("two phones of one name, a clock a year behind", 2 * each, found)


def long_queue(folder, rows):
    """A phone comes back with so many records, and sends half of them twice: each is there once, in its order."""
    found = []
    with start(folder) as client:
        crew, job = joined(client), opened(client)
        before = len(client.get(f"/api/jobs/{job['id']}/records").json())
        began = time.monotonic()
        names = [f"queue-{at:06}" for at in range(rows)]
        for at, name in enumerate(names):
            for _ in range(1 + at % 2):
                answer = crew.post(f"/api/jobs/{job['id']}/records", json=_shot(job, name, "Tamsin"))
                found += [] if answer.status_code == 201 else [f"{name}: {answer.status_code} {answer.text[:80]}"]
        took = time.monotonic() - began
        kept = [row["id"] for row in client.get(f"/api/jobs/{job['id']}/records").json()]
        if len(kept) != before + rows:
            found.append(f"{len(kept) - before} of {rows} are there")
        if [one for one in kept[::-1] if one.startswith("queue-")] != names:
            found.append("they are not in their order")
        if took > rows * 0.05:
            found.append(f"it took {took:.0f} s")
    return Told("a queue of records that comes late, half of it twice", rows, found)


def put_back(folder, rows):
    """The laptop is put back to yesterday while a phone holds records of today, made on a plan that is lost: they arrive."""
    found = []
    with start(folder) as client:
        crew, job = joined(client), opened(client)
        yesterday = folder / "yesterday.sqlite3"
        backup(site_of(client).settings.database, yesterday)
        edit = {
            "revision": 1,
            "author": "Wren",
            "edit_id": "today-edit-1",
            "edits": [{"op": "set_side", "side": job["document"]["corner_ids"][0], "length": "16'"}],
        }
        assert client.post(f"/api/jobs/{job['id']}/edits", json=edit).status_code == 200
        today = opened(crew)
        crew.post(f"/api/jobs/{job['id']}/records", json=_shot(today, "sent-before", "Tamsin"))
        restore(site_of(client).settings.database, yesterday, "attack")
        for at in range(rows):
            said = _shot(today, f"held-{at:05}", "Tamsin")
            answer = crew.post(f"/api/jobs/{job['id']}/records", json=said)
            if answer.status_code == 422 and answer.json()["path"] == "revision":  # as the outbox does
                newest = crew.get(f"/api/jobs/{job['id']}").json()["revision"]
                answer = crew.post(f"/api/jobs/{job['id']}/records", json={**said, "revision": newest})
            found += [] if answer.status_code == 201 else [f"{answer.status_code}: {json.dumps(answer.json())[:120]}"]
        kept = {row["id"] for row in client.get(f"/api/jobs/{job['id']}/records").json()}
        if not {f"held-{at:05}" for at in range(rows)} <= kept:
            found.append("not all of them are there")
    return Told("a laptop put back to yesterday", rows, found)
