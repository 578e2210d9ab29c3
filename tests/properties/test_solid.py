"""The solid against a third reading of rule 2, point by point, on random outlines with random edges."""

import math
import random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Point, Polygon
from tests.plans import plan

from humble_trowel.core.geometry import shares
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.memo import forget

KINDS = [
    {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300, "haunch_run_per_rise": 1},
    {"mark": "E2", "kind": "thickened", "depth_mm": 600, "bottom_width_mm": 250, "haunch_run_per_rise": 0.4},
    {"mark": "E3", "kind": "thickened", "depth_mm": 300, "bottom_width_mm": 500, "haunch_run_per_rise": 0},
    {"mark": "W1", "kind": "against-wall"},
]
SLAB = 120.0


def depth_by_type(kind, s):
    if s < 0:
        return 0.0
    if s <= kind["bottom_width_mm"]:
        return kind["depth_mm"]
    run = kind["haunch_run_per_rise"]
    return kind["depth_mm"] - (s - kind["bottom_width_mm"]) / run if run else 0.0


def brute_depth(ring, kinds, x, y):
    """Greatest depth at a point inside, straight from the words of the rule."""
    n = len(ring)
    st_of = []
    for i in range(n):
        (ax, ay), (bx, by) = ring[i], ring[(i + 1) % n]
        size = math.hypot(bx - ax, by - ay)
        ux, uy = (bx - ax) / size, (by - ay) / size
        st_of.append(((y - ay) * ux - (x - ax) * uy, (x - ax) * ux + (y - ay) * uy, size))
    best = SLAB
    for i, kind in enumerate(kinds):
        if kind is None:
            continue
        s, t, size = st_of[i]
        if 0 <= t <= size:
            best = max(best, depth_by_type(kind, s))
        for corner, j in ((i, (i - 1) % n), ((i + 1) % n, (i + 1) % n)):
            if kinds[j] is None:
                continue
            beyond = t < 0 if corner == i else t > size
            if not beyond:
                continue
            a, p, b = ring[corner - 1], ring[corner], ring[(corner + 1) % n]
            convex = (p[0] - a[0]) * (b[1] - p[1]) - (p[1] - a[1]) * (b[0] - p[0]) > 0
            s2, t2, size2 = st_of[j]
            if convex and s2 >= 0:
                best = max(best, depth_by_type(kind, s))
            elif not convex and (t2 > size2 if corner == i else t2 < 0):
                best = max(best, *(depth_by_type(one, max(s, s2)) for one in (kind, kinds[j])))
    return best


@st.composite
def star_plans(draw):
    n = draw(st.integers(3, 9))
    radii = draw(st.lists(st.integers(1500, 5200), min_size=n, max_size=n))
    turn = draw(st.floats(0, 6))
    ring = [
        (r * math.cos(turn + 2 * math.pi * i / n), r * math.sin(turn + 2 * math.pi * i / n))
        for i, r in enumerate(radii)
    ]
    picks = draw(st.lists(st.sampled_from([0, 1, 2, 3, None]), min_size=n, max_size=n))
    return ring, picks, draw(st.integers(0, 10**6))


@settings(max_examples=60, deadline=None)
@given(star_plans())
def test_depth_at_a_point_is_the_rule_and_both_ways_agree(drawn):
    ring, picks, seed = drawn
    shape = Polygon(ring)
    edges = [{"sides": [i], "type": KINDS[k]["mark"]} for i, k in enumerate(picks) if k is not None]
    job = plan(outline=ring, slab_types=[{"mark": "S1", "thickness_mm": SLAB}], edge_types=KINDS, edges=edges)
    solid = build_solid(job)
    kinds = [KINDS[k] if k is not None and k < 3 else None for k in picks]
    dice = random.Random(seed)
    x0, y0, x1, y1 = shape.bounds
    for _ in range(60):
        x, y = dice.uniform(x0, x1), dice.uniform(y0, y1)
        if shape.contains(Point(x, y)) and shape.exterior.distance(Point(x, y)) > 0.1:
            near = [brute_depth(ring, kinds, x + dx, y + dy) for dx in (-0.02, 0, 0.02) for dy in (-0.02, 0, 0.02)]
            got = solid.depth_at(x, y)
            assert min(near) - 1e-6 <= got <= max(near) + 1e-6
    assert count_by_slices(job).total_m3 == pytest.approx(solid.net_m3, rel=1e-3)
    assert sum(piece.m3 for piece in solid.pieces) == pytest.approx(sum(solid.added_m3.values()), abs=1e-7)


@settings(max_examples=25, deadline=None)
@given(st.integers(0, 359), st.integers(-9, 9), st.integers(-9, 9))
def test_turning_and_moving_the_plan_changes_nothing(degrees, dx, dy):
    c, s = math.cos(math.radians(degrees)), math.sin(math.radians(degrees))
    ring = [(0, 0), (9000, 0), (9000, 3000), (4000, 3000), (4000, 7000), (0, 7000)]
    turned = [(c * x - s * y + dx * 777, s * x + c * y + dy * 777) for x, y in ring]
    edges = [{"sides": [0, 2, 3, 5], "type": "E1"}, {"sides": [1], "type": "E2"}]
    one = build_solid(plan(outline=ring, edge_types=KINDS, edges=edges)).net_m3
    assert build_solid(plan(outline=turned, edge_types=KINDS, edges=edges)).net_m3 == pytest.approx(one, rel=1e-8)


