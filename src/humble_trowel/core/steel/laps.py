"""How far bars run past each other, and how far they are held in concrete. Lengths mm, strength in psi as the rule has it."""

from __future__ import annotations

import math
from typing import Literal

from humble_trowel.core.plan.bars import IN, SMALL_D_MM, Bar

LapRule = Literal["40d", "class-b"]
FY_PSI = 60_000.0
LEAST_MM = 12 * IN
CLASS_B = 1.3
TOP = 1.3
POOR = 1.5


def development_mm(bar: Bar, fc_psi: float, top: bool = False, good: bool = True, fy_psi: float = FY_PSI) -> float:
    """Length that develops a bar. top: more than 12 in of fresh concrete below it; good: clear spacing of two diameters and
    cover of one. Source: 'development' in sources/."""
    factor = 25.0 if bar.d_mm <= SMALL_D_MM + 1e-9 else 20.0
    length = fy_psi * (TOP if top else 1.0) / (factor * math.sqrt(fc_psi)) * bar.d_mm
    return max(LEAST_MM, length if good else POOR * length)


def class_b_mm(bar: Bar, fc_psi: float, top: bool = False, good: bool = True, fy_psi: float = FY_PSI) -> float:
    """A class B lap. Source: 'development' in sources/."""
    return max(LEAST_MM, CLASS_B * development_mm(bar, fc_psi, top, good, fy_psi))


def forty_d_mm(bar: Bar) -> float:
    """The customary lap of forty diameters; shorter than class B. Source: 'lap-40d' in sources/."""
    return 40.0 * bar.d_mm


def lap_mm(bar: Bar, rule: LapRule, fc_psi: float, top: bool = False) -> float:
    """The lap by the crew's rule."""
    return forty_d_mm(bar) if rule == "40d" else class_b_mm(bar, fc_psi, top)


def spliced(length_mm: float, stock_mm: float, lap: float) -> tuple[int, float]:
    """(bars, steel with laps) of a line longer than its stock. Raises ValueError where a bar is no longer than its lap."""
    if length_mm <= stock_mm + 1e-6:
        return 1, length_mm
    if stock_mm <= lap:
        raise ValueError("A bar is no longer than its lap.")
    count = math.ceil((length_mm - lap) / (stock_mm - lap) - 1e-9)
    return count, length_mm + (count - 1) * lap
