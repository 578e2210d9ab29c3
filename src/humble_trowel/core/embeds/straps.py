"""Straps, hold-downs, brackets, thresholds and leave-outs as they stand; and bolts of a template. Lengths mm.

Two straps stand at each outside corner by the crew's rule; what a drawing says besides is added. Source: 'corner-straps'.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.embeds.walls import WallLaid
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import angle_at, side_of
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.plan.embed_parts import BoltGroup
from humble_trowel.core.plan.embed_ways import EmbedWays

APART_MM = 150.0  # two of the crew's straps of one wall


@dataclass(frozen=True)
class StrapLaid:
    """One of them. key: its id, or its place where the crew's rule set it; by_rule: so. at_mm: from the side's first corner."""

    key: str
    what: str
    name: str
    side: int
    side_name: str
    corner: str
    at_mm: float
    width_mm: float
    spot: XY
    by_rule: bool


@dataclass(frozen=True)
class GroupLaid:
    """Bolts of a template. spots: each bolt's middle."""

    id: str
    name: str
    at: XY
    spots: list[XY]
    count: int


def straps_laid(plan: Plan, walls: Sequence[WallLaid], ways: EmbedWays) -> list[StrapLaid]:
    """Every strap and its like, along the sides in turn."""
    rows = [*_at_corners(plan, walls, ways), *_posts(plan, walls, ways)]
    by_side = {wall.side: wall for wall in walls}
    for row in plan.embeds.straps:
        if row.side in plan.corner_ids and plan.outline is not None:
            side = plan.corner_ids.index(row.side)
            wall = by_side.get(side)
            across = wall.edge_mm if wall else ways.plate_mm / 2
            rows.append(_row(plan, row.id, row.what, row.name, side, row.at_mm, across, row.width_mm or 0.0, False))
    return sorted(rows, key=lambda one: (one.side, one.at_mm, one.key))


def _row(
    plan: Plan, key: str, what: str, name: str, side: int, at: float, across: float, width: float, by_rule: bool
) -> StrapLaid:
    ring = list(plan.outline or [])
    a, b = side_of(ring, side)
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    spot = (a[0] + ux * at - uy * across, a[1] + uy * at + ux * across)
    return StrapLaid(key, what, name, side, side_name(side, len(ring)), corner_name(side), at, width, spot, by_rule)


def _at_corners(plan: Plan, walls: Sequence[WallLaid], ways: EmbedWays) -> list[StrapLaid]:
    """The crew's straps: shared out over the two walls of each outside corner."""
    framed = {wall.side: wall for wall in walls if wall.comes == "framed"}
    ring: list[XY] = list(plan.outline or [])
    rows: list[StrapLaid] = []
    for corner in range(len(ring) if ways.straps else 0):
        before, after = framed.get((corner - 1) % len(ring)), framed.get(corner)
        if angle_at(ring, corner) >= math.pi or (before is None and after is None):
            continue
        ends = [(wall, which) for wall, which in ((before, "end"), (after, "start")) if wall is not None]
        for n in range(ways.straps):
            wall, which = ends[n % len(ends)]
            far = ways.strap_in_mm * (1 + n // len(ends))
            at = wall.end_mm - far if which == "end" else wall.start_mm + far
            near = any(one.side == wall.side and abs(one.at_mm - at) < APART_MM for one in rows)
            if wall.start_mm < at < wall.end_mm and not near:
                key = f"{wall.id}/{which}/{n // len(ends)}"
                rows.append(_row(plan, key, "strap", "", wall.side, at, wall.edge_mm, 0.0, True))
    return rows


def _posts(plan: Plan, walls: Sequence[WallLaid], ways: EmbedWays) -> list[StrapLaid]:
    """A bracket under each post of a wall on posts, evenly and at both ends, none in a door."""
    said = {row.id: row for row in plan.embeds.walls}
    rows = []
    for wall in walls:
        if wall.comes != "posts":
            continue
        inset, apart = wall.plate_mm / 2, said[wall.id].post_mm or ways.post_mm
        low, high = wall.start_mm + inset, wall.end_mm - inset
        count = max(2, math.ceil((high - low) / apart - 1e-9) + 1)
        for n in range(count):
            at = low + (high - low) * n / (count - 1)
            if not any(start < at - wall.start_mm < end for start, end in wall.run.openings):
                key = f"{wall.id}/post/{n}"
                rows.append(
                    StrapLaid(key, "bracket", "", wall.side, wall.side_name, wall.corner, at, 0.0, wall.spot(at), True)
                )
    return rows


def group_laid(row: BoltGroup) -> GroupLaid:
    """Where the bolts of a template stand."""
    turn = math.radians(row.turn_deg)
    cos, sin = math.cos(turn), math.sin(turn)
    spots = []
    for j in range(row.along):
        for i in range(row.across):
            x, y = (i - (row.across - 1) / 2) * row.across_mm, (j - (row.along - 1) / 2) * row.along_mm
            spots.append((row.at[0] + x * cos - y * sin, row.at[1] + x * sin + y * cos))
    return GroupLaid(row.id, row.name, row.at, spots, len(spots))
