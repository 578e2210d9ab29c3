"""Loops as they are cut from coils: a loop is one piece; of a few ways to fill coils, the one that buys least."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.units import Units

GRAIN_MM = 100.0
COILS_MM = {"ft-in": (91_440.0, 152_400.0, 304_800.0), "mm": (120_000.0, 200_000.0, 500_000.0)}


@dataclass(frozen=True)
class TubeLoop:
    """A loop. id: of its room and its number there. points: as it lies, from the manifold back to it. leader_mm: out of its
    room. calls: leg by leg, as called to who lays it. over: longer than its size carries. coil: which of those bought."""

    id: str
    n: int
    room: str
    length_mm: float
    text: str
    bends: int
    leader_mm: float
    leader_text: str
    points: list[XY]
    calls: list[str]
    over: bool
    coil: int


@dataclass(frozen=True)
class Coil:
    """A coil to buy: its length, loops by number, and what is left."""

    long_mm: float
    text: str
    loops: list[int]
    cuts_mm: list[float]
    left_text: str


def tube_text(mm: float, units: Units) -> str:
    """A length of tube as it is bought: whole feet, or tenths of a metre."""
    return f"{mm / 1000:.1f} m" if units == "mm" else f"{mm / 304.8:.0f}′"


def coils_for(loops: list[TubeLoop], units: Units) -> tuple[list[Coil], list[TubeLoop]]:
    """(coils to buy, the loops with their coils). Loops longer than any coil are in none."""
    sold = COILS_MM[units]
    left = [loop for loop in loops if loop.length_mm <= sold[-1]]
    if not left:
        return [], loops
    left.sort(key=lambda loop: -loop.length_mm)
    kinds = [
        kinds for n in range(1, len(sold) + 1) for kinds in combinations(sold, n) if kinds[-1] >= left[0].length_mm
    ]
    plans = [_filled(left, kinds, sold) for kinds in kinds]
    best = min(plans, key=lambda plan: (math.fsum(long for long, _ in plan), len(plan)))
    coils: list[Coil] = []
    of: dict[int, int] = {}
    for n, (long, own) in enumerate(best, 1):
        of |= {loop.n: n for loop in own}
        cuts = [loop.length_mm for loop in own]
        rest = tube_text(long - math.fsum(cuts), units)
        coils.append(Coil(long, tube_text(long, units), [loop.n for loop in own], cuts, rest))
    return coils, [replace(loop, coil=of.get(loop.n, 0)) for loop in loops]


def _filled(
    loops: Sequence[TubeLoop], kinds: Sequence[float], sold: Sequence[float]
) -> list[tuple[float, list[TubeLoop]]]:
    """Coils of these lengths, one after the other as full as can be; each then the shortest sold that holds its loops."""
    left, plan = list(loops), []
    while left:
        _, own = _fullest(left, kinds)
        left = [loop for loop in left if loop not in own]
        need = math.fsum(loop.length_mm for loop in own)
        plan.append((next(long for long in sold if long >= need - 1e-6), own))
    return plan


def _fullest(loops: Sequence[TubeLoop], sold: Sequence[float]) -> tuple[float, list[TubeLoop]]:
    """The coil, with the longest loop and others in it, that leaves the least share over; loops the longest first."""
    sizes = [math.ceil(loop.length_mm / GRAIN_MM) for loop in loops]
    best: tuple[float, float, list[TubeLoop]] | None = None
    for long in sold:
        room = math.floor(long / GRAIN_MM + 1e-9) - sizes[0]
        if room < 0:
            continue
        reach = [1]  # bit k: k grains can be filled by the loops so far
        for size in sizes[1:]:
            reach.append((reach[-1] | reach[-1] << size) & ((1 << room + 1) - 1))
        full, own = reach[-1].bit_length() - 1, [loops[0]]
        left_over = (room - full) / (room + sizes[0])
        for k in range(len(sizes) - 1, 0, -1):
            if not reach[k - 1] >> full & 1:
                own.append(loops[k])
                full -= sizes[k]
        if best is None or left_over < best[0] - 1e-9:
            best = (left_over, long, own)
    assert best is not None
    return best[1], sorted(best[2], key=lambda loop: loop.n)
