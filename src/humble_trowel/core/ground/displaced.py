"""What concrete below the slab takes out of the layers it stands in, and what is dug where the ground falls.

Measured down from the slab's underside: a layer from `top_mm` to `bottom_mm` under it loses exactly the concrete
between those two depths, be it an edge that ends inside the layer, a haunch that comes up through it, or a recess
under which the slab dips.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.below import Stood, stood_under_m3
from humble_trowel.core.geometry.overlay import less
from humble_trowel.core.geometry.recesses import dip_below_m3
from humble_trowel.core.geometry.shares import clip_to, convex_rings, ring_volume_m3, split
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.tops import Facet, Plane
from humble_trowel.core.geometry.zones import Cell


def concrete_below_m3(solid: Solid, cell: Cell, deep_mm: float) -> float:
    """Concrete of a zone that lies deeper than `deep_mm` (0 or more) under its slab's underside."""
    limit = Plane(max(0.0, deep_mm))
    parts = sum(piece.deeper_than_m3(piece.ring, limit) for piece in solid.pieces if piece.zone == cell.index)
    return parts + sum(dip_below_m3(row, cell, solid.pieces, limit.at_0) for row in solid.recesses)


def displaced_m3(solid: Solid, cell: Cell, top_mm: float, thick_mm: float) -> float:
    """Concrete inside a layer whose top lies `top_mm` under the slab's underside; none over the slab."""
    if top_mm + thick_mm <= 0:
        return 0.0
    return concrete_below_m3(solid, cell, top_mm) - concrete_below_m3(solid, cell, top_mm + thick_mm)


def stood_in_m3(
    stood: Sequence[Stood], region: BaseGeometry, underside: Sequence[Facet], top_mm: float, thick_mm: float
) -> float:
    """Concrete of footings and walls inside a layer over a region. underside: of the slab there; the layer's top lies `top_mm` under it."""
    total = 0.0
    for shape, plane in by_facet(region, underside) if stood and not region.is_empty else ():
        top = plane.plus_mm(-max(0.0, top_mm))
        total += stood_under_m3(stood, shape, top) - stood_under_m3(stood, shape, plane.plus_mm(-top_mm - thick_mm))
    return total


def dug_m3(region: BaseGeometry, native: Sequence[Facet], stripped_mm: float) -> float:
    """Ground between the stripped level and the native surface under it, over a region; each of its spots belongs to
    the facet that holds it, those outside all of them to the nearest."""
    total = 0.0
    for shape, plane in by_facet(region, native):
        deep = Plane(stripped_mm - plane.at_0, -plane.per_x, -plane.per_y)
        for ring in convex_rings(shape):
            under = split(ring, deep)[0]
            total += ring_volume_m3(under, deep) if under else 0.0
    return total


def trenched_m3(solid: Solid, cell: Cell, underside: Sequence[Facet], native_mm: float, stripped_mm: float) -> float:
    """Concrete of a zone below the dig: deeper than both the native surface, `native_mm` under the slab's underside,
    and the stripped ground."""
    lowest = min(f.plane.at(x, y) for f in underside for part in convex_rings(f.region) for x, y in part)
    highest = max(f.plane.at(x, y) for f in underside for part in convex_rings(f.region) for x, y in part)
    if highest - native_mm <= stripped_mm:  # dug everywhere: the trench starts at the bottom of the dig
        return concrete_below_m3(solid, cell, native_mm)
    if lowest - native_mm >= stripped_mm and highest - lowest < 1e-6:
        return concrete_below_m3(solid, cell, max(0.0, highest - stripped_mm))
    total = 0.0
    for facet in underside:
        to_ground = facet.plane.plus_mm(-stripped_mm)
        for piece in (piece for piece in solid.pieces if piece.zone == cell.index):
            for shape in clip_to(Polygon(piece.ring), facet.region):
                for ring in convex_rings(shape):
                    high, low = split(ring, to_ground.plus_mm(-native_mm))
                    total += piece.deeper_than_m3(high, to_ground) if high else 0.0
                    total += piece.deeper_than_m3(low, Plane(native_mm)) if low else 0.0
    return total


def by_facet(region: BaseGeometry, facets: Sequence[Facet]) -> Iterator[tuple[BaseGeometry, Plane]]:
    """A region cut by the facets over it; what lies outside of all goes to the nearest."""
    if len(facets) == 1:
        yield region, facets[0].plane
        return
    left = region
    for facet in facets:
        for shape in clip_to(region, facet.region):
            yield shape, facet.plane
        left = less(left, facet.region)
    for shape in shapely.get_parts(left):  # openings, which are dug too
        near = min(facets, key=lambda facet: float(facet.region.distance(shape)))
        yield shape, near.plane
