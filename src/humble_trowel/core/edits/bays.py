"""The edit of one bay between beams that stand on a wall."""

from __future__ import annotations

import math
from typing import Literal

from pydantic import StrictBool
from shapely.geometry import LineString

from humble_trowel.core.edits.base import BeamId, EditBase, Edited, SideId, Typed, ring_needed, side_at, with_row
from humble_trowel.core.edits.beams import LEAST_SPACING_MM
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.bays import ON_WALL_MM, feet, off_wall
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of, unit
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.units import parse_length, say_length


class SetBay(EditBase):
    """The bay along a wall before a beam that stands on it (behind: the one behind it): the beam moves along the wall, and
    the bay on its other side takes up the rest. A beam square to the wall runs to the far edge again."""

    op: Literal["set_bay"]
    side: SideId
    beam: BeamId
    bay: Typed
    behind: StrictBool = False

    def apply(self, plan: Plan) -> Edited:
        ring = ring_needed(plan)
        side, at = side_at(plan, self.side), place_of(plan, "beams", self.beam, "beam")
        wall = side_of(ring, side)
        rows = feet(plan).get(side, [])
        place = next((k for k, foot in enumerate(rows) if foot.row == at), None)
        if place is None:
            raise EditError(f"This beam does not stand on {side_name(side, len(ring))}.", "beam")
        stops = [0.0, *[foot.along_mm for foot in rows], math.dist(*wall)]
        before, here, after = stops[place], stops[place + 1], stops[place + 2]
        bay = parse_length(self.bay, plan.units)
        new = after - bay if self.behind else before + bay
        if bay < LEAST_SPACING_MM or not before + LEAST_SPACING_MM <= new <= after - LEAST_SPACING_MM:
            room = say_length(after - before, plan.units)
            raise EditError(
                f"A bay of {say_length(bay, plan.units)} does not fit: there are {room} from one neighbour to the other.",
                "bay",
            )
        beam = plan.beams[at].model_copy(update={"path": _moved(ring, wall, plan.beams[at].path, (here, new))})
        return with_row(plan, "beams", at, beam), f"Bay set to {say_length(bay, plan.units)}"


def _moved(ring: list[XY], wall: tuple[XY, XY], path: list[XY], stands: tuple[float, float]) -> list[XY]:
    """The centreline moved along the wall from one distance to another."""
    old, (ux, uy) = off_wall(ring, wall, stands[0]), unit(*wall)
    if old and LineString(old[0]).hausdorff_distance(LineString(path)) <= ON_WALL_MM:
        again = off_wall(ring, wall, stands[1])
        if again:
            return again[0] if math.dist(path[0], old[0][0]) <= ON_WALL_MM else again[0][::-1]
    by = stands[1] - stands[0]
    return [(x + by * ux, y + by * uy) for x, y in path]


BAY_EDITS = (SetBay,)
