"""The service between store and core: opens connections, keeps jobs at hand, builds what screens need of a job."""

from __future__ import annotations

import sqlite3
from collections.abc import Iterator, Sequence
from contextlib import contextmanager
from datetime import UTC, date, datetime
from functools import partial
from threading import Lock
from typing import Any

from cachetools import LRUCache

from humble_trowel.api.background import Background
from humble_trowel.api.readable_ways import readable_ways
from humble_trowel.api.reading import Reader
from humble_trowel.api.schemas import Before, JobDoubts, JobState, RecordStep, StageKnot
from humble_trowel.api.site import Site
from humble_trowel.api.yard import Yard
from humble_trowel.core.edits.registry import Edit, apply
from humble_trowel.core.errors import InputError, TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.record_kinds import KIND_OF, RECORD_KINDS, read_records
from humble_trowel.core.schedule.scheduled import Scheduled
from humble_trowel.core.stages import STAGES, findings, standing, stops
from humble_trowel.core.stages.stage import Standing
from humble_trowel.core.units import Units
from humble_trowel.files.job_file import plan_data
from humble_trowel.settings import Settings
from humble_trowel.store import jobs, record_steps, records, ways
from humble_trowel.store.db import connect
from humble_trowel.store.jobs import NoSuchJob, Revision, Unreadable

KEPT_BYTES = 64_000_000
TRIED_JOBS = 6
NEED_RECORDS = ("day", "day_run")  # answers that the background process works out of records too
WAIT_S, SOON_S = 1.0, 0.05


