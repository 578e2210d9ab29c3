"""What else a cut crosses beside the slab: kerbs on top, piles, footings and walls below, pipes and tube within.

s runs along the cut, mm; levels are mm over the finished top of the main slab.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.edges.section_line import Span
from humble_trowel.core.footings.volume import kept_prisms
from humble_trowel.core.geometry.pipes import bottom_at, legs_of, round_mm
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.order.second_pours import stretches
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.walls.rows import prisms_of, standing_walls

LEAST_SLANT = 0.1


@dataclass(frozen=True)
class Block:
    """Something else that the line crosses: a kerb on top, a pile, a pipe, a footing or a wall below. Levels of its foot and head."""

    kind: str
    name: str
    s0_mm: float
    s1_mm: float
    bottom_mm: float
    top_mm: float


@dataclass(frozen=True)
class Within:
    """Tube or bars as they lie in the slab. level_mm: their middle over the top there, or high_mm over the slab's underside."""

    kind: str
    name: str
    paths: Sequence[Sequence[XY]]
    outside_mm: float
    level_mm: float = 0.0
    high_mm: float | None = None


def blocks_on(plan: Plan, solid: Solid, a: XY, b: XY) -> list[Block]:
    """Everything that the line crosses beside the slab and its tube."""
    return [*_kerbs(plan, solid, a, b), *_piles(plan, solid, a, b), *_below(plan, a, b), *_pipes(plan, a, b)]


def within_on(within: Within, spans: Sequence[Span], a: XY, b: XY) -> list[Block]:
    """Tube or bars that the line crosses, as wide as the slant of the cut makes them."""
    size, half, rows = math.dist(a, b), within.outside_mm / 2, []
    for p, q in (leg for path in within.paths for leg in pairwise(path)):
        met = _crossed(a, b, p, q)
        span = next((one for one in spans if met and one.s0_mm <= met[0] * size <= one.s1_mm), None)
        if met is None or span is None:
            continue
        s, _, sine = met
        share = (s * size - span.s0_mm) / ((span.s1_mm - span.s0_mm) or 1.0)
        top = span.top0_mm + share * (span.top1_mm - span.top0_mm)
        middle = top + (within.level_mm if within.high_mm is None else within.high_mm - span.slab_mm)
        rows.append(
            Block(
                within.kind, within.name, s * size - half / sine, s * size + half / sine, middle - half, middle + half
            )
        )
    return sorted(rows, key=lambda row: row.s0_mm)


def _crossed(a: XY, b: XY, p: XY, q: XY) -> tuple[float, float, float] | None:
    """(share along a-b, share along p-q, sine between them) where the two meet; None where they do not, or nearly run along."""
    turn = (b[0] - a[0]) * (q[1] - p[1]) - (b[1] - a[1]) * (q[0] - p[0])
    sine = abs(turn) / ((math.dist(a, b) * math.dist(p, q)) or 1.0)
    if sine < LEAST_SLANT:
        return None
    s = ((p[0] - a[0]) * (q[1] - p[1]) - (p[1] - a[1]) * (q[0] - p[0])) / turn
    u = ((p[0] - a[0]) * (b[1] - a[1]) - (p[1] - a[1]) * (b[0] - a[0])) / turn
    return (s, u, sine) if 0 <= s <= 1 and 0 <= u <= 1 else None


def _kerbs(plan: Plan, solid: Solid, a: XY, b: XY) -> list[Block]:
    line = LineString([a, b])
    rows = []
    for kerb in plan.kerbs:
        for path in stretches(kerb):
            for p, q in pairwise(path):
                shape = LineString([p, q]).buffer(kerb.width_mm / 2, cap_style="flat")
                part = line.intersection(shape)
                if part.length > 1:
                    s = sorted(math.dist(a, spot) for spot in part.coords)
                    middle = part.interpolate(0.5, normalized=True)
                    foot = solid.top_at((middle.x, middle.y))
                    rows.append(Block("kerb", kerb.name or "kerb", s[0], s[-1], foot, foot + kerb.height_mm))
    return rows


def _below(plan: Plan, a: XY, b: XY) -> list[Block]:
    """Footings and walls that the line crosses, each prism of them once."""
    line, rows = LineString([a, b]), []
    prisms = [("footing", one.name, prism) for one in plan.footings for prism in kept_prisms(one)]
    prisms += [("wall", one.wall.name, prism) for one in standing_walls(plan) for prism in prisms_of(one)]
    for kind, name, prism in prisms:
        for part in shapely.get_parts(line.intersection(prism.region)):
            if part.length > 1:
                s = sorted(math.dist(a, spot) for spot in part.coords)
                rows.append(Block(kind, name, s[0], s[-1], prism.bottom_mm, prism.top_mm))
    return rows


def _pipes(plan: Plan, a: XY, b: XY) -> list[Block]:
    """Runs that the line crosses, with their insulation, as wide as the slant of the cut makes them."""
    size, rows = math.dist(a, b), []
    for run in plan.underslab.services:
        for leg in legs_of(run.path):
            met = _crossed(a, b, leg.a, leg.b)
            if met is not None:
                s, u, sine = met
                low = bottom_at(run, leg.start_mm + u * (leg.end_mm - leg.start_mm))
                half = round_mm(run) / 2 / sine
                rows.append(Block("pipe", run.name, s * size - half, s * size + half, low, low + round_mm(run)))
    return rows


def _piles(plan: Plan, solid: Solid, a: XY, b: XY) -> list[Block]:
    line = LineString([a, b])
    rows = []
    for piles in plan.piles:
        for spot in piles.at:
            part = line.intersection(Polygon(_ring(spot, piles.diameter_mm / 2)))
            if part.length > 1:
                s = sorted(math.dist(a, corner) for corner in part.coords)
                head = solid.top_at(spot) - piles.head_down_mm
                rows.append(Block("pile", piles.name, s[0], s[-1], head - 900.0, head))
    return rows


def _ring(spot: XY, radius: float) -> list[XY]:
    turns = [math.pi * k / 24 for k in range(48)]
    return [(spot[0] + radius * math.cos(turn), spot[1] + radius * math.sin(turn)) for turn in turns]
