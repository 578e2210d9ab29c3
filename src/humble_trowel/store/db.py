"""SQLite: connections, one way to write (`atomic`), and backups.

A connection per request; WAL; synchronous FULL, because an acknowledged write must survive a killed server.
"""

from __future__ import annotations

import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from pathlib import Path

BUSY_MS = 4000


def connect(path: Path, *, readonly: bool = False, busy_ms: int = BUSY_MS) -> sqlite3.Connection:
    """Open the database. readonly: no write can pass. Raises sqlite3.Error."""
    target = f"file:{path}?mode=ro" if readonly else str(path)
    db = sqlite3.connect(target, isolation_level=None, check_same_thread=False, uri=readonly)
    db.row_factory = sqlite3.Row
    db.execute(f"pragma busy_timeout = {busy_ms}")
    db.execute("pragma foreign_keys = on")
    db.execute("pragma recursive_triggers = on")
    if not readonly:
        db.execute("pragma journal_mode = wal")
        db.execute("pragma synchronous = full")
    return db


@contextmanager
def atomic(db: sqlite3.Connection) -> Iterator[sqlite3.Connection]:
    """One transaction that takes the write lock at once; a savepoint when nested. Rolled back on any exception."""
    nested = db.in_transaction
    db.execute("savepoint nested" if nested else "begin immediate")
    try:
        yield db
        db.execute("release nested" if nested else "commit")
    except BaseException:
        if db.in_transaction:
            db.execute("rollback to nested" if nested else "rollback")
            if nested:
                db.execute("release nested")
        raise


def backup(path: Path, target: Path) -> None:
    """Copy the database, consistent while in use, into a new file. Raises FileExistsError, sqlite3.Error."""
    if target.exists():
        raise FileExistsError(target)
    with closing(connect(path, readonly=True)) as source, closing(sqlite3.connect(target)) as copy:
        source.backup(copy)
        copy.execute("pragma journal_mode = delete")
