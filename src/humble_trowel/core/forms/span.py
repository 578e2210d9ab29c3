"""How far a form board spans between stakes under fresh concrete: full liquid head, bending, and bulge.

Pressure p = w h, w = 150 lb/ft3 (ACI 347R, full liquid head). Bending flat-wise: M = w L^2/10 and deflection
w L^4/(145 E I) over three or more spans, /8 and 5/384 over one. Reference values of No. 2 lumber and the factors
CD 1.25, CM, CF, Cfu after the NDS supplement; E with 0.9 for wet use. Bulge: the lesser of L/360 and a fixed limit.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

N_PER_M3 = 150 * 4.4482216152605 / 0.3048**3
PSI_MPA = 0.00689475729
E_PSI = {"SPF": 1.4e6, "DF-L": 1.6e6, "Hem-Fir": 1.3e6}
FB_PSI = {"SPF": 875.0, "DF-L": 900.0, "Hem-Fir": 850.0}
# depth up to (mm), size factor CF, flat-use factor Cfu: 2x4, 2x6, 2x8, 2x10, 2x12 and deeper
DEPTH_FACTORS = ((100.0, 1.5, 1.1), (150.0, 1.3, 1.15), (200.0, 1.2, 1.15), (250.0, 1.1, 1.2), (1e9, 1.0, 1.2))
DURATION, WET_BENDING, WET_STIFFNESS, WET_OVER_PSI = 1.25, 0.85, 0.9, 1150.0
RATIO = 360.0
Wood = Literal["SPF", "DF-L", "Hem-Fir"]


@dataclass(frozen=True)
class Span:
    """What a board carries. line_n_per_mm: load along it. spacing_mm: the limit after the cap; governs: what set it."""

    bottom_kpa: float
    line_n_per_mm: float
    bending_mm: float
    ratio_mm: float
    bulge_mm: float
    limit_mm: float
    governs: str
    cap_mm: float

    @property
    def spacing_mm(self) -> float:
        return min(self.limit_mm, self.cap_mm)


def bending_mpa(deep_mm: float, wood: Wood) -> float:
    """Allowed bending stress of a board lying flat, MPa: the table's stress times size, flat use, wet use and a week's load.

    deep_mm: the board's width as it lies against the concrete. wood: species group. Source: 'span' in sources/.
    """
    size, flat = next((cf, cfu) for most, cf, cfu in DEPTH_FACTORS if deep_mm <= most)
    wet = WET_BENDING if FB_PSI[wood] * size > WET_OVER_PSI else 1.0
    return FB_PSI[wood] * DURATION * wet * size * flat * PSI_MPA


def board_span(
    thick_mm: float,
    deep_mm: float,
    top_mm: float,
    *,
    wood: Wood = "SPF",
    several: bool = True,
    bulge_limit_mm: float = 25.4 / 16,
    all_bottom: bool = False,
    cap_mm: float = 1219.2,
) -> Span:
    """Greatest span of a board whose top lies `top_mm` under the concrete's top, held by full liquid pressure.

    thick_mm, deep_mm: the board's sizes as bought. several: it runs over three supports or more. bulge_limit_mm: how far
    it may bow between two. all_bottom: the bottom pressure over the whole depth (safer). cap_mm: for knocks and boots.
    Answers pressure in N/mm2 x 1000, line load in N/mm, spans in mm and which of them governs. Sources: 'pressure',
    'span' and 'cap' in sources/.
    """
    bottom = N_PER_M3 * (top_mm + deep_mm) / 1e3 / 1e6  # N/mm2
    top = bottom if all_bottom else N_PER_M3 * top_mm / 1e3 / 1e6
    line = (top + bottom) / 2 * deep_mm
    bending, ratio, bulge = flat_limits(
        thick_mm, deep_mm, line, wood=wood, several=several, bulge_limit_mm=bulge_limit_mm
    )
    limit, governs = min((bending, "bending"), (ratio, "L/360"), (bulge, "bulge"))
    return Span(bottom * 1e3, line, bending, ratio, bulge, limit, governs, cap_mm)


def flat_limits(
    thick_mm: float, deep_mm: float, line_n_per_mm: float, *, wood: Wood, several: bool, bulge_limit_mm: float
) -> tuple[float, float, float]:
    """Greatest spans of a board lying flat under a line load, mm: by bending, by span / 360, by bulge.

    line_n_per_mm: load on each mm of its length. Simple spans, or the moments of several: w l2 / 10, w l4 / 145 E I.
    """
    stiff = WET_STIFFNESS * E_PSI[wood] * PSI_MPA * deep_mm * thick_mm**3 / 12
    section = deep_mm * thick_mm**2 / 6
    bending = ((10 if several else 8) * bending_mpa(deep_mm, wood) * section / line_n_per_mm) ** 0.5
    sag = stiff * (145 if several else 384 / 5)
    return bending, (sag / (RATIO * line_n_per_mm)) ** (1 / 3), (sag * bulge_limit_mm / line_n_per_mm) ** 0.25


def thrust_n_per_m(head_mm: float) -> float:
    """Push of liquid concrete `head_mm` high against each metre of form, N: w h2 / 2, acting a third up from the foot."""
    return N_PER_M3 * (head_mm / 1000) ** 2 / 2


def top_push_n_per_m(head_mm: float) -> float:
    """What must be held at the top of each metre of form, N: a third of the thrust, by moments about the foot."""
    return thrust_n_per_m(head_mm) / 3
