"""Heat in a slab and in what it lies on, through its thickness alone: when it sets, may be sawn, is safe from frost. Metres, C, hours after
batching, W/m2.

Finite volumes about nodes, implicit in time; hydration gives heat where it is. Edges and corners are colder than this. The set times carry
the spread of the activation energy, about a fifth: the order of two cases is firmer than either.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.linalg import solve_banded

from humble_trowel.core.heat.hydration import (
    FINAL,
    FINAL_PSI,
    FOOTPRINT_PSI,
    INITIAL,
    LABORATORY_C,
    NEEDLE_PSI,
    ZERO_K,
    Paste,
    age_h,
    rate,
    shape,
    tau_h,
    ultimate_share,
)
from humble_trowel.core.heat.strength import heat_j_g

Array = NDArray[np.float64]
SIGMA = 5.670374e-8
ABSORBS, EMITS = 0.65, 0.90
VAPOUR_J_KG = 2.45e6
STEP_S = 60.0
TOP_INCH_M = 0.0254
FIRST_WATER_KG, LATER_SHARE = 1.0, 0.3
SAW_PSI, SAFE_PSI, PSI_MPA = 300.0, 500.0, 0.00689475729
SAW_HOURS_H, SAW_DROP_C = 18.0, 8.0


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
class Air:
    """What is over the slab at an hour: air, humidity, wind at the slab, what falls on it, and what the sky sends, W/m2."""

    temp_c: float
    humid_share: float
    wind_ms: float
    sun_w_m2: float
    sky_w_m2: float


@dataclass(frozen=True)
class Cover:
    """A blanket from an hour on. r_m2_k_w: how well it insulates."""

    r_m2_k_w: float
    from_h: float


@dataclass(frozen=True)
class Poured:
    """The slab as it is placed. layers: from the top, the concrete first. placed_h: its age then; clock_h: what the clock reads then. at_28_mpa, slow_days: its curve.
    dries: kg/m2/h at (air C, humid share, surface C, wind km/h)."""

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
    air: Callable[[float], Air]
    dries: Callable[[float, float, float, float], float]
    cover: Cover | None = None


@dataclass(frozen=True)
class Warmed:
    """What came of it; hours after batching, None where not reached. peak_c: of the slab's mean; least_c: of any node before it is safe."""

    initial_h: float | None
    final_h: float | None
    initial_below_h: float | None
    float_h: float | None
    early_saw_h: float | None
    saw_from_h: float | None
    saw_until_h: float | None
    safe_h: float | None
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


@dataclass(frozen=True)
class _Grid:
    depth_m: Array
    conducts: Array  # between each two nodes, W/m2K
    holds: Array  # of each node, J/m2K
    concrete: int  # nodes of it


def _grid(poured: Poured) -> _Grid:
    """Nodes at every border, close in the concrete, farther apart in the ground."""
    spans: list[tuple[float, Stuff]] = []
    for at, layer in enumerate(poured.layers):
        count = max(4, round(layer.thick_m / (0.004 if at == 0 else 0.008)))
        spans += [(layer.thick_m / count, layer.stuff)] * count
        if at == 0:
            concrete = count + 1
    size, left = 0.015, poured.soil_m
    while left > 1e-9:
        step = min(size, left)
        spans.append((step, poured.soil))
        left -= step
        size *= 1.18
    steps = np.array([span for span, _ in spans])
    conducts = np.array([stuff.k_w_m_k for _, stuff in spans]) / steps
    half = np.array([stuff.density_kg_m3 * stuff.heat_j_kg_k for _, stuff in spans]) * steps / 2
    holds = np.concatenate([half, [0.0]]) + np.concatenate([[0.0], half])
    return _Grid(np.concatenate([[0.0], np.cumsum(steps)]), conducts, holds, concrete)


