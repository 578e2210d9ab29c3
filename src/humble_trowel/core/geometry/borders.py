"""Where two zones meet: the lines that both have for a border."""

from __future__ import annotations

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import GRID_MM

LEAST_MM = 10.0


def shared_borders(one: BaseGeometry, other: BaseGeometry) -> list[list[XY]]:
    """Border lines that two regions share, merged and without idle corners, each over 10 mm long.

    On a grid: borders that are one line but for the last bit would else meet in points only.
    """
    shared = shapely.intersection(one.boundary, other.boundary, grid_size=GRID_MM)
    lines = [part for part in shapely.get_parts(shared) if part.geom_type == "LineString"]
    merged = shapely.line_merge(shapely.union_all(lines)) if len(lines) > 1 else shapely.union_all(lines)
    return [
        [(float(x), float(y)) for x, y in shapely.get_coordinates(shapely.simplify(part, 0.1)).tolist()]
        for part in shapely.get_parts(merged)
        if part.geom_type == "LineString" and part.length > LEAST_MM
    ]
