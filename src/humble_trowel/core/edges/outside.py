"""The ground outside a side: where it stands, and where frost reaches under it."""

from __future__ import annotations

import math
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import FormRow, Plan


@dataclass(frozen=True)
class Outside:
    """Level of the ground outside at a spot, mm over the main top. known: 'typed' along the side, 'found' for the
    whole site, '' where nobody said."""

    level_mm: float | None
    known: str


def outside_at(plan: Plan, side: int, at_mm: float) -> Outside:
    """Ground outside a side, `at_mm` from its first corner: the levels typed along the form, else the ground found."""
    row = next((row for row in plan.forms if side in row.sides), None)
    if row is not None and row.ground:
        return Outside(_between(row, at_mm), "typed")
    if plan.ground.found_mm is not None:
        return Outside(plan.ground.found_mm, "found")
    return Outside(None, "")


def undisturbed_mm(plan: Plan, outside: Outside) -> float | None:
    """Level of the undisturbed ground under a level outside, None where nobody said: it never lies higher than the
    ground outside, and where that is fill, not higher than the ground was found before the work."""
    if outside.level_mm is None or outside.known == "found":
        return outside.level_mm
    if plan.ground.outside_is == "undisturbed":
        return outside.level_mm
    if plan.ground.outside_is == "fill" and plan.ground.found_mm is not None:
        return min(outside.level_mm, plan.ground.found_mm)
    return None


def stations_of(plan: Plan, side: int) -> list[float]:
    """Distances along a side between which ground and top run straight: its ends and the levels typed."""
    ring = plan.outline or []
    size = math.dist(*side_of(ring, side))
    row = next((row for row in plan.forms if side in row.sides), None)
    return sorted({0.0, size, *(spot.at_mm for spot in (row.ground if row else []) if 0 < spot.at_mm < size)})


def _between(row: FormRow, at_mm: float) -> float:
    spots = [(spot.at_mm, spot.level_mm) for spot in row.ground]
    if at_mm <= spots[0][0]:
        return spots[0][1]
    for (x1, z1), (x2, z2) in pairwise(spots):
        if at_mm <= x2:
            return z1 + (z2 - z1) * (at_mm - x1) / (x2 - x1)
    return spots[-1][1]
