"""Parts of the tubing by themselves: floor shared by weight, ways that share no cell, coils that buy least, a manifold inside."""

import itertools
import math

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon, box
from tests.core.test_tubing import WARM

from humble_trowel.core.edits.registry import apply
from humble_trowel.core.job import Job
from humble_trowel.core.tubes.grid import lay_grid
from humble_trowel.core.tubes.laid import Rooms, lay_loops
from humble_trowel.core.tubes.shares import near_wall, parts_of, shared_out
from humble_trowel.core.underslab.tube_coils import COILS_MM, TubeLoop, coils_for

ROOM = box(0, 0, 9000, 6000)
GRID = lay_grid([ROOM], Polygon(), Polygon(), 300, 300)


def loop(n, mm):
    return TubeLoop(f"d.{n}", n, "room", mm, "", 1, 0.0, "", [(0.0, 0.0)], [], False, 0)


def test_cells_fill_a_room_and_none_lies_on_what_is_in_the_way():
    area = math.fsum(math.prod(GRID.size(cell)) for cell in GRID.rooms)
    assert area == pytest.approx(ROOM.area) and not GRID.shut
    pit = box(3000, 2000, 4000, 3000)
    around = lay_grid([ROOM], pit, Polygon(), 300, 300)
    assert around.shut and not set(around.shut) & set(around.rooms)
    for cell in around.rooms:
        assert not any(pit.contains(shapely.Point(around.spot(cell, a, b))) for a in (0, 1) for b in (0, 1))
    with pytest.raises(ValueError, match="more than nothing"):
        lay_grid([ROOM], Polygon(), Polygon(), 0, 300)


@given(st.lists(st.floats(0.5, 2), min_size=1, max_size=5), st.sampled_from([0, 1]))
@settings(max_examples=25, deadline=None, derandomize=True)
def test_floor_is_shared_by_weight_and_all_of_it_once(weights, by):
    parts = parts_of(GRID, list(GRID.rooms), weights, by)
    assert sorted(itertools.chain(*parts)) == sorted(GRID.rooms)
    whole = math.fsum(GRID.tube_mm(cell) for cell in GRID.rooms)
    for part, weight in zip(parts, weights, strict=True):
        own = math.fsum(GRID.tube_mm(cell) for cell in part)
        assert own == pytest.approx(whole * weight / math.fsum(weights), abs=2 * GRID.tube_mm(part[0]))


@given(st.integers(1, 5), st.floats(0, 6000))
@settings(max_examples=20, deadline=None, derandomize=True)
def test_each_loop_hangs_together_from_its_port_and_shares_no_cell(count, y):
    parts = parts_of(GRID, list(GRID.rooms), [1.0] * count, 1)
    ports, side = near_wall(GRID, GRID.rooms, (0.0, y), count)
    assert side in (1, 2, 3) and len(ports) == count
    loops, ways, left = shared_out(GRID, dict.fromkeys(ports, 0.0), parts)
    assert not left and sorted(itertools.chain(*loops)) == sorted(GRID.rooms)
    begun = [way[0] for way in ways]
    assert sorted(begun) == sorted(ports)
    for own, port in zip(loops, begun, strict=True):
        found, todo = {port}, [port]
        while todo:
            cell = todo.pop()
            for beside in (GRID.beside(cell, side) for side in range(4)):
                if beside in own and beside not in found:
                    found.add(beside)
                    todo.append(beside)
        assert found == set(own)


@given(st.lists(st.floats(20_000, 90_000), min_size=1, max_size=4))
@settings(max_examples=40, deadline=None, derandomize=True)
def test_coils_hold_every_loop_once_and_of_few_loops_no_way_buys_much_less(lengths):
    loops = [loop(n, mm) for n, mm in enumerate(lengths, 1)]
    coils, told = coils_for(loops, "ft-in")
    assert sorted(n for coil in coils for n in coil.loops) == [one.n for one in loops]
    assert all(coils[one.coil - 1].loops.count(one.n) == 1 for one in told)
    assert all(math.fsum(coil.cuts_mm) <= coil.long_mm for coil in coils)
    sold = COILS_MM["ft-in"]
    least = min(
        math.fsum(next((long for long in sold if long >= math.fsum(group)), math.inf) for group in groups if group)
        for marks in itertools.product(range(len(lengths)), repeat=len(lengths))
        for groups in [
            [[mm for mm, mark in zip(lengths, marks, strict=True) if mark == k] for k in range(len(lengths))]
        ]
    )
    assert math.fsum(coil.long_mm for coil in coils) <= least + sold[0]


def test_a_loop_longer_than_any_coil_is_in_none():
    coils, told = coils_for([loop(1, 400_000.0)], "ft-in")
    assert coils == [] and told[0].coil == 0


def test_a_manifold_inside_begins_its_loops_there_and_crosses_none_and_is_kept_by_content():
    of = Rooms([ROOM], Polygon(), Polygon(), ROOM, (4500.0, 3000.0), 300, 300)
    found = lay_loops(of, 60_000, 95, 0, "serpentine")
    assert min(math.dist(pin, of.manifold) for pin in found.pins) < 700 and not found.missed
    lines = [LineString(one.points) for one in found.loops]
    assert all(line.is_simple for line in lines)
    assert not any(a.intersects(b) for a, b in itertools.combinations(lines, 2))
    assert lay_loops(of, 60_000, 95, 0, "serpentine") is found


def test_a_manifold_that_moves_takes_its_loops_along():
    before = Job(WARM).tubing
    moved, _ = apply(WARM, [])
    riser = moved.underslab.risers[0].model_copy(update={"at": (30 * 304.8, 304.8)})
    now = Job(moved.model_copy(update={"underslab": moved.underslab.model_copy(update={"risers": [riser]})})).tubing
    assert now.pins != before.pins and min(math.dist(pin, riser.at) for pin in now.pins) < 1500
