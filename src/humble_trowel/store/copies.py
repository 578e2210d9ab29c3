"""Copies of the data: saved beside and renamed, opened and counted before anybody is told; one a day and before a
migration, the last 14 kept; and a copy put back."""

from __future__ import annotations

import os
import random
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from dataclasses import dataclass
from pathlib import Path

from humble_trowel.store.db import connect
from humble_trowel.store.migrate import NewerDatabase, migrate, migrations

KEPT = 14
FOLDER = "copies"
BESIDE = ("-wal", "-shm", "-journal")
TABLES = ("jobs", "revisions", "records", "ways")


class BadCopy(Exception):
    """A file that is no good copy of the data, in plain words."""


@dataclass(frozen=True)
class Counts:
    """What a database holds."""

    jobs: int
    revisions: int
    records: int
    photos: int = 0

    @property
    def words(self) -> str:
        """3 jobs, 12 revisions, 40 records, 5 photos."""
        named = [("job", self.jobs), ("revision", self.revisions), ("record", self.records)]
        named += [("photo", self.photos)] if self.photos else []
        return ", ".join(f"{count} {name}{'' if count == 1 else 's'}" for name, count in named)


def counts(db: sqlite3.Connection) -> Counts:
    """What a database holds, deleted jobs among it."""
    held = {row[0] for row in db.execute("select name from sqlite_master where type = 'table'")}
    tables = [table for table in (*TABLES[:3], "photos") if table in held]  # an older copy has no photos
    return Counts(*(int(db.execute(f"select count(*) from {table}").fetchone()[0]) for table in tables))


def checked(path: Path, *, whole: bool = True) -> Counts:
    """What a file holds, once every page of it is checked. whole: indexes against their tables too. Raises BadCopy."""
    try:
        with closing(_opened(path)) as db:
            tables = {row[0] for row in db.execute("select name from sqlite_master where type = 'table'")}
            if not set(TABLES) <= tables:
                raise BadCopy("it holds no jobs of this program")
            told = str(db.execute("pragma integrity_check(1)" if whole else "pragma quick_check(1)").fetchone()[0])
            if told != "ok":
                raise BadCopy("it is damaged")
            return counts(db)
    except sqlite3.Error as error:
        what = "that is no database" if _code(error) == sqlite3.SQLITE_NOTADB else f"it cannot be read ({error})"
        raise BadCopy(what) from None


def _opened(path: Path) -> sqlite3.Connection:
    """A copy to read; with its journal where it has one, else as a file that nobody writes."""
    alone = not any(path.with_name(path.name + end).exists() for end in BESIDE)
    return sqlite3.connect(f"{path.absolute().as_uri()}?mode=ro{'&immutable=1' if alone else ''}", uri=True)


def _code(error: sqlite3.Error) -> int:
    return int(getattr(error, "sqlite_errorcode", 0) or 0) & 0xFF


def backup(path: Path, target: Path) -> Counts:
    """Copy the database, consistent while in use, into a new file; told what it holds once that is checked.

    Raises FileExistsError, OSError, sqlite3.Error, BadCopy; then nothing is left behind.
    """
    if target.exists():
        raise FileExistsError(target)
    with _beside(target) as part:
        with closing(connect(path, readonly=True)) as source:
            source.execute("begin")  # one state of the data, counted and copied
            held = counts(source)
            _copy(source, part)
        found = checked(part)
        if found != held:
            raise BadCopy("the copy does not hold what the data do")
        _publish(part, target)
    return found


@contextmanager
def _beside(target: Path) -> Iterator[Path]:
    """A file beside another to write first; gone afterwards, whatever happens."""
    part = target.with_name(f".{target.name}.{os.getpid()}.part")
    try:
        yield part
    finally:
        for left in (part, *(part.with_name(part.name + end) for end in BESIDE)):
            with suppress(OSError):
                left.unlink()


def _copy(source: sqlite3.Connection, target: Path) -> None:
    with closing(sqlite3.connect(f"{target.absolute().as_uri()}?mode=rwc", uri=True)) as copy:
        source.backup(copy)
        copy.execute("pragma journal_mode = delete")
    with target.open("rb+") as file:
        os.fsync(file.fileno())


def _publish(part: Path, target: Path) -> None:
    """Give a finished file its name, never over another."""
    try:
        os.link(part, target)
    except FileExistsError:
        raise
    except OSError:  # a disk without links
        if target.exists():
            raise FileExistsError(target) from None
        part.rename(target)


def folder_of(database: Path) -> Path:
    """Where the copies of a database are."""
    return database.parent / FOLDER


def kept_copies(database: Path) -> list[Path]:
    """Copies made by the program itself, the newest first."""
    rows = folder_of(database).glob("*.sqlite3")
    return sorted(rows, key=lambda path: (path.stat().st_mtime, path.name), reverse=True)


def newest_good(database: Path) -> Path | None:
    """The newest copy that can be opened and is whole."""
    for path in kept_copies(database):
        with suppress(BadCopy):
            checked(path)
            return path
    return None


def copy_of_day(database: Path, day: str) -> Path | None:
    """The copy of a day (YYYY-MM-DD), made where there is none yet; None where it was there. Raises as backup does."""
    return _own_copy(database, f"day-{day}")


def copy_before_migration(database: Path, version: int) -> Path | None:
    """A copy before the data are brought on from a version. Raises as backup does."""
    return _own_copy(database, f"before-version-{version + 1}")


def _own_copy(database: Path, name: str) -> Path | None:
    target = folder_of(database) / f"{name}.sqlite3"
    if target.exists():
        return None
    target.parent.mkdir(exist_ok=True)
    try:
        backup(database, target)
    except FileExistsError:  # another program was as quick
        return None
    for old in kept_copies(database)[KEPT:]:
        with suppress(OSError):
            old.unlink()
    return target


def restore(database: Path, file: Path, stamp: str) -> tuple[Counts, Path | None]:
    """Put a copy in place of the data; returns what it holds and where the data before it are kept.

    The copy is checked and brought up to date beside first. Where the present data can be read they are written over in
    one transaction, so that a running program goes on with the new ones; where not, the files are put aside, with any
    journal of theirs. Raises BadCopy, NewerDatabase, OSError, sqlite3.Error.
    """
    checked(file)
    with _beside(database) as part:
        with closing(_opened(file)) as source:
            version = int(source.execute("pragma user_version").fetchone()[0])
            if version > migrations()[-1][0]:
                raise NewerDatabase(f"The copy is version {version}; this program knows up to {migrations()[-1][0]}.")
            _copy(source, part)
        with closing(connect(part)) as db:
            migrate(db)
            db.execute(f"pragma application_id = {random.randrange(1, 2**31)}")  # whoever runs lets go of what it knew
            db.execute("pragma journal_mode = delete")
        found = checked(part)
        return found, _put_in_place(database, part, stamp)


def _put_in_place(database: Path, part: Path, stamp: str) -> Path | None:
    aside = folder_of(database) / f"before-restore-{stamp}.sqlite3"
    aside.parent.mkdir(exist_ok=True)
    if not database.exists():
        _publish(part, database)
        return None
    try:
        backup(database, aside)
        with closing(sqlite3.connect(part)) as new, closing(connect(database, create=False)) as live:
            live.execute("begin immediate")  # nobody writes what would be written over unseen
            live.execute("rollback")
            new.backup(live)
        return aside
    except (sqlite3.DatabaseError, BadCopy):
        for end in ("", *BESIDE):
            old = database.with_name(database.name + end)
            if old.exists():
                old.replace(aside.with_name(aside.name + end))
        _publish(part, database)
        return aside
