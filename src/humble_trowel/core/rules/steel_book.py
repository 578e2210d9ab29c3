"""Rules of steel in the book, with their calculators. Lengths come in mm."""

from __future__ import annotations

import math
from collections.abc import Mapping

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.bars import US, Bar, bar_of
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, long_ask, number_ask, thin_ask
from humble_trowel.core.rules.inputs import long_input, plain_input, thin_input
from humble_trowel.core.steel.bends import bent_mm, stirrup_mm
from humble_trowel.core.steel.laps import class_b_mm, forty_d_mm
from humble_trowel.core.steel.least import RATIO
from humble_trowel.core.units import MM_PER_IN, Units, say_depth
from humble_trowel.core.working import Working, leaf, work

Values = Mapping[str, float]


def _bar(values: Values) -> Bar:
    """A number up to 11 is an inch size; others are a diameter in mm that is sold."""
    said = values["bar"]
    if said != int(said):
        raise InputError("Say a bar by its number, like 4 for #4, or its mm.", "bar")
    number = int(said)
    return bar_of(f"#{number}" if number in US else f"{number} mm")


def _said(name: str, mm: float, units: Units, source: str) -> Working:
    scale, unit = (1.0, "mm") if units == "mm" else (MM_PER_IN, "in")
    return leaf(name, mm / scale, unit, say_depth(mm, units), source)


def _lap(values: Values, units: Units, ways: Ways) -> list[Working]:
    bar, fc = _bar(values), values["fc"] * (145.0377 if units == "mm" else 1.0)
    if fc < 500:
        raise InputError("That is no strength of concrete.", "fc")
    return [
        _said("Forty diameters", forty_d_mm(bar), units, "lap-40d"),
        _said("Class B", class_b_mm(bar, fc), units, "development"),
    ]


def _bend(values: Values, units: Units, ways: Ways) -> list[Working]:
    return [_said("Cut at", bent_mm(_bar(values), [values["one"], values["other"]], [90.0]), units, "bends")]


def _tie(values: Values, units: Units, ways: Ways) -> list[Working]:
    return [_said("Cut at", stirrup_mm(_bar(values), values["wide"], values["high"]), units, "bends")]


def _lines(values: Values, units: Units, ways: Ways) -> list[Working]:
    inputs = {
        "across": long_input("Across, cover to cover", values["across"], units),
        "apart": thin_input("No farther apart than", values["apart"], units),
    }
    per = "1000" if units == "mm" else "12"
    return [work("Bars one way", "", f"ceil(across * {per} / apart) + 1", inputs, source="mat", digits=0)]


def _least(values: Values, units: Units, ways: Ways) -> list[Working]:
    bar = _bar(values)
    inputs = {
        "bar": plain_input("Area of the bar", round(bar.area_mm2, 1), "mm²", "bars"),
        "share": plain_input("Share of the section", RATIO, source="shrinkage-steel"),
        "thick": plain_input("Slab", round(values["thick"], 1), "mm"),
    }
    return [
        work("Bars no farther apart than", "mm", "bar / (share * thick)", inputs, source="shrinkage-steel", digits=0)
    ]


def _drag(values: Values, units: Units, ways: Ways) -> list[Working]:
    inputs = {
        "long": plain_input("Length dragged", round(values["long"] / 304.8, 2), "ft"), "thick": plain_input("Slab", round(values["thick"] / 25.4, 2), "in"),
        "friction": plain_input("Friction", 1.5, source="drag-steel"), "stress": plain_input("Stress in the bar", 40_000, "psi", "drag-steel"),
    }  # fmt: skip
    return [
        work(
            "Steel, square inches in a foot",
            "sq in",
            "friction * long * 150 * thick / 12 / (2 * stress)",
            inputs,
            source="drag-steel",
            digits=4,
        )
    ]


def _chairs(values: Values, units: Units, ways: Ways) -> list[Working]:
    inputs = {
        "long": long_input("Mat, long", values["long"], units), "wide": long_input("Mat, wide", values["wide"], units),
        "apart": long_input("Chairs apart", values["apart"], units),
    }  # fmt: skip
    return [
        work("Chairs", "", "(ceil(long / apart) + 1) * (ceil(wide / apart) + 1)", inputs, source="chairs", digits=0)
    ]


def _epoxy(values: Values, units: Units, ways: Ways) -> list[Working]:
    bar = _bar(values)
    inputs = {
        "hole": plain_input("Hole", round(values["hole"], 2), "mm"), "bar": plain_input("Bar", round(bar.d_mm, 2), "mm", "bars"),
        "deep": plain_input("Deep", round(values["deep"], 1), "mm"), "lost": plain_input("With what is lost", 1 + ways.steel.waste, source="ways"),
    }  # fmt: skip
    if values["hole"] <= bar.d_mm:
        raise InputError("The hole is no wider than the bar.", "hole")
    return [
        work(
            "Epoxy in a hole",
            "ml",
            f"{math.pi / 4000} * (hole * hole - bar * bar) * deep * lost",
            inputs,
            source="dowel",
            digits=1,
        )
    ]


