"""Least steel: by the gross section against shrinkage, and by the drag of the ground. Areas mm2 per m of width, lengths mm.

It keeps cracks tight and level; it does not prevent them nor replace joints.
"""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.plan.bars import IN, Bar

RATIO = 0.0018
CAP_MM, CAP_THICK = 18 * IN, 5.0
DRAG_FACTOR, FS_PSI, PCF = 1.5, 40_000.0, 150.0
MM2_M_PER_IN2_FT = IN * IN / 0.3048


@dataclass(frozen=True)
class Shrinkage:
    """area_mm2_m: least; for_area_mm: spacing that gives it; cap_mm: no farther apart; use_mm: the less of both."""

    area_mm2_m: float
    for_area_mm: float
    cap_mm: float
    use_mm: float


def shrinkage(thick_mm: float, bar: Bar, ratio: float = RATIO) -> Shrinkage:
    """By the gross section. Source: 'shrinkage-steel' in sources/."""
    area = ratio * thick_mm * 1000
    spacing, cap = bar.area_mm2 / area * 1000, min(CAP_MM, CAP_THICK * thick_mm)
    return Shrinkage(area, spacing, cap, min(spacing, cap))


def drag_in2_ft(
    long_ft: float, thick_in: float, factor: float = DRAG_FACTOR, fs_psi: float = FS_PSI, pcf: float = PCF
) -> float:
    """Steel that drags a slab over its ground, in2 per ft of width: F L w / 2 fs. Source: 'drag-steel' in sources/."""
    return factor * long_ft * pcf * thick_in / 12 / (2 * fs_psi)


def drag_mm2_m(long_mm: float, thick_mm: float) -> float:
    """The same, mm2 per m of width."""
    return drag_in2_ft(long_mm / 304.8, thick_mm / IN) * MM2_M_PER_IN2_FT
