"""Weather as it was brought in, and what a foot told of the concrete."""

from __future__ import annotations

from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from humble_trowel.core.plan.model import Id, Model
from humble_trowel.core.plan.values import Name, Note, Number, Point, When

WeatherFrom = Literal["forecast", "file", "usual", "typed"]
Seen = Literal["print", "soft", "none"]
MOST_HOURS = 400


class WeatherHour(Model):
    """An hour of it. at: with its offset from UTC. wind_ms: at the height of its station. usual: what that time of year usually does, no forecast."""

    at: When
    air_c: Annotated[Number, Field(ge=-60, le=60)]
    humid_share: Annotated[Number, Field(ge=0, le=1)]
    wind_ms: Annotated[Number, Field(ge=0, le=60)]
    cloud_okta: Annotated[Number, Field(ge=0, le=8)] = 4.0
    rain_mm: Annotated[Number, Field(ge=0, le=500)] = 0.0
    usual: bool = False


class WeatherIn(Model):
    """Hours that were brought in at once. made_at: when whoever made it made it. height_m: where its wind was measured; 0.5 is at the slab."""

    source: WeatherFrom
    name: Name
    made_at: When
    height_m: Annotated[Number, Field(ge=0.5, le=200)] = 10.0
    hours: Annotated[list[WeatherHour], Field(min_length=1, max_length=MOST_HOURS)]
    note: Note = ""


class Footprint(Model):
    """Somebody stood on a board and pressed a heel in. seen: a print of about 6 mm, too soft to stand on, or no print at all.
    truck: whose concrete it is; spot: on the plan."""

    seen: Seen
    at: When
    zone: Id
    truck: Annotated[int, Field(ge=1, le=400)] | None = None
    spot: Point | None = None
    by: Note = ""


class SetLesson(Model):
    """How fast the concrete of a day set against its mix's model: kept for the mix and the plant. ratio: over 1 is faster."""

    ratio: Annotated[Number, Field(ge=0.2, le=5)]
    sd_share: Annotated[Number, Field(ge=0, le=1)]
    prints: Annotated[int, Field(ge=1, le=200)]
    mix: Note = ""
    plant: Note = ""
    day: Note = ""

    @model_validator(mode="after")
    def _of_something(self) -> Self:
        if not self.mix.strip():
            raise ValueError("mix: say which mix it was.")
        return self
