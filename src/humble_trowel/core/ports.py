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


PlantFault = Literal["late", "wrong-mix", "loses", "down", "silent"]


@dataclass(frozen=True)
class PlantOrder:
    """A load as it is asked of a plant. due_at, said_at: ISO with their offset."""

    job: str
    m3: float
    strength_mpa: float
    due_at: str
    said_at: str


@dataclass(frozen=True)
class PlantReply:
    """What a plant answers. kind held: it has the order under a number and reads it back; refused: it will not; unknown: it has no such order;
    silent: nobody answers. who: the name that answered. due_at: when the load is to stand on site, ISO. why: in its own words."""

    kind: Literal["held", "refused", "unknown", "silent"]
    number: str = ""
    who: str = ""
    m3: float | None = None
    strength_mpa: float | None = None
    due_at: str = ""
    why: str = ""


class Dispatch(Protocol):
    """Whoever takes orders at the plant. `order` goes with `ask` so that a stand-in need not remember it; a real one goes by the number."""

    def call(self, order: PlantOrder) -> PlantReply: ...

    def ask(self, number: str, order: PlantOrder, now: str) -> PlantReply: ...


ProbeFault = Literal["drops", "drifts", "pulled"]


@dataclass(frozen=True)
class ProbeLine:
    """A reading of a probe in the concrete. at: ISO."""

    at: str
    temp_c: float


class Probe(Protocol):
    """A probe cast into the slab. `read` gives what it kept between two times, oldest first."""

    def read(self, since: str, until: str) -> list[ProbeLine]: ...
