"""A simulated gauge on a line, or level in its stand-pipe: seeded, able to leak slowly, be read wrongly or come off.

Wire format: docs/formats/gauge.md.
"""

from __future__ import annotations

from typing import Literal

import numpy as np

from humble_trowel.core.ports import GaugeFault, GaugeLine

SIGMA = {"kPa": 0.2, "mm": 0.3}
LEAK_PER_MIN = {"kPa": 1.4, "mm": 2.2}
OVER = {"kPa": 14.0, "mm": 25.0}  # how much more than asked it is filled to
MISREAD = {"kPa": 68.9, "mm": -304.8}  # the wrong ring of the dial, the wrong foot of the pipe


class StandInGauge:
    """A Gauge on a line that was filled a little over what is asked."""

    def __init__(self, need: float, unit: Literal["kPa", "mm"], seed: int) -> None:
        self.unit: Literal["kPa", "mm"] = unit
        self._dice = np.random.default_rng([seed, 41])
        self._start = need + OVER[unit] * float(self._dice.uniform(0.6, 1.0))
        self.fault: GaugeFault | None = None
        self._n = 0

    def misbehave(self, fault: GaugeFault | None) -> None:
        """Begin a fault, or end them all."""
        self.fault = fault

    def read(self, after_s: float) -> GaugeLine:
        if self.fault == "unplugged":
            return GaugeLine("no-reading", self._n, None, self.unit, "unplugged")
        value = self._start + float(np.clip(self._dice.normal(0.0, SIGMA[self.unit]), -0.5, 0.5))
        if self.fault == "leak":
            value -= LEAK_PER_MIN[self.unit] * max(0.0, after_s) / 60
        if self.fault == "misread":
            value += MISREAD[self.unit]
        self._n += 1
        return GaugeLine("reading", self._n, round(max(0.0, value) if self.unit == "kPa" else value, 1), self.unit)
