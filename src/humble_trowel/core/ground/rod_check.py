"""What a rod should read at a surface or a spot, and what a reading there means."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import shapely

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.before import stripped_mm
from humble_trowel.core.ground.flat import place_of
from humble_trowel.core.ground.layer_shots import layer_grounds
from humble_trowel.core.ground.levels import check_reading
from humble_trowel.core.ground.rod import rod_card, rod_reads, say_off, say_reading
from humble_trowel.core.ground.stack import StackRow, resolve
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import parse_length, say_depth

JUMP_MM = 152.4


@dataclass(frozen=True)
class Wanted:
    """A level that is asked for: of which surface, where, and of which zone and layer where it is one of a stack."""

    level_mm: float
    name: str
    where: str
    cell: Cell | None
    row: StackRow | None


@dataclass(frozen=True)
class RodSaid:
    """What a reading means. words: down 1 3/8, up 1/4 or on grade. jump: a question where it is far off."""

    reading_mm: float
    reading_text: str
    off_mm: float
    words: str
    verdict: Literal["high", "low", "inside"]
    jump: str


def wanted_at_surface(plan: Plan, solid: Solid, ways: JobWays, surface: str) -> Wanted:
    """A row of the rod card, by its id. Raises InputError where it is not on the card any more."""
    card = rod_card(plan, solid, ways, None, stripped_mm(plan, ways))
    one = next((row for row in card if row.id == surface), None)
    if one is None:
        raise InputError("There is no such surface on the card any more.", "surface")
    cell = next((cell for cell in solid.cells if cell.name == one.zone), None)
    row = resolve(plan, cell, one.key) if cell is not None else None
    return Wanted(one.level_mm, f"{one.surface}, {one.at}", one.at, cell if row else None, row)


def wanted_on_layer(plan: Plan, solid: Solid, layer: str, at: XY | None) -> Wanted:
    """A layer at a plan point. Raises InputError where the layer is not there or no point is given."""
    grounds = layer_grounds(plan, solid, layer)
    if at is None or not grounds:
        raise InputError("Which surface, or where on the plan?", "at")
    point = shapely.Point(at)
    near = min(grounds, key=lambda ground: ground.cell.region.distance(point))
    where = place_of(at, near.cell)
    return Wanted(near.level_at(at), where, where, near.cell, near.row)


def read_rod(plan: Plan, ways: JobWays, line_mm: float, wanted_mm: float, typed: str | float) -> RodSaid:
    """A reading as typed, against the level that is wanted. Raises InputError, LengthError."""
    reading_mm = parse_length(typed, plan.units, bare="in")
    check_reading(ways, reading_mm, "reading", plan.units)
    reads, off_mm = rod_reads(plan, ways), line_mm - reading_mm - wanted_mm
    verdict: Literal["high", "low", "inside"] = "inside"
    if not -ways.ground.low_mm - 1e-9 <= off_mm <= ways.ground.high_mm + 1e-9:
        verdict = "high" if off_mm > 0 else "low"
    jump = f"{say_depth(abs(off_mm), plan.units)} off. Read again?" if abs(off_mm) > JUMP_MM else ""
    words = say_off(off_mm, plan.units, reads)
    return RodSaid(reading_mm, say_reading(reading_mm, reads), off_mm, words, verdict, jump)
