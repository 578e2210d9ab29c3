"""The set-out sheet: tapes that cross where the corner is, strings over the sides, squares and 3-4-5 that are square."""

import math

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Point, Polygon
from tests.plans import edited, l_shape, new, plan

from humble_trowel.core.lines.setting_out import set_out
from humble_trowel.core.plan.ways import Ways
from humble_trowel.demo.load import ORDER
from humble_trowel.files.job_file import parse_job

WAYS = Ways()


def demo(name):
    from importlib import resources

    return parse_job((resources.files("humble_trowel.demo") / "jobs" / f"{name}.json").read_bytes())


@pytest.mark.parametrize("name", ORDER)
def test_two_tapes_cross_at_the_corner_and_offsets_lead_to_it(name):
    job = demo(name)
    sheet = set_out(job, WAYS)
    ring = job.outline
    start, end = sheet.baseline_line
    u = complex(end[0] - start[0], end[1] - start[1]) / math.dist(start, end)
    for corner in sheet.corners:
        spot = complex(*start) + u * complex(corner.x_mm, corner.y_mm)
        assert (spot.real, spot.imag) == pytest.approx(ring[corner.corner], abs=1e-6)
    for swing in sheet.swing:
        for side, far in ((swing.from_a, swing.a_mm), (swing.from_b, swing.b_mm)):
            assert math.dist(ring[side], ring[swing.corner]) == pytest.approx(far)
    held = {0, 1} if job.set_out.hold_side is None else {job.set_out.hold_side, (job.set_out.hold_side + 1) % len(ring)}
    assert {swing.corner for swing in sheet.swing} == set(range(len(ring))) - held


@pytest.mark.parametrize("name", ORDER)
def test_strings_run_over_the_sides_and_profiles_stand_clear(name):
    job = demo(name)
    sheet = set_out(job, WAYS)
    outline = Polygon(job.outline)
    covered = set()
    for line in sheet.strings:
        string = LineString([(line.start.x_mm, line.start.y_mm), (line.end.x_mm, line.end.y_mm)])
        for side in line.sides:
            covered.add(side)
            a, b = job.outline[side], job.outline[(side + 1) % len(job.outline)]
            assert string.buffer(1).covers(LineString([a, b]))
        for nail in (line.start, line.end):
            if nail.board:
                assert LineString(nail.board).distance(outline) >= sheet.profile_mm * 0.66 - 1
                assert Point(nail.x_mm, nail.y_mm).distance(LineString(nail.board)) < 1e-6
            else:
                assert nail.on in {thing.name for thing in job.existing}
    assert covered == set(range(len(job.outline)))


def test_offset_stakes_stand_past_outer_corners_in_line_with_their_sides():
    job = demo("honey-house")
    sheet = set_out(job, WAYS)
    ring, slab = job.outline, Polygon(job.outline)
    assert {stake.name for stake in sheet.stakes} == set("ABDEGIJ")  # C, F and H are inner corners
    bay = set_out(demo("boat-bay"), WAYS)
    assert [s.name for s in bay.stakes] == list("BBCC")  # none is driven into the club's floor
    for stake in sheet.stakes:
        spot = (stake.x_mm, stake.y_mm)
        assert math.dist(spot, ring[stake.corner]) == pytest.approx(sheet.profile_mm)
        assert slab.distance(Point(spot)) > 0
        a, b = (ring["ABCDEFGHIJ".index(letter)] for letter in stake.in_line_with.split(" to "))
        area = (b[0] - a[0]) * (spot[1] - a[1]) - (b[1] - a[1]) * (spot[0] - a[0])
        assert abs(area) / math.dist(a, b) < 1e-6


def test_an_l_has_two_rectangles_with_all_sides_on_it():
    sheet = set_out(edited(new(), {"op": "keep_outline", "text": "36' e 18' n 24' w 10' n 12' w 28' s"}), WAYS)
    assert [(q.long_text, q.short_text, q.diagonal_text) for q in sheet.squares] == [
        ("36′", "18′", "40′-3″"), ("28′", "12′", "30′-5 9/16″"),
    ]  # fmt: skip
    assert sheet.squares[0].ends == [{"from": "A", "to": "C"}, {"from": "B", "to": "10′ along F to A"}]
    assert sheet.squares[0].measures[1] == {"from": 1, "to": {"side": 5, "at_mm": 3048.0}}


def test_three_four_five_is_the_largest_that_fits_and_square():
    for row in set_out(l_shape(), WAYS).three_four_five:
        assert math.hypot(row.along_a_mm, row.along_b_mm) == pytest.approx(row.across_mm) and row.square
    first = set_out(
        edited(new(), {"op": "template", "shape": "rectangle", "sizes": ["40'", "30'"]}), WAYS
    ).three_four_five[0]
    assert first.words == "30′ back, 40′ on, 50′ across."
    metric = set_out(plan(), WAYS).three_four_five[0]
    assert (metric.along_a_mm, metric.along_b_mm, metric.across_mm) == (3900, 5200, 6500)


@settings(max_examples=40, deadline=None)
@given(st.integers(4, 14), st.integers(0, 5), st.data())
def test_any_outline_gets_tapes_angles_and_chords_that_fit(n, turn, data):
    radii = [data.draw(st.floats(2000, 9000)) for _ in range(n)]
    ring = [(r * math.cos(math.tau * i / n + turn), r * math.sin(math.tau * i / n + turn)) for i, r in enumerate(radii)]
    job = plan(outline=ring)
    sheet = set_out(job, WAYS)
    assert sum(corner.inner_deg for corner in sheet.corners) == pytest.approx(180 * (n - 2), abs=1e-6)
    for row in sheet.three_four_five:
        at, before, after = ring[row.corner], ring[row.corner - 1], ring[(row.corner + 1) % n]
        one = [at[k] + (before[k] - at[k]) * row.along_a_mm / math.dist(at, before) for k in (0, 1)]
        two = [at[k] + (after[k] - at[k]) * row.along_b_mm / math.dist(at, after) for k in (0, 1)]
        assert math.dist(one, two) == pytest.approx(row.across_mm, abs=1)
    for swing in sheet.swing:
        assert swing.weak == (swing.meet_deg < 30)


def test_a_lot_line_or_another_side_turns_the_axes():
    job = edited(l_shape(), {"op": "hold", "side": 2})
    sheet = set_out(job, WAYS)
    assert sheet.baseline == "C to D" and [c.y_mm for c in sheet.corners if c.name in "CD"] == pytest.approx([0, 0])
    lot = {"name": "Lot line", "start": ["-4'", "-6'"], "end": ["40'", "-6'"]}
    sheet = set_out(edited(l_shape(), {"op": "hold", "side": None, "lot_line": lot}), WAYS)
    assert sheet.corners[0].y_text == "6′" and sheet.corners[0].x_text == "4′"
    assert {row.from_a for row in sheet.swing[:1]} == {-1} and len(sheet.swing) == 6
