"""Convex shares of the plan: who owns what goes below the slab, and the cutting that makes them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import NamedTuple

import numpy as np
import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import Box, Ring, apart, area_mm2, box_of, cut, is_convex, moments, parted
from humble_trowel.core.geometry.overlay import GRID_MM, areas_only
from humble_trowel.core.geometry.tops import Plane

EVEN_MM = 1e-9
CLOSE_MM = 0.01


@dataclass(frozen=True, slots=True)
class Piece:
    """A convex share of the plan over which a part adds concrete, all planes linear, mm.

    excess: how deep the part goes below the slab's underside. gain: how much deeper than all parts laid before it
    (than the slab, where there is none). inner: distances from the inner borders of the facet it comes from.
    """

    part: int
    face: str
    zone: int
    ring: Ring
    excess: Plane
    gain: Plane
    inner: tuple[Plane, ...]
    box: Box
    known_m3: float | None = field(default=None, compare=False)  # worked out with what was won

    @property
    def m3(self) -> float:
        """What it adds."""
        return ring_volume_m3(self.ring, self.gain) if self.known_m3 is None else self.known_m3

    @property
    def over_slab(self) -> bool:
        """Whether only slab was there before."""
        return self.gain == self.excess

    @property
    def area_m2(self) -> float:
        return area_mm2(self.ring) / 1e6

    def deeper_than_m3(self, ring: Ring, limit: Plane) -> float:
        """What it adds on a ring inside its own where the part goes more than `limit` below the slab."""
        before = Plane(*(e - g - mm for e, g, mm in zip(self.excess, self.gain, limit, strict=True)))
        past, short = split(ring, before)
        volume = ring_volume_m3(past, self.gain) if past else 0.0
        over = self.excess.minus(limit)
        deeper = split(short, over)[0] if short else []
        return volume + (ring_volume_m3(deeper, over) if deeper else 0.0)


class Lying(NamedTuple):
    """A facet as it lies, for those laid after it: convex ring, depth, box."""

    ring: Ring
    depth: Plane
    box: Box

    @property
    def deepest(self) -> float:
        return max(self.depth.at(x, y) for x, y in self.ring)


Row = tuple[Ring, Plane, Box]
NOTHING: Row = ([], Plane(0.0), (0.0, 0.0, 0.0, 0.0))
MANY, CELLS = 60, 96


def gains(share: Piece, depth: Plane, under: Sequence[Lying]) -> list[Piece]:
    """What of a share lies deeper than the facets under it, and by how much. depth: of the share's own facet."""
    rows: list[Row] = [(share.ring, share.gain, share.box)]
    if len(under) > MANY:
        rows = _won_of_many(rows[0], depth, under)
    else:
        for old in under:
            x0, y0, x1, y1 = old.box
            if all(box[2] <= x0 or x1 <= box[0] or box[3] <= y0 or y1 <= box[1] for _, _, box in rows):
                continue
            gain = depth.minus(old.depth)
            rows = [left for row in rows for left in (_past(row, gain, old) or (row,)) if left[0]]
    part, face, zone, excess, inner = share.part, share.face, share.zone, share.excess, share.inner
    return [
        Piece(part, face, zone, ring, excess, gain, inner, box, ring_volume_m3(ring, gain))
        for ring, gain, box in rows
        if ring
    ]


def _past(row: Row, gain: Plane, old: Lying) -> list[Row] | None:
    """What is left of a row past a facet, in order: none of it as a row without a ring, None where nothing changes."""
    if apart(row[2], old.box) or _nowhere_less(row[0], gain, row[1]):
        return None
    shared, rest = parted(row[0], old.ring)
    if not shared:
        return None
    left: list[Row] = [(ring, row[1], box_of(ring)) for ring in rest]
    before, now = split(shared, gain.minus(row[1]))
    if before:
        left.append((before, row[1], box_of(before)))
    deeper = split(now, gain)[0] if now else []
    if deeper:
        left.append((deeper, gain, box_of(deeper)))
    return left or [NOTHING]


