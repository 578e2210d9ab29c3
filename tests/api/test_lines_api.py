"""The lines over the interface: set-out, squaring, records, forms, papers and files of points."""

import csv
import io

import pytest
from tests.api.test_api import HOST, keep, opened, start
from tests.files.test_points_files import box, drawing


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        yield client


@pytest.fixture
def house(client):
    return opened(client, "Tansy")


def at(state, path):
    return f"/api/jobs/{state['id']}/{path}"


def test_the_demo_is_set_out_squared_formed_and_cut(client, house):
    sheet = client.get(at(house, "set-out")).json()
    assert sheet["baseline"] == "A to B" and len(sheet["swing"]) == 8
    forms = client.get(at(house, "forms")).json()
    assert [row["code"] for row in forms["findings"]] == ["form-left-out"]
    cuts = client.get(at(house, "cut-plan")).json()["cuts"]
    assert any(board["on_hand"] for board in cuts["boards"]) and "one size a side" in cuts["why"]
    rounds = client.get(at(house, "records"), params={"kind": "taped"}).json()
    assert [row["verdict"] for row in rounds] == ["Out 9/16″ at I.", "Out 1 1/8″ at J."]
    again = client.post(at(house, "square"), json={"values": rounds[0]["values"]}).json()
    assert again["squared"]["acts"] == ["Rack the I to J board 1/2″ west.", "Rack the boards D to H 1/4″ west."]
    assert again["tolerance_text"] == "1/8″"


def record(values, kind="taped", **more):
    return {"id": "record-0001", "kind": kind, "revision": 1, "values": values, "who": "Juno", **more}


ROUND = {"measures": [{"from": 0, "to": 1, "mm": "14' 6\""}, {"from": 0, "to": 2, "mm": "16' 1\""}]}


def test_a_record_counts_once_is_corrected_by_another_and_never_changes(client):
    job = opened(client)
    first = client.post(at(job, "records"), json=record(ROUND))
    assert first.status_code == 201 and first.json()["shown"] == ["14′-6″", "16′-1″"]
    assert client.post(at(job, "records"), json=record(ROUND)).status_code == 201
    other = {"measures": ROUND["measures"][:1]}
    assert client.post(at(job, "records"), json=record(other)).json()["code"] == "other-record"
    mended = client.post(at(job, "records"), json=record(other, id="record-0002", supersedes="record-0001"))
    assert mended.status_code == 201
    rows = client.get(at(job, "records"), params={"kind": "taped"}).json()
    assert [(row["id"], row["superseded"]) for row in rows] == [("record-0002", False), ("record-0001", True)]
    lost = client.post(at(job, "records"), json=record(other, id="record-0003", supersedes="record-9999"))
    assert lost.status_code == 409


@pytest.mark.parametrize(
    ("measures", "path", "words"),
    [
        ([{"from": 0, "to": 1, "mm": "nonsense"}], "measures[0].mm", "Cannot read"),
        ([{"from": 0, "to": 1, "mm": "14"}], "measures[0].mm", "14 what?"),
        ([{"from": 0, "to": 1, "mm": 0}], "measures[0].mm", "reads nothing"),
        ([{"from": 0, "to": 0, "mm": 5}], "measures[0].to", "itself"),
        ([{"from": 0, "to": 7, "mm": 5}], "measures[0].to", "no corner 7"),
        ([{"from": {"side": 1, "at_mm": "90'"}, "to": 0, "mm": 5}], "measures[0].from", "past its end"),
        ([{"kind": "offset", "line": [0, 0], "off_mm": 1, "to": 2}], "measures[0].line", "two different"),
        ([{"from": 0, "to": 1, "mm": "14'"}, {"from": 1, "to": 2, "mm": "7'"}, {"from": 0, "to": 2, "mm": "30'"}],
         "measures[2].mm", "together are only"),
        ([], "measures", "needs 1 or more"),
    ],
)  # fmt: skip
def test_measures_that_cannot_be_are_told_beside_their_field(client, measures, path, words):
    job = opened(client)
    for where, body in (("square", {"values": {"measures": measures}}), ("records", record({"measures": measures}))):
        problem = client.post(at(job, where), json=body)
        assert problem.status_code == 422, where
        assert problem.json()["path"] == path and words in problem.json()["detail"]
    assert client.get(at(job, "records"), params={"kind": "taped"}).json() == []


