"""When it has to be wetted: water that a round leaves, dried off hour by hour; who has each round, which are done and which were missed.

Hours on the clock, kg/m2.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.cure.heat import Warmth
from humble_trowel.core.cure.records import WetRound
from humble_trowel.core.day.drying import FORMULAS, KMH, formula_at
from humble_trowel.core.plan.cure_ways import CureWays
from humble_trowel.core.plan.day_ways import Formula
from humble_trowel.core.weather.hours import Clock

LATE_H = 0.75
LOOK_H = 24.0  # under sheets it is looked at once a day
LEAST_H = 0.5


@dataclass(frozen=True)
class Drying:
    """How fast the worst zone would dry if it lay bare and wet."""

    hour_h: float
    kg_m2_h: float
    usual: bool


@dataclass(frozen=True)
class Round:
    """A round. key: its day and its number. state: done, due, missed or open. dries_kg_m2_h: at its worst until the next. night: the next one comes only
    after the water is gone."""

    key: str
    at_h: float
    to: str
    state: str
    done_h: float | None
    by: str
    record: str
    dries_kg_m2_h: float
    night: bool


def drying_of(warmth: Warmth, formula: Formula) -> list[Drying]:
    """Every hour of weather from the pour on."""
    rows = []
    for row in warmth.hours:
        worst = 0.0
        for zone in warmth.zones:
            if not zone.hours_h[0] <= row.hour_h <= zone.hours_h[-1]:
                continue
            temp = float(np.interp(row.hour_h, zone.hours_h, zone.temp_c))
            worst = max(
                worst, FORMULAS[formula_at(row.air_c, formula)](row.air_c, row.humid_share, temp, row.wind_ms * KMH)
            )
        rows.append(Drying(row.hour_h, worst, row.usual))
    return rows


def rounds_of(
    clock: Clock, ways: CureWays, cover: str, drying: Sequence[Drying], from_h: float, now_h: float, said: Sequence[tuple[str, WetRound]]
) -> list[Round]:  # fmt: skip
    """Every round from the first on, as far as the weather is known. cover: what lies on it; nothing needs water under a blanket or compound."""
    until = min(from_h + ways.days * 24, drying[-1].hour_h if drying else from_h)
    times = (
        _by_water(clock, ways, drying, from_h, until)
        if cover == "wet"
        else _looks(clock, ways, from_h, until)
        if cover == "sheets"
        else []
    )
    words: dict[str, list[tuple[str, WetRound]]] = {}
    for record, one in sorted(said, key=lambda row: row[0]):
        words.setdefault(one.round, []).append((record, one))
    count: dict[str, int] = {}
    rows = []
    for hour, night in times:
        day = f"{clock.at(hour + 1 / 7200):%Y-%m-%d}"
        count[day] = count.get(day, 0) + 1
        key = f"{day}/{count[day]}"
        rows.append(_round(clock, key, hour, night, words.get(key, []), now_h, _worst(drying, hour)))
    return rows


def _by_water(
    clock: Clock, ways: CureWays, drying: Sequence[Drying], from_h: float, until_h: float
) -> list[tuple[float, bool]]:
    """(hour, whether the water is gone before the next): by what dries off; nobody comes at night, so the last of a day is at its end."""
    if not drying:
        return []
    hours, rates = np.array([one.hour_h for one in drying]), np.array([one.kg_m2_h for one in drying])
    grid = np.arange(from_h, until_h, 0.25)
    gone = np.maximum(0.0, np.interp(grid, hours, rates)) * 0.25
    rows: list[tuple[float, bool]] = []
    left, last = 0.0, -math.inf
    for hour, dried in zip(grid, gone, strict=True):
        wall = clock.wall_h(float(hour))
        here = ways.round_from_h <= wall <= ways.round_until_h
        left -= dried
        evening = here and wall > ways.round_until_h - 0.25 - 1e-9
        if here and (left <= 0 or evening) and hour - last >= LEAST_H:
            if rows and left < -ways.film_kg_m2:
                rows[-1] = (rows[-1][0], True)
            rows.append((float(hour), False))
            left, last = ways.film_kg_m2, float(hour)
    return rows


def _looks(clock: Clock, ways: CureWays, from_h: float, until_h: float) -> list[tuple[float, bool]]:
    first = from_h
    while not ways.round_from_h <= clock.wall_h(first) <= ways.round_until_h:
        first += 0.25
    return [(float(hour), False) for hour in np.arange(first, until_h, LOOK_H)]


def _worst(drying: Sequence[Drying], hour: float) -> float:
    return max((one.kg_m2_h for one in drying if hour <= one.hour_h <= hour + 4), default=0.0)


def _round(
    clock: Clock, key: str, hour: float, night: bool, words: Sequence[tuple[str, WetRound]], now_h: float, worst: float
) -> Round:  # fmt: skip
    done = next(((record, one) for record, one in reversed(words) if one.at), None)
    to = next((one.to for _, one in reversed(words) if one.to), "")
    if done is not None:
        return Round(key, hour, to, "done", clock.hour_at(done[1].at or ""), done[1].by, done[0], worst, night)
    state = "missed" if hour < now_h - LATE_H else "due" if hour <= now_h + 0.25 else "open"
    record = words[-1][0] if words else ""
    return Round(key, hour, to, state, None, "", record, worst, night)


def named(rounds: Sequence[Round]) -> Mapping[str, Round]:
    """By their key."""
    return {one.key: one for one in rounds}
