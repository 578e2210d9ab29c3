"""Undo and redo of records: a step is a record of its own that supersedes the one it steps over, so nothing is ever lost.

A step over a struck record brings back what that one struck; over any other it strikes it. Its id follows from the id of
the record it steps over, so the same step counts once, and a step can be told from what a person wrote. A record that came back because its strike
was undone is reached no more: to take it back again, it is struck again.
"""

from __future__ import annotations

import sqlite3
import uuid
from dataclasses import replace

from humble_trowel.store import jobs
from humble_trowel.store.db import atomic
from humble_trowel.store.records import Record, add, find

_SPACE = uuid.UUID("6f1f6c1e-6f0c-4c8e-9a57-0c1f2f4f7a11")


def step_id(over: str) -> str:
    """Id of the record that steps over another."""
    return f"step-{uuid.uuid5(_SPACE, over).hex}"


_STANDING = """
select r.id, r.supersedes from records r join revisions v on v.job_id = r.job_id and v.n = r.revision
where r.job_id = :job and v.content = :content
and r.id not in (select supersedes from records where job_id = :job and supersedes is not null) order by r.rowid desc
"""


def last(db: sqlite3.Connection, job_id: str, content: int) -> tuple[str | None, str | None]:
    """Ids of the records that (undo, redo) would step over: of those made while this content of the plan was shown, the
    newest that stands; for redo the newest that was undone, while nothing new was written since."""
    undo: str | None = None
    redo: str | None = None
    for row in db.execute(_STANDING, {"job": job_id, "content": content}):
        depth = _depth(db, row["id"], row["supersedes"])
        if depth % 2:
            redo = redo or row["id"]
        else:
            undo = undo or row["id"]
        if depth == 0:  # older ones were undone before this was written
            break
    return undo, redo


_OVER = "select supersedes from records where id = :id"


def _depth(db: sqlite3.Connection, record: str, over: str | None) -> int:
    """How many steps lead from what a person wrote to this record: 0 for that one, odd while it is undone."""
    depth = 0
    while over is not None and record == step_id(over):
        depth += 1
        row = db.execute(_OVER, {"id": over}).fetchone()
        record, over = over, row["supersedes"] if row else None
    return depth


def step(db: sqlite3.Connection, job_id: str, record: str, who: str, at: str) -> Record:
    """Take a record back, or bring it again. Raises NothingToDo where it is not there or is stepped over already by
    something else."""
    with atomic(db):
        old = find(db, record)
        if old is None or old.job_id != job_id:
            raise jobs.NothingToDo("That record is not here any more.")
        made = Record(
            step_id(record), job_id, "struck", jobs.head(db, job_id).n, who, at, at, record, {"why": ""},
        )  # fmt: skip
        if old.kind == "struck" and old.supersedes is not None:
            again = find(db, old.supersedes)
            if again is None:
                raise jobs.NothingToDo("What it struck out is not here any more.")
            made = replace(again, id=made.id, who=who, at=at, supersedes=record)
        if find(db, made.id) is None and _taken(db, job_id, record):
            raise jobs.NothingToDo("It was corrected since.")
        return add(db, made)


_TAKEN = "select 1 from records where job_id = :job and supersedes = :id"


def _taken(db: sqlite3.Connection, job_id: str, record: str) -> bool:
    return db.execute(_TAKEN, {"job": job_id, "id": record}).fetchone() is not None
