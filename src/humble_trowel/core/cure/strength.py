"""How strong each zone is, by two clocks and with a range: equivalent age (Arrhenius) and degree hours (Nurse and Saul), ASTM C1074; the curve
from final set on, ACI 209. MPa, C, hours on the clock.

A range is four days in five: how fast the mix sets against its model, how far a temperature may be off that nobody read, and what the mix reaches at
28 days, which cylinders narrow. The low end is the slower clock, the high end the faster one.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.cure.heat import ZoneHeat
from humble_trowel.core.cure.probes import Track
from humble_trowel.core.heat.hydration import (
    FINAL,
    GAS_J_MOL_K,
    LABORATORY_C,
    ZERO_K,
    Paste,
    activation_j_mol,
    age_h,
    rate,
    tau_h,
)
from humble_trowel.core.heat.slab import PSI_MPA, SAFE_PSI, Array

WIDE = 1.2815515655446004  # four in five
MODEL_SD_C, READ_SD_C = 2.5, 0.5
MIX_SD, TEST_SD, SITE_SD = (
    0.12,
    0.08,
    0.10,
)  # of the log of what a mix reaches, of one cylinder of the bath, of one beside the slab
DATUM_C = 0.0
BOTH = 0.73  # speed and strength are two luck of their own: each so far, so that both together stay within four in five


@dataclass(frozen=True)
class Reached:
    """What the mix reaches against what it is specified to, after cylinders. mix_ratio: the middle; sd: of its log; count: cylinders."""

    mix_ratio: float = 1.0
    sd_share: float = MIX_SD
    count: int = 0

    @property
    def low(self) -> float:
        """At the low end of the range."""
        return self.mix_ratio * math.exp(-WIDE * BOTH * self.sd_share)

    @property
    def high(self) -> float:
        """At its high end."""
        return self.mix_ratio * math.exp(WIDE * BOTH * self.sd_share)


@dataclass(frozen=True)
class Strong:
    """A zone through four weeks. low, at, high: MPa at each hour; other: by degree hours alone. age: equivalent hours at 21.1 C. temp: as read, else by
    the model; known: it was read. freezes_h: ice before it was strong enough, None where there was none."""

    heat: ZoneHeat
    hours_h: Array
    low_mpa: Array
    at_mpa: Array
    high_mpa: Array
    other_mpa: Array
    age_eq_h: Array
    temp_c: Array
    known: Array
    freezes_h: float | None
    safe_h: float | None

    def at_hour(self, hour: float, row: Array) -> float:
        """A row at an hour."""
        return float(np.interp(hour, self.hours_h, row))


def speeds(paste: Paste, temps: Array) -> Array:
    """Equivalent hours in an hour at each temperature."""
    per_k = activation_j_mol(paste) / GAS_J_MOL_K
    return np.asarray(np.exp(per_k * (1 / (21.1 + ZERO_K) - 1 / (np.maximum(temps, -40.0) + ZERO_K))))


def curve(days: Array, at_28_mpa: float, slow_days: float) -> Array:
    """f = f28 t / (a + b t) with t in days at 23 C from final set; nothing before."""
    own = np.maximum(0.0, days)
    return np.asarray(at_28_mpa * own / (slow_days + (1 - slow_days / 28) * own))


def strong_of(heat: ZoneHeat, track: Track | None, pace_sd: float, reached: Reached) -> Strong:
    """One zone. pace_sd: of the log of how fast it sets against its model."""
    hours, paste = heat.hours_h, heat.paste
    temps, known = (heat.temp_c, np.zeros(len(hours), dtype=bool)) if track is None else track.over(hours)
    used = np.where(known, temps, heat.temp_c)
    gains = np.where(known, speeds(paste, used) * heat.pace_ratio, heat.gains_h)
    gains[0] = 0.0
    off = np.where(known, READ_SD_C, MODEL_SD_C) * activation_j_mol(paste) / GAS_J_MOL_K / (used + ZERO_K) ** 2
    spread = WIDE * BOTH * np.sqrt(pace_sd**2 + off**2)
    paces = (np.exp(-spread), np.ones(len(hours)), np.exp(spread))
    ages = [heat.begin_eq_h * float(pace[0]) + np.cumsum(gains * pace) for pace in paces]
    degrees = [np.cumsum(np.maximum(0.0, used - DATUM_C) * heat.pace_ratio * pace) for pace in paces]
    final = age_h(paste, tau_h(paste), FINAL)
    lab = rate(paste, LABORATORY_C)
    arrhenius = [(age - final) / (24 * lab) for age in ages]
    nurse = [_degree_days(age, sums, final) for age, sums in zip(ages, degrees, strict=True)]
    top = heat.at_28_mpa
    low = curve(np.minimum(arrhenius[0], nurse[0]), top * reached.low, heat.slow_days)
    at = curve(arrhenius[1], top * reached.mix_ratio, heat.slow_days)
    high = curve(np.maximum(arrhenius[2], nurse[2]), top * reached.high, heat.slow_days)
    other = curve(nurse[1], top * reached.mix_ratio, heat.slow_days)
    safe = first_over(hours, at, SAFE_PSI * PSI_MPA)
    cold = np.where(known, used, heat.least_c)
    before = hours <= (math.inf if safe is None else safe)
    ice = np.flatnonzero(before & (cold < 0.0))
    freezes = float(hours[ice[0]]) if len(ice) else None
    return Strong(heat, hours, np.minimum(low, at), at, np.maximum(high, at), other, ages[1], used, known, freezes, safe)  # fmt: skip


def _degree_days(age: Array, sums: Array, final_eq_h: float) -> Array:
    """Days at 23 C by degree hours since final set."""
    begin = float(np.interp(final_eq_h, age, sums)) if age[-1] > final_eq_h else float(sums[-1])
    return (sums - begin) / ((LABORATORY_C - DATUM_C) * 24)


def first_over(hours: Array, row: Array, level: float) -> float | None:
    """When a row that never falls reaches a level; None in these four weeks."""
    over = np.flatnonzero(row >= level - 1e-12)
    if not len(over):
        return None
    at = int(over[0])
    if at == 0:
        return float(hours[0])
    part = (level - row[at - 1]) / (row[at] - row[at - 1])
    return float(hours[at - 1] + part * (hours[at] - hours[at - 1]))


@dataclass(frozen=True)
class Broken:
    """A cylinder against what the curve says it should have had. ratio: measured over that."""

    record: str
    number: str
    at_h: float
    broke_mpa: float
    curve_mpa: float
    lab: bool


def reached_of(broken: Sequence[Broken]) -> Reached:
    """What the mix reaches, after every cylinder: the log of each ratio is the mix's and its own luck, both normal."""
    mean, var = 0.0, MIX_SD**2
    for one in broken:
        if one.curve_mpa <= 0.5 or one.broke_mpa <= 0:
            continue  # too young to tell
        noise = (TEST_SD if one.lab else SITE_SD) ** 2
        gain = var / (var + noise)
        mean, var = mean + gain * (math.log(one.broke_mpa / one.curve_mpa) - mean), var * (1 - gain)
    count = sum(1 for one in broken if one.curve_mpa > 0.5 and one.broke_mpa > 0)
    return Reached(math.exp(mean), math.sqrt(var), count)


def in_the_bath_mpa(heat: ZoneHeat, hour: float) -> float:
    """What a cylinder of the laboratory should have at an hour: at 23 C all the while."""
    age = max(0.0, hour - heat.batch_h) * rate(heat.paste, LABORATORY_C) * heat.pace_ratio
    days = (age - age_h(heat.paste, tau_h(heat.paste), FINAL)) / (24 * rate(heat.paste, LABORATORY_C))
    return float(curve(np.array([days]), heat.at_28_mpa, heat.slow_days)[0])
