"""Devices that joined: who holds each, what it may do, and by which token it is known. Of a token only its hash is kept."""

from __future__ import annotations

import hashlib
import secrets
import sqlite3
import uuid
from collections.abc import Iterator
from contextlib import closing, contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import Literal

from humble_trowel.store.db import atomic, connect

Role = Literal["owner", "crew", "looker"]
FOLDER, FILE = "site", "devices.sqlite3"
TOKEN_BYTES = 32

_SCHEMA = """
create table if not exists devices (
  id text primary key,
  name text not null,
  role text not null check (role in ('owner', 'crew', 'looker')),
  token_hash text not null unique,
  job_id text,
  until text,
  joined_at text not null,
  thrown_at text
) strict;
create table if not exists links (
  token_hash text primary key,
  name text not null,
  job_id text not null,
  until text not null,
  made_at text not null,
  ended_at text
) strict;
create table if not exists happened (
  n integer primary key,
  at text not null,
  who text not null,
  what text not null
) strict;
create table if not exists settings (key text primary key, value text not null) strict;
"""


@dataclass(frozen=True)
class Device:
    """One that joined. job_id: the only job it may see, of a looker. until: last moment (ISO), of a looker. thrown_at: when
    it was thrown out."""

    id: str
    name: str
    role: Role
    job_id: str | None
    until: str | None
    joined_at: str
    thrown_at: str | None


@dataclass(frozen=True)
class Happening:
    """Something that the laptop tells of who came and went."""

    at: str
    who: str
    what: str


def hash_of(token: str) -> str:
    """What is kept of a token: it is 256 random bits, so one round of SHA-256 is enough (nothing can be tried through)."""
    return hashlib.sha256(token.encode()).hexdigest()


class Devices:
    """The list of devices, in a database of its own beside that of the jobs: a copy of the jobs carries no way in, and one
    that is put back throws nobody out."""

    def __init__(self, data: Path) -> None:
        self.path = data / FOLDER / FILE

    @contextmanager
    def _open(self) -> Iterator[sqlite3.Connection]:
        if not self.path.exists():
            self.path.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
        with closing(connect(self.path)) as db:
            if db.execute("select count(*) from sqlite_master where name = 'settings'").fetchone()[0] == 0:
                with atomic(db):
                    for statement in _SCHEMA.split(";\n"):
                        db.execute(statement)
                self.path.chmod(0o600)
            yield db

    def join(
        self, name: str, role: Role, at: str, *, job_id: str | None = None, until: str | None = None
    ) -> tuple[Device, str]:
        """A new device and its token, which is told once and never again."""
        token = secrets.token_urlsafe(TOKEN_BYTES)
        made = Device(uuid.uuid4().hex[:12], name, role, job_id, until, at, None)
        row = {**made.__dict__, "hash": hash_of(token)}
        with self._open() as db, atomic(db):
            db.execute(
                "insert into devices (id, name, role, token_hash, job_id, until, joined_at)"
                " values (:id, :name, :role, :hash, :job_id, :until, :joined_at)",
                row,
            )
        return made, token

    def known(self, token: str, now: str) -> Device | None:
        """The device of a token; None where there is none, it was thrown out, or its last moment is over."""
        if not token or not self.path.exists():
            return None
        with self._open() as db:
            row = db.execute("select * from devices where token_hash = :hash", {"hash": hash_of(token)}).fetchone()
        found = _device(row) if row else None
        if found is None or found.thrown_at is not None or (found.until is not None and found.until < now):
            return None
        return found

    def every(self) -> list[Device]:
        """All that ever joined, in the order they came."""
        if not self.path.exists():
            return []
        with self._open() as db:
            return [_device(row) for row in db.execute("select * from devices order by joined_at, rowid")]

    def find(self, device_id: str) -> Device | None:
        """A device by its id."""
        return next((row for row in self.every() if row.id == device_id), None)

    def set_role(self, device_id: str, role: Role) -> None:
        """Let a device do more, or less."""
        with self._open() as db, atomic(db):
            db.execute("update devices set role = :role where id = :id", {"id": device_id, "role": role})

    def throw_out(self, device_id: str, at: str) -> None:
        """Its token counts for nothing from now on."""
        with self._open() as db, atomic(db):
            db.execute(
                "update devices set thrown_at = :at where id = :id and thrown_at is null", {"id": device_id, "at": at}
            )

    def link(self, name: str, job_id: str, until: str, at: str) -> str:
        """A link for somebody who only looks at one job, until a moment: its token, told once."""
        token = secrets.token_urlsafe(TOKEN_BYTES)
        with self._open() as db, atomic(db):
            db.execute(
                "insert into links (token_hash, name, job_id, until, made_at) values (:hash, :name, :job, :until, :at)",
                {"hash": hash_of(token), "name": name, "job": job_id, "until": until, "at": at},
            )
        return token

    def follow(self, token: str, at: str) -> tuple[Device, str] | None:
        """The device and token of somebody who came by a link; None where it is over or never was. A link can be followed
        again on another phone as long as it lasts."""
        if not self.path.exists():
            return None
        with self._open() as db:
            row = db.execute(
                "select * from links where token_hash = :hash and ended_at is null and until >= :at",
                {"hash": hash_of(token), "at": at},
            ).fetchone()
        return None if row is None else self.join(row["name"], "looker", at, job_id=row["job_id"], until=row["until"])

    def note(self, who: str, what: str, at: str) -> None:
        """Write down who came or went."""
        with self._open() as db, atomic(db):
            db.execute(
                "insert into happened (at, who, what) values (:at, :who, :what)", {"at": at, "who": who, "what": what}
            )

    def happened(self, most: int = 30) -> list[Happening]:
        """Who came and went, the newest first."""
        if not self.path.exists():
            return []
        with self._open() as db:
            rows = db.execute("select at, who, what from happened order by n desc limit :most", {"most": most})
            return [Happening(row["at"], row["who"], row["what"]) for row in rows]

    def setting(self, key: str) -> str:
        """A setting of this machine, '' where nobody set it."""
        if not self.path.exists():
            return ""
        with self._open() as db:
            row = db.execute("select value from settings where key = :key", {"key": key}).fetchone()
        return str(row["value"]) if row else ""

    def set(self, key: str, value: str) -> None:
        """Keep a setting of this machine."""
        with self._open() as db, atomic(db):
            db.execute("insert into settings values (:key, :value) on conflict (key) do update set value = :value", {"key": key, "value": value})  # fmt: skip


def _device(row: sqlite3.Row) -> Device:
    values = dict(row)
    values.pop("token_hash")
    return Device(**values)
