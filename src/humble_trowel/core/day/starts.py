"""When to start: every half hour of the days ahead, tried against every rule; what each help would buy. Hours on the clock of the pour's day.

Each start is solved on a coarse grid, for the first and the last load of every zone.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import timedelta

import numpy as np

from humble_trowel.core.day.casts import Cast, Concrete, Lies, poured_of
from humble_trowel.core.day.clock import Solved
from humble_trowel.core.day.drying import Limit, drying_of
from humble_trowel.core.day.prints import Belief
from humble_trowel.core.heat.columns import QUICK
from humble_trowel.core.heat.events import told
from humble_trowel.core.heat.solve import warmed_all
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.weather.hours import Clock, Forecast
from humble_trowel.core.weather.shade import SunDay

STEP_H = 0.5
LATER_H = 4.0  # so much of the weather must be known after the last load
WARM_HOURS_H, COLD_HOURS_H = 30.0, 72.0
COLD_C = 5.0
WET_MM = 0.2
HOTTEST_C = 35.0
RULES = ("known", "ground", "heat", "trucks", "drying", "order", "dark", "rain", "frost", "crew")


@dataclass(frozen=True)
class WhyNot:
    """A rule that a start breaks. words: of that start; short: a few words for all starts that break it so."""

    rule: str
    words: str
    short: str


@dataclass(frozen=True)
class Start:
    """A start. usual: it rests on what the time of year usually does, no forecast. worst_kg_m2_h: of any zone while fresh. done_h: the last final set."""

    at_h: float
    passes: bool
    why_not: list[WhyNot]
    usual: bool
    worst_kg_m2_h: float
    done_h: float


@dataclass(frozen=True)
class Given:
    """All that starts are tried with. sunset_h: of the pour's day, None without a place. loads: batch minutes of all trucks."""

    plan: Plan
    ways: DayWays
    day_h: float
    clock: Clock
    forecast: Forecast
    casts: Sequence[Cast]
    concrete: Concrete
    lies: Lies
    belief: Belief
    limit: Limit
    sunset_h: float | None
    batches_min: Sequence[float]
    sun: SunDay | None = None


def times_of(given: Given) -> list[float]:
    """Half hours of every day that the weather covers, in the hours in which a truck may stand there."""
    first, last = given.forecast.rows[0].hour_h, given.forecast.rows[-1].hour_h
    begin, end = given.ways.earliest_h, max(given.ways.earliest_h, given.ways.plant_shuts_h - 1)
    longest = max((cast.to_min for cast in given.casts), default=0.0) / 60
    rows = []
    for day in range(math.floor(first / 24), math.ceil(last / 24) + 1):
        midnight = given.clock.midnight + timedelta(days=day)
        for at in range(round((end - begin) / STEP_H) + 1):
            wall = midnight + timedelta(hours=begin + at * STEP_H)
            rows.append(given.clock.hour_of(wall.replace(tzinfo=None)))
    return [hour for hour in rows if first <= hour and hour + longest + LATER_H <= last]


def tried(given: Given, hours: Sequence[float]) -> list[Start]:
    """Every start, in the order given."""
    ends = _ends(given.casts)
    if not ends or not hours:
        return []
    lies = [Lies(given.lies.skies, given.lies.base_c, given.lies.deep_c, hour, given.lies.dry_share) for hour in hours]
    paces = [given.belief.pace(cast.zone, cast.truck).pace_ratio for cast in ends]
    slabs = [
        poured_of(given.plan, cast, given.concrete, lie, ratio)
        for lie in lies
        for cast, ratio in zip(ends, paces, strict=True)
    ]
    cold = float(np.min(given.forecast.column("air_c"))) < COLD_C
    traces = warmed_all(slabs, COLD_HOURS_H if cold else WARM_HOURS_H, QUICK)
    rows = []
    for at, lie in enumerate(lies):
        own = slice(at * len(ends), (at + 1) * len(ends))
        solved = [
            Solved(cast, [slab] * 3, [trace] * 3, [told(slab, trace)] * 3)
            for cast, slab, trace in zip(ends, slabs[own], traces[own], strict=True)
        ]
        rows.append(_judged(given, lie, solved))
    return rows


def _ends(casts: Sequence[Cast]) -> list[Cast]:
    """The first and the last load of every zone, in the order in which they are placed."""
    kept: dict[tuple[int, int], Cast] = {}
    for zone in dict.fromkeys(cast.at for cast in casts):
        own = [cast for cast in casts if cast.at == zone]
        for cast in (own[0], own[-1]):
            kept[cast.at, cast.truck] = cast
    return sorted(kept.values(), key=lambda cast: (cast.from_min, cast.to_min))


def _judged(given: Given, lie: Lies, solved: Sequence[Solved]) -> Start:
    start, clock, ways = lie.start_h, given.clock, given.ways
    dry = drying_of(solved, lie, ways.dries_by, given.limit, start, start)
    batch = [start + one.cast.batch_min / 60 for one in solved]
    finals = [at + (one.events[1].final_h or math.inf) for at, one in zip(batch, solved, strict=True)]
    done = max(finals)
    until = done if math.isfinite(done) else start + WARM_HOURS_H
    why = [
        *_known(given, start, until), *_ground(given), *_trucks(given, start), *_heat(given),
        *(WhyNot("drying", f"{row.name} dries too fast from {clock.text(row.spans_h[0][0])}.", f"{row.name} dries first") for row in dry if row.spans_h),
        *_order(given, solved, batch), *_light(given, until), *_rain(given, start, until), *_frost(given, solved, batch), *_crew(given, start, until),
    ]  # fmt: skip
    usual = any(row.usual for row in given.forecast.told(start, until))
    worst = max((row.worst_kg_m2_h for row in dry), default=0.0)
    return Start(start, not why, sorted(why, key=lambda one: RULES.index(one.rule)), usual, worst, until)


