"""The attacks of `./trowel prove` in a short form."""

import pytest

from tests.api.test_api import opened, start
from tests.attacks.disk import bad_disks, moved_and_damaged
from tests.attacks.held_up import nobody_waits
from tests.attacks.kills import killed_while_saving
from tests.attacks.memory import flat_memory
from tests.attacks.nasty import nasty_requests
from tests.attacks.site import foreign_pages, guessed_numbers, long_queue, one_name, put_back, replayed_tokens
from tests.attacks.writers import many_writers


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        client.follow_redirects = False
        yield client


def held(told, count=1):
    assert not told.found, "\n".join([told.line, *told.found[:20]])
    assert told.count >= count


def test_nasty_requests_are_answered_in_plain_words(client):
    held(nasty_requests(client, opened(client), 1300), 1300)
    assert opened(client)["revision"] < 40


def test_killed_while_saving_nothing_is_lost_and_nothing_is_there_twice(tmp_path):
    held(killed_while_saving(tmp_path / "data", 12), 12)


@pytest.mark.parametrize("programs", [1, 2])
def test_many_who_write_on_one_job_all_get_through(tmp_path, programs):
    held(many_writers(tmp_path / "data", 3, one_job=True, programs=programs))


def test_disks_that_are_full_or_read_only_and_data_that_go_away(tmp_path):
    held(bad_disks(tmp_path / "disks"))
    held(moved_and_damaged(tmp_path / "away"))


def test_nobody_waits_for_somebody_elses_file(tmp_path):
    bombs, absurd, _ = nobody_waits(tmp_path / "data", within_s=20)  # times are held in `./trowel prove` alone
    held(bombs, 10)
    held(absurd, 7)


def test_memory_stays_flat(tmp_path):
    held(flat_memory(tmp_path / "data", 600), 600)


def test_the_local_network_lets_nobody_in_and_loses_nothing(tmp_path):
    held(guessed_numbers(tmp_path / "guessed", 4), 100_000)
    held(replayed_tokens(tmp_path / "replayed"), 500)
    held(foreign_pages(tmp_path / "foreign"), 150)
    held(one_name(tmp_path / "name", 4), 8)
    held(long_queue(tmp_path / "queue", 40), 40)
    held(put_back(tmp_path / "back", 4), 4)
