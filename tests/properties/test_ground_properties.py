"""Ground: what must hold whatever the shots, falls and trenches, checked by computations of their own."""

import math
from itertools import pairwise

import numpy as np
import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st
from scipy.spatial import ConvexHull, Delaunay
from shapely.geometry import Point, Polygon
from tests.plans import plan

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.tops import Facet, Plane
from humble_trowel.core.ground.as_dug import dug_runs, section_mm2
from humble_trowel.core.ground.cut_fill import above_zero, cut_fill
from humble_trowel.core.ground.layer_shots import take_shots
from humble_trowel.core.ground.levels import Sight, level_run
from humble_trowel.core.ground.records import AsDug, Shot, Shots
from humble_trowel.core.ground.shot_surface import shot_surface
from humble_trowel.core.ground.stack import stack_rows
from humble_trowel.core.plan.ways import Ways

L_SHAPE = Polygon([[0, 0], [12000, 0], [12000, 5000], [7000, 5000], [7000, 10000], [0, 10000]])
seeds = st.integers(0, 10**6)


def nearest_on_hull(spot, spots):
    """Nearest point of the convex hull and its place on a hull side, by brute force over all sides."""
    best = (math.inf, 0, 0, 0.0)
    for i, j in ConvexHull(spots).simplices:
        a, b = spots[i], spots[j]
        t = float(np.clip(np.dot(spot - a, b - a) / np.dot(b - a, b - a), 0, 1))
        best = min(best, (float(np.linalg.norm(a + t * (b - a) - spot)), int(i), int(j), t))
    return best[1:]


def value_at(spot, spots, values, mesh):
    """The rule read afresh: barycentric inside, on the nearest hull side outside."""
    k = int(mesh.find_simplex(spot[None])[0])
    if k >= 0:
        corners = mesh.simplices[k]
        weights = np.linalg.solve(np.vstack([spots[corners].T, np.ones(3)]), np.append(spot, 1.0))
        return float(weights @ values[corners])
    i, j, t = nearest_on_hull(spot, spots)
    return float(values[i] * (1 - t) + values[j] * t)


@given(seeds, st.integers(3, 25))
@settings(max_examples=25, deadline=None)
def test_the_surface_is_what_the_rule_says_at_every_spot(seed, n):
    dice = np.random.default_rng(seed)
    spots, values = dice.uniform(1000, 9000, (n, 2)), dice.normal(0, 20, n)
    surface, mesh = shot_surface(spots, values, 1e5), Delaunay(spots)
    for spot in dice.uniform(-1000, 13000, (25, 2)):
        assert surface.at(*spot) == pytest.approx(value_at(spot, spots, values, mesh), abs=1e-6)


@example(1800, 3)  # nearly in one line: the wedges at its ends are nearly half planes
@given(seeds, st.integers(3, 40))
@settings(max_examples=25, deadline=None)
def test_cut_and_fill_agree_with_counting_points(seed, n):
    dice = np.random.default_rng(seed)
    spots, values = dice.uniform(0, 11000, (n, 2)), dice.normal(-3, 15, n)
    fall = Plane(float(dice.normal(0, 5)), *(float(v) for v in dice.normal(0, 0.002, 2)))
    surface = shot_surface(spots, values, 1e5)
    found = cut_fill(surface, [Facet(L_SHAPE, fall)])
    step = 200.0
    grid = np.arange(step / 2, 12000, step)
    inside = [(x, y) for x in grid for y in grid if L_SHAPE.contains(Point(x, y))]
    mesh = Delaunay(spots)
    h = np.array([value_at(np.array(p), spots, values, mesh) - fall.at(*p) for p in inside])
    cell = step * step / 1e9
    assert found.area_m2 == pytest.approx(95.0)
    assert found.cut_m3 == pytest.approx(float(np.maximum(h, 0).sum()) * cell, abs=0.02 + 0.02 * found.cut_m3)
    assert found.fill_m3 == pytest.approx(float(np.maximum(-h, 0).sum()) * cell, abs=0.02 + 0.02 * found.fill_m3)
    assert found.low_mm - 1e-6 <= h.min() and h.max() <= found.high_mm + 1e-6


