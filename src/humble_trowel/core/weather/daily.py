"""A day that is like any other: warmest at three, as humid as its mean says, the sun of its date. Hours on a clock of solar time."""

from __future__ import annotations

import math
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

import numpy as np

from humble_trowel.core.heat.slab import SIGMA, Sky
from humble_trowel.core.weather.drying import vapour_kpa
from humble_trowel.core.weather.sun import diffuse_w_m2, global_w_m2, sun_at

MOST_HUMID = 0.98
WARMEST_H = 15.0


@dataclass(frozen=True)
class LikeAny:
    """mean_c, swing_c: of the air; humid_share: of its mean; cloud_okta; shade: the sky alone falls on it."""

    mean_c: float
    swing_c: float
    humid_share: float
    wind_ms: float
    cloud_okta: float
    latitude_deg: float
    month: int
    day: int
    shade: bool = False


def dew_c(kpa: float) -> float:
    """Where vapour of such a pressure is dew."""
    log = math.log(kpa / 0.61078)
    return 237.3 * log / (17.27 - log)


def sky_w_m2(temp_c: float, vapour: float, cloud_okta: float) -> float:
    """What the sky sends down, by the dew point and clouds. vapour: kPa."""
    dew = dew_c(vapour) / 100
    clear = 0.711 + 0.56 * dew + 0.73 * dew * dew
    n = cloud_okta * 10 / 8
    clouds = 1 + 0.0224 * n - 0.0035 * n**2 + 0.00028 * n**3
    return SIGMA * (temp_c + 273.15) ** 4 * min(1.0, clear * clouds)


def sky_of(day: LikeAny, hours: float = 96.0, step_h: float = 1 / 12) -> Sky:
    """What is over the slab from midnight of its day on, for so many hours."""
    start = datetime(2025, day.month, day.day, tzinfo=UTC)
    vapour = day.humid_share * vapour_kpa(day.mean_c)
    clock = np.arange(0.0, hours + step_h / 2, step_h)
    temps = day.mean_c + day.swing_c * np.cos(2 * np.pi * (clock - WARMEST_H) / 24)
    humid = np.array([min(MOST_HUMID, vapour / vapour_kpa(float(temp))) for temp in temps])
    falls = diffuse_w_m2 if day.shade else global_w_m2
    ups = [sun_at(day.latitude_deg, 0.0, start + timedelta(hours=float(hour))).elevation_deg for hour in clock]
    sun = np.array([falls(up, day.cloud_okta) for up in ups])
    sky = [
        sky_w_m2(float(t), float(h) * vapour_kpa(float(t)), day.cloud_okta) for t, h in zip(temps, humid, strict=True)
    ]
    return Sky(clock, temps, humid, np.full(len(clock), day.wind_ms), sun, np.array(sky))
