"""Everything in one archive of open formats, and into other data again: jobs with all revisions and records, pictures, ways.

A ZIP: `about.json`; a table a file of JSON lines (`jobs`, `documents`, `revisions`, `records`, `photos`, `ways`); pictures and
papers as files under `photos/`; and each job's newest plan as a job file under `job-files/`, for people and other programs.
docs/formats/everything.md describes it.
"""

from __future__ import annotations

import hashlib
import json
import os
import re
import sqlite3
import zipfile
from collections.abc import Iterator
from contextlib import closing, suppress
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from humble_trowel.store.copies import BadCopy, Counts, counts
from humble_trowel.store.db import atomic, connect
from humble_trowel.store.documents import digest_of
from humble_trowel.store.migrate import migrations

KIND, VERSION = "humble-trowel-everything", 1
TABLES = ("jobs", "documents", "revisions", "records", "photos", "ways")
MOST_BYTES = 4_000_000_000  # unpacked
MOST_ROW_BYTES = 32_000_000
MOST_FILES = 400_000
MOST_RATIO = 200  # unpacked to packed: more is a bomb


@dataclass
class Taken:
    """What came in. jobs: those that were not here. same: those that were here as they are. other: names of those that were
    here and say something else; they were left as they are. ways: whether the ways came too."""

    jobs: int = 0
    same: int = 0
    other: list[str] = field(default_factory=list)
    ways: bool = False

    @property
    def words(self) -> str:
        """3 jobs came in, 1 was here already. Honey house is here with other revisions: left as it is."""
        told = f"{self.jobs} {'job' if self.jobs == 1 else 'jobs'} came in"
        told += f", {self.same} {'was' if self.same == 1 else 'were'} here already" if self.same else ""
        left = "".join(f" {name} is here and says something else: left as it is." for name in self.other)
        return f"{told}.{left}{' The ways came too.' if self.ways else ''}"


def write_everything(database: Path, target: Path) -> Counts:
    """All of the data as one archive, of one moment, written beside and renamed. Raises FileExistsError, OSError, sqlite3.Error."""
    if target.exists():
        raise FileExistsError(target)
    part = target.with_name(f".{target.name}.{os.getpid()}.part")
    try:
        with (
            closing(connect(database, readonly=True)) as db,
            zipfile.ZipFile(part, "w", zipfile.ZIP_DEFLATED) as archive,
        ):
            db.execute("begin")
            held = counts(db)
            version = int(db.execute("pragma user_version").fetchone()[0])
            about = {"kind": KIND, "version": VERSION, "data_version": version, **held.__dict__}
            archive.writestr("about.json", json.dumps(about, indent=1))
            for table in TABLES:
                with archive.open(f"{table}.jsonl", "w", force_zip64=True) as out:
                    for row in _rows(db, table):
                        out.write(
                            json.dumps(row, ensure_ascii=False, separators=(",", ":")).encode("utf-8", "surrogatepass")
                        )
                        out.write(b"\n")
            _files(db, archive)
        part.replace(target)
    finally:
        with suppress(OSError):
            part.unlink()
    return held


def _rows(db: sqlite3.Connection, table: str) -> Iterator[dict[str, Any]]:
    columns = [str(row["name"]) for row in db.execute(f"pragma table_info({table})")]
    told = [name for name in columns if name not in ("picture", "small")]
    for row in db.execute(f"select {', '.join(told)} from {table} order by rowid"):
        yield dict(row)


def _files(db: sqlite3.Connection, archive: zipfile.ZipFile) -> None:
    for row in db.execute("select job_id, id, picture, small from photos order by rowid"):
        for which in ("picture", "small"):
            archive.writestr(_photo_path(row["job_id"], row["id"], which), row[which], zipfile.ZIP_STORED)
    heads = "select jobs.id, text from jobs join revisions on job_id = id and n = head join documents on digest = document where deleted_at is null"
    for row in db.execute(heads):
        name = re.sub(r"[^a-z0-9]+", "-", _name(row["text"]).lower()).strip("-")[:60]
        archive.writestr(f"job-files/{name or 'job'}-{row['id']}.json", row["text"].encode("utf-8", "surrogatepass"))


def _name(text: str) -> str:
    try:
        return str(json.loads(text).get("name", ""))
    except (ValueError, AttributeError):
        return ""


def _photo_path(job: str, photo: str, which: str) -> str:
    return f"photos/{job}/{photo}.{which}"


def take_everything(database: Path, file: Path) -> Taken:
    """Bring an archive into data that are there, in one transaction: nothing comes in where any of it is wrong, and nothing
    that is here is changed. Raises BadCopy for what is no such archive, sqlite3.Error."""
    try:
        with zipfile.ZipFile(file) as archive, closing(connect(database, create=False)) as db:
            _check(archive, db)
            with atomic(db):
                return _take(archive, db)
    except (zipfile.BadZipFile, OSError, ValueError, KeyError, TypeError, RecursionError, EOFError) as error:
        if isinstance(error, FileNotFoundError):
            raise
        raise BadCopy("that is no archive of this program, or it is damaged") from None
    except sqlite3.IntegrityError:
        raise BadCopy("its rows do not fit each other") from None


