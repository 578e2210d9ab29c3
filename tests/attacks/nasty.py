"""Bodies, paths and headers that nobody sends on purpose: each is answered in plain words, with every header."""

import json
import random

from tests.attacks.told import Told

HEADERS = ("content-security-policy", "x-content-type-options", "referrer-policy", "cross-origin-opener-policy",
           "cross-origin-resource-policy")  # fmt: skip
RAW_WORDS = ("Input should", "Value error", "validation error", "Traceback", "pydantic", "sqlite3", "Expecting", "NoneType",
             "Internal Server", "valid dictionary", "unable to parse")  # fmt: skip
NASTY = (
    "1" * 400, "-" + "9" * 400, "NaN", "Infinity", "-Infinity", "1e309", "-1e309", str(2**63), str(-(2**63) - 1), "1e-320", "0.1",
    '"\\ud800"', '"\\udfff x"', '"\\u0000"', '"' + "x" * 300 + '"', '"' + "9" * 500 + '"', "[" * 900 + "]" * 900, "{}", "[]", "null", "true",
    '""', '"../../etc/passwd"', '"<script>"', "[null]", '{"a": {"a": {}}}', '"16\' 2"', "-1", "0",
)  # fmt: skip


def bodies(job, kind="ground-test"):
    """(method, path, a body that would do) of everything that takes JSON."""
    edit = {"op": "set_fields", "values": {"name": "x"}}
    at = f"/api/jobs/{job['id']}"
    corner = job["document"]["corner_ids"][0]
    side = {"op": "set_side", "side": corner, "length": "16'", "moves": "end"}
    drag = {"op": "move_corner", "corner": corner, "x_mm": 10.0, "y_mm": 20.0, "square": True}
    return [
        ("POST", "/api/jobs", {"name": "x", "units": "mm", "author": ""}),
        ("POST", f"{at}/edits", {"revision": 1, "edits": [edit], "edit_id": "edit-nasty-1", "author": ""}),
        ("POST", f"{at}/figure", {"revision": 1, "edits": [side], "quick": True, "numbers": False, "every_diagonal": False}),
        ("POST", f"{at}/figure", {"revision": 1, "edits": [drag]}),
        ("POST", f"{at}/walk", {"text": "10' e"}),
        ("POST", f"{at}/undo", {"revision": 1, "author": ""}),
        ("POST", f"{at}/go-back", {"revision": 1, "n": 1, "author": ""}),
        ("POST", f"{at}/copy", {"author": ""}),
        ("POST", f"{at}/records", {"id": "record-nasty", "kind": kind, "revision": 1, "who": "", "at_device": "", "supersedes": None,
                                   "values": {"test": "roll", "at": [100, 100], "passed": True}}),
        ("POST", f"{at}/square", {"values": {"measures": [{"from": corner, "to": corner, "mm": 5}]}}),
        ("POST", f"{at}/straight/string-gaps", {"values": {"side": corner, "block_mm": 10, "gaps": []}}),
        ("POST", f"{at}/rod-check", {"reading": None, "level_mm": 0, "surface": None, "at": None, "layer": "base"}),
        ("POST", f"{at}/section", {"start": [0, 0], "end": [1000, 1000], "edits": []}),
        ("PUT", "/api/ways", {"version": 1, "ways": {}, "author": ""}),
        ("PUT", "/api/rules/limits/x", {"version": 1, "units": "mm", "value": "1", "who": "", "at": "", "author": ""}),
        ("POST", "/api/rules/volume/x/try", {"units": "mm", "values": {}}),
        ("POST", "/api/jobs/import?author=x", {**job["document"]}),
    ]  # fmt: skip


def places(data, path=()):
    """Every place in nested data."""
    yield path
    rows = data.items() if isinstance(data, dict) else enumerate(data) if isinstance(data, list) else ()
    for key, value in rows:
        yield from places(value, (*path, key))


def with_text(data, place, text):
    """The data as JSON text with `text` put in a place as it stands."""
    mark = "\x01here\x01"

    def put(row, path):
        if not path:
            return mark
        key, rest = path[0], path[1:]
        if isinstance(row, dict):
            return {one: put(value, rest) if one == key else value for one, value in row.items()}
        return [put(value, rest) if at == key else value for at, value in enumerate(row)]

    return json.dumps(put(data, place)).replace(json.dumps(mark), text)


