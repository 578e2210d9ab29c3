"""Random legal slabs with beams, pads and recesses: the solid, the slices and the words of the rules must agree."""

import math
import random
import re
from itertools import pairwise

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Point, Polygon
from tests.answers import figure
from tests.plans import plan

from humble_trowel.bench.rows import large_job
from humble_trowel.bench.shape import mesh_rows
from humble_trowel.core.edges.section_line import section_line, section_rings
from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.parts import first_number
from humble_trowel.core.geometry.redo import alone_m3, redone_m3
from humble_trowel.core.geometry.slices import count_by_slices
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.job_file import read_plan

WIDE, HIGH, SLAB = 9000.0, 6000.0, 120.0
BEAMS = [
    {"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 1.0},
    {"mark": "B2", "width_mm": 250, "depth_mm": 650, "haunch_run_per_rise": 0.4},
    {"mark": "B3", "width_mm": 400, "depth_mm": 400, "haunch_run_per_rise": 0.0},
]
PADS = [
    {"mark": "P1", "shape": "rectangle", "width_mm": 900, "length_mm": 600, "depth_mm": 550},
    {"mark": "P2", "shape": "round", "diameter_mm": 700, "depth_mm": 800},
]
EDGE = {"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300, "haunch_run_per_rise": 0.7}


def spot(draw):
    return [draw(st.integers(-300, int(WIDE) + 300)), draw(st.integers(-300, int(HIGH) + 300))]


@st.composite
def slabs(draw):
    beams = []
    for _ in range(draw(st.integers(0, 3))):
        path = [spot(draw) for _ in range(draw(st.integers(2, 4)))]
        if all(math.dist(a, b) > 400 for a, b in pairwise(path)):
            beams.append({"type": draw(st.sampled_from(["B1", "B2", "B3"])), "path": path})
    pads = [
        {"type": draw(st.sampled_from(["P1", "P2"])), "at": spot(draw), "turn_deg": draw(st.integers(0, 90))}
        for _ in range(draw(st.integers(0, 3)))
    ]
    x, y = draw(st.integers(300, 6000)), draw(st.integers(300, 3500))
    recess = {
        "name": "r", "depth_mm": draw(st.integers(20, 600)), "keeps_thickness": draw(st.booleans()),
        "polygon": [[x, y], [x + draw(st.integers(300, 2500)), y], [x + 400, y + draw(st.integers(300, 2000))]],
    }  # fmt: skip
    data = {
        "outline": [[0, 0], [WIDE, 0], [WIDE, HIGH], [0, HIGH]], "slab_types": [{"mark": "S1", "thickness_mm": SLAB}],
        "zones": [{"name": "all", "slab": "S1", "polygon": None}], "edge_types": [EDGE],
        "edges": [{"sides": draw(st.sampled_from([[0], [0, 1], [0, 2], [0, 1, 2, 3]])), "type": "E1"}],
        "beam_types": BEAMS, "beams": beams, "pad_types": PADS, "pads": pads,
        "recesses": [recess] if draw(st.booleans()) else [],
    }  # fmt: skip
    return data, draw(st.integers(0, 10**6))


def by_width(depth, half, run, s):
    if s <= half:
        return depth
    return depth - (s - half) / run if run else 0.0


def beam_depth(kind, path, x, y):
    """Greatest half-plane reading: the widest offset of the centreline that still leaves the point out, mitred."""
    best, half, run = 0.0, kind["width_mm"] / 2, kind["haunch_run_per_rise"]
    legs = list(pairwise(path))
    for a, b in legs:
        size = math.dist(a, b)
        ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
        if 0 <= (x - a[0]) * ux + (y - a[1]) * uy <= size:
            best = max(best, by_width(kind["depth_mm"], half, run, abs((y - a[1]) * ux - (x - a[0]) * uy)))
    for (a, b), (_, c) in pairwise(legs):
        u = ((b[0] - a[0]) / math.dist(a, b), (b[1] - a[1]) / math.dist(a, b))
        v = ((c[0] - b[0]) / math.dist(b, c), (c[1] - b[1]) / math.dist(b, c))
        px, py = x - b[0], y - b[1]
        if px * u[0] + py * u[1] > 0 and px * v[0] + py * v[1] < 0:
            out = -1 if u[0] * v[1] - u[1] * v[0] > 0 else 1
            s1, s2 = out * (py * u[0] - px * u[1]), out * (py * v[0] - px * v[1])
            m = (u[0] - v[0], u[1] - v[1])
            s3 = (px * m[0] + py * m[1]) / math.hypot(*m) / 4
            best = max(best, by_width(kind["depth_mm"], half, run, max(s1, s2, s3)))
    return best


def depth_by_rules(data, x, y):
    depth = SLAB
    walls = [y, WIDE - x, HIGH - y, x]
    for side in data["edges"][0]["sides"]:
        depth = max(depth, by_width(450, 300, 0.7, walls[side]))
    for beam in data["beams"]:
        kind = next(row for row in BEAMS if row["mark"] == beam["type"])
        depth = max(depth, beam_depth(kind, beam["path"], x, y))
    for pad in data["pads"]:
        kind = next(row for row in PADS if row["mark"] == pad["type"])
        dx, dy, turn = x - pad["at"][0], y - pad["at"][1], math.radians(-pad["turn_deg"])
        px, py = dx * math.cos(turn) - dy * math.sin(turn), dx * math.sin(turn) + dy * math.cos(turn)
        there = math.hypot(dx, dy) <= 350 if kind["shape"] == "round" else abs(px) <= 450 and abs(py) <= 300
        depth = max(depth, kind["depth_mm"] if there else 0.0)
    for recess in data["recesses"]:
        if Polygon(recess["polygon"]).contains(Point(x, y)):
            depth = max(SLAB if recess["keeps_thickness"] else 0.0, depth - recess["depth_mm"])
    return depth


def legal(data):
    try:
        return read_plan({"format": "humble-trowel-job", "version": 1, "name": "t", "units": "mm", **data})
    except PlanError:
        return None  # a beam or a pad wholly outside


@settings(max_examples=60, deadline=None)
@given(slabs())
def test_depths_follow_the_rules_and_both_ways_agree(drawn):
    data, seed = drawn
    job = legal(data)
    assume(job is not None)
    solid = build_solid(job)
    dice = random.Random(seed)
    for _ in range(40):
        x, y = dice.uniform(1, WIDE - 1), dice.uniform(1, HIGH - 1)
        if any(abs(math.dist((x, y), pad["at"]) - 350) < 2 for pad in data["pads"]):
            continue  # a round pad is a polygon of equal area: its rim is 1 mm off
        near = [depth_by_rules(data, x + dx, y + dy) for dx in (-0.05, 0, 0.05) for dy in (-0.05, 0, 0.05)]
        assert min(near) - 1e-6 <= solid.depth_at(x, y) <= max(near) + 1e-6
    assert count_by_slices(job).total_m3 == pytest.approx(solid.net_m3, rel=2e-3)
    assert solid.net_m3 == pytest.approx(SLAB * WIDE * HIGH / 1e9 + sum(solid.added_m3.values()))


@settings(max_examples=30, deadline=None)
@given(slabs())
def test_a_cut_is_the_depth_all_along_it(drawn):
    data, seed = drawn
    job = legal(data)
    assume(job is not None)
    solid = build_solid(job)
    dice = random.Random(seed)
    a, b = (dice.uniform(0, WIDE), -50.0), (dice.uniform(0, WIDE), HIGH + 50)
    spans = section_line(solid, a, b)
    for one, two in pairwise(spans):
        assert two.s0_mm >= one.s1_mm - 1e-6
    for span in spans:
        for share in (0.25, 0.75):
            s = span.s0_mm + share * (span.s1_mm - span.s0_mm)
            t = s / math.dist(a, b)
            deep = solid.depth_at(a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]))
            drawn_deep = (1 - share) * (span.top0_mm - span.bottom0_mm) + share * (span.top1_mm - span.bottom1_mm)
            assert span.s1_mm - span.s0_mm < 0.2 or drawn_deep == pytest.approx(deep, abs=0.01)
    assert all(Polygon(ring).is_valid for ring in section_rings(spans))


