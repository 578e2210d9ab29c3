"""The desk between store and core: opens connections, keeps parsed plans and figures at hand, builds job states."""

from __future__ import annotations

import sqlite3
from collections import OrderedDict
from collections.abc import Callable, Hashable, Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from threading import Lock
from typing import Any, TypeVar

from humble_trowel.api.schemas import Before, JobState, YardJob
from humble_trowel.core.errors import ComputeError, TrowelError
from humble_trowel.core.figures import Figure, figure
from humble_trowel.core.ground.notes import SiteNotes
from humble_trowel.core.ground.standing import Graded, graded, measured_or_not
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.square_job import square_plan
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.record_kinds import read_notes
from humble_trowel.files.job_file import plan_data
from humble_trowel.settings import Settings
from humble_trowel.store import jobs, records, ways
from humble_trowel.store.db import connect
from humble_trowel.store.jobs import Job, Revision

T = TypeVar("T")


class Shelf:
    """The last answers, by key: a small cache shared by all threads."""

    def __init__(self, size: int) -> None:
        self._size = size
        self._rows: OrderedDict[Hashable, Any] = OrderedDict()
        self._lock = Lock()

    def get(self, key: Hashable, make: Callable[[], T]) -> T:
        with self._lock:
            if key in self._rows:
                self._rows.move_to_end(key)
                found: T = self._rows[key]
                return found
        made = make()
        with self._lock:
            self._rows[key] = made
            while len(self._rows) > self._size:
                self._rows.popitem(last=False)
        return made


