"""What is impossible about walls: on no footing, off it, past its end, set down below it, too short for a mitre."""

from __future__ import annotations

from itertools import pairwise

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.footing_strips import length_mm
from humble_trowel.core.geometry.wall_strips import bends_of, clear_mm, legs_of, stretches, to_mm, turned_over
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.wall_parts import Wall
from humble_trowel.core.units import say_depth, say_length

LEAST_MM = 1.0
SHARPEST = 4.0


def check_walls(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    by_id = {row.id: row for row in plan.footings}
    for index, wall in enumerate(plan.walls):
        where = f"walls[{index}]"
        footing = by_id.get(wall.footing)
        if footing is None:
            raise PlanError(
                f"{wall.name} stands on {wall.footing}, which is no footing of this job.", f"{where}.footing"
            )
        _check_along(plan, wall, footing, where)
        if any(abs(leg.turn_end) > SHARPEST for leg in legs_of(footing)):
            raise PlanError(f"{footing.name} turns too sharply for a wall to follow it.", f"{where}.footing")
        if abs(wall.offset_mm) - wall.thickness_mm / 2 >= footing.width_mm / 2:
            raise PlanError(f"{wall.name} stands beside {footing.name}, not on it.", f"{where}.offset_mm")
        if (wall.foam_between_mm or 0.0) >= wall.thickness_mm:
            raise PlanError("The foam between leaves no concrete.", f"{where}.foam_between_mm")
        if wall.meets == "header" and (wall.kind != "block" or wall.ledge_mm >= wall.thickness_mm):
            words = "Only block has a header course, and its ledge is narrower than the block."
            raise PlanError(words, f"{where}.ledge_mm" if wall.kind == "block" else f"{where}.meets")
        for row in stretches(wall, footing):
            if turned_over(row):
                raise PlanError(f"{wall.name} is too thick for a leg of {footing.name}.", f"{where}.thickness_mm")
            if row.top_mm - row.bottom_mm < LEAST_MM:
                _too_low(plan, wall, row.bottom_mm, row.set_down, where)


def _too_low(plan: Plan, wall: Wall, bottom_mm: float, set_down: int | None, where: str) -> None:
    over = say_depth(abs(bottom_mm), plan.units) + (" below the floor" if bottom_mm < 0 else " above the floor")
    if set_down is not None:
        words = f"Set down so far, {wall.name} ends below the footing, whose top lies {over}."
        raise PlanError(words, f"{where}.set_downs[{set_down}].down_mm")
    raise PlanError(f"{wall.name} ends below the top of its footing, {over}.", f"{where}.top_mm")


def _check_along(plan: Plan, wall: Wall, footing: Footing, where: str) -> None:
    size, end = length_mm(footing), to_mm(wall, footing)
    if end > size + LEAST_MM:
        words = f"{footing.name} is {say_length(size, plan.units)} long; {say_length(end, plan.units)} is past its end."
        raise PlanError(words, f"{where}.to_mm")
    if end - wall.from_mm < LEAST_MM:
        raise PlanError("A wall runs from a place to one farther along.", f"{where}.to_mm")
    downs = sorted(wall.set_downs, key=lambda row: row.from_mm)
    for row in downs:
        path = f"{where}.set_downs[{wall.set_downs.index(row)}]"
        if row.to_mm - row.from_mm < LEAST_MM:
            raise PlanError("A set-down runs from a place to one farther along.", f"{path}.to_mm")
        if row.from_mm < wall.from_mm - LEAST_MM or row.to_mm > end + LEAST_MM:
            said = f"{say_length(wall.from_mm, plan.units)} to {say_length(end, plan.units)}"
            raise PlanError(f"The wall runs from {said} along its footing; the set-down leaves it.", f"{path}.to_mm")
    for a, b in pairwise(downs):
        if b.from_mm < a.to_mm - 1e-6:
            path = f"{where}.set_downs[{wall.set_downs.index(b)}]"
            raise PlanError("Two set-downs lie over each other.", f"{path}.from_mm")
    clear, bends = clear_mm(wall, footing), [*bends_of(footing)]
    for at in (spot for row in downs for spot in (row.from_mm, row.to_mm)):
        near = next(
            (bend for bend in [*bends, size] if 1e-6 < abs(at - bend) < clear and bend not in (0.0, size)), None
        )
        if near is not None:
            words = f"A set-down begins or ends at a bend or {say_depth(clear, plan.units)} clear of it; the bend is at {say_length(near, plan.units)}."
            raise PlanError(words, f"{where}.set_downs")
