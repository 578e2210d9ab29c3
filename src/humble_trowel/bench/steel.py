"""Speed of steel: the demo job, the large job with cages and mats, and a long cut plan against its bound."""

from __future__ import annotations

import random
import time

from humble_trowel.bench.rows import Other, Row, bench_plans, cold, demo_plan, timed
from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.steel_parts import Cage, CageBars, SlabSteel, Steel

BAR_MM = 6096.0


def steeled(plan: Plan) -> Plan:
    """A plan with a mat at 12 in in every slab type, and a cage in every edge, beam and pad type."""
    bars = [CageBars(count=3, bar="#5", level="bottom"), CageBars(count=2, bar="#5", level="top")]
    cages = [
        Cage(of="edge", mark=row.mark, bars=bars, stirrup="#3", stirrup_mm=609.6)
        for row in plan.edge_types
        if row.kind == "thickened"
    ]
    cages += [Cage(of="beam", mark=row.mark, bars=bars, stirrup="#3", stirrup_mm=609.6) for row in plan.beam_types]
    cages += [Cage(of="pad", mark=row.mark, each_way="#5", each_mm=203.2) for row in plan.pad_types]
    ways = [SlabSteel(slab=row.mark, way="bars", bar="#4", spacing_mm=304.8) for row in plan.slab_types]
    return plan.model_copy(update={"steel": Steel(ways=ways, cages=cages)})


def steel_rows() -> list[Row]:
    """Take-off with the slab at hand, everything of steel cold."""
    demo, large = Job(demo_plan("honey-house")), Job(steeled(bench_plans()["large"]))
    rows = []
    for name, job, goal in (("demo job", demo, 60), ("large job, mat at 12 in", large, 700)):
        _ = job.solid, job.underslab  # at hand, as they are on the screen

        def laid(job: Job = job) -> object:
            return job._steel()

        rows.append(timed(f"steel of the {name}", laid, 12, goal, "p95"))
    rows.append(timed("steel of the demo job with its slab, cold", cold(lambda: Job(demo.plan).steel), 10, 150))
    return rows


def steel_figures() -> list[Other]:
    """A cut plan of 300 different bars, 3,000 pieces: bars over its bound, and its seconds."""
    made = random.Random(17)
    pieces = [Piece(float(mm), 10) for mm in made.sample(range(400, 6000), 300)]
    at = time.perf_counter()
    plan = cut([Stock(BAR_MM, None, 1)], pieces, 0.0, clock=time.perf_counter, limit_s=5.0)
    return [
        Other("cut plan of 3,000 pieces, bars over its bound", plan.cost_cents - plan.bound_cents, "bars", 1),
        Other("its seconds", round(time.perf_counter() - at, 2), "s", 5.5),
    ]
