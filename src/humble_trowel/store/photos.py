"""Pictures, in a table of their own. Append-only; the records that name them say what they show."""

from __future__ import annotations

import sqlite3
from dataclasses import dataclass

from humble_trowel.store import jobs
from humble_trowel.store.db import atomic
from humble_trowel.store.records import OtherRecord


@dataclass(frozen=True)
class Photo:
    """One picture. id: made by who took it. sent: digest of the bytes as they came. picture, small: JPEG."""

    job_id: str
    id: str
    sent: str
    picture: bytes
    small: bytes
    width_px: int
    height_px: int
    at: str


_FIELDS = tuple(Photo.__dataclass_fields__)
_INSERT = f"insert into photos ({', '.join(_FIELDS)}) values ({', '.join(':' + name for name in _FIELDS)})"
_ONE = f"select {', '.join(_FIELDS)} from photos where job_id = :job and id = :id"
_SENT = "select sent from photos where job_id = :job and id = :id"


def add(db: sqlite3.Connection, row: Photo) -> None:
    """Keep a picture. The same one sent twice counts once. Raises NoSuchJob, OtherRecord."""
    with atomic(db):
        jobs.find(db, row.job_id)
        old = db.execute(_SENT, {"job": row.job_id, "id": row.id}).fetchone()
        if old is None:
            db.execute(_INSERT, row.__dict__)
        elif old["sent"] != row.sent:
            raise OtherRecord("A picture of that id is kept already, and it is another one.")


def find(db: sqlite3.Connection, job_id: str, photo_id: str) -> Photo | None:
    """A picture of a job."""
    row = db.execute(_ONE, {"job": job_id, "id": photo_id}).fetchone()
    return Photo(**dict(row)) if row else None


def there(db: sqlite3.Connection, job_id: str, photo_id: str) -> bool:
    """Whether a picture has arrived."""
    return db.execute(_SENT, {"job": job_id, "id": photo_id}).fetchone() is not None
