"""Where two zones meet: the lines that both have for a border."""

from __future__ import annotations

from functools import lru_cache

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM
from humble_trowel.core.geometry.polygon import XY

LEAST_MM = 10.0


def shared_borders(one: BaseGeometry, other: BaseGeometry) -> list[list[XY]]:
    """Border lines that two regions share, merged and without idle corners, each over 10 mm long.

    On a grid: borders that are one line but for the last bit would else meet in points only.
    """
    return [list(line) for line in _found(one.wkb, other.wkb)]


@lru_cache(maxsize=512)
def _found(one: bytes, other: bytes) -> tuple[tuple[XY, ...], ...]:
    """Kept for the same two regions: several stages ask."""
    a, b = shapely.from_wkb(one), shapely.from_wkb(other)
    shared = shapely.intersection(a.boundary, b.boundary, grid_size=GRID_MM)
    lines = [part for part in shapely.get_parts(shared) if part.geom_type == "LineString"]
    merged = shapely.line_merge(shapely.union_all(lines)) if len(lines) > 1 else shapely.union_all(lines)
    return tuple(
        tuple((float(x), float(y)) for x, y in shapely.get_coordinates(shapely.simplify(part, 0.1)).tolist())
        for part in shapely.get_parts(merged)
        if part.geom_type == "LineString" and part.length > LEAST_MM
    )
