"""Bottoms of beams and pads and floors of recesses, for the rod card: mark by mark and level by level."""

from __future__ import annotations

from typing import NamedTuple

from shapely.geometry import Polygon

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan


class PartLevel(NamedTuple):
    """surface, at: as the card says it. key: 'trench' where it is dug, 'recess' for a floor."""

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
