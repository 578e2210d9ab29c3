"""The surface through scattered shots: linear on Delaunay triangles; outside their hull the value of the nearest
point of the hull.

Outside the hull that is again linear by pieces: a strip square to each hull side carries the side's own values, a
wedge at each hull corner carries the corner's. So the whole plan is covered by polygons with a linear value each,
and integrals are exact.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
import shapely
from numpy.typing import NDArray

from humble_trowel.core.errors import InputError

Array = NDArray[np.float64]
Index = NDArray[np.intp]


@dataclass(frozen=True)
class ShotSurface:
    """Polygons that cover the plan, and a row (at_0, per_x, per_y) of the value on each.

    boxes: bounds of the polygons.
    spots: (n, 2) and values: (n,), mm. triangles: (m, 3) into them; hull: (k, 2), sides with the hull on their
    left; corners: of the hull."""

    spots: Array
    values: Array
    triangles: Index
    polygons: NDArray[np.object_]
    boxes: Array
    planes: Array
    hull: Index
    corners: Index

    def with_values(self, values: Array) -> ShotSurface:
        """The same places with other values."""
        planes = _all_planes(self.spots, values, self.triangles, self.hull, self.corners)
        return replace(self, values=values, planes=planes)

    def at(self, x: float, y: float) -> float:
        """The value at a plan point, mm."""
        spot = shapely.Point(x, y)
        near = int(np.argmin(shapely.distance(self.polygons, spot)))
        return float(self.planes[near] @ (1.0, x, y))


def shot_surface(spots: Array, values: Array, reach_mm: float, triangles: Index | None = None) -> ShotSurface:
    """The surface through (n, 2) spots with (n,) values, covering everything within `reach_mm` of the shots.

    Raises InputError for fewer than three shots, or all in one line."""
    if len(spots) < 3:
        said = "1 shot makes" if len(spots) == 1 else f"{len(spots)} shots make"
        raise InputError(f"{said} no surface. It takes three, not in one line.", "shots")
    if triangles is None:
        triangles = delaunay(spots)
    if not len(triangles):
        raise InputError("All shots lie in one line. Shoot one beside the line.", "shots")
    hull = _hull_sides(triangles)
    corners = spots[triangles]
    wide = np.abs(_twice(corners)) > _flat(corners)
    triangles, corners = triangles[wide], corners[wide]
    closed = np.concatenate([corners, corners[:, :1]], axis=1)
    outer, turns = _outside(spots, hull, reach_mm)
    polygons = np.concatenate([_shapes(closed), _shapes(outer)])
    boxes = np.asarray(shapely.bounds(polygons), dtype=np.float64)
    planes = _all_planes(spots, values, triangles, hull, turns)
    return ShotSurface(spots, values, triangles, polygons, boxes, planes, hull, turns)


def points_of(spots: object) -> NDArray[np.object_]:
    """Points of (n, 2) spots, an array also for one or none."""
    return np.asarray(shapely.points(np.asarray(spots, dtype=np.float64).reshape(-1, 2)), dtype=object).reshape(-1)


def _shapes(rings: Array) -> NDArray[np.object_]:
    return np.asarray(shapely.polygons(rings), dtype=object).reshape(-1)


def delaunay(spots: Array) -> Index:
    """Delaunay triangles of (n, 2) distinct spots as rows of three indices, anticlockwise; none flat on the hull."""
    from scipy.spatial import Delaunay, QhullError

    moved = spots - spots.mean(axis=0)
    try:
        index = np.asarray(Delaunay(moved).simplices, dtype=np.intp)
    except QhullError:  # all in one line
        return np.zeros((0, 3), dtype=np.intp)
    twice = _twice(moved[index])
    index = np.where((twice < 0)[:, None], index[:, ::-1], index)
    return _peeled(index, np.abs(twice) <= _flat(moved[index]))


def _twice(corners: Array) -> Array:
    """Twice the signed area of triangles (n, 3, 2)."""
    u, v = corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]
    return np.asarray(u[:, 0] * v[:, 1] - u[:, 1] * v[:, 0])


def _flat(corners: Array) -> Array:
    """Twice the area under which a triangle is a line: a thousandth of a mm high."""
    spread = np.ptp(corners, axis=1)
    return np.asarray(1e-3 * np.hypot(spread[:, 0], spread[:, 1]))


def _peeled(index: Index, flat: NDArray[np.bool_]) -> Index:
    """Triangles without the flat ones on the hull, so that the hull runs through their middle corner too."""
    while flat.any() and len(index):
        hull = {(int(a), int(b)) for a, b in _hull_sides(index)}
        outer = np.array([any((int(t[k]), int(t[k - 2])) in hull for k in range(3)) for t in index[flat]])
        if not outer.any():
            break
        gone = np.flatnonzero(flat)[outer]
        index, flat = np.delete(index, gone, axis=0), np.delete(flat, gone)
    return np.asarray(index, dtype=np.intp)


def _planes(corners: Array, values: Array) -> Array:
    """Rows (at_0, per_x, per_y) through three corners each."""
    a = corners[:, 0]
    u, v = corners[:, 1] - a, corners[:, 2] - a
    p, q = values[:, 1] - values[:, 0], values[:, 2] - values[:, 0]
    twice = u[:, 0] * v[:, 1] - u[:, 1] * v[:, 0]
    per_x = (p * v[:, 1] - q * u[:, 1]) / twice
    per_y = (q * u[:, 0] - p * v[:, 0]) / twice
    return np.column_stack([values[:, 0] - per_x * a[:, 0] - per_y * a[:, 1], per_x, per_y])


def _hull_sides(triangles: Index) -> Index:
    """Sides that belong to one triangle only, with the triangles on their left: (k, 2)."""
    sides = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]])
    keys = sides.min(axis=1) * (int(sides.max()) + 1) + sides.max(axis=1)
    _, first, counts = np.unique(keys, return_index=True, return_counts=True)
    return np.asarray(sides[first[counts == 1]], dtype=np.intp)


def _outside(spots: Array, sides: Index, reach: float) -> tuple[Array, Index]:
    """Strips outside the hull's sides and wedges at its corners: rings (k, 5, 2) closed, and the wedges' corners."""
    a, b = spots[sides[:, 0]], spots[sides[:, 1]]
    along = b - a
    size = np.hypot(along[:, 0], along[:, 1])
    out = np.column_stack([along[:, 1], -along[:, 0]]) / size[:, None]
    far = reach * out
    rings = [np.stack([a, a + far, b + far, b, a], axis=1)]
    into = {int(side[1]): i for i, side in enumerate(sides)}
    wedges, corners = [], []
    for i, (start, _) in enumerate(sides.tolist()):
        j = into.get(start)
        if j is None:
            continue
        one, two = out[j], out[i]
        if one[0] * two[1] - one[1] * two[0] <= 1e-12:
            continue
        spot, tip = spots[start], one + two
        if float(tip @ tip) < 1.0:  # nearly a half plane: the middle stands square on what lies between the two
            tip = np.array([two[1] - one[1], one[0] - two[0]])
        # long enough that the quadrilateral holds nearly the whole arc of the wedge, however wide that is
        tip = 2.0 * tip / np.hypot(tip[0], tip[1])
        wedges.append([spot, spot + reach * one, spot + reach * tip, spot + reach * two, spot])
        corners.append(start)
    if wedges:
        rings.append(np.asarray(wedges))
    return np.concatenate(rings), np.asarray(corners, dtype=np.intp)


def _all_planes(spots: Array, values: Array, triangles: Index, hull: Index, corners: Index) -> Array:
    """Rows of the triangles, then of the strips outside the hull's sides, then of the wedges at its corners."""
    a = spots[hull[:, 0]]
    along = spots[hull[:, 1]] - a
    per = along * ((values[hull[:, 1]] - values[hull[:, 0]]) / (along**2).sum(axis=1))[:, None]
    strips = np.column_stack([values[hull[:, 0]] - (per * a).sum(axis=1), per])
    wedges = np.column_stack([values[corners], np.zeros((len(corners), 2))])
    return np.concatenate([_planes(spots[triangles], values[triangles]), strips, wedges])


def merged_shots(spots: Sequence[tuple[float, float]], near_mm: float) -> tuple[list[int], list[tuple[int, int]]]:
    """(indices that count, pairs (earlier, later) at one place): of shots within `near_mm` the later counts."""
    points = points_of(spots)
    tree = shapely.STRtree(points)
    one, other = tree.query(points, predicate="dwithin", distance=near_mm)
    pairs = sorted((int(i), int(j)) for i, j in zip(one, other, strict=True) if i < j)
    gone = {i for i, _ in pairs}
    return [i for i in range(len(points)) if i not in gone], pairs
