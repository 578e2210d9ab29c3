"""Bodies of the routes of the day."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from humble_trowel.core.day.sheet import Blocking, DaySheet
from humble_trowel.core.edits.registry import Edit
from humble_trowel.core.findings import Finding
from humble_trowel.core.weather.records import WeatherIn
from humble_trowel.files.weather_file import Question

Three = Annotated[list[Annotated[float, Field(allow_inf_nan=False)]], Field(min_length=3, max_length=3)]


class DayAsk(BaseModel):
    """edits: not kept yet."""

    model_config = ConfigDict(extra="forbid")
    edits: Annotated[list[Edit], Field(max_length=60)] = []


class DayState(BaseModel):
    """counting: how far it is, None once it is there. missing: what must be said or brought in before there is a day. mix, plant: what a lesson
    of the day is kept under."""

    counting: float | None
    missing: Literal["", "day", "weather", "zone"]
    sheet: DaySheet | None
    blocking: list[Blocking]
    helps: list[str]
    blanket: bool
    mix: str
    plant: str
    findings: list[Finding]


class FeedAsk(BaseModel):
    """Ask the forecast about the pour's day. seed, turn: of the stand-in."""

    model_config = ConfigDict(extra="forbid")
    seed: Annotated[int, Field(ge=0, le=10**9)] = 3
    turn: Literal["wind", "front", "heat", "frost"] | None = None


class TenNumbers(BaseModel):
    """Morning, noon, night; in the units of the job where `units` is its own, else C, shares and m/s."""

    model_config = ConfigDict(extra="forbid")
    air: Three
    humidity: Three
    wind: Three
    cloud_okta: Annotated[float, Field(ge=0, le=8)] = 4.0


class WeatherState(BaseModel):
    """weather: to be kept as a record; None while something is asked."""

    weather: WeatherIn | None
    asks: list[Question]
    said: str
