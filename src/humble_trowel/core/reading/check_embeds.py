"""What is impossible about what sticks up: a bolt of a wall that is not there, two bolts on one spot, doors over each other."""

from __future__ import annotations

import itertools

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import Plan


def check_embeds(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    walls = {row.id for row in plan.embeds.walls}
    seen: set[tuple[str, float]] = set()
    for index, bolt in enumerate(plan.embeds.bolts):
        if bolt.wall not in walls:
            raise PlanError(f"There is no wall {bolt.wall} for a bolt.", f"embeds.bolts[{index}].wall")
        if (bolt.wall, bolt.at_mm) in seen:
            raise PlanError("Two bolts stand on one spot.", f"embeds.bolts[{index}].at_mm")
        seen.add((bolt.wall, bolt.at_mm))
    for index, wall in enumerate(plan.embeds.walls):
        doors = sorted((door.at_mm, door.at_mm + door.width_mm) for door in wall.doors)
        if any(start < end for (_, end), (start, _) in itertools.pairwise(doors)):
            raise PlanError(f"Doors of {wall.name} stand over each other.", f"embeds.walls[{index}].doors")
