"""The crew's ways: append-only versions, the newest counts."""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Iterator
from typing import Any

from humble_trowel.store.db import atomic
from humble_trowel.store.jobs import Stale

_LATEST = "select coalesce(max(n), 0) from ways"


def latest(db: sqlite3.Connection) -> int:
    """The newest version; 0 when nobody has written any."""
    return int(db.execute(_LATEST).fetchone()[0])


_EVERY = "select n, document from ways order by n desc"


def every(db: sqlite3.Connection) -> Iterator[tuple[int, str]]:
    """(version, document as JSON text), the newest first."""
    for row in db.execute(_EVERY):
        yield int(row["n"]), str(row["document"])


def newest(db: sqlite3.Connection) -> tuple[int, dict[str, Any]]:
    """(version, document); version 0 and {} when nobody has written any."""
    for version, text in every(db):
        return version, json.loads(text)
    return 0, {}


_INSERT = "insert into ways (n, author, at, document) values (:n, :author, :at, :document)"


def save(db: sqlite3.Connection, against: int, document: dict[str, Any], author: str, at: str) -> int:
    """Keep a new version; returns its number. Raises Stale when `against` is not the newest."""
    with atomic(db):
        version = latest(db)
        if version != against:
            raise Stale("ways")
        values = {
            "n": version + 1,
            "author": author,
            "at": at,
            "document": json.dumps(document, allow_nan=False),
        }
        db.execute(_INSERT, values)
        return version + 1
