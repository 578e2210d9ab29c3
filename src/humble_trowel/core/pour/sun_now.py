"""Which zones lie in the sun at a minute, and until when. Minutes after the first truck should stand there; shares of a zone's area."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.weather.shade import Moment, SunDay, side_words

DAY_MIN = 24 * 60
HALF = 0.5


@dataclass(frozen=True)
class ZoneSun:
    """A zone now. sun_share: of it that lies in the sun. turns_min: when most of it changes over, None where it does not that day."""

    sun_share: float
    turns_min: float | None

    @property
    def sunny(self) -> bool:
        """Most of it lies in the sun."""
        return self.sun_share > HALF


@dataclass(frozen=True)
class SunNow:
    """The sun at a minute. up: it stands over the horizon. shade: rings about the slab, even-odd. zones: in their order."""

    up: bool
    elevation_deg: float
    side: str
    azimuth_deg: float
    shade: list[list[XY]]
    zones: list[ZoneSun]


def sun_now(sun: SunDay, start_h: float, now_min: float) -> SunNow:
    """start_h: of the first truck, on the clock of the day; the sun of the days about is as good as the same."""
    hour = (start_h + now_min / 60) % 24
    rows = sun.moments
    at = min(range(len(rows)), key=lambda one: abs(rows[one].hour_h - hour))
    here = rows[at]
    later = rows[at + 1 :]
    zones = [_zone(here, later, zone, hour, now_min) for zone in range(len(here.shares))]
    return SunNow(
        here.elevation_deg > 0, here.elevation_deg, side_words(here.azimuth_deg), here.azimuth_deg,
        here.shade if here.elevation_deg > 0 else [], zones,
    )  # fmt: skip


def _zone(here: Moment, later: Sequence[Moment], zone: int, hour: float, now_min: float) -> ZoneSun:
    sunny = here.shares[zone] > HALF
    turn = next((one for one in later if (one.shares[zone] > HALF) is not sunny), None)
    return ZoneSun(here.shares[zone], None if turn is None else now_min + (turn.hour_h - hour) * 60)
