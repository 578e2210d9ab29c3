"""How high each side's form stands: from the slab's top at the edge down to the ground outside, station by station."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.beside_strips import lap_region
from humble_trowel.core.geometry.overlay import together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.wall_strips import stretches
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import FormRow, Plan

INSIDE_MM = 2.0
TOUCH_MM = 12.0
LEAST_MM = 20.0
FLUSH_MM = 10.0
Holds = tuple[str, BaseGeometry, float]  # its name, its region, how near a side it stands, mm


@dataclass(frozen=True)
class Station:
    """A point along a side: the form's top and the ground there, 0 = finished top of the main slab."""

    at_mm: float
    top_mm: float
    ground_mm: float

    @property
    def stands_mm(self) -> float:
        """How far the form's top stands over the ground; negative where the ground is higher."""
        return self.top_mm - self.ground_mm

    @property
    def height_mm(self) -> float:
        return max(0.0, self.stands_mm)


@dataclass(frozen=True)
class Reach:
    """A part of a side, from one distance to another, and what stands against it ('' where a form is needed)."""

    from_mm: float
    to_mm: float
    against: str

    @property
    def length_mm(self) -> float:
        return self.to_mm - self.from_mm


def reaches(plan: Plan, side: int, standing: Sequence[Holds] | None = None) -> list[Reach]:
    """The side cut where something stands against it. standing: `holding(plan)`, where many sides are asked for."""
    ring = list(plan.outline or [])
    a, b = side_of(ring, side)
    size = math.dist(a, b)
    line = LineString([a, b])
    taken: list[tuple[float, float, str]] = []
    for name, shape, reach in holding(plan) if standing is None else standing:
        touching = line.intersection(shape.buffer(reach, join_style="mitre"))
        for part in getattr(touching, "geoms", [touching]):
            if part.length > 5 * TOUCH_MM:
                ends = sorted(math.dist(a, spot) for spot in part.coords)
                start = ends[0] + reach if ends[0] > reach else 0.0
                end = ends[-1] - reach if ends[-1] < size - reach else size
                taken.append((start, end, name))
    return _cut_up(size, sorted(taken))


def holding(plan: Plan) -> list[Holds]:
    """What may hold a side: things that stand there, laps that the slab runs on into, and walls that the floor is poured against. A wall counts where its top
    comes to the floor: neither one that ends under the slab nor its set-down at a door holds the concrete."""
    feet = {row.id: row for row in plan.footings}
    floor = -max((zone.drop_mm for zone in plan.zones), default=0.0)
    found: list[Holds] = [
        (thing.name, Polygon(thing.polygon), TOUCH_MM) for thing in plan.existing if thing.what != "walk"
    ]
    found += [(lap.name, lap_region(lap), TOUCH_MM) for lap in plan.laps]  # the slab runs on over it
    for wall in plan.walls:
        if wall.meets != "over":
            high = [row for row in stretches(wall, feet[wall.footing]) if row.top_mm >= floor - FLUSH_MM]
            between = TOUCH_MM + (wall.isolation_mm or 0.0) + (wall.foam_inside_mm or 0.0)
            found += [(wall.name, together([Polygon(row.ring) for row in high]), between)] if high else []
    return found


def _cut_up(size: float, taken: Sequence[tuple[float, float, str]]) -> list[Reach]:
    rows: list[Reach] = []
    at = 0.0
    for start, end, name in taken:
        if start > at + LEAST_MM:
            rows.append(Reach(at, start, ""))
        if end > at:
            rows.append(Reach(max(at, start), end, name))
            at = max(at, end)
    if size > at + LEAST_MM or not rows:
        rows.append(Reach(at, size, ""))
    return rows


def stations(plan: Plan, cells: Sequence[Cell], side: int, row: FormRow | None, deep_mm: float) -> list[Station]:
    """Stations along a side at its ends, at every zone border and at every ground level typed.

    deep_mm: depth of concrete at the edge, the height where no ground level is given (the whole edge is formed).
    """
    ring = list(plan.outline or [])
    a, b = side_of(ring, side)
    size = math.dist(a, b)
    ground = list(row.ground) if row else []
    marks = {0.0, size, *(spot.at_mm for spot in ground if 0 < spot.at_mm < size)}
    borders = _borders(a, b, cells)
    rows: list[Station] = []
    cuts = sorted(marks | set(borders))
    for begin, end in pairwise(cuts):
        if end - begin < 1:
            continue
        cell = _cell_at(_inside(a, b, (begin + end) / 2), cells)
        for at in (begin, end):
            spot = (a[0] + (b[0] - a[0]) * at / size, a[1] + (b[1] - a[1]) * at / size)
            top = cell.top_at(spot)
            level = _ground_at(ground, at) if ground else top - max(deep_mm, cell.thickness_mm)
            if not rows or rows[-1].at_mm != at or abs(rows[-1].stands_mm - (top - level)) > 0.01:
                rows.append(Station(at, top, level))
    return rows


def above_ground(part: Reach, spots: Sequence[Station], above_mm: float) -> list[tuple[float, float]]:
    """Stretches of a part where the form stands more than `above_mm` over the ground: (from, to) in mm along the side."""
    found: list[tuple[float, float]] = []
    for one, two in pairwise(spots):
        start, end = max(one.at_mm, part.from_mm), min(two.at_mm, part.to_mm)
        if end <= start:
            continue
        rise = (two.stands_mm - one.stands_mm) / (two.at_mm - one.at_mm)
        low, high = (one.stands_mm + rise * (at - one.at_mm) for at in (start, end))
        if max(low, high) <= above_mm:
            continue
        if low < above_mm:
            start += (above_mm - low) / rise
        if high < above_mm:
            end -= (above_mm - high) / -rise
        if found and start - found[-1][1] < 1e-6:
            found[-1] = (found[-1][0], end)
        else:
            found.append((start, end))
    return found


def _inside(a: XY, b: XY, at: float) -> XY:
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    return (a[0] + ux * at - uy * INSIDE_MM, a[1] + uy * at + ux * INSIDE_MM)


def _cell_at(spot: XY, cells: Sequence[Cell]) -> Cell:
    point = Point(spot)
    return min(cells, key=lambda cell: cell.region.distance(point))


def _borders(a: XY, b: XY, cells: Sequence[Cell]) -> list[float]:
    """Where the zone along a side changes, as distances from its start."""
    line = LineString([_inside(a, b, 0.0), _inside(a, b, math.dist(a, b))])
    found: set[float] = set()
    for cell in cells:
        for part in getattr(shared := line.intersection(cell.region), "geoms", [shared]):
            for spot in getattr(part, "coords", []):
                at = math.dist(line.coords[0], spot)
                if 5 < at < line.length - 5:
                    found.add(round(at, 1))
    return sorted(found)


def _ground_at(ground: Sequence[object], at: float) -> float:
    """Straight between the levels typed, level beyond the first and the last."""
    spots = [(row.at_mm, row.level_mm) for row in ground]  # type: ignore[attr-defined]
    if at <= spots[0][0]:
        return float(spots[0][1])
    for (x1, y1), (x2, y2) in pairwise(spots):
        if at <= x2:
            return float(y1 + (y2 - y1) * (at - x1) / (x2 - x1))
    return float(spots[-1][1])
