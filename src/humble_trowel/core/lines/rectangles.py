"""Maximal rectangles with all four sides on the outline: the ones whose diagonals a crew tapes."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY

SAME_MM = 1.0
MOST_LINES = 60
MOST = 12


@dataclass(frozen=True)
class Rectangle:
    """Corners anticlockwise in mm, and the diagonal they all share."""

    corners: tuple[XY, XY, XY, XY]
    diagonal_mm: float


def maximal_rectangles(ring: Sequence[XY]) -> list[Rectangle]:
    """The largest first, at most 12. None for an outline without square corners."""
    found: list[Rectangle] = []
    for angle in _directions(ring):
        found += _along(ring, angle)
    found.sort(key=lambda r: -_area(r))
    return found[:MOST]


def _area(r: Rectangle) -> float:
    return math.dist(r.corners[0], r.corners[1]) * math.dist(r.corners[1], r.corners[2])


def _directions(ring: Sequence[XY]) -> list[float]:
    """Directions (mod 90 degrees) that at least four sides share."""
    angles: list[tuple[float, int]] = []
    for i, (ax, ay) in enumerate(ring):
        bx, by = ring[(i + 1) % len(ring)]
        angle = math.atan2(by - ay, bx - ax) % (math.pi / 2)
        for at, (known, count) in enumerate(angles):
            if abs(math.remainder(angle - known, math.pi / 2)) < 1e-4:
                angles[at] = (known, count + 1)
                break
        else:
            angles.append((angle, 1))
    return [angle for angle, count in angles if count >= 4]


def _along(ring: Sequence[XY], angle: float) -> list[Rectangle]:
    c, s = math.cos(angle), math.sin(angle)
    turned = [(x * c + y * s, y * c - x * s) for x, y in ring]
    xs, ys = _lines(turned, 0), _lines(turned, 1)
    if len(xs) < 2 or len(ys) < 2 or len(xs) > MOST_LINES or len(ys) > MOST_LINES:
        return []
    inside = _inside(turned, xs, ys)
    blocks = _biggest(inside)
    if not blocks:
        return []
    rim = Polygon(turned).exterior.buffer(SAME_MM)
    found = []
    for x1, x2, y1, y2 in blocks:
        box = (xs[x1], ys[y1], xs[x2], ys[y2])
        if _on_outline(rim, box):
            corners = [(box[0], box[1]), (box[2], box[1]), (box[2], box[3]), (box[0], box[3])]
            back = [(x * c - y * s, x * s + y * c) for x, y in corners]
            found.append(Rectangle((back[0], back[1], back[2], back[3]), math.dist(back[0], back[2])))
    return found


def _lines(ring: Sequence[XY], axis: int) -> list[float]:
    """Positions of the sides square to an axis, sorted, alike ones once."""
    values = sorted(a[axis] for i, a in enumerate(ring) if abs(a[axis] - ring[(i + 1) % len(ring)][axis]) < SAME_MM)
    kept: list[float] = []
    for value in values:
        if not kept or value - kept[-1] > SAME_MM:
            kept.append(value)
    return kept


def _inside(ring: Sequence[XY], xs: list[float], ys: list[float]) -> np.ndarray[tuple[int, int], np.dtype[np.bool_]]:
    """Which cells of the grid of lines lie wholly in the outline."""
    shape = Polygon(ring)
    shapely.prepare(shape)
    x1, y1 = np.meshgrid(np.array(xs[:-1]) + SAME_MM / 2, np.array(ys[:-1]) + SAME_MM / 2, indexing="ij")
    x2, y2 = np.meshgrid(np.array(xs[1:]) - SAME_MM / 2, np.array(ys[1:]) - SAME_MM / 2, indexing="ij")
    cells: np.ndarray[tuple[int, int], np.dtype[np.bool_]] = shapely.covers(shape, shapely.box(x1, y1, x2, y2))
    return cells


def _biggest(inside: np.ndarray[tuple[int, int], np.dtype[np.bool_]]) -> list[tuple[int, int, int, int]]:
    """(x1, x2, y1, y2) line numbers of blocks of inside cells that no cell row can be added to."""
    wide, high = inside.shape
    found = []
    for y1 in range(high):
        columns = np.ones(wide, dtype=bool)
        for y2 in range(y1 + 1, high + 1):
            columns &= inside[:, y2 - 1]
            if not columns.any():
                break
            edges = np.flatnonzero(np.diff(np.concatenate(([0], columns.astype(int), [0]))))
            for x1, x2 in zip(edges[::2].tolist(), edges[1::2].tolist(), strict=True):
                below = y1 > 0 and inside[x1:x2, y1 - 1].all()
                above = y2 < high and inside[x1:x2, y2].all()
                if not below and not above:
                    found.append((x1, x2, y1, y2))
    return found


def _on_outline(rim: BaseGeometry, box: tuple[float, float, float, float]) -> bool:
    x1, y1, x2, y2 = box
    lines = [((x1, y1), (x2, y1)), ((x2, y1), (x2, y2)), ((x2, y2), (x1, y2)), ((x1, y2), (x1, y1))]
    return all(LineString(line).intersection(rim).length > 4 * SAME_MM for line in lines)
