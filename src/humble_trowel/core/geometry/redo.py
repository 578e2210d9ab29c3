"""What one part brings on its own, and the net volume after one part changed, without laying everything again.

A part laid last adds exactly what would be missing without it, whatever the order of the others was.
"""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.geometry.convex import apart, box_of
from humble_trowel.core.geometry.shares import Lying, clip_to, gains, ring_of
from humble_trowel.core.geometry.solid import Laying, Solid, all_facets, build_solid
from humble_trowel.core.geometry.strips import Facet
from humble_trowel.core.geometry.zones import usable_region
from humble_trowel.core.plan.document import Plan


def alone_m3(plan: Plan, solid: Solid, part: int, own: Sequence[Facet] | None = None) -> float:
    """Concrete that goes if the part is taken out (or comes with other facets for it), m3, recesses left aside."""
    facets = [facet for facet in solid.facets if facet.part == part] if own is None else own
    if not facets:
        return 0.0
    boxes = [facet.shape.bounds for facet in facets]
    reach = (min(b[0] for b in boxes), min(b[1] for b in boxes), max(b[2] for b in boxes), max(b[3] for b in boxes))
    others = []
    for facet in solid.facets:
        if facet.part != part and not apart(facet.shape.bounds, reach):
            ring = ring_of(facet.shape)
            others.append(Lying(ring, facet.depth, box_of(ring)))
    others.sort(key=lambda one: -one.deepest)
    volume = 0.0
    for facet, shares in zip(facets, Laying(solid.cells, usable_region(plan)).shares(facets), strict=True):
        for share in shares:
            volume += sum(piece.m3 for piece in gains(share, facet.depth, others))
        ring = ring_of(facet.shape)
        others.append(Lying(ring, facet.depth, box_of(ring)))
    return volume


def net_after(plan: Plan, solid: Solid, part: int, new: Sequence[Facet]) -> float:
    """Net volume with other facets for one part, m3. Where the part meets a recess everything is laid again by
    the caller: raises ValueError."""
    from shapely.geometry import Polygon

    for facet in (*new, *(old for old in solid.facets if old.part == part)):
        if any(clip_to(facet.shape, Polygon(recess.polygon)) for recess in solid.recesses):
            raise ValueError("The part meets a recess; build the solid again.")
    return solid.net_m3 - alone_m3(plan, solid, part) + alone_m3(plan, solid, part, new)


def redone_m3(plan: Plan, changed: Plan, part: int) -> float:
    """Net volume of `changed`, which differs from `plan` in one part only."""
    solid = build_solid(plan)
    new = [facet for facet in all_facets(changed, solid.cells) if facet.part == part]
    try:
        return net_after(plan, solid, part, new)
    except ValueError:
        return build_solid(changed).net_m3
