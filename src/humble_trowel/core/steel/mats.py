"""Bars of a mat over any region: lines at an equal spacing, clipped, spliced from stock with laps that stand apart. Lengths mm.

Rule: across the region's extent W, ceil(W / spacing) + 1 lines stand W / (lines - 1) apart, the first and last on its border;
each is clipped; what is shorter than a stub is dropped. A piece longer than its stock laps: ceil((L - lap) / (stock - lap)) bars.
Source: 'mat' in sources/.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from shapely import affinity
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.steel.laps import spliced

STUB_MM = 300.0
MOST_BARS = 5_000
SNAP = 1e-9
EDGE_MM = 1e-3  # a line on the border still counts as in it


@dataclass(frozen=True)
class MatBar:
    """A bar as it lies, spliced from `bars` pieces. ends: on the plan. line: which of its direction, from 0."""

    ends: tuple[XY, XY]
    long_mm: float
    bars: int
    steel_mm: float
    line: int


@dataclass(frozen=True)
class Layer:
    """Bars that run one way. along_deg: from east. apart_mm: as they really stand."""

    along_deg: float
    lines: int
    apart_mm: float
    bars: list[MatBar]

    @property
    def steel_mm(self) -> float:
        """With laps."""
        return math.fsum(bar.steel_mm for bar in self.bars)

    @property
    def pieces(self) -> int:
        """Bars after splicing."""
        return sum(bar.bars for bar in self.bars)


def mat_region(outline: BaseGeometry, openings: Sequence[BaseGeometry], cover: float) -> BaseGeometry:
    """Where bars may lie: in from the border by the cover, and clear of openings by it."""
    inset = outline.buffer(-cover, join_style="mitre")
    return (
        inset.difference(shapely.union_all([hole.buffer(cover, join_style="mitre") for hole in openings]))
        if openings
        else inset
    )


def layer(
    region: BaseGeometry, spacing: float, along_deg: float, stock: float, lap: float, stub: float = STUB_MM
) -> Layer:
    """Bars that run at `along_deg` over a region. Raises InputError for a spacing that makes far too many."""
    if region.is_empty or region.area < 1.0:
        return Layer(along_deg, 0, spacing, [])
    turned = affinity.rotate(region, -along_deg, origin=(0, 0))
    x0, y0, x1, y1 = turned.bounds
    lines = math.ceil((y1 - y0) / spacing - SNAP) + 1
    if lines > MOST_BARS:
        raise InputError(f"That makes {lines:,} bars one way. Is the spacing {spacing:g} mm?", "spacing_mm")
    apart = (y1 - y0) / (lines - 1) if lines > 1 else spacing
    ys = np.linspace(y0, y1, lines) if lines > 1 else np.array([(y0 + y1) / 2])
    inner = np.clip(ys, y0 + EDGE_MM, y1 - EDGE_MM)
    ends = np.stack(
        [np.column_stack([np.full(lines, x0 - 1), inner]), np.column_stack([np.full(lines, x1 + 1), inner])], axis=1
    )
    cut = shapely.intersection(turned, shapely.linestrings(ends))
    parts, line = shapely.get_parts(cut, return_index=True)
    bars = []
    for part, at in zip(parts, line.tolist(), strict=True):
        if part.geom_type != "LineString" or part.length < stub - EDGE_MM:
            continue
        a, b = sorted((part.coords[0], part.coords[-1]))
        count, steel = spliced(part.length, stock, lap)
        bars.append(MatBar((_back(a, along_deg), _back(b, along_deg)), part.length, count, steel, at))
    return Layer(along_deg, lines, apart, bars)


def _back(at: Sequence[float], angle: float) -> XY:
    turn = math.radians(angle)
    return at[0] * math.cos(turn) - at[1] * math.sin(turn), at[0] * math.sin(turn) + at[1] * math.cos(turn)


def pieces_of(bar: MatBar, stock: float, lap: float) -> list[float]:
    """Lengths of the bars that one line is spliced from: whole ones, and what is left. On every second line the short one
    comes first, so that laps of neighbours stand apart."""
    if bar.bars == 1:
        return [bar.long_mm]
    rest = bar.steel_mm - (bar.bars - 1) * stock
    short = max(rest, 2 * lap) if bar.bars > 1 else rest
    whole = [stock] * (bar.bars - 2) + [bar.steel_mm - (bar.bars - 2) * stock - short]
    return [short, *whole] if bar.line % 2 else [*whole, short]


def laps_of(bar: MatBar, stock: float, lap: float) -> list[tuple[XY, XY]]:
    """Where its pieces lie beside each other, on the plan."""
    (ax, ay), (bx, by) = bar.ends
    ux, uy = (bx - ax) / bar.long_mm, (by - ay) / bar.long_mm
    found, at = [], 0.0
    for piece in pieces_of(bar, stock, lap)[:-1]:
        at += piece
        found.append(((ax + ux * (at - lap), ay + uy * (at - lap)), (ax + ux * at, ay + uy * at)))
        at -= lap
    return found
