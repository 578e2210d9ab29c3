"""Where a layer is: the zone less openings and less the trenches that go through it."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import cut
from humble_trowel.core.geometry.overlay import GRID_MM, less
from humble_trowel.core.geometry.shares import Piece, polygons_of
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell

EVEN_MM = 1e-6


def trenches(solid: Solid, cell: Cell, below_mm: float = 0.0) -> BaseGeometry:
    """Plan area of a zone in which concrete goes deeper than `below_mm` under the slab's underside."""
    rings = [ring for piece in solid.pieces if piece.zone == cell.index for ring in _deeper(piece, below_mm)]
    if not rings:
        return Polygon()
    return shapely.union_all(polygons_of(rings), grid_size=GRID_MM)


def _deeper(piece: Piece, below_mm: float) -> list[list[tuple[float, float]]]:
    values = [piece.excess.at(x, y) - below_mm for x, y in piece.ring]
    if max(values) <= EVEN_MM:
        return []
    if min(values) >= 0:
        return [piece.ring]
    above, _ = cut(piece.ring, values)
    return [above] if above else []


def where_it_is(solid: Solid, cell: Cell, below_mm: float) -> BaseGeometry:
    """The zone's ground in which a layer whose top lies `below_mm` under the slab's underside is there."""
    gone = trenches(solid, cell, max(0.0, below_mm))
    return less(cell.region, gone)


def nearest_of(regions: Sequence[BaseGeometry], spots: NDArray[np.float64]) -> NDArray[np.intp]:
    """Index of the region that holds each of (n, 2) spots, or of the nearest where none does."""
    which = np.full(len(spots), -1, dtype=np.intp)
    for k, region in enumerate(regions):
        shapely.prepare(region)
        which[(which < 0) & shapely.contains_xy(region, spots[:, 0], spots[:, 1])] = k
    left = np.flatnonzero(which < 0)
    if len(left):
        points = np.asarray(shapely.points(spots[left]), dtype=object).reshape(-1)
        which[left] = np.argmin([shapely.distance(region, points) for region in regions], axis=0)
    return which
