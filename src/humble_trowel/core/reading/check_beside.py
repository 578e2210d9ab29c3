"""What is impossible about piers beside, laps, sidewalks and ramps: nothing wide, a taper round a bend, a foot under an inch, uphill."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.beside_strips import lap_region
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.beside_parts import Lap, Ramp
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Pad
from humble_trowel.core.units import say_depth

LEAST_MM = 1.0
FEATHER_MM = 25.4


def check_beside(plan: Plan) -> None:
    """Raise PlanError, with the path of what is wrong."""
    _check_piers(plan)
    for index, lap in enumerate(plan.laps):
        _check_path(lap.name, lap.path, f"laps[{index}].path")
        _check_lap(plan, lap, f"laps[{index}]")
    for index, walk in enumerate(plan.sidewalks):
        _check_path(walk.name, walk.path, f"sidewalks[{index}].path")
        if abs(walk.fall) > 0.25:
            raise PlanError(f"{walk.name} falls steeper than 1 in 4.", f"sidewalks[{index}].fall")
    for index, ramp in enumerate(plan.ramps):
        _check_path(ramp.name, ramp.path, f"ramps[{index}].path")
        _check_ramp(plan, ramp, f"ramps[{index}]")


def _check_piers(plan: Plan) -> None:
    kinds = {row.mark: row for row in plan.pad_types}
    for index, pad in enumerate(plan.side_pads):
        for at, pier in enumerate(pad.piers):
            where = f"side_pads[{index}].piers[{at}]"
            if pier.type not in kinds:
                known = ", ".join(sorted(kinds)) or "none"
                raise PlanError(f"The mark {pier.type} is not known. Known here: {known}.", f"{where}.type")
            ring = pad_ring(kinds[pier.type], Pad(type=pier.type, at=pier.at, turn_deg=pier.turn_deg))
            if Polygon(ring).intersection(Polygon(pad.polygon)).area < LEAST_MM:
                raise PlanError(f"A pier {pier.type} stands wholly outside of {pad.name}.", f"{where}.at")


def _check_path(name: str, path: Sequence[XY], where: str) -> None:
    if any(math.dist(a, b) < LEAST_MM for a, b in pairwise(path)):
        raise PlanError("Two points of the line are one spot.", where)
    if not LineString(path).is_simple:
        raise PlanError(f"{name} crosses itself.", where)


def _check_lap(plan: Plan, lap: Lap, where: str) -> None:
    end = lap.width_mm if lap.end_width_mm is None else lap.end_width_mm
    if max(lap.width_mm, end) < LEAST_MM:
        raise PlanError(f"{lap.name} is nothing wide.", f"{where}.width_mm")
    if abs(end - lap.width_mm) > 1e-9 and len(lap.path) > 2:
        raise PlanError("What grows wider lies along one straight side.", f"{where}.end_width_mm")
    region = lap_region(lap)
    if lap.kind == "lap" and not any(Polygon(row.polygon).intersection(region).area > 1.0 for row in plan.existing):
        words = f"Nothing lies under {lap.name}. Draw the old walk or patio under Around, in Lines, then lap over it."
        raise PlanError(words, f"{where}.path")


def _check_ramp(plan: Plan, ramp: Ramp, where: str) -> None:
    if len(ramp.path) != 2:
        raise PlanError("The upper edge of a ramp is one straight line.", f"{where}.path")
    if ramp.low_mm >= ramp.high_mm - LEAST_MM:
        raise PlanError("A ramp goes down from the slab: its foot lies lower than its upper edge.", f"{where}.low_mm")
    for key, mm in (("foot_mm", ramp.foot_mm), ("thickness_mm", ramp.thickness_mm)):
        if mm < FEATHER_MM - 0.05:
            words = f"A feather of {say_depth(mm, plan.units)} breaks off. Leave {say_depth(FEATHER_MM, plan.units)} at least."
            raise PlanError(words, f"{where}.{key}")
    if ramp.flare_mm and ramp.kerb_mm:
        raise PlanError("A ramp has flares or kerbs at its sides, not both.", f"{where}.kerb_mm")
    if ramp.kerb_mm and 2 * ramp.kerb_wide_mm >= math.dist(*ramp.path):
        raise PlanError("The kerbs leave no way between them.", f"{where}.kerb_wide_mm")
