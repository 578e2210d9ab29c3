"""Facets: convex plan polygons with a depth that is linear in x and y, of which edges, beams and pads are made."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

from shapely.geometry import Polygon

from humble_trowel.core.geometry.convex import Ring, box_of
from humble_trowel.core.geometry.shares import Lying, convex_rings, ring_of
from humble_trowel.core.geometry.tops import Plane


@dataclass(frozen=True)
class Facet:
    """part: index into the list of parts. face: 'full' or 'haunch'. depth: mm below the slab top.

    inner: how far a point lies from each of the facet's inner borders (its knees or its foot), for drawing.
    """

    part: int
    face: str
    shape: Polygon
    depth: Plane
    inner: tuple[Plane, ...]

    @cached_property
    def lying(self) -> Lying:
        """As it lies for those laid after it."""
        ring = ring_of(self.shape)
        return Lying(ring, self.depth, box_of(ring))

    @cached_property
    def deepest(self) -> float:
        """Its greatest depth, mm."""
        return self.lying.deepest

    @cached_property
    def content(self) -> tuple[tuple[tuple[float, float], ...], Plane]:
        """What it is, whatever part it belongs to."""
        return tuple(self.lying.ring), self.depth

    @cached_property
    def whole(self) -> list[Ring]:
        """Its convex rings where nothing of it is cut off."""
        return convex_rings(self.shape)

    @cached_property
    def area_mm2(self) -> float:
        """Area of its polygon."""
        return float(self.shape.area)
