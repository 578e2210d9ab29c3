"""The demo: a made-up firm and four made-up jobs with their records, loaded through the same import as a user's file."""

from __future__ import annotations

import json
import sqlite3
from importlib import resources

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.record_kinds import KIND_OF
from humble_trowel.files.job_file import parse_job, plan_data
from humble_trowel.store import jobs, records, ways
from humble_trowel.store.records import Record

ORDER = ("wax-store", "bus-shelter", "boat-bay", "honey-house")


def load_demo(db: sqlite3.Connection, now: str) -> None:
    """Fill an empty database with the demo. now: ISO time of the load."""
    folder = resources.files("humble_trowel.demo")
    crew = json.loads((folder / "ways.json").read_text("utf-8"))
    ways.save(db, 0, Ways.model_validate(crew).model_dump(mode="json"), "Wren", now)
    for name in ORDER:
        plan = parse_job((folder / "jobs" / f"{name}.json").read_bytes())
        row = jobs.create(db, plan_data(plan), "Wren", now, "Brought in with the demo")
        _load_records(db, row.job_id, name, plan, now)


def _load_records(db: sqlite3.Connection, job_id: str, name: str, plan: Plan, now: str) -> None:
    """The rows of records/NAME.jsonl, as if they had been sent from a phone. A row's label names it for later rows (@label)."""
    path = resources.files("humble_trowel.demo") / "records" / f"{name}.jsonl"
    if not path.is_file():
        return
    labels: dict[str, str] = {}
    for number, line in enumerate(path.read_text("utf-8").splitlines()):
        said = json.loads(line)
        own = f"demo-{job_id}-{number}"
        labels[f"@{said.get('label', '')}"] = own
        data = {
            key: labels.get(value, value) if isinstance(value, str) else value for key, value in said["values"].items()
        }
        kind = KIND_OF[said["kind"]]
        document = kind.resolved(kind.read(data, plan.units), plan).model_dump(mode="json", by_alias=True)
        records.add(db, Record(own, job_id, said["kind"], 1, said["who"], now, now, None, document))
