"""Walls of a job: rows, cuts, plan, their pour with its order, counted two ways, and doubts."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from shapely.geometry import Polygon

from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.footings.footings import strength_text
from humble_trowel.core.footings.slices import sliced_near_m3
from humble_trowel.core.geometry.overlay import common, together
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import rod_reads
from humble_trowel.core.order.allowances import Allowance, left_behind
from humble_trowel.core.order.leaves import short_sum, volume_unit
from humble_trowel.core.order.quantity import Ordered, order_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_volume, say_depth, say_length
from humble_trowel.core.walls.rows import Standing, WallRow, prisms_of, wall_rows
from humble_trowel.core.walls.section import WallCut, wall_cuts
from humble_trowel.core.working import work

AGREE = 1e-4
GUESSED = {
    "thickness_mm": "thickness",
    "top_mm": "the top's level",
    "isolation_mm": "the strip",
    "foam_inside_mm": "the foam inside",
}
LEAST_OFF_MM = 1.0
FLUSH_MM = 3.2


@dataclass(frozen=True)
class WallDrawn:
    """A wall on the plan: the ring of each stretch and how far its top is set down there, '' where it is not."""

    wall: int
    name: str
    kind: str
    rings: list[list[XY]]
    downs: list[str]
    set_downs_text: str


@dataclass(frozen=True)
class Walls:
    """All walls. net: the concrete of their own pour. second_way_m3: slices of what is formed with the fill of cores.
    ordered: None where their pour takes nothing."""

    rows: list[WallRow]
    cuts: list[list[WallCut]]
    drawn: list[WallDrawn]
    net_m3: float
    net_text: str
    second_way_m3: float | None
    agree: bool
    extras: list[Allowance]
    ordered: Ordered | None
    pour_name: str
    strength_text: str
    pour_at: str | None
    findings: list[Finding]


def walls(
    plan: Plan, ways: JobWays, stood: Sequence[Standing], cells: Sequence[Cell], stands: Sequence[Stand], *,
    quick: bool = False
) -> Walls | None:  # fmt: skip
    """The walls of a plan, None where it has none. cells: of the slab, none without one. quick: without the second way."""
    if not plan.walls:
        return None
    rows = wall_rows(plan, stood)
    net = math.fsum(row.m3 for row in rows)
    second = None if quick else _sliced(plan, stood, rows)
    pour = next((row for row in plan.pours if "walls" in row.holds), None)
    alone = net > 0 and not (pour and "footings" in pour.holds)
    extras = [left_behind(plan, ways)] if alone else []
    reads = rod_reads(plan, ways)
    return Walls(
        rows, [wall_cuts(plan, one, cells, stands, reads) for one in stood], [_drawn(plan, one) for one in stood], net,
        format_volume(net, plan.units), second, second is None or abs(second - net) <= AGREE * net, extras,
        order_of(plan, net, extras, ways) if alone else None, pour.name if pour else "Walls", strength_text(plan, pour), pour.pour_at if pour else None,
        [*_stack_doubts(plan, stood, rows), *_floor_doubts(plan, stood, cells), *_count_doubts(net, second)],
    )  # fmt: skip


def poured_with(plan: Plan, found: Walls | None) -> list[Allowance]:
    """What the walls take of the footings' pour, where one pour holds both."""
    if found is None or found.ordered is not None or found.net_m3 <= 0:
        return []
    unit, _ = volume_unit(plan)
    inputs = {f"wall{row.wall}": row.working for row in found.rows if row.working is not None}
    working = work(
        "Walls, poured with them", unit, " + ".join(inputs), inputs, source="wall", text=f"{found.net_text} {unit}"
    )
    words = "One pour holds both."
    return [Allowance("Walls", found.net_m3, words, "walls", "wall", found.net_text, short_sum(working), working)]


def _sliced(plan: Plan, stood: Sequence[Standing], rows: Sequence[WallRow]) -> float:
    """The same a second way: what is formed by slices, boards between it off, what is filled as it was."""
    formed = [one for one in stood if one.wall.kind != "block"]
    boards = math.fsum(one.face_m2 * (one.wall.foam_between_mm or 0.0) / 1000 for one in formed)
    filled = math.fsum(row.m3 for row in rows if row.kind == "block")
    first = math.fsum(row.m3 for row in rows if row.kind != "block") + boards
    return sliced_near_m3([prism for one in formed for prism in prisms_of(one)], first) - boards + filled


