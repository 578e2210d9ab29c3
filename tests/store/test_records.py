"""Records: append-only, once each, corrected by another, and added to a database that an older program made."""

import sqlite3
from contextlib import closing
from dataclasses import replace

import pytest
from tests.store.conftest import NOW
from tests.store.old_rows import old_job

from humble_trowel.core.ground.records import GroundTest, SoftSpot
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.record_kinds import read_records
from humble_trowel.store import jobs, records
from humble_trowel.store import migrate as migrate_module
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate, migrations, statements
from humble_trowel.store.records import OtherRecord, Record


def row(job, key="record-1", kind="taped", at=NOW, supersedes=None, **document):
    return Record(key, job, kind, 1, "Juno", NOW, at, supersedes, document or {"mm": 1})


def test_the_same_record_sent_twice_counts_once(db, job):
    assert records.add(db, row(job)) == records.add(db, row(job, at="2027-06-02T08:00:00+00:00"))
    assert len(records.of_job(db, job)) == 1
    for other in (row(job, mm=2), row(job, kind="form-back")):
        with pytest.raises(OtherRecord, match="something else"):
            records.add(db, other)


def test_a_correction_supersedes_and_both_stay_visible(db, job):
    records.add(db, row(job))
    records.add(db, row(job, "record-2", supersedes="record-1", at="2027-06-01T09:00:00+00:00"))
    assert [r.id for r in records.of_job(db, job)] == ["record-1", "record-2"]
    assert records.newest(db, job, "taped").id == "record-2"
    records.add(db, row(job, "record-3", supersedes="record-2", at="2027-06-01T08:30:00+00:00"))
    assert records.newest(db, job, "taped").id == "record-3"  # by what nothing corrects, not by the clock alone
    assert records.newest(db, job, "string-gaps") is None
    other = jobs.create(db, {"name": "other"}, "", NOW, "").job_id
    with pytest.raises(OtherRecord, match="not here"):
        records.add(db, row(other, "record-4", supersedes="record-1"))
    for revision in (0, 2, 2**62):
        with pytest.raises(records.NoSuchRevision, match=f"no revision {revision}"):
            records.add(db, replace(row(job, "record-5"), revision=revision))


@pytest.mark.parametrize(
    "sql",
    [
        "update records set who = 'Birk'",
        "delete from records",
        "insert or replace into records select * from records",
        "insert into records select 'short', job_id, kind, revision, who, at_device, at, null, document from records",
        "insert into records select 'record-99', 'no-job', kind, revision, who, at_device, at, null, document from records",
        "insert into records select 'record-99', job_id, kind, revision, who, at_device, at, null, '{' from records",
    ],
)
def test_nothing_changes_a_record_and_nothing_odd_gets_in(db, job, sql):
    records.add(db, row(job))
    with pytest.raises(sqlite3.Error):
        db.execute(sql)
    assert records.of_job(db, job) == [row(job)]


def test_a_database_of_the_first_version_gains_the_table_and_keeps_its_jobs(tmp_path):
    with closing(connect(tmp_path / "old.sqlite3")) as db:
        for statement in statements(migrations()[0][1]):
            db.execute(statement)
        db.execute("pragma user_version = 1")
        job = old_job(db, {"name": "old pad"})
        assert migrate(db) == migrations()[-1][0]
        assert jobs.head(db, job).document == {"name": "old pad"}
        records.add(db, row(job))
        assert migrate(db) == migrations()[-1][0]


def test_what_stands_is_what_nothing_corrects_oldest_first_and_as_it_was_written(db, job):
    for key, at, old in (
        ("record-1", "08", None),
        ("record-2", "09", "record-1"),
        ("record-3", "07", None),
        ("record-4", "10", "record-2"),
    ):
        records.add(db, row(job, key, supersedes=old, at=f"2027-06-01T{at}:00:00+00:00", mm=int(at)))
    other = jobs.create(db, {"name": "other"}, "", NOW, "").job_id
    records.add(db, row(other, "record-5"))
    assert list(records.standing(db, job)) == [("record-3", "taped", '{"mm":7}'), ("record-4", "taped", '{"mm":10}')]
    assert list(records.standing(db, "no-such-job")) == []


def test_records_are_read_by_kind_and_one_that_cannot_be_read_is_named_and_counts_for_nothing():
    """One record more keeps all that was there."""
    tests = '{"test":"roll","at":[100,200],"passed":true}'
    said = read_records([("a", "ground-test", tests), ("b", "taped", "no json at all"), ("c", "ground-test", tests)])
    assert [name for name, _ in said.named(GroundTest)] == ["a", "c"] and said.newest(GroundTest).passed
    assert said.of(SoftSpot) == () and said.newest(SoftSpot) is None
    assert said.of(Taped) == () and [(row.id, row.why) for row in said.unread_rows] == [
        ("b", "what is stored of it is damaged")
    ]
    good = read_records([("a", "ground-test", tests)]).plus("d", said.newest(GroundTest))
    assert [name for name, _ in good.named(GroundTest)] == ["a", "d"]


def test_documents_are_stored_once_and_what_was_damaged_before_stays_as_it_was(tmp_path, monkeypatch):
    with closing(connect(tmp_path / "old.sqlite3")) as db:
        everything = migrations()
        monkeypatch.setattr(migrate_module, "migrations", lambda: everything[:3])
        migrate(db)
        monkeypatch.setattr(migrate_module, "migrations", lambda: everything)
        db.execute("pragma ignore_check_constraints = on")
        old = old_job(db, {"name": "pad"}, '{"name": "half', steps=[("undo", 1, [2])])
        db.execute("pragma ignore_check_constraints = off")
        assert migrate(db) == migrations()[-1][0] and migrate(db) == migrations()[-1][0]
        assert db.execute("select count(*) from documents").fetchone()[0] == 2
        assert [jobs.revision(db, old, n).text for n in (2, 3)] == ['{"name": "half', '{"name": "pad"}']
        with pytest.raises(jobs.Unreadable, match="Revision 2"):
            _ = jobs.revision(db, old, 2).document
        row = jobs.redo(db, old, 3, "Juno", NOW)  # a step needs no reading of what it shows
        assert row.text == '{"name": "half' and jobs.undo(db, old, 4, "Juno", NOW).document == {"name": "pad"}
        for sql in (
            "update documents set text = '{}'",
            "delete from documents",
            "insert into documents values ('d', '{')",
        ):
            with pytest.raises(sqlite3.Error):
                db.execute(sql)
