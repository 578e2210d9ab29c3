"""Foam boards: R per inch as labelled and as buried, thickness in stock steps, and the frost-protected shallow edge.

Figures recalled from the codes they name; read the adopted edition before relying on one.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

Foam = Literal["XPS", "EPS_II", "EPS_IX"]
Table = Literal["label", "buried"]
STOCK_IN = 0.5
RSI_PER_R = 0.1761
# R per inch. Label: makers' usual; buried: IRC R403.3 footnote, for frost protection.
R_PER_INCH: dict[Table, dict[Foam, float]] = {
    "label": {"XPS": 5.0, "EPS_II": 4.0, "EPS_IX": 4.2},
    "buried": {"XPS": 4.5, "EPS_II": 2.4, "EPS_IX": 3.2},
}


@dataclass(frozen=True)
class FoamBoard:
    """exact_in: thickness that just gives the R. stock_in: next half inch up."""

    exact_in: float
    stock_in: float
    r_of_stock: float
    rsi: float


def foam_for(r_value: float, foam: Foam, table: Table) -> FoamBoard:
    """The stock board that gives an R-value, from the labelled or the buried table.

    r_value: h ft2 F/Btu. foam: XPS or EPS. Thickness in inches: what just gives it, and the next half inch up. Source: 'foam-r' in sources/.
    """
    per_inch = R_PER_INCH[table][foam]
    exact = r_value / per_inch
    stock = math.ceil(exact / STOCK_IN - 1e-9) * STOCK_IN
    return FoamBoard(exact, stock, stock * per_inch, r_value * RSI_PER_R)


@dataclass(frozen=True)
class ShallowRow:
    """A row of IRC R403.3(1), heated building: index in F-days, least depth of the edge, R-values, wing sizes.

    None: no foam lying flat is asked for.
    """

    index_f_days: float
    depth_in: float
    vertical_r: float
    walls_r: float | None
    corners_r: float | None
    wing_in: float | None
    corner_wing_in: float | None
    corner_length_in: float | None


SHALLOW_ROWS = (
    ShallowRow(1500, 12, 4.5, None, None, None, None, None),
    ShallowRow(2000, 14, 5.6, None, None, None, None, None),
    ShallowRow(2500, 16, 6.7, 1.7, 4.9, 12, 24, 40),
    ShallowRow(3000, 16, 7.8, 6.5, 8.6, 12, 24, 40),
    ShallowRow(3500, 16, 9.0, 8.0, 11.2, 24, 30, 60),
    ShallowRow(4000, 16, 10.1, 10.5, 13.1, 24, 36, 60),
)
OUTSIDE_TABLE = "above 4,000: outside the table, design to ASCE 32"


def shallow_row(index_f_days: float) -> ShallowRow | None:
    """The next row up of the shallow table, which is always safe; None above the table.

    index_f_days: air freezing index of the site, F-days. Sizes of the row in inches. Source: 'shallow-frost' in sources/.
    """
    return next((row for row in SHALLOW_ROWS if row.index_f_days >= index_f_days), None)


def shallow_between(index_f_days: float) -> ShallowRow | None:
    """Between two rows: depth and R-values straight between them, wing sizes of the next row up."""
    above = shallow_row(index_f_days)
    if above is None or index_f_days <= SHALLOW_ROWS[0].index_f_days:
        return above
    below = SHALLOW_ROWS[SHALLOW_ROWS.index(above) - 1]
    t = (index_f_days - below.index_f_days) / (above.index_f_days - below.index_f_days)

    def mix(low: float | None, high: float | None) -> float | None:
        return high if low is None or high is None else low + t * (high - low)

    return ShallowRow(
        index_f_days, below.depth_in + t * (above.depth_in - below.depth_in),
        below.vertical_r + t * (above.vertical_r - below.vertical_r), mix(below.walls_r, above.walls_r),
        mix(below.corners_r, above.corners_r), above.wing_in, above.corner_wing_in, above.corner_length_in,
    )  # fmt: skip
