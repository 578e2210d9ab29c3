"""Is it flat? Where to rake and where to add, in words; whether there are enough shots; where the next one goes."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import area_mm2, cut
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import Facet
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.layer_shots import Ground, LayerShots
from humble_trowel.core.ground.shot_surface import ShotSurface, points_of, shot_surface
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M3_PER_YD3, Units, format_area, say_depth

Array = NDArray[np.float64]
MOST_DRAWN = 1500
LEAST_RAKE_M2 = 0.2
MOST_RAKES = 12
INSET_MM = 300.0


@dataclass(frozen=True)
class Band:
    """Ground between two levels off the design. sign: -1 low, 0 inside, 1 high. step: how far out, 1, 2, 3.

    text: the number drawn in it, at its widest spot."""

    low_mm: float
    high_mm: float
    sign: int
    step: int
    rings: list[list[XY]]
    marks: list[tuple[XY, str]]


@dataclass(frozen=True)
class Rake:
    """One place to rake off or to fill. most_mm: at its worst, signed. words: for the crew."""

    zone: str
    place: str
    at: XY
    most_mm: float
    area_m2: float
    words: str


@dataclass(frozen=True)
class Enough:
    """Whether the shots settle the volume. doubt_m3: spread of the mean error times the area, None where too few shots say. allowed_m3: a quarter
    of the plant's step. more: how many more shots at this spread. next_at: middle of the largest gap."""

    enough: bool
    doubt_m3: float | None
    allowed_m3: float
    more: int
    next_at: XY | None
    words: str


@dataclass(frozen=True)
class Contours:
    """The ground between each two of the edges (mm off the design), the middle one inside tolerance."""

    edges: list[float]
    areas: list[BaseGeometry]


def contours(taken: LayerShots, ways: JobWays) -> Contours:
    """Bands of the crew's tolerance: inside, then one, two, three times out, high and low."""
    high, low = ways.ground.high_mm, ways.ground.low_mm
    edges = [-math.inf, -3 * low, -2 * low, -low, high, 2 * high, 3 * high, math.inf]
    groups: list[list[Polygon]] = [[] for _ in edges[1:]]
    if taken.surface is not None:
        for ground in taken.grounds:
            surface = _drawn(taken.surfaces[ground.cell.index])
            for facet in ground.facets:
                for ring, values in _rings(surface, facet):
                    for k, part in _split(ring, values, edges):
                        groups[k].append(Polygon(part))
    return Contours(edges, [shapely.union_all(shapes, grid_size=0.5) if shapes else Polygon() for shapes in groups])


def bands(drawn: Contours, units: Units) -> list[Band]:
    """Contours as rings with their numbers, for drawing."""
    rows = []
    for k, area in enumerate(drawn.areas):
        if not area.is_empty:
            sign = -1 if k < 3 else 1 if k > 3 else 0
            rows.append(_band(area, drawn.edges[k], drawn.edges[k + 1], sign, abs(k - 3), units))
    return rows


def _drawn(surface: ShotSurface) -> ShotSurface:
    """Of very many shots a thinned surface is drawn; figures always come from all of them."""
    if len(surface.spots) <= MOST_DRAWN:
        return surface
    keep = np.linspace(0, len(surface.spots) - 1, MOST_DRAWN).astype(int)
    order = np.lexsort((surface.spots[:, 1], np.round(surface.spots[:, 0], -3)))[keep]
    reach = float(np.ptp(surface.spots, axis=0).sum()) * 2 + 1000
    return shot_surface(surface.spots[order], surface.values[order], reach)


def _rings(surface: ShotSurface, facet: Facet) -> list[tuple[list[XY], list[float]]]:
    """Convex rings of the clipped surface with their values off the design at the corners."""
    region = facet.region
    shapely.prepare(region)
    inside = shapely.covers(region, surface.polygons)
    rows = []
    for at in np.flatnonzero(shapely.intersects(region, surface.polygons)):
        shape = surface.polygons[at]
        parts = [shape] if inside[at] else _convex(shapely.intersection(shape, region, grid_size=0.01))
        a, b, c = surface.planes[at] - np.array(facet.plane)
        for part in parts:
            ring = [(float(x), float(y)) for x, y in shapely.get_coordinates(part)[:-1]]
            ring = ring if area_mm2(ring) > 0 else ring[::-1]
            rows.append((ring, [a + b * x + c * y for x, y in ring]))
    return rows


