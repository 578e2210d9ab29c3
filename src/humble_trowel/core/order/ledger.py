"""The ledger: every part of the volume as a row, with its working; the rows add up to the net volume."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.convex import area_mm2
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import Run, edge_runs
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.plan.document import EdgeType, Plan
from humble_trowel.core.units import M2_PER_FT2, M3_PER_YD3, MM_PER_FT, MM_PER_IN, format_volume, say_depth
from humble_trowel.core.working import Working, leaf, number_text, work

CLOSED_FORM_SLACK = 1e-6


@dataclass(frozen=True)
class LedgerPart:
    """One row. part: what it is called. kind: slab or edge. mark: of its type. zone: name, for slabs.

    letter: on the plan and in the list. at: where the letter stands, mm. how: the sum in short.
    """

    part: str
    kind: str
    mark: str
    zone: str | None
    m3: float
    letter: str
    at: XY
    text: str
    how: str
    working: Working


def volume_unit(plan: Plan) -> tuple[str, float]:
    """The unit workings of volume are in, and how many m3 it holds."""
    return ("m³", 1.0) if plan.units == "mm" else ("yd³", M3_PER_YD3)


def area_leaf(name: str, m2: float, plan: Plan, set_at: str) -> Working:
    """An area as an input: sq ft or m2, one decimal more than is shown elsewhere."""
    if plan.units == "mm":
        return leaf(name, m2, "m²", f"{m2:.3f} m²", "geometry", set_at)
    return leaf(name, m2 / M2_PER_FT2, "sq ft", f"{m2 / M2_PER_FT2:.1f} sq ft", "geometry", set_at)


def thin_leaf(name: str, mm: float, plan: Plan, set_at: str, source: str = "typed") -> Working:
    """A depth or thickness as an input: inches or mm."""
    if plan.units == "mm":
        return leaf(name, mm, "mm", f"{mm:.2f}".rstrip("0").rstrip(".") + " mm", source, set_at)
    inches = mm / MM_PER_IN
    whole = abs(inches * 16 - round(inches * 16)) < 1e-6
    text = say_depth(mm, "ft-in") if whole else f"{inches:.3f}".rstrip("0").rstrip(".") + "″"
    return leaf(name, inches, "in", text, source, set_at)


def area_times_depth(plan: Plan, area: str, depth: str) -> str:
    """Formula of a volume from an area and a depth, in the job's units (324 = 12 x 27)."""
    return f"{area} * {depth} / 1000" if plan.units == "mm" else f"{area} * {depth} / 324"


def ledger(plan: Plan, solid: Solid) -> list[LedgerPart]:
    """Rows in the order slab zones, edges."""
    rows = [_slab_row(plan, solid, cell) for cell in solid.cells]
    runs = edge_runs(plan)
    for row, edge in enumerate(plan.edges):
        if row in solid.added_m3:
            rows.append(_edge_row(plan, solid, row, edge.type, [run for run in runs if run.part == row]))
    return [_lettered(part, index) for index, part in enumerate(rows)]


def _lettered(part: LedgerPart, index: int) -> LedgerPart:
    letter = chr(97 + index) if index < 26 else f"{chr(96 + index // 26)}{chr(97 + index % 26)}"
    return LedgerPart(**{**part.__dict__, "letter": letter})


def label_spot(region: BaseGeometry) -> XY:
    """A point well inside a region, for its label."""
    if region.is_empty:
        return (0.0, 0.0)
    assert isinstance(region, Polygon | MultiPolygon)
    circle = shapely.maximum_inscribed_circle(region, tolerance=150.0)
    x, y = shapely.get_coordinates(circle)[0]
    return (float(x), float(y))


