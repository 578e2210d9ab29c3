"""The section under a side: true shape, cut square to the side, with the sizes that may be typed on it.

Axes: s in mm from the face inward, z in mm down from the top of the zone at that side.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

import shapely

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.units import say_depth

CUT_AT = 0.32  # of the way along a side, clear of the size in its middle


@dataclass(frozen=True)
class Size:
    """A size on the section. key: thickness, depth, bottom_width or degrees; mark: of the type that it belongs to."""

    key: str
    mark: str
    value: float
    text: str


@dataclass(frozen=True)
class Section:
    """side: index or None for a line inside; row: of edges for such a line. ring: concrete as (s, z). cut: on plan."""

    side: int | None
    row: int | None
    name: str
    kind: str
    mark: str | None
    zone: str
    drop_mm: float
    thickness_mm: float
    depth_mm: float
    bottom_width_mm: float
    strip_mm: float
    ring: list[XY]
    sizes: list[Size]
    cut_from: XY
    cut_to: XY
    words: str


def sections(plan: Plan, cells: list[Cell]) -> list[Section]:
    """A section for every side of the outline, then one for every line inside."""
    ring = plan.outline or []
    n = len(ring)
    type_of = {side: edge.type for edge in plan.edges for side in edge.sides or ()}
    rows = [
        _section(plan, cells, ring[i], ring[(i + 1) % n], type_of.get(i), side_name(i, n), side=i) for i in range(n)
    ]
    for row, edge in enumerate(plan.edges):
        if edge.along is None:
            continue
        a, b = (edge.along[0], edge.along[1]) if edge.grow == "left" else (edge.along[1], edge.along[0])
        rows.append(_section(plan, cells, a, b, edge.type, f"line inside, {edge.type}", row=row))
    return rows


def _section(
    plan: Plan,
    cells: list[Cell],
    a: XY,
    b: XY,
    mark: str | None,
    name: str,
    side: int | None = None,
    row: int | None = None,
) -> Section:
    size = math.dist(a, b)
    nx, ny = -(b[1] - a[1]) / size, (b[0] - a[0]) / size
    mx, my = a[0] + CUT_AT * (b[0] - a[0]), a[1] + CUT_AT * (b[1] - a[1])
    spot = shapely.Point(mx + 5 * nx, my + 5 * ny)
    cell = min(cells, key=lambda one: one.region.distance(spot))
    zone = plan.zones[cell.index]
    kind = next((item for item in plan.edge_types if item.mark == mark), None)
    thick = cell.thickness_mm
    depth = width = run = 0.0
    if kind is not None and kind.kind == "thickened":
        depth, width, run = kind.depth_mm or 0.0, kind.bottom_width_mm or 0.0, kind.haunch_run_per_rise or 0.0
    strip = width + run * max(0.0, depth - thick)
    end = max(strip * 1.45, strip + 250.0, 700.0)
    if depth > thick:
        concrete: list[XY] = [(0, 0), (end, 0), (end, thick), (strip, thick), (width, depth), (0, depth)]
    else:
        concrete = [(0, 0), (end, 0), (end, thick), (0, thick)]
    sizes = [Size("thickness", cell.mark, thick, say_depth(thick, plan.units))]
    if kind is not None and kind.kind == "thickened":
        degrees = 90.0 if run == 0 else math.degrees(math.atan(1 / run))
        sizes += [
            Size("depth", kind.mark, depth, say_depth(depth, plan.units)),
            Size("bottom_width", kind.mark, width, say_depth(width, plan.units)),
            Size("degrees", kind.mark, degrees, f"{degrees:.1f}".rstrip("0").rstrip(".") + "°"),
        ]
    reach = max(strip, 600.0)
    return Section(
        side, row, name, kind.kind if kind else "plain", mark, cell.name, zone.drop_mm, thick, max(depth, thick),
        width, strip, concrete, sizes, (mx - 450 * nx, my - 450 * ny), (mx + reach * nx, my + reach * ny),
        _words(plan, name, kind.kind if kind else "plain", mark, zone.drop_mm),
    )  # fmt: skip


def _words(plan: Plan, name: str, kind: str, mark: str | None, drop_mm: float) -> str:
    what = {
        "plain": "plain edge, slab thickness right to the form",
        "thickened": f"thickened edge {mark}",
        "against-wall": f"{mark}, poured against a wall: no thickening",
        "dowelled": f"{mark}, dowelled to what is there: no thickening",
    }[kind]
    drop = f", top {say_depth(drop_mm, plan.units)} down" if drop_mm else ""
    return f"Cut across {name}: {what}{drop}."