def _known(given: Given, start: float, until: float) -> list[WhyNot]:
    if given.forecast.reaches(start, until):
        return []
    return [
        WhyNot("known", f"No weather is known up to {given.clock.text(until)}, when it has set.", "no weather known")
    ]


def _ground(given: Given) -> list[WhyNot]:
    return (
        [WhyNot("ground", "The ground is frozen. Never place on it.", "frozen ground")]
        if given.lies.base_c <= 0
        else []
    )


def _trucks(given: Given, start: float) -> list[WhyNot]:
    ways, clock = given.ways, given.clock
    first, last = start + min(given.batches_min) / 60, start + max(given.batches_min) / 60
    opens, shuts = (f"{int(hour)}:{round(hour % 1 * 60):02d}" for hour in (ways.plant_opens_h, ways.plant_shuts_h))
    if clock.wall_h(first) < ways.plant_opens_h - 1e-6:
        words = f"The first load is batched {clock.text(first)}; the plant opens {opens}."
        return [WhyNot("trucks", words, "the plant is shut")]
    if clock.wall_h(last) > ways.plant_shuts_h + 1e-6:
        words = f"The last load is batched {clock.text(last)}; the plant shuts {shuts}."
        return [WhyNot("trucks", words, "the plant shuts")]
    return []


def _heat(given: Given) -> list[WhyNot]:
    warm = given.concrete.placed_c
    return (
        [
            WhyNot(
                "heat",
                f"Concrete comes at {warm:.0f} °C; over {HOTTEST_C:.0f} °C it is sent back, ACI 305.1.",
                "concrete too warm",
            )
        ]
        if warm > HOTTEST_C
        else []
    )


def _order(given: Given, solved: Sequence[Solved], batch: Sequence[float]) -> list[WhyNot]:
    """Whoever floats in pour order must not find a later part harder than an earlier one."""
    floats = [at + (one.events[1].float_h or math.inf) for at, one in zip(batch, solved, strict=True)]
    for at, one in enumerate(solved):
        for later in range(at + 1, len(solved)):
            early_min = (floats[at] - floats[later]) * 60
            if math.isfinite(early_min) and early_min > given.ways.pour_order_min:
                other = solved[later].cast.name
                words = f"{other} may be floated {early_min:.0f} min before {one.cast.name}, which is poured sooner."
                return [WhyNot("order", words, f"{other} sets before {one.cast.name}")]
    return []


def _light(given: Given, until: float) -> list[WhyNot]:
    if given.sunset_h is None or given.plan.day.lights:
        return []
    dusk = given.sunset_h + math.floor((until - 4) / 24) * 24
    if until <= dusk:
        return []
    return [
        WhyNot(
            "dark",
            f"The last of it sets {given.clock.text(until)}; the sun sets {given.clock.text(dusk)}, and no lights are said.",
            "dark before it is set",
        )
    ]


def _rain(given: Given, start: float, until: float) -> list[WhyNot]:
    wet = next((row for row in given.forecast.told(start, until) if row.rain_mm >= WET_MM), None)
    if wet is None:
        return []
    return [
        WhyNot(
            "rain",
            f"Rain at {given.clock.text(wet.hour_h)}, {wet.rain_mm:.1f} mm in the hour, before it has set.",
            "rain before it is set",
        )
    ]


def _frost(given: Given, solved: Sequence[Solved], batch: Sequence[float]) -> list[WhyNot]:
    for at, one in zip(batch, solved, strict=True):
        ice = one.events[1].freezes_h
        if ice is not None:
            return [
                WhyNot(
                    "frost",
                    f"{one.cast.name} freezes at {given.clock.text(at + ice)}, before it is strong.",
                    f"{one.cast.name} freezes",
                )
            ]
    return []


def _crew(given: Given, start: float, until: float) -> list[WhyNot]:
    hours = until - start
    if hours <= given.day_h:
        return []
    return [
        WhyNot(
            "crew",
            f"It is set {hours:.1f} h after the first truck; the crew's day has {given.day_h:.0f}.",
            "longer than the crew's day",
        )
    ]


def best(starts: Sequence[Start], booked_h: float) -> Start | None:
    """Of the starts that pass on the booked day the one nearest to the booked; else the first that passes after that day, else the last before."""
    day = math.floor(booked_h / 24)
    passing = [one for one in starts if one.passes]
    own = [one for one in passing if math.floor(one.at_h / 24) == day]
    if own:
        return min(own, key=lambda one: (abs(one.at_h - booked_h), one.at_h))
    after = [one for one in passing if math.floor(one.at_h / 24) > day]
    return after[0] if after else passing[-1] if passing else None


def until(starts: Sequence[Start], from_h: float) -> float:
    """The last start of those that pass one after the other from a start on."""
    last = from_h
    for one in starts:
        if one.passes and STEP_H / 2 < one.at_h - last <= STEP_H + 1e-6:
            last = one.at_h
    return last
