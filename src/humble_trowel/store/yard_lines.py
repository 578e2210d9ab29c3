"""Lines of the yard as they were last worked out. They may be lost at any time: each is made again where it is needed."""

from __future__ import annotations

import sqlite3
from collections.abc import Iterable
from contextlib import suppress

from humble_trowel.store.db import atomic
from humble_trowel.store.documents import digest_of

_ALL = """
select yard_lines.job_id, made_from, line, digest, text from yard_lines
join jobs on jobs.id = yard_lines.job_id
join revisions on revisions.job_id = jobs.id and n = head
join documents on digest = document
"""
_KEEP = """
insert into yard_lines (job_id, made_from, line) values (:job, :made_from, :line)
on conflict (job_id) do update set made_from = excluded.made_from, line = excluded.line
"""


def every(db: sqlite3.Connection) -> dict[str, tuple[str, str]]:
    """(what it was made from, the line as JSON) by job; only where the plan is stored as it was kept."""
    rows = db.execute(_ALL)
    return {row["job_id"]: (row["made_from"], row["line"]) for row in rows if digest_of(row["text"]) == row["digest"]}


def keep(db: sqlite3.Connection, rows: Iterable[tuple[str, str, str]]) -> None:
    """Keep lines as (job, what it was made from, JSON). Where the disk takes nothing, nothing is kept."""
    values = [{"job": job, "made_from": made_from, "line": line} for job, made_from, line in rows]
    if values:
        with suppress(sqlite3.Error), atomic(db):
            db.executemany(_KEEP, values)
