"""Chairs that hold steel up: on a grid under the mat, as high as cover and layers leave. Lengths mm."""

from __future__ import annotations

import math

import numpy as np
import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY

SNAP = 1e-9


def chairs_by_rows(long: float, wide: float, apart: float) -> int:
    """Chairs in rows over a rectangle, its borders included. Source: 'chairs' in sources/."""
    return (math.ceil(long / apart - SNAP) + 1) * (math.ceil(wide / apart - SNAP) + 1)


def chair_spots(region: BaseGeometry, apart: float) -> list[XY]:
    """A grid no wider than `apart` over the extent of a region, what of it lies in the region."""
    if region.is_empty:
        return []
    x0, y0, x1, y1 = region.bounds
    xs = np.linspace(x0, x1, math.ceil((x1 - x0) / apart - SNAP) + 1) if x1 > x0 else np.array([x0])
    ys = np.linspace(y0, y1, math.ceil((y1 - y0) / apart - SNAP) + 1) if y1 > y0 else np.array([y0])
    grid = np.array([(x, y) for y in ys for x in xs])
    inside = shapely.dwithin(region, shapely.points(grid), 1e-3)
    return [(float(x), float(y)) for x, y in grid[inside]]
