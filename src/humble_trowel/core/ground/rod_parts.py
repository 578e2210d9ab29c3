"""Bottoms of beams and pads, floors of recesses, footings, walls, ramps, walks and pipes, for the rod card: level by level."""

from __future__ import annotations

from typing import NamedTuple

from shapely.geometry import Polygon

from humble_trowel.core.geometry.footing_strips import pieces
from humble_trowel.core.geometry.pipes import BEDDED, PEA_UNDER_MM, bottom_at, legs_of
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan


class PartLevel(NamedTuple):
    """surface, at: as the card says it. key: 'trench' where it is dug, 'recess' for a floor, 'wall' for what is built, 'pipe'
    for what is laid."""

    surface: str
    at: str
    key: str
    spot: XY
    level_mm: float


def part_levels(plan: Plan, solid: Solid) -> list[PartLevel]:
    """Depths hang from the top right above, so a beam under a fall has a level at each of its points."""
    beams = {row.mark: row.depth_mm for row in plan.beam_types}
    pads = {row.mark: row.depth_mm for row in plan.pad_types}
    spots: list[tuple[str, str, XY, float]] = []
    for number, beam in enumerate(plan.beams, 1):
        spots += [(f"{beam.type} beam bottom", f"beam {number}", spot, beams[beam.type]) for spot in beam.path]
    for number, pad in enumerate(plan.pads, 1):
        spots.append((f"{pad.type} pad bottom", f"pad {number}", pad.at, pads[pad.type]))
    groups: dict[tuple[str, float], list[tuple[str, XY]]] = {}
    for surface, at, spot, depth in spots:
        level = round(solid.top_at(spot) - depth, 1)
        own = groups.setdefault((surface, level), [])
        if at not in [name for name, _ in own]:
            own.append((at, spot))
    rows = [
        PartLevel(surface, names[0][0] if len(names) == 1 else f"{names[0][0]} and {len(names) - 1} more", "trench",
                  names[0][1], level)
        for (surface, level), names in groups.items()
    ]  # fmt: skip
    for recess in plan.recesses:
        middle = Polygon(recess.polygon).representative_point()
        floor = (float(middle.x), float(middle.y))
        rows.append(PartLevel("recess floor", recess.name, "recess", floor, solid.top_at(floor) - recess.depth_mm))
    return rows


def below_levels(plan: Plan) -> list[PartLevel]:
    """Footings at each of their levels, bottom and top; walls at their tops, lower where they are set down for a door."""
    rows: list[PartLevel] = []
    for footing in plan.footings:
        for piece in pieces(footing):
            spot = piece.path[0]
            rows.append(PartLevel("footing bottom", footing.name, "trench", spot, piece.top_mm - footing.thickness_mm))
            rows.append(PartLevel("top of footing", footing.name, "wall", spot, piece.top_mm))
    by_id = {row.id: row for row in plan.footings}
    for wall in plan.walls:
        spot = by_id[wall.footing].path[0]
        rows.append(PartLevel("top of wall", wall.name, "wall", spot, wall.top_mm))
        rows += [
            PartLevel("top of wall, set down", wall.name, "wall", spot, wall.top_mm - down.down_mm)
            for down in wall.set_downs
        ]
    return _once(rows)


def beside_levels(plan: Plan) -> list[PartLevel]:
    """Sidewalks at their edge and far side, ramps at their upper edge and foot."""
    rows = [PartLevel("top of walk", row.name, "wall", row.path[0], row.top_mm) for row in plan.sidewalks]
    rows += [
        PartLevel("walk, far side", row.name, "wall", row.path[0], row.top_mm - row.fall * row.width_mm)
        for row in plan.sidewalks
    ]
    for ramp in plan.ramps:
        rows.append(PartLevel("ramp, upper edge", ramp.name, "wall", ramp.path[0], ramp.high_mm))
        rows.append(PartLevel("ramp, foot", ramp.name, "wall", ramp.path[0], ramp.low_mm))
    return _once(rows)


def buried_levels(plan: Plan) -> list[PartLevel]:
    """Bottoms of pipes at the bends and ends of every run; what they lie on where they are bedded."""
    rows = []
    for run in plan.underslab.services:
        places = [(leg.start_mm, leg.a) for leg in legs_of(run.path)]
        places.append((legs_of(run.path)[-1].end_mm, run.path[-1]))
        for along, spot in places:
            level = bottom_at(run, along)
            rows.append(PartLevel("pipe bottom", run.name, "pipe", spot, level))
            if run.kind in BEDDED:
                rows.append(PartLevel("pipe trench", run.name, "trench", spot, level - PEA_UNDER_MM))
    return _once(rows)


def _once(rows: list[PartLevel]) -> list[PartLevel]:
    """A level of one thing is said once."""
    seen: dict[tuple[str, str, float], PartLevel] = {}
    for row in rows:
        seen.setdefault((row.surface, row.at, round(row.level_mm, 1)), row)
    return list(seen.values())
