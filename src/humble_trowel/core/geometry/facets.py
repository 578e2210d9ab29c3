"""Facets: convex plan polygons with a depth that is linear in x and y, of which edges, beams and pads are made."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from functools import cached_property

from shapely.geometry import Polygon

from humble_trowel.core.geometry.convex import Ring, area_mm2, box_of, is_convex
from humble_trowel.core.geometry.shares import Lying, convex_rings, polygons_of
from humble_trowel.core.geometry.tops import Plane


@dataclass(frozen=True)
class Facet:
    """part: index into the list of parts. face: 'full' or 'haunch'. spots: its corners on the plan, either way round, mm.
    depth: mm below the slab top.

    inner: how far a point lies from each of the facet's inner borders (its knees or its foot), for drawing.
    """

    part: int
    face: str
    spots: Ring
    depth: Plane
    inner: tuple[Plane, ...]

    @cached_property
    def shape(self) -> Polygon:
        """Its polygon."""
        return Polygon(self.spots)

    @cached_property
    def lying(self) -> Lying:
        """As it lies for those laid after it."""
        ring = self.spots if area_mm2(self.spots) >= 0 else self.spots[::-1]
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
        ring = self.lying.ring
        return [ring] if is_convex(ring) and self.area_mm2 > 0 else convex_rings(self.shape)

    @cached_property
    def area_mm2(self) -> float:
        """Area of its polygon."""
        return area_mm2(self.lying.ring)


def draw_shapes(facets: Iterable[Facet]) -> None:
    """Make the polygons of many facets at once, which is several times faster than one by one."""
    new = [facet for facet in facets if "shape" not in facet.__dict__]
    for facet, shape in zip(new, polygons_of([facet.spots for facet in new]), strict=True):
        facet.__dict__["shape"] = shape
