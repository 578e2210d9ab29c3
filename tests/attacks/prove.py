"""All attacks at full length, as a table. Run by `./trowel prove`."""

import subprocess
import sys
import tempfile
import time
from pathlib import Path

from starlette.testclient import TestClient  # noqa: F401  (imported before anything is forked)

from tests.api.test_api import opened, start
from tests.attacks.described import described_requests
from tests.attacks.disk import bad_disks, moved_and_damaged
from tests.attacks.held_up import nobody_waits
from tests.attacks.kills import killed_while_saving
from tests.attacks.memory import flat_memory
from tests.attacks.nasty import nasty_requests
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
        [sys.executable, "-m", "pytest", "-q", "tests/e2e/test_faults.py"], cwd=ROOT, capture_output=True, text=True
    )
    passed = (
        int((done.stdout.rsplit(" passed", 1)[0].rsplit("\n", 1)[-1].split() or ["0"])[-1])
        if " passed" in done.stdout
        else 0
    )
    return Told(
        "chains without an answer, in Chromium", passed or 1, [] if done.returncode == 0 else [done.stdout[-1500:]]
    )


ATTACKS = (
    ("kills", lambda folder: killed_while_saving(folder, 1000)),
    ("one-job", lambda folder: many_writers(folder, 15, one_job=True)),
    ("many-jobs", lambda folder: many_writers(folder, 40, one_job=False)),
    ("two-programs", lambda folder: many_writers(folder, 10, one_job=True, programs=2)),
    ("held-up", nobody_waits),
    ("disks", bad_disks),
    ("moved", moved_and_damaged),
    ("memory", lambda folder: flat_memory(folder, 20_000)),
    ("nasty", nasty),
    ("described", lambda folder: described_requests(folder, 45)),
    ("chains", chains),
)


def main(names):
    began, failed = time.monotonic(), 0
    for name, attack in ATTACKS:
        if names and name not in names:
            continue
        with tempfile.TemporaryDirectory(prefix=f"trowel-{name}-") as folder:
            at = time.monotonic()
            rows = attack(Path(folder) / "data")
            rows = rows if isinstance(rows, list) else [rows]
            for row in rows:
                row.seconds = (time.monotonic() - at) / len(rows)
                print(row.line, flush=True)
                for words in row.found[:12]:
                    print(f"    {words}", flush=True)
                failed += bool(row.found)
    print(f"{time.monotonic() - began:.0f} s in all. {'All held.' if not failed else f'{failed} did not hold.'}")
    return 1 if failed else 0


if __name__ == "__main__":
    raise SystemExit(main(sys.argv[1:]))
