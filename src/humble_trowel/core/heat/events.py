"""When things happen to a slab, read off its traces: straight between steps. Hours after batching; None where not reached."""

from __future__ import annotations

import numpy as np

from humble_trowel.core.heat.columns import FINE, Fineness, Pastes
from humble_trowel.core.heat.slab import (
    PSI_MPA,
    SAFE_PSI,
    SAW_DROP_C,
    SAW_HOURS_H,
    SAW_PSI,
    Array,
    Poured,
    Traces,
    Warmed,
)
from humble_trowel.core.heat.solve import warmed_all


def first_over(hours: Array, values: Array, level: float) -> float | None:
    """When a row first reaches a level."""
    over = np.flatnonzero(values >= level)
    if not len(over):
        return None
    at = int(over[0])
    if at == 0:
        return float(hours[0])
    part = (level - values[at - 1]) / (values[at] - values[at - 1])
    return float(hours[at - 1] + part * (hours[at] - hours[at - 1]))


def days_to(poured: Poured, strength_mpa: float) -> float | None:
    """Days at 23 C beyond final set until so strong; None where it never is. f = f28 t / (a + b t), ACI 209."""
    steep = 1 - poured.slow_days / 28
    left = poured.at_28_mpa - steep * strength_mpa
    return poured.slow_days * strength_mpa / left if left > 0 else None


def age_of(poured: Poured, pastes: Pastes, strength_mpa: float) -> float:
    """Equivalent hours at which it is so strong; more than any where it never is."""
    days = days_to(poured, strength_mpa)
    return np.inf if days is None else float(pastes.final[0] + days * 24 * pastes.laboratory[0])


def told(poured: Poured, traces: Traces) -> Warmed:
    """Every event of one slab."""
    own, hours = Pastes([poured]), traces.age_h
    initial, final, leaves = float(own.initial[0]), float(own.final[0]), float(own.print[0])
    early = first_over(hours, traces.inch_eq_h, final)
    closes = None
    if early is not None:
        late = np.where(hours >= early, traces.mean_c, -np.inf)
        fallen = np.where(hours >= early, np.maximum.accumulate(late) - traces.mean_c, -1.0)
        cooled = first_over(hours, fallen, SAW_DROP_C)
        closes = min(early + SAW_HOURS_H, np.inf if cooled is None else cooled)
    safe = first_over(hours, traces.least_eq_h, age_of(poured, own, SAFE_PSI * PSI_MPA))
    before = hours <= (np.inf if safe is None else safe)
    ice = first_over(hours, np.where(before, -traces.least_c, -1.0), 0.0)
    day = poured.placed_h + 24
    return Warmed(
        first_over(hours, traces.top_eq_h, initial), first_over(hours, traces.top_eq_h, final),
        first_over(hours, traces.below_eq_h, initial), first_over(hours, traces.inch_eq_h, leaves), early,
        first_over(hours, traces.inch_eq_h, age_of(poured, own, SAW_PSI * PSI_MPA)), closes, safe, ice,
        float(traces.mean_c.max()), float(np.interp(day, hours, traces.top_c)), float(np.interp(day, hours, traces.below_c)),
        float(traces.least_c[before].min()),
    )  # fmt: skip


def warmed(poured: Poured, hours: float, fine: Fineness = FINE) -> Warmed:
    """One slab hour by hour. hours: from placing."""
    return told(poured, warmed_all([poured], hours, fine)[0])
