"""The table of all rows, or JSON; two revisions in turn."""

from __future__ import annotations

import json
import os
import shutil
import subprocess
import sys
import tempfile
from dataclasses import asdict
from pathlib import Path
from typing import Any

from humble_trowel.bench.answers import answer_rows
from humble_trowel.bench.day import day_figures, day_rows
from humble_trowel.bench.embeds import embed_rows
from humble_trowel.bench.gate import gate_rows
from humble_trowel.bench.ground import ground_rows
from humble_trowel.bench.lessons import lesson_rows
from humble_trowel.bench.lines import CUTTING_CASES, Cutting, cutting_rows, lines_rows, print_cutting
from humble_trowel.bench.order import order_rows
from humble_trowel.bench.pour import pour_rows
from humble_trowel.bench.rows import Other, Row
from humble_trowel.bench.screed import screed_rows
from humble_trowel.bench.served import browser_figures, memory_mb, served, start_row
from humble_trowel.bench.shape import shape_rows
from humble_trowel.bench.site import site_rows
from humble_trowel.bench.steel import steel_figures, steel_rows
from humble_trowel.bench.underslab import tube_figures, underslab_rows

ROOT = Path(__file__).resolve().parents[3]


def run(as_json: bool, compare: str | None = None) -> int:
    """Measure everything and print it. compare: a revision to measure in turn with this one. Returns 1 where a row is
    missed."""
    if compare:
        return compared(compare)
    rows = (
        answer_rows()
        + lines_rows()
        + ground_rows()
        + shape_rows()
        + underslab_rows()
        + steel_rows()
        + embed_rows()
        + screed_rows()
        + order_rows()
        + day_rows()
        + gate_rows()
    )
    cuts = cutting_rows(CUTTING_CASES)
    others: list[Other] = [*tube_figures(), *steel_figures(), *day_figures()]
    on_site, site_figures = site_rows()
    rows, others = rows + on_site, others + site_figures
    poured, pour_figures = pour_rows()
    rows, others = rows + poured, others + pour_figures
    taught, lesson_figures = lesson_rows()
    rows, others = rows + taught, others + lesson_figures
    folder = Path(tempfile.mkdtemp(prefix="trowel-bench-"))
    try:
        rows.append(start_row(folder))
        with served(folder) as (base, process, _):
            drags, weight = browser_figures(base)
            rows += drags
            others += [weight] if weight else []
            others.append(Other("resident memory of the server", round(memory_mb(process.pid), 1), "MB", 200))
    finally:
        shutil.rmtree(folder, ignore_errors=True)
    if as_json:
        lists = [{**asdict(row), "gap": row.gap} for row in cuts]
        found = {"rows": [asdict(row) for row in rows], "figures": [asdict(row) for row in others], "cutting": lists}
        print(json.dumps(found, indent=1))
    else:
        _print(rows, others, cuts)
    met = all(row.met for row in rows) and all(row.value <= row.goal for row in others)
    return 0 if met else 1


def _print(rows: list[Row], others: list[Other], cuts: list[Cutting]) -> None:
    print(f"{os.cpu_count()} cores, Python {sys.version.split()[0]}")
    print(f"{'':58}{'p50 ms':>9}{'p95 ms':>9}{'goal ms':>9}")
    for row in rows:
        said = "met" if row.met else "MISSED"
        print(f"{row.name:58}{row.p50_ms:9.1f}{row.p95_ms:9.1f}{row.goal_ms:9.0f} on {row.goal_on}  {said}")
    for other in others:
        said = "met" if other.value <= other.goal else "MISSED"
        print(f"{other.name:58}{other.value:9.1f} {other.unit}, goal {other.goal:.0f}  {said}")
    print_cutting(cuts)


def compared(revision: str) -> int:
    """Measure a revision and this checkout in turn, and print how many times as long each row takes now."""
    with tempfile.TemporaryDirectory(prefix="trowel-compare-") as folder:
        other = Path(folder) / "there"
        subprocess.run(["git", "worktree", "add", "-q", "--detach", str(other), revision], cwd=ROOT, check=True)
        try:
            then, now = _measured(other), _measured(ROOT)
        finally:
            subprocess.run(["git", "worktree", "remove", "--force", str(other)], cwd=ROOT, check=False)
    print(f"{'':58}{revision[:9]:>9}{'here':>9}{'ratio':>9}")
    for name, row in now.items():
        old = then.get(name)
        if old:
            print(f"{name:58}{old:9.1f}{row:9.1f}{row / old:9.2f}")
    return 0


def _measured(folder: Path) -> dict[str, float]:
    """Medians by name of a checkout, measured by its own program with this Python and this built front end."""
    web = folder / "src" / "humble_trowel" / "web"
    if not web.exists():
        shutil.copytree(ROOT / "src" / "humble_trowel" / "web", web)
    done = run_there(folder, "bench", "--json")
    if "{" not in done.stdout:
        raise RuntimeError(f"The bench of {folder} did not run: {done.stderr[-600:]}")
    told: dict[str, Any] = json.loads(done.stdout[done.stdout.index("{") :])
    return {row["name"]: float(row["p50_ms"]) for row in told["rows"]}


def run_there(folder: Path, *words: str) -> subprocess.CompletedProcess[str]:
    """A command of the program that stands in a folder, whatever program this Python finds by itself."""
    env = {**os.environ, "PYTHONPATH": str(folder / "src")}
    command = [sys.executable, "-m", "humble_trowel.cli", *words]
    return subprocess.run(command, cwd=folder, env=env, capture_output=True, text=True)