def _check(archive: zipfile.ZipFile, db: sqlite3.Connection) -> None:
    rows = archive.infolist()
    whole, packed = sum(row.file_size for row in rows), sum(row.compress_size for row in rows)
    if len(rows) > MOST_FILES or whole > MOST_BYTES or whole > 1_000_000 + MOST_RATIO * max(packed, 1):
        raise BadCopy("it unpacks to far more than it can hold")
    about = json.loads(_read(archive, "about.json", 100_000))
    if not isinstance(about, dict) or about.get("kind") != KIND or about.get("version") != VERSION:
        raise BadCopy("it is no archive of this program, or of a newer one")
    if int(about["data_version"]) > migrations()[-1][0]:
        raise BadCopy("a newer program wrote it")


def _read(archive: zipfile.ZipFile, name: str, most: int) -> bytes:
    with archive.open(name) as source:
        data = source.read(most + 1)
    if len(data) > most:
        raise BadCopy("a part of it is far too large")
    return data


def _lines(archive: zipfile.ZipFile, table: str) -> Iterator[dict[str, Any]]:
    with archive.open(f"{table}.jsonl") as source:
        while line := source.readline(MOST_ROW_BYTES + 1):
            if len(line) > MOST_ROW_BYTES:
                raise BadCopy("a row of it is far too large")
            row = json.loads(line.decode("utf-8", "surrogatepass"))
            if not isinstance(row, dict):
                raise BadCopy("a row of it is none")
            yield row


def _take(archive: zipfile.ZipFile, db: sqlite3.Connection) -> Taken:
    taken, new = Taken(), set[str]()
    revisions, records = list(_lines(archive, "revisions")), list(_lines(archive, "records"))
    texts = {str(row["digest"]): str(row["text"]) for row in _lines(archive, "documents")}
    for job in _lines(archive, "jobs"):
        key = str(job["id"])
        if db.execute("select 1 from jobs where id = :id", {"id": key}).fetchone() is None:
            _insert(db, "jobs", job)
            new.add(key)
            taken.jobs += 1
        elif _same(db, key, revisions, records):
            taken.same += 1
        else:
            head: dict[str, Any] = next((row for row in reversed(revisions) if row["job_id"] == key), {})
            taken.other.append(_name(texts.get(str(head.get("document")), "")) or key)
    for row in revisions:
        if row["job_id"] in new:
            _keep_text(db, str(row["document"]), texts)
            _insert(db, "revisions", row)
    _each_has_its_head(db, new)
    for row in records:
        if row["job_id"] in new:
            _insert(db, "records", row)
    for row in _lines(archive, "photos"):
        if row["job_id"] in new:
            pictures = {
                which: _read(archive, _photo_path(row["job_id"], row["id"], which), MOST_ROW_BYTES)
                for which in ("picture", "small")
            }
            _insert(db, "photos", {**row, **pictures})
    if db.execute("select count(*) from ways").fetchone()[0] == 0:
        for row in _lines(archive, "ways"):
            _insert(db, "ways", row)
            taken.ways = True
    return taken


def _each_has_its_head(db: sqlite3.Connection, new: set[str]) -> None:
    """No job comes in without the revision that it stands at."""
    heads = "select id from jobs where not exists (select 1 from revisions where job_id = id and n = head)"
    if new & {str(row["id"]) for row in db.execute(heads)}:
        raise BadCopy("a job in it has no plan")


def _keep_text(db: sqlite3.Connection, digest: str, texts: dict[str, str]) -> None:
    """The document of a revision; one that was damaged before stays as it is, under its name."""
    if (
        digest in texts
        and db.execute("select 1 from documents where digest = :digest", {"digest": digest}).fetchone() is None
    ):
        text = texts[digest]
        if digest_of(text) != digest:
            raise BadCopy("a plan in it was changed afterwards")
        _insert(db, "documents", {"digest": digest, "text": text})


def _same(db: sqlite3.Connection, job: str, revisions: list[dict[str, Any]], records: list[dict[str, Any]]) -> bool:
    """Whether all revisions and records of a job in the archive are here as they are there."""
    here = {
        row["n"]: row["document"]
        for row in db.execute("select n, document from revisions where job_id = :id", {"id": job})
    }
    kept = {
        row["id"]: _hash(row["document"])
        for row in db.execute("select id, document from records where job_id = :id", {"id": job})
    }
    theirs = {row["n"]: row["document"] for row in revisions if row["job_id"] == job}
    wrote = {row["id"]: _hash(str(row["document"])) for row in records if row["job_id"] == job}
    return all(here.get(n) == one for n, one in theirs.items()) and all(
        kept.get(one) == hashed for one, hashed in wrote.items()
    )


def _hash(text: str) -> str:
    return hashlib.sha256(text.encode("utf-8", "surrogatepass")).hexdigest()


def _insert(db: sqlite3.Connection, table: str, row: dict[str, Any]) -> None:
    columns = [str(found["name"]) for found in db.execute(f"pragma table_info({table})")]
    given = [name for name in columns if name in row]
    db.execute(f"insert into {table} ({', '.join(given)}) values ({', '.join(':' + name for name in given)})", row)
