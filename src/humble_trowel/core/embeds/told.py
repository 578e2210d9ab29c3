"""What sticks up as screens and papers show it: walls with their tape, bolts with their rooms, straps, the list to set."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.embeds.embeds import EmbedsLaid
from humble_trowel.core.embeds.setting import Item, SettingDone
from humble_trowel.core.embeds.straps import StrapLaid
from humble_trowel.core.embeds.walls import Bolt, WallLaid, rules_of
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.wall_bases import INSIDE
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_parts import StudWall
from humble_trowel.core.plan.embed_ways import EmbedWays
from humble_trowel.core.units import Units, say_depth, say_length


@dataclass(frozen=True)
class BoltTold:
    """A bolt. ends: stations that the end rule leaves it; spacing: those that its neighbours leave it; both null where nothing is
    left. others: stations of the other bolts of its piece."""

    key: str
    n: int
    at_mm: float
    at_text: str
    back_text: str
    spot: XY
    hand: str
    ok: bool
    kept: bool
    ends: tuple[float, float] | None
    spacing: tuple[float, float] | None
    others: list[float]


@dataclass(frozen=True)
class DoorTold:
    """An opening to the floor, as its rough opening stands."""

    id: str
    name: str
    from_mm: float
    to_mm: float
    text: str


@dataclass(frozen=True)
class WallTold:
    """A wall. side: -1 for one inside. corner, far_corner: letters of its side's ends, or which end of its line; size_mm: of the side. face, inside: the plate's outline on the plan.
    joints_mm, studs_mm, blocked: stations. words: what it is, in a line; call: as it would be called."""

    id: str
    name: str
    side: int
    corner: str
    far_corner: str
    comes: str
    size_mm: float
    start_mm: float
    end_mm: float
    plate_mm: float
    plate_text: str
    edge_text: str
    words: str
    call: str
    outline: list[XY]
    studs_mm: list[float]
    stud_clear_mm: float
    joints_mm: list[float]
    blocked: list[tuple[float, float]]
    doors: list[DoorTold]
    bolts: list[BoltTold]
    pieces: list[tuple[float, float]]
    by_hand: int


@dataclass(frozen=True)
class StrapTold:
    """A strap or its like. by_rule: the crew's rule set it."""

    key: str
    what: str
    name: str
    side: int
    side_name: str
    at_mm: float
    at_text: str
    width_text: str
    spot: XY
    by_rule: bool


@dataclass(frozen=True)
class GroupTold:
    """Bolts of a template."""

    id: str
    name: str
    at: XY
    spots: list[XY]
    words: str


@dataclass(frozen=True)
class ItemTold:
    """A thing to set. beside: studs left and right of a bolt, in words. was_text: where it was marked before. strip,
    strip_text: the strip that it stands in, and when that is struck; 0 where there are none."""

    key: str
    of: str
    kind: str
    name: str
    wall: str
    n: int
    at_mm: float | None
    at_text: str
    corner: str
    spot: XY
    state: str
    why: str
    was_text: str
    edge_text: str
    beside: str
    strip: int = 0
    strip_text: str = ""


@dataclass(frozen=True)
class EmbedsTold:
    """All of it. stick_up, embed, bolt: of a plate's bolt, in words; set_min: minutes to set all of them."""

    walls: list[WallTold]
    straps: list[StrapTold]
    groups: list[GroupTold]
    items: list[ItemTold]
    counts: dict[str, int]
    spare: int
    stick_up_mm: float
    stick_up_text: str
    embed_mm: float
    embed_text: str
    bolt_mm: float
    bolt_text: str
    plate_thick_mm: float
    set_min: float
    strays: list[str]


def embeds_told(plan: Plan, ways: EmbedWays, found: EmbedsLaid, done: SettingDone) -> EmbedsTold:
    """Everything in words and drawings."""
    said = {row.id: row for row in plan.embeds.walls}
    names = {wall.id: wall.name for wall in found.walls}
    units = plan.units
    groups = [
        GroupTold(laid.id, laid.name, laid.at, laid.spots, f"{laid.count} of {say_depth(row.bolt_mm, units)}, {say_depth(row.embed_mm, units)} deep, {say_depth(row.stick_up_mm, units)} up")
        for row, laid in zip(plan.embeds.groups, found.groups, strict=True)
    ]  # fmt: skip
    return EmbedsTold(
        walls=[_wall(plan, said[wall.id], wall, ways) for wall in found.walls],
        straps=[_strap(one, units) for one in found.straps],
        groups=groups,
        items=[_item(found, item, units) for item in done.items],
        counts=found.counts, spare=found.spare,
        stick_up_mm=found.stick_up_mm, stick_up_text=say_depth(found.stick_up_mm, units), embed_mm=ways.embed_mm, embed_text=say_depth(ways.embed_mm, units),
        bolt_mm=ways.bolt_mm, bolt_text=say_depth(ways.bolt_mm, units), plate_thick_mm=ways.plate_thick_mm, set_min=found.set_min,
        strays=[f"{names.get(of, 'A wall')}, {say_length(at, units)}" for of, at in done.strays],
    )  # fmt: skip


