"""Files from outside, read in processes of their own: how far, stopped, too slow, ended, and never in another's way."""

import sys
import threading
import time

import pytest
from tests.api.test_api import opened, start

from humble_trowel.api.reading import LetGo, Reader
from humble_trowel.core.errors import InputError

CHILD = """
import json, sys, time, os
while header := sys.stdin.buffer.readline():
    said = json.loads(header)
    data = sys.stdin.buffer.read(said["bytes"])
    def say(**words): print(json.dumps(words), flush=True)
    if said["what"] == "slow":
        for at in range(600):
            say(share=at / 600)
            time.sleep(0.05)
    if said["what"] == "end":
        os._exit(3)
    if said["what"] == "refuse":
        say(refused="It is no such file.", path="layer")
    else:
        say(answer=[os.getpid(), len(data)])
"""


@pytest.fixture
def reader():
    made = Reader((sys.executable, "-c", CHILD))
    yield made
    made.close()


def test_a_process_reads_one_file_after_another_and_says_what_is_wrong(reader):
    first, second = (reader.read(reader.begin(""), "read", b"x" * 70_000) for _ in range(2))
    assert first == second and first[1] == 70_000
    with pytest.raises(InputError, match="no such file") as refused:
        reader.read(reader.begin(""), "refuse", b"")
    assert refused.value.path == "layer" and reader.read(reader.begin(""), "read", b"")[0] == first[0]


def test_what_ends_or_takes_too_long_is_said_and_the_next_file_is_read(reader):
    with pytest.raises(InputError, match="takes more than this program gives it"):
        reader.read(reader.begin(""), "end", b"x")
    reader.most_s = 0.5
    with pytest.raises(InputError, match=r"longer than 0\.5 s"):
        reader.read(reader.begin(""), "slow", b"x")
    reader.most_s = 30
    assert reader.read(reader.begin(""), "read", b"12")[1] == 2


def test_a_reading_says_how_far_it_is_and_is_let_go_while_others_are_read(reader):
    slow, ended = reader.begin("mine"), []

    def read():
        with pytest.raises(LetGo):
            reader.read(slow, "slow", b"x")
        ended.append(time.monotonic())

    thread = threading.Thread(target=read)
    thread.start()
    while not slow.share:
        time.sleep(0.01)
    assert reader.read(reader.begin(""), "read", b"x")[1] == 1 and reader.known("mine").share < 1
    began = time.monotonic()
    slow.stopped.set()
    thread.join(5)
    assert ended and ended[0] - began < 1
    assert reader.known("other") is None


def test_a_large_job_file_a_drawing_and_shots_come_in_through_a_process(tmp_path):
    with start(tmp_path) as client:
        state = opened(client)
        padded = client.get(f"/api/jobs/{state['id']}/file").content + b" " * 60_000
        came = client.post("/api/jobs/import?reading=key-1", content=padded)
        assert came.status_code == 201 and came.json()["document"]["name"] == state["document"]["name"]
        assert client.get("/api/readings/key-1").json() == {"share": 0.0}
        assert client.get("/api/readings/other").status_code == 422
        assert client.delete("/api/readings/key-1").status_code == 204
        rows = b"name,x_mm,y_mm,level_mm\n" + b"".join(
            b"%d,%d,%d,-150\n" % (at, 500 + at % 70 * 60, 500 + at // 70 * 60) for at in range(3500)
        )
        kept = client.post(f"/api/jobs/{state['id']}/shots-file?record=record-shots", content=rows)
        assert kept.status_code == 201, kept.text
        assert len(kept.json()["values"]["shots"]) == 3500
        again = client.post(f"/api/jobs/{state['id']}/shots-file?record=record-shots", content=rows)
        assert again.status_code == 201 and again.json()["id"] == "record-shots"