def _convex(shape: BaseGeometry) -> list[Polygon]:
    found: list[Polygon] = []
    for part in shapely.get_parts(shape):
        if part.geom_type == "Polygon" and part.area > 1:
            hull = part.convex_hull
            found += (
                [part]
                if hull.area - part.area < 1
                else list(shapely.get_parts(shapely.constrained_delaunay_triangles(part)))
            )
    return found


def _split(ring: list[XY], values: list[float], edges: Sequence[float]) -> list[tuple[int, list[XY]]]:
    rows = []
    least, most = min(values), max(values)
    plane = None
    for k in range(len(edges) - 1):
        if most <= edges[k] or least >= edges[k + 1]:
            continue
        part, own = ring, values
        if least < edges[k]:
            plane = plane or _plane(ring, values)
            part, _ = cut(part, [v - edges[k] for v in own])
            own = [plane[0] + plane[1] * x + plane[2] * y for x, y in part]
        if part and max(own) > edges[k + 1]:
            _, part = cut(part, [v - edges[k + 1] for v in own])
        if part:
            rows.append((k, part))
    return rows


def _plane(ring: list[XY], values: list[float]) -> tuple[float, float, float]:
    xy = np.array(ring)
    middle = xy.mean(axis=0)
    found, *_ = np.linalg.lstsq(np.column_stack([np.ones(len(xy)), xy - middle]), np.array(values), rcond=None)
    a, b, c = (float(v) for v in found)
    return a - b * float(middle[0]) - c * float(middle[1]), b, c


def _band(area: BaseGeometry, low: float, high: float, sign: int, step: int, units: Units) -> Band:
    rings, marks = [], []
    for part in shapely.get_parts(area):
        if part.geom_type != "Polygon" or part.area < 2e3:
            continue
        for ring in (part.exterior, *part.interiors):
            rings.append([(round(x, 1), round(y, 1)) for x, y in shapely.get_coordinates(ring)[:-1].tolist()])
        if sign and part.area > 2e5:
            spot = part.representative_point()
            edge = low if sign > 0 else -high
            marks.append(((round(spot.x, 1), round(spot.y, 1)), f"{'+' if sign > 0 else '−'}{say_depth(edge, units)}"))
    return Band(max(low, -1e6), min(high, 1e6), sign, step, rings, marks)


def rakes(taken: LayerShots, drawn: Contours, plan: Plan) -> list[Rake]:
    """Places out of tolerance, the worst first: where two bands run together they are one place."""
    rows: list[Rake] = []
    off = np.array([shot.off_mm for shot in taken.shots])
    tree = shapely.STRtree(points_of([shot.at for shot in taken.shots]))
    for sign in (1, -1):
        own = drawn.areas[4:] if sign > 0 else drawn.areas[:3]
        together = shapely.union_all([area.buffer(1.0) for area in own])
        for ground in taken.grounds:
            parts = shapely.get_parts(together.intersection(ground.cell.region))
            shares = sorted((s for s in parts if s.area / 1e6 >= LEAST_RAKE_M2), key=lambda s: -float(s.area))
            for share in shares[:MOST_RAKES]:
                near = tree.query(share.buffer(150), predicate="intersects")
                near = near[off[near] * sign > 0]
                if len(near):
                    worst = taken.shots[int(near[np.argmax(off[near] * sign)])]
                    rows.append(_rake(ground, share, worst.at, worst.off_mm, plan))
                    continue
                spot = share.representative_point()
                most = _off_at(taken, ground, (spot.x, spot.y))
                if most * sign > 0:
                    rows.append(_rake(ground, share, (spot.x, spot.y), most, plan))
    return sorted(rows, key=lambda row: -abs(row.most_mm))


def _off_at(taken: LayerShots, ground: Ground, spot: XY) -> float:
    """How far the surface is off the design at a plan point, mm."""
    return taken.surfaces[ground.cell.index].at(*spot) + ground.datum_mm - ground.level_at(spot)


