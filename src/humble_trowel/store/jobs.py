"""Jobs and their plan revisions. Every kept edit, undo, redo and go-back is a new revision; none is ever changed.

A revision's `content` is the revision whose document it shows (itself for edits), `parent` the content that undo
returns to, `redo` the contents that redo can return to, nearest first. A new edit clears `redo`.
"""

from __future__ import annotations

import json
import sqlite3
import uuid
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Any

from humble_trowel.store.db import atomic
from humble_trowel.store.documents import keep_document, told


class NoSuchJob(Exception):
    """No job with that id (or it was deleted)."""


class Stale(Exception):
    """A save against a revision that is no longer the head."""


class NothingToDo(Exception):
    """Nothing to undo or redo."""


class Unreadable(Exception):
    """What is stored of a revision is no plan; it can still be taken out as it stands."""


@dataclass(frozen=True)
class Revision:
    """One row. text: the whole plan after it, as JSON; edits stand in a column that is read by itself."""

    job_id: str
    n: int
    kind: str
    author: str
    at: str
    summary: str
    text: str
    content: int
    parent: int | None
    redo: tuple[int, ...]

    @cached_property
    def document(self) -> dict[str, Any]:
        """The plan's document. Raises Unreadable where the text is no JSON object."""
        try:
            data = json.loads(self.text)
        except (ValueError, RecursionError):
            data = None
        if not isinstance(data, dict):
            raise Unreadable(f"Revision {self.n} of this job cannot be read: what is stored of it is damaged.")
        return data


@dataclass(frozen=True)
class Job:
    id: str
    made_at: str
    archived_at: str | None
    deleted_at: str | None
    head: int


_COLUMNS = "job_id, n, kind, author, at, summary, content, parent, redo"
_ROWS = f"select {_COLUMNS}, text from revisions left join documents on digest = document"
_JOB = "select id, made_at, archived_at, deleted_at, head from jobs where id = :id"


def find(db: sqlite3.Connection, job_id: str, *, deleted: bool = False) -> Job:
    """The job. Raises NoSuchJob; a deleted one is found only with `deleted`."""
    row = db.execute(_JOB, {"id": job_id}).fetchone()
    if row is None or (row["deleted_at"] and not deleted):
        raise NoSuchJob(job_id)
    return Job(**dict(row))


_ALL = """
select id, made_at, archived_at, deleted_at, head from jobs where deleted_at is null
order by (select at from revisions where job_id = id and n = head) desc, made_at desc
"""


def every(db: sqlite3.Connection) -> list[Job]:
    """All jobs that are not deleted, the last changed first."""
    return [Job(**dict(row)) for row in db.execute(_ALL)]


_REVISION = f"{_ROWS} where job_id = :id and n = :n"


def revision(db: sqlite3.Connection, job_id: str, n: int) -> Revision:
    """One revision. Raises NoSuchJob when there is none."""
    row = db.execute(_REVISION, {"id": job_id, "n": n}).fetchone()
    if row is None:
        raise NoSuchJob(f"{job_id} revision {n}")
    return _revision(row)


def _revision(row: sqlite3.Row) -> Revision:
    values = dict(row)
    values["text"] = values["text"] or ""
    values["redo"] = tuple(json.loads(values["redo"]))
    return Revision(**values)


def head(db: sqlite3.Connection, job_id: str) -> Revision:
    """The newest revision of a job."""
    return revision(db, job_id, find(db, job_id).head)


_HISTORY = (
    "select n, kind, author, at, summary from revisions where job_id = :id and n < :before order by n desc limit :most"
)
FIRST_PAGE = 2**62


def history(db: sqlite3.Connection, job_id: str, before: int = FIRST_PAGE, most: int = 200) -> list[dict[str, Any]]:
    """Newest first, those before a revision: n, kind, author, at, summary."""
    find(db, job_id)
    return [dict(row) for row in db.execute(_HISTORY, {"id": job_id, "before": before, "most": most})]


def create(db: sqlite3.Connection, document: dict[str, Any], author: str, at: str, summary: str) -> Revision:
    """A new job with its first revision."""
    job_id = uuid.uuid4().hex[:12]
    with atomic(db):
        db.execute("insert into jobs (id, made_at, head) values (:id, :at, 0)", {"id": job_id, "at": at})
        return _append(db, _new(job_id, Change(author, at, summary), document))


@dataclass(frozen=True)
class Change:
    """Who changed a job, when, and what the history says of it. edit_id: made by the client, so that a resend counts once."""

    author: str
    at: str
    summary: str
    edits: Sequence[dict[str, Any]] = ()
    edit_id: str | None = None
    kind: str = "edit"


