"""All attacks at full length, as a table. Run by `./trowel prove`."""

import subprocess
import sys
import tempfile
import time
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from starlette.testclient import TestClient  # noqa: F401  (imported before anything is forked)

from tests.api.test_api import opened, start
from tests.attacks.described import described_requests
from tests.attacks.disk import bad_disks, moved_and_damaged
from tests.attacks.held_up import nobody_waits
from tests.attacks.kills import killed_while_saving
from tests.attacks.memory import flat_memory
from tests.attacks.nasty import nasty_requests
from tests.attacks.site import foreign_pages, guessed_numbers, long_queue, one_name, put_back, replayed_tokens
from tests.attacks.told import Told
from tests.attacks.writers import many_writers

ROOT = Path(__file__).resolve().parents[2]


def nasty(folder):
    with start(folder) as client:
        client.follow_redirects = False
        return nasty_requests(client, opened(client), 1500 + 700)


def chains(_):
    """What is said without an answer, in Chromium at both sizes."""
    done = subprocess.run(
        [sys.executable, "-m", "pytest", "tests/e2e/test_faults.py"], cwd=ROOT, capture_output=True, text=True
    )
    passed = (
        int((done.stdout.rsplit(" passed", 1)[0].rsplit("\n", 1)[-1].split() or ["0"])[-1])
        if " passed" in done.stdout
        else 0
    )
    return Told(
        "chains without an answer, in Chromium", passed or 1, [] if done.returncode == 0 else [done.stdout[-1500:]]
    )


# Each in a process of its own, two at a time, the longest first; what listens to the time goes alone, before them.
ALONE = (("held-up", nobody_waits),)
SIDE_BY_SIDE = (
    ("kills", lambda folder: killed_while_saving(folder, 1000)),
    ("memory", lambda folder: flat_memory(folder, 20_000)),
    ("described", lambda folder: described_requests(folder, 45)),
    ("chains", chains),
    ("one-job", lambda folder: many_writers(folder, 15, one_job=True)),
    ("many-jobs", lambda folder: many_writers(folder, 40, one_job=False)),
    ("two-programs", lambda folder: many_writers(folder, 10, one_job=True, programs=2)),
    ("nasty", nasty),
    ("disks", bad_disks),
    ("moved", moved_and_damaged),
    ("guessed", lambda folder: guessed_numbers(folder, 400)),
    ("replayed", replayed_tokens),
    ("foreign", foreign_pages),
    ("one-name", lambda folder: one_name(folder, 200)),
    ("queue", lambda folder: long_queue(folder, 2000)),
    ("put-back", lambda folder: put_back(folder, 300)),
)
ATTACKS = dict((*ALONE, *SIDE_BY_SIDE))


def attack(name):
    """One attack, here; whether all of it held."""
    with tempfile.TemporaryDirectory(prefix=f"trowel-{name}-") as folder:
        began = time.monotonic()
        rows = ATTACKS[name](Path(folder) / "data")
        rows = rows if isinstance(rows, list) else [rows]
        for row in rows:
            row.seconds = (time.monotonic() - began) / len(rows)
            print(row.line, flush=True)
            for words in row.found[:12]:
                print(f"    {words}", flush=True)
    return not any(row.found for row in rows)


def apart(name):
    """The same in a process of its own."""
    done = subprocess.run(
        [sys.executable, "-m", "tests.attacks.prove", "--here", name], cwd=ROOT, capture_output=True, text=True
    )
    print(done.stdout or f"{name}: {done.stderr[-1500:]}", end="", flush=True)
    return done.returncode == 0


def main(names):
    if names[:1] == ["--here"]:
        return 0 if attack(names[1]) else 1
    began = time.monotonic()
    wanted = [name for name in ATTACKS if not names or name in names]
    held = [apart(name) for name, _ in ALONE if name in wanted]
    with ThreadPoolExecutor(2) as lanes:
        held += lanes.map(apart, [name for name, _ in SIDE_BY_SIDE if name in wanted])
    print(
        f"{time.monotonic() - began:.0f} s in all. {'All held.' if all(held) else f'{held.count(False)} did not hold.'}"
    )
    return 0 if all(held) else 1


if __name__ == "__main__":
    raise SystemExit(main(sys.argv[1:]))
