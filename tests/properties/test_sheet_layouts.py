"""Sheets and boards over random shapes: all of it covered, laps kept, no roll or board cut twice."""

import math

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon, box

from humble_trowel.core.sheets.boards import LEAST_MM, best_boards, lay_boards
from humble_trowel.core.sheets.counts import rolls
from humble_trowel.core.sheets.rows import best_rows, lay_rows, long_ways

sizes = st.floats(2_000, 30_000)


@st.composite
def shapes(draw):
    """A rectangle with a wing, a notch and an opening, turned."""
    wide, deep = draw(sizes), draw(sizes)
    whole = box(0, 0, wide, deep)
    wing = box(wide * draw(st.floats(0.1, 0.5)), deep - 10, wide * 0.9, deep + draw(st.floats(500, 9_000)))
    hole = box(wide * 0.3, deep * 0.3, wide * 0.3 + 700, deep * 0.3 + 600)
    shape = whole.union(wing).difference(hole).difference(box(-1, -1, wide * draw(st.floats(0.05, 0.3)), deep * 0.2))
    return shapely.affinity.rotate(shape, draw(st.floats(0, 90)), origin=(0, 0))


@given(shapes(), st.floats(1_500, 6_000), st.floats(12_000, 60_000), st.floats(100, 400), st.floats(0, 300))
@settings(max_examples=40, deadline=None, derandomize=True)
def test_sheets_cover_all_with_at_least_the_lap_and_no_roll_is_cut_past_its_end(region, wide, long, lap, up):
    laid = best_rows(region, wide, long, lap, up, long_ways(region))
    sheets = shapely.union_all([Polygon(piece.corners) for piece in laid.pieces], grid_size=1e-3)
    grown = region.buffer(up, join_style="mitre")
    assert grown.difference(sheets.buffer(0.01)).area < 1.0
    rows = {}
    for piece in laid.pieces:
        rows.setdefault(piece.row, []).append(Polygon(piece.corners))
    for row in range(1, laid.rows):
        below, above = shapely.union_all(rows[row], grid_size=1e-3), shapely.union_all(rows[row + 1], grid_size=1e-3)
        border = [seam for seam in laid.seams if (seam.upper, seam.lower) == (row + 1, row)]
        lapped = below.intersection(above).area
        assert lapped >= 0.999 * lap * math.fsum(seam.long_mm for seam in border)
    cut = {}
    for piece in laid.pieces:
        cut[piece.roll] = cut.get(piece.roll, 0.0) + piece.long_mm
    assert sorted(cut) == list(range(1, laid.rolls + 1)) and max(cut.values()) <= long + 1e-3
    assert laid.left_mm == pytest.approx(long - cut[laid.rolls], abs=1e-3)


@given(shapes(), st.floats(1_200, 3_000), st.floats(500, 1_300), st.floats(0, 0.4))
@settings(max_examples=40, deadline=None, derandomize=True)
def test_boards_lie_once_everywhere_and_pieces_with_offcuts_are_the_boards_bought(region, long, wide, apart):
    laid = best_boards(region, long, wide, apart * long, long_ways(region))
    rings = [Polygon(piece.corners) for piece in laid.pieces]
    assert region.difference(shapely.union_all(rings, grid_size=1e-3).buffer(0.01)).area < 20.0
    assert math.fsum(ring.area for ring in rings) < shapely.union_all(rings, grid_size=1e-3).area * (1 + 1e-6) + 20.0
    used = math.fsum(piece.long_mm * piece.wide_mm for piece in laid.pieces) / 1e6
    assert used + laid.left_m2 == pytest.approx(laid.bought * long * wide / 1e6, rel=1e-9)
    assert laid.bought >= laid.least
    for board in range(1, laid.bought + 1):
        own = [piece for piece in laid.pieces if piece.board == board]
        assert math.fsum(piece.long_mm * piece.wide_mm for piece in own) <= long * wide * (1 + 1e-9)


@given(st.floats(3_000, 20_000), st.floats(3_000, 20_000))
@settings(max_examples=30, deadline=None, derandomize=True)
def test_on_a_plain_floor_joints_stand_apart_and_rows_are_those_of_the_hand_rule(long, wide):
    laid = lay_boards(box(0, 0, long, wide), 2438.4, 1219.2, 304.8)
    ends = {}
    for piece in laid.pieces:
        ends.setdefault(piece.course, set()).add(round(max(x for x, _ in piece.corners), 3))
        assert piece.long_mm > LEAST_MM - 1 or piece.long_mm > long - 1
    for course in range(1, laid.courses):
        one, other = (ends[course] - {round(long, 3)}), (ends[course + 1] - {round(long, 3)})
        assert all(abs(a - b) > 304.7 for a in one for b in other)
    hand = rolls(long, wide, 3657.6, 30_480, 152.4, 152.4)
    assert (
        min(lay_rows(box(0, 0, long, wide), 3657.6, 30_480, 152.4, 152.4, angle).rows for angle in (0, 90)) <= hand.rows
    )


def test_what_cannot_be_laid_is_said():
    with pytest.raises(ValueError, match="no wider than its lap"):
        lay_rows(box(0, 0, 5000, 5000), 150, 30_000, 150)
    with pytest.raises(ValueError, match="no longer than its lap"):
        lay_rows(box(0, 0, 5000, 5000), 1500, 100, 150)
    with pytest.raises(ValueError, match="half a board"):
        lay_boards(box(0, 0, 5000, 5000), 2400, 1200, 1300)
