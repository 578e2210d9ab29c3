"""The demo: a made-up firm and three made-up jobs, loaded through the same import as a user's file."""

from __future__ import annotations

import json
import sqlite3
from importlib import resources

from humble_trowel.core.plan.ways import Ways
from humble_trowel.files.job_file import parse_job, plan_data
from humble_trowel.store import jobs, ways

ORDER = ("bus-shelter", "boat-bay", "honey-house")


def load_demo(db: sqlite3.Connection, now: str) -> None:
    """Fill an empty database with the demo. now: ISO time of the load."""
    folder = resources.files("humble_trowel.demo")
    crew = json.loads((folder / "ways.json").read_text("utf-8"))
    ways.save(db, 0, Ways.model_validate(crew).model_dump(mode="json"), "Wren", now)
    for name in ORDER:
        plan = parse_job((folder / "jobs" / f"{name}.json").read_bytes())
        jobs.create(db, plan_data(plan), "Wren", now, "Brought in with the demo")
