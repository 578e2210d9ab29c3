"""The practice yard's own book, in a database beside that of the jobs: nothing of it ever stands in a job, a copy or an archive.

Names stand in it only where their holders want it, and go when they say so.
"""

from __future__ import annotations

import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from dataclasses import dataclass
from pathlib import Path

from humble_trowel.core.practice.progress import Tried
from humble_trowel.store.db import atomic, connect

FOLDER, FILE = "practice", "practice.sqlite3"
MOST_SET = 40

_SCHEMA = """
create table tries (
  id text primary key,
  who text not null,
  kind text not null,
  level integer not null,
  seed integer not null,
  lost integer not null,
  grade text not null,
  off_n integer,
  at text not null
) strict;
create table given (
  id text primary key,
  kind text not null,
  level integer not null,
  seed integer not null,
  units text not null,
  day text not null,
  who text not null,
  at text not null
) strict;
"""


@dataclass(frozen=True)
class Given:
    """An exercise that somebody set for a day."""

    id: str
    kind: str
    level: int
    seed: int
    units: str
    day: str
    who: str
    at: str


class PracticeBook:
    """Answers that are kept by name, and exercises that were set."""

    def __init__(self, data: Path) -> None:
        self.path = data / FOLDER / FILE

    @contextmanager
    def _open(self) -> Iterator[sqlite3.Connection]:
        self.path.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
        with closing(connect(self.path)) as db:
            with atomic(db):
                if db.execute("select count(*) from sqlite_master where name = 'given'").fetchone()[0] == 0:
                    for statement in _SCHEMA.split(";\n"):
                        db.execute(statement)
            yield db

    def keep(self, id: str, seed: int, row: Tried) -> None:
        """Keep an answer; the same id counts once."""
        with self._open() as db, atomic(db):
            db.execute(
                "insert or ignore into tries (id, who, kind, level, seed, lost, grade, off_n, at)"
                " values (:id, :who, :kind, :level, :seed, :lost, :grade, :off_n, :at)",
                {"id": id, "seed": seed, **row.__dict__},
            )

    def tries(self) -> list[Tried]:
        """All that are kept, oldest first."""
        if not self.path.exists():
            return []
        with self._open() as db:
            rows = db.execute("select who, kind, level, lost, grade, off_n, at from tries order by at, rowid")
            return [Tried(**dict(row)) for row in rows]

    def forget(self, who: str) -> int:
        """Take out all that stands by a name; how many there were."""
        with self._open() as db, atomic(db):
            return db.execute("delete from tries where who = :who", {"who": who}).rowcount

    def give(self, row: Given) -> None:
        """Set an exercise for a day. The same id counts once; the oldest go where there are very many."""
        with self._open() as db, atomic(db):
            db.execute(
                "insert or ignore into given (id, kind, level, seed, units, day, who, at)"
                " values (:id, :kind, :level, :seed, :units, :day, :who, :at)",
                row.__dict__,
            )
            db.execute("delete from given where id not in (select id from given order by day desc, at desc limit :most)", {"most": MOST_SET})  # fmt: skip

    def given(self, from_day: str) -> list[Given]:
        """What is set for a day or later, the soonest first."""
        if not self.path.exists():
            return []
        with self._open() as db:
            rows = db.execute("select * from given where day >= :day order by day, at", {"day": from_day})
            return [Given(**dict(row)) for row in rows]

    def take_back(self, id: str) -> bool:
        """Take back what was set; whether it was there."""
        with self._open() as db, atomic(db):
            return db.execute("delete from given where id = :id", {"id": id}).rowcount > 0
