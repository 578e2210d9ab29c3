"""Joints of their own round columns: a square on its point, or round. Lengths mm."""

from __future__ import annotations

import math
from dataclasses import dataclass

import shapely
from shapely.geometry import Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.joint_parts import Isolation
from humble_trowel.core.plan.joint_ways import JointWays

ROUND_CORNERS = 32


@dataclass(frozen=True)
class Column:
    """Something that carries a building and moves by itself. wide_mm: across it."""

    id: str
    name: str
    at: XY
    wide_mm: float


def columns_of(plan: Plan) -> list[Column]:
    """Columns that come up through the slab, and those that will stand on bolts."""
    rows = [Column(row.id, row.name, row.at, row.size_mm) for row in plan.underslab.risers if row.kind == "column"]
    return rows + [
        Column(
            row.id,
            row.name,
            row.at,
            max((row.across - 1) * row.across_mm, (row.along - 1) * row.along_mm) + 2 * row.bolt_mm,
        )
        for row in plan.embeds.groups
    ]


def isolation_ring(column: Column, said: Isolation, ways: JointWays) -> list[XY]:
    """The joint round a column."""
    out = said.out_mm or column.wide_mm / 2 + ways.column_mm
    count = 4 if said.shape == "diamond" else ROUND_CORNERS
    x, y = column.at
    return [
        (x + out * math.cos(2 * math.pi * i / count), y + out * math.sin(2 * math.pi * i / count)) for i in range(count)
    ]


def isolation_rings(plan: Plan, ways: JointWays) -> list[tuple[Column, Isolation, list[XY]]]:
    """Every one; columns that are gone have none."""
    named = {row.id: row for row in columns_of(plan)}
    return [
        (named[row.of], row, isolation_ring(named[row.of], row, ways))
        for row in plan.joints.isolation
        if row.of in named
    ]


def perimeter_mm(ring: list[XY]) -> float:
    """How much strip it takes."""
    return float(Polygon(ring).length)


def cut_out(area: Polygon, rings: list[list[XY]]) -> Polygon:
    """A region without what stands inside joints of its own; what falls apart by it keeps its largest part."""
    for ring in rings:
        hole = Polygon(ring)
        if area.intersects(hole) and not hole.covers(area):
            rest = area.difference(hole)
            parts = [part for part in getattr(rest, "geoms", [rest]) if isinstance(part, Polygon)]
            area = shapely.orient_polygons(max(parts, key=lambda part: part.area, default=area))
    return area
