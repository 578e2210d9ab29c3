"""Edits of what comes on top, beside and below: kerbs and knee walls, pads beside the slab, pile heads."""

from __future__ import annotations

import math
import re
from typing import Any

from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.beam_edits import walked_path
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.levels_said import read_level
from humble_trowel.core.plan.outline_edits import Edited, closed_ring, ring_needed, start_of
from humble_trowel.core.plan.shape_edit_kinds import AddKerb, AddSidePad, SetKerb, SetPiles, SetSidePad
from humble_trowel.core.plan.shape_parts import Kerb, LeaveOut, Piles, SidePad
from humble_trowel.core.units import parse_length, say_depth, say_length


def _sized(plan: Plan, said: str | float | None, path: str, ask: str) -> float:
    if said is None or said == "":
        raise EditError(ask, path)
    size = parse_length(said, plan.units, bare="in")
    if size <= 0:
        raise EditError("It needs more than nothing.", path)
    return size


def add_side_pad(plan: Plan, edit: AddSidePad) -> Edited:
    """A small slab of its own beside the outline, by a closed walk."""
    ring_needed(plan)
    start = start_of(plan, edit.text)
    polygon = closed_ring(plan, edit.text, start if start is not None else (0.0, 0.0))
    name = edit.name.strip() or f"Pad {len(plan.side_pads) + 1}"
    thick = _sized(plan, edit.thickness, "thickness", "How thick?")
    row = SidePad(name=name, polygon=polygon, thickness_mm=thick, top_mm=read_level(edit.top, plan, "top"))
    return plan.model_copy(update={"side_pads": [*plan.side_pads, row], "walk": None}), f"{name} beside the slab"


def set_side_pad(plan: Plan, edit: SetSidePad) -> Edited:
    """Change a side pad's name, thickness or level."""
    if edit.index >= len(plan.side_pads):
        raise EditError("There is no such pad beside the slab.")
    changes: dict[str, Any] = {str(key): value for key, value in edit.changes.items()}
    if "thickness_mm" in changes:
        changes["thickness_mm"] = _sized(plan, changes["thickness_mm"], "thickness_mm", "How thick?")
    if "top_mm" in changes:
        changes["top_mm"] = read_level(changes["top_mm"], plan, "top_mm")
    row = SidePad.model_validate({**plan.side_pads[edit.index].model_dump(), **changes})
    rows = [row if at == edit.index else old for at, old in enumerate(plan.side_pads)]
    return plan.model_copy(update={"side_pads": rows}), f"{row.name} set"


def add_kerb(plan: Plan, edit: AddKerb) -> Edited:
    """A kerb along sides with its outer face on the edge, or along a walk."""
    ring = ring_needed(plan)
    width = _sized(plan, edit.width, "width", "How wide?")
    height = _sized(plan, edit.height, "height", "How high?")
    path = _inset(ring, sorted(set(edit.sides)), width / 2) if edit.sides else walked_path(plan, edit.text, "kerb")
    if len(path) < 2:
        raise EditError("How far, and which way?", "text")
    name = edit.name.strip() or f"Kerb {len(plan.kerbs) + 1}"
    row = Kerb(name=name, path=path, width_mm=width, height_mm=height)
    words = f"{name}, {say_depth(width, plan.units)} wide, {say_depth(height, plan.units)} high"
    return plan.model_copy(update={"kerbs": [*plan.kerbs, row], "walk": None}), words


