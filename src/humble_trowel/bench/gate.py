"""Speed of the gate: holds and the walk, days of trades, the week, the box."""

from __future__ import annotations

import io
import random
from datetime import date, timedelta

from PIL import Image

from humble_trowel.bench.rows import Row, demo_plan, timed
from humble_trowel.core.gate.changes import changes_told
from humble_trowel.core.gate.week import week_of
from humble_trowel.core.gate.week_parts import WeekJob, tasks_of
from humble_trowel.core.job import Job
from humble_trowel.core.schedule.best import best
from humble_trowel.core.schedule.project import Limits, Link, Project, Sky, Task
from humble_trowel.core.stages import findings
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.papers.job_pack import sheets_of
from humble_trowel.papers.pack import PackOf, PackPhoto, pack_pdf

MONDAY = date(2027, 6, 7)
SEED = 11


def _project() -> Project:
    """Thirty tasks over sixty days with weather, the same each time."""
    dice = random.Random(SEED)
    weather = {
        day: Sky(dice.choice([0, 0, 0, 0, 5, 15]), dice.choice([3, 5, 10]), dice.choice([-3, 5, 8]), 25)
        for day in range(60)
    }
    tasks = []
    for at in range(30):
        before = dice.sample(range(max(0, at - 4), at), min(at, dice.choice([1, 1, 2])))
        limits = Limits(
            most_rain_mm=dice.choice([None, 2, 12]), most_wind_ms=dice.choice([None, 9]), dry_until=("t11", 12.7) if at == 8 else None
        )  # fmt: skip
        tasks.append(
            Task(
                f"t{at}", dice.choice([0, 1, 1, 2]), tuple(Link(f"t{one}", dice.choice([0, 0, 1])) for one in before), dice.choice([0, 1, 2, 3]),
                limits, frozenset({2}) if at == 14 else None, 3 if at == 14 else 0,
            )
        )  # fmt: skip
    return Project(MONDAY, 60, 4, tasks, weather=weather)


def _week() -> object:
    people = [f"Hand {at}" for at in range(14)]
    jobs = []
    for at in range(20):
        day = MONDAY + timedelta(days=at % 6)
        own = [people[(at + i) % 14] for i in range(4)]
        rows = [
            ("pour", "pour", None, None, 4, own),
            ("steel", "steel", (day - timedelta(days=1)).isoformat(), 2, 2, own[:2]),
        ]
        jobs.append(
            WeekJob(f"job{at}", f"Job {at}", None, [], "9 yd", 7.0, tasks_of(rows, f"{day.isoformat()}T07:00", 4))
        )
    return week_of(jobs, people, MONDAY)


class _Walked:
    """The demo job with everything before the gate at hand."""

    def __init__(self) -> None:
        self.job = Job(demo_plan("honey-house"))
        findings(self.job, slow=False)

    def again(self) -> object:
        """Holds and walk anew."""
        fresh = Job(self.job.plan, self.job.crew, self.job.records, before=self.job)
        fresh.walked = fresh._walked()
        return gate_told(fresh, MONDAY, weather=False)


def _box(job: Job, count: int = 20) -> object:
    """Forty pages with so many photos."""
    picture = io.BytesIO()
    Image.effect_noise((1600, 1200), 60).convert("RGB").save(picture, "JPEG", quality=85)
    photos = [PackPhoto(picture.getvalue(), f"Photo {at}", "") for at in range(count)]
    sheets = sheets_of(job, "letter", date(2027, 6, 17))
    of = PackOf(
        job.plan.name, gate_told(job, MONDAY, weather=False), job.papers, changes_told(job.site_changes, job.plan.units), [], [*sheets, *sheets],
        photos, [], "Tue 15 Jun",
    )  # fmt: skip
    return pack_pdf(of, "letter")


def gate_rows() -> list[Row]:
    """Each from nothing but what stands before it."""
    demo, project = _Walked(), _project()
    return [
        timed("holds and walk of the demo job", demo.again, 10, 30, "p95"),
        timed("thirty tasks over sixty days with weather", lambda: best(project, "t25"), 4, 1500, "p95"),
        timed("a week of twenty jobs", _week, 10, 100, "p95"),
        timed("a box of forty pages with twenty photos", lambda: _box(demo.job), 2, 8000, "p95"),
        timed("a box of forty pages with sixty photos", lambda: _box(demo.job, 60), 1, 15000, "p95"),
    ]
