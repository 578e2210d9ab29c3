"""The whole day of a pour: weather, sun, drying, the set clock, when to start. Hours on the clock of the pour's day."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime

import shapely
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.day.casts import DEEP_C, Cast, Concrete, Lies, casts_of, concrete_of
from humble_trowel.core.day.clock import ClockRow, Solved, inch_at, print_eq_h, row_of, solve
from humble_trowel.core.day.drying import Limit, ZoneDrying, drying_of, limit_of
from humble_trowel.core.day.helps import HelpTold, compared
from humble_trowel.core.day.prints import Belief, Pace, Print
from humble_trowel.core.day.skies import cooler_c, dry_share, skies_of
from humble_trowel.core.day.starts import Given, Start, best, times_of, tried
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.heat.columns import FINE, Fineness
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour_sim.told import DeliveryTold
from humble_trowel.core.progress import tick
from humble_trowel.core.weather.hours import Clock, HourRow, clock_of, forecast_of, mean_before
from humble_trowel.core.weather.records import Footprint, WeatherIn
from humble_trowel.core.weather.shade import SunDay, sun_day

BEFORE_H, AFTER_H = 24.0, 24.0
DEEPER_M = 0.02  # an edge counts as deep that goes so much under its slab


@dataclass(frozen=True)
class PrintTold:
    """A print as it counts. log_ratio: what it says of the pace."""

    record: str
    zone: str
    truck: int
    seen: str
    at_h: float
    log_ratio: float


@dataclass(frozen=True)
class DayFound:
    """All of it. sun: None without a place. clock: in the order of the pour. shared: what all concrete of the day has in common.
    placed_c, base_c: of concrete and ground. covered: the weather is known until everything has set."""

    start_h: float
    hours: list[HourRow]
    sun: SunDay | None
    limit: Limit
    drying: list[ZoneDrying]
    clock: list[ClockRow]
    starts: list[Start]
    best_h: float | None
    helps: list[HelpTold]
    prints: list[PrintTold]
    shared: Pace
    placed_c: float
    base_c: float
    covered: bool
    usual: bool


@dataclass(frozen=True)
class Asked:
    """What the day is worked out of. weather: as brought in, oldest first; prints: with the ids of their records."""

    plan: Plan
    ways: JobWays
    solid: Solid
    pour: DeliveryTold
    weather: Sequence[WeatherIn]
    prints: Sequence[tuple[str, Footprint]]


def zones_of(solid: Solid) -> list[BaseGeometry]:
    """Each zone on the plan, m."""
    return [shapely.transform(cell.region, lambda spots: spots / 1000) for cell in solid.cells]


def sunset_h(sun: SunDay | None) -> float | None:
    """When the sun sets on the pour's day; None where it does not, or without a place."""
    if sun is None:
        return None
    up = [one for one in sun.moments if one.elevation_deg > 0]
    return up[-1].hour_h if up and up[-1].hour_h < 24 else None


def given_of(asked: Asked) -> Given | None:
    """What starts are tried with; None without any weather. plan.order.pour_at must be said."""
    plan, ways = asked.plan, asked.ways
    assert plan.order.pour_at is not None
    clock = clock_of(plan.site, plan.order.pour_at)
    forecast = forecast_of(asked.weather, clock, plan.day.open_ground)
    casts = casts_of(plan, asked.solid, asked.pour)
    if not forecast.rows or not casts:
        return None
    start_h = clock.hour_of(datetime.fromisoformat(plan.order.pour_at))
    sun = sun_day(plan, clock, zones_of(asked.solid))
    concrete = concrete_of(plan, ways, cooler_c(plan.day.helps, ways.day))
    skies = skies_of(plan, ways.day, clock, forecast, sun, len(asked.solid.cells), plan.day.helps)
    deep_c = DEEP_C if plan.day.deep_c is None else plan.day.deep_c
    lies = Lies(skies, mean_before(forecast, start_h), deep_c, start_h, dry_share(plan.day.helps, ways.day))
    return Given(
        plan, ways.day, ways.pour.day_h, clock, forecast, casts, concrete, lies, Belief(casts, ways.day), limit_of(plan.mix), sunset_h(sun),
        [truck.batch_min for truck in asked.pour.trucks], sun,
    )  # fmt: skip


