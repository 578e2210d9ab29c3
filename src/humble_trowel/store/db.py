"""SQLite: connections, and one way to write (`atomic`).

A connection per request; WAL; synchronous FULL, because an acknowledged write must survive a killed server.
"""

from __future__ import annotations

import sqlite3
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Literal

BUSY_MS = 4000
Mode = Literal["ro", "rw", "rwc"]


def connect(path: Path, *, readonly: bool = False, busy_ms: int = BUSY_MS, create: bool = True) -> sqlite3.Connection:
    """Open the database. readonly: no write can pass. create: make the file where there is none; a running program does
    not, so that data which were moved away are missed rather than begun anew. Raises sqlite3.Error."""
    mode: Mode = "ro" if readonly else "rwc" if create else "rw"
    db = sqlite3.connect(uri(path, mode), isolation_level=None, check_same_thread=False, uri=True)
    try:
        db.row_factory = sqlite3.Row
        db.execute(f"pragma busy_timeout = {busy_ms}")
        db.execute("pragma foreign_keys = on")
        db.execute("pragma recursive_triggers = on")
        if not readonly:
            db.execute("pragma journal_mode = wal")
            db.execute("pragma synchronous = full")
    except BaseException:
        db.close()
        raise
    return db


def uri(path: Path, mode: Mode) -> str:
    """A path as SQLite takes it, whatever signs are in it."""
    return f"{path.absolute().as_uri()}?mode={mode}"


# Writers of one program take turns here: SQLite lets them try again and again instead, and some never get in.
_TURN = threading.Lock()


@contextmanager
def atomic(db: sqlite3.Connection) -> Iterator[sqlite3.Connection]:
    """One transaction that takes the write lock at once; a savepoint when nested. Rolled back on any exception."""
    if db.in_transaction:
        with _within(db, "savepoint nested", "release nested", ("rollback to nested", "release nested")):
            yield db
        return
    with _TURN, _within(db, "begin immediate", "commit", ("rollback",)):
        yield db


@contextmanager
def _within(db: sqlite3.Connection, begin: str, end: str, back: tuple[str, ...]) -> Iterator[None]:
    db.execute(begin)
    try:
        yield
        db.execute(end)
    except BaseException:
        if db.in_transaction:
            for statement in back:
                db.execute(statement)
        raise
