"""The day of the pour: its sheet, the forecast, files of weather, ten numbers."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Annotated, Any

from fastapi import APIRouter, Query, Request
from starlette.concurrency import run_in_threadpool

from humble_trowel.api.day_schemas import DayAsk, DayState, FeedAsk, TenNumbers, WeatherState
from humble_trowel.api.routes.jobs import JobId, service_of
from humble_trowel.api.schemas import file_body
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.day.sheet import blocking_of, sheet_of
from humble_trowel.core.day.sizes import MS_PER_MPH
from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.weather.hours import Clock, clock_of
from humble_trowel.core.weather.records import WeatherHour, WeatherIn
from humble_trowel.core.weather.typed import typed_hours
from humble_trowel.files.weather_csv import read_csv
from humble_trowel.files.weather_epw import is_epw, read_epw
from humble_trowel.standins.forecast import StandInForecast

router = APIRouter(route_class=StrictRoute, prefix="/api/jobs/{job_id}", tags=["day"])
FROM_H, HOURS = -30, 10 * 24


@router.post("/day")
def day(request: Request, job_id: JobId, body: DayAsk) -> DayState:
    """Everything of the day. Worked out in the background: `counting` says how far it is."""
    service = service_of(request)
    kept = service.laid_out(job_id)
    job = service.tried(kept, body.edits)
    state = DayState(
        counting=None, missing=_missing(job), sheet=None, blocking=blocking_of(job.plan), helps=list(job.plan.day.helps),
        blanket=job.plan.day.blanket is not None, mix=_mix(job), plant=job.ways.plant.name, findings=[],
    )  # fmt: skip
    if not state.missing:
        state.counting = service.counting(job, job_id if job is kept else f"{job_id}#tried", ("day",))
        if state.counting is None and job.day is not None:
            spots = [(spot.x, spot.y) for spot in (cell.region.representative_point() for cell in job.shape.cells)]
            now = datetime.fromisoformat(service.now())
            state.sheet = sheet_of(job.plan, job.ways, job.day, spots, now, len(job.lessons))
    if state.counting is None:
        state.findings = job.day_findings
    return state


def _missing(job: Job) -> Any:
    if job.plan.order.pour_at is None:
        return "day"
    if any(row.code == "zone-unknown" for row in job.place_findings):
        return "zone"
    return "" if job.day_asked else "weather"


def _mix(job: Job) -> str:
    """What a lesson is kept under."""
    mix = job.plan.mix
    share = f"w/cm {mix.water_share:g}" if mix.water_share else ""
    strength = f"{mix.strength_mpa:.0f} MPa" if mix.strength_mpa else ""
    extra = [word for says, word in ((mix.ash_share, "ash"), (mix.slag_share, "slag")) if says]
    setting = mix.setting if mix.setting and mix.setting != "as it comes" else ""
    return ", ".join(part for part in (strength, share, *extra, setting) if part) or "the mix as it comes"


def _clock(job: Job) -> Clock:
    if job.plan.order.pour_at is None:
        raise InputError("No day is said. Say which day it is poured.", "order.pour_at")
    return clock_of(job.plan.site, job.plan.order.pour_at)


@router.post("/forecast")
def forecast(request: Request, job_id: JobId, body: FeedAsk) -> WeatherState:
    """What the forecast says of the pour's day and those about it; it is kept as a record by whoever asked."""
    service = service_of(request)
    job = service.laid_out(job_id)
    clock, site = _clock(job), job.plan.site
    if site.latitude is None or site.longitude is None:
        raise InputError("Where is it? A forecast wants latitude and longitude.", "site.latitude")
    now = datetime.fromisoformat(service.now()).astimezone(UTC)
    lines = StandInForecast(body.seed, body.turn).hours(
        site.latitude, site.longitude, clock.at(0.0) + timedelta(hours=FROM_H), HOURS, now
    )
    hours = [WeatherHour(**line.__dict__) for line in lines]
    weather = WeatherIn(
        source="forecast", name="Stand-in forecast", made_at=now.isoformat(timespec="minutes"), hours=hours
    )
    ahead = sum(1 for hour in hours if not hour.usual)
    said = (
        f"{ahead} hours are forecast; beyond a week it says what the time of year usually does."
        if ahead < len(hours)
        else "Every hour is forecast."
    )
    return WeatherState(weather=weather, asks=[], said=said)


@router.post("/ten-numbers")
def ten_numbers(request: Request, job_id: JobId, body: TenNumbers) -> WeatherState:
    """Hours out of morning, noon and night, in the units of the job; humidity in parts of a hundred."""
    service = service_of(request)
    job = service.laid_out(job_id)
    metric = job.plan.units == "mm"
    air = [one if metric else (one - 32) / 1.8 for one in body.air]
    wind = [one / 3.6 if metric else one * MS_PER_MPH for one in body.wind]
    for path, row, least, most, words in (
        ("air", air, -45.0, 50.0, "That is no air anybody pours in. Is it the right unit?"),
        ("humidity", body.humidity, 1.0, 100.0, "Humidity goes from 1 to 100 in a hundred."),
        ("wind", wind, 0.0, 45.0, "Wind cannot be less than nothing, nor a storm that tears roofs off."),
    ):  # fmt: skip
        bad = next((at for at, one in enumerate(row) if not least <= one <= most), None)
        if bad is not None:
            raise InputError(words, f"{path}.{bad}")
    weather = typed_hours(air, [one / 100 for one in body.humidity], wind, body.cloud_okta, _clock(job), service.now())
    return WeatherState(weather=weather, asks=[], said="Four days that are all like the one told.")


@router.post("/weather-file", openapi_extra=file_body("text/csv"))
async def weather_file(
    request: Request, job_id: JobId, name: Annotated[str, Query(max_length=120)] = "", answers: Annotated[str, Query(max_length=400)] = ""
) -> WeatherState:  # fmt: skip
    """Read hours out of a file (the body). answers: to what was asked, as key:answer,key:answer."""
    data, service = await request.body(), service_of(request)
    given = dict(pair.split(":", 1) for pair in answers.split(",") if ":" in pair)

    def read() -> WeatherState:
        job = service.laid_out(job_id)
        clock, made = _clock(job), service.now()
        found = (
            read_epw(data, job.plan.site, clock, made, given)
            if is_epw(data)
            else read_csv(data, clock, made, name or "A file", given)
        )
        return WeatherState(weather=found.weather, asks=found.asks, said=found.said)

    return await run_in_threadpool(read)
