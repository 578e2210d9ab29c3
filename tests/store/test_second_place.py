"""A second place for copies: which folders take one, one a day, fourteen of them, and a stick that is pulled."""

from contextlib import closing

import pytest
from tests.store.test_copies import AT, filled, names

from humble_trowel.store import jobs
from humble_trowel.store.copies import KEPT, checked, restore
from humble_trowel.store.db import connect
from humble_trowel.store.second_place import NoPlace, copies_in, copy_there, usable


@pytest.fixture
def places(tmp_path):
    data, stick = tmp_path / "data", tmp_path / "stick"
    data.mkdir()
    stick.mkdir()
    return filled(data / "trowel.sqlite3"), stick


def test_which_folder_can_be_a_second_place(places, tmp_path):
    database, stick = places
    assert usable(f" {stick} ", database.parent) == stick and list(stick.iterdir()) == []
    (tmp_path / "file").write_text("x")
    inside = database.parent / "copies"
    inside.mkdir()
    for folder, words in (("stick", "whole path"), ("", "whole path"), (str(tmp_path / "none"), "not there"), (str(tmp_path / "file"), "not there"),
                          (str(database.parent), "beside the data"), (str(inside), "beside the data")):  # fmt: skip
        with pytest.raises(NoPlace, match=words):
            usable(folder, database.parent)


def test_one_copy_a_day_is_whole_and_the_last_fourteen_stay(places):
    database, stick = places
    first = copy_there(database, stick, "2027-06-01")
    assert checked(first).jobs == 3 and copy_there(database, stick, "2027-06-01") is None
    with closing(connect(database)) as db:
        jobs.create(db, jobs.head(db, jobs.every(db)[0].id).document, "Wren", AT, "Started")
    assert copy_there(database, stick, "2027-06-01", again=True) == first and checked(first).jobs == 4
    (stick / "humble-trowel-2027-06-02.new").write_text("left over when the stick was pulled")
    for day in range(2, KEPT + 4):
        copy_there(database, stick, f"2027-06-{day:02}")
    kept = copies_in(stick)
    assert len(kept) == KEPT and not first.exists() and not list(stick.glob("*.new"))


def test_a_copy_of_the_second_place_brings_another_machine_to_the_same(places, tmp_path):
    database, stick = places
    copy = copy_there(database, stick, "2027-06-01")
    other = tmp_path / "other" / "trowel.sqlite3"
    other.parent.mkdir()
    restore(other, copy, "now")
    assert names(other) == names(database)


def test_a_stick_that_is_pulled_is_said_and_nothing_is_lost(places):
    database, stick = places
    stick.rename(stick.with_name("pulled"))
    with pytest.raises(NoPlace, match="Is the stick in"):
        copy_there(database, stick, "2027-06-01")
    assert copies_in(stick) == [] and names(database) == ["pad 0", "pad 1", "pad 2"]
