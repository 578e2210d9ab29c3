"""What is doubtful about what sticks up: rules that bolts break, stubs, plates past their bearing, thin concrete, lost sides."""

from __future__ import annotations

from collections.abc import Sequence

import shapely
from shapely.geometry import Polygon

from humble_trowel.core.embeds.bolts import Broken
from humble_trowel.core.embeds.straps import GroupLaid, StrapLaid
from humble_trowel.core.embeds.walls import STUB_MM, Bolt, WallLaid
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.wall_bases import INSIDE
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_ways import EmbedWays
from humble_trowel.core.units import Units, say_depth, say_length

PAST_SHARE = 1 / 3
UNDER_MM = 25.4  # concrete that stays under a bolt's end


def wall_doubts(plan: Plan, solid: Solid | None, walls: Sequence[WallLaid], ways: EmbedWays) -> list[Finding]:
    """Of every wall; those whose side is gone first."""
    there = {wall.id for wall in walls}
    found = [
        finding(
            "wall-lost", f"embeds/wall/{row.id}", f"{row.name}: its side is not on this slab any more.", "Call it on another side, or take it out."
        )
        for row in plan.embeds.walls
        if row.id not in there
    ]  # fmt: skip
    for wall in walls:
        found += _plate(plan, wall)
        found += _deep(plan, solid, wall, ways)
        for bolt in wall.bolts:
            found += [_broken(plan, wall, bolt, row) for row in bolt.broken]
        if wall.over_tube:
            words = f"{wall.name}: bolt {', '.join(map(str, wall.over_tube))} would go into the tube."
            found.append(
                finding(
                    "bolt-tube",
                    f"embeds/wall/{wall.id}",
                    words,
                    "Move the bolt, or keep the loop from the wall.",
                    "bolt-way",
                )
            )
    return [*found, *_along(walls)]


def _along(walls: Sequence[WallLaid]) -> list[Finding]:
    """Bars that lie along under bolts, a line a bar."""
    found = []
    for name in sorted({name for wall in walls for name, _ in wall.along}):
        own = [(wall, count) for wall in walls for mark, count in wall.along if mark == name]
        bolts = sum(count for _, count in own)
        where = own[0][0].name if len(own) == 1 else f"{len(own)} walls"
        words = f"Bar {name} lies along under {bolts} bolt{'s' if bolts != 1 else ''} of {where}."
        found.append(
            finding("bolt-bar", f"embeds/bar/{name}", words, "Tie it aside before the pour, or lower it.", "bolt-way")
        )
    return found


def _plate(plan: Plan, wall: WallLaid) -> list[Finding]:
    units, where, found = plan.units, f"embeds/wall/{wall.id}", []
    if wall.side != INSIDE and -wall.in_mm > wall.plate_mm * PAST_SHARE + 0.05:
        words = f"{wall.name}: {say_depth(-wall.in_mm, units)} of a {say_depth(wall.plate_mm, units)} plate stands past the concrete; a third of it may."
        found.append(finding("plate-past", where, words, "Take a wider plate, or bring the wall in.", "plate-bearing"))
    for piece in wall.pieces:
        if piece.impossible:
            long = piece.end_mm - piece.start_mm
            at = f"{say_length(piece.start_mm, units)} from {wall.corner}"
            if long < STUB_MM:
                words = f"{wall.name}: {say_depth(long, units)} of plate {at} cannot take two bolts."
                remedy = "Strap it, or join it to the next piece."
            else:
                words = f"{wall.name}: studs and bars leave no place for bolts in the plate {at}."
                remedy = "Change where the studs start, or set its bolts by hand."
            found.append(finding("bolt-none", where, words, remedy, "bolt-two"))
        elif piece.bolts < 2:
            words = f"{wall.name}: the piece of plate {say_length(piece.start_mm, units)} from {wall.corner} has {piece.bolts} bolt; two are the least."
            found.append(finding("bolt-rule", where, words, "Add one, or go back to the rules.", "bolt-two"))
    return found


