"""Beams as facets: full depth over the bottom width, the haunch on both sides, mitred at bends, flat at the ends.

Rule 3 of the plan's geometry (docs/words.md, 'beam'). On the outer side of a bend the offset line runs on to the
mitre; where that is farther than four half widths the mitre is cut square to its bisector there, at every depth.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from itertools import pairwise

from humble_trowel.core.geometry.convex import area_mm2
from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.memo import ByContent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import BeamType

MITRE_LIMIT = 4.0
STRAIGHT = 1e-9
_KEPT: ByContent[tuple[Facet, ...]] = ByContent(4_000)


def beam_facets(plan: Plan, slab_mm: float, first: int) -> list[Facet]:
    """Facets of all beams deeper than the thinnest slab, not yet clipped. first: the number of the first beam."""
    kinds = {row.mark: row for row in plan.beam_types}
    facets: list[Facet] = []
    for row, beam in enumerate(plan.beams):
        if kinds[beam.type].depth_mm > slab_mm:
            kind, part = kinds[beam.type], first + row
            content = (part, kind.depth_mm, kind.width_mm, kind.haunch_run_per_rise, tuple(beam.path), slab_mm)
            facets.extend(_KEPT.get(content, lambda: tuple(one_beam(kind, beam.path, slab_mm, part))))  # noqa: B023
    return facets


def is_closed(path: Sequence[XY]) -> bool:
    """Whether a centreline ends where it began."""
    return len(path) > 3 and math.dist(path[0], path[-1]) < 1e-6


def one_beam(kind: BeamType, path: Sequence[XY], slab_mm: float, part: int) -> Iterator[Facet]:
    """Facets of one beam along its centreline."""
    half, run = kind.width_mm / 2, kind.haunch_run_per_rise or 0.0
    reach = half + run * (kind.depth_mm - slab_mm)
    legs = list(pairwise(path))
    for a, b in legs:
        yield from _leg(kind, a, b, half, reach, part)
    bends = list(pairwise(legs))
    if is_closed(path):
        bends.append((legs[-1], legs[0]))
    for before, after in bends:
        yield from _bend(kind, before, after, half, reach, part)


def _unit(a: XY, b: XY) -> XY:
    size = math.dist(a, b)
    return ((b[0] - a[0]) / size, (b[1] - a[1]) / size)


def _leg(kind: BeamType, a: XY, b: XY, half: float, reach: float, part: int) -> Iterator[Facet]:
    ux, uy = _unit(a, b)

    def spot(at: XY, s: float) -> XY:
        return (at[0] - s * uy, at[1] + s * ux)

    across = -uy * a[0] + ux * a[1]
    knees = (Plane(-across - half, -uy, ux), Plane(-across + half, -uy, ux))
    ring = [spot(a, -half), spot(b, -half), spot(b, half), spot(a, half)]
    yield Facet(part, "full", ring, Plane(kind.depth_mm), knees)
    if reach <= half:
        return
    slope = (kind.haunch_run_per_rise or 0.0) ** -1
    for side in (1.0, -1.0):
        ring = [spot(a, side * half), spot(b, side * half), spot(b, side * reach), spot(a, side * reach)]
        depth = Plane(kind.depth_mm + (side * across + half) * slope, side * uy * slope, -side * ux * slope)
        yield Facet(part, "haunch", ring, depth, (Plane(-across - side * reach, -uy, ux),))


def _bend(
    kind: BeamType, before: tuple[XY, XY], after: tuple[XY, XY], half: float, reach: float, part: int
) -> Iterator[Facet]:
    u, v = _unit(*before), _unit(*after)
    turn = u[0] * v[1] - u[1] * v[0]
    if abs(turn) < STRAIGHT and u[0] * v[0] + u[1] * v[1] > 0:
        return
    side = -1.0 if turn > 0 else 1.0  # the outer side: right of a left turn
    n1, n2 = (-side * u[1], side * u[0]), (-side * v[1], side * v[0])
    for e1, e2, q in _cones(n1, n2):
        yield from _cone(kind, before[1], (e1, e2, q), half, reach, part)


def _cones(n1: XY, n2: XY) -> Iterator[tuple[XY, XY, XY]]:
    """The wedge between two outer normals as cones: both directions at distance 1, and the vector that measures it."""
    middle = (n1[0] + n2[0], n1[1] + n2[1])
    size = math.hypot(*middle)
    cosine = size / 2  # of half the turn
    if cosine * MITRE_LIMIT >= 1.0:
        mitre = (middle[0] / (2 * cosine**2), middle[1] / (2 * cosine**2))
        yield n1, mitre, n1
        yield mitre, n2, n2
        return
    # past the limit: a square end at MITRE_LIMIT along the bisector, on which distance 1 is kept
    half_turn = math.acos(min(1.0, cosine))
    axis = (middle[0] / size, middle[1] / size) if size > STRAIGHT else (n1[1], -n1[0])
    if axis[0] * n1[0] + axis[1] * n1[1] < 0:
        axis = (-axis[0], -axis[1])
    beta = math.atan2(1 / MITRE_LIMIT - math.cos(half_turn), math.sin(half_turn))
    side = 1.0 if axis[0] * n1[1] - axis[1] * n1[0] > 0 else -1.0
    ends = []
    for sign in (side, -side):
        off = MITRE_LIMIT * math.tan(beta) * sign
        ends.append((MITRE_LIMIT * axis[0] - off * axis[1], MITRE_LIMIT * axis[1] + off * axis[0]))
    yield n1, ends[0], n1
    yield ends[0], ends[1], (axis[0] / MITRE_LIMIT, axis[1] / MITRE_LIMIT)
    yield ends[1], n2, n2


def _cone(kind: BeamType, corner: XY, cone: tuple[XY, XY, XY], half: float, reach: float, part: int) -> Iterator[Facet]:
    e1, e2, q = cone
    cx, cy = corner

    def spot(e: XY, s: float) -> XY:
        return (cx + s * e[0], cy + s * e[1])

    foot = q[0] * cx + q[1] * cy
    ring = [corner, spot(e1, half), spot(e2, half)]
    if area_mm2(ring):
        yield Facet(part, "full", ring, Plane(kind.depth_mm), (Plane(-foot - half, *q),))
    if reach > half:
        slope = (kind.haunch_run_per_rise or 0.0) ** -1
        ring = [spot(e1, half), spot(e1, reach), spot(e2, reach), spot(e2, half)]
        depth = Plane(kind.depth_mm + (foot + half) * slope, -q[0] * slope, -q[1] * slope)
        if area_mm2(ring):
            yield Facet(part, "haunch", ring, depth, (Plane(-foot - reach, *q),))
