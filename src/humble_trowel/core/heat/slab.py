"""A slab as it is placed, and what came of it: heat through its thickness alone. Metres, C, hours after batching, W/m2.

Edges and corners are colder than this. Set times carry the spread of the activation energy, about a fifth: the order of two cases is
firmer than either. Source: ACI 306R and 305R for the limits, the surface as in the handbook's figures.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.heat.hydration import Paste

Array = NDArray[np.float64]
SIGMA = 5.670374e-8
SAW_PSI, SAFE_PSI, PSI_MPA = 300.0, 500.0, 0.00689475729
SAW_HOURS_H, SAW_DROP_C = 18.0, 8.0
TOP_INCH_M = 0.0254


@dataclass(frozen=True)
class Stuff:
    """What a layer is made of."""

    k_w_m_k: float
    density_kg_m3: float
    heat_j_kg_k: float


@dataclass(frozen=True)
class Layer:
    """A layer under the concrete, or the concrete itself: the first."""

    stuff: Stuff
    thick_m: float


@dataclass(frozen=True)
class Sky:
    """What is over the slab, by the hour of a clock that counts on past midnight; straight between. wind_ms: at the slab. sun_w_m2: what
    falls on it, sky_w_m2: what the sky sends. Before the first and after the last hour as there."""

    clock_h: Array
    temp_c: Array
    humid_share: Array
    wind_ms: Array
    sun_w_m2: Array
    sky_w_m2: Array

    def at(self, clock_h: Array) -> Sky:
        """At other hours."""
        rows = (self.temp_c, self.humid_share, self.wind_ms, self.sun_w_m2, self.sky_w_m2)
        return Sky(clock_h, *(np.interp(clock_h, self.clock_h, row) for row in rows))


@dataclass(frozen=True)
class Cover:
    """A blanket from an hour until another. r_m2_k_w: how well it insulates."""

    r_m2_k_w: float
    from_h: float
    until_h: float = np.inf


@dataclass(frozen=True)
class Poured:
    """The slab as it is placed. layers: from the top, the concrete first. placed_h: its age then; clock_h: what the clock reads then.
    at_28_mpa, slow_days: its curve. rate_ratio: how much faster it hydrates than its mix says. dry_share: how much of the drying is left
    under a film or fog."""

    paste: Paste
    binder_kg_m3: float
    at_28_mpa: float
    slow_days: float
    layers: Sequence[Layer]
    soil: Stuff
    soil_m: float
    placed_c: float
    base_c: float
    deep_c: float
    placed_h: float
    clock_h: float
    sky: Sky
    cover: Cover | None = None
    rate_ratio: float = 1.0
    dry_share: float = 1.0


@dataclass(frozen=True)
class Traces:
    """Of one slab, step by step; age_h: after batching. Equivalent hours at 21.1 C of its top, its top inch, its youngest node and its
    underside; C; rate_h: equivalent hours in an hour of the whole; dries: kg/m2/h."""

    age_h: Array
    top_eq_h: Array
    inch_eq_h: Array
    least_eq_h: Array
    below_eq_h: Array
    mean_c: Array
    top_c: Array
    below_c: Array
    least_c: Array
    dries_kg_m2_h: Array
    lost_j_m2: float
    """what went out by the surface and the deep ground less what hydration gave and what is kept: 0 where the balance closes"""
    made_j_m2: float


@dataclass(frozen=True)
class Warmed:
    """What came of it; hours after batching, None where not reached. peak_c: of the slab's mean; least_c: of any node before it is safe.
    freezes_h: ice before it was strong: no strength time means anything after that."""

    initial_h: float | None
    final_h: float | None
    initial_below_h: float | None
    float_h: float | None
    early_saw_h: float | None
    saw_from_h: float | None
    saw_until_h: float | None
    safe_h: float | None
    freezes_h: float | None
    peak_c: float
    surface_day_c: float
    below_day_c: float
    least_c: float

    @property
    def froze(self) -> bool:
        """Ice came before it was strong."""
        return self.least_c < 0

    @property
    def no_saw(self) -> bool:
        """A conventional saw would come too late: early-entry sawing."""
        return self.saw_from_h is not None and self.saw_until_h is not None and self.saw_from_h > self.saw_until_h
