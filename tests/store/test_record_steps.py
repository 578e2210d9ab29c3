"""Undo and redo of records: every act that a person wrote is reached, newest first, and comes back, in the order of the edits."""

import pytest
from tests.store.conftest import NOW

from humble_trowel.store import jobs, records
from humble_trowel.store.jobs import NothingToDo
from humble_trowel.store.record_steps import Offer, last, step, step_id
from humble_trowel.store.records import Record


def write(db, job, name, kind="shots", revision=1, supersedes=None):
    over = f"record-{supersedes}" if supersedes else None
    records.add(db, Record(f"record-{name}", job, kind, revision, "Juno", NOW, NOW, over, {"said": name}))


def standing(db, job):
    here = {one[0] for one in records.standing(db, job)}
    return [row.document["said"] for row in records.of_job(db, job) if row.id in here and row.kind != "struck"]


def go(db, job, which):
    """One press of undo or redo, as the program offers it."""
    now = jobs.head(db, job)
    offer = last(db, job, now.content)[which == "redo"]
    if offer:
        step(db, job, offer.record, which, "Wren", NOW)
    else:
        getattr(jobs, which)(db, job, now.n, "Wren", NOW)
    return standing(db, job), jobs.head(db, job).content


def test_records_and_edits_are_taken_back_in_turn_and_come_again(db, job):
    write(db, job, "a")
    jobs.save(db, job, 1, {"name": "wider"}, jobs.Change("Wren", NOW, "Wider"))
    write(db, job, "b", revision=2)
    write(db, job, "c", revision=2)
    back = [go(db, job, "undo") for _ in range(4)]
    assert back == [(["a", "b"], 2), (["a"], 2), (["a"], 1), ([], 1)]
    with pytest.raises(NothingToDo):
        go(db, job, "undo")
    again = [go(db, job, "redo") for _ in range(4)]
    assert again == [(["a"], 1), (["a"], 2), (["a", "b"], 2), (["a", "b", "c"], 2)]
    with pytest.raises(NothingToDo):
        go(db, job, "redo")
    assert go(db, job, "undo") == (["a", "b"], 2)


def test_what_is_written_after_an_undo_ends_the_redo_and_a_strike_is_an_act_too(db, job):
    write(db, job, "a")
    write(db, job, "b")
    go(db, job, "undo")
    write(db, job, "c")
    assert last(db, job, 1) == (Offer("record-c", "record-c"), None)
    write(db, job, "a-out", "struck", supersedes="a")
    assert go(db, job, "undo")[0] == ["c", "a"]
    assert go(db, job, "redo")[0] == ["c"]
    assert [go(db, job, "undo")[0] for _ in range(2)] == [["c", "a"], ["a"]]


def test_the_same_step_counts_once_and_what_was_corrected_since_stays(db, job):
    write(db, job, "a")
    made = step(db, job, "record-a", "undo", "Wren", NOW)
    assert step(db, job, "record-a", "undo", "Birk", NOW) == made and made.id == step_id("record-a")
    write(db, job, "b")
    write(db, job, "b-right", supersedes="b")
    with pytest.raises(NothingToDo, match="corrected"):
        step(db, job, "record-b", "undo", "Wren", NOW)
    with pytest.raises(NothingToDo, match="not here"):
        step(db, job, "record-never", "undo", "Wren", NOW)
    with pytest.raises(NothingToDo, match="nothing more"):
        step(db, job, made.id, "undo", "Wren", NOW)


def test_a_pile_of_corrections_and_a_strike_goes_down_to_the_ground_and_comes_up_again(db, job):
    write(db, job, "a")
    write(db, job, "a-right", supersedes="a")
    write(db, job, "other")
    write(db, job, "a-out", "struck", supersedes="a-right")
    down = [go(db, job, "undo")[0] for _ in range(4)]
    assert down == [["other", "a-right"], ["a-right"], ["a"], []]
    assert last(db, job, 1)[0] is None
    up = [go(db, job, "redo")[0] for _ in range(4)]
    assert up == [["a"], ["a-right"], ["a-right", "other"], ["other"]]
    assert last(db, job, 1)[1] is None
    assert [go(db, job, "undo")[0] for _ in range(2)] == [["other", "a-right"], ["a-right"]]
    write(db, job, "late")
    assert last(db, job, 1)[1] is None and len(records.of_job(db, job)) == 4 + 10 + 1
