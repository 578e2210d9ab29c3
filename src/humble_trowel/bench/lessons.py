"""Whether lessons find the causes that jobs were made with, and how fast they are worked out."""

from __future__ import annotations

import math
import random
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import fmean

from humble_trowel.bench.rows import Other, Row, demo_plan, timed
from humble_trowel.core.job import Job
from humble_trowel.core.lessons.lessons import Lesson, taken
from humble_trowel.core.lessons.records import HoursWorked
from humble_trowel.core.order.allowances import trenches
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.measured import UNMEASURED, Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.pour.day import Planned
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.working import Working, leaf, work
from humble_trowel.standins.pour_day import Causes, Site, run_day, truth_of

JOBS = (5, 20, 50)
GROUND, TICKETS = (45, 20, 12), (80, 50, 30)
CREWS = 4
MM_BASE, MM_TRENCH, LACKS = (
    (11.0, 4.0),
    (24.0, 8.0),
    (0.012, 0.004),
)  # crews lie about these: middle and spread of crews
WITHIN = (4.0, 6.0, 0.004)  # a job about its crew's own
LEARNT = ("base", "trench", "yield")
SMALL_M3 = 1.0
SHOT_MM, TAPED_MM = 1.0, 2.0  # what rod and tape leave open over a whole job; every other job is shot and taped


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


def measured_of(job: Job, face_m2: float, base_mm: float, wide_mm: float) -> Measured:
    """A base that was shot and trenches that were taped, as far as a rod and a tape tell."""
    plan, (unit, per) = job.plan, volume_unit(job.plan)
    area = sum(cell.area_m2 for cell in job.shape.cells)

    def volume(name: str, m3: float) -> Working:
        return work(name, unit, "was", {"was": leaf(name, m3 / per, unit, "", "shot")})

    beams, lines = frozenset(range(len(plan.beams))), frozenset(range(len(plan.edges)))
    return Measured(
        volume("Base as shot", area * base_mm / 1000), "shot", area * SHOT_MM / 1000, volume("Trench as dug", face_m2 * wide_mm / 1000), "taped",
        frozenset(range(len(plan.outline or []))), lines, beams,
    )  # fmt: skip


def job_after(plan: Plan, ways: Ways, crew: Crew, seed: int) -> Job:
    """A job of that crew with its day written down."""
    before = Job(plan, ways)
    draw = random.Random(seed * 7919 + 1)
    base, wide, lacks = (
        draw.gauss(middle, sd)
        for middle, sd in zip((crew.base_mm, crew.trench_mm, crew.lacks_share), WITHIN, strict=True)
    )
    face = math.fsum(one.length_mm * one.below_mm for one in trenches(plan, before.shape, UNMEASURED)) / 1e6
    if seed % 2:
        before.take(
            "measured", measured_of(before, face, base + draw.gauss(0.0, SHOT_MM), wide + draw.gauss(0.0, TAPED_MM))
        )
    planned = before.pour_planned
    assert planned is not None
    litres = face * wide / planned.site.trench_m if planned.site.trench_m else 0.0
    records = SiteRecords(day_of(planned, seed, (base, litres, lacks)))  # type: ignore[arg-type]
    return Job(plan, ways, records, before=before)


def errors_of(seed: int, plans: list[Plan], counts: tuple[int, ...] = JOBS) -> dict[int, dict[str, float]]:
    """How far the crew's ways are from its own causes after so many jobs, as shares of how far they were before any."""
    crew, ways = crew_of(seed), Ways()
    truth = {"base": crew.base_mm, "trench": crew.trench_mm, "yield": crew.lacks_share}

    def off(now: Ways) -> dict[str, float]:
        is_now = {
            "base": now.allowances.base_low_mm,
            "trench": now.allowances.trench_wide_mm,
            "yield": now.doubt.yield_low_share,
        }
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


def off_percent(found: dict[str, float], keys: Sequence[str]) -> float:
    """Mean of the errors, each in hundredths of the spread that it had before any job."""
    first = Ways()
    spreads = {
        "base": first.doubt.base_sd_mm,
        "trench": first.doubt.trench_wide_sd_mm,
        "yield": first.doubt.yield_sd_share,
    }
    return 100 * fmean(found[key] / spreads[key] for key in keys)


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
        Other(f"{name} off their causes after {n} jobs (before: {off_percent(found[0], keys):.0f})", round(off_percent(found[n], keys)), "% of a spread", goal)
        for name, keys, goals in (("ground", LEARNT[:2], GROUND), ("tickets", LEARNT[2:], TICKETS))
        for n, goal in zip(JOBS, goals, strict=True)
    ]  # fmt: skip
    return rows, figures
