"""Edits of what comes on top, beside and below: kerbs and knee walls, pads beside the slab, pile heads."""

from __future__ import annotations

import math
import re
from dataclasses import replace
from typing import Annotated, Any, Literal

from pydantic import Field, StrictBool
from shapely.geometry import LineString, Polygon

from humble_trowel.core.edits.along_side import spots_along
from humble_trowel.core.edits.base import (
    Calls,
    EditBase,
    Edited,
    KerbId,
    PilesId,
    SideId,
    SidePadId,
    Spot,
    Title,
    Typed,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.edits.beams import walked_path
from humble_trowel.core.edits.called_here import Pressed, Said, side_called
from humble_trowel.core.edits.outline import closed_ring, start_of
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.plan.shape_parts import Kerb, LeaveOut, Pier, Piles, SidePad
from humble_trowel.core.units import parse_length, say_depth, say_length


def sized(plan: Plan, said: str | float | None, path: str, ask: str) -> float:
    """A size as typed, mm; bare numbers are inches in a job of feet. Raises EditError with `ask` where nothing is said."""
    if said is None or said == "":
        raise EditError(ask, path)
    size = parse_length(said, plan.units, bare="in")
    if size <= 0:
        raise EditError("It needs more than nothing.", path)
    return size


class AddSidePad(EditBase):
    """A small slab of its own beside the outline, by a closed walk."""

    op: Literal["add_side_pad"]
    name: Title = ""
    text: Calls
    thickness: Typed
    top: Typed = 0.0

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        start = start_of(plan, self.text)
        polygon = closed_ring(plan, self.text, start if start is not None else (0.0, 0.0))
        name = self.name.strip() or f"Pad {len(plan.side_pads) + 1}"
        thick = sized(plan, self.thickness, "thickness", "How thick?")
        row = SidePad(name=name, polygon=polygon, thickness_mm=thick, top_mm=read_level(self.top, plan, "top"))
        return plan.model_copy(update={"side_pads": [*plan.side_pads, row], "walk": None}), f"{name} beside the slab"


class SetSidePad(EditBase):
    """Change a side pad's name, thickness, level, pour or piers. piers: 'P1 middle', 'P1 corners in 9' (from its sides to their
    middles), one after another with commas; '' for none."""

    op: Literal["set_side_pad"]
    side_pad: SidePadId
    changes: dict[Literal["name", "thickness_mm", "top_mm", "pour", "piers"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "side_pads", self.side_pad, "side_pad")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        if "thickness_mm" in changes:
            changes["thickness_mm"] = sized(plan, changes["thickness_mm"], "thickness_mm", "How thick?")
        if "top_mm" in changes:
            changes["top_mm"] = read_level(changes["top_mm"], plan, "top_mm")
        if isinstance(changes.get("piers"), str):
            changes["piers"] = [row.model_dump() for row in read_piers(changes["piers"], plan, plan.side_pads[at])]
        row = SidePad.model_validate({**plan.side_pads[at].model_dump(), **changes})
        return with_row(plan, "side_pads", at, row), f"{row.name} set"


def read_piers(text: str, plan: Plan, pad: SidePad) -> list[Pier]:
    """'P1 middle, P2 corners in 9' as piers under a pad. Raises EditError."""
    marks = {row.mark.upper(): row.mark for row in plan.pad_types}
    rows: list[Pier] = []
    for bit in re.split(r"\s*[,;]\s*", text.strip()):
        match = re.fullmatch(
            r"(?P<mark>\S+)\s+(?:(?P<middle>middle)|corners(?:\s+in\s+(?P<inward>.+))?)", bit, re.IGNORECASE
        )
        if not bit:
            continue
        if match is None:
            raise EditError(f"Cannot read '{bit}'. Say P1 middle, or P1 corners in 9.", "piers")
        if match["mark"].upper() not in marks:
            raise EditError(
                f"The mark {match['mark']} is no pad type here. Call its size under Beams and pads.", "piers"
            )
        mark, whole = marks[match["mark"].upper()], Polygon(pad.polygon)
        inner = (
            whole.buffer(-parse_length(match["inward"], plan.units, bare="in"), join_style="mitre")
            if match["inward"]
            else whole
        )
        if match["middle"]:
            spots = [(whole.centroid.x, whole.centroid.y)]
        elif inner.is_empty or inner.geom_type != "Polygon":
            raise EditError(f"{pad.name} is not that wide.", "piers")
        else:
            spots = [(float(x), float(y)) for x, y in inner.exterior.coords[:-1]]
        rows += [Pier(type=mark, at=(round(x, 3), round(y, 3))) for x, y in spots]
    return rows


class AddKerb(EditBase):
    """A kerb along sides with its outer face on the edge, or along a walk. On top along sides (its outer face on the edge), or along a walk. text of sizes: '6 wide 8 high'."""

    op: Literal["add_kerb"]
    name: Title = ""
    sides: Annotated[list[SideId], Field(max_length=200)] = []
    text: Calls = ""
    width: Typed
    height: Typed

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        width = sized(plan, self.width, "width", "How wide?")
        height = sized(plan, self.height, "height", "How high?")
        sides = sorted({side_at(plan, side, "sides") for side in self.sides})
        path = inset_path(ring, sides, width / 2, "kerb") if sides else walked_path(plan, self.text, "kerb")
        if len(path) < 2:
            raise EditError("How far, and which way?", "text")
        name = self.name.strip() or f"Kerb {len(plan.kerbs) + 1}"
        row = Kerb(name=name, path=path, width_mm=width, height_mm=height)
        words = f"{name}, {say_depth(width, plan.units)} wide, {say_depth(height, plan.units)} high"
        return plan.model_copy(update={"kerbs": [*plan.kerbs, row], "walk": None}), words


def inset_path(ring: list[XY], sides: list[int], off: float, what: str) -> list[XY]:
    """The centreline along neighbouring sides, `off` inside of them; closed where it goes all round."""
    n = len(ring)
    if len(sides) == n:
        inner = Polygon(ring).buffer(-off, join_style="mitre")
        if inner.is_empty or inner.geom_type != "Polygon":
            raise EditError(f"The {what} is wider than the slab allows.", "width")
        return [(x, y) for x, y in inner.exterior.coords][::-1]
    first = next((side for side in sides if (side - 1) % n not in sides), sides[0])
    run = [first]
    while (run[-1] + 1) % n in sides and len(run) < len(sides):
        run.append((run[-1] + 1) % n)
    if len(run) < len(sides):
        raise EditError(f"The sides of a {what} follow each other. Add one {what} for each run.", "sides")
    line = LineString([ring[run[0]], *(ring[(side + 1) % n] for side in run)])
    moved = line.parallel_offset(off, "left", join_style="mitre", mitre_limit=4)
    if moved.geom_type != "LineString" or moved.is_empty:
        raise EditError(f"The {what} is wider than these sides allow.", "width")
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


class SetKerb(EditBase):
    """Change a kerb's name, sizes or leave-outs. leave_outs: 'from 4 ft to 7 ft, from 12 ft to 15 ft' along its middle; '' for none."""

    op: Literal["set_kerb"]
    kerb: KerbId
    changes: dict[Literal["name", "width_mm", "height_mm", "leave_outs", "panel_mm", "starter_mm", "pour"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "kerbs", self.kerb, "kerb")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        for key in ("width_mm", "height_mm"):
            if key in changes:
                changes[key] = sized(plan, changes[key], key, "How much?")
        for key, ask in (("panel_mm", "How wide?"), ("starter_mm", "How far apart?")):
            if key in changes:
                said = changes[key]
                changes[key] = None if said in (None, "", "0") else sized(plan, said, key, ask)
        if isinstance(changes.get("leave_outs"), str):
            changes["leave_outs"] = [row.model_dump() for row in read_leave_outs(changes["leave_outs"], plan)]
        row = Kerb.model_validate({**plan.kerbs[at].model_dump(), **changes}, context={"units": plan.units})
        return with_row(plan, "kerbs", at, row), f"{row.name or 'Kerb'} set"


class SetPiles(EditBase):
    """Pile heads that the slab encloses: at points, at the end of a walk, or under every pad. index: null for new ones. at: points in mm; pads: one under every pad."""

    op: Literal["set_piles"]
    piles: PilesId | None = None
    name: Title = ""
    diameter: Typed | None = None
    head_down: Typed | None = None
    least_above: Typed | None = None
    least_below: Typed | None = None
    at: Annotated[list[Spot], Field(max_length=400)] = []
    text: Calls = ""
    pads: StrictBool = False

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        place = None if self.piles is None else place_of(plan, "piles", self.piles, "piles")
        old = None if place is None else plan.piles[place]
        values: dict[str, Any] = old.model_dump() if old else {"name": "Piles"}
        for key, said in (("diameter_mm", self.diameter), ("head_down_mm", self.head_down)):
            if said is not None or not old:
                values[key] = sized(plan, said, key.removesuffix("_mm"), "How wide, and how far under the top?")
        for key, said in (("least_above_mm", self.least_above), ("least_below_mm", self.least_below)):
            if said is not None:
                values[key] = parse_length(said, plan.units, bare="in")
        spots = [*values.get("at", []), *self.at]
        if re.match(r"\s*(?:every|bays|at)\b", self.text, re.IGNORECASE):
            spots += [spot for spot in _in_a_row(plan, self.text) if all(math.dist(spot, old) > 10 for old in spots)]
        elif self.text.strip():
            spots.append(walked_path(plan, self.text, "way to the pile")[-1])
        if self.pads:
            spots += [pad.at for pad in plan.pads if all(math.dist(pad.at, spot) > 10 for spot in spots)]
        values["at"] = spots
        if self.name.strip():
            values["name"] = self.name.strip()
        if not spots:
            raise EditError("Where do they stand? Say from B 3' n 4' e, or set them under the pads.", "text")
        row = Piles.model_validate(values)
        words = f"{len(row.at)} {'pile' if len(row.at) == 1 else 'piles'}, heads {say_length(row.head_down_mm, plan.units)} down"
        if place is not None:
            return with_row(plan, "piles", place, row), words
        return plan.model_copy(update={"piles": [*plan.piles, row]}), words


def _in_a_row(plan: Plan, text: str) -> list[XY]:
    """'every 7 ft along A to B in 6': spots along a side."""
    said = Said.of(text, plan)
    named = side_called(plan, said.rest)
    if named is None:
        raise EditError("Along which side? Say every 7' along A to B.", "text")
    return spots_along(plan, Pressed(side=named[0]), replace(said, rest=named[1]))


TOP_EDITS = (AddSidePad, SetSidePad, AddKerb, SetKerb, SetPiles)
