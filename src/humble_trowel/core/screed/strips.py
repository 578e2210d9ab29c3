"""All strips of a slab as they are pulled: faces between guides, boards, order and times, judged by the checker. Lengths mm, times minutes.

Raises nothing of its own.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import shapely
from shapely.geometry import Point

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.top_faces import Face, Top, day_ends
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.screed_parts import TruckStand
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.borders import Stretch, things_along
from humble_trowel.core.screed.check import ScreedChecked, checked, on_mm
from humble_trowel.core.screed.order import in_order
from humble_trowel.core.screed.pads import PadRun, pad_runs
from humble_trowel.core.screed.pulls import (
    ROOM_MM,
    Pull,
    board_for,
    boards_of,
    guide_kind,
    kind_of,
    line_of,
    rides_of,
    room_mm,
    rules_of,
)
from humble_trowel.core.screed.site import Guide, GuideKind, Line, Pipe, ScreedRules, Site, Strip
from humble_trowel.core.screed.strip_faces import StripFace, border_levels, strip_faces

BRINGS = {"chute": "chute", "pump": "hose", "barrows": "barrow", "conveyor": "hose"}


@dataclass(frozen=True)
class StripLaid:
    """A strip in its place. n: from 1. pull: as it is pulled. needed_mm: the board that it asks for; room_mm: the longest that passes.
    board_mm: that it gets. hand: what is worked round by hand."""

    n: int
    id: str
    named: bool
    face: Face
    border: list[Stretch]
    pull: Pull | None
    strip: Strip
    needed_mm: float
    room_mm: float | None
    board_mm: float
    hand: list[str]
    m3: float


@dataclass(frozen=True)
class StandLaid:
    """Where concrete comes from. inside: the strip that it stands on, '' for beside the slab."""

    row: TruckStand
    brings: str
    reach_mm: float
    inside: str


@dataclass(frozen=True)
class StripsLaid:
    """All of it. edges_min: how long trenches take that are filled first."""

    strips: list[StripLaid]
    runs: list[PadRun]
    stands: list[StandLaid]
    site: Site
    checked: ScreedChecked
    edges_min: float


def _guide(
    plan: Plan, ways: ScreedWays, stretches: Sequence[Stretch], earlier: dict[str, str], runs: dict[str, PadRun], rules: ScreedRules
) -> Guide:  # fmt: skip
    """What a board rides on at one side. earlier: of a pad line, the strip that was struck along it before."""
    kinds: list[GuideKind] = []
    of = ""
    for row in stretches:
        kind = kind_of(plan, ways, row)
        if row.on == "pad" and row.key in earlier and rides_of(plan, ways, row.key) == "edge":
            kind, of = "edge", earlier[row.key]
        kinds.append(kind)
    found = guide_kind(kinds)
    line = line_of(stretches)
    pads: list[XY] = []
    if found == "wet":
        for row, kind in zip(stretches, kinds, strict=True):
            own = [pad.spot for pad in runs[row.key].pads] if row.key in runs else []
            pads += own if kind == "wet" else _held(row, ways, rules)
    clear = -ROOM_MM if found == "wall" else None
    return Guide(found, line, clear, tuple(pads), of)


def _held(row: Stretch, ways: ScreedWays, rules: ScreedRules) -> list[XY]:
    """Spots along a form, which holds the board all along: as close as pads must be."""
    most = max(max(boards_of(ways), default=0.0) - rules.pad_less_mm, 300.0)
    count = max(1, math.ceil(row.length_mm / most))
    (ax, ay), (bx, by) = row.start, row.end
    return [(ax + (bx - ax) * i / count, ay + (by - ay) * i / count) for i in range(count + 1)]


def site_of(
    plan: Plan, ways: ScreedWays, tops: Sequence[Top], guides: dict[str, Guide], stands: Sequence[StandLaid]
) -> Site:
    """What the strips are judged on."""
    slab = shapely.union_all([top.area for top in tops], grid_size=0.01)
    closed: list[Line] = [
        ((x1, y1), (x2, y2))
        for row in things_along(plan)
        if row.on == "wall"
        for (x1, y1), (x2, y2) in [(row.line.coords[0][:2], row.line.coords[-1][:2])]
    ]
    return Site(
        slab, guides, tuple(boards_of(ways)), tuple(closed), (), True, tuple(pipes_of(plan)),
        tuple((row.row.at, row.reach_mm) for row in stands), ways.limit_min, tuple(day_ends(plan)),
    )  # fmt: skip


def pipes_of(plan: Plan) -> list[Pipe]:
    """What stands up through the floor, or ends in it: worked round by hand."""
    rows = [Pipe(row.name, row.at, row.size_mm, 1.0) for row in plan.underslab.risers]
    return rows + [
        Pipe(row.name, row.at, max(row.across_mm, row.along_mm), row.stick_up_mm) for row in plan.embeds.groups
    ]


def stands_of(plan: Plan, ways: ScreedWays, faces: Sequence[StripFace]) -> list[StandLaid]:
    """Every place of a truck, with how far it reaches."""
    reaches = {"chute": ways.chute_mm, "hose": ways.hose_mm, "barrow": ways.barrow_mm}
    rows = []
    for row in plan.screed.standing:
        brings = row.brings or BRINGS.get(plan.order.method or "chute", "chute")
        inside = next((one.id for one in faces if one.face.area.contains(Point(row.at))), "")
        rows.append(StandLaid(row, brings, row.reach_mm or reaches[brings], inside))
    return rows


def minutes_of(solid: Solid, faces: Sequence[StripFace], ways: ScreedWays) -> tuple[float, list[float]]:
    """(for trenches that are filled first, for each strip): the crew's rate over the whole area, shared out by what each takes."""
    area = sum(one.face.area.area for one in faces) / 1e6
    whole = 60.0 * area / ways.rate_m2_h
    total = sum(one.m3 for one in faces) or 1.0
    if not ways.edges_first:
        return 0.0, [whole * one.m3 / total for one in faces]
    slab = sum(solid.slab_m3(cell) for cell in solid.cells)
    edges = max(0.0, min(0.9, 1.0 - slab / total))
    return whole * edges, [whole * (1 - edges) * one.face.area.area / 1e6 / (area or 1.0) for one in faces]


