"""What is impossible about steel: a slab, a cage or a name said twice, a slab type that is not there."""

from __future__ import annotations

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import Plan


def check_steel(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    marks = {row.mark for row in plan.slab_types}
    seen: set[tuple[str, str]] = set()
    for index, way in enumerate(plan.steel.ways):
        if ("slab", way.slab) in seen:
            raise PlanError(f"The steel of {way.slab} is said twice.", f"steel.ways[{index}].slab")
        if way.slab not in marks:
            raise PlanError(f"There is no slab type {way.slab}.", f"steel.ways[{index}].slab")
        seen.add(("slab", way.slab))
    for index, cage in enumerate(plan.steel.cages):
        if (cage.of, cage.mark) in seen:
            raise PlanError(f"The cage of {cage.mark} is said twice.", f"steel.cages[{index}].mark")
        seen.add((cage.of, cage.mark))
    for index, row in enumerate(plan.steel.dowels):
        if row.from_mm is not None and row.to_mm is not None and row.from_mm >= row.to_mm:
            raise PlanError(f"{row.name} end before they start.", f"steel.dowels[{index}].to_mm")
