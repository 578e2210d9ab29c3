"""Walks round a ring: sides, neighbours, angles and points on them."""

import math

import pytest

from humble_trowel.core.geometry.ring import (
    angle_at,
    around,
    closed,
    distance_to_side,
    foot_on,
    middle_of,
    point_along,
    side_of,
    sides_of,
    unit,
)

L = [(0.0, 0.0), (6000.0, 0.0), (6000.0, 2000.0), (2000.0, 2000.0), (2000.0, 5000.0), (0.0, 5000.0)]


def test_sides_and_neighbours_go_on_past_the_last_corner():
    assert list(sides_of(L)) == [side_of(L, i) for i in range(6)] and side_of(L, 5) == (L[5], L[0])
    assert around(L, 0) == (L[5], L[0], L[1]) and around(L, 5) == (L[4], L[5], L[0])
    assert closed(L)[0] == closed(L)[-1] and len(closed(L)) == 7
    turns = [math.degrees(angle_at(L, i)) for i in range(6)]
    assert turns == pytest.approx([90, 90, 90, 270, 90, 90]) and sum(turns) == pytest.approx(180 * 4)


def test_points_on_a_side_and_beside_it():
    assert point_along((0, 0), (3000, 4000), 2500) == (1500, 2000) and unit((0, 0), (3000, 4000)) == (0.6, 0.8)
    assert point_along((0, 0), (100, 0), 250) == (250, 0) and middle_of((0, 0), (10, 4)) == (5, 2)
    assert foot_on((700, -40), (0, 0), (500, 0)) == (500, 0) and foot_on((9, 9), (1, 2), (1, 2)) == (1, 2)
    assert distance_to_side((250, -40), (0, 0), (500, 0)) == 40 and distance_to_side((530, 40), (0, 0), (500, 0)) == 50
