"""Speed of a person's acts on one job: a corner dragged, let go, opened; the yard; with many records."""

from __future__ import annotations

import sqlite3
import tempfile
from collections.abc import Callable, Iterator
from contextlib import closing, contextmanager
from itertools import count
from pathlib import Path

from pydantic import TypeAdapter

from humble_trowel.api.schemas import Drafted, YardJob
from humble_trowel.api.service import Service
from humble_trowel.bench.rows import Row, bench_plans, cold, timed
from humble_trowel.core.edits.outline import MoveCorner
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.demo.load import load_demo
from humble_trowel.files.job_file import plan_data
from humble_trowel.settings import Settings, calm_memory
from humble_trowel.store import jobs, records
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate

ROWS: TypeAdapter[list[YardJob]] = TypeAdapter(list[YardJob])
DRAFT = {"demo": 20, "bay": 8, "60 corners": 28, "large": 100}
FIGURE = {"demo": 25, "bay": 12, "60 corners": 60}
DEMO = "Tansy"
KEEP = {"demo": 60, "large": 250}


def moves(plan: Plan) -> Callable[[], MoveCorner]:
    """The next edit of a corner that moves to and fro, never twice to one spot."""
    (x, y), steps = (plan.outline or [])[1], count(1)

    def step() -> MoveCorner:
        by = next(steps)
        way = 25.4 * (by % 7) + 0.37 * by
        return MoveCorner(op="move_corner", corner=plan.corner_ids[1], x_mm=x + way, y_mm=y + way / 2, square=True)

    return step


def draft_rows(plans: dict[str, Plan]) -> list[Row]:
    """Edit, draft and JSON of a moving corner on a job that is open."""
    rows = []
    for name, goal in DRAFT.items():
        job, step = demo_with_records() if name == "demo" else Job(plans[name]), moves(plans[name])
        _ = job.figure

        def draft(job: Job = job, step: Callable[[], MoveCorner] = step) -> str:
            plan, words = apply(job.plan, [step()])
            now = Job(plan, job.crew, job.records, before=job)
            return Drafted.model_construct(document=plan, figure=now.draft_figure(job), summary=words).model_dump_json()

        rows.append(timed(f"draft, {name}", draft, 20, goal))
    return rows


def figure_rows(plans: dict[str, Plan]) -> list[Row]:
    """The whole figure with nothing at hand; the second way alone; everything else of the large job."""
    rows = [
        timed(f"whole figure, {name}", cold(lambda plan=plans[name]: Job(plan).figure), 30, goal, "p95")  # type: ignore[misc]
        for name, goal in FIGURE.items()
    ]
    large = plans["large"]
    return [*rows, timed("second way, large, off the keep path", lambda: Job(large).second_way, 3, 1000)]


@contextmanager
def demo_service() -> Iterator[tuple[Service, str]]:
    """A service over the demo's data, and its first job with its shots, trenches and rounds."""
    with tempfile.TemporaryDirectory(prefix="trowel-bench-") as folder:
        service = Service(Settings(Path(folder)))
        with closing(connect(service.settings.database)) as db:
            migrate(db)
            load_demo(db, "2027-01-01T00:00:00+00:00")
            jobs_by_name = {str(jobs.head(db, row.id).document["name"]): row.id for row in jobs.every(db)}
        yield service, next(key for name, key in jobs_by_name.items() if name.startswith(DEMO))


def demo_with_records() -> Job:
    """The demo's first job as the site knows it."""
    with demo_service() as (service, job), service.open() as db:
        return service.head(db, job)


@contextmanager
def opened(plans: list[Plan], notes: int = 0) -> Iterator[tuple[Service, list[str]]]:
    """A service over a database with these jobs, and so many records on the first."""
    with tempfile.TemporaryDirectory(prefix="trowel-bench-") as folder:
        service = Service(Settings(Path(folder)))
        with closing(connect(service.settings.database)) as db:
            migrate(db)
            db.execute("begin")
            data = {id(plan): plan_data(plan) for plan in plans}
            ids = [jobs.create(db, data[id(plan)], "Wren", "2027-01-01", "Started").job_id for plan in plans]
            for at in range(notes):
                spot = (plans[0].outline or [(0.0, 0.0)])[0]
                values = {"test": "roll", "at": list(spot), "passed": True}
                row = records.Record(f"record-{at:06}", ids[0], "ground-test", 1, "Wren", "", "2027", None, values)
                records.add(db, row)
            db.execute("commit")
        yield service, ids


