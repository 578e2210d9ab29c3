"""Three ways to keep frost from lifting the edge, beside what is drawn: volumes, foam and cost of each.

Never a stamp of approval: code and engineer decide. The shallow edge follows IRC R403.3 for buildings heated to 64 F
or more; others need a design to ASCE 32.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

from humble_trowel.core.edges.foam import OUTSIDE_TABLE, ShallowRow, foam_for, shallow_row
from humble_trowel.core.edges.frost_sides import FrostSide, frost_sides
from humble_trowel.core.edges.reworked import PLAIN_WIDE_MM, edits_of, with_edges
from humble_trowel.core.edges.wings import Wings, wings
from humble_trowel.core.geometry.solid import Solid, build_solid
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import EdgeType
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_IN, format_volume, say_depth

WALL_MM = 8 * MM_PER_IN
FOOTING_WIDE_MM = 16 * MM_PER_IN
FOOTING_DEEP_MM = 8 * MM_PER_IN


@dataclass(frozen=True)
class Sketch:
    """The edge of an option as a cut: sizes from the slab's top down, mm; what is 0 is not there."""

    top_mm: float
    slab_mm: float
    depth_mm: float
    bottom_width_mm: float
    run_per_rise: float
    foam_mm: float
    wing_mm: float
    wing_foam_mm: float
    footing_wide_mm: float
    footing_deep_mm: float
    ground_mm: float
    frost_mm: float


@dataclass(frozen=True)
class EdgeOption:
    """key: drawn, deep, shallow or wall. net_m3, foam_m2, cost_cents: None where its table does not reach. edits: what taking it would change in the plan. wings: foam lying flat."""

    key: str
    name: str
    net_m3: float | None
    net_text: str
    foam_m2: float | None
    foam_text: str
    cost_cents: int | None
    cost_text: str
    words: str
    for_it: str
    against_it: str
    meets: bool | None
    sketch: Sketch | None
    wings: Wings | None
    edits: list[dict[str, Any]]


@answers("Ways to meet frost")
def edge_options(plan: Plan, solid: Solid, ways: JobWays) -> list[EdgeOption]:
    """What is drawn, and the alternatives where ground and frost depth (or freezing index) are known."""
    sides = frost_sides(plan, solid.cells)
    rows: list[EdgeOption | None] = [_drawn(plan, solid, ways, sides)]
    frost = plan.site.frost_depth_mm
    if not sides or any(side.ground_mm is None for side in sides) or not frost:
        return [row for row in rows if row is not None]
    rows.append(_deep(plan, ways, sides, frost))
    rows.append(_shallow(plan, ways, sides))
    rows.append(_wall(plan, ways, sides, frost))
    return [row for row in rows if row is not None]


def _needed(sides: Sequence[FrostSide], below_ground_mm: float) -> float:
    """Depth from the top for a bottom so far under the lowest ground of all sides."""
    return max(side.top_mm - (side.ground_mm or 0.0) for side in sides) + below_ground_mm


def _sketch(plan: Plan, sides: Sequence[FrostSide], kind: EdgeType | None, depth: float, **more: float) -> Sketch:
    worst = max(sides, key=lambda side: side.top_mm - (side.ground_mm or 0.0))
    slab = min(row.thickness_mm for row in plan.slab_types)
    values = {
        "bottom_width_mm": (kind.bottom_width_mm if kind else None) or PLAIN_WIDE_MM,
        "run_per_rise": (kind.haunch_run_per_rise if kind else None) or 0.0,
        "foam_mm": (kind.foam_mm if kind else None) or 0.0,
        "wing_mm": 0.0, "wing_foam_mm": 0.0, "footing_wide_mm": 0.0, "footing_deep_mm": 0.0, **more,
    }  # fmt: skip
    ground = worst.ground_mm or 0.0
    return Sketch(
        top_mm=worst.top_mm, slab_mm=slab, depth_mm=depth, ground_mm=ground,
        frost_mm=ground - (plan.site.frost_depth_mm or 0.0), **values,
    )  # fmt: skip


def _kind(plan: Plan, sides: Sequence[FrostSide]) -> EdgeType | None:
    mark = next((side.mark for side in sides if side.mark), None)
    return next((row for row in plan.edge_types if row.mark == mark), None)


@dataclass(frozen=True)
class Way:
    """A way to make the edge, with one sentence for it and one against."""

    key: str
    name: str
    for_it: str
    against_it: str


