"""Beams, pads and recesses for the slices: rule 3 of the plan read afresh, as half-planes and circles.

Shares nothing with beams.py, pads.py and recesses.py, so that a mistake in one reading shows as a disagreement.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise
from typing import NamedTuple

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.slice_strips import Row, Strip
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import BeamType, EdgeType, Pad, PadType

LIMIT = 4.0  # half widths


class Void(NamedTuple):
    """A recess: ring, depth, and whether the slab dips under it."""

    ring: tuple[XY, ...]
    depth_mm: float
    keeps: bool


def plan_voids(plan: Plan) -> list[Void]:
    """All recesses."""
    return [Void(tuple(row.polygon), row.depth_mm, row.keeps_thickness) for row in plan.recesses]


def part_strips(plan: Plan, slab_mm: float) -> list[Strip]:
    """Strips of all beams and pads deeper than the thinnest slab."""
    beams = {row.mark: row for row in plan.beam_types}
    pads = {row.mark: row for row in plan.pad_types}
    strips: list[Strip] = []
    for beam in plan.beams:
        if beams[beam.type].depth_mm > slab_mm:
            strips += _beam(beams[beam.type], list(beam.path), slab_mm)
    for pad in plan.pads:
        if pads[pad.type].depth_mm > slab_mm:
            strips.append(_pad(pads[pad.type], pad))
    return strips


def _constant(depth_mm: float) -> EdgeType:
    return EdgeType(mark="p", kind="thickened", depth_mm=depth_mm, bottom_width_mm=1.0, haunch_run_per_rise=0.0)


def _pad(kind: PadType, pad: Pad) -> Strip:
    x, y = pad.at
    if kind.shape == "round":
        radius = (kind.diameter_mm or 0.0) / 2
        return Strip((), (0.0, 0.0, 0.0), _constant(kind.depth_mm), x - radius, x + radius, (x, y, radius))
    turn = math.radians(pad.turn_deg)
    rows: list[Row] = []
    for way, half in ((turn, kind.width_mm), (turn + math.pi / 2, kind.length_mm)):
        a, b = math.cos(way), math.sin(way)
        middle = a * x + b * y
        rows += [(a, b, middle + (half or 0.0) / 2), (-a, -b, (half or 0.0) / 2 - middle)]
    return Strip(tuple(rows), (0.0, 0.0, 0.0), _constant(kind.depth_mm))


def _beam(kind: BeamType, path: list[XY], slab_mm: float) -> list[Strip]:
    half = EdgeType(
        mark=kind.mark, kind="thickened", depth_mm=kind.depth_mm, bottom_width_mm=kind.width_mm / 2,
        haunch_run_per_rise=kind.haunch_run_per_rise,
    )  # fmt: skip
    reach = kind.width_mm / 2 + (kind.haunch_run_per_rise or 0.0) * (kind.depth_mm - slab_mm)
    strips: list[Strip] = []
    for p, q in pairwise(path):
        u = _way(p, q)
        ends = ((-u[0], -u[1], -_dot(u, p)), (u[0], u[1], _dot(u, q)))
        for line in (_distance((-u[1], u[0]), p), _distance((u[1], -u[0]), p)):
            strips.append(Strip((*ends, _at_least(line, 0.0), _at_most(line, reach)), line, half))
    corners = list(zip(path, path[1:], path[2:], strict=False))
    if len(path) > 3 and path[0] == path[-1]:
        corners.append((path[-2], path[0], path[1]))
    for p, q, r in corners:
        strips += _outer_corner(p, q, r, reach, half)
    return strips


def _outer_corner(p: XY, q: XY, r: XY, reach: float, half: EdgeType) -> list[Strip]:
    """Past both legs' ends on the outer side: the greatest of both distances and a quarter of that along the middle."""
    u, v = _way(p, q), _way(q, r)
    left = u[0] * v[1] - u[1] * v[0] > 0
    away = 1.0 if left else -1.0
    middle = (u[0] - v[0], u[1] - v[1])
    size = math.hypot(*middle)
    if size < 1e-9:
        return []
    axis = (middle[0] / size / LIMIT, middle[1] / size / LIMIT)
    lines = [_distance((away * u[1], -away * u[0]), q), _distance((away * v[1], -away * v[0]), q), _distance(axis, q)]
    past = ((-u[0], -u[1], -_dot(u, q)), (v[0], v[1], _dot(v, q)))
    strips = []
    for own in lines:
        others = [(a - own[0], b - own[1], own[2] - c) for a, b, c in lines if (a, b, c) != own]
        strips.append(Strip((*past, *others, _at_most(own, reach)), own, half))
    return strips


def _way(a: XY, b: XY) -> XY:
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size)


def _dot(a: XY, b: XY) -> float:
    return a[0] * b[0] + a[1] * b[1]


def _distance(normal: XY, spot: XY) -> Row:
    """a * x + b * y + c, which is 0 at the spot and grows along the normal."""
    return (normal[0], normal[1], -_dot(normal, spot))


def _at_most(line: Row, limit: float) -> Row:
    return (line[0], line[1], limit - line[2])


def _at_least(line: Row, limit: float) -> Row:
    return (-line[0], -line[1], line[2] - limit)


def void_levels(voids: Sequence[Void], slabs: Sequence[float]) -> list[float]:
    """Depths at which a recess bends the depth: its own, or so much under a slab that dips."""
    return sorted({row.depth_mm + slab for row in voids for slab in (slabs if row.keeps else (0.0,))})
