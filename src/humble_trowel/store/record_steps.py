"""Undo and redo of records: a step is a record of its own that supersedes the one it steps over, so nothing is ever lost.

What a person wrote about one matter is a pile: a record, its correction, its strike. Undo takes the top of the pile away and
shows what lies under it, redo puts it back. Each step says what shows then: a copy of that record, or a strike where nothing
is left. The id of a step follows from the id of the record it steps over, so the same step counts once, and a step can be
told from what a person wrote.
"""

from __future__ import annotations

import sqlite3
import uuid
from dataclasses import dataclass, replace
from typing import Literal

from humble_trowel.store import jobs
from humble_trowel.store.db import atomic
from humble_trowel.store.records import Record, add, find

_SPACE = uuid.UUID("6f1f6c1e-6f0c-4c8e-9a57-0c1f2f4f7a11")
Way = Literal["undo", "redo"]


def step_id(over: str) -> str:
    """Id of the record that steps over another: away with it where its pile is whole, else back with the last taken."""
    return f"step-{uuid.uuid5(_SPACE, over).hex}"


def further_id(over: str) -> str:
    """Id of the record that takes one more away where the top of its pile is away already."""
    return f"step-{uuid.uuid5(_SPACE, 'further ' + over).hex}"


@dataclass(frozen=True)
class Offer:
    """What undo or redo steps over (the record that stands), and the record that goes or comes, as a person wrote it."""

    record: str
    told: str


@dataclass(frozen=True)
class _Pile:
    """What a person wrote about one matter, oldest first (id, row number), and the row numbers of the steps that took the newest
    of it away, the newest of all first."""

    wrote: list[tuple[str, int]]
    taken: list[int]

    def after(self, way: Way, at: int = 0) -> _Pile:
        return _Pile(self.wrote, [*self.taken, at] if way == "undo" else self.taken[:-1])

    @property
    def away(self) -> int:
        return len(self.taken)

    @property
    def shows(self) -> tuple[str, int] | None:
        return self.wrote[len(self.wrote) - self.away - 1] if self.away < len(self.wrote) else None

    @property
    def next_back(self) -> tuple[str, int] | None:
        return self.wrote[len(self.wrote) - self.away] if self.away else None


_STANDING = """
select r.id from records r join revisions v on v.job_id = r.job_id and v.n = r.revision
where r.job_id = :job and v.content = :content
and r.id not in (select supersedes from records where job_id = :job and supersedes is not null) order by r.rowid desc
"""


def last(db: sqlite3.Connection, job_id: str, content: int) -> tuple[Offer | None, Offer | None]:
    """What (undo, redo) would step over, of the records made while this content of the plan was shown: the newest that a
    person wrote and that shows; for redo what was taken away last, while nothing new was written since."""
    undo: tuple[int, Offer] | None = None
    back: list[tuple[int, int, Offer]] = []
    newest = 0
    for row in db.execute(_STANDING, {"job": job_id, "content": content}):
        pile, steps = _pile(db, row["id"])
        newest = max(newest, pile.wrote[-1][1])
        if pile.shows and (undo is None or pile.shows[1] > undo[0]):
            undo = (pile.shows[1], Offer(row["id"], pile.shows[0]))
        if pile.next_back:
            back.append((pile.next_back[1], pile.taken[-1], Offer(row["id"], pile.next_back[0])))
        if not steps:  # older ones were taken away before this was written
            break
    redo = min((one for one in back if one[1] > newest), key=lambda one: one[0], default=None)
    return undo[1] if undo else None, redo[2] if redo else None


_ROW = "select rowid, supersedes from records where id = :id"


def _pile(db: sqlite3.Connection, record: str) -> tuple[_Pile, int]:
    """The pile that a record stands on, and how many steps lie on top of what a person wrote last."""
    chain: list[tuple[str, int, str | None]] = []
    here: str | None = record
    while here is not None and (row := db.execute(_ROW, {"id": here}).fetchone()) is not None:
        chain.append((here, row["rowid"], row["supersedes"]))
        here = row["supersedes"]
    pile, steps = _Pile([], []), 0
    for one, at, over in reversed(chain):
        if over is not None and one == further_id(over):
            pile, steps = pile.after("undo", at), steps + 1
        elif over is not None and one == step_id(over):
            pile, steps = pile.after("redo" if pile.away else "undo", at), steps + 1
        else:
            pile, steps = _Pile([*pile.wrote[: len(pile.wrote) - pile.away], (one, at)], []), 0
    return pile, steps


def step(db: sqlite3.Connection, job_id: str, record: str, way: Way, who: str, at: str) -> Record:
    """Take what stands at a record back, or bring again what was taken. Raises NothingToDo where it is not there, or is
    stepped over already by something else."""
    with atomic(db):
        old = find(db, record)
        if old is None or old.job_id != job_id:
            raise jobs.NothingToDo("That record is not here any more.")
        pile, _ = _pile(db, record)
        if not (pile.shows if way == "undo" else pile.away):
            raise jobs.NothingToDo("There is nothing more to step over.")
        made_id = further_id(record) if way == "undo" and pile.away else step_id(record)
        if find(db, made_id) is None and _taken(db, job_id, record):
            raise jobs.NothingToDo("It was corrected since.")
        shows = pile.after(way).shows
        left = find(db, shows[0]) if shows else None
        made = Record(made_id, job_id, "struck", jobs.head(db, job_id).n, who, at, at, record, {"why": ""})
        return add(db, replace(left, id=made_id, who=who, at=at, supersedes=record) if left else made)


_TAKEN = "select 1 from records where job_id = :job and supersedes = :id"


def _taken(db: sqlite3.Connection, job_id: str, record: str) -> bool:
    return db.execute(_TAKEN, {"job": job_id, "id": record}).fetchone() is not None
