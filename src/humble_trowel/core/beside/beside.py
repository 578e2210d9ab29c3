"""Laps, sidewalks and ramps as the screens show them: in words, cut across to scale, what is formed, and doubts."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import LineString, Point
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.beside.borders import formed_borders
from humble_trowel.core.beside.rows import gap_mm, rings_of, sidewalk_regions, under_lap
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.bearing import rate_words
from humble_trowel.core.geometry.beside_strips import along_mm, lap_region, ramp_region
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.beside_parts import Lap, Ramp, Sidewalk
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import Units, say_depth, say_length

STEEPEST = 1 / 12
FLARE_STEEPEST = 1 / 10
LIP_MM = 12.7
RAIL_MM = 152.4
DRY = 0.01
TOUCH_MM = 2.0
SEEN_MM = 500.0


@dataclass(frozen=True)
class Side:
    """A shape of the cut, mm: how far out from the slab's edge, and its level. kind: what it is."""

    kind: str
    ring: list[XY]


@dataclass(frozen=True)
class Beside:
    """A lap, a sidewalk or a ramp. kind with row: where it stands in the plan. words: what it is like. form_text: the length
    of its border that is formed. long_text: of its path."""

    kind: str
    row: int
    id: str
    name: str
    words: str
    form_text: str
    long_text: str
    rings: list[list[XY]]
    cut: list[Side]


def besides_told(plan: Plan, solid: Solid | None) -> list[Beside]:
    """Everything beside, in words and cut."""
    form = {row.id: row.length_mm for row in formed_borders(plan)}
    found = []
    for at, lap in enumerate(plan.laps):
        region = lap_region(lap)
        found.append(
            _told("lap", at, lap, _lap_words(plan, lap), form[lap.id], region, _lap_cut(plan, lap, solid), plan)
        )
    for at, (walk, region) in enumerate(zip(plan.sidewalks, sidewalk_regions(plan), strict=True)):
        cut = _walk_cut(walk, _top_beside(solid, walk.path))
        found.append(_told("sidewalk", at, walk, _walk_words(plan, walk), form[walk.id], region, cut, plan))
    for at, ramp in enumerate(plan.ramps):
        region = ramp_region(ramp)
        cut = _ramp_cut(ramp, _top_beside(solid, ramp.path))
        found.append(_told("ramp", at, ramp, _ramp_words(plan, ramp), form[ramp.id], region, cut, plan))
    return found


def _told(
    kind: str, at: int, row: Lap | Sidewalk | Ramp, words: str, form: float, region: BaseGeometry, cut: list[Side], plan: Plan
) -> Beside:  # fmt: skip
    return Beside(
        kind, at, row.id, row.name, words, say_length(form, plan.units), say_length(along_mm(row.path), plan.units), rings_of(region), cut
    )  # fmt: skip


def _top_beside(solid: Solid | None, path: Sequence[XY]) -> float:
    """Level of the slab's top at the middle of a path; 0 without a slab."""
    middle = LineString(path).interpolate(0.5, normalized=True)
    return solid.top_at((middle.x, middle.y)) if solid else 0.0


def say_slope(rate: float, units: Units) -> str:
    """A slope as crews say it: 1 in 12, or inches in a foot where it is slight."""
    if abs(rate) < 1e-9:
        return "level"
    if abs(rate) >= 0.04:
        return f"1 in {1 / abs(rate):.1f}".removesuffix(".0")
    return rate_words(abs(rate), units)


def _lap_words(plan: Plan, lap: Lap) -> str:
    if lap.kind == "saw-cut":
        end = lap.width_mm if lap.end_width_mm is None else lap.end_width_mm
        return f"{say_depth(lap.width_mm, plan.units)} at its start, {say_depth(end, plan.units)} at its end: filled to the true line."
    under = under_lap(plan, lap)
    if under is None:
        return "Nothing lies under it."
    gap = gap_mm(plan, lap)
    said = f"Over {under.thing.name}, its form board on top of it"
    if gap < 1:
        return f"{said}; it lies on it."
    return f"{said}; the {say_depth(gap, plan.units)} below it {'is filled' if lap.gap == 'filled' else 'stays open'}."


def _walk_words(plan: Plan, walk: Sidewalk) -> str:
    way = "away" if walk.fall > 0 else "toward the slab" if walk.fall < 0 else ""
    fall = f"Falls {say_slope(walk.fall, plan.units)} {way}" if way else "Level"
    return f"{fall}. Broom {walk.broom} it."


def _ramp_words(plan: Plan, ramp: Ramp) -> str:
    rate = (ramp.high_mm - ramp.low_mm) / ramp.run_mm
    return f"{say_slope(rate, plan.units)}, down {say_depth(ramp.high_mm - ramp.low_mm, plan.units)}. Broom {ramp.broom} it."


def _box(kind: str, a: float, b: float, low: float, high: float) -> Side:
    return Side(kind, [(a, low), (b, low), (b, high), (a, high)])


def _slab_side(top: float) -> Side:
    return _box("slab", -SEEN_MM, 0.0, top - 100.0, top)


def _lap_cut(plan: Plan, lap: Lap, solid: Solid | None) -> list[Side]:
    wide = max(lap.width_mm, lap.end_width_mm or 0.0)
    top = _top_beside(solid, lap.path)
    sides = [_slab_side(top), _box("lap", 0.0, wide, top - lap.thickness_mm, top)]
    under = under_lap(plan, lap)
    if under is not None and lap.kind == "lap":
        old = under.thing.level_mm
        if lap.gap == "filled" and top - lap.thickness_mm > old:
            sides.append(_box("fill", 0.0, wide, old, top - lap.thickness_mm))
        sides.append(_box("old", 0.0, wide + SEEN_MM, old - 100.0, old))
    return sides


