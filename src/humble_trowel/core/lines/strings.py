"""Strings and profile boards: one string over each line of sides, nailed to boards that stand clear of the slab."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import NamedTuple

import numpy as np
import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

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
    standing = [(row, Polygon(row.polygon).buffer(1.0)) for row in plan.existing]
    core = outline.buffer(-ONE_LINE_MM)
    shapely.prepare(core)
    site = Site(ring, core, _rims(core), standing, baseline)
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
    """Where strings go: the outline, its inside with the sides of that, what stands beside it with a hair
    around, and what everything is measured from."""

    ring: Sequence[XY]
    core: BaseGeometry
    rims: np.ndarray[tuple[int, int], np.dtype[np.float64]]
    standing: Sequence[tuple[Existing, BaseGeometry]]
    baseline: Baseline


def _rims(core: BaseGeometry) -> np.ndarray[tuple[int, int], np.dtype[np.float64]]:
    """All sides of a region as rows x1, y1, x2, y2."""
    rings = shapely.get_rings(shapely.get_parts(core))
    rows = [np.hstack([spots[:-1], spots[1:]]) for spots in map(shapely.get_coordinates, rings)]
    return np.vstack(rows) if rows else np.zeros((0, 4))


def _nail(site: Site, inner: XY, corner: XY, profile_mm: float, units: Units) -> Nail:
    ring, standing, baseline = site.ring, site.standing, site.baseline
    size = math.dist(inner, corner)
    ux, uy = (corner[0] - inner[0]) / size, (corner[1] - inner[1]) / size
    out = _clear_of(site, corner, (ux, uy), profile_mm)
    on, board_needed = "profile board", True
    for row, around in standing:
        hit = LineString([corner, (corner[0] + ux * (out + 1), corner[1] + uy * (out + 1))]).intersection(around)
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


def _clear_of(site: Site, corner: XY, way: XY, profile_mm: float) -> float:
    """How far past a corner the string must run until its board stands `profile_mm` clear of the slab."""
    out = 0.0
    for begins, ends in _inside(site, corner, way):
        if begins > out + profile_mm + BOARD_MM:
            break
        out = max(out, ends)
    return out + profile_mm if out < 2 * ONE_LINE_MM else out + ONE_LINE_MM + profile_mm


def _inside(site: Site, corner: XY, way: XY) -> list[tuple[float, float]]:
    """Where a ray from a corner runs in the inside of the outline: (from, to) in mm along it, ascending."""
    (x, y), (ux, uy) = corner, way
    ax, ay, bx, by = site.rims.T
    left_a, left_b = ux * (ay - y) - uy * (ax - x), ux * (by - y) - uy * (bx - x)
    meets = (left_a > 0) != (left_b > 0)
    share = left_a[meets] / (left_a[meets] - left_b[meets])
    along = ux * (ax - x) + uy * (ay - y)
    further = ux * (bx - x) + uy * (by - y)
    crossed = along[meets] + share * (further[meets] - along[meets])
    stops = np.concatenate(([0.0], np.sort(crossed[crossed > 0])))
    middle = (stops[:-1] + stops[1:]) / 2
    held = shapely.contains_xy(site.core, x + ux * middle, y + uy * middle)
    return [(float(stops[at]), float(stops[at + 1])) for at in np.flatnonzero(held)]
