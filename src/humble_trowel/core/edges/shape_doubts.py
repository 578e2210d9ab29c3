"""Doubts about the shape of the slab: slivers, necks, falls that run the wrong way, steps, thickness for its use."""

from __future__ import annotations

import math
from itertools import pairwise

import shapely
from shapely.geometry import Point, Polygon

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.forms.steps import LEAST_STEP_MM, step_forms
from humble_trowel.core.geometry.borders import shared_borders
from humble_trowel.core.geometry.match import EVEN_MM, matches
from humble_trowel.core.geometry.overlay import common, less
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import DrainFall, PlaneFall
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MM_PER_IN, format_area, say_depth, say_length

SLIVER_MM = 75.0
NECK_MM = 1200.0
USE_MM: dict[str, float] = {"foot": 4 * MM_PER_IN, "cars": 4 * MM_PER_IN, "trucks": 5 * MM_PER_IN}
USE_WORDS = {"foot": "people on foot", "cars": "cars", "trucks": "trucks", "racks": "racks"}
LEAST_RUN = 0.2


def shape_findings(plan: Plan, solid: Solid, ways: JobWays) -> list[Finding]:
    """All of them."""
    return [
        *_guessed(plan, solid.cells),
        *_uses(plan, solid.cells),
        *_slivers(plan, solid.cells),
        *_necks(plan),
        *_falls(plan, solid.cells),
        *_drains(plan, solid.cells),
        *_steps(plan, solid.cells, ways),
        *_over_existing(plan, solid.cells),
        *_matched(plan, solid.cells),
    ]


def _guessed(plan: Plan, cells: list[Cell]) -> list[Finding]:
    laid = {plan.zones[cell.index].slab for cell in cells}
    return [
        finding(
            "slab-guessed",
            f"slab_types[{at}].thickness_mm",
            f"{row.mark} is {say_depth(row.thickness_mm, plan.units)} thick by guess. Nobody has said it yet.",
            "Say how thick it is; the yards follow it.",
        )
        for at, row in enumerate(plan.slab_types)
        if row.guessed and row.mark in laid
    ]


def _uses(plan: Plan, cells: list[Cell]) -> list[Finding]:
    rows = []
    for cell in cells:
        use = plan.zones[cell.index].use
        where = f"zones[{cell.index}].use"
        thick = say_depth(cell.thickness_mm, plan.units)
        if use == "racks":
            words = f"{cell.name} has racks on it; no thumb table says how thick its slab must be ({thick} is drawn)."
            rows.append(
                finding("slab-needs-engineer", where, words, "Ask the engineer for thickness and steel.", "thumb-use")
            )
        elif use is not None and cell.thickness_mm < USE_MM[use] - 3.0:
            words = (
                f"{cell.name} is {thick} for {USE_WORDS[use]}; by thumb that is {say_depth(USE_MM[use], plan.units)}."
            )
            rows.append(finding("slab-thin-for-use", where, words, "Thicken it, or ask the engineer.", "thumb-use"))
    return rows


def _slivers(plan: Plan, cells: list[Cell]) -> list[Finding]:
    """Zones with a strip too narrow to pour or screed."""
    rows = []
    for cell in cells:
        kept = cell.whole.buffer(-SLIVER_MM / 2, join_style="mitre").buffer(SLIVER_MM / 2 + 1, join_style="mitre")
        thin = [part for part in shapely.get_parts(less(cell.whole, kept)) if part.area > 2000]
        long = [part for part in thin if part.length / 2 > 4 * SLIVER_MM]
        if long:
            spot = max(long, key=lambda part: float(part.length)).representative_point()
            area = format_area(sum(part.area for part in long) / 1e6, plan.units)
            words = f"{cell.name} has a strip under {say_depth(SLIVER_MM, plan.units)} wide, {area}, near {spot.x:.0f}, {spot.y:.0f} mm."
            rows.append(
                finding("zone-sliver", f"zones[{cell.index}].polygon", words, "Move its border on to its neighbour's.")
            )
    return rows


def _necks(plan: Plan) -> list[Finding]:
    """Where the slab narrows between two wider parts: it cracks there unless bars run through."""
    outline = Polygon(plan.outline)
    wide = outline.buffer(-NECK_MM / 2, join_style="mitre").buffer(NECK_MM / 2 + 0.1, join_style="mitre")
    halves = [part for part in shapely.get_parts(wide) if part.area > 0]
    if len(halves) < 2:
        return []
    rows = []
    for neck in shapely.get_parts(less(outline, wide)):
        if neck.area > 0 and sum(1 for half in halves if half.distance(neck) < 1.0) > 1:
            circle = shapely.maximum_inscribed_circle(neck, tolerance=5.0)
            x, y = shapely.get_coordinates(circle)[0]
            words = f"The slab narrows to {say_length(2 * circle.length, plan.units)} near {x:.0f}, {y:.0f} mm."
            rows.append(
                finding("neck-narrow", "outline", words, "Run bars through the neck, or put a joint across it.")
            )
    return rows


def _legs(one: Cell, other: Cell) -> list[tuple[XY, XY]]:
    """Straight stretches of border between two zones, over 100 mm long."""
    lines = shared_borders(one.whole, other.whole)
    return [(a, b) for line in lines for a, b in pairwise(line) if math.dist(a, b) > 100]


