"""Numbered migrations, applied in order at start, each in one transaction with its version."""

from __future__ import annotations

import re
import sqlite3
from collections.abc import Callable, Iterator
from importlib import resources

from humble_trowel.store.db import atomic
from humble_trowel.store.documents import store_once
from humble_trowel.store.give_ids import give_ids

# What SQL alone cannot do, run after the statements of a migration, in its transaction.
AFTER: dict[int, Callable[[sqlite3.Connection], None]] = {3: give_ids, 4: store_once}


class NewerDatabase(Exception):
    """The file was written by a newer program."""


def migrations() -> list[tuple[int, str]]:
    """(number, SQL) of every migration that ships, ascending."""
    folder = resources.files("humble_trowel.store") / "migrations"
    rows = []
    for entry in folder.iterdir():
        match = re.fullmatch(r"(\d{4})_\w+\.sql", entry.name)
        if match:
            rows.append((int(match[1]), entry.read_text("utf-8")))
    return sorted(rows)


def statements(script: str) -> Iterator[str]:
    """Split a script at complete statements (executescript would commit the first ones after a failure)."""
    held = ""
    for line in script.splitlines(keepends=True):
        held += line
        if sqlite3.complete_statement(held):
            yield held
            held = ""
    if held.strip():
        raise ValueError("a migration ends in the middle of a statement")


def migrate(db: sqlite3.Connection) -> int:
    """Bring a database up to date; returns its version. Raises NewerDatabase."""
    rows = migrations()
    version = int(db.execute("pragma user_version").fetchone()[0])
    if rows and version > rows[-1][0]:
        raise NewerDatabase(f"The data are version {version}; this program knows up to {rows[-1][0]}.")
    for number, script in rows:
        if number <= version:
            continue
        with atomic(db):
            for statement in statements(script):
                db.execute(statement)
            if number in AFTER:
                AFTER[number](db)
            db.execute(f"pragma user_version = {number}")
        version = number
    return version
