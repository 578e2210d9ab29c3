"""The plan as DXF: outline, openings, forms, strings, footings, walls, what lies beside, steel, joints, pad lines, bolts, existing work and dimensions, each on a layer of its own."""

from __future__ import annotations

import io
import math
from collections.abc import Sequence
from typing import Any

from shapely.geometry.base import BaseGeometry

from humble_trowel.core.beside.rows import rings_of, sidewalk_regions
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.beside_strips import lap_region, ramp_region
from humble_trowel.core.geometry.footing_strips import swept
from humble_trowel.core.geometry.polygon import XY, outward
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.wall_strips import stretches
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.units import Units, say_length

# layer: (colour index, line weight in 1/100 mm)
LAYERS = {
    "OUTLINE": (7, 50), "OPENINGS": (7, 35), "ZONES": (8, 18), "FORMS": (30, 25), "STRINGS": (5, 18),
    "EXISTING": (9, 25), "FOOTINGS": (8, 25), "WALLS": (3, 35), "BESIDE": (4, 25), "DIMENSIONS": (7, 13), "CORNERS": (7, 18),
    "BARS": (12, 25), "STIRRUPS": (12, 13), "BAR-MARKS": (12, 18), "JOINTS": (1, 25), "PAD-LINES": (6, 18), "BOLTS": (1, 18),
}  # fmt: skip
DIMENSIONS = "SLAB"  # the style of them all
TEXT_MM = 150.0
BOLT_MM = 20.0  # drawn larger than it is
AWAY_MM = 600.0


def write_dxf(
    plan: Plan, sheet: SetOutSheet, forms: FormPlan, steel: Sequence[Laid] = (), bolts: Sequence[XY] = ()
) -> bytes:
    """A DXF R2010 file, in inches for a ft-in job and mm otherwise. steel: bars to draw, each mark named at its first; bolts: their
    middles. The plan must have an outline."""
    return dxf_bytes(dxf_document(plan, sheet, forms, steel, bolts)[0])


def dxf_bytes(document: Any) -> bytes:
    """A drawing as a file."""
    document.write(out := io.StringIO())
    return out.getvalue().encode("utf-8")


def dxf_document(
    plan: Plan, sheet: SetOutSheet, forms: FormPlan, steel: Sequence[Laid], bolts: Sequence[XY]
) -> tuple[Any, float]:
    """The drawing, to add to, and how many of its units a millimetre is."""
    import ezdxf
    from ezdxf.enums import TextEntityAlignment

    inches = plan.units == "ft-in"
    per = 1 / 25.4 if inches else 1.0
    document = ezdxf.new("R2010")  # type: ignore[attr-defined]
    document.header["$INSUNITS"] = 1 if inches else 4
    document.header["$MEASUREMENT"] = 0 if inches else 1
    for name, (colour, weight) in LAYERS.items():
        document.layers.add(name, color=colour, lineweight=weight)
    space = document.modelspace()

    def scaled(points: Sequence[XY]) -> list[XY]:
        return [(x * per, y * per) for x, y in points]

    ring = list(plan.outline or [])
    space.add_lwpolyline(scaled(ring), close=True, dxfattribs={"layer": "OUTLINE"})
    for hole in plan.openings:
        space.add_lwpolyline(scaled(hole), close=True, dxfattribs={"layer": "OPENINGS"})
    for thing in plan.existing:
        space.add_lwpolyline(scaled(thing.polygon), close=True, dxfattribs={"layer": "EXISTING"})
        x, y = scaled([thing.polygon[0]])[0]
        space.add_text(thing.name, height=TEXT_MM * per, dxfattribs={"layer": "EXISTING"}).set_placement(
            (x + TEXT_MM * per / 2, y + TEXT_MM * per / 2)
        )
    zones = [("ZONES", list(zone.polygon)) for zone in plan.zones if zone.polygon]
    for layer, shape in [*zones, *_below_and_beside(plan)]:
        space.add_lwpolyline(scaled(shape), close=True, dxfattribs={"layer": layer})
    for board in form_boards(ring, forms):
        space.add_lwpolyline(scaled(board), close=True, dxfattribs={"layer": "FORMS"})
    _strings(space, sheet, per)
    for i, (x, y) in enumerate(scaled(ring)):
        nx, ny = outward(ring, i)
        place = (x + nx * 1.4 * TEXT_MM * per, y + ny * 1.4 * TEXT_MM * per)
        letter = space.add_text(corner_name(i), height=TEXT_MM * per, dxfattribs={"layer": "CORNERS"})
        letter.set_placement(place, align=TextEntityAlignment.MIDDLE_CENTER)
    _bars(space, steel, per)
    _on_top(space, plan, bolts, per)
    _dimensions(space, ring, per, plan.units)
    return document, per


