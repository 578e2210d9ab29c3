"""How fast each zone dries through the day, against the limit of its mix, while its concrete is fresh. kg/m2/h; hours on the clock."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.day.casts import Lies
from humble_trowel.core.day.clock import Solved, surface_at
from humble_trowel.core.heat.slab import Array
from humble_trowel.core.plan.day_ways import Formula
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.weather.drying import LIMIT_KG_M2_H, LOW_BLEED_KG_M2_H, menzel_kg_m2_h, uno_kg_m2_h

STEP_H = 1 / 6
LOW_WATER = 0.40
KMH = 3.6
UNO_LEAST_C = -18.0
FORMULAS = {"menzel": menzel_kg_m2_h, "uno": uno_kg_m2_h}
FORMULA_WORDS = {"menzel": "Menzel 1954 (ACI 305R)", "uno": "Uno 1998"}


@dataclass(frozen=True)
class Limit:
    """At what rate it is too fast, and why there."""

    kg_m2_h: float
    why: str


def limit_of(mix: Mix) -> Limit:
    """By what is in the mix: those that bleed little have half."""
    low = [
        words
        for says, words in (
            (mix.ash_share, "ash"), (mix.slag_share, "slag"), (mix.fibre, "fibre"), (mix.water_share and mix.water_share <= LOW_WATER, "little water"),
        )
        if says
    ]  # fmt: skip
    if low:
        return Limit(
            LOW_BLEED_KG_M2_H, f"A mix with {' and '.join(low)} bleeds little: half the usual limit, ACI 305R."
        )
    return Limit(
        LIMIT_KG_M2_H,
        "The usual limit for a mix that bleeds, ACI 305R. Whether a lower one holds: the engineer, the supplier.",
    )


@dataclass(frozen=True)
class ZoneDrying:
    """A zone. fresh: from the first load to its last final set. rates: by ten minutes from its first hour; other: by the formula not chosen, at
    the worst moment. spans: when it is too fast, while it is fresh."""

    zone: str
    name: str
    fresh_h: tuple[float, float]
    hours_h: list[float]
    rates_kg_m2_h: list[float]
    concrete_c: list[float]
    worst_kg_m2_h: float
    worst_h: float
    other_kg_m2_h: float
    spans_h: list[tuple[float, float]]

    @property
    def too_fast_h(self) -> float:
        """For how long."""
        return sum(b - a for a, b in self.spans_h)


def formula_at(air_c: float, formula: Formula) -> Formula:
    """Uno's does not hold in hard frost."""
    return "menzel" if air_c < UNO_LEAST_C else formula


def drying_of(
    solved: Sequence[Solved], lies: Lies, formula: Formula, limit: Limit, from_h: float, until_h: float
) -> list[ZoneDrying]:
    """Each zone that is poured, in the order of its first load. from_h, until_h: what is drawn."""
    zones: dict[str, list[Solved]] = {}
    for one in solved:
        zones.setdefault(one.cast.zone, []).append(one)
    return [_zone(rows, lies, formula, limit, from_h, until_h) for rows in zones.values()]


def _fresh(rows: Sequence[Solved], lies: Lies) -> tuple[float, float]:
    begin = min(lies.start_h + one.cast.from_min / 60 for one in rows)
    ends = [
        lies.start_h + one.cast.batch_min / 60 + (one.events[1].final_h or float(one.traces[1].age_h[-1]))
        for one in rows
    ]
    return begin, max(ends)


def _zone(rows: list[Solved], lies: Lies, formula: Formula, limit: Limit, from_h: float, until_h: float) -> ZoneDrying:
    fresh = _fresh(rows, lies)
    hours = np.arange(min(from_h, np.floor(fresh[0])), max(until_h, np.ceil(fresh[1])) + STEP_H / 2, STEP_H)
    sky = lies.skies[rows[0].cast.at].at(hours)
    warm = _warm(rows, lies, hours)
    rates, others = _rates(sky.temp_c, sky.humid_share, warm, sky.wind_ms, formula, lies.dry_share)
    inside = (hours >= fresh[0]) & (hours <= fresh[1])
    worst = int(np.argmax(np.where(inside, rates, -np.inf)))
    return ZoneDrying(
        rows[0].cast.zone, rows[0].cast.name, fresh, [round(float(one), 4) for one in hours], [round(float(one), 4) for one in rates],
        [round(float(one), 2) for one in warm], float(rates[worst]), float(hours[worst]), float(others[worst]),
        spans_over(hours, rates, limit.kg_m2_h, *fresh),
    )  # fmt: skip


def _warm(rows: Sequence[Solved], lies: Lies, hours: Array) -> Array:
    """C of the warmest concrete that is still fresh at an hour; where none is, as it is placed."""
    placed = rows[0].poured[1].placed_c
    tops = []
    for one in rows:
        begin, end = _fresh([one], lies)
        tops.append(np.where((hours >= begin) & (hours <= end), surface_at(one, lies, hours), -np.inf))
    warm = np.max(tops, axis=0)
    return np.asarray(np.where(np.isfinite(warm), warm, placed))


def _rates(
    air: Array, humid: Array, warm: Array, wind_ms: Array, formula: Formula, share: float
) -> tuple[Array, Array]:
    own, other = np.zeros(len(air)), np.zeros(len(air))
    for at in range(len(air)):
        given = (float(air[at]), float(humid[at]), float(warm[at]), float(wind_ms[at]) * KMH)
        both = {name: work(*given) * share for name, work in FORMULAS.items()}
        used = formula_at(given[0], formula)
        own[at], other[at] = both[used], both["uno" if used == "menzel" else "menzel"]
    return own, other


def spans_over(hours: Array, rates: Array, limit: float, from_h: float, until_h: float) -> list[tuple[float, float]]:
    """When a rate is over a limit between two hours, straight between points."""
    at = np.unique(np.concatenate([hours[(hours > from_h) & (hours < until_h)], [from_h, until_h]]))
    over = np.interp(at, hours, rates) - limit
    spans: list[tuple[float, float]] = []
    for k in range(len(at) - 1):
        a, b = float(over[k]), float(over[k + 1])
        if a <= 0 and b <= 0:
            continue
        cross = float(at[k] + (at[k + 1] - at[k]) * (a / (a - b))) if a * b < 0 else 0.0
        begin, end = (
            (cross if a <= 0 and a * b < 0 else float(at[k])),
            (cross if b <= 0 and a * b < 0 else float(at[k + 1])),
        )
        if spans and abs(spans[-1][1] - begin) < 1e-9:
            spans[-1] = (spans[-1][0], end)
        else:
            spans.append((begin, end))
    return spans