def paths(job):
    """Addresses that are odd in themselves: (method, path, headers)."""
    at = f"/api/jobs/{job['id']}"
    long, odd = (
        "a" * 300,
        (
            "%00",
            "%ED%A0%80",
            "..%2f..%2fetc%2fpasswd",
            "%0d%0aset-cookie:x",
            "'",
            "a" * 300,
            "%F0%9F%92%A9",
            "a" * 5000,
        ),
    )
    for sign in odd:
        for path in (f"/api/jobs/{sign}", f"{at}/{sign}", f"/{sign}", f"/job/{sign}/lines", f"/_app/{sign}.js", f"/api/rules/limits/{sign}",
                     f"{at}/ground?layer={sign}", f"{at}/records?kind={sign}", f"{at}/parts/{sign}/alone", f"{at}/set-out.pdf?paper={sign}",
                     f"{at}/revisions?before={sign}", f"{at}/straight/{sign}"):  # fmt: skip
            yield "GET", path, {}
            yield "POST", path, {"content-type": "application/json"}
    for number in (2**63, 10**400, -1, "1e9", "NaN", "0x10"):
        yield "GET", f"{at}/parts/{number}/alone", {}
        yield "GET", f"{at}/revisions?before={number}&most={number}", {}
    for method in ("PUT", "DELETE", "PATCH", "TRACE", "OPTIONS", "HEAD", "BREW"):
        for path in ("/api/jobs", f"{at}/edits", "/api/health", "/", "/api/none", f"/{long}"):
            yield method, path, {}
    for headers in ({"origin": "http://evil.example"}, {"sec-fetch-site": "cross-site"}, {"host": "evil.example"}, {"origin": "null"},
                    {"sec-fetch-site": "cross-site", "sec-fetch-mode": "navigate", "sec-fetch-dest": "document"}):  # fmt: skip
        yield "GET", "/api/jobs", headers
        yield "POST", f"{at}/undo", {**headers, "content-type": "application/json"}


def wrong(answer, refused=None):
    """What is wrong with an answer, '' where nothing is. refused: the status that it must have."""
    missing = [name for name in HEADERS if name not in answer.headers]
    if missing:
        return f"{answer.status_code} without {missing}"
    if refused and answer.status_code != refused:
        return f"{answer.status_code} instead of {refused}"
    if answer.status_code < 400 or not answer.content:
        return ""
    if answer.headers["content-type"] != "application/problem+json":
        return f"{answer.status_code} as {answer.headers['content-type']}"
    said = answer.json()
    if answer.status_code == 500 and said["code"] not in ("cannot-compute",):
        return f"500: {said['detail']}"
    if answer.status_code == 405 and not answer.headers.get("allow"):
        return "405 without allow"
    if any(word in said["detail"] for word in RAW_WORDS):
        return f"raw words: {said['detail'][:120]}"
    return "" if said["detail"].endswith((".", "?")) and said["status"] == answer.status_code else f"not plain: {said}"


def nasty_requests(client, job, count, seed=1):
    """Send them; returns Told with every answer that was not as it must be."""
    draw, found, sent = random.Random(seed), [], 0
    rows = bodies(job)
    for method, path, headers in paths(job):
        answer = client.request(method, path, headers=headers, content=b"{}" if "content-type" in headers else None)
        sent += 1
        foreign = headers.get("origin") or (headers.get("sec-fetch-site") == "cross-site")
        if why := wrong(answer, 403 if foreign and path.startswith("/api") else None):
            found.append(f"{method} {path[:80]} {headers}: {why}")
    for kind in (
        "text/plain",
        "application/x-www-form-urlencoded",
        "multipart/form-data; boundary=x",
        "",
        "application/xml",
    ):
        for method, path, body in rows[:-1]:
            answer = client.request(method, path, content=json.dumps(body), headers={"content-type": kind})
            sent += 1
            if why := wrong(answer, 415):
                found.append(f"{method} {path} as {kind!r}: {why}")
    every = [
        (method, path, body, place, text) for method, path, body in rows for place in places(body) for text in NASTY
    ]
    draw.shuffle(every)
    for method, path, body, place, text in every[: max(0, count - sent)]:
        content = with_text(body, place, text).encode("utf-8", "surrogatepass")
        answer = client.request(method, path, content=content, headers={"content-type": "application/json"})
        sent += 1
        if why := wrong(answer):
            found.append(f"{method} {path} {'.'.join(map(str, place))} = {text[:30]}: {why}")
    return Told("nasty bodies, paths and headers", sent, found)
