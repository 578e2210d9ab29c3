"""What a walk of a zone does to the ground: adds beside the outline, parts a zone, or carves one out of what is there."""

from __future__ import annotations

import math

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.ops import split

from humble_trowel.core.calls.walk import Walked
from humble_trowel.core.edits.base import Edited, ring_needed
from humble_trowel.core.edits.carry import types_of_sides
from humble_trowel.core.edits.outline import new_corners
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, check_ring
from humble_trowel.core.geometry.ring import distance_to_side, ring_of, side_of
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.plan.shape_parts import Edge, Zone
from humble_trowel.core.units import say_length


def landing(plan: Plan, spot: XY) -> int | None:
    """The side of the outline on which a point lies, within 2 mm."""
    ring = ring_needed(plan)
    for side in range(len(ring)):
        if distance_to_side(spot, *side_of(ring, side)) <= 2 * SNAP_MM:
            return side
    return None


def landing_words(plan: Plan, spot: XY) -> str:
    """Where a walk lands on the outline, in words; empty where it does not. Raises EditError without an outline."""
    side = landing(plan, spot)
    if side is None:
        return ""
    ring = ring_needed(plan)
    away_mm = math.dist(ring[side], spot)
    return f"Lands on {side_name(side, len(ring))}, {say_length(away_mm, plan.units)} from {corner_name(side)}."


def side_to_side(plan: Plan, ring: list[XY], walked: Walked, zone: Zone) -> Edited:
    """An open walk from side to side: outside it adds ground, inside it parts a zone. Raises CallError."""
    if landing(plan, walked.points[0]) is None:
        raise CallError("The walk does not start on a side of the outline.", path="text")
    if landing(plan, walked.points[-1]) is None:
        raise CallError("The walk does not end on a side of the outline. Walk on until it does.", path="text")
    outline, line = Polygon(ring), LineString(walked.points)
    if not line.is_simple:
        raise CallError("The walk crosses itself.", path="text")
    inside = line.intersection(outline.buffer(-2 * SNAP_MM)).length
    outside = line.difference(outline.buffer(2 * SNAP_MM)).length
    if inside > 0 and outside > 0:
        raise CallError("The walk runs partly inside and partly outside the outline.", path="text")
    if inside > 0:
        return split_zone(plan, line, zone)
    if outside > 0:
        return _add_ground(plan, outline, walked.points, zone)
    raise CallError("The walk runs along the outline; it adds nothing.", path="text")


def _add_ground(plan: Plan, outline: Polygon, points: list[XY], zone: Zone) -> Edited:
    """The ground between the walk and the outline becomes a zone, and the outline the union."""
    ends = [_snap_on(outline, points[0]), _snap_on(outline, points[-1])]
    path = [ends[0], *points[1:-1], ends[1]]
    border = outline.exterior
    a, b = border.project(Point(path[0])), border.project(Point(path[-1]))
    choices = []
    for back in (_border_path(border, b, a), list(reversed(_border_path(border, a, b)))):
        shape = Polygon([*path, *back[1:-1]])
        if shape.is_valid and shape.intersection(outline).area < 1e3 and shape.area > 1e4:
            choices.append(shape)
    if not choices:
        raise CallError("That walk encloses nothing beside the outline.", path="text")
    added = min(choices, key=lambda shape: shape.area)
    union = outline.union(added.buffer(0))
    if union.geom_type != "Polygon":
        raise CallError("That ground touches the slab at a point only.", path="text")
    ring = _with_corners(ring_of(union, plan.outline[0] if plan.outline else None), path)
    polygon = ring_of(added)
    edited = new_corners(plan, ring)
    rest_taken = all(row.polygon is not None for row in plan.zones)
    zones = list(plan.zones) if rest_taken else plan.zones
    kept = _behind(plan, added)
    return (
        edited.model_copy(
            update={
                "zones": [*zones, zone.model_copy(update={"polygon": polygon})],
                "edges": [*edited.edges, *kept],
                "walk": None,
            }
        ),
        f"{zone.name} added, {added.area / 1e6:.1f} m²" if plan.units == "mm" else f"{zone.name} added",
    )


def _behind(plan: Plan, added: Polygon) -> list[Edge]:
    """A thickened side that the new ground covers stays as a thickening along that line, inside."""
    ring = ring_needed(plan)
    kinds = {row.mark: row.kind for row in plan.edge_types}
    rows = []
    for side, mark in sorted(types_of_sides(plan).items()):
        if kinds.get(mark) != "thickened":
            continue
        line = LineString(side_of(ring, side))
        shared = line.intersection(added.buffer(SNAP_MM))
        if shared.length > 10 and shared.geom_type == "LineString":
            spots = [(float(x), float(y)) for x, y in shared.coords]
            spots = [_on_added(spot, added) for spot in spots]
            rows.append(Edge(type=mark, along=spots, grow="left"))
    return rows


def _on_added(spot: XY, added: Polygon) -> XY:
    near = min(added.exterior.coords[:-1], key=lambda corner: math.dist(corner, spot))
    return (float(near[0]), float(near[1])) if math.dist(near, spot) <= 3 * SNAP_MM else spot


