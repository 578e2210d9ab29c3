"""Speed of the day of the pour, and whether its forecast and its last truck are worth anything over days whose causes are known."""

from __future__ import annotations

import math
from collections.abc import Callable
from datetime import timedelta

from shapely.geometry import box

from humble_trowel.bench.answers import demo_with_records
from humble_trowel.bench.rows import Other, Row, timed
from humble_trowel.core.cure.cured import CureDay, SaidAfter, cure_day
from humble_trowel.core.cure.records import ProbeRead, ProbeRow
from humble_trowel.core.job import Job
from humble_trowel.core.order.risk import Costs, Volume, expected, loads_of
from humble_trowel.core.pour.day import Planned, PourDay, Said, pour_day
from humble_trowel.core.pour.records import Front, Ticket
from humble_trowel.core.replay import DayLine, replay
from humble_trowel.standins.pour_day import Site, called, run_day, truth_of

DAYS = 500
BAND_SD = 1.2815515655446004  # four in five
TRUCKS, TAPS = 40, 400


def said_of(site: Site) -> Said:
    """What was written down of a day."""
    by_kind: dict[str, list[tuple[str, object]]] = {}
    for at, (_, kind, values) in enumerate(site.rows):
        by_kind.setdefault(kind, []).append((f"r{at}", values))
    return Said(tickets=by_kind.get("ticket", ()), fronts=by_kind.get("front", ()), calls=by_kind.get("load_called", ()))  # type: ignore[arg-type]  # fmt: skip


def covered(planned: Planned, days: int = DAYS) -> float:
    """How many of so many days end within the band of four in five that stood before the last truck."""
    inside = 0
    for seed in range(days):
        site = Site(planned, truth_of(planned, seed))
        end, _ = run_day(site, planned.loads_m3[:-1])
        total = pour_day(planned, said_of(site), end + 1).forecast.total
        inside += abs(site.truth.total_m3 - total.mean_m3) <= BAND_SD * total.sd_m3
    return inside / days


def cost_cents(costs: Costs, needs_m3: float, order_m3: float) -> float:
    """What an order cost once all is known: price, fees, what is left, what is missing."""
    order = math.ceil(order_m3 / costs.step_m3 - 1e-9) * costs.step_m3
    return expected(Volume(needs_m3, 0.0), order, costs, loads_of(order, costs.most_m3, costs.least_m3)).cost_cents


def by_rule(planned: Planned, seed: int) -> tuple[float, float]:
    """(what the pour took, what was ordered) where the last truck is called at the last minute that it may be."""
    site = Site(planned, truth_of(planned, seed))
    first = planned.loads_m3[:1]
    end, _ = run_day(site, first)
    day = pour_day(planned, said_of(site), end + 1)
    last = day.call.best.m3
    called(site, end + 1, last)
    return site.truth.total_m3, math.fsum(planned.loads_m3[:-1]) + last


def prices(planned: Planned, days: int = DAYS) -> tuple[float, float, float]:
    """Mean cost in dollars over the same days: the last truck by this rule, drawn and 5 %, drawn and 10 %."""
    totals = [0.0, 0.0, 0.0]
    for seed in range(days):
        took, ordered = by_rule(planned, seed)
        drawn = planned.floor.drawn_m3
        for at, order in enumerate((ordered, drawn * 1.05, drawn * 1.10)):
            totals[at] += cost_cents(planned.costs, took, order)
    return (totals[0] / days / 100, totals[1] / days / 100, totals[2] / days / 100)


def _ticket(job: Job) -> Callable[[], PourDay]:
    """A ticket comes in on a job that is at hand; each is another one."""
    job.pour_day()
    count = iter(range(10_000))

    def act() -> PourDay:
        name = f"bench-{next(count)}"
        ticket = Ticket(load=name, at="2027-06-17T06:40:00-04:00", arrived_at="2027-06-17T06:40:00-04:00", m3=6.9)
        day = Job(job.plan, job.crew, job.records.plus(name, ticket), before=job).pour_day()
        assert day is not None
        return day

    return act


def long_day(planned: Planned) -> list[DayLine]:
    """Forty trucks and four hundred taps."""
    start, rows = planned.clock.at(0.0), []
    for n in range(TRUCKS):
        came = (start + timedelta(minutes=12 * n)).isoformat()
        empty = (start + timedelta(minutes=12 * n + 11)).isoformat()
        load = f"load-{n}"
        rows.append(DayLine("ticket", "Odo", came, Ticket(load=load, at=came, arrived_at=came, m3=planned.order.mean_m3 / TRUCKS)))  # fmt: skip
        rows.append(DayLine("ticket", "Odo", empty, Ticket(load=load, at=empty, empty_at=empty)))
    for n in range(TAPS):
        share = n / TAPS * len(planned.floor.parts)
        at = (start + timedelta(minutes=480 * n / TAPS, seconds=1)).isoformat()
        spot = planned.floor.spot_at(int(share), share % 1)
        rows.append(DayLine("front", "Odo", at, Front(at=at, spot=spot)))
    return rows


def _weeks(job: Job) -> Callable[[], CureDay]:
    """Every zone over four weeks, from a probe in each that reads every ten minutes."""
    clock, warmth = job.cure_clock, job.warmth
    assert clock is not None and warmth is not None
    rows = []
    for zone in warmth.zones:
        begin = float(zone.hours_h[0])
        read = [
            ProbeRow(at=clock.at(begin + n / 6).isoformat(), temp_c=20 + 10 * math.exp(-n / 400)) for n in range(4032)
        ]
        rows.append((f"p-{zone.zone}", ProbeRead(probe="probe", zone=zone.zone, rows=read)))
    said = SaidAfter(probes=rows)
    end = float(warmth.zones[0].hours_h[-1])

    def act() -> CureDay:
        return cure_day(job.plan, job.ways, clock, warmth, {}, 0.2, said, box(0, 0, 1, 1), end)

    return act


def pour_rows() -> tuple[list[Row], list[Other]]:
    """All of it, on the demo's pour."""
    job = demo_with_records()
    planned = job.pour_planned
    assert planned is not None
    lines = long_day(planned)
    rows = [
        timed("from ticket to new call", _ticket(job), 20, 60, "p95"),
        timed("strength of every zone over 28 days from 10-minute probes", _weeks(job), 5, 300, "p95"),
        timed("forty trucks and four hundred taps replayed", lambda: list(replay(job, lines)), 2, 10_000, "p95"),
    ]
    ours, five, ten = prices(planned)
    return rows, [
        Other("days in a hundred that miss the band of 80", round(abs(covered(planned) * 100 - 80), 1), "of 5", 5),
        Other("last truck by this rule, mean cost of a day", round(ours), "$", round(min(five, ten))),
        Other("the same days with 5 % more than drawn", round(five), "$", round(five)),
        Other("the same days with 10 % more than drawn", round(ten), "$", round(ten)),
    ]
