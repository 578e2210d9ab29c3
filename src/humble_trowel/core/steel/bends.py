"""Bends, hooks and stirrups: legs are out to out, cut lengths run along the middle of the bar. Lengths mm, turns in degrees.

Source: 'bends' in sources/."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.bars import IN, Bar

LEAST_180_MM, LEAST_STIRRUP_MM = 2.5 * IN, 3.0 * IN


@dataclass(frozen=True)
class Hook:
    """turn_deg: of the bar. inside_mm: diameter of its bend; extension_mm: straight past the bend; arc_mm: along the middle; steel_mm:
    from where the bend begins; leg_mm: out to out of a right angle; across_mm: of one turned back; added_mm: to the length of
    the bar out to out."""

    turn_deg: float
    inside_mm: float
    extension_mm: float
    arc_mm: float
    steel_mm: float
    leg_mm: float | None
    across_mm: float | None
    added_mm: float


def inside_mm(bar: Bar, stirrup: bool = False) -> float:
    """Inside diameter of a bend: 6 diameters to #8, 8 above; of a stirrup 4 to #5, 6 above."""
    if stirrup:
        return (4.0 if bar.d_mm <= 0.625 * IN + 0.2 else 6.0) * bar.d_mm
    return (6.0 if bar.d_mm <= IN + 1e-9 else 8.0) * bar.d_mm


def extension_mm(bar: Bar, turn: float, stirrup: bool = False) -> float:
    """Straight past a hook's bend."""
    small = bar.d_mm <= 0.625 * IN + 0.2
    if turn == 180:
        return max(4 * bar.d_mm, LEAST_180_MM)
    if not stirrup:
        return 12 * bar.d_mm
    if turn == 90 and not small:
        return 12 * bar.d_mm
    return max(6 * bar.d_mm, LEAST_STIRRUP_MM)


def hook(bar: Bar, turn: float, stirrup: bool = False) -> Hook:
    """A standard hook. Raises InputError for a turn that is none."""
    if turn not in (90, 135, 180):
        raise InputError(f"{turn:g} degrees is no standard hook: 90, 135 or 180.", "angle")
    bend, ext, d = inside_mm(bar, stirrup), extension_mm(bar, turn, stirrup), bar.d_mm
    arc = math.radians(turn) * (bend + d) / 2
    out = bend / 2 + d  # what the bend takes of the length out to out
    return Hook(
        turn, bend, ext, arc, arc + ext, out + ext if turn == 90 else None, bend + 2 * d if turn == 180 else None,
        arc + ext - out,
    )  # fmt: skip


def deduction_mm(bar: Bar, turn: float, stirrup: bool = False) -> float:
    """What a bend takes off the sum of its legs out to out."""
    radius, turned = inside_mm(bar, stirrup) / 2, math.radians(turn)
    return 2 * (radius + bar.d_mm) * math.tan(turned / 2) - turned * (radius + bar.d_mm / 2)


def bent_mm(bar: Bar, legs: Sequence[float], turns: Sequence[float]) -> float:
    """Cut length of a bar bent between its legs. Raises InputError where a leg is too short for its bends."""
    if len(turns) != len(legs) - 1:
        raise InputError(f"{len(legs)} legs have {len(legs) - 1} bends between them.", "bends")
    if any(not 0 < turn < 180 for turn in turns):
        raise InputError("A bend turns more than 0 and less than 180 degrees.", "bends")
    reach = [(inside_mm(bar) / 2 + bar.d_mm) * math.tan(math.radians(turn) / 2) for turn in turns]
    for at, leg in enumerate(legs):
        need = (reach[at - 1] if at else 0.0) + (reach[at] if at < len(reach) else 0.0)
        if leg < need - 1e-9:
            raise InputError(f"A leg of {leg:.0f} mm is too short for the bends of {bar.name}.", "legs")
    return math.fsum(legs) - math.fsum(deduction_mm(bar, turn) for turn in turns)


def stirrup_mm(bar: Bar, wide: float, high: float, turn: float = 135) -> float:
    """Cut length of a closed stirrup, out to out, with two hooks. Raises InputError where it is smaller than its bends."""
    least = inside_mm(bar, stirrup=True) + 2 * bar.d_mm
    if min(wide, high) < least - 1e-9:
        raise InputError(f"A stirrup of {min(wide, high):.0f} mm is smaller than the bends of {bar.name}.", "stirrups")
    radius = inside_mm(bar, stirrup=True) / 2
    middle = radius + bar.d_mm / 2
    hooks = 2 * (math.radians(turn) * middle + extension_mm(bar, turn, stirrup=True))
    return 2 * (wide + high) - 8 * (radius + bar.d_mm) + 3 * (math.pi / 2) * middle + hooks
