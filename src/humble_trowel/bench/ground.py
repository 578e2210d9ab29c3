"""Speed of the ground: cut and fill of many shots on the demo slab, and everything the lens shows."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from humble_trowel.bench.rows import Row, demo_plan, timed
from humble_trowel.core.ground.records import Shot, Shots


def _shots(count: int) -> list[tuple[str, Shots]]:
    dice = np.random.default_rng(count)
    spots = dice.uniform((0, 0), (13400, 8500), (count, 2)).tolist()
    rows = [Shot(at=(x, y), level_mm=float(z)) for (x, y), z in zip(spots, dice.normal(-250, 5, count), strict=True)]
    return [("bench", Shots(layer="base", shots=rows))]


def ground_rows() -> list[Row]:
    """Cut and fill of 400 and of 20,000 shots against the design, and the whole ground of the demo job."""
    from humble_trowel.core.geometry.solid import build_solid
    from humble_trowel.core.ground.cut_fill import cut_fill
    from humble_trowel.core.ground.layer_shots import take_shots
    from humble_trowel.core.ground.shot_surface import shot_surface
    from humble_trowel.core.job import Job
    from humble_trowel.core.plan.ways import JobWays

    demo = demo_plan("honey-house")
    solid, ways = build_solid(demo), JobWays()

    def measured(rounds: list[tuple[str, Shots]]) -> Callable[[], object]:
        """Triangles through the shots, then cut and fill over every zone: the design stands already."""
        taken = take_shots(demo, solid, ways, "base", rounds)
        assert taken.surface is not None
        spots, values = taken.surface.spots, taken.surfaces[0].values

        def act() -> object:
            surface = shot_surface(spots, values, 30_000.0)
            return [cut_fill(surface.with_values(values), one.facets) for one in taken.grounds]

        return act

    few, many = _shots(400), _shots(20_000)
    return [
        timed("cut and fill of 400 shots", measured(few), 60, 30, "p50"),
        timed("cut and fill of 20,000 shots", measured(many), 8, 1000, "p50"),
        timed(
            "400 shots against the design, from the record",
            lambda: take_shots(demo, solid, ways, "base", few),
            60,
            60,
            "p50",
        ),
        timed(
            "20,000 shots against the design, from the record",
            lambda: take_shots(demo, solid, ways, "base", many),
            8,
            1500,
            "p50",
        ),
        timed("stack, rod card, stone and spoil of the demo job", lambda: Job(demo).ground, 50, 50, "p95"),
    ]
