"""Loops as they are cut from coils: a loop is one piece, with least left over."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from humble_trowel.core.cutting.cut import cut
from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.units import Units

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
    stock = [Stock(long, None, round(long)) for long in sold]
    made = cut(stock, [Piece(math.ceil(loop.length_mm), 1) for loop in left], rounds=1)
    coils: list[Coil] = []
    of: dict[int, int] = {}
    for bar in made.bars:
        own: list[TubeLoop] = []
        for mm in bar.pieces_mm:
            loop = min(left, key=lambda one: abs(math.ceil(one.length_mm) - mm))
            left.remove(loop)
            own.append(loop)
            of[loop.n] = len(coils) + 1
        cuts = [loop.length_mm for loop in own]
        rest = tube_text(bar.stock_mm - math.fsum(cuts), units)
        coils.append(Coil(bar.stock_mm, tube_text(bar.stock_mm, units), [loop.n for loop in own], cuts, rest))
    return coils, [replace(loop, coil=of.get(loop.n, 0)) for loop in loops]
