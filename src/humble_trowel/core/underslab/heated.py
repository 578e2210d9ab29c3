"""Floor that is warmed: the rooms, where tube may pass on its way, and where none may lie."""

from __future__ import annotations

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.overlay import GRID_MM, common, less
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan

AROUND_MM = {"floor-drain": 304.8, "floor-sink": 152.4, "column": 152.4, "manifold": 0.0}
NEAR_MM = 25.4


def rooms_of(plan: Plan, solid: Solid) -> tuple[dict[str, BaseGeometry], list[Finding]]:
    """Heated rooms by name, less what an earlier one took; findings of rooms whose zone is gone."""
    found: dict[str, BaseGeometry] = {}
    doubts: list[Finding] = []
    taken: BaseGeometry = Polygon()
    floor = shapely.union_all([cell.region for cell in solid.cells], grid_size=GRID_MM)
    ids = [zone.id for zone in plan.zones]
    for row in plan.underslab.heated:
        if row.ring is not None:
            region = common(Polygon(row.ring), floor)
        else:
            cells = [cell for cell in solid.cells if ids[cell.index] == row.zone]
            region = cells[0].region if cells else Polygon()
        region = less(region, taken)
        taken = shapely.union_all([taken, region], grid_size=GRID_MM)
        if region.area < 1.0:
            words = f"{row.name} is heated, and no floor of it is left."
            doubts.append(finding("tube-room", f"underslab/{row.id}", words, "Take it out, or walk it anew.", "tube"))
        else:
            found[row.name] = region
    return found, doubts


def warm_floor(plan: Plan, solid: Solid, rooms: dict[str, BaseGeometry]) -> BaseGeometry:
    """Floor that tube may pass: all slabs that are not outside, and what is heated."""
    outside = {row.slab for row in plan.build_ups if row.space == "outside"}
    rows = [cell.region for cell in solid.cells if cell.mark not in outside] + list(rooms.values())
    return shapely.union_all(rows, grid_size=GRID_MM)


def kept_out(plan: Plan, outside: float) -> BaseGeometry:
    """Where no tube lies: openings, recesses, pads with their bolts, drains, columns, and beside every riser."""
    kinds = {kind.mark: kind for kind in plan.pad_types}
    rows: list[BaseGeometry] = [Polygon(ring).buffer(76.2, join_style="mitre") for ring in plan.openings]
    rows += [Polygon(row.polygon).buffer(50.8, join_style="mitre") for row in plan.recesses]
    rows += [Polygon(pad_ring(kinds[pad.type], pad)) for pad in plan.pads]
    for riser in plan.underslab.risers:
        round_mm = riser.size_mm / 2 + outside / 2 + AROUND_MM.get(riser.kind, NEAR_MM)
        if riser.kind != "manifold":
            rows.append(shapely.Point(riser.at).buffer(round_mm))
    return shapely.union_all(rows, grid_size=GRID_MM) if rows else Polygon()
