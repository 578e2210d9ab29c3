"""The route of the order: a tab's answer, what is tried on top, wrong bodies in plain words, papers that open."""

import io
import json

import pytest
from openpyxl import load_workbook
from tests.api.test_api import start
from tests.plans import job as job_file


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


def made(client, **changes):
    said = {
        "order": {"spacing_min": 45, "pour_at": "2027-06-17T06:30"},
        "outline": [[0, 0], [12000, 0], [12000, 8000], [0, 8000]],
    }
    answer = client.post("/api/jobs/import", content=json.dumps(job_file(**(said | changes))))
    assert answer.status_code in (200, 201), answer.text
    return answer.json()["id"]


def asked(client, job, **body):
    return client.post(f"/api/jobs/{job}/order", json=body)


def test_each_tab_gets_its_own_answer(client):
    job = made(client)
    for tab, keys in {
        "sure": {"sure"},
        "mix": {"mix", "heat"},
        "trucks": {"delivery"},
        "cost": {"cost"},
        "ledger": set(),
    }.items():
        state = asked(client, job, tab=tab).json()
        assert {key for key in ("sure", "mix", "heat", "delivery", "cost") if state[key] is not None} == keys


def test_a_spacing_and_an_edit_are_tried_and_not_kept(client):
    job = made(client)
    tried = asked(client, job, tab="trucks", spacing_min=12).json()["delivery"]
    assert (tried["spacing_min"], tried["spacing_said"]) == (12, True)
    other = asked(client, job, tab="trucks", seed=21).json()["delivery"]
    assert other["days"][0]["seed"] == 21 and other["spacing_min"] == 45
    edit = {"op": "say_order", "ordered": "20", "why": "pads"}
    assert asked(client, job, tab="sure", edits=[edit]).json()["sure"]["called"]["order_m3"] == 20
    assert not asked(client, job, tab="sure").json()["sure"]["said"]


def test_wrong_bodies_are_refused_beside_the_field(client):
    job = made(client)
    for body in ({"spacing_min": 0}, {"tab": "prices"}, {"today": "soon"}, {"seed": -1}):
        got = asked(client, job, **body)
        assert got.status_code == 422 and got.json()["detail"]
    why = asked(client, job, edits=[{"op": "say_order", "ordered": "20", "why": ""}])
    assert why.status_code == 422 and "Say why" in why.json()["detail"]
    keep = {"revision": 1, "edit_id": "spacing-0", "edits": [{"op": "set_fields", "values": {"order.spacing_min": 0}}]}
    refused = client.post(f"/api/jobs/{job}/edits", json=keep)
    assert refused.status_code == 422 and refused.json()["path"].endswith("order.spacing_min")


def test_the_quote_and_the_table_open(client):
    job = made(client)
    for paper in ("letter", "a4"):
        pdf = client.get(f"/api/jobs/{job}/quote.pdf?paper={paper}&today=2027-06-01")
        assert pdf.content.startswith(b"%PDF") and "-quote.pdf" in pdf.headers["content-disposition"]
    book = load_workbook(io.BytesIO(client.get(f"/api/jobs/{job}/cost.xlsx").content))
    assert book.active["B2"].value == "Concrete"
    assert client.get(f"/api/jobs/{job}/quote.pdf?today=June").status_code == 422
