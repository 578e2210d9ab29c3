"""Leaves and short sums that the ledger, the allowances and the ground share, in the job's units."""

from __future__ import annotations

import re

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import M2_PER_FT2, M3_PER_YD3, MM_PER_IN, say_depth
from humble_trowel.core.working import Working, leaf


def volume_unit(plan: Plan) -> tuple[str, float]:
    """The unit workings of volume are in, and how many m3 it holds."""
    return ("m³", 1.0) if plan.units == "mm" else ("yd³", M3_PER_YD3)


def area_leaf(name: str, m2: float, plan: Plan, set_at: str) -> Working:
    """An area as an input: sq ft or m2, one decimal more than is shown elsewhere."""
    if plan.units == "mm":
        return leaf(name, m2, "m²", f"{m2:.3f} m²", "geometry", set_at)
    return leaf(name, m2 / M2_PER_FT2, "sq ft", f"{m2 / M2_PER_FT2:.1f} sq ft", "geometry", set_at)


def thin_leaf(name: str, mm: float, plan: Plan, set_at: str, source: str = "typed") -> Working:
    """A depth or thickness as an input: inches or mm."""
    if plan.units == "mm":
        return leaf(name, mm, "mm", f"{mm:.2f}".rstrip("0").rstrip(".") + " mm", source, set_at)
    inches = mm / MM_PER_IN
    whole = abs(inches * 16 - round(inches * 16)) < 1e-6
    text = say_depth(mm, "ft-in") if whole else f"{inches:.3f}".rstrip("0").rstrip(".") + "″"
    return leaf(name, inches, "in", text, source, set_at)


def area_times_depth(plan: Plan, area: str, depth: str) -> str:
    """Formula of a volume from an area and a depth, in the job's units (324 = 12 x 27)."""
    return f"{area} * {depth} / 1000" if plan.units == "mm" else f"{area} * {depth} / 324"


def short_sum(working: Working) -> str:
    """The shown sum without its constants of conversion, for a list; the whole sum stands in the working."""
    return re.sub(r" ÷ (1000000|1000|3888|324|27)\b", "", working.shown)
