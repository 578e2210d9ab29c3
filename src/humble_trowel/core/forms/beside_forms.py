"""Boards of what lies along the outline: a leg of a border of a lap, a sidewalk or a ramp each."""

from __future__ import annotations

import math

from humble_trowel.core.beside.borders import formed_borders
from humble_trowel.core.forms.heights import choose
from humble_trowel.core.forms.steps import HANGERS_MM, StepForm
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.units import say_depth


def beside_forms(plan: Plan, ways: FormWays) -> list[StepForm]:
    """Boards of laps, sidewalks and ramps, each straight leg by itself."""
    kit = [(board.mark, board.deep_mm) for board in ways.boards if not board.bends]
    found = []
    for row in formed_borders(plan):
        stack = choose(row.high_mm, kit, "fewest")
        board, text = " + ".join(stack.boards) if stack else "", say_depth(row.high_mm, plan.units)
        for a, b in row.legs:
            long = math.dist(a, b)
            found.append(
                StepForm(row.name, [a, b], long, row.high_mm, text, board, int(long // HANGERS_MM) + 2, hung=False)
            )
    return found
