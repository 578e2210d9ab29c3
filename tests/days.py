"""The demo job's pour with its weather, or with one that a test makes."""

import json
from datetime import UTC, datetime, timedelta
from importlib import resources

from humble_trowel.core.job import Job
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.weather.hours import clock_of
from humble_trowel.core.weather.records import WeatherHour, WeatherIn
from humble_trowel.files.job_file import parse_job

DEMO = resources.files("humble_trowel.demo")


def pour(**changes):
    """The plan of the demo job; a dict is laid over a dict."""
    said = json.loads((DEMO / "jobs" / "honey-house.json").read_text("utf-8"))
    for key, value in changes.items():
        said[key] = said.get(key, {}) | value if isinstance(value, dict) else value
    return parse_job(json.dumps(said).encode())


def weather(plan, hours=range(-6, 76), **said):
    """Hours about its day, all alike but for what is a function of the hour."""
    clock = clock_of(plan.site, plan.order.pour_at)
    usual = {"air_c": 18.0, "humid_share": 0.6, "wind_ms": 2.0, "cloud_okta": 2.0, "rain_mm": 0.0} | said
    rows = [
        WeatherHour(
            at=clock.at(hour).astimezone(UTC).isoformat(),
            **{key: value(hour) if callable(value) else value for key, value in usual.items()},
        )
        for hour in hours
    ]
    made = (clock.at(-12).astimezone(UTC)).isoformat()
    return WeatherIn(source="forecast", name="Made up", made_at=made, height_m=0.5, hours=rows)


def day_job(plan=None, records=(), crew=None, **said):
    """A job with its weather and more records, as (kind's values), oldest first."""
    plan = plan or pour()
    rows = [("weather", weather(plan, **said)), *((f"r{i}", one) for i, one in enumerate(records))]
    return Job(plan, crew, SiteRecords(rows))


def later(when: str, **step) -> str:
    """A local time so much later."""
    return (datetime.fromisoformat(when) + timedelta(**step)).isoformat(timespec="minutes")
