"""The crew's ways: append-only versions, the newest counts."""

from __future__ import annotations

import json
import sqlite3
from typing import Any

from humble_trowel.store.db import atomic
from humble_trowel.store.jobs import Stale

_NEWEST = "select n, author, at, document from ways order by n desc limit 1"


def newest(db: sqlite3.Connection) -> tuple[int, dict[str, Any]]:
    """(version, document); version 0 and {} when nobody has written any."""
    row = db.execute(_NEWEST).fetchone()
    return (0, {}) if row is None else (int(row["n"]), json.loads(row["document"]))


_INSERT = "insert into ways (n, author, at, document) values (:n, :author, :at, :document)"


def save(db: sqlite3.Connection, against: int, document: dict[str, Any], author: str, at: str) -> int:
    """Keep a new version; returns its number. Raises Stale when `against` is not the newest."""
    with atomic(db):
        version, _ = newest(db)
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
