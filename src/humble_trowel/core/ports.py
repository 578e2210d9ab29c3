"""What the program expects of devices outside it. A stand-in and a real device both fit behind these."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Literal, Protocol

LaserFault = Literal["tilt", "mud", "bump", "battery"]


@dataclass(frozen=True)
class LaserLine:
    """One line from a receiver. kind reading: the beam was found, reading_mm up the rod. kind no-beam: why not.

    sigma_mm: scatter that the device states. n: of readings so far."""

    kind: Literal["reading", "no-beam"]
    n: int
    reading_mm: float | None
    sigma_mm: float
    battery_percent: int
    why: str = ""


class LaserReceiver(Protocol):
    """A receiver on a rod. `stand_at` says where the crew holds it; a real receiver ignores that."""

    def stand_at(self, x_mm: float, y_mm: float) -> None: ...

    def stand_on(self, mark: str) -> None: ...

    def shoot(self) -> LaserLine: ...


GaugeFault = Literal["leak", "misread", "unplugged"]


@dataclass(frozen=True)
class GaugeLine:
    """One line from a gauge, or from a level in a stand-pipe. kind reading: value of `unit`, kPa or mm of water over the
    floor. kind no-reading: why not."""

    kind: Literal["reading", "no-reading"]
    n: int
    value: float | None
    unit: Literal["kPa", "mm"]
    why: str = ""


class Gauge(Protocol):
    """A gauge on a line, or a level in its stand-pipe. `read` says how long after filling; a real one ignores that."""

    def read(self, after_s: float) -> GaugeLine: ...


WeatherTurn = Literal["wind", "front", "heat", "frost"]


@dataclass(frozen=True)
class ForecastLine:
    """An hour as a feed says it. at: ISO, in UTC. Wind at 10 m. usual: beyond a week, what that time of year usually does."""

    at: str
    air_c: float
    humid_share: float
    wind_ms: float
    cloud_okta: float
    rain_mm: float
    usual: bool


class WeatherFeed(Protocol):
    """Whoever forecasts. `issued` is now; a real feed ignores it."""

    def hours(
        self, latitude_deg: float, longitude_deg: float, start: datetime, count: int, issued: datetime
    ) -> list[ForecastLine]: ...
