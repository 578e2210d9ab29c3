"""Cut plans of steel as screens show them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.steel.schedule import CutRow, SizeCut
from humble_trowel.core.steel.told import say_mass
from humble_trowel.core.units import Units, say_length


@dataclass(frozen=True)
class CutTold:
    """Bars cut alike. pieces: (mark, length in words, share of the bar)."""

    count: int
    stock_text: str
    stock_mm: float
    pieces: list[tuple[str, str, float]]
    left_text: str
    left_share: float
    keep: bool
    on_hand: bool


@dataclass(frozen=True)
class SizeCutTold:
    """The cut plan of a size. least: no less can be bought, in words; problem: why there is none."""

    bar: str
    bars: int
    least: str
    bought_text: str
    waste_ratio: float
    rows: list[CutTold]
    problem: str


def cuts_told(units: Units, cuts: Sequence[SizeCut]) -> list[SizeCutTold]:
    """Cut plans in words."""
    return [
        SizeCutTold(
            one.bar.name,
            one.bars,
            f"{one.least}" if one.least else say_length(one.least_mm, units),
            say_mass(one.bought_kg, units),
            one.waste_ratio,
            [_cut(row, units) for row in one.rows],
            one.problem,
        )
        for one in cuts
    ]


def _cut(row: CutRow, units: Units) -> CutTold:
    return CutTold(
        row.count, say_length(row.stock_mm, units), row.stock_mm,
        [(mark, say_length(length, units), length / row.stock_mm) for mark, length in row.pieces],
        say_length(row.left_mm, units) if row.left_mm > 1 else "", row.left_mm / row.stock_mm, row.keep, row.on_hand,
    )  # fmt: skip
