"""Twelve phones and three laptops on one site for half a minute: `python -m humble_trowel.bench.load`. For docs/scale.md.

Each phone keeps a record every five seconds and asks for the job whenever it is told of a change; each laptop drags for two
seconds of every ten (a draft each 60 ms) and keeps an edit. All on one slab, which is the worst there is.
"""

from __future__ import annotations

import json
import shutil
import tempfile
import threading
import time
import urllib.request
from pathlib import Path
from typing import Any

from humble_trowel.bench.served import memory_mb
from humble_trowel.bench.site import Phone, cpu_s, joined, site

SECONDS, PHONES, LAPTOPS = 30.0, 12, 3


def _timed(spans: dict[str, list[float]], kind: str, phone: Phone, line: Any, path: str, body: Any = None) -> Any:
    began = time.perf_counter()
    answer = phone.ask(line, path, body)
    spans.setdefault(kind, []).append((time.perf_counter() - began) * 1000)
    return answer


def _phone(own: Phone, at: int, job: str, until: float, spans: dict[str, list[float]]) -> None:
    line, seen, count = own.open(), 0, 0
    due = time.perf_counter() + 5 * at / PHONES
    while time.perf_counter() < until:
        if len(own.heard) > seen:
            seen, line = len(own.heard), own.open()
            _timed(spans, "job asked for", own, line, f"/api/jobs/{job}")
        if time.perf_counter() >= due:
            due, count, line = due + 5, count + 1, own.open()  # a line that rests is closed by the program
            values = {"kind": "roll", "passed": True, "at": [1000 + at, 1000 + count], "note": ""}
            body = {
                "id": f"load-{at:03}-{count:05}",
                "kind": "ground-test",
                "revision": 1,
                "values": values,
                "who": own.cookie[-4:],
            }
            _timed(spans, "record kept", own, line, f"/api/jobs/{job}/records", body)
        time.sleep(0.02)


def _laptop(own: Phone, at: int, job: str, until: float, spans: dict[str, list[float]]) -> None:
    line, turn = own.open(), 0
    time.sleep(at * 3)
    while time.perf_counter() < until:
        line = own.open()
        state = _timed(spans, "job asked for", own, line, f"/api/jobs/{job}")
        corner = state["document"]["corner_ids"][1]
        x, y = state["document"]["outline"][1]
        for step in range(32):
            edit = {"op": "move_corner", "corner": corner, "x_mm": x + step, "y_mm": y, "square": True}
            began = time.perf_counter()
            body = {
                "revision": state["revision"],
                "edits": [edit],
                "quick": True,
                "numbers": False,
                "every_diagonal": False,
            }
            _timed(spans, "draft of a drag", own, line, f"/api/jobs/{job}/figure", body)
            time.sleep(max(0.0, 0.06 - (time.perf_counter() - began)))
        turn += 1
        edit = {"op": "set_fields", "values": {"name": f"Shelter {at} {turn}"}}
        _timed(spans, "edit kept", own, line, f"/api/jobs/{job}/edits", {"revision": state["revision"], "edits": [edit], "author": "", "edit_id": f"load-{at}-{turn:05}"})  # fmt: skip
        time.sleep(8)


def main() -> None:
    """Measure and print: spans in ms by kind, share of a core, memory."""
    folder, spans = Path(tempfile.mkdtemp(prefix="trowel-load-")), dict[str, list[float]]()
    with site(folder) as (base, port, process):
        hands = [joined(base, port, f"Hand {at}") for at in range(PHONES + LAPTOPS)]
        job = next(
            row["id"] for row in json.load(urllib.request.urlopen(f"{base}/api/jobs")) if row["name"].startswith("Cole")
        )
        until, before, began = time.perf_counter() + SECONDS, cpu_s(process.pid), time.perf_counter()
        work = [(_phone, at) for at in range(PHONES)] + [(_laptop, at) for at in range(LAPTOPS)]
        threads = [
            threading.Thread(target=act, args=(hands[i], at, job, until, spans)) for i, (act, at) in enumerate(work)
        ]
        for one in threads:
            one.start()
        for one in threads:
            one.join()
        share = (cpu_s(process.pid) - before) / (time.perf_counter() - began)
        print(
            f"{PHONES} phones, {LAPTOPS} laptops, {SECONDS:.0f} s: {share * 100:.0f} % of a core, {memory_mb(process.pid):.0f} MB"
        )
    for kind, rows in sorted(spans.items()):
        rows.sort()
        print(
            f"{kind:<18} {len(rows):>6}   p50 {rows[len(rows) // 2]:>6.0f} ms   p95 {rows[int(len(rows) * 0.95)]:>6.0f} ms"
        )
    shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    main()
