"""Step forms between zones: where the top drops from one zone to the next, a board hangs along the line."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.forms.heights import choose
from humble_trowel.core.geometry.borders import shared_borders
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.units import say_depth

LEAST_STEP_MM = 3.0
HANGERS_MM = 1219.2


@dataclass(frozen=True)
class StepForm:
    """name: 'step Porch to Main', or what it forms. height_mm: the greatest step along it. hangers: cross pieces or stakes
    that carry the board. hung: over the slab; else on stakes in the ground."""

    name: str
    line: list[XY]
    length_mm: float
    height_mm: float
    height_text: str
    board: str
    hangers: int
    hung: bool = True


def step_forms(plan: Plan, cells: Sequence[Cell], ways: FormWays) -> list[StepForm]:
    """One for every straight border along which two zones' tops differ by 1/8 in or more."""
    rows: list[StepForm] = []
    kit = [(board.mark, board.deep_mm) for board in ways.boards if not board.bends]
    for at, one in enumerate(cells):
        for other in cells[at + 1 :]:
            for line in shared_borders(one.region, other.region):
                rows += _step(plan, one, other, line, kit)
    return rows


def _step(plan: Plan, one: Cell, other: Cell, spots: list[XY], kit: list[tuple[str, float]]) -> list[StepForm]:
    height = max(abs(one.top_at(spot) - other.top_at(spot)) for spot in spots)
    if height < LEAST_STEP_MM:
        return []
    length = sum(((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2) ** 0.5 for a, b in pairwise(spots))
    stack = choose(height, kit, "fewest")
    board = " + ".join(stack.boards) if stack else ""
    return [
        StepForm(
            f"Step {one.name} to {other.name}",
            spots,
            length,
            height,
            say_depth(height, plan.units),
            board,
            int(length // HANGERS_MM) + 2,
        )
    ]
