"""Cut and fill between the surface through the shots and the design, exact: clipped to the region and split at 0."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from numpy.typing import NDArray

from humble_trowel.core.geometry.tops import Facet
from humble_trowel.core.ground.shot_surface import ShotSurface

Array = NDArray[np.float64]
NOTHING_MM = 1e-9  # less than this above or below is even


@dataclass(frozen=True)
class CutFill:
    """cut_m3: above the design. fill_m3: below it. high_mm, low_mm: extremes over the region, signed."""

    area_m2: float
    cut_m3: float
    fill_m3: float
    high_mm: float
    low_mm: float

    @property
    def mean_mm(self) -> float:
        """Mean of actual less design, mm: above is positive."""
        return (self.cut_m3 - self.fill_m3) / self.area_m2 * 1000 if self.area_m2 else 0.0


NOTHING = CutFill(0.0, 0.0, 0.0, 0.0, 0.0)


@dataclass(frozen=True)
class Triangles:
    """Signed triangles (fans of clipped polygons) with the value at each corner. xy: (n, 3, 2). h: (n, 3), mm."""

    xy: Array
    h: Array

    @property
    def area(self) -> Array:
        """Signed, mm2."""
        u, v = self.xy[:, 1] - self.xy[:, 0], self.xy[:, 2] - self.xy[:, 0]
        return np.asarray((u[:, 0] * v[:, 1] - u[:, 1] * v[:, 0]) / 2)


def cut_fill(surface: ShotSurface, design: Sequence[Facet]) -> CutFill:
    """Surface less design over all facets, whose regions do not overlap. design: planes in mm of the same datum."""
    return total([measure(fans(surface, facet)) for facet in design])


def total(rows: Sequence[CutFill]) -> CutFill:
    """Several regions as one."""
    there = [row for row in rows if row.area_m2 > 0]
    if not there:
        return NOTHING
    return CutFill(
        sum(row.area_m2 for row in there), sum(row.cut_m3 for row in there), sum(row.fill_m3 for row in there),
        max(row.high_mm for row in there), min(row.low_mm for row in there),
    )  # fmt: skip


def fans(surface: ShotSurface, facet: Facet) -> Triangles:
    """The surface clipped to a facet's region, less its plane, as signed triangles."""
    region = facet.region
    rows = surface.planes - np.array([facet.plane.at_0, facet.plane.per_x, facet.plane.per_y])
    shapely.prepare(region)
    x0, y0, x1, y1 = region.bounds
    box = surface.boxes
    near = np.flatnonzero((box[:, 0] < x1) & (box[:, 2] > x0) & (box[:, 1] < y1) & (box[:, 3] > y0))
    whole = shapely.covers(region, surface.polygons[near])
    kept, row_of = [surface.polygons[near[whole]]], [near[whole]]
    cut = near[~whole]
    cut = cut[shapely.intersects(region, surface.polygons[cut])]
    clipped, source = shapely.get_parts(shapely.intersection(surface.polygons[cut], region), return_index=True)
    areal = shapely.get_type_id(clipped) == 3
    kept.append(clipped[areal])
    row_of.append(cut[source[areal]])
    shapes, owner = np.concatenate(kept), np.concatenate(row_of)
    if not len(shapes):
        return Triangles(np.zeros((0, 3, 2)), np.zeros((0, 3)))
    rings, of_shape = shapely.get_rings(shapely.orient_polygons(shapes), return_index=True)
    xy, ring = shapely.get_coordinates(rings, return_index=True)
    first = np.searchsorted(ring, np.arange(len(rings)))
    at = np.flatnonzero((ring[:-1] == ring[1:]) & (np.arange(len(ring) - 1) > first[ring[:-1]]))
    corners = np.stack([xy[first[ring[at]]], xy[at], xy[at + 1]], axis=1)
    own = rows[owner[of_shape[ring[at]]]]
    h = own[:, :1] + corners[..., 0] * own[:, 1:2] + corners[..., 1] * own[:, 2:]
    return Triangles(corners, h)


def measure(part: Triangles) -> CutFill:
    """Volumes and extremes of signed triangles."""
    if not len(part.h):
        return NOTHING
    area, above = part.area, above_zero(part.h)
    cut = float((area * above).sum()) / 1e9
    both = float((area * part.h.mean(axis=1)).sum()) / 1e9
    return CutFill(
        float(area.sum()) / 1e6, max(0.0, cut), max(0.0, cut - both), float(part.h.max()), float(part.h.min())
    )


def above_zero(h: Array) -> Array:
    """Mean over a triangle of max(value, 0), for values linear with corners h (n, 3)."""
    low, middle, high = np.sort(np.where(np.abs(h) < NOTHING_MM, 0.0, h), axis=1).T
    mean = (low + middle + high) / 3
    lone_above, lone_below = (low < 0) & (middle <= 0) & (high > 0), (low < 0) & (middle > 0)
    spread = np.where(lone_above | lone_below, high - low, 1.0)
    one = high * (high / spread) * (high / np.where(lone_above, high - middle, 1.0)) / 3
    two = mean - low * (low / spread) * (low / np.where(lone_below, middle - low, 1.0)) / 3
    result = np.where(low >= 0, mean, np.where(high <= 0, 0.0, np.where(lone_above, one, two)))
    return np.asarray(result, dtype=np.float64)
