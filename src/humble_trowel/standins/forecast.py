"""A simulated forecast: seeded, changing from day to day as it is issued, able to bring wind, a front, heat or frost.

What truly comes is one weather of the seed; what is said of it strays the farther the hour lies ahead, and strays otherwise each day. Beyond a
week it says what the time of year usually does. Wire format: docs/formats/forecast.md.
"""

from __future__ import annotations

import math
from datetime import UTC, datetime, timedelta

import numpy as np

from humble_trowel.core.ports import ForecastLine, WeatherTurn

WEEK_H = 168
STRAY_C, STRAY_WIND = 0.45, 0.12  # C and a share for each day ahead, from the day after tomorrow on


class StandInForecast:
    """A WeatherFeed over any place. turn: what it is made to bring on the day that is asked about."""

    def __init__(self, seed: int, turn: WeatherTurn | None = None) -> None:
        self.seed = seed
        self.turn = turn

    def hours(
        self, latitude_deg: float, longitude_deg: float, start: datetime, count: int, issued: datetime
    ) -> list[ForecastLine]:
        """So many hours from `start` on, as said at `issued`; both with their offset."""
        first = start.astimezone(UTC).replace(minute=0, second=0, microsecond=0)
        said_on = issued.astimezone(UTC)
        rows = []
        for at in range(count):
            when = first + timedelta(hours=at)
            ahead = (when - said_on).total_seconds() / 3600
            solar = when + timedelta(hours=longitude_deg / 15)
            truth = (
                self._usual(latitude_deg, solar)
                if ahead > WEEK_H
                else self._said(latitude_deg, solar, said_on, ahead, at)
            )
            rows.append(ForecastLine(when.isoformat(timespec="minutes"), *truth, usual=ahead > WEEK_H))
        return rows

    def _usual(self, latitude: float, solar: datetime) -> tuple[float, float, float, float, float]:
        """Of the time of year: air, humidity, wind, cloud, rain."""
        day = solar.timetuple().tm_yday
        season = -math.cos(2 * math.pi * (day - 20) / 365.25) * (1 if latitude >= 0 else -1)
        north = abs(latitude)
        mean = 27.5 - 0.5 * max(0.0, north - 12) + season * min(14.0, 0.22 * north)
        swing = 5.0 + 1.2 * season
        hour = solar.hour + solar.minute / 60
        wave = math.cos(2 * math.pi * (hour - 15) / 24)
        humid = min(0.97, max(0.25, 0.66 - 0.17 * wave))
        wind = 3.2 + 1.3 * max(0.0, wave)
        return round(mean + swing * wave, 1), round(humid, 2), round(wind, 1), 3.0, 0.0

    def _said(
        self, latitude: float, solar: datetime, issued: datetime, ahead: float, at: int
    ) -> tuple[float, float, float, float, float]:
        air, humid, wind, cloud, rain = self._usual(latitude, solar)
        day = solar.toordinal()
        own = np.random.default_rng([self.seed, day])
        warm, moist, blow, okta = own.normal(0, 2.2), own.normal(0, 0.07), own.lognormal(0, 0.25), own.integers(0, 7)
        stray = np.random.default_rng([self.seed, day, issued.toordinal()])
        far = max(0.0, ahead / 24 - 1)
        air += warm + stray.normal(0, STRAY_C) * far
        humid += moist
        wind *= blow * math.exp(stray.normal(0, STRAY_WIND) * far)
        air, humid, wind, cloud, rain = self._turned(air, humid, wind, float(okta), rain, solar.hour)
        return (
            round(float(air), 1), round(float(min(1.0, max(0.08, humid))), 2), round(float(max(0.2, wind)), 1), min(8.0, cloud), round(rain, 1)
        )  # fmt: skip

    def _turned(
        self, air: float, humid: float, wind: float, cloud: float, rain: float, hour: int
    ) -> tuple[float, float, float, float, float]:
        late = min(1.0, max(0.0, (hour - 9) / 5))
        match self.turn:
            case "wind":
                return air, humid - 0.12 * late, wind + 6.5 * late, cloud, rain
            case "front":
                wet = hour >= 14
                return (
                    air - (7.0 if wet else 0.0),
                    humid + (0.25 if wet else 0.0),
                    wind + (5.0 if wet else 0.0),
                    8.0 if wet else 3.0,
                    3.2 if 14 <= hour <= 18 else rain,
                )
            case "heat":
                return air + 11.0, humid - 0.22, wind, 0.0, rain
            case "frost":
                return min(air, 3.0) - 9.0 * (1 - late), humid, wind, 1.0, rain
        return air, humid, wind, cloud, rain
