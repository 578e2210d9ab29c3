"""Speed of a served program: its start, its memory, and a drag in the browser."""

from __future__ import annotations

import gzip
import json
import re
import shutil
import socket
import subprocess
import sys
import time
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from humble_trowel.bench import CHROMIUM_ARGS
from humble_trowel.bench.rows import Other, Row, row_of


def _free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


@contextmanager
def served(folder: Path) -> Iterator[tuple[str, subprocess.Popen[bytes], float]]:
    """A demo server of its own: (address, process, seconds from start to the first page)."""
    port = _free_port()
    at = time.perf_counter()
    command = [sys.executable, "-m", "humble_trowel.cli", "demo", "--port", str(port), "--data", str(folder)]
    process = subprocess.Popen(command, stdout=subprocess.DEVNULL)
    base = f"http://127.0.0.1:{port}"
    try:
        while True:
            try:
                urllib.request.urlopen(f"{base}/").read()
                break
            except OSError:
                if process.poll() is not None or time.perf_counter() - at > 30:
                    raise RuntimeError("the server did not start") from None
                time.sleep(0.02)
        yield base, process, time.perf_counter() - at
    finally:
        process.terminate()
        process.wait(10)


def start_row(folder: Path) -> Row:
    """Start of a set-up program to its first page."""
    spans = []
    for _ in range(4):
        with served(folder) as (_, _, seconds):
            spans.append(seconds * 1000)
    return row_of("start of a set-up program to the first page", spans[1:], 3500, "p95")


def memory_mb(pid: int) -> float:
    """Resident memory of a process in MB; 0 where the system does not tell."""
    path = Path(f"/proc/{pid}/status")
    match = re.search(r"VmRSS:\s+(\d+) kB", path.read_text()) if path.exists() else None
    return int(match[1]) / 1024 if match else 0.0


def browser_figures(base: str) -> tuple[list[Row], Other | None]:
    """A drag under the hand and on the board, and what is fetched before one can work, gzipped. None where there is no browser."""
    chromium = shutil.which("chromium")
    if chromium is None:
        return [], None
    from playwright.sync_api import Response, sync_playwright

    jobs = json.load(urllib.request.urlopen(f"{base}/api/jobs"))
    job = next(row for row in jobs if row["name"].startswith("Tansy"))
    sizes: list[int] = []

    def count(response: Response) -> None:
        kind = response.headers.get("content-type", "")
        if "javascript" in kind or "css" in kind:
            sizes.append(len(gzip.compress(response.body(), 6)))

    with sync_playwright() as tool:
        browser = tool.chromium.launch(executable_path=chromium, args=list(CHROMIUM_ARGS))
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.on("response", count)
        page.goto(f"{base}/job/{job['id']}/lines")
        page.wait_for_selector("[data-corner='8']")
        first_load = sum(sizes)
        page.wait_for_timeout(500)
        spans = page.evaluate(DRAG)
        browser.close()
    weight = Other("script and style before one can work, gzipped", round(first_load / 1000, 1), "kB", 190)
    rows = [
        row_of("outline follows the hand", spans["follows"], 33, "p95"),
        row_of("numbers on the board after a move", spans["numbers"], 50, "p50"),
    ]
    return rows, weight


DRAG = """async () => {
  const handle = document.querySelector("[data-corner='8']");
  const box = handle.getBoundingClientRect();
  let x = box.x + box.width / 2, y = box.y + box.height / 2;
  const send = (type, target) => target.dispatchEvent(new PointerEvent(type, {bubbles: true, pointerId: 1, clientX: x, clientY: y}));
  handle.setPointerCapture = () => {};
  send('pointerdown', handle);
  const follows = [], numbers = [];
  const area = document.querySelector("[data-reading='area']"), side = document.querySelector("[data-side='8']");
  const until = (look, at) => new Promise((done) => {
    const again = () => (look() || performance.now() - at > 1000 ? done(performance.now() - at) : requestAnimationFrame(again));
    requestAnimationFrame(again);
  });
  for (let i = 0; i < 40; i++) {
    x += (i % 2 ? 1 : -1) * 14 + (i < 20 ? 1 : -1);
    const was = area.textContent, line = side.getAttribute('d'), at = performance.now();
    send('pointermove', handle);
    follows.push(await until(() => side.getAttribute('d') !== line, at));
    numbers.push(await until(() => area.textContent !== was, at));
  }
  send('pointerup', handle);
  return {follows, numbers};
}"""
