"""Strength and warmth of concrete as it hydrates: hours to a strength, maturity two ways, warmth without loss. MPa, C, hours, kg/m3."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.heat.hydration import (
    LABORATORY_C,
    ZERO_K,
    Paste,
    rate,
    set_times,
    shape,
    tau_h,
    ultimate_share,
)

STEP_H = 0.02


def hours_to(paste: Paste, strength_mpa: float, at_28_mpa: float, slow_days: float, temp_c: float) -> float | None:
    """Hours from batching at one temperature until so strong, by f = f28 t / (a + b t) from final set on; None where it never is.
    slow_days: a of the curve, at 23 C."""
    steep = 1 - slow_days / 28
    left = at_28_mpa - steep * strength_mpa
    if left <= 0:
        return None
    days = slow_days * strength_mpa / left
    return set_times(paste, temp_c).final_h + days * 24 * rate(paste, LABORATORY_C) / rate(paste, temp_c)


def heat_j_g(paste: Paste) -> float:
    """All heat that a gram of what binds can give."""
    own = paste.cement
    cement = (
        500 * own.c3s_share + 260 * own.c2s_share + 866 * own.c3a_share + 420 * own.c4af_share + 624 * own.so3_share
        + 1186 * own.free_cao_share + 850 * own.mgo_share
    )  # fmt: skip
    plain = 1 - paste.ash_share - paste.slag_share
    return cement * plain + 461 * paste.slag_share + 1800 * paste.ash_cao_share * paste.ash_share


def hydrated_share(paste: Paste, age_h: float) -> float:
    """How far it has hydrated at an equivalent age at 21.1 C."""
    if age_h <= 0:
        return 0.0
    return ultimate_share(paste) * math.exp(-math.pow(tau_h(paste) / age_h, shape(paste)))


def kept_warm(
    paste: Paste, binder_kg_m3: float, start_c: float, hours: float, heat_j_m3_k: float
) -> tuple[float, float]:
    """(temperature, equivalent age in hours) without any loss."""
    temp, age = start_c, 0.0
    per = heat_j_g(paste) * 1000 * binder_kg_m3 / heat_j_m3_k
    for _ in range(round(hours / STEP_H)):
        before = hydrated_share(paste, age)
        middle = temp + per * (hydrated_share(paste, age + rate(paste, temp) * STEP_H / 2) - before)
        age += rate(paste, middle) * STEP_H
        temp += per * (hydrated_share(paste, age) - before)
    return temp, age


def nurse_saul_c_h(temps_c: Sequence[float], step_h: float, datum_c: float = 0.0) -> float:
    """Degree hours over the datum (ASTM C1074)."""
    return math.fsum(max(0.0, one - datum_c) * step_h for one in temps_c)


def equivalent_h(temps_c: Sequence[float], step_h: float, per_k: float = 5000.0, reference_c: float = 20.0) -> float:
    """Hours at the reference that count as much (ASTM C1074)."""
    return math.fsum(math.exp(-per_k * (1 / (one + ZERO_K) - 1 / (reference_c + ZERO_K))) * step_h for one in temps_c)
