"""Stone beside and under edges: what concrete stands in a layer, by hand and against points of the plain grid."""

import numpy as np
import pytest
from tests.answers import ground
from tests.plain_grid import Depths, inside
from tests.plans import plan
from tests.random_jobs import random_job

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.displaced import displaced_m3
from humble_trowel.core.order.allowances import allowances
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan

RING = [[0, 0], [10000, 0], [10000, 8000], [0, 8000]]
FIVE = [
    {"kind": "slab"}, {"kind": "foam", "thickness_mm": 50, "strength_kpa": 200}, {"kind": "blinding", "thickness_mm": 40},
    {"kind": "stone", "thickness_mm": 120}, {"kind": "graded", "thickness_mm": 100}, {"kind": "native"},
]  # fmt: skip


def bay(depth_mm, **more):
    edge = {"mark": "E1", "kind": "thickened", "depth_mm": depth_mm, "bottom_width_mm": 300, "haunch_run_per_rise": 0}
    more = {"build_ups": [{"slab": "S1", "layers": FIVE}], "set_out": {"base_margin_mm": 0}, **more}
    return plan(outline=RING, edge_types=[edge], edges=[{"sides": [0], "type": "E1"}], **more)


@pytest.mark.parametrize(
    ("depth_mm", "blinding", "stone", "graded"),
    [  # tops under the slab's underside: blinding 50, stone 90, graded 210, native 310; the edge takes 10 x 0.3 m
        (140, 0, 0, 0), (170, 20, 0, 0), (250, 40, 60, 0), (400, 40, 120, 90), (900, 40, 120, 100),
    ],
)  # fmt: skip
def test_an_edge_takes_of_each_layer_what_stands_in_it(depth_mm, blinding, stone, graded):
    rows = {row.mark: row.compacted_m3 for row in ground(bay(depth_mm), Ways()).stones}
    whole = {"blinding": 40, "stone": 120, "graded": 100}
    gone = {"blinding": blinding, "stone": stone, "graded": graded}
    expected = sorted(80 * whole[key] / 1000 - 3 * gone[key] / 1000 for key in whole)
    assert sorted(rows.values()) == pytest.approx(expected, rel=1e-9)


def test_the_dig_follows_a_fall():
    """2 % over 10 m: the native surface lies 410 to 610 under 0, so 510 on average, and a level one 610 all over."""
    for underside, deep in (("parallel", 0.51), ("level", 0.61)):
        zone = {
            "name": "all",
            "slab": "S1",
            "polygon": None,
            "underside": underside,
            "fall": {"kind": "plane", "toward_deg": 90, "rate": 0.02},
        }
        job = bay(100.5, zones=[zone], ground={"found_mm": 0, "strip_mm": 0})
        assert ground(job, Ways()).spoil.dig_m3 == pytest.approx(80 * deep, rel=1e-9)
    zone["underside"] = "parallel"
    half = bay(100.5, zones=[zone], ground={"found_mm": -510, "strip_mm": 0})  # only the lower half is dug
    assert ground(half, Ways()).spoil.dig_m3 == pytest.approx(8 * 5 * 0.1 / 2, rel=1e-9)


def test_a_trench_starts_where_the_digging_ended():
    job = bay(800, ground={"found_mm": 0, "strip_mm": 0})
    assert ground(job, Ways()).spoil.trench_m3 == pytest.approx(3 * 0.39)
    built_up = bay(800, ground={"found_mm": -500, "strip_mm": 0})  # nothing is dug but the trench in the old ground
    assert ground(built_up, Ways()).spoil.trench_m3 == pytest.approx(3 * 0.3)


def test_a_beam_is_wider_by_what_it_has_below_its_own_zone():
    types = [{"mark": "S1", "thickness_mm": 100}, {"mark": "S2", "thickness_mm": 300}]
    zones = [
        {"name": "a", "slab": "S1", "polygon": None},
        {"name": "b", "slab": "S2", "polygon": [[5000, 0], [10000, 0], [10000, 8000], [5000, 8000]]},
    ]
    beams = {
        "beam_types": [{"mark": "B1", "width_mm": 300, "depth_mm": 400}],
        "beams": [{"type": "B1", "path": [[2000, 4000], [9000, 4000]]}],
    }
    for order in (zones, zones[::-1]):
        job = plan(outline=RING, slab_types=types, zones=order, **beams)
        row = next(row for row in allowances(job, build_solid(job), Ways()) if row.key == "trench_wide_mm")
        assert row.m3 == pytest.approx(12.7e-3 * (3 * 0.3 + 4 * 0.1), rel=1e-6)


@pytest.mark.parametrize("seed", range(300, 330))
def test_layers_of_random_jobs_against_points(seed):
    data = random_job(seed)
    data["recesses"] = [row for row in data["recesses"] if row["keeps_thickness"]]
    try:
        job = read_plan(data)
    except PlanError:
        return
    solid, depths = build_solid(job), Depths(job)
    (x0, y0), (x1, y1) = np.min(job.outline, axis=0), np.max(job.outline, axis=0)
    x, y = (axis.ravel() for axis in np.meshgrid(np.arange(x0 + 3, x1, 9.0), np.arange(y0 + 5, y1, 11.0)))
    dips = np.zeros(x.shape)
    for row in job.recesses:
        dips = np.maximum(dips, np.where(inside(row.polygon, x, y), row.depth_mm, 0.0))
    excess = depths.at(x, y) + dips - depths.slab(x, y)
    excess = np.where(depths.at(x, y) > 0, excess, 0.0)
    for top, thick in ((0.0, 80.0), (80.0, 150.0), (400.0, 300.0)):
        points = float(np.clip(excess - top, 0, thick).sum()) * 9 * 11 / 1e9
        exact = sum(displaced_m3(solid, cell, top, thick) for cell in solid.cells)
        assert exact == pytest.approx(points, rel=0.03, abs=0.01)
