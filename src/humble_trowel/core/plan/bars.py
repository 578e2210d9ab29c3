"""Bars as they are sold: inch sizes by number, metric ones by diameter. Lengths mm, areas mm2, mass kg per m."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass

from humble_trowel.core.errors import InputError

IN, LB_PER_FT = 25.4, 0.45359237 / 0.3048
STEEL_KG_M3 = 7850.0
# number: (diameter in, area in2, lb per ft), ASTM A615
US = {
    3: (0.375, 0.11, 0.376), 4: (0.500, 0.20, 0.668), 5: (0.625, 0.31, 1.043), 6: (0.750, 0.44, 1.502),
    7: (0.875, 0.60, 2.044), 8: (1.000, 0.79, 2.670), 9: (1.128, 1.00, 3.400), 10: (1.270, 1.27, 4.303),
    11: (1.410, 1.56, 5.313),
}  # fmt: skip
METRIC_MM = (6, 8, 10, 12, 14, 16, 20, 25, 28, 32)
SMALL_D_MM = 0.75 * IN  # #6 and smaller bond better for their size
SIZE = re.compile(r"^\s*(?:#\s*(\d+)|(?:no\.?|number)\s*(\d+)|(\d+)\s*(?:mm)?)\s*$", re.IGNORECASE)


@dataclass(frozen=True)
class Bar:
    """A size. name: as it is written, '#4' or '12 mm'. number: of an inch size, None for a metric one."""

    name: str
    number: int | None
    d_mm: float
    area_mm2: float
    kg_m: float


def _us(number: int) -> Bar:
    d, area, lb_ft = US[number]
    return Bar(f"#{number}", number, d * IN, area * IN * IN, lb_ft * LB_PER_FT)


def _metric(d_mm: int) -> Bar:
    area = math.pi * d_mm * d_mm / 4
    return Bar(f"{d_mm} mm", None, float(d_mm), area, area * STEEL_KG_M3 / 1e6)


BARS = {bar.name: bar for bar in (*map(_us, US), *map(_metric, METRIC_MM))}


def bar_of(said: str) -> Bar:
    """The bar that '#4', 'no 4', '12 mm' or '12' means. Raises InputError for a size that nobody sells.

    Source: 'bars' in sources/."""
    match = SIZE.match(said)
    if match is None:
        raise InputError(f"{said.strip() or 'nothing'} is no size of bar. Say #4, or 12 mm.", "bar")
    number = match[1] or match[2]
    if number is None and int(match[3]) not in METRIC_MM:
        raise InputError(
            f"There is no bar of {match[3]} mm. Metric bars are {', '.join(map(str, METRIC_MM))} mm.", "bar"
        )
    if number is not None and int(number) not in US:
        raise InputError(f"There is no #{number}. Bars are #3 to #11.", "bar")
    return BARS[f"#{int(number)}" if number else f"{int(match[3])} mm"]
