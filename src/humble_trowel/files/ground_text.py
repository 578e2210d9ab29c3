"""Grading as plain text, for the command line."""

from __future__ import annotations

from humble_trowel.core.ground.flat import Enough, Rake
from humble_trowel.core.ground.layer_shots import LayerShots
from humble_trowel.core.units import Units, format_volume, say_depth, volume_unit


def graded_text(taken: LayerShots, places: list[Rake], settled: Enough, units: Units) -> str:
    """The verdict, the raking list, and what it costs in concrete."""
    whole, unit = taken.whole, volume_unit(units)
    rows = [
        f"{len(taken.shots)} shots on the {taken.layer}: on average {_off(whole.mean_mm, units)}, from {_off(whole.low_mm, units)} to {_off(whole.high_mm, units)}.",
        f"Rake off {format_volume(whole.cut_m3, units)} {unit}, fill {format_volume(whole.fill_m3, units)} {unit}. Left as it is: {format_volume(whole.fill_m3 - whole.cut_m3, units)} {unit} of concrete; trimmed: {format_volume(whole.fill_m3, units)} {unit}.",
        *(place.words for place in places),
        settled.words,
        *(f"{row.words} {row.remedy}" for row in taken.findings),
    ]
    return "\n".join(rows)


def _off(mm: float, units: Units) -> str:
    """How far off the design: 2 1/4 low, 1 7/8 high, on grade."""
    size = say_depth(abs(mm), units)
    return "on grade" if size in ("0″", "0 mm") else f"{size} {'high' if mm > 0 else 'low'}"
