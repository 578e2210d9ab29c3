"""Calculators of the rule book for what is buried."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.pipes import least_fall, outside_mm, sleeve_mm
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.inputs import long_input, plain_input, thin_input
from humble_trowel.core.sheets.counts import rolls
from humble_trowel.core.units import MM_PER_IN, Units, say_depth
from humble_trowel.core.working import Working, leaf, work

Values = Mapping[str, float]


def sleeve(values: Values, units: Units, ways: Ways) -> list[Working]:
    """size in mm, as sold. Raises InputError beyond the tables."""
    try:
        size = sleeve_mm(values["size"])
    except ValueError as error:
        raise InputError(str(error), "size") from None
    scale, unit = (1.0, "mm") if units == "mm" else (MM_PER_IN, "in")
    return [leaf("Sleeve, as sold", size / scale, unit, say_depth(size, units), "sleeve")]


def thick(values: Values, units: Units, ways: Ways) -> list[Working]:
    """size as sold and insulation, mm."""
    inputs = {
        "pipe": thin_input("Outside of the pipe", outside_mm(values["size"]), units, "pipe-sizes"),
        "wrap": thin_input("Insulation", values["wrap"], units),
    }
    return [
        work("In the trench", "mm" if units == "mm" else "in", "pipe + 2 * wrap", inputs, source="pipe-sizes", digits=2)
    ]


def drop(values: Values, units: Units, ways: Ways) -> list[Working]:
    """size as sold and length, mm: how much lower its far end lies at the least fall."""
    inputs = {
        "length": long_input("Length", values["length"], units),
        "run": plain_input("Falls 1 in", 1 / least_fall(values["size"]), source="drain-fall"),
    }
    unit, per = ("mm", "1000") if units == "mm" else ("in", "12")
    return [work("Far end lower by", unit, f"length / run * {per}", inputs, source="drain-fall", digits=2)]


def rolls_of(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width, roll, lap and turn-up in mm: rows, and the length of all of them. Raises InputError."""
    try:
        found = rolls(values["length"], values["width"], values["roll"], 1e9, values["lap"], values["up"])
    except ValueError as error:
        raise InputError(str(error), "roll") from None
    across, run = (
        (values["width"], values["length"]) if found.along == "length" else (values["length"], values["width"])
    )
    inputs = {
        "across": long_input("Across the rows", across, units), "up": long_input("Turned up", values["up"], units),
        "lap": long_input("Lap", values["lap"], units), "roll": long_input("Roll, wide", values["roll"], units),
    }  # fmt: skip
    rows = work("Rows", "", "ceil((across + 2 * up - lap) / (roll - lap))", inputs, source="barrier-lap", digits=0)
    unit = "m" if units == "mm" else "ft"
    whole = {"rows": rows, "run": long_input("Along the rows", run, units), "up": inputs["up"]}
    return [rows, work("All rows together", unit, "rows * (run + 2 * up)", whole, source="barrier-lap", digits=2)]
