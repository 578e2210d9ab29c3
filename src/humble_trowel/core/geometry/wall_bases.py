"""What a wall on the slab is measured along: its side, or the line that it was walked on inside. Lengths mm."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.plan.embed_parts import StudWall

INSIDE = -1
ENDS = ("n end", "e end", "s end", "w end")


@dataclass(frozen=True)
class WallBase:
    """side: INSIDE for a wall inside. corner, far_corner: what its ends are called. a: where its stations start."""

    side: int
    name: str
    corner: str
    far_corner: str
    a: XY
    b: XY

    @property
    def size_mm(self) -> float:
        """How long it is."""
        return math.dist(self.a, self.b)


def base_of(plan: Plan, wall: StudWall) -> WallBase | None:
    """None where its side is gone."""
    if wall.line is not None:
        (ax, ay), (bx, by) = wall.line
        toward = round(math.degrees(math.atan2(bx - ax, by - ay)) / 90) % 4
        return WallBase(INSIDE, wall.name, ENDS[(toward + 2) % 4], ENDS[toward], wall.line[0], wall.line[1])
    if plan.outline is None or wall.side not in plan.corner_ids:
        return None
    ring, side = list(plan.outline), plan.corner_ids.index(wall.side)
    a, b = side_of(ring, side)
    after = corner_name((side + 1) % len(ring))
    return WallBase(side, side_name(side, len(ring)), corner_name(side), after, a, b)
