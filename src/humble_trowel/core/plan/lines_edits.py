"""Edits of what stands around, what is held, how sides are formed, and rounded corners."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Any

from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.polygon import XY, check_ring
from humble_trowel.core.geometry.rounds import chords, round_off
from humble_trowel.core.plan.carry import new_corners, rows_of_sides, same_corners, types_of_sides
from humble_trowel.core.plan.document import Existing, FormRow, LotLine, Plan, corner_name, side_name
from humble_trowel.core.plan.levels_said import read_level
from humble_trowel.core.plan.outline_edits import Edited, closed_ring, ring_needed, start_of
from humble_trowel.core.units import parse_length, say_depth, say_length


def add_existing(plan: Plan, name: str, what: str, text: str, ring: Sequence[XY] | None, level: str | float) -> Edited:
    """Something beside the work, by a closed walk ('from B, 20' e ...') or by its corners."""
    if ring is None:
        start = start_of(plan, text)
        ring = closed_ring(plan, text, start if start is not None else (0.0, 0.0))
    check_ring(list(ring), "text", name or "What stands there")
    title = name.strip() or {"slab": "Old slab", "wall": "Wall", "walk": "Walk", "kerb": "Kerb"}.get(what, "Something")
    row = Existing.model_validate(
        {
            "name": title,
            "what": what,
            "polygon": list(ring),
            "level_mm": read_level(level if level != "" else 0.0, plan),
        },
        context={"units": plan.units},
    )
    return plan.model_copy(update={"existing": [*plan.existing, row], "walk": None}), f"{title} drawn beside the work"


def remove_existing(plan: Plan, index: int) -> Edited:
    """Take something beside the work off the plan."""
    if index >= len(plan.existing):
        raise EditError(f"There are {len(plan.existing)} things beside the work.")
    left = [row for i, row in enumerate(plan.existing) if i != index]
    return plan.model_copy(update={"existing": left}), f"{plan.existing[index].name} taken off"


def set_existing(plan: Plan, index: int, changes: dict[str, Any]) -> Edited:
    """Change the name, kind or level of something beside the work."""
    if index >= len(plan.existing):
        raise EditError(f"There are {len(plan.existing)} things beside the work.")
    if isinstance(changes.get("level_mm"), str):
        changes = {**changes, "level_mm": read_level(changes["level_mm"] or 0.0, plan, "level_mm")}
    row = Existing.model_validate({**plan.existing[index].model_dump(), **changes}, context={"units": plan.units})
    rows = [row if i == index else old for i, old in enumerate(plan.existing)]
    return plan.model_copy(update={"existing": rows}), f"{row.name} set"


def hold(
    plan: Plan, side: int | None, existing: int | None, lot_line: LotLine | None, margin: str | float | None
) -> Edited:
    """What everything is set out from, and how far the base runs past the forms (None: as it was)."""
    ring = ring_needed(plan)
    if side is not None and side >= len(ring):
        raise EditError(f"There is no side {side}; the outline has {len(ring)}.", "side")
    if existing is not None:
        lot_line = _face(plan, existing)
    changes: dict[str, Any] = {"hold_side": side, "lot_line": lot_line}
    if margin is not None:
        changes["base_margin_mm"] = parse_length(margin, plan.units, bare="in")
    named = lot_line.name if lot_line else side_name(side or 0, len(ring))
    words = (
        f"{named} held"
        if margin is None
        else f"Base {say_length(changes['base_margin_mm'], plan.units)} past the forms"
    )
    return plan.model_copy(update={"set_out": plan.set_out.model_copy(update=changes)}), words


def _face(plan: Plan, index: int) -> LotLine:
    """The face of something that stands which lies nearest to the slab, with the slab on its left."""
    if index >= len(plan.existing):
        raise EditError(f"There are {len(plan.existing)} things beside the work.", "existing")
    ring, thing = Polygon(plan.outline), plan.existing[index]
    faces = [(a, thing.polygon[(i + 1) % len(thing.polygon)]) for i, a in enumerate(thing.polygon)]
    a, b = min(faces, key=lambda face: (round(LineString(face).distance(ring), 1), -math.dist(*face)))
    middle = ring.representative_point()
    if (b[0] - a[0]) * (middle.y - a[1]) - (b[1] - a[1]) * (middle.x - a[0]) < 0:
        a, b = b, a
    return LotLine(name=thing.name, start=a, end=b)


def form_sides(plan: Plan, sides: Sequence[int], changes: dict[str, Any]) -> Edited:
    """Say how sides are formed; they leave the rows they stood in. Unset keys stay as they were for the first side."""
    ring = ring_needed(plan)
    if any(side >= len(ring) for side in sides):
        raise EditError(f"The outline has sides 0 to {len(ring) - 1}.", "sides")
    was = next((row for row in plan.forms if sides[0] in row.sides), None)
    data = was.model_dump() if was else {}
    if isinstance(changes.get("ground"), str):
        changes = {**changes, "ground": read_ground(changes["ground"], plan)}
    new = FormRow.model_validate({**data, **changes, "sides": sorted(set(sides))}, context={"units": plan.units})
    rows = []
    for row in plan.forms:
        left = [side for side in row.sides if side not in new.sides]
        if left:
            rows.append(row.model_copy(update={"sides": left}))
    plain = new.model_copy(update={"sides": [0]}) == FormRow(sides=[0])
    rows = rows if plain else [*rows, new]
    names = side_name(sides[0], len(ring)) if len(sides) == 1 else f"{len(sides)} sides"
    return plan.model_copy(update={"forms": sorted(rows, key=lambda row: row.sides[0])}), f"Form of {names} set"


def read_ground(text: str, plan: Plan) -> list[dict[str, float]]:
    """'9" at 0, 12" at 18\', 17" at 36\'' as levels along a side; depths are below the finished top. '' forgets them."""
    rows = []
    for part in filter(None, (bit.strip() for bit in text.replace(";", ",").split(","))):
        depth, _, station = part.partition(" at ")
        if not station.strip():
            example = '9" at 0, 12" at 18\', 17" at 36\'' if plan.units == "ft-in" else "230 at 0, 300 at 5500"
            raise CallError(f"Cannot read '{part}'. Say the ground like {example}.", path="ground")
        sign = -1.0 if depth.strip().startswith("-") else 1.0
        below = sign * parse_length(depth.strip().lstrip("-"), plan.units, bare="in")
        at_mm = 0.0 if station.strip() in ("0", "start") else parse_length(station, plan.units, bare="ft")
        rows.append({"at_mm": at_mm, "level_mm": -below})
    return sorted(rows, key=lambda row: row["at_mm"])


def round_corner(plan: Plan, corner: int, radius: str | float) -> Edited:
    """Round a corner off by chords that leave the arc by 1/8 in at most. Its chords take the edge type of both sides."""
    ring = ring_needed(plan)
    n = len(ring)
    if corner >= n:
        raise EditError(f"There is no corner {corner_name(corner)}.", "corner")
    radius_mm = parse_length(radius, plan.units)
    arc = round_off(ring[corner - 1], ring[corner], ring[(corner + 1) % n], radius_mm)
    if arc is None:
        raise EditError(
            f"A radius of {say_length(radius_mm, plan.units)} does not fit between the corners next to {corner_name(corner)}.",
            "radius",
        )
    if n + len(arc) - 1 > 200:
        raise EditError("An outline holds 200 corners.", "radius")
    types = types_of_sides(plan)
    grew = len(arc) - 1
    shifted = {(side if side < corner else side + grew): mark for side, mark in types.items()}
    one = types.get((corner - 1) % n)
    if one is not None and one == types.get(corner):
        shifted |= {corner + k: one for k in range(grew)}
    if corner == 0 and (n - 1) in types:
        shifted[n - 1 + grew] = types[n - 1]
    new = [*ring[:corner], *arc, *ring[corner + 1 :]]
    lines = [edge for edge in plan.edges if edge.along is not None]
    zones = new_corners(plan, new).zones
    edited = plan.model_copy(update={"outline": new, "zones": zones, "edges": [*rows_of_sides(shifted), *lines]})
    return edited, f"{corner_name(corner)} rounded by {say_depth(radius_mm, plan.units)}, {chords(arc)} chords"


def take_outline(
    plan: Plan, ring: Sequence[XY], openings: Sequence[Sequence[XY]], existing: Sequence[Existing], source: str
) -> Edited:
    """An outline from a file of points, and what it shows beside the work."""
    points = [(float(x), float(y)) for x, y in ring]
    check_ring(points, "ring", "The outline")
    holes = [[(float(x), float(y)) for x, y in hole] for hole in openings]
    edited = new_corners(plan, points)
    edited = edited.model_copy(
        update={"walk": None, "openings": [*edited.openings, *holes], "existing": [*plan.existing, *existing]}
    )
    return edited, f"Outline of {len(points)} corners from {source or 'a file'}"


def accept_laid(plan: Plan, ring: Sequence[XY]) -> Edited:
    """Take the frame as it stands as the plan: the corners as taped."""
    old = ring_needed(plan)
    if len(ring) != len(old):
        raise EditError("Those are not the corners of this outline.", "ring")
    most = max(math.dist(a, b) for a, b in zip(old, ring, strict=True))
    if most > 1000:
        raise CallError("A corner would move by more than 1 m. That is another slab; call it.", path="ring")
    return same_corners(plan, [(float(x), float(y)) for x, y in ring]), "Frame taken as it was laid"
