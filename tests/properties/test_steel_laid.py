"""Steel over random slabs: every bar inside the concrete with its cover, lengths that add up, laps at least their length."""

import math

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Point, box
from tests.plans import plan

from humble_trowel.core.job import Job
from humble_trowel.core.plan.bars import BARS
from humble_trowel.core.steel.laid import spliced_lengths
from humble_trowel.core.steel.laps import lap_mm, spliced
from humble_trowel.core.steel.mats import laps_of, layer, pieces_of

sizes = st.floats(3_000, 30_000)
names = st.sampled_from(["#3", "#4", "#5", "#6", "8 mm", "10 mm", "12 mm", "16 mm"])


@st.composite
def slabs(draw):
    """An L with an opening, edges thickened all round, one beam across."""
    wide, deep = draw(sizes), draw(sizes)
    x, y = wide * draw(st.floats(0.35, 0.7)), deep * draw(st.floats(0.35, 0.7))
    ring = [[0, 0], [wide, 0], [wide, y], [x, y], [x, deep], [0, deep]]
    hole = [[x * 0.4, y * 0.4], [x * 0.4 + 500, y * 0.4], [x * 0.4 + 500, y * 0.4 + 600], [x * 0.4, y * 0.4 + 600]]
    edge = {
        "mark": "E1",
        "kind": "thickened",
        "depth_mm": draw(st.floats(350, 700)),
        "bottom_width_mm": draw(st.floats(300, 500)),
    }
    bar, other, tie = draw(names), draw(names), draw(st.sampled_from(["#3", "8 mm"]))
    rows = [
        {"count": draw(st.integers(1, 3)), "bar": other, "level": level}
        for level in draw(st.sampled_from([["bottom"], ["bottom", "top"], ["top", "middle", "bottom"]]))
    ]
    cage = {
        "bars": rows,
        "stirrup": tie,
        "stirrup_mm": draw(st.floats(150, 900)),
        "corners": draw(st.sampled_from(["bent", "crossed"])),
    }
    return plan(
        units="mm", outline=ring, openings=[hole], edge_types=[edge], edges=[{"type": "E1", "sides": list(range(6))}],
        beam_types=[{"mark": "B1", "width_mm": 300, "depth_mm": 450}], beams=[{"type": "B1", "path": [[0, y * 0.8], [wide, y * 0.8]]}],
        slab_types=[{"mark": "S1", "thickness_mm": 150}], zones=[{"name": "all", "slab": "S1"}],
        steel={"ways": [{"slab": "S1", "way": "bars", "bar": bar, "spacing_mm": draw(st.floats(150, 900))}],
               "cages": [{"of": "edge", "mark": "E1", **cage}, {"of": "beam", "mark": "B1", **cage}]},
    )  # fmt: skip


@given(slabs())
@settings(max_examples=40, deadline=None, derandomize=True)
def test_every_bar_lies_in_the_concrete_with_its_cover_and_all_lengths_add_up(of):
    job = Job(of)
    inside = shapely.union_all([cell.region for cell in job.solid.cells]).buffer(-49.5, join_style="mitre")
    for row in job.steel.bars:
        for line in row.lines:
            assert inside.covers(LineString(line)), (row.words, line)
        if row.shape == "straight":
            drawn = math.fsum(math.dist(line[0], line[-1]) for line in row.lines)
            assert 0 <= row.steel_mm - drawn - (row.count - len(row.lines)) * row.lap_mm <= row.count + 1e-3
        if row.level_mm is not None:
            deep = max(job.solid.depth_at(*Point(spot).coords[0]) for line in row.lines for spot in line)
            assert -deep + row.bar.d_mm / 2 < row.level_mm < -row.bar.d_mm / 2
    bought = {one.bar.name: one for one in job.steel_cuts}
    for size in job.steel.sizes:
        one = bought[size.bar.name]
        assert one.problem or sum(row.count * len(row.pieces) for row in one.rows) == size.pieces


@given(st.floats(500, 90_000), st.floats(4_000, 12_000), st.floats(200, 1_500), st.booleans())
@settings(max_examples=200, deadline=None, derandomize=True)
def test_a_spliced_bar_has_its_laps_and_no_piece_is_longer_than_its_stock(long, stock, lap, odd):
    pieces = spliced_lengths(long, stock, lap, odd)
    count, steel = spliced(long, stock, lap)
    assert len(pieces) == count and math.fsum(pieces) == pytest.approx(steel)
    assert max(pieces) <= stock + 1e-6 and (count == 1 or min(pieces) >= lap - 1e-6)


@given(st.floats(4_000, 30_000), st.floats(4_000, 30_000), st.floats(0, 90), names, st.floats(150, 900))
@settings(max_examples=60, deadline=None, derandomize=True)
def test_a_mat_reaches_everywhere_and_its_laps_stand_apart(wide, deep, turn, name, spacing):
    bar = BARS[name]
    lap, stock = lap_mm(bar, "class-b", 3000.0), 6096.0
    found = layer(shapely.affinity.rotate(box(0, 0, wide, deep), turn, origin=(0, 0)), spacing, turn, stock, lap)
    assert found.apart_mm <= spacing + 1e-6 and len(found.bars) == found.lines
    for row in found.bars:
        assert row.long_mm == pytest.approx(wide)
        laps = laps_of(row, stock, lap)
        assert len(laps) == row.bars - 1 == len(pieces_of(row, stock, lap)) - 1
        assert all(math.dist(a, b) == pytest.approx(lap) for a, b in laps)
    for one, other in zip(found.bars, found.bars[1:], strict=False):
        for a, _ in laps_of(one, stock, lap):
            assert min((math.dist(a, b) for b, _ in laps_of(other, stock, lap)), default=1e9) >= found.apart_mm * 0.999
