"""Somebody else's files and slabs while a person waits: signs of life within 50 ms, each file answered in three seconds."""

import json
import math
import statistics
import threading
import time

from tests.attacks.bombs import WITHIN_S, drawing_bombs
from tests.attacks.served import Forked
from tests.attacks.told import Told
from tests.plans import job

ALIVE_S = 0.05


def star(corners, radius=20_000, east=0, north=0):
    return [[round(east + radius * (2 + (1 - 0.3 * (i % 2)) * math.cos(2 * math.pi * i / corners)), 1),
             round(north + radius * (2 + (1 - 0.3 * (i % 2)) * math.sin(2 * math.pi * i / corners)), 1)] for i in range(corners)]  # fmt: skip


def absurd_jobs():
    """Job files that no crew could pour, or that nobody could wait for."""
    beam = {"beam_types": [{"mark": "B1", "width_mm": 100, "depth_mm": 400}]}
    square = [[0, 0], [200_000, 0], [200_000, 90_000], [0, 90_000]]
    across = [{"type": "B1", "path": [[0, 400 * k + 100], [200_000, 400 * k + 100]]} for k in range(200)]
    along = [{"type": "B1", "path": [[900 * k + 100, 0], [900 * k + 100, 90_000]]} for k in range(200)]
    spiky = [{"type": "B1", "path": [[100 * i, 50_000 * (i % 2) + 1000] for i in range(200)]} for _ in range(200)]
    yield (
        "999 m by 999 m, 1 m thick",
        job(
            outline=[[0, 0], [999_000, 0], [999_000, 999_000], [0, 999_000]],
            slab_types=[{"mark": "S1", "thickness_mm": 1000}],
        ),
    )
    yield "a side of 301 m", job(outline=[[0, 0], [301_000, 0], [301_000, 9000], [0, 9000]])
    yield "a slab 4 m thick", job(slab_types=[{"mark": "S1", "thickness_mm": 4000}])
    yield "400 beams that all cross", job(outline=square, **beam, beams=across + along)
    yield "200 beams of 200 points on each other", job(outline=square, **beam, beams=spiky)
    yield "a star of 200 corners", job(outline=star(200))
    yield (
        "100 openings of 200 corners",
        job(outline=square, openings=[star(200, 3000, 9000 * (at % 20), 9000 * (at // 20)) for at in range(100)]),
    )


def nobody_waits(folder, within_s=WITHIN_S):
    """Bombs and absurd jobs are sent while another asks for a sign of life."""
    served, found, waits, done = Forked(folder).start(), [], [], threading.Event()
    bay = served.jobs()[0]

    def alive():
        while not done.is_set():
            began = time.perf_counter()
            served.ask("GET", "/api/health")
            waits.append(time.perf_counter() - began)
            time.sleep(0.01)

    watch = threading.Thread(target=alive)
    watch.start()

    def send(name, data):
        status, answer = served.ask("POST", f"/api/jobs/{bay}/read-points?name=a.dxf", data, "application/octet-stream")
        return status, answer["detail"] if status >= 400 else ""

    bombs = drawing_bombs(send, within_s)
    for name, document in absurd_jobs():
        began = time.perf_counter()
        status, answer = served.ask(
            "POST", "/api/jobs/import", json.dumps(document).encode(), "application/octet-stream"
        )
        took = time.perf_counter() - began
        if took > within_s or not (status == 201 or (status in (413, 422) and answer["detail"].endswith("."))):
            found.append(f"{name}: {status} after {took:.1f} s {str(answer)[:100]}")
    done.set()
    watch.join()
    served.close()
    slow = statistics.quantiles(waits, n=100)[98] if len(waits) > 100 else max(waits)
    alive_told = Told(f"signs of life meanwhile (99 of 100 within {slow * 1000:.0f} ms)", len(waits),
                      [f"{slow * 1000:.0f} ms"] if slow > ALIVE_S else [])  # fmt: skip
    return [bombs, Told("slabs that nobody could pour or wait for", 7, found), alive_told]
