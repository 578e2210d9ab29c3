"""Keep the data safe: copies saved and put back, and a doctor who reads everything."""

from __future__ import annotations

import sqlite3
from contextlib import closing
from datetime import UTC, datetime
from pathlib import Path
from typing import Annotated

import typer

from humble_trowel.cli.shared import DataOption, app, settings_of, stop
from humble_trowel.settings import Settings

DemoOption = Annotated[bool, typer.Option("--demo", help="The demo's data.")]


def require_sound(settings: Settings) -> None:
    """Stop where the data are damaged, with the newest good copy and the command that puts it back."""
    from humble_trowel.store.db import connect

    try:
        with closing(connect(settings.database, readonly=True)) as db:
            told = str(db.execute("pragma quick_check(1)").fetchone()[0])
    except sqlite3.OperationalError as error:
        stop(f"{settings.database}: the data cannot be opened ({error}).")
    except sqlite3.DatabaseError as error:
        told = str(error)
    if told != "ok":
        what = told.splitlines()[-1]
        stop(f"The data in {settings.database} are damaged ({what}). {way_back(settings)}", 1)


def way_back(settings: Settings) -> str:
    """The newest good copy and the command that puts it back, or that there is none."""
    from humble_trowel.store.copies import newest_good

    copy = newest_good(settings.database)
    if copy is None:
        return "There is no good copy beside them. Put one of your own back: ./trowel restore FILE"
    return (
        f"The newest good copy is {copy}. Put it back: ./trowel restore {quoted(copy)} --data {quoted(settings.data)}"
    )


def quoted(path: Path) -> str:
    """A path as a shell takes it."""
    import shlex

    return shlex.quote(str(path))


def copy_when_due(settings: Settings, day: str) -> None:
    """A copy before a migration, which must succeed, and one for the day, which need not."""
    from humble_trowel.store.copies import BadCopy, copy_before_migration, copy_of_day
    from humble_trowel.store.db import connect
    from humble_trowel.store.migrate import migrations

    with closing(connect(settings.database, readonly=True)) as db:
        version = int(db.execute("pragma user_version").fetchone()[0])
    if version == 0:
        return
    faults = (BadCopy, OSError, sqlite3.Error)
    if version < migrations()[-1][0]:
        try:
            copy_before_migration(settings.database, version)
        except faults as error:
            stop(f"The data must be brought up to date, and no copy of them can be saved before ({plain(error)}).", 1)
        return
    try:
        copy_of_day(settings.database, day)
    except faults as error:
        typer.echo(f"No copy of today could be saved ({plain(error)}). The program goes on.", err=True)


def plain(error: Exception) -> str:
    """What went wrong with a file, in plain words."""
    code = int(getattr(error, "sqlite_errorcode", 0) or 0) & 0xFF
    known = {
        sqlite3.SQLITE_FULL: "the disk is full",
        sqlite3.SQLITE_IOERR: "the disk is full or does not take it",
        sqlite3.SQLITE_CANTOPEN: "it cannot be opened",
        sqlite3.SQLITE_READONLY: "it is read-only",
        sqlite3.SQLITE_BUSY: "another program is writing in it",
        sqlite3.SQLITE_NOTADB: "that is no database",
        sqlite3.SQLITE_CORRUPT: "it is damaged",
    }
    if code in known:
        return known[code]
    return str(error.strerror or error) if isinstance(error, OSError) else str(error)


@app.command()
def backup(file: Path, data: DataOption = None, demo: DemoOption = False) -> None:
    """Save a copy of the data in FILE, also while the program runs."""
    from humble_trowel.store.copies import BadCopy
    from humble_trowel.store.copies import backup as copy

    settings = settings_of(data, 0, demo)
    if not settings.database.exists():
        stop(f"There are no data in {settings.data}.")
    if file.is_dir():
        stop(f"{file} is a folder. Name a file in it.")
    if not file.absolute().parent.is_dir():
        stop(f"There is no folder {file.absolute().parent}.")
    try:
        found = copy(settings.database, file)
    except FileExistsError:
        stop(f"{file} is there already. Name a new file.")
    except BadCopy as error:
        stop(f"Nothing was saved: {error}. Run ./trowel doctor.", 1)
    except (OSError, sqlite3.Error) as error:
        stop(f"Cannot write {file}: {plain(error)}. Nothing was saved.")
    typer.echo(f"Saved in {file}: {found.words}.")


@app.command()
def restore(file: Path, data: DataOption = None, demo: DemoOption = False) -> None:
    """Put a saved copy in place of the data; those before it are kept."""
    from humble_trowel.store.copies import BadCopy
    from humble_trowel.store.copies import restore as put_back
    from humble_trowel.store.migrate import NewerDatabase

    settings = settings_of(data, 0, demo)
    if not file.is_file():
        stop(f"There is no file {file}.")
    try:
        found, before = put_back(settings.database, file, datetime.now(UTC).strftime("%Y%m%d-%H%M%S"))
    except BadCopy as error:
        stop(f"{file} is no good copy: {error}. Nothing was changed.", 1)
    except NewerDatabase as error:
        stop(f"{file}: {error} Nothing was changed.", 1)
    except (OSError, sqlite3.Error) as error:
        stop(f"{file} cannot be put back: {plain(error)}. Nothing was changed.", 1)
    typer.echo(f"Put back {file}: {found.words}." + (f" The data before it are in {before}." if before else ""))


@app.command()
def doctor(data: DataOption = None, demo: DemoOption = False) -> None:
    """Read everything that is stored: a line for each fault, with what to do; ends with 1 where there is one."""
    from humble_trowel.store.copies import counts, kept_copies
    from humble_trowel.store.db import connect
    from humble_trowel.store.doctor import RESTORE, Fault, examine
    from humble_trowel.store.migrate import migrations

    settings = settings_of(data, 0, demo)
    if not settings.database.exists():
        stop(
            f"There are no data in {settings.data}. {way_back(settings) if kept_copies(settings.database) else ''}".strip(),
            1,
        )
    held, faults = "", list[Fault]()
    try:
        with closing(connect(settings.database, readonly=True)) as db:
            version = int(db.execute("pragma user_version").fetchone()[0])
            if version != migrations()[-1][0]:
                stop(
                    f"The data are of version {version}, not {migrations()[-1][0]}. Start the program once, then ask again.",
                    1,
                )
            faults = list(examine(db))
            held = counts(db).words
    except sqlite3.Error as error:
        faults.append(Fault("the data", plain(error), RESTORE))
    for fault in faults:
        typer.echo(fault.line)
    if faults:
        stop(f"{len(faults)} {'fault' if len(faults) == 1 else 'faults'}. {way_back(settings)}", 1)
    copies = kept_copies(settings.database)
    last = f"{len(copies)} kept, the newest {copies[0].name}" if copies else "none yet"
    typer.echo(f"All of it can be read: {held}. Copies: {last}.")
