"""Walls as they stand along their sides: plate, pieces, studs, doors, and every bolt. Lengths mm; stations from the side's first
corner; levels over the finished top.

At an outside corner where two walls meet each one runs through at its start and butts at its end, unless it says where it ends.
Source: 'bolt-spacing' and its like in sources/.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import shapely
from shapely.geometry import LineString, MultiLineString

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.embeds.bolts import BoltRules, Broken, bolts_of, checked
from humble_trowel.core.embeds.plates import Run, stock_joints, studs_at
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import angle_at
from humble_trowel.core.geometry.wall_bases import INSIDE, base_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_parts import HandBolt, StudWall
from humble_trowel.core.plan.embed_ways import EmbedWays

STUD_MM = 38.1
ROOM_MM = 6.0  # between a bolt and a bar that lies across
TUBE_ROOM_MM = 25.4
GRID_FT_MM, GRID_MM = 3.175, 5.0
STUB_MM = 254.0


@dataclass(frozen=True)
class Lying:
    """Bars of a mark, or tube, as deep as bolts go."""

    kind: str
    name: str
    outside_mm: float
    lines: MultiLineString


@dataclass(frozen=True)
class Bolt:
    """A bolt. key: of its place, the same while it stands there. n: along its wall. at_mm: from the side's corner. hand: id where
    a person put it. broken: rules that are against it; reason: why it stays."""

    key: str
    n: int
    at_mm: float
    spot: XY
    hand: str
    broken: list[Broken]
    reason: str


@dataclass(frozen=True)
class PlatePiece:
    """A piece of plate and its bolts. impossible: the rules leave no room for any."""

    start_mm: float
    end_mm: float
    bolts: int
    impossible: bool


@dataclass(frozen=True)
class WallLaid:
    """A wall. side: -1 for one inside, whose ends corner and far_corner name. a: where its stations start; size_mm: of its side or line; way: along it; left: into the slab. edge_mm: the plate's middle from the concrete's edge.
    apart_mm: widest gap allowed. along: names of bars that lie along under bolts, with how many of them."""

    id: str
    name: str
    side: int
    side_name: str
    corner: str
    far_corner: str
    size_mm: float
    comes: str
    start_mm: float
    end_mm: float
    a: XY
    way: XY
    left: XY
    plate_mm: float
    in_mm: float
    edge_mm: float
    apart_mm: float
    run: Run
    pieces: list[PlatePiece]
    bolts: list[Bolt]
    along: list[tuple[str, int]]
    over_tube: list[int]

    def spot(self, at_mm: float, across_mm: float | None = None) -> XY:
        """A place on the plan at a station, so far in from the concrete's edge; on the plate's middle where not said."""
        off = self.edge_mm if across_mm is None else across_mm
        return (
            self.a[0] + self.way[0] * at_mm + self.left[0] * off, self.a[1] + self.way[1] * at_mm + self.left[1] * off,
        )  # fmt: skip


def rules_of(plan: Plan, wall: StudWall, ways: EmbedWays) -> BoltRules:
    """What this wall's bolts keep to."""
    return BoltRules(
        wall.bolt_mm or ways.most_mm, ways.end_min_mm, ways.end_max_mm, ways.clear_mm, GRID_MM if plan.units == "mm" else GRID_FT_MM,
        between_mm=ways.between_mm, end_like_mm=ways.end_like_mm,
    )  # fmt: skip


def wall_laid(plan: Plan, wall: StudWall, ways: EmbedWays, under: Sequence[Lying]) -> WallLaid | None:
    """One wall; None where its side is gone. One inside stands with its plate's middle on its line."""
    base = base_of(plan, wall)
    if base is None:
        return None
    a, b, size, inside = base.a, base.b, base.size_mm, base.side == INSIDE
    way = ((b[0] - a[0]) / size, (b[1] - a[1]) / size)
    plate = wall.plate_mm or ways.plate_mm
    start, end = (wall.from_mm or 0.0, wall.to_mm or size) if inside else _ends(plan, wall, base.side, size, plate)
    edge = wall.in_mm + (0.0 if inside else plate / 2)
    blank = WallLaid(
        wall.id, wall.name, base.side, base.name, base.corner, base.far_corner, size, wall.comes, start, min(size, end), a, way, (-way[1], way[0]),
        plate, edge - plate / 2, edge, wall.bolt_mm or ways.most_mm, Run(end - start), [], [], [], [],
    )  # fmt: skip
    doors = tuple(sorted((row.at_mm - start, row.at_mm + row.width_mm - start) for row in wall.doors))
    beside = [
        at
        for low, high in doors
        for at in (low - STUD_MM / 2, low - 1.5 * STUD_MM, high + STUD_MM / 2, high + 1.5 * STUD_MM)
    ]
    long = end - start
    studs = studs_at(
        long, wall.stud_start_mm, wall.stud_mm or ways.stud_mm, doors, [at for at in beside if 0 < at < long]
    )
    run = Run(long, (), doors, studs)
    joints = stock_joints(run.pieces, wall.stock_mm or ways.stock_mm, studs, 2 * ways.end_max_mm)
    if wall.comes != "framed":
        return replace(blank, run=Run(long, (), doors, () if wall.comes == "whole" else studs))
    run = Run(long, tuple(joints), doors, studs, tuple(_across(blank, ways, under)))
    return _bolted(replace(blank, run=run), plan, wall, ways, under)


