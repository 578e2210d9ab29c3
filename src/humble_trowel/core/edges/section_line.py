"""The section of the solid along any straight line, exact: every top and every bottom is a straight stretch.

Levels are mm over the finished top of the main slab; s runs along the line from its first point, mm.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations, pairwise
from typing import NamedTuple

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import common
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.geometry.zones import Cell

LEAST_MM = 1e-6
EVEN_MM = 1e-9


class Straight(NamedTuple):
    """A value that is linear along the line: at s = 0, and per mm."""

    at_0: float
    per_s: float

    def at(self, s: float) -> float:
        return self.at_0 + self.per_s * s


@dataclass(frozen=True)
class Span:
    """A stretch over which top and bottom are straight and one part gives the depth.

    part: number of that part, None for the slab alone. face: of its facet, '' for the slab. recess: index or None.
    slab_mm: thickness of the slab there, at the stretch's middle.
    """

    s0_mm: float
    s1_mm: float
    top0_mm: float
    top1_mm: float
    bottom0_mm: float
    bottom1_mm: float
    zone: int
    part: int | None
    face: str
    recess: int | None
    slab_mm: float

    @property
    def area_mm2(self) -> float:
        return (self.s1_mm - self.s0_mm) * (self.top0_mm - self.bottom0_mm + self.top1_mm - self.bottom1_mm) / 2


class _Depth(NamedTuple):
    """Something that gives a depth over a stretch of the line."""

    s0_mm: float
    s1_mm: float
    part: int | None
    face: str
    depth: Straight


def section_line(solid: Solid, a: XY, b: XY) -> list[Span]:
    """Stretches along the line from a to b, in order, where there is concrete. The points must differ."""
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    line = LineString([a, b])

    def along(plane: Plane) -> Straight:
        return Straight(plane.at(*a), plane.per_x * ux + plane.per_y * uy)

    over = [
        _Depth(s0_mm, s1_mm, facet.part, facet.face, along(facet.depth))
        for facet in solid.facets
        for s0_mm, s1_mm in _reaches(line, facet.shape, a)
    ]
    dips = [
        (s0_mm, s1_mm, index)
        for index, recess in enumerate(solid.recesses)
        for s0_mm, s1_mm in _reaches(line, Polygon(recess.polygon), a)
    ]
    spans: list[Span] = []
    for cell in solid.cells:
        for top in cell.tops:
            for slab in cell.depths:
                both = top.region if top.region is slab.region else common(top.region, slab.region)
                for s0_mm, s1_mm in _reaches(line, both, a):
                    spans += _stretch(solid, cell, (s0_mm, s1_mm), along(top.plane), along(slab.plane), over, dips)
    return _joined(sorted(spans, key=lambda span: span.s0_mm))


def _reaches(line: LineString, shape: BaseGeometry, a: XY) -> list[tuple[float, float]]:
    """Stretches of a line inside a shape."""
    if not shapely.intersects(line, shape):
        return []
    found = []
    for part in shapely.get_parts(line.intersection(shape)):
        if part.geom_type == "LineString" and part.length > LEAST_MM:
            ends = sorted(math.dist(a, spot) for spot in part.coords)
            found.append((ends[0], ends[-1]))
    return found


def _stretch(
    solid: Solid, cell: Cell, ends: tuple[float, float], top: Straight, slab: Straight,
    over: Sequence[_Depth], dips: Sequence[tuple[float, float, int]],
) -> list[Span]:  # fmt: skip
    """The stretch of one share of slab, cut wherever something begins, ends or takes over."""
    s0_mm, s1_mm = ends
    marks = {s0_mm, s1_mm}
    for row in over:
        marks |= {s for s in (row.s0_mm, row.s1_mm) if s0_mm < s < s1_mm}
    for low, high, _ in dips:
        marks |= {s for s in (low, high) if s0_mm < s < s1_mm}
    spans: list[Span] = []
    for low, high in pairwise(sorted(marks)):
        if high - low <= LEAST_MM:
            continue
        middle = (low + high) / 2
        here = [row for row in over if row.s0_mm <= middle <= row.s1_mm]
        dip = next((index for d0, d1, index in dips if d0 <= middle <= d1), None)
        spans += _under_one_recess(solid, cell, (low, high), top, slab, here, dip)
    return spans


def _under_one_recess(
    solid: Solid, cell: Cell, ends: tuple[float, float], top: Straight, slab: Straight,
    here: Sequence[_Depth], dip: int | None,
) -> list[Span]:  # fmt: skip
    """Upper envelope of the depths over a stretch, each measured from the zone's top."""
    low, high = ends
    recess = solid.recesses[dip] if dip is not None else None
    gone = recess.depth_mm if recess else 0.0
    keeps = gone if recess is not None and recess.keeps_thickness else 0.0
    rows = [_Depth(low, high, None, "", Straight(slab.at_0 + keeps, slab.per_s)), *here]
    if recess is not None and not keeps:
        rows.append(_Depth(low, high, None, "", Straight(gone, 0.0)))  # nothing is deeper than the void
    marks = {low, high}
    for one, other in combinations(rows, 2):
        closing = one.depth.per_s - other.depth.per_s
        if abs(closing) > EVEN_MM:
            s = (other.depth.at_0 - one.depth.at_0) / closing
            if low < s < high:
                marks.add(s)
    spans = []
    for s0_mm, s1_mm in pairwise(sorted(marks)):
        middle = (s0_mm + s1_mm) / 2
        best = max(rows, key=lambda row: (round(row.depth.at(middle), 6), row.part is None))
        if best.depth.at(middle) - gone <= EVEN_MM:
            continue
        spans.append(
            Span(
                s0_mm=s0_mm, s1_mm=s1_mm, top0_mm=top.at(s0_mm) - gone, top1_mm=top.at(s1_mm) - gone,
                bottom0_mm=top.at(s0_mm) - best.depth.at(s0_mm), bottom1_mm=top.at(s1_mm) - best.depth.at(s1_mm),
                zone=cell.index, part=best.part, face=best.face, recess=dip, slab_mm=slab.at(middle),
            )
        )  # fmt: skip
    return spans


