"""Records written on site. Append-only: a correction is a new record that supersedes the old; both stay."""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Any

from humble_trowel.store.db import atomic


@dataclass(frozen=True)
class Record:
    """One row. at_device: when the device says it was; at: when the server took it. document: its values."""

    id: str
    job_id: str
    kind: str
    revision: int
    who: str
    at_device: str
    at: str
    supersedes: str | None
    document: dict[str, Any]


_COLUMNS = "id, job_id, kind, revision, who, at_device, at, supersedes, document"
_BY_ID = f"select {_COLUMNS} from records where id = :id"
_HAS = "select 1 from revisions where job_id = :job and n = :n"
_INSERT = f"""
insert into records ({_COLUMNS})
values (:id, :job_id, :kind, :revision, :who, :at_device, :at, :supersedes, :document)
"""


DAMAGED = "as it stands"  # the key under which a text that is no JSON object is told


class NoSuchRevision(Exception):
    """A record that was made on a revision which its job does not have."""


class OtherRecord(Exception):
    """A record with that id is there already, and says something else; or what it supersedes is not there."""


def find(db: sqlite3.Connection, record_id: str) -> Record | None:
    """The record with that id."""
    row = db.execute(_BY_ID, {"id": record_id}).fetchone()
    return _record(row) if row else None


def there(db: sqlite3.Connection, record_id: str) -> bool:
    """Whether a record with that id is kept."""
    return find(db, record_id) is not None


def add(db: sqlite3.Connection, row: Record) -> Record:
    """Append a record. The same id with the same values counts once; with other values it raises OtherRecord."""
    with atomic(db):
        old = db.execute(_BY_ID, {"id": row.id}).fetchone()
        if old is not None:
            there = _record(old)
            if (there.job_id, there.kind, there.document) != (row.job_id, row.kind, row.document):
                raise OtherRecord("A record with that id is kept already, and it says something else.")
            return there
        if row.supersedes is not None:
            before = db.execute(_BY_ID, {"id": row.supersedes}).fetchone()
            if before is None or before["job_id"] != row.job_id:
                raise OtherRecord("The record that this one corrects is not here.")
        if db.execute(_HAS, {"job": row.job_id, "n": row.revision}).fetchone() is None:
            raise NoSuchRevision(f"This job has no revision {row.revision}.")
        document = json.dumps(row.document, allow_nan=False, separators=(",", ":"))
        db.execute(_INSERT, {**row.__dict__, "document": document})
    return row


_OF_JOB = f"select {_COLUMNS} from records where job_id = :job and (:kind is null or kind = :kind) order by at, rowid"


def of_job(db: sqlite3.Connection, job_id: str, kind: str | None = None) -> list[Record]:
    """All records of a job, the oldest first; of one kind where given."""
    return [_record(row) for row in db.execute(_OF_JOB, {"job": job_id, "kind": kind})]


_STANDING = """
select id, kind, document, revision between 1 and (select head from jobs where id = :job) as based
from records where job_id = :job
and id not in (select supersedes from records where job_id = :job and supersedes is not null) order by at, rowid
"""


def standing(db: sqlite3.Connection, job_id: str) -> Iterator[tuple[str, str, str]]:
    """(id, kind, values as JSON text) of a job's records that nothing supersedes, the oldest first. The text is empty for
    one that was made on a revision which is not there (it can only come from elsewhere): nobody can say what it means."""
    for row in db.execute(_STANDING, {"job": job_id}):
        yield row["id"], row["kind"], row["document"] if row["based"] else ""


_STAMP = "select count(*) || '/' || coalesce(max(rowid), 0) from records where job_id = :job"


def stamp(db: sqlite3.Connection, job_id: str) -> str:
    """Text that changes whenever a record of the job is added."""
    return str(db.execute(_STAMP, {"job": job_id}).fetchone()[0])


_STAMPS = "select job_id, count(*) || '/' || max(rowid) as stamp from records group by job_id"


def stamps(db: sqlite3.Connection) -> dict[str, str]:
    """The stamp of every job that has records."""
    return {row["job_id"]: str(row["stamp"]) for row in db.execute(_STAMPS)}


_NEWEST = f"""
select {_COLUMNS} from records where job_id = :job and kind = :kind
and id not in (select supersedes from records where supersedes is not null) order by at desc, rowid desc limit 1
"""


_LAST = f"select {_COLUMNS} from records order by rowid desc limit :most"


def last(db: sqlite3.Connection, most: int) -> list[Record]:
    """The last records of all jobs, the newest first."""
    return [_record(row) for row in db.execute(_LAST, {"most": most})]


def newest(db: sqlite3.Connection, job_id: str, kind: str) -> Record | None:
    """The newest record of a kind that nothing corrects."""
    row = db.execute(_NEWEST, {"job": job_id, "kind": kind}).fetchone()
    return _record(row) if row else None


def _record(row: sqlite3.Row) -> Record:
    values = dict(row)
    try:
        data = json.loads(values["document"])
    except (ValueError, RecursionError):
        data = None
    values["document"] = data if isinstance(data, dict) else {DAMAGED: values["document"]}
    return Record(**values)
