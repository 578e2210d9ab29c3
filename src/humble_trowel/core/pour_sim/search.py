"""How far apart trucks come for the least money, and what luck does to a day."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from humble_trowel.core.pour_sim.pour import Pour, Poured
from humble_trowel.core.pour_sim.simulate import Luck, simulate

SPACINGS = tuple(range(4, 61))
COLD_JOINT_CENTS = 150_000.0
LATE_CENTS_M2 = 300.0 / 0.09290304
LEAST_TRAVEL_MIN, LEAST_PACE = 3.0, 0.5


@dataclass(frozen=True)
class Tried:
    """A spacing and what it comes to. objective_cents: with what cold joints and late finish are held to cost."""

    spacing_min: float
    objective_cents: float
    poured: Poured


@dataclass(frozen=True)
class Dearer:
    """What a cold joint, and a m2 that is finished too late, are held to cost."""

    cold_joint_cents: float = COLD_JOINT_CENTS
    late_cents_m2: float = LATE_CENTS_M2


def spaced(pour: Pour, spacing_min: float, dear: Dearer) -> Tried:
    """The pour with another spacing."""
    found = simulate(replace(pour, loads=replace(pour.loads, spacing_min=spacing_min)))
    objective = found.cost_cents + dear.cold_joint_cents * found.cold_joints + dear.late_cents_m2 * found.late_m2
    return Tried(spacing_min, objective, found)


def every_spacing(pour: Pour, dear: Dearer = Dearer(), spacings: Sequence[float] = SPACINGS) -> list[Tried]:
    """Every spacing tried."""
    return [spaced(pour, float(spacing), dear) for spacing in spacings]


def best(rows: Sequence[Tried]) -> Tried:
    """The cheapest; of equals the one where trucks wait least, then the closest."""
    return min(rows, key=lambda row: (round(row.objective_cents, 4), round(row.poured.wait_min, 6), row.spacing_min))


def lucky(pour: Pour, seed: int, travel_sd_min: float, pace_sd_share: float) -> Poured:
    """A day by chance: roads and unloading vary about the plan. The same seed gives the same day."""
    chance = np.random.default_rng(seed)
    count = len(pour.loads.load_m3)
    travel = tuple(
        max(LEAST_TRAVEL_MIN, one) for one in chance.normal(pour.loads.travel_min, travel_sd_min, count).tolist()
    )
    pace = tuple(max(LEAST_PACE, one) for one in chance.normal(1.0, pace_sd_share, count).tolist())
    return simulate(pour, Luck(travel, pace))
