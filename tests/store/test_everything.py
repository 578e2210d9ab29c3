"""Everything in one archive: row for row and byte for byte, whole or not at all, and nothing that is there is changed."""

import json
import zipfile
from contextlib import closing

import pytest
from tests.plans import job
from tests.store.test_copies import AT, filled

from humble_trowel.store import everything, jobs, photos, records
from humble_trowel.store.copies import BadCopy
from humble_trowel.store.db import connect
from humble_trowel.store.everything import TABLES, take_everything, write_everything
from humble_trowel.store.migrate import migrate

PDF = b"%PDF-1.7 \x00\xff bytes as they are"


@pytest.fixture
def full(tmp_path):
    """Two jobs with changes, one put aside, a deleted one; records, one corrected; a picture and a paper; ways."""
    database = filled(tmp_path / "full.sqlite3", 3)
    with closing(connect(database)) as db:
        first, aside, gone = (row.id for row in jobs.every(db))
        for n in (1, 2):
            jobs.save(
                db,
                first,
                n,
                job(name=f"Größe «{n}» \u2028"),
                jobs.Change("Wren", AT, f"Change {n}", edit_id=f"edit-{n:05}"),
            )
        jobs.undo(db, first, 3, "Juno", AT)
        jobs.put_away(db, aside, "archived_at", AT)
        jobs.put_away(db, gone, "deleted_at", AT)
        for at, (name, over) in enumerate((("record-1", None), ("record-2", "record-1"))):
            records.add(db, records.Record(name, first, "taped", 1, "Fern", AT, AT, over, {"n": at, "note": "=1+1"}))
        photos.add(db, photos.Photo(first, "photo-0001", "abc", PDF, b"\xff\xd8small", 4, 3, AT))
        db.execute("insert into ways (n, author, at, document) values (1, 'Wren', ?, '{\"firm\": \"F\"}')", (AT,))
    return database


def empty(path):
    with closing(connect(path)) as db:
        migrate(db)
    return path


def rows(database):
    with closing(connect(database, readonly=True)) as db:
        return {table: [tuple(row) for row in db.execute(f"select * from {table} order by rowid")] for table in TABLES}


def test_what_goes_out_comes_in_equal_elsewhere_and_a_second_time_changes_nothing(full, tmp_path):
    archive = tmp_path / "all.zip"
    held = write_everything(full, archive)
    assert (held.jobs, held.records, held.photos) == (3, 2, 1)
    other = empty(tmp_path / "other.sqlite3")
    assert take_everything(other, archive).words == "3 jobs came in. The ways came too."
    assert rows(other) == rows(full)
    assert take_everything(other, archive).words == "0 jobs came in, 3 were here already."
    assert rows(other) == rows(full)
    with pytest.raises(FileExistsError):
        write_everything(full, archive)


def test_the_archive_can_be_read_without_us(full, tmp_path):
    archive = tmp_path / "all.zip"
    write_everything(full, archive)
    with zipfile.ZipFile(archive) as opened:
        names = opened.namelist()
        about = json.loads(opened.read("about.json"))
        assert (about["kind"], about["version"], about["jobs"]) == ("humble-trowel-everything", 1, 3)
        plans = [json.loads(opened.read(name)) for name in names if name.startswith("job-files/")]
        assert len(plans) == 2 and any(
            plan["name"].startswith("Größe") for plan in plans
        )  # the deleted one is no job file
        photo = next(name for name in names if name.endswith("photo-0001.picture"))
        assert opened.read(photo) == PDF
        told = [json.loads(line) for line in opened.read("records.jsonl").decode().split("\n") if line]
        assert [row["supersedes"] for row in told] == [None, "record-1"]
        assert "token" not in " ".join(names) and not [name for name in names if "device" in name]


def test_what_is_here_and_says_something_else_is_named_and_left_and_later_records_do_not_come(full, tmp_path):
    archive, later, other = tmp_path / "all.zip", tmp_path / "later.zip", empty(tmp_path / "other.sqlite3")
    write_everything(full, archive)
    take_everything(other, archive)
    with closing(connect(full)) as db:
        first = next(row.id for row in jobs.every(db) if jobs.head(db, row.id).n > 1)
        records.add(db, records.Record("record-3", first, "taped", 1, "Fern", AT, AT, None, {"n": 3}))
        jobs.create(db, job(name="A fourth"), "Wren", AT, "Started")
    write_everything(full, later)
    before = rows(other)
    taken = take_everything(other, later)
    assert (taken.jobs, taken.same, len(taken.other)) == (1, 2, 1) and "left as it is" in taken.words
    after = rows(other)
    assert after["records"] == before["records"] and len(after["jobs"]) == len(before["jobs"]) + 1


def changed(archive, target, name, act):
    """The same archive with one of its files changed, or left out where act gives None."""
    with zipfile.ZipFile(archive) as source, zipfile.ZipFile(target, "w", zipfile.ZIP_DEFLATED) as out:
        for row in source.namelist():
            data = source.read(row)
            new = act(data) if row == name else data
            if new is not None:
                out.writestr(row, new)
    return target


@pytest.mark.parametrize(
    ("name", "act", "words"),
    [
        ("about.json", lambda data: data.replace(b'"version": 1', b'"version": 2'), "newer one"),
        ("about.json", lambda data: data.replace(b'"data_version": ', b'"data_version": 9'), "newer program"),
        ("about.json", lambda _: b"[]", "no archive of this program"),
        ("about.json", lambda _: None, "damaged"),
        ("documents.jsonl", lambda data: data.replace(b"pad", b"PAD"), "changed afterwards"),
        ("revisions.jsonl", lambda data: data.replace(b'"kind":"edit"', b'"kind":"theft"'), "do not fit"),
        ("revisions.jsonl", lambda _: b"", "has no plan"),
        ("records.jsonl", lambda data: data + b"[1]\n", "a row of it is none"),
        ("records.jsonl", lambda data: data + b"{not json\n", "damaged"),
        ("records.jsonl", lambda data: data.replace(b'"job_id"', b'"job"'), "damaged|fit"),
        ("photos.jsonl", lambda data: data.replace(b"photo-0001", b"../../etc/passwd"), "damaged"),
    ],
)
def test_an_archive_that_is_wrong_anywhere_brings_nothing_in(full, tmp_path, name, act, words):
    archive = tmp_path / "all.zip"
    write_everything(full, archive)
    other = empty(tmp_path / "other.sqlite3")
    bad = changed(archive, tmp_path / "bad.zip", name, act)
    with pytest.raises(BadCopy, match=words):
        take_everything(other, bad)
    assert all(found == [] for found in rows(other).values())


def test_bombs_and_rows_without_an_end_are_refused_before_they_are_read(full, tmp_path, monkeypatch):
    archive, other = tmp_path / "all.zip", empty(tmp_path / "other.sqlite3")
    write_everything(full, archive)
    bomb = tmp_path / "bomb.zip"
    with zipfile.ZipFile(bomb, "w", zipfile.ZIP_DEFLATED) as out:
        out.writestr("about.json", b"0" * 400_000_000)
    with pytest.raises(BadCopy, match="far more than it can hold"):
        take_everything(other, bomb)
    monkeypatch.setattr(everything, "MOST_FILES", 3)
    with pytest.raises(BadCopy, match="far more"):
        take_everything(other, archive)
    monkeypatch.setattr(everything, "MOST_FILES", 400_000)
    monkeypatch.setattr(everything, "MOST_ROW_BYTES", 100)
    with pytest.raises(BadCopy, match="far too large"):
        take_everything(other, archive)
