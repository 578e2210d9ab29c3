"""The slab as a solid: exact volume of the union of all parts, and the depth at any point.

Method: every part is a few facets (plan polygon, depth linear in x and y). A facet becomes its EXCESS over the
slab of the zone it lies in. Where two facets overlap they are cut along the line on which their depths are equal,
so that every m3 has one owner; area times depth at the centroid is then exact. The increment of a part is what
its facets add to those already laid, so increments in laying order add up to the net volume.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import Box, Ring, apart, area_mm2, box_of, cut, is_convex, moments, parted
from humble_trowel.core.geometry.strips import Facet, edge_runs, strip_facets
from humble_trowel.core.geometry.tops import GRID_MM, Plane
from humble_trowel.core.geometry.zones import Cell, lay_zones, usable_region
from humble_trowel.core.plan.document import Plan

EVEN_MM = 1e-9
CLOSE_MM = 0.01


@dataclass(frozen=True)
class Piece:
    """A convex share of the plan owned by one part. excess: mm below the slab's underside, linear.

    inner: distance from the inner border of the facet it comes from.
    """

    part: int
    face: str
    zone: int
    ring: Ring
    excess: Plane
    inner: Plane
    box: Box

    def on(self, ring: Ring) -> Piece:
        """The same on another ring."""
        return Piece(self.part, self.face, self.zone, ring, self.excess, self.inner, box_of(ring))

    @property
    def m3(self) -> float:
        return ring_volume_m3(self.ring, self.excess)

    @property
    def area_m2(self) -> float:
        return area_mm2(self.ring) / 1e6


@dataclass(frozen=True)
class Solid:
    """cells: slabs by zone. pieces: excess of the other parts, disjoint. added_m3: increment by part index.

    clipped_m2: plan area of a part that stuck out of the outline and was cut off.
    """

    cells: list[Cell]
    pieces: list[Piece]
    added_m3: dict[int, float]
    clipped_m2: dict[int, float] = field(default_factory=dict)

    def slab_m3(self, cell: Cell) -> float:
        return sum(region_volume_m3(facet.region, facet.plane) for facet in cell.depths)

    @property
    def net_m3(self) -> float:
        return sum(self.slab_m3(cell) for cell in self.cells) + sum(self.added_m3.values())

    def depth_at(self, x: float, y: float) -> float:
        """Depth of concrete in mm at a plan point, 0 outside."""
        spot = shapely.Point(x, y)
        for cell in self.cells:
            if cell.region.intersects(spot):
                here = (p for p in self.pieces if p.zone == cell.index and Polygon(p.ring).intersects(spot))
                return cell.depth_at((x, y)) + max((p.excess.at(x, y) for p in here), default=0.0)
        return 0.0


def ring_volume_m3(ring: Ring, depth: Plane) -> float:
    """Volume under a linear depth over a convex ring: area times depth at the centroid. mm in, m3 out."""
    area, x, y = moments(ring)
    return area * depth.at(x, y) / 1e9


def region_volume_m3(region: BaseGeometry, depth: Plane) -> float:
    """The same over any region."""
    area = float(region.area)
    if area <= 0.0 or not (depth.per_x or depth.per_y):
        return area * depth.at_0 / 1e9
    centre = region.centroid
    return area * depth.at(centre.x, centre.y) / 1e9


def build_solid(plan: Plan) -> Solid:
    """The solid of a plan with an outline. Raises PlanError as lay_zones does."""
    cells = lay_zones(plan)
    slab_mm = min(cell.thickness_mm for cell in cells) if cells else 0.0
    laying = Laying(cells, usable_region(plan))
    laying.lay(strip_facets(edge_runs(plan), slab_mm))
    return Solid(cells, laying.pieces(), laying.added_m3, laying.clipped_m2)


class Laying:
    """Lays facets one after another, keeping owners disjoint."""

    def __init__(self, cells: Sequence[Cell], usable: BaseGeometry) -> None:
        self.slabs = [(cell.index, facet) for cell in cells for facet in cell.depths]
        self.usable = usable
        self.added_m3: dict[int, float] = {}
        self.clipped_m2: dict[int, float] = {}
        self._by_origin: list[list[Piece]] = []

    def pieces(self) -> list[Piece]:
        return [piece for group in self._by_origin for piece in group]

    def lay(self, facets: Sequence[Facet]) -> None:
        """Lay the facets in the order of their parts. Call once."""
        facets = sorted(facets, key=lambda facet: facet.part)
        shapes = [facet.shape for facet in facets]
        earlier: list[list[int]] = [[] for _ in facets]
        for new, old in _overlapping(shapes):
            earlier[new].append(old)
        shares = self._shares(facets)
        self._by_origin = [[] for _ in facets]
        for index, facet in enumerate(facets):
            self.added_m3.setdefault(facet.part, 0.0)
            for piece in shares[index]:
                self._by_origin[index].extend(self._settle(piece, earlier[index]))

    def _shares(self, facets: Sequence[Facet]) -> list[list[Piece]]:
        """Facets clipped to the outline, split by zone into convex rings, cut where no deeper than the slab."""
        inside = _clip([(facet.shape,) for facet in facets], self.usable)
        for facet, kept in zip(facets, inside, strict=True):
            lost = (facet.shape.area - sum(shape.area for shape in kept)) / 1e6
            if lost > 1e-6:
                self.clipped_m2[facet.part] = self.clipped_m2.get(facet.part, 0.0) + lost
        rings = [[ring for shape in shapes for ring in _convex_rings(shape)] for shapes in inside]
        shares: list[list[Piece]] = [[] for _ in facets]
        for (zone, slab), parts in zip(self.slabs, self._by_slab(rings), strict=True):
            for at, (facet, own) in enumerate(zip(facets, parts, strict=True)):
                excess = facet.depth.minus(slab.plane)
                for ring in own:
                    deeper, _ = _split(ring, excess)
                    if deeper:
                        box = box_of(deeper)
                        shares[at].append(Piece(facet.part, facet.face, zone, deeper, excess, facet.inner, box))
        return shares

    def _by_slab(self, rings: list[list[Ring]]) -> list[list[list[Ring]]]:
        """For every share of slab, what each facet's rings have in it: convex ones take theirs, the last the rest."""
        if len(self.slabs) == 1:
            return [rings]
        convex = {at: ring for at, (_, slab) in enumerate(self.slabs) if (ring := _convex_ring(slab.region))}
        others = [at for at in range(len(self.slabs)) if at not in convex]
        if len(others) > 1:
            shapes = [[Polygon(ring) for ring in own] for own in rings]
            clipped = [_clip(shapes, slab.region) for _, slab in self.slabs]
            return [[[r for s in own for r in _convex_rings(s)] for own in parts] for parts in clipped]
        result: list[list[list[Ring]]] = [[[] for _ in rings] for _ in self.slabs]
        for at, own in enumerate(rings):
            left = own
            for slab, ring in convex.items():
                parts = [parted(one, ring) for one in left]
                result[slab][at] = [inside for inside, _ in parts if inside]
                left = [piece for _, outside in parts for piece in outside]
            if others:
                result[others[0]][at] = left
        return result

    def _settle(self, piece: Piece, earlier: Sequence[int]) -> list[Piece]:
        """Give the piece what nobody owns yet and what it owns deeper than its present owner."""
        free: list[Ring] = [piece.ring]
        kept: list[Ring] = []
        for origin in earlier:
            group = self._by_origin[origin]
            for old in list(group):
                if old.zone != piece.zone or not free or apart(old.box, piece.box):
                    continue
                still: list[Ring] = []
                for ring in free:
                    shared, rest = parted(ring, old.ring)
                    still.extend(rest)
                    if shared:
                        kept.extend(self._take(piece, old, shared, group))
                free = still
        for ring in free:
            self.added_m3[piece.part] += ring_volume_m3(ring, piece.excess)
        return [piece.on(ring) for ring in [*kept, *free]]

    def _take(self, piece: Piece, old: Piece, shared: Ring, group: list[Piece]) -> list[Ring]:
        """Where `piece` is deeper over `shared`, the ground changes hands; the gain is booked to its part."""
        gain = piece.excess.minus(old.excess)
        won, _ = _split(shared, gain)
        if not won:
            return []
        self.added_m3[piece.part] += ring_volume_m3(won, gain)
        box = box_of(won)
        left: list[Piece] = []
        for owned in group:
            if owned.zone != old.zone or apart(owned.box, box):
                left.append(owned)
                continue
            held, rest = parted(owned.ring, won)
            left.extend([owned] if not held else [owned.on(ring) for ring in rest])
        group[:] = left
        return [won]