@given(seeds, st.floats(-50, 50))
@settings(max_examples=20, deadline=None)
def test_raising_every_shot_adds_area_times_rise(seed, rise):
    dice = np.random.default_rng(seed)
    spots, values = dice.uniform(0, 12000, (30, 2)), dice.normal(0, 10, 30)
    surface = shot_surface(spots, values, 1e5)
    facets = [Facet(L_SHAPE, Plane(0.0))]
    before, after = cut_fill(surface, facets), cut_fill(surface.with_values(values + rise), facets)
    assert (after.cut_m3 - after.fill_m3) - (before.cut_m3 - before.fill_m3) == pytest.approx(
        95 * rise / 1000, abs=1e-9
    )
    assert after.high_mm - before.high_mm == pytest.approx(rise, abs=1e-9)


@given(st.lists(st.floats(-30, 30), min_size=3, max_size=3))
def test_the_mean_above_zero_agrees_with_many_small_triangles(corners):
    h = np.array([corners])
    n = 60
    total = sum(
        max(0.0, (corners[0] * (i + s) + corners[1] * (j + s) + corners[2] * (n - i - j - 2 * s)) / n)
        for i in range(n) for j in range(n - i) for s in ([1 / 3, 2 / 3] if j < n - i - 1 else [1 / 3])
    )  # fmt: skip
    assert float(above_zero(h)[0]) == pytest.approx(total / n**2, abs=0.02)


fall_kinds = st.sampled_from(["plane", "drain"])


@pytest.mark.parametrize("heights", [[1e-300, -1e-300, -1e-310], [5e-324, 0, -5e-324], [1, -1e-320, 1e-310], [0, 0, 0]])
def test_the_mean_above_zero_of_specks_is_a_number(heights):
    assert float(above_zero(np.array([heights]))[0]) == pytest.approx(max(heights[0], 0) / 3, abs=1e-9)


@settings(max_examples=60, deadline=None)
@given(seeds, fall_kinds, st.sampled_from(["parallel", "level"]), st.booleans(), st.booleans())
def test_falls_count_the_same_both_ways_and_as_depths_say(seed, kind, underside, thick, hole):
    dice = np.random.default_rng(seed)
    x = float(dice.integers(3, 9)) * 1000
    y = float(dice.integers(3, 9)) * 1000
    at = (float(dice.uniform(0.3, 0.7) * x), float(dice.uniform(0.3, 0.7) * y))
    fall = (
        {"kind": "plane", "toward_deg": float(dice.integers(0, 360)), "rate": float(dice.uniform(0.005, 0.03))}
        if kind == "plane" else {"kind": "drain", "at": at, "depth_mm": float(dice.uniform(10, 40))}
    )  # fmt: skip
    job = plan(
        outline=[[0, 0], [x, 0], [x + 1500, y / 2], [x, y], [0, y]],
        zones=[{"name": "all", "slab": "S1", "polygon": None, "drop_mm": 10, "fall": fall, "underside": underside}],
        edge_types=[
            {"mark": "E1", "kind": "thickened", "depth_mm": 320, "bottom_width_mm": 300, "haunch_run_per_rise": 1}
        ],
        edges=[{"sides": [0, 1, 4], "type": "E1"}] if thick else [],
        openings=[[[400, 400], [900, 400], [900, 1000], [400, 1000]]] if hole else [],
    )
    solid = build_solid(job)
    assert count_by_slices(job).total_m3 == pytest.approx(solid.net_m3, rel=2e-4)
    cell = solid.cells[0]
    if not thick:
        spots = dice.uniform((0, 0), (x, y), (4000, 2))
        deep = np.array([cell.depth_at((px, py)) for px, py in spots if cell.region.contains(Point(px, py))])
        assert deep.min() >= 100 - 1e-6
        flat = cell.depths[0].plane == Plane(100.0)
        assert flat or solid.net_m3 / cell.area_m2 * 1000 == pytest.approx(deep.mean(), rel=0.08)
    if underside == "level":
        under = [cell.top_at(spot) - cell.depth_at(spot) for spot in ((1500.0, 1500.0), at, (x - 10, y - 10))]
        assert max(under) - min(under) < 1e-6


@given(seeds)
@settings(max_examples=30, deadline=None)
def test_a_drain_out_of_sight_is_refused_and_names_its_key(seed):
    dice = np.random.default_rng(seed)
    ring = [[0, 0], [9000, 0], [9000, 3000], [3000, 3000], [3000, 9000], [0, 9000]]
    at = (float(dice.uniform(3600, 8900)), float(dice.uniform(100, 2900)))
    with pytest.raises(PlanError) as refused:
        plan(
            outline=ring,
            zones=[{"name": "all", "slab": "S1", "polygon": None, "fall": {"kind": "drain", "at": at, "depth_mm": 5}}],
        )
    assert refused.value.path == "zones[0].fall.at"


