"""Slump as it is measured, and water that may be added. mm, kg, m3. Source: ASTM C94, recalled; water rules of thumb."""

from __future__ import annotations

from dataclasses import dataclass

IN = 25.4
KG_PER_LITRE = 1.0


def slump_range_mm(said_mm: float, *, most: bool = False) -> tuple[float, float]:
    """(least, most) that may be measured. most: what was said is the most, not the nominal."""
    if most:
        return (said_mm - (1.5 if said_mm <= 3 * IN + 0.01 else 2.5) * IN, said_mm)
    off = 0.5 if said_mm <= 2 * IN + 0.01 else 1.0 if said_mm <= 4 * IN + 0.01 else 1.5
    return said_mm - off * IN, said_mm + off * IN


def slump_passes(said_mm: float, measured_mm: float, *, most: bool = False) -> bool:
    """Whether a load may be taken."""
    low, high = slump_range_mm(said_mm, most=most)
    return low - 0.01 <= measured_mm <= high + 0.01


@dataclass(frozen=True)
class Watered:
    """Water to cement after water was added, and how much might have been added in all (less than nothing: it was over before)."""

    water_share: float
    room_l: float


def watered(binder_kg_m3: float, water_kg_m3: float, added_l: float, m3: float, most_share: float) -> Watered:
    """Water added on site to a load of m3."""
    share = (water_kg_m3 + added_l * KG_PER_LITRE / m3) / binder_kg_m3
    return Watered(share, (most_share * binder_kg_m3 - water_kg_m3) / KG_PER_LITRE * m3)
