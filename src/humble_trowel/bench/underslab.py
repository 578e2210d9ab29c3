"""Speed of what lies under a slab: runs, sheets, tests and tubing of the demo job, tubing of a house, its length by the rule."""

from __future__ import annotations

import math

from humble_trowel.bench.rows import Other, Row, cold, demo_plan, timed
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import read_plan

LONGEST_MM = 91_440.0


def house(rooms: int = 14) -> Plan:
    """A slab of about 300 m2 with so many rooms round one manifold."""
    wide, deep = 4600.0, 4300.0
    spots = [(i, j) for j in range(4) for i in range(4)][:rooms]
    rings = [[(i * wide, j * deep), (i * wide + wide, j * deep), (i * wide + wide, j * deep + deep), (i * wide, j * deep + deep)] for i, j in spots]  # fmt: skip
    high = 4 * deep if rooms > 12 else math.ceil(rooms / 4) * deep
    return read_plan({
        "format": "humble-trowel-job", "version": 1, "name": "house", "units": "mm",
        "outline": [[0, 0], [4 * wide, 0], [4 * wide, high], [0, high]],
        "slab_types": [{"mark": "S1", "thickness_mm": 120}], "zones": [{"name": "all", "slab": "S1", "polygon": None}],
        "underslab": {
            "heated": [{"name": f"room {k + 1}", "ring": ring} for k, ring in enumerate(rings)],
            "tubing": {"spacing_mm": 250, "longest_mm": LONGEST_MM},
            "risers": [{"name": "hub", "kind": "manifold", "at": [2 * wide, 0], "size_mm": 50}],
        },
    })  # fmt: skip


def underslab_rows() -> list[Row]:
    """Every answer of the stage, cold."""
    demo, large = demo_plan("honey-house"), house()
    return [
        timed("runs, risers and clashes of the demo job", lambda: Job(demo).underslab, 50, 60, "p95"),
        timed("barrier and foam of the demo job", cold(lambda: Job(demo).covered), 30, 60),
        timed("tests of the demo job's lines", lambda: Job(demo).tested, 30, 60),
        timed("tubing of the demo job", cold(lambda: Job(demo).tubing), 20, 200),
        timed("tubing of a 300 m2 house of 14 rooms", cold(lambda: Job(large).tubing), 3, 1500),
    ]


def tube_figures() -> list[Other]:
    """Tube over area by spacing in a plain room, without what leads to it: within 8 %."""
    plain = Job(house(1)).tubing
    if plain is None:
        return []
    own = plain.total_mm - math.fsum(loop.leader_mm for loop in plain.loops) - 2 * len(plain.loops) * 1219.2
    ratio = own / (plain.area_m2 * 1e6 / 250)
    return [
        Other(f"tube in a plain room is {ratio:.3f} of area by spacing, off by", round(abs(ratio - 1) * 100, 1), "%", 8)
    ]
