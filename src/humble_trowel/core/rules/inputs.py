"""What calculators of the rule book are given, as Workings in the units of whoever asks."""

from __future__ import annotations

from humble_trowel.core.units import MM_PER_FT, MM_PER_IN, Units, say_depth, say_length
from humble_trowel.core.working import Working, leaf, number_text, work


def long_input(name: str, mm: float, units: Units) -> Working:
    """A long length as an input."""
    scale, unit = (1000.0, "m") if units == "mm" else (MM_PER_FT, "ft")
    shown = f"{number_text(mm / 1000, 3)} m" if units == "mm" else say_length(mm, units)
    return leaf(name, mm / scale, unit, shown)


def thin_input(name: str, mm: float, units: Units, source: str = "typed") -> Working:
    """A thin one."""
    scale, unit = (1.0, "mm") if units == "mm" else (MM_PER_IN, "in")
    shown = f"{number_text(mm, 1)} mm" if units == "mm" else say_depth(mm, units)
    return leaf(name, mm / scale, unit, shown, source)


def plain_input(name: str, value: float, unit: str = "", source: str = "typed") -> Working:
    """A number as it is."""
    return leaf(name, value, unit, f"{value:g} {unit}".strip(), source)


def volume_of(name: str, formula: str, inputs: dict[str, Working], units: Units, source: str) -> Working:
    """formula in m, m and mm over 1000, or in ft, ft and in over 324."""
    unit = "m³" if units == "mm" else "yd³"
    return work(name, unit, formula + (" / 1000" if units == "mm" else " / 324"), inputs, source=source, digits=3)