def _deep(plan: Plan, solid: Solid | None, wall: WallLaid, ways: EmbedWays) -> list[Finding]:
    """Bolts that reach through the concrete under them."""
    if solid is None:
        return []
    depths = [solid.depth_at(*bolt.spot) for bolt in wall.bolts]
    thin = [depth for depth in depths if 0 < depth < ways.embed_mm + UNDER_MM - 0.5]
    outside = sum(1 for depth in depths if depth <= 0)
    found, units = [], plan.units
    if thin:
        words = f"{wall.name}: {len(thin)} bolts go {say_depth(ways.embed_mm, units)} into concrete that is {say_depth(min(thin), units)} deep there."
        found.append(
            finding(
                "bolt-deep",
                f"embeds/wall/{wall.id}",
                words,
                "Thicken the edge, take shorter bolts with the engineer, or drill.",
                "bolt-embed",
            )
        )
    if outside:
        words = f"{wall.name}: {outside} bolts stand beside the concrete."
        found.append(
            finding(
                "bolt-outside",
                f"embeds/wall/{wall.id}",
                words,
                "Bring the wall in, or say where its plate lies.",
                "bolt-embed",
            )
        )
    return found


def _broken(plan: Plan, wall: WallLaid, bolt: Bolt, row: Broken) -> Finding:
    units = plan.units
    words = f"{wall.name}, bolt {bolt.n} at {say_length(bolt.at_mm, units)} {_why(row, units)}"
    where = f"embeds/bolt/{bolt.hand or bolt.key}"
    if bolt.reason:
        return finding("bolt-kept", where, f"{words} It stays: {bolt.reason}", "Show it to the official.", _source(row))
    return finding("bolt-rule", where, words, "Move it, or keep it with a reason.", _source(row))


def _source(row: Broken) -> str:
    return {"A1": "bolt-spacing", "A2": "bolt-ends", "A4": "bolt-clear", "A5": "bolt-clear"}.get(row.rule, "bolt-way")


def _why(row: Broken, units: Units) -> str:
    size, limit = say_depth(row.size_mm, units), say_depth(row.limit_mm, units)
    return {
        "A1": f"is {say_length(row.size_mm, units)} from the next; {say_length(row.limit_mm, units)} is the most.",
        "A2": f"is {size} from the end of its plate; {'at most' if row.size_mm > row.limit_mm else 'at least'} {limit}.",
        "A4": "stands in an opening or on a joint of the plate.",
        "A5": f"is {size} from a stud's middle; {limit} is the least.",
        "A6": "stands over a bar that lies across.",
    }[row.rule]


def strap_doubts(plan: Plan, solid: Solid | None, straps: Sequence[StrapLaid]) -> list[Finding]:
    """Straps of sides that are gone; brackets over a thin edge."""
    found = [
        finding("strap-lost", f"embeds/strap/{row.id}", f"A {row.what}: its side is not on this slab any more.", "Call it anew, or take it out.")
        for row in plan.embeds.straps
        if row.side not in plan.corner_ids
    ]  # fmt: skip
    slab = min((cell.thickness_mm for cell in solid.cells), default=0.0) if solid else 0.0
    thin = [one for one in straps if one.what == "bracket" and solid and solid.depth_at(*one.spot) <= slab + 1.0]
    for side in dict.fromkeys(one.side_name for one in thin):
        count = sum(1 for one in thin if one.side_name == side)
        words = f"{count} brackets of {side} stand on the slab alone: nothing is thicker under them."
        found.append(
            finding(
                "bracket-thin",
                f"embeds/side/{side}",
                words,
                "Thicken that edge, or put pads under the posts.",
                "bracket-deep",
            )
        )
    return found


def group_doubts(plan: Plan, solid: Solid | None, groups: Sequence[GroupLaid]) -> list[Finding]:
    """Groups beside the concrete, too near its edge, or deeper than it."""
    found = []
    ring = Polygon(plan.outline or [])
    for row, laid in zip(plan.embeds.groups, groups, strict=True):
        where, units = f"embeds/group/{row.id}", plan.units
        spots = [shapely.Point(spot) for spot in laid.spots]
        if solid is None or any(not ring.covers(spot) for spot in spots):
            found.append(
                finding(
                    "bolt-outside",
                    where,
                    f"{row.name}: not all of its bolts stand in the concrete.",
                    "Move it in.",
                    "bolt-embed",
                )
            )
            continue
        deep = min(solid.depth_at(*spot) for spot in laid.spots)
        if deep < row.embed_mm + UNDER_MM - 0.5:
            words = f"{row.name}: bolts go {say_depth(row.embed_mm, units)} into concrete that is {say_depth(deep, units)} deep there."
            found.append(
                finding(
                    "bolt-deep",
                    where,
                    words,
                    "Put a pad under it, or take shorter bolts with the engineer.",
                    "bolt-embed",
                )
            )
    return found
