"""Ten numbers in place of a forecast: air, humidity and wind at morning, noon and night, and how cloudy it is. Hours between are straight,
the noon's at three when it is warmest."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import timedelta

import numpy as np

from humble_trowel.core.errors import InputError
from humble_trowel.core.weather.hours import Clock
from humble_trowel.core.weather.records import WeatherHour, WeatherIn

MORNING_H, NOON_H, NIGHT_H = 6.0, 15.0, 22.0
SLAB_M = 0.5
DAYS = 4


def typed_hours(
    air_c: Sequence[float], humid_share: Sequence[float], wind_ms: Sequence[float], cloud_okta: float, clock: Clock, made_at: str
) -> WeatherIn:  # fmt: skip
    """Four days that are all like the one told. Each three of: morning, noon, night. Raises InputError naming the field."""
    for name, row in (("air_c", air_c), ("humid_share", humid_share), ("wind_ms", wind_ms)):
        if len(row) != 3:
            raise InputError("Three numbers: morning, noon, night.", name)
    clock_h = np.array([MORNING_H - 24 + 16, MORNING_H, NOON_H, NIGHT_H, MORNING_H + 24])
    at = np.arange(0, 24)

    def over(row: Sequence[float]) -> list[float]:
        # the night's number stands from ten in the evening on and meets the morning's at six
        points = np.array([row[2], row[0], row[1], row[2], row[0]])
        return [float(one) for one in np.interp(at, clock_h, points)]

    air, humid, wind = over(air_c), over(humid_share), over(wind_ms)
    rows = []
    for hour in range(-6, DAYS * 24):
        when = clock.at(float(hour))
        of = when.hour
        rows.append(
            WeatherHour(
                at=(when - timedelta(minutes=when.minute)).isoformat(timespec="minutes"), air_c=round(air[of], 2), humid_share=round(humid[of], 3),
                wind_ms=round(wind[of], 2), cloud_okta=cloud_okta,
            )
        )  # fmt: skip
    return WeatherIn(source="typed", name="Ten numbers", made_at=made_at, height_m=SLAB_M, hours=rows)
