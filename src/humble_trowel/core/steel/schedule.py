"""The list of steel: marks dealt, pieces by size, weights, what is bent, what is cut from which bar. Lengths mm, masses kg."""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.cutting.cut import CutPlan, cut
from humble_trowel.core.cutting.stock import MOST_PIECES, Piece, Stock
from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.bars import BARS, Bar
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid

PER_MM = 10  # so that a price follows the length
LETTERS = "abcdefghjkmnpqrstuvwxyz"  # none that reads as a figure


def letter(index: int) -> str:
    """a, b, ... z, aa, ab, ... without i, l and o."""
    name, n = "", len(LETTERS)
    index += 1
    while index:
        index, rest = divmod(index - 1, n)
        name = LETTERS[rest] + name
    return name


def marked(rows: Sequence[Laid]) -> list[Laid]:
    """Every row with its mark, in the order in which steel goes in."""
    return [replace(row, mark=letter(at)) for at, row in enumerate(rows)]


@dataclass(frozen=True)
class SizeSum:
    """All bars of one size: pieces as cut, their length with laps, their weight."""

    bar: Bar
    pieces: int
    steel_mm: float
    mass_kg: float


def by_size(rows: Sequence[Laid]) -> list[SizeSum]:
    """Totals, the thickest first."""
    names = sorted({row.bar.name for row in rows}, key=lambda name: -BARS[name].d_mm)
    found = []
    for name in names:
        own = [row for row in rows if row.bar.name == name]
        long = math.fsum(row.steel_mm for row in own)
        found.append(SizeSum(BARS[name], sum(row.count for row in own), long, long / 1000 * BARS[name].kg_m))
    return found


def tie_wire_kg(frame: Frame, mass_kg: float) -> float:
    """Wire for so much steel, by the crew's rule."""
    return mass_kg / 1000 * frame.ways.tie_kg_t


@dataclass(frozen=True)
class CutRow:
    """Bars that are cut alike. pieces: (mark, length) from one end; left_mm: of each bar; keep: long enough to be kept; on_hand:
    they need not be bought."""

    count: int
    stock_mm: float
    pieces: list[tuple[str, float]]
    left_mm: float
    keep: bool
    on_hand: bool = False


@dataclass(frozen=True)
class SizeCut:
    """The cut plan of one size. bars: to buy; least: no plan buys fewer, 0 where stock has several lengths; least_mm, bought_mm:
    the same as lengths."""

    bar: Bar
    rows: list[CutRow]
    bars: int
    least: int
    least_mm: float
    bought_mm: float
    bought_kg: float
    waste_ratio: float
    problem: str


def size_cut(frame: Frame, rows: Sequence[Laid], bar: Bar) -> SizeCut:
    """How the bars of one size are cut from stock with the least bought."""
    own = [row for row in rows if row.bar.name == bar.name]
    lengths: Counter[float] = Counter()
    marks: dict[float, list[str]] = {}
    for row in own:
        for length, count in row.pieces:
            lengths[length] += count
            marks.setdefault(length, []).extend([row.mark] * count)
    if sum(lengths.values()) > MOST_PIECES:
        words = f"{sum(lengths.values()):,} pieces of {bar.name} are too many to plan cut by cut."
        return SizeCut(bar, [], 0, 0, 0.0, 0.0, 0.0, 0.0, words)
    sold = frame.ways.stock_mm if bar.number else frame.ways.stock_metric_mm
    there = [(one.length_mm, one.count) for one in frame.plan.steel.on_hand if one.bar == bar.name]
    longest = max(lengths, default=0.0)
    if longest > max(sold) + 1e-6:
        words = f"A piece of {longest / 1000:.2f} m is longer than any bar of {bar.name}."
        return SizeCut(bar, [], 0, 0, 0.0, 0.0, 0.0, 0.0, words)
    try:
        plan = cut(
            [*(Stock(mm, None, round(mm * PER_MM)) for mm in sold), *(Stock(mm, count, 0) for mm, count in there)],
            [Piece(mm, n) for mm, n in lengths.items()],
            0.0,
        )
    except InputError as error:
        return SizeCut(bar, [], 0, 0, 0.0, 0.0, 0.0, 0.0, str(error))
    return _told(frame, bar, plan, marks)


def _told(frame: Frame, bar: Bar, plan: CutPlan, marks: dict[float, list[str]]) -> SizeCut:
    sold = frame.ways.stock_mm if bar.number else frame.ways.stock_metric_mm
    same = Counter((one.stock >= len(sold), one.stock_mm, one.pieces_mm) for one in plan.bars)
    left = {length: list(names) for length, names in marks.items()}
    rows = []
    for (there, stock, pieces), count in sorted(
        same.items(), key=lambda item: (item[0][0], -item[0][1], [-mm for mm in item[0][2]])
    ):
        rest = stock - math.fsum(pieces)
        named = [(_mark(left, mm, count), mm) for mm in pieces]
        rows.append(CutRow(count, stock, named, rest, rest >= frame.ways.keep_mm, there))
    to_buy = [one.stock_mm for one in plan.bars if one.stock < len(sold)]
    bought, taken = math.fsum(to_buy), math.fsum(one.stock_mm for one in plan.bars)
    used = math.fsum(mm for one in plan.bars for mm in one.pieces_mm)
    least_mm = plan.bound_cents / PER_MM
    least = round(least_mm / sold[0]) if len(sold) == 1 else 0
    return SizeCut(
        bar, rows, len(to_buy), least, least_mm, bought, bought / 1000 * bar.kg_m, 1 - used / taken if taken else 0.0, "",
    )  # fmt: skip


def _mark(left: dict[float, list[str]], length: float, count: int) -> str:
    """The mark of pieces of a length; those of several marks that are cut alike are named together."""
    key = min(left, key=lambda one: abs(one - length))
    taken, left[key] = left[key][:count], left[key][count:]
    return "/".join(dict.fromkeys(taken))
