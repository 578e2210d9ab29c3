"""The slab as a solid: exact volume of the union of all parts, and the depth at any point.

Method: every part is a few facets (plan polygon, depth linear in x and y). What a facet ADDS is the part of it that
lies deeper than the slab and than every facet laid before it: it is cut along the borders of those and along the
lines on which depths are equal, until over each convex share the gain is linear; area times gain at the centroid is
then exact. So every m3 counts once, gains in laying order (edges, beams, pads) add up to the greatest depth, and
what one facet adds depends only on those that overlap it. Recesses take from what is there (recesses.py).
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, field
from functools import cached_property, partial

import numpy as np
import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.beams import beam_facets
from humble_trowel.core.geometry.convex import SLIVER_MM2, Ring, box_of, parted, within
from humble_trowel.core.geometry.facets import Facet, draw_shapes
from humble_trowel.core.geometry.pads import pad_facets
from humble_trowel.core.geometry.parts import PartOf, first_number, parts_of
from humble_trowel.core.geometry.recesses import recess_change_m3
from humble_trowel.core.geometry.shares import (
    Lying,
    Piece,
    clip,
    convex_ring,
    convex_rings,
    gains,
    overlapping,
    split,
)
from humble_trowel.core.geometry.strips import edge_runs, strip_facets
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.geometry.zones import Cell, lay_zones, usable_region
from humble_trowel.core.memo import ByContent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Recess

NEAR_MM = 1.0
ON_BORDER_MM = 1e-3  # a spot on the mitre between two pieces belongs to both


@dataclass(frozen=True)
class Solid:
    """cells: slabs by zone. pieces: what edges, beams and pads add, before recesses are taken out.

    parts: what each number stands for. added_m3: increment by part number, a recess's below 0. facets: as drawn on
    the plan, unclipped. clipped_m2: plan area of a part that stuck out of the outline and was cut off.
    """

    cells: list[Cell]
    pieces: list[Piece]
    added_m3: dict[int, float]
    clipped_m2: dict[int, float] = field(default_factory=dict)
    parts: list[PartOf] = field(default_factory=list)
    facets: list[Facet] = field(default_factory=list)
    recesses: list[Recess] = field(default_factory=list)
    alone_m3: dict[int, float] = field(default_factory=dict, compare=False)  # worked out so far (redo.py)

    @cached_property
    def lying(self) -> list[Lying]:
        """The facets as they lie, in their order."""
        return [facet.lying for facet in self.facets]

    @cached_property
    def by_part(self) -> dict[int, list[Piece]]:
        """The pieces of every part, in their order."""
        rows: dict[int, list[Piece]] = {}
        for piece in self.pieces:
            rows.setdefault(piece.part, []).append(piece)
        return rows

    def slab_m3(self, cell: Cell) -> float:
        return sum(region_volume_m3(facet.region, facet.plane) for facet in cell.depths)

    @property
    def net_m3(self) -> float:
        return sum(self.slab_m3(cell) for cell in self.cells) + sum(self.added_m3.values())

    def top_at(self, spot: tuple[float, float]) -> float:
        """Level of the top at a plan point, mm; outside of all zones that of the nearest."""
        point = shapely.Point(spot)
        return min(self.cells, key=lambda cell: cell.region.distance(point)).top_at(spot)

    def depth_at(self, x: float, y: float) -> float:
        """Depth of concrete in mm at a plan point, 0 outside."""
        spot = shapely.Point(x, y)
        for cell in self.cells:
            if shapely.dwithin(cell.region, spot, ON_BORDER_MM):
                mine = (p for p in self.pieces if p.zone == cell.index and within(p.box, (x, y), ON_BORDER_MM))
                here = (p for p in mine if shapely.dwithin(Polygon(p.ring), spot, ON_BORDER_MM))
                slab, more = cell.depth_at((x, y)), max((p.excess.at(x, y) for p in here), default=0.0)
                return self._under_recess(spot, slab, slab + more)
        return 0.0

    def _under_recess(self, spot: shapely.Point, slab_mm: float, depth_mm: float) -> float:
        for recess in self.recesses:
            if shapely.dwithin(Polygon(recess.polygon), spot, ON_BORDER_MM):
                return max(slab_mm if recess.keeps_thickness else 0.0, depth_mm - recess.depth_mm)
        return depth_mm


def region_volume_m3(region: BaseGeometry, depth: Plane) -> float:
    """The same over any region."""
    area = float(region.area)
    if area <= 0.0 or not (depth.per_x or depth.per_y):
        return area * depth.at_0 / 1e9
    centre = region.centroid
    return area * depth.at(centre.x, centre.y) / 1e9


def build_solid(plan: Plan) -> Solid:
    """The solid of a plan with an outline. Raises PlanError as lay_zones does. It takes its time: a job keeps it."""
    cells = lay_zones(plan)
    laying = Laying(cells, usable_region(plan))
    facets = all_facets(plan, cells)
    pieces = laying.lay(facets)
    added = {facet.part: 0.0 for facet in facets}
    for piece in pieces:
        added[piece.part] += piece.m3
    first = first_number(plan, "recess")
    for row, near in enumerate(_near(plan.recesses, pieces)):
        added[first + row] = recess_change_m3(plan.recesses[row], cells, near)
    return Solid(cells, pieces, added, laying.clipped_m2, parts_of(plan), facets, list(plan.recesses))


def _near(recesses: Sequence[Recess], pieces: Sequence[Piece]) -> Iterator[list[Piece]]:
    """The pieces that may lie under each recess, in their order."""
    boxes = np.array([piece.box for piece in pieces]).reshape(-1, 4)
    for recess in recesses:
        x0, y0, x1, y1 = box_of(recess.polygon)
        low = (boxes[:, 0] < x1 + NEAR_MM) & (boxes[:, 1] < y1 + NEAR_MM)
        hit = low & (boxes[:, 2] > x0 - NEAR_MM) & (boxes[:, 3] > y0 - NEAR_MM)
        yield [pieces[at] for at in np.flatnonzero(hit).tolist()]


def all_facets(plan: Plan, cells: Sequence[Cell]) -> list[Facet]:
    """Facets of all edges, beams and pads, not yet clipped to the outline."""
    slab_mm = min((cell.thickness_mm for cell in cells), default=0.0)
    facets = [
        *strip_facets(edge_runs(plan), slab_mm),
        *beam_facets(plan, slab_mm, first_number(plan, "beam")),
        *pad_facets(plan, slab_mm, first_number(plan, "pad")),
    ]
    facets = [facet for facet in facets if facet.area_mm2 > SLIVER_MM2]
    draw_shapes(facets)
    return facets


# What a share wins depends on it and on what lies under it, nothing else. A facet's name stands for its ring and depth.
_WON: ByContent[list[Piece]] = ByContent(20_000)
_NAMES: ByContent[object] = ByContent(40_000)


class Laying:
    """Lays facets one after another."""

    def __init__(self, cells: Sequence[Cell], usable: BaseGeometry) -> None:
        self.slabs = [(cell.index, facet) for cell in cells for facet in cell.depths]
        self.usable = usable
        self.clipped_m2: dict[int, float] = {}

    def lay(self, facets: Sequence[Facet]) -> list[Piece]:
        """What each facet adds to those of earlier parts, in the order of their parts."""
        facets = sorted(facets, key=lambda facet: facet.part)
        lying = [facet.lying for facet in facets]
        earlier: list[list[int]] = [[] for _ in facets]
        for new, old in overlapping([facet.shape for facet in facets]):
            earlier[new].append(old)
        deepest = sorted(range(len(facets)), key=lambda at: (facets[at].face != "full", -facets[at].deepest))
        rank = {at: place for place, at in enumerate(deepest)}
        names = [_NAMES.get(facet.content, object) for facet in facets]
        pieces: list[Piece] = []
        for index, shares in enumerate(self.shares(facets)):
            order = sorted(earlier[index], key=rank.__getitem__)
            under, below, depth = [lying[at] for at in order], tuple([names[at] for at in order]), facets[index].depth
            for share in shares:
                content = (tuple(share.ring), share.gain, depth, below, share.part, share.face, share.zone)
                pieces.extend(_WON.get(content, partial(gains, share, depth, under)))
        return pieces

    def shares(self, facets: Sequence[Facet]) -> list[list[Piece]]:
        """Facets clipped to the outline, split by zone into convex rings, cut where no deeper than the slab."""
        inside = clip([(facet.shape,) for facet in facets], self.usable)
        for facet, kept in zip(facets, inside, strict=True):
            if kept and kept[0] is facet.shape:
                continue
            lost = (facet.area_mm2 - sum(shape.area for shape in kept)) / 1e6
            if lost > 1e-6:
                self.clipped_m2[facet.part] = self.clipped_m2.get(facet.part, 0.0) + lost
        rings = [
            facet.whole if kept and kept[0] is facet.shape else [ring for shape in kept for ring in convex_rings(shape)]
            for facet, kept in zip(facets, inside, strict=True)
        ]
        shares: list[list[Piece]] = [[] for _ in facets]
        for (zone, slab), parts in zip(self.slabs, self._by_slab(rings), strict=True):
            for at, (facet, own) in enumerate(zip(facets, parts, strict=True)):
                excess = facet.depth.minus(slab.plane)
                for ring in own:
                    deeper, _ = split(ring, excess)
                    if deeper:
                        box = box_of(deeper)
                        shares[at].append(Piece(facet.part, facet.face, zone, deeper, excess, excess, facet.inner, box))
        return shares

    def _by_slab(self, rings: list[list[Ring]]) -> list[list[list[Ring]]]:
        """For every share of slab, what each facet's rings have in it: convex ones take theirs, the last the rest."""
        if len(self.slabs) == 1:
            return [rings]
        convex = {at: ring for at, (_, slab) in enumerate(self.slabs) if (ring := convex_ring(slab.region))}
        others = [at for at in range(len(self.slabs)) if at not in convex]
        if len(others) > 1:
            shapes = [[Polygon(ring) for ring in own] for own in rings]
            clipped = [clip(shapes, slab.region) for _, slab in self.slabs]
            return [[[r for s in own for r in convex_rings(s)] for own in parts] for parts in clipped]
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