def say_set_downs(plan: Plan, one: Standing) -> str:
    """Set-downs as they would be typed."""
    return ", ".join(
        f"from {say_length(row.from_mm, plan.units)} to {say_length(row.to_mm, plan.units)} down {say_depth(row.down_mm, plan.units)}"
        for row in one.wall.set_downs
    )


def _drawn(plan: Plan, one: Standing) -> WallDrawn:
    rings = [[(round(x, 2), round(y, 2)) for x, y in row.ring] for row in one.rows]
    downs = [
        say_depth(one.wall.set_downs[row.set_down].down_mm, plan.units) if row.set_down is not None else ""
        for row in one.rows
    ]
    return WallDrawn(one.at, one.wall.name, one.wall.kind, rings, downs, say_set_downs(plan, one))


def _stack_doubts(plan: Plan, stood: Sequence[Standing], rows: Sequence[WallRow]) -> list[Finding]:
    """Off the footing, courses that do not come out, walls that lie in others."""
    found = []
    for one, row in zip(stood, rows, strict=True):
        where, wall = f"walls[{one.at}]", one.wall
        if wall.guessed:
            sizes = said_together([GUESSED[key] for key in wall.guessed])
            words = f"{wall.name}: {sizes} {'is' if len(wall.guessed) == 1 else 'are'} guessed. Nobody has said it yet."
            found.append(finding("wall-guessed", where, words, "Say it; blocks and yards follow it."))
        off = abs(wall.offset_mm) + wall.thickness_mm / 2 - one.footing.width_mm / 2
        if off > LEAST_OFF_MM:
            words = f"{wall.name} hangs {say_depth(off, plan.units)} over {one.footing.name}."
            found.append(
                finding("wall-off-footing", where, words, "Move it, widen the footing, or ask the engineer.", "wall")
            )
        for said in row.courses:
            if not said.even:
                words = f"{wall.name}: {said.words[0].lower()}{said.words[1:]}"
                remedy = "Make it up in the first bed, set the footing's top for it, or cut a course."
                found.append(finding("courses-uneven", where, words, remedy, "courses"))
        if row.kind != "block" and row.m3 < 1e-6:
            found.append(finding("wall-inside", where, f"{wall.name} lies wholly in walls before it.", "Take it out, or move it.", "wall"))  # fmt: skip
    return found


def _floor_doubts(plan: Plan, stood: Sequence[Standing], cells: Sequence[Cell]) -> list[Finding]:
    """How the floor meets its walls: over them, into a header, or up to their side."""
    found: list[Finding] = []
    if not cells:
        return found
    slab = together([cell.region for cell in cells])
    for one in stood:
        where, wall = f"walls[{one.at}]", one.wall
        region = together([Polygon(row.ring) for row in one.rows])
        near = min(cells, key=lambda cell: cell.region.distance(region))
        covered = float(common(region, slab).area) / float(region.area)
        under = wall.top_mm + near.thickness_mm
        if wall.meets == "over":
            if abs(under) > FLUSH_MM:
                way = "above" if under > 0 else "below"
                words = (
                    f"{wall.name} ends {say_depth(abs(under), plan.units)} {way} the slab's underside that lies on it."
                )
                code = "courses-above-floor" if under > 0 else "floor-off-wall"
                found.append(finding(code, where, words, "Set the wall's top to the underside of the slab.", "wall"))
            elif covered < 0.99:
                words = f"The outline covers {covered:.0%} of {wall.name}; the slab is to lie over it."
                found.append(
                    finding("floor-off-wall", where, words, "Draw the outline out to the wall's outer face.", "wall")
                )
        elif wall.meets == "header" and wall.top_mm > FLUSH_MM:
            words = f"The courses of {wall.name} end {say_depth(wall.top_mm, plan.units)} above the floor that runs into its header."
            found.append(
                finding("courses-above-floor", where, words, "Leave a course out, or raise the floor.", "courses")
            )
        elif wall.meets == "against" and covered > 0.01 and under > LEAST_OFF_MM:
            words = f"The slab is drawn through {wall.name}: {covered:.0%} of the wall counts twice."
            found.append(
                finding(
                    "floor-through-wall",
                    where,
                    words,
                    "Draw the outline up to the wall's inner face.",
                    "greatest-depth",
                )
            )
    return found


def _count_doubts(net: float, second: float | None) -> list[Finding]:
    if second is None or abs(second - net) <= AGREE * max(net, 1e-9):
        return []
    words = f"Walls: joined prisms give {net:.4f} m³, slices {second:.4f} m³."
    return [finding("wall-ways-disagree", "walls", words, "Do not order by this. Tell the makers.", "wall")]