def _rake(ground: Ground, share: BaseGeometry, spot: XY, most: float, plan: Plan) -> Rake:
    where = place_of(spot, ground.cell)
    act = "Rake off" if most > 0 else "Fill, pack, shoot again"
    size, area = say_depth(abs(most), plan.units), float(share.area) / 1e6
    words = f"{where[0].upper()}{where[1:]}: {size} {'high' if most > 0 else 'low'} over about {format_area(area, plan.units)}. {act}."
    return Rake(ground.cell.name, where, spot, most, area, words)


def place_of(spot: XY, cell: Cell) -> str:
    """'north-west corner of Bottling', 'middle of Apron': by thirds of the zone's bounding box, plan north."""
    x0, y0, x1, y1 = cell.region.bounds
    across = min(2, max(0, int(3 * (spot[0] - x0) / max(1.0, x1 - x0))))
    up = min(2, max(0, int(3 * (spot[1] - y0) / max(1.0, y1 - y0))))
    north, east = ("south", "", "north")[up], ("west", "", "east")[across]
    if north and east:
        return f"{north}-{east} corner of {cell.name}"
    return f"{north or east} side of {cell.name}" if north or east else f"middle of {cell.name}"


def enough(taken: LayerShots, plan: Plan, ways: JobWays) -> Enough:
    """Whether the shots settle the volume: the standard error of their mean (spread over root n) times the area, m3,
    against a quarter of the plant's step. Where not: about how many more at this spread, and where the next one goes.
    """
    metric = plan.units == "mm"
    step = ways.plant.increment_m3 if metric else ways.plant.increment_yd3 * M3_PER_YD3
    allowed, n = step / 4, len(taken.shots)
    area = sum(float(facet.region.area) for ground in taken.grounds for facet in ground.facets) / 1e6
    gap = next_spot(taken)
    if n < 3 or taken.surface is None:
        return Enough(
            False, None, allowed, max(1, 3 - n), gap, taken.problem or "Three shots at least, not in one line."
        )
    doubt = taken.spread_mm / math.sqrt(n) * area / 1000
    unit, per = ("m³", 1.0) if metric else ("yd³", M3_PER_YD3)
    said = f"{n} shots leave {doubt / per:.2f} {unit} in doubt, {allowed / per:.3g} allowed"
    if doubt <= allowed:
        return Enough(True, doubt, allowed, 0, gap, f"Enough: {said}.")
    more = math.ceil((taken.spread_mm * area / 1000 / allowed) ** 2) - n
    return Enough(False, doubt, allowed, more, gap, f"{said}. About {more} more, the next in the largest gap.")


def next_spot(taken: LayerShots) -> XY | None:
    """The plan point in mm farthest from any shot, a foot inside the borders; None where there is no such room."""
    regions = shapely.union_all([facet.region for ground in taken.grounds for facet in ground.facets], grid_size=0.1)
    roomy = regions.buffer(-INSET_MM)
    if roomy.is_empty:
        return None
    if not taken.shots:
        spot = roomy.representative_point()
        return (round(spot.x), round(spot.y))
    tries = [shapely.get_coordinates(roomy)]
    if taken.surface is not None and len(taken.surface.triangles):
        tries.append(_circumcentres(taken.surface.spots[taken.surface.triangles]))
    spots = np.concatenate(tries)
    points = shapely.points(spots)
    shapely.prepare(roomy)
    spots = spots[shapely.intersects(roomy, points)] if len(tries) > 1 else spots
    if not len(spots):
        return None
    tree = shapely.STRtree(points_of([shot.at for shot in taken.shots]))
    _, away = tree.query_nearest(shapely.points(spots), return_distance=True, all_matches=False)
    best = spots[int(np.argmax(away))]
    return (round(float(best[0])), round(float(best[1])))


def _circumcentres(corners: Array) -> Array:
    a = corners[:, 0]
    u, v = corners[:, 1] - a, corners[:, 2] - a
    twice = 2 * (u[:, 0] * v[:, 1] - u[:, 1] * v[:, 0])
    uu, vv = (u**2).sum(axis=1), (v**2).sum(axis=1)
    return np.asarray(a + np.column_stack([v[:, 1] * uu - u[:, 1] * vv, u[:, 0] * vv - v[:, 0] * uu]) / twice[:, None])
