"""Temperatures, drying, wind and hours as a crew reads them."""

from __future__ import annotations

from humble_trowel.core.units import Units

KG_M2_PER_LB_FT2 = 4.88243
MS_PER_MPH = 0.44704


def degrees(temp_c: float, units: Units) -> str:
    """'58 °F' or '14 °C'."""
    return f"{temp_c:.0f} °C" if units == "mm" else f"{temp_c * 1.8 + 32:.0f} °F"


def degrees_between(step_c: float, units: Units) -> str:
    """A difference: no 32 comes off."""
    return f"{step_c:.0f} °C" if units == "mm" else f"{step_c * 1.8:.0f} °F"


def drying(kg_m2_h: float, units: Units) -> str:
    """'0.20 lb/ft² h' or '1.0 kg/m² h'."""
    return f"{kg_m2_h:.2f} kg/m² h" if units == "mm" else f"{kg_m2_h / KG_M2_PER_LB_FT2:.2f} lb/ft² h"


def wind(ms: float, units: Units) -> str:
    """'11 mph' or '18 km/h'."""
    return f"{ms * 3.6:.0f} km/h" if units == "mm" else f"{ms / MS_PER_MPH:.0f} mph"
