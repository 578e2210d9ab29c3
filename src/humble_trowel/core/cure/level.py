"""How level and flat the finished slab is, by shots on it: gaps under a straightedge, which class of flatness that meets, what stands up or lies low.

A gap is where one shot lies off the line between two others that a straightedge spans. mm, m2, cents.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

import numpy as np
import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.cure_ways import CureWays

BESIDE_SHARE = 0.06  # of the edge; so near the line a shot lies under it
LEAST_SHARE = 0.6
IN = 25.4


@dataclass(frozen=True)
class FlatClass:
    """A class by the straightedge of ten feet: nine gaps in ten within most90, all within most."""

    name: str
    most90_mm: float
    most_mm: float


CLASSES = (FlatClass("flat", IN / 4, 3 * IN / 8), FlatClass("moderately flat", 3 * IN / 8, 5 * IN / 8), FlatClass("conventional", IN / 2, 3 * IN / 4))  # fmt: skip


@dataclass(frozen=True)
class Gap:
    """Between two shots over a third: less than nothing where it stands up. at: of the third."""

    at: int
    ends: tuple[int, int]
    gap_mm: float


@dataclass(frozen=True)
class Spot:
    """A shot. off_mm: over what is drawn; over_mm: over the plane through all of them. mend: grind, fill or ''. m2: that it stands for."""

    record: str
    spot: XY
    off_mm: float
    over_mm: float
    mend: str
    area_m2: float


@dataclass(frozen=True)
class Levels:
    """All of it. worst_mm: the largest gap, None without one. flat: the best class that it meets, None where it meets none. cost_cents: to mend."""

    spots: list[Spot]
    gaps: list[Gap]
    worst_mm: float | None
    nine_mm: float | None
    flat: FlatClass | None
    cost_cents: float
    sd_mm: float


def levels_of(
    shots: Sequence[tuple[str, XY, float]], floor: BaseGeometry, ways: CureWays, tolerance_mm: float
) -> Levels:
    """shots: (record, spot, over what is drawn). tolerance_mm: farther from the plane of all of them it is mended."""
    if not shots:
        return Levels([], [], None, None, None, 0.0, 0.0)
    at = np.array([spot for _, spot, _ in shots], dtype=float)
    off = np.array([one for _, _, one in shots])
    over = off - _plane(at, off)
    areas = _areas(at, floor)
    spots = []
    for (record, spot, own), rise, area in zip(shots, over, areas, strict=True):
        mend = "" if abs(rise) <= tolerance_mm else "grind" if rise > 0 else "fill"
        spots.append(Spot(record, spot, own, float(rise), mend, area))
    cents = math.fsum(
        one.area_m2 * (ways.grind_cents_m2 if one.mend == "grind" else ways.fill_cents_m2) for one in spots if one.mend
    )
    gaps = gaps_of(at, off, ways.edge_mm)
    sizes = sorted(abs(one.gap_mm) for one in gaps)
    nine = sizes[max(0, math.ceil(0.9 * len(sizes)) - 1)] if sizes else None
    worst = sizes[-1] if sizes else None
    flat = None if worst is None or nine is None else next((one for one in CLASSES if nine <= one.most90_mm + 1e-9 and worst <= one.most_mm + 1e-9), None)  # fmt: skip
    return Levels(spots, gaps, worst, nine, flat, cents, float(over.std()) if len(over) > 3 else 0.0)


def gaps_of(at: np.ndarray, off: np.ndarray, edge_mm: float) -> list[Gap]:
    """Every shot under a straightedge that lies on two others."""
    rows = []
    for i, j in combinations(range(len(at)), 2):
        size = float(np.linalg.norm(at[j] - at[i]))
        if not LEAST_SHARE * edge_mm <= size <= edge_mm * 1.02:
            continue
        way = (at[j] - at[i]) / size
        along = (at - at[i]) @ way
        aside = np.abs((at - at[i]) @ np.array([-way[1], way[0]]))
        for k in np.flatnonzero((along > 0.15 * size) & (along < 0.85 * size) & (aside < BESIDE_SHARE * edge_mm)):
            line = off[i] + (off[j] - off[i]) * along[k] / size
            rows.append(Gap(int(k), (i, j), float(line - off[k])))
    return rows


def _plane(at: np.ndarray, off: np.ndarray) -> np.ndarray:
    """The plane through all of them, least squares; their mean with fewer than four."""
    if len(off) < 4:
        return np.full(len(off), float(off.mean()))
    rows = np.column_stack([np.ones(len(off)), at - at.mean(0)])
    found, *_ = np.linalg.lstsq(rows, off, rcond=None)
    return np.asarray(rows @ found)


def _areas(at: np.ndarray, floor: BaseGeometry) -> list[float]:
    """What of the floor lies nearest to each shot, m2."""
    if len(at) == 1:
        return [float(floor.area) / 1e6]
    cells = shapely.voronoi_polygons(shapely.MultiPoint(at), extend_to=floor.envelope)
    pieces = list(getattr(cells, "geoms", [cells]))
    tree = shapely.STRtree(pieces)
    rows = []
    for spot in (shapely.Point(one) for one in at):
        found = [pieces[n] for n in tree.query(spot, predicate="intersects")]
        rows.append(float(found[0].intersection(floor).area) / 1e6 if found else 0.0)
    return rows
