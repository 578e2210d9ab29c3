"""When concrete sets, from how far its cement has hydrated.

Degree of hydration over equivalent age at 21.1 C (Schindler and Folliard 2005); initial set at 0.15 w/cm of it, final set at 0.26 w/cm
(Schindler 2004). Fractions are shares by mass: clinker of the cement, ash and slag of all that binds. Hours, degrees C. A model without
a trial batch: show it as about.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

GAS_J_MOL_K = 8.314
REFERENCE_C = 21.1
LABORATORY_C = 23.0
ZERO_K = 273.15
INITIAL, FINAL = 0.15, 0.26
NEEDLE_PSI, FINAL_PSI, FOOTPRINT_PSI = 500.0, 4000.0, 100.0


@dataclass(frozen=True)
class Cement:
    """Clinker phases as shares of the cement, and its fineness. As Type I commonly is."""

    c3s_share: float = 0.57
    c2s_share: float = 0.17
    c3a_share: float = 0.09
    c4af_share: float = 0.08
    so3_share: float = 0.028
    free_cao_share: float = 0.01
    mgo_share: float = 0.02
    blaine_m2_kg: float = 370.0


@dataclass(frozen=True)
class Paste:
    """What binds. water_share: water over all that binds; ash, slag: their shares of it; shift_h: how much later an admixture sets it
    at 23 C."""

    water_share: float
    ash_share: float = 0.0
    ash_cao_share: float = 0.0
    slag_share: float = 0.0
    shift_h: float = 0.0
    cement: Cement = Cement()


@dataclass(frozen=True)
class SetTimes:
    """Hours from batching: a foot leaves a print of about 1/4 in, initial and final set."""

    footprint_h: float
    initial_h: float
    final_h: float


def ultimate_share(paste: Paste) -> float:
    """How far it can hydrate at all."""
    plain = 1.031 * paste.water_share / (0.194 + paste.water_share)
    return min(1.0, plain + 0.50 * paste.ash_share + 0.30 * paste.slag_share)


def _product(powers: tuple[tuple[float, float], ...]) -> float:
    return math.prod(math.pow(base, power) for base, power in powers)


def shape(paste: Paste) -> float:
    """beta of the curve."""
    own = paste.cement
    powers = ((own.c3a_share, 0.146), (own.c3s_share, 0.227), (own.blaine_m2_kg, -0.535), (own.so3_share, 0.558))
    return 181.4 * _product(powers) * math.exp(-0.647 * paste.slag_share)


def activation_j_mol(paste: Paste) -> float:
    """How strongly warmth speeds it."""
    own = paste.cement
    plain = 22100 * _product(((own.c3a_share, 0.30), (own.c4af_share, 0.25), (own.blaine_m2_kg, 0.35)))
    return plain * (1 - 1.05 * paste.ash_share * (1 - paste.ash_cao_share / 0.40) + 0.40 * paste.slag_share)


def rate(paste: Paste, temp_c: float) -> float:
    """Hours of equivalent age in an hour at a temperature."""
    per_k = activation_j_mol(paste) / GAS_J_MOL_K
    return math.exp(per_k * (1 / (REFERENCE_C + ZERO_K) - 1 / (temp_c + ZERO_K)))


def _plain_tau_h(paste: Paste) -> float:
    own = paste.cement
    powers = ((own.c3a_share, -0.154), (own.c3s_share, -0.401), (own.blaine_m2_kg, -0.804), (own.so3_share, -0.758))
    return 66.78 * _product(powers) * math.exp(2.187 * paste.slag_share + 9.50 * paste.ash_share * paste.ash_cao_share)


def age_h(paste: Paste, tau_h: float, part: float) -> float:
    """Equivalent age at which so much of w/cm has hydrated."""
    reached = part * paste.water_share / ultimate_share(paste)
    return tau_h * math.pow(-math.log(reached), -1 / shape(paste))


def tau_h(paste: Paste) -> float:
    """Its time constant; an admixture stretches it, so that it counts for more in the cold."""
    plain = _plain_tau_h(paste)
    if not paste.shift_h:
        return plain
    initial = age_h(paste, plain, INITIAL) / rate(paste, LABORATORY_C)
    return plain * max(0.05, 1 + paste.shift_h / initial)


def set_times(paste: Paste, temp_c: float) -> SetTimes:
    """Set at one temperature. Between needle pressures the log of pressure runs along the log of age (ASTM C403)."""
    tau, speed = tau_h(paste), rate(paste, temp_c)
    initial, final = age_h(paste, tau, INITIAL), age_h(paste, tau, FINAL)
    power = math.log(FINAL_PSI / NEEDLE_PSI) / math.log(final / initial)
    footprint = initial * math.pow(FOOTPRINT_PSI / NEEDLE_PSI, 1 / power)
    return SetTimes(footprint / speed, initial / speed, final / speed)
