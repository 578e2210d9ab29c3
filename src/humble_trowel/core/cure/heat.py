"""How warm each zone is and how fast it gains strength, hour by hour for four weeks, by the heat model: a week solved, then as the air.

Of each zone the load that came last counts: it is the youngest. Hours on the clock of the pour's day.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime

import numpy as np

from humble_trowel.core.day.casts import DEEP_C, Cast, Lies, casts_of, concrete_of, poured_of
from humble_trowel.core.day.day import zones_of
from humble_trowel.core.day.skies import cooler_c, dry_share, skies_of
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.heat.columns import Fineness
from humble_trowel.core.heat.hydration import Paste, rate
from humble_trowel.core.heat.slab import Array, Cover, Sky, Traces
from humble_trowel.core.heat.solve import warmed_all
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour_sim.told import DeliveryTold
from humble_trowel.core.weather.hours import HourRow, clock_of, forecast_of, mean_before
from humble_trowel.core.weather.records import WeatherIn
from humble_trowel.core.weather.shade import sun_day

SOLVED_H, DAYS = 168.0, 28
FINE = Fineness(18, 4, 4.0, 20.0, 24.0)
USUAL_H = 48.0


@dataclass(frozen=True)
class Blanketed:
    """A zone under a blanket, from one hour on the clock to another."""

    r_m2_k_w: float
    from_h: float
    until_h: float = math.inf


@dataclass(frozen=True)
class ZoneHeat:
    """A zone. hours_h: whole steps from its placing on; temp_c: of its mean; least_c: of its coldest node; gains: equivalent hours at 21.1 C of its
    youngest node in each step at its likely pace. begin_eq_h: what it had as it was placed. batch_h: of its load. paste: what binds."""

    zone: str
    name: str
    at: int
    truck: int
    batch_h: float
    hours_h: Array
    temp_c: Array
    least_c: Array
    gains_h: Array
    begin_eq_h: float
    paste: Paste
    at_28_mpa: float
    slow_days: float
    pace_ratio: float
    area_m2: float


@dataclass(frozen=True)
class Given:
    """What the heat is worked out of. paces: (zone, truck) to how fast it sets against its model. blankets: by zone."""

    plan: Plan
    ways: JobWays
    solid: Solid
    pour: DeliveryTold
    weather: Sequence[WeatherIn]
    paces: Mapping[tuple[str, int], float]
    blankets: Mapping[str, Blanketed]


@dataclass(frozen=True)
class Warmth:
    """All zones, in their order; hours: of the weather, from the pour on; start_h: when the first truck should stand there."""

    zones: list[ZoneHeat]
    hours: list[HourRow]
    start_h: float


def warmth_of(given: Given) -> Warmth | None:
    """None without weather or concrete. plan.order.pour_at must be said."""
    plan, ways = given.plan, given.ways
    assert plan.order.pour_at is not None
    clock = clock_of(plan.site, plan.order.pour_at)
    forecast = forecast_of(given.weather, clock, plan.day.open_ground)
    last = _last_of_each(casts_of(plan, given.solid, given.pour))
    if not forecast.rows or not last:
        return None
    start_h = clock.hour_of(datetime.fromisoformat(plan.order.pour_at))
    sun = sun_day(plan, clock, zones_of(given.solid))
    skies = skies_of(plan, ways.day, clock, forecast, sun, len(given.solid.cells), plan.day.helps)
    concrete = concrete_of(plan, ways, cooler_c(plan.day.helps, ways.day))
    deep = DEEP_C if plan.day.deep_c is None else plan.day.deep_c
    lies = Lies(skies, mean_before(forecast, start_h), deep, start_h, dry_share(plan.day.helps, ways.day))
    ratios = [given.paces.get((one.zone, one.truck), ways.day.set_ratio) for one in last]
    slabs = [poured_of(plan, one, concrete, lies, ratio) for one, ratio in zip(last, ratios, strict=True)]
    slabs = [
        replace(slab, cover=_cover(given.blankets.get(one.zone), slab.clock_h - slab.placed_h, slab.cover))
        for one, slab in zip(last, slabs, strict=True)
    ]
    traces = warmed_all(slabs, SOLVED_H, FINE)
    rows = []
    for cast, slab, trace, ratio in zip(last, slabs, traces, ratios, strict=True):
        batch_h = slab.clock_h - slab.placed_h
        hours, temp, least, gains, begin = _four_weeks(
            trace, batch_h, slab.sky, slab.paste, ratio, forecast.rows[-1].hour_h
        )
        rows.append(ZoneHeat(cast.zone, cast.name, cast.at, cast.truck, batch_h, hours, temp, least, gains, begin, slab.paste, slab.at_28_mpa, slab.slow_days, ratio, given.solid.cells[cast.at].area_m2))  # fmt: skip
    inside = [row for row in forecast.rows if row.hour_h >= start_h - 1]
    return Warmth(sorted(rows, key=lambda one: one.at), inside, start_h)


def _last_of_each(casts: Sequence[Cast]) -> list[Cast]:
    found: dict[str, Cast] = {}
    for one in casts:
        if one.zone not in found or one.to_min >= found[one.zone].to_min:
            found[one.zone] = one
    return list(found.values())


def _cover(laid: Blanketed | None, batch_h: float, planned: Cover | None) -> Cover | None:
    """As it was laid; else as it is planned."""
    return planned if laid is None else Cover(laid.r_m2_k_w, laid.from_h - batch_h, laid.until_h - batch_h)


def _four_weeks(
    trace: Traces, batch_h: float, sky: Sky, paste: Paste, ratio: float, known_h: float
) -> tuple[Array, Array, Array, Array, float]:  # fmt: skip
    """(hours on the clock, mean temperature, coldest node, equivalent hours gained in the hour before each, what it began with)."""
    placed = float(trace.age_h[0])
    solved = np.arange(placed, float(trace.age_h[-1]) - 1e-6, 1.0)
    age = np.interp(solved, trace.age_h, trace.least_eq_h)
    later = np.arange(solved[-1] + 1.0, placed + DAYS * 24 + 0.5, 1.0)
    air = _air(sky, later + batch_h, known_h)
    temp = np.concatenate([np.interp(solved, trace.age_h, trace.mean_c), air])
    least = np.concatenate([np.interp(solved, trace.age_h, trace.least_c), air])
    gains = np.concatenate([[0.0], np.diff(age), [rate(paste, float(one)) * ratio for one in air]])
    return np.concatenate([solved, later]) + batch_h, temp, least, gains, float(age[0])


def _air(sky: Sky, hours: Array, known_h: float) -> Array:
    """The mean of a day about each hour; beyond what is known as the last two days were."""
    begin = float(sky.clock_h[0])
    grid = np.arange(begin, known_h + 1e-6, 1.0)
    if not len(grid):
        return np.full(len(hours), float(sky.temp_c[-1]))
    air = np.interp(grid, sky.clock_h, sky.temp_c)
    usual = float(air[grid >= known_h - USUAL_H].mean())
    sums = np.concatenate([[0.0], np.cumsum(air)])
    low = np.clip(np.searchsorted(grid, hours - 12), 0, len(grid))
    high = np.clip(np.searchsorted(grid, hours + 12), 0, len(grid))
    count = np.maximum(high - low, 1)
    return np.where((hours <= known_h) & (high > low), (sums[high] - sums[low]) / count, usual)