@dataclass(frozen=True)
class Takes:
    """What an edge takes. foam_m2_in: m2 of foam times inches of its thickness. net_m3: None outside of its table."""

    net_m3: float | None
    foam_m2: float = 0.0
    foam_m2_in: float = 0.0


DRAWN = Way("drawn", "As drawn", "It is what the drawings say.", "It is only as good as the drawings.")
DEEP = Way(
    "deep",
    "Deep edge",
    "One pour, nothing to protect from spades.",
    "A deep trench by hand or with a bucket that fits, and many yards in it.",
)
SHALLOW = Way(
    "shallow",
    "Shallow edge in foam",
    "Little digging, little concrete, a warm edge.",
    "Foam must stay covered and whole; only for heated buildings, and some termite regions forbid it.",
)
WALL = Way(
    "wall",
    "Frost wall and slab",
    "The wall is form and screed guide, and the slab can wait for a roof.",
    "Three pours and wall forms; more days on site.",
)


def _option(plan: Plan, ways: JobWays, way: Way, takes: Takes, words: str) -> EdgeOption:
    """An option with its figures and price; what it looks like and would change is not in it yet."""
    option = EdgeOption(
        key=way.key, name=way.name, net_m3=None, net_text="", foam_m2=None, foam_text="", cost_cents=None, cost_text="",
        words=words, for_it="", against_it="", meets=None, sketch=None, wings=None, edits=[],
    )  # fmt: skip
    if takes.net_m3 is None:  # outside its table: no figure, no price, no rank
        return option
    own = ways.ground
    cents = round(takes.net_m3 * own.concrete_cents_per_m3 + takes.foam_m2_in * own.foam_cents_per_m2_inch)
    unit = "m³" if plan.units == "mm" else "yd³"
    area = f"{takes.foam_m2:.1f} m²" if plan.units == "mm" else f"{takes.foam_m2 / 0.09290304:.0f} sq ft"
    return replace(
        option, net_m3=takes.net_m3, net_text=f"{format_volume(takes.net_m3, plan.units)} {unit}", foam_m2=takes.foam_m2,
        foam_text=area, cost_cents=cents, cost_text=f"{cents / 100:,.0f}", for_it=way.for_it, against_it=way.against_it,
    )  # fmt: skip


def _drawn(plan: Plan, solid: Solid, ways: JobWays, sides: Sequence[FrostSide]) -> EdgeOption:
    kinds = {row.mark: row for row in plan.edge_types}
    area = inches = 0.0
    for side in sides:
        foam = (kinds[side.mark].foam_mm if side.mark else None) or 0.0
        if foam:
            area += side.length_mm * side.depth_mm / 1e6
            inches += side.length_mm * side.depth_mm / 1e6 * foam / MM_PER_IN
    known = [side.short_mm for side in sides if side.short_mm is not None]
    if not sides:
        words, meets = "No edge is open to the weather.", None
    elif not known:
        words, meets = "Set the frost depth and the ground outside to compare.", None
    elif max(known) > 0.5:
        words, meets = f"The bottom stays {say_depth(max(known), plan.units)} above the frost line.", False
    else:
        words, meets = "The bottom reaches below the frost line.", True
    sketch = _sketch(plan, sides, _kind(plan, sides), sides[0].depth_mm) if known else None
    option = _option(plan, ways, DRAWN, Takes(solid.net_m3, area, inches), words)
    return replace(option, meets=meets, sketch=sketch)


def _deep(plan: Plan, ways: JobWays, sides: Sequence[FrostSide], frost: float) -> EdgeOption:
    depth = max(_needed(sides, frost), max(side.depth_mm for side in sides))
    deeper = with_edges(plan, sides, depth, None, None)
    net = build_solid(deeper.plan).net_m3
    words = f"{say_depth(depth, plan.units)} deep all round, its bottom on the frost line, {say_depth(frost, plan.units)} under the ground."
    sketch = _sketch(plan, sides, deeper.kind(next(iter(deeper.types))), depth, foam_mm=0.0)
    return replace(
        _option(plan, ways, DEEP, Takes(net), words), meets=True, sketch=sketch, edits=edits_of(deeper, None)
    )


