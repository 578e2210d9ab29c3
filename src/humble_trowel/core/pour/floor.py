"""The floor as it is filled: each part with its slab and its trenches, and what of it lies behind a front. mm on the plan, m3, m2."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property, reduce

import shapely
import shapely.ops
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid, region_volume_m3
from humble_trowel.core.pour_sim.of_job import Part
from humble_trowel.core.pour_sim.parts import OUTSIDE_MM

FAR_MM = 1e7


@dataclass(frozen=True)
class FloorPart:
    """A part in its turn, with its concrete as drawn. name: as crews call it."""

    part: Part
    name: str
    region: BaseGeometry
    area_m2: float
    slab_m3: float
    trench_m3: float


@dataclass(frozen=True)
class Floor:
    """All of it, in the order in which it is filled."""

    parts: list[FloorPart]
    known: dict[tuple[int, XY], float] = field(
        default_factory=dict, compare=False
    )  # shares behind spots that were asked for
    places: dict[XY, int | None] = field(default_factory=dict, compare=False)  # parts that spots lie in

    @cached_property
    def slab_m3(self) -> float:
        return math.fsum(one.slab_m3 for one in self.parts)

    @cached_property
    def trench_m3(self) -> float:
        return math.fsum(one.trench_m3 for one in self.parts)

    @cached_property
    def area_m2(self) -> float:
        return math.fsum(one.area_m2 for one in self.parts)

    @property
    def drawn_m3(self) -> float:
        return self.slab_m3 + self.trench_m3

    def at(self, spot: XY) -> int | None:
        """Which part a spot lies in, or is nearest to; None beside the slab."""
        if not self.parts:
            return None
        if spot not in self.places:
            far = shapely.distance([one.region for one in self.parts], shapely.Point(spot))
            best = int(far.argmin())
            self.places[spot] = best if float(far[best]) <= OUTSIDE_MM else None
        return self.places[spot]

    def behind(self, at: int, spot: XY) -> float:
        """The share of a part that is full when the front stands at a spot of it: what lies behind a line across its pull."""
        found = self.known.get((at, spot))
        if found is None:
            area = self.parts[at].region.area
            found = self.known[at, spot] = 0.0 if area <= 0 else float(self.full(at, spot).area / area)
        return found

    def full(self, at: int, spot: XY) -> BaseGeometry:
        """That of it which is full."""
        return shapely.intersection(self.parts[at].region, half(spot, self.parts[at].part.way))

    def wet(self, at: int, share: float) -> list[list[XY]]:
        """The rings of that of it which is full by a share; none of a part that is empty or full."""
        if not 1e-3 < share < 1 - 1e-9:
            return []
        area = self.full(at, self.spot_at(at, share))
        areas = [one for one in getattr(area, "geoms", [area]) if one.geom_type == "Polygon"]
        rings = [ring for one in areas for ring in (one.exterior, *one.interiors)]
        return [[(float(x), float(y)) for x, y, *_ in ring.coords[:-1]] for ring in rings]

    def line(self, at: int, spot: XY) -> list[list[XY]]:
        """The front itself: across the pull, from edge to edge."""
        x, y = self.parts[at].part.way
        ends = [(spot[0] - y * FAR_MM, spot[1] + x * FAR_MM), (spot[0] + y * FAR_MM, spot[1] - x * FAR_MM)]
        cut = shapely.intersection(self.parts[at].region, shapely.LineString(ends))
        lines = [cut] if cut.geom_type == "LineString" else [one for one in getattr(cut, "geoms", ()) if one.geom_type == "LineString"]  # fmt: skip
        return [[(float(a), float(b)) for a, b, *_ in one.coords] for one in lines if one.length > 0]

    def spot_at(self, at: int, share: float) -> XY:
        """A spot on the front of a part that is full by a share."""
        own = self.parts[at]
        x, y = own.part.way
        corners = shapely.get_coordinates(own.region)
        along = corners[:, 0] * x + corners[:, 1] * y
        low, high = float(along.min()), float(along.max())
        side = own.part.at[1] * x - own.part.at[0] * y
        target = min(1.0, max(0.0, share))

        def spot(far: float) -> XY:
            return (far * x - side * y, far * y + side * x)

        for _ in range(30):
            middle = (low + high) / 2
            low, high = (middle, high) if self.behind(at, spot(middle)) < target else (low, middle)
        found = spot((low + high) / 2)
        lines = self.line(at, found)
        if not lines:
            near = shapely.ops.nearest_points(own.region, shapely.Point(found))[0]
            return float(near.x), float(near.y)
        (ax, ay), (bx, by) = max(((one[0], one[-1]) for one in lines), key=lambda ends: math.dist(*ends))
        return (ax + bx) / 2, (ay + by) / 2


def half(spot: XY, way: XY) -> Polygon:
    """All that lies behind a spot, looking along a way."""
    x, y = way
    a, b = spot
    wide = (-y * FAR_MM, x * FAR_MM)
    back = (-x * FAR_MM, -y * FAR_MM)
    return Polygon(
        [
            (a + wide[0], b + wide[1]),
            (a - wide[0], b - wide[1]),
            (a - wide[0] + back[0], b - wide[1] + back[1]),
            (a + wide[0] + back[0], b + wide[1] + back[1]),
        ]
    )


def region_of(rings: Sequence[Sequence[XY]]) -> BaseGeometry:
    """Rings, even-odd."""
    empty: BaseGeometry = Polygon()
    return reduce(lambda one, other: one.symmetric_difference(other), (Polygon(ring) for ring in rings), empty)


def floor_of(parts: Sequence[Part], solid: Solid, names: Mapping[str, str], drawn_m3: float) -> Floor:
    """The floor with what each part takes as drawn. names: of parts by id, else as the parts call themselves. drawn_m3: of the ledger; what strips
    are timed with is rounder, so their sum is brought to it."""
    rows = []
    whole = math.fsum(part.m3 for part in parts)
    even = drawn_m3 / whole if whole > 0 and drawn_m3 > 0 else 1.0
    for part in (replace(one, m3=one.m3 * even) for one in parts):
        region = region_of(part.rings)
        slab = math.fsum(
            region_volume_m3(shapely.intersection(facet.region, region), facet.plane)
            for cell in solid.cells
            for facet in cell.depths
        )
        slab = min(slab, part.m3) if part.m3 > 0 else slab
        rows.append(
            FloorPart(part, names.get(part.id, part.name), region, part.area_m2, slab, max(0.0, part.m3 - slab))
        )
    return Floor(rows)
