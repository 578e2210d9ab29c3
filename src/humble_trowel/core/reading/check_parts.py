"""What is impossible about beams, pads, recesses and what comes on top; possible but doubtful things are findings."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Point, Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.errors import PlanError
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.polygon import SNAP_MM, XY, check_ring
from humble_trowel.core.plan.document import Plan

TWIN_MM = 1.0


def check_parts(plan: Plan) -> None:
    """Raise PlanError for a part wholly outside the slab, a path of no length, recesses that overlap."""
    if plan.outline is None:
        return
    outline = Polygon(plan.outline)
    shapely.prepare(outline)
    _check_beams(plan, outline)
    _check_pads(plan, outline)
    _check_recesses(plan, outline)
    _check_on_top(plan, outline)
    for index, row in enumerate(plan.piles):
        for at, spot in enumerate(row.at):
            if not outline.buffer(row.diameter_mm / 2).intersects(Point(spot)):
                raise PlanError(f"{row.name} {at + 1} stands wholly outside the slab.", f"piles[{index}].at[{at}]")


def _legs(path: Sequence[XY], where: str) -> None:
    for a, b in pairwise(path):
        if math.dist(a, b) < TWIN_MM:
            raise PlanError("Two points of the line are one spot.", where)


def _check_beams(plan: Plan, outline: BaseGeometry) -> None:
    width = {row.mark: row.width_mm for row in plan.beam_types}
    for index, beam in enumerate(plan.beams):
        where = f"beams[{index}].path"
        _legs(beam.path, where)
        foot = LineString(beam.path).buffer(width[beam.type] / 2, cap_style="flat", join_style="mitre")
        if not outline.covers(foot) and foot.intersection(outline).area < 1.0:
            raise PlanError(f"Beam {index + 1} ({beam.type}) lies wholly outside the slab.", where)


def _check_pads(plan: Plan, outline: BaseGeometry) -> None:
    kinds = {row.mark: row for row in plan.pad_types}
    for index, pad in enumerate(plan.pads):
        foot = Polygon(pad_ring(kinds[pad.type], pad))
        if not outline.covers(foot) and foot.intersection(outline).area < 1.0:
            words = f"Pad {index + 1} ({pad.type}) lies wholly outside the slab. A pad beside it is a side pad."
            raise PlanError(words, f"pads[{index}].at")


def _check_recesses(plan: Plan, outline: BaseGeometry) -> None:
    shapes: list[Polygon] = []
    for index, recess in enumerate(plan.recesses):
        where = f"recesses[{index}].polygon"
        check_ring(recess.polygon, where, f"Recess {recess.name}")
        shape = Polygon(recess.polygon)
        if shape.intersection(outline).area < 1.0:
            raise PlanError(f"Recess {recess.name} lies wholly outside the slab.", where)
        for other, old in enumerate(shapes):
            shared = shape.intersection(old).area
            if shared > shape.length * SNAP_MM / 2:
                names = f"{plan.recesses[other].name} and {recess.name}"
                raise PlanError(f"Recesses {names} overlap by {shared / 1e6:.2f} m².", where)
        shapes.append(shape)


def _check_on_top(plan: Plan, outline: BaseGeometry) -> None:
    for index, pad in enumerate(plan.side_pads):
        check_ring(pad.polygon, f"side_pads[{index}].polygon", pad.name)
    for index, kerb in enumerate(plan.kerbs):
        where = f"kerbs[{index}]"
        _legs(kerb.path, f"{where}.path")
        line = LineString(kerb.path)
        if not line.buffer(kerb.width_mm / 2 + SNAP_MM).intersects(outline):
            raise PlanError("The kerb stands wholly outside the slab.", f"{where}.path")
        for at, row in enumerate(kerb.leave_outs):
            if row.to_mm <= row.from_mm:
                raise PlanError("A leave-out ends farther along than it begins.", f"{where}.leave_outs[{at}].to_mm")
            if row.to_mm > line.length + SNAP_MM:
                words = f"The kerb is {line.length:.0f} mm long; this leave-out ends past it."
                raise PlanError(words, f"{where}.leave_outs[{at}].to_mm")