def _wall(plan: Plan, row: StudWall, wall: WallLaid, ways: EmbedWays) -> WallTold:
    units, start = plan.units, wall.start_mm
    size = wall.size_mm
    edges = (wall.in_mm, wall.in_mm + wall.plate_mm)
    outline = [
        wall.spot(start, edges[0]),
        wall.spot(wall.end_mm, edges[0]),
        wall.spot(wall.end_mm, edges[1]),
        wall.spot(start, edges[1]),
    ]
    return WallTold(
        wall.id, wall.name, wall.side, wall.corner, wall.far_corner, wall.comes, size, start, wall.end_mm,
        wall.plate_mm, say_depth(wall.plate_mm, units), say_depth(max(0.0, wall.edge_mm), units), _words(row, wall, ways, units), row.drawn,
        outline, [at + start for at in wall.run.studs], ways.clear_mm, [at + start for at in wall.run.joints],
        [(low + start, high + start) for low, high in wall.run.blocked],
        [
            DoorTold(door.id, door.name, door.at_mm, door.at_mm + door.width_mm, say_length(door.width_mm, units))
            for door in sorted(row.doors, key=lambda one: one.at_mm)
        ],
        [_bolt(plan, row, wall, bolt, size, ways) for bolt in wall.bolts], [(one.start_mm, one.end_mm) for one in wall.pieces],
        sum(1 for bolt in wall.bolts if bolt.hand),
    )  # fmt: skip


def _words(row: StudWall, wall: WallLaid, ways: EmbedWays, units: Units) -> str:
    if wall.comes == "whole":
        return "comes whole: no bolts now, drilled when it stands"
    if wall.comes == "posts":
        return f"posts every {say_length(row.post_mm or ways.post_mm, units)} at most"
    doors = f", {len(row.doors)} opening{'s' if len(row.doors) > 1 else ''}" if row.doors else ""
    return f"{say_depth(wall.plate_mm, units)} plate in {len(wall.pieces)}, studs {say_depth(row.stud_mm or ways.stud_mm, units)}{doors}"


def _bolt(plan: Plan, row: StudWall, wall: WallLaid, bolt: Bolt, size: float, ways: EmbedWays) -> BoltTold:
    rules = rules_of(plan, row, ways)
    piece = next(((p.start_mm, p.end_mm) for p in wall.pieces if p.start_mm <= bolt.at_mm <= p.end_mm), None)
    own = [one.at_mm for one in wall.bolts if piece and piece[0] <= one.at_mm <= piece[1]]
    others = [at for at in own if at != bolt.at_mm]
    ends = spacing = None
    if piece:
        before, after = (
            max((at for at in others if at < bolt.at_mm), default=None),
            min((at for at in others if at > bolt.at_mm), default=None),
        )
        low = max(piece[0] + rules.end_min_mm, piece[1] - rules.end_max_mm if after is None else 0.0)
        high = min(piece[1] - rules.end_min_mm, piece[0] + rules.end_max_mm if before is None else math.inf)
        ends = (low, high) if low <= high else None
        low = max(
            [
                piece[0],
                *([after - rules.most_mm] if after is not None else []),
                *([before + rules.between_mm] if before is not None else []),
            ]
        )
        high = min(
            [
                piece[1],
                *([before + rules.most_mm] if before is not None else []),
                *([after - rules.between_mm] if after is not None else []),
            ]
        )
        spacing = (low, high) if low <= high else None
    return BoltTold(
        bolt.key, bolt.n, bolt.at_mm, say_length(bolt.at_mm, plan.units), say_length(size - bolt.at_mm, plan.units), bolt.spot, bolt.hand,
        not bolt.broken, bool(bolt.broken and bolt.reason), ends, spacing, others,
    )  # fmt: skip


def _strap(one: StrapLaid, units: Units) -> StrapTold:
    return StrapTold(
        one.key, one.what, one.name, one.side, one.side_name, one.at_mm, say_length(one.at_mm, units),
        say_depth(one.width_mm, units) if one.width_mm else "", one.spot, one.by_rule,
    )  # fmt: skip


def _item(found: EmbedsLaid, item: Item, units: Units) -> ItemTold:
    wall = next((one for one in found.walls if one.id == item.wall), None)
    strap = next((one for one in found.straps if one.key == item.key), None)
    group = next((one for one in found.groups if one.id == item.key), None)
    bolt = next((one for one in wall.bolts if one.key == item.key), None) if wall else None
    spot = bolt.spot if bolt else strap.spot if strap else group.at if group else (0.0, 0.0)
    corner = wall.corner if wall else strap.corner if strap else ""
    beside = ""
    if bolt and wall:
        at = bolt.at_mm - wall.start_mm
        left, right = [at - s for s in wall.run.studs if s <= at], [s - at for s in wall.run.studs if s > at]
        beside = ", ".join(
            f"{say_depth(min(rows), units)} {side}"
            for rows, side in ((left, "past a stud"), (right, "to the next"))
            if rows
        )
    return ItemTold(
        item.key, item.of, item.kind, item.name, item.wall, item.n, item.at_mm, "" if item.at_mm is None else say_length(item.at_mm, units),
        corner, spot, item.state, item.why, "" if item.was_mm is None else say_length(item.was_mm, units),
        say_depth(max(0.0, wall.edge_mm), units) if wall and wall.side != INSIDE else "", beside,
    )  # fmt: skip
