"""Carrying what is said of sides (how they are formed, which is held) over a changed outline."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.carry import distance_to_side
from humble_trowel.core.plan.document import FormRow, Plan


def follow_outline(before: Plan, after: Plan) -> Plan:
    """`after`, with form rows and the held side on the sides that follow from those of `before`."""
    old, new = before.outline, after.outline
    if new is None or old is None or old == new or not (before.forms or before.set_out.hold_side is not None):
        return after
    came_from = {i: i for i in range(len(new))} if len(old) == len(new) else _nearest(old, new)
    rows = []
    for row in before.forms:
        sides = [i for i, j in came_from.items() if j in row.sides]
        if sides:
            rows.append(_on_sides(row, sides, old, new))
    held = next((i for i, j in came_from.items() if j == before.set_out.hold_side), None)
    return after.model_copy(update={"forms": rows, "set_out": after.set_out.model_copy(update={"hold_side": held})})


def _nearest(old: Sequence[XY], new: Sequence[XY]) -> dict[int, int]:
    """The old side that each new side lies along: the middle nearest to it, of much the same direction."""
    found = {}
    for i, a in enumerate(new):
        b = new[(i + 1) % len(new)]
        middle = ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
        found[i] = min(range(len(old)), key=lambda j: _apart(middle, a, b, old[j], old[(j + 1) % len(old)]))
    return found


def _apart(middle: XY, a: XY, b: XY, c: XY, d: XY) -> float:
    turn = abs(math.remainder(math.atan2(b[1] - a[1], b[0] - a[0]) - math.atan2(d[1] - c[1], d[0] - c[0]), math.tau))
    return distance_to_side(middle, c, d) + turn * math.dist(a, b)


def _on_sides(row: FormRow, sides: list[int], old: Sequence[XY], new: Sequence[XY]) -> FormRow:
    """The row on its new sides. Ground stations past a shortened side's end are kept within it."""
    size = max(math.dist(new[i], new[(i + 1) % len(new)]) for i in sides)
    ground, last = [], -1.0
    for spot in row.ground:
        at_mm = min(spot.at_mm, size)
        if at_mm > last:
            ground.append(spot.model_copy(update={"at_mm": at_mm}))
            last = at_mm
    return row.model_copy(update={"sides": sides, "ground": ground})
