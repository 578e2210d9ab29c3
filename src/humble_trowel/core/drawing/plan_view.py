"""The plan as primitives in mm: what is drawn on the sheet, with no pixel and no SVG in it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.shares import Piece
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.order.ledger import LedgerPart
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import say_depth

Rings = list[list[XY]]
BORDER_MM = 0.05


@dataclass(frozen=True)
class ZoneDrawn:
    """rings: exteriors and holes, even-odd. under: the second line of its label."""

    index: int
    name: str
    under: str
    mark: str
    drop_mm: float
    rings: Rings
    at: XY


@dataclass(frozen=True)
class StripDrawn:
    """A thickened strip as owned: face 'full' or 'haunch'. row: of edges. rings: touching convex pieces.

    borders: the lines where the bottom ends (full) or the haunch comes up to the slab.
    """

    row: int
    mark: str
    face: str
    rings: Rings
    borders: Rings


@dataclass(frozen=True)
class PlanView:
    zones: list[ZoneDrawn]
    strips: list[StripDrawn]
    steps: Rings


def plan_view(plan: Plan, solid: Solid, parts: list[LedgerPart]) -> PlanView:
    """Zones with labels (where the ledger has its letters), strips, and the lines along which the top steps."""
    zones = []
    for cell, part in zip(solid.cells, parts, strict=False):
        zone = plan.zones[cell.index]
        drop = f"{say_depth(zone.drop_mm, plan.units)} down, " if zone.drop_mm else ""
        under = f"{drop}{say_depth(cell.thickness_mm, plan.units)} {cell.mark}"
        zones.append(ZoneDrawn(cell.index, cell.name, under, cell.mark, zone.drop_mm, _rings(cell.region), part.at))
    return PlanView(zones, _strips(plan, solid), _steps(plan, solid.cells))


def _strips(plan: Plan, solid: Solid) -> list[StripDrawn]:
    groups: dict[tuple[int, str], list[Piece]] = {}
    for piece in solid.pieces:
        groups.setdefault((piece.part, piece.face), []).append(piece)
    return [
        StripDrawn(
            row,
            plan.edges[row].type,
            face,
            [_rounded(piece.ring) for piece in pieces],
            [line for piece in pieces for line in _borders(piece)],
        )
        for (row, face), pieces in sorted(groups.items())
    ]


def _borders(piece: Piece) -> Rings:
    """Sides of a piece that lie on the inner border of its facet, or where it is no deeper than the slab."""
    on_borders = [[abs(line.at(x, y)) < BORDER_MM for x, y in piece.ring] for line in piece.inner]
    on_slab = [piece.excess.at(x, y) < BORDER_MM for x, y in piece.ring]
    lines: Rings = []
    for at, spot in enumerate(piece.ring):
        if any(on[at - 1] and on[at] for on in (*on_borders, on_slab)):
            lines.append(_rounded([piece.ring[at - 1], spot]))
    return lines


def _rounded(ring: Sequence[XY]) -> list[XY]:
    return [(round(x, 2), round(y, 2)) for x, y in ring]


def _rings(region: BaseGeometry) -> Rings:
    rings: Rings = []
    for part in shapely.get_parts(region):
        if part.geom_type == "Polygon" and part.area > 1.0:
            for ring in (part.exterior, *part.interiors):
                rings.append(_rounded(shapely.get_coordinates(ring)[:-1].tolist()))
    return rings


def _steps(plan: Plan, cells: list[Cell]) -> Rings:
    lines: Rings = []
    for at, one in enumerate(cells):
        for other in cells[at + 1 :]:
            if plan.zones[one.index].drop_mm == plan.zones[other.index].drop_mm:
                continue
            shared = one.region.boundary.intersection(other.region.boundary)
            if shared.length > 1:
                merged = shapely.line_merge(shared) if shared.geom_type == "MultiLineString" else shared
                lines += [
                    _rounded(shapely.get_coordinates(shapely.simplify(part, 0.1)).tolist())
                    for part in shapely.get_parts(merged)
                    if part.geom_type == "LineString"
                ]
    return lines
