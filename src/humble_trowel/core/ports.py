"""What the program expects of devices outside it. A stand-in and a real device both fit behind these."""

from __future__ import annotations

from dataclasses import dataclass
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
