"""A database from before there were ids: plans and records get them once, and mean what they meant."""

import json
import sqlite3

import pytest
from tests.plans import job
from tests.store.old_rows import old_job

from humble_trowel.store import jobs, migrate, records
from humble_trowel.store.db import connect

BEAM = {"type": "B1", "path": [[3000, 0], [3000, 4000]]}
TYPES = {"beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 450}]}
TRENCH = {"stations": [{"at_mm": 0, "width_mm": 400, "depth_mm": 450}]}
FOUND = {"ground": {"benchmarks": [{"name": "nail", "level_mm": 100}]}}


@pytest.fixture
def old(tmp_path, monkeypatch):
    """A job of three revisions and four records, as the program before kept them."""
    db = connect(tmp_path / "old.sqlite3")
    everything = migrate.migrations()
    monkeypatch.setattr(migrate, "migrations", lambda: everything[:2])
    migrate.migrate(db)
    monkeypatch.setattr(migrate, "migrations", lambda: everything)
    first = job(**TYPES, **FOUND, beams=[BEAM, {**BEAM, "path": [[4500, 0], [4500, 4000]]}])
    split = [[0, 0], [2000, 0], [6000, 0], [6000, 4000], [0, 4000]]
    more = {**first, "outline": split, "beams": [{**BEAM, "path": [[3100, 0], [3100, 4000]]}, first["beams"][1]]}
    job_id = old_job(db, first, more, steps=[("undo", 1, [2]), ("redo", 2, [])])
    said = (
        ("set-up", 1, {"name": "one", "on": "nail", "backsight_mm": 500}),
        ("as-dug", 1, {"side": 1, **TRENCH}),
        ("as-dug", 2, {"beam": 0, **TRENCH}),
        ("taped", 4, {"hold": [0, 1], "measures": [{"from": 0, "to": 2, "mm": 6000}]}),
    )
    for at, (kind, revision, values) in enumerate(said):
        records.add(db, records.Record(f"record-{at}", job_id, kind, revision, "Wren", "", "2027", None, values))
    yield db, job_id
    db.close()


def test_ids_go_on_through_the_revisions_and_records_name_by_them(old):
    db, job_id = old
    assert migrate.migrate(db) == migrate.migrations()[-1][0]
    one, two, undone, again = (jobs.revision(db, job_id, n).document for n in (1, 2, 3, 4))
    assert undone == one and again == two
    assert [name for name in two["corner_ids"] if name in one["corner_ids"]] == one["corner_ids"]
    assert len(two["corner_ids"]) == 5 and two["corner_ids"][1] not in one["corner_ids"]
    assert [row["id"] for row in two["beams"]] == [row["id"] for row in one["beams"]]
    setup, side, beam, taped = (row.document for row in records.of_job(db, job_id))
    assert setup["on"] == one["ground"]["benchmarks"][0]["id"]
    assert side["side"] == one["corner_ids"][1] == two["corner_ids"][2]
    assert beam["beam"] == one["beams"][0]["id"]
    assert taped["measures"][0]["to"] == two["corner_ids"][2] and taped["hold"] == two["corner_ids"][:2]


def test_both_tables_are_locked_again_and_a_plan_that_cannot_be_read_stays(old):
    db, job_id = old
    db.execute("drop trigger revisions_no_update")
    broken = json.dumps({**job(), "units": "cubits"})
    db.execute("update revisions set document = ? where n = 2", (broken,))
    db.execute("create trigger revisions_no_update before update on revisions begin select 1; end")
    migrate.migrate(db)
    assert jobs.revision(db, job_id, 2).document["units"] == "cubits"
    assert jobs.revision(db, job_id, 1).document["corner_ids"]
    for table in ("revisions", "records"):
        with pytest.raises(sqlite3.IntegrityError, match="append-only"):
            db.execute(f"update {table} set document = '{{}}'")
