"""Jobs as programs before the documents had a table of their own kept them."""

import json

REVISION = """
insert into revisions (job_id, n, kind, author, at, summary, document, content, parent, redo)
values (:job, :n, :kind, 'Wren', '2027-01-01', :kind, :document, :content, :parent, :redo)
"""


def old_job(db, *documents, steps=()):
    """A job with these documents as edits, then steps (kind, content, redo) that show one of them again. Returns its id."""
    db.execute("insert into jobs (id, made_at, head) values ('oldjob', '2027-01-01', ?)", [len(documents) + len(steps)])
    texts = [row if isinstance(row, str) else json.dumps(row) for row in documents]
    rows = [("edit", n, []) for n in range(1, len(texts) + 1)] + list(steps)
    for n, (kind, content, redo) in enumerate(rows, 1):
        parent = content - 1 if content > 1 else None
        values = {"job": "oldjob", "n": n, "kind": kind, "content": content, "parent": parent}
        db.execute(REVISION, {**values, "document": texts[content - 1], "redo": json.dumps(redo)})
    return "oldjob"
