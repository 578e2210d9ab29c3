"""Small calculators of the rule book: values in, Workings out, in the units of whoever asks."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from humble_trowel.core.edges.foam import OUTSIDE_TABLE, shallow_row
from humble_trowel.core.errors import InputError
from humble_trowel.core.forms.span import E_PSI, N_PER_M3, PSI_MPA, WET_STIFFNESS, board_span
from humble_trowel.core.plan.local_rules import LIMIT_OF, limit
from humble_trowel.core.plan.ways import SLACK_M3, Ways
from humble_trowel.core.rules.inputs import long_input, plain_input, thin_input, volume_of
from humble_trowel.core.units import M2_PER_FT2, M3_PER_YD3, MM_PER_FT, MM_PER_IN, Units, say_depth, say_length
from humble_trowel.core.working import Working, leaf, number_text, work

Values = Mapping[str, float]
METRIC_PER = {"mm": MM_PER_IN, "m2": M2_PER_FT2, "kpa": 6.894757}


def slab(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width, thick in mm."""
    inputs = {
        "length": long_input("Length", values["length"], units), "width": long_input("Width", values["width"], units),
        "thick": thin_input("Thickness", values["thick"], units),
    }  # fmt: skip
    return [volume_of("Slab", "length * width * thick", inputs, units, "greatest-depth")]