class Service:
    """One for each running program."""

    def __init__(self, settings: Settings) -> None:
        self.settings = settings
        self._lock = Lock()
        self._jobs: LRUCache[tuple[str, int, int, str], Job] = LRUCache(
            KEPT_BYTES, getsizeof=lambda job: job.size_bytes
        )
        self._tried: LRUCache[tuple[int, str], Job] = LRUCache(TRIED_JOBS)
        self._scheduled: LRUCache[tuple[int, date], tuple[Job, Scheduled]] = LRUCache(TRIED_JOBS)
        self._crew: tuple[int, Ways] | None = None
        self._data_stamp: int | None = None
        self.ways_unread = ""  # why the newest ways are not those in use
        self._newest: dict[str, tuple[str, int, int, str]] = {}  # key of the job last worked on, to take over from
        self.background = Background() if settings.background else None
        self.reader = Reader()
        self.yard = Yard(self)
        self.site = Site(settings)
        self.shares: dict[str, float] = {}  # how far boxes are that are being bound

    @contextmanager
    def open(self) -> Iterator[sqlite3.Connection]:
        """A connection for one request."""
        db = connect(self.settings.database, busy_ms=self.settings.busy_ms, create=False)
        self._notice_other_data(int(db.execute("pragma application_id").fetchone()[0]))
        if self.settings.max_pages is not None:
            db.execute(f"pragma max_page_count = {self.settings.max_pages}")
        try:
            yield db
        finally:
            db.close()

    def _notice_other_data(self, stamp: int) -> None:
        """Let go of everything that was worked out where a copy was put in place of the data."""
        with self._lock:
            if stamp != self._data_stamp:
                self._data_stamp = stamp
                self._jobs.clear()
                self.yard.clear()
                self._newest.clear()
                self._crew = None

    def now(self) -> str:
        """Time of the server, ISO with offset."""
        return datetime.now(UTC).isoformat(timespec="seconds")

    def ways(self, db: sqlite3.Connection) -> tuple[int, Ways]:
        """(version, the crew's ways); the very object while nothing changed."""
        version = ways.latest(db)
        with self._lock:
            if self._crew is None or self._crew[0] != version:
                crew, self.ways_unread = readable_ways(db)
                self._crew = (version, crew)
            return self._crew

    def records(self, db: sqlite3.Connection, job_id: str) -> SiteRecords:
        """What the site wrote down about a job, without what was corrected."""
        return read_records(records.standing(db, job_id))

    def job(self, db: sqlite3.Connection, row: Revision, plan: Plan | None = None, *, passing: bool = False) -> Job:
        """A revision with all its answers, under the present ways and records. plan: of the revision, where it is at hand.
        passing: only looked at, so that the next job does not take over from it."""
        version, crew = self.ways(db)
        stamp = records.stamp(db, row.job_id)
        key = (row.job_id, row.content, version, stamp)
        with self._lock:
            kept = self._jobs.get(key)
            last = self._newest.get(row.job_id)
            before = self._jobs.get(last) if last else None
        if kept is not None:
            return kept
        same_plan = before is not None and last is not None and last[1] == row.content
        same_records = before is not None and last is not None and last[3] == stamp
        made = Job(
            before.plan if before is not None and same_plan else plan or read_plan(row.document),
            crew,
            before.records if before is not None and same_records else self.records(db, row.job_id),
            before=None if passing else before,
        )
        with self._lock:
            if made.size_bytes <= KEPT_BYTES:
                self._jobs[key] = made
            if not passing:
                self._newest[row.job_id] = key
        return made

    def head(self, db: sqlite3.Connection, job_id: str) -> Job:
        """The newest revision of a job with its answers."""
        return self.job(db, jobs.head(db, job_id))

    def laid_out(self, job_id: str) -> Job:
        """The newest revision of a job that has an outline. Raises InputError without one."""
        with self.open() as db:
            job = self.head(db, job_id)
        if job.plan.outline is None:
            raise InputError("There is no outline yet. Call the first side.", "outline")
        return job

    def tried(self, job: Job, edits: Sequence[Edit]) -> Job:
        """A job with edits that are not kept; the very object while the same are tried on the same job, so that slow answers are asked for once."""
        if not edits:
            return job
        key = (id(job), "|".join(edit.model_dump_json() for edit in edits))
        with self._lock:
            kept = self._tried.get(key)
        if kept is not None and kept.before is job:
            return kept
        made = Job(apply(job.plan, edits)[0], job.crew, job.records, before=job)
        with self._lock:
            self._tried[key] = made
        return made

    def scheduled(self, job: Job, today: date) -> Scheduled:
        """The days of a job's trades, once for each day on which somebody looks. Raises InputError for loops."""
        key = (id(job), today)
        with self._lock:
            kept = self._scheduled.get(key)
        if kept is not None and kept[0] is job:
            return kept[1]
        made = job.scheduled(today)
        with self._lock:
            self._scheduled[key] = (job, made)
        return made

    def note_share(self, name: str, share: float | None) -> None:
        """How far something is that is asked after by a name; None: it is done."""
        if name and share is not None:
            self.shares[name] = share
        else:
            self.shares.pop(name, None)

    def begun(self, job_id: str) -> Job:
        """The newest revision of a job that has an outline or footings. Raises InputError without either."""
        with self.open() as db:
            job = self.head(db, job_id)
        if job.plan.outline is None and not job.plan.footings:
            raise InputError("There is no outline yet. Call the first side.", "outline")
        return job

    def state(self, db: sqlite3.Connection, row: Revision, plan: Plan | None = None) -> JobState:
        """What a screen needs of a job at once. plan: of the revision, where it is at hand."""
        line = jobs.find(db, row.job_id)
        job = self.job(db, row, plan)
        here = row if row.content == row.n else jobs.revision(db, row.job_id, row.content)
        steps = record_steps.last(db, row.job_id, row.content)
        undo, redo = (_step_of(db, step, job.plan.units) for step in steps)
        return JobState.model_construct(
            id=row.job_id,
            revision=row.n,
            undo_record=undo,
            redo_record=redo,
            author=row.author,
            at=row.at,
            summary=row.summary,
            archived=line.archived_at is not None,
            undo=here.summary if here.parent is not None else None,
            redo=jobs.revision(db, row.job_id, row.redo[0]).summary if row.redo else None,
            before=self._before(db, row),
            records=records.stamp(db, row.job_id),
            document=job.plan,
            figure=job.figure_with(quick=True),
        )

    def _before(self, db: sqlite3.Connection, row: Revision) -> Before | None:
        """The board's numbers before the last change, without the second way."""
        if row.n < 2:
            return None
        try:
            old = self.job(db, jobs.revision(db, row.job_id, row.n - 1), passing=True)
        except (NoSuchJob, Unreadable, TrowelError):
            return None
        ordered, outline = old.numbers.ordered if old.numbers else None, old.outline
        return Before(
            order=ordered.text if ordered else None,
            trucks=len(ordered.trucks) if ordered else None,
            area=outline.area_text if outline else None,
            perimeter=outline.perimeter_text if outline else None,
        )

    def counting(self, job: Job, job_id: str, names: Sequence[str], wait_s: float = WAIT_S) -> float | None:
        """Have slow answers of a job worked out in the background: None once they are at hand, else how far they are.

        Waits for a moment, so that what is quick needs no second asking.
        """
        if self.background is None or job.solid is None or job.size_bytes > KEPT_BYTES:
            return None  # a job that is not kept would ask anew every time
        shares = []
        for name in names:
            if job.at_hand(name):
                continue
            with_records = name in NEED_RECORDS
            stamp = (job.plan, job.crew, job.earlier) if with_records else (job.plan, job.crew)
            stamp = (*stamp, job.came_late) if name == "day_run" else stamp
            given = partial(_given, job, with_records=with_records)
            work = self.background.ask(job_id, name, stamp, given)
            self.background.wait(work, wait_s / len(names))
            if work.state == "done":
                job.take(name, work.answer)
            elif work.state != "failed":  # else the job works it out by itself and says why it stumbles
                shares.append(work.share)
        return sum(shares) / len(shares) if shares else None

    def doubts(self, db: sqlite3.Connection, row: Revision) -> JobDoubts:
        """Every finding of a job and how each stage stands: what follows after the numbers."""
        job = self.job(db, row)
        counting = self.counting(job, row.job_id, ("second_way", "boards"))
        if counting is not None:
            return JobDoubts(
                revision=row.n, records=records.stamp(db, row.job_id), counting=counting, later=False, graded=job.graded,
                concrete=None, findings=[], stops=[], stages=[],
            )  # fmt: skip
        later = job.day_asked and self.counting(job, row.job_id, ("day",), SOON_S) is not None
        knots = []
        for stage in STAGES:
            stands = Standing("loop", "…") if stage.slow and later else standing(stage, job)
            knots.append(StageKnot(id=stage.id, state=stands.state, words=stands.words))
        return JobDoubts.model_construct(
            revision=row.n,
            records=records.stamp(db, row.job_id),
            counting=None,
            graded=job.graded,
            concrete=job.concrete,
            later=later,
            findings=findings(job, slow=not later),
            stops=stops(job),
            stages=knots,
        )


def _step_of(db: sqlite3.Connection, offer: record_steps.Offer | None, units: Units) -> RecordStep | None:
    """What a step goes over, told as a person wrote it."""
    told = records.find(db, offer.told) if offer else None
    if offer is None or told is None:
        return None
    own = KIND_OF.get(told.kind)
    try:
        shown = own.shown(own.read(told.document, units), units) if own else []
    except InputError:
        shown = []
    return RecordStep(id=offer.record, kind=told.kind, shown=shown[:4])


def _given(job: Job, *, with_records: bool) -> dict[str, Any]:
    """What the background process is told of a job."""
    given: dict[str, Any] = {"plan": plan_data(job.plan), "crew": job.crew.model_dump(mode="json")}
    if with_records:
        given["records"] = [
            [name, kind.name, values.model_dump_json(by_alias=True)]
            for kind in RECORD_KINDS
            for name, values in job.records.named(kind.values)
        ]
    return given


document_of = plan_data  # what is stored of a plan
