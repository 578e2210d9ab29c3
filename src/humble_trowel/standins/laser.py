"""A simulated laser receiver: seeded, with the laser's stated accuracy, and able to misbehave on request.

The ground it stands on is the design of a layer with errors of its own: it lies a little low all over, waves gently,
and has one planted high spot. Wire format: docs/formats/laser.md.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
import shapely

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.ground.layer_shots import Ground
from humble_trowel.core.plan.ground_ways import Laser
from humble_trowel.core.ports import LaserFault, LaserLine

TILT_DEG = 6.0
MUD_MM = 25.4
BUMP_MM = 9.5
BUMP_AFTER = 5
BATTERY_LASTS = 3
HIGH_SPOT_MM = 19.0
HIGH_SPOT_ACROSS_MM = 1100.0


@dataclass(frozen=True)
class SimulatedGround:
    """Errors of the ground against its design: low_mm all over, waves, and a high spot at `spot`."""

    grounds: Sequence[Ground]
    spot: XY
    low_mm: float
    waves: tuple[tuple[float, float, float, float], ...]

    def level_at(self, x: float, y: float) -> float:
        """Level of the ground at a plan point, mm over the finished top."""
        point = shapely.Point(x, y)
        near = min(self.grounds, key=lambda ground: ground.cell.region.distance(point))
        return near.level_at((x, y)) + self.error_at(x, y)

    def error_at(self, x: float, y: float) -> float:
        """How far the ground is over its design, mm."""
        wavy = sum(size * math.sin(kx * x + ky * y + turn) for size, kx, ky, turn in self.waves)
        away = math.hypot(x - self.spot[0], y - self.spot[1])
        return self.low_mm + wavy + HIGH_SPOT_MM * math.exp(-((away / HIGH_SPOT_ACROSS_MM) ** 2))


def simulated_ground(grounds: Sequence[Ground], seed: int) -> SimulatedGround:
    """Ground for a layer. The high spot lies in the largest zone, toward its north-west corner."""
    dice = np.random.default_rng(seed)
    largest = max(grounds, key=lambda ground: float(sum(f.region.area for f in ground.facets)))
    x0, y0, x1, y1 = largest.cell.region.bounds
    wanted = shapely.Point(x0 + 0.2 * (x1 - x0), y0 + 0.8 * (y1 - y0))
    inside = shapely.union_all([facet.region for facet in largest.facets]).buffer(-400)
    spot = wanted if inside.is_empty else shapely.get_geometry(shapely.shortest_line(inside, wanted), 0)
    at = shapely.get_coordinates(spot)[0]
    waves = tuple(
        (
            float(dice.uniform(0.6, 1.4)),
            *(float(v) for v in dice.uniform(-1, 1, 2) / 1500),
            float(dice.uniform(0, 6.28)),
        )
        for _ in range(4)
    )
    return SimulatedGround(grounds, (float(at[0]), float(at[1])), -2.5, waves)  # type: ignore[arg-type]


class StandInLaser:
    """A LaserReceiver on simulated ground. marks: levels of benchmarks and turning points by name."""

    def __init__(
        self, ground: SimulatedGround, marks: Mapping[str, float], laser: Laser, seed: int, stand: int
    ) -> None:
        self.ground, self.marks, self.laser = ground, dict(marks), laser
        self._dice = np.random.default_rng([seed, stand])
        self.line_mm = float(np.random.default_rng([seed, 977, stand]).uniform(1150, 1450))
        self.tripod: XY = ground.spot
        self.fault: LaserFault | None = None
        self._since = 0
        self._n = 0
        self._battery = 96.0
        self._level: float = 0.0
        self._at: XY = ground.spot

    def misbehave(self, fault: LaserFault | None) -> None:
        """Begin a fault, or end them all (a bumped tripod stays bumped)."""
        if self.fault == "bump" and self._since >= BUMP_AFTER and fault != "bump":
            self.line_mm -= BUMP_MM
        self.fault, self._since = fault, 0

    def stand_at(self, x_mm: float, y_mm: float) -> None:
        self._at = (x_mm, y_mm)
        self._level = self.ground.level_at(x_mm, y_mm)

    def stand_on(self, mark: str) -> None:
        self._at, self._level = self.tripod, self.marks[mark]

    def shoot(self) -> LaserLine:
        sigma = self.laser.accuracy_mm / 2 * max(1.0, math.dist(self._at, self.tripod) / self.laser.accuracy_at_mm)
        self._since += 1
        self._battery = max(4.0, self._battery - 0.2)
        if self.fault == "battery":
            self._battery = max(0.0, 3.0 - self._since)
            if self._since > BATTERY_LASTS:
                return LaserLine("no-beam", self._n, None, sigma, 0, "battery")
        line = self.line_mm - (BUMP_MM if self.fault == "bump" and self._since > BUMP_AFTER else 0.0)
        reading = line - self._level + float(self._dice.normal(0.0, sigma))
        if self.fault == "tilt":
            reading /= math.cos(math.radians(TILT_DEG))
        if self.fault == "mud":
            reading -= MUD_MM
        if not 0 < reading <= self.laser.rod_mm:
            return LaserLine("no-beam", self._n, None, sigma, round(self._battery), "off the rod")
        self._n += 1
        return LaserLine("reading", self._n, round(reading, 1), round(sigma, 2), round(self._battery))
