"""Lengths that boards must make along each side, by the way the crew meets them at corners."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import angle_at
from humble_trowel.core.plan.form_ways import CornerWay


def corner_extra_mm(ring: Sequence[XY], corner: int, thick_mm: float, way: CornerWay) -> float:
    """What a board adds (or gives up) at the corner it ends on, in mm.

    Inside face = slab edge. lap and run-past: the board covers the next one's end, + its thickness at a convex
    corner, - at a re-entrant one. butt: flush at convex corners, - at re-entrant ones. Oblique corners go by the
    half angle: t / tan(angle / 2) at most 3 t (LOW, ask the crew).
    """
    angle = angle_at(ring, corner)
    if abs(angle - math.pi) < 0.02:
        return 0.0
    convex = angle < math.pi
    if way == "butt" and convex:
        return 0.0
    inner = angle if convex else 2 * math.pi - angle
    extra = min(thick_mm / math.tan(inner / 2), 3 * thick_mm)
    return extra if convex else -extra


def run_mm(ring: Sequence[XY], side: int, thick_mm: float, way: CornerWay) -> float:
    """The length of board along a whole side; the corner at the side's end is the one it covers."""
    end = (side + 1) % len(ring)
    return math.dist(ring[side], ring[end]) + corner_extra_mm(ring, end, thick_mm, way)
