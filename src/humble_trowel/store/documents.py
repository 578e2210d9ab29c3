"""Plan documents as JSON text, stored once each under the hash of the text, whichever revisions show them."""

from __future__ import annotations

import hashlib
import json
import sqlite3
from typing import Any

_HAVE = "select 1 from documents where digest = :digest"
_KEEP = "insert into documents (digest, text) values (:digest, :text)"


def told(document: dict[str, Any]) -> str:
    """A document as it is stored. Raises ValueError for a number that is none."""
    return json.dumps(document, allow_nan=False, separators=(",", ":"))


def digest_of(text: str) -> str:
    """The name of a text."""
    return hashlib.sha256(text.encode("utf-8", "surrogatepass")).hexdigest()


def keep_document(db: sqlite3.Connection, text: str) -> str:
    """Keep a text where it is not there yet; returns the name under which a revision shows it."""
    digest = digest_of(text)
    if db.execute(_HAVE, {"digest": digest}).fetchone() is None:
        db.execute(_KEEP, {"digest": digest, "text": text})
    return digest


_TEXTS = "select rowid, document from revisions_before"
_POINT = "insert into revisions select {columns} from revisions_before where rowid = :row"
_DROP = "drop table revisions_before"
_LOCK = """
create trigger documents_valid before insert on documents when not json_valid(new.text)
begin select raise(abort, 'a document is JSON'); end
"""


def store_once(db: sqlite3.Connection) -> None:
    """Move the documents of revisions that were kept before into a table of their own, each once; damaged ones as they are."""
    columns = "job_id, n, kind, author, at, summary, :digest, edits, edit_id, content, parent, redo"
    for row in db.execute(_TEXTS).fetchall():
        digest = keep_document(db, row["document"])
        db.execute(_POINT.format(columns=columns), {"row": row["rowid"], "digest": digest})
    db.execute(_DROP)
    db.execute(_LOCK)