def _inset(ring: list[XY], sides: list[int], off: float) -> list[XY]:
    """The centreline along neighbouring sides, `off` inside of them; closed where it goes all round."""
    n = len(ring)
    if any(side >= n for side in sides):
        raise EditError("There is no such side.", "sides")
    if len(sides) == n:
        inner = Polygon(ring).buffer(-off, join_style="mitre")
        if inner.is_empty or inner.geom_type != "Polygon":
            raise EditError("The kerb is wider than the slab allows.", "width")
        return [(x, y) for x, y in inner.exterior.coords][::-1]
    first = next((side for side in sides if (side - 1) % n not in sides), sides[0])
    run = [first]
    while (run[-1] + 1) % n in sides and len(run) < len(sides):
        run.append((run[-1] + 1) % n)
    if len(run) < len(sides):
        raise EditError("The sides of a kerb follow each other. Add one kerb for each run.", "sides")
    line = LineString([ring[run[0]], *(ring[(side + 1) % n] for side in run)])
    moved = line.parallel_offset(off, "left", join_style="mitre", mitre_limit=4)
    if moved.geom_type != "LineString" or moved.is_empty:
        raise EditError("The kerb is wider than these sides allow.", "width")
    path = [(float(x), float(y)) for x, y in moved.coords]
    return path if math.dist(path[0], ring[run[0]]) <= math.dist(path[-1], ring[run[0]]) else path[::-1]


def read_leave_outs(text: str, plan: Plan) -> list[LeaveOut]:
    """'from 4 ft to 7 ft, from 12 ft to 15 ft' as stretches."""
    rows = []
    for bit in re.split(r"\s*[,;]\s*", text.strip()):
        if not bit:
            continue
        match = re.fullmatch(r"(?:from\s+)?(.+?)\s+to\s+(.+)", bit)
        if not match:
            raise EditError(f"Cannot read '{bit}'. Say from 4 ft to 7 ft.", "leave_outs")
        rows.append(LeaveOut(from_mm=parse_length(match[1], plan.units), to_mm=parse_length(match[2], plan.units)))
    return rows


def set_kerb(plan: Plan, edit: SetKerb) -> Edited:
    """Change a kerb's name, sizes or leave-outs."""
    if edit.index >= len(plan.kerbs):
        raise EditError("There is no such kerb.")
    changes: dict[str, Any] = {str(key): value for key, value in edit.changes.items()}
    for key in ("width_mm", "height_mm"):
        if key in changes:
            changes[key] = _sized(plan, changes[key], key, "How much?")
    if isinstance(changes.get("leave_outs"), str):
        changes["leave_outs"] = [row.model_dump() for row in read_leave_outs(changes["leave_outs"], plan)]
    row = Kerb.model_validate({**plan.kerbs[edit.index].model_dump(), **changes}, context={"units": plan.units})
    rows = [row if at == edit.index else old for at, old in enumerate(plan.kerbs)]
    return plan.model_copy(update={"kerbs": rows}), f"{row.name or 'Kerb'} set"


def set_piles(plan: Plan, edit: SetPiles) -> Edited:
    """Pile heads that the slab encloses: at points, at the end of a walk, or under every pad."""
    ring_needed(plan)
    if edit.index is not None and edit.index >= len(plan.piles):
        raise EditError("There is no such row of piles.")
    old = plan.piles[edit.index] if edit.index is not None else None
    values: dict[str, Any] = old.model_dump() if old else {"name": "Piles"}
    for key, said in (("diameter_mm", edit.diameter), ("head_down_mm", edit.head_down)):
        if said is not None or not old:
            values[key] = _sized(plan, said, key.removesuffix("_mm"), "How wide, and how far under the top?")
    for key, said in (("least_above_mm", edit.least_above), ("least_below_mm", edit.least_below)):
        if said is not None:
            values[key] = parse_length(said, plan.units, bare="in")
    spots = [*values.get("at", []), *edit.at]
    if edit.text.strip():
        spots.append(walked_path(plan, edit.text, "way to the pile")[-1])
    if edit.pads:
        spots += [pad.at for pad in plan.pads if all(math.dist(pad.at, spot) > 10 for spot in spots)]
    values["at"] = spots
    if edit.name.strip():
        values["name"] = edit.name.strip()
    if not spots:
        raise EditError("Where do they stand? Say from B 3' n 4' e, or set them under the pads.", "text")
    row = Piles.model_validate(values)
    rows = [row if at == edit.index else known for at, known in enumerate(plan.piles)]
    words = f"{len(row.at)} {'pile' if len(row.at) == 1 else 'piles'}, heads {say_length(row.head_down_mm, plan.units)} down"
    return plan.model_copy(update={"piles": rows if old else [*rows, row]}), words
