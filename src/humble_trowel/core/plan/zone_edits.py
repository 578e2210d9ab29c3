"""Edits of slab types and zones: a walk from side to side adds, splits or carves a zone."""

from __future__ import annotations

import math
from typing import Any

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.ops import split

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, check_ring
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.lines.walk import Walked, walk
from humble_trowel.core.plan.carry import distance_to_side, new_corners, ring_of, types_of_sides
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.outline_edits import Edited, ring_needed, start_of
from humble_trowel.core.plan.shape_parts import Edge, SlabType, Zone
from humble_trowel.core.units import parse_length, say_depth


def set_slab_type(plan: Plan, mark: str, thickness: str | float) -> Edited:
    """Change a slab type's thickness, or add a type with a new mark."""
    size = parse_length(thickness, plan.units, bare="in")
    if size <= 0:
        raise EditError("A slab needs a thickness of more than nothing.", "thickness")
    row = SlabType(mark=mark, thickness_mm=size)
    rows = [row if old.mark == mark else old for old in plan.slab_types]
    if row not in rows:
        rows.append(row)
    return plan.model_copy(update={"slab_types": rows}), f"{mark} {say_depth(size, plan.units)} thick"


def remove_slab_type(plan: Plan, mark: str) -> Edited:
    """Take out a slab type that no zone uses."""
    used = [zone.name for zone in plan.zones if zone.slab == mark]
    if used:
        raise EditError(f"{mark} is the slab of {', '.join(used)}. Give that another slab first.")
    return plan.model_copy(
        update={
            "slab_types": [row for row in plan.slab_types if row.mark != mark],
            "build_ups": [row for row in plan.build_ups if row.slab != mark],
        }
    ), f"{mark} taken out"


def set_zone(plan: Plan, index: int, changes: dict[str, Any]) -> Edited:
    """Change a zone's name, slab, drop, fall or underside."""
    if index >= len(plan.zones):
        raise EditError(f"There is no zone {index + 1}.")
    old = plan.zones[index]
    update = dict(changes)
    if "drop_mm" in update:
        update["drop_mm"] = parse_length(update["drop_mm"], plan.units, bare="in")
    zone = Zone.model_validate({**old.model_dump(), **update}, context={"units": plan.units})
    zones = [zone if at == index else row for at, row in enumerate(plan.zones)]
    said = ", ".join(_change_words(old, zone, plan)) or "unchanged"
    return plan.model_copy(update={"zones": zones}), f"{zone.name}: {said}"


def _change_words(old: Zone, new: Zone, plan: Plan) -> list[str]:
    words = []
    if old.name != new.name:
        words.append(f"was {old.name}")
    if old.slab != new.slab:
        words.append(f"slab {new.slab}")
    if old.drop_mm != new.drop_mm:
        words.append(f"drop {say_depth(new.drop_mm, plan.units)}")
    if old.fall != new.fall or old.underside != new.underside:
        words.append("fall changed")
    return words


def remove_zone(plan: Plan, index: int) -> Edited:
    """Give a zone's ground to the rest, or to the zone with which it shares the longest border."""
    if index >= len(plan.zones) or len(plan.zones) < 2:
        raise EditError("The last zone stays: every part of the outline needs a slab.")
    zone = plan.zones[index]
    others = [row for at, row in enumerate(plan.zones) if at != index]
    if zone.polygon is None:
        largest = max(range(len(others)), key=lambda at: Polygon(others[at].polygon).area)
        others[largest] = others[largest].model_copy(update={"polygon": None})
    elif all(row.polygon is not None for row in others):
        gone = Polygon(zone.polygon)
        best = max(range(len(others)), key=lambda at: gone.intersection(Polygon(others[at].polygon)).length)
        merged = gone.union(Polygon(others[best].polygon))
        polygon = ring_of(merged) if isinstance(merged, Polygon) and not merged.interiors else None
        others[best] = others[best].model_copy(update={"polygon": polygon})
    return plan.model_copy(update={"zones": others}), f"{zone.name} taken out"


def walk_zone(plan: Plan, text: str, name: str, slab: str | None, drop: str | float) -> Edited:
    """A zone by a walk: outside from side to side it adds ground; inside from side to side it splits a zone; a
    closed walk inside carves one."""
    ring = ring_needed(plan)
    start = start_of(plan, text)
    if start is None:
        raise CallError("Where does it start? Begin with from B 3' n, then the sides.", path="text")
    walked = walk(text, plan.units, start)
    if walked.heard.problem:
        raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
    zone = _new_zone(plan, name, slab, drop)
    if walked.closed:
        return _carve(plan, walked.points[:-1], zone)
    return _side_to_side(plan, ring, walked, zone)


def _new_zone(plan: Plan, name: str, slab: str | None, drop: str | float) -> Zone:
    mark = slab or plan.zones[0].slab
    taken = {zone.name for zone in plan.zones}
    said = name.strip() or next(f"Zone {i}" for i in range(2, 999) if f"Zone {i}" not in taken)
    return Zone(name=said, slab=mark, drop_mm=parse_length(drop, plan.units, bare="in"))


def landing(plan: Plan, spot: XY) -> int | None:
    """The side of the outline on which a point lies, within 2 mm."""
    ring = ring_needed(plan)
    for side, a in enumerate(ring):
        if distance_to_side(spot, a, ring[(side + 1) % len(ring)]) <= 2 * SNAP_MM:
            return side
    return None


def _side_to_side(plan: Plan, ring: list[XY], walked: Walked, zone: Zone) -> Edited:
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
        return _split(plan, line, zone)
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
        line = LineString([ring[side], ring[(side + 1) % len(ring)]])
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
        for side, a in enumerate(ring):
            if distance_to_side(spot, a, ring[(side + 1) % len(ring)]) <= SNAP_MM:
                ring = [*ring[: side + 1], spot, *ring[side + 1 :]]
                break
    return ring


def _split(plan: Plan, line: LineString, zone: Zone) -> Edited:
    """Part a zone along a line inside; what lies left of the walk becomes the new zone."""
    cells = lay_zones(plan.model_copy(update={"openings": []}))
    inner = {cell.index: line.intersection(cell.region.buffer(-SNAP_MM)) for cell in cells}
    crossed = max(cells, key=lambda cell: inner[cell.index].length)
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


def _carve(plan: Plan, ring: list[XY], zone: Zone) -> Edited:
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