def keep_rows(plans: dict[str, Plan]) -> list[Row]:
    """Letting go of a corner: edit, check, write, the state with its numbers as JSON."""
    rows = []
    for name, goal in KEEP.items():
        own = demo_service() if name == "demo" else opened([plans[name]])
        with own as (service, given):
            job = given if isinstance(given, str) else given[0]
            rows.append(timed(f"keep, {name}", keeping(service, job), 12, goal))
    with opened([plans["demo"]], 10_000) as (service, (job,)):
        rows.append(timed("open with 10,000 records", lambda: opening(service, job), 6, 300))
        rows.append(timed("keep with 10,000 records", keeping(service, job), 8, 150))
    return rows


def opening(service: Service, job: str) -> str:
    """The state of a job by a service that has nothing at hand."""
    fresh = Service(service.settings)
    with fresh.open() as db:
        return fresh.state(db, jobs.head(db, job)).model_dump_json()


def keeping(service: Service, job: str) -> Callable[[], str]:
    """The act of keeping the next move of a corner."""
    with service.open() as db:
        step = moves(service.head(db, job).plan)

    def keep() -> str:
        with service.open() as db:
            now = jobs.head(db, job)
            edit = step()
            plan, words = apply(service.job(db, now).plan, [edit])
            change = jobs.Change("Wren", "2027", words, [edit.model_dump(mode="json")])
            row = jobs.save(db, job, now.n, plan_data(plan), change)
            return service.state(db, row, plan).model_dump_json()

    return keep


def yard_rows(plans: dict[str, Plan]) -> list[Row]:
    """The yard with every row at hand; and after a start, with every row as it was kept."""
    rows = []
    for many, goal in ((200, 20), (2_000, 300), (5_000, 300)):
        with opened([plans["bay"]] * many) as (service, _), service.open() as db:
            line = service.yard.made(db, jobs.every(db)[0])

            def made(db: sqlite3.Connection, job: jobs.Job, line: YardJob = line) -> YardJob:
                return line.model_copy(update={"id": job.id})

            service.yard.made = made  # type: ignore[method-assign]

            def look(service: Service = service, db: sqlite3.Connection = db) -> bytes:
                return ROWS.dump_json(service.yard.lines(db))

            def start(service: Service = service) -> bytes:
                fresh = Service(service.settings)
                with fresh.open() as db:
                    return ROWS.dump_json(fresh.yard.lines(db))

            rows.append(timed(f"yard, {many:,} jobs, warm", look, 7, goal))
            if many == 2_000:
                rows.append(timed(f"yard, {many:,} jobs, after a start", start, 5, 3000))
    return rows


def history_rows(plans: dict[str, Plan]) -> list[Row]:
    """A job of 2,000 revisions: opened by a program that has nothing at hand, and a page of its history."""
    with opened([plans["bay"]]) as (service, (job,)):
        with service.open() as db:
            data = plan_data(plans["bay"])
            db.execute("begin")
            for at in range(2_000):
                named = {**data, "name": f"bay {at}"}
                jobs.save(db, job, at + 1, named, jobs.Change("Wren", "2027", f"Name {at}"))
            db.execute("commit")

        def page() -> object:
            with service.open() as db:
                return jobs.history(db, job, 900)

        opens = timed("open a job of 2,000 revisions", lambda: opening(service, job), 8, 150)
        return [opens, timed("a page of its history", page, 20, 20)]


def answer_rows() -> list[Row]:
    """Everything above."""
    plans = bench_plans()
    calm_memory()  # as the server does at its start
    return [*draft_rows(plans), *figure_rows(plans), *keep_rows(plans), *yard_rows(plans), *history_rows(plans)]
