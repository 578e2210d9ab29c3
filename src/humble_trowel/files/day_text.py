"""The day of a pour as plain text, and as its report, out of a job file and its weather."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any

from humble_trowel.core.day.day import DayFound
from humble_trowel.core.day.told import clock_text, day_text, verdict
from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.ports import WeatherFeed
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.stages.gate import GateStage
from humble_trowel.core.weather.hours import Clock, clock_of
from humble_trowel.core.weather.records import WeatherHour, WeatherIn
from humble_trowel.files.weather_csv import read_csv
from humble_trowel.files.weather_epw import is_epw, read_epw

COLUMNS = (("float", "float_at"), ("set", "final"), ("early saw", "early_saw"), ("saw from", "saw_from"), ("until", "saw_until"), ("frost-safe", "safe"), ("build", "build"))  # fmt: skip


def day_told(plan: Plan, data: bytes | None, answers: str, feed: WeatherFeed) -> tuple[str, dict[str, Any]]:
    """(as text, as its report). data: of a file of weather, None where the feed is asked. Raises InputError for what is missing or asked."""
    if plan.order.pour_at is None:
        raise InputError("No day is said. Say order.pour_at.", "order.pour_at")
    clock = clock_of(plan.site, plan.order.pour_at)
    given = dict(pair.split(":", 1) for pair in answers.split(",") if ":" in pair)
    weather = _asked(plan, clock, feed) if data is None else _read(plan, data, clock, given)
    job = Job(plan, records=SiteRecords([("weather", weather)]))
    found = job.day
    stumbled = job.stumbles("day")
    if found is None:
        raise InputError(stumbled[0].words if stumbled else "There is no concrete on that day.", "day")
    return _text(found, clock, job), GateStage.of(job).told()


def _read(plan: Plan, data: bytes, clock: Clock, given: dict[str, str]) -> WeatherIn:
    made = clock.midnight.astimezone(UTC).isoformat(timespec="minutes")
    read = (
        read_epw(data, plan.site, clock, made, given) if is_epw(data) else read_csv(data, clock, made, "A file", given)
    )
    if read.weather is None:
        asked = read.asks[0]
        ways = " or ".join(f"{asked.key}:{key}" for key, _ in asked.answers)
        raise InputError(f"{asked.words} Say --answers {ways}.", asked.key)
    return read.weather


def _asked(plan: Plan, clock: Clock, feed: WeatherFeed) -> WeatherIn:
    site = plan.site
    issued = datetime.fromtimestamp((clock.midnight - timedelta(hours=19)).timestamp(), UTC)
    start = clock.at(-6.0)
    lines = feed.hours(site.latitude or 40.0, site.longitude or 0.0, start, 120, issued)
    hours = [WeatherHour(**line.__dict__) for line in lines]
    return WeatherIn(source="forecast", name="Forecast", made_at=issued.isoformat(timespec="minutes"), hours=hours)


def _text(found: DayFound, clock: Clock, job: Job) -> str:
    title, why = verdict(found, clock)
    rows = [f"{title}. {why}", ""]
    for dry in found.drying:
        fast = (
            "; ".join(f"too fast {clock.text(a)} to {clock.text(b)}" for a, b in dry.spans_h)
            or "never too fast while it is fresh"
        )
        rows.append(f"{dry.name}: {fast}, {dry.worst_kg_m2_h:.2f} kg/m2 h at {clock.text(dry.worst_h)}")
    rows += ["", " ".join(f"{name:>12}" for name in ("zone", "load", *(name for name, _ in COLUMNS)))]
    for row in found.clock:
        spans = [getattr(row, key) for _, key in COLUMNS]
        texts = [clock.text(span.at_h) if span else "-" for span in spans]
        ice = f"  freezes {clock.text(row.freezes.at_h)}" if row.freezes and not row.may_freeze else ""
        rows.append(" ".join(f"{text:>12}" for text in (row.name[:12], str(row.truck), *texts)) + ice)
    rows.append("")
    for start in found.starts:
        said = "passes" if start.passes else start.why_not[0].words
        rows.append(f"{day_text(clock, start.at_h)} {clock_text(clock, start.at_h):>5}  {said}")
    return "\n".join([*rows, *[f"{row.words} {row.remedy}" for row in job.day_findings]])
