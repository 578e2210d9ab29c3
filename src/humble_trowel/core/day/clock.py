"""The set clock: for every load in every zone when it may be floated, is set, may be sawn, is safe from frost, walked on, stripped, built on
and loaded, each from the earliest to the latest of four days in five. Hours of the pour's day on the clock.

Every cast is solved three times in one go: at its likely pace, and as fast and as slow as one day in ten. All three rest on the same forecast.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.day.casts import Cast, Concrete, Lies, poured_of
from humble_trowel.core.day.prints import Belief
from humble_trowel.core.heat.columns import FINE, Fineness, Pastes
from humble_trowel.core.heat.events import age_of, first_over, told
from humble_trowel.core.heat.slab import Array, Poured, Traces, Warmed
from humble_trowel.core.heat.solve import warmed_all
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.plan.document import Plan

HOURS_H = 72.0
LAST_DAY_H = 24.0
MOST_DAYS = 60.0


@dataclass(frozen=True)
class HourSpan:
    """Hours on the clock: earliest, likely, latest."""

    low_h: float
    at_h: float
    high_h: float


@dataclass(frozen=True)
class ClockRow:
    """A load in a zone. from_h, to_h: it is filled. Spans are None where nothing of the kind comes about. freezes: ice before it is strong, and
    then no strength counts; its latest is that of the likely pace, or the only one where only a slow set freezes. no_saw: a conventional saw
    would come too late. was_float_h: before any print. edge_final_h: of the deep edge beside it. pace_ratio, sd_share: its pace."""

    zone: str
    name: str
    truck: int
    from_h: float
    to_h: float
    float_at: HourSpan | None
    initial: HourSpan | None
    final: HourSpan | None
    early_saw: HourSpan | None
    saw_from: HourSpan | None
    saw_until: HourSpan | None
    safe: HourSpan | None
    walk: HourSpan | None
    strip: HourSpan | None
    build: HourSpan | None
    load: HourSpan | None
    freezes: HourSpan | None
    may_freeze: bool
    no_saw: bool
    was_float_h: float | None
    edge_final_h: float | None
    peak_c: float
    least_c: float
    pace_ratio: float
    sd_share: float
    below_final_h: float | None


@dataclass(frozen=True)
class Solved:
    """A cast at three paces: fast, likely, slow; slabs, traces and events."""

    cast: Cast
    poured: list[Poured]
    traces: list[Traces]
    events: list[Warmed]


def solve(
    plan: Plan, casts: Sequence[Cast], concrete: Concrete, lies: Lies, belief: Belief, edges_m: Mapping[int, float], fine: Fineness = FINE
) -> tuple[list[Solved], list[float | None]]:  # fmt: skip
    """(every cast at three paces, the final set of the deep edge beside each, hours after batching, None where there is none)."""
    slabs: list[Poured] = []
    for cast in casts:
        pace = belief.pace(cast.zone, cast.truck)
        slabs += [poured_of(plan, cast, concrete, lies, ratio) for ratio in (pace.fast(), pace.pace_ratio, pace.slow())]
    deep = [at for at, cast in enumerate(casts) if cast.at in edges_m]
    slabs += [
        poured_of(
            plan,
            casts[at],
            concrete,
            lies,
            belief.pace(casts[at].zone, casts[at].truck).pace_ratio,
            edge_m=edges_m[casts[at].at],
        )
        for at in deep
    ]
    traces = warmed_all(slabs, HOURS_H, fine)
    events = [told(slab, trace) for slab, trace in zip(slabs, traces, strict=True)]
    three = [slice(at * 3, at * 3 + 3) for at in range(len(casts))]
    rows = [Solved(cast, slabs[own], traces[own], events[own]) for cast, own in zip(casts, three, strict=True)]
    finals: list[float | None] = [None] * len(casts)
    for i, at in enumerate(deep):
        finals[at] = events[len(casts) * 3 + i].final_h
    return rows, finals


def strong_h(poured: Poured, traces: Traces, mpa: float) -> float | None:
    """Hours after batching until its youngest node is so strong; beyond the solve it goes on as in its last day. None in two months."""
    age = age_of(poured, Pastes([poured]), mpa)
    inside = first_over(traces.age_h, traces.least_eq_h, age)
    if inside is not None or not np.isfinite(age):
        return inside
    last = float(traces.age_h[-1])
    before = float(np.interp(last - LAST_DAY_H, traces.age_h, traces.least_eq_h))
    rate = (float(traces.least_eq_h[-1]) - before) / LAST_DAY_H
    left = (age - float(traces.least_eq_h[-1])) / rate if rate > 1e-6 else np.inf
    return last + left if left < MOST_DAYS * 24 else None


def row_of(
    solved: Solved, lies: Lies, ways: DayWays, belief: Belief, edge_final_h: float | None, was_float_h: float | None
) -> ClockRow:
    """What the clock says of one cast."""
    cast, events = solved.cast, solved.events
    batch_h = lies.start_h + cast.batch_min / 60
    likely = events[1]
    froze = likely.freezes_h is not None

    def span(values: Sequence[float | None]) -> HourSpan | None:
        fast, mid, slow = values
        if mid is None:
            return None
        low = mid if fast is None else min(fast, mid)
        return HourSpan(batch_h + low, batch_h + mid, batch_h + (mid if slow is None else max(slow, mid)))

    def event(name: str, *, strength: bool = False) -> HourSpan | None:
        rows = [getattr(one, name) for one in events]
        if strength and froze:
            return None
        ice = likely.freezes_h
        return None if ice is not None and rows[1] is not None and rows[1] > ice else span(rows)

    def strong(mpa: float) -> HourSpan | None:
        if froze:
            return None
        return span([strong_h(slab, trace, mpa) for slab, trace in zip(solved.poured, solved.traces, strict=True)])

    slow_ice = events[2].freezes_h
    ice = likely.freezes_h if froze else slow_ice
    freezes = (
        None
        if ice is None
        else HourSpan(batch_h + (slow_ice if slow_ice is not None else ice), batch_h + ice, batch_h + ice)
    )
    pace = belief.pace(cast.zone, cast.truck)
    full_mpa = solved.poured[1].at_28_mpa
    return ClockRow(
        zone=cast.zone, name=cast.name, truck=cast.truck, from_h=lies.start_h + cast.from_min / 60, to_h=lies.start_h + cast.to_min / 60,
        float_at=event("float_h"), initial=event("initial_h"), final=event("final_h"), early_saw=event("early_saw_h"),
        saw_from=event("saw_from_h", strength=True), saw_until=event("saw_until_h"), safe=event("safe_h", strength=True),
        walk=strong(ways.walk_mpa), strip=strong(ways.strip_mpa), build=strong(ways.build_mpa), load=strong(ways.load_share * full_mpa),
        freezes=freezes, may_freeze=not froze and slow_ice is not None, no_saw=likely.no_saw,
        was_float_h=None if was_float_h is None else batch_h + was_float_h,
        edge_final_h=None if edge_final_h is None else batch_h + edge_final_h, peak_c=likely.peak_c, least_c=likely.least_c,
        pace_ratio=pace.pace_ratio, sd_share=pace.sd_share, below_final_h=None if likely.initial_below_h is None else batch_h + likely.initial_below_h,
    )  # fmt: skip


def inch_at(solved: Solved, hour_after_batch: float) -> float:
    """Equivalent hours of its top inch at the likely pace."""
    trace = solved.traces[1]
    return float(np.interp(hour_after_batch, trace.age_h, trace.inch_eq_h))


def print_eq_h(poured: Poured) -> float:
    """Equivalent hours at which a heel leaves a quarter of an inch."""
    return float(Pastes([poured]).print[0])


def surface_at(solved: Solved, lies: Lies, hours: Array) -> Array:
    """C of its top at hours on the clock; before it is placed, as it is placed."""
    trace, batch_h = solved.traces[1], lies.start_h + solved.cast.batch_min / 60
    return np.asarray(np.interp(hours - batch_h, trace.age_h, trace.top_c))