def _new(job_id: str, change: Change, document: dict[str, Any]) -> Revision:
    """A revision with content of its own, before it has a number."""
    return Revision(
        job_id=job_id, n=0, kind=change.kind, author=change.author, at=change.at, summary=change.summary,
        text=told(document), content=0, parent=None, redo=(),
    )  # fmt: skip


def _shown_again(row: Revision, change: Change) -> Revision:
    """The content of an earlier revision, shown again by a change."""
    return replace(row, kind=change.kind, author=change.author, at=change.at, summary=change.summary)


_INSERT = f"""
insert into revisions ({_COLUMNS}, document, edits, edit_id)
values (:job_id, :n, :kind, :author, :at, :summary, :content, :parent, :redo, :document, :edits, :edit_id)
"""
_SET_HEAD = "update jobs set head = :n where id = :id"
_LAST = "select coalesce(max(n), 0) from revisions where job_id = :id"


def _append(
    db: sqlite3.Connection, row: Revision, edits: Sequence[dict[str, Any]] = (), edit_id: str | None = None
) -> Revision:
    """Add a revision after the last of its job; its n, and the content where it is its own, come from here."""
    n = int(db.execute(_LAST, {"id": row.job_id}).fetchone()[0]) + 1
    row = replace(row, n=n, content=row.content or n)
    values = {
        **row.__dict__,
        "document": keep_document(db, row.text),
        "redo": json.dumps(row.redo),
        "edits": json.dumps(list(edits)),
        "edit_id": edit_id,
    }
    db.execute(_INSERT, values)
    db.execute(_SET_HEAD, {"n": n, "id": row.job_id})
    return row


_SEEN = f"{_ROWS} where job_id = :id and edit_id = :edit_id"


def seen(db: sqlite3.Connection, job_id: str, edit_id: str | None) -> Revision | None:
    """The revision that an edit with this client-made id already made: a resend counts once."""
    if edit_id is None:
        return None
    row = db.execute(_SEEN, {"id": job_id, "edit_id": edit_id}).fetchone()
    return _revision(row) if row else None


def save(db: sqlite3.Connection, job_id: str, against: int, document: dict[str, Any], change: Change) -> Revision:
    """Keep an edit as revision head + 1. Raises Stale when `against` is not the head."""
    with atomic(db):
        before = seen(db, job_id, change.edit_id)
        if before is not None:
            return before
        now = head(db, job_id)
        if now.n != against:
            raise Stale(job_id)
        row = replace(_new(job_id, change, document), parent=_before_typing(db, now, change.edits))
        return _append(db, row, change.edits, change.edit_id)


_EDITS = "select edits, parent from revisions where job_id = :id and n = :n"


def _before_typing(db: sqlite3.Connection, now: Revision, edits: Sequence[dict[str, Any]]) -> int | None:
    """What undo returns to: the present content; for a walk that is still being typed, what was there before it."""
    row = db.execute(_EDITS, {"id": now.job_id, "n": now.content}).fetchone()
    if _only_typing(edits) and row["parent"] is not None and _only_typing(json.loads(row["edits"])):
        return int(row["parent"])
    return now.content


def _only_typing(edits: Sequence[dict[str, Any]]) -> bool:
    return bool(edits) and all(edit.get("op") == "set_walk" for edit in edits)


def undo(db: sqlite3.Connection, job_id: str, against: int, author: str, at: str) -> Revision:
    """Show the content before the present one. Raises Stale, NothingToDo."""
    with atomic(db):
        now = _current(db, job_id, against)
        here = revision(db, job_id, now.content)
        if here.parent is None:
            raise NothingToDo("Nothing to undo.")
        back = revision(db, job_id, here.parent)
        change = Change(author, at, f"Undid: {here.summary}", kind="undo")
        shown = replace(back, redo=(now.content, *now.redo))
        return _append(db, _shown_again(shown, change))


def redo(db: sqlite3.Connection, job_id: str, against: int, author: str, at: str) -> Revision:
    """Show again what the last undo took away. Raises Stale, NothingToDo."""
    with atomic(db):
        now = _current(db, job_id, against)
        if not now.redo:
            raise NothingToDo("Nothing to redo.")
        again = revision(db, job_id, now.redo[0])
        change = Change(author, at, f"Redid: {again.summary}", kind="redo")
        return _append(db, _shown_again(replace(again, redo=now.redo[1:]), change))


def _current(db: sqlite3.Connection, job_id: str, against: int) -> Revision:
    now = head(db, job_id)
    if now.n != against:
        raise Stale(job_id)
    return now


def put_away(db: sqlite3.Connection, job_id: str, column: str, at: str | None) -> None:
    """Archive or delete (a time), restore (None). column: archived_at or deleted_at."""
    if column not in ("archived_at", "deleted_at"):
        raise ValueError(column)
    with atomic(db):
        find(db, job_id, deleted=True)
        db.execute(f"update jobs set {column} = :at where id = :id", {"at": at, "id": job_id})
