"""Speed of strips: a plan of the demo job by rule, judged, told; and of a floor of sixty corners."""

from __future__ import annotations

from humble_trowel.bench.embeds import comb
from humble_trowel.bench.rows import Row, demo_plan, timed
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.screed.propose import proposed


def _comb_plan() -> Plan:
    demo = demo_plan("boat-bay")
    zone = demo.zones[0].model_copy(update={"polygon": None, "fall": None, "drop_mm": 0.0})
    cleared: dict[str, object] = {key: [] for key in ("edges", "beams", "pads", "recesses", "kerbs", "piles", "openings", "opening_ids", "corner_ids", "side_pads", "forms")}  # fmt: skip
    return demo.model_copy(update={**cleared, "outline": comb(), "zones": [zone]})


def screed_rows() -> list[Row]:
    """Strips, each from nothing."""
    demo, large = Job(demo_plan("honey-house")), Job(_comb_plan())
    solid, floor = demo.solid, large.solid
    assert solid is not None and floor is not None
    return [
        timed("strips of the demo job by rule", lambda: proposed(demo.plan, solid, demo.ways.screed), 12, 300, "p95"),
        timed("strips of the demo job judged", demo._screed, 12, 150, "p95"),
        timed("strips of 60 corners by rule", lambda: proposed(large.plan, floor, large.ways.screed), 3, 2000),
    ]