BAR = number_ask("bar", "Bar: its number, or its mm", "4")
SIZES = (
    ("bar", "diameter in", "area sq in", "lb a foot"),
    *((f"#{n}", f"{d:g}", f"{area:g}", f"{lb:g}") for n, (d, area, lb) in US.items()),
)
STEEL_RULES = (
    Rule("steel/bars", "Bars", "Inch bars by their number, an eighth of an inch each; metric ones by their diameter.", "π × diameter² ÷ 4 × 7850 kg/m³", "bars", SIZES),
    Rule("steel/lap", "How far bars lap", "The custom is forty diameters; the code's class B lap is longer for most bars. The drawing comes first.",
         "1.3 × fy × d ÷ (25 × √fc)", "development", asks=(BAR, number_ask("fc", "Concrete (psi, MPa)", "3000")), work_out=_lap),
    Rule("steel/lap-custom", "The customary lap", "Forty diameters, an easy rule that falls short of class B.", "40 × d", "lap-40d"),
    Rule("steel/bend", "A bar bent square", "Legs are measured out to out; the bar is cut along its middle, so a bend takes something off.", "legs − (2 (R + d) − π ÷ 2 × (R + d ÷ 2))", "bends",
         asks=(BAR, thin_ask("one", "One leg", '24"', "600"), thin_ask("other", "Other leg", '24"', "600")), work_out=_bend),
    Rule("steel/stirrup", "A closed stirrup", "Out to out, with two hooks of 135 degrees.", "2 (wide + high) − four bends + two hooks", "bends",
         asks=(BAR, thin_ask("wide", "Wide", '8"', "200"), thin_ask("high", "High", '14"', "350")), work_out=_tie),
    Rule("steel/mat", "Bars of a mat", "Evenly from cover to cover, no farther apart than asked.", "ceil(across ÷ apart) + 1", "mat",
         asks=(long_ask("across", "Across, cover to cover", "29' 6", "8850"), thin_ask("apart", "No farther apart than", '18"', "450")), work_out=_lines),
    Rule("steel/mesh", "Sheets of mesh", "Sheets lap a square, 6 in at least, both ways.", "ceil((across − lap) ÷ (sheet − lap))", "mesh-lap"),
    Rule("steel/key", "Keyed joints", "A groove along the edge that the next pour runs into; in thin slabs it breaks off.", "wide ≤ t ÷ 3, t ≥ 6 in", "key"),
    Rule("steel/chairs", "Chairs", "On a grid under the mat, closer for thin bars.", "(ceil(long ÷ apart) + 1) × (ceil(wide ÷ apart) + 1)", "chairs",
         asks=(long_ask("long", "Mat, long", "39' 6", "11850"), long_ask("wide", "Mat, wide", "29' 6", "8850"), long_ask("apart", "Chairs apart", "4'", "1200")), work_out=_chairs),
    Rule("steel/shrinkage", "Least steel against shrinkage", "0.0018 of the section, no farther apart than 18 in or five slabs. It keeps cracks tight; it does not stop them.",
         "area of the bar ÷ (0.0018 × slab)", "shrinkage-steel", asks=(BAR, thin_ask("thick", "Slab", '4"', "100")), work_out=_least),
    Rule("steel/drag", "Least steel to drag the slab", "What pulls half the slab over its ground as it shrinks.", "friction × length × weight ÷ (2 × stress)", "drag-steel",
         asks=(long_ask("long", "Length dragged", "30'", "9000"), thin_ask("thick", "Slab", '4"', "100")), work_out=_drag),
    Rule("steel/cover", "Cover", "Concrete between a bar and what it stands against.", "3 in on earth, 1 1/2 to 2 in elsewhere", "cover"),
    Rule("steel/gap", "Room for the stone", "Between bars of a row: a diameter, an inch, four thirds of the stone, whichever is most.", "max(d, 1 in, 4/3 stone)", "clear-gap"),
    Rule("steel/diagonals", "Bars across inside corners", "A slab cracks first where it turns inward; two bars hold that crack.", "two bars, 4 ft", "diagonals"),
    Rule("steel/dowel", "Dowels into old concrete", "Epoxy fills the ring between hole and bar; some is lost.", "π ÷ 4 × (hole² − bar²) × deep", "dowel",
         asks=(BAR, thin_ask("hole", "Hole", '5/8"', "16"), thin_ask("deep", "Deep", '6"', "150")), work_out=_epoxy),
)  # fmt: skip