@settings(max_examples=25, deadline=None)
@given(slabs())
def test_what_a_part_brings_is_what_goes_without_it(drawn):
    data, _ = drawn
    job = legal({**data, "recesses": []})
    assume(job is not None and job.beams)
    solid = build_solid(job)
    number = first_number(job, "beam")
    without = job.model_copy(update={"beams": job.beams[1:]})
    assert alone_m3(job, solid, number) == pytest.approx(solid.net_m3 - build_solid(without).net_m3, abs=1e-7)
    moved = job.beams[0].model_copy(update={"path": [(x + 150, y) for x, y in job.beams[0].path]})
    other = job.model_copy(update={"beams": [moved, *job.beams[1:]]})
    if LineString(moved.path).intersects(Polygon(job.outline)):
        assert redone_m3(build_solid(job), other, number) == pytest.approx(build_solid(other).net_m3, abs=1e-7)


def test_a_mitre_past_four_half_widths_is_cut_square():
    """A beam that turns back on itself at 20 degrees: the level set is the offset line with a mitre limit of 4."""
    path = [(500, 3000), (4500, 3000), (500, 3000 + 4000 * math.tan(math.radians(20)))]
    kind = {"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 0.0}
    ring = [[0, 0], [WIDE, 0], [WIDE, HIGH], [0, HIGH]]
    job = plan(outline=ring, beam_types=[kind], beams=[{"type": "B1", "path": path}])
    foot = LineString(path).buffer(150, cap_style="flat", join_style="mitre", mitre_limit=4)
    assert build_solid(job).net_m3 == pytest.approx(WIDE * HIGH * 100 / 1e9 + foot.area * 400 / 1e9, rel=1e-8)


def test_a_closed_beam_is_a_frame_mitred_at_every_corner():
    path = [[2000, 2000], [5000, 2000], [5000, 4000], [2000, 4000], [2000, 2000]]
    kind = {"mark": "B1", "width_mm": 300, "depth_mm": 500, "haunch_run_per_rise": 0.0}
    ring = [[0, 0], [WIDE, 0], [WIDE, HIGH], [0, HIGH]]
    job = plan(outline=ring, beam_types=[kind], beams=[{"type": "B1", "path": path}])
    assert build_solid(job).net_m3 == pytest.approx(5.4 + 0.3 * 10 * 0.4, rel=1e-9)


def test_the_large_job_is_what_a_mesh_boolean_of_its_parts_makes():
    job = read_plan(large_job())
    (row,) = mesh_rows(job, build_solid(job), 1)
    assert abs(float(re.search(r"\(([^ ]+) of its volume", row.name)[1])) < 1e-9


def test_three_hundred_beams_and_pads_have_their_closed_form():
    ring = [[0, 0], [150_000, 0], [150_000, 12_000], [0, 12_000]]
    beams = [{"type": "B3", "path": [[250 + 500 * k, 0], [250 + 500 * k, 6000]]} for k in range(300)]
    pads = [{"type": "P2", "at": [500 + 1490 * (k % 100), 7500 + 1500 * (k // 100)]} for k in range(300)]
    job = plan(outline=ring, beam_types=BEAMS, beams=beams, pad_types=PADS, pads=pads)
    expected = 150 * 12 * 0.1 + 300 * 6 * 0.4 * 0.3 + 300 * math.pi * 0.35**2 * 0.7
    assert build_solid(job).net_m3 == pytest.approx(expected, rel=1e-9)


def test_odd_sizes_stay_sane():
    """Beams a hair apart on 200 corners, and a haunch wider than the building: both ways agree, and it is said."""
    ring = [[8000 + 8000 * math.cos(math.pi * k / 100), 8000 + 8000 * math.sin(math.pi * k / 100)] for k in range(200)]
    beams = [{"type": "B1", "path": [[5000 + 50 * k, 1000], [5000 + 50 * k + 0.4, 15000]]} for k in range(40)]
    wide = {**EDGE, "depth_mm": 900, "haunch_run_per_rise": 12}
    for job, code in (
        (plan(outline=ring, beam_types=BEAMS, beams=beams), "beams-close"),
        (plan(edge_types=[wide], edges=[{"sides": [0, 1, 2, 3], "type": "E1"}]), "haunch-wide"),
    ):
        assert build_solid(job).net_m3 == pytest.approx(count_by_slices(job).total_m3, rel=1e-3)
        assert code in [row.code for row in figure(job, Ways(), quick=True).findings]
