"""The day of a pour at a minute: loads, front, forecast, the last call, acts, doubts, trouble. The order in which records arrive changes nothing."""

from __future__ import annotations

import math
from bisect import bisect_right
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import accumulate
from typing import Any

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.order.doubts import Doubt
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.order.risk import Costs, Volume
from humble_trowel.core.order.update import Belief, Site
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour.act_list import Sets, Standing, Tall, act_list
from humble_trowel.core.pour.act_list import Site as ActSite
from humble_trowel.core.pour.acts import Act, Answers, answered, in_turn
from humble_trowel.core.pour.call import LastCall, last_call
from humble_trowel.core.pour.called import Called, called_of
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.cuts import Cut, CutLine, cuts_of, done_in
from humble_trowel.core.pour.floor import Floor
from humble_trowel.core.pour.forecast import Forecast, Seen, forecast_of
from humble_trowel.core.pour.fronts import Stand, counted, stands_of
from humble_trowel.core.pour.loads import Load, loads_of
from humble_trowel.core.pour.records import (
    ActDone,
    ActGiven,
    Front,
    GaugeRead,
    Incident,
    LoadCalled,
    PlantSaid,
    Sawn,
    Ticket,
)
from humble_trowel.core.pour.running import Filling, Run, fillings, run_of
from humble_trowel.core.pour.sizes import amount
from humble_trowel.core.pour.ticket_doubts import Asked, LoadDoubt, load_doubts
from humble_trowel.core.pour.trouble import Open, open_trouble
from humble_trowel.core.pour_sim.pour import Pour

EVEN = 1e-6
AHEAD_MIN, AHEAD_SD_MIN = 3.0, 2.0  # placing runs about so far ahead of the board
SetsOf = Callable[[Run, Sequence[Filling]], list[Sets]]


def no_sets(run: Run, filled: Sequence[Filling]) -> list[Sets]:
    """Nobody knows when zones are worked."""
    return []


@dataclass(frozen=True)
class Planned:
    """What is known before the first truck. loads_m3: as ordered; held: the last of them is said later. ahead_min: from a call until its truck
    stands here. planned_min: when each load was to be batched."""

    plan: Plan
    ways: JobWays
    clock: PourClock
    floor: Floor
    pour: Pour
    loads_m3: tuple[float, ...]
    held: bool
    site: Site
    belief: Belief
    doubts: Sequence[Doubt]
    order: Volume
    costs: Costs
    ahead_min: float
    thin_mm: float
    air_c: float | None
    mesh: frozenset[str]
    set_in: Sequence[Standing]
    tall: Sequence[Tall]
    gauged: bool
    joints: Sequence[tuple[XY, XY]]
    sawn: Sequence[CutLine]
    planned_min: Sequence[float]


@dataclass(frozen=True)
class Said:
    """What was written down, with the ids of its records, in any order."""

    tickets: Sequence[tuple[str, Ticket]] = ()
    fronts: Sequence[tuple[str, Front]] = ()
    acts: Sequence[tuple[str, ActDone]] = ()
    gauges: Sequence[tuple[str, GaugeRead]] = ()
    incidents: Sequence[tuple[str, Incident]] = ()
    calls: Sequence[tuple[str, LoadCalled]] = ()
    orders: Sequence[tuple[str, OrderCalled]] = ()
    plant: Sequence[tuple[str, PlantSaid]] = ()
    sawn: Sequence[tuple[str, Sawn]] = ()
    given: Sequence[tuple[str, ActGiven]] = ()

    @property
    def any(self) -> bool:
        """Whether anything was."""
        return any(self._groups)

    @property
    def _groups(self) -> tuple[Sequence[tuple[str, Any]], ...]:
        return (self.tickets, self.fronts, self.acts, self.gauges, self.incidents, self.calls, self.plant, self.sawn, self.given)  # fmt: skip

    @property
    def records(self) -> list[str]:
        """Of every word of the day."""
        return [record for own in self._groups for record, _ in own]

    @property
    def people(self) -> set[str]:
        """Who wrote it down."""
        return {one.by for own in self._groups for _, one in own if one.by}

    def newest(self, clock: PourClock) -> float | None:
        """The minute of the last word; None where nothing was said."""
        return max((clock.minute(one.at) for own in self._groups for _, one in own), default=None)


@dataclass(frozen=True)
class PourDay:
    """All of it at a minute. run: with the last load as it was said, or as it is best. stands: every word of the front, counts: those that still
    count. call: None where nothing is left to say. called: the last load as it stands now. cuts: joints that are sawn. given: who does an act, by its key."""

    now_min: float
    loads: list[Load]
    run: Run
    fillings: list[Filling]
    stands: list[Stand]
    counts: list[Stand]
    forecast: Forecast
    call: LastCall
    called: Called | None
    acts: list[Act]
    turn: list[Act]
    load_doubts: list[LoadDoubt]
    trouble: list[Open]
    sets: list[Sets]
    cuts: list[Cut]
    given: dict[str, str]
    placed_m3: float
    planned: Planned


