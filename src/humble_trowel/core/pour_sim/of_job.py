"""The pour of a job: its loads, its crew's rates and its strips, played through. Minutes after the first truck should stand there."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import accumulate

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.heat.hydration import Paste, SetTimes, set_times
from humble_trowel.core.mix.balance import balance
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.pour_ways import PourWays
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour_sim.pour import Crew, Loads, Pour, Poured, Rates, SetsIn, minute_at

SHIFT_H = {"retarded": 2.0, "accelerated": -1.5}
USUAL_SHARE = 0.50
EASY_SPACING_MIN = 30.0
NOBODY_LATE: Mapping[int, float] = {}


@dataclass(frozen=True)
class Part:
    """A part of the floor that is filled in its turn, along its way. beside: parts that it meets along a side."""

    id: str
    name: str
    m3: float
    area_m2: float
    rings: list[list[XY]]
    at: XY
    way: XY = (1.0, 0.0)
    beside: tuple[str, ...] = ()


@dataclass(frozen=True)
class Filled:
    """When a part is begun and full, None where the order ends before."""

    part: Part
    start_min: float | None
    end_min: float | None
    steps: list[tuple[float, float]]
    """(minute, share of it that is in), straight between them."""


def paste_of(mix: Mix) -> Paste:
    """What binds, as far as the job says it; else as common mixes have it."""
    return Paste(
        mix.water_share or USUAL_SHARE,
        mix.ash_share or 0.0,
        0.08 if mix.ash_share else 0.0,
        mix.slag_share or 0.0,
        SHIFT_H.get(mix.setting or "", 0.0),
    )


def sets_of(plan: Plan, ways: PourWays) -> SetTimes:
    """When it sets at the temperature at which it is placed."""
    return set_times(paste_of(plan.mix), placed_c(plan, ways))


def placed_c(plan: Plan, ways: PourWays) -> float:
    """How warm concrete is as it is placed: as it is wanted, else as its heat balances where the air is known, else as it usually is."""
    mix = plan.mix
    if mix.wanted_c is not None:
        return mix.wanted_c
    if mix.air_c is None:
        return ways.temp_c
    road = ways.travel_min if plan.order.travel_min is None else plan.order.travel_min
    return balance(mix, 100.0, road / 60).here_c


def brings_m3_h(plan: Plan, ways: PourWays) -> float:
    """What the method brings in an hour."""
    rates = {
        "chute": ways.chute_m3_h, "pump": ways.pump_m3_h, "barrows": ways.barrow_m3_h, "conveyor": ways.conveyor_m3_h,
    }  # fmt: skip
    return rates[plan.order.method or "chute"]


def pour_of(
    plan: Plan, ways: JobWays, loads_m3: Sequence[float], parts: Sequence[Part], spacing_min: float, late_min: Mapping[int, float] = NOBODY_LATE
) -> Pour:  # fmt: skip
    """The pour with its spacing. loads_m3: as ordered; parts: in the order in which they are filled; late_min: by the number of a load."""
    own, order = ways.pour, plan.order
    travel = own.travel_min if order.travel_min is None else order.travel_min
    back = own.back_min if order.travel_min is None else order.travel_min
    sets = sets_of(plan, own)
    place = min(order.place_m3_h or own.crew_m3_h, brings_m3_h(plan, own)) / 60
    total = sum(part.m3 for part in parts) or 1.0
    loads = Loads(
        tuple(loads_m3), spacing_min, -(own.batch_min + travel), own.batch_min, travel, back, order.fleet or own.fleet,
        order.places or own.places, 1, own.position_min, own.clear_min, tuple(late_min.get(at, 0.0) for at in range(len(loads_m3))),
    )  # fmt: skip
    return Pour(
        loads,
        Crew(place, sum(part.area_m2 for part in parts) / total, own.strike_m2_h / 60, own.finishers, own.finish_m2_h / 60),
        SetsIn(sets.footprint_h * 60, sets.final_h * 60, own.joint_share * sets.initial_h * 60, own.load_min),
        Rates(
            own.wait_cents_h / 60, own.free_min_m3, own.crew_cents_h, own.pump_cents_h if order.method == "pump" else 0.0,
            own.pump_least_h, 0.75, own.overtime_after_h, own.overtime_ratio,
        ),
        beside(parts, sum(loads_m3)),
    )  # fmt: skip


def _scale(parts: Sequence[Part], ordered_m3: float) -> float:
    """What is placed over what is drawn: doubt and loss lie under every part alike. An order under what is drawn ends before the last."""
    drawn = sum(part.m3 for part in parts)
    return max(1.0, ordered_m3 / drawn) if drawn else 1.0


def beside(parts: Sequence[Part], ordered_m3: float) -> tuple[tuple[float, float], ...]:
    """Where parts meet along a side: placed when the older was begun, and when the newer is full."""
    scale = _scale(parts, ordered_m3)
    before = [0.0, *accumulate(part.m3 * scale for part in parts)]
    place = {part.id: at for at, part in enumerate(parts)}
    rows = []
    for at, part in enumerate(parts):
        rows += [(before[place[other]], before[at + 1]) for other in part.beside if place.get(other, at) < at]
    return tuple(rows)


def filled(parts: Sequence[Part], poured: Poured, loads_m3: Sequence[float]) -> list[Filled]:
    """When each part is begun and full."""
    visits = sorted(poured.visits, key=lambda one: one.load)
    ordered = sum(loads_m3)
    scale = _scale(parts, ordered)
    ends = list(accumulate(loads_m3))
    rows, before = [], 0.0
    for part in parts:
        after = min(before + part.m3 * scale, ordered) if before + part.m3 * scale <= ordered + 1e-6 else None
        stops = [before, *(end for end in ends if before < end < (after or ordered)), after or ordered]
        steps: list[tuple[float, float]] = []
        for at, placed in enumerate(stops if before < ordered else []):
            minute = minute_at(visits, loads_m3, placed)
            if at == 0 and placed in (0.0, *ends):  # at a border of loads it begins with the next one
                minute = next((one.unload_min for one in visits if sum(loads_m3[: one.load]) >= placed - 1e-9), minute)
            if minute is not None:
                share = (placed - before) / (part.m3 * scale) if part.m3 else 1.0
                steps.append((minute, share))
        rows.append(
            Filled(part, steps[0][0] if steps else None, steps[-1][0] if after is not None and steps else None, steps)
        )
        before += part.m3 * scale
    return rows


def placed_at(poured: Poured) -> list[tuple[float, float]]:
    """(minute, m3 in the forms), rising: what the clock of the last load reads."""
    rows, total = [], 0.0
    for one in sorted(poured.visits, key=lambda one: one.unload_min):
        rows.append((one.unload_min, total))
        total += one.m3
        rows.append((one.end_min, total))
    return rows
