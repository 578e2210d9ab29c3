"""Whether edits made on an older state of a job stand beside what was changed since."""

from __future__ import annotations

import sqlite3

from humble_trowel.api.schemas import Keep
from humble_trowel.api.service import Service
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.plan.differs import differs, touch
from humble_trowel.store import jobs


def beside(service: Service, db: sqlite3.Connection, now: jobs.Revision, body: Keep) -> bool:
    """Whether edits that were made on an older revision touch nothing that was changed since: they are kept on top of it then."""
    if body.revision > now.n:
        return False
    try:
        base = service.job(db, jobs.revision(db, now.job_id, body.revision), passing=True).plan
        head = service.job(db, now, passing=True).plan
        mine, onto = apply(base, body.edits)[0], apply(head, body.edits)[0]
    except (TrowelError, jobs.NoSuchJob, jobs.Unreadable):
        return False
    places = differs(
        base, mine
    )  # the same ones on the newest: an edit that names a row by its number may mean another there
    return bool(places) and differs(head, onto) == places and not touch(places, differs(base, head))
