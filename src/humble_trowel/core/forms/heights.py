"""Which boards make a height: least over-height, fewest boards, or a little shallow with the gap packed.

Never more than three boards: a higher form is a panel's work.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations_with_replacement

MOST_BOARDS = 3
SLACK_MM = 0.5


@dataclass(frozen=True)
class Stack:
    """boards: marks, the shallowest first. over_mm: above the concrete (negative: a gap below to pack)."""

    boards: tuple[str, ...]
    deep_mm: float
    over_mm: float


def choose(height_mm: float, kit: Sequence[tuple[str, float]], rule: str) -> Stack | None:
    """The stack for a height. kit: (mark, depth in mm). rule: 'least-over', 'fewest', 'two-widths' (one board, or a
    narrow one over a wide one) or 'let-in' (strictly shallower, where a stack of three quarters of the height or more
    exists). Ties go by the marks. None: none fits.
    """
    stacks = [
        Stack(tuple(mark for mark, _ in row), sum(deep for _, deep in row), sum(deep for _, deep in row) - height_mm)
        for count in range(1, MOST_BOARDS + 1)
        for row in combinations_with_replacement(sorted(kit, key=lambda board: board[1]), count)
    ]
    tall = [stack for stack in stacks if stack.over_mm >= -SLACK_MM]
    if rule == "let-in":
        low = [stack for stack in stacks if -height_mm / 4 <= stack.over_mm < -SLACK_MM]
        if low:
            return min(low, key=lambda stack: (-round(stack.deep_mm, 3), len(stack.boards), stack.boards))
        rule = "least-over"
    if not tall:
        return None
    if rule == "two-widths":
        tall = [stack for stack in tall if len(set(stack.boards)) == len(stack.boards) <= 2] or tall
    if rule == "fewest":
        return min(tall, key=lambda stack: (len(stack.boards), round(stack.over_mm, 3), stack.boards))
    return min(tall, key=lambda stack: (round(stack.over_mm, 3), len(stack.boards), stack.boards))