def test_a_rectilinear_ring_has_the_closed_form_of_a_prismatoid():
    """V = A t + integral over the rise of P s - 4 s^2, s = w + h y: all corners alike, turned or not."""
    ring = [(0, 0), (12000, 0), (12000, 9000), (5000, 9000), (5000, 5000), (0, 5000)]
    kind = KINDS[0]
    area, around = Polygon(ring).area, Polygon(ring).length
    rise, w, h = kind["depth_mm"] - 100, kind["bottom_width_mm"], kind["haunch_run_per_rise"]

    def integral(power):
        return ((w + h * rise) ** (power + 1) - w ** (power + 1)) / (h * (power + 1))

    expected = (area * 100 + around * integral(1) - 4 * integral(2)) / 1e9
    job = plan(outline=ring, edge_types=KINDS, edges=[{"sides": [0, 1, 2, 3, 4, 5], "type": "E1"}])
    assert build_solid(job).net_m3 == pytest.approx(expected, rel=1e-10)


def test_along_lines_openings_and_zones_agree_both_ways():
    job = plan(
        outline=[[0, 0], [9000, 0], [9000, 6000], [0, 6000]],
        openings=[[[2000, 200], [3000, 200], [3000, 1200], [2000, 1200]]],
        slab_types=[{"mark": "S1", "thickness_mm": 100}, {"mark": "S2", "thickness_mm": 180}],
        zones=[
            {"name": "a", "slab": "S1", "polygon": None},
            {
                "name": "b",
                "slab": "S2",
                "polygon": [[5000, 0], [9000, 0], [9000, 6000], [5000, 6000]],
                "drop_mm": 50,
            },
        ],
        edge_types=KINDS,
        edges=[
            {"sides": [0, 1], "type": "E1"},
            {"along": [[5000, 6000], [5000, 3000], [8000, 1500]], "grow": "right", "type": "E2"},
        ],
    )
    solid = build_solid(job)
    assert count_by_slices(job).total_m3 == pytest.approx(solid.net_m3, rel=1e-3)
    assert solid.depth_at(2500, 700) == 0
    assert solid.depth_at(4000, 3000) == 100
    assert solid.depth_at(4900, 4500) == 600


@pytest.mark.parametrize("degrees", [17, 30, 45])
def test_a_dish_with_an_opening_turned_out_of_square(degrees):
    """Level underside: V = A t + 2/3 A depth, less the opening's own share, whatever the turn of the plan."""
    c, s = math.cos(math.radians(degrees)), math.sin(math.radians(degrees))

    def turned(*ring):
        return [[c * x - s * y, s * x + c * y] for x, y in ring]

    fall = {"kind": "drain", "at": turned((3000, 3000))[0], "depth_mm": 45}
    job = plan(
        outline=turned((0, 0), (6000, 0), (6000, 6000), (0, 6000)),
        openings=[turned((1000, 2600), (1800, 2600), (1800, 3400), (1000, 3400))],
        zones=[{"name": "a", "slab": "S1", "polygon": None, "underside": "level", "fall": fall}],
    )
    # under the opening the distance from its side is 1000 to 1800, so the mean top is 21 mm under the rim
    expected = 36 * 0.1 + 2 / 3 * 36 * 0.045 - 0.64 * (0.145 - 0.021)
    assert build_solid(job).net_m3 == pytest.approx(expected, rel=1e-7)
    assert count_by_slices(job).total_m3 == pytest.approx(expected, rel=2e-4)


@settings(max_examples=20, deadline=None)
@given(st.integers(0, 10**6))
def test_past_very_many_facets_the_pieces_are_the_same_in_the_same_order(seed):
    dice = random.Random(seed)
    kind = {"mark": "B1", "width_mm": 200, "depth_mm": 400, "haunch_run_per_rise": dice.choice([0, 0.3, 1])}
    beams = [
        {"type": "B1", "path": [[dice.uniform(0, 9e3), dice.uniform(0, 7e3)] for _ in range(2)]}
        for _ in range(dice.randint(18, 30))
    ]
    ring = [[0, 0], [9000, 0], [9000, 7000], [0, 7000]]
    job = plan(outline=ring, beam_types=[kind], beams=[row for row in beams if math.dist(*row["path"]) > 400])
    made = []
    for many in (4, 10**9):  # past so many facets one by one, or near by near
        with pytest.MonkeyPatch.context() as patch:
            patch.setattr(shares, "MANY", many)
            forget()
            made.append([(piece.ring, piece.gain, piece.part) for piece in build_solid(job).pieces])
    assert made[0] == made[1]
