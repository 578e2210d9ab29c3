"""Rules of the day in the book, with their calculators: drying and shadows."""

from __future__ import annotations

import math
from collections.abc import Mapping

from humble_trowel.core.day.sizes import KG_M2_PER_LB_FT2, MS_PER_MPH, drying
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules.book_row import Rule, long_ask, number_ask
from humble_trowel.core.units import Units, say_length
from humble_trowel.core.weather.drying import LIMIT_KG_M2_H, menzel_kg_m2_h, most_wind_kmh, uno_kg_m2_h
from humble_trowel.core.working import Working, leaf


def _c(value: float, units: Units) -> float:
    return value if units == "mm" else (value - 32) / 1.8


def _dries(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    air, concrete, humid = _c(values["air"], units), _c(values["concrete"], units), values["humid"] / 100
    kmh = values["wind"] if units == "mm" else values["wind"] * MS_PER_MPH * 3.6
    per, unit = (1.0, "kg/m² h") if units == "mm" else (KG_M2_PER_LB_FT2, "lb/ft² h")
    rows = [
        leaf(name, rate / per, unit, drying(rate, units), "evaporation")
        for name, rate in (
            ("Menzel", menzel_kg_m2_h(air, humid, concrete, kmh)),
            ("Uno", uno_kg_m2_h(air, humid, concrete, kmh)),
        )
    ]
    most = most_wind_kmh(air, humid, concrete, LIMIT_KG_M2_H)
    if most is not None:
        wind = most if units == "mm" else most / MS_PER_MPH / 3.6
        rows.append(
            leaf(
                "The limit is met at a wind of",
                wind,
                "km/h" if units == "mm" else "mph",
                f"{wind:.0f} {'km/h' if units == 'mm' else 'mph'}",
                "evaporation",
            )
        )
    return rows


def _shadow(values: Mapping[str, float], units: Units, ways: Ways) -> list[Working]:
    up = min(90.0, max(3.0, values["sun"]))
    mm = values["height"] / math.tan(math.radians(up))
    return [leaf("Its shadow reaches", mm, "mm", say_length(mm, units), "sun")]


DAY_RULES = (
    Rule("day/drying", "How fast it dries", "By air, humidity, concrete and wind at the slab; precautions from 0.20 lb/ft² h (1.0 kg/m² h) on.", "0.44 (e0 − ea)(0.253 + 0.096 V), psi and mph", "evaporation",
         (("limit", "lb/ft² h", "kg/m² h"), ("any mix", "0.20", "1.0"), ("ash, slag, fibre, little water", "0.10", "0.5")),
         asks=(number_ask("air", "Air", "30"), number_ask("humid", "Humidity, in 100", "45"), number_ask("concrete", "Concrete", "30"), number_ask("wind", "Wind at the slab", "15")), work_out=_dries),
    Rule("day/shadow", "How far a shadow reaches", "Height over the slab by the height of the sun; under 3° it is not followed.", "height ÷ tan(sun)", "sun",
         asks=(long_ask("height", "Height over the slab", "22'", "6700"), number_ask("sun", "Sun over the horizon, degrees", "41")), work_out=_shadow),
    Rule("day/clock", "When it may be floated, sawn, loaded", "Heat through the slab and what lies under it, and how far the cement has hydrated.", "", "slab-heat"),
)  # fmt: skip
