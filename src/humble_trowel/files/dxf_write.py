"""The plan as DXF: outline, openings, forms, strings, existing work and dimensions, each on a layer of its own."""

from __future__ import annotations

import io
import math
from collections.abc import Sequence

from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.plan.document import Plan, corner_name

# layer: (colour index, line weight in 1/100 mm)
LAYERS = {
    "OUTLINE": (7, 50), "OPENINGS": (7, 35), "ZONES": (8, 18), "FORMS": (30, 25), "STRINGS": (5, 18),
    "EXISTING": (9, 25), "DIMENSIONS": (7, 13), "CORNERS": (7, 18),
}  # fmt: skip
TEXT_MM = 150.0


def write_dxf(plan: Plan, sheet: SetOutSheet, forms: FormPlan) -> bytes:
    """A DXF R2010 file, in inches for a ft-in job and mm otherwise. The plan must have an outline."""
    import ezdxf

    inches = plan.units == "ft-in"
    per = 1 / 25.4 if inches else 1.0
    document = ezdxf.new("R2010", setup=True)  # type: ignore[attr-defined]
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
    for zone in plan.zones:
        if zone.polygon:
            space.add_lwpolyline(scaled(zone.polygon), close=True, dxfattribs={"layer": "ZONES"})
    for thing in plan.existing:
        space.add_lwpolyline(scaled(thing.polygon), close=True, dxfattribs={"layer": "EXISTING"})
        x, y = scaled([thing.polygon[0]])[0]
        space.add_text(thing.name, height=TEXT_MM * per, dxfattribs={"layer": "EXISTING"}).set_placement(
            (x + TEXT_MM * per / 2, y + TEXT_MM * per / 2)
        )
    for board in form_boards(ring, forms):
        space.add_lwpolyline(scaled(board), close=True, dxfattribs={"layer": "FORMS"})
    for line in sheet.strings:
        ends = scaled([(line.start.x_mm, line.start.y_mm), (line.end.x_mm, line.end.y_mm)])
        space.add_line(ends[0], ends[1], dxfattribs={"layer": "STRINGS"})
        for nail in (line.start, line.end):
            if nail.board:
                one, other = scaled(nail.board)
                space.add_line(one, other, dxfattribs={"layer": "STRINGS"})
    for i, (x, y) in enumerate(scaled(ring)):
        space.add_text(corner_name(i), height=TEXT_MM * per, dxfattribs={"layer": "CORNERS"}).set_placement((x, y))
    _dimensions(space, ring, per, inches)
    out = io.StringIO()
    document.write(out)
    return out.getvalue().encode("utf-8")


def form_boards(ring: Sequence[XY], forms: FormPlan, thick_mm: float = 38.1) -> list[list[XY]]:
    """Plan outlines of the form boards, outside the sides that are formed."""
    boards = []
    for side in forms.sides:
        if not side.formed:
            continue
        a, b = ring[side.side], ring[(side.side + 1) % len(ring)]
        size = math.dist(a, b)
        ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
        out = (uy * thick_mm, -ux * thick_mm)
        boards.append([a, b, (b[0] + out[0], b[1] + out[1]), (a[0] + out[0], a[1] + out[1])])
    return boards


def _dimensions(space: object, ring: Sequence[XY], per: float, inches: bool) -> None:
    style = {"dimtxt": TEXT_MM * per, "dimasz": TEXT_MM * per * 0.8, "dimexo": 40 * per, "dimexe": 60 * per, "dimgap": 30 * per,
             "dimlunit": 4 if inches else 2, "dimdec": 4 if inches else 0, "dimtih": 0, "dimtad": 1}  # fmt: skip
    for i, a in enumerate(ring):
        b = ring[(i + 1) % len(ring)]
        if math.dist(a, b) < 400 and len(ring) > 12:
            continue
        dimension = space.add_aligned_dim(  # type: ignore[attr-defined]
            p1=(a[0] * per, a[1] * per), p2=(b[0] * per, b[1] * per), distance=-600 * per, dimstyle="EZDXF",
            override=style, dxfattribs={"layer": "DIMENSIONS"},
        )  # fmt: skip
        dimension.render()
