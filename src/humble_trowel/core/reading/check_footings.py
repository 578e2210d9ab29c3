"""What is impossible about footings: one that crosses itself, a step where none can stand, levels that do not come back."""

from __future__ import annotations

import math
from itertools import pairwise

from shapely.geometry import LineString

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.footing_strips import length_mm
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.units import say_depth, say_length

TWIN_MM = 1.0
LEVEL_MM = 0.5


def check_footings(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    for index, footing in enumerate(plan.footings):
        where = f"footings[{index}]"
        if any(math.dist(a, b) < TWIN_MM for a, b in pairwise(footing.path)):
            raise PlanError("Two points of the line are one spot.", f"{where}.path")
        if not LineString(footing.path).is_simple:
            raise PlanError(f"{footing.name} crosses itself. Make two footings of it.", f"{where}.path")
        _check_steps(plan, footing, where)
    held: dict[str, str] = {}
    for index, pour in enumerate(plan.pours):
        for what in pour.holds:
            if what in held:
                words = f"{held[what]} and {pour.name} both hold the {what}. One pour holds them."
                raise PlanError(words, f"pours[{index}].holds")
            held[what] = pour.name


def _check_steps(plan: Plan, footing: Footing, where: str) -> None:
    size, closed = length_mm(footing), is_closed(footing.path)
    steps = sorted(footing.steps, key=lambda step: step.at_mm)
    corners, run = [], 0.0
    for a, b in pairwise(footing.path):
        run += math.dist(a, b)
        corners.append(run)
    bends = corners if closed else corners[:-1]
    need = max(footing.width_mm / 2, footing.thickness_mm)
    for at, step in enumerate(steps):
        path = f"{where}.steps[{footing.steps.index(step)}]"
        if abs(step.rise_mm) < TWIN_MM:
            raise PlanError("A step of nothing is none.", f"{path}.rise_mm")
        spots = [*bends, 0.0, size, *(other.at_mm for other in steps[:at])]
        if step.at_mm >= size or any(abs(step.at_mm - spot) < need for spot in spots):
            words = (
                f"A step of {footing.name} at {say_length(step.at_mm, plan.units)} needs {say_depth(need, plan.units)} to each "
                f"side, clear of ends, bends and other steps; the line is {say_length(size, plan.units)} long."
            )
            raise PlanError(words, f"{path}.at_mm")
    rise = math.fsum(step.rise_mm for step in steps)
    if closed and abs(rise) > LEVEL_MM:
        words = f"{footing.name} goes round, and its steps end {say_depth(abs(rise), plan.units)} {'over' if rise > 0 else 'below'} where they began."
        raise PlanError(words, f"{where}.steps")
