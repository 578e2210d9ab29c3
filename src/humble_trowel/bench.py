"""Speed against the goals: a table, or JSON. Times are wall times on this machine; nothing here fails a test."""

from __future__ import annotations

import gzip
import json
import os
import re
import shutil
import socket
import subprocess
import sys
import tempfile
import time
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import asdict, dataclass
from importlib import resources
from pathlib import Path
from typing import Any

from humble_trowel.bench_edges import edges_rows
from humble_trowel.bench_ground import ground_rows
from humble_trowel.bench_lines import CUTTING_CASES, Row, cutting_rows, lines_rows, print_cutting, row_of, timed
from humble_trowel.settings import calm_memory

CHROMIUM_ARGS = (
    "--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
    "--disable-component-update", "--disable-sync",
)  # fmt: skip


@dataclass(frozen=True)
class Other:
    name: str
    value: float
    unit: str
    goal: float


def sixty_corners() -> dict[str, Any]:
    """A 24 x 12 m slab with 14 bays on its north side: 60 corners, all sides thickened, in two types."""
    bays, wide = 14, 24000 / 29
    ring: list[list[float]] = [[0, 0], [24000, 0]]
    for bay in range(bays):
        right = 24000 - 2 * bay * wide
        ring += [[right, 12000], [right - wide, 12000], [right - wide, 11000], [right - 2 * wide, 11000]]
    ring += [[wide, 12000], [0, 12000]]
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300, "haunch_run_per_rise": 1}
    return {
        "format": "humble-trowel-job", "version": 1, "name": "sixty", "units": "mm", "outline": ring,
        "slab_types": [{"mark": "S1", "thickness_mm": 100}], "zones": [{"name": "all", "slab": "S1"}],
        "edge_types": [edge, {**edge, "mark": "E2", "depth_mm": 600, "haunch_run_per_rise": 0.5}],
        "edges": [{"sides": list(range(30)), "type": "E1"}, {"sides": list(range(30, len(ring))), "type": "E2"}],
    }  # fmt: skip


def core_rows() -> list[Row]:
    from humble_trowel.core.job import Job
    from humble_trowel.core.reading.job_file import read_plan
    from humble_trowel.files.job_file import parse_job

    folder = resources.files("humble_trowel.demo") / "jobs"
    demo = parse_job((folder / "honey-house.json").read_bytes())
    bay = parse_job((folder / "boat-bay.json").read_bytes())
    sixty = read_plan(sixty_corners())
    _ = Job(demo).figure
    calm_memory()  # as the server does at its start
    return [
        timed("figure of the demo job (honey house, 4 zones)", lambda: Job(demo).figure, 200, 10, "p95"),
        timed("figure of the second demo job (boat bay)", lambda: Job(bay).figure, 200, 10, "p95"),
        timed("figure of 60 corners, all sides thickened, two types", lambda: Job(sixty).figure, 60, 60, "p95"),
    ]


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


def browser_figures(base: str) -> tuple[Row | None, Other | None]:
    """Drag to repaint, and script and style of the first load, gzipped. None where there is no browser."""
    chromium = shutil.which("chromium")
    if chromium is None:
        return None, None
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
        page.wait_for_timeout(500)
        spans = page.evaluate(DRAG)
        browser.close()
    weight = Other("script and style of the first load, gzipped", round(sum(sizes) / 1000, 1), "kB", 250)
    return row_of("drag to repaint, with new figures on the board", spans, 50, "p50"), weight


DRAG = """async () => {
  const handle = document.querySelector("[data-corner='8']");
  const box = handle.getBoundingClientRect();
  let x = box.x + box.width / 2, y = box.y + box.height / 2;
  const send = (type, target) => target.dispatchEvent(new PointerEvent(type, {bubbles: true, pointerId: 1, clientX: x, clientY: y}));
  handle.setPointerCapture = () => {};
  send('pointerdown', handle);
  const spans = [];
  const area = document.querySelector("[data-reading='area']");
  for (let i = 0; i < 40; i++) {
    x += (i % 2 ? 1 : -1) * 14 + (i < 20 ? 1 : -1);
    const was = area.textContent;
    const at = performance.now();
    send('pointermove', handle);
    await new Promise((done) => {
      const look = () => (area.textContent !== was || performance.now() - at > 1000 ? done() : requestAnimationFrame(look));
      requestAnimationFrame(look);
    });
    spans.push(performance.now() - at);
  }
  send('pointerup', handle);
  return spans;
}"""


def run(as_json: bool) -> int:
    """Measure everything and print it. Returns 0; a missed goal is shown, not raised."""
    rows = core_rows() + lines_rows() + ground_rows() + edges_rows(sixty_corners()["outline"])
    cuts = cutting_rows(CUTTING_CASES)
    others: list[Other] = []
    folder = Path(tempfile.mkdtemp(prefix="trowel-bench-"))
    try:
        rows.append(start_row(folder))
        with served(folder) as (base, process, _):
            drag, weight = browser_figures(base)
            rows += [drag] if drag else []
            others += [weight] if weight else []
            others.append(Other("resident memory of the server", round(memory_mb(process.pid), 1), "MB", 200))
    finally:
        shutil.rmtree(folder, ignore_errors=True)
    if as_json:
        lists = [{**asdict(row), "gap": row.gap} for row in cuts]
        found = {"rows": [asdict(row) for row in rows], "figures": [asdict(row) for row in others], "cutting": lists}
        print(json.dumps(found, indent=1))
        return 0
    print(f"{os.cpu_count()} cores, Python {sys.version.split()[0]}")
    print(f"{'':58}{'p50 ms':>9}{'p95 ms':>9}{'goal ms':>9}")
    for row in rows:
        said = "met" if row.met else "MISSED"
        print(f"{row.name:58}{row.p50_ms:9.1f}{row.p95_ms:9.1f}{row.goal_ms:9.0f} on {row.goal_on}  {said}")
    for other in others:
        said = "met" if other.value <= other.goal else "MISSED"
        print(f"{other.name:58}{other.value:9.1f} {other.unit}, goal {other.goal:.0f}  {said}")
    print_cutting(cuts)
    return 0
