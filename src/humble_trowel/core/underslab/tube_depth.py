"""Concrete over the tube, and tube that a saw cut would reach, with the act that mends it."""

from __future__ import annotations

import math

from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.underslab.clashes import Clash
from humble_trowel.core.units import MM_PER_IN, say_depth

SAW_SHARE, SAW_LEAST_MM = 0.25, 25.4
OVER_MM = 25.4


def _cover_mm(plan: Plan, thickness: float, outside: float) -> float:
    return thickness - plan.underslab.tubing.high_mm - outside / 2


def cover_text(plan: Plan, solid: Solid, outside: float) -> str:
    """Concrete over the tube in the thinnest slab."""
    thin = min((cell.thickness_mm for cell in solid.cells), default=0.0)
    return say_depth(max(0.0, _cover_mm(plan, thin, outside)), plan.units)


def sawn(plan: Plan, solid: Solid, rooms: dict[str, BaseGeometry], outside: float) -> list[Clash]:
    """Tube that a saw cut would reach: a quarter of the slab, an inch at least, and an inch over the tube."""
    found = []
    for cell in solid.cells:
        names = [name for name, room in rooms.items() if room.intersection(cell.region).area > 1e4]
        if not names:
            continue
        saw = max(SAW_SHARE * cell.thickness_mm, SAW_LEAST_MM)
        short = saw + OVER_MM - _cover_mm(plan, cell.thickness_mm, outside)
        if short < 0.5:
            continue
        high = plan.underslab.tubing.high_mm - short
        step = MM_PER_IN / 4 if plan.units == "ft-in" else 5.0
        high = math.floor(high / step + 1e-6) * step
        at = cell.region.representative_point()
        words = (
            f"A saw cuts {say_depth(saw, plan.units)} into {cell.name}; the tube's top lies {say_depth(max(0.0, saw + OVER_MM - short), plan.units)} "
            f"under the floor, and {say_depth(OVER_MM, plan.units)} over it is kept."
        )
        can = high >= outside / 2
        found.append(
            Clash(
                "tube-saw", "tubing", cell.name, "tubing", words,
                f"Tie it {say_depth(plan.underslab.tubing.high_mm - high, plan.units)} lower." if can else "Ask for a thicker slab, or no cut over it.",
                "Tie it lower" if can else "", [{"op": "set_tubing", "changes": {"high_mm": high}}] if can else [],
                (at.x, at.y), 0.0, 0.0, short, "tube-saw",
            )
        )  # fmt: skip
    return found
