"""A second place for copies: a folder on another disk, or a stick. One copy a day, the last 14 kept there too."""

from __future__ import annotations

import os
import tempfile
from contextlib import suppress
from pathlib import Path

from humble_trowel.store.copies import KEPT, backup

NAME = "humble-trowel"


class NoPlace(Exception):
    """A folder that takes no copy, in plain words."""


def copies_in(folder: Path) -> list[Path]:
    """Copies in the second place, the newest first."""
    try:
        rows = [(path.stat().st_mtime, path) for path in folder.glob(f"{NAME}-*.sqlite3")]
    except OSError:
        return []
    return [path for _, path in sorted(rows, reverse=True)]


def usable(folder: str, data: Path) -> Path:
    """A folder as a second place. Raises NoPlace in plain words where it takes none."""
    place = Path(folder.strip()).expanduser()
    if not place.is_absolute():
        raise NoPlace("Give the whole path of the folder, from the root.")
    if not place.is_dir():
        raise NoPlace("That folder is not there. Is the stick in?")
    if place.resolve().is_relative_to(data.resolve()):
        raise NoPlace("That is beside the data themselves: a second place is another disk, or a stick.")
    try:
        handle, name = tempfile.mkstemp(prefix=".humble-trowel-", dir=place)
        os.close(handle)
        Path(name).unlink()
    except OSError as error:
        raise NoPlace(f"Nothing can be written there ({error.strerror}).") from None
    return place


def copy_there(database: Path, folder: Path, day: str, *, again: bool = False) -> Path | None:
    """The copy of a day (YYYY-MM-DD) in the second place; None where it is there already, unless it is asked for again.
    Raises NoPlace where the folder is not there, and as backup does."""
    if not folder.is_dir():
        raise NoPlace("The folder is not there. Is the stick in?")
    target = folder / f"{NAME}-{day}.sqlite3"
    if target.exists() and not again:
        return None
    part = folder / f"{NAME}-{day}.new"
    with suppress(OSError):
        part.unlink()
    backup(database, part)
    part.replace(target)
    for old in copies_in(folder)[KEPT:]:
        with suppress(OSError):
            old.unlink()
    return target
