"""Rubbish sent to any address is answered as a problem in plain words, never with a fault of the program."""

import pytest
from tests.api.test_api import client, opened  # noqa: F401

BODIES = [
    b"",
    b"{",
    b"[]",
    b"null",
    b'"text"',
    b'{"revision": -1}',
    b'{"revision": 1e99, "edits": 7}',
    b"\xff\xfe",
    b'{"a":' * 2000,
]


@pytest.mark.parametrize("body", BODIES)
def test_every_address_that_takes_a_body(client, body):  # noqa: F811
    job_id = opened(client)["id"]
    paths = [f"/api/jobs/{job_id}/{end}" for end in ("edits", "figure", "walk", "undo", "redo", "go-back")]
    for method, path in [("POST", path) for path in [*paths, "/api/jobs", "/api/jobs/import"]] + [("PUT", "/api/ways")]:
        answer = client.request(method, path, content=body, headers={"content-type": "application/json"})
        assert 400 <= answer.status_code < 500, (path, body)
        problem = answer.json()
        assert answer.headers["content-type"] == "application/problem+json"
        assert problem["detail"].endswith((".", "?")) and problem["status"] == answer.status_code
    assert opened(client)["revision"] == 1


@pytest.mark.parametrize("job_id", ["nothing", "a" * 300, "'; drop table jobs; --"])
def test_jobs_that_are_not_there(client, job_id):  # noqa: F811
    for path in ("", "/file", "/revisions"):
        assert client.get(f"/api/jobs/{job_id}{path}").status_code == 404
    assert len(client.get("/api/jobs").json()) == 4


def test_steps_that_are_not_there(client):  # noqa: F811
    state = opened(client)
    for step in ("undo", "redo"):
        answer = client.post(f"/api/jobs/{state['id']}/{step}", json={"revision": 1})
        assert (answer.status_code, answer.json()["code"]) == (409, "nothing-to-do")
    assert client.post(f"/api/jobs/{state['id']}/go-back", json={"revision": 1, "n": 99}).status_code == 404
    assert client.post(f"/api/jobs/{state['id']}/figure", json={"revision": 99}).status_code == 404
