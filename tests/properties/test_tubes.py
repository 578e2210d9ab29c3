"""Loops over random rooms: none leaves the floor, crosses itself or another, or bends too tight; no floor is left far from a tube."""

import math

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, MultiLineString, Point, Polygon, box

from humble_trowel.core.tubes.bends import bend
from humble_trowel.core.tubes.laid import Rooms, lay_loops

SPACING, RADIUS = 300.0, 95.0


def laid(rooms, keep, at, longest=90_000.0, pattern="serpentine", tight=None, close=SPACING):
    floor = shapely.union_all(rooms).buffer(0.01)
    of = Rooms(rooms, keep, tight or Polygon(), floor, at, SPACING, close)
    return lay_loops(of, longest, RADIUS, 0.0, pattern), floor


@st.composite
def floors(draw):
    """Two or three rooms in a row, one of them deeper, with up to two things in the way, and a manifold at a wall."""
    x, rooms = 0.0, []
    for _ in range(draw(st.integers(2, 3))):
        wide, deep = draw(st.integers(9, 24)) * SPACING, draw(st.integers(8, 26)) * SPACING
        rooms.append(box(x, 0, x + wide, deep))
        x += wide
    things = [
        Point(draw(st.floats(600, x)), draw(st.floats(600, 5_000))).buffer(draw(st.floats(20, 250)))
        for _ in range(draw(st.integers(0, 2)))
    ]
    return (
        rooms,
        shapely.union_all(things) if things else Polygon(),
        (draw(st.floats(0, x)), draw(st.sampled_from([0.0, 1400.0]))),
    )


def tightest(points):
    """The smallest circle through three points that follow each other, but at the ends, which go up to the manifold."""
    found = math.inf
    for a, b, c in zip(points[1:], points[2:], points[3:-1], strict=False):
        one, two, three = math.dist(a, b), math.dist(b, c), math.dist(a, c)
        area = abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / 2
        if area > 1e-3 * one * two and max(one, two) < 60:
            found = min(found, one * two * three / (4 * area))
    return found


@given(floors(), st.sampled_from(["serpentine", "spiral"]), st.sampled_from([40_000.0, 90_000.0]))
@settings(max_examples=40, deadline=None, derandomize=True)
def test_loops_keep_to_their_floor_apart_from_each_other_and_within_their_bend(floor, pattern, longest):
    rooms, keep, at = floor
    found, whole = laid(rooms, keep, at, longest, pattern)
    lines = [LineString(loop.points) for loop in found.loops]
    assert lines and not found.missed
    for k, line in enumerate(lines):
        assert line.is_simple and whole.covers(line)
        assert not any(line.intersects(other) for other in lines[k + 1 :])
        assert keep.is_empty or not line.intersects(keep)
        assert found.loops[k].length_mm == pytest.approx(line.length, rel=0.004)
    for loop in found.loops:
        if not loop.forced:
            assert tightest(loop.points) > RADIUS * 0.97
    tubes = MultiLineString(lines)
    for room in rooms:
        x0, y0, x1, y1 = room.bounds
        for k in range(120):
            spot = Point(x0 + (x1 - x0) * (k * 0.618 % 1), y0 + (y1 - y0) * ((k + 0.5) / 120))
            cold = not keep.is_empty and keep.distance(spot) < 2.9 * SPACING
            assert cold or tubes.distance(spot) <= SPACING


@given(st.integers(16, 40), st.integers(14, 30), st.sampled_from(["serpentine", "spiral"]))
@settings(max_examples=25, deadline=None, derandomize=True)
def test_in_a_plain_room_tube_is_area_by_spacing_and_loops_are_near_equal(wide, deep, pattern):
    room = box(0, 0, wide * SPACING, deep * SPACING)
    found, _ = laid([room], Polygon(), (0.0, deep * SPACING / 2), 60_000.0, pattern)
    lengths = [loop.length_mm for loop in found.loops]
    in_room = math.fsum(lengths) - math.fsum(loop.leader_mm for loop in found.loops)
    assert in_room == pytest.approx(room.area / SPACING, rel=0.08)
    assert max(lengths) <= 60_000 and len(lengths) <= math.ceil(room.area / SPACING / 60_000) + 1
    assert pattern == "spiral" or max(lengths) - min(lengths) <= 0.15 * max(lengths)


@given(st.floats(60, 400), st.sampled_from([1, -1]), st.floats(1500, 4000))
@settings(max_examples=60, deadline=None, derandomize=True)
def test_turns_that_lie_close_become_bulbs_and_slants_with_the_very_radius(apart, side, long):
    there = [(0, 0), (0, long), (side * apart, long), (side * apart, 0)]
    on = [(0, 0), (0, long), (side * apart, long), (side * apart, 2 * long)]
    for corners, down in ((there, True), (on, False)):
        made = bend(corners, RADIUS)
        assert (
            not made.forced and made.points[-1] == corners[-1] and tightest([*made.points, corners[-1]]) > RADIUS * 0.97
        )
        assert made.length_mm == pytest.approx(LineString(made.points).length, rel=0.01)
        if down:
            assert max(y for _, y in made.points) == pytest.approx(long, abs=1.0)
    assert bend([(0, 0), (0, 50), (60, 50), (60, 0)], RADIUS).forced  # no room to turn


def test_tight_floor_along_a_wall_is_laid_closer_and_a_room_of_no_width_is_missed():
    room = box(0, 0, 6000, 6000)
    tight = room.difference(box(600, 600, 5400, 5400))
    close, _ = laid([room], Polygon(), (0, 3000), tight=tight, close=150.0)
    plain, _ = laid([room], Polygon(), (0, 3000))
    assert sum(one.length_mm for one in close.loops) > 1.15 * sum(one.length_mm for one in plain.loops)
    found, _ = laid([room, box(6000, 0, 6100, 6000)], Polygon(), (0, 3000))
    assert found.missed == [1]


def test_fourteen_rooms_from_one_manifold_and_forty_loops():
    rooms = [
        box(i * 4600, j * 4300, i * 4600 + 4600, j * 4300 + 4300)
        for i in range(4)
        for j in range(4)
        if (i, j) not in ((3, 3), (0, 3))
    ]
    found, whole = laid(rooms, Polygon(), (9000, 0))
    lines = [LineString(loop.points) for loop in found.loops]
    assert not found.missed and all(whole.covers(line) and line.is_simple for line in lines)
    assert not any(one.intersects(other) for k, one in enumerate(lines) for other in lines[k + 1 :])
    many, _ = laid([box(0, 0, 24_000, 20_000)], Polygon(), (12_000, 0), 42_000.0)
    assert len(many.loops) >= 38
