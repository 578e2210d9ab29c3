"""What sticks up as a cut shows it: the plate that the line crosses, and the bolt nearest to it. Lengths mm."""

from __future__ import annotations

import math

from shapely.geometry import LineString, Point

from humble_trowel.core.edges.section_blocks import Block
from humble_trowel.core.embeds.embeds import EmbedsLaid
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.embed_ways import EmbedWays
from humble_trowel.core.units import Units, say_depth, say_length

LEAST_SLANT = 0.3
INSIDE_MM = 5.0


def seen_in_cut(found: EmbedsLaid, solid: Solid, ways: EmbedWays, units: Units, a: XY, b: XY) -> list[Block]:
    """Plates and bolts along the line from a to b. A bolt that stands before or behind it is named with how far."""
    rows: list[Block] = []
    cut, size = LineString([a, b]), math.dist(a, b)
    way = ((b[0] - a[0]) / size, (b[1] - a[1]) / size)
    for wall in found.walls:
        line = LineString([wall.spot(wall.start_mm), wall.spot(wall.end_mm)])
        sine = abs(way[0] * wall.way[1] - way[1] * wall.way[0])
        met = line.intersection(cut) if sine >= LEAST_SLANT and wall.bolts else None
        if not isinstance(met, Point) or met.is_empty:
            continue
        s = math.dist(a, (met.x, met.y))
        at = wall.start_mm + line.project(met)
        top = solid.top_at((met.x + wall.left[0] * INSIDE_MM, met.y + wall.left[1] * INSIDE_MM))
        if not any(low <= at - wall.start_mm <= high for low, high in wall.run.openings):
            half = wall.plate_mm / 2 / sine
            rows.append(Block("plate", "", s - half, s + half, top, top + ways.plate_thick_mm))
        bolt = min(wall.bolts, key=lambda one: abs(one.at_mm - at))
        away = abs(bolt.at_mm - at)
        beside = f", {say_length(away, units)} off" if away > ways.bolt_mm else ""
        name = f"{say_depth(ways.bolt_mm, units)} bolt{beside}"
        rows.append(
            Block(
                "bolt", name, s - ways.bolt_mm / 2, s + ways.bolt_mm / 2, top - ways.embed_mm, top + found.stick_up_mm
            )
        )
    return sorted(rows, key=lambda row: row.s0_mm)
