"""Overlays of plan regions that come out as areas: what two share, what one has beyond the other.

On a grid, since the library has been seen to return nothing where two borders run together to the last bit; without
the lines and points at which borders only touch, since a region with those in it cannot be laid over another; and
mended first where a region crosses itself, as a ring widened round a very sharp corner does.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable

import shapely
from shapely.geometry import MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry

GRID_MM = 1e-4  # 1e-9 of any volume
FINE_MM = 1e-8


def areas_only(region: BaseGeometry) -> BaseGeometry:
    """The region without stray lines and points: a Polygon or a MultiPolygon."""
    if region.geom_type in ("Polygon", "MultiPolygon"):
        return region
    parts = [part for part in shapely.get_parts(region) if part.geom_type == "Polygon"]
    return parts[0] if len(parts) == 1 else MultiPolygon(parts) if parts else Polygon()


def sound(region: BaseGeometry) -> BaseGeometry:
    """The region, mended where it crosses itself."""
    return region if region.is_valid else areas_only(shapely.make_valid(region))


def common(one: BaseGeometry, other: BaseGeometry) -> BaseGeometry:
    """What two regions share."""
    return _laid_over(shapely.intersection, one, other)


def less(one: BaseGeometry, other: BaseGeometry) -> BaseGeometry:
    """What of a region the other leaves."""
    return one if other.is_empty else _laid_over(shapely.difference, one, other)


def together(regions: Iterable[BaseGeometry]) -> BaseGeometry:
    """Regions joined, on a finer grid: what is counted hangs on it."""
    rows = [areas_only(one) for one in regions]
    try:
        return areas_only(shapely.union_all(rows, grid_size=FINE_MM))
    except shapely.GEOSException:
        return areas_only(shapely.union_all([sound(one) for one in rows], grid_size=FINE_MM))


def _laid_over(overlay: Callable[..., BaseGeometry], one: BaseGeometry, other: BaseGeometry) -> BaseGeometry:
    one, other = areas_only(one), areas_only(other)
    try:
        return areas_only(overlay(one, other, grid_size=GRID_MM))
    except shapely.GEOSException:
        return areas_only(overlay(sound(one), sound(other), grid_size=GRID_MM))


def outlines(region: BaseGeometry) -> list[list[tuple[float, float]]]:
    """Rings of a region's parts, outer ones and holes, without the closing point."""
    return [
        [(float(x), float(y)) for x, y in ring.coords[:-1]]
        for part in shapely.get_parts(region)
        if part.geom_type == "Polygon"
        for ring in (part.exterior, *part.interiors)
    ]
