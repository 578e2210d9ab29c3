"""What is stored of a job or of the ways, taken out as it is: also what no rule can read any more."""

from __future__ import annotations

import base64
import json
import sqlite3
from typing import Any

_JOB = "select * from jobs where id = :id"
_REVISIONS = (
    "select revisions.*, text from revisions left join documents on digest = document where job_id = :id order by n"
)
_RECORDS = "select * from records where job_id = :id order by at, rowid"
_PHOTOS = "select * from photos where job_id = :id order by at, rowid"
_WAYS = "select * from ways order by n"


def job_as_stored(db: sqlite3.Connection, job_id: str) -> dict[str, Any] | None:
    """A job with all its revisions and records; values that are no JSON stay text. None where there is no such job."""
    row = db.execute(_JOB, {"id": job_id}).fetchone()
    if row is None:
        return None
    revisions = []
    for found in db.execute(_REVISIONS, {"id": job_id}):
        values = dict(found)
        values["document"] = _value(values.pop("text"))
        values["edits"], values["redo"] = _value(values["edits"]), _value(values["redo"])
        revisions.append(values)
    records = [{**dict(found), "document": _value(found["document"])} for found in db.execute(_RECORDS, {"id": job_id})]
    photos = [_as_text(dict(found)) for found in db.execute(_PHOTOS, {"id": job_id})]
    return {"job": dict(row), "revisions": revisions, "records": records, "photos": photos}


def ways_as_stored(db: sqlite3.Connection) -> list[dict[str, Any]]:
    """Every version of the crew's ways."""
    return [{**dict(found), "document": _value(found["document"])} for found in db.execute(_WAYS)]


def _as_text(row: dict[str, Any]) -> dict[str, Any]:
    """A row with its bytes in base64."""
    return {key: base64.b64encode(value).decode() if isinstance(value, bytes) else value for key, value in row.items()}


def _value(text: str | None) -> Any:
    try:
        return json.loads(text or "")
    except (ValueError, RecursionError):
        return text
