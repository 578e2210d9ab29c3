"""The slab's top as parts of one plane, and those cut by lines across it into faces. Lengths mm."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import GRID_MM
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan

LEAST_MM2 = 1e4
NODE_MM = 0.01
OVER_MM = 5.0
ON_MM = 1.0
BRIDGED_MM = 1800.0  # a board rides over the form of an opening no wider than this


@dataclass(frozen=True)
class Top:
    """A part of the slab whose top is one plane."""

    plane: Plane
    area: Polygon


@dataclass(frozen=True)
class Face:
    """A part of a top between lines. ring: anticlockwise, with a corner wherever its border changes. top: which."""

    ring: tuple[XY, ...]
    top: Top

    @property
    def area(self) -> Polygon:
        """Where it lies."""
        return Polygon(self.ring)

    @property
    def spot(self) -> XY:
        """A spot well inside."""
        at = shapely.Polygon(self.ring).representative_point()
        return round(at.x, 1), round(at.y, 1)


def tops_of(cells: Sequence[Cell]) -> list[Top]:
    """Every part whose top is one plane, the largest first. Small openings are filled: a board rides over them."""
    groups: dict[tuple[float, float, float], list[tuple[Plane, BaseGeometry]]] = {}
    for cell in cells:
        for facet in cell.tops:
            plane = facet.plane
            key = round(plane.at_0, 0), round(plane.per_x, 6), round(plane.per_y, 6)
            groups.setdefault(key, []).append((plane, facet.region))
    parts: list[tuple[Plane, Polygon]] = []
    for found in groups.values():
        joined = shapely.union_all([region for _, region in found], grid_size=GRID_MM)
        parts += [
            (found[0][0], part)
            for part in shapely.get_parts(joined)
            if isinstance(part, Polygon) and part.area > LEAST_MM2
        ]
    rows = [Top(plane, _filled(part, [other for _, other in parts if other is not part])) for plane, part in parts]
    return sorted(rows, key=lambda row: -row.area.area)


def _filled(part: Polygon, others: Sequence[Polygon]) -> Polygon:
    """A part without its small openings; a hole that another part lies in stays."""
    kept = []
    for ring in part.interiors:
        hole = Polygon(ring)
        if _wide(hole) > BRIDGED_MM or any(other.intersection(hole).area > LEAST_MM2 for other in others):
            kept.append(ring)
    return Polygon(part.exterior, kept)


def _wide(hole: Polygon) -> float:
    x1, y1, x2, y2 = hole.bounds
    return min(x2 - x1, y2 - y1)


def day_ends(plan: Plan) -> list[tuple[XY, XY]]:
    """Construction joints: a bulkhead stands there, and boards ride on it from either side."""
    return [(row.start, row.end) for row in plan.joints.lines if row.how == "construction"]


def parting_lines(plan: Plan) -> list[tuple[XY, XY]]:
    """What strips lie between, besides the borders of tops: pad lines and day's ends."""
    return [*((row.start, row.end) for row in plan.screed.pads), *day_ends(plan)]


def faces_of(tops: Sequence[Top], lines: Sequence[tuple[XY, XY]]) -> list[Face]:
    """The tops cut along lines. Ends just short of an edge are brought over it."""
    borders = shapely.union_all([top.area.boundary for top in tops], grid_size=NODE_MM)
    cuts = [LineString(_longer(borders, a, b)) for a, b in lines if math.dist(a, b) > 1.0]
    network = shapely.union_all([borders, *cuts], grid_size=NODE_MM)
    rows = []
    for part in shapely.get_parts(shapely.polygonize(shapely.get_parts(network))):
        if part.area < LEAST_MM2:
            continue
        spot = part.representative_point()
        top = next((one for one in tops if one.area.contains(spot)), None)
        if top is not None:
            plain = shapely.orient_polygons(part)
            rows.append(Face(tuple((x, y) for x, y, *_ in plain.exterior.coords[:-1]), top))
    return rows


def face_at(faces: Sequence[Face], spot: XY) -> Face | None:
    """The face that holds a spot; one on a border is of the first that it touches."""
    point = Point(spot)
    inside = next((face for face in faces if face.area.contains(point)), None)
    return inside or next((face for face in faces if face.area.distance(point) < ON_MM), None)


def _longer(borders: BaseGeometry, a: XY, b: XY) -> tuple[XY, XY]:
    """A line whose ends that stop short of a border are brought over it."""
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size * OVER_MM, (b[1] - a[1]) / size * OVER_MM
    short = [borders.distance(Point(spot)) > 2 * NODE_MM for spot in (a, b)]
    return (a[0] - ux, a[1] - uy) if short[0] else a, (b[0] + ux, b[1] + uy) if short[1] else b