def _slab_row(plan: Plan, solid: Solid, cell: Cell) -> LedgerPart:
    unit, _ = volume_unit(plan)
    inputs = {
        "area": area_leaf(f"{cell.name}, area", cell.area_m2, plan, "lines"),
        "thick": thin_leaf(f"{cell.mark} thickness", cell.thickness_mm, plan, f"edges/slab/{cell.mark}"),
    }
    m3 = solid.slab_m3(cell)
    if len(cell.depths) > 1 or cell.depths[0].plane[1:] != (0.0, 0.0):
        mean = m3 / cell.area_m2 * 1000 if cell.area_m2 else cell.thickness_mm
        more = thin_leaf("Mean of what the level underside adds", mean - cell.thickness_mm, plan, f"ground/zone/{cell.index}", "geometry")  # fmt: skip
        parts = {"thick": inputs["thick"], "more": more}
        inputs["thick"] = work(f"{cell.name}, mean depth", more.unit, "thick + more", parts, digits=3)
    text = f"{format_volume(m3, plan.units)} {unit}"
    name = cell.name if cell.name.lower().endswith("slab") else f"{cell.name} slab"
    working = work(name, unit, area_times_depth(plan, "area", "thick"), inputs, text=text)
    how = f"{inputs['area'].text} × {inputs['thick'].text}"
    return LedgerPart(
        name, "slab", cell.mark, cell.name, m3, "", label_spot(cell.region),
        format_volume(m3, plan.units), how, working,
    )  # fmt: skip


def _edge_row(plan: Plan, solid: Solid, row: int, mark: str, runs: Sequence[Run]) -> LedgerPart:
    m3 = solid.added_m3[row]
    kind = next(item for item in plan.edge_types if item.mark == mark)
    along = plan.edges[row].along is not None
    name = f"{mark} along a line" if along else f"{mark} edge below the slab"
    working = _closed_form(plan, solid, kind, runs, m3, name) or _table(plan, solid, row, name, m3)
    longest = max(runs, key=lambda run: math.dist(run.start, run.end))
    how = short_sum(working)
    if len(how) > 40:
        how = f"{len(working.inputs) // 2} areas × their depths"
    return LedgerPart(
        name, "edge", mark, None, m3, "", _beside(longest, (kind.bottom_width_mm or 0) / 2),
        format_volume(m3, plan.units), how, working,
    )  # fmt: skip


def short_sum(working: Working) -> str:
    """The shown sum without its constants of conversion, for a list; the whole sum stands in the working."""
    return re.sub(r" ÷ (1000000|1000|3888|324|27)\b", "", working.shown)


def _beside(run: Run, s: float) -> XY:
    (ax, ay), (bx, by) = run.start, run.end
    size = math.dist(run.start, run.end)
    return ((ax + bx) / 2 - s * (by - ay) / size, (ay + by) / 2 + s * (bx - ax) / size)


def section_m2(kind: EdgeType, slab_mm: float) -> tuple[float, float]:
    """(area of the section below the slab in m2, distance of its centroid from the face in mm)."""
    below = max(0.0, (kind.depth_mm or 0.0) - slab_mm)
    width, run = kind.bottom_width_mm or 0.0, (kind.haunch_run_per_rise or 0.0) * below
    area = (width + run / 2) * below
    if not area:
        return 0.0, 0.0
    moment = width * below * width / 2 + run * below / 2 * (width + run / 3)
    return area / 1e6, moment / area


def middle_mm(runs: Sequence[Run], offset_mm: float) -> tuple[float, float]:
    """(length of all runs at the face, sum over corners between like runs of 2 cot(a/2)); the line `offset_mm`
    inside is the first less offset_mm times the second."""
    length = math.fsum(math.dist(run.start, run.end) for run in runs)
    turns = 0.0
    for run in runs:
        for other in (run.before, run.after):
            if other is not None and other.kind == run.kind and abs(other.angle_rad - math.pi) > 1e-9:
                turns += 1 / math.tan(other.angle_rad / 2)
    return length, turns


