"""Thickened strips as facets: convex plan polygons with a depth that is linear in x and y.

Rule 2 of the plan's geometry (docs/words.md, 'strip'): full depth to the bottom width, then the haunch. Along a
side the strip runs between the perpendiculars at its ends; where the neighbour is thickened too it goes on: at
a convex corner to the neighbour's line, at a re-entrant corner through its half of the kite.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.convex import Ring
from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.polygon import XY, corner_angle_rad
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.tops import Plane
from humble_trowel.core.memo import ByContent, Recent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType

STRAIGHT_RAD = 1e-9


@dataclass(frozen=True)
class Run:
    """One straight thickened run: from `start` to `end`, strip to the left. A neighbour is None unless thickened. inside: on a line
    inside, not on a side."""

    part: int
    kind: EdgeType
    start: XY
    end: XY
    before: Neighbour | None
    after: Neighbour | None
    inside: bool = False


@dataclass(frozen=True)
class Neighbour:
    """What a run meets at one end: the other run's part, type and length, and the interior angle between them."""

    part: int
    kind: EdgeType
    angle_rad: float
    length_mm: float


def edge_runs(plan: Plan) -> list[Run]:
    """All thickened runs of a plan: sides first by row of `edges`, then along lines, each row its own part."""
    return _RUNS.get((plan.outline, plan.edges, plan.edge_types), lambda: _edge_runs(plan))


def _edge_runs(plan: Plan) -> list[Run]:
    kinds = {row.mark: row for row in plan.edge_types}
    owner: dict[int, int] = {}
    for row, edge in enumerate(plan.edges):
        for side in edge.sides or ():
            owner[side] = row
    runs: list[Run] = []
    for row, edge in enumerate(plan.edges):
        kind = kinds[edge.type]
        if kind.kind != "thickened":
            continue
        if edge.along is not None:
            runs.extend(_line_runs(row, kind, edge.along if edge.grow == "left" else edge.along[::-1]))
            continue
        for side in edge.sides or ():
            runs.append(_side_run(plan, kinds, owner, row, side))
    return runs


def _side_run(plan: Plan, kinds: dict[str, EdgeType], owner: dict[int, int], row: int, side: int) -> Run:
    ring = plan.outline or []
    n = len(ring)

    def neighbour(other: int, angle: float) -> Neighbour | None:
        if other not in owner:
            return None
        kind = kinds[plan.edges[owner[other]].type]
        length = math.dist(*side_of(ring, other))
        return Neighbour(owner[other], kind, angle, length) if kind.kind == "thickened" else None

    start, end = side_of(ring, side)
    at_start = corner_angle_rad(ring[side - 1], start, end)
    at_end = corner_angle_rad(start, end, ring[(side + 2) % n])
    kind = kinds[plan.edges[row].type]
    return Run(row, kind, start, end, neighbour((side - 1) % n, at_start), neighbour((side + 1) % n, at_end))


def _line_runs(row: int, kind: EdgeType, path: Sequence[XY]) -> Iterator[Run]:
    last = len(path) - 2

    def neighbour(bend: int, other: int) -> Neighbour:
        angle = corner_angle_rad(path[bend - 1], path[bend], path[bend + 1])
        return Neighbour(row, kind, angle, math.dist(path[other], path[other + 1]))

    for i in range(last + 1):
        before = neighbour(i, i - 1) if i else None
        after = neighbour(i + 1, i + 1) if i < last else None
        yield Run(row, kind, path[i], path[i + 1], before, after, inside=True)


def reach_per_mm(angle_rad: float) -> float:
    """How far a strip runs on past its end's perpendicular, per mm of distance from its line.

    Interior angle between 90 and 180 degrees: to the neighbour's line. Above 180: half of the kite. Else 0.
    """
    if angle_rad > math.pi + STRAIGHT_RAD:
        return math.tan((angle_rad - math.pi) / 2)
    if math.pi / 2 < angle_rad < math.pi - STRAIGHT_RAD:
        return -1.0 / math.tan(angle_rad)
    return 0.0


def strip_width_mm(kind: EdgeType, slab_mm: float) -> float:
    """Plan width of a strip: bottom width plus the haunch's run up to a slab of `slab_mm`."""
    width = kind.bottom_width_mm or 0.0
    return width + (kind.haunch_run_per_rise or 0.0) * max(0.0, (kind.depth_mm or 0.0) - slab_mm)


