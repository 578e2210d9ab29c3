"""Rules of the order, the mix and the pour in the book, with their calculators."""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.heat.hydration import Paste, set_times
from humble_trowel.core.mix.durability import AIR, CLASSES
from humble_trowel.core.mix.heat import Batch, Part, cold_row, lost_c, mixed_c
from humble_trowel.core.mix.slump import slump_range_mm, watered
from humble_trowel.core.mix.stone import largest
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, number_ask, thin_ask
from humble_trowel.core.units import Units, say_depth
from humble_trowel.core.working import Working, leaf

SOLIDS_KG, CEMENT_KG, WATER_KG = 1810.0, 335.0, 167.0


def _degrees(name: str, temp_c: float, units: Units, source: str) -> Working:
    value = temp_c if units == "mm" else temp_c * 1.8 + 32
    unit = "°C" if units == "mm" else "°F"
    return leaf(name, value, unit, f"{value:.1f} {unit}", source)


def _c(value: float, units: Units) -> float:
    return value if units == "mm" else (value - 32) / 1.8


def _slump(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    low, high = slump_range_mm(values["said"])
    return [leaf(name, mm, "mm", say_depth(mm, units), "slump-tolerance") for name, mm in (("From", low), ("To", high))]


def _stone(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    found = largest(values["slab"], values["clear"] or None)
    return [
        leaf("At most", found.most_mm, "mm", say_depth(found.most_mm, units), "stone-size"),
        leaf("The size plants have", found.size_mm, "mm", say_depth(found.size_mm, units), "stone-size"),
    ]


def _water(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    found = watered(values["cement"], values["water"], values["added"], values["load"], values["most"])
    return [
        leaf("Water to cement then", found.water_share, "", f"{found.water_share:.3f}", "water-added"),
        leaf("Room for, in all", found.room_l, "L", f"{found.room_l:.0f} L", "water-added"),
    ]


def _balance(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    parts = [Part(SOLIDS_KG, _c(values["stone"], units)), Part(CEMENT_KG, _c(values["cement"], units))]
    mixed = mixed_c(Batch(parts, Part(WATER_KG, _c(values["water"], units))))
    return [_degrees("It mixes to", mixed, units, "heat-balance")]


def _cold(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    row = cold_row(values["slab"], _c(values["air"], units))
    return [
        _degrees("As placed, at least", row.placed_c, units, "cold-mix"),
        _degrees("As mixed, at least", row.mixed_c, units, "cold-mix"),
    ]


def _hot(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    here, air = _c(values["here"], units), _c(values["air"], units)
    plant = here + lost_c(here, air, values["minutes"] / 60)
    return [_degrees("At the plant then", plant, units, "hot-mix")]


def _set(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    found = set_times(Paste(values["share"]), _c(values["temp"], units))
    rows = (
        ("A foot leaves a print", found.footprint_h),
        ("Initial set", found.initial_h),
        ("Final set", found.final_h),
    )
    return [leaf(name, hours, "h", f"about {hours:.1f} h", "set-clock") for name, hours in rows]


TEMPS = {"stone": ("Sand and stone", "60"), "cement": ("Cement", "100"), "water": ("Water", "55")}
ORDER_RULES = (
    Rule("order/last", "The last load", "Called when most is down: the doubt is smaller by then.", "arrival − road − batching − line", "last-load"),
    Rule("order/age", "How old a load may be", "Ninety minutes from batching to the last yard, unless buyer and plant agree otherwise.", "", "discharge"),
    Rule("order/set", "When it sets", "From water to cement and temperature; about, until a trial batch says.", "hydration 0.15 and 0.26 of w/cm", "set-clock",
         asks=(number_ask("share", "Water to cement", "0.5"), number_ask("temp", "Temperature", "30")), work_out=_set),
    Rule("mix/exposure", "What frost, salt and sulphate ask", "Water to cement at most, and strength; the worst class counts.", "", "exposure",
         (("class", "w/cm", "psi"), *((name, "" if share is None else f"{share:g}", f"{psi:,.0f}") for name, (share, psi) in CLASSES.items()))),
    Rule("mix/air", "Air against frost", "By the largest stone; a point less above 5,000 psi, a point and a half either way.", "", "air",
         (("stone, in", "F1", "F2, F3"), *((f"{mm / 25.4:g}", f"{one:g}", f"{two:g}") for mm, one, two in AIR))),
    Rule("mix/trowel", "Air under the trowel", "A hard-trowelled floor takes none: under 3 in 100.", "", "air-trowel"),
    Rule("mix/stone", "The largest stone", "A third of the slab, three quarters between bars.", "min(slab ÷ 3, clear × 3 ÷ 4)", "stone-size",
         asks=(thin_ask("slab", "Slab", "4", "100"), thin_ask("clear", "Clear between bars, 0 for none", "0", "0")), work_out=_stone),
    Rule("mix/slump", "Slump as measured", "Half an inch off up to 2, an inch up to 4, an inch and a half above.", "", "slump-tolerance", asks=(thin_ask("said", "Slump as said", "5", "125"),), work_out=_slump),
    Rule("mix/water", "Water on site", "Once, and never over the highest water to cement.", "(water + added ÷ load) ÷ cement", "water-added",
         asks=(number_ask("cement", "Cement, kg in a m³", "335"), number_ask("water", "Water, kg in a m³", "150"), number_ask("added", "Added, litres", "40"), number_ask("load", "Load, m³", "7"), number_ask("most", "Water to cement at most", "0.5")), work_out=_water),
    Rule("mix/reducer", "Slump without water", "A reducer takes 5 in 100 of the water at least, a high-range one 12.", "", "reducer"),
    Rule("mix/ash", "Ash under stain", "The finisher wants it, the stain maker may forbid it: ask both.", "", "ash-stain"),
    Rule("mix/heat", "What it mixes to", "Solids hold 0.22 of the heat of water.", "(0.22 × solids × T + water × T) ÷ (0.22 × solids + water)", "heat-balance",
         asks=tuple(number_ask(key, label, example) for key, (label, example) in TEMPS.items()), work_out=_balance),
    Rule("mix/cold", "In the cold", "Least temperatures by how thick it is and how cold the air.", "", "cold-mix", asks=(thin_ask("slab", "Thickness", "6", "150"), number_ask("air", "Air", "20")), work_out=_cold),
    Rule("mix/hot", "In the heat and on the road", "At most 95 F out of the drum; a drum takes on a quarter of the difference in an hour.", "T + 0.25 × (T − air) × hours", "hot-mix",
         asks=(number_ask("here", "As it comes", "30"), number_ask("air", "Air", "38"), number_ask("minutes", "Road, minutes", "30")), work_out=_hot),
)  # fmt: skip
