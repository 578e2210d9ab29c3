"""The attacks of `./trowel prove` in a short form."""

import pytest

from tests.api.test_api import opened, start
from tests.attacks.nasty import nasty_requests


@pytest.fixture
def client(tmp_path):
    with start(tmp_path) as client:
        client.follow_redirects = False
        yield client


def test_nasty_requests_are_answered_in_plain_words(client):
    told = nasty_requests(client, opened(client), 1200)
    assert not told.found, "\n".join(told.found[:20])
    assert opened(client)["revision"] < 40
