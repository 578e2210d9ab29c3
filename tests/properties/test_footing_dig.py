"""Footings and walls in the ground: trenches, what goes back, the stone they stand in, the base that ends at them."""

import json
from pathlib import Path

import numpy as np
import pytest
import shapely
from tests.answers import ground
from tests.plans import plan

from humble_trowel.core.geometry.below import stood_below, trenches
from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan

RAFT = json.loads((Path(__file__).parents[1] / "kinds" / "raft-in-stem-wall.json").read_text())
STACK = [{"slab": "S1", "layers": [{"kind": "slab"}, {"kind": "stone", "thickness_mm": 300}, {"kind": "native"}]}]
LOOP = [[-150, -150], [10150, -150], [10150, 8150], [-150, 8150], [-150, -150]]


def raft(top_mm=-600, **more):
    footing = RAFT["footings"][0] | {"top_mm": top_mm} | more
    return read_plan(RAFT | {"footings": [footing], "build_ups": STACK, "ground": {"found_mm": -200, "strip_mm": 150}})


def test_trenches_go_from_the_dig_to_the_bottom_and_what_concrete_leaves_goes_back():
    """31 m of centreline, 400 wide; inside of the slab the dig ends at 450 already, outside the sod is off at 350."""
    out = Job(raft()).ground.spoil
    inner = 54 - 8.85 * 5.85
    assert out.footings_m3 == pytest.approx(12.4 * 0.45 - inner * 0.1)
    walls = 31 * 0.15 * 0.25  # from the footing's top at 600 up to the stripped ground
    assert out.back_m3 == pytest.approx(out.footings_m3 - 12.4 * 0.2 - walls)
    assert out.strip_m3 == pytest.approx(9.65 * 6.65 * 0.15)  # the trenches are stripped too
    assert "goes back beside" in out.words
    wide = Job(raft(dug_width_mm=600)).ground.spoil
    assert wide.footings_m3 > out.footings_m3 and wide.loose_m3 > out.loose_m3


def test_stone_loses_what_stands_in_it_and_ends_at_the_walls():
    rows = Job(raft()).ground.stones
    assert rows[0].compacted_m3 == pytest.approx(54 * 0.3)  # no margin outside of walls, nothing in the stone
    shallow = Job(raft(top_mm=-300)).ground.stones  # the footing's upper 150 stand in the stone
    assert shallow[0].compacted_m3 == pytest.approx(54 * 0.3 - (54 - 8.85 * 5.85) * 0.15)
    bare = Job(read_plan(RAFT | {"walls": [], "build_ups": STACK})).ground.stones
    assert bare[0].compacted_m3 > 54 * 0.3  # without a wall the base runs past the forms


def test_a_job_of_footings_alone_says_what_is_dug_and_one_without_ground_does_not():
    alone = {key: RAFT[key] for key in ("format", "version", "name", "units", "footings")}
    dig = Job(read_plan(alone | {"ground": {"found_mm": -200, "strip_mm": 150}})).footings.dig
    assert (dig.dug_m3, dig.back_m3) == (pytest.approx(12.4 * 0.45), pytest.approx(12.4 * 0.25))
    assert Job(read_plan(alone)).footings.dig is None


@pytest.mark.parametrize("step", [300, -250])
def test_a_slope_steps_and_crossings_against_points(step):
    """A fall over stepped footings that cross: every column of 10 mm by itself."""
    zone = {"name": "all", "slab": "S1", "polygon": None, "fall": {"kind": "plane", "toward_deg": 60, "rate": 0.03}}
    feet = [
        {"name": "Loop", "path": LOOP, "width_mm": 400, "thickness_mm": 200, "top_mm": -500, "steps": [{"at_mm": 4000, "rise_mm": step}, {"at_mm": 30000, "rise_mm": -step}]},
        {"name": "Middle", "path": [[5000, -900], [5000, 8150]], "width_mm": 500, "thickness_mm": 250, "top_mm": -450},
    ]  # fmt: skip
    job = plan(
        outline=[[0, 0], [10000, 0], [10000, 8000], [0, 8000]], zones=[zone], footings=feet, build_ups=STACK,
        set_out={"base_margin_mm": 0}, ground={"found_mm": -420, "strip_mm": 0},
    )  # fmt: skip
    size = 10.0
    xs, ys = np.meshgrid(np.arange(-993.5, 11000, size), np.arange(-993.5, 9000, size))
    toward = np.radians(60)
    along = xs * np.sin(toward) + ys * np.cos(toward)
    native = -0.03 * along - 100 - 300  # the slab's 100, the stone's 300
    inside = (xs > 0) & (xs < 10000) & (ys > 0) & (ys < 8000)
    level = np.where(inside, np.minimum(native, -420.0), -420.0)

    def there(region):
        return shapely.contains_xy(region, xs, ys)

    dug = sum(np.where(there(row.region), np.maximum(0, level - row.bottom_mm), 0).sum() for row in trenches(job))
    stone = inside * 300.0
    for row in stood_below(job):
        low = np.maximum(row.bottom_mm, native)
        held = np.where(there(row.region), np.maximum(0, np.minimum(row.top_mm, native + 300) - low), 0)
        stone = stone - np.where(inside, held, 0)
    found = ground(job, Ways())
    assert found.spoil.footings_m3 == pytest.approx(dug * size**2 / 1e9, rel=2e-3)
    assert found.stones[0].compacted_m3 == pytest.approx(stone.sum() * size**2 / 1e9, rel=2e-3)


def test_sides_against_walls_need_no_board_but_at_a_door():
    sides = {row.name: row for row in Job(raft()).forms.sides}
    assert [name for name, row in sides.items() if row.formed] == ["A to B"]
    assert sides["A to B"].length_mm == pytest.approx(1200) and "Stem wall" in sides["B to C"].why
    over = json.loads((Path(__file__).parents[1] / "kinds" / "over-block-walls.json").read_text())
    assert all(row.formed for row in Job(read_plan(over)).forms.sides)  # a slab over its walls stands out on all sides
