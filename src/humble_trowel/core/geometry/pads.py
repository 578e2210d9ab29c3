"""Pads and piers as facets: vertical sides; a round one as a polygon of equal AREA, so that its volume is exact."""

from __future__ import annotations

import math

from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.memo import ByContent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Pad, PadType

SIDES = 72
_KEPT: ByContent[Facet] = ByContent(4_000)


def pad_ring(kind: PadType, pad: Pad, sides: int = SIDES) -> list[XY]:
    """Corners of a pad on the plan, anticlockwise, mm. Width lies along x, length along y, turned anticlockwise."""
    x, y = pad.at
    if kind.shape == "round":
        step = 2 * math.pi / sides
        radius = (kind.diameter_mm or 0.0) / 2 * math.sqrt(step / math.sin(step))
        turns = [math.radians(pad.turn_deg) + step * k for k in range(sides)]
        return [(x + radius * math.cos(turn), y + radius * math.sin(turn)) for turn in turns]
    c, s = math.cos(math.radians(pad.turn_deg)), math.sin(math.radians(pad.turn_deg))
    w, h = (kind.width_mm or 0.0) / 2, (kind.length_mm or 0.0) / 2
    return [(x + c * dx - s * dy, y + s * dx + c * dy) for dx, dy in ((-w, -h), (w, -h), (w, h), (-w, h))]


def _facet(part: int, ring: list[XY], depth_mm: float) -> Facet:
    return Facet(part, "full", ring, Plane(depth_mm), ())


def pad_facets(plan: Plan, slab_mm: float, first: int) -> list[Facet]:
    """One facet a pad that is deeper than the thinnest slab. first: the number of the first pad."""
    kinds = {row.mark: row for row in plan.pad_types}
    facets = []
    for row, pad in enumerate(plan.pads):
        kind = kinds[pad.type]
        if kind.depth_mm > slab_mm:
            part, ring = first + row, pad_ring(kind, pad)
            facets.append(_KEPT.get((part, kind.depth_mm, *ring), lambda: _facet(part, ring, kind.depth_mm)))  # noqa: B023
    return facets
