"""What is over each zone of a pour, hour by hour: the forecast, the sun that the zone gets, and what is done against drying."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from datetime import UTC

import numpy as np

from humble_trowel.core.heat.slab import Array, Sky
from humble_trowel.core.plan.day_parts import Help
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.daily import sky_w_m2
from humble_trowel.core.weather.drying import vapour_kpa
from humble_trowel.core.weather.hours import Clock, Forecast
from humble_trowel.core.weather.shade import SunDay
from humble_trowel.core.weather.sun import diffuse_w_m2, global_w_m2, sun_at

STEP_H = 0.25


def skies_of(
    plan: Plan, ways: DayWays, clock: Clock, forecast: Forecast, sun: SunDay | None, zones: int, helps: Collection[Help]
) -> list[Sky]:  # fmt: skip
    """A sky for each zone, every quarter of an hour over all hours that are known. Without a place no sun shines."""
    hours = np.arange(forecast.rows[0].hour_h, forecast.rows[-1].hour_h + STEP_H / 2, STEP_H)

    def known(name: str) -> Array:
        return np.asarray(np.interp(hours, forecast.hours, forecast.column(name)))

    air, humid, okta = known("air_c"), known("humid_share"), known("cloud_okta")
    wind = known("wind_ms") * (ways.windbreak_share if "windbreak" in helps else 1.0)
    sends = np.array([
        sky_w_m2(float(t), max(0.02, float(h)) * vapour_kpa(float(t)), float(n)) for t, h, n in zip(air, humid, okta, strict=True)
    ])  # fmt: skip
    if "fog" in helps:
        humid = np.maximum(humid, ways.fog_humid_share)
    whole, soft = _falls(plan, clock, hours, okta) if sun is not None else (np.zeros(len(hours)), np.zeros(len(hours)))
    return [
        Sky(
            hours,
            air,
            humid,
            wind,
            soft + (whole - soft) * (sun.shares_at(hours, at) if sun is not None else 0.0),
            sends,
        )
        for at in range(zones)
    ]


def _falls(plan: Plan, clock: Clock, hours: Array, okta: Array) -> tuple[Array, Array]:
    """(what falls on the open level, what of it the sky alone sends), W/m2."""
    site = plan.site
    assert site.latitude is not None and site.longitude is not None
    ups = [sun_at(site.latitude, site.longitude, clock.at(float(hour)).astimezone(UTC)).elevation_deg for hour in hours]
    rows = [(global_w_m2(up, float(n)), diffuse_w_m2(up, float(n))) for up, n in zip(ups, okta, strict=True)]
    return np.array([whole for whole, _ in rows]), np.array([soft for _, soft in rows])


def dry_share(helps: Collection[Help], ways: DayWays) -> float:
    """How much of the drying a film leaves."""
    return ways.film_share if "film" in helps else 1.0


def cooler_c(helps: Sequence[Help], ways: DayWays) -> float:
    """How much cooler it is mixed."""
    return ways.cooler_c if "cooler" in helps else 0.0