def _walk_cut(walk: Sidewalk, top: float) -> list[Side]:
    far = walk.top_mm - walk.fall * walk.width_mm
    ring = [
        (0.0, walk.top_mm - walk.thickness_mm),
        (walk.width_mm, far - walk.thickness_mm),
        (walk.width_mm, far),
        (0.0, walk.top_mm),
    ]
    return [_slab_side(top), Side("walk", ring)]


def _ramp_cut(ramp: Ramp, top: float) -> list[Side]:
    ring = [(0.0, ramp.high_mm - ramp.thickness_mm), (ramp.run_mm, ramp.low_mm - ramp.foot_mm), (ramp.run_mm, ramp.low_mm), (0.0, ramp.high_mm)]  # fmt: skip
    sides = [_slab_side(top), Side("ramp", ring)]
    if ramp.kerb_mm:
        sides.append(Side("kerb", [(0.0, ramp.high_mm), (ramp.run_mm, ramp.low_mm), (ramp.run_mm, ramp.low_mm + ramp.kerb_mm), (0.0, ramp.high_mm + ramp.kerb_mm)]))  # fmt: skip
    return sides


def beside_findings(plan: Plan, solid: Solid | None) -> list[Finding]:
    """Doubts about laps, sidewalks and ramps."""
    found = []
    for at, lap in enumerate(plan.laps):
        found += _lap_doubts(plan, lap, f"laps[{at}]")
    for at, (walk, region) in enumerate(zip(plan.sidewalks, sidewalk_regions(plan), strict=True)):
        found += _walk_doubts(plan, walk, region.area, f"sidewalks[{at}]")
    for at, ramp in enumerate(plan.ramps):
        found += _ramp_doubts(plan, ramp, _top_beside(solid, ramp.path), f"ramps[{at}]")
    return found


def _lap_doubts(plan: Plan, lap: Lap, where: str) -> list[Finding]:
    found = []
    border = LineString([*plan.outline, plan.outline[0]]) if plan.outline else None
    if border is None or any(border.distance(Point(spot)) > TOUCH_MM for spot in lap.path):
        words = f"{lap.name} no longer lies along the outline."
        found.append(finding("lap-off-edge", where, words, "Take it out and lay it again.", "lap"))
    if lap.kind == "saw-cut":
        return found
    under = under_lap(plan, lap)
    if under is None or under.covered_percent < 99:
        percent = under.covered_percent if under else 0.0
        words = f"Only {percent:.0f} % of {lap.name} lies over old concrete."
        found.append(
            finding("lap-off-old", where, words, "Draw the old concrete under Around, or make it narrower.", "lap")
        )
    if under is not None:
        if lap.thickness_mm > under.room_mm + 1:
            words = f"{lap.name} is {say_depth(lap.thickness_mm, plan.units)} thick; over {under.thing.name} there is room for {say_depth(max(0.0, under.room_mm), plan.units)}."
            found.append(finding("lap-no-room", where, words, "Make it thinner, or cut the old concrete back.", "lap"))
        words = f"When {under.thing.name} goes one day, {lap.name} must be cut off first."
        found.append(finding("lap-to-cut", where, words, "Tell the owner, and write it on the plan.", "lap"))
    return found


def _walk_doubts(plan: Plan, walk: Sidewalk, area: float, where: str) -> list[Finding]:
    if area < 1.0:
        words = f"{walk.name} lies wholly in what is poured already."
        return [finding("sidewalk-inside", where, words, "Turn its path round, or take it out.", "greatest-depth")]
    if walk.fall < 0:
        words = f"{walk.name} falls toward the slab."
        return [finding("sidewalk-falls-in", where, words, "Let it fall away, 1/4 in a foot.", "walk-fall")]
    if walk.fall < DRY:
        words = f"{walk.name} falls {say_slope(walk.fall, plan.units)} away from the slab: water stands on it."
        return [finding("sidewalk-flat", where, words, "Let it fall 1/8 to 1/4 in a foot.", "walk-fall")]
    return []


def _ramp_doubts(plan: Plan, ramp: Ramp, top: float, where: str) -> list[Finding]:
    found, rise = [], ramp.high_mm - ramp.low_mm
    rate = rise / ramp.run_mm
    if rate > STEEPEST + 1e-9:
        need = say_length(math.ceil(rise * 12), plan.units)
        words = f"{ramp.name} is {say_slope(rate, plan.units)}; people walk 1 in 12 at most."
        found.append(finding("ramp-steep", where, words, f"Let it run {need}, or ask the official.", "ramp"))
    if rise > RAIL_MM + 0.5:
        words = f"{ramp.name} comes down {say_depth(rise, plan.units)}: over 6 in it wants rails on both sides."
        found.append(finding("ramp-rails", where, words, "Plan for rails, and starters for their posts.", "ramp"))
    lip = top - ramp.high_mm
    if abs(lip) > LIP_MM + 0.05:
        way = "up" if lip > 0 else "down"
        words = f"From {ramp.name} it is {say_depth(abs(lip), plan.units)} {way} to the slab."
        found.append(finding("ramp-lip", where, words, "Bring its upper edge within 1/2 in of the slab.", "ramp"))
    if ramp.flare_mm and rise / ramp.flare_mm > FLARE_STEEPEST + 1e-9:
        words = f"The flares of {ramp.name} fall {say_slope(rise / ramp.flare_mm, plan.units)}; 1 in 10 is the most where people walk across."
        found.append(
            finding("flare-steep", where, words, f"Let them fan out {say_length(rise * 10, plan.units)}.", "ramp")
        )
    return found
