"""A pour as events: each truck is batched in its turn, drives, waits for a place and for the crew, unloads, clears and drives back."""

from __future__ import annotations

from collections.abc import Generator
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Any

import simpy

from humble_trowel.core.pour_sim.pour import (
    Crew,
    Loads,
    Meeting,
    Pour,
    Poured,
    Rates,
    SetsIn,
    Visit,
    load_at,
    minute_at,
    order_min,
)

Steps = Generator[simpy.Event, Any, None]


@dataclass(frozen=True)
class Luck:
    """How a day differs from the plan, load by load. travel_min: on the road; pace: of unloading, 1 as planned."""

    travel_min: tuple[float, ...]
    pace: tuple[float, ...]


class _Day:
    """One day at the slab."""

    def __init__(self, loads: Loads, m3_min: float, luck: Luck | None) -> None:
        self.loads, self.m3_min, self.luck = loads, m3_min, luck
        self.env = simpy.Environment(min(order_min(loads), default=0.0))
        self.places = simpy.Resource(self.env, max(1, loads.places))
        self.crews = simpy.Resource(self.env, max(1, loads.crews))
        self.back = [self.env.event() for _ in loads.load_m3]
        self.visits: list[Visit] = []

    def plant(self) -> Steps:
        """Batches loads in their order, one at a time, each into a truck that is back."""
        asked = order_min(self.loads)
        for load, at in enumerate(asked):
            if load >= self.loads.fleet:
                yield self.back[load - max(1, self.loads.fleet)]
            yield self.env.timeout(max(0.0, at - self.env.now))
            batched = self.env.now
            yield self.env.timeout(self.loads.batch_min)
            self.env.process(self.trip(load, batched))

    def trip(self, load: int, batched: float) -> Steps:
        """A truck on its way, at the slab, and back."""
        plan, env = self.loads, self.env
        m3 = plan.load_m3[load]
        yield env.timeout(self.luck.travel_min[load] if self.luck else plan.travel_min)
        arrived = env.now
        with self.places.request() as place:
            yield place
            stood = env.now
            yield env.timeout(plan.position_min)
            with self.crews.request() as crew:
                yield crew
                started = env.now
                yield env.timeout(m3 / self.m3_min * (self.luck.pace[load] if self.luck else 1.0))
        ended = env.now
        yield env.timeout(plan.clear_min)
        self.visits.append(Visit(load, m3, batched, arrived, stood, started, ended, env.now))
        yield env.timeout(plan.back_min)
        self.back[load].succeed()


def simulate(pour: Pour, luck: Luck | None = None) -> Poured:
    """Play a pour. luck: how this day differs, None for the day as planned. Loads and rates are more than nothing."""
    day = _Day(pour.loads, pour.crew.m3_min, luck)
    day.env.process(day.plant())
    day.env.run()
    visits = sorted(day.visits, key=lambda one: (one.unload_min, one.load))
    visits = _finished(_screeded(visits, pour.crew), pour.crew, pour.sets)
    return _told(visits, pour)


def _screeded(visits: list[Visit], crew: Crew) -> list[Visit]:
    """The board follows each load as it is placed, one after another."""
    rows: list[Visit] = []
    before = 0.0
    for one in visits:
        takes = one.m3 * crew.m2_m3 / crew.screed_m2_min
        start = max(one.unload_min, before, one.end_min - takes)
        before = max(start + takes, one.end_min)
        rows.append(replace(one, screed_end_min=before))
    return rows


def _finished(visits: list[Visit], crew: Crew, sets: SetsIn) -> list[Visit]:
    """Floats take what carries them, in order, whoever is free first; what is not done by its final set is late."""
    free = [0.0] * max(1, crew.finishers)
    rows: list[Visit] = []
    for one in visits:
        area = one.m3 * crew.m2_m3
        at = min(range(len(free)), key=lambda row: free[row])
        start = max(one.batch_min + sets.footprint_min, one.screed_end_min, free[at])
        free[at] = start + area / crew.finish_m2_min
        over = (free[at] - (one.batch_min + sets.final_min)) * crew.finish_m2_min
        rows.append(replace(one, finish_end_min=free[at], late_m2=min(area, max(0.0, over))))
    return rows


def _meetings(visits: list[Visit], pour: Pour) -> list[Meeting]:
    """Each load with the one before it, then floor beside floor."""
    rows = [Meeting(a.load, b.load, b.unload_min - a.batch_min) for a, b in pairwise(visits)]
    in_order, loads = sorted(visits, key=lambda one: one.load), pour.loads.load_m3
    for begun, done in pour.beside_m3:
        older, newer = load_at(loads, begun, ends=False), load_at(loads, done, ends=True)
        at = minute_at(in_order, loads, done)
        if older is not None and newer is not None and at is not None:
            rows.append(Meeting(older, newer, at - in_order[older].batch_min, beside=True))
    return rows


def _told(visits: list[Visit], pour: Pour) -> Poured:
    idle = [
        (before.end_min, one.unload_min) for before, one in pairwise(visits) if one.unload_min > before.end_min + 1e-9
    ]
    charge = sum(_charge(one, pour.rates) for one in visits)
    found = Poured(
        visits, _meetings(visits, pour), pour.sets.joint_min, pour.sets.load_min,
        sum(to - since for since, to in idle), charge, 0.0, idle=idle,
    )  # fmt: skip
    return _costed(found, pour.rates)


def _charge(one: Visit, rates: Rates) -> float:
    return max(0.0, one.leave_min - one.arrive_min - rates.free_min_m3 * one.m3) * rates.wait_cents_min


def _costed(found: Poured, rates: Rates) -> Poured:
    """Hands from the first truck to the last tool, overtime, pump and waiting."""
    if not found.visits:
        return found
    hours = (found.left_min - found.first_min) / 60
    over = max(0.0, hours - rates.overtime_after_h)
    hands = rates.crew_cents_h * (hours - over + over * rates.overtime_ratio)
    struck = max(one.screed_end_min for one in found.visits)
    pumped = max(rates.pump_least_h, (struck - found.first_min) / 60 + rates.pump_after_h) * rates.pump_cents_h
    return replace(found, cost_cents=hands + pumped + found.charge_cents, pump_cents=pumped, crew_h=hours)
