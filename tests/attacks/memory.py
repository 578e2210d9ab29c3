"""Many mixed requests leave the memory of the program as it was."""

from pathlib import Path

from humble_trowel.api import service
from tests.attacks.served import Forked, rename
from tests.attacks.told import Told

GROWS_MB = 20
ROOM_BYTES = 20_000_000  # for answers that are kept at hand, so that it is full long before the end


def flat_memory(folder, count):
    """So many requests of all kinds; told is what the program holds after a quarter of them and at the end."""
    room, service.KEPT_BYTES = service.KEPT_BYTES, ROOM_BYTES
    try:
        served = Forked(folder).start()
    finally:
        service.KEPT_BYTES = room
    jobs, held = served.jobs(), []
    paths = ("", "/doubts", "/ground", "/set-out", "/records", "/revisions", "/file", "/edges", "/nothing")
    for at in range(count):
        job = jobs[at % len(jobs)]
        if at % 40 == 0:
            revision = served.ask("GET", f"/api/jobs/{job}")[1]["revision"]
            served.ask("POST", f"/api/jobs/{job}/edits", rename(revision, f"name {at % 7}", f"memory-{at:06}"))
        elif at % 11 == 0:
            served.ask("GET", "/api/jobs")
        else:
            served.ask("GET", f"/api/jobs/{job}{paths[at % len(paths)]}")
        if at in (count // 4, count - 1):
            held.append(_resident_mb(served.child))
    served.close()
    grown = held[1] - held[0]
    return Told(
        f"mixed requests ({held[0]:.0f} to {held[1]:.0f} MB)",
        count,
        [f"{grown:.0f} MB more"] if grown > GROWS_MB else [],
    )


def _resident_mb(process):
    line = next(row for row in Path(f"/proc/{process}/status").read_text().splitlines() if row.startswith("VmRSS"))
    return int(line.split()[1]) / 1024
