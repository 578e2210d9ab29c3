"""Undo and redo of records against a plain history: acts written, corrected and struck at random, taken back and brought again."""

from contextlib import closing

from hypothesis import example, given, settings
from hypothesis import strategies as st

from humble_trowel.store import jobs, records
from humble_trowel.store.db import connect
from humble_trowel.store.migrate import migrate
from humble_trowel.store.record_steps import last, step
from humble_trowel.store.records import Record

NOW = "2026-06-14T09:40:00"


def standing(db, job):
    here = {one[0] for one in records.standing(db, job)}
    return [row for row in records.of_job(db, job) if row.id in here and row.kind != "struck"]


def replayed(acts):
    """What stands after these acts, by matter: the plain way, with nothing kept of how it came about."""
    shown = {}
    for kind, matter, text in acts:
        if kind == "strike":
            shown.pop(matter, None)
        else:
            shown[matter] = text
    return sorted(shown.items())


@given(
    st.lists(
        st.tuples(st.sampled_from(["write", "correct", "strike", "undo", "undo", "redo"]), st.integers(0, 9)),
        max_size=24,
    )
)
@example([("write", 0), ("undo", 0), ("write", 0), ("undo", 0), ("redo", 0)])
@settings(max_examples=60, deadline=None, derandomize=True)
def test_undo_and_redo_walk_one_history_whatever_was_written(tmp_path_factory, presses):
    with closing(connect(tmp_path_factory.mktemp("piles") / "x.sqlite")) as db:
        migrate(db)
        job = jobs.create(db, {"name": "pad"}, "Wren", NOW, "Started").job_id
        acts, at, written = [], 0, 0
        for press, pick in presses:
            here = standing(db, job)
            if press in ("undo", "redo"):
                offer = last(db, job, 1)[press == "redo"]
                assert (offer is not None) == (at > 0 if press == "undo" else at < len(acts)), (press, acts, at)
                if offer:
                    step(db, job, offer.record, press, "Wren", NOW)
                    at += -1 if press == "undo" else 1
            elif press == "write" or here:
                old = None if press == "write" else here[pick % len(here)]
                written += 1
                matter = f"m{written}" if old is None else old.document["matter"]
                text = f"t{written}"
                kind = "struck" if press == "strike" else "shots"
                records.add(
                    db,
                    Record(
                        f"record-{written:04}",
                        job,
                        kind,
                        1,
                        "Juno",
                        NOW,
                        NOW,
                        old.id if old else None,
                        {"matter": matter, "text": text},
                    ),
                )
                acts = [*acts[:at], (press, matter, text)]
                at += 1
            rows = standing(db, job)
            assert sorted((row.document["matter"], row.document["text"]) for row in rows) == replayed(acts[:at])
