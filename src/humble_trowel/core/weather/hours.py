"""The weather of a pour, hour by hour, out of all that was brought in: each hour as the newest record that has it says, with where it is from.

Hours count from local midnight of the pour's day, as they pass: on the day of a clock change the clock on the wall jumps, the count does not.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta, timezone, tzinfo
from itertools import pairwise
from zoneinfo import ZoneInfo, ZoneInfoNotFoundError

import numpy as np

from humble_trowel.core.errors import InputError
from humble_trowel.core.heat.slab import Array
from humble_trowel.core.plan.document import Site
from humble_trowel.core.weather.drying import GRASS_M, SOIL_M, wind_at
from humble_trowel.core.weather.records import WeatherHour, WeatherIn

WEEK_H = 7 * 24
LONG_GAP_H = 3.0
ROUGH_M = {"grass": GRASS_M, "soil": SOIL_M}
STATION_M = 2.0  # wind from higher than this is brought down


@dataclass(frozen=True)
class Clock:
    """Hours of a day on a wall of the site. zone: its time zone. guessed: nobody said which."""

    midnight: datetime
    zone: tzinfo
    guessed: bool

    def hour_of(self, when: datetime) -> float:
        """Hours since midnight of the pour's day. when: local where it has no offset."""
        known = when if when.tzinfo is not None else when.replace(tzinfo=self.zone)
        return (known.astimezone(UTC) - self.midnight.astimezone(UTC)).total_seconds() / 3600

    def hour_at(self, when: str) -> float:
        """The same of a time as it is written."""
        return self.hour_of(datetime.fromisoformat(when))

    def at(self, hour: float) -> datetime:
        """What stands on the wall so many hours after that midnight."""
        return (self.midnight.astimezone(UTC) + timedelta(hours=hour)).astimezone(self.zone)

    def wall_h(self, hour: float) -> float:
        """Hours that the wall shows at that hour."""
        at = self.at(hour)
        return at.hour + at.minute / 60 + at.second / 3600

    def jumps(self, from_h: float, until_h: float) -> list[tuple[float, float]]:
        """How far the wall is ahead of the count, from which whole hour on: (hour, hours ahead), the first from `from_h`."""
        rows: list[tuple[float, float]] = []
        for hour in range(int(from_h), int(until_h) + 1):
            ahead = (self.wall_h(hour) - hour + 12) % 24 - 12
            if not rows or abs(rows[-1][1] - ahead) > 1e-6:
                rows.append((float(hour), round(ahead, 4)))
        return rows

    def text(self, hour: float) -> str:
        """'6:05'; with the day where it is another one."""
        found = self.at(hour + 1 / 120)
        day = "" if found.date() == self.midnight.date() else f"{found:%a} "
        return f"{day}{found.hour}:{found.minute:02d}"


def zone_of(site: Site) -> tuple[tzinfo, bool]:
    """(the site's time zone, whether it is a guess). Raises InputError for one that does not exist."""
    if site.time_zone:
        try:
            return ZoneInfo(site.time_zone), False
        except (ZoneInfoNotFoundError, ValueError, OSError):
            raise InputError(
                f"{site.time_zone} is no time zone. Say it like America/New_York.", "site.time_zone"
            ) from None
    return timezone(timedelta(hours=round((site.longitude or 0.0) / 15))), True


def clock_of(site: Site, pour_at: str) -> Clock:
    """The clock of the day on which it is poured."""
    zone, guessed = zone_of(site)
    day = datetime.fromisoformat(pour_at)
    local = day.astimezone(zone) if day.tzinfo is not None else day
    return Clock(local.replace(hour=0, minute=0, second=0, microsecond=0, tzinfo=zone), zone, guessed)


@dataclass(frozen=True)
class HourRow:
    """An hour at the slab. wind_ms: brought down to half a metre. usual: no forecast reaches it. from_name, made_at: who said so and
    when; lead_h: how far ahead."""

    hour_h: float
    air_c: float
    humid_share: float
    wind_ms: float
    cloud_okta: float
    rain_mm: float
    usual: bool
    from_name: str
    source: str
    made_at: str
    lead_h: float


@dataclass(frozen=True)
class Forecast:
    """Every hour that is known, in order, none twice."""

    rows: list[HourRow]

    @property
    def hours(self) -> Array:
        return np.array([row.hour_h for row in self.rows])

    def column(self, name: str) -> Array:
        """One value of every hour."""
        return np.array([float(getattr(row, name)) for row in self.rows])

    def reaches(self, from_h: float, until_h: float) -> bool:
        """Whether it is known from one hour to another, without a long gap."""
        inside = [row.hour_h for row in self.rows if from_h - LONG_GAP_H <= row.hour_h <= until_h + LONG_GAP_H]
        if not inside or inside[0] > from_h + 1e-6 or inside[-1] < until_h - 1e-6:
            return False
        return all(b - a <= LONG_GAP_H + 1e-6 for a, b in pairwise(inside))

    def told(self, from_h: float, until_h: float) -> list[HourRow]:
        """The hours between."""
        return [row for row in self.rows if from_h - 1e-6 <= row.hour_h <= until_h + 1e-6]


def forecast_of(records: Sequence[WeatherIn], clock: Clock, open_ground: str) -> Forecast:
    """All records laid over one another, the newest on top."""
    found: dict[float, HourRow] = {}
    for record in records:
        made = _aware(record.made_at, clock)
        for hour in record.hours:
            when = datetime.fromisoformat(hour.at)
            lead = (when - made).total_seconds() / 3600
            at = round(clock.hour_of(when), 4)
            usual = hour.usual or (record.source == "forecast" and lead > WEEK_H)
            if usual and at in found and not found[at].usual:
                continue  # what is usual never takes the place of what was forecast
            found[at] = _row(record, hour, at, open_ground, usual, lead)
    return Forecast([found[at] for at in sorted(found)])


def _aware(text: str, clock: Clock) -> datetime:
    when = datetime.fromisoformat(text)
    return when if when.tzinfo is not None else when.replace(tzinfo=clock.zone)


def _row(record: WeatherIn, hour: WeatherHour, at: float, ground: str, usual: bool, lead: float) -> HourRow:
    wind = hour.wind_ms if record.height_m < STATION_M else wind_at(hour.wind_ms, ROUGH_M[ground])
    return HourRow(
        at, hour.air_c, hour.humid_share, wind, hour.cloud_okta, hour.rain_mm, usual, record.name, record.source, record.made_at, lead
    )  # fmt: skip


def mean_before(forecast: Forecast, hour: float) -> float:
    """Mean of the air over the day before an hour, as far as it is known; about what the top of the ground has."""
    rows = [row.air_c for row in forecast.rows if hour - 24 <= row.hour_h <= hour]
    known = rows or [row.air_c for row in forecast.rows[:24]]
    return float(np.mean(known)) if known else 15.0
