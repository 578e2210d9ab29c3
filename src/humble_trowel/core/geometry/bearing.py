"""Which way things look and how they fall, in words."""

from __future__ import annotations

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