def _snap_on(outline: Polygon, spot: XY) -> XY:
    for corner in outline.exterior.coords[:-1]:
        if math.dist(corner, spot) <= 2 * SNAP_MM:
            return (float(corner[0]), float(corner[1]))
    near = outline.exterior.interpolate(outline.exterior.project(Point(spot)))
    return (near.x, near.y)


def _border_path(border: LineString, a: float, b: float) -> list[XY]:
    """Points of a ring from distance a forward to distance b, corners between included."""
    total = border.length
    span = (b - a) % total
    corners = [(float(x), float(y)) for x, y in border.coords[:-1]]
    between = sorted(
        ((border.project(Point(c)) - a) % total, c)
        for c in corners
        if 1e-6 < (border.project(Point(c)) - a) % total < span - 1e-6
    )
    first, last = border.interpolate(a), border.interpolate(b)
    return [(first.x, first.y), *[c for _, c in between], (last.x, last.y)]


def _with_corners(ring: list[XY], spots: list[XY]) -> list[XY]:
    """The ring with a corner at each of `spots` that lies on it, and without other straight-through corners lost."""
    for spot in (spots[0], spots[-1]):
        if any(math.dist(spot, corner) <= SNAP_MM for corner in ring):
            continue
        for side in range(len(ring)):
            if distance_to_side(spot, *side_of(ring, side)) <= SNAP_MM:
                ring = [*ring[: side + 1], spot, *ring[side + 1 :]]
                break
    return ring


def split_zone(plan: Plan, line: LineString, zone: Zone, index: int | None = None) -> Edited:
    """Part a zone along a line; what lies left of the line becomes the new zone. index: which zone, else the one that
    the line crosses longest. Raises CallError."""
    cells = lay_zones(plan.model_copy(update={"openings": []}))
    inner = {cell.index: line.intersection(cell.region.buffer(-SNAP_MM)) for cell in cells}
    meant = [cell for cell in cells if index in (None, cell.index)] or cells
    crossed = max(meant, key=lambda cell: inner[cell.index].length)
    runs = [part for part in shapely.get_parts(inner[crossed.index]) if part.length > SNAP_MM]
    if not runs:
        raise CallError("The line runs along the zones that are there and parts none of them.", path="text")
    spots: list[XY] = [(float(x), float(y)) for x, y in max(runs, key=lambda part: float(part.length)).coords]
    blades = shapely.union_all([_longer(part) for part in runs])
    parts = [part for part in split(crossed.region, blades).geoms if isinstance(part, Polygon) and part.area > 1e3]
    if len(parts) < 2:
        raise CallError(f"The line does not part {crossed.name}. Walk on until it reaches the far side.", path="text")
    left = [part for part in parts if _is_left(part, spots)]
    taken = max(left or parts, key=lambda part: part.area)
    if taken.interiors:
        raise CallError("That zone would lie all round another. Take the inner one instead.", path="text")
    zones = list(plan.zones)
    own = zones[crossed.index]
    if own.polygon is not None:
        rest = crossed.region.difference(taken)
        if rest.geom_type != "Polygon":
            raise CallError(f"That leaves {own.name} in two pieces. Name them one by one.", path="text")
        zones[crossed.index] = own.model_copy(update={"polygon": ring_of(rest)})
    zones.append(zone.model_copy(update={"polygon": ring_of(taken)}))
    return plan.model_copy(update={"zones": zones, "walk": None}), f"{zone.name} parted from {own.name}"


def _longer(part: LineString) -> LineString:
    spots: list[XY] = [(float(x), float(y)) for x, y in part.coords]
    return LineString([_beyond(spots[1], spots[0]), *spots[1:-1], _beyond(spots[-2], spots[-1])])


def _beyond(before: XY, end: XY) -> XY:
    size = math.dist(before, end)
    return (end[0] + 5 * (end[0] - before[0]) / size, end[1] + 5 * (end[1] - before[1]) / size)


def _is_left(part: Polygon, spots: list[XY]) -> bool:
    (ax, ay), (bx, by) = spots[0], spots[1]
    size = math.hypot(bx - ax, by - ay)
    probe = Point((ax + bx) / 2 - 3 * (by - ay) / size, (ay + by) / 2 + 3 * (bx - ax) / size)
    return bool(part.contains(probe))


def carve(plan: Plan, ring: list[XY], zone: Zone) -> Edited:
    """A closed walk inside becomes a zone; zones under it give way."""
    check_ring(ring, "text", f"Zone {zone.name}")
    shape = Polygon(ring)
    zones = list(plan.zones)
    for at, row in enumerate(zones):
        if row.polygon is None or Polygon(row.polygon).intersection(shape).area < 1e3:
            continue
        left = Polygon(row.polygon).difference(shape)
        if not isinstance(left, Polygon) or left.interiors:
            raise CallError(f"That would leave {row.name} in two pieces or with a hole.", path="text")
        zones[at] = row.model_copy(update={"polygon": ring_of(left)})
    zones.append(zone.model_copy(update={"polygon": ring_of(shape)}))
    return plan.model_copy(update={"zones": zones, "walk": None}), f"{zone.name} laid out"
