"""Slabs as columns of nodes, ready to be solved together: where nodes lie, what they conduct and hold, how their pastes hydrate."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.heat.hydration import (
    FINAL,
    FINAL_PSI,
    FOOTPRINT_PSI,
    INITIAL,
    LABORATORY_C,
    NEEDLE_PSI,
    REFERENCE_C,
    ZERO_K,
    activation_j_mol,
    age_h,
    rate,
    shape,
    tau_h,
    ultimate_share,
)
from humble_trowel.core.heat.hydration import GAS_J_MOL_K as GAS
from humble_trowel.core.heat.slab import TOP_INCH_M, Array, Poured, Stuff
from humble_trowel.core.heat.strength import heat_j_g

LAYER_CELL_M, SOIL_CELL_M, GROWS = 0.012, 0.015, 1.18


@dataclass(frozen=True)
class Fineness:
    """How finely it is cut: cells of concrete, of a layer at least, and minutes of a step, early and late. late_h: from when on."""

    cells: int = 26
    layer_cells: int = 4
    step_min: float = 3.0
    late_step_min: float = 12.0
    late_h: float = 20.0


FINE = Fineness()
QUICK = Fineness(12, 3, 10.0, 30.0, 16.0)


@dataclass(frozen=True)
class Grid:
    """A stack of nodes from the top. conducts: between each two, W/m2K; holds: of each, J/m2K."""

    depth_m: Array
    conducts: Array
    holds: Array


def grid_of(poured: Poured, fine: Fineness) -> Grid:
    """Nodes at every border, close in the concrete, farther apart in the ground."""
    spans: list[tuple[float, Stuff]] = []
    for at, layer in enumerate(poured.layers):
        count = (
            fine.cells if at == 0 else max(fine.layer_cells, round(layer.thick_m / LAYER_CELL_M * fine.layer_cells / 4))
        )
        spans += [(layer.thick_m / count, layer.stuff)] * count
    size, left = SOIL_CELL_M * 4 / fine.layer_cells, poured.soil_m
    while left > 1e-9:
        step = min(size, left)
        spans.append((step, poured.soil))
        left -= step
        size *= math.pow(GROWS, 4 / fine.layer_cells)
    steps = np.array([span for span, _ in spans])
    half = np.array([stuff.density_kg_m3 * stuff.heat_j_kg_k for _, stuff in spans]) * steps / 2
    conducts = np.array([stuff.k_w_m_k for _, stuff in spans]) / steps
    return Grid(
        np.concatenate([[0.0], np.cumsum(steps)]),
        conducts,
        np.concatenate([half, [0.0]]) + np.concatenate([[0.0], half]),
    )


def begins(poured: Poured, grid: Grid, cells: int) -> Array:
    """Temperatures as it is placed: the concrete's, and the ground's from the base's to the deep one's."""
    thick = grid.depth_m[cells]
    below = (grid.depth_m - thick) / (grid.depth_m[-1] - thick)
    temps = np.where(
        np.arange(len(below)) <= cells, poured.placed_c, poured.base_c + below * (poured.deep_c - poured.base_c)
    )
    stuff = poured.layers[0].stuff
    fresh = stuff.density_kg_m3 * stuff.heat_j_kg_k * thick / cells / 2
    share = fresh / grid.holds[cells]  # the border holds as much heat as concrete and base bring to it
    temps[cells] = share * poured.placed_c + (1 - share) * poured.base_c
    return np.asarray(temps)


class Pastes:
    """How the pastes of many slabs hydrate, a row each."""

    def __init__(self, rows: Sequence[Poured]) -> None:
        def of(values: Sequence[float]) -> Array:
            return np.array(values, dtype=np.float64)

        pastes = [row.paste for row in rows]
        self.tau = of([tau_h(one) for one in pastes])
        self.beta = of([shape(one) for one in pastes])
        self.whole = of([ultimate_share(one) for one in pastes])
        self.per_k = of([activation_j_mol(one) / GAS for one in pastes])
        self.heat_j_m3 = of([heat_j_g(row.paste) * 1000 * row.binder_kg_m3 for row in rows])
        self.initial = of([age_h(one, tau_h(one), INITIAL) for one in pastes])
        self.final = of([age_h(one, tau_h(one), FINAL) for one in pastes])
        power = np.log(FINAL_PSI / NEEDLE_PSI) / np.log(self.final / self.initial)
        self.print = self.initial * np.power(FOOTPRINT_PSI / NEEDLE_PSI, 1 / power)
        self.laboratory = of([rate(one, LABORATORY_C) for one in pastes])
        self.ratio = of([row.rate_ratio for row in rows])
        self.begin = of([row.placed_h * rate(row.paste, row.placed_c) * row.rate_ratio for row in rows])
        self._base = self.per_k / (REFERENCE_C + ZERO_K) + np.log(self.ratio)

    def speed(self, temps: Array) -> Array:
        """Equivalent hours in an hour."""
        return np.asarray(np.exp(self._base - self.per_k / (temps + ZERO_K)))

    def share(self, ages: Array) -> Array:
        """How far it has hydrated."""
        return np.asarray(self.whole * np.exp(-np.exp(self.beta * np.log(self.tau / ages))))


def inch_weights(depth_m: Array) -> Array:
    """Weights of nodes whose sum is the mean over the top inch, straight between nodes."""
    weights = np.zeros(len(depth_m))
    deep = min(TOP_INCH_M, float(depth_m[-1]))
    for at in range(len(depth_m) - 1):
        a, b = float(depth_m[at]), float(depth_m[at + 1])
        part = min(b, deep) - a
        if part <= 0:
            break
        far = part / (b - a) / 2
        weights[at] += part * (1 - far)
        weights[at + 1] += part * far
    return weights / deep
