"""Strings and profile boards: one string over each line of sides, nailed to boards that stand clear of the slab."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import NamedTuple

import shapely
from shapely.geometry import LineString, Point, Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.lines.baseline import Baseline
from humble_trowel.core.plan.document import Existing, Plan, corner_name, side_name
from humble_trowel.core.units import Units, say_length

ONE_LINE_MM = 1.0
BOARD_MM = 600.0
SHORTEST_MM = 300.0


@dataclass(frozen=True)
class Nail:
    """Where a string is nailed. x_mm, y_mm: plan. along_mm, left_mm: from the baseline. on: what it is nailed to.

    beyond: the corner it lies past, and how far. board: the profile board's two ends, empty on something that stands.
    """

    x_mm: float
    y_mm: float
    along_mm: float
    left_mm: float
    on: str
    beyond: str
    beyond_mm: float
    beyond_text: str
    board: list[XY]


@dataclass(frozen=True)
class StringLine:
    """A string over one or more sides that lie in one line."""

    name: str
    sides: list[int]
    start: Nail
    end: Nail
    length_mm: float


def string_lines(plan: Plan, baseline: Baseline, profile_mm: float) -> list[StringLine]:
    """One string for each line of sides; chords of a rounded corner get none."""
    ring = list(plan.outline or [])
    outline = Polygon(ring)
    site = Site(ring, outline, [(row, Polygon(row.polygon)) for row in plan.existing], baseline)
    lines = []
    for sides in _in_line(ring):
        a, b = _ends(ring, sides)
        if math.dist(a, b) < SHORTEST_MM and len(ring) > 8:
            continue
        start = _nail(site, b, a, profile_mm, plan.units)
        end = _nail(site, a, b, profile_mm, plan.units)
        names = ", ".join(side_name(side, len(ring)) for side in sides)
        span = math.hypot(end.x_mm - start.x_mm, end.y_mm - start.y_mm)
        lines.append(StringLine(names, sides, start, end, span))
    return lines


def _in_line(ring: Sequence[XY]) -> list[list[int]]:
    """Sides grouped by the straight line they lie on."""
    groups: list[list[int]] = []
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        for group in groups:
            c, d = side_of(ring, group[0])
            if _off(a, c, d) < ONE_LINE_MM and _off(b, c, d) < ONE_LINE_MM:
                group.append(i)
                break
        else:
            groups.append([i])
    return groups


def _off(spot: XY, a: XY, b: XY) -> float:
    size = math.dist(a, b)
    return abs((b[0] - a[0]) * (spot[1] - a[1]) - (b[1] - a[1]) * (spot[0] - a[0])) / size


def _ends(ring: Sequence[XY], sides: Sequence[int]) -> tuple[XY, XY]:
    """The two outermost corners of sides in one line, in the direction of the first."""
    c, d = side_of(ring, sides[0])
    size = math.dist(c, d)
    spots = [ring[(side + k) % len(ring)] for side in sides for k in (0, 1)]
    along = [((x - c[0]) * (d[0] - c[0]) + (y - c[1]) * (d[1] - c[1])) / size for x, y in spots]
    return spots[along.index(min(along))], spots[along.index(max(along))]


class Site(NamedTuple):
    """Where strings go: the outline, what stands beside it, and what everything is measured from."""

    ring: Sequence[XY]
    outline: Polygon
    standing: Sequence[tuple[Existing, Polygon]]
    baseline: Baseline


def _nail(site: Site, inner: XY, corner: XY, profile_mm: float, units: Units) -> Nail:
    ring, outline, standing, baseline = site
    size = math.dist(inner, corner)
    ux, uy = (corner[0] - inner[0]) / size, (corner[1] - inner[1]) / size
    out = _clear_of(outline, corner, (ux, uy), profile_mm)
    on, board_needed = "profile board", True
    for row, shape in standing:
        hit = LineString([corner, (corner[0] + ux * (out + 1), corner[1] + uy * (out + 1))]).intersection(
            shape.buffer(1.0)
        )
        if not hit.is_empty and row.what in ("wall", "slab", "kerb"):
            out = max(0.0, Point(corner).distance(hit))
            on, board_needed = row.name, False
    spot = (corner[0] + ux * out, corner[1] + uy * out)
    half = BOARD_MM / 2
    board = [(spot[0] + uy * half, spot[1] - ux * half), (spot[0] - uy * half, spot[1] + ux * half)]
    along, left = baseline.local(spot)
    at = min(range(len(ring)), key=lambda i: math.dist(ring[i], corner))
    return Nail(
        spot[0], spot[1], along, left, on, corner_name(at), out, say_length(out, units), board if board_needed else []
    )


def _clear_of(outline: Polygon, corner: XY, way: XY, profile_mm: float) -> float:
    """How far past a corner the string must run until its board stands `profile_mm` clear of the slab."""
    x1, y1, x2, y2 = outline.bounds
    far = math.hypot(x2 - x1, y2 - y1) + profile_mm
    ray = LineString([corner, (corner[0] + way[0] * far, corner[1] + way[1] * far)])
    inside = ray.intersection(outline.buffer(-ONE_LINE_MM))
    out = 0.0
    for part in sorted(shapely.get_parts(inside), key=lambda p: p.distance(Point(corner))):
        begins = part.distance(Point(corner))
        if begins > out + profile_mm + BOARD_MM:
            break
        ends = [math.dist(corner, spot) for spot in shapely.get_coordinates(part).tolist()]
        out = max(out, *ends) if ends else out
    return out + profile_mm if out < 2 * ONE_LINE_MM else out + ONE_LINE_MM + profile_mm
