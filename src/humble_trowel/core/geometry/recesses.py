"""Recesses on the solid: what each takes out, and where it leaves too little or nothing.

Rule 3 of the plan's geometry: without kept thickness the depth becomes max(0, d - r); with it max(slab, others - r).
So the change at a point is -min(r, D), with D the whole depth, or what lies below the slab; and min(r, D) is D less
what of D lies deeper than r.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import Ring, apart, box_of, parted
from humble_trowel.core.geometry.overlay import less
from humble_trowel.core.geometry.shares import Piece, clip_to, convex_rings, ring_volume_m3, split
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.shape_parts import Recess


def recess_change_m3(recess: Recess, cells: Sequence[Cell], pieces: Sequence[Piece]) -> float:
    """What a recess changes, m3, never above 0. pieces: what goes below the slab."""
    gone = 0.0
    for cell, slab, shape in _under(recess, cells):
        limit = Plane(recess.depth_mm)
        if not recess.keeps_thickness:
            for ring in convex_rings(shape):
                gone += ring_volume_m3(ring, slab)
                past = split(ring, slab.minus(limit))[0]
                gone -= ring_volume_m3(past, slab.minus(limit)) if past else 0.0
            limit = limit.minus(slab)
        for piece, shared in _met(shape, cell, pieces):
            gone += ring_volume_m3(shared, piece.gain) - piece.deeper_than_m3(shared, limit)
    return -gone


def dip_below_m3(recess: Recess, cell: Cell, pieces: Sequence[Piece], deep_mm: float) -> float:
    """Concrete that a slab dipping under a recess has deeper than `deep_mm` under its underside, beyond what edges,
    beams and pads have there anyway."""
    if not recess.keeps_thickness or recess.depth_mm <= deep_mm:
        return 0.0
    own, parts = recess.depth_mm - deep_mm, 0.0
    area = 0.0
    for one, _, shape in _under(recess, [cell]):
        area += float(shape.area)
        for piece, shared in _met(shape, one, pieces):
            parts += piece.deeper_than_m3(shared, Plane(deep_mm))
            parts -= piece.deeper_than_m3(shared, Plane(recess.depth_mm))
    return area * own / 1e9 - parts


def least_left_mm(recess: Recess, cells: Sequence[Cell], pieces: Sequence[Piece]) -> float:
    """The least depth of concrete under a recess that takes thickness, mm; 0 or less where it goes through."""
    least = float("inf")
    for cell, slab, shape in _under(recess, cells):
        rest: BaseGeometry = shape
        for piece, shared in _met(shape, cell, pieces):
            rest = less(rest, Polygon(shared))
            least = min(least, *(slab.at(x, y) + piece.excess.at(x, y) for x, y in shared))
        if rest.area > 100:
            least = min(least, *(slab.at(x, y) for x, y in shapely.get_coordinates(rest).tolist()))
    return (0.0 if least == float("inf") else least) - recess.depth_mm


def recess_area_mm2(recess: Recess, cells: Sequence[Cell]) -> float:
    """Plan area of a recess on the slab."""
    return sum(float(shape.area) for _, _, shape in _under(recess, cells))


def _under(recess: Recess, cells: Sequence[Cell]) -> Iterator[tuple[Cell, Plane, BaseGeometry]]:
    """What of a recess lies on each share of slab, with the slab's depth there."""
    whole = Polygon(recess.polygon)
    for cell in cells:
        for facet in cell.depths:
            for shape in clip_to(whole, facet.region):
                yield cell, facet.plane, shape


def _met(shape: BaseGeometry, cell: Cell, pieces: Sequence[Piece]) -> Iterator[tuple[Piece, Ring]]:
    """The shares of other parts that lie under a shape of one zone, with what of it lies on each."""
    rings = [(ring, box_of(ring)) for ring in convex_rings(shape)]
    for piece in pieces:
        if piece.zone == cell.index:
            for ring, box in rings:
                if not apart(piece.box, box) and (shared := parted(ring, piece.ring)[0]):
                    yield piece, shared
