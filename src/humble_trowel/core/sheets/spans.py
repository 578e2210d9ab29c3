"""From where to where a row across a region is wanted. Lengths in mm."""

from __future__ import annotations

import shapely
from shapely.geometry.base import BaseGeometry

LEAST_MM2 = 1.0


def spans(band: BaseGeometry, snap: float = 1e-6) -> list[tuple[float, float]]:
    """Extents along x of the parts of a band, joined where they run side by side."""
    parts = sorted((part.bounds[0], part.bounds[2]) for part in shapely.get_parts(band) if part.area > LEAST_MM2)
    found: list[tuple[float, float]] = []
    for a, b in parts:
        if found and a <= found[-1][1] + snap:
            found[-1] = (found[-1][0], max(b, found[-1][1]))
        else:
            found.append((a, b))
    return found
