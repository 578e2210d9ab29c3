"""A simulated probe in the concrete: seeded, near what the model says, able to drop out, drift or be pulled.

Wire format: docs/formats/probe.md.
"""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime, timedelta

import numpy as np

from humble_trowel.core.ports import ProbeFault, ProbeLine

EVERY_MIN = 10
SIGMA_C, OFF_C = 0.15, 1.2
DRIFT_C_H = 0.12
DROPS_SHARE, DROP_H = 0.35, 6.0


class StandInProbe:
    """A Probe that lies in concrete of a known warmth. truth_c: of a time."""

    def __init__(
        self,
        truth_c: Callable[[datetime], float],
        air_c: Callable[[datetime], float],
        seed: int,
        fault: ProbeFault | None = None,
    ) -> None:
        self._truth, self._air, self.seed, self.fault = truth_c, air_c, seed, fault
        self._off = float(np.random.default_rng([seed, 17]).uniform(-OFF_C, OFF_C))

    def read(self, since: str, until: str) -> list[ProbeLine]:
        """Every ten minutes, on the ten minutes."""
        begin, end = datetime.fromisoformat(since), datetime.fromisoformat(until)
        first = begin.replace(minute=begin.minute // EVERY_MIN * EVERY_MIN, second=0, microsecond=0)
        rows, at = [], first
        while at <= end:
            if at > begin and not self._silent(at):
                rows.append(ProbeLine(at.isoformat(timespec="minutes"), round(self._value(at, begin), 1)))
            at += timedelta(minutes=EVERY_MIN)
        return rows

    def _value(self, at: datetime, begin: datetime) -> float:
        draw = np.random.default_rng([self.seed, int(at.timestamp()) // 600])
        value = self._truth(at) + self._off + float(draw.normal(0, SIGMA_C))
        hours = (at - begin).total_seconds() / 3600
        if self.fault == "drifts":
            value += DRIFT_C_H * hours
        if self.fault == "pulled" and hours > 1:
            value = self._air(at) + float(draw.normal(0, SIGMA_C))
        return value

    def _silent(self, at: datetime) -> bool:
        if self.fault != "drops":
            return False
        block = int(at.timestamp() // (DROP_H * 3600))
        return float(np.random.default_rng([self.seed, block, 5]).uniform()) < DROPS_SHARE
