"""A row of the table: a name, times, and the goal on them; and jobs of known size to measure."""

from __future__ import annotations

import math
import time
from collections.abc import Callable
from dataclasses import dataclass
from importlib import resources
from typing import Any, Literal

from humble_trowel.core.memo import forget
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.files.job_file import parse_job


@dataclass(frozen=True)
class Row:
    name: str
    p50_ms: float
    p95_ms: float
    goal_ms: float
    goal_on: Literal["p50", "p95"]

    @property
    def met(self) -> bool:
        return (self.p50_ms if self.goal_on == "p50" else self.p95_ms) <= self.goal_ms


@dataclass(frozen=True)
class Other:
    """A figure that is no time."""

    name: str
    value: float
    unit: str
    goal: float


Act = Callable[[], object]


def cold(act: Act) -> Act:
    """The act with every memo emptied before it, so that nothing is at hand from the last time."""

    def emptied() -> object:
        forget()
        return act()

    return emptied


def timed(name: str, act: Act, times: int, goal_ms: float, goal_on: Literal["p50", "p95"] = "p50") -> Row:
    """Run an act `times` times after two warm-ups."""
    act()
    act()
    spans = []
    for _ in range(times):
        at = time.perf_counter()
        act()
        spans.append((time.perf_counter() - at) * 1000)
    return row_of(name, spans, goal_ms, goal_on)


def row_of(name: str, spans: list[float], goal_ms: float, goal_on: Literal["p50", "p95"]) -> Row:
    """Median and 95th percentile of spans in ms."""
    spans = sorted(spans)
    p95 = spans[min(len(spans) - 1, round(0.95 * (len(spans) - 1)))]
    return Row(name, round(spans[len(spans) // 2], 2), round(p95, 2), goal_ms, goal_on)


def demo_plan(name: str) -> Plan:
    """A job of the demo."""
    return parse_job((resources.files("humble_trowel.demo") / "jobs" / f"{name}.json").read_bytes())


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


def large_job() -> dict[str, Any]:
    """60 corners at twice the size (48 x 24 m), haunched edge all round, 40 beams, 30 pads, 4 recesses."""
    outline = [[2 * x, 2 * y] for x, y in sixty_corners()["outline"]]
    types = [
        {"mark": f"B{k}", "width_mm": 300, "depth_mm": 550 + 50 * (k % 2), "haunch_run_per_rise": 0.5 * k}
        for k in range(3)
    ]
    beams = [{"type": f"B{k % 3}", "path": [[3200 * k + 2400, 0], [3200 * k + 2400, 22000]]} for k in range(14)]
    beams += [
        {"type": f"B{k % 3}", "path": [[2000 + 1300 * (k % 9), 800 * k + 700], [22000 + 800 * k, 800 * k + 700]]}
        for k in range(26)
    ]
    pads = [{"type": f"P{k % 2}", "at": [3200 * (k % 10) + 2400, 6000 * (k // 10) + 3000]} for k in range(30)]
    boxes = [(10000, 12200), (22500, 18300), (33000, 20300), (5000, 20300)]
    return {
        "format": "humble-trowel-job", "version": 1, "name": "large", "units": "mm", "outline": outline,
        "slab_types": [{"mark": "S1", "thickness_mm": 100}], "zones": [{"name": "all", "slab": "S1"}],
        "edge_types": [{"mark": "E1", "kind": "thickened", "depth_mm": 600, "bottom_width_mm": 350, "haunch_run_per_rise": 1}],
        "edges": [{"sides": list(range(len(outline))), "type": "E1"}], "beam_types": types, "beams": beams,
        "pad_types": [
            {"mark": "P0", "shape": "rectangle", "width_mm": 900, "length_mm": 800, "depth_mm": 700},
            {"mark": "P1", "shape": "round", "diameter_mm": 800, "depth_mm": 800},
        ],
        "pads": pads,
        "recesses": [
            {"name": f"r{k}", "depth_mm": 50, "polygon": [[x, y], [x + 900, y], [x + 900, y + 400], [x, y + 400]]}
            for k, (x, y) in enumerate(boxes)
        ],
    }  # fmt: skip


def star(corners: int = 200) -> dict[str, Any]:
    """A star of so many corners, 40 m across, thickened all round: as many sides as a slab may have."""
    ring = [
        [
            round(20_000 * (1 + (1 - 0.3 * (at % 2)) * turn(2 * math.pi * at / corners)), 1)
            for turn in (math.cos, math.sin)
        ]
        for at in range(corners)
    ]
    job = sixty_corners()
    return {**job, "name": "star", "outline": ring, "edges": [{"sides": list(range(corners)), "type": "E1"}]}


def crossing_beams() -> dict[str, Any]:
    """A slab with 80 beams each way, every one across every other of the other way."""
    slab = sixty_corners()
    across = [{"type": "B1", "path": [[0, 500 + 140 * k], [24000, 500 + 140 * k]]} for k in range(80)]
    along = [{"type": "B1", "path": [[400 + 290 * k, 0], [400 + 290 * k, 12000]]} for k in range(80)]
    kind = {"mark": "B1", "width_mm": 100, "depth_mm": 400, "haunch_run_per_rise": 0.1}
    ring = [[0, 0], [24000, 0], [24000, 12000], [0, 12000]]
    return {**slab, "outline": ring, "edges": [], "edge_types": [], "beam_types": [kind], "beams": across + along}


def bench_plans() -> dict[str, Plan]:
    """The jobs that the table speaks of."""
    return {
        "demo": demo_plan("honey-house"),
        "bay": demo_plan("boat-bay"),
        "60 corners": read_plan(sixty_corners()),
        "large": read_plan(large_job()),
    }
