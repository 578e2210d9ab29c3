"""Where the heat of a mix balances: what each part brings, what comes out of the drum here, what the water must be. kg in a m3, C."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.mix.heat import (
    HOT_WATER_C,
    SOLID,
    Batch,
    Part,
    cold_row,
    ice_kg_for,
    lost_c,
    mixed_c,
    water_c_for,
)
from humble_trowel.core.plan.mix import Mix

CEMENT_KG, STONE_KG, SHARE = 335.0, 1810.0, 0.50
CEMENT_C, WATER_C, AIR_C = 40.0, 13.0, 18.0
MOST_C = 35.0
COLD_AIR_C = 4.4


@dataclass(frozen=True)
class HeatPart:
    """A part on the plank. heat_kg: it holds as much heat as so much water. said: somebody typed its temperature."""

    key: str
    name: str
    mass_kg: float
    temp_c: float
    heat_kg: float
    said: bool


@dataclass(frozen=True)
class Balance:
    """mixed_c: at the plant; here_c: after the road. least_c: what cold weather asks here, None where it is not cold. water_for_c: what the
    water must be for what is wanted, None where it is right; ice_kg: in its place where it is too warm. wrong: '' where it will do."""

    parts: list[HeatPart]
    mixed_c: float
    here_c: float
    air_c: float
    least_c: float | None
    most_c: float
    wanted_c: float | None
    water_for_c: float | None
    ice_kg: float
    per_ten_c: float
    wrong: str
    wrong_key: str


def balance(mix: Mix, thin_mm: float, road_h: float) -> Balance:
    """The balance of what is said, and of what is usual where nothing is."""
    air = AIR_C if mix.air_c is None else mix.air_c
    cement = mix.cement_kg_m3 or CEMENT_KG
    water_kg = cement * (mix.water_share or SHARE)
    rows = (
        ("cement", "Cement", cement, mix.cement_c, CEMENT_C, SOLID),
        ("stone", "Sand, stone", STONE_KG, mix.stone_c, air, SOLID),
        ("water", "Water", water_kg, mix.water_c, WATER_C, 1.0),
    )  # fmt: skip
    parts = [
        HeatPart(key, name, kg, usual if said is None else said, kg * holds, said is not None)
        for key, name, kg, said, usual, holds in rows
    ]
    batch = Batch(
        [Part(parts[0].mass_kg, parts[0].temp_c), Part(parts[1].mass_kg, parts[1].temp_c)],
        Part(water_kg, parts[2].temp_c),
    )
    mixed = mixed_c(batch)
    here = _here(mixed, air, road_h)
    cold = cold_row(thin_mm, air) if air < COLD_AIR_C else None
    wanted = mix.wanted_c if mix.wanted_c is not None else None if cold is None else cold.placed_c
    water_for, ice = None, 0.0
    if wanted is not None and abs(here - wanted) > 0.3:
        plant = wanted + lost_c(wanted, air, road_h)
        if plant >= mixed:
            water_for = water_c_for(batch, plant)
        else:
            ice = ice_kg_for(batch, plant)
    words, key = _wrong(here, cold.placed_c if cold else None, water_for, ice, water_kg)
    total = sum(one.heat_kg for one in parts)
    return Balance(
        parts, mixed, here, air, cold.placed_c if cold else None, MOST_C, wanted, water_for, ice, 10 * water_kg / total, words, key
    )  # fmt: skip


def _here(mixed: float, air: float, road_h: float) -> float:
    """What arrives: the loss goes by what arrives, so it is solved for."""
    share = 0.25 * road_h
    return (mixed + share * air) / (1 + share)


def _wrong(here: float, least: float | None, water: float | None, ice: float, water_kg: float) -> tuple[str, str]:
    if here > MOST_C + 0.05:
        return "Over 95 °F (35 °C) out of the drum: colder water, ice, or an earlier hour.", "hot-mix"
    if ice > water_kg:
        return "More ice than there is water: the stone must be cooled too.", "heat-balance"
    if water is not None and water > HOT_WATER_C + 0.05:
        return "Water over 140 °F (60 °C) must not meet the cement first: warm the stone instead.", "cold-mix"
    if least is not None and here < least - 0.3:
        return "Colder than cold weather allows as placed: ask for hot water.", "cold-mix"
    return "", ""
