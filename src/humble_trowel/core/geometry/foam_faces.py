"""Foam on the faces of edges, on plan: board outside of the outline, or inside of it where the outline is the foam's face.

Rule: foam lies along its sides, mitred where two of one kind meet, square where it ends. Outside, the concrete keeps to the
outline and grows over the foam where its top is cut back; inside, the concrete stands back from the outline by the foam.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.overlay import common, less
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType


@dataclass(frozen=True)
class FoamFace:
    """Foam of one kind along sides that follow each other. region: of the boards; back: of their top that is cut away."""

    kind: EdgeType
    sides: tuple[int, ...]
    region: BaseGeometry
    back: BaseGeometry | None


def foam_faces(plan: Plan) -> list[FoamFace]:
    """All foam along the outline, in the order of the sides."""
    ring = plan.outline or []
    kinds = {row.mark: row for row in plan.edge_types}
    marks = {side: row.type for row in plan.edges for side in row.sides or ()}
    found = []
    for sides in _runs(len(ring), {side: mark for side, mark in marks.items() if kinds[mark].foam_mm}):
        kind = kinds[marks[sides[0]]]
        foam, cut = kind.foam_mm or 0.0, min(kind.cut_back_mm or 0.0, kind.foam_mm or 0.0)
        region = _along(ring, sides, foam, kind.foam_side == "inside")
        back = None
        if cut and kind.cut_back_high_mm:
            near = _along(ring, sides, cut, False)
            if kind.foam_side == "inside":
                near = less(region, _along(ring, sides, foam - cut, True)) if foam > cut else region
            back = near
        found.append(FoamFace(kind, tuple(sides), region, back))
    return found


def _runs(count: int, marks: dict[int, str]) -> list[list[int]]:
    """Sides of one mark that follow each other, round the start too."""
    if count and len(marks) == count and len(set(marks.values())) == 1:
        return [list(range(count))]
    found: list[list[int]] = []
    for side in range(count):
        if side not in marks or marks.get((side - 1) % count) == marks[side]:
            continue
        run = [side]
        while marks.get((run[-1] + 1) % count) == marks[side]:
            run.append((run[-1] + 1) % count)
        found.append(run)
    return found


def _along(ring: Sequence[XY], sides: Sequence[int], wide_mm: float, inside: bool) -> BaseGeometry:
    """A strip along sides of an outline that runs anticlockwise, mitred."""
    whole, n = Polygon(ring), len(ring)
    if len(sides) == n:
        moved = whole.buffer(-wide_mm if inside else wide_mm, join_style="mitre", mitre_limit=4)
        return less(whole, moved) if inside else less(moved, whole)
    line = LineString([ring[sides[0]], *(ring[(side + 1) % n] for side in sides)])
    strip = line.buffer(wide_mm if inside else -wide_mm, single_sided=True, join_style="mitre", mitre_limit=4)
    return common(strip, whole) if inside else less(strip, whole)