class _Curve:
    """How the paste hydrates, made quick for many nodes."""

    def __init__(self, poured: Poured) -> None:
        paste = poured.paste
        self.tau, self.beta, self.whole = tau_h(paste), shape(paste), ultimate_share(paste)
        self.per_k = math.log(rate(paste, 31.1) / rate(paste, 21.1)) / (1 / (21.1 + ZERO_K) - 1 / (31.1 + ZERO_K))
        self.heat_j_m3 = heat_j_g(paste) * 1000 * poured.binder_kg_m3
        self.initial, self.final = (age_h(paste, self.tau, part) for part in (INITIAL, FINAL))
        self.power = math.log(FINAL_PSI / NEEDLE_PSI) / math.log(self.final / self.initial)
        self.print = self.initial * math.pow(FOOTPRINT_PSI / NEEDLE_PSI, 1 / self.power)
        self.laboratory = rate(paste, LABORATORY_C)
        self.poured = poured

    def speed(self, temps: Array) -> Array:
        """Equivalent hours in an hour."""
        return np.asarray(np.exp(self.per_k * (1 / (21.1 + ZERO_K) - 1 / (temps + ZERO_K))))

    def share(self, ages: Array) -> Array:
        """How far it has hydrated."""
        return np.asarray(self.whole * np.exp(-np.power(self.tau / ages, self.beta)))

    def strength_mpa(self, age: float) -> float:
        """By the curve, from final set on."""
        own = self.poured
        days = max(0.0, (age - self.final) / self.laboratory / 24)
        return own.at_28_mpa * days / (own.slow_days + (1 - own.slow_days / 28) * days)


def _surface(
    poured: Poured, air: Air, top_c: float, gone_kg: float, *, covered: bool, cured: bool
) -> tuple[float, float, float]:
    """(W/m2 at the old surface temperature, W/m2 less for each degree more, kg/m2 an hour that dries)."""
    kelvin, outside = air.temp_c + ZERO_K, 4 + 4 * air.wind_ms
    if covered:
        assert poured.cover is not None
        film = outside + 3.6 * SIGMA * kelvin**3
        over = air.temp_c + (ABSORBS * air.sun_w_m2 + EMITS * (air.sky_w_m2 - SIGMA * kelvin**4)) / film
        through = 1 / (1 / film + poured.cover.r_m2_k_w)
        return through * (over - top_c), through, 0.0
    top = top_c + ZERO_K
    dried = max(0.0, poured.dries(air.temp_c, air.humid_share, top_c, air.wind_ms * 3.6))
    dried *= 0.0 if cured else LATER_SHARE if gone_kg >= FIRST_WATER_KG else 1.0
    flux = ABSORBS * air.sun_w_m2 + EMITS * (air.sky_w_m2 - SIGMA * top**4) + outside * (air.temp_c - top_c)
    return flux - VAPOUR_J_KG * dried / 3600, 4 * EMITS * SIGMA * top**3 + outside, dried


