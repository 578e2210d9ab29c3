"""Many who write at once, on one job and on many, through one program and through two on the same data."""

import threading
from collections import Counter

from tests.attacks.kills import Hand, _lost_or_doubled
from tests.attacks.served import Forked
from tests.attacks.told import Told

WRITERS = 20


def many_writers(folder, each, one_job, programs=1):
    """So many acts of each writer; nothing may be refused for good, lost or doubled."""
    served = [Forked(folder, busy_ms=4000).start() for _ in range(programs)]
    first = served[0]
    jobs = first.jobs()[:1] * WRITERS
    if not one_job:
        jobs = [first.ask("POST", f"/api/jobs/{jobs[0]}/copy", {"author": ""})[1]["id"] for _ in range(WRITERS)]
    hands = [Hand(served[at % programs], job, f"writer-{at:02}") for at, job in enumerate(jobs)]
    said = Counter()

    def work(hand):
        for _ in range(each * 400):
            if len(hand.acknowledged) >= each:
                return
            try:
                hand.step()
            except (OSError, AssertionError) as error:
                said[str(error)[:120]] += 1

    threads = [threading.Thread(target=work, args=(hand,)) for hand in hands]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    found = [f"{count} times {words}" for words, count in said.items()]
    found += [
        f"{hand.name} got through {len(hand.acknowledged)} of {each}" for hand in hands if len(hand.acknowledged) < each
    ]
    found += [words for hand in hands for words in _lost_or_doubled(hand)]
    for one in served:
        one.close()
    where = "one job" if one_job else f"{WRITERS} jobs"
    through = "" if programs == 1 else f" through {programs} programs"
    return Told(f"{WRITERS} writers on {where}{through}", WRITERS * each, found)
