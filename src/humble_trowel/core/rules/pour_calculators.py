"""Calculators of what is poured beside and under the slab: kerbs, footings, walls, cores, ramps, walks."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.inputs import long_input, plain_input, thin_input, volume_of
from humble_trowel.core.units import Units
from humble_trowel.core.working import Working, work

Values = Mapping[str, float]


def kerb(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width, high in mm."""
    inputs = {
        "length": long_input("Length", values["length"], units), "wide": thin_input("Width", values["width"], units),
        "high": thin_input("Height", values["high"], units),
    }  # fmt: skip
    per, unit = ("1000000", "m³") if units == "mm" else ("3888", "yd³")
    return [work("Second pour", unit, f"length * wide * high / {per}", inputs, source="second-pour", digits=3)]


def footing(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width, thick, rise (of all steps) in mm."""
    inputs = {
        "length": long_input("Centreline", values["length"], units), "wide": thin_input("Width", values["width"], units),
        "thick": thin_input("Thickness", values["thick"], units), "rise": thin_input("Steps", values["rise"], units),
    }  # fmt: skip
    metric = units == "mm"
    plain = "length * wide * thick / " + ("1000000" if metric else "3888")
    steps = "rise * thick * wide / " + ("1000000000" if metric else "46656")
    return [work("Footing", "m³" if metric else "yd³", f"{plain} + {steps}", inputs, source="footing", digits=3)]


def wall(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, high, thick in mm."""
    inputs = {
        "length": long_input("Length along its middle", values["length"], units), "high": long_input("Height", values["high"], units),
        "thick": thin_input("Thickness", values["thick"], units),
    }  # fmt: skip
    return [volume_of("Wall", "length * high * thick", inputs, units, "wall")]


def cores(values: Values, units: Units, ways: Ways) -> list[Working]:
    """count, long, wide, high in mm, hollow share."""
    inputs = {
        "cores": plain_input("Cores filled", values["count"]), "long": thin_input("A block, long", values["long"], units),
        "wide": thin_input("A block, wide", values["wide"], units), "hollow": plain_input("Hollow of a block", values["hollow"], source="block-void"),
        "high": long_input("Height", values["high"], units),
    }  # fmt: skip
    per, unit = ("1000000", "m³") if units == "mm" else ("3888", "yd³")
    formula = f"cores * long * wide * hollow / 2 * high / {per}"
    return [work("Core fill", unit, formula, inputs, source="block-void", digits=3)]


def ramp(values: Values, units: Units, ways: Ways) -> list[Working]:
    """down in mm: the run that is 1 in 12."""
    down = {"down": thin_input("How far down", values["down"], units)}
    unit, per = ("m", "1000") if units == "mm" else ("ft", "12")
    return [work("Run", unit, f"down * 12 / {per}", down, source="ramp", digits=2)]


def walk_fall(values: Values, units: Units, ways: Ways) -> list[Working]:
    """wide in mm: how much lower its far edge lies at 1 in 48."""
    wide = {"wide": long_input("How wide", values["wide"], units)}
    unit, per = ("mm", "1000") if units == "mm" else ("in", "12")
    return [work("Far edge lower by", unit, f"wide / 48 * {per}", wide, source="walk-fall", digits=2)]
