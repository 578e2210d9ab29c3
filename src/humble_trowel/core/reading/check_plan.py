"""What is impossible about a plan's marks, outline, zones, edges and forms; parts stand in check_parts.py."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.polygon import XY, check_ring
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import check_ids
from humble_trowel.core.plan.shape_parts import Marked
from humble_trowel.core.reading.check_beside import check_beside
from humble_trowel.core.reading.check_embeds import check_embeds
from humble_trowel.core.reading.check_footings import check_footings
from humble_trowel.core.reading.check_parts import check_parts
from humble_trowel.core.reading.check_screed import check_screed
from humble_trowel.core.reading.check_size import check_pourable, check_work
from humble_trowel.core.reading.check_steel import check_steel
from humble_trowel.core.reading.check_underslab import check_underslab
from humble_trowel.core.reading.check_walls import check_walls


def check_plan(plan: Plan) -> None:
    """Raise PlanError for anything impossible in the geometry or in the names."""
    check_ids(plan)
    _check_marks(plan)
    check_work(plan)
    if plan.outline is not None:
        check_ring(plan.outline, "outline", "The outline")
        check_pourable(plan)
        for index, ring in enumerate(plan.openings):
            check_ring(ring, f"openings[{index}]", f"Opening {index + 1}")
        if not plan.zones:
            raise PlanError("The outline has no zone, so no slab. Give it one.", "zones")
        cells = lay_zones(plan)
        if sum(cell.area_m2 for cell in cells) < 1e-4:
            raise PlanError("The openings leave nothing of the slab.", "openings")
    _check_edges(plan)
    _check_wholly_outside(plan)
    check_parts(plan)
    check_footings(plan)
    check_walls(plan)
    check_beside(plan)
    check_underslab(plan)
    check_steel(plan)
    check_embeds(plan)
    check_screed(plan)
    for index, row in enumerate(plan.day.around):
        check_ring(row.polygon, f"day.around[{index}].polygon", row.name)
    _check_forms(plan)


def _check_forms(plan: Plan) -> None:
    n = len(plan.outline) if plan.outline else 0
    seen: dict[int, int] = {}
    for index, row in enumerate(plan.forms):
        for at, side in enumerate(row.sides):
            path = f"forms[{index}].sides[{at}]"
            if side >= n:
                raise PlanError(f"Side {side} does not exist: the outline has {n} sides.", path)
            if side in seen:
                raise PlanError(f"Side {side} stands in two rows of forms, {seen[side]} and {index}.", path)
            seen[side] = index
        stations = [spot.at_mm for spot in row.ground]
        if any(b <= a for a, b in pairwise(stations)):
            raise PlanError("Ground levels run along the side, each farther than the last.", f"forms[{index}].ground")
    held = plan.set_out.hold_side
    if held is not None and n and held >= n:
        raise PlanError(f"Side {held} does not exist: the outline has {n} sides.", "set_out.hold_side")
    line = plan.set_out.lot_line
    if line is not None and math.dist(line.start, line.end) < 1:
        raise PlanError("Both ends of the lot line are one spot.", "set_out.lot_line.end")
    for index, thing in enumerate(plan.existing):
        check_ring(thing.polygon, f"existing[{index}].polygon", thing.name)


def _check_marks(plan: Plan) -> None:
    types: tuple[tuple[str, Sequence[Marked]], ...] = (
        ("slab_types", plan.slab_types), ("edge_types", plan.edge_types),
        ("beam_types", plan.beam_types), ("pad_types", plan.pad_types),
    )  # fmt: skip
    for key, rows in types:
        seen: set[str] = set()
        for index, row in enumerate(rows):
            if row.mark in seen:
                raise PlanError(
                    f"The mark {row.mark} stands twice. Each type needs a mark of its own.",
                    f"{key}[{index}].mark",
                )
            seen.add(row.mark)
    for key, used, known in (
        ("zones", [zone.slab for zone in plan.zones], {row.mark for row in plan.slab_types}),
        ("build_ups", [row.slab for row in plan.build_ups], {row.mark for row in plan.slab_types}),
        ("edges", [edge.type for edge in plan.edges], {row.mark for row in plan.edge_types}),
        ("beams", [beam.type for beam in plan.beams], {row.mark for row in plan.beam_types}),
        ("pads", [pad.type for pad in plan.pads], {row.mark for row in plan.pad_types}),
    ):
        for index, mark in enumerate(used):
            if mark not in known:
                name = "slab" if key in ("zones", "build_ups") else "type"
                there = ", ".join(sorted(known)) or "none"
                raise PlanError(f"The mark {mark} is not known. Known here: {there}.", f"{key}[{index}].{name}")


def _check_edges(plan: Plan) -> None:
    n = len(plan.outline) if plan.outline else 0
    seen: dict[int, int] = {}
    for row, edge in enumerate(plan.edges):
        for at, side in enumerate(edge.sides or ()):
            path = f"edges[{row}].sides[{at}]"
            if side >= n:
                raise PlanError(f"Side {side} does not exist: the outline has {n} sides, 0 to {n - 1}." if n else
                                "There is no outline yet, so no side.", path)  # fmt: skip
            if side in seen:
                raise PlanError(f"Side {side} stands in two rows of edges, {seen[side]} and {row}.", path)
            seen[side] = row
        for a, b in zip(edge.along or (), (edge.along or ())[1:], strict=False):
            if abs(a[0] - b[0]) < 1 and abs(a[1] - b[1]) < 1:
                raise PlanError("Two points of the line are one spot.", f"edges[{row}].along")
        if edge.along and (not LineString(edge.along).is_simple or _runs_straight_back(edge.along)):
            raise PlanError("The line crosses itself or runs back on itself.", f"edges[{row}].along")


def _runs_straight_back(path: Sequence[XY]) -> bool:
    """Whether a bend turns round and comes back within 1 mm of where it came from: the strip there would have no end."""
    for (ax, ay), (x, y), (bx, by) in zip(path, path[1:], path[2:], strict=False):
        ux, uy, vx, vy = ax - x, ay - y, bx - x, by - y
        longer = max(math.hypot(ux, uy), math.hypot(vx, vy))
        if ux * vx + uy * vy > 0 and abs(ux * vy - uy * vx) / longer <= 1:
            return True
    return False


def _check_wholly_outside(plan: Plan) -> None:
    if plan.outline is None:
        return
    outline = Polygon(plan.outline)
    for row, edge in enumerate(plan.edges):
        if edge.along is not None and not outline.intersects(LineString(edge.along)):
            raise PlanError("The line lies wholly outside the outline.", f"edges[{row}].along")
    for index, ring in enumerate(plan.openings):
        if not outline.intersects(Polygon(ring)):
            raise PlanError(f"Opening {index + 1} lies wholly outside the outline.", f"openings[{index}]")