def _strings(space: Any, sheet: SetOutSheet, per: float) -> None:
    """Strings, and the batter boards they hang on."""
    for line in sheet.strings:
        ends = [(nail.x_mm * per, nail.y_mm * per) for nail in (line.start, line.end)]
        space.add_line(ends[0], ends[1], dxfattribs={"layer": "STRINGS"})
        for nail in (line.start, line.end):
            if nail.board:
                one, other = [(x * per, y * per) for x, y in nail.board]
                space.add_line(one, other, dxfattribs={"layer": "STRINGS"})


def _on_top(space: Any, plan: Plan, bolts: Sequence[XY], per: float) -> None:
    """Joints, pad lines, and the middle of every bolt."""
    lines = [("JOINTS", row.start, row.end) for row in plan.joints.lines]
    for layer, start, end in [*lines, *(("PAD-LINES", row.start, row.end) for row in plan.screed.pads)]:
        space.add_line((start[0] * per, start[1] * per), (end[0] * per, end[1] * per), dxfattribs={"layer": layer})
    for x, y in bolts:
        space.add_circle((x * per, y * per), BOLT_MM * per, dxfattribs={"layer": "BOLTS"})


def _bars(space: Any, steel: Sequence[Laid], per: float) -> None:
    """Every bar as it lies, each mark named at its first."""
    for row in steel:
        layer = "STIRRUPS" if row.shape == "stirrup" else "BARS"
        for bar in row.lines:
            space.add_lwpolyline([(x * per, y * per) for x, y in bar], dxfattribs={"layer": layer})
        if row.lines:
            mark = space.add_text(row.mark, height=TEXT_MM * 0.7 * per, dxfattribs={"layer": "BAR-MARKS"})
            mark.set_placement((row.lines[0][0][0] * per, row.lines[0][0][1] * per))


def _below_and_beside(plan: Plan) -> list[tuple[str, list[XY]]]:
    """(layer, ring) of every footing as planned, of walls stretch by stretch, and of laps, sidewalks and ramps."""
    feet = {row.id: row for row in plan.footings}
    shapes: list[tuple[str, BaseGeometry]] = [
        ("FOOTINGS", swept(row.path, row.width_mm, closed=is_closed(row.path))) for row in plan.footings
    ]
    shapes += [("BESIDE", lap_region(row)) for row in plan.laps]
    shapes += [("BESIDE", region) for region in sidewalk_regions(plan)]
    shapes += [("BESIDE", ramp_region(row)) for row in plan.ramps]
    walls = [("WALLS", list(row.ring)) for wall in plan.walls for row in stretches(wall, feet[wall.footing])]
    return [(layer, ring) for layer, shape in shapes for ring in rings_of(shape)] + walls


def form_boards(ring: Sequence[XY], forms: FormPlan, thick_mm: float = 38.1) -> list[list[XY]]:
    """Plan outlines of the form boards, outside the sides that are formed."""
    boards = []
    for side in forms.sides:
        if not side.formed:
            continue
        a, b = side_of(ring, side.side)
        size = math.dist(a, b)
        ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
        out = (uy * thick_mm, -ux * thick_mm)
        boards.append([a, b, (b[0] + out[0], b[1] + out[1]), (a[0] + out[0], a[1] + out[1])])
    return boards


def _dimensions(space: Any, ring: Sequence[XY], per: float, units: Units) -> None:
    """A dimension beside every side, its text upright and in the job's own words."""
    style = {"dimtxt": TEXT_MM * per, "dimasz": TEXT_MM * per * 0.8, "dimexo": 40 * per, "dimexe": 60 * per,
             "dimgap": 30 * per, "dimlfac": 1.0, "dimtad": 1}  # fmt: skip
    space.doc.dimstyles.new(DIMENSIONS, dxfattribs=style)
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        if math.dist(a, b) < 400 and len(ring) > 12:
            continue
        words = say_length(math.dist(a, b), units).replace("′", "'").replace("″", '"')
        start, end, away = a, b, -AWAY_MM
        if b[0] < a[0] - 1 or (abs(b[0] - a[0]) <= 1 and b[1] < a[1]):
            start, end, away = b, a, AWAY_MM
        dimension = space.add_aligned_dim(
            p1=(start[0] * per, start[1] * per), p2=(end[0] * per, end[1] * per), distance=away * per, text=words,
            dimstyle=DIMENSIONS, dxfattribs={"layer": "DIMENSIONS"},
        )  # fmt: skip
        dimension.render()
