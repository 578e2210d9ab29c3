"""What one part brings on its own, and the net volume after one part changed, without laying everything again.

A part laid last adds exactly what would be missing without it, whatever the order of the others was.
"""

from __future__ import annotations

from collections.abc import Sequence

from shapely.geometry import Polygon

from humble_trowel.core.geometry.convex import apart
from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.shares import gains
from humble_trowel.core.geometry.solid import Laying, Solid, all_facets, build_solid
from humble_trowel.core.geometry.zones import usable_region
from humble_trowel.core.plan.document import Plan


def alone_m3(plan: Plan, solid: Solid, part: int, own: Sequence[Facet] | None = None) -> float:
    """Concrete that goes if the part is taken out (or comes with other facets for it), m3, recesses left aside."""
    if own is None:
        if part not in solid.alone_m3:
            solid.alone_m3[part] = _alone(plan, solid, part, [row for row in solid.facets if row.part == part])
        return solid.alone_m3[part]
    return _alone(plan, solid, part, own)


def _alone(plan: Plan, solid: Solid, part: int, own: Sequence[Facet]) -> float:
    if not own:
        return 0.0
    boxes = [facet.shape.bounds for facet in own]
    reach = (min(b[0] for b in boxes), min(b[1] for b in boxes), max(b[2] for b in boxes), max(b[3] for b in boxes))
    pairs = zip(solid.facets, solid.lying, strict=True)
    others = [lying for facet, lying in pairs if facet.part != part and not apart(lying.box, reach)]
    others.sort(key=lambda one: -one.deepest)
    volume = 0.0
    for facet, shares in zip(own, Laying(solid.cells, usable_region(plan)).shares(own), strict=True):
        for share in shares:
            volume += sum(piece.m3 for piece in gains(share, facet.depth, others))
        others.append(facet.lying)
    return volume


def net_after(plan: Plan, solid: Solid, part: int, new: Sequence[Facet]) -> float:
    """Net volume with other facets for one part, m3. Where the part meets a recess everything is laid again by
    the caller: raises ValueError."""
    shapes = [facet.shape for facet in (*new, *(old for old in solid.facets if old.part == part))]
    dips = [Polygon(recess.polygon) for recess in solid.recesses]
    if any(dip.intersects(shape) for dip in dips for shape in shapes):
        raise ValueError("The part meets a recess; build the solid again.")
    return solid.net_m3 - alone_m3(plan, solid, part) + alone_m3(plan, solid, part, new)


def redone_m3(solid: Solid, changed: Plan, part: int) -> float:
    """Net volume of `changed`, which differs from the plan of `solid` in one part only."""
    new = [facet for facet in all_facets(changed, solid.cells) if facet.part == part]
    try:
        return net_after(changed, solid, part, new)
    except ValueError:
        return build_solid(changed).net_m3
