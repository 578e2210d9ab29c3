"""Beams and walls: lines parallel to a wall and off it, which beams stand on which wall, and where beams cross."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import NamedTuple

import numpy as np
import shapely
from shapely.geometry import LineString, Point, Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import unit
from humble_trowel.core.memo import ByContent
from humble_trowel.core.plan.document import Plan

ON_WALL_MM = 2.0
Line = tuple[XY, XY]
_FEET: ByContent[dict[int, list[Foot]]] = ByContent(64)


class Foot(NamedTuple):
    """A beam that ends on a wall. row: of the beam. along_mm: from the wall's first corner."""

    row: int
    along_mm: float


def _rounded(spots: Sequence[Sequence[float]]) -> list[XY]:
    return [(round(x, 3) + 0.0, round(y, 3) + 0.0) for x, y in spots]


def beside_wall(ring: Sequence[XY], wall: Line, off_mm: float) -> list[list[XY]]:
    """Lines inside an outline parallel to one of its walls, off_mm square to it."""
    (ux, uy), outline = unit(*wall), Polygon(ring)
    reach = 2 * (outline.length + 1)
    x, y = wall[0][0] - off_mm * uy, wall[0][1] + off_mm * ux
    line = LineString([(x - reach * ux, y - reach * uy), (x + reach * ux, y + reach * uy)])
    found = []
    for part in shapely.get_parts(line.intersection(outline)):
        if part.geom_type == "LineString" and outline.exterior.distance(part.interpolate(0.5, normalized=True)) > 1.0:
            found.append(_rounded(part.coords))
    return found


def off_wall(ring: Sequence[XY], wall: Line, along_mm: float) -> list[list[XY]]:
    """The line square to a wall from a foot on it to the far edge of the outline: one, or none where it leaves at once."""
    (ux, uy), outline = unit(*wall), Polygon(ring)
    foot = (wall[0][0] + along_mm * ux, wall[0][1] + along_mm * uy)
    reach = 2 * (outline.length + 1)
    line = LineString([foot, (foot[0] - reach * uy, foot[1] + reach * ux)])
    parts = [part for part in shapely.get_parts(line.intersection(outline)) if part.geom_type == "LineString"]
    first = min(parts, key=lambda part: float(part.distance(Point(foot))), default=None)
    if first is None or first.distance(Point(foot)) > ON_WALL_MM:
        return []
    ends = sorted(first.coords, key=lambda spot: math.dist(spot, foot))
    return [_rounded([foot, ends[-1]])]


def feet(plan: Plan) -> dict[int, list[Foot]]:
    """Of every wall on which beams end, the beams in the order in which they stand along it."""
    content = (tuple(plan.outline or ()), tuple(tuple(beam.path) for beam in plan.beams))
    return _FEET.get(content, lambda: _feet(plan))


def _feet(plan: Plan) -> dict[int, list[Foot]]:
    if not plan.outline or not plan.beams:
        return {}
    a = np.array(plan.outline, dtype=float)
    way = np.roll(a, -1, axis=0) - a
    long = np.hypot(way[:, 0], way[:, 1])
    way = way / np.maximum(long, 1e-9)[:, None]
    spots = np.array([end for beam in plan.beams for end in (beam.path[0], beam.path[-1])], dtype=float)
    by = spots[:, None, :] - a[None, :, :]
    along = (by * way[None]).sum(axis=2)
    aside = np.abs(by[:, :, 0] * way[None, :, 1] - by[:, :, 1] * way[None, :, 0])
    found: dict[int, list[Foot]] = {}
    on = (aside <= ON_WALL_MM) & (along > ON_WALL_MM) & (along < long[None, :] - ON_WALL_MM)
    for spot, side in np.argwhere(on).tolist():
        found.setdefault(side, []).append(Foot(spot // 2, float(along[spot, side])))
    return {side: sorted(rows, key=lambda foot: foot.along_mm) for side, rows in sorted(found.items())}


def beam_crossings(plan: Plan) -> list[XY]:
    """Points inside the outline where centrelines of beams cross or meet."""
    lines = [LineString(beam.path) for beam in plan.beams]
    if len(lines) < 2:
        return []
    outline = Polygon(plan.outline)
    found: list[XY] = []
    for i, j in sorted({(int(a), int(b)) for a, b in shapely.STRtree(lines).query(lines).T.tolist() if a < b}):
        for part in shapely.get_parts(lines[i].intersection(lines[j])):
            if part.geom_type == "Point" and outline.intersects(part):
                found.append((round(part.x, 3), round(part.y, 3)))
    return found
