"""Bars over pile heads: each way, centred on the head, down to their cover over it. Lengths mm, levels over the finished top."""

from __future__ import annotations

import math

from shapely.geometry import LineString

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.plan.shape_parts import Piles
from humble_trowel.core.plan.steel_parts import Cage
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid, counted, lines_of

ANCHOR_D = 40  # past the head's face each way, where nothing else is drawn


def piles_of(frame: Frame, cage: Cage) -> Piles | None:
    """The row of piles that a cage is of."""
    return next((row for row in frame.plan.piles if row.id == cage.mark), None)


def head_long_mm(cage: Cage, piles: Piles) -> float:
    """How long a bar over a head is: as drawn, else the head and forty diameters past it each way."""
    if cage.long_mm is not None or cage.each_way is None:
        return cage.long_mm or piles.diameter_mm
    return piles.diameter_mm + 2 * ANCHOR_D * bar_of(cage.each_way).d_mm


def offsets_of(cage: Cage, piles: Piles) -> list[float]:
    """Of the bars of one way from the head's middle: as many as stand over it at their spacing."""
    apart = cage.each_mm or piles.diameter_mm
    count = max(1, int(piles.diameter_mm // apart) + 1)
    return [(at - (count - 1) / 2) * apart for at in range(count)]


def heads_laid(frame: Frame, cage: Cage, over_mm: float) -> list[Laid]:
    """Bars over every head of a row of piles, both ways. over_mm: clear over the head."""
    piles = piles_of(frame, cage)
    if piles is None or cage.each_way is None:
        return []
    bar, half = bar_of(cage.each_way), head_long_mm(cage, piles) / 2
    room = frame.inset(frame.ways.side_mm)
    low = -(piles.head_down_mm - over_mm - bar.d_mm / 2)
    found = []
    for at in range(2):
        ends: list[tuple[XY, XY]] = []
        for x, y in piles.at:
            for off in offsets_of(cage, piles):
                mid, way = ((x, y + off), (1.0, 0.0)) if at == 0 else ((x + off, y), (0.0, 1.0))
                line = LineString(
                    [(mid[0] - way[0] * half, mid[1] - way[1] * half), (mid[0] + way[0] * half, mid[1] + way[1] * half)]
                ).intersection(room)
                if line.geom_type == "LineString" and not line.is_empty:
                    (ax, ay), (bx, by) = line.coords
                    ends.append(((ax, ay), (bx, by)))
        if ends:
            cuts = counted(float(math.floor(math.dist(*one) + 1e-6)) for one in ends)
            words = f"{bar.name} over {piles.name}, {'one way' if at == 0 else 'the other way'}"
            found.append(
                Laid(f"pile/{cage.mark}/{at}", words, bar, "straight", cuts, lines_of(ends), low + bar.d_mm * at)
            )
    return found
