"""A plan whose open sides have another edge, and the edits that would make it so."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from humble_trowel.core.edges.frost_sides import FrostSide
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Edge, EdgeType
from humble_trowel.core.units import MM_PER_IN

PLAIN_WIDE_MM = 12 * MM_PER_IN


@dataclass(frozen=True)
class Reworked:
    """A plan whose open sides have another edge. types: their types now, with the sides that have each; new: marks
    that the plan did not have."""

    plan: Plan
    types: dict[str, list[int]]
    new: set[str]

    def kind(self, mark: str) -> EdgeType:
        """The edge type of a mark."""
        return next(row for row in self.plan.edge_types if row.mark == mark)


def with_edges(
    plan: Plan, sides: Sequence[FrostSide], depth: float, width: float | None, run: float | None
) -> Reworked:
    """The plan with its open sides at another depth. Deeper than drawn is a trench with upright faces: no haunch.

    A type that other sides or lines inside have too keeps its size there: the open sides get one of their own.
    """
    types, edges = list(plan.edge_types), list(plan.edges)
    found: dict[str, list[int]] = {}
    new: set[str] = set()
    for old in dict.fromkeys(side.mark for side in sides):
        own = [side.side for side in sides if side.mark == old]
        kind = next((row for row in types if row.mark == old), None)
        shared = kind is None or any(
            edge.type == old and (edge.along is not None or set(edge.sides or ()) - set(own)) for edge in edges
        )
        changes: dict[str, Any] = {"depth_mm": depth}
        if width is not None:
            changes |= {"bottom_width_mm": width, "haunch_run_per_rise": run}
        elif kind is None or depth > (kind.depth_mm or 0.0) + 1.0:
            changes["haunch_run_per_rise"] = 0.0
        mark = old or ""
        if shared:
            mark = next(f"F{n}" for n in range(1, 999) if f"F{n}" not in {row.mark for row in types})
            new.add(mark)
            base = kind or EdgeType(mark=mark, kind="thickened", depth_mm=depth, bottom_width_mm=PLAIN_WIDE_MM)
            types.append(base.model_copy(update={**changes, "mark": mark}))
            edges = _moved_to(edges, own, mark)
        else:
            types = [row.model_copy(update=changes) if row.mark == old else row for row in types]
        found[mark] = own
    return Reworked(plan.model_copy(update={"edge_types": types, "edges": edges}), found, new)


def _moved_to(edges: Sequence[Edge], sides: Sequence[int], mark: str) -> list[Edge]:
    rows = []
    for edge in edges:
        left = None if edge.sides is None else [side for side in edge.sides if side not in sides]
        if edge.sides is None or left:
            rows.append(edge if edge.sides is None else edge.model_copy(update={"sides": left}))
    return [*rows, Edge(type=mark, sides=list(sides))]


def edits_of(made: Reworked, foam_mm: float | None) -> list[dict[str, Any]]:
    """What makes the plan's edges so: depth, upright face, foam; a type of their own where it is shared."""
    rows: list[dict[str, Any]] = []
    for mark, sides in made.types.items():
        kind = made.kind(mark)
        row: dict[str, Any] = {"op": "set_edge_type", "mark": mark, "depth": f"{kind.depth_mm:.2f} mm"}
        if mark in made.new:
            row |= {"kind": "thickened", "bottom_width": f"{kind.bottom_width_mm:.2f} mm"}
        run = kind.haunch_run_per_rise or 0.0
        if not run or mark in made.new:
            row["degrees"] = 90 if not run else round(math.degrees(math.atan(1 / run)), 6)
        rows.append(row if foam_mm is None else {**row, "foam": f"{foam_mm:.2f} mm"})
        if mark in made.new:
            names = [made.plan.corner_ids[side] for side in sides]
            rows.append({"op": "set_side_type", "sides": names, "type": mark})
    return rows
