"""Copies of the data: whole and counted before anybody is told, kept for two weeks, and put back."""

import sqlite3
import threading
from contextlib import closing

import pytest
from tests.plans import job

from humble_trowel.store import copies, jobs, migrate
from humble_trowel.store.copies import BadCopy, backup, checked, copy_before_migration, copy_of_day, kept_copies
from humble_trowel.store.db import connect
from humble_trowel.store.doctor import examine

AT = "2027-06-01T08:00:00+00:00"


def filled(path, count=3):
    with closing(connect(path)) as db:
        migrate.migrate(db)
        for at in range(count):
            jobs.create(db, job(name=f"pad {at}"), "Wren", AT, "Started")
    return path


def names(path):
    with closing(connect(path, readonly=True)) as db:
        return sorted(jobs.head(db, row.id).document["name"] for row in jobs.every(db))


def break_page(path):
    """Overwrite the middle of a database."""
    with closing(sqlite3.connect(path)) as db:
        db.execute("pragma wal_checkpoint(truncate)")
    size = path.stat().st_size
    with path.open("r+b") as file:
        file.seek(size // 2 // 4096 * 4096)
        file.write(b"\x5a" * 8192)


@pytest.mark.parametrize("name", ["a#b", "what?", "a%20b", "a b", "ü'\"$(x)"])
def test_any_path_is_saved_opened_and_put_back(tmp_path, name):
    folder = tmp_path / name
    folder.mkdir()
    database = filled(folder / "trowel.sqlite3")
    copy = folder / f"{name}.sqlite3"
    assert backup(database, copy).words == "3 jobs, 3 revisions, 0 records"
    assert names(copy) == ["pad 0", "pad 1", "pad 2"] and not list(folder.glob(".*"))
    with closing(connect(database)) as db:
        jobs.create(db, job(name="later"), "", AT, "Started")
    found, before = copies.restore(database, copy, "now")
    assert found.jobs == 3 and names(database) == ["pad 0", "pad 1", "pad 2"] and "later" in names(before)


def test_a_copy_that_fails_leaves_nothing_and_blocks_nothing(tmp_path, monkeypatch):
    database, target = filled(tmp_path / "trowel.sqlite3"), tmp_path / "copy.sqlite3"

    def full(*_):
        raise sqlite3.OperationalError("database or disk is full")

    with monkeypatch.context() as broken:
        broken.setattr(copies, "checked", full)
        with pytest.raises(sqlite3.OperationalError):
            backup(database, target)
    assert not target.exists() and not list(tmp_path.glob(".*"))
    with monkeypatch.context() as broken:
        broken.setattr(copies, "counts", lambda _: copies.Counts(9, 9, 9))
        broken.setattr(copies, "checked", lambda _: copies.Counts(1, 1, 1))
        with pytest.raises(BadCopy, match="does not hold"):
            backup(database, target)
    assert backup(database, target).jobs == 3


def test_while_others_write_a_copy_is_whole(tmp_path):
    database, done = filled(tmp_path / "trowel.sqlite3"), threading.Event()

    def write():
        with closing(connect(database)) as db:
            while not done.is_set():
                jobs.create(db, job(name="more"), "", AT, "Started")

    writer = threading.Thread(target=write)
    writer.start()
    try:
        for at in range(5):
            assert backup(database, tmp_path / f"copy-{at}").jobs >= 3
    finally:
        done.set()
        writer.join()


def test_one_a_day_and_before_a_migration_the_last_fourteen_kept(tmp_path):
    database = filled(tmp_path / "trowel.sqlite3")
    assert copy_before_migration(database, 3).name == "before-version-4.sqlite3"
    for day in range(10, 30):
        assert copy_of_day(database, f"2027-06-{day}") and copy_of_day(database, f"2027-06-{day}") is None
    kept = [path.name for path in kept_copies(database)]
    assert len(kept) == 14 and kept[0] == "day-2027-06-29.sqlite3" and "day-2027-06-15.sqlite3" not in kept
    break_page(kept_copies(database)[0])
    assert copies.newest_good(database).name == "day-2027-06-28.sqlite3"


def test_what_is_no_good_copy_is_refused_and_changes_nothing(tmp_path):
    database = filled(tmp_path / "trowel.sqlite3")
    wrong = {name: tmp_path / name for name in ("text", "other", "broken", "newer")}
    wrong["text"].write_text("not a database, but long enough to be one" * 50)
    with closing(sqlite3.connect(wrong["other"])) as db:
        db.execute("create table t (a int)")
    backup(database, wrong["broken"])
    break_page(wrong["broken"])
    backup(database, wrong["newer"])
    with closing(sqlite3.connect(wrong["newer"])) as db:
        db.execute("pragma user_version = 999")
    for name, words in (("text", "no database"), ("other", "no jobs"), ("broken", "damaged|cannot be read")):
        with pytest.raises(BadCopy, match=words):
            copies.restore(database, wrong[name], "now")
    with pytest.raises(migrate.NewerDatabase):
        copies.restore(database, wrong["newer"], "now")
    assert len(names(database)) == 3


def test_damaged_data_and_a_stale_journal_are_put_aside_for_a_copy(tmp_path):
    database, copy = filled(tmp_path / "trowel.sqlite3"), tmp_path / "copy.sqlite3"
    backup(database, copy)
    break_page(database)
    database.with_name("trowel.sqlite3-wal").write_bytes(b"what a killed program left" * 90)
    found, before = copies.restore(database, copy, "20270601-080000")
    assert found.jobs == 3 and len(names(database)) == 3 and list(examine(connect(database))) == []
    assert before.name == "before-restore-20270601-080000.sqlite3" and before.with_name(before.name + "-wal").exists()
    assert checked(database).jobs == 3
    database.unlink()
    assert copies.restore(database, copy, "later") == (found, None) and len(names(database)) == 3


def test_the_doctor_names_every_fault_and_what_to_do(tmp_path):
    database = filled(tmp_path / "trowel.sqlite3")
    with closing(connect(database)) as db:
        assert list(examine(db)) == []
        rows = [row.id for row in jobs.every(db)]
        for (name,) in db.execute("select name from sqlite_master where type = 'trigger'").fetchall():
            db.execute(f"drop trigger {name}")
        db.execute("pragma ignore_check_constraints = on")
        db.execute("pragma foreign_keys = off")
        shown = "digest = (select document from revisions where job_id = ?)"
        db.execute(f"update documents set text = '{{' where {shown}", [rows[0]])
        db.execute(f"update documents set text = replace(text, 'pad', 'pod') where {shown}", [rows[1]])
        db.execute("update jobs set head = 7 where id = ?", [rows[2]])
        db.execute("insert into ways values (1, '', '', '{\"forms\": 3}')")
        for at, (kind, revision, text) in enumerate(
            (("x", 1, "{}"), ("struck", 9, "{}"), ("struck", 1, "{"), ("taped", 1, "{}"))
        ):
            db.execute(
                "insert into records values (?, ?, ?, ?, '', '', '', null, ?)",
                [f"record-{at}", rows[0], kind, revision, text],
            )
        faults = list(examine(db))
    told = "\n".join(fault.line for fault in faults)
    for words in ("is no JSON", "changed after it was kept", "said to be 7", "version 1: they cannot be read", "kind x is not known",
                  "revision 9, which is not there", "values are no JSON", "record-3"):  # fmt: skip
        assert words in told, told
    assert all(fault.remedy for fault in faults)
