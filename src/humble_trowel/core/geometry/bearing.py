"""Where things stand and which way they look, in words of the compass."""

from __future__ import annotations

from humble_trowel.core.calls.call_outs import call_of
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.units import MM_PER_FT, Units, round_half_away, say_depth

POINTS = ("north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west")


def point_of(toward_deg: float) -> str:
    """The nearest point of the compass of a bearing in degrees clockwise from +y."""
    return POINTS[round_half_away(toward_deg / 45) % 8]


def rate_words(rate: float, units: Units) -> str:
    """A fall as the trade says it: 1/8 in per ft, or percent."""
    if units == "mm":
        return f"{rate * 100:.2f}".rstrip("0").rstrip(".") + " %"
    return f"{say_depth(rate * MM_PER_FT, 'ft-in', 16)} per ft"


def place_words(plan: Plan, spot: XY) -> str:
    """Where a spot stands, from corner A: '9 ft e, 9 ft n of A'."""
    a = (plan.outline or [(0.0, 0.0)])[0]
    said = call_of(spot[0] - a[0], spot[1] - a[1], plan.units).replace(" &", ",")
    return f"at {corner_name(0)}" if said == "0" else f"{said} of {corner_name(0)}"