def _shallow(plan: Plan, ways: JobWays, sides: Sequence[FrostSide]) -> EdgeOption | None:
    index = plan.site.air_freezing_index_f_days
    if index is None:
        return None
    row = shallow_row(index)
    if row is None:
        words = f"Freezing index {index:.0f} F-days is {OUTSIDE_TABLE}."
        return _option(plan, ways, SHALLOW, Takes(None), words)
    slab = max(kind.thickness_mm for kind in plan.slab_types)
    depth = max(_needed(sides, row.depth_in * MM_PER_IN), slab)
    changed = with_edges(plan, sides, depth, None, None)
    net = build_solid(changed.plan).net_m3
    upright = foam_for(row.vertical_r, "XPS", "buried").stock_in
    area = sum(side.length_mm for side in sides) * depth / 1e6
    flat = _wings(plan, sides, row)
    inches = area * upright
    wing_foam = corner_foam = 0.0
    if flat is not None and row.walls_r is not None and row.corners_r is not None:
        wing_foam = foam_for(row.walls_r, "XPS", "buried").stock_in
        corner_foam = foam_for(row.corners_r, "XPS", "buried").stock_in
        inches += flat.walls_m2 * wing_foam + flat.corners_m2 * corner_foam
        area += flat.walls_m2 + flat.corners_m2
    words = _shallow_words(plan, row, depth, upright, wing_foam, corner_foam)
    sketch = _sketch(
        plan, sides, changed.kind(next(iter(changed.types))), depth, foam_mm=upright * MM_PER_IN,
        wing_mm=(row.wing_in or 0.0) * MM_PER_IN, wing_foam_mm=wing_foam * MM_PER_IN,
    )  # fmt: skip
    edits = edits_of(changed, upright * MM_PER_IN)
    option = _option(plan, ways, SHALLOW, Takes(net, area, inches), words)
    return replace(option, sketch=sketch, wings=flat, edits=edits)


def _wings(plan: Plan, sides: Sequence[FrostSide], row: ShallowRow) -> Wings | None:
    if row.wing_in is None or row.corner_wing_in is None or row.corner_length_in is None:
        return None
    sizes = (row.wing_in * MM_PER_IN, row.corner_wing_in * MM_PER_IN, row.corner_length_in * MM_PER_IN)
    return wings(list(plan.outline or []), [side.side for side in sides], *sizes)


def _shallow_words(plan: Plan, row: ShallowRow, depth: float, upright: float, wing: float, corner: float) -> str:
    say = plan.units
    words = (
        f"{say_depth(depth, say)} deep, {say_depth(row.depth_in * MM_PER_IN, say)} under the ground; "
        f"R-{row.vertical_r:g} upright, {say_depth(upright * MM_PER_IN, say)} XPS"
    )
    if row.walls_r is not None:
        words += (
            f"; lying flat R-{row.walls_r:g}, {say_depth((row.wing_in or 0) * MM_PER_IN, say)} wide "
            f"({say_depth(wing * MM_PER_IN, say)} XPS), R-{row.corners_r:g} at corners, "
            f"{say_depth((row.corner_wing_in or 0) * MM_PER_IN, say)} wide for {say_depth((row.corner_length_in or 0) * MM_PER_IN, say)} "
            f"({say_depth(corner * MM_PER_IN, say)} XPS)"
        )
    return words + f". Table row {row.index_f_days:.0f} F-days, heated building."


def _wall(plan: Plan, ways: JobWays, sides: Sequence[FrostSide], frost: float) -> EdgeOption:
    depth = _needed(sides, frost) - FOOTING_DEEP_MM
    slab = max(kind.thickness_mm for kind in plan.slab_types)
    depth = max(depth, slab)
    walled = with_edges(plan, sides, depth, WALL_MM, 0.0)
    solid = build_solid(walled.plan)
    numbers = {at for at, edge in enumerate(walled.plan.edges) if edge.type in walled.types}
    wall_m2 = sum(piece.area_m2 for piece in solid.pieces if piece.part in numbers)
    footing = wall_m2 * FOOTING_WIDE_MM / WALL_MM * FOOTING_DEEP_MM / 1000
    words = (
        f"{say_depth(WALL_MM, plan.units)} wall on a {say_depth(FOOTING_WIDE_MM, plan.units)} × "
        f"{say_depth(FOOTING_DEEP_MM, plan.units)} footing on the frost line, the slab poured inside it later."
    )
    sketch = _sketch(
        plan, sides, None, depth, bottom_width_mm=WALL_MM, run_per_rise=0.0, foam_mm=0.0,
        footing_wide_mm=FOOTING_WIDE_MM, footing_deep_mm=FOOTING_DEEP_MM,
    )  # fmt: skip
    return replace(_option(plan, ways, WALL, Takes(solid.net_m3 + footing), words), meets=True, sketch=sketch)
