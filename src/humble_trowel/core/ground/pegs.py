"""Grade pegs: where they stand at a spacing, how many, and what the rod reads on their tops."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.ground.layer_shots import Ground
from humble_trowel.core.ground.rod import say_reading
from humble_trowel.core.plan.ground_ways import RodReads

INSET_MM = 300.0


@dataclass(frozen=True)
class Peg:
    """Its top is at the layer's designed level. reading_text: '' while no laser stands."""

    number: int
    at: XY
    zone: str
    level_mm: float
    reading_text: str


def grade_pegs(grounds: Sequence[Ground], spacing_mm: float, instrument_mm: float | None, reads: RodReads) -> list[Peg]:
    """Pegs in rows no farther apart than the spacing, a foot inside the borders where the ground is wide enough.

    spacing_mm: greatest distance between two. instrument_mm: level of the laser's line, None without a set-up. Their tops
    are at the layer's design, mm; readings as `reads` says.
    """
    shapes = [facet.region for ground in grounds for facet in ground.facets]
    if not shapes or spacing_mm <= 0:
        return []
    roomy = shapely.union_all(shapes, grid_size=0.1).buffer(-INSET_MM / 2)
    x0, y0, x1, y1 = (float(v) for v in shapely.total_bounds(shapes))
    rows: list[Peg] = []
    spots = [(x, y) for y in _row(y0, y1, spacing_mm) for x in _row(x0, x1, spacing_mm)]
    for x, y in spots:
        point = shapely.Point(x, y)
        if not roomy.is_empty and not roomy.intersects(point):
            continue
        for ground in grounds:
            if any(facet.region.buffer(1.0).intersects(point) for facet in ground.facets):
                level = ground.level_at((x, y))
                text = "" if instrument_mm is None else say_reading(instrument_mm - level, reads)
                rows.append(Peg(len(rows) + 1, (x, y), ground.cell.name, level, text))
                break
    return rows


def _row(low: float, high: float, spacing: float) -> list[float]:
    inset = min(INSET_MM, (high - low) / 4)
    start, end = low + inset, high - inset
    gaps = max(1, math.ceil((end - start) / spacing - 1e-9))
    return [start + (end - start) * i / gaps for i in range(gaps + 1)]
