"""How fast water leaves fresh concrete, by two formulas that are named. C, km/h, kg/m2/h; humidity as a share.

Source: Menzel 1954 as ACI 305R draws it; Uno 1998, a curve fit. Vapour pressure by Tetens. Wind is that at half a metre over the slab.
"""

from __future__ import annotations

import math

LIMIT_KG_M2_H = 1.0
LOW_BLEED_KG_M2_H = 0.5
KMH_PER_MPH = 1.609344
SLAB_WIND_M, STATION_WIND_M = 0.5, 10.0
GRASS_M, SOIL_M = 0.03, 0.01


def vapour_kpa(temp_c: float) -> float:
    """Saturation over water."""
    return 0.61078 * math.exp(17.27 * temp_c / (temp_c + 237.3))


def menzel_kg_m2_h(air_c: float, humid_share: float, concrete_c: float, wind_kmh: float) -> float:
    """Less than nothing: dew forms."""
    return 0.315 * _gap_kpa(air_c, humid_share, concrete_c) * (0.253 + 0.060 * wind_kmh)


def _gap_kpa(air_c: float, humid_share: float, concrete_c: float) -> float:
    return vapour_kpa(concrete_c) - humid_share * vapour_kpa(air_c)


def uno_kg_m2_h(air_c: float, humid_share: float, concrete_c: float, wind_kmh: float) -> float:
    """Not under -18 C."""
    return 5e-6 * (_power(concrete_c) - humid_share * _power(air_c)) * (wind_kmh + 4)


def _power(temp_c: float) -> float:
    return math.pow(max(0.0, temp_c + 18), 2.5)


def wind_at(station_kmh: float, rough_m: float = GRASS_M) -> float:
    """A station's wind at 10 m, brought down to the slab. rough_m: of the ground about."""
    return station_kmh * math.log(SLAB_WIND_M / rough_m) / math.log(STATION_WIND_M / rough_m)


def most_wind_kmh(air_c: float, humid_share: float, concrete_c: float, limit_kg_m2_h: float) -> float | None:
    """The wind at which the limit is met; None where it never is."""
    gap = _gap_kpa(air_c, humid_share, concrete_c)
    if gap <= 0:
        return None
    return max(0.0, (limit_kg_m2_h / (0.315 * gap) - 0.253) / 0.060)


def most_concrete_c(air_c: float, humid_share: float, wind_kmh: float, limit_kg_m2_h: float) -> float:
    """How warm concrete may be."""
    kpa = limit_kg_m2_h / (0.315 * (0.253 + 0.060 * wind_kmh)) + humid_share * vapour_kpa(air_c)
    log = math.log(kpa / 0.61078)
    return 237.3 * log / (17.27 - log)


def least_humid_share(air_c: float, concrete_c: float, wind_kmh: float, limit_kg_m2_h: float) -> float:
    """How humid the air at the surface must be, by fog; more than 1 cannot be."""
    kpa = limit_kg_m2_h / (0.315 * (0.253 + 0.060 * wind_kmh))
    return max(0.0, (vapour_kpa(concrete_c) - kpa) / vapour_kpa(air_c))
