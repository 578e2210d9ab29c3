"""Ids for plans and records that were kept before there were any: once, while the database is brought up to date.

Every revision of a job is read in its order; what is the same as in the revision before it, or stands in its place,
keeps its id. Records that name a corner, side or row by its number then name it by the id that it has in the revision
they were made on. What cannot be read stays as it is.
"""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Sequence
from typing import Any

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import ROWS, with_ids
from humble_trowel.core.plan.model import Row
from humble_trowel.core.reading.job_file import anticlockwise, validate
from humble_trowel.core.record_kinds import KIND_OF

_JOBS = "select id from jobs order by id"
_REVISIONS = "select n, document from revisions where job_id = :job and content = n order by n"
_SHOWN = "update revisions set document = :document where job_id = :job and content = :n"
_RECORDS = "select id, kind, revision, document from records where job_id = :job"
_CONTENT = "select content from revisions where job_id = :job and n = :n"
_REWRITE = "update records set document = :document where id = :id"
_LOCK = (
    "create trigger revisions_no_update before update on revisions "
    "begin select raise(abort, 'revisions are append-only'); end",
    "create trigger records_no_update before update on records "
    "begin select raise(abort, 'records are append-only'); end",
)


def give_ids(db: sqlite3.Connection) -> None:
    """Write ids into every plan and record, then lock both tables again."""
    for (job,) in db.execute(_JOBS).fetchall():
        plans = _plans(db, job)
        for row in db.execute(_RECORDS, {"job": job}).fetchall():
            content = db.execute(_CONTENT, {"job": job, "n": row["revision"]}).fetchone()
            plan = plans.get(content[0]) if content else None
            if plan is not None:
                _rewrite(db, row, plan)
    for statement in _LOCK:
        db.execute(statement)


def _plans(db: sqlite3.Connection, job: str) -> dict[int, Plan]:
    """The plans of a job by revision, each with ids that go on from the one before; written back."""
    plans: dict[int, Plan] = {}
    before: Plan | None = None
    for row in db.execute(_REVISIONS, {"job": job}).fetchall():
        data = json.loads(row["document"])
        try:
            plan = anticlockwise(validate(data))
        except TrowelError:
            continue
        before = with_ids(plan if before is None else _from_before(plan, before))
        plans[row["n"]] = before
        document = json.dumps({**data, **_ids_of(before)}, allow_nan=False, separators=(",", ":"))
        db.execute(_SHOWN, {"document": document, "job": job, "n": row["n"]})
    return plans


def _ids_of(plan: Plan) -> dict[str, Any]:
    """The keys of the document in which ids stand, and those that turning the outline round changes."""
    keys = {*ROWS, "outline", "corner_ids", "opening_ids", "build_ups", "ground", "set_out"}
    return plan.model_dump(mode="json", include=keys)


def _rewrite(db: sqlite3.Connection, row: sqlite3.Row, plan: Plan) -> None:
    kind = KIND_OF[row["kind"]]
    try:
        values = kind.resolved(kind.read(json.loads(row["document"]), plan.units), plan)
    except TrowelError:
        return
    document = json.dumps(values.model_dump(mode="json", by_alias=True), allow_nan=False, separators=(",", ":"))
    db.execute(_REWRITE, {"document": document, "id": row["id"]})


def _from_before(plan: Plan, before: Plan) -> Plan:
    """The plan with the ids of the one before it, for what is the same or stands in the same place."""
    changes: dict[str, Any] = {}
    for key in ROWS:
        rows = getattr(plan, key)
        ids = _carried([row.id for row in rows], _content(rows), getattr(before, key))
        changes[key] = [row.model_copy(update={"id": name}) for row, name in zip(rows, ids, strict=True)]
    marks = plan.ground.benchmarks
    ids = _carried([row.id for row in marks], _content(marks), before.ground.benchmarks)
    named = [row.model_copy(update={"id": name}) for row, name in zip(marks, ids, strict=True)]
    changes["ground"] = plan.ground.model_copy(update={"benchmarks": named})
    for beside, spots in (("corner_ids", "outline"), ("opening_ids", "openings")):
        there, old = getattr(plan, spots) or [], getattr(before, spots) or []
        had = [*getattr(plan, beside), *[""] * len(there)][: len(there)]
        changes[beside] = _matched(had, there, list(zip(getattr(before, beside), old, strict=True)))
    return plan.model_copy(update=changes)


def _content(rows: Sequence[Row]) -> list[Any]:
    return [row.without_id() for row in rows]


def _carried(had: Sequence[str], content: Sequence[Any], before: Sequence[Row]) -> list[str]:
    return _matched(had, content, [(row.id, row.without_id()) for row in before])


def _matched(had: Sequence[str], content: Sequence[Any], before: Sequence[tuple[str, Any]]) -> list[str]:
    """Ids by equal content; what is left on both sides, where it is as many, in its order."""
    ids, left = list(had), [row for row in before if row[0] not in had]
    for at, what in enumerate(content):
        same = next((row for row in left if row[1] == what), None)
        if not ids[at] and same is not None:
            ids[at] = same[0]
            left.remove(same)
    empty = [at for at, name in enumerate(ids) if not name]
    if len(empty) == len(left):
        for at, (name, _) in zip(empty, left, strict=True):
            ids[at] = name
    return ids