def _ends(plan: Plan, wall: StudWall, side: int, size: float, plate: float) -> tuple[float, float]:
    """Where a wall starts and ends along its side."""
    ring = list(plan.outline or [])
    walled = {row.side: row for row in plan.embeds.walls if row.side}
    after = (side + 1) % len(ring)
    start, end = wall.from_mm, wall.to_mm
    if start is None:
        outside = angle_at(ring, side) < math.pi and plan.corner_ids[side - 1] in walled
        start = max(0.0, walled[plan.corner_ids[side - 1]].in_mm) if outside else 0.0
    if end is None:
        meets = walled.get(plan.corner_ids[after])
        butts = meets is not None and meets.from_mm is None and angle_at(ring, after) < math.pi
        end = size - (max(0.0, meets.in_mm) + (meets.plate_mm or plate) if butts and meets else 0.0)
    return start, max(start + 1.0, min(size, end))


def lying(within: Sequence[Within], ways: EmbedWays) -> list[Lying]:
    """Bars and tube as deep as a bolt goes; tube over the underside is, in any slab on ground."""
    rows = []
    for one in within:
        paths = [path for path in one.paths if len(path) > 1]
        if paths and (one.high_mm is not None or one.level_mm > -(ways.embed_mm + one.outside_mm / 2)):
            rows.append(Lying(one.kind, one.name, one.outside_mm, MultiLineString(paths)))
    return rows


def _across(wall: WallLaid, ways: EmbedWays, under: Sequence[Lying]) -> list[tuple[float, float]]:
    """Where bars and tube cross under the plate's middle: (from, to) along the wall."""
    line = LineString([wall.spot(wall.start_mm), wall.spot(wall.end_mm)])
    x, y = line.coords[0]
    found = []
    for one in under:
        half = (one.outside_mm + ways.bolt_mm) / 2 + ROOM_MM
        for spot in shapely.get_parts(one.lines.intersection(line)):
            if spot.geom_type == "Point":
                at = (spot.x - x) * wall.way[0] + (spot.y - y) * wall.way[1]
                found.append((at - half, at + half))
    return sorted(found)


def _bolted(wall: WallLaid, plan: Plan, said: StudWall, ways: EmbedWays, under: Sequence[Lying]) -> WallLaid:
    rules, run = rules_of(plan, said, ways), wall.run
    hand = [row for row in plan.embeds.bolts if row.wall == said.id]
    rows: list[tuple[float, HandBolt | None]] = []
    pieces: list[PlatePiece] = []
    left = list(hand)
    for (start, end), placed in zip(run.pieces, bolts_of(run, rules), strict=True):
        own = [row for row in left if start <= row.at_mm - wall.start_mm <= end]
        left = [row for row in left if row not in own]
        here: list[tuple[float, HandBolt | None]] = (
            [(row.at_mm - wall.start_mm, row) for row in own] if own else [(at, None) for at in placed or []]
        )
        rows += here
        pieces.append(PlatePiece(start + wall.start_mm, end + wall.start_mm, len(here), placed is None and not own))
    rows += [(row.at_mm - wall.start_mm, row) for row in left]  # in an opening, or past an end: said, never dropped
    rows.sort(key=lambda row: row[0])
    broken = checked(run, rules, [at for at, _ in rows])
    bolts: list[Bolt] = []
    for at, by in rows:
        station = at + wall.start_mm
        own_broken = [row for row in broken if abs(row.at_mm - at) < 0.005 and row.rule != "A3"]
        bolts.append(
            Bolt(
                f"{said.id}/{station:.1f}", len(bolts) + 1, station, wall.spot(station), by.id if by else "", own_broken,
                by.reason if by else "",
            )
        )  # fmt: skip
    return replace(
        wall,
        pieces=pieces,
        bolts=bolts,
        along=_along(bolts, ways, under) if bolts else [],
        over_tube=_tubed(bolts, ways, under) if bolts else [],
    )


def _near(bolts: Sequence[Bolt], one: Lying, room: float) -> list[int]:
    """Numbers of bolts nearer to something than so much."""
    far = shapely.distance(shapely.points([bolt.spot for bolt in bolts]), one.lines)
    return [bolt.n for bolt, mm in zip(bolts, far, strict=True) if mm < room]


def _along(bolts: Sequence[Bolt], ways: EmbedWays, under: Sequence[Lying]) -> list[tuple[str, int]]:
    """Bars under bolts, with how many bolts each is in the way of."""
    rows = [
        (one.name, len(_near(bolts, one, (one.outside_mm + ways.bolt_mm) / 2))) for one in under if one.kind == "bar"
    ]
    return [row for row in rows if row[1]]


def _tubed(bolts: Sequence[Bolt], ways: EmbedWays, under: Sequence[Lying]) -> list[int]:
    """Numbers of bolts over a tube."""
    found = {
        n
        for one in under
        if one.kind == "tube"
        for n in _near(bolts, one, (one.outside_mm + ways.bolt_mm) / 2 + TUBE_ROOM_MM)
    }
    return sorted(found)