def _falls(plan: Plan, cells: list[Cell]) -> list[Finding]:
    """Falls of nothing, and falls that bring water to a neighbouring zone that stands higher."""
    rows = []
    for cell in cells:
        fall = plan.zones[cell.index].fall
        if not isinstance(fall, PlaneFall):
            continue
        where = f"zones[{cell.index}].fall"
        if fall.rate < 1e-6:
            rows.append(
                finding(
                    "fall-level",
                    where,
                    f"{cell.name} falls by nothing: it has no low side.",
                    "Give it a rate, or make it level.",
                )
            )
            continue
        way = math.radians(fall.toward_deg)
        ux, uy = math.sin(way), math.cos(way)
        for other in cells:
            if other is not cell and _runs_into(cell, other, (ux, uy)):
                words = f"{cell.name} falls toward {other.name}: water runs to it and stands there."
                rows.append(finding("falls-inward", where, words, "Turn the fall away from the building.", "geometry"))
    return rows


def _runs_into(cell: Cell, other: Cell, down: XY) -> bool:
    for a, b in _legs(cell, other):
        size = math.dist(a, b)
        nx, ny = -(b[1] - a[1]) / size, (b[0] - a[0]) / size
        middle = ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
        if not other.whole.intersects(Point(middle[0] + 3 * nx, middle[1] + 3 * ny)):
            nx, ny = -nx, -ny
        into = nx * down[0] + ny * down[1]
        if into > LEAST_RUN and other.top_at(middle) > cell.top_at(middle) - 1.0:
            return True
    return False


def _drains(plan: Plan, cells: list[Cell]) -> list[Finding]:
    """A drain that water does not reach: as high as its rim, or with a lower way out of its zone."""
    rows = []
    for cell in cells:
        fall = plan.zones[cell.index].fall
        if not isinstance(fall, DrainFall):
            continue
        level = cell.top_at(fall.at)
        where = f"zones[{cell.index}].fall"
        if fall.depth_mm < 1.0:
            words = f"The drain of {cell.name} is no lower than its rim."
            rows.append(finding("drain-not-lowest", where, words, "Set it lower: 1/8 to 1/4 in per ft is usual."))
        for recess in plan.recesses:
            shape = Polygon(recess.polygon)
            spot = shape.representative_point()
            holds = cell.whole.contains(spot) and not shape.contains(Point(fall.at))
            if holds and cell.top_at((spot.x, spot.y)) - recess.depth_mm < level - 1.0:
                words = f"Recess {recess.name} lies lower than the drain of {cell.name}."
                rows.append(
                    finding("drain-not-lowest", where, words, "Drain the recess as well, or set the drain lower.")
                )
        for other in cells:
            low = (
                [other.top_at(m) for a, b in _legs(cell, other) for m in [((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)]]
                if other is not cell
                else []
            )
            if low and min(low) < level - 1.0:
                words = f"{other.name} lies {say_depth(level - min(low), plan.units)} lower than the drain of {cell.name}; water leaves over the step."
                rows.append(finding("drain-not-lowest", where, words, "Check which way the water should go."))
    return rows


def _steps(plan: Plan, cells: list[Cell], ways: JobWays) -> list[Finding]:
    """Steps that no board forms: too small, or taller than the kit."""
    rows = []
    for step in step_forms(plan, cells, ways.forms):
        if not step.board:
            words = f"The step from {step.name}, {step.height_text} high, has no form: no board of the kit is so tall."
            rows.append(finding("step-no-form", "zones", words, "Put a taller board in the kit, or a panel."))
    for at, one in enumerate(cells):
        for other in cells[at + 1 :]:
            for a, b in _legs(one, other):
                up = max(abs(one.top_at(spot) - other.top_at(spot)) for spot in (a, b))
                if 0.5 < up < LEAST_STEP_MM:
                    words = f"{one.name} and {other.name} differ by {say_depth(up, plan.units, 32)}: a step too small for a form."
                    rows.append(
                        finding(
                            "step-no-form",
                            f"zones[{other.index}].drop_mm",
                            words,
                            "Make them level, or step by 1/8 in or more.",
                        )
                    )
                    break
    return rows


def _over_existing(plan: Plan, cells: list[Cell]) -> list[Finding]:
    """Something that stands under the slab and comes up into it."""
    rows = []
    for index, thing in enumerate(plan.existing):
        shape = Polygon(thing.polygon)
        for cell in cells:
            shared = common(shape, cell.region)
            if shared.area < 1e4:
                continue
            spot = shared.representative_point()
            at = (spot.x, spot.y)
            under = cell.top_at(at) - cell.depth_at(at)
            if thing.level_mm > under + 0.5:
                words = f"{thing.name} stands under {cell.name} and comes {say_depth(thing.level_mm - under, plan.units)} up into its slab."
                rows.append(
                    finding(
                        "overhang-fouls",
                        f"existing[{index}]",
                        words,
                        "Cut it back, or leave an opening; a lip of concrete over it breaks off.",
                    )
                )
    return rows


def _matched(plan: Plan, cells: list[Cell]) -> list[Finding]:
    rows = []
    for match in matches(plan, cells):
        if abs(match.worst_mm) > EVEN_MM:
            rows.append(
                finding(
                    "match-off",
                    f"edges/side/{match.side}",
                    match.words,
                    "Let the zone follow the floor, or feather the joint.",
                    "geometry",
                )
            )
    return rows
