"""Outlines out of DXF and CSV, and the plan as DXF: units, arcs, loops, rubbish, and reading back what was written."""

import io
import math
from itertools import pairwise

import ezdxf
import pytest

from humble_trowel.core.job import Job
from humble_trowel.core.lines.setting_out import set_out
from humble_trowel.core.plan.ways import Ways
from humble_trowel.files.dxf_read import read_dxf
from humble_trowel.files.dxf_write import LAYERS, write_dxf
from humble_trowel.files.loop import area
from humble_trowel.files.loops import close_lines
from humble_trowel.files.points_csv import read_points_csv, write_points_csv, write_set_out_csv
from humble_trowel.files.points_file import PointsError
from tests.answers import form_plan
from tests.core.test_setting_out import demo
from tests.plans import edited, l_shape

WAYS = Ways()


def drawing(draw, units=4):
    document = ezdxf.new("R2010")
    document.header["$INSUNITS"] = units
    draw(document.modelspace())
    out = io.StringIO()
    document.write(out)
    return out.getvalue().encode()


def box(x, y, w, h):
    return [(x, y), (x + w, y), (x + w, y + h), (x, y + h)]


@pytest.mark.parametrize("name", ["honey-house", "boat-bay", "wax-store"])
def test_a_written_plan_audits_clean_and_reads_back(name):
    job = demo(name)
    data = write_dxf(job, set_out(job, WAYS), form_plan(job, WAYS), (), Job(job).bolt_spots)
    document = ezdxf.read(io.StringIO(data.decode()))
    counts = {
        layer: len(document.modelspace().query(f"*[layer=='{layer}']")) for layer in ("JOINTS", "PAD-LINES", "BOLTS")
    }
    assert counts == {
        "JOINTS": len(job.joints.lines),
        "PAD-LINES": len(job.screed.pads),
        "BOLTS": len(Job(job).bolt_spots),
    }
    audit = document.audit()
    assert not audit.errors and not audit.fixes
    assert set(LAYERS) <= {layer.dxf.name for layer in document.layers}
    found = read_dxf(data, job.units)
    assert not found.asked
    outline = next(loop for loop in found.loops if loop.layer == "OUTLINE")
    assert outline.ring == [pytest.approx(spot, abs=0.002) for spot in job.outline]
    existing = [loop for loop in found.loops if loop.layer == "EXISTING"]
    assert len(existing) == len(job.existing)
    under = {layer: len(document.modelspace().query(f"LWPOLYLINE[layer=='{layer}']")) for layer in ("WALLS", "BESIDE")}
    assert (min(under.values()) > 0) == (name == "wax-store")
    sizes = document.modelspace().query("DIMENSION")
    assert len(sizes) == len(job.outline)
    assert sizes[0].dxf.text == {"honey-house": "36'", "boat-bay": "14400 mm", "wax-store": "28'-8\""}[name]
    scale = 25.4 if job.units == "ft-in" else 1.0
    assert sizes[0].get_measurement() * scale == pytest.approx(math.dist(*job.outline[:2]))
    assert all(-1 <= size.dxf.get("angle", 0) <= 91 for size in sizes)


def test_lines_arcs_and_splines_close_into_one_loop_of_chords():
    def draw(space):
        space.add_line((0, 0), (9000, 0))
        space.add_arc((9000, 2000), 2000, -90, 90)
        space.add_line((0, 4000), (9000, 4000))
        space.add_spline([(0, 4000, 0), (-300, 2000, 0), (0, 0, 0)])

    loop = read_dxf(drawing(draw), "mm").loops[0]
    arc = [spot for spot in loop.ring if spot[0] > 9001]
    assert len(arc) > 15
    for a, b in pairwise(arc):
        middle = ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
        assert abs(math.dist(a, (9000, 2000)) - 2000) <= 25.4 / 8
        assert abs(math.dist(middle, (9000, 2000)) - 2000) <= 25.4 / 8


def test_lines_that_meet_others_close_too_and_each_is_used_once():
    """A box whose corner a stray line leaves, beside two boxes that share a side; drawn in any order and direction."""
    box_lines = [[(0, 0), (9, 0)], [(9, 5), (9, 0)], [(9, 5), (0, 5)], [(0, 0), (0, 5)], [(0, 0), (-4, -4)]]
    twins = [[(20, 0), (30, 0)], [(30, 0), (30, 8)], [(30, 8), (20, 8)], [(20, 8), (20, 0)], [(30, 0), (40, 0)], [(40, 0), (40, 8)], [(40, 8), (30, 8)]]  # fmt: skip
    loops, loose = close_lines([("0", line) for line in box_lines + twins[::-1]], 0.01)
    assert abs(area(loops[0].ring)) == 45 and len(loops) == 2
    assert abs(area(loops[1].ring)) == 80 and loose == 1 + 3


