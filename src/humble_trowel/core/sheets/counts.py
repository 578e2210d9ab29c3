"""How many boards, strips and rolls cover a rectangle. Lengths in mm."""

from __future__ import annotations

import math
from dataclasses import dataclass

SNAP = 1e-9


def _up(value: float) -> int:
    return math.ceil(value - SNAP)


@dataclass(frozen=True)
class Strips:
    """Strips cut along a sheet, and the sheets they come from."""

    per_sheet: int
    strips: int
    sheets: int


def strips(total: float, high: float, sheet_long: float, sheet_wide: float, kerf: float = 0.0) -> Strips:
    """Strips of a height out of sheets, end to end along a length; the last one is cut. Raises ValueError where a strip is
    higher than a sheet is wide."""
    per = math.floor((sheet_wide + kerf) / (high + kerf) + SNAP)
    if per < 1:
        raise ValueError("A strip is higher than the sheet is wide.")
    count = _up(total / sheet_long)
    return Strips(per, count, _up(count / per))


@dataclass(frozen=True)
class Boards:
    """Boards that butt over a rectangle: whole ones by rows the better way round, by area, and by area with waste. The truth
    lies between, since offcuts go on."""

    by_grid: int
    bare_area: int
    by_area_with_waste: int


def boards(long: float, wide: float, sheet_long: float, sheet_wide: float, waste: float) -> Boards:
    """Boards for a rectangle. waste: share of its area, 0.05 for 5 %."""
    grid = min(_up(long / a) * _up(wide / b) for a, b in ((sheet_long, sheet_wide), (sheet_wide, sheet_long)))
    bare = long * wide / (sheet_long * sheet_wide)
    return Boards(grid, _up(bare), _up(bare * (1 + waste)))


@dataclass(frozen=True)
class Rolls:
    """along: which way the rows run. total_mm: of all rows with their turn-ups; rows may be pieced from two rolls."""

    along: str
    rows: int
    row_mm: float
    total_mm: float
    rolls: int


def rolls(long: float, wide: float, roll_wide: float, roll_long: float, lap: float, turn_up: float = 0.0) -> Rolls:
    """Rows of sheet that lap over a rectangle and turn up all round, the way round that takes less.

    Raises ValueError for a roll no wider than its lap. Source: 'barrier-lap' in sources/."""
    if roll_wide <= lap:
        raise ValueError("The roll is no wider than its lap.")

    def laid(along: str, run: float, across: float) -> Rolls:
        rows = max(1, _up((across + 2 * turn_up - lap) / (roll_wide - lap)))
        each = run + 2 * turn_up
        return Rolls(along, rows, each, rows * each, _up(rows * each / roll_long))

    return min(laid("length", long, wide), laid("width", wide, long), key=lambda one: (one.rolls, one.total_mm))
