"""Parts of a slab that are one plate: of one thickness, at one level."""

from __future__ import annotations

from collections.abc import Sequence

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM
from humble_trowel.core.geometry.zones import Cell

LEAST_MM2 = 1e4


def parts_alike(cells: Sequence[Cell]) -> list[tuple[float, Polygon]]:
    """(thickness in mm, area) of every part whose zones are of one thickness at one level, the largest first."""
    groups: dict[tuple[float, float], list[BaseGeometry]] = {}
    for cell in cells:
        spot = cell.region.representative_point()
        key = round(cell.thickness_mm, 1), round(cell.top_at((spot.x, spot.y)), 0)
        groups.setdefault(key, []).append(cell.region)
    rows = []
    for (thick, _), regions in groups.items():
        for part in shapely.get_parts(shapely.union_all(regions, grid_size=GRID_MM)):
            plain = shapely.simplify(shapely.orient_polygons(part), 0.5)
            if isinstance(plain, Polygon) and plain.area > LEAST_MM2:
                rows.append((thick, plain))
    return sorted(rows, key=lambda row: -row[1].area)
