"""How warm the air is while it is poured: as it is said, else as the weather that was brought in has it."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import HourRow, clock_of, forecast_of
from humble_trowel.core.weather.records import WeatherIn

POUR_H = 4.0  # a truck on its way and a floor being filled


def pour_hours(plan: Plan, weather: Sequence[WeatherIn]) -> list[HourRow]:
    """The hours in which it is poured, as far as they are known; empty without a day, weather or a time zone that exists."""
    if plan.order.pour_at is None or not weather:
        return []
    try:
        clock = clock_of(plan.site, plan.order.pour_at)
    except InputError:
        return []  # a finding says so
    start_h = clock.hour_at(plan.order.pour_at)
    return forecast_of(weather, clock, plan.day.open_ground).told(start_h, start_h + POUR_H)


def plan_in_air(plan: Plan, hours: Sequence[HourRow]) -> Plan:
    """The plan with the air of its pour, C, where nobody typed one."""
    if plan.mix.air_c is not None or not hours:
        return plan
    air_c = round(sum(row.air_c for row in hours) / len(hours), 1)
    return plan.model_copy(update={"mix": plan.mix.model_copy(update={"air_c": air_c})})