def day_of(asked: Asked, fine: Fineness = FINE) -> DayFound | None:
    """All of the day; None without any weather. plan.order.pour_at must be said."""
    given = given_of(asked)
    if given is None:
        return None
    ways, lies, clock, forecast, casts = asked.ways, given.lies, given.clock, given.forecast, given.casts
    start_h, sun = lies.start_h, given.sun
    solved, finals, before, prints = _solved(asked, clock, lies, casts, given.concrete, given.belief, fine)
    tick(0.5)
    day = math.floor(start_h / 24) * 24
    times = times_of(given)
    starts = tried(given, times)
    found = best(starts, start_h)
    rows = [
        row_of(one, lies, ways.day, given.belief, final, was if prints else None)
        for one, final, was in zip(solved, finals, before, strict=True)
    ]
    until = max((row.final.at_h for row in rows if row.final), default=start_h + 12)
    inside = forecast.told(start_h, until)
    tick(0.8)
    return DayFound(
        start_h=start_h, hours=forecast.told(day - BEFORE_H, day + 24 + AFTER_H), sun=sun, limit=given.limit,
        drying=drying_of(solved, lies, ways.day.dries_by, given.limit, day + 4, day + 22), clock=rows, starts=starts,
        best_h=None if found is None else found.at_h,
        helps=compared(given, ways, sun, len(asked.solid.cells), [hour for hour in times if day <= hour < day + 24]), prints=prints,
        shared=given.belief.shared, placed_c=given.concrete.placed_c, base_c=lies.base_c, covered=forecast.reaches(start_h, until),
        usual=any(row.usual for row in inside),
    )  # fmt: skip


def _solved(
    asked: Asked, clock: Clock, lies: Lies, casts: Sequence[Cast], concrete: Concrete, belief: Belief, fine: Fineness
) -> tuple[list[Solved], list[float | None], list[float | None], list[PrintTold]]:
    """(every cast, the set of its deep edge, when it was to be floated before any print, the prints); solved anew once prints are taken in."""
    edges = edges_of(asked.solid)
    solved, finals = solve(asked.plan, casts, concrete, lies, belief, edges, fine)
    before = [one.events[1].float_h for one in solved]
    prints = _learned(asked, clock, lies, belief, solved)
    if prints:
        solved, finals = solve(asked.plan, casts, concrete, lies, belief, edges, fine)
    return solved, finals, before, prints


def edges_of(solid: Solid) -> Mapping[int, float]:
    """How deep the deepest edge, beam or pad of each zone is, m, where it is deeper than the slab."""
    found: dict[int, float] = {}
    for at, cell in enumerate(solid.cells):
        own = [piece for piece in solid.pieces if piece.zone == cell.index]
        more = max((piece.excess.at(*spot) for piece in own for spot in piece.ring), default=0.0) / 1000
        if more > DEEPER_M:
            found[at] = cell.thickness_mm / 1000 + more
    return found


def _learned(asked: Asked, clock: Clock, lies: Lies, belief: Belief, solved: Sequence[Solved]) -> list[PrintTold]:
    """Every print taken in, in the order in which they were written down."""
    told = []
    for record, one in asked.prints:
        own = [
            row for row in solved if row.cast.zone == one.zone and (one.truck is None or row.cast.truck == one.truck)
        ]
        if not own:
            continue
        hour = clock.hour_of(datetime.fromisoformat(one.at))
        placed = [row for row in own if lies.start_h + row.cast.from_min / 60 < hour]
        if not placed:
            continue  # nothing lies there yet
        row = placed[0]
        after = hour - lies.start_h - row.cast.batch_min / 60
        base = math.log(asked.ways.day.set_ratio)
        ratio = base + math.log(print_eq_h(row.poured[1]) / max(0.01, inch_at(row, after)))
        belief.learn(Print(row.cast.zone, row.cast.truck, one.seen, ratio))
        told.append(PrintTold(record, row.cast.zone, row.cast.truck, one.seen, hour, ratio))
    return told