def _overlapping(shapes: Sequence[Polygon]) -> list[tuple[int, int]]:
    """Pairs (later, earlier) of shapes whose bounds meet, found by a spatial index, earlier ascending."""
    if not shapes:
        return []
    new, old = shapely.STRtree(shapes).query(shapes)
    later = new > old
    return sorted(zip(new[later].tolist(), old[later].tolist(), strict=True))


def _clip(groups: Sequence[Sequence[BaseGeometry]], region: BaseGeometry) -> list[list[BaseGeometry]]:
    """Every group's shapes clipped to a region. What lies inside within 0.01 mm stays whole.

    The overlay is done on a grid (see GRID_MM): without one the library has been seen to return nothing where two
    borders run together to the last bit.
    """
    flat = np.array([shape for group in groups for shape in group], dtype=object)
    if not len(flat):
        return [[] for _ in groups]
    roomy = region.buffer(CLOSE_MM, join_style="mitre")
    shapely.prepare(roomy)
    whole = shapely.covers(roomy, flat)
    apart = ~shapely.intersects(roomy, flat)
    done = flat.copy()
    done[apart] = None
    cut_off = ~whole & ~apart
    done[cut_off] = shapely.intersection(region, flat[cut_off], grid_size=GRID_MM)
    result: list[list[BaseGeometry]] = []
    at = 0
    for group in groups:
        share = done[at : at + len(group)]
        at += len(group)
        result.append([shape for shape in share if shape is not None and shape.area > 0])
    return result


