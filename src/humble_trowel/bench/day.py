"""Speed of the day: every zone and load over three days, shadows of a day, all of it; and against a general solver of ordinary equations."""

from __future__ import annotations

import json
import time
from datetime import datetime
from importlib import resources

import numpy as np
from scipy.integrate import solve_ivp

from humble_trowel.bench.rows import Other, Row, demo_plan, timed
from humble_trowel.core.day.casts import DEEP_C, Lies, casts_of, concrete_of, poured_of
from humble_trowel.core.day.clock import HOURS_H, solve
from humble_trowel.core.day.day import Asked, day_of, edges_of, zones_of
from humble_trowel.core.day.prints import Belief
from humble_trowel.core.day.skies import skies_of
from humble_trowel.core.heat.columns import FINE, Pastes, begins, grid_of
from humble_trowel.core.heat.hydration import ZERO_K
from humble_trowel.core.heat.slab import SIGMA, Array, Poured, Sky
from humble_trowel.core.heat.solve import ABSORBS, EMITS, warmed_all
from humble_trowel.core.job import Job
from humble_trowel.core.weather.hours import clock_of, forecast_of, mean_before
from humble_trowel.core.weather.records import WeatherIn
from humble_trowel.core.weather.shade import sun_day

TIMES_FASTER = 20.0
SAME_C = 0.05


class _Demo:
    """The demo job on its day."""

    def __init__(self) -> None:
        self.job = Job(demo_plan("honey-house"))
        plan, rows = (
            self.job.plan,
            (resources.files("humble_trowel.demo") / "records" / "honey-house.jsonl").read_text("utf-8"),
        )
        said = [json.loads(line) for line in rows.splitlines()]
        self.weather = [WeatherIn.model_validate(row["values"]) for row in said if row["kind"] == "weather"]
        assert plan.order.pour_at is not None and self.job.planned_pour is not None
        self.clock = clock_of(plan.site, plan.order.pour_at)
        self.zones = zones_of(self.job.shape)
        forecast = forecast_of(self.weather, self.clock, plan.day.open_ground)
        start = self.clock.hour_of(datetime.fromisoformat(plan.order.pour_at))
        sun = sun_day(plan, self.clock, self.zones)
        skies = skies_of(plan, self.job.ways.day, self.clock, forecast, sun, len(self.zones), [])
        self.lies = Lies(skies, mean_before(forecast, start), DEEP_C, start)
        self.casts = casts_of(plan, self.job.shape, self.job.planned_pour)
        self.concrete, self.belief = concrete_of(plan, self.job.ways), Belief(self.casts, self.job.ways.day)
        self.edges = edges_of(self.job.shape)
        self.asked = Asked(plan, self.job.ways, self.job.shape, self.job.planned_pour, self.weather, [])

    def clocks(self) -> object:
        """Every zone and load, at three paces, with deep edges."""
        return solve(self.job.plan, self.casts, self.concrete, self.lies, self.belief, self.edges)


def day_rows() -> list[Row]:
    """Each from nothing."""
    demo = _Demo()
    return [
        timed("every zone and load of the demo over 72 h", demo.clocks, 8, 200, "p50"),
        timed(
            "shadows of a day over the demo's zones",
            lambda: sun_day(demo.job.plan, demo.clock, demo.zones),
            10,
            80,
            "p95",
        ),
        timed("the whole day of the demo job", lambda: day_of(demo.asked), 4, 2500, "p95"),
    ]


def day_figures() -> list[Other]:
    """How much longer a general solver takes for the demo's slabs, to the same hundredths of a degree; said as what part of its time ours is."""
    demo = _Demo()
    paces = [demo.belief.pace(cast.zone, cast.truck) for cast in demo.casts]
    slabs = [
        poured_of(demo.job.plan, cast, demo.concrete, demo.lies, ratio)
        for cast, pace in zip(demo.casts, paces, strict=True)
        for ratio in (pace.pace_ratio, pace.fast(), pace.slow())
    ]
    dry = [_dry(slab) for slab in slabs]
    begin = time.perf_counter()
    ours = warmed_all(dry, HOURS_H)
    took = time.perf_counter() - begin
    begin = time.perf_counter()
    other = _general(dry[0])
    general = (time.perf_counter() - begin) * len(dry)
    apart = float(np.max(np.abs(np.interp(np.arange(2, 72), ours[0].age_h - dry[0].placed_h, ours[0].mean_c) - other)))
    return [
        Other("time of the slabs in one solve, of a general solver's", took / general * 100, "%", 100 / TIMES_FASTER),
        Other("apart from it at the most", apart, "C", SAME_C),
    ]


def _dry(slab: Poured) -> Poured:
    """Without drying, which switches: a general solver would stumble over that."""
    sky = slab.sky
    calm = Sky(sky.clock_h, sky.temp_c, sky.humid_share, sky.wind_ms, sky.sun_w_m2, sky.sky_w_m2)
    return Poured(**{**slab.__dict__, "sky": calm, "dry_share": 0.0, "cover": None})


def _general(slab: Poured) -> Array:
    """The mean of the concrete at every whole hour, by a stiff solver of scipy on the same nodes."""
    grid, paste, cells = grid_of(slab, FINE), Pastes([slab]), FINE.cells
    own = cells + 1
    volumes = np.full(own, slab.layers[0].thick_m / cells)
    volumes[[0, -1]] /= 2
    n = len(grid.depth_m)

    def slope(second: float, state: Array) -> Array:
        temps, ages = state[:n], np.maximum(state[n:], 1e-6)
        speed = paste.speed(temps[:own])
        shared = paste.share(ages)
        gives = shared * paste.beta * np.power(paste.tau / ages, paste.beta) / ages * speed / 3600
        flux = np.zeros(n)
        between = grid.conducts * (temps[:-1] - temps[1:])
        flux[:-1] -= between
        flux[1:] += between
        flux[:own] += paste.heat_j_m3 * gives * volumes
        air = slab.sky.at(np.array([slab.clock_h + second / 3600]))
        top = temps[0]
        flux[0] += float(
            ABSORBS * air.sun_w_m2[0]
            + EMITS * (air.sky_w_m2[0] - SIGMA * (top + ZERO_K) ** 4)
            + (4 + 4 * air.wind_ms[0]) * (air.temp_c[0] - top)
        )
        change = flux / grid.holds
        change[-1] = 0.0
        return np.concatenate([change, speed / 3600])

    start = np.concatenate([begins(slab, grid, cells), np.full(own, paste.begin[0])])
    start[n - 1] = slab.deep_c
    found = solve_ivp(
        slope, (0.0, HOURS_H * 3600), start, method="BDF", t_eval=np.arange(2, 72) * 3600.0, rtol=1e-4, atol=1e-3
    )
    return np.asarray((found.y[:own] * (volumes / volumes.sum())[:, None]).sum(0))
