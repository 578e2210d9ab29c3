"""What prints tell of how fast concrete sets: a factor that all concrete of the day shares, one of each place and one of each load.

The log of how fast a cast sets against its model is shared + place + load, each normal. A print of a quarter inch says where that log is, within
what a heel can tell; "too soft" and "no print" say on which side of it, kept as a normal of the same mean and spread. So a print in one zone
moves other zones by what they share alone.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.day.casts import Cast
from humble_trowel.core.heat.slab import Array
from humble_trowel.core.plan.day_ways import DayWays
from humble_trowel.core.weather.records import Seen

WIDE = 1.2815515655446004  # four days in five stay within


@dataclass(frozen=True)
class Print:
    """What was seen of a cast. log_ratio: how fast it would set if that very moment left a print of a quarter inch."""

    zone: str
    truck: int
    seen: Seen
    log_ratio: float


@dataclass(frozen=True)
class Pace:
    """How fast a cast sets against its model: the middle, and its spread in the log."""

    pace_ratio: float
    sd_share: float

    def fast(self) -> float:
        """One day in ten it is faster."""
        return self.pace_ratio * math.exp(WIDE * self.sd_share)

    def slow(self) -> float:
        """One day in ten it is slower."""
        return self.pace_ratio * math.exp(-WIDE * self.sd_share)


class Belief:
    """What is thought of every cast's pace, after any prints."""

    def __init__(self, casts: Sequence[Cast], ways: DayWays) -> None:
        self._zones = list(dict.fromkeys(cast.zone for cast in casts))
        self._trucks = sorted({cast.truck for cast in casts})
        self._ways = ways
        self.mean = np.zeros(1 + len(self._zones) + len(self._trucks))
        self.mean[0] = math.log(ways.set_ratio)
        spread = [
            ways.set_sd_share,
            *[ways.zone_sd_share] * len(self._zones),
            *[ways.truck_sd_share] * len(self._trucks),
        ]
        self.var = np.diag(np.square(spread))

    def _of(self, zone: str, truck: int) -> Array:
        row = np.zeros(len(self.mean))
        row[0] = row[1 + self._zones.index(zone)] = row[1 + len(self._zones) + self._trucks.index(truck)] = 1.0
        return row

    def pace(self, zone: str, truck: int) -> Pace:
        """Of one cast."""
        row = self._of(zone, truck)
        return Pace(math.exp(float(row @ self.mean)), math.sqrt(float(row @ self.var @ row)))

    @property
    def shared(self) -> Pace:
        """Of all concrete of the day: the lesson for the mix and the plant."""
        return Pace(math.exp(float(self.mean[0])), math.sqrt(float(self.var[0, 0])))

    def learn(self, seen: Print) -> None:
        """Take one print in."""
        row = self._of(seen.zone, seen.truck)
        mean, var, noise = float(row @ self.mean), float(row @ self.var @ row), self._ways.print_sd_share**2
        after, left = _after(mean, var, noise, seen)
        gain = self.var @ row / var
        self.mean = self.mean + gain * (after - mean)
        self.var = self.var - np.outer(gain, gain) * (var - left)


def _after(mean: float, var: float, noise: float, seen: Print) -> tuple[float, float]:
    """(mean, variance) of a cast's own log after it was seen."""
    whole = var + noise
    if seen.seen == "print":
        return mean + var / whole * (seen.log_ratio - mean), var * noise / whole
    side = -1.0 if seen.seen == "soft" else 1.0
    far = side * (mean - seen.log_ratio) / math.sqrt(whole)
    hazard = _hazard(far)
    return mean + side * var / math.sqrt(whole) * hazard, var * (1 - var / whole * hazard * (hazard + far))


def _hazard(far: float) -> float:
    """Density over what lies on this side, of a standard normal."""
    if far < -30:
        return -far
    return math.exp(-far * far / 2) / math.sqrt(2 * math.pi) / (math.erfc(-far / math.sqrt(2)) / 2)
