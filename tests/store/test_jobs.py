"""Revisions are append-only; undo, redo and go-back are revisions too; nothing acknowledged is lost."""

import sqlite3

import pytest

from humble_trowel.store import jobs, migrate
from humble_trowel.store.copies import backup
from humble_trowel.store.db import atomic, connect

AT = "2027-01-01T00:00:00+00:00"


@pytest.fixture
def db(tmp_path):
    db = connect(tmp_path / "t.sqlite3")
    migrate.migrate(db)
    yield db
    db.close()


def keep(db, job, against, value, **more):
    return jobs.save(db, job, against, {"v": value}, jobs.Change("Wren", AT, f"to {value}", **more))


def test_undo_and_redo_walk_the_chain_and_an_edit_clears_redo(db):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    keep(db, job, 1, 1)
    keep(db, job, 2, 2)
    assert jobs.undo(db, job, 3, "W", AT).document == {"v": 1}
    assert jobs.undo(db, job, 4, "W", AT).document == {"v": 0}
    with pytest.raises(jobs.NothingToDo):
        jobs.undo(db, job, 5, "W", AT)
    assert jobs.redo(db, job, 5, "W", AT).document == {"v": 1}
    assert jobs.redo(db, job, 6, "W", AT).document == {"v": 2}
    assert jobs.undo(db, job, 7, "W", AT).document == {"v": 1}
    keep(db, job, 8, 9)
    with pytest.raises(jobs.NothingToDo):
        jobs.redo(db, job, 9, "W", AT)
    assert jobs.undo(db, job, 9, "W", AT).document == {"v": 1}
    assert [row["kind"] for row in jobs.history(db, job)][:2] == ["undo", "edit"]


def test_a_stale_save_is_refused_and_a_resent_one_counts_once(db):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    first = keep(db, job, 1, 1, edit_id="abcdefgh")
    assert keep(db, job, 1, 1, edit_id="abcdefgh").n == first.n
    with pytest.raises(jobs.Stale):
        keep(db, job, 1, 5)
    assert jobs.head(db, job).document == {"v": 1}


def test_undo_of_a_typed_walk_goes_back_before_the_typing(db):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    for n, text in enumerate(["1", "10", "10' e"], 1):
        keep(db, job, n, text, edits=[{"op": "set_walk", "text": text}])
    keep(db, job, 4, "outline", edits=[{"op": "keep_outline"}])
    assert jobs.undo(db, job, 5, "W", AT).document == {"v": "10' e"}
    assert jobs.undo(db, job, 6, "W", AT).document == {"v": 0}


def test_rows_cannot_be_changed_deleted_or_replaced(db):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    for sql in ("update revisions set summary = 'x'", "delete from revisions",
                "insert or replace into revisions select * from revisions"):  # fmt: skip
        with pytest.raises(sqlite3.IntegrityError):
            db.execute(sql)
    assert jobs.head(db, job).summary == "start"


def test_a_failed_change_leaves_nothing_behind(db):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    with pytest.raises(RuntimeError), atomic(db):
        keep(db, job, 1, 1)
        raise RuntimeError
    assert jobs.head(db, job).n == 1


def test_a_failing_migration_is_undone_whole(db, monkeypatch):
    bad = [*migrate.migrations(), (9999, "create table extra (a int);\ncreate table extra (a int);\n")]
    monkeypatch.setattr(migrate, "migrations", lambda: bad)
    with pytest.raises(sqlite3.OperationalError):
        migrate.migrate(db)
    assert db.execute("select count(*) from sqlite_master where name = 'extra'").fetchone()[0] == 0
    monkeypatch.setattr(migrate, "migrations", lambda: [(0, "")])
    with pytest.raises(migrate.NewerDatabase):
        migrate.migrate(db)


def test_a_backup_of_data_in_use_opens(db, tmp_path):
    job = jobs.create(db, {"v": 0}, "Wren", AT, "start").job_id
    backup(tmp_path / "t.sqlite3", tmp_path / "copy.sqlite3")
    copy = connect(tmp_path / "copy.sqlite3", readonly=True)
    assert jobs.head(copy, job).document == {"v": 0}
    copy.close()
    with pytest.raises(FileExistsError):
        backup(tmp_path / "t.sqlite3", tmp_path / "copy.sqlite3")