def _closed_form(plan: Plan, solid: Solid, kind: EdgeType, runs: Sequence[Run], m3: float, name: str) -> Working | None:
    """Length along the middle times section, where that is what the solid comes to; None where it is not."""
    slab = solid.cells[0]
    area, offset = section_m2(kind, slab.thickness_mm)
    length, turns = middle_mm(runs, offset)
    if m3 <= 0 or abs((length - turns * offset) * area / 1000 - m3) > CLOSED_FORM_SLACK * m3:
        return None
    unit, _ = volume_unit(plan)
    inputs = {
        "middle": _middle_working(plan, kind.mark, length, turns, offset),
        "section": _section_working(plan, kind, slab),
    }
    formula = "middle * section / 1000" if plan.units == "mm" else "middle * section / 27"
    return work(name, unit, formula, inputs, source="strip", text=f"{format_volume(m3, plan.units)} {unit}")


def _section_working(plan: Plan, kind: EdgeType, slab: Cell) -> Working:
    at = f"edges/type/{kind.mark}"
    inputs = {
        "wide": thin_leaf(f"{kind.mark} bottom width", kind.bottom_width_mm or 0, plan, at),
        "deep": thin_leaf(f"{kind.mark} depth", kind.depth_mm or 0, plan, at),
        "slab": thin_leaf("Slab thickness", slab.thickness_mm, plan, f"edges/slab/{slab.mark}"),
    }
    run, wide = kind.haunch_run_per_rise or 0.0, "wide"
    if run:
        inputs["run"] = leaf("Haunch run per rise", run, "", number_text(run, 3), "typed", at)
        wide = "(wide + run * (deep - slab) / 2)"
    per, unit = ("1000000", "m²") if plan.units == "mm" else ("144", "sq ft")
    name = f"{kind.mark} section below the slab"
    return work(name, unit, f"{wide} * (deep - slab) / {per}", inputs, digits=4)


def _middle_working(plan: Plan, mark: str, length_mm: float, turns: float, offset_mm: float) -> Working:
    sides = length_leaf(f"{mark} sides, at the face", length_mm, plan.units, "lines", "geometry")
    if not turns:
        return sides
    unit, scale = ("mm", 1.0) if plan.units == "mm" else ("ft", 1 / MM_PER_FT)
    corners, middle = "Corners, 2 cot of half the angle each, added", "Middle of the section, from the face"
    inputs = {
        "sides": sides,
        "turns": leaf(corners, turns, "", number_text(turns, 4), "geometry"),
        "inside": leaf(middle, offset_mm * scale, unit, f"{offset_mm * scale:.4f} {unit}", "geometry"),
    }
    return work(f"{mark} length along the middle", unit, "sides - turns * inside", inputs, digits=3)


def _table(plan: Plan, solid: Solid, row: int, name: str, m3: float) -> Working:
    """Areas times mean depths of what this part added, by zone and face; ground won from another part as the rest."""
    unit, per_unit = volume_unit(plan)
    inputs: dict[str, Working] = {}
    terms: list[str] = []
    counted = 0.0
    groups: dict[tuple[int, str], tuple[float, float]] = {}
    for piece in solid.pieces:
        if piece.part == row:
            area, volume = groups.get((piece.zone, piece.face), (0.0, 0.0))
            groups[piece.zone, piece.face] = (area + area_mm2(piece.ring) / 1e6, volume + piece.m3)
    for index, ((zone, face), (area, volume)) in enumerate(sorted(groups.items())):
        if area < 1e-6:
            continue
        where = f"{solid.cells[zone].name}, {'full depth' if face == 'full' else 'haunch'}"
        inputs[f"a{index}"] = area_leaf(f"{where}: area", area, plan, "edges")
        inputs[f"d{index}"] = thin_leaf(
            f"{where}: mean depth below the slab", volume / area * 1000, plan, "edges", "geometry"
        )
        terms.append(area_times_depth(plan, f"a{index}", f"d{index}"))
        counted += volume
    if abs(counted - m3) > 1e-7:
        inputs["shared"] = leaf("Where it replaces or yields to another edge", (m3 - counted) / per_unit, unit,
                                f"{(m3 - counted) / per_unit:.4f} {unit}", "greatest-depth")  # fmt: skip
        terms.append("shared")
    return work(
        name,
        unit,
        " + ".join(terms) or "0",
        inputs,
        source="strip",
        text=f"{format_volume(m3, plan.units)} {unit}",
    )