def warmed(poured: Poured, hours: float) -> Warmed:
    """The slab hour by hour. hours: from placing."""
    grid, curve = _grid(poured), _Curve(poured)
    n, own = len(grid.depth_m), grid.concrete
    thick = grid.depth_m[own - 1]
    below = (grid.depth_m - thick) / (grid.depth_m[-1] - thick)
    temps = np.where(np.arange(n) < own, poured.placed_c, poured.base_c + below * (poured.deep_c - poured.base_c))
    fresh = poured.layers[0].stuff.density_kg_m3 * poured.layers[0].stuff.heat_j_kg_k * grid.depth_m[1] / 2
    share = fresh / grid.holds[own - 1]  # the border holds as much heat as concrete and base bring to it
    temps[own - 1] = share * poured.placed_c + (1 - share) * poured.base_c
    ages = np.full(own, poured.placed_h * rate(poured.paste, poured.placed_c))
    shares = curve.share(ages)
    volumes = np.full(own, grid.depth_m[1])
    volumes[[0, -1]] /= 2
    watch = _Watch(curve, grid, poured)
    watch.peak = float(temps[:own] @ watch.weights)
    gone = 0.0
    band = np.zeros((3, n))
    for step in range(round(hours * 3600 / STEP_S)):
        at_h = poured.placed_h + step * STEP_S / 3600
        covered = poured.cover is not None and at_h >= poured.cover.from_h
        air = poured.air(poured.clock_h + step * STEP_S / 3600)
        flux, slope, dried = _surface(poured, air, float(temps[0]), gone, covered=covered, cured=watch.cured)
        gone += dried * STEP_S / 3600
        ages = ages + curve.speed(temps[:own]) * STEP_S / 3600
        after = curve.share(ages)
        heat = np.zeros(n)
        heat[:own] = curve.heat_j_m3 * (after - shares) * volumes / STEP_S
        shares = after
        heat[0] += flux + slope * temps[0]
        main = grid.holds / STEP_S
        band[1] = main
        band[1, :-1] += grid.conducts
        band[1, 1:] += grid.conducts
        band[1, 0] += slope
        band[0, 1:], band[2, :-1] = -grid.conducts, -grid.conducts
        right = main * temps + heat
        band[1, -1], band[2, -2], right[-1] = 1.0, 0.0, poured.deep_c
        temps = solve_banded((1, 1), band, right)
        watch.look(at_h + STEP_S / 3600, temps[:own], ages)
    return watch.told()


class _Watch:
    """Notes when things happen."""

    def __init__(self, curve: _Curve, grid: _Grid, poured: Poured) -> None:
        self.curve, self.poured = curve, poured
        self.inch = int(np.sum(grid.depth_m[: grid.concrete] <= TOP_INCH_M + 1e-9))
        self.weights = np.ones(grid.concrete)
        self.weights[[0, -1]] = 0.5
        self.weights /= self.weights.sum()
        self.when: dict[str, float] = {}
        self.peak = self.late_peak = -1e9
        self.least, self.day = 1e9, (0.0, 0.0)

    @property
    def cured(self) -> bool:
        """It is kept wet from the final set of its top inch on: nothing dries any more."""
        return "early" in self.when

    def _note(self, name: str, hour: float, reached: bool) -> None:
        if reached:
            self.when.setdefault(name, hour)

    def look(self, hour: float, temps: Array, ages: Array) -> None:
        """One step."""
        curve, inch = self.curve, float(ages[: self.inch].mean())
        mean = float(temps @ self.weights)
        self.peak = max(self.peak, mean)
        self._note("initial", hour, ages[0] >= curve.initial)
        self._note("final", hour, ages[0] >= curve.final)
        self._note("below", hour, ages[-1] >= curve.initial)
        self._note("float", hour, inch >= curve.print)
        self._note("early", hour, inch >= curve.final)
        self._note("saw", hour, curve.strength_mpa(inch) >= SAW_PSI * PSI_MPA)
        if "early" in self.when:
            self.late_peak = max(self.late_peak, mean)
            self._note("cooled", hour, mean <= self.late_peak - SAW_DROP_C)
        if "safe" not in self.when:
            self.least = min(self.least, float(temps.min()))
        self._note("safe", hour, curve.strength_mpa(float(ages.min())) >= SAFE_PSI * PSI_MPA)
        if abs(hour - self.poured.placed_h - 24) < STEP_S / 7200:
            self.day = (float(temps[0]), float(temps[-1]))

    def told(self) -> Warmed:
        """All of it."""
        early = self.when.get("early")
        closes = None if early is None else min(early + SAW_HOURS_H, self.when.get("cooled", math.inf))
        return Warmed(
            self.when.get("initial"), self.when.get("final"), self.when.get("below"), self.when.get("float"), early, self.when.get("saw"),
            closes, self.when.get("safe"), self.peak, *self.day, self.least,
        )  # fmt: skip
