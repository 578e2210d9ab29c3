"""How a zone's top runs, in words."""

from __future__ import annotations

from humble_trowel.core.geometry.bearing import point_of, rate_words
from humble_trowel.core.geometry.tops import least_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall
from humble_trowel.core.units import say_depth


def fall_words(plan: Plan, cell: Cell) -> str:
    """'Falls 1/8 in per ft to the east, 1 in over its length; level underside.'"""
    zone = plan.zones[cell.index]
    under = "level underside" if zone.underside == "level" else "underside parallel"
    if isinstance(zone.fall, PlaneFall) and zone.fall.rate:
        drop = say_depth(-zone.drop_mm - least_of(cell.tops), plan.units)
        return f"Falls {rate_words(zone.fall.rate, plan.units)} to the {point_of(zone.fall.toward_deg)}, {drop} in all; {under}."
    if isinstance(zone.fall, DrainFall):
        return f"Falls {say_depth(zone.fall.depth_mm, plan.units)} to its drain from all sides; {under}."
    return "Level."