def _convex_rings(shape: BaseGeometry) -> list[Ring]:
    """A shape as convex anticlockwise rings: itself if convex, else triangles."""
    rings: list[Ring] = []
    parts = [shape] if isinstance(shape, Polygon) else [p for p in shapely.get_parts(shape) if isinstance(p, Polygon)]
    for part in parts:
        ring = _ring(part)
        if not part.interiors and is_convex(ring):
            rings.append(ring)
        else:
            rings.extend(_ring(piece) for piece in shapely.get_parts(shapely.constrained_delaunay_triangles(part)))
    return [ring for ring in rings if area_mm2(ring) > 0]


def _convex_ring(region: BaseGeometry) -> Ring | None:
    """The ring of a region that is one convex polygon, else None."""
    if not isinstance(region, Polygon) or region.interiors:
        return None
    ring = _ring(region)
    return ring if is_convex(ring) else None


def _ring(polygon: Polygon) -> Ring:
    spots = shapely.get_coordinates(polygon)[:-1].tolist()
    ring = [(x, y) for x, y in spots]
    return ring if area_mm2(ring) >= 0 else ring[::-1]


def _split(ring: Ring, plane: Plane) -> tuple[Ring, Ring]:
    """Cut a ring where `plane` is 0: (where it is above 0, the rest)."""
    at_0, per_x, per_y = plane
    values = [at_0 + per_x * x + per_y * y for x, y in ring]
    if max(values) <= EVEN_MM:
        return [], ring
    if min(values) >= -EVEN_MM:
        return ring, []
    return cut(ring, values)