def _won_of_many(first: Row, depth: Plane, under: Sequence[Lying]) -> list[Row]:
    """The same past very many facets: rows stand in cells along the share, so that a facet meets only those near it. A row
    that changed has those that came of it as children; read from the first down they stand in the order of one by one."""
    across = first[2][2] - first[2][0] < first[2][3] - first[2][1]
    low, high = first[2][across], first[2][across + 2]
    wide = (high - low) / CELLS or 1.0
    rows, children = [first], {}
    cells: list[list[int]] = [[0] for _ in range(CELLS)]

    def reach(box: Box) -> range:
        begin, end = int((box[across] - low - 1) / wide), int((box[across + 2] - low + 1) / wide)
        return range(max(0, begin), min(CELLS, end + 1))

    for old in under:
        gain = depth.minus(old.depth)
        for at in sorted({at for cell in reach(old.box) for at in cells[cell]}):
            left = _past(rows[at], gain, old)
            if left is None:
                continue
            for cell in reach(rows[at][2]):
                cells[cell].remove(at)
            children[at] = range(len(rows), len(rows) + len(left))
            for row in left:
                if row[0]:
                    for cell in reach(row[2]):
                        cells[cell].append(len(rows))
                rows.append(row)
    order, waiting = [], [0]
    while waiting:
        at = waiting.pop()
        if at in children:
            waiting.extend(reversed(children[at]))
        else:
            order.append(rows[at])
    return order


def _nowhere_less(ring: Ring, one: Plane, other: Plane) -> bool:
    """Whether a plane is at least as high as another all over a convex ring."""
    at_0, per_x, per_y = one.at_0 - other.at_0, one.per_x - other.per_x, one.per_y - other.per_y
    if not per_x and not per_y:
        return at_0 >= -EVEN_MM
    return all(at_0 + per_x * x + per_y * y >= -EVEN_MM for x, y in ring)


def ring_volume_m3(ring: Ring, depth: Plane) -> float:
    """Volume under a linear depth over a convex ring: area times depth at the centroid. mm in, m3 out."""
    area, x, y = moments(ring)
    return area * depth.at(x, y) / 1e9


def overlapping(shapes: Sequence[Polygon]) -> list[tuple[int, int]]:
    """Pairs (later, earlier) of shapes whose bounds meet, found by a spatial index, earlier ascending."""
    if not shapes:
        return []
    new, old = shapely.STRtree(shapes).query(shapes)
    later = new > old
    return sorted(zip(new[later].tolist(), old[later].tolist(), strict=True))


def clip(groups: Sequence[Sequence[BaseGeometry]], region: BaseGeometry) -> list[list[BaseGeometry]]:
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
        result.append([areas_only(shape) for shape in share if shape is not None and shape.area > 0])
    return result


def convex_rings(shape: BaseGeometry) -> list[Ring]:
    """A shape as convex anticlockwise rings: itself if convex, else triangles."""
    rings: list[Ring] = []
    parts = [p for p in shapely.get_parts(shape) if isinstance(p, Polygon) and not p.is_empty]
    for part in parts:
        ring = ring_of(part)
        if not part.interiors and is_convex(ring):
            rings.append(ring)
        else:
            rings.extend(ring_of(piece) for piece in shapely.get_parts(shapely.constrained_delaunay_triangles(part)))
    return [ring for ring in rings if area_mm2(ring) > 0]


def convex_ring(region: BaseGeometry) -> Ring | None:
    """The ring of a region that is one convex polygon, else None."""
    if not isinstance(region, Polygon) or region.interiors:
        return None
    ring = ring_of(region)
    return ring if is_convex(ring) else None


def polygons_of(rings: Sequence[Ring]) -> list[BaseGeometry]:
    """Rings as polygons, made all at once."""
    if not rings:
        return []
    owner = np.repeat(np.arange(len(rings)), [len(ring) + 1 for ring in rings])
    spots = np.array([spot for ring in rings for spot in (*ring, ring[0])])
    made: list[BaseGeometry] = np.asarray(shapely.polygons(shapely.linearrings(spots, indices=owner))).tolist()
    return made


def ring_of(polygon: Polygon) -> Ring:
    """Corners of a polygon, anticlockwise."""
    spots = shapely.get_coordinates(polygon)[:-1].tolist()
    ring = [(x, y) for x, y in spots]
    return ring if area_mm2(ring) >= 0 else ring[::-1]


def clip_to(shape: BaseGeometry, region: BaseGeometry) -> list[BaseGeometry]:
    """One shape clipped to a region, in pieces with an area."""
    return clip([[shape]], region)[0]


def split(ring: Ring, plane: Plane) -> tuple[Ring, Ring]:
    """Cut a ring where `plane` is 0: (where it is above 0, the rest)."""
    at_0, per_x, per_y = plane
    values = [at_0 + per_x * x + per_y * y for x, y in ring]
    if max(values) <= EVEN_MM:
        return [], ring
    if min(values) >= -EVEN_MM:
        return ring, []
    return cut(ring, values)
