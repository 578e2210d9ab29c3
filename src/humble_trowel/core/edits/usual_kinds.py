"""Usual kinds of job to start from: a footing with its wall and the floor in, over or against it, every size a guess.

A size stays a guess until somebody says it (`guessed` of a footing and of a wall, `guessed` of a slab type).
"""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, Typed
from humble_trowel.core.edits.outline import new_corners, with_a_slab
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY, check_ring
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.shape_parts import Edge, EdgeType
from humble_trowel.core.plan.wall_parts import Wall
from humble_trowel.core.units import parse_length

UsualKind = Literal["footing-first", "over-block", "frost-walls", "raft-in-stem-wall"]
IN = 25.4
BED_MM = 203.2
NAMES: dict[UsualKind, str] = {
    "footing-first": "Footing first", "over-block": "Slab over block", "frost-walls": "Floor in frost walls",
    "raft-in-stem-wall": "Raft in a stem wall",
}  # fmt: skip


class StartKind(EditBase):
    """A usual kind, on a rectangle by the outer faces of its walls: across, up."""

    op: Literal["start_kind"]
    kind: UsualKind
    sizes: Annotated[list[Typed], Field(min_length=2, max_length=2)]

    def apply(self, plan: Plan) -> Edited:
        if plan.outline is not None or plan.footings:
            raise EditError("Something is drawn already. A usual kind starts an empty job.", "kind")
        wide, deep = (parse_length(size, plan.units) for size in self.sizes)
        for at, size in enumerate((wide, deep)):
            if not 1200 <= size <= 100_000:
                raise EditError("A building is a few feet to a few hundred feet long.", f"sizes[{at}]")
        made = with_ids(_KINDS[self.kind](plan, wide, deep))
        return made.model_copy(update={"walk": None}), f"{NAMES[self.kind]} laid out, its sizes guessed"


def _rectangle(wide: float, deep: float, inset: float) -> list[XY]:
    return [(inset, inset), (wide - inset, inset), (wide - inset, deep - inset), (inset, deep - inset)]


def _round(wide: float, deep: float, inset: float) -> list[XY]:
    ring = _rectangle(wide, deep, inset)
    return [*ring, ring[0]]


def _footing(plan: Plan, path: list[XY], top_mm: float) -> Plan:
    sizes: dict[str, Any] = {"width_mm": 16 * IN, "thickness_mm": 8 * IN, "top_mm": top_mm}
    if plan.units == "mm":
        sizes = {"width_mm": 400.0, "thickness_mm": 200.0, "top_mm": float(round(top_mm))}
    row = Footing(name="Footing", path=path, guessed=["width_mm", "thickness_mm", "top_mm"], **sizes)
    return with_ids(plan.model_copy(update={"footings": [row]}))


def _wall(plan: Plan, **values: Any) -> Plan:
    row = Wall(
        name="Wall", footing=plan.footings[0].id, guessed=[key for key in values if key.endswith("_mm")], **values
    )
    return plan.model_copy(update={"walls": [row]})


def _floor(plan: Plan, ring: list[XY], edge: dict[str, Any] | None) -> Plan:
    check_ring(ring, "sizes", "The floor")
    drawn = new_corners(with_a_slab(plan), ring)
    if edge is None:
        return drawn
    kind = EdgeType.model_validate({"mark": "W1", **edge})
    row = Edge(type="W1", sides=list(range(len(ring))))
    return drawn.model_copy(update={"edge_types": [*drawn.edge_types, kind], "edges": [row]})


def _footing_first(plan: Plan, wide: float, deep: float) -> Plan:
    return _footing(plan, _round(wide, deep, 4 * IN), -24 * IN)


def _over_block(plan: Plan, wide: float, deep: float) -> Plan:
    thick = 7.625 * IN
    slab = with_a_slab(plan).slab_types[0].thickness_mm
    low = _footing(plan, _round(wide, deep, thick / 2), -slab - 4 * BED_MM)
    top = low.footings[0].top_mm + 4 * BED_MM
    stood = _wall(
        low, kind="block", thickness_mm=thick, top_mm=top, meets="over", cores="nth", every=6, cores_with="slab"
    )
    return _floor(stood, _rectangle(wide, deep, 0.0), {"kind": "block-wall"})


def _frost_walls(plan: Plan, wide: float, deep: float) -> Plan:
    thick, strip = 8 * IN, 0.5 * IN
    bottom = max(plan.site.frost_depth_mm or 0.0, 40 * IN)
    low = _footing(plan, _round(wide, deep, thick / 2), -bottom + 8 * IN)
    stood = _wall(low, kind="formed", thickness_mm=thick, top_mm=0.0, isolation_mm=strip)
    return _floor(stood, _rectangle(wide, deep, thick + strip), {"kind": "against-wall", "isolation_mm": strip})


def _raft(plan: Plan, wide: float, deep: float) -> Plan:
    thick, foam = 6 * IN, 2 * IN
    low = _footing(plan, _round(wide, deep, thick / 2), -24 * IN)
    stood = _wall(low, kind="formed", thickness_mm=thick, top_mm=0.0, foam_inside_mm=foam)
    ring = _rectangle(wide, deep, thick + foam)
    return _floor(stood, ring, {"kind": "against-wall", "isolation_mm": foam})


_KINDS = {
    "footing-first": _footing_first, "over-block": _over_block, "frost-walls": _frost_walls, "raft-in-stem-wall": _raft,
}  # fmt: skip
KIND_OF_JOB_EDITS = (StartKind,)
