"""The program killed in the middle of saves: what was acknowledged is there, and what is sent again is there once."""

import random
import threading
import time

from tests.attacks.served import Forked, rename, roll_test
from tests.attacks.told import Told


class Hand:
    """Somebody who keeps edits and records as a screen's outbox does: again, under the same id, until it is acknowledged."""

    def __init__(self, served, job, name):
        self.served, self.job, self.name = served, job, name
        self.revision, self.count, self.acknowledged, self.waiting = 1, 0, [], None
        self.stop = threading.Event()

    def work(self):
        while not self.stop.is_set():
            try:
                self.step()
            except OSError:
                return

    def step(self):
        if self.waiting is None:
            self.count += 1
            key = f"{self.name}-{self.count:06}"
            self.waiting = ("record", key) if self.count % 3 == 0 else ("edit", key)
        kind, key = self.waiting
        if kind == "record":
            status, answer = self.served.ask("POST", f"/api/jobs/{self.job}/records", roll_test(key, key))
        else:
            status, answer = self.served.ask("POST", f"/api/jobs/{self.job}/edits", rename(self.revision, key, key))
        if status == 409:
            self.revision = answer["head"]["revision"]
        elif status in (200, 201):
            self.revision = answer["revision"] if kind == "edit" else self.revision
            self.acknowledged.append((kind, key))
            self.waiting = None
        elif status != 503:
            raise AssertionError(f"{status}: {answer}")


def killed_while_saving(folder, kills, seed=1):
    """Kill so often; then every acknowledged edit and record is there once."""
    draw, served = random.Random(seed), Forked(folder, busy_ms=4000)
    served.start()
    hands = [Hand(served, job, f"hand-{at}") for at, job in enumerate(served.jobs()[:2])]
    for _ in range(kills):
        threads = [threading.Thread(target=hand.work) for hand in hands]
        for thread in threads:
            thread.start()
        time.sleep(draw.uniform(0.02, 0.25))
        served.kill()
        for hand in hands:
            hand.stop.set()
        served.start()
        for thread in threads:
            thread.join()
        for hand in hands:
            hand.stop.clear()
    found = [words for hand in hands for words in _lost_or_doubled(hand)]
    done = sum(len(hand.acknowledged) for hand in hands)
    served.close()
    if not done:
        found.append("nothing was ever acknowledged")
    return Told(f"kills during saves ({done:,} kept)", kills, found)


def _lost_or_doubled(hand):
    names = []
    before = None
    while True:
        query = f"?most=500{f'&before={before}' if before else ''}"
        page = hand.served.ask("GET", f"/api/jobs/{hand.job}/revisions{query}")[1]
        names += [row["n"] for row in page]
        if len(page) < 500:
            break
        before = page[-1]["n"]
    stored = hand.served.ask("GET", f"/api/jobs/{hand.job}/as-stored")[1]
    edits = [row["edit_id"] for row in stored["revisions"] if row["edit_id"]]
    records = [row["id"] for row in stored["records"]]
    if names != sorted(set(names), reverse=True) or len(names) != len(stored["revisions"]):
        yield "the history has gaps"
    for kind, key in hand.acknowledged:
        count = (edits if kind == "edit" else records).count(key)
        if count != 1:
            yield f"{kind} {key} is there {count} times"
    named = [row["document"]["name"] for row in stored["revisions"] if row["edit_id"]]
    if len(named) != len(set(named)):
        yield "an edit was applied twice"
