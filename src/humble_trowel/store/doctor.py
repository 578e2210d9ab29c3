"""Looks at everything that is stored: every page, every row. One fault a line, with what to do about it."""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Iterator
from dataclasses import dataclass

from pydantic import ValidationError

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.store import ways
from humble_trowel.store.documents import digest_of

_HEADS = (
    "select jobs.id, jobs.head, deleted_at, (select max(n) from revisions where job_id = jobs.id) as last from jobs"
)
_DOCUMENTS = "select digest, text from documents"
_SHOWN = "select job_id, n, document from revisions where content = n"
_REVISIONS = "select job_id, n from revisions where document not in (select digest from documents)"
_PHOTO = "select 1 from photos where job_id = :job and id = :id"
_RECORDS = "select records.*, head from records left join jobs on jobs.id = job_id"


@dataclass(frozen=True)
class Fault:
    """where: what it is about. words: what is wrong. remedy: what to do."""

    where: str
    words: str
    remedy: str

    @property
    def line(self) -> str:
        return f"{self.where}: {self.words}. {self.remedy}"


RESTORE = "Put the newest good copy back: ./trowel restore FILE."
AS_STORED = "Take it out with ./trowel export {job} --as-stored; it counts for nothing."


def examine(db: sqlite3.Connection) -> Iterator[Fault]:
    """Every fault of a database."""
    for name, read in (
        ("pages", _pages),
        ("jobs", _heads),
        ("documents", _documents),
        ("revisions", _lost),
        ("records", _records),
        ("ways", _ways),
    ):
        try:
            yield from read(db)
        except sqlite3.DatabaseError as error:
            yield Fault(name, f"cannot be read to the end ({error})", RESTORE)


def _pages(db: sqlite3.Connection) -> Iterator[Fault]:
    for (told,) in db.execute("pragma integrity_check(50)"):
        if told != "ok":
            yield Fault("pages", str(told).replace("\n", " "), RESTORE)
    for row in db.execute("pragma foreign_key_check"):
        yield Fault(f"table {row[0]}", f"row {row[1]} names something in {row[2]} that is not there", RESTORE)


def _heads(db: sqlite3.Connection) -> Iterator[Fault]:
    for row in db.execute(_HEADS):
        if row["head"] != row["last"]:
            words = f"its newest revision is said to be {row['head']}, but {row['last'] or 'none'} is stored"
            yield Fault(f"job {row['id']}", words, RESTORE)


def _documents(db: sqlite3.Connection) -> Iterator[Fault]:
    """Documents that are no plans, told by the revisions that show them; those that today's rules refuse among them."""
    wrong: dict[str, str] = {}
    for row in db.execute(_DOCUMENTS):
        words = _why_no_plan(row["text"])
        if not words and digest_of(row["text"]) != row["digest"]:
            words = "its text was changed after it was kept"
        if words:
            wrong[row["digest"]] = words
    for row in db.execute(_SHOWN) if wrong else ():
        if row["document"] in wrong:
            job = row["job_id"]
            remedy = f"Go back to another revision, or take it out with ./trowel export {job} --as-stored."
            yield Fault(f"job {job}, revision {row['n']}", wrong[row["document"]].rstrip("."), remedy)


def _why_no_plan(text: str) -> str:
    try:
        read_plan(json.loads(text))
    except (ValueError, RecursionError):
        return "its document is no JSON"
    except TrowelError as error:
        return str(error)
    return ""


def _lost(db: sqlite3.Connection) -> Iterator[Fault]:
    for row in db.execute(_REVISIONS):
        yield Fault(f"job {row['job_id']}, revision {row['n']}", "its document is not stored", RESTORE)


def _records(db: sqlite3.Connection) -> Iterator[Fault]:
    for row in db.execute(_RECORDS):
        words = _why_no_record(row) or _without_picture(db, row)
        if words:
            where = f"record {row['id']} of job {row['job_id']}"
            yield Fault(where, words.rstrip("."), AS_STORED.format(job=row["job_id"]))


def _why_no_record(row: sqlite3.Row) -> str:
    kind = KIND_OF.get(row["kind"])
    if kind is None:
        return f"the kind {row['kind']} is not known to this program"
    if row["head"] is None or not 1 <= row["revision"] <= row["head"]:
        return f"it was made on revision {row['revision']}, which is not there"
    try:
        kind.read(json.loads(row["document"]), "mm")
    except (ValueError, RecursionError):
        return "its values are no JSON"
    except TrowelError as error:
        return str(error)
    return ""


def _without_picture(db: sqlite3.Connection, row: sqlite3.Row) -> str:
    kind = KIND_OF[row["kind"]]
    names = kind.pictures(kind.read(json.loads(row["document"]), "mm"))
    lost = [one for one in names if db.execute(_PHOTO, {"job": row["job_id"], "id": one}).fetchone() is None]
    return f"its picture {lost[0]} is not stored" if lost else ""


def _ways(db: sqlite3.Connection) -> Iterator[Fault]:
    for version, text in ways.every(db):
        try:
            Ways.model_validate_json(text)
        except ValidationError:
            yield Fault(f"ways, version {version}", "they cannot be read", "Keep the ways once more on their page.")