def test_units_are_honoured_or_asked_for():
    small = drawing(lambda space: space.add_lwpolyline(box(0, 0, 472, 354), close=True), units=1)
    assert read_dxf(small, "mm").loops[0].across == "11989 mm by 8992 mm" and not read_dxf(small, "mm").asked
    wrong = drawing(lambda space: space.add_lwpolyline(box(0, 0, 12000, 9000), close=True), units=1)
    asked = read_dxf(wrong, "mm")  # 12 m drawn in mm, but the header says inches: 25 times too big
    assert asked.asked and "mm" in asked.likely and "305 m" in " ".join(asked.remarks).replace("304.8", "305")
    assert read_dxf(wrong, "mm", "mm").loops[0].across == "12000 mm by 9000 mm"
    unsaid = drawing(lambda space: space.add_lwpolyline(box(0, 0, 40, 30), close=True), units=0)
    assert read_dxf(unsaid, "ft-in").asked and read_dxf(unsaid, "ft-in").units == "ft"


def test_nested_loops_layers_blocks_and_loose_lines_are_told():
    def draw(space):
        space.add_lwpolyline(box(0, 0, 9000, 6000), close=True, dxfattribs={"layer": "SLAB"})
        space.add_lwpolyline(box(1000, 1000, 1000, 1000), close=True, dxfattribs={"layer": "HOLE"})
        space.add_line((0, 0), (500, 800))
        space.add_text("note")
        block = space.doc.blocks.new("B")
        block.add_lwpolyline(box(0, 0, 2000, 2000), close=True)
        space.add_blockref("B", (20000, 0))

    found = read_dxf(drawing(draw), "mm")
    assert [loop.inside for loop in found.loops] == [None, None, 0]
    assert {"SLAB", "HOLE"} <= set(found.layers)
    said = " ".join(found.remarks)
    assert "1 line closes no loop" in said and "1 text" in said and "lies inside another" in said


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (b"", "no DXF"),
        (b"\x00\x89PNG\r\n\x1a\n" + bytes(range(256)) * 40, "no DXF"),
        (b"  0\nSECTION\nxx", "broken"),
        (drawing(lambda space: space.add_line((0, 0), (5, 5))), "no closed loop"),
        (drawing(lambda space: None), "no closed loop"),
    ],
)
def test_rubbish_is_refused_in_plain_words(data, words):
    with pytest.raises(PointsError, match=words):
        read_dxf(data, "mm")


def test_many_entities_are_read_and_left_out():
    def draw(space):
        for k in range(4000):
            space.add_line((k * 31 % 9001, k * 17 % 7001), (k * 13 % 8001, k * 7 % 6001))
        space.add_lwpolyline(box(0, 0, 9000, 6000), close=True)

    found = read_dxf(drawing(draw), "mm")
    assert found.loops[0].corners == 4 and "close no loop" in found.remarks[0]


def test_points_as_csv_go_out_and_come_back():
    job = l_shape()
    found = read_points_csv(write_points_csv(set_out(job, WAYS)), "ft-in")
    assert found.loops[0].ring == [pytest.approx(spot, abs=0.06) for spot in job.outline] and not found.asked
    assert write_set_out_csv(set_out(job, WAYS)).decode().count("\r\n") > 30
    feet = read_points_csv(b"A;0';0'\nB;20' 6\";0'\nC;20' 6\";10'\nD;0';10'\n", "ft-in")
    assert feet.loops[0].across == "20′-6″ by 10′"
    assert read_points_csv(b"name,x_m,y_m\nA,0,0\nB,6,0\nC,6,4\n", "mm").loops[0].across == "6000 mm by 4000 mm"
    again = edited(job, {"op": "take_outline", "ring": found.loops[0].ring, "source": "points.csv"})
    assert [row.type for row in again.edges] == ["E1"]


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (b"", "empty"),
        (b"\xff\xfe\x00\x01", "no plain text"),
        (b"name,x\nA,1\n", "both x and y"),
        (b"A,1,2\nB,two,3\n", "Row 2: Cannot read two"),
        (b"A,1,2\nB,2,3\n", "three or more"),
        (b"A,1,2\nB\nC,2,3\n", "Row 2 has no x and y"),
    ],
)
def test_bad_csv_names_the_row(data, words):
    with pytest.raises(PointsError, match=words):
        read_points_csv(data, "mm")
