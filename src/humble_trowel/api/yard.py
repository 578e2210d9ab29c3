"""The yard: a line of every job, worked out once for what it was made of, at hand after a start too."""

from __future__ import annotations

import hashlib
import sqlite3
import time
from functools import lru_cache
from pathlib import Path
from threading import Lock
from typing import TYPE_CHECKING, Any

from cachetools import LRUCache
from pydantic import ValidationError

import humble_trowel.core
from humble_trowel.api.schemas import YardJob
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.units import Units
from humble_trowel.core.yard import yard_line
from humble_trowel.store import jobs, records, yard_lines
from humble_trowel.store.jobs import Job as JobRow
from humble_trowel.store.jobs import NoSuchJob, Revision, Unreadable

if TYPE_CHECKING:
    from humble_trowel.api.service import Service

KEPT_ROWS = 20_000
WORK_S = 1.0  # then the rest is told as still to be worked out, and asked for again


@lru_cache
def program_stamp() -> str:
    """Changes with the rules of the program: a line that other rules made is made again."""
    root = Path(humble_trowel.core.__path__[0])
    rows = sorted((str(path.relative_to(root)), path.stat()) for path in root.rglob("*.py"))
    told = ";".join(f"{name} {stat.st_size} {stat.st_mtime_ns}" for name, stat in rows)
    return hashlib.sha256(told.encode()).hexdigest()[:16]


class Yard:
    """All jobs in lines."""

    def __init__(self, service: Service) -> None:
        self.service = service
        self._lock = Lock()
        self._rows: LRUCache[str, tuple[str, YardJob]] = LRUCache(KEPT_ROWS)
        self.work_s = WORK_S

    def clear(self) -> None:
        """Let go of every line, for data that were put back."""
        with self._lock:
            self._rows.clear()

    def lines(self, db: sqlite3.Connection) -> list[YardJob]:
        """All jobs, the last changed first. Those that time does not allow for come as `counting`, without numbers."""
        version, _ = self.service.ways(db)
        stamps, began = records.stamps(db), time.monotonic()
        every = jobs.every(db)
        keys = {
            job.id: f"{program_stamp()}/{job.head}/{job.archived_at}/{version}/{stamps.get(job.id)}" for job in every
        }
        with self._lock:
            here = {job.id: kept[1] for job in every if (kept := self._rows.get(job.id)) and kept[0] == keys[job.id]}
        if len(here) < len(every):
            here |= self._stored(db, {key: made for key, made in keys.items() if key not in here})
        new: dict[str, YardJob] = {}
        told: list[YardJob] = []
        for job in every:
            row = here.get(job.id)
            if row is None and (not new or time.monotonic() - began < self.work_s):
                row = new[job.id] = self.made(db, job)
            told.append(row or self._later(db, job))
        if new:
            with self._lock:
                self._rows.update({key: (keys[key], row) for key, row in new.items()})
            yard_lines.keep(db, ((key, keys[key], row.model_dump_json()) for key, row in new.items()))
        return told

    def _stored(self, db: sqlite3.Connection, keys: dict[str, str]) -> dict[str, YardJob]:
        """Lines that were kept, and are of what the jobs are made of now."""
        found = {}
        for job, (made_from, line) in yard_lines.every(db).items():
            if keys.get(job) == made_from:
                try:
                    found[job] = YardJob.model_validate_json(line)
                except ValidationError:
                    continue
        with self._lock:
            self._rows.update({job: (keys[job], row) for job, row in found.items()})
        return found

    def made(self, db: sqlite3.Connection, job: JobRow) -> YardJob:
        """A line; a job that cannot be worked out says why and can still be exported and deleted."""
        row: Revision | None = None
        try:
            row = jobs.head(db, job.id)
            return YardJob(**_heading(job, row), **yard_line(self.service.job(db, row, passing=True)).__dict__)
        except sqlite3.Error:
            raise
        except Exception as error:
            plain = isinstance(error, TrowelError | Unreadable)
            words = str(error) if plain else f"the program stumbled ({type(error).__name__})"
            if isinstance(error, NoSuchJob):
                words = "its newest revision is not in the data."
            return _without_numbers(job, row, f"Cannot be worked out: {words}", fault=True)

    @staticmethod
    def _later(db: sqlite3.Connection, job: JobRow) -> YardJob:
        """A job by name alone, until there is time for its numbers."""
        try:
            row = jobs.head(db, job.id)
        except NoSuchJob:
            row = None
        return _without_numbers(job, row, "", counting=True)


def _without_numbers(job: JobRow, row: Revision | None, stops: str, **more: Any) -> YardJob:
    name, units = _called(row)
    return YardJob(
        **_heading(job, row), name=name, units=units, outline=None, openings=[], area=None, order=None, order_unit="",
        trucks=0, order_m3=0.0, stops=stops, **more,
    )  # fmt: skip


def _heading(job: JobRow, row: Revision | None) -> dict[str, Any]:
    """What the yard says of any job, also of one whose newest revision is gone."""
    return {
        "id": job.id, "revision": row.n if row else job.head, "archived": job.archived_at is not None,
        "at": row.at if row else job.made_at, "author": row.author if row else "", "summary": row.summary if row else "",
    }  # fmt: skip


def _called(row: Revision | None) -> tuple[str, Units]:
    """Name and units of a job, as far as they can be read."""
    try:
        document = row.document if row else {}
    except Unreadable:
        document = {}
    return str(document.get("name") or "Unnamed slab"), "mm" if document.get("units") == "mm" else "ft-in"