def _joined(spans: Sequence[Span]) -> list[Span]:
    """Neighbours that are one straight stretch of the same thing made one."""
    rows: list[Span] = []
    for span in spans:
        last = rows[-1] if rows else None
        if last is not None and _same(last, span):
            rows[-1] = Span(
                **{**last.__dict__, "s1_mm": span.s1_mm, "top1_mm": span.top1_mm, "bottom1_mm": span.bottom1_mm}
            )
        else:
            rows.append(span)
    return rows


def _same(one: Span, two: Span) -> bool:
    if abs(one.s1_mm - two.s0_mm) > LEAST_MM or (one.zone, one.part, one.recess) != (two.zone, two.part, two.recess):
        return False
    if max(abs(one.top1_mm - two.top0_mm), abs(one.bottom1_mm - two.bottom0_mm)) > 1e-6:
        return False
    for a0, a1, b0, b1 in (
        (one.top0_mm, one.top1_mm, two.top0_mm, two.top1_mm),
        (one.bottom0_mm, one.bottom1_mm, two.bottom0_mm, two.bottom1_mm),
    ):
        if abs((a1 - a0) * (two.s1_mm - two.s0_mm) - (b1 - b0) * (one.s1_mm - one.s0_mm)) > 1e-6 * (
            two.s1_mm - one.s0_mm
        ):
            return False
    return True


def section_area_m2(spans: Sequence[Span]) -> float:
    """Area of the cut concrete."""
    return sum(span.area_mm2 for span in spans) / 1e6


def section_rings(spans: Sequence[Span]) -> list[list[XY]]:
    """Concrete as rings (s, level), one for each stretch without a gap; neighbours at different levels stay joined
    where they touch."""
    groups: list[list[Span]] = []
    for span in spans:
        last = groups[-1][-1] if groups else None
        touches = last is not None and abs(last.s1_mm - span.s0_mm) < 1e-3
        overlap = last is not None and min(last.top1_mm, span.top0_mm) > max(last.bottom1_mm, span.bottom0_mm)
        if touches and overlap:
            groups[-1].append(span)
        else:
            groups.append([span])
    rings = []
    for group in groups:
        above = [spot for span in group for spot in ((span.s0_mm, span.top0_mm), (span.s1_mm, span.top1_mm))]
        below = [spot for span in group for spot in ((span.s0_mm, span.bottom0_mm), (span.s1_mm, span.bottom1_mm))]
        rings.append(_without_twins([*above, *below[::-1]]))
    return rings


def _without_twins(ring: list[XY]) -> list[XY]:
    rounded = [(round(s, 3), round(z, 3)) for s, z in ring]
    return [spot for at, spot in enumerate(rounded) if spot != rounded[at - 1]]
