"""What is impossible about strips: a pad line that goes nowhere, two on one line."""

from __future__ import annotations

import math

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import Plan

SHORTEST_MM = 25.0


def check_screed(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    seen: set[frozenset[tuple[float, float]]] = set()
    for index, row in enumerate(plan.screed.pads):
        if math.dist(row.start, row.end) < SHORTEST_MM:
            raise PlanError(
                "A pad line runs from one spot to another; this one is too short.", f"screed.pads[{index}].end"
            )
        if frozenset((row.start, row.end)) in seen:
            raise PlanError("Two pad lines run along each other.", f"screed.pads[{index}]")
        seen.add(frozenset((row.start, row.end)))
    for index, strip in enumerate(plan.screed.strips):
        if strip.board_mm is not None and not 300 <= strip.board_mm <= 30_000:
            raise PlanError("A board is between 1 and 100 feet long.", f"screed.strips[{index}].board_mm")
