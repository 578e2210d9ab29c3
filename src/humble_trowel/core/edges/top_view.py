"""How the top lies, as it is drawn: level lines, lines of fall, zones in words, their slabs as cores, pits as cuts."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.edges.kinds import STUB_MM, KindCut
from humble_trowel.core.edges.section_sizes import SectionSize
from humble_trowel.core.geometry.bearing import point_of, rate_words
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.tops import Plane, fall_lines, spots_of
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.stack import stack_rows
from humble_trowel.core.memo import Recent
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall, Recess
from humble_trowel.core.units import Units, say_depth

FINEST_MM = {"ft-in": 25.4 / 4, "mm": 5.0}
MOST_LINES = 12  # level lines in the fall of the whole job, before every second is left out
FLAT = 1e-9
ON_EDGE_MM = 5.0


@dataclass(frozen=True)
class LevelLine:
    """A line on which the top has one level. zone: its place. at: where its level is written."""

    zone: int
    level_mm: float
    text: str
    path: list[XY]
    at: XY


@dataclass(frozen=True)
class CoreLayer:
    """kind of the layer under the slab (slab itself first); mm: its thickness, 0 of a barrier."""

    kind: str
    mm: float
    text: str


@dataclass(frozen=True)
class TopZone:
    """A zone: row and id in the plan, its slab's mark, how it lies in words, its core from the top down, and how
    deep under the floor its native soil is."""

    row: int
    id: str
    name: str
    mark: str
    drop_mm: float
    drop_text: str
    says: str
    use: str
    core: list[CoreLayer]
    falls: list[tuple[XY, XY]]
    drain: XY | None
    drain_text: str
    dig_text: str


@dataclass(frozen=True)
class TopView:
    """step_text: from one level line to the next. pits: recesses and set-downs, cut across."""

    verdict: str
    why: str
    step_text: str
    zones: list[TopZone]
    lines: list[LevelLine]
    pits: list[KindCut]


_LINES: Recent[tuple[float, list[LevelLine]]] = Recent(8)


def top_view(plan: Plan, cells: list[Cell]) -> TopView:
    """Everything of the tab that says how the top lies. cells: the zones as laid."""
    step_mm, lines = _LINES.get((cells, plan.units), lambda: _level_lines(cells, plan.units))
    levels = [facet.plane.at(*spot) for cell in cells for facet in cell.tops for spot in spots_of(facet.region)]
    high, low = max(levels, default=0.0), min(levels, default=0.0)
    flat = high - low < 0.5
    verdict = "All on one level" if flat else f"{say_depth(high - low, plan.units)} from high to low"
    zones = [_zone(plan, cell) for cell in cells]
    said = [f"{one.name} {one.says}." for one in zones if one.falls or one.drain or one.drop_mm]
    why = " ".join(said[:2]) or "Press a zone on the plan and call how its top lies."
    pits = [_pit(plan, row, at, cells) for at, row in enumerate(plan.recesses)]
    return TopView(verdict, why, "" if flat else say_depth(step_mm, plan.units), zones, lines, pits)


def _zone(plan: Plan, cell: Cell) -> TopZone:
    row = plan.zones[cell.index]
    drop = f"−{say_depth(row.drop_mm, plan.units)}" if row.drop_mm else "0"
    fall = row.fall
    drain = fall.at if isinstance(fall, DrainFall) else None
    if isinstance(fall, DrainFall):
        says = f"falls {say_depth(fall.depth_mm, plan.units)} to its drain"
    elif isinstance(fall, PlaneFall) and fall.rate:
        says = f"falls {rate_words(fall.rate, plan.units)} {point_of(fall.toward_deg)}"
    else:
        says = "is level"
    down = f"lies {say_depth(row.drop_mm, plan.units)} lower" if row.drop_mm else ""
    words = f"{down} and {says}" if down and says != "is level" else down or says
    level = cell.top_at(drain) if drain else 0.0
    build = next((one for one in plan.build_ups if one.slab == cell.mark), None)
    layers = build.layers if build else []
    at = next((k for k, layer in enumerate(layers) if layer.kind == "slab"), 0)
    under = [layer for layer in layers[at + 1 :] if layer.kind != "native"]
    core = [CoreLayer("slab", cell.thickness_mm, say_depth(cell.thickness_mm, plan.units))]
    core += [
        CoreLayer(
            one.kind, one.thickness_mm or 0.0, say_depth(one.thickness_mm, plan.units) if one.thickness_mm else ""
        )
        for one in under
    ]
    return TopZone(
        row=cell.index, id=row.id, name=cell.name, mark=cell.mark, drop_mm=row.drop_mm, drop_text=drop, says=words,
        use=row.use or "", core=core, falls=fall_lines(row, cell.tops, cell.whole) if row.fall else [], drain=drain,
        drain_text=f"−{say_depth(-level, plan.units)}" if drain and level < 0 else "",
        dig_text=say_depth(max(0.0, -stack_rows(plan, cell)[-1].top_mm), plan.units),
    )  # fmt: skip


def _level_lines(cells: Sequence[Cell], units: Units) -> tuple[float, list[LevelLine]]:
    """(step in mm, lines): where the planes of falling tops cross whole steps."""
    falling = [
        (cell, facet)
        for cell in cells
        for facet in cell.tops
        if math.hypot(facet.plane.per_x, facet.plane.per_y) > FLAT
    ]
    spans = {
        cell.index: [facet.plane.at(*spot) for facet in cell.tops for spot in spots_of(facet.region)]
        for cell, _ in falling
    }
    deepest = max((max(levels) - min(levels) for levels in spans.values()), default=0.0)
    step = FINEST_MM[units]
    while deepest / step > MOST_LINES:
        step *= 2
    parts: dict[tuple[int, int], list[LineString]] = {}
    for cell, facet in falling:
        levels = [facet.plane.at(*spot) for spot in spots_of(facet.region)]
        for k in range(math.ceil(min(levels) / step + 1e-6), math.floor(max(levels) / step - 1e-6) + 1):
            for line in shapely.get_parts(_at_level(facet.plane, k * step, facet.region)):
                if line.geom_type == "LineString" and line.length > 1.0:
                    parts.setdefault((cell.index, k), []).append(line)
    rows = []
    for (index, k), found in sorted(parts.items()):
        whole = shapely.line_merge(shapely.union_all(found, grid_size=0.1))
        for line in shapely.get_parts(whole):
            at = max(found, key=lambda one: float(one.length)).interpolate(0.5, normalized=True)
            text = "0" if k == 0 else f"{'−' if k < 0 else '+'}{say_depth(abs(k * step), units)}"
            rows.append(
                LevelLine(index, k * step, text, [(round(x, 1), round(y, 1)) for x, y in line.coords], (at.x, at.y))
            )
    return step, rows


def _at_level(plane: Plane, level: float, region: BaseGeometry) -> BaseGeometry:
    """The line of a plane at a level, within a region."""
    steep2 = plane.per_x**2 + plane.per_y**2
    away = (level - plane.at_0) / steep2
    x, y = plane.per_x * away, plane.per_y * away
    middle = region.centroid
    along = (-plane.per_y, plane.per_x)
    size = math.hypot(*along)
    ux, uy = along[0] / size, along[1] / size
    shift = (middle.x - x) * ux + (middle.y - y) * uy
    reach = region.length
    x, y = x + shift * ux, y + shift * uy
    found: BaseGeometry = LineString([(x - reach * ux, y - reach * uy), (x + reach * ux, y + reach * uy)]).intersection(
        region
    )
    return found


def _pit(plan: Plan, row: Recess, at: int, cells: Sequence[Cell]) -> KindCut:
    """A recess cut across its narrower way: between two stubs of slab, or from the edge where it lies on the outline."""
    shape = Polygon(row.polygon)
    cell = next((one for one in cells if one.region.intersects(shape.representative_point())), None)
    slab = cell.thickness_mm if cell else 100.0
    x0, y0, x1, y1 = shape.bounds
    outline = Polygon(plan.outline)
    sill = shape.distance(outline.exterior) < ON_EDGE_MM
    wide, long = (min(x1 - x0, y1 - y0), max(x1 - x0, y1 - y0))
    half, deep = wide / 2, row.depth_mm
    low = -(slab + deep) if row.keeps_thickness else -slab
    far = half + STUB_MM
    ends = [(-half, low), (-half, -deep)] if sill else [(-far, -slab), (-far, 0.0), (-half, 0.0), (-half, -deep)]
    ring = [*ends, (half, -deep), (half, 0.0), (far, 0.0), (far, -slab)]
    if row.keeps_thickness:
        side = half + (slab if deep > slab else 0.0)
        ring += [(side, -slab), (side, low), *([] if sill else [(-side, low), (-side, -slab)])]
    sizes = [
        SectionSize("recess", "depth", row.name, at, deep, say_depth(deep, plan.units), half, 0.0, half, -deep, True),
        SectionSize(
            "recess", "width", row.name, at, wide, say_depth(wide, plan.units), -half, -deep, half, -deep, False
        ),
    ]
    says = f"{say_depth(long, plan.units)} long, {'slab dips' if row.keeps_thickness else 'thinner there'}"
    breaks = [(far, 0.0, -slab), *([] if sill else [(-far, 0.0, -slab)])]
    return KindCut("set-down" if sill else "pit", row.name, says, 1, ring, breaks, sizes, False)
