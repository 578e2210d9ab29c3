"""Speed of the lines: squaring, set-out, forms, and the shared cutting lists with their bounds and gaps."""

from __future__ import annotations

import json
import math
import time
from dataclasses import dataclass
from pathlib import Path

from humble_trowel.bench.rows import Row, demo_plan, star, timed
from humble_trowel.core.reading.job_file import read_plan

CUTTING_CASES = Path(__file__).resolve().parents[3] / "tests" / "validation" / "cases" / "cutting.json"


@dataclass(frozen=True)
class Cutting:
    """cost, bound: bars, or total stock length. gap: how far above the proven bound."""

    name: str
    cost: int
    bound: int
    accept_at_most: int
    seconds: float

    @property
    def gap(self) -> float:
        return (self.cost - self.bound) / self.bound if self.bound else 0.0


def lines_rows() -> list[Row]:
    """Squaring a 12-corner outline, and the demo job's set-out, forms and cut plan."""
    from humble_trowel.core.forms.cut_boards import cut_boards
    from humble_trowel.core.forms.form_plan import form_plan
    from humble_trowel.core.geometry.zones import lay_zones
    from humble_trowel.core.lines.records import Taped
    from humble_trowel.core.lines.setting_out import set_out
    from humble_trowel.core.lines.squaring import square
    from humble_trowel.core.plan.ways import JobWays

    ring = [(0, 0), (18e3, 0), (18e3, 3e3), (15e3, 3e3), (15e3, 6e3), (18e3, 6e3), (18e3, 9e3), (12e3, 9e3), (12e3, 12e3),
            (6e3, 12e3), (6e3, 9e3), (0, 9e3)]  # fmt: skip
    pairs = [(a, b) for a in range(12) for b in range(a + 1, 12)]
    read = [{"from": a, "to": b, "mm": math.dist(ring[a], ring[b]) + (a * 7 + b * 5) % 5 - 2} for a, b in pairs]
    taped = Taped.model_validate({"measures": read})
    demo = demo_plan("honey-house")
    ways, cells = JobWays(), lay_zones(demo)
    string_mm = set_out(demo, ways).string_mm
    forms = form_plan(demo, cells, ways, string_mm)
    return [
        timed("squaring 12 corners from 66 readings", lambda: square(ring, taped, "mm"), 100, 20, "p95"),
        timed("set-out sheet of the demo job", lambda: set_out(demo, ways), 50, 50, "p95"),
        timed("forms of the demo job", lambda: form_plan(demo, cells, ways, string_mm), 50, 100, "p95"),
        *star_rows(),
        timed("cut plan of the demo job", lambda: cut_boards(demo, forms, ways), 50, 1000, "p95"),
    ]


def star_rows() -> list[Row]:
    """Forms and the drawing file of a slab with as many corners as one may have, asked for by one who has it open."""
    from humble_trowel.core.job import Job
    from humble_trowel.files.dxf_write import write_dxf

    plan = read_plan(star())

    def opened() -> Job:
        job = Job(plan)
        _ = job.solid
        return job

    def forms(job: Job) -> object:
        return job.forms

    def drawing(job: Job) -> bytes:
        return write_dxf(plan, job.answered("set_out", job.set_out), job.answered("forms", job.forms))

    shown = opened()
    _ = shown.set_out, shown.forms
    return [
        timed("forms of a star of 200 corners", lambda: forms(opened()), 5, 1000),
        timed("its drawing file, from its sheet", lambda: drawing(shown), 5, 1000),
    ]


def cutting_rows(path: Path) -> list[Cutting]:
    """The shared cutting lists: what was found, the proven bound, the time. None where the lists are not there."""
    from humble_trowel.core.cutting.cut import cut
    from humble_trowel.core.cutting.stock import Piece, Stock

    if not path.exists():
        return []
    rows = []
    for case in json.loads(path.read_text("utf-8"))["cases"]:
        given, expect = case["input"], case["expect"]
        mm = 1.0 if given["unit"] == "mm" else 25.4 / 16
        bars = given["objective"] == "bars"
        stock = [Stock(size * mm, None, 1 if bars else size) for size in given["stocks"]]
        pieces = [Piece(item["length"] * mm, item["count"]) for item in given["items"]]
        at = time.perf_counter()
        plan = cut(stock, pieces, given["kerf"] * mm, clock=time.perf_counter, limit_s=8)
        spent = time.perf_counter() - at
        rows.append(Cutting(case["name"], plan.cost_cents, plan.bound_cents, expect["accept_at_most"], round(spent, 2)))
    return rows


def print_cutting(cuts: list[Cutting]) -> None:
    """The table of cutting lists."""
    if cuts:
        print(f"\n{'cutting list':58}{'found':>9}{'bound':>9}{'gap':>7}{'accept':>9}{'s':>7}")
    for row in cuts:
        said = "met" if row.cost <= row.accept_at_most and row.seconds <= 10 else "MISSED"
        sizes = f"{row.cost:9}{row.bound:9}{row.gap:7.1%}{row.accept_at_most:9}{row.seconds:7.2f}"
        print(f"{row.name[:56]:58}{sizes}  {said}")
