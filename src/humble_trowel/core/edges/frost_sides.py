"""The sides that frost and weather reach: outside edges with nothing standing against them, and how they stand."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely

from humble_trowel.core.edges.outside import outside_at, stations_of, undisturbed_mm
from humble_trowel.core.forms.exposed import Holds, holding, reaches
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import say_length

INSIDE_MM = 5.0
EVEN_MM = 1.5  # under 1/16 in nobody could say where


@dataclass(frozen=True)
class FrostSide:
    """A side open to the weather over more than half its length. Levels over the main top, at its worst spot.

    buried_mm: how far the edge's bottom lies under the ground outside, least along the side; above_mm: least height
    of the top over that ground; short_mm: how far the bottom stays above the frost line, 0 or less where it reaches.
    bury_mm: how far the bottom lies in undisturbed ground. least_at: where it is buried least, in words, '' where it is the
    same all along. None where ground or frost depth is not known.
    """

    side: int
    name: str
    mark: str | None
    depth_mm: float
    length_mm: float
    top_mm: float
    ground_mm: float | None
    buried_mm: float | None
    above_mm: float | None
    short_mm: float | None
    bury_mm: float | None = None
    least_at: str = ""


def weather_sides(plan: Plan) -> list[int]:
    """Thickened sides open to the weather; where no side is thickened, every open side that is plain."""
    n, held = len(plan.outline or []), holding(plan)
    kinds = {row.mark: row.kind for row in plan.edge_types}
    of_side = {side: kinds[edge.type] for edge in plan.edges for side in edge.sides or ()}
    thick = [i for i in range(n) if of_side.get(i) == "thickened" and _open(plan, i, held)]
    return thick or [i for i in range(n) if i not in of_side and _open(plan, i, held)]


def frost_sides(plan: Plan, cells: list[Cell]) -> list[FrostSide]:
    """Thickened sides open to the weather; where no side is thickened, every open side."""
    types = {row.mark: row for row in plan.edge_types}
    of_side = {side: edge.type for edge in plan.edges for side in edge.sides or ()}
    rows = []
    for side in weather_sides(plan):
        mark = of_side.get(side)
        depth = (types[mark].depth_mm or 0.0) if mark else 0.0
        rows.append(_side(plan, cells, side, mark, depth))
    return rows


def _open(plan: Plan, side: int, held: Sequence[Holds]) -> bool:
    rows = reaches(plan, side, held)
    return sum(row.length_mm for row in rows if not row.against) > 0.5 * sum(row.length_mm for row in rows)


def _side(plan: Plan, cells: list[Cell], side: int, mark: str | None, depth: float) -> FrostSide:
    ring = plan.outline or []
    a, b = side_of(ring, side)
    frost = plan.site.frost_depth_mm
    rows, places = [], []
    in_ground: list[float | None] = []
    for at in stations_of(plan, side):
        spot = _inside(a, b, at)
        point = shapely.Point(spot)
        cell = min(cells, key=lambda one: one.region.distance(point))
        top = cell.top_at(spot)
        deep = max(depth, cell.depth_at(spot))
        outside = outside_at(plan, side, at)
        ground = outside.level_mm
        undisturbed = undisturbed_mm(plan, outside)
        in_ground.append(None if undisturbed is None else undisturbed - (top - deep))
        rows.append((top, top - deep, ground, deep))
        places.append(at)
    tops, deep = [row[0] for row in rows], max(row[3] for row in rows)
    known = [(top, bottom, ground) for top, bottom, ground, _ in rows if ground is not None]
    worst = min(known, key=lambda row: row[2] - row[1]) if known else None
    short = None if worst is None or frost is None else max(row[1] - (row[2] - frost) for row in known)
    return FrostSide(
        side=side, name=side_name(side, len(ring)), mark=mark, depth_mm=deep, length_mm=math.dist(a, b), top_mm=max(tops),
        ground_mm=worst[2] if worst else None, buried_mm=worst[2] - worst[1] if worst else None,
        above_mm=min(row[0] - row[2] for row in known) if known else None, short_mm=short,
        least_at=_least_at(plan, side, list(zip(places, (None if row[2] is None else row[2] - row[1] for row in rows), strict=True))),
        bury_mm=min((mm for mm in in_ground if mm is not None), default=None) if None not in in_ground else None,
    )  # fmt: skip


def _least_at(plan: Plan, side: int, buried: list[tuple[float, float | None]]) -> str:
    """'at A' or '8 ft from A', where it is buried least; '' where it is the same all along."""
    known = [(mm, at) for at, mm in buried if mm is not None]
    if not known or max(known)[0] - min(known)[0] < EVEN_MM:
        return ""
    ring = list(plan.outline or [])
    at, size = min(known)[1], math.dist(*side_of(ring, side))
    for end, stands in ((side, 0.0), ((side + 1) % len(ring), size)):
        if abs(at - stands) < INSIDE_MM:
            return f"at {corner_name(end)}"
    return f"{say_length(at, plan.units)} from {corner_name(side)}"


def _inside(a: XY, b: XY, at: float) -> XY:
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    at = min(size - INSIDE_MM, max(INSIDE_MM, at))
    return (a[0] + ux * at - uy * INSIDE_MM, a[1] + uy * at + ux * INSIDE_MM)
