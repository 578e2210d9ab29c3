"""Many slabs warmed and cooled in one solve: implicit in time (backward differences of the second order), hydration where it is.

The matrix of a stack is the same at every step but for the surface, which changes one number of it: its inverse is made once and mended by
Sherman and Morrison's formula. The surface is linear about its temperature as the last two steps foretell it.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

import numpy as np

from humble_trowel.core.heat.columns import FINE, Fineness, Grid, Pastes, begins, grid_of, inch_weights
from humble_trowel.core.heat.hydration import ZERO_K
from humble_trowel.core.heat.slab import SIGMA, Array, Layer, Poured, Stuff, Traces
from humble_trowel.core.progress import tick

ABSORBS, EMITS = 0.65, 0.90
VAPOUR_J_KG = 2.45e6
FIRST_WATER_KG, LATER_SHARE = 1.0, 0.3
SOFT_KG, SOFT_SHARE, LAID_H = (
    0.08,
    0.03,
    0.5,
)  # nothing switches at once: so much water, such a share of final set, before and after; a blanket is laid in so long
TICK_STEPS = 20
FIRST_STEP, GROWS = 1 / 8, 2.0  # of a step; steps grow so, since the first hour is the fiercest


def _stack(one: Poured) -> tuple[tuple[Layer, ...], Stuff, float]:
    return tuple(one.layers), one.soil, one.soil_m


class _Stacks:
    """Slabs on the same stack stand side by side and share an inverse."""

    def __init__(self, rows: Sequence[Poured], fine: Fineness) -> None:
        grids: dict[tuple[tuple[Layer, ...], Stuff, float], Grid] = {}
        for row in rows:
            if _stack(row) not in grids:
                grids[_stack(row)] = grid_of(row, fine)
        order = {key: at for at, key in enumerate(grids)}
        self.places = sorted(range(len(rows)), key=lambda at: order[_stack(rows[at])])
        self.rows = [rows[at] for at in self.places]
        self.grids = [grids[_stack(row)] for row in self.rows]
        self.n = max(len(grid.depth_m) for grid in grids.values())
        self.blocks: list[tuple[slice, Grid]] = []
        begin = 0
        for key, grid in grids.items():
            count = sum(1 for row in self.rows if _stack(row) == key)
            self.blocks.append((slice(begin, begin + count), grid))
            begin += count
        self.holds = np.zeros((self.n, len(rows)))
        for block, grid in self.blocks:
            self.holds[: len(grid.holds) - 1, block] = grid.holds[:-1, None]  # the deepest is held
        self.last = [len(grid.depth_m) - 1 for grid in self.grids]

    def inverses(self, weight_s: float) -> list[Array]:
        """Of each stack, for a step: weight_s of the newest temperature over seconds."""
        made = []
        for _, grid in self.blocks:
            n = len(grid.depth_m)
            whole = np.eye(self.n)
            whole[:n, :n] = np.diag(grid.holds * weight_s)
            at = np.arange(n - 1)
            whole[at, at] += grid.conducts
            whole[at + 1, at + 1] += grid.conducts
            whole[at, at + 1] -= grid.conducts
            whole[at + 1, at] -= grid.conducts
            whole[n - 1, :] = 0.0
            whole[n - 1, n - 1] = 1.0
            made.append(np.asarray(np.linalg.inv(whole), dtype=np.float64))
        return made


@dataclass(frozen=True)
class _Step:
    """hours since placing at its end; seconds; over the seconds of the step before."""

    end_h: float
    step_s: float
    ratio: float


def _steps(hours: float, fine: Fineness) -> Iterator[_Step]:
    at_s, before = 0.0, 0.0
    while at_s < hours * 3600 - 1e-6:
        goal = 60 * (fine.step_min if at_s < fine.late_h * 3600 - 1e-6 else fine.late_step_min)
        step = min(goal, GROWS * before or fine.step_min * 60 * FIRST_STEP)
        at_s += step
        yield _Step(at_s / 3600, step, step / before if before else 0.0)
        before = step


def _weights(ratio: float) -> tuple[float, float, float]:
    """Of the newest temperature, the one before, and the one before that; the first step knows one alone."""
    if not ratio:
        return 1.0, -1.0, 0.0
    return (1 + 2 * ratio) / (1 + ratio), -(1 + ratio), ratio * ratio / (1 + ratio)


class _Surface:
    """Air, sun, drying and blankets over all slabs, step by step."""

    def __init__(self, rows: Sequence[Poured], ends_h: Array) -> None:
        skies = [row.sky.at(row.clock_h + ends_h) for row in rows]
        self.air = np.stack([one.temp_c for one in skies], 1)
        wind = np.stack([one.wind_ms for one in skies], 1)
        self.film = 4 + 4 * wind
        self.gets = ABSORBS * np.stack([one.sun_w_m2 for one in skies], 1) + EMITS * np.stack(
            [one.sky_w_m2 for one in skies], 1
        )
        self.vapour = np.stack([one.humid_share for one in skies], 1) * _vapour(self.air)
        self.dries = 0.315 * (0.253 + 0.060 * 3.6 * wind) * np.array([row.dry_share for row in rows])
        kelvin = self.air + ZERO_K
        both = self.film + 3.6 * SIGMA * kelvin**3
        self.over = self.air + (self.gets - EMITS * SIGMA * kelvin**4) / both
        r = np.array([row.cover.r_m2_k_w if row.cover else 0.0 for row in rows])
        self.through = 1 / (1 / both + r)
        begin = np.array([row.cover.from_h - row.placed_h if row.cover else np.inf for row in rows])
        end = np.array([row.cover.until_h - row.placed_h if row.cover else np.inf for row in rows])
        laid = np.clip((ends_h[:, None] - begin) / LAID_H + 0.5, 0.0, 1.0)
        self.covered = np.minimum(laid, np.clip((end - ends_h[:, None]) / LAID_H + 0.5, 0.0, 1.0))
        self.gone = np.zeros(len(rows))

    def look(self, at: int, top: Array, hours: float, cured: Array) -> tuple[Array, Array, Array]:
        """(W/m2 at that surface temperature, W/m2 less for each degree more, kg/m2/h). cured: share of the step that it is kept wet."""
        kelvin = top + ZERO_K
        bare, under = 1 - self.covered[at], self.covered[at]
        raw = np.maximum(0.0, self.dries[at] * (_vapour(top) - self.vapour[at])) * bare
        fast = _share((FIRST_WATER_KG - self.gone - raw * hours / 2) / SOFT_KG / 2 + 0.5)
        dried = raw * (fast + (1 - fast) * LATER_SHARE) * (1 - cured)
        self.gone = self.gone + dried * hours
        open_w = self.gets[at] - EMITS * SIGMA * kelvin**4 + self.film[at] * (self.air[at] - top)
        flux = bare * open_w - VAPOUR_J_KG * dried / 3600 + under * self.through[at] * (self.over[at] - top)
        return flux, bare * (4 * EMITS * SIGMA * kelvin**3 + self.film[at]) + under * self.through[at], dried


def _vapour(temps: Array) -> Array:
    return np.asarray(0.61078 * np.exp(17.27 * temps / (temps + 237.3)))


class _March:
    """The slabs on their way from step to step."""

    def __init__(self, poured: Sequence[Poured], hours: float, fine: Fineness) -> None:
        self.stacks = _Stacks(poured, fine)
        rows, cells = self.stacks.rows, fine.cells
        self.own = cells + 1
        self.pastes = Pastes(rows)
        self.steps = list(_steps(hours, fine))
        self.ends = np.array([one.end_h for one in self.steps])
        self.surface = _Surface(rows, self.ends)
        self.temps = np.zeros((self.stacks.n, len(rows)))
        for at, (row, grid) in enumerate(zip(rows, self.stacks.grids, strict=True)):
            self.temps[: len(grid.depth_m), at] = begins(row, grid, cells)
        self.deep = np.array([row.deep_c for row in rows])
        volumes = np.ones((self.own, len(rows))) * np.array([row.layers[0].thick_m / cells for row in rows])
        volumes[[0, -1]] /= 2
        self.inch = np.stack([inch_weights(grid.depth_m[: self.own]) for grid in self.stacks.grids], 1)
        self.mean = volumes / volumes.sum(0)
        self.gives = self.pastes.heat_j_m3 * volumes
        self.ages = np.tile(self.pastes.begin, (self.own, 1))
        self.share = self.share_before = self.pastes.share(self.ages)
        self.before, self.speed = self.temps, self.pastes.speed(self.temps[: self.own])
        self.columns, self.last = np.arange(len(rows)), np.array(self.stacks.last)
        self.ground_k = np.array([grid.conducts[-1] for grid in self.stacks.grids])
        self.inverses: dict[float, tuple[list[Array], Array]] = {}
        shape = (len(self.steps) + 1, self.own, len(rows))
        self.all_ages, self.all_temps, self.all_dries = (
            np.empty(shape),
            np.empty(shape),
            np.zeros((shape[0], len(rows))),
        )
        self.all_ages[0], self.all_temps[0] = self.ages, self.temps[: self.own]
        self.first_j, self.first_share = self._kept_j(), self.share
        self.flowed_j, self.flows_w = np.zeros(len(rows)), np.zeros(len(rows))

    def _kept_j(self) -> Array:
        return np.asarray((self.stacks.holds * self.temps).sum(0))

    def step(self, k: int, step: _Step) -> None:
        """One step of all of them."""
        own, stacks, pastes = self.own, self.stacks, self.pastes
        now, old, older = _weights(step.ratio)
        star = self.temps[:own] + step.ratio * (self.temps[:own] - self.before[:own])
        size = step.step_s / 3600
        guess = self.ages + size / 2 * (self.speed + pastes.speed(star))
        wet = _share(((self.inch * guess).sum(0) / pastes.final - 1) / SOFT_SHARE / 2 + 0.5)
        flux, slope, dried = self.surface.look(k, star[0], size, wet)
        share = pastes.share(guess)
        right = stacks.holds * (self.temps * (-old / step.step_s) - self.before * (older / step.step_s))
        right[:own] += self.gives * ((now * share + old * self.share + older * self.share_before) / step.step_s)
        right[0] += flux + slope * star[0]
        right[self.last, self.columns] = self.deep
        after = self._solved(right, slope, now / step.step_s)
        self.before, self.temps, self.share_before, self.share = self.temps, after, self.share, share
        speed = pastes.speed(after[:own])
        self.ages = self.ages + size / 2 * (self.speed + speed)
        self.speed = speed
        self.all_ages[k + 1], self.all_temps[k + 1], self.all_dries[k + 1] = self.ages, after[:own], dried
        flows = flux - slope * (after[0] - star[0]) - self.ground_k * (after[self.last - 1, self.columns] - self.deep)
        self.flowed_j += (flows + (self.flows_w if k else flows)) / 2 * step.step_s
        self.flows_w = flows

    def _solved(self, right: Array, slope: Array, weight_s: float) -> Array:
        """The temperatures: the plain inverse, mended by what the surface adds to one number of the matrix."""
        if weight_s not in self.inverses:
            made = self.stacks.inverses(weight_s)
            first = np.concatenate(
                [
                    np.tile(one[:, :1], block.stop - block.start)
                    for (block, _), one in zip(self.stacks.blocks, made, strict=True)
                ],
                1,
            )
            self.inverses[weight_s] = (made, first)
        inverses, first = self.inverses[weight_s]
        plain = np.empty_like(right)
        for (block, _), inverse in zip(self.stacks.blocks, inverses, strict=True):
            plain[:, block] = inverse @ right[:, block]
        return np.asarray(plain - first * (slope * plain[0] / (1 + slope * first[0])))

    def told(self) -> list[Traces]:
        """Every slab, in the order in which it was given."""
        made = (self.gives * (self.share - self.first_share)).sum(0)
        lost = self._kept_j() - self.first_j - self.flowed_j - made
        ages, temps = self.all_ages, self.all_temps
        inch, mean = (self.inch * ages).sum(1), (self.mean * temps).sum(1)
        mean[0] = [row.placed_c for row in self.stacks.rows]  # the border has not cooled it yet
        least, least_c = ages.min(1), temps.min(1)
        rows = {}
        for at, place in enumerate(self.stacks.places):
            hours = np.concatenate([[0.0], self.ends]) + self.stacks.rows[at].placed_h
            rows[place] = Traces(
                hours, ages[:, 0, at], inch[:, at], least[:, at], ages[:, -1, at], mean[:, at], temps[:, 0, at], temps[:, -1, at],
                least_c[:, at], self.all_dries[:, at], float(lost[at]), float(made[at]),
            )  # fmt: skip
        return [rows[place] for place in range(len(rows))]


def _share(values: Array) -> Array:
    """Between 0 and 1."""
    return np.asarray(np.minimum(np.maximum(values, 0.0), 1.0))


def warmed_all(poured: Sequence[Poured], hours: float, fine: Fineness = FINE) -> list[Traces]:
    """Every slab step by step, in the order given. hours: from placing."""
    march = _March(poured, hours, fine)
    for k, step in enumerate(march.steps):
        if k % TICK_STEPS == 0:
            tick(k / len(march.steps))
        march.step(k, step)
    return march.told()
