"""Heat of a mix: what it comes to, how hot the water must be, how much ice, what the road takes, what cold weather asks. C, kg, hours.

Source: the heat balance and cold-weather table of ACI 306R-16, transit loss as there, recalled. Solids hold 0.22 of the heat of water.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

SOLID = 0.22
ICE_C = 80.0  # heat that melts it, as degrees of as much water
HOT_WATER_C = 60.0
LOST_PER_H = {"drum": 0.25, "covered": 0.10, "open": 0.20}


@dataclass(frozen=True)
class Part:
    """So much of something at its temperature."""

    mass_kg: float
    temp_c: float


@dataclass(frozen=True)
class Batch:
    """solids: cement, sand and stone. water: added. free: that came wet with sand and stone. ice_kg: in place of water."""

    solids: Sequence[Part]
    water: Part
    free: Sequence[Part] = ()
    ice_kg: float = 0.0


def _sums(batch: Batch) -> tuple[float, float]:
    """(heat over 0 C, what holds it), as kg of water, without the added water and the ice."""
    wet = [one for one in batch.free if one.mass_kg]
    heat = SOLID * sum(one.mass_kg * one.temp_c for one in batch.solids) + sum(one.mass_kg * one.temp_c for one in wet)
    return heat, SOLID * sum(one.mass_kg for one in batch.solids) + sum(one.mass_kg for one in wet)


def mixed_c(batch: Batch) -> float:
    """What the mix comes to."""
    heat, mass = _sums(batch)
    top = heat + batch.water.mass_kg * batch.water.temp_c - ICE_C * batch.ice_kg
    return top / (mass + batch.water.mass_kg + batch.ice_kg)


def water_c_for(batch: Batch, target_c: float) -> float | None:
    """How hot the water must be; None without water."""
    if not batch.water.mass_kg:
        return None
    heat, mass = _sums(batch)
    whole = target_c * (mass + batch.water.mass_kg + batch.ice_kg)
    return (whole - heat + ICE_C * batch.ice_kg) / batch.water.mass_kg


def ice_kg_for(batch: Batch, target_c: float) -> float:
    """Ice in place of as much water. It may be more than the water there is: then it cannot be done by ice alone."""
    plain = replace(batch, ice_kg=0.0)
    heat, mass = _sums(plain)
    total = mass + batch.water.mass_kg
    over = heat + batch.water.mass_kg * batch.water.temp_c - target_c * total
    return max(0.0, over / (ICE_C + batch.water.temp_c))


def lost_c(delivered_c: float, air_c: float, hours: float, kind: str = "drum") -> float:
    """What the road takes from concrete that arrives at so much; less than nothing where the air is warmer."""
    return LOST_PER_H[kind] * (delivered_c - air_c) * hours


@dataclass(frozen=True)
class ColdRow:
    """What cold weather asks of a section: as placed and kept, as mixed, most drop in the first day."""

    placed_c: float
    mixed_c: float
    drop_c: float


# section up to (mm): as placed F, as mixed F over 30 F, 0 to 30, under 0; drop F
COLD: tuple[tuple[float, float, tuple[float, float, float], float], ...] = (
    (12 * 25.4, 55, (60, 65, 70), 50), (36 * 25.4, 50, (55, 60, 65), 40), (72 * 25.4, 45, (50, 55, 60), 30),
    (float("inf"), 40, (45, 50, 55), 20),
)  # fmt: skip


def _c(degrees_f: float) -> float:
    return (degrees_f - 32) / 1.8


def cold_row(section_mm: float, air_c: float) -> ColdRow:
    """The row of a least dimension: the first under its bound, the last for all above."""
    row = next((row for row in COLD if section_mm < row[0] - 0.01), COLD[-1])
    air_f = air_c * 1.8 + 32
    mixed = row[2][0 if air_f > 30 else 1 if air_f >= 0 else 2]
    return ColdRow(_c(row[1]), _c(mixed), row[3] / 1.8)
