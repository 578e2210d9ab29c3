"""An empty database, and a job in it."""

from contextlib import closing

import pytest

from humble_trowel.store import jobs
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate

NOW = "2027-06-01T08:00:00+00:00"


@pytest.fixture
def db(tmp_path):
    with closing(connect(tmp_path / "t.sqlite3")) as db:
        migrate(db)
        yield db


@pytest.fixture
def job(db):
    return jobs.create(db, {"name": "pad"}, "Wren", NOW, "Started").job_id