def test_the_form_left_out_is_ticked_when_it_stands_again(client, house):
    assert client.post(at(house, "records"), json=record({"side": 3}, "form-back")).status_code == 201
    forms = client.get(at(house, "forms")).json()
    assert forms["findings"] == [] and forms["back"] == [3]


def test_strings_and_tops_are_checked_without_being_kept(client, house):
    values = {"side": 0, "want_mm": "4' 2\"", "readings": [{"at_mm": 0, "mm": "4' 2 3/8\""}]}
    checked = client.post(at(house, "straight/form-levels"), json={"values": values}).json()["checked"]
    assert checked["worst"] == ["At 0″: up 3/8″."]
    bad = client.post(at(house, "straight/string-gaps"), json={"values": {"side": 0, "block_mm": "0", "readings": []}})
    assert bad.status_code == 422


def test_papers_and_files_are_what_they_say(client, house):
    for paper in ("a4", "letter"):
        pdf = client.get(at(house, "set-out.pdf"), params={"paper": paper})
        assert pdf.content.startswith(b"%PDF") and "attachment" in pdf.headers["content-disposition"]
        assert pdf.content == client.get(at(house, "set-out.pdf"), params={"paper": paper}).content
    rows = list(csv.DictReader(io.StringIO(client.get(at(house, "points.csv")).text)))
    assert rows[1] == {"name": "B", "x_mm": "10972.8", "y_mm": "0.0", "along_mm": "10972.8", "left_mm": "0.0"}
    assert client.get(at(house, "set-out.csv")).text.startswith("what,name")
    assert b"OUTLINE" in client.get(at(house, "plan.dxf")).content


def test_a_dxf_becomes_the_outline_only_when_it_is_taken(client):
    job = client.post("/api/jobs", json={"name": "from a file", "units": "mm"}).json()
    data = drawing(lambda space: space.add_lwpolyline(box(0, 0, 9000, 6000), close=True))
    found = client.post(at(job, "read-points"), params={"name": "lot.dxf"}, content=data).json()
    assert found["units"] == "mm" and not found["asked"]
    assert client.get(f"/api/jobs/{job['id']}").json()["document"]["outline"] is None
    kept = keep(client, job, {"op": "take_outline", "ring": found["loops"][0]["ring"], "source": "lot.dxf"}).json()
    assert kept["figure"]["outline"]["area_m2"] == pytest.approx(54) and "lot.dxf" in kept["summary"]
    bad = client.post(at(job, "read-points"), params={"name": "x.dxf"}, content=b"\x00" * 300)
    assert bad.status_code == 422 and "no DXF" in bad.json()["detail"]
    assert client.post(at(job, "read-points"), params={"name": "x.csv"}, content=b"").status_code == 422
    assert client.post(at(job, "read-points"), content=b"a" * 25_000_000).status_code == 413


def test_a_job_without_an_outline_says_so_and_unknown_jobs_are_404(client):
    job = client.post("/api/jobs", json={"name": "bare", "units": "mm"}).json()
    for path in ("set-out", "forms", "cut-plan", "plan.dxf", "set-out.pdf", "underslab.pdf"):
        assert client.get(at(job, path)).status_code == 422
        assert client.get(f"{HOST}/api/jobs/none/{path}").status_code == 404


def test_new_sheets_come_with_their_revision_and_a_wrong_paper_is_refused(client, house):
    from pypdf import PdfReader

    for path, words in (
        ("forms", "Side by side"),
        ("check", "Tops of the forms"),
        ("call", "Read back by"),
        ("set-out", "Corners from"),
    ):
        answer = client.get(at(house, f"{path}.pdf"), params={"paper": "a4"})
        text = "".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages)
        assert words in text and "Revision 1, " in text, path
        assert f"-{path}.pdf" in answer.headers["content-disposition"]
        assert client.get(at(house, f"{path}.pdf"), params={"paper": "a0"}).status_code == 422
    made = client.post("/api/jobs", json={"name": "Nothing yet", "units": "mm"}).json()
    refused = client.get(at(made, "forms.pdf"))
    assert refused.status_code == 422 and refused.json()["path"] == "outline"
