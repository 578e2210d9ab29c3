"""Stretches of a straight line inside an area, from edge to edge; what runs along an edge is none."""

from __future__ import annotations

import math

import shapely
from shapely.geometry import LineString
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY

IN_MM = 1.0
REACH_MM = 40.0


def chords(area: BaseGeometry, through: XY, way: XY, least_mm: float = 5.0) -> list[tuple[XY, XY]]:
    """Every stretch of the line through a spot, a unit vector along it, from edge to edge of an area."""
    x1, y1, x2, y2 = area.bounds
    far = math.dist((x1, y1), (x2, y2)) + math.dist(through, ((x1 + x2) / 2, (y1 + y2) / 2)) + 1.0
    line = LineString([(through[0] + way[0] * s, through[1] + way[1] * s) for s in (-far, far)])
    rows = []
    for part in shapely.get_parts(area.buffer(-IN_MM, join_style="mitre").intersection(line)):
        if part.geom_type == "LineString" and part.length > least_mm:
            a, b = part.coords[0], part.coords[-1]
            rows.append((_out(area, (a[0], a[1]), (-way[0], -way[1])), _out(area, (b[0], b[1]), way)))
    return rows


def _out(area: BaseGeometry, end: XY, way: XY) -> XY:
    """An end just inside, brought to the edge."""
    reach = LineString([end, (end[0] + way[0] * REACH_MM, end[1] + way[1] * REACH_MM)])
    met = [spot for spot in shapely.get_parts(area.boundary.intersection(reach)) if not spot.is_empty]
    if not met:
        return end
    spots = [(x, y) for one in met for x, y, *_ in one.coords]
    return min(spots, key=lambda spot: math.dist(spot, end))
