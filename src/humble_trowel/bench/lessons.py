"""Whether lessons find the causes that jobs were made with, and how fast they are worked out."""

from __future__ import annotations

import math
import random
from collections.abc import Callable
from dataclasses import dataclass
from statistics import fmean

from humble_trowel.bench.rows import Other, Row, demo_plan, timed
from humble_trowel.core.job import Job
from humble_trowel.core.lessons.lessons import Lesson, taken
from humble_trowel.core.lessons.records import HoursWorked
from humble_trowel.core.order.allowances import trenches
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.pour.day import Planned
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.standins.pour_day import Causes, Site, run_day, truth_of

JOBS = (5, 20, 50)
GOALS = (0.8, 0.6, 0.5)
CREWS = 4
MM_BASE, MM_TRENCH, LACKS = (11.0, 4.0), (24.0, 8.0), (0.012, 0.004)  # crews lie about these: middle and spread of crews
WITHIN = (4.0, 6.0, 0.004)  # a job about its crew's own
LEARNT = ("base", "trench", "yield")
SMALL_M3 = 1.0


@dataclass(frozen=True)
class Crew:
    """A crew whose causes are known: base low in mm, trench wide in mm, share that loads lack."""

    base_mm: float
    trench_mm: float
    lacks_share: float


def crew_of(seed: int) -> Crew:
    """A crew by chance."""
    draw = random.Random(seed)
    base, trench, lacks = (max(0.0, draw.gauss(*one)) for one in (MM_BASE, MM_TRENCH, LACKS))
    return Crew(base, trench, lacks)


def day_of(planned: Planned, seed: int, causes: Causes) -> list[tuple[str, object]]:
    """What phones write down of a day with known causes, small loads sent for until all is full."""
    site = Site(planned, truth_of(planned, seed, causes))
    end, placed = run_day(site, planned.loads_m3[:-1])
    rest = max(SMALL_M3 / 4, site.truth.total_m3 - math.fsum(planned.loads_m3[:-1]))
    run_day(site, [rest], from_load=len(planned.loads_m3) - 1, begun_min=end, placed_m3=placed)
    return [(f"r{at}", values) for at, (_, _, values) in enumerate(site.rows)]


def job_after(plan: Plan, ways: Ways, crew: Crew, seed: int) -> Job:
    """A job of that crew with its day written down."""
    before = Job(plan, ways)
    planned = before.pour_planned
    assert planned is not None and before.solid is not None
    draw = random.Random(seed * 7919 + 1)
    base, wide, lacks = (draw.gauss(middle, sd) for middle, sd in zip((crew.base_mm, crew.trench_mm, crew.lacks_share), WITHIN, strict=True))
    runs = trenches(plan, before.solid, before.measured)
    face = math.fsum(one.length_mm * one.below_mm for one in runs) / 1e6
    litres = face * wide / planned.site.trench_m if planned.site.trench_m else 0.0
    records = SiteRecords(day_of(planned, seed, (base, litres, lacks)))  # type: ignore[arg-type]
    return Job(plan, ways, records, before=before)


def errors_of(seed: int, plans: list[Plan], counts: tuple[int, ...] = JOBS) -> dict[int, dict[str, float]]:
    """How far the crew's ways are from its own causes after so many jobs, as shares of how far they were before any."""
    crew, ways = crew_of(seed), Ways()
    truth = {"base": crew.base_mm, "trench": crew.trench_mm, "yield": crew.lacks_share}

    def off(now: Ways) -> dict[str, float]:
        is_now = {"base": now.allowances.base_low_mm, "trench": now.allowances.trench_wide_mm, "yield": now.doubt.yield_low_share}
        return {key: abs(is_now[key] - truth[key]) for key in LEARNT}

    found: dict[int, dict[str, float]] = {0: off(ways)}
    for n in range(1, max(counts) + 1):
        lessons: list[Lesson] = job_after(plans[n % len(plans)], ways, crew, seed * 1000 + n).lessons_found
        for one in lessons:
            if one.kind.key in LEARNT and one.new is not None:
                ways, _ = taken(lessons, one.kind.key, ways, "", "2027-06-20T09:00", "")
        if n in counts:
            found[n] = off(ways)
    return found


def converges(crews: int = CREWS, counts: tuple[int, ...] = JOBS) -> dict[int, dict[str, float]]:
    """The same over some crews: means, in the unit of the ways."""
    plans = [demo_plan("honey-house"), demo_plan("boat-bay")]
    plans = [plan for plan in plans if Job(plan).pour_planned is not None]
    rows = [errors_of(seed, plans, counts) for seed in range(crews)]
    return {n: {key: fmean(row[n][key] for row in rows) for key in LEARNT} for n in (0, *counts)}


def off_spreads(found: dict[str, float]) -> float:
    """Mean of the errors, each in the spread that it had before any job."""
    first = Ways()
    spreads = {"base": first.doubt.base_sd_mm, "trench": first.doubt.trench_wide_sd_mm, "yield": first.doubt.yield_sd_share}
    return fmean(found[key] / spreads[key] for key in LEARNT)


def _lessons(job: Job) -> Callable[[], list[Lesson]]:
    """After one more word on a job that is at hand."""

    def act() -> list[Lesson]:
        word = HoursWorked(task="tie", worked_h=9.0, at="2027-06-20T09:00:00-04:00")
        return Job(job.plan, job.crew, job.records.plus("bench", word), before=job).lessons_found

    return act


def lesson_rows() -> tuple[list[Row], list[Other]]:
    """Speed, and how far middles are from the causes that jobs were made with."""
    job = job_after(demo_plan("honey-house"), Ways(), crew_of(1), 1)
    assert job.lessons_found
    rows = [timed("lessons of a job after one more word", _lessons(job), 20, 50, "p95")]
    found = converges()
    figures = [
        Other(f"middles off their causes after {n} jobs (before: {off_spreads(found[0]):.2f})", round(off_spreads(found[n]), 2), "spreads", goal)
        for n, goal in zip(JOBS, GOALS, strict=True)
    ]
    return rows, figures