@given(seeds, st.integers(1, 6))
@settings(max_examples=25, deadline=None)
def test_a_trench_as_dug_agrees_with_many_thin_slices(seed, n):
    dice = np.random.default_rng(seed)
    run = float(dice.choice([0.0, 0.5, 1.0]))
    job = plan(
        edge_types=[
            {"mark": "E1", "kind": "thickened", "depth_mm": 400, "bottom_width_mm": 300, "haunch_run_per_rise": run}
        ],
        edges=[{"sides": [0], "type": "E1"}],
    )
    at = np.sort(dice.choice(np.arange(0, 6001, 100), n, replace=False))
    wide, deep = dice.uniform(280, 420, n), dice.uniform(380, 460, n)
    stations = [
        {"at_mm": float(a), "width_mm": float(w), "depth_mm": float(d)} for a, w, d in zip(at, wide, deep, strict=True)
    ]
    found = dug_runs(job, build_solid(job), [AsDug.model_validate({"side": 0, "stations": stations})])[0]
    middles = np.arange(6000) + 0.5
    kind = job.edge_types[0]
    areas = [
        section_mm2(kind, w, d, 100)
        for w, d in zip(np.interp(middles, at, wide), np.interp(middles, at, deep), strict=True)
    ]
    assert found.extra_m3 == pytest.approx((sum(areas) - 6000 * section_mm2(kind, 300, 400, 100)) / 1e9, abs=2e-6)


@given(seeds, st.integers(1, 6), st.floats(-20, 20))
def test_a_run_of_levels_closes_on_what_it_is_told(seed, n, off):
    dice = np.random.default_rng(seed)
    sights = [
        Sight(float(dice.uniform(500, 3000)), float(dice.uniform(500, 3000)), {f"P{k}": float(dice.uniform(500, 3000))})
        for k in range(n)
    ]
    free = level_run(1000.0, sights)
    closed = level_run(1000.0, sights, free.turning_points[-1] - off)
    assert closed.page_check == pytest.approx(0.0, abs=1e-6)
    assert closed.misclosure == pytest.approx(off, abs=1e-6)
    assert closed.adjusted_points[-1] == pytest.approx(free.turning_points[-1] - off)
    for k in range(n):
        assert closed.adjusted_shots[f"P{k}"] == pytest.approx(free.shots[f"P{k}"] - off * k / n)


@given(seeds)
@settings(max_examples=20, deadline=None)
def test_a_step_between_zones_is_no_error_of_the_ground(seed):
    """Shots exactly on a stepped and falling design come to nothing, wherever they stand."""
    dice = np.random.default_rng(seed)
    job = plan(
        outline=[[0, 0], [9000, 0], [9000, 4000], [0, 4000]],
        zones=[
            {"name": "hall", "slab": "S1", "polygon": None},
            {"name": "bay", "slab": "S1", "polygon": [[5000, 0], [9000, 0], [9000, 4000], [5000, 4000]], "drop_mm": 60,
             "fall": {"kind": "plane", "toward_deg": 90, "rate": 0.02}},
        ],
    )  # fmt: skip
    solid = build_solid(job)

    def level(x):
        return -100.0 if x < 5000 else -160.0 - 0.02 * (x - 5000)

    spots = [*dice.uniform((0, 0), (9000, 4000), (14, 2)).tolist(), [0, 0], [0, 4000], [9000, 0], [9000, 4000]]
    shots = Shots(layer="base", shots=[Shot(at=(x, y), level_mm=level(x)) for x, y in spots])
    taken = take_shots(job, solid, Ways(), "base", [("a", shots)])
    assert max(abs(shot.off_mm) for shot in taken.shots) < 1e-6
    assert taken.whole.cut_m3 < 1e-9 and taken.whole.fill_m3 < 1e-9


@given(
    st.lists(
        st.tuples(st.sampled_from(["foam", "blinding", "stone", "graded", "fill"]), st.integers(20, 300)), max_size=6
    )
)
def test_a_stack_hangs_together(below):
    layers = [{"kind": kind, "thickness_mm": thick} for kind, thick in below]
    job = plan(build_ups=[{"slab": "S1", "layers": [{"kind": "slab"}, *layers, {"kind": "native"}]}])
    rows = stack_rows(job, build_solid(job).cells[0])
    assert all(one.bottom_mm == pytest.approx(two.top_mm) for one, two in pairwise(rows))
    assert rows[-1].top_mm == pytest.approx(-100 - sum(thick for _, thick in below))
    assert len({row.layer for row in rows}) == len(rows)