class Desk:
    """One for each running program."""

    def __init__(self, settings: Settings) -> None:
        self.settings = settings
        self.plans = Shelf(64)
        self.figures = Shelf(144)

    @contextmanager
    def open(self) -> Iterator[sqlite3.Connection]:
        """A connection for one request."""
        db = connect(self.settings.database, busy_ms=self.settings.busy_ms)
        if self.settings.max_pages is not None:
            db.execute(f"pragma max_page_count = {self.settings.max_pages}")
        try:
            yield db
        finally:
            db.close()

    def now(self) -> str:
        """Time of the server, ISO with offset."""
        return datetime.now(UTC).isoformat(timespec="seconds")

    def ways(self, db: sqlite3.Connection) -> tuple[int, Ways]:
        """(version, the crew's ways)."""
        version, document = ways.newest(db)
        return version, Ways.model_validate(document)

    def plan(self, row: Revision) -> Plan:
        """The checked plan of a revision."""
        return self.plans.get((row.job_id, row.content), lambda: read_plan(row.document))

    def notes(self, db: sqlite3.Connection, job_id: str) -> tuple[SiteNotes, str]:
        """(site notes of the ground stage, a key that changes with every record of the job)."""
        key = records.stamp(db, job_id)

        def read() -> SiteNotes:
            rows = records.of_job(db, job_id)
            gone = {row.supersedes for row in rows if row.supersedes}
            return read_notes((row.id, row.kind, row.document) for row in rows if row.id not in gone)

        return self.figures.get(("notes", job_id, key), read), key

    def found(self, db: sqlite3.Connection, row: Revision, plan: Plan | None = None) -> tuple[Measured, str]:
        """(what the site measured, its key), against a revision's plan or a draft on top of it."""
        notes, key = self.notes(db, row.job_id)
        version, crew = self.ways(db)
        if plan is not None:
            return measured_or_not(plan, crew, notes), key
        own = ("found", row.job_id, row.content, version, key)
        return self.figures.get(own, lambda: measured_or_not(self.plan(row), crew, notes)), key

    def figure(self, db: sqlite3.Connection, row: Revision) -> Figure:
        """The figure of a revision under the present ways, with what the site measured so far."""
        version, crew = self.ways(db)
        found, key = self.found(db, row)
        return self.figures.get(
            (row.job_id, row.content, version, key), lambda: figure(self.plan(row), crew, found=found)
        )

    def state(self, db: sqlite3.Connection, row: Revision, job: Job | None = None) -> JobState:
        """Everything a screen needs of a job."""
        job = job or jobs.find(db, row.job_id)
        said, right = self._squared(db, row)
        here = row if row.content == row.n else jobs.revision(db, row.job_id, row.content)
        return JobState.model_construct(
            id=row.job_id,
            revision=row.n,
            author=row.author,
            at=row.at,
            summary=row.summary,
            archived=job.archived_at is not None,
            undo=here.summary if here.parent is not None else None,
            redo=jobs.revision(db, row.job_id, row.redo[0]).summary if row.redo else None,
            before=self._before(db, row),
            squared=said,
            square=right,
            graded=self._graded(db, row),
            document=self.plan(row),
            figure=self.figure(db, row),
        )

    def _squared(self, db: sqlite3.Connection, row: Revision) -> tuple[str | None, bool]:
        """(verdict of the newest taped round against the present plan, whether it is inside), or (None, False)."""
        last = records.newest(db, row.job_id, "taped")
        if last is None or self.plan(row).outline is None:
            return None, False
        version, crew = self.ways(db)

        def solve() -> tuple[str | None, bool]:
            try:
                answer = square_plan(self.plan(row), Taped.model_validate(last.document), crew)
            except TrowelError:
                return None, False  # the outline has other corners now
            return answer.verdict, answer.inside

        return self.figures.get(("squared", last.id, row.content, version), solve)

    def _graded(self, db: sqlite3.Connection, row: Revision) -> Graded:
        """How the ground stands, for the string and the board."""
        plan = self.plan(row)
        if plan.outline is None:
            return Graded()
        version, crew = self.ways(db)
        notes, key = self.notes(db, row.job_id)

        def stand() -> Graded:
            try:
                return graded(plan, crew, notes)
            except ComputeError:
                return Graded("cannot say")

        return self.figures.get(("graded", row.job_id, row.content, version, key), stand)

    def _before(self, db: sqlite3.Connection, row: Revision) -> Before | None:
        if row.n < 2:
            return None
        old = self.figure(db, jobs.revision(db, row.job_id, row.n - 1))
        return Before(
            order=old.concrete.ordered.text if old.concrete else None,
            trucks=len(old.trucks) if old.concrete else None,
            area=old.outline.area_text if old.outline else None,
            perimeter=old.outline.perimeter_text if old.outline else None,
        )

    def yard_job(self, db: sqlite3.Connection, job: Job) -> YardJob:
        """A row of the yard; a job that cannot be worked out says why and can still be exported and deleted."""
        row = jobs.head(db, job.id)
        try:
            return self._yard_job(db, job, row)
        except sqlite3.Error:
            raise
        except Exception as error:
            words = str(error) if isinstance(error, TrowelError) else f"the program stumbled ({type(error).__name__})"
            return YardJob(
                id=job.id, name=str(row.document.get("name") or "Unnamed slab"),
                units="mm" if row.document.get("units") == "mm" else "ft-in", revision=row.n,
                archived=job.archived_at is not None, at=row.at, author=row.author, summary=row.summary, outline=None,
                openings=[], area=None, order=None, order_unit="", trucks=0, order_m3=0.0,
                stops=f"Cannot be worked out: {words}", fault=True,
            )  # fmt: skip

    def _yard_job(self, db: sqlite3.Connection, job: Job, row: Revision) -> YardJob:
        plan, result = self.plan(row), self.figure(db, row)
        ordered = result.concrete.ordered if result.concrete else None
        stop = next((doubt.words for doubt in result.findings if doubt.severity == "stop"), "")
        unsaid = [line.key for line in result.call_in if line.missing]
        if not stop:
            stop = (
                "No outline yet."
                if plan.outline is None
                else (f"{len(unsaid)} lines of the call unsaid." if unsaid else "Ready to call in.")
            )
        return YardJob(
            id=job.id, name=plan.name, units=plan.units, revision=row.n, archived=job.archived_at is not None, at=row.at,
            author=row.author, summary=row.summary, outline=plan.outline, openings=plan.openings,
            area=result.outline.area_text if result.outline else None,
            order=ordered.text if ordered else None, order_unit="m³" if plan.units == "mm" else "yd",
            trucks=len(result.trucks), order_m3=ordered.order_m3 if ordered else 0.0, stops=stop,
        )  # fmt: skip


def document_of(plan: Plan) -> dict[str, Any]:
    """What is stored of a plan."""
    return plan_data(plan)