def _sizes(kind: EdgeType) -> tuple[float | None, ...]:
    return kind.depth_mm, kind.bottom_width_mm, kind.haunch_run_per_rise


_KEPT: ByContent[tuple[Facet, ...]] = ByContent(4_000)
_RUNS: Recent[list[Run]] = Recent(4)


def strip_facets(runs: Sequence[Run], slab_mm: float) -> list[Facet]:
    """Facets of all runs, not yet clipped to the outline. slab_mm: the thinnest slab, where every haunch ends."""
    facets: list[Facet] = []
    for run in runs:
        if (run.kind.depth_mm or 0.0) <= slab_mm:
            continue
        ends = (_reach(run, run.before, slab_mm), _reach(run, run.after, slab_mm))
        content = (run.part, *_sizes(run.kind), run.start, run.end, slab_mm, ends)
        facets.extend(_KEPT.get(content, lambda: tuple(_faces(run.part, run.kind, run, slab_mm, ends, None))))  # noqa: B023
    for run in runs:
        for at_end, other in enumerate((run.before, run.after)):
            if other and other.kind != run.kind and other.angle_rad > math.pi + STRAIGHT_RAD:
                facets.extend(_faces(other.part, other.kind, run, slab_mm, ends=(0.0, 0.0), kite_at=(at_end, other)))
    return facets


def _reach(run: Run, other: Neighbour | None, slab_mm: float) -> float:
    """Reach at one end, cut back to the mitre where that loses nothing.

    At a convex corner of two like runs the nearer line gives the greater depth, so each may end at the bisector.
    This holds only while both runs are long beside the strip; else they overlap and the solid sorts it out. At an
    acute bend of a line inside, a strip sticks out past its neighbour's line, and every point within a strip counts;
    at an acute corner of the outline that lies outside and is cut off anyway.
    """
    if other is None:
        return 0.0
    sticks_out = run.inside and other.angle_rad < math.pi / 2
    if other.kind == run.kind and other.angle_rad < math.pi - STRAIGHT_RAD and not sticks_out:
        needed = 4 * strip_width_mm(run.kind, slab_mm) / math.sin(other.angle_rad)
        if min(math.dist(run.start, run.end), other.length_mm) >= needed:
            return -1.0 / math.tan(other.angle_rad / 2)
    return reach_per_mm(other.angle_rad)


def _faces(
    part: int,
    kind: EdgeType,
    run: Run,
    slab_mm: float,
    ends: tuple[float, float],
    kite_at: tuple[int, Neighbour] | None,
) -> Iterator[Facet]:
    """The full-depth and haunch facets of one run, or of the half kite at one of its ends."""
    (x0, y0), (x1, y1) = run.start, run.end
    length = math.hypot(x1 - x0, y1 - y0)
    ux, uy = (x1 - x0) / length, (y1 - y0) / length
    nx, ny = -uy, ux
    depth, width = kind.depth_mm or 0.0, kind.bottom_width_mm or 0.0

    def spot(t: float, s: float) -> XY:
        return (x0 + t * ux + s * nx, y0 + t * uy + s * ny)

    def band(s0: float, s1: float) -> Ring:
        if kite_at is None:
            lo, hi = ends
            return [spot(-lo * s0, s0), spot(length + hi * s0, s0), spot(length + hi * s1, s1), spot(-lo * s1, s1)]
        at_end, other = kite_at
        k = reach_per_mm(other.angle_rad)
        base, sign = (length, 1.0) if at_end else (0.0, -1.0)
        ring = [
            spot(base, s0),
            spot(base + sign * k * s0, s0),
            spot(base + sign * k * s1, s1),
            spot(base, s1),
        ]
        return ring if s0 else ring[1:]

    if depth <= slab_mm:
        return
    foot = nx * x0 + ny * y0
    yield Facet(part, "full", band(0.0, width), Plane(depth), (Plane(-foot - width, nx, ny),))
    haunch = kind.haunch_run_per_rise or 0.0
    if haunch > 0:
        slope = -1.0 / haunch
        reach = width + haunch * (depth - slab_mm)
        yield Facet(
            part,
            "haunch",
            band(width, reach),
            Plane(depth - (foot + width) * slope, nx * slope, ny * slope),
            (Plane(-foot - reach, nx, ny),),
        )
