"""Speed of the order: the best one with its curve, a pour played, every spacing, the whole decision of the demo job."""

from __future__ import annotations

from humble_trowel.bench.rows import Row, demo_plan, timed
from humble_trowel.core.job import Job
from humble_trowel.core.order.doubts import doubts_of
from humble_trowel.core.order.risk import Costs, Volume, curve
from humble_trowel.core.plan.doubt_ways import YD3
from humble_trowel.core.pour_sim.of_job import pour_of
from humble_trowel.core.pour_sim.search import every_spacing
from humble_trowel.core.pour_sim.simulate import simulate

HALL = Volume(50.1 * YD3, 2.8 * YD3)
COSTS = Costs(21600, 11800, 0.2, 10 * YD3, YD3, 0.5 * YD3, 0.25 * YD3, 45000, 0.25, 150000, 4 * YD3, 7800)


def order_rows() -> list[Row]:
    """Each from nothing."""
    demo = Job(demo_plan("honey-house"))
    hall = pour_of(demo.plan, demo.ways, [7.6] * 12, demo.pour_parts, 25.0)
    face, need = 20.0, demo.need_m3
    return [
        timed("best order of a hall with its curve", lambda: curve(HALL, COSTS), 20, 20, "p95"),
        timed("doubts of the demo job", lambda: doubts_of(demo.plan, demo.shape, demo.ways, demo.measured, demo.extras, need, face), 20, 5, "p95"),
        timed("the demo job's order decided", demo._sure, 12, 30, "p95"),
        timed("a pour of 12 loads played", lambda: simulate(hall), 20, 15, "p95"),
        timed("57 spacings of 12 loads", lambda: every_spacing(hall), 5, 600, "p95"),
    ]  # fmt: skip
