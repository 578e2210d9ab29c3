"""How a zone's top runs, in words."""

from __future__ import annotations

from humble_trowel.core.geometry.tops import least_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall
from humble_trowel.core.units import round_half_away, say_depth

POINTS = ("north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west")


def rate_words(rate: float, units: str) -> str:
    """A fall as the trade says it: 1/8 in per ft, or percent."""
    if units == "mm":
        return f"{rate * 100:.2f}".rstrip("0").rstrip(".") + " %"
    return f"{say_depth(rate * 304.8, 'ft-in', 16)} per ft"


def fall_words(plan: Plan, cell: Cell) -> str:
    """'Falls 1/8 in per ft to the east, 1 in over its length; level underside.'"""
    zone = plan.zones[cell.index]
    under = "level underside" if zone.underside == "level" else "underside parallel"
    if isinstance(zone.fall, PlaneFall) and zone.fall.rate:
        way = POINTS[round_half_away(zone.fall.toward_deg / 45) % 8]
        drop = say_depth(-zone.drop_mm - least_of(cell.tops), plan.units)
        return f"Falls {rate_words(zone.fall.rate, plan.units)} to the {way}, {drop} in all; {under}."
    if isinstance(zone.fall, DrainFall):
        return f"Falls {say_depth(zone.fall.depth_mm, plan.units)} to its drain from all sides; {under}."
    return "Level."
