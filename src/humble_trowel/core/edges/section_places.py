"""Where a section is worth looking at: every side, line inside, beam, pad, recess and step has one ready."""

from __future__ import annotations

import math
from dataclasses import dataclass
from itertools import pairwise

from shapely.geometry import Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.geometry.strips import strip_width_mm
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, side_name

CUT_AT = 0.32  # of the way along a side, clear of the size in its middle
OUT_MM = 450.0
IN_MM = 700.0


@dataclass(frozen=True)
class SectionPlace:
    """kind: side, along, beam, pad, recess, step. row: its index. start lies outside of a side."""

    kind: str
    row: int
    mark: str
    name: str
    start: XY
    end: XY


def section_places(plan: Plan, cells: list[Cell], steps: list[list[XY]]) -> list[SectionPlace]:
    """All of them, sides first. steps: lines along which the top steps."""
    ring = plan.outline or []
    n = len(ring)
    slab = min((cell.thickness_mm for cell in cells), default=0.0)
    of_side = {side: edge.type for edge in plan.edges for side in edge.sides or ()}
    widths = {row.mark: strip_width_mm(row, slab) if row.kind == "thickened" else 0.0 for row in plan.edge_types}
    rows = []
    for side in range(n):
        mark = of_side.get(side, "")
        deep = max(IN_MM, widths.get(mark, 0.0) * 1.45)
        rows.append(_across("side", side, mark, side_name(side, n), side_of(ring, side), (OUT_MM, deep)))
    for row, edge in enumerate(plan.edges):
        if edge.along is not None:
            a, b = (edge.along[0], edge.along[1]) if edge.grow == "left" else (edge.along[1], edge.along[0])
            deep = max(IN_MM, widths.get(edge.type, 0.0) * 1.45)
            rows.append(_across("along", row, edge.type, f"line inside, {edge.type}", (a, b), (IN_MM, deep)))
    beams = {kind.mark: kind for kind in plan.beam_types}
    for row, beam in enumerate(plan.beams):
        kind = beams[beam.type]
        half = kind.width_mm / 2 + (kind.haunch_run_per_rise or 0.0) * max(0.0, kind.depth_mm - slab)
        longest = max(pairwise(beam.path), key=lambda leg: math.dist(*leg))
        rows.append(_across("beam", row, beam.type, f"beam {beam.type}", longest, (half + 400, half + 400)))
    pads = {kind.mark: kind for kind in plan.pad_types}
    for row, pad in enumerate(plan.pads):
        size = max(pads[pad.type].width_mm or 0.0, pads[pad.type].diameter_mm or 0.0) / 2 + 450
        turn = math.radians(pad.turn_deg)
        dx, dy = size * math.cos(turn), size * math.sin(turn)
        (x, y) = pad.at
        rows.append(SectionPlace("pad", row, pad.type, f"pad {pad.type}", (x - dx, y - dy), (x + dx, y + dy)))
    for row, recess in enumerate(plan.recesses):
        x0, _, x1, _ = Polygon(recess.polygon).bounds
        middle = Polygon(recess.polygon).representative_point()
        ends = ((x0 - 500, middle.y), (x1 + 500, middle.y))
        rows.append(SectionPlace("recess", row, recess.name, recess.name, *ends))
    for row, line in enumerate(steps):
        longest = max(pairwise(line), key=lambda leg: math.dist(*leg))
        rows.append(_across("step", row, "", "the step", longest, (800.0, 800.0), 0.5))
    return rows


def _across(
    kind: str, row: int, mark: str, name: str, line: tuple[XY, XY], reach_mm: tuple[float, float], share: float = CUT_AT
) -> SectionPlace:
    """A section square to a line, the left of which is inside. reach_mm: how far out of it and into it."""
    (a, b), (out_mm, in_mm) = line, reach_mm
    size = math.dist(a, b)
    nx, ny = -(b[1] - a[1]) / size, (b[0] - a[0]) / size
    mx, my = a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])
    return SectionPlace(kind, row, mark, name, (mx - out_mm * nx, my - out_mm * ny), (mx + in_mm * nx, my + in_mm * ny))