def edge(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width, deep, thick in mm, run per rise."""
    rise = work("Rise", "mm" if units == "mm" else "in", "deep - thick", {
        "deep": thin_input("Depth from the top", values["deep"], units), "thick": thin_input("Slab", values["thick"], units),
    }, source="strip")  # fmt: skip
    if rise.value <= 0:
        raise InputError("An edge no deeper than the slab adds nothing.", "deep")
    inputs = {
        "wide": thin_input("Bottom width", values["width"], units), "run": plain_input("Run per rise", values["run"]), "rise": rise,
        "length": long_input("Length along the middle", values["length"], units),
    }  # fmt: skip
    per = "1000000" if units == "mm" else "3888"
    unit = "m³" if units == "mm" else "yd³"
    return [
        work(
            "Edge below the slab",
            unit,
            f"(wide + run * rise / 2) * rise * length / {per}",
            inputs,
            source="strip",
            digits=3,
        )
    ]


def order(values: Values, units: Units, ways: Ways) -> list[Working]:
    """need, step in yd3 or m3."""
    unit, per = ("m³", 1.0) if units == "mm" else ("yd³", M3_PER_YD3)
    inputs = {
        "need": plain_input("Likely need", values["need"], unit), "slack": plain_input("Slack", round(SLACK_M3 / per, 6), unit, "house"),
        "step": plain_input("The plant's step", values["step"], unit, "plant"),
    }  # fmt: skip
    return [work("Order", unit, "ceil((need - slack) / step) * step", inputs, source="plant", digits=2)]


def diagonal(values: Values, units: Units, ways: Ways) -> list[Working]:
    """length, width in mm."""
    inputs = {"a": long_input("Length", values["length"], units), "b": long_input("Width", values["width"], units)}
    scale = 1000.0 if units == "mm" else MM_PER_FT
    size = (values["length"] ** 2 + values["width"] ** 2) ** 0.5
    return [work("Diagonal", "m" if scale == 1000 else "ft", "sqrt(a**2 + b**2)", inputs, text=say_length(size, units))]


def rack(values: Values, units: Units, ways: Ways) -> list[Working]:
    """ab, ac, bd in mm."""
    inputs = {key: long_input(key.upper(), values[key], units) for key in ("ac", "bd", "ab")}
    off = (values["ac"] ** 2 - values["bd"] ** 2) / (4 * values["ab"])
    way = "along AB" if off > 0 else "against AB"
    words = f"The far side stands {say_depth(abs(off), units)} too far {way}: push it back by as much."
    return [work("Far side", "m" if units == "mm" else "ft", "(ac**2 - bd**2) / (4 * ab)", inputs, words=words, text=f"{'−' if off < 0 else ''}{say_depth(abs(off), units)}")]  # fmt: skip


def push(values: Values, units: Units, ways: Ways) -> list[Working]:
    """head in mm."""
    if units == "mm":
        weight, head, unit = (
            plain_input("Wet concrete", round(N_PER_M3 / 1000, 4), "kN/m³", "pressure"),
            values["head"] / 1000,
            "kN/m",
        )
    else:
        weight, head, unit = (
            plain_input("Wet concrete", 150.0, "lb/ft³", "pressure"),
            values["head"] / MM_PER_FT,
            "lb/ft",
        )
    inputs = {
        "weight": weight,
        "head": leaf("Head", head, "m" if units == "mm" else "ft", number_text(head, 3), "typed"),
    }
    thrust = work("Thrust", unit, "weight * head**2 / 2", inputs, source="pressure", digits=2)
    return [thrust, work("Held at the top", unit, "thrust / 3", {"thrust": thrust}, source="pressure", digits=2)]


def stakes(values: Values, units: Units, ways: Ways) -> list[Working]:
    """deep, thick, top, bulge in mm; SPF lumber, several spans."""
    span = board_span(values["thick"], values["deep"], values["top"], bulge_limit_mm=values["bulge"], cap_mm=1e9)
    stiff = WET_STIFFNESS * E_PSI["SPF"] * PSI_MPA
    inputs = {
        "e": leaf("E, wet", stiff, "N/mm²", f"{stiff:.1f} N/mm²", "span"), "deep": leaf("Board deep", values["deep"], "mm", f"{values['deep']:g} mm"),
        "thick": leaf("Board thick", values["thick"], "mm", f"{values['thick']:g} mm"), "bulge": leaf("May bulge", values["bulge"], "mm", f"{values['bulge']:g} mm"),
        "load": leaf("Load along it", span.line_n_per_mm, "N/mm", f"{span.line_n_per_mm:.5f} N/mm", "pressure"),
    }  # fmt: skip
    by_bulge = work("By its bulge", "mm", "sqrt(sqrt(145 * e * deep * thick**2 * thick / 12 * bulge / load))", inputs, source="span", digits=0)  # fmt: skip
    three = {"bulge": span.bulge_mm, "bending": span.bending_mm, "ratio": span.ratio_mm}
    names = {"bulge": "By its bulge", "bending": "By bending", "ratio": "By span / 360"}
    limits = {key: thin_input(names[key], mm, units, "span") for key, mm in three.items()}
    spans = work("Spans", "mm" if units == "mm" else "in", "min(bulge, bending, ratio)", limits, source="span", text=say_depth(span.limit_mm, units), note="before the cap for knocks and boots")  # fmt: skip
    return [by_bulge, spans]


def levels(values: Values, units: Units, ways: Ways) -> list[Working]:
    """back, over, below in mm."""
    inputs = {
        "back": thin_input("Rod on the mark", values["back"], units), "over": thin_input("Mark over the slab's top", values["over"], units),
        "below": thin_input("Surface below the slab's top", values["below"], units),
    }  # fmt: skip
    reads = values["back"] + values["over"] + values["below"]
    return [work("Rod on the surface", "mm" if units == "mm" else "in", "back + over + below", inputs, source="levelling", text=say_length(reads, units))]  # fmt: skip


def stone(values: Values, units: Units, ways: Ways) -> list[Working]:
    """area in sq ft or m2, thick and lift in mm, factor, density t/m3."""
    metric = units == "mm"
    unit = "m³" if metric else "yd³"
    area = plain_input("Area", values["area"], "m²" if metric else "sq ft")
    packed = work("Packed", unit, f"area * thick / {'1000' if metric else '324'}", {"area": area, "thick": thin_input("Thickness", values["thick"], units)}, source="stone-lift", digits=2)  # fmt: skip
    loose = work("Loose", unit, "packed * factor", {"packed": packed, "factor": plain_input("Loose over packed", values["factor"], "", "stone-lift")}, source="stone-lift", digits=2)  # fmt: skip
    per = leaf("Loose density", values["density"] * (1.0 if metric else M3_PER_YD3), f"t/{unit}", f"{values['density'] * (1.0 if metric else M3_PER_YD3):.4g} t/{unit}", "stone-lift")  # fmt: skip
    mass = work("Mass", "t", "loose * density", {"loose": loose, "density": per}, source="stone-lift", digits=1)
    lifts = work("Lifts", "", "ceil(thick / lift)", {"thick": thin_input("Thickness", values["thick"], units), "lift": thin_input("Compactor reaches", values["lift"], units)}, source="stone-lift", digits=0)  # fmt: skip
    return [packed, loose, mass, lifts]


def enough(values: Values, units: Units, ways: Ways) -> list[Working]:
    """spread in mm, shots, area in sq ft or m2."""
    metric = units == "mm"
    step = ways.plant.increment_m3 if metric else ways.plant.increment_yd3
    unit = "m³" if metric else "yd³"
    inputs = {
        "spread": thin_input("Spread", values["spread"], units), "shots": plain_input("Shots", values["shots"]),
        "area": plain_input("Area", values["area"], "m²" if metric else "sq ft"),
    }  # fmt: skip
    doubt = work(
        "In doubt",
        unit,
        f"spread / sqrt(shots) * area / {'1000' if metric else '324'}",
        inputs,
        source="shot",
        digits=3,
    )
    return [doubt, work("Allowed", unit, "step / 4", {"step": plain_input("The plant's step", step, unit, "plant")}, source="shot", digits=3)]  # fmt: skip


def at_least(*keys: str) -> Callable[[Values, Units, Ways], list[Working]]:
    """A calculator that says how much `has` is short of each limit."""

    def compare(values: Values, units: Units, ways: Ways) -> list[Working]:
        return [_against(key, values["has"], units, ways, "least - has", "Short by") for key in keys]

    return compare


def at_most(*keys: str) -> Callable[[Values, Units, Ways], list[Working]]:
    """A calculator that says how far `has` is over each limit."""

    def compare(values: Values, units: Units, ways: Ways) -> list[Working]:
        return [_against(key, values["has"], units, ways, "has - most", "Over by") for key in keys]

    return compare


def _against(key: str, has_mm: float, units: Units, ways: Ways, formula: str, name: str) -> Working:
    row, said = LIMIT_OF[key], limit(ways.local_rules, key, units)
    asked = thin_input(row.name, said.value, units, row.source)
    inputs = {"has": thin_input("There is", has_mm, units), "least" if "least" in formula else "most": asked}
    off = said.value - has_mm if "least" in formula else has_mm - said.value
    size = say_depth(abs(off), units)
    text = "meets" if off <= 0.5 else size
    return work(f"{row.name}: {name.lower()}", "mm" if units == "mm" else "in", formula, inputs, source=row.source, text=f"{'' if off > 0 else '−'}{size}, {text}" if off <= 0.5 else size, note=said.note.strip())  # fmt: skip


def frost(values: Values, units: Units, ways: Ways) -> list[Working]:
    """frost, has (buried) in mm."""
    off = values["frost"] - values["has"]
    inputs = {
        "frost": thin_input("Frost depth", values["frost"], units),
        "has": thin_input("Buried", values["has"], units),
    }
    text = f"{say_depth(off, units)} short" if off > 0.5 else "meets"
    return [
        work("Above the frost line", "mm" if units == "mm" else "in", "frost - has", inputs, source="frost", text=text)
    ]


def shallow(values: Values, units: Units, ways: Ways) -> list[Working]:
    """index in F-days: the next row up."""
    row = shallow_row(values["index"])
    if row is None:
        raise InputError(f"{values['index']:g} F-days is {OUTSIDE_TABLE}.", "index")
    rows = [leaf("Table row", row.index_f_days, "F-days", f"{row.index_f_days:,.0f} F-days", "shallow-frost"), leaf("Depth under the ground", row.depth_in, "in", say_depth(row.depth_in * MM_PER_IN, units), "shallow-frost"), leaf("Upright", row.vertical_r, "", f"R-{row.vertical_r:g}", "shallow-frost")]  # fmt: skip
    if row.walls_r is not None and row.wing_in is not None:
        rows.append(leaf("Flat along walls", row.walls_r, "", f"R-{row.walls_r:g}, {say_depth(row.wing_in * MM_PER_IN, units)} wide", "shallow-frost"))  # fmt: skip
    return rows


def foam(values: Values, units: Units, ways: Ways) -> list[Working]:
    """r, r per inch."""
    inputs = {"r": plain_input("R-value", values["r"]), "per": plain_input("R per inch", values["per"]), "half": plain_input("Stock step", 0.5, "in", "house")}  # fmt: skip
    return [work("Board", "in", "ceil(r / per / half) * half", inputs, source="foam-r", digits=1)]


def plate(values: Values, units: Units, ways: Ways) -> list[Working]:
    """over, width in mm."""
    off = values["over"] - values["width"] / 3
    inputs = {
        "over": thin_input("Stands past", values["over"], units),
        "width": thin_input("Plate", values["width"], units),
    }
    text = f"{say_depth(off, units)} too far" if off > 0.5 else "meets"
    return [
        work("Past a third", "mm" if units == "mm" else "in", "over - width / 3", inputs, source="plate", text=text)
    ]


def bars(values: Values, units: Units, ways: Ways) -> list[Working]:
    """total, bar in mm."""
    inputs = {
        "total": long_input("All pieces", values["total"], units),
        "bar": long_input("One bar", values["bar"], units),
    }
    return [work("Bars at least", "", "ceil(total / bar)", inputs, digits=0)]