def pour_day(planned: Planned, said: Said, now_min: float, sets_of: SetsOf = no_sets) -> PourDay:
    """The day at a minute. sets_of: when zones are worked, of a run."""
    clock = planned.clock
    loads = loads_of(planned.plan, planned.ways, clock, said.tickets)
    called = called_of(planned.plan, clock, said.calls, said.plant)
    trouble = open_trouble(clock, said.incidents)
    late = max((one.minutes or 0.0 for one in trouble if one.what in ("late", "plant")), default=0.0)
    ordered = _ordered(planned, said)
    firm = list(ordered[:-1]) if planned.held and len(ordered) > 1 else list(ordered)
    last = called.m3 if called is not None else None
    due = called.due_min if called is not None else None
    sure = firm if last is None else [*firm, *([last] if last > 0 else [])]
    run = run_of(planned.pour, sure, loads, now_min, late, due)
    stands = stands_of(planned.floor, clock, said.fronts)
    counts = counted(stands)
    forecast = forecast_of(
        planned.site, planned.belief, planned.doubts, planned.order, planned.floor.drawn_m3, seen_of(planned, loads, run, counts)
    )  # fmt: skip
    firm_m3 = math.fsum(one.m3 for one in run.loads)
    here = last is not None and sum(one.taken for one in loads) >= len(sure)  # the last one came: any more is one more
    spoken = last is not None and not here
    before = firm_m3 - (run.loads[len(firm)].m3 if spoken and last and len(run.loads) > len(firm) else 0.0)
    call = last_call(
        forecast, planned.costs, before, _needed(run, len(firm)), planned.ahead_min, now_min, last if spoken else None
    )
    whole = sure if last is not None or not planned.held else [*firm, call.best.m3 or ordered[-1]]
    if last is None and call.best.m3 > 0 and not planned.held:
        whole = [*whole, call.best.m3]
    run = run_of(planned.pour, whole, loads, now_min, late, due)
    placed = forecast.placed_m3
    filled = fillings(planned.floor, run, counts, placed, forecast.left.mean_m3)
    sets = sets_of(run, filled)
    cuts = cuts_of(clock, planned.sawn, sets, said.sawn)
    open_call = not (filled and all(one.full for one in filled)) and (planned.held or call.best.m3 > 0)
    acts = act_list(
        ActSite(
            clock, planned.floor, run, filled, loads, planned.mesh, planned.set_in, planned.tall, sets,
            bool(counts) and counts[-1].trench_share > 1 - EVEN, call.say_by_min if open_call or last is not None else None,
            amount(call.best.m3, planned.plan.units) if call.best.m3 else "none", last is not None and not (here and call.best.m3 > 0), here, planned.gauged, [clock.minute(one.at) for _, one in said.gauges],
            frozenset(one.zone for one in sets if done_in(cuts, one)),
        )
    )  # fmt: skip
    rows = answered(clock, acts, Answers.of(clock, said.acts), now_min)
    asked = Asked(planned.plan, planned.ways, planned.thin_mm, planned.air_c)
    return PourDay(
        now_min, loads, run, filled, stands, counts, forecast, call, called, rows, in_turn(rows, now_min),
        load_doubts(asked, loads, run, now_min), trouble, sets, cuts, _given(clock, said),
        run.placed_m3(now_min), planned,
    )  # fmt: skip


def _given(clock: PourClock, said: Said) -> dict[str, str]:
    """Who does an act: the newest word of each."""
    ordered = sorted(said.given, key=lambda row: (clock.minute(row[1].at), row[0]))
    return {one.act: one.to for _, one in ordered}


def _ordered(planned: Planned, said: Said) -> tuple[float, ...]:
    """The loads as they were called in, else as they are ordered."""
    rows = [one for _, one in said.orders if not one.last]
    return tuple(rows[-1].loads_m3) if rows else planned.loads_m3


def _needed(run: Run, firm: int) -> float:
    """When the firm loads are in the forms: then the last one has to stand there."""
    return max((one.end_min for one in run.loads[:firm]), default=0.0)


def seen_of(planned: Planned, loads: Sequence[Load], run: Run, counts: Sequence[Stand]) -> list[Seen]:
    """What was out of the drums at every word of the front."""
    place = {one.load: at for at, one in enumerate(run.loads) if one.load}
    before = [0.0, *accumulate(one.m3 for one in run.loads)]
    rows = []
    for stand in counts:
        at = place.get(stand.load)
        if at is not None:
            rows.append(Seen(stand, before[at + 1], 0.0))
            continue
        sd = run.m3_min * AHEAD_SD_MIN if stand.struck else 0.0
        minute = stand.at_min - AHEAD_MIN if stand.struck else stand.at_min
        n = bisect_right(run.loads, minute, key=lambda one: one.end_min)  # the load that is being emptied
        placed = before[n]
        if n < len(run.loads):
            share = run.share_out(run.loads[n], minute)
            placed += run.loads[n].m3 * share
            sd = max(sd, planned.ways.pour.pace_sd_share * run.loads[n].m3 * min(share, 1 - share))
        rows.append(Seen(stand, placed, sd))
    return rows