def guided(
    plan: Plan, ways: ScreedWays, faces: Sequence[StripFace], runs: Sequence[PadRun], rules: ScreedRules
) -> tuple[list[Strip], dict[str, Guide], list[float]]:
    """(strips in their order, not yet timed; what their boards ride on; the boards that they ask for)."""
    named = {run.key: run for run in runs}
    guides: dict[str, Guide] = {}
    earlier: dict[str, str] = {}
    strips: list[Strip] = []
    needed: list[float] = []
    pipes = pipes_of(plan)
    for one in faces:
        names = (f"{one.id}:left", f"{one.id}:right")
        hand = [pipe.id for pipe in pipes if one.face.area.buffer(rules.pipe_mm).contains(Point(pipe.at))]
        way: XY = (0.0, 1.0)
        board = asked = 0.0
        if one.pull is not None:
            way = one.pull.way
            for name, side in zip(names, (one.pull.left, one.pull.right), strict=True):
                guides[name] = _guide(plan, ways, side, earlier, named, rules)
            asked = one.pull.wide_mm + sum(on_mm(guides[name], rules) for name in names)
            said = one.row.board_mm if one.row else None
            board = said or board_for(ways, asked, room_mm(one.pull)) or max(boards_of(ways), default=0.0)
        needed.append(asked)
        strips.append(Strip(one.id, one.face.ring, way, names, board, 0.0, 0.0, tuple(hand)))
        for row in one.border:
            if row.on == "pad":
                earlier.setdefault(row.key, one.id)
    return strips, guides, needed


def _pulled(judge: ScreedChecked, faces: Sequence[StripFace]) -> ScreedChecked:
    """What cannot be pulled at all has no board to be short."""
    whole = {one.id for one in faces if one.pull is None}
    rows = [row for row in judge.faults if row.strip not in whole or row.code not in ("BOARD", "SPAN", "CLEAR")]
    return replace(judge, faults=rows)


def judged(plan: Plan, solid: Solid, ways: ScreedWays, tops: Sequence[Top], faces: Sequence[StripFace]) -> StripsLaid:
    """The strips in the order of their faces, timed and judged."""
    rules = rules_of(ways)
    runs = _runs(faces, plan, ways)
    strips, guides, needed = guided(plan, ways, faces, runs, rules)
    stands = stands_of(plan, ways, faces)
    site = site_of(plan, ways, tops, guides, stands)
    before, minutes = minutes_of(solid, faces, ways)
    fixed = [one.row is not None and one.row.toward_deg is not None for one in faces]
    timed = in_order(site, strips, minutes, fixed, rules, before)
    judge = _pulled(checked(replace(site, reach=()), timed, rules), faces)
    rows = []
    for n, (one, strip) in enumerate(zip(faces, timed, strict=True), 1):
        pull = one.pull
        if pull is not None and pull.way != strip.way:
            pull = pull.turned
        rows.append(
            StripLaid(n, one.id, one.row is not None, one.face, one.border, pull, strip, needed[n - 1], room_mm(pull) if pull else None, strip.board_mm, list(strip.hand), one.m3)
        )  # fmt: skip
    return StripsLaid(rows, runs, stands, site, judge, before)


def runs_of(plan: Plan, solid: Solid, ways: ScreedWays) -> list[PadRun]:
    """The lines of pads alone."""
    return _runs(strip_faces(plan, solid, ways)[1], plan, ways)


def _runs(faces: Sequence[StripFace], plan: Plan, ways: ScreedWays) -> list[PadRun]:
    most = max(max(boards_of(ways), default=0.0) - rules_of(ways).pad_less_mm, 600.0)
    return pad_runs(plan, [border_levels(one) for one in faces], most)


def strips_laid(plan: Plan, solid: Solid, ways: ScreedWays) -> StripsLaid:
    """All strips of a job."""
    return judged(plan, solid, ways, *strip_faces(plan, solid, ways))
